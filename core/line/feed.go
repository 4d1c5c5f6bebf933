package line

import (
	"math"

	"jiriki/core/air"
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/work"
)

// ThinsAir reports whether the air there is hotter or thinner than plates mean.
func ThinsAir(m work.Resolved) bool { return m.Air > air.Rated || m.Altitude > air.RatedHeight }

// sagAtStart is the share of its volts the supply loses at the motor's starting amps: as it was measured at the socket,
// or over its cable.
func sagAtStart(s *plan.Stations) float64 {
	start, supply := motor.StartAmps(&s.Motor), s.Supply
	switch {
	case supply.Battery:
		return 0
	case supply.Loop > 0:
		return min(start*supply.Loop/supply.Volts, 1)
	case supply.Wire.Area > 0 && supply.Cable > 0:
		return min(supply.Wire.Drop(start, supply.Cable, supply.Three)/supply.Volts, 1)
	}
	return 0
}

// feed is what supply and control together bring to the motor's terminals.
func feed(s *plan.Stations) motor.Feed {
	c, family := s.Control, s.Motor.Kind.Family()
	// A battery sags under the motor's rated amps.
	volts := s.Supply.Sagged(s.Motor.Amps.Value)
	f := motor.Feed{
		Kind: motor.OnTheLine, Volts: c.OutputVolts(volts, s.Supply.Battery), Hertz: s.Supply.Hertz,
		FormFactor: c.FormFactor,
		Amps:       math.Inf(1), PeakAmps: math.Inf(1), LimitAmps: math.Inf(1), Slowest: c.Slowest, TopTrim: c.TopTrim,
		Trimmed: c.Trimmed, HoldsSpeed: c.Tacho,
		Lost: 1 - AirShare(s),
	}
	f.Sag = sagAtStart(s)
	switch {
	case c.Kind == control.Contactor && s.Supply.Battery:
		f.Kind = motor.DirectCurrent
		f.Slowest = 1
	case c.Kind == control.CapacitorSet:
		f.Kind = motor.Capacitors
	}
	switch {
	case c.Kind != control.VariableTransformer && c.Kind != control.SeriesResistor:
	case family == motor.SeriesFamily && !s.Supply.Battery:
		f.Kind, f.Volts, f.Slowest = motor.CutSine, c.CutSineVolts(s.Supply.Volts), c.SeriesSlowest
	case family == motor.InductionFamily:
		// A fan on fewer volts: by trial; worked out at full volts only.
		f.Volts, f.Slowest, f.FormFactor = volts, 1, 1
	default:
		f.Kind = motor.DirectCurrent
		if !s.Supply.Battery {
			f.Rectified = s.Supply.Volts
		}
	}
	f.Ohms, f.Held = c.Ohms, c.Falls()
	if family == motor.SeriesFamily && !c.Tacho {
		f.Held = 0 // its volts tell nothing of its speed
	}
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
	rated := RatedAmps(s)
	if rated == 0 {
		rated = s.Motor.Amps.Value
	}
	f.Amps, f.PeakAmps = rated, control.PeakShare*rated
	if c.LimitAmps > 0 {
		f.LimitAmps = c.LimitAmps
	}
	switch {
	case c.Kind == control.StepperDriver:
		f.Kind = motor.Pulses
		if f.Volts == 0 {
			f.Volts = s.Motor.Volts.Value
		}
		return f
	case c.Kind == control.PhaseAngle && family == motor.SeriesFamily && !s.Supply.Battery:
		f.Kind, f.Volts, f.Slowest = motor.CutSine, c.CutSineVolts(s.Supply.Volts), c.SeriesSlowest
		return f
	case c.DCDrive():
		f.Kind = motor.DirectCurrent
		if rough, ok := roughness(s); ok {
			f.Rough, f.FormFactor = rough, rough[waveAt]
		}
		if c.Kind == control.PhaseAngle && c.Blind {
			f.Rectified, f.Cut = s.Supply.Volts, true
		}
		if family == motor.SeriesFamily {
			f.Slowest = c.SeriesSlowest
		}
		return f
	}
	f.Kind, f.Vector = motor.VariableHertz, c.Vector
	f.BaseHertz, f.BaseVolts, f.TopHertz = inverterHertz(s, f.Volts)
	f.Slowest = max(f.Slowest, c.LowHertz/f.BaseHertz)
	if c.Kind == control.SinglePhaseInverter && s.Motor.Kind.HasStartSwitch() {
		f.Slowest = max(f.Slowest, StartSwitchFloor)
	}
	return f
}

// onOnePhase is the share of its rating that an inverter made for three phases gives on one
// [common practice: size it twice over].
const onOnePhase = 0.5

// RatedAmps is what the control may give for ever as it is fed, in the air there; 0 when not known.
func RatedAmps(s *plan.Stations) float64 {
	rated := s.Control.Amps * air.Drive(s.Machine.Air, s.Machine.Altitude)
	if s.Control.ThreeIn && !s.Supply.Three {
		rated *= onOnePhase
	}
	return rated
}

// AirShare is the share of its torque the motor holds all day in the air there.
func AirShare(s *plan.Stations) float64 {
	return air.Winding(air.Limit[s.Motor.Insulation], s.Machine.Air, s.Machine.Altitude)
}

// BandFloor is the share of plate hertz down to which a motor without a start switch bears fewer from one phase
// [common practice].
const BandFloor = 0.5

// StartSwitchFloor is the share of plate speed below which a start switch may close again
// [common practice].
const StartSwitchFloor = 0.8

// inverterHertz are base hertz, volts there, and top hertz: as set, or the plate's, moved down
// when the inverter cannot reach the plate's volts.
func inverterHertz(s *plan.Stations, volts float64) (base, baseVolts, top float64) {
	m, c := s.Motor, s.Control
	base = c.BaseHertz
	if base == 0 {
		base = m.Hertz.Value * min(1, volts/m.Volts.Value)
	}
	baseVolts = min(volts, m.Volts.Value/m.Hertz.Value*base)
	top = c.TopHertz
	if top == 0 {
		top = m.Hertz.Value * c.TopTrim
	}
	return base, baseVolts, top
}

// usualLimit is how many times a motor's plate amps its current limit is usually set to [common practice].
const usualLimit = 1.5

// UsualLimit is where a current limit is usually set, A: 1.5 × the plate's amps, and no more than the drive is made
// for.
func UsualLimit(s *plan.Stations) float64 {
	limit := usualLimit * s.Motor.Amps.Value
	if s.Control.Amps > 0 {
		limit = min(limit, s.Control.Amps)
	}
	return limit
}
