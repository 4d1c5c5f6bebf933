package motor

import (
	"math"
	"sort"

	"jiriki/core/numeric"
	"jiriki/core/working"
)

// Steps holds what is known of a stepper's pull-out curve.
type Steps struct {
	Curve   []TorqueAt   // rising speed; as measured or printed
	joined  numeric.Line // through them
	Holding Known        // N·m
	PerTurn float64
	Henries float64
}

// TorqueAt is a point of a curve: rad/s and N·m.
type TorqueAt struct{ Omega, Torque float64 }

// stepShare is how much of its holding torque a stepper pulls at a slow step rate [common practice].
const stepShare = 0.7

// stepperLaw is a stepper on a driver: it pulls out above a torque that falls with speed, and
// past that it does not turn at all.
type stepperLaw struct {
	m *Resolved
	f Feed
}

// corner is where a phase's current no longer has time to turn round within two steps:
// V / (2·L·I) steps a second [from memory].
func (l *stepperLaw) corner() float64 {
	s := l.m.Steps
	if s.Henries <= 0 {
		return l.m.Speed.Value
	}
	return l.f.Volts / (2 * s.Henries * l.m.Amps.Value) / s.PerTurn * 2 * math.Pi
}

func (l *stepperLaw) span() (low, high float64) {
	if c := l.m.Steps.Curve; len(c) > 0 {
		high = c[len(c)-1].Omega
	} else {
		high = 4 * l.corner()
	}
	// It steps as slowly as one likes; a step a second is slow enough for a chart.
	return min(2*math.Pi/l.m.Steps.PerTurn, high), high
}

func (l *stepperLaw) pullOut(omega float64) Limited {
	s := l.m.Steps
	if n := len(s.Curve); n > 0 {
		if omega > s.Curve[n-1].Omega*(1+1e-9) {
			return Limited{0, PullOut} // nothing is left past the last point
		}
		return Limited{s.joined.At(omega), PullOut}
	}
	torque := s.Holding.Value * stepShare
	if corner := l.corner(); omega > corner {
		torque *= corner / omega
	}
	return Limited{torque, PullOut}
}

// top is as fast as it follows its pulses.
func (l *stepperLaw) top() float64 {
	_, high := l.span()
	return high
}

func (l *stepperLaw) steady(omega float64) (heat, cold Limited) {
	return l.pullOut(omega), l.pullOut(omega)
}
func (l *stepperLaw) peak(omega float64) Limited { return l.pullOut(omega) }
func (l *stepperLaw) breakaway() Limited {
	low, _ := l.span()
	return l.pullOut(low)
}
func (l *stepperLaw) amps(_, _ float64) float64 { return l.m.Amps.Value }
func (l *stepperLaw) stall() float64            { return l.m.Amps.Value }
func (l *stepperLaw) runUp(float64) float64     { return 0 }
func (l *stepperLaw) strongest() float64        { return 0 }
func (l *stepperLaw) fall(_, _ float64) float64 { return 0 }

func (m *Resolved) resolveStepper(t readings) {
	s := &m.Steps
	s.Curve = t.pullOut
	sort.Slice(s.Curve, func(i, j int) bool { return s.Curve[i].Omega < s.Curve[j].Omega })
	if len(s.Curve) > 0 {
		speeds, torques := make([]float64, len(s.Curve)), make([]float64, len(s.Curve))
		for i, p := range s.Curve {
			speeds[i], torques[i] = p.Omega, p.Torque
		}
		s.joined = numeric.Through(speeds, torques, math.Min)
	}
	switch {
	case len(s.Curve) > 0:
		m.Torque = Known{s.Curve[0].Torque, working.Measured}
		m.Speed = Known{s.Curve[len(s.Curve)-1].Omega, working.Measured}
	case !s.Holding.OK():
		m.need("plate.holdingTorque", "Holding torque or a pull-out curve",
			"Read it from the plate, the maker's sheet, or pull it with a scale while it is held; a few speeds with "+
				"the torque that stalls it are better.")
		return
	default:
		m.Torque = Known{s.Holding.Value * stepShare, working.Assumed}
		m.widen(0.3)
	}
	if !m.Amps.OK() {
		m.need("plate.amps", "Amps of one phase", "Read the plate; the driver is set by it.")
		return
	}
	if !m.Speed.OK() {
		// Without inductance or a curve: where a plain driver still gives full torque [common practice].
		m.Speed = Known{5 * 2 * math.Pi, working.Assumed}
	}
	if !m.Volts.OK() {
		m.Volts = Known{24, working.Assumed}
	}
	m.DriverVolts = m.Volts.Value
	m.Power = Known{m.mostStepperPower(), working.Computed}
	m.Efficiency = Known{m.Kind.Profile().usual, working.Assumed}
}

// mostStepperPower is the largest torque times speed on the motor's own curve, W. Without one its torque falls as
// its speed grows past the corner, so that it is what it is there.
func (m *Resolved) mostStepperPower() float64 {
	most := 0.0
	for i, p := range m.Steps.Curve {
		most = max(most, p.Torque*p.Omega)
		if i == 0 {
			continue
		}
		// Between two points torque falls straight, so that its power has a crest where the line has half its start.
		before := m.Steps.Curve[i-1]
		slope := (p.Torque - before.Torque) / (p.Omega - before.Omega)
		if crest := (before.Omega - before.Torque/slope) / 2; slope < 0 && crest > before.Omega && crest < p.Omega {
			most = max(most, -slope*crest*crest)
		}
	}
	if most > 0 {
		return most
	}
	return m.Torque.Value * (&stepperLaw{m, Feed{Volts: m.DriverVolts}}).corner()
}

// Driven puts the volts a stepper's driver has in the place of those that were assumed: its corner and its power go by
// them. No other kind has such.
func (m *Resolved) Driven(volts float64) {
	if m.Kind != Stepper || !(volts > 0) || !m.Ready() {
		return
	}
	m.DriverVolts = volts
	m.Power.Value = m.mostStepperPower()
}
