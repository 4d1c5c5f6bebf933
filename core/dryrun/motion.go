package dryrun

import (
	"math"

	"jiriki/core/motor"
	"jiriki/core/work"
)

// Components of the state.
const (
	rotorSpeed   = iota // rad/s
	spindleSpeed        // rad/s
	current             // A, while it has not settled
	winding             // share of the rated rise over the shop
	casing              // the same of the case
	angle               // rad the spindle has turned while a cut bites
	loopSum             // of a control that steadies the speed, a share of rated torque
	drivePast           // A²s past its rating, in shares of it squared
	lineHeat            // the same of the breaker
	relayHeat           // and of an overload relay
	bus                 // J the drive's capacitors hold over what they hold at rest
	drained             // J out of the supply
	entered             // J into the motor and what its current passes
	spent               // J of that which is no motion any more: heat, what the load and its own friction took
	passed              // J of that lost in reduction, clutch and belts that slip
	braked              // J of that in a resistor across the armature
	burnt               // J of what came back to a drive, in its brake resistor
	states
)

// moving is how the state moves between two sudden things: everything that only they change.
type moving struct {
	*machine
	fed       motor.Fed
	backwards bool    // the control turns it the other way
	set       float64 // what the control asks for at the time from
	from      float64 // s
	rate      float64 // of the ramp, a share each second
	target    float64

	slipping bool    // rotor and spindle go their own ways
	rel      float64 // which way they slip, ±1
	rests    bool    // the rotor stands while it slips
	spin     float64 // which way the rotor turns while it slips, ±1
	stuck    bool    // the spindle stands
	sense    float64 // which way the spindle turns, ±1
	settled  bool    // the current is what the volts push, and no state

	job     *work.Need // whose load is on
	torque  float64    // N·m in place of the job's own; 0 for that
	jam     float64    // N·m besides
	onSince float64    // s at which it came on
	biting  bool       // its bites are slow enough to be felt one by one
	powerOn bool       // there is power at the socket
	starts  bool       // the start winding is in
	drag    float64    // N·m of the rotor's own, at the last moment that was asked for
	loss    float64    // of what the rotor gives the reduction keeps so much, then
	riding  bool       // at the speed where motor and load balance, which is followed and not integrated
}

// setAt is what the control asks for at a time.
func (v *moving) setAt(t float64) float64 {
	if v.rate == 0 {
		return v.set
	}
	now := v.set + v.rate*(t-v.from)
	if v.rate > 0 {
		return min(now, v.target)
	}
	return max(now, v.target)
}

// way is which way the control turns the rotor, ±1.
func (v *moving) way() float64 {
	if v.backwards {
		return -1
	}
	return 1
}

// moment is what the motor does in a state, its torque in the rotor's own sense.
func (v *moving) moment(t float64, y []float64) motor.Moment {
	v.fed.Set = v.setAt(t)
	v.fed.Winding, v.fed.Case = v.celsius(y[winding]), v.celsius(y[casing])
	v.fed.Carries, v.fed.Amps = !v.settled, y[current]
	// A drive's gain stays as it is set, for all that turns: one that fell as the belt slips would let it grip at
	// once, and slip again, for ever.
	turns := min(v.rotor+v.rest/(v.turns*v.turns), loopHeaviest*v.rotor)
	v.fed.Loop = motor.Loop{Gain: max(v.gain*turns, v.stiff), Sum: y[loopSum]}
	way := v.way()
	m := v.Powered.At(y[rotorSpeed]*way, &v.fed)
	m.Torque *= way
	m.Drag = v.ownDrag(m.Drag, y[spindleSpeed])
	v.drag, v.loss = m.Drag, v.keeps
	if v.coasts.Known && !v.fed.On && v.fed.Brake == 0 {
		// What is lost in the reduction is in what it was measured to coast by.
		v.loss = 1
	}
	return m
}

// comesOn is how long a cut takes to come on, s: no hand and no feed is quicker [common practice].
const comesOn = 0.2

// load is the torque that holds the spindle back while it turns, N·m ≥ 0.
func (v *moving) load(t float64, y []float64) float64 {
	load := v.rubs(y[spindleSpeed], v.drag)
	if v.job != nil {
		there := min((t-v.onSince)/comesOn, 1)
		load = max(load, there*v.cut(math.Abs(y[spindleSpeed]), y[angle]))
	}
	return load + v.jam
}

// cut is what the job that is on takes at a spindle speed, N·m.
func (v *moving) cut(omega, turned float64) float64 {
	torque := v.torque
	if torque == 0 {
		at := omega
		if v.job.Shape != work.TorqueWithN {
			at = max(omega, v.job.Low) // slower than its band it takes no more than at its slow end
		}
		torque = v.job.TorqueAt(at)
	}
	if v.biting {
		torque *= v.job.Bites.At(turned)
	}
	return torque
}

