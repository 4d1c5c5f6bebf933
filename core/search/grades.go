package search

import (
	"math"
	"math/bits"

	"jiriki/core/line"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// A search meets far more ratios than it can judge one by one, and a ratio a fifth of a per cent
// off is beyond what any belt holds. So jobs are judged once on a fine grid of ratios, and every
// reduction found is looked up in it by the nearest.

const (
	gradeSpacing = 0.004 // of the natural logarithm of the ratio
	gradeStep    = 0.05  // margins are ranked in steps of so much
	bestWorth    = 2.0   // over twice the margin wanted more is no better
	notReached   = int8(-100)
)

// grades tells for each ratio how every job comes out.
type grades struct {
	low   float64 // ln of the first ratio
	jobs  int
	done  []uint64 // jobs done, a bit each; 0 where the spindle would overspeed and nothing can trim it
	trim  []bool   // where the top speed must be trimmed to keep the machine's limit
	steps []int8   // grid × jobs: margin against the one wanted, in steps; notReached
	worst []int8   // the least of them over the jobs reached
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
		steps: make([]int8, n*len(jobs)), worst: make([]int8,
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
func worthStep(worth float64) int8 {
	if !(worth > 0) {
		return notReached + 1
	}
	return int8(max(math.Floor(math.Log(min(worth, bestWorth))/gradeStep+1e-9), float64(notReached)+1))
}

// least is the smallest of the steps reached.
func least(steps []int8) int8 {
	worst := int8(math.MaxInt8)
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

// joined is how the jobs come out with a choice of positions, each at its place in the grid.
func (g *grades) joined(places []int) (done uint64, worst int8, trim bool) {
	worst = math.MaxInt8
	for _, i := range places {
		done |= g.done[i]
		trim = trim || g.trim[i]
	}
	for j := range g.jobs {
		best := notReached
		for _, i := range places {
			best = max(best, g.steps[i*g.jobs+j])
		}
		if best > notReached {
			worst = min(worst, best)
		}
	}
	return done, worst, trim
}

// count is how many jobs a set has.
func count(done uint64) int { return bits.OnesCount64(done) }
