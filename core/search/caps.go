package search

import (
	"math"

	"jiriki/core/line"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// caps bound from above what a belt lets each job have, so that the inner loop of a search need not judge what
// cannot be the best: per pair and job, in the steps of [worthStep].
type caps struct {
	jobs  int
	steps []int16
}

// capSlack is how much a bound is above what it bounds may come out, in steps: a grid's ratio is a fifth of a per
// cent off, and a band's ends within what counts as reached.
const capSlack = 5

// lastCaps are those of pairs on the last shaft before the kept stages.
func (l *searcher) lastCaps(pairs []*pair) *caps {
	c := l.newCaps(pairs)
	for n, p := range pairs {
		l.room.stages = append(append(l.room.stages[:0], *p.resolved()), l.kept...)
		positions := l.positionsOf(l.room.stages, nil)
		for j := range l.Machine.Jobs {
			c.steps[n*c.jobs+j] = most(&l.Machine.Jobs[j], func(omega, overload float64) float64 {
				best := 0.0
				for i := range positions {
					torque, _ := positions[i].Carries(omega, overload)
					best = max(best, torque)
				}
				return best
			})
		}
	}
	return c
}

// firstCaps are those of pairs with another stage after them, whose ratio comes on top: the pull is taken as at
// rest, which is its most.
func (l *searcher) firstCaps(pairs []*pair, keepsAfter float64) *caps {
	c := l.newCaps(pairs)
	kept := 0.0
	for i := range l.keptPositions {
		kept = max(kept, l.keptPositions[i].Ratio*l.keptPositions[i].Efficiency)
	}
	var alone [1]reduction.Position
	for n, p := range pairs {
		l.room.stages = append(l.room.stages[:0], *p.resolved())
		alone[0].Set(l.room.stages, l.room.first[:1])
		atRest, _ := alone[0].Carries(0, 1)
		atRest *= keepsAfter * kept
		for j := range l.Machine.Jobs {
			carried := func(_, overload float64) float64 { return atRest * overload }
			c.steps[n*c.jobs+j] = most(&l.Machine.Jobs[j], carried)
		}
	}
	return c
}

func (l *searcher) newCaps(pairs []*pair) *caps {
	jobs := len(l.Machine.Jobs)
	return &caps{jobs: jobs, steps: make([]int16, len(pairs)*jobs)}
}

// most bounds a job's margin by what is carried at a speed of the spindle (rad/s).
func most(job *work.Need, carries func(omega, overload float64) float64) int16 {
	if job.Missing != "" {
		return math.MaxInt16
	}
	overload := 1.0
	if job.Duty.Kind == "seconds" {
		overload = reduction.OverloadShare
	}
	// What a belt carries falls with speed, so that over a band held all through, the ends tell; where one speed will
	// do, the slow end carries most and the least load may be anywhere.
	worth := math.Inf(1)
	if job.AnySpeed {
		least := min(job.TorqueAt(job.Low), job.TorqueAt(job.High))
		for _, p := range job.Points {
			least = min(least, p.Torque)
		}
		worth = carries(job.Low*(1-line.ReachTolerance), overload) / least
	} else {
		for _, omega := range []float64{job.Low, job.High} {
			worth = min(worth, carries(omega*(1-line.ReachTolerance), overload)/job.TorqueAt(omega))
		}
	}
	step := worthStep(worth / job.Margin)
	return min(step, math.MaxInt16-capSlack) + capSlack
}

// of is the bound over the jobs of a set.
func (c *caps) of(pair int, done uint64) int16 {
	bound := int16(math.MaxInt16)
	for j := range c.jobs {
		if done&(1<<j) != 0 {
			bound = min(bound, c.steps[pair*c.jobs+j])
		}
	}
	return bound
}

// doneSteps are the least margins, against those wanted, with which each job is done at all.
func (l *searcher) doneSteps() []int16 {
	out := make([]int16, len(l.Machine.Jobs))
	for j := range out {
		out[j] = worthStep(1 / l.Machine.Jobs[j].Margin)
	}
	return out
}

// cannot are the jobs that a pair does not carry however it is driven, with a ratio's logarithm on top of it.
func (c *caps) cannot(pair int, log float64, done []int16) (jobs uint64) {
	for j := range c.jobs {
		if raised(c.steps[pair*c.jobs+j], log) < done[j] {
			jobs |= 1 << j
		}
	}
	return jobs
}

// raised is a step with a ratio's logarithm on top.
func raised(step int16, log float64) int16 {
	return int16(min(float64(step)+log/gradeStep, math.MaxInt16))
}
