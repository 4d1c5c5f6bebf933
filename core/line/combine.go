package line

import (
	"math"

	"jiriki/core/reduction"
)

// span of ratios that pairs reach together, for their grid.
func logSpan(lists ...[]*pair) (least, most float64) {
	low, high := 0.0, 0.0
	for _, list := range lists {
		from, to := math.Inf(1), math.Inf(-1)
		for _, p := range list {
			from, to = math.Min(from, p.log), math.Max(to, p.log)
		}
		low, high = low+from, high+to
	}
	return math.Exp(low), math.Exp(high)
}

// best of a run of the search: for each set of jobs and number of parts, the worst margin and the
// room of the best so far.
type runBest struct {
	class   []uint16 // of each place in the grid
	sets    []jobSet // what each class does
	mostBuy int
	held    []candidate
}

// jobSet is what a ratio does: which jobs, and whether a trim must hold its top speed.
type jobSet struct {
	done uint64
	trim bool
}

func newRunBest(g *grades, mostBuy int) *runBest {
	b := &runBest{class: make([]uint16, len(g.done)), mostBuy: mostBuy}
	known := map[jobSet]uint16{}
	for i, done := range g.done {
		set := jobSet{done, g.trim[i]}
		id, ok := known[set]
		if !ok {
			id = uint16(len(b.sets))
			known[set] = id
			b.sets = append(b.sets, set)
		}
		b.class[i] = id
	}
	b.held = make([]candidate, len(b.sets)*(mostBuy+1))
	return b
}

// at is where the best of a class and number of parts is held.
func (b *runBest) at(class uint16, buy int) *candidate {
	return &b.held[int(class)*(b.mostBuy+1)+buy]
}

func (b *runBest) offerTo(f *front) {
	for _, c := range b.held {
		if c.stages != nil {
			f.offer(c)
		}
	}
}

// oneStage looks at every pair by itself.
func (l *searcher) oneStage(all *front, pairs []*pair, goesOn func(float64) bool) {
	if len(pairs) == 0 || !goesOn(0) {
		return
	}
	least, most := logSpan(pairs)
	g := l.gradesOver(least, most, pairs[0].family.blank.Keeps)
	l.tried += len(pairs)
	for _, p := range pairs {
		i := g.at(p.log)
		if g.done[i] == 0 {
			continue
		}
		c := candidate{stages: [][]*pair{{p}}, done: g.done[i], trim: g.trim[i], worst: g.worst[i], buy: parts(p), size: p.centre}
		if held := all.cells[c.cell()]; outranks(c.worst, c.size, &held) && l.carriedBy(c.done, c.stages) {
			all.offer(c)
		}
	}
}

// partCost is what a pair asks to be bought by itself, found once for the inner loop.
type partCost struct {
	log, centre float64
	buy         int
}

// twoStage looks at every pair of the first list before every pair of the second. A pair of parts on
// hand that both would use is counted properly only where the two would be the best, which changes
// nothing: with fewer parts they are beaten already.
func (l *searcher) twoStage(all *front, first, second []*pair, goesOn func(float64) bool) {
	if len(first) == 0 || len(second) == 0 {
		return
	}
	least, most := logSpan(first, second)
	g := l.gradesOver(least, most, first[0].family.blank.Keeps*second[0].family.blank.Keeps)
	run := newRunBest(g, 6)
	costs := make([]partCost, len(second))
	for k, p := range second {
		costs[k] = partCost{p.log, p.centre, parts(p)}
	}
	scale, shift := 1/gradeSpacing, -g.low/gradeSpacing+0.5
	for n, p := range first {
		if n%64 == 0 && !goesOn(float64(n)/float64(len(first))) {
			return
		}
		buy := parts(p)
		base := p.log*scale + shift
		l.tried += len(second)
		for k := range costs {
			c := &costs[k]
			i := int(base + c.log*scale)
			class := run.class[i]
			if run.sets[class].done == 0 {
				continue
			}
			held := run.at(class, buy+c.buy)
			worst, size := g.worst[i], p.centre+c.centre
			if held.stages != nil && (worst < held.worst || worst == held.worst && size >= held.size-1e-9) {
				continue
			}
			stages := [][]*pair{{p}, {second[k]}}
			together := parts(p, second[k])
			if held = run.at(class, together); !outranks(worst, size, held) {
				continue
			}
			set := run.sets[class]
			if l.carriedBy(set.done, stages) {
				*held = candidate{stages: stages, done: set.done, trim: set.trim, worst: worst, buy: together, size: size}
			}
		}
	}
	run.offerTo(all)
}

// oneCone looks at cones of two steps, and of three where two leave a job over: the first step is
// any legal pair, each further one any driving wheel with the driven one turned to the diameter at
// which the same belt fits.
func (l *searcher) oneCone(all *front, pairs []*pair, f *family, goesOn func(float64) bool) {
	if f.stage.Kind.Toothed() || len(pairs) == 0 {
		return
	}
	g := l.gradesOver(1/mostPairRatio, mostPairRatio*1.05, f.blank.Keeps)
	for n, p := range pairs {
		if n%16 == 0 && !goesOn(float64(n)/float64(len(pairs))) {
			return
		}
		place := g.at(p.log)
		if place < 0 || g.done[place] == 0 {
			continue
		}
		others := l.matching(p, g)
		for i, second := range others {
			l.offerCone(all, g, []*pair{p, second.pair}, []int{place, second.place})
			for _, third := range others[i+1:] {
				if (g.done[third.place])&^(g.done[place]|g.done[second.place]) != 0 {
					l.offerCone(all, g, []*pair{p, second.pair, third.pair}, []int{place, second.place, third.place})
				}
			}
		}
	}
}

type coneStep struct {
	*pair
	place int
}

// matching are the further steps that go with a first one on the same belt and centres.
func (l *searcher) matching(p *pair, g *grades) []coneStep {
	length := reduction.OpenBelt(p.driver.size, p.driven.size, p.centre)
	var out []coneStep
	for i := range p.family.wheels {
		driver := &p.family.wheels[i]
		if driver.size <= p.driver.size {
			continue // the same two steps the other way about
		}
		size, ok := reduction.DrivenFor(driver.size, p.centre, length)
		size = math.Round(size*2000) / 2000 // half millimetres are turned
		if !ok || size < reduction.Smallest(p.family.blank.Section) || size > l.largest || l.leastCentre(driver.size, size) > p.centre {
			continue
		}
		log := math.Log(size / driver.size / (1 - p.family.blank.Slip))
		place := g.at(log)
		if place < 0 || g.done[place] == 0 {
			continue
		}
		out = append(out, coneStep{&pair{
			family: p.family, driver: driver, driven: &wheel{size: size, text: typedLength(size * 1000)}, log: log, centre: p.centre, belt: p.belt, made: true,
		}, place})
	}
	return out
}

func (l *searcher) offerCone(all *front, g *grades, steps []*pair, places []int) {
	l.tried++
	done, worst, trim := g.joined(places)
	// A cone is one part however many steps it has, and both are to be made.
	c := candidate{stages: [][]*pair{steps}, done: done, trim: trim, worst: worst, buy: 2, changes: len(steps) - 1, size: steps[0].centre}
	if steps[0].belt == nil {
		c.buy++
	}
	if held := all.cells[c.cell()]; outranks(c.worst, c.size, &held) && l.carriedBy(done, c.stages) {
		all.offer(c)
	}
}
