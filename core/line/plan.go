// Package line joins the five stations of a plan from wall to work: what torque reaches the
// spindle at which speed, whether each job is done, what holds it, what would lift it, and
// what can hurt.
package line

import (
	"fmt"

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
	Shelf   []shelf.Item `json:"shelf" maxItems:"200" nullable:"false"`
}

// maxShelf is how many motors an assessment tries.
const maxShelf = 200

// stations are the five stations resolved.
type stations struct {
	supply    supply.Resolved
	control   control.Resolved
	motor     motor.Resolved
	reduction reduction.Resolved
	machine   work.Resolved
}

// resolve reads a whole input. The error, if any, is quantity.FieldErrors naming every field
// that cannot be used.
func resolve(in Input) (stations, error) {
	r := q.NewReader("")
	s := stations{
		supply:  supply.Resolve(in.Plan.Supply, r.Under("supply")),
		control: control.Resolve(in.Plan.Control, r.Under("control")),
		motor:   motor.Resolve(in.Plan.Motor, r.Under("motor")),
		machine: work.Resolve(in.Machine, r.Under("machine")),
	}
	s.reduction = reduction.Resolve(in.Plan.Reduction, s.motor.Body.Shaft, r.Under("reduction"))
	if len(in.Plan.Checks) > maxChecks {
		r.Refuse("checks", fmt.Sprint(len(in.Plan.Checks)), fmt.Sprintf("at most %d can be kept", maxChecks))
	}
	if len(in.Plan.Prices) > maxPrices {
		r.Refuse("prices", fmt.Sprint(len(in.Plan.Prices)), fmt.Sprintf("at most %d can be kept", maxPrices))
	}
	for i, p := range in.Plan.Prices {
		if p.Cost.Known() && !(shelf.Item{Cost: p.Cost}).Price().Known {
			r.Refuse(fmt.Sprintf("prices[%d].cost", i), string(p.Cost), "write it as a number, such as 12 or £12.50")
		}
	}
	if len(in.Shelf) > maxShelf {
		r.Refuse("shelf", fmt.Sprint(len(in.Shelf)), fmt.Sprintf("at most %d motors can be tried at once", maxShelf))
	}
	if in.Units != q.Metric && in.Units != q.Inch {
		r.Refuse("units", string(in.Units), "must be metric or inch")
	}
	return s, r.Err()
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
