package dryrun

import (
	"math"

	"jiriki/core/motor"
	"jiriki/core/reduction"
	"jiriki/core/script"
)

// row is what a run was like at a time.
type row struct {
	t                        float64
	rotor, spindle           float64 // rad/s
	amps, torque, volts      float64 // of the motor; N·m at its shaft
	in                       float64 // W
	passed                   float64 // N·m at the spindle
	winding, casing          float64 // °C
	by                       motor.Limit
	on, stuck, slips, starts bool
	entry                    int     // of the script, whose load is on; -1 for none
	bus                      float64 // J
	bears                    float64 // torque at the spindle over what reduction and keys bear for some seconds
}

// happened is something a run did by itself.
type happened struct {
	t    float64
	what What
	why  Why
	e    *script.Timed
}

// What a run can do.
type What string

// What can happen by itself, or because the script asks.
const (
	Asked        What = "asked"         // by the script
	Leaves       What = "turns"         // the spindle leaves rest
	Stands       What = "stands"        // it has come to rest
	Slips        What = "slips"         // belt or clutch lets go
	Grips        What = "grips"         // and takes hold again
	Trips        What = "trips"         // something puts it off
	StartsItself What = "starts-itself" // nobody pressed anything
	WindingOut   What = "winding-out"   // the start switch opened
	WindingIn    What = "winding-in"    // and closed
	Powered      What = "powered"       // the motor got power
	Unpowered    What = "unpowered"     // and lost it
	NoReverse    What = "no-reverse"    // there is nothing to reverse it with
	KeepsTurning What = "keeps-turning" // it was reversed and took no notice
	Plugged      What = "plugged"       // reversed while it turned
	OutOfReach   What = "out-of-reach"  // a speed is asked for it does not get to
)

// log is what is kept of a run.
type log struct {
	rows   []row
	events []happened
	gap    float64 // s between rows at the most
	y      []float64
}

func (l *log) begin(r *run) {
	l.gap = max(r.script.Last()/rowsASpan, r.script.Ends.Or(0)/rowsASpan, leastGap)
	if r.detail.endsOnly {
		l.gap = math.Inf(1)
	}
	l.y = make([]float64, states)
	l.rows = make([]row, 0, 64)
	l.take(r, 0, r.y)
}

// How finely rows are kept.
const (
	rowsASpan = 500
	leastGap  = 0.01 // s
)

// take keeps a row.
func (l *log) take(r *run, t float64, y []float64) {
	m := r.moment(t, y)
	one := row{t: t, rotor: y[rotorSpeed], spindle: y[spindleSpeed], amps: m.Amps, torque: m.Torque, volts: m.Volts,
		in: m.In + m.Out, winding: r.fed.Winding, casing: r.fed.Case, by: m.By, on: r.fed.On, stuck: r.stuck,
		slips: r.slipping, starts: r.starts, entry: r.entry(), bus: y[bus]}
	one.passed = r.passing(t, &m, y)
	one.bears = r.bears(one.passed, math.Abs(y[spindleSpeed]))
	l.rows = append(l.rows, one)
}

// entry is which of the script's events has its load on: a jam before the job it jams.
func (r *run) entry() int {
	if r.jamEntry >= 0 {
		return r.jamEntry
	}
	return r.jobEntry
}

// passing is the torque that reaches the spindle through the reduction, N·m ≥ 0.
func (r *run) passing(t float64, m *motor.Moment, y []float64) float64 {
	pull := math.Inf(1)
	if !r.slipping {
		pull = math.Abs(r.pulls(t, m, y))
	}
	if r.slips {
		pull = min(pull, r.grip(y))
	}
	return pull * r.turns * r.keeps
}

// bears is a torque at the spindle over what reduction and keys bear for some seconds at a speed; 0 where they surely
// bear it.
func (r *run) bears(torque, omega float64) float64 {
	if r.position.Surely(torque, omega, reduction.OverloadShare) {
		return 0
	}
	most, _ := r.position.Carries(omega, reduction.OverloadShare)
	if most == 0 {
		return 0
	}
	return torque / most
}

// span keeps rows of the last step up to a time within it, as far apart as rows are.
func (l *log) span(r *run, to float64) {
	gap := l.gap
	if dc := &r.Motor.DC; !r.settled && !r.detail.endsOnly {
		gap = min(gap, dc.Henries/dc.Resistance.Value/rowsASettling)
	}
	for t := l.rows[len(l.rows)-1].t + gap; t < to; t += gap {
		r.ode.Within(t, l.y)
		l.take(r, t, l.y)
	}
}

// rowsASettling is how many rows an armature's current gets while it comes in, for each of its own times.
const rowsASettling = 20

// mark keeps a row after something sudden, and end the last one.
func (l *log) mark(r *run, t float64) { l.take(r, t, r.y) }
func (l *log) end(r *run)             { copy(r.y, r.ode.State()) }

func (l *log) add(t float64, what What) { l.events = append(l.events, happened{t: t, what: what}) }

func (l *log) event(t float64, e *script.Timed) {
	l.events = append(l.events, happened{t: t, what: Asked, e: e})
}

func (l *log) trips(t float64, why Why) {
	l.events = append(l.events, happened{t: t, what: Trips, why: why})
}

func (l *log) outOfReach(t float64, e *script.Timed) {
	l.events = append(l.events, happened{t: t, what: OutOfReach, e: e})
}
