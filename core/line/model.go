// Package line is the resolved line from wall to work as one model: what torque reaches the spindle at which
// speed and in which position, what holds it there, and how each job comes out. It judges nothing: packages
// verdict, remedy, search, rank and settings ask it.
package line

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// UsualEfficiency is what one belt or two keep, where the plan has no reduction [common practice].
const UsualEfficiency = 0.93

// Model is a plan that can be asked for torque at the spindle: the motor on its feed, and the
// positions of the reduction. When runs is false the feed, model and spans mean nothing.
type Model struct {
	plan.Stations
	Runs     bool
	Feed     motor.Feed
	Powered  *motor.Model
	TopSpeed float64 // fastest the spindle may turn, rad/s; +Inf without a limit
}

// New joins a plan's stations into one model. It does not run while the motor, its supply or a control
// that suits them is not known.
func New(s plan.Stations) *Model {
	t := &Model{Stations: s}
	t.TopSpeed, _ = s.Machine.TopSpeed()
	if !s.Motor.Ready() || s.Supply.Volts == 0 || s.Control.Kind == "" {
		return t
	}
	if ok, _ := Suits(s); !ok {
		return t
	}
	if s.Control.Kind == control.Contactor && s.Motor.Kind == motor.ThreePhase && !s.Supply.Three {
		return t
	}
	t.stepperMargins()
	t.Feed = feed(s)
	t.Powered = s.Motor.On(t.Feed)
	_, high := t.Powered.Span()
	t.Runs = high > 0
	return t
}

// stepperMargin is the torque kept in hand with a stepper, which loses steps without a word
// [common practice].
const stepperMargin = 2

// stepperMargins raises the usual margins where a stepper does the work; one set by hand stays.
func (t *Model) stepperMargins() {
	if t.Motor.Kind != motor.Stepper {
		return
	}
	jobs := append([]work.Need(nil), t.Machine.Jobs...)
	for i := range jobs {
		if !jobs[i].ByHandMargin && jobs[i].Margin < stepperMargin {
			jobs[i].Margin, jobs[i].MarginBy = stepperMargin, "a stepper keeps twice the torque in hand"
		}
	}
	t.Machine.Jobs = jobs
}

// Span is the slowest and fastest spindle speed of a position, rad/s, before the machine's own
// limit is applied.
func (t *Model) Span(p *reduction.Position) (low, high float64) {
	low, high = t.Powered.Span()
	return low / p.Ratio, high / p.Ratio
}

// carriedAt is the most that a position's belts and shafts bear at spindle speed omega.
func carriedAt(omega float64, p *reduction.Position, overload float64) motor.Limited {
	most, by := p.Carries(omega, overload)
	return motor.Limited{Torque: most, By: motor.Limit(by)}
}

// at carries a torque of the motor through a position to the spindle, as far as it is borne.
func at(h motor.Limited, p *reduction.Position, borne motor.Limited) motor.Limited {
	if h.Torque *= p.Ratio * p.Efficiency; borne.Torque < h.Torque {
		return borne
	}
	return h
}

// Steady is the torque (N·m) that reaches the spindle at speed omega (rad/s) in a position, held while the
// winding heats overload² times as it does at rated load. A belt's rating is for its life, so a rest gives
// it nothing.
func (t *Model) Steady(omega, overload float64, p *reduction.Position) motor.Limited {
	return at(t.Powered.Steady(omega*p.Ratio, overload), p, carriedAt(omega, p, 1))
}

// Peak is the torque (N·m) at the spindle for some seconds, for which a belt pulls past its rating.
func (t *Model) Peak(omega float64, p *reduction.Position) motor.Limited {
	return at(t.Powered.Peak(omega*p.Ratio), p, carriedAt(omega, p, reduction.OverloadShare))
}

// Breakaway is the torque (N·m) at the spindle from standstill.
func (t *Model) Breakaway(p *reduction.Position) motor.Limited {
	return at(t.Powered.Breakaway(), p, carriedAt(0, p, reduction.OverloadShare))
}
