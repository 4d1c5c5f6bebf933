package line

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
)

// waveAt is which of [motor.RoughShares] a form factor is shown at: where its own fan no longer helps and heat is
// what binds.
const waveAt = 1

// Armature is what a phase-angle drive's current goes through at a share of plate speed.
type Armature struct{ Amps, Line, Hertz, EMF, Ohms, Henries float64 }

// ArmatureAt is what the current goes through at a share of plate speed; false where the drive is no phase-angle
// drive, or the inductance of the armature is not known and the usual form factor stands.
func ArmatureAt(s *plan.Stations, share float64) (Armature, bool) {
	m := s.Motor
	if s.Control.Kind != control.PhaseAngle || m.DC.Henries == 0 || s.Supply.Battery ||
		m.Kind.Family() != motor.DCFamily {
		return Armature{}, false
	}
	return Armature{
		Amps: m.Amps.Value, Line: s.Supply.Volts, Hertz: s.Supply.Hertz,
		EMF: m.DC.Ke.Value * share * m.Speed.Value, Ohms: m.DC.Resistance.Value,
		Henries: m.DC.Henries + s.Control.Henries,
	}, true
}

// Wave is the current whose rms is plate amps, and the angle it is fired at.
func (a Armature) Wave() (alpha float64, w control.Wave) {
	return control.HeatingWave(a.Amps, a.Line, a.Hertz, a.EMF, a.Ohms, a.Henries)
}

// roughness is the form factor by speed, each where the rms, which heats, is plate amps.
func roughness(s *plan.Stations) (*motor.Rough, bool) {
	var rough motor.Rough
	for i, share := range motor.RoughShares {
		a, known := ArmatureAt(s, share)
		if !known {
			return nil, false
		}
		_, wave := a.Wave()
		rough[i] = wave.FormFactor
	}
	return &rough, true
}

// SmoothingChoke is the choke (H) that brings a phase-angle drive's form factor down to what one is
// counted on for, where its armature's own inductance, when known, does not do so already.
func SmoothingChoke(s *plan.Stations) (henries float64, ok bool) {
	m := s.Motor
	if m.Kind.Family() != motor.DCFamily || s.Supply.Battery {
		return 0, false
	}
	whole, ok := control.InductanceFor(control.ChokedForm, m.Amps.Value, s.Supply.Volts, s.Supply.Hertz,
		m.DC.Ke.Value*motor.RoughShares[waveAt]*m.Speed.Value, m.DC.Resistance.Value)
	return max(whole-m.DC.Henries, 0), ok
}
