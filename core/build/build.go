// Package build is what it takes to build a plan: parts and their cost, what to make, the wiring, the order of
// first power-up, and the usual other approaches. It judges nothing anew: assess has.
package build

import (
	"fmt"
	"reflect"
	"strings"

	"jiriki/core/assess"
	"jiriki/core/control"
	"jiriki/core/dryrun"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/powerup"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/wiring"
	"jiriki/core/words"
)

// Part is one line of the build sheet.
type Part struct {
	ID     string `json:"id"`
	Name   string `json:"name"`
	Rating string `json:"rating" doc:"What it must be good for"`
	Why    string `json:"why" doc:"Where that comes from"`
	Place  string `json:"place" doc:"Where it lies, for a part on the shelf"`
	Cost   string `json:"cost" doc:"With its currency; empty where none was typed"`

	price shelf.Money
}

// Bill is a list of parts with what they cost together.
type Bill struct {
	Parts  []Part `json:"parts" nullable:"false"`
	Cost   string `json:"cost" doc:"Of the parts that have one, each currency by itself"`
	Priced int    `json:"priced" doc:"How many have one"`
}

// Build is everything it takes to build a plan: parts, wiring, and the order of first power-up.
type Build struct {
	Take       Bill           `json:"take" doc:"From the shelf"`
	Buy        Bill           `json:"buy"`
	Make       []Making       `json:"make" nullable:"false"`
	Wiring     Wiring         `json:"wiring"`
	PowerUp    []powerup.Step `json:"powerUp" nullable:"false"`
	Homemade   *Homemade      `json:"homemade,omitempty" doc:"Only for a drive that can be built at home"`
	Approaches []Approach     `json:"approaches" nullable:"false"`
	MayPower   bool           `json:"mayPower"`
	Power      judge.Answer   `json:"power" enum:"yes,no,unknown" doc:"May it be powered?"`
	Blocked    string         `json:"blocked" doc:"Why it may not be powered yet; empty when it may"`
}

// Making is a thing to machine or make.
type Making struct {
	ID   string `json:"id"`
	What string `json:"what"`
	Why  string `json:"why"`
}

// Wiring is the plan's wiring and what was looked at in it.
type Wiring struct {
	wiring.Diagram
	Checks []wiring.Verdict `json:"checks" nullable:"false"`
	Known  bool             `json:"known" doc:"Supply, control and motor are known and belong together"`
}

// PlanBuild works out what it takes to build a plan, without what cannot be used of it: the build is
// blocked until that is mended. The error is quantity.FieldErrors when the input is past what is taken
// at once.
func Plan(in plan.Input) (Build, error) {
	a, err := dryrun.Assess(in)
	if err != nil {
		return Build{}, err
	}
	s, _ := plan.Resolve(in)
	b := &builder{Model: line.New(s), in: in, prices: map[string]shelf.Money{}, used: map[*shelf.Item]bool{}}
	for _, p := range in.Plan.Prices {
		b.prices[p.Part] = shelf.ParseMoney(p.Cost)
	}
	out := Build{MayPower: a.MayPower, Power: a.Power.Answer, Blocked: blocked(a), Make: []Making{},
		Approaches: []Approach{},
		PowerUp:    []powerup.Step{}}
	b.parts()
	out.Take, out.Buy, out.Make = bill(b.take), bill(b.buy), append(out.Make, b.made...)
	out.Wiring = b.wiring()
	if b.Runs {
		out.PowerUp = powerup.Steps(b.Model, in.Units, a.ToSet(), in.Plan.Checks, out.Blocked)
		out.Homemade = b.homemade()
		out.Approaches = b.approaches()
	}
	return out, nil
}

// blocked says why a plan may not be powered, as the assessment has it.
func blocked(a assess.Assessment) string {
	if a.MayPower {
		return ""
	}
	for _, f := range a.Findings {
		if f.Level == finding.Stop && !f.Short {
			return f.Title
		}
	}
	return strings.TrimSuffix(a.Power.Text, ".")
}

func bill(parts []Part) Bill {
	b := Bill{Parts: append([]Part{}, parts...)}
	var prices []shelf.Money
	for _, p := range parts {
		if p.price.Known {
			prices = append(prices, p.price)
		}
	}
	b.Cost, b.Priced = shelf.Total(prices), len(prices)
	return b
}

