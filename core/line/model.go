// Package line is the resolved line from wall to work as one model: what torque reaches the spindle at which
// speed and in which position, what holds it there, and how each job comes out. It judges nothing: packages
// verdict, remedy, search, rank and settings ask it.
package line

import (
	"cmp"

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

	slow, fast float64       // the motor's own span under load, rad/s at its output
	free       float64       // the fastest it can turn unloaded, rad/s at its output
	atRest     motor.Limited // what it gives from standstill, N·m at its output
}

// New joins a plan's stations into one model. It does not run while the motor, its supply or a control
// that suits them is not known.
func New(s plan.Stations) *Model {
	t := &Model{Stations: s}
	t.Settle()
	return t
}

// Settle works the model out anew after its stations were changed, as [New] does.
func (t *Model) Settle() {
	s := &t.Stations
	t.TopSpeed, _ = s.Machine.TopSpeed()
	t.Runs, t.Powered, t.Feed = false, nil, motor.Feed{}
	if !s.Motor.Ready() || s.Supply.Volts == 0 || s.Control.Kind == "" {
		return
	}
	if ok, _ := Suits(s); !ok {
		return
	}
	if s.Control.Kind == control.Contactor && s.Motor.Kind == motor.ThreePhase && !s.Supply.Three {
		return
	}
	t.stepperMargins()
	t.Feed = feed(s)
	s.Motor.Driven(t.Feed.Volts)
	t.Powered = s.Motor.On(t.Feed)
	t.slow, t.fast = t.Powered.Span()
	t.atRest, t.free = t.Powered.Breakaway(), t.Powered.Top()
	if t.Runs = t.fast > 0; t.Runs {
		t.Look(t.Reduction.Positions)
	}
}

// Look prepares positions, of this reduction or another, for being asked at many speeds.
func (t *Model) Look(positions []reduction.Position) {
	for i := range positions {
		_, high := t.Span(&positions[i])
		positions[i].LookTo(high)
	}
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
	return t.slow / p.Ratio, t.fast / p.Ratio
}

// Top is the fastest the spindle can turn in a position, rad/s, before the machine's own limit: unloaded, its
// belts without slip, at the most the control can give as trimmed.
func (t *Model) Top(p *reduction.Position) float64 { return t.free / cmp.Or(p.Unslipped, p.Ratio) }

// through carries a torque of the motor through a position to the spindle turning at omega, as far as belts
// and shafts bear it; overload is how far past its rating a belt may pull.
func through(p *reduction.Position, h motor.Limited, omega, overload float64) motor.Limited {
	h.Torque *= p.Ratio * p.Efficiency
	return borne(p, h, omega, overload)
}

// borne is a torque at the spindle as far as a position's belts and shafts bear it.
func borne(p *reduction.Position, h motor.Limited, omega, overload float64) motor.Limited {
	if p.Surely(h.Torque, omega, overload) {
		return h
	}
	if most, by := p.Carries(omega, overload); most < h.Torque {
		return motor.Limited{Torque: most, By: motor.Limit(by)}
	}
	return h
}

// Steady is the torque (N·m) that reaches the spindle at speed omega (rad/s) in a position, held while the
// winding heats overload² times as it does at rated load. A belt's rating is for its life, so a rest gives
// it nothing.
func (t *Model) Steady(omega, overload float64, p *reduction.Position) motor.Limited {
	return through(p, t.Powered.Steady(omega*p.Ratio, overload), omega, 1)
}

// Peak is the torque (N·m) at the spindle for some seconds, for which a belt pulls past its rating.
func (t *Model) Peak(omega float64, p *reduction.Position) motor.Limited {
	return through(p, t.Powered.Peak(omega*p.Ratio), omega, reduction.OverloadShare)
}

// Breakaway is the torque (N·m) at the spindle from standstill.
func (t *Model) Breakaway(p *reduction.Position) motor.Limited {
	return through(p, t.atRest, 0, reduction.OverloadShare)
}
