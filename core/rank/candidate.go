package rank

import (
	"fmt"
	"math"

	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/words"
)

// comparison tries motors against one machine.
type comparison struct {
	in       plan.Input
	stations plan.Stations
}

// try tries one motor.
func (c *comparison) try(item shelf.Item) Candidate {
	reader := q.NewReader("motor")
	m := motor.Resolve(item.Motor, reader)
	out := Candidate{
		ID: item.ID, Name: item.Called(), Kind: m.Kind, KindName: m.Kind.Profile().Name, Motor: item.Motor.Whole(),
		Spread: line.ShownSpread(m.Spread),
		Jobs:   []line.JobOutcome{}, Effort: []string{}, Against: []string{}, Missing: []string{},
		SameRatio: []line.CurvePoint{}, SameTop: []line.CurvePoint{},
	}
	if fields, bad := reader.Err().(q.FieldErrors); bad {
		out.Missing = append(out.Missing, "An entry cannot be used: "+fields[0].Error())
		return out
	}
	for _, n := range m.Needs {
		out.Missing = append(out.Missing, n.Title)
	}
	if !m.Ready() {
		return out
	}
	best := c.best(m)
	if best == nil {
		out.Missing = append(out.Missing, "A control and supply that suit it: "+m.Kind.Profile().Suits)
		return out
	}
	out.take(*best)
	out.cost(item)
	c.effort(item, m, &out)
	out.Against = against(out.model, *best)
	c.curves(&out)
	return out
}

func (c *Candidate) take(d setup) {
	c.Tried, c.model, c.score = true, d.model, d.score
	uses := d.control.Whole()
	c.Control, c.ControlBy, c.Uses, c.from, c.ControlItem = uses.Kind, uses.Kind.Profile().Name+", "+d.from, &uses,
		d.from, d.item
	if d.item != nil {
		c.ControlBy = d.item.Called() + ", " + shelved
	}
	c.Ratio, c.RatioOf, c.JobsDone = q.Ratio(d.position.Ratio), q.Rounded(d.position.Ratio), d.done
	worst := math.Inf(1)
	for i := range d.model.Machine.Jobs {
		job, f := &d.model.Machine.Jobs[i], d.results[i]
		c.Jobs = append(c.Jobs, d.model.Told(job, f, []reduction.Position{d.position}))
		if job.Missing != "" {
			continue
		}
		if worth := f.Worth(job.Margin); worth < worst {
			worst, c.Worst, c.Margin, c.LimitedBy = worth, job.Name, q.Rounded(f.Margin), f.Available.By
		}
		if job.Duty.Kind == "continuous" {
			if available := d.model.Steady(f.Omega, 1, &d.position); available.Torque > 0 {
				c.Heat = max(c.Heat, q.Rounded(f.Needed/available.Torque))
			}
		}
	}
}

// effort lists what using the motor would take besides bolting it on.
func (c *comparison) effort(item shelf.Item, m motor.Resolved, out *Candidate) {
	say := func(words string) { out.Effort = append(out.Effort, words) }
	if out.from == toBuy {
		say("buy " + words.A(words.Noun(out.Control.Profile().Name)) + " for " + q.Show(m.Amps.Value, q.Current,
			c.in.Units))
	}
	if old := c.stations.Motor.Body.Shaft; item.ID != "" && old > 0 && m.Body.Shaft > 0 &&
		math.Abs(old-m.Body.Shaft) > 1e-4 {
		say(fmt.Sprintf("bore or sleeve the pulley: its shaft is %s, the plan's %s",
			q.Show(m.Body.Shaft, q.Length, c.in.Units), q.Show(old, q.Length, c.in.Units)))
	}
	if old := c.stations.Motor.Body.Diameter; item.ID != "" && old > 0 && m.Body.Diameter > 1.15*old {
		say(fmt.Sprintf("make room: %s across against %s", q.Show(m.Body.Diameter, q.Length, c.in.Units),
			q.Show(old, q.Length, c.in.Units)))
	}
	switch item.State {
	case "needs-work":
		say("put it right first")
	case "untested", "":
		if item.ID != "" {
			say("try it on the bench first")
		}
	}
	if m.Thermal == "unknown" {
		say("look for its thermal switch")
	}
	if m.Spread >= 0.1 {
		say("measure it: its torque may be out by " + q.Percent(m.Spread))
	}
	if stages := stagesFor(out.RatioOf); stages > 1 {
		say(fmt.Sprintf("%d stages for %s", stages, out.Ratio))
	}
}

// stagesFor is how many belt stages a ratio usually takes: one reaches about 5 : 1 [common practice].
func stagesFor(ratio float64) int {
	return int(math.Ceil(math.Log(max(ratio, 1/ratio)) / math.Log(5.2)))
}

// curves draws the all-day torque through the plan's ratio and geared to the fastest job's speed.
func (c *comparison) curves(out *Candidate) {
	if ps := c.stations.Reduction.Positions; len(ps) > 0 {
		out.SameRatio = out.model.Curve(&reduction.Position{Ratio: ps[0].Ratio, Efficiency: ps[0].Efficiency})
	}
	_, high := out.model.Powered.Span()
	if top := c.stations.Machine.FastestWanted(); top > 0 && high > 0 {
		out.SameTop = out.model.Curve(&reduction.Position{Ratio: high / top, Efficiency: c.efficiency()})
	}
}
