package search

import (
	"cmp"
	"iter"
	"math"
	"slices"
	"sort"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// logSpan of ratios that pairs reach together, for their grid.
func logSpan(lists ...[]*pair) (least, most float64) {
	low, high := 0.0, 0.0
	for _, list := range lists {
		from, to := math.Inf(1), math.Inf(-1)
		for _, p := range list {
			from, to = min(from, p.log), max(to, p.log)
		}
		low, high = low+from, high+to
	}
	return math.Exp(low), math.Exp(high)
}

// runBest of a run of the search: for each set of jobs and number of parts, the worst margin and the
// room of the best so far.
type runBest struct {
	class   []uint16 // of each place in the grid
	sets    []jobSet // what each class does
	mostBuy int
	best    []candidate
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
	b.best = make([]candidate, len(b.sets)*(mostBuy+1))
	return b
}

// at is where the best of a class and number of parts is held.
func (b *runBest) at(class uint16, buy int) *candidate {
	return &b.best[int(class)*(b.mostBuy+1)+buy]
}

func (b *runBest) offerTo(f *front) {
	for _, c := range b.best {
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
	g := l.gradesOver(least, most, pairs[0].family)
	l.tried += len(pairs)
	for _, p := range pairs {
		i := g.at(p.log)
		if g.done[i] == 0 {
			continue
		}
		bound := candidate{stages: [][]*pair{{p}}, done: g.done[i], trim: g.trim[i], worst: g.most[i],
			buy: partsOf([][]*pair{{p}}), size: p.centre}
		l.offerIfBest(all, bound)
	}
}

// offerIfBest judges stages of which a bound is known, where they might be the best of their sort.
func (l *searcher) offerIfBest(all *front, bound candidate) {
	if kept := all.cells[bound.cell()]; !outranks(bound.worst, bound.size, &kept) {
		return
	}
	if c, ok := l.judged(bound.stages); ok {
		all.offer(c)
	}
}

// partCost is what a pair asks to be bought by itself, found once for the inner loop.
type partCost struct {
	log, centre float64
	buy         int
}

// within yields which of the costs, in order of ratio, some job is done with after a ratio: by the logarithms of
// ratios between which any is.
func within(spans []span, costs []partCost, before float64) iter.Seq[int] {
	return func(yield func(int) bool) {
		for _, s := range spans {
			from := sort.Search(len(costs), func(k int) bool { return before+costs[k].log >= s.from })
			for k := from; k < len(costs) && before+costs[k].log <= s.to; k++ {
				if !yield(k) {
					return
				}
			}
		}
	}
}

// twoStage looks at every pair of the first list before every pair of the second. A pair of parts on
// hand that both would use is counted properly only where the two would be the best, which changes
// nothing: with fewer parts they are beaten already.
func (l *searcher) twoStage(all *front, first, second []*pair, goesOn func(float64) bool) {
	if len(first) == 0 || len(second) == 0 {
		return
	}
	least, most := logSpan(first, second)
	g := l.gradesOver(least, most, first[0].family, second[0].family)
	run := newRunBest(g, 6)
	// In order of ratio, those that bring a first pair to where some job is done stand together.
	second = slices.SortedStableFunc(slices.Values(second), func(a, b *pair) int { return cmp.Compare(a.log, b.log) })
	carriedFirst, carriedLast := l.firstCaps(first, second[0].family.Blank.Efficiency), l.lastCaps(second)
	lastOf := make([]int16, len(run.sets)*len(second))
	for class, set := range run.sets {
		for k := range second {
			lastOf[class*len(second)+k] = carriedLast.of(k, set.done)
		}
	}
	firstOf, doneSteps := make([]int16, len(run.sets)), l.doneSteps()
	costs := make([]partCost, len(second))
	for k, p := range second {
		costs[k] = partCost{p.log, p.centre, partsOf([][]*pair{{p}})}
	}
	scale, shift := 1/gradeSpacing, -g.low/gradeSpacing+0.5
	spans := g.spans()
	for n, p := range first {
		if n%64 == 0 && !goesOn(float64(n)/float64(len(first))) {
			return
		}
		buy := partsOf([][]*pair{{p}})
		base := p.log*scale + shift
		for class, set := range run.sets {
			firstOf[class] = carriedFirst.of(n, set.done)
		}
		l.tried += len(second)
		for k := range within(spans, costs, p.log) {
			c := &costs[k]
			i := int(base + c.log*scale)
			class := run.class[i]
			if run.sets[class].done == 0 {
				continue
			}
			kept := run.at(class, buy+c.buy)
			bound, size := g.most[i], p.centre+c.centre
			if kept.stages != nil && (bound < kept.worst || bound == kept.worst && size >= kept.size-1e-9) {
				continue
			}
			bound = min(bound, lastOf[int(class)*len(second)+k], raised(firstOf[class], c.log))
			if !outranks(bound, size, kept) {
				continue
			}
			set := run.sets[class]
			stages := l.room.two(p, second[k])
			together := partsOf(stages)
			if kept = run.at(class, together); !outranks(bound, size, kept) {
				continue
			}
			// What a belt cannot carry is not done, and without it another may have been better already.
			possible := set.done &^ (carriedLast.cannot(k, 0, doneSteps) | carriedFirst.cannot(n, c.log, doneSteps))
			if possible == 0 {
				continue
			}
			if possible != set.done {
				l.offerIfBest(all, candidate{
					stages: [][]*pair{{p}, {second[k]}}, done: possible, trim: set.trim,
					worst: bound, buy: together, size: size,
				})
				continue
			}
			judged, ok := l.judged(stages)
			switch {
			case !ok:
			case judged.done == set.done && judged.trim == set.trim:
				if outranks(judged.worst, judged.size, kept) {
					*kept = judged
					kept.stages = [][]*pair{{p}, {second[k]}}
				}
			default:
				judged.stages = [][]*pair{{p}, {second[k]}}
				all.offer(judged)
			}
		}
	}
	run.offerTo(all)
}

// cone is two steps on one belt and centres: the first any legal pair, the second any larger driving
// wheel with the driven one turned to the diameter at which the same belt fits.
type cone [2]*pair

// conesOf are all the cones of two steps over a family's pairs.
func (l *searcher) conesOf(pairs []*pair) []cone {
	var out []cone
	for _, p := range pairs {
		if p.family.Stage.Kind.Toothed() {
			return nil
		}
		out = append(out, l.matching(p)...)
	}
	return out
}

// matching are the cones that begin with a pair.
func (l *searcher) matching(p *pair) []cone {
	length := reduction.OpenBelt(p.driver.Size, p.driven.Size, p.centre)
	var out []cone
	for i := range p.family.Wheels {
		driver := &p.family.Wheels[i]
		if driver.Size <= p.driver.Size {
			continue // the same two steps the other way about
		}
		size, ok := reduction.DrivenFor(driver.Size, p.centre, length)
		size = math.Round(size*2000) / 2000 // half millimetres are turned
		if !ok || size < reduction.Smallest(p.family.Blank.Section) || size > l.largest || l.leastCentre(driver.Size,
			size) > p.centre {
			continue
		}
		turned := &shelf.FamilyWheel{Size: size, Text: q.WrittenLength(size*1000, l.units)}
		out = append(out, cone{p, &pair{family: p.family, driver: driver, driven: turned,
			log: math.Log(size / driver.Size / (1 - p.family.Blank.Slip)), centre: p.centre,
			belt: p.belt}})
	}
	return out
}

// oneCone looks at cones of two steps, and of three where two leave a job over.
func (l *searcher) oneCone(all *front, pairs []*pair, goesOn func(float64) bool) {
	if len(pairs) == 0 {
		return
	}
	g := l.gradesOver(1/mostPairRatio, mostPairRatio*1.05, pairs[0].family)
	for n, p := range pairs {
		if n%16 == 0 && !goesOn(float64(n)/float64(len(pairs))) {
			return
		}
		if p.family.Stage.Kind.Toothed() {
			return
		}
		others := l.matching(p)
		for i, c := range others {
			steps := []*pair{c[0], c[1]}
			places := g.placesOf(0, steps)
			if places == nil {
				continue
			}
			l.offerSteps(all, g, [][]*pair{steps}, places)
			for _, more := range others[i+1:] {
				third := g.at(more[1].log)
				if third >= 0 && g.done[third]&^(g.done[places[0]]|g.done[places[1]]) != 0 {
					l.offerSteps(all, g, [][]*pair{append(steps[:2:2], more[1])}, append(places[:2:2], third))
				}
			}
		}
	}
}

// twoStageCone looks at a pair before or after a cone, for what no reduction without belt changes
// does: all holds those already.
func (l *searcher) twoStageCone(all *front, singles []*pair, cones []cone, goesOn func(float64) bool) {
	if len(singles) == 0 || len(cones) == 0 {
		return
	}
	steps := make([]*pair, 0, 2*len(cones))
	for _, c := range cones {
		steps = append(steps, c[0], c[1])
	}
	least, most := logSpan(singles, steps)
	g := l.gradesOver(least, most, singles[0].family, cones[0][0].family)
	run := newRunBest(g, 0)
	needed := run.needed(all.doneWithoutChange())
	// What the inner loop asks of each cone: where its two steps lie in the grid, from a whole ratio on.
	scale := 1 / gradeSpacing
	places := make([][2]float64, len(cones))
	for k, c := range cones {
		places[k] = [2]float64{c[0].log * scale, c[1].log * scale}
	}
	for n, p := range singles {
		if n%16 == 0 && !goesOn(float64(n)/float64(len(singles))) {
			return
		}
		l.tried += len(cones)
		base := (p.log-g.low)*scale + 0.5
		for k := range places {
			one, two := int(base+places[k][0]), int(base+places[k][1])
			if !needed[int(run.class[one])*len(run.sets)+int(run.class[two])] {
				continue
			}
			c := &cones[k]
			l.offerSteps(all, g, [][]*pair{{p}, c[:]}, []int{one, two})
			l.offerSteps(all, g, [][]*pair{c[:], {p}}, []int{one, two})
		}
	}
}

// needed tells for two classes whether a cone of both does jobs that neither does alone nor anything
// without a belt change.
func (b *runBest) needed(needless func(done uint64) bool) []bool {
	out := make([]bool, len(b.sets)*len(b.sets))
	for i, one := range b.sets {
		for k, two := range b.sets {
			out[i*len(b.sets)+k] = one.done != two.done && !needless(one.done|two.done)
		}
	}
	return out
}

// placesOf are the places of a cone's steps after a ratio, or nil where one does no job.
func (g *grades) placesOf(before float64, steps []*pair) []int {
	places := make([]int, len(steps))
	for i, p := range steps {
		if places[i] = g.at(before + p.log); places[i] < 0 || g.done[places[i]] == 0 {
			return nil
		}
	}
	return places
}

// offerSteps offers stages of which one is a cone.
func (l *searcher) offerSteps(all *front, g *grades, stages [][]*pair, places []int) {
	l.tried++
	done, worst, trim := g.joined(places)
	c := candidate{stages: stages, done: done, trim: trim, worst: worst, buy: partsOf(stages), changes: len(places) - 1}
	for _, steps := range stages {
		c.size += steps[0].centre
	}
	l.offerIfBest(all, c)
}
