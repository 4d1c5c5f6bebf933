package search

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
)

// Widening is a bound that holds the search back, and what is found once it is wider.
type Widening struct {
	Label string `json:"label" doc:"The bound to widen, and what that gives"`
	Ask   Ask    `json:"ask" doc:"The bounds with it wider"`
}

// mostNearest is how many reductions are shown that come nearest where none does a job.
const mostNearest = 3

// widened are the bounds made wider one at a time, each with what that is called.
func (l *searcher) widened(a Ask) []Widening {
	var out []Widening
	add := func(label string, change func(*Ask)) {
		wider := a
		wider.Kinds = slices.Clone(a.Kinds)
		change(&wider)
		out = append(out, Widening{label, wider})
	}
	if stages := l.Reduction.Stages; a.Keep == 0 && len(stages) > 0 && familyOf(&stages[len(stages)-1]) == "" {
		add("the last stage to stay as it is", func(a *Ask) { a.Keep = 1 })
	}
	if l.fromShelf {
		add("wheels that are not on the shelf", func(a *Ask) { a.FromShelf = false })
	}
	if l.stages < 2 {
		add("two stages", func(a *Ask) { a.Stages = 2 })
	}
	if !l.cones {
		add("cones", func(a *Ask) { a.Cones = true })
	}
	for _, kind := range []struct{ name, says string }{{"poly-v-J", "a poly-V belt, J"}, {"v-A", "a V belt, A"},
		{"chain-12.7", "a chain"}, {"v-B", "a V belt, B"}} {
		if !slices.Contains(a.Kinds, kind.name) && len(a.Kinds) < mostKinds {
			add(kind.says, func(a *Ask) { a.Kinds = append(a.Kinds, kind.name) })
		}
	}
	wider := func(of float64) q.Text { return q.WrittenLength(math.Ceil(of*1500/10)*10, l.units) }
	add("a larger wheel, "+string(wider(l.largest)), func(a *Ask) { a.Largest = wider(l.largest) })
	add("more between shafts, "+string(wider(l.centreMax)), func(a *Ask) { a.CentreMax = wider(l.centreMax) })
	return out
}

// widen makes the bounds wider one at a time, and tells which of them give more jobs than are done within them.
func (l *searcher) widen(in Input, done int) ([]Widening, error) {
	out, gives := []Widening{}, map[string]int{}
	options := l.widened(in.Ask)
	for n, one := range options {
		b, err := one.Ask.bounds(l.Model, in.Shelf, in.Units)
		if err != nil {
			continue // wider than a bound may be
		}
		wide := &searcher{Model: l.Model, bounds: b, fastest: l.fastest, progress: func(share float64) bool {
			return l.goesOn((float64(n) + share) / float64(len(options)))
		}}
		found := (&presenter{in: in.Input, now: l.Model, bounds: b}).showAll(wide.all().best())
		if l.stopped {
			return nil, ErrStopped
		}
		if len(found) == 0 || found[0].JobsDone <= done {
			continue
		}
		one.Label = fmt.Sprintf("Allow %s: %s, %s", one.Label, jobsOf(&found[0]), found[0].Label)
		gives[one.Label] = found[0].JobsDone
		out = append(out, one)
	}
	slices.SortStableFunc(out, func(a, b Widening) int { return cmp.Compare(gives[b.Label], gives[a.Label]) })
	return out[:min(len(out), mostNearest)], nil
}

func jobsOf(f *Found) string { return fmt.Sprintf("%d of %d jobs", f.JobsDone, len(f.Jobs)) }

