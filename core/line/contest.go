package line

import (
	"fmt"
	"math"

	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

const curvePoints = 40

// contest tries motors against one machine.
type contest struct {
	in plan.Input
	s  plan.Stations
}

// contend tries one motor.
func (c *contest) contend(item shelf.Item) Contender {
	reader := q.NewReader("motor")
	m := motor.Resolve(item.Motor, reader)
	out := Contender{
		ID: item.ID, Name: item.Called(), Kind: m.Kind, KindName: m.Kind.Profile().Name, Motor: item.Motor.Whole(), Spread: shownSpread(m.Spread),
		Jobs: []ContenderJob{}, Effort: []string{}, Missing: []string{}, SameRatio: []CurvePoint{}, SameTop: []CurvePoint{},
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
	best := c.bestDrive(m)
	if best == nil {
		out.Missing = append(out.Missing, "A control and supply that suit it: "+m.Kind.Profile().Suits)
		return out
	}
	out.take(*best)
	out.price(item)
	c.effort(item, m, &out)
	c.curves(&out)
	return out
}

func (c *Contender) take(d driven) {
	c.Tried, c.train, c.score = true, d.train, d.score
	c.Control, c.ControlBy, c.Uses, c.from, c.drive = d.control.Kind, controlNames[d.control.Kind]+", "+d.from, &d.control, d.from, d.item
	if d.item != nil {
		c.ControlBy = d.item.Called() + ", " + shelved
	}
	c.Ratio, c.RatioOf, c.JobsDone = q.Ratio(d.position.Ratio), tidy(d.position.Ratio), d.done
	worst := math.Inf(1)
	for i, job := range d.train.Machine.Jobs {
		f := d.fares[i]
		c.Jobs = append(c.Jobs, ContenderJob{job.Name, f.outcome, marginText(f)})
		if job.Missing != "" {
			continue
		}
		if worth := f.worth(job.Margin); worth < worst {
			worst, c.Worst, c.Margin, c.HeldBy = worth, job.Name, tidy(f.margin), f.held.By
		}
		if job.Duty.Kind == "continuous" {
			if held := d.train.steady(f.omega, 1, &d.position); held.Torque > 0 {
				c.Heat = math.Max(c.Heat, tidy(f.needed/held.Torque))
			}
		}
	}
}

// effort lists what using the motor would take besides bolting it on.
func (c *contest) effort(item shelf.Item, m motor.Resolved, out *Contender) {
	say := func(words string) { out.Effort = append(out.Effort, words) }
	if out.from == toBuy {
		say("buy a " + noun(controlNames[out.Control]) + " for " + q.Show(m.Amps.Value, q.Current, c.in.Units))
	}
	if old := c.s.Motor.Body.Shaft; item.ID != "" && old > 0 && m.Body.Shaft > 0 && math.Abs(old-m.Body.Shaft) > 1e-4 {
		say(fmt.Sprintf("bore or sleeve the pulley: its shaft is %s, the plan's %s", q.Show(m.Body.Shaft, q.Length, c.in.Units), q.Show(old, q.Length, c.in.Units)))
	}
	if old := c.s.Motor.Body.Diameter; item.ID != "" && old > 0 && m.Body.Diameter > 1.15*old {
		say(fmt.Sprintf("make room: %s across against %s", q.Show(m.Body.Diameter, q.Length, c.in.Units), q.Show(old, q.Length, c.in.Units)))
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
	return int(math.Ceil(math.Log(math.Max(ratio, 1/ratio)) / math.Log(5.2)))
}

// curves draws the all-day torque through the plan's ratio and geared to the fastest job's speed.
func (c *contest) curves(out *Contender) {
	if ps := c.s.Reduction.Positions; len(ps) > 0 {
		out.SameRatio = out.train.curve(&reduction.Position{Ratio: ps[0].Ratio, Keeps: ps[0].Keeps})
	}
	_, high := out.train.model.Span()
	if top := fastestWanted(c.s); top > 0 && high > 0 {
		out.SameTop = out.train.curve(&reduction.Position{Ratio: high / top, Keeps: c.keeps()})
	}
}

func (t *train) curve(p *reduction.Position) []CurvePoint {
	low, high := t.span(p)
	if !(low > 0 && high >= low) {
		return []CurvePoint{}
	}
	points := make([]CurvePoint, curvePoints)
	for i := range points {
		omega := low * math.Pow(high/low, float64(i)/(curvePoints-1))
		points[i] = CurvePoint{tidy(omega / q.RPM), tidy(t.steady(omega, 1, p).Torque)}
	}
	return points
}