// holds is the torque that must be passed for the spindle to leave rest and go on turning, N·m.
func (v *moving) holds(t float64, y []float64) float64 {
	holds := max(v.resting, v.load(t, y)-v.jam)
	if v.job != nil {
		start := v.job.Start.Torque
		if v.torque > 0 {
			start *= v.torque / max(v.job.TorqueAt(v.job.Low), 1e-9)
		}
		holds = max(holds, start)
	}
	return holds + v.jam
}

// passes carries a torque of the rotor's shaft to the spindle: what drives loses in the reduction, and what holds
// back is helped by the loss.
func (v *moving) passes(torque, sense float64) float64 {
	if torque*sense >= 0 {
		return torque * v.turns * v.loss
	}
	return torque * v.turns / v.loss
}

// grip is the most the rotor's shaft passes on before clutch or belt slips, N·m; +Inf where neither does.
func (v *moving) grip(y []float64) float64 {
	grip := math.Inf(1)
	if c := &v.Motor.Clutch; c.Fitted {
		grip = c.Carries(math.Abs(y[rotorSpeed]))
	}
	return min(grip, v.position.Slips(math.Abs(y[spindleSpeed]))/(v.turns*v.keeps))
}

// drives is the motor's torque at its shaft less its drag while it turns one way, N·m.
func drives(m *motor.Moment, sense float64) float64 { return m.Torque - m.Drag*sense }

// pulls is what the rotor's shaft passes on while nothing slips, N·m.
func (v *moving) pulls(t float64, m *motor.Moment, y []float64) float64 {
	if v.stuck {
		return stuckPull(m)
	}
	_, pull := v.together(t, m, y)
	return pull
}

// together is how fast the spindle gains (rad/s²) while it turns and nothing slips, and what the rotor's shaft passes
// on then (N·m): what the rotor itself takes to gain is not passed on, and so loses nothing in the reduction.
func (v *moving) together(t float64, m *motor.Moment, y []float64) (gains, pull float64) {
	net, load := drives(m, v.sense), v.load(t, y)*v.sense
	for _, keeps := range [2]float64{v.loss, 1 / v.loss} {
		gains = (net*v.turns*keeps - load) / (v.rest + v.rotor*v.turns*v.turns*keeps)
		if pull = net - v.rotor*v.turns*gains; pull*v.sense >= 0 {
			break
		}
	}
	return gains, pull
}

// stuckPull is what a rotor that stands passes on: its torque, less what its own friction takes of it.
func stuckPull(m *motor.Moment) float64 {
	return math.Copysign(max(math.Abs(m.Torque)-m.Drag, 0), m.Torque)
}

// slope is how the state moves.
func (v *moving) slope(t float64, y, dy []float64) {
	clear(dy)
	m := v.moment(t, y)
	if !v.riding {
		v.speeds(t, &m, y, dy)
	} else {
		v.rides(&m, y, dy)
	}
	v.heats(&m, y, dy)
	if !v.settled {
		// What the volts push is approached in the armature's own time.
		v.fed.Carries = false
		towards := v.Powered.At(y[rotorSpeed]*v.way(), &v.fed)
		v.fed.Carries = true
		dy[current] = (towards.Amps - y[current]) / m.Settle
	}
	if v.steadies {
		dy[loopSum] = v.fed.Loop.Gain / loopTime * m.Missing
	}
	if v.biting {
		dy[angle] = math.Abs(y[spindleSpeed])
	}
	dy[entered] = m.In + m.Out
	dy[spent] += m.Copper + m.Other + m.Out
	if !v.fed.On {
		dy[braked] = m.Out
	}
	v.draws(&m, y, dy)
}

// speeds are rotor and spindle.
func (v *moving) speeds(t float64, m *motor.Moment, y, dy []float64) {
	omega, spindle := y[rotorSpeed], y[spindleSpeed]
	switch {
	case v.slipping:
		held := v.grip(y) * v.rel
		if !v.rests {
			dy[rotorSpeed] = (drives(m, v.spin) - held) / v.rotor
			dy[spent] = m.Drag * v.spin * omega
		}
		if !v.stuck {
			load := v.load(t, y)
			dy[spindleSpeed] = (v.passes(held, v.sense) - load*v.sense) / v.rest
			dy[passed] = held*omega - v.passes(held, v.sense)*spindle
			dy[spent] += load * v.sense * spindle
		} else {
			dy[passed] = held * omega
		}
		dy[spent] += dy[passed]
	case !v.stuck:
		gains, pull := v.together(t, m, y)
		dy[spindleSpeed], dy[rotorSpeed] = gains, gains*v.turns
		dy[passed] = pull*omega - v.passes(pull, v.sense)*spindle
		dy[spent] = m.Drag*v.sense*omega + v.load(t, y)*v.sense*spindle + dy[passed]
	}
}