// nearest are the reductions within the bounds that come nearest to doing the jobs where none does any: each of other
// ratios, by how many jobs' speeds they reach and then by the least margin.
func (l *searcher) nearest(in plan.Input) []Found {
	answers := &presenter{in: in, now: l.Model, bounds: l.bounds}
	type near struct {
		c       candidate
		reached int
		worst   float64
		log     float64
	}
	var all []near
	look := func(stages [][]*pair, log float64) {
		resolved := l.room.stages[:0]
		for _, steps := range stages {
			resolved = append(resolved, *steps[0].resolved())
		}
		resolved = append(resolved, l.kept...)
		positions := l.positionsOf(resolved, stages)
		l.Look(positions)
		one := near{c: candidate{stages: stages, buy: partsOf(stages)}, worst: math.Inf(1), log: log}
		for j := range l.Machine.Jobs {
			job := &l.Machine.Jobs[j]
			f := l.Best(job, positions)
			if f.Outcome != line.CannotTell && f.Outcome.Reached() {
				one.reached++
			}
			one.worst = min(one.worst, f.Worth(job.Margin))
		}
		all = append(all, one)
	}
	for _, f := range l.families {
		pairs := l.pairs(f)
		for _, p := range spreadOut(pairs) {
			look([][]*pair{{p}}, p.log)
			if l.stages < 2 {
				continue
			}
			for _, second := range spreadOut(pairs) {
				look([][]*pair{{p}, {second}}, p.log+second.log)
			}
		}
	}
	slices.SortStableFunc(all, func(a, b near) int {
		return cmp.Or(cmp.Compare(b.reached, a.reached), cmp.Compare(b.worst, a.worst),
			cmp.Compare(len(a.c.stages), len(b.c.stages)))
	})
	out, logs := []Found{}, []float64{}
	for _, one := range all {
		alike := func(log float64) bool { return math.Abs(log-one.log) < nearAlike }
		if slices.ContainsFunc(logs, alike) {
			continue
		}
		found := answers.show(one.c)
		found.GivesUp = heldBy(&found)
		if speed := l.beltSpeed(one.c.stages); speed > l.fastBelt {
			found.Not = fmt.Sprintf("A belt would run %s, and %s is the most", q.Show(speed, q.SurfaceSpeed, in.Units),
				q.Show(l.fastBelt, q.SurfaceSpeed, in.Units))
		}
		out, logs = append(out, found), append(logs, one.log)
		if len(out) == mostNearest {
			break
		}
	}
	return out
}

// beltSpeed is the fastest that a belt of these stages runs, m/s.
func (l *searcher) beltSpeed(stages [][]*pair) float64 {
	fastest, omega := 0.0, l.fastest
	for _, steps := range stages {
		slowest := math.Inf(1)
		for _, p := range steps {
			step := p.resolved().Steps[0]
			fastest, slowest = max(fastest, reduction.BeltSpeed(step.Driver, omega)), min(slowest, step.Ratio)
		}
		omega /= slowest
	}
	return fastest
}

// nearAlike is how near two ratios lie, by their logarithms, that count as one answer.
const nearAlike = 0.15

// mostSpread is how many pairs stand for all of a family where only the nearest is looked for.
const mostSpread = 40

// spreadOut are pairs of ratios all along, those that take least room of each.
func spreadOut(pairs []*pair) []*pair {
	best := map[int]*pair{}
	span := 2 * math.Log(mostPairRatio)
	for _, p := range pairs {
		at := int((p.log + span/2) / span * mostSpread)
		if best[at] == nil {
			best[at] = p // those that take least room come first
		}
	}
	var out []*pair
	for at := range mostSpread + 1 {
		if p := best[at]; p != nil {
			out = append(out, p)
		}
	}
	return out
}

// heldBy names what holds each job that is not done.
func heldBy(f *Found) string {
	var held []string
	for i, job := range f.Jobs {
		switch {
		case job.Outcome.Done() || job.Outcome == line.CannotTell:
		case job.Outcome == line.FallsShort && f.held[i] != "":
			held = append(held, job.Name+" "+job.Margin+", held by "+string(f.held[i]))
		default:
			held = append(held, job.Name+" "+job.Margin)
		}
	}
	return words.Capital(strings.Join(held, "; "))
}
