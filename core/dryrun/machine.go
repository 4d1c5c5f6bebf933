package dryrun

import (
	"cmp"
	"math"

	"jiriki/core/air"
	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/reduction"
	"jiriki/core/script"
	"jiriki/core/supply"
	"jiriki/core/thermal"
	"jiriki/core/work"
)

// Guesses of what turns and rubs where nobody says [common practice].
const (
	idleShare   = 0.1  // of its lightest job's torque keeps an empty machine turning
	restShare   = 2    // times as much starts it
	wheelThick  = 0.06 // of its diameter is as thick as the largest that turns, as a solid disc of steel
	shopCelsius = 20
	zeroCelsius = 273.15
)

// machine is what is simulated: everything that does not change on the day.
type machine struct {
	*line.Model
	position *reduction.Position
	label    string

	turns float64 // of the rotor to one of the spindle
	keeps float64 // of what the rotor gives, at the spindle
	rotor float64 // kg·m² of the rotor
	rest  float64 // kg·m² at the spindle of everything else
	slips bool    // clutch or belt may
	guess guesses // of what turns and rubs

	resting, running float64 // N·m at the spindle of its own friction, at rest and turning slowly

	coasts script.Drag // how it was measured to coast, in place of that, the motor's own loss in it

	bodies  thermal.Bodies
	cooled  float64 // share of its heat an own-fan motor sheds at rest
	ambient float64 // °C
	limit   float64 // °C the winding's class allows
	start   float64 // °C of the winding as the run begins
	supply  float64 // share of the supply's volts on the day
	battery float64 // J it may be asked for; 0 for none or not known
	rated   float64 // A of a control that has them; +Inf for a switch
	ramp    float64 // s from rest to full speed; 0 where it has none

	pulsed   bool    // a stepper
	steadies bool    // the control watches the speed, or what stands for it
	gain     float64 // of its loop for each kg·m² at the rotor
	stiff    float64 // the least gain of its loop: what the motor holds its speed with of itself
	field    float64 // rad/s of the field of a motor on the line, else 0
	single   bool    // a switch takes its start winding out
	full     float64 // rad/s, the fastest the rotor turns
	overload bool    // a relay watches the amps
	protects bool    // something in the winding opens when it is too hot
	byItself bool    // and closes by itself
	staysOff bool    // when power returns it does not start by itself
	inputs   inputs
}

// guesses are what of the machine nobody gave.
type guesses struct{ inertia, friction bool }

// inputs is what turns watts in at the motor into amps at the supply.
type inputs struct{ perWatt, breaker float64 }

// newMachine settles what is simulated. The model must run.
func newMachine(t *line.Model, s *script.Resolved) *machine {
	m := &machine{Model: t}
	m.position = m.choosePosition(s)
	p := m.position
	m.label = p.Label
	m.turns, m.keeps = t.Motor.Gear.Ratio*p.Ratio, t.Motor.Gear.Efficiency*p.Efficiency
	m.rotor = t.Motor.Rotor.Value
	m.rest, m.guess.inertia = m.inertia(s)
	m.friction(s)

	m.bodies, m.cooled = t.Motor.Bodies(), t.Motor.Resting()
	m.limit = air.Limit[t.Motor.Insulation] - zeroCelsius
	m.ambient = shopCelsius
	if s.Air.Known {
		m.ambient = s.Air.SI - zeroCelsius
	}
	m.start = m.ambient
	if s.Warm.Known {
		m.start = max(s.Warm.SI-zeroCelsius, m.ambient)
	}
	m.supply = s.Volts.Or(t.Supply.Volts) / t.Supply.Volts
	if t.Supply.Battery {
		m.battery = supply.Usable * t.Supply.Holds
	}
	m.controls()
	return m
}

// controls settles what the control and its guards do.
func (m *machine) controls() {
	c := &m.Control
	m.rated = math.Inf(1)
	if c.Limits() {
		m.rated = m.Feed.Amps
	}
	if c.SetsHertz() || c.DCDrive() || c.Kind == control.StepperDriver {
		m.ramp = cmp.Or(c.Accel, line.UsualRamp)
	}
	m.field, m.single = m.Powered.FieldSpeed(), m.Motor.Kind.HasStartSwitch() && m.Feed.Kind == motor.OnTheLine
	m.full = m.Powered.RotorTop()
	m.pulsed = m.Feed.Kind == motor.Pulses
	if m.steadies = m.Feed.Held > 0; m.steadies || m.pulsed {
		_, high := m.Powered.RotorSpan()
		brisk := loopBrisk
		if m.pulsed {
			brisk = stepBrisk
		}
		m.gain = brisk * high / m.Motor.Torque.Value
		if m.steadies {
			m.stiff = m.Powered.Stiffness()
		}
	}
	m.slips = m.Motor.Clutch.Fitted || !math.IsInf(m.position.Slips(0), 1)
	m.overload = m.HasOverloadRelay()
	m.protects = m.Motor.Protector == "self-reset" || m.Motor.Protector == "by-hand" || m.Motor.Thermal == "wired"
	m.byItself = m.Motor.Protector == "self-reset"
	m.staysOff = c.NoVolt || c.Momentary
	m.inputs = inputs{perWatt: m.InputAmps() / m.InputWatts(), breaker: m.Supply.Breaker}
}

