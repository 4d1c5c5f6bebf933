package dryrun

import (
	"cmp"
	"errors"
	"math"

	"jiriki/core/motor"
	"jiriki/core/numeric"
	"jiriki/core/script"
)

// How finely a run is worked out.
const (
	relative  = 3e-6
	within    = 1e-6 // s to which a sudden thing is found
	mostSteps = 60_000
)

// Times around a script, s.
const (
	stillFor   = 0.5  // it is watched once all is still
	goesOn     = 5.0  // where nothing stops it
	mostCoast  = 180. // it is watched coasting
	noTurning  = 1.0  // on and not turning for so long is no start
	felt       = 15.0 // bites a second up to which each is followed
	tripsAt    = 75.  // (150 % squared less one) for 60 s [common practice]
	lineTrips  = 160. // a breaker's, which stands 2.55 × its rating for half a minute [common practice]
	relayTrips = 340. // an overload relay's of class 10, which stands 6 × for ten seconds [common practice]
	cooler     = 30.  // K under which a protector closes again [common practice]
	opensAt    = 0.75 // of synchronous speed takes the start winding out [common practice]
	closesAt   = 0.6  // of it puts it back in [common practice]
)

// errNeverEnds is what a run ends with that takes more steps than any should.
var errNeverEnds = errors.New("more steps than a run can take")

// run is a dry run on its way.
type run struct {
	moving
	script *script.Resolved
	detail detail
	ode    *numeric.ODE
	y      []float64 // the state where something happens
	steps  int
	next   int // of the script's events
	ends   float64
	still  float64 // when all stood still; +Inf while it does not

	latched   bool    // the start button was pressed, and no stop since
	tripped   Why     // what keeps it off until it is switched on again
	hot       bool    // the protector in the winding is open
	wants     float64 // what the knob asks for, a share
	turnover  bool    // it turns the other way once its ramp is down
	ramping   bool    // down, to be let go
	stretched bool    // its ramp is over, and what turns was too heavy to follow it
	arrives   float64 // s at which the ramp is there; +Inf without one
	loses     float64 // J of what sudden changes of current took

	jobEntry int // of the script, whose job is on; -1 for none
	jamEntry int // and whose jam
	watches  []watch
	log      log
}

// watch looks for a value to sink under 0 while it is looked at, and says what happens then.
type watch struct {
	on    func() bool
	value func(t float64, y []float64) float64
	act   func(t float64)
}

// detail is how closely a run is looked at.
type detail struct {
	fine     float64                  // of the usual tolerance
	endsOnly bool                     // rows are kept only where something happens
	most     int                      // steps it may take; mostSteps when 0
	goesOn   func(share float64) bool // is told how far it is, and may stop it; nil for nobody
}

// toldEvery is how many steps go by between two words on how far it is.
const toldEvery = 200

// stopped reports whether whoever waits for it has had enough.
func (d *detail) stopped(steps int, share float64) bool {
	return d.goesOn != nil && steps%toldEvery == 0 && !d.goesOn(share)
}

// usual is a run that is looked at.
var usual = detail{fine: 1}

// simulate runs a script on a machine. The error says that the numbers would not have it, or errNeverEnds that it took
// more steps than it may, or ErrStopped; the run is as far then as it came.
func simulate(m *machine, s *script.Resolved, d detail) (*run, error) {
	r := &run{moving: moving{machine: m, stuck: true, sense: 1, settled: true, powerOn: true, starts: true}, script: s,
		detail: d, arrives: math.Inf(1), still: math.Inf(1), jobEntry: -1, jamEntry: -1, y: make([]float64, states)}
	r.fed.Supply, r.fed.Limit = m.supply, m.limit
	if m.Supply.Battery {
		r.fed.Inside, r.fed.Rests = m.Supply.Inside, m.Supply.Volts
	}
	r.y[winding] = (m.start - m.ambient) / m.rise()
	r.y[casing] = r.y[winding] * caseWarm
	r.ends = s.Last() + mostCoast
	if s.Ends.Known {
		r.ends = s.Ends.SI
	}
	r.ends = min(r.ends, script.MaxSeconds)
	r.ode = numeric.NewODE(r.slope, 0, r.y, r.tolerance())
	r.watch()
	r.log.begin(r)
	for ; ; r.steps++ {
		r.happen(r.ode.Time())
		if r.over() {
			break
		}
		if r.steps > cmp.Or(d.most, mostSteps) {
			return r, errNeverEnds
		}
		if d.stopped(r.steps, r.soFar()) {
			return r, ErrStopped
		}
		if err := r.advance(); err != nil {
			return nil, err
		}
	}
	r.log.end(r)
	return r, nil
}

