package search

import (
	"cmp"
	"math"
	"slices"

	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// pair is two wheels a search may run a belt or chain over, at the centres it would be built to.
type pair struct {
	family *shelf.Family
	driver *shelf.FamilyWheel
	driven *shelf.FamilyWheel
	log    float64 // ln of its ratio
	centre float64 // m
	belt   *shelf.Item

	stage *reduction.Stage // worked out when first asked for
}

// How near wheels may come, and the least centre distance against the difference of diameters at
// which the belt still wraps 120° [common practice].
const (
	wheelGap     = 10e-3
	wrapDistance = 1.02
)

// mostPairRatio is what one stage is taken to reach either way [common practice].
const mostPairRatio = 8.0

// pairs are all the pairs of a family's wheels that are legal by themselves, those that take least
// room first.
func (l *searcher) pairs(f *shelf.Family) []*pair {
	var out []*pair
	for i := range f.Wheels {
		for k := range f.Wheels {
			if p := l.pair(f, &f.Wheels[i], &f.Wheels[k]); p != nil {
				out = append(out, p)
			}
		}
	}
	slices.SortStableFunc(out, func(a, b *pair) int { return cmp.Compare(a.centre, b.centre) })
	return out
}

// pair is two wheels placed: on a belt from the shelf where one fits, else on centres of about the
// larger wheel's diameter; nil when they cannot stand together within the bounds.
func (l *searcher) pair(f *shelf.Family, driver, driven *shelf.FamilyWheel) *pair {
	ratio := driven.Size / driver.Size
	if ratio > mostPairRatio || ratio < 1/mostPairRatio {
		return nil
	}
	least := l.leastCentre(driver.Size, driven.Size)
	if least > l.centreMax {
		return nil
	}
	p := &pair{family: f, driver: driver, driven: driven, log: math.Log(ratio / (1 - f.Blank.Slip))}
	if f.Stage.Kind.Toothed() {
		p.log = math.Log(reduction.Teeth(driven.Text) / reduction.Teeth(driver.Text))
	}
	p.centre = min(max(least, max(driver.Size, driven.Size)), l.centreMax)
	for _, item := range f.Belts {
		length, err := q.Parse(item.Length, q.Length)
		if err != nil {
			continue
		}
		if c, ok := reduction.CentreFor(driver.Size, driven.Size, length); ok && c >= least && c <= l.centreMax {
			p.centre, p.belt = c, item
			break
		}
	}
	return p
}

// leastCentre is the least distance at which two wheels clear each other and the belt wraps enough.
func (l *searcher) leastCentre(a, b float64) float64 {
	return max(l.centreMin, max((a+b)/2+wheelGap, wrapDistance*math.Abs(a-b)))
}

// resolved is the pair as a stage of the reduction.
func (p *pair) resolved() *reduction.Stage {
	if p.stage == nil {
		s := p.family.Blank
		s.Centre = p.centre
		s.Steps = []reduction.Step{s.Resize(s.Steps[0], p.driver.Size, p.driven.Size)}
		p.stage = &s
	}
	return p.stage
}

// partsOf counts what must be bought for stages together: a part on hand serves once, and the two
// wheels of a cone are made.
func partsOf(stages [][]*pair) int {
	buy := 0
	var used []*shelf.Item
	need := func(item *shelf.Item) {
		if item == nil || slices.Contains(used, item) {
			buy++
			return
		}
		used = append(used, item)
	}
	for _, steps := range stages {
		if len(steps) > 1 {
			buy += 2
		} else {
			need(steps[0].driver.Item)
			need(steps[0].driven.Item)
		}
		need(steps[0].belt)
	}
	return buy
}

// onHandOnly reports whether every wheel is on the shelf, each used once.
func onHandOnly(stages [][]*pair) bool {
	var used []*shelf.Item
	for _, steps := range stages {
		for _, p := range steps {
			for _, w := range []*shelf.FamilyWheel{p.driver, p.driven} {
				if w.Item == nil || slices.Contains(used, w.Item) {
					return false
				}
				used = append(used, w.Item)
			}
		}
	}
	return true
}

// described is the stage the pairs make as a plan holds it: one belt moved from step to step.
func described(steps []*pair, sys q.System) reduction.DescribedStage {
	first := steps[0]
	d := first.family.Stage
	d.Centre = q.WrittenLength(first.centre*1000, sys)
	if first.belt != nil {
		d.Centre, d.Belt = "", first.belt.Length
	}
	d.Steps = nil
	for _, p := range steps {
		d.Steps = append(d.Steps, reduction.DescribedStep{Driver: p.driver.Text, Driven: p.driven.Text})
	}
	return d
}

// room is where reductions are put together to be judged, one after the other.
type room struct {
	stages   []reduction.Stage
	position [1]reduction.Position
	first    [8]int // the only step of each stage
	pairs    [2]*pair
	pairings [2][]*pair
}

// two is two stages of a pair each, in the room for them: for looking at, not for keeping.
func (r *room) two(first, second *pair) [][]*pair {
	r.pairs = [2]*pair{first, second}
	r.pairings = [2][]*pair{r.pairs[0:1], r.pairs[1:2]}
	return r.pairings[:]
}

// positionsOf are the positions of stages; of those without a choice the one there is, made in the room for it.
func (l *searcher) positionsOf(resolved []reduction.Stage, stages [][]*pair) []reduction.Position {
	l.room.stages = resolved
	for _, steps := range stages {
		if len(steps) > 1 {
			return reduction.Positions(resolved)
		}
	}
	if len(l.kept) > 0 || len(resolved) > len(l.room.first) {
		return reduction.Positions(resolved)
	}
	l.room.position[0].Set(resolved, l.room.first[:len(resolved)])
	return l.room.position[:]
}

// judged is a reduction as it truly comes out, belts and shafts and all: the very margins the verdict shows. It is
// false where a belt runs too fast, a part that must be on hand is not, nothing is done, or a motor at a fixed speed
// passes the machine's limit.
func (l *searcher) judged(stages [][]*pair) (candidate, bool) {
	if l.fromShelf && !onHandOnly(stages) {
		return candidate{}, false
	}
	resolved := l.room.stages[:0]
	omega := l.fastest
	for _, steps := range stages {
		s := *steps[0].resolved()
		for _, p := range steps[1:] {
			s.Steps = append(s.Steps[:len(s.Steps):len(s.Steps)], p.resolved().Steps[0])
		}
		slowest := math.Inf(1)
		for _, step := range s.Steps {
			if reduction.BeltSpeed(step.Driver, omega) > l.fastBelt {
				return candidate{}, false
			}
			slowest = min(slowest, step.Ratio)
		}
		omega /= slowest
		resolved = append(resolved, s)
	}
	resolved = append(resolved, l.kept...)
	positions := l.positionsOf(resolved, stages)
	l.Look(positions)
	c := candidate{stages: stages, buy: partsOf(stages), worst: math.MaxInt16}
	for _, steps := range stages {
		c.size += steps[0].centre
		c.changes = max(c.changes, len(steps)-1)
	}
	for i := range positions {
		c.trim = c.trim || l.Top(&positions[i]) > l.TopSpeed*(1+line.SpeedTolerance)
	}
	if c.trim && l.Powered.FixedSpeed() {
		return candidate{}, false
	}
	for j := range l.Machine.Jobs {
		job := &l.Machine.Jobs[j]
		f := l.Best(job, positions)
		if f.Outcome.Done() {
			c.done |= 1 << j
		}
		if f.Outcome != line.CannotTell && f.Outcome.Reached() {
			c.worst = min(c.worst, worthStep(f.Margin/job.Margin))
		}
	}
	return c, c.done != 0
}
