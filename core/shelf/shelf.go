// Package shelf is the parts on hand: motors with all that is known of them, and controls,
// pulleys and belts as plain stock, each with what it cost, where it lies and what state it is in.
package shelf

import (
	"cmp"
	"strings"

	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Sorts of part on the shelf.
const (
	Motor   = "motor"
	Control = "control"
	Pulley  = "pulley"
	Belt    = "belt"
	Other   = "other"
)

// Item is a part on hand as its owner entered it.
type Item struct {
	ID      string            `json:"id" maxLength:"40"`
	Sort    string            `json:"sort" enum:"motor,control,pulley,belt,other," doc:"motor when empty"`
	Name    string            `json:"name" maxLength:"120" doc:"What it is called; a motor and a control carry their own"`
	Cost    q.Text            `json:"cost" doc:"What it cost or would fetch, such as 12 or £12.50"`
	State   string            `json:"state" enum:"untested,works,needs-work,for-parts," doc:"untested when empty"`
	Place   string            `json:"place" maxLength:"120" doc:"Where it lies"`
	Notes   string            `json:"notes" maxLength:"4000"`
	Motor   motor.Described   `json:"motor"`
	Control control.Described `json:"control"`
	Wheel   Wheel             `json:"wheel"`
	Length  q.Text            `json:"length" unit:"mm|in" doc:"Of a belt"`

	Pictures []string `json:"pictures,omitempty" maxItems:"12" doc:"In an open file: IDs of its pictures, which a zip holds beside it"`
}

// Wheel is a pulley, sprocket or gear as stock.
type Wheel struct {
	Diameter q.Text `json:"diameter" unit:"mm|in"`
	Measured string `json:"measured" enum:"pitch,outside," doc:"Which diameter that is; pitch when empty"`
	Teeth    q.Text `json:"teeth"`
	Section  string `json:"section" maxLength:"20" doc:"Belt section or chain"`
	Bore     q.Text `json:"bore" unit:"mm|in"`
}

// Is reports whether the item is of a sort; an older item without one is a motor.
func (i Item) Is(sort string) bool { return i.Sort == sort || i.Sort == "" && sort == Motor }

// Called is what the item is called.
func (i Item) Called() string {
	name := i.Name
	switch {
	case i.Is(Motor) && i.Motor.Name != "":
		name = i.Motor.Name
	case i.Is(Control) && i.Control.Name != "":
		name = i.Control.Name
	}
	if q.Blank(name) {
		return "Part without a name"
	}
	return name
}

// Label is what a list of parts says of one.
type Label struct {
	ID     string `json:"id"`
	Sort   string `json:"sort" enum:"motor,control,pulley,belt,other"`
	State  string `json:"state" enum:"untested,works,needs-work,for-parts"`
	Name   string `json:"name"`
	Says   string `json:"says" doc:"What is most worth knowing of it, in a few figures"`
	Kind   string `json:"kind,omitempty" doc:"Of a motor or control"`
	Origin string `json:"origin,omitempty" doc:"Of a motor or control"`
	Wheel  *Wheel `json:"wheel,omitempty" doc:"Of a pulley"`
}

// Label returns what a list says of the item.
func (i Item) Label() Label {
	l := Label{ID: i.ID, Sort: i.Whole().Sort, State: i.State, Name: i.Called(), Says: i.says()}
	if l.State == "" {
		l.State = "untested"
	}
	switch {
	case i.Is(Motor):
		l.Kind, l.Origin = string(i.Motor.Kind), i.Motor.Origin
	case i.Is(Control):
		l.Kind, l.Origin = string(i.Control.Kind), i.Control.Origin
	case i.Is(Pulley):
		l.Wheel = &i.Wheel
	}
	return l
}

// says is what is most worth knowing of the item, in the figures it was entered with.
func (i Item) says() string {
	var figures []q.Text
	switch {
	case i.Is(Motor):
		p := i.Motor.Plate
		figures = []q.Text{cmp.Or(p.Power, p.HoldingTorque), p.Speed, p.Volts, p.Amps}
	case i.Is(Control):
		figures = []q.Text{i.Control.Volts, i.Control.Amps}
	case i.Is(Pulley):
		figures = []q.Text{cmp.Or(i.Wheel.Diameter, worded("", i.Wheel.Teeth, " teeth")), q.Text(i.Wheel.Section),
			worded("bore ", i.Wheel.Bore, "")}
	case i.Is(Belt):
		figures = []q.Text{q.Text(i.Wheel.Section), i.Length}
	}
	var told []string
	for _, f := range figures {
		if f.Known() {
			told = append(told, string(f))
		}
	}
	return strings.Join(told, ", ")
}

// worded puts words round a figure, if there is one.
func worded(before string, figure q.Text, after string) q.Text {
	if !figure.Known() {
		return ""
	}
	return q.Text(before) + figure + q.Text(after)
}

// Motors resolves the motor of every item, in their order, whatever its sort.
func Motors(items []Item) []motor.Resolved {
	out := make([]motor.Resolved, len(items))
	for i, item := range items {
		if item.Is(Motor) {
			out[i] = motor.Resolve(item.Motor, q.NewReader(""))
		}
	}
	return out
}

// Whole returns the item with its sort named and empty lists in place of absent ones.
func (i Item) Whole() Item {
	if i.Sort == "" {
		i.Sort = Motor
	}
	i.Motor, i.Control = i.Motor.Whole(), i.Control.Whole()
	return i
}

// Check reads every quantity of the item, refusing on r what cannot be used.
func (i Item) Check(r *q.Reader) {
	r.Choice("sort", i.Sort, Motor, Motor, Control, Pulley, Belt, Other)
	r.Choice("state", i.State, "untested", "untested", "works", "needs-work", "for-parts")
	if i.Cost.Known() && !i.Price().Known {
		r.Refuse("cost", string(i.Cost), "write it as a number, such as 12 or £12.50")
	}
	switch {
	case i.Is(Motor):
		motor.Resolve(i.Motor, r.Under("motor"))
	case i.Is(Control):
		control.Resolve(i.Control, r.Under("control"))
	case i.Is(Pulley):
		wheel := r.Under("wheel")
		wheel.Read("diameter", i.Wheel.Diameter, q.Length, q.Range{Min: 5e-3, Max: 3})
		wheel.Read("teeth", i.Wheel.Teeth, q.Number, q.Range{Min: 5, Max: 500})
		wheel.Choice("measured", i.Wheel.Measured, "pitch", "pitch", "outside")
		wheel.Read("bore", i.Wheel.Bore, q.Length, q.Range{Min: 1e-3, Max: 0.2})
	case i.Is(Belt):
		r.Read("length", i.Length, q.Length, q.Range{Min: 0.05, Max: 20})
	}
}

// Known is what a part comes to by itself, for the page that edits it.
type Known struct {
	Findings []finding.Finding `json:"findings" nullable:"false"`
	Workings []working.Working `json:"workings" nullable:"false"`
	Bench    motor.BenchView   `json:"bench"`
	Entries  []q.FieldError    `json:"entries" nullable:"false" doc:"Entries that cannot be used; the rest is worked out as if they were left empty"`
}

// Known works a part out, without the entries that cannot be used.
func (i Item) Known(sys q.System) Known {
	r := q.NewReader("")
	i.Check(r)
	refused, _ := r.Err().(q.FieldErrors)
	known := Known{Findings: []finding.Finding{}, Workings: []working.Working{},
		Entries: append([]q.FieldError{},
			refused...)}
	if !i.Is(Motor) {
		return known
	}
	m := motor.Resolve(i.Motor, q.NewReader("motor"))
	known.Findings = append(known.Findings, m.Findings(sys)...)
	known.Workings = append(known.Workings, m.Workings(sys)...)
	known.Bench = m.BenchView(sys)
	return known
}
