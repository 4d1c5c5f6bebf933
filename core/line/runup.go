package line

import (
	"math"

	"gonum.org/v1/gonum/integrate/quad"

	"jiriki/core/reduction"
)

// runUpPoints is how many speeds the run-up integral is taken at.
const runUpPoints = 64

// TimeToSpeed is how long an inertia (kg·m² at the spindle) takes from rest to omega (rad/s)
// against friction (N·m) with all the torque there is for some seconds: t = ∫ J dω / (T − T_f),
// by Gauss–Legendre quadrature. +Inf when the torque does not pass the friction on the way.
func (t *Model) TimeToSpeed(inertia, friction, omega float64, p *reduction.Position) float64 {
	stuck := false
	seconds := quad.Fixed(func(w float64) float64 {
		spare := t.Peak(w, p).Torque - friction
		if spare <= 0 {
			stuck = true
			return 0
		}
		return inertia / spare
	}, 0, omega, runUpPoints, nil, 0)
	if stuck || math.IsNaN(seconds) {
		return math.Inf(1)
	}
	return seconds
}
