package line

import (
	"math"

	"jiriki/core/motor"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// outcome says how a job fares.
type outcome string

const (
	doesIt      outcome = "does"        // at or above the wanted margin
	justDoes    outcome = "just"        // from 1 up to the wanted margin
	fallsShort  outcome = "short"       // under 1
	tooSlow     outcome = "too-slow"    // the spindle cannot turn fast enough
	tooFast     outcome = "too-fast"    // the spindle cannot turn slowly enough
	cannotJudge outcome = "cannot-tell" // something is missing
)

// done reports whether the job is done at all.
func (o outcome) done() bool { return o == doesIt || o == justDoes }

// reached reports whether the spindle turns at the speeds the job asks for.
func (o outcome) reached() bool { return o != tooSlow && o != tooFast }

// fare is how a job fares in one position.
type fare struct {
	outcome  outcome
	margin   float64 // least available ÷ needed over the part of the band that is reached
	omega    float64 // where it is least, rad/s at the spindle
	needed   float64 // N·m there
	held     motor.Held
	position int
	low      float64 // part of the band that is reached, rad/s
	high     float64
	starting bool    // the least is at standstill, against the breakaway pull
	near     float64 // how much of the band is reached, as a natural logarithm; negative by how far off it lies
}

// speedTolerance forgives what no tachometer would show.
const speedTolerance = 0.01

// How many speeds of a band are tried. What is to be had, over what is needed, rises then falls
// with speed for every motor and load shape here, so the least sits at an end of the band and
// the middle only guards; the best single speed may lie anywhere within.
const (
	bandSamples = 3
	anySamples  = 13
)

// fares is how every job fares in its best position.
func (t *train) fares() []fare {
	out := make([]fare, len(t.Machine.Jobs))
	for i := range t.Machine.Jobs {
		out[i] = t.best(&t.Machine.Jobs[i], t.Reduction.Positions)
	}
	return out
}

func countDone(fares []fare) int {
	n := 0
	for _, f := range fares {
		if f.outcome.done() {
			n++
		}
	}
	return n
}

// best is how a job fares in its best position.
func (t *train) best(job *work.Need, positions []reduction.Position) fare {
	if !t.runs || job.Missing != "" || len(positions) == 0 {
		return fare{outcome: cannotJudge}
	}
	found := fare{outcome: cannotJudge}
	for i := range positions {
		p := &positions[i]
		f := t.fareIn(job, p)
		f.position = i
		if found.outcome == cannotJudge || better(f, found) {
			found = f
		}
	}
	return found
}

// better prefers a reached band, then the larger margin; of two that are not reached, the one that
// reaches more of it or comes nearer to it.
func better(a, b fare) bool {
	aReached, bReached := a.outcome.reached(), b.outcome.reached()
	switch {
	case aReached != bReached:
		return aReached
	case !aReached && math.Abs(a.near-b.near) > 1e-9:
		return a.near > b.near
	}
	return a.margin > b.margin
}

func (t *train) fareIn(job *work.Need, p *reduction.Position) fare {
	low, high := t.span(p)
	// The machine's own limit is the person's to keep, by the trim; what may be used ends there.
	high = math.Min(high, t.top)
	f := fare{low: math.Max(job.Low, low), high: math.Min(job.High, high)}
	f.near = math.Log(f.high / f.low)
	if f.low > f.high {
		// No overlap: the answer is the speed, shown at the nearer end.
		if job.Low > high {
			f.outcome, f.low, f.high = tooSlow, high, high
		} else {
			f.outcome, f.low, f.high = tooFast, low, low
		}
		// A hair's breadth away is reached, but only where that reaches all that is wanted.
		nearLow, nearHigh := job.Low, job.High
		if !job.AnySpeed {
			nearLow, nearHigh = job.High, job.Low
		}
		if f.high >= nearLow*(1-speedTolerance) && f.low <= nearHigh*(1+speedTolerance) {
			f.outcome = ""
		}
	} else if !job.AnySpeed {
		switch {
		case f.high < job.High*(1-speedTolerance):
			f.outcome = tooSlow
		case f.low > job.Low*(1+speedTolerance):
			f.outcome = tooFast
		}
	}
	t.scan(job, p, &f)
	if f.outcome == "" {
		f.outcome = grade(f.margin, job.Margin)
	}
	return f
}

func grade(margin, wanted float64) outcome {
	switch {
	case margin >= wanted:
		return doesIt
	case margin >= 1:
		return justDoes
	}
	return fallsShort
}

// scan finds the least margin over the reached band, or the best single speed when any will do.
func (t *train) scan(job *work.Need, p *reduction.Position, f *fare) {
	overload := overload(job.Duty)
	samples := bandSamples
	if job.AnySpeed {
		samples = anySamples
	}
	if f.low == f.high {
		samples = 1
	}
	f.margin = math.Inf(1)
	if job.AnySpeed {
		f.margin = math.Inf(-1)
	}
	try := func(omega float64) {
		held := t.heldFor(job, omega, overload, p)
		needed := job.TorqueAt(math.Min(math.Max(omega, job.Low), job.High))
		margin := held.Torque / needed
		if job.AnySpeed && margin > f.margin || !job.AnySpeed && margin < f.margin {
			f.margin, f.omega, f.needed, f.held = margin, omega, needed, held
		}
	}
	step := math.Pow(f.high/f.low, 1/float64(max(samples-1, 1)))
	omega := f.low
	for i := range samples {
		if i == samples-1 {
			omega = f.high
		}
		try(omega)
		omega *= step
	}
	// A load joined from points may peak at any of them.
	for _, point := range job.Points {
		if job.Shape == work.PointsJoin && point.Omega >= f.low && point.Omega <= f.high {
			try(point.Omega)
		}
	}
	if job.Breakaway > 0 {
		if held := t.breakaway(p); held.Torque/job.Breakaway < f.margin {
			f.margin, f.omega, f.needed, f.held, f.starting = held.Torque/job.Breakaway, f.low, job.Breakaway, held, true
		}
	}
}

// heldFor is the torque a job may count on, by its duty.
func (t *train) heldFor(job *work.Need, omega, overload float64, p *reduction.Position) motor.Held {
	if job.Duty.Kind == "seconds" {
		return t.peak(omega, p)
	}
	return t.steady(omega, overload, p)
}

// overload is how far above continuous torque a job's on and off times let the motor work.
func overload(d work.Duration) float64 {
	if d.Kind == "cycle" {
		return motor.Overload(d.On, d.Off)
	}
	return 1
}
