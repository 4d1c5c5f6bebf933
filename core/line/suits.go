package line

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
)

// Suits reports whether control, motor and supply belong together, and says why or what does. What is no kind
// known here suits nothing.
func Suits(s *plan.Stations) (bool, string) {
	return SuitsOn(s.Control.Kind, s.Motor.Kind, s.Supply.Battery)
}

// SuitsOn is [Suits] of a kind of control and of motor, from the mains or a battery.
func SuitsOn(kind control.Kind, m motor.Kind, battery bool) (bool, string) {
	profile := kind.Profile()
	if profile.Kind == "" {
		return false, "What is to control it must be known first."
	}
	if battery && kind == control.Contactor && m.Brushed() {
		return true, "Straight on the battery it turns at full speed or not at all, and draws its stall current at " +
			"every start."
	}
	ok, why := m.Takes(string(kind))
	if !ok {
		return false, profile.Gives() + " " + why
	}
	if !battery {
		return true, why
	}
	if ok, why = profile.FromBattery(); !ok {
		return false, why
	}
	return true, "The drive makes what the motor needs from the battery's volts."
}

// Drives are the controls one would choose for a kind of motor, in the order they are offered.
func Drives(m motor.Kind) []control.Kind {
	var out []control.Kind
	for _, match := range m.Profile().Controls {
		if !match.Also {
			out = append(out, control.Kind(match.Control))
		}
	}
	return out
}
