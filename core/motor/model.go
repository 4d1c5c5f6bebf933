package motor

import (
	"math"

	"jiriki/core/numeric"
)

// Limit names what holds a torque down.
type Limit string

// The limits that can bind, in the words shown.
const (
	NoLimit       Limit = ""
	MotorHeat     Limit = "motor heat"
	FanSlowed     Limit = "motor heat, its fan slowed with the shaft"
	Magnets       Limit = "3 × plate amps, to spare the magnets"
	DriveAmps     Limit = "the drive's amps"
	CurrentLimit  Limit = "the current limit"
	TopVolts      Limit = "the volts the drive can give"
	ResistorTakes Limit = "what the series resistor lets through"
	LineVolts     Limit = "the volts of the line"
	WeakField     Limit = "the weaker field above base hertz"
	BreakdownHeld Limit = "breakdown torque"
	StartTorque   Limit = "starting torque on the line"
	PullOut       Limit = "the stepper's pull-out torque"
	FanLoad       Limit = "the fan's own load at that speed"
	GearRating    Limit = "the gearbox's rating"
	ClutchSlip    Limit = "the clutch, which slips"
)

// FeedKind is how a motor is fed.
type FeedKind string

// The ways a control can feed a motor.
const (
	DirectCurrent FeedKind = "dc"         // adjustable direct volts
	CutSine       FeedKind = "cut-sine"   // alternating volts cut by a phase-angle regulator
	VariableHertz FeedKind = "inverter"   // three phases of adjustable hertz and volts
	OnTheLine     FeedKind = "line"       // switched straight to the supply
	Capacitors    FeedKind = "capacitors" // on the line through a chosen run capacitor
	Pulses        FeedKind = "pulses"     // a stepper driver
)

// Feed is what reaches the motor's terminals from control and supply together.
type Feed struct {
	Kind       FeedKind
	Volts      float64 // the most there is: DC average, or AC rms between lines
	Hertz      float64 // the line's, when on the line
	BaseHertz  float64 // inverter: where full volts are reached
	BaseVolts  float64 // inverter: volts at BaseHertz
	TopHertz   float64 // inverter
	FormFactor float64 // ≥ 1; heating goes with its square
	Rough      *Rough  // the form factor by speed, where it is known; nil where the one above stands throughout
	Rectified  float64 // V rms of the line, where it is rectified and nothing watches what comes of it; else 0
	Cut        bool    // and it is cut by a firing angle, not turned down by a transformer
	Lost       float64 // share of the torque held for ever that hot or thin air takes; 0 in rated air
	Sag        float64 // share of the line's volts that cable and cord lose at starting amps
	Vector     bool    // inverter: it makes up for what the winding's ohms eat at the slow end
	Ohms       float64 // of a resistor in series with the motor; 0 for none
	Amps       float64 // the control may give for ever; +Inf on a plain switch
	PeakAmps   float64 // for some seconds
	LimitAmps  float64 // the current limit as set; +Inf when there is none
	Slowest    float64 // slowest steady speed as a share of full
	TopTrim    float64 // top speed as a share of plate speed
	Trimmed    bool    // the trim was set: nothing else keeps the control from giving all it can
	Held       float64 // share its speed falls by under load where the control watches it; 0 where nothing does
	HoldsSpeed bool    // it steadies the speed itself, by a tachometer or sensors, and not the volts
}

// Limited is a torque and what binds there.
type Limited struct {
	Torque float64 // N·m, ≥ 0
	By     Limit
}

// law is how a family of motors turns volts, amps and speed into torque on a feed. Speeds are
// the rotor's in rad/s, torques at the rotor's shaft in N·m; torques may come out negative.
type law interface {
	// span is the slowest and fastest steady speeds; near each other for a fixed speed.
	span() (low, high float64)
	// top is the fastest it turns with nothing on the shaft, at the most its control can give as trimmed.
	top() float64
	// steady is what limits steady work: the motor's heat, which a rest relieves, and what no rest
	// relieves, such as the drive's amps.
	steady(omega float64) (heat, cold Limited)
	// peak is the torque for some seconds.
	peak(omega float64) Limited
	// breakaway is the torque at standstill.
	breakaway() Limited
	// amps is the motor's current at a torque and speed.
	amps(torque, omega float64) float64
	// stall is the current with the rotor held and nothing limiting it.
	stall() float64
	// runUp is the torque on the line from rest to its top speed; 0 for what is not on the line.
	runUp(omega float64) float64
	// strongest is the speed of the most torque on the line, past which it falls with speed; 0 for what is not on
	// the line.
	strongest() float64
	// fall is the share of its unloaded speed it has lost when it carries a torque turning at omega, its control left
	// alone.
	fall(torque, omega float64) float64
	// moment is what it does at a speed as fed at one moment.
	moment(omega float64, fed *Fed) Moment
}

