package line

import (
	"jiriki/core/numeric"
)

// ResistorSpeeds are the speeds a series resistor lets the motor turn at lightly loaded, a tenth of its
// rated torque, and at all of it; rad/s, 0 where it stalls.
func (t *Model) ResistorSpeeds() (light, full float64) {
	_, high := t.Powered.RotorSpan()
	gear := t.Motor.Gear
	at := func(torque float64) float64 {
		return numeric.Last(0, high, 1e-9*high, func(rotor float64) bool {
			return t.Powered.Peak(rotor/gear.Ratio).Torque > torque*gear.Ratio*gear.Efficiency
		})
	}
	return at(0.1 * t.Motor.Torque.Value), at(t.Motor.Torque.Value)
}

// ResistorHeat is the heat in a series resistor at rated amps, or at the stall where that is less; W.
func (t *Model) ResistorHeat() float64 {
	amps := min(t.Motor.Amps.Value, t.Powered.StallAmps())
	return amps * amps * t.Control.Ohms
}