// caseWarm is how warm the case of a motor is that starts warm, of its winding over the shop.
const caseWarm = 0.68

// tolerance is what may be off in each part of the state: what only adds up steers no step.
func (r *run) tolerance() numeric.Tolerance {
	t := numeric.Tolerance{Relative: relative * r.detail.fine, Absolute: make([]float64, states)}
	for i := range t.Absolute {
		t.Absolute[i] = 1e12
	}
	t.Absolute[rotorSpeed] = relative * r.detail.fine * r.full
	t.Absolute[spindleSpeed] = t.Absolute[rotorSpeed] / r.turns
	t.Absolute[current] = 10 * relative * r.detail.fine * r.Motor.Amps.Value
	t.Absolute[winding], t.Absolute[casing] = 1e-5*r.detail.fine, 1e-5*r.detail.fine
	t.Absolute[angle] = 1e-3 * r.detail.fine
	for _, i := range []int{entered, spent, passed} {
		t.Absolute[i] = 1e-5 * r.detail.fine * r.Motor.Power.Value
	}
	t.Absolute[loopSum] = 10 * relative * r.detail.fine
	return t
}

// over reports whether the run has ended: at its time, or once all that was to happen has and the spindle stands.
func (r *run) over() bool {
	t := r.ode.Time()
	if t >= r.ends-within {
		return true
	}
	if r.script.Ends.Known || r.next < len(r.script.Events) {
		return false
	}
	if r.fed.On && !r.slowing() {
		return t >= r.script.Last()+goesOn
	}
	return t >= r.still+stillFor && t >= r.script.Last()+stillFor
}

// slowing reports whether a ramp is still on its way.
func (r *run) slowing() bool { return r.stretched || !math.IsInf(r.arrives, 1) }

// soFar is how much of it is done, as far as that can be told beforehand.
func (r *run) soFar() float64 {
	return min(r.ode.Time()/min(r.ends, r.script.Last()+goesOn), 1)
}

// until is how far it may go before the next thing that happens by the clock.
func (r *run) until() float64 {
	t := min(r.ends, r.arrives)
	if r.next < len(r.script.Events) {
		t = min(t, r.script.Events[r.next].At)
	} else if !r.script.Ends.Known {
		last := r.script.Last()
		if r.fed.On && !r.slowing() {
			t = min(t, last+goesOn)
		} else {
			t = min(t, max(last, r.still)+stillFor)
		}
	}
	if !r.fed.On && !r.stuck {
		// What holds a coast back may bend with speed, so no step is longer than a tenth of full speed takes to be
		// lost.
		turns := r.turns * r.turns
		drag := max(r.load(r.ode.Time(), r.ode.State()), r.resting, within)
		t = min(t, r.ode.Time()+0.1*r.full/r.turns*(r.rest+r.rotor*turns)/drag)
	}
	return max(t, r.ode.Time()+within)
}

// advance goes one step on, or as far as the first sudden thing within it.
func (r *run) advance() error {
	if err := r.ode.Step(r.until()); err != nil {
		return err
	}
	t, first := r.ode.Time(), -1
	for i := range r.watches {
		w := &r.watches[i]
		if !w.on() {
			continue
		}
		if at, crossed := r.ode.Crossing(w.value, within); crossed && (first < 0 || at < t) {
			t, first = at, i
		}
	}
	r.log.span(r, t)
	if first >= 0 {
		r.ode.Within(t, r.y)
		r.catch(t)
		r.watches[first].act(t)
		r.goOn(t)
		return nil
	}
	r.ride(t)
	return nil
}

