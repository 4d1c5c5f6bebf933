package dryrun

import (
	"math"
	"reflect"
	"slices"
	"strings"

	"jiriki/core/assess"
	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/script"
	"jiriki/core/work"
)

// Remedy is a change that was run: whichever part is set takes the place of the plan's when the person takes it.
type Remedy struct {
	Label     string               `json:"label" doc:"What to try, short enough for a link"`
	Detail    string               `json:"detail" doc:"What the run then does"`
	Control   *control.Described   `json:"control,omitempty"`
	Motor     *motor.Described     `json:"motor,omitempty"`
	Reduction *reduction.Described `json:"reduction,omitempty"`
	Machine   *work.Machine        `json:"machine,omitempty"`
	Script    *script.Described    `json:"script,omitempty"`
}

// Bounds on what is tried, so that an answer comes while somebody types: changes for one finding, those for all of
// them,
// and steps and events of all runs together. The most serious findings come first.
const (
	mostTried      = 6
	mostHelpers    = 16
	stepsOfHelpers = 3000
)

// helper runs changes to a plan.
type helper struct {
	in    plan.Input
	out   *Answer
	model *line.Model
	steps int // left
	runs  int // left
}

// remedies runs changes for what went wrong, and keeps those with which it does not.
func remedies(in plan.Input, out *Answer) map[f.ID][]Remedy {
	fixes := map[f.ID][]Remedy{}
	h := helper{in: in, out: out, steps: stepsOfHelpers, runs: mostHelpers}
	h.in.Plan.Script = out.Script
	s, err := plan.Resolve(h.in)
	if err != nil {
		return fixes
	}
	h.model = line.New(s)
	for i := range out.Findings {
		one := &out.Findings[i]
		if one.Level != f.Stop && one.Level != f.Caution {
			continue
		}
		var tried []Remedy
		for _, c := range h.changes(one) {
			if len(tried) == mostTried || h.steps <= 0 || h.runs == 0 {
				break
			}
			h.runs--
			if h.helps(&c, one.ID) {
				tried = append(tried, c)
			}
		}
		if len(tried) > 0 {
			fixes[one.ID] = tried
		}
	}
	return fixes
}

// changes are what may help against a finding.
func (h *helper) changes(one *f.Finding) []Remedy {
	switch base, _, _ := strings.Cut(strings.TrimPrefix(string(one.ID), string(one.Station)+"."), "."); f.ID(
		string(one.Station) + "." + base) {
	case f.DryStalls:
		return append(h.limits(), append(h.ofJob(one.Job), append(h.positions(), h.flywheels()...)...)...)
	case f.DryNoStart:
		return append(h.limits(), h.positions()...)
	case f.DryStartWinding:
		return h.positions()
	case f.DryOverVolts:
		return append(h.ramps(), h.brakes()...)
	case f.DryUnscrews:
		return append(h.ramps(), h.noBrake()...)
	case f.DryStartsItself:
		return h.control("Fit a no-volt release", func(c *control.Described) { c.NoVolt = true })
	case f.DryMagnets:
		return h.limitTo(magnetsMost * h.model.Motor.Amps.Value)
	case f.DryTrips, f.DryAtLimit:
		return append(h.positions(), h.limitTo(h.model.Feed.Amps)...)
	case f.DryClass:
		return h.cooling()
	case f.DrySags:
		return append(h.control("Run it by vector", func(c *control.Described) { c.Mode = "vector" }),
			h.control("Steady it by a tachometer", func(c *control.Described) { c.Feedback = "tacho" })...)
	case f.DryCoasts:
		return h.brakes()
	}
	return nil
}

// control is a change of the control, where it changes anything.
func (h *helper) control(label string, change func(c *control.Described)) []Remedy {
	c := h.in.Plan.Control
	change(&c)
	if reflect.DeepEqual(c, h.in.Plan.Control) {
		return nil
	}
	return []Remedy{{Label: label, Control: &c}}
}

// limitTo sets the current limit.
func (h *helper) limitTo(amps float64) []Remedy {
	if !h.model.Control.Limits() || h.model.Control.Kind == control.StepperDriver || !(amps > 0) {
		return nil
	}
	text := q.ShowDown(amps, q.Current, h.in.Units)
	return h.control("Limit at "+text, func(c *control.Described) { c.LimitAmps = q.Text(text) })
}

// limits are higher current limits that drive and magnets stand.
func (h *helper) limits() []Remedy {
	most := h.model.Feed.PeakAmps
	if made := h.model.Control.Amps; made > 0 {
		most = min(most, made) // what it gives for a minute is no place for its limit
	}
	if h.model.Motor.Kind.Magnets() {
		most = min(most, magnetsMost*h.model.Motor.Amps.Value)
	}
	now := h.model.Feed.LimitAmps
	if !(now < most) {
		return nil
	}
	return append(h.limitTo((now+most)/2), h.limitTo(most)...)
}

// ofJob are the changes the verdict found for a job.
func (h *helper) ofJob(id string) []Remedy {
	if id == "" {
		return nil
	}
	a, err := assess.Assess(h.in)
	if err != nil {
		return nil
	}
	var out []Remedy
	for _, job := range a.Jobs {
		if job.ID != id {
			continue
		}
		for _, r := range job.Remedies {
			if r.Jobs == nil {
				out = append(out, Remedy{Label: r.Label, Control: r.Control, Motor: r.Motor, Reduction: r.Reduction})
			}
		}
	}
	return out
}

