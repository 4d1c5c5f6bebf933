package line

import (
	"math"

	"jiriki/core/numeric"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// UsualRamp is how long a control that ramps takes from rest to full speed where nobody set it [common practice], s.
const UsualRamp = 2.5

// OwnInertia is what turns besides the work in a position, at the spindle, kg·m²: the motor's rotor and the wheels.
func (t *Model) OwnInertia(p *reduction.Position) float64 {
	turns := p.Ratio * t.Motor.Gear.Ratio
	return t.Motor.Rotor.Value*turns*turns + p.Inertia
}

// ownTorque is the torque (N·m at the spindle) that brings rotor and wheels up to speed together with a job's inertia,
// in the time the job wants; 0 for jobs of any other sort.
func (t *Model) ownTorque(job *work.Need, p *reduction.Position) float64 {
	if job.Spinning.Within == 0 {
		return 0
	}
	return t.OwnInertia(p) * job.High / job.Spinning.Within
}

// TimeToSpeed is how long an inertia (kg·m² at the spindle, rotor and wheels besides) takes from rest to omega (rad/s)
// against friction (N·m) with all the torque there is for some seconds: t = ∫ J dω / (T − T_f),
// by Gauss–Legendre quadrature. +Inf when the torque does not pass the friction on the way.
func (t *Model) TimeToSpeed(inertia, friction, omega float64, p *reduction.Position) float64 {
	stuck := false
	inertia += t.OwnInertia(p)
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