// Model is a motor on a feed with whatever is built onto it, asked for torque at the speed of
// its output shaft.
type Model struct {
	law
	motor *Resolved
	fixed bool
	ratio float64 // rotor turns to one of the output
	gain  float64 // output torque over rotor torque
	holds bool    // a clutch or a gearbox's rating may hold the torque down
}

// On returns the motor's model on a feed. The motor must be Ready and the feed one that suits
// its family.
func (m *Resolved) On(f Feed) *Model {
	model := &Model{motor: m, fixed: f.Kind == OnTheLine, ratio: m.Gear.Ratio, gain: m.Gear.Ratio * m.Gear.Efficiency,
		holds: m.Clutch.Fitted || m.Gear.Limit > 0}
	switch m.Kind.Family() {
	case DCFamily:
		model.law = newDCLaw(m, f)
	case SeriesFamily:
		model.law = newSeriesLaw(m, f)
	case StepperFamily:
		model.law = &stepperLaw{m, f}
	default:
		switch f.Kind {
		case VariableHertz:
			model.law = &inverterLaw{m, f}
		case Capacitors:
			model.law = &fanLaw{m, f}
		default:
			model.law = &lineLaw{m, f}
		}
	}
	return model
}

// FixedSpeed reports whether the motor only runs where its load puts it on a fixed supply.
func (m *Model) FixedSpeed() bool { return m.fixed }

// RotorSpan returns the slowest and fastest steady speeds of the rotor itself, rad/s.
func (m *Model) RotorSpan() (low, high float64) { return m.span() }

// Span returns the slowest and fastest steady speeds of the output shaft, rad/s. For a motor on
// the line it is the band from full load to no load.
func (m *Model) Span() (low, high float64) {
	low, high = m.span()
	if c := &m.motor.Clutch; c.Fitted {
		low = min(max(low, c.Locks), high)
	}
	return low / m.ratio, high / m.ratio
}

// Top is the fastest the output shaft can turn, rad/s: unloaded, at the most the control can give as trimmed.
func (m *Model) Top() float64 { return m.RotorTop() / m.ratio }

// RotorTop is the same of the rotor itself.
func (m *Model) RotorTop() float64 {
	_, high := m.span()
	return max(m.top(), high)
}

// topVolts is the most there can be of volts meant for so many on the plate.
func (f *Feed) topVolts(plate float64) float64 {
	if !f.Trimmed {
		return f.Volts
	}
	return min(f.Volts, f.TopTrim*plate)
}

// TopShare is the most the control gives as a share of the plate: of its volts, or of its speed where it holds that.
func (f *Feed) TopShare(plateVolts float64) float64 {
	if f.Trimmed && f.HoldsSpeed {
		return f.TopTrim
	}
	return f.topVolts(plateVolts) / plateVolts
}

// Steady returns the torque held at output speed omega while the winding heats overload² times
// as it does at rated load: 1 is for ever, more is for a part of the time.
func (m *Model) Steady(omega, overload float64) Limited {
	rotor := omega * m.ratio
	heat, cold := m.steady(rotor)
	heat.Torque *= overload
	return m.out(m.floored(least(least(heat, cold), m.peak(rotor))), rotor)
}

// Limits returns the three limits at output speed omega together: for ever, for part of the time
// at an overload, and for some seconds. continuous ≤ intermittent ≤ peak.
func (m *Model) Limits(omega, overload float64) (continuous, intermittent, peak Limited) {
	rotor := omega * m.ratio
	top := m.peak(rotor)
	heat, cold := m.steady(rotor)
	continuous = m.out(m.floored(least(least(heat, cold), top)), rotor)
	heat.Torque *= overload
	return continuous, m.out(m.floored(least(least(heat, cold), top)), rotor), m.out(m.floored(top), rotor)
}

// Peak returns the torque for some seconds at output speed omega.
func (m *Model) Peak(omega float64) Limited {
	rotor := omega * m.ratio
	return m.out(m.floored(m.peak(rotor)), rotor)
}

// Breakaway returns the torque at standstill of the output, for starting under load. Behind a
// clutch the motor is up to speed before the output moves.
func (m *Model) Breakaway() Limited {
	if m.motor.Clutch.Fitted {
		_, high := m.span()
		return m.out(m.floored(m.peak(high*0.9)), high)
	}
	return m.out(m.floored(m.breakaway()), math.Inf(1))
}

