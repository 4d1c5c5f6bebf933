package reduction

import "math"

// Friction and pressure angle of a greased worm [common practice].
const (
	wormFriction = 0.07
	wormPressure = 20 * math.Pi / 180
)

// WormEfficiency returns the efficiency of a worm driving its wheel at a lead angle (rad), by
//
//	η = (cos φ − μ·tan λ) / (cos φ + μ·cot λ)
//
// with pressure angle φ 20° and friction μ 0.07 for steel on greased bronze [common practice].
// Source of the formula: Shigley, section 13-17, from memory.
func WormEfficiency(lead float64) float64 { return wormEfficiency(lead, wormFriction, wormPressure) }

func wormEfficiency(lead, friction, pressure float64) float64 {
	tan := math.Tan(lead)
	return (math.Cos(pressure) - friction*tan) / (math.Cos(pressure) + friction/tan)
}

// wormLead is the lead angle of a worm of so many starts whose pitch diameter is ten modules, the
// usual proportion [common practice].
func wormLead(starts float64) float64 { return math.Atan(starts / 10) }

// HoldsItself reports whether a worm keeps less than half, so that its wheel cannot drive it back.
func (s Stage) HoldsItself() bool { return s.Kind == Worm && s.Efficiency < 0.5 }
