package line

import (
	"math"

	"jiriki/core/air"
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// train is a plan that can be asked for torque at the spindle: the motor on its feed, and the
// positions of the reduction. When runs is false the feed, model and spans mean nothing.
type train struct {
	plan.Stations
	runs  bool
	feed  motor.Feed
	model *motor.Model
	top   float64 // fastest the spindle may turn, rad/s; +Inf without a limit
}

func newTrain(s plan.Stations) *train {
	t := &train{Stations: s}
	t.top, _ = s.Machine.TopSpeed()
	if !s.Motor.Ready() || s.Supply.Volts == 0 || s.Control.Kind == "" {
		return t
	}
	if ok, _ := suits(s); !ok {
		return t
	}
	if s.Control.Kind == control.Contactor && s.Motor.Kind == motor.ThreePhase && !s.Supply.Three {
		return t
	}
	t.stepperMargins()
	t.feed = feed(s)
	t.model = s.Motor.On(t.feed)
	_, high := t.model.Span()
	t.runs = high > 0
	return t
}

// stepperMargin is the torque kept in hand with a stepper, which loses steps without a word
// [common practice].
const stepperMargin = 2

// stepperMargins raises the usual margins where a stepper does the work; one set by hand stays.
func (t *train) stepperMargins() {
	if t.Motor.Kind != motor.Stepper {
		return
	}
	jobs := append([]work.Need(nil), t.Machine.Jobs...)
	for i := range jobs {
		if !jobs[i].ByHandMargin && jobs[i].Margin < stepperMargin {
			jobs[i].Margin, jobs[i].MarginBy = stepperMargin, "a stepper keeps twice the torque in hand"
		}
	}
	t.Machine.Jobs = jobs
}

// suits reports whether control, motor and supply belong together, and why.
func suits(s plan.Stations) (bool, string) {
	if s.Supply.Battery {
		return control.SuitsBattery(s.Control.Kind, string(s.Motor.Kind))
	}
	return control.Suits(s.Control.Kind, string(s.Motor.Kind))
}

// feed is what supply and control together bring to the motor's terminals.
func feed(s plan.Stations) motor.Feed {
	c, family := s.Control, s.Motor.Kind.Family()
	// A battery sags under the motor's rated amps.
	volts := s.Supply.Sagged(s.Motor.Amps.Value)
	f := motor.Feed{
		Way: motor.OnTheLine, Volts: c.OutputVolts(volts, s.Supply.Battery), Hertz: s.Supply.Hertz, FormFactor: c.FormFactor,
		Amps: math.Inf(1), PeakAmps: math.Inf(1), LimitAmps: math.Inf(1), Slowest: c.Slowest, TopTrim: c.TopTrim,
		Lost: 1 - inAir(s),
	}
	switch {
	case c.Kind == control.Contactor && s.Supply.Battery:
		f.Way = motor.DirectCurrent
		f.Slowest = 1
	case c.Kind == control.CapacitorSet:
		f.Way = motor.Capacitors
	}
	switch {
	case c.Kind != control.VariableTransformer && c.Kind != control.SeriesResistor:
	case family == motor.SeriesFamily && !s.Supply.Battery:
		f.Way, f.Volts, f.Slowest = motor.CutSine, c.CutSineVolts(s.Supply.Volts), c.SeriesSlowest
	case family == motor.InductionFamily:
		// A fan on fewer volts: by trial; worked out at full volts only.
		f.Volts, f.Slowest, f.FormFactor = volts, 1, 1
	default:
		f.Way = motor.DirectCurrent
	}
	f.Ohms = c.Ohms
	if family == motor.SeriesFamily {
		// Its torque goes with amps squared as its heat does, so rough current costs it nothing.
		f.FormFactor = 1
	}
	if c.Kind == control.VariableTransformer && c.Amps > 0 {
		f.Amps, f.PeakAmps = c.Amps, control.PeakShare*c.Amps
	}
	if !c.Limits() {
		return f
	}
	// An unrated drive is taken to be rated for the motor; the verdict asks for its plate.
	rated := ratedAmps(s)
	if rated == 0 {
		rated = s.Motor.Amps.Value
	}
	f.Amps, f.PeakAmps = rated, control.PeakShare*rated
	if c.LimitAmps > 0 {
		f.LimitAmps = c.LimitAmps
	}
	switch {
	case c.Kind == control.StepperDriver:
		f.Way = motor.Pulses
		if f.Volts == 0 {
			f.Volts = s.Motor.Volts.Value
		}
		return f
	case c.Kind == control.PhaseAngle && family == motor.SeriesFamily && !s.Supply.Battery:
		f.Way, f.Volts, f.Slowest = motor.CutSine, c.CutSineVolts(s.Supply.Volts), c.SeriesSlowest
		return f
	case c.DCDrive():
		f.Way = motor.DirectCurrent
		if wave, ok := armatureWave(s, f); ok {
			f.FormFactor = math.Max(wave.FormFactor, 1)
		}
		if family == motor.SeriesFamily {
			f.Slowest = c.SeriesSlowest
		}
		return f
	}
	f.Way = motor.VariableHertz
	f.BaseHertz, f.BaseVolts, f.TopHertz = inverterHertz(s, f.Volts)
	f.Slowest = math.Max(f.Slowest, c.LowHertz/f.BaseHertz)
	if c.Kind == control.SinglePhaseInverter && s.Motor.Kind.HasStartSwitch() {
		f.Slowest = math.Max(f.Slowest, startSwitchFloor)
	}
	return f
}

// waveSpeed is the share of plate speed at which a form factor is worked out: where its own fan no
// longer helps and heat is what binds.
const waveSpeed = 0.25

// armatureWave is the current of a phase-angle drive at plate amps and a quarter of plate speed, where
// the inductance of armature and choke is known; false where it is not, and the usual form factor
// stands.
func armatureWave(s plan.Stations, f motor.Feed) (control.Wave, bool) {
	m, henries := s.Motor, s.Motor.DC.Henries+s.Control.Henries
	if s.Control.Kind != control.PhaseAngle || m.DC.Henries == 0 || s.Supply.Battery || m.Kind.Family() != motor.DCFamily {
		return control.Wave{}, false
	}
	_, wave, ok := control.FiringFor(m.Amps.Value, s.Supply.Volts, s.Supply.Hertz, waveEMF(m), m.DC.Resistance.Value, henries)
	return wave, ok
}

// waveEMF is the back-EMF against which a form factor is worked out.
func waveEMF(m motor.Resolved) float64 { return m.DC.Ke.Value * waveSpeed * m.Speed.Value }

// smoothingChoke is the choke (H) that brings a phase-angle drive's form factor down to what one is
// counted on for, where its armature's own inductance, when known, does not do so already.
func smoothingChoke(s plan.Stations) (henries float64, ok bool) {
	m := s.Motor
	if m.Kind.Family() != motor.DCFamily || s.Supply.Battery {
		return 0, false
	}
	whole, ok := control.InductanceFor(control.ChokedForm, m.Amps.Value, s.Supply.Volts, s.Supply.Hertz, waveEMF(m), m.DC.Resistance.Value)
	return math.Max(whole-m.DC.Henries, 0), ok
}

// onOnePhase is the share of its rating that an inverter made for three phases gives on one
// [common practice: size it twice over].
const onOnePhase = 0.5

// ratedAmps is what the control may give for ever as it is fed, in the air there; 0 when not known.
func ratedAmps(s plan.Stations) float64 {
	rated := s.Control.Amps * air.Drive(s.Machine.Air, s.Machine.Altitude)
	if s.Control.ThreeIn && !s.Supply.Three {
		rated *= onOnePhase
	}
	return rated
}

// inAir is the share of its torque the motor holds all day in the air there.
func inAir(s plan.Stations) float64 {
	return air.Winding(air.Limit[s.Motor.Insulation], s.Machine.Air, s.Machine.Altitude)
}

// startSwitchFloor is the share of plate speed below which a start switch may close again
// [common practice].
const startSwitchFloor = 0.8

// inverterHertz are base hertz, volts there, and top hertz: as set, or the plate's, moved down
// when the inverter cannot reach the plate's volts.
func inverterHertz(s plan.Stations, volts float64) (base, baseVolts, top float64) {
	m, c := s.Motor, s.Control
	base = c.BaseHertz
	if base == 0 {
		base = m.Hertz.Value * math.Min(1, volts/m.Volts.Value)
	}
	baseVolts = math.Min(volts, m.Volts.Value/m.Hertz.Value*base)
	top = c.TopHertz
	if top == 0 {
		top = m.Hertz.Value * c.TopTrim
	}
	return base, baseVolts, top
}

// span is the slowest and fastest spindle speed of a position, rad/s, before the machine's own
// limit is applied.
func (t *train) span(p *reduction.Position) (low, high float64) {
	low, high = t.model.Span()
	return low / p.Ratio, high / p.Ratio
}

// carried is the most that a position's belts and shafts bear at spindle speed omega.
func carried(omega float64, p *reduction.Position, overload float64) motor.Held {
	most, by := p.Carries(omega, overload)
	return motor.Held{Torque: most, By: motor.Bound(by)}
}

// at carries a torque of the motor through a position to the spindle, as far as it is borne.
func at(h motor.Held, p *reduction.Position, borne motor.Held) motor.Held {
	if h.Torque *= p.Ratio * p.Keeps; borne.Torque < h.Torque {
		return borne
	}
	return h
}

// steady, peak and breakaway are the motor's torques as they reach the spindle at speed omega. A
// belt's rating is for its life, so a rest gives it nothing; for some seconds it pulls past it.
func (t *train) steady(omega, overload float64, p *reduction.Position) motor.Held {
	return at(t.model.Steady(omega*p.Ratio, overload), p, carried(omega, p, 1))
}

func (t *train) peak(omega float64, p *reduction.Position) motor.Held {
	return at(t.model.Peak(omega*p.Ratio), p, carried(omega, p, reduction.OverloadShare))
}

func (t *train) breakaway(p *reduction.Position) motor.Held {
	return at(t.model.Breakaway(), p, carried(0, p, reduction.OverloadShare))
}