// positions are the other positions of the reduction.
func (h *helper) positions() []Remedy {
	var out []Remedy
	for i := range h.model.Reduction.Positions {
		if p := &h.model.Reduction.Positions[i]; p.Label != h.out.Position {
			s := h.out.Script
			s.Position = p.Label
			out = append(out, Remedy{Label: "On " + p.Label, Script: &s})
		}
	}
	return out
}

// heaviestWheel is the most a flywheel is offered with, kg·m²: a cast one of half a metre.
const heaviestWheel = 3

// flywheels are heavier ones on the spindle.
func (h *helper) flywheels() []Remedy {
	var out []Remedy
	m := newMachine(h.model, &h.model.Script)
	for _, times := range []float64{3, 10, 30} {
		machine := h.in.Machine
		s := h.out.Script
		kgm2 := m.rest * times
		if kgm2 > heaviestWheel {
			break
		}
		label, si := q.Unit(q.Inertia, h.in.Units)
		text := q.Written(kgm2/si, label)
		machine.Limits.Flywheel, s.Inertia = text, ""
		out = append(out, Remedy{Label: "A flywheel of " + q.Show(kgm2, q.Inertia, h.in.Units), Machine: &machine,
			Script: &s})
	}
	return out
}

// ramps are longer ones.
func (h *helper) ramps() []Remedy {
	var out []Remedy
	for _, times := range []float64{2, 4, 8} {
		m := h.model.Control.Accel
		if m == 0 {
			m = line.UsualRamp
		}
		text := q.Written(m*times, "s")
		out = append(out, h.control("Ramp of "+string(text), func(c *control.Described) { c.Accel = text })...)
	}
	return out
}

// brakes are brake resistors, where the control takes one and nothing is screwed on: one where there is none, and
// stronger ones in place of one that is too small.
func (h *helper) brakes() []Remedy {
	c := &h.model.Control
	if h.model.Machine.ScrewedOn || !c.SetsHertz() && !c.DCDrive() || h.model.Supply.Battery {
		return nil
	}
	ohms := 1.5 * h.model.Motor.Volts.Value / h.model.Motor.Amps.Value
	if c.SetsHertz() {
		volts := h.model.Supply.Volts * math.Sqrt2 * busTrips
		ohms = volts * volts / (1.5 * h.model.Motor.Power.Value)
	}
	var out []Remedy
	for _, share := range []float64{1, 1. / 2, 1. / 4} {
		if c.BrakeOhms > 0 && ohms*share >= c.BrakeOhms {
			continue
		}
		text := q.Written(ohms*share, "Ω")
		out = append(out, h.control("A brake resistor of "+
			""+string(text), func(c *control.Described) { c.BrakeOhms = text })...)
	}
	return out
}

func (h *helper) noBrake() []Remedy {
	return h.control("Take the brake resistor off", func(c *control.Described) { c.BrakeOhms = "" })
}

// cooling is a fan of its own on the motor.
func (h *helper) cooling() []Remedy {
	if h.model.Motor.Cooling != "own-fan" {
		return nil
	}
	m := h.in.Plan.Motor
	m.Plate.Cooling = "blown"
	return []Remedy{{Label: "Cool it by a fan of its own", Motor: &m}}
}

// helps runs a change, and reports whether what was found is found no more and nothing as bad is new.
func (h *helper) helps(c *Remedy, id f.ID) bool {
	in := h.in
	if c.Control != nil {
		in.Plan.Control = *c.Control
	}
	if c.Motor != nil {
		in.Plan.Motor = *c.Motor
	}
	if c.Reduction != nil {
		in.Plan.Reduction = *c.Reduction
	}
	if c.Machine != nil {
		in.Machine = *c.Machine
	}
	if c.Script != nil {
		in.Plan.Script = *c.Script
	}
	next, t, err := prepare(&in)
	if err != nil || t == nil {
		return false
	}
	r, err := simulate(newMachine(t, &t.Script), &t.Script, detail{fine: 1, most: h.steps})
	if r != nil {
		h.steps -= r.steps + len(r.log.events)
	}
	if err != nil {
		return false
	}
	next.judge(r, in.Units)
	for _, one := range next.Findings {
		if one.ID == id && one.Level != f.Good || (one.Level == f.Stop || putsOff(one.ID)) && !h.had(one.ID) {
			return false
		}
	}
	if strings.HasPrefix(string(id), string(f.DryStalls)) && !slices.ContainsFunc(next.Results.Cuts, func(c Cut) bool {
		return cutID(f.DryStalls, &c) == id && !c.Off && c.Holds > 0
	}) {
		return false
	}
	c.Detail = h.says(&next, id)
	return true
}

// putsOff reports whether a finding is of something that puts the motor off.
func putsOff(id f.ID) bool {
	for _, w := range tripWords {
		if w.id == id {
			return true
		}
	}
	return id == f.DryNoStart
}

func (h *helper) had(id f.ID) bool {
	return slices.ContainsFunc(h.out.Findings, func(one f.Finding) bool {
		return one.ID == id && one.Level != f.Good
	})
}

// says is what a run with a change does where it did not before.
func (h *helper) says(next *Answer, id f.ID) string {
	for _, c := range next.Results.Cuts {
		if id == cutID(f.DryStalls, &c) {
			return "holds " + q.Show(c.Holds*q.RPM, q.Speed, h.in.Units)
		}
	}
	return next.Headline
}
