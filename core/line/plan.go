// Package line joins the five stations of a plan from wall to work: what torque reaches the
// spindle at which speed, whether each job is done, what holds it, what would lift it, and
// what can hurt.
package line

import (
	"fmt"
	"slices"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
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
	Checks    []Check             `json:"checks" maxItems:"200" nullable:"false" doc:"What has been set, tried or put by"`
}

// Input is everything an assessment needs. The same input always gives the same answer.
type Input struct {
	Units   q.System     `json:"units" enum:"metric,inch" doc:"Units the answer is written in; never changes what was typed"`
	Machine work.Machine `json:"machine"`
	Plan    Plan         `json:"plan"`
	Shelf   []shelf.Item `json:"shelf,omitempty" maxItems:"200" nullable:"false" doc:"Parts to try; left out for those of the workshop's shelf"`

	// Motors are the shelf's motors resolved, one for each part, where they are known already; they are
	// resolved when it is nil. [Assessment.ShelfTried] says whether they were asked for.
	Motors []motor.Resolved `json:"-"`
}

// MaxShelf is how many parts a workshop's shelf holds.
const MaxShelf = 5000

// stations are the five stations resolved, as far as their entries can be used.
type stations struct {
	supply    supply.Resolved
	control   control.Resolved
	motor     motor.Resolved
	reduction reduction.Resolved
	machine   work.Resolved
	entries   q.FieldErrors // what cannot be used: taken as not there
}

// refuses reports whether an entry cannot be used.
func (s stations) refuses(field string) bool {
	return slices.ContainsFunc(s.entries, func(e q.FieldError) bool { return e.Field == field })
}

// resolve reads a whole input. What was typed and cannot be used is taken as not there and named in
// entries. The error, if any, is quantity.FieldErrors: the input is past what is taken at once.
func resolve(in Input) (stations, error) {
	if err := in.bounds(); err != nil {
		return stations{}, err
	}
	r := q.NewReader("")
	s := stations{
		supply:  supply.Resolve(in.Plan.Supply, r.Under("supply")),
		control: control.Resolve(in.Plan.Control, r.Under("control")),
		motor:   motor.Resolve(in.Plan.Motor, r.Under("motor")),
		machine: work.Resolve(in.Machine, r.Under("machine")),
	}
	s.reduction = reduction.Resolve(in.Plan.Reduction, s.motor.Body.Shaft, r.Under("reduction"))
	for i, p := range in.Plan.Prices {
		if p.Cost.Known() && !(shelf.Item{Cost: p.Cost}).Price().Known {
			r.Refuse(fmt.Sprintf("prices[%d].cost", i), string(p.Cost), "write it as a number, such as 12 or £12.50")
		}
	}
	s.entries, _ = r.Err().(q.FieldErrors)
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
	if p.Prices == nil {
		p.Prices = []Price{}
	}
	if p.Checks == nil {
		p.Checks = []Check{}
	}
	return p
}
