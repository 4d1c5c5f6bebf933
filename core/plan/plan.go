// Package plan is what a person describes of a machine and the line that is to drive it, every quantity
// as typed, and those descriptions resolved. Nothing is worked out here.
package plan

import (
	"fmt"
	"slices"

	"jiriki/core/control"
	"jiriki/core/measured"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/script"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// Plan is one filled-in line for a machine, as described: every quantity as typed.
type Plan struct {
	Name      string              `json:"name" maxLength:"120"`
	Notes     string              `json:"notes" maxLength:"4000"`
	Supply    supply.Described    `json:"supply"`
	Control   control.Described   `json:"control"`
	Motor     motor.Described     `json:"motor"`
	Reduction reduction.Described `json:"reduction"`
	Prices    []Price             `json:"prices" maxItems:"200" nullable:"false" doc:"What parts not on the shelf cost"`
	Script    script.Described    `json:"script"`
	Trials    []measured.Trial    `json:"trials" maxItems:"60" nullable:"false" doc:"What was measured on the bench"`
	Checks    []Check             `json:"checks" maxItems:"200" nullable:"false" doc:"What has been set, tried or put by"`
}

// Price is what a part not on the shelf costs, as its buyer typed it.
type Price struct {
	Part string `json:"part" maxLength:"80" doc:"ID of the part"`
	Cost q.Text `json:"cost"`
}

// Check is something on a list of a plan that has been done: a setting set, a step of the first
// power-up taken, a part put by.
type Check struct {
	ID       string `json:"id" maxLength:"80" doc:"Of the setting, step or part, such as setting.limit"`
	On       string `json:"on" maxLength:"20" doc:"The day it was done, as the person's machine writes dates"`
	Measured string `json:"measured" maxLength:"60" doc:"What was read while doing it"`
	Open     bool   `json:"open,omitempty" doc:"Something was read, and it is not ticked off"`
}

// Input is everything an assessment needs. The same input always gives the same answer.
type Input struct {
	Units   q.System     `json:"units" enum:"metric,inch" doc:"Units the answer is written in; never changes what was typed"`
	Machine work.Machine `json:"machine"`
	Plan    Plan         `json:"plan"`
	Shelf   []shelf.Item `json:"shelf,omitempty" maxItems:"200" nullable:"false" doc:"Parts to try; left out for those of the workshop's shelf"`

	// Motors are the shelf's motors resolved, one for each part, where they are known already; they are
	// resolved when it is nil. The assessment says whether they were asked for.
	Motors []motor.Resolved `json:"-"`
}

// MaxShelf is how many parts a workshop's shelf holds.
const MaxShelf = 5000

// Bounds of a plan's lists.
const (
	maxPrices = 200
	maxChecks = 200
)

// Stations are the five stations resolved, as far as their entries can be used.
type Stations struct {
	Supply    supply.Resolved
	Control   control.Resolved
	Motor     motor.Resolved
	Reduction reduction.Resolved
	Machine   work.Resolved
	Script    script.Resolved
	Entries   q.FieldErrors // what cannot be used: taken as not there
}

// Refuses reports whether an entry cannot be used.
func (s Stations) Refuses(field string) bool {
	return slices.ContainsFunc(s.Entries, func(e q.FieldError) bool { return e.Field == field })
}

// Resolve reads a whole input. What was typed and cannot be used is taken as not there and named in
// entries. The error, if any, is quantity.FieldErrors: the input is past what is taken at once.
func Resolve(in Input) (Stations, error) {
	if err := in.bounds(); err != nil {
		return Stations{}, err
	}
	r := q.NewReader("")
	s := Stations{
		Supply:  supply.Resolve(in.Plan.Supply, r.Under("supply")),
		Control: control.Resolve(in.Plan.Control, r.Under("control")),
		Motor:   motor.Resolve(in.Plan.Motor, r.Under("motor")),
		Machine: work.Resolve(in.Machine, r.Under("machine")),
	}
	s.Reduction = reduction.Resolve(in.Plan.Reduction, s.Motor.Body.Shaft, s.Motor.Gear.Ratio, r.Under("reduction"))
	s.Script = script.Resolve(in.Plan.Script, &s.Machine, r.Under("script"))
	for i, p := range in.Plan.Prices {
		if p.Cost.Known() && !shelf.ParseMoney(p.Cost).Known {
			r.Refuse(fmt.Sprintf("prices[%d].cost", i), string(p.Cost), "write it as a number, such as 12 or £12.50")
		}
	}
	s.Entries, _ = r.Err().(q.FieldErrors)
	return s, nil
}

// bounds refuses an input that is longer than is taken at once, or asks for units there are not.
func (in Input) bounds() error {
	r := q.NewReader("")
	if len(in.Plan.Checks) > maxChecks {
		r.Refuse("checks", fmt.Sprint(len(in.Plan.Checks)), fmt.Sprintf("at most %d can be kept", maxChecks))
	}
	if len(in.Plan.Prices) > maxPrices {
		r.Refuse("prices", fmt.Sprint(len(in.Plan.Prices)), fmt.Sprintf("at most %d can be kept", maxPrices))
	}
	if n := len(in.Plan.Trials); n > measured.MaxTrials {
		r.Refuse("trials", fmt.Sprint(n), fmt.Sprintf("at most %d can be kept", measured.MaxTrials))
	}
	if len(in.Shelf) > MaxShelf {
		r.Refuse("shelf", fmt.Sprint(len(in.Shelf)), fmt.Sprintf("at most %d parts can be on the shelf", MaxShelf))
	}
	if in.Units != q.Metric && in.Units != q.Inch {
		r.Refuse("units", string(in.Units), "must be metric or inch")
	}
	return r.Err()
}

// Whole returns the plan with empty lists in place of absent ones, as an open file or a fresh
// plan may leave them out.
func (p Plan) Whole() Plan {
	stages := make([]reduction.DescribedStage, len(p.Reduction.Stages))
	copy(stages, p.Reduction.Stages)
	for i := range stages {
		if stages[i].Steps == nil {
			stages[i].Steps = []reduction.DescribedStep{}
		}
	}
	p.Reduction.Stages = stages
	p.Motor = p.Motor.Whole()
	p.Script = p.Script.Whole()
	p.Control = p.Control.Whole()
	trials := make([]measured.Trial, len(p.Trials))
	for i, t := range p.Trials {
		trials[i] = t.Whole()
	}
	p.Trials = trials
	if p.Prices == nil {
		p.Prices = []Price{}
	}
	if p.Checks == nil {
		p.Checks = []Check{}
	}
	return p
}
