package line

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
)

// waveSpeed is the share of plate speed at which a form factor is worked out: where its own fan no
// longer helps and heat is what binds.
const waveSpeed = 0.25

// ArmatureWave is the current of a phase-angle drive at plate amps and a quarter of plate speed, where
// the inductance of armature and choke is known; false where it is not, and the usual form factor
// stands.
func ArmatureWave(s *plan.Stations, f motor.Feed) (control.Wave, bool) {
	m, henries := s.Motor, s.Motor.DC.Henries+s.Control.Henries
	if s.Control.Kind != control.PhaseAngle || m.DC.Henries == 0 || s.Supply.Battery ||
		m.Kind.Family() != motor.DCFamily {
		return control.Wave{}, false
	}
	_, wave, ok := control.FiringFor(m.Amps.Value, s.Supply.Volts, s.Supply.Hertz, WaveEMF(m), m.DC.Resistance.Value,
		henries)
	return wave, ok
}

// WaveEMF is the back-EMF against which a form factor is worked out.
func WaveEMF(m motor.Resolved) float64 { return m.DC.Ke.Value * waveSpeed * m.Speed.Value }

// SmoothingChoke is the choke (H) that brings a phase-angle drive's form factor down to what one is
// counted on for, where its armature's own inductance, when known, does not do so already.
func SmoothingChoke(s *plan.Stations) (henries float64, ok bool) {
	m := s.Motor
	if m.Kind.Family() != motor.DCFamily || s.Supply.Battery {
		return 0, false
	}
	whole, ok := control.InductanceFor(control.ChokedForm, m.Amps.Value, s.Supply.Volts, s.Supply.Hertz, WaveEMF(m),
		m.DC.Resistance.Value)
	return max(whole-m.DC.Henries, 0), ok
}
