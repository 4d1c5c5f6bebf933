package line

import (
	"math"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// Worth is a result's margin against the one wanted; a band not reached counts by how near it comes.
func (f Result) Worth(wanted float64) float64 {
	switch f.Outcome {
	case TooSlow, TooFast:
		return 0.01 * min(f.Margin/wanted, 1)
	}
	return f.Margin / wanted
}

// Withhold takes back that jobs are done, where they were judged by what stands in for an entry.
func Withhold(results []Result) {
	for i := range results {
		if results[i].Outcome.Done() {
			results[i].Outcome = CannotTell
		}
	}
}

// Outcome says how a job comes out.
type Outcome string

const (
	Does       Outcome = "does"        // at or above the wanted margin
	JustDoes   Outcome = "just"        // from 1 up to the wanted margin
	FallsShort Outcome = "short"       // under 1
	TooSlow    Outcome = "too-slow"    // the spindle cannot turn fast enough
	TooFast    Outcome = "too-fast"    // the spindle cannot turn slowly enough
	FallsOff   Outcome = "falls"       // its speed falls under it by more than it may
	CannotTell Outcome = "cannot-tell" // something is missing
)

// Done reports whether the job is done at all.
func (o Outcome) Done() bool { return o == Does || o == JustDoes }

// Reached reports whether the spindle turns at the speeds the job asks for.
func (o Outcome) Reached() bool { return o != TooSlow && o != TooFast }

// Result is how a job comes out in one position.
type Result struct {
	Outcome   Outcome
	Margin    float64 // least available ÷ needed over the part of the band that is reached
	Omega     float64 // where it is least, rad/s at the spindle
	Needed    float64 // N·m there
	Own       float64 // N·m of that which turns the motor's rotor and the wheels, and passes no belt at the spindle
	Available motor.Limited
	Position  int
	Low       float64 // part of the band that is reached, rad/s
	High      float64
	Biting    bool // the least is in the bite of a cut that comes and goes, with what turns giving its share
	Starting  bool // the least is at standstill, against what it takes to start it
	// StartMargin is what there is at standstill over what it takes; +Inf where nothing holds it back.
	StartMargin float64
	reached     float64 // fastest over slowest of what is reached of the band; under 1 by how far off it lies
}

// SpeedTolerance forgives a limit passed by what no tachometer would show.
const SpeedTolerance = 0.01

// ReachTolerance is how near a speed that is asked for counts as reached [common practice].
const ReachTolerance = 0.03

// How many speeds of a band are tried. What is to be had, over what is needed, rises then falls
// with speed for every motor and load shape here, so the least sits at an end of the band and
// the middle only guards; the best single speed may lie anywhere within.
const (
	bandSamples = 3
	anySamples  = 13
)

// Results is how every job comes out in its best position.
func (t *Model) Results() []Result {
	out := make([]Result, len(t.Machine.Jobs))
	for i := range t.Machine.Jobs {
		out[i] = t.Best(&t.Machine.Jobs[i], t.Reduction.Positions)
	}
	return out
}

// CountDone is how many of the jobs are done.
func CountDone(results []Result) int {
	n := 0
	for _, f := range results {
		if f.Outcome.Done() {
			n++
		}
	}
	return n
}

// Best is how a job comes out in its best position.
func (t *Model) Best(job *work.Need, positions []reduction.Position) Result {
	return t.BestBeside(&Result{Outcome: CannotTell}, job, positions)
}

// Taking is how a job comes out in its best position with so many times its load.
func (t *Model) Taking(job *work.Need, times float64, positions []reduction.Position) Result {
	of := job.Takes(times)
	return t.Best(&of, positions)
}

// HangsOnLoad reports whether a job whose load is a usual one, and which the most of it is too much for, would be done
// by the least of it.
func (t *Model) HangsOnLoad(job *work.Need, positions []reduction.Position) bool {
	return job.Usual.Is() && t.Taking(job, job.Usual.Least, positions).Outcome.Done()
}

// BestBeside is [Model.Best] beside a result that is known, in a position that is not among these: it stands
// unless one of them is better.
func (t *Model) BestBeside(known *Result, job *work.Need, positions []reduction.Position) Result {
	found := *known
	if !t.Runs || job.Missing != "" {
		return found
	}
	for i := range positions {
		f, beats := t.speedsIn(job, &positions[i]), math.Inf(-1)
		if found.Outcome != CannotTell {
			byMargin, better := bySpeeds(&f, &found)
			switch {
			case byMargin && found.Outcome != FallsOff:
				beats = found.Margin
			case !byMargin && !better:
				continue
			}
		}
		f.Position = i
		t.scan(job, &positions[i], &f, beats)
		if f.Outcome == "" {
			f.Outcome = grade(f.Margin, job.Margin)
			if job.Fall > 0 && f.Outcome.Done() && t.fallIn(job, &positions[i], &f) > job.Fall {
				f.Outcome = FallsOff
			}
		}
		if found.Outcome == CannotTell || Better(&f, &found) {
			found = f
		}
	}
	return found
}

// Better prefers a reached band, then the job done, then the larger margin; of two that are not reached, the one that
// reaches more of it or comes nearer to it.
func Better(a, b *Result) bool {
	if byMargin, better := bySpeeds(a, b); !byMargin {
		return better
	}
	if aFalls, bFalls := a.Outcome == FallsOff,
		b.Outcome == FallsOff; aFalls != bFalls && a.Outcome.Done() != b.Outcome.Done() {
		return bFalls
	}
	return a.Margin > b.Margin
}

// Lessens reports whether a result leaves a job less short than another by what is worth a word: the speeds it reaches,
// or its margin, are a hundredth better.
func Lessens(now, was *Result) bool {
	const worth = 1.01
	switch nowReached, wasReached := now.Outcome.Reached(), was.Outcome.Reached(); {
	case nowReached && wasReached:
		return now.Margin > was.Margin*worth
	case !nowReached && !wasReached:
		return now.Outcome == was.Outcome && now.reached > was.reached*worth
	default:
		return nowReached && now.Margin > 0
	}
}

// bySpeeds compares two results by the speeds they reach: whether it takes their margins to tell, or else whether
// a is the better.
func bySpeeds(a, b *Result) (byMargin, better bool) {
	aReached, bReached := a.Outcome.Reached(), b.Outcome.Reached()
	switch {
	case aReached != bReached:
		return false, aReached
	case !aReached && math.Abs(a.reached/b.reached-1) > 1e-9:
		return false, a.reached > b.reached
	}
	return true, false
}

// speedsIn is what a position reaches of a job's speeds; without an outcome where the torque decides.
func (t *Model) speedsIn(job *work.Need, p *reduction.Position) Result {
	low, high := t.Span(p)
	if t.Powered.FixedSpeed() {
		low, high = t.runningAt(job, p, low)
	}
	// The machine's own limit is the person's to keep, by the trim; what may be used ends there.
	high = min(high, t.TopSpeed)
	f := Result{Low: max(job.Low, low), High: min(job.High, high)}
	f.reached = f.High / f.Low
	if f.Low > f.High {
		// No overlap: the answer is the speed, shown at the nearer end.
		if job.Low > high {
			f.Outcome, f.Low, f.High = TooSlow, high, high
		} else {
			f.Outcome, f.Low, f.High = TooFast, low, low
		}
		// A hair's breadth away is reached, but only where that reaches all that is wanted.
		nearLow, nearHigh := job.Low, job.High
		if !job.AnySpeed {
			nearLow, nearHigh = job.High, job.Low
		}
		if f.High >= nearLow*(1-ReachTolerance) && f.Low <= nearHigh*(1+ReachTolerance) {
			f.Outcome = ""
		}
	} else if !job.AnySpeed {
		switch {
		case f.High < job.High*(1-ReachTolerance):
			f.Outcome = TooSlow
		case f.Low > job.Low*(1+ReachTolerance):
			f.Outcome = TooFast
		}
	}
	return f
}

// runningAt is the one speed at which a motor on the line carries a job in a position, twice: where its own curve
// meets the load. One that would carry it only past its rated load is shown at that: torque decides there.
func (t *Model) runningAt(job *work.Need, p *reduction.Position, rated float64) (low, high float64) {
	omega, ok := t.Powered.RunsAt(func(omega float64) float64 {
		return job.TorqueAt(min(max(omega/p.Ratio, job.Low), job.High)) / (p.Ratio * p.Efficiency)
	})
	if omega /= p.Ratio; !ok || omega < rated {
		omega = rated
	}
	return omega, omega
}

func grade(margin, wanted float64) Outcome {
	switch {
	case margin >= wanted:
		return Does
	case margin >= 1:
		return JustDoes
	}
	return FallsShort
}

// scan finds the least margin over the reached band, or the best single speed when any will do. It looks no
// further once the margin is seen not to be over beats, what another position has.
func (t *Model) scan(job *work.Need, p *reduction.Position, f *Result, beats float64) {
	overload := t.DutyOverload(job.Duty)
	samples := bandSamples
	if job.AnySpeed {
		samples = anySamples
	}
	if f.Low == f.High {
		samples = 1
	}
	f.Margin = math.Inf(1)
	if job.AnySpeed {
		f.Margin = math.Inf(-1)
	}
	f.Own = t.ownTorque(job, p)
	inertia, share := t.carries(job, p)
	try := func(omega float64) {
		available := t.AvailableFor(job, omega, overload, p)
		needed := job.Heats(min(max(omega, job.Low), job.High), inertia, share) + f.Own
		margin := available.Torque / needed
		if job.AnySpeed && margin > f.Margin || !job.AnySpeed && margin < f.Margin {
			f.Margin, f.Omega, f.Needed, f.Available = margin, omega, needed, available
		}
	}
	step := math.Sqrt(f.High / f.Low) // to the middle and to the end
	if samples != bandSamples {
		step = math.Pow(f.High/f.Low, 1/float64(max(samples-1, 1)))
	}
	omega := f.Low
	for i := range samples {
		if i == samples-1 {
			omega = f.High
		}
		try(omega)
		if !job.AnySpeed && f.Margin <= beats {
			return
		}
		omega *= step
	}
	// A load joined from points may peak at any of them.
	for _, point := range job.Points {
		if job.Shape == work.PointsJoin && point.Omega >= f.Low && point.Omega <= f.High {
			try(point.Omega)
		}
	}
	if job.Bites.Ratio > 0 {
		t.scanBites(job, p, f)
	}
	f.StartMargin = math.Inf(1)
	if needed := job.Start.Torque; needed > 0 {
		available := t.Breakaway(p)
		f.StartMargin = available.Torque / needed
		if f.StartMargin < f.Margin {
			f.Margin, f.Omega, f.Needed, f.Available, f.Starting = f.StartMargin, f.Low, needed, available, true
		}
	}
}

// givesUp is the share of its speed that what turns may lose in a bite where the job does not say [common practice].
const givesUp = 0.03

// carries is what turns (kg·m² at the spindle) and the share of its speed that it may lose in a bite.
func (t *Model) carries(job *work.Need, p *reduction.Position) (inertia, share float64) {
	if share = job.Fall; share == 0 {
		share = givesUp
	}
	return t.OwnInertia(p) + t.Machine.Flywheel, share
}

// scanBites holds the most a cut asks in its bites against what there is for some seconds, at the ends of the band.
func (t *Model) scanBites(job *work.Need, p *reduction.Position, f *Result) {
	inertia, share := t.carries(job, p)
	for _, omega := range []float64{f.Low, f.High} {
		available := t.Peak(omega, p)
		needed := job.InTheBite(min(max(omega, job.Low), job.High), inertia, share)
		if margin := available.Torque / needed; margin < f.Margin {
			f.Margin, f.Omega, f.Needed, f.Available, f.Biting = margin, omega, needed, available, true
		}
	}
}

// AvailableFor is the torque a job may count on, by its duty.
func (t *Model) AvailableFor(job *work.Need, omega, overload float64, p *reduction.Position) motor.Limited {
	if job.Duty.Kind == "seconds" {
		return t.Peak(omega, p)
	}
	return t.Steady(omega, overload, p)
}

// DutyOverload is how far above continuous torque a job's on and off times let the motor work.
func (t *Model) DutyOverload(d work.Duration) float64 {
	if d.Kind == "cycle" {
		return t.Motor.Overload(d.On, d.Off)
	}
	return 1
}

// JobOutcome is how one job comes out with a candidate.
type JobOutcome struct {
	Name    string  `json:"name"`
	Outcome Outcome `json:"outcome" enum:"does,just,short,falls,too-slow,too-fast,cannot-tell"`
	Margin  string  `json:"margin"`
}

// Told is how a job comes out with a candidate, as it is told: where its load is a usual one, by the most and by the
// least of it.
func (t *Model) Told(job *work.Need, f Result, positions []reduction.Position) JobOutcome {
	out := JobOutcome{Name: job.Name, Outcome: f.Outcome, Margin: f.MarginText()}
	if f.Outcome != CannotTell && !f.Outcome.Done() && t.HangsOnLoad(job, positions) {
		least := t.Taking(job, job.Usual.Least, positions)
		out.Outcome = CannotTell
		out.Margin = "×" + q.Figures(f.Margin, 3) + " to ×" + q.Figures(least.Margin, 3)
	}
	return out
}

// MarginText writes how a job comes out in a few characters.
func (f Result) MarginText() string {
	switch f.Outcome {
	case FallsOff:
		return "its speed falls too far"
	case CannotTell:
		return "not known"
	case TooSlow:
		return "not fast enough"
	case TooFast:
		return "not slow enough"
	}
	return "×" + q.Figures(f.Margin, 3)
}

// StartText says in a few words how a job's machine starts.
func (f Result) StartText() string {
	switch {
	case math.IsInf(f.StartMargin, 1):
		return "starts it"
	case f.StartMargin < 1:
		return "will not start it, ×" + q.Figures(f.StartMargin, 2)
	}
	return "starts it, ×" + q.Figures(f.StartMargin, 2)
}