// RunUp is the torque on the line at any output speed from rest, for drawing.
func (m *Model) RunUp(omega float64) float64 {
	rotor := omega * m.ratio
	return m.out(m.floored(Limited{m.runUp(rotor), NoLimit}), rotor).Torque
}

// RunsAt is the output speed at which the motor on the line carries a torque at its output that goes with speed: where
// its own curve meets it, between its strongest and the unloaded; false where it cannot carry it at all.
func (m *Model) RunsAt(torque func(omega float64) float64) (omega float64, ok bool) {
	low, high := m.strongest()/m.ratio, m.Top()
	carries := func(omega float64) bool { return m.RunUp(omega) > torque(omega) }
	if !m.fixed || !carries(low) {
		return 0, false
	}
	return numeric.Last(low, high, 1e-5*high, carries), true
}

// Fall is the share of its unloaded speed the motor has lost when it carries a torque (N·m) turning at omega, both at
// its output, the control left as it is: 0 to 1.
func (m *Model) Fall(torque, omega float64) float64 {
	return min(max(m.fall(max(torque, 0)/m.gain, omega*m.ratio), 0), 1)
}

// AmpsFor returns the motor amps that torque (N·m) takes at speed omega, both at the output.
func (m *Model) AmpsFor(torque, omega float64) float64 {
	return m.amps(torque/m.gain, omega*m.ratio)
}

// StallAmps is what the motor draws with its rotor held across the feed's full volts.
func (m *Model) StallAmps() float64 { return m.stall() }

// out carries a rotor torque through clutch and gearbox.
func (m *Model) out(h Limited, rotor float64) Limited {
	if m.holds {
		h = m.limited(h, rotor)
	}
	h.Torque *= m.gain
	return h
}

// limited is a rotor torque within what clutch and gearbox carry.
func (m *Model) limited(h Limited, rotor float64) Limited {
	if c := &m.motor.Clutch; c.Fitted {
		h = least(h, Limited{c.Carries(rotor), ClutchSlip})
	}
	if limit := m.motor.Gear.Limit; limit > 0 {
		h = least(h, Limited{limit / m.gain, GearRating})
	}
	return h
}

// Cooling is the share of rated torque a motor can hold for ever at a share of its rated speed
// (≥ 0): 1 down to half speed, then evenly to 0.45 at standstill for one with its own fan
// [common practice]; 1 throughout for a blown or closed one.
func Cooling(cooling string, speedShare float64) float64 {
	if cooling != "own-fan" || speedShare >= 0.5 {
		return 1
	}
	return 0.45 + 0.55*speedShare/0.5
}

// heat is the continuous torque against heat alone, flux a share of rated (1 for none to weaken).
func (m *Resolved) heat(omega float64, f *Feed, flux float64) Limited {
	cooling := Cooling(m.Cooling, omega/m.Speed.Value)
	by := MotorHeat
	if cooling < 1 {
		by = FanSlowed
	}
	held := m.Torque.Value * cooling
	if form := f.formAt(omega / m.Speed.Value); form > 1 {
		// Amps heat by their rms, and pull by their average, of which what is lost inside takes as much as ever.
		lost := m.DC.Friction.Value
		held = max((held+lost)/form-lost, 0)
	}
	return Limited{held * (1 - f.Lost) * min(flux, 1) * saturated(flux), by}
}

// full is the share of rated flux up to which iron takes more without much heat [common practice].
const full = 1.05

// saturated is the share of its torque a motor holds all day with more flux than rated: the current that makes the
// field grows steeply, and heats [common practice: with the square].
func saturated(flux float64) float64 {
	if flux <= full {
		return 1
	}
	return full * full / (flux * flux)
}

// peakAmps is the least of what the drive gives for some seconds and its limit as set.
func (f *Feed) peakAmps() (float64, Limit) {
	if f.LimitAmps < f.PeakAmps {
		return f.LimitAmps, CurrentLimit
	}
	return f.PeakAmps, DriveAmps
}

func least(a, b Limited) Limited {
	if b.Torque < a.Torque {
		return b
	}
	return a
}

// floored is a rotor torque without what is none: under nothing, or what rounding leaves where the last volt is used.
func (m *Model) floored(h Limited) Limited {
	if h.Torque < 1e-9*m.motor.Torque.Value {
		h.Torque = 0
	}
	return h
}