// goOn takes the motion up again from r.y, where it may start, stop, grip or slip at once.
func (r *run) goOn(t float64) {
	r.riding = false
	r.settleCurrent(t)
	r.settleMotion(t)
	r.ode.Restart(t, r.y)
	r.log.mark(r, t)
}

// settleMotion puts grip and standstill as the torques at this moment have it.
func (r *run) settleMotion(t float64) {
	m := r.moment(t, r.y)
	if r.slipping && r.rel*(r.y[rotorSpeed]-r.turns*r.y[spindleSpeed]) <= slipFloor {
		r.y[rotorSpeed] = r.turns * r.y[spindleSpeed]
		r.slipping = false
	}
	if r.stuck {
		r.leave(t, &m)
	}
	if !r.slipping {
		pull := r.pulls(t, &m, r.y)
		if math.Abs(pull) <= sticks*r.grip(r.y) {
			r.rests = false
			return
		}
		r.slipping, r.rel = true, math.Copysign(1, pull)
		r.log.add(t, Slips)
	}
	r.settleRotor(&m)
}

// sticks is how much more than it holds while it slips a belt or clutch holds until it does [common practice].
const sticks = 1.05

// settleRotor puts which way a rotor that slips turns, or that it stands.
func (r *run) settleRotor(m *motor.Moment) {
	if r.rests = false; r.y[rotorSpeed] != 0 {
		r.spin = math.Copysign(1, r.y[rotorSpeed])
		return
	}
	pushed := m.Torque - r.grip(r.y)*r.rel
	r.rests = math.Abs(pushed) <= m.Drag
	r.spin = math.Copysign(1, pushed)
}

// slipFloor is how little slip is none, rad/s.
const slipFloor = 1e-9

// leave lets the spindle go where what reaches it passes what holds it.
func (r *run) leave(t float64, m *motor.Moment) {
	pull := stuckPull(m)
	if r.slipping {
		pull = r.grip(r.y) * r.rel
	} else if grip := r.grip(r.y); math.Abs(pull) > sticks*grip {
		pull = math.Copysign(grip, pull)
	}
	reaches := pull * r.turns * r.keeps
	if math.Abs(reaches) > r.holds(t, r.y) {
		r.stuck, r.sense = false, math.Copysign(1, reaches)
		r.still = math.Inf(1)
		r.log.add(t, Leaves)
	}
}

// stands is a spindle that has come to rest: it stays, or turns back at once.
func (r *run) stands(t float64) {
	r.y[spindleSpeed] = 0
	if !r.slipping {
		r.y[rotorSpeed] = 0
	}
	r.stuck = true
	r.still = t
	r.log.add(t, Stands)
}

// catch keeps how it stands, and the current of an armature that has settled, before what is about to change it.
func (r *run) catch(t float64) {
	r.log.mark(r, t)
	if r.settled {
		if m := r.moment(t, r.y); m.Settle > 0 {
			r.y[current] = m.Amps
		}
	}
}

// settleCurrent begins or ends to follow the armature's current, and keeps the books of what is stored in it.
func (r *run) settleCurrent(t float64) {
	was, stored := r.settled, r.Motor.DC.Henries*r.y[current]*r.y[current]/2
	r.settled = true
	if m := r.moment(t, r.y); m.Settle > 0 {
		r.settled = math.Abs(m.Amps-r.y[current]) <= currentSettled*r.Motor.Amps.Value
	}
	switch {
	case was && !r.settled:
		r.loses -= stored
	case !was && r.settled:
		r.loses += stored
	}
}

// currentSettled is how near to what the volts push a current counts as there, of plate amps.
const currentSettled = 1e-4