// rides are the works done at a speed that holds.
func (v *moving) rides(m *motor.Moment, y, dy []float64) {
	net := drives(m, v.sense)
	dy[passed] = net*y[rotorSpeed] - v.passes(net, v.sense)*y[spindleSpeed]
	dy[spent] = m.Torque * y[rotorSpeed]
}

// speedsUp is how fast the rotor gains while nothing slips, rad/s².
func (v *moving) speedsUp(t float64, y []float64) float64 {
	m := v.moment(t, y)
	gains, _ := v.together(t, &m, y)
	return gains * v.turns
}

// heats are winding and case.
func (v *moving) heats(m *motor.Moment, y, dy []float64) {
	b := &v.bodies
	inside := b.Inside * (y[winding] - y[casing])
	dy[winding] = (m.Heating - inside) / b.Winding
	dy[casing] = (inside - b.Outside*v.shed(y[rotorSpeed], v.fed.On)*y[casing]) / b.Case
}

// What guards do [common practice].
const (
	driveIdles = 0.02 // of the motor's power a drive takes of what comes back to it
	relayHolds = 1.15 // × plate amps an overload relay stands for ever
	wireHolds  = 1.13 // × its rating a breaker does
)

// draws is what supply, drive and guards see.
func (v *moving) draws(m *motor.Moment, y, dy []float64) {
	in := m.In
	if in < 0 && v.Control.SetsHertz() || y[bus] > 0 {
		dy[bus], dy[burnt] = v.comesBack(-in, y[bus])
		in = max(in, 0)
	}
	if v.fed.On {
		dy[drained] = (in + m.Out) / v.DriveEfficiency()
	}
	if !math.IsInf(v.rated, 1) {
		dy[drivePast] = past(m.Amps/v.rated, 1, y[drivePast], 60)
	}
	if v.inputs.breaker > 0 {
		dy[lineHeat] = past(v.lineAmps(m)/v.inputs.breaker, wireHolds, y[lineHeat], 120)
	}
	if v.overload {
		dy[relayHeat] = past(m.Amps/v.Motor.Amps.Value, relayHolds, y[relayHeat], 120)
	}
}

// lineAmps is the current in the supply's lead: the motor's own on the line, else what its watts ask for.
func (v *moving) lineAmps(m *motor.Moment) float64 {
	if !v.fed.On {
		return 0
	}
	if v.Feed.Kind == motor.OnTheLine || v.Feed.Kind == motor.Capacitors || v.Feed.Kind == motor.CutSine ||
		v.Supply.Battery {
		return math.Abs(m.Amps)
	}
	return v.inputs.amps(m.In)
}

// past gathers amps past what is stood for ever, in shares squared: it falls off again in some seconds.
func past(share, holds, so, forgets float64) float64 {
	over := share*share - holds*holds
	if over > 0 {
		return over
	}
	return -so / forgets
}

// comesBack is what the watts a motor gives back do: the drive's capacitors take them, a brake resistor burns what it
// can once there are any, and the drive lives on the rest.
func (v *moving) comesBack(watts, held float64) (into, off float64) {
	left := watts - driveIdles*v.Motor.Power.Value
	if v.Control.BrakeOhms > 0 {
		off = min(max(left, 0), v.brakeMost())
	}
	into = left - off
	if held <= 0 {
		into = max(into, 0)
	}
	return into, off
}

// Volts of a drive's capacitors over the crest of its line at which it trips, and how many farads they have for each
// watt of its motor [common practice].
const (
	busTrips  = 1.22
	busFarads = 0.8e-6
)

// busHolds is how many joules a drive's capacitors take before it trips.
func (v *moving) busHolds() float64 {
	crest := v.Supply.Volts * math.Sqrt2
	return busFarads * v.Motor.Power.Value / 2 * crest * crest * (busTrips*busTrips - 1)
}

// brakeMost is what the brake resistor burns with the drive's capacitors as full as they may be, W.
func (v *moving) brakeMost() float64 {
	volts := v.Supply.Volts * math.Sqrt2 * busTrips
	return volts * volts / v.Control.BrakeOhms
}

// turning is the energy in what turns, J.
func (v *moving) turning(y []float64) float64 {
	return v.rotor*y[rotorSpeed]*y[rotorSpeed]/2 + v.rest*y[spindleSpeed]*y[spindleSpeed]/2
}