// choosePosition is the position a script names, or the one its first cut comes out best in.
func (m *machine) choosePosition(s *script.Resolved) *reduction.Position {
	positions := m.Reduction.Positions
	for i := range positions {
		if positions[i].Label == s.Position {
			return &positions[i]
		}
	}
	for _, e := range s.Events {
		if e.Job < 0 {
			continue
		}
		if best := m.Best(&m.Machine.Jobs[e.Job], positions); best.Outcome != line.CannotTell {
			return &positions[best.Position]
		}
	}
	return &positions[0]
}

// inertia is what turns at the spindle besides the rotor, kg·m², and whether it is a guess.
func (m *machine) inertia(s *script.Resolved) (whole float64, guessed bool) {
	wheels := m.position.Inertia
	if s.Inertia.Known {
		return wheels + s.Inertia.SI, false
	}
	known := m.Machine.Flywheel
	heaviest := 0.0
	for i := range m.Machine.Jobs {
		if job := &m.Machine.Jobs[i]; job.Missing == "" && job.Spinning.Inertia > heaviest {
			heaviest, guessed = job.Spinning.Inertia, job.Usual.Is()
		}
	}
	if known += heaviest; known > 0 {
		return wheels + known, guessed
	}
	d := m.Machine.Diameter
	disc := math.Pi / 32 * steelDensity * wheelThick * math.Pow(d, 5)
	// Without a size it is taken to be half of what turns anyway.
	return wheels + cmp.Or(disc, m.OwnInertia(m.position)/2), true
}

const steelDensity = 7850 // kg/m³

// A loop that steadies a speed, set up for its machine [common practice]: how much of what is missing it makes up in a
// second, and how long it takes to add up the rest, s; and a stepper's pull into step.
const (
	loopBrisk = 25.0
	loopTime  = 0.1
	stepBrisk = 80.0

	loopHeaviest = 80.0 // rotors, past which a drive's gain is not set higher for what turns
)

// friction settles what the machine's own friction takes.
func (m *machine) friction(s *script.Resolved) {
	if m.coasts = s.Coasts; m.coasts.Known {
		m.running, m.resting = m.coasts.Dry, m.coasts.Dry
	} else {
		m.ownFriction(s)
	}
	if s.Sticks.Known {
		// What just starts it is never less than what keeps it going.
		m.resting = max(s.Sticks.SI, m.running)
	}
}

// ownFriction is its friction as it was measured, told with a job, or else guessed.
func (m *machine) ownFriction(s *script.Resolved) {
	if s.Friction.Known {
		m.running, m.resting = s.Friction.SI, s.Friction.SI
		return
	}
	lightest := math.Inf(1)
	for i := range m.Machine.Jobs {
		job := &m.Machine.Jobs[i]
		switch {
		case job.Missing != "":
		case job.Usual.Is() && job.Spinning.Within > 0:
			// What brings it up to speed says nothing of what rubs.
		case job.Method == work.ByInertia:
			// What rubs while it is brought up to speed was told.
			m.running, m.resting = job.Spinning.Friction, job.Spinning.Friction
			return
		default:
			lightest = min(lightest, job.TorqueAt(job.High))
		}
	}
	m.guess.friction = true
	if !math.IsInf(lightest, 1) {
		m.running = idleShare * lightest
		m.resting = restShare * m.running
	}
}

// rubs is the machine's own friction at a spindle speed, N·m, beside so much drag of the rotor's own: of how it was
// measured to coast that is a part.
func (m *machine) rubs(omega, rotorDrag float64) float64 {
	if !m.coasts.Known {
		return m.running
	}
	return max(m.coasts.At(omega)-rotorDrag*m.turns, 0)
}

// ownDrag is what of a rotor's reckoned drag (N·m) can be: no more than all that was measured to hold the line back.
func (m *machine) ownDrag(reckoned, spindle float64) float64 {
	if !m.coasts.Known {
		return reckoned
	}
	return min(reckoned, m.coasts.At(spindle)/m.turns)
}

// amps is the current in the supply's lead.
func (in inputs) amps(watts float64) float64 { return max(watts, 0) * in.perWatt }

// celsius are winding and case in °C of a state in shares of the rated rise.
func (m *machine) celsius(share float64) float64 { return m.ambient + share*m.rise() }

// rise is what rated work for ever heats the winding by, K: as its case was measured to warm, or what its class allows.
func (m *machine) rise() float64 {
	if m.Motor.CaseRise > 0 {
		return thermal.WindingRise(m.Motor.CaseRise)
	}
	return m.limit - (air.Rated - zeroCelsius)
}

// shed is how much of its heat the case sheds at a rotor speed, of what it does at its own: at a slow speed under power
// as much less as makes the torque it then holds for ever settle at what its class allows, so that a dry run and the
// reach say the same; left without power, as it cools between two pulls.
func (m *machine) shed(omega float64, on bool) float64 {
	share := math.Abs(omega) / m.Motor.Speed.Value
	held := motor.Cooling(m.Motor.Cooling, share)
	if held == 1 {
		return 1
	}
	if !on {
		return m.cooled + (1-m.cooled)*min(2*share, 1)
	}
	return thermal.CoolingFor(held * held)
}
