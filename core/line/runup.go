package line

import (
	"math"

	"jiriki/core/numeric"
	"jiriki/core/reduction"
)

// TimeToSpeed is how long an inertia (kg·m² at the spindle) takes from rest to omega (rad/s)
// against friction (N·m) with all the torque there is for some seconds: t = ∫ J dω / (T − T_f),
// by Gauss–Legendre quadrature. +Inf when the torque does not pass the friction on the way.
func (t *Model) TimeToSpeed(inertia, friction, omega float64, p *reduction.Position) float64 {
	stuck := false
	seconds := numeric.Integral(0, omega, func(w float64) float64 {
		spare := t.Peak(w, p).Torque - friction
		if spare <= 0 {
			stuck = true
			return 0
		}
		return inertia / spare
	})
	if stuck || math.IsNaN(seconds) {
		return math.Inf(1)
	}
	return seconds
}