// builder gathers a plan's parts.
type builder struct {
	*line.Model
	in     plan.Input
	prices map[string]shelf.Money
	used   map[*shelf.Item]bool
	take   []Part
	buy    []Part
	made   []Making
}

func (b *builder) show(v float64, d q.Dimension) string { return q.Show(v, d, b.in.Units) }

// fromShelf puts a shelf part on the list to take, with what it is there for.
func (b *builder) fromShelf(item *shelf.Item, rating string) {
	b.used[item] = true
	b.take = append(b.take, Part{ID: "take." + item.ID, Name: item.Called(), Rating: rating,
		Place: item.Place}.at(item.Price()))
}

// need puts a part on the list to buy, with its price where one was typed.
func (b *builder) need(id, name, rating, why string) {
	b.buy = append(b.buy, b.part(id, name, rating, why))
}

// ownOrNeed puts a part that came from somewhere on the list to take, any other on that to buy.
func (b *builder) ownOrNeed(id, name, rating, why, origin string) {
	part := b.part(id, name, rating, why)
	if origin == "" {
		b.buy = append(b.buy, part)
		return
	}
	part.Why, part.Rating = origin, ""
	b.take = append(b.take, part)
}

func (b *builder) part(id, name, rating, why string) Part {
	return Part{ID: "buy." + id, Name: name, Rating: rating, Why: why}.at(b.prices["buy."+id])
}

// at is the part at a price.
func (p Part) at(price shelf.Money) Part {
	p.Cost, p.price = price.String(), price
	return p
}

func (b *builder) make(id, what, why string) {
	b.made = append(b.made, Making{"make." + id, what, why})
}

func (b *builder) parts() {
	b.motorPart()
	b.controlPart()
	b.wheels()
	b.fits()
	if b.Runs {
		b.electrical()
	}
}

func (b *builder) motorPart() {
	for i := range b.in.Shelf {
		if item := &b.in.Shelf[i]; item.Is(shelf.Motor) && reflect.DeepEqual(item.Motor, b.in.Plan.Motor) {
			b.fromShelf(item, "")
			return
		}
	}
	if b.Motor.Kind != "" {
		b.ownOrNeed("motor", words.Named(b.in.Plan.Motor.Name, b.Motor.Kind.Profile().Name), "", "on no shelf",
			b.in.Plan.Motor.Origin)
	}
}

func (b *builder) controlPart() {
	planned := b.in.Plan.Control
	for i := range b.in.Shelf {
		item := &b.in.Shelf[i]
		if item.Is(shelf.Control) && item.Control.Kind == planned.Kind && planned.Name != "" &&
			item.Control.Name == planned.Name {
			b.fromShelf(item, "")
			return
		}
	}
	if planned.Kind != "" {
		rating, why := b.controlRating()
		b.ownOrNeed("control", words.Named(planned.Name, planned.Kind.Profile().Name), rating, why, planned.Origin)
	}
}

// controlRating is what the control must be good for, and where that comes from.
func (b *builder) controlRating() (rating, why string) {
	amps, volts := b.Motor.Amps.Value, b.Motor.Volts.Value
	switch {
	case !b.Runs:
	case b.Control.Kind == control.StepperDriver:
		return fmt.Sprintf("%s a phase, %s", b.show(amps, q.Current), b.show(b.Feed.Volts, q.Voltage)),
			"the motor's plate amps, and volts well above the winding's own"
	case b.Control.Limits():
		return fmt.Sprintf("%s or more, %s", b.show(amps, q.Current), b.show(volts, q.Voltage)),
			"the motor's plate amps and volts"
	case b.Control.Kind == control.SeriesResistor:
		return fmt.Sprintf("%s, %s", b.show(b.Control.Ohms, q.Resistance), b.show(amps*amps*b.Control.Ohms, q.Power)),
			"I²·R at plate amps, all of it heat"
	case b.Control.Kind == control.VariableTransformer:
		return fmt.Sprintf("%s at %s", b.show(amps, q.Current), b.show(b.Supply.Volts, q.Voltage)),
			"the motor's plate amps"
	}
	return "", ""
}
