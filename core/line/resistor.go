package line

import (
	"math"
)

// ResistorSpeeds are the speeds a series resistor lets the motor turn at lightly loaded, a tenth of its
// rated torque, and at all of it; rad/s, 0 where it stalls.
func (t *Model) ResistorSpeeds() (light, full float64) {
	_, high := t.Powered.RotorSpan()
	at := func(torque float64) float64 {
		low, top := 0.0, high
		for range 50 {
			if middle := (low + top) / 2; t.Powered.Peak(middle/t.Motor.Gear.Ratio).Torque > torque*t.Motor.Gear.Ratio*t.Motor.Gear.Efficiency {
				low = middle
			} else {
				top = middle
			}
		}
		return low
	}
	return at(0.1 * t.Motor.Torque.Value), at(t.Motor.Torque.Value)
}

// ResistorHeat is the heat in a series resistor at rated amps, or at the stall where that is less; W.
func (t *Model) ResistorHeat() float64 {
	amps := math.Min(t.Motor.Amps.Value, t.Powered.StallAmps())
	return amps * amps * t.Control.Ohms
}
