package search

import (
	"math"
	"math/bits"
	"slices"

	"jiriki/core/line"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// A search meets far more ratios than it can judge one by one. So jobs are judged once on a fine
// grid of ratios, and what stands there by the nearest only says how good a reduction could be at
// most; one that might be the best is judged as it truly comes out.

const (
	gradeSpacing = 0.004 // of the natural logarithm of the ratio
	gradeStep    = 0.01  // of the natural logarithm of a margin: what is less apart counts as the same
	notReached   = int16(-30000)
	spanSlack    = 1e-9 // of the logarithm, for what rounding moves
)

// grades tells for each ratio how every job comes out.
type grades struct {
	low   float64 // ln of the first ratio
	jobs  int
	done  []uint64 // jobs done, a bit each; 0 where the spindle would overspeed and nothing can trim it
	trim  []bool   // where the top speed must be trimmed to keep the machine's limit
	steps []int16  // grid × jobs: margin against the one wanted, in steps; notReached
	worst []int16  // the least of them over the jobs reached
	most  []int16  // the most that may be between the places beside it
}

// gradesOver judges the jobs on all ratios from least to most before the kept stages, made by a stage of each of
// some families.
func (l *searcher) gradesOver(least, most float64, families ...*shelf.Family) *grades {
	efficiency, grip := 1.0, 1.0
	for _, f := range families {
		efficiency *= f.Blank.Efficiency
		grip *= 1 - f.Blank.Slip
	}
	jobs := l.Machine.Jobs
	// Places are whole multiples of the spacing, so that any two grids agree where they overlap.
	first := math.Floor(math.Log(least) / gradeSpacing)
	n := int(math.Ceil(math.Log(most)/gradeSpacing)-first) + 1
	g := &grades{low: first * gradeSpacing, jobs: len(jobs), done: make([]uint64, n), trim: make([]bool, n),
		steps: make([]int16, n*len(jobs)), worst: make([]int16,
			n)}
	positions := make([]reduction.Position, len(l.keptPositions))
	for i := range n {
		ratio := math.Exp(g.low + float64(i)*gradeSpacing)
		for k, p := range l.keptPositions {
			p.Ratio *= ratio
			p.Unslipped *= ratio * grip
			p.Efficiency *= efficiency
			positions[k] = p
		}
		l.grade(g, i, positions)
	}
	// Near the top of its speeds a motor's torque falls steeply: between two places it may be what it is at either.
	g.most = slices.Clone(g.worst)
	for i := range g.most {
		g.most[i] = max(g.worst[max(i-1, 0)], g.worst[i], g.worst[min(i+1, n-1)])
	}
	return g
}

func (l *searcher) grade(g *grades, i int, positions []reduction.Position) {
	steps := g.steps[i*g.jobs : (i+1)*g.jobs]
	for k := range positions {
		if l.Top(&positions[k]) > l.TopSpeed*(1+line.SpeedTolerance) {
			g.trim[i] = true
		}
	}
	legal := !g.trim[i] || !l.Powered.FixedSpeed()
	for j := range l.Machine.Jobs {
		steps[j] = notReached
		if !legal || l.Machine.Jobs[j].Missing != "" {
			continue
		}
		f := l.Best(&l.Machine.Jobs[j], positions)
		if f.Outcome.Reached() {
			steps[j] = worthStep(f.Margin / l.Machine.Jobs[j].Margin)
		}
		if f.Outcome.Done() {
			g.done[i] |= 1 << j
		}
	}
	g.worst[i] = least(steps)
}

// worthStep puts a margin against the one wanted into steps, 0 where it is just as wanted.
func worthStep(worth float64) int16 {
	if !(worth > 0) {
		return notReached + 1
	}
	step := math.Floor(math.Log(worth)/gradeStep + 1e-9)
	return int16(min(max(step, float64(notReached)+1), -float64(notReached)))
}

// least is the smallest of the steps reached.
func least(steps []int16) int16 {
	worst := int16(math.MaxInt16)
	for _, s := range steps {
		if s > notReached && s < worst {
			worst = s
		}
	}
	return worst
}

// at is the place of a ratio's logarithm in the grid, or -1 outside it.
func (g *grades) at(log float64) int {
	i := int((log-g.low)/gradeSpacing + 0.5)
	if i < 0 || i >= len(g.done) {
		return -1
	}
	return i
}

// span is from one logarithm of a ratio to another.
type span struct{ from, to float64 }

// spans are where some job is done: what is nearest to a place where one is.
func (g *grades) spans() []span {
	var out []span
	for i, done := range g.done {
		from := g.low + (float64(i)-0.5)*gradeSpacing - spanSlack
		to := from + gradeSpacing + 2*spanSlack
		switch {
		case done == 0:
		case i > 0 && g.done[i-1] != 0:
			out[len(out)-1].to = to
		default:
			out = append(out, span{from, to})
		}
	}
	return out
}

// joined is how the jobs come out with a choice of positions, each at its place in the grid: which are done, and the
// most that the least margin may be.
func (g *grades) joined(places []int) (done uint64, worst int16, trim bool) {
	worst = math.MaxInt16
	for _, i := range places {
		done |= g.done[i]
		trim = trim || g.trim[i]
	}
	for j := range g.jobs {
		best := notReached
		for _, i := range places {
			for n := max(i-1, 0); n <= min(i+1, len(g.done)-1); n++ {
				best = max(best, g.steps[n*g.jobs+j])
			}
		}
		if best > notReached {
			worst = min(worst, best)
		}
	}
	return done, worst, trim
}

// count is how many jobs a set has.
func count(done uint64) int { return bits.OnesCount64(done) }
