package trial

import (
	"math"

	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// What is listened for where the plan says nothing, turns a second.
const (
	slowestHeard = 3.0
	fastestHeard = 350.0
)

// turnASecond is one turn a second, rad/s.
const turnASecond = 2 * math.Pi

// CluesOf is what a plan knows of the sound of its machine in a belt position, by its label; any it does not know is
// left
// open.
func CluesOf(in plan.Input, position string) (Clues, error) {
	s, err := plan.Resolve(in)
	if err != nil {
		return Clues{}, err
	}
	e := &evaluator{in: in, sys: in.Units, out: &Answer{}, Resolved: m.Resolved{Position: position}}
	e.meet(s)
	c := Clues{Low: slowestHeard, High: fastestHeard}
	if !s.Supply.Battery {
		c.Mains = s.Supply.Hertz
	}
	if e.position != nil && e.turns > 0 {
		c.Spindle = 1 / e.turns
		c.Belts, c.PerTurn = e.passing()
	}
	if e.model == nil {
		return c, nil
	}
	low, high := e.model.Powered.RotorSpan()
	switch field := e.model.Powered.FieldSpeed(); {
	case field > 0:
		// It slips behind its field and never passes it.
		c.Low, c.High = 0.86*field/turnASecond, 0.9995*field/turnASecond
	case e.stations.Motor.Kind.Family() == motor.SeriesFamily:
		c.Low, c.High = 0.4*low/turnASecond, 1.1*e.model.Powered.RotorTop()/turnASecond
	default:
		c.Low, c.High = 0.5*low/turnASecond, 1.1*max(high, e.model.Powered.RotorTop())/turnASecond
	}
	c.Low, c.High = max(c.Low, 1), min(c.High, 2*fastestHeard)
	if c.High <= 1.02*c.Low {
		c.Low, c.High = slowestHeard, fastestHeard
	}
	return c, nil
}

// passing is how often for each turn of the rotor its belts go round, and its teeth mesh.
func (e *evaluator) passing() (belts, teeth []float64) {
	shaft := 1 / max(e.stations.Motor.Gear.Ratio, 1)
	for i, s := range e.stations.Reduction.Stages {
		at := e.position.Steps[i]
		if at == reduction.Out || at >= len(s.Steps) {
			continue
		}
		step := s.Steps[at]
		switch {
		case step.Teeth && s.Kind.Profile().Meshed:
			teeth = append(teeth, shaft*step.Counts[0])
		case s.Kind.Profile().Belted && step.Length > 0 && !step.Teeth:
			belts = append(belts, shaft*math.Pi*step.Driver/step.Length)
		}
		if step.Ratio > 0 {
			shaft /= step.Ratio
		}
	}
	return belts, teeth
}

// Listened is what a sound says of a machine, as a reading to be taken.
type Listened struct {
	Heard
	Headline string    `json:"headline"`
	Fits     string    `json:"fits" doc:"How it fits the plan, in words"`
	Reading  m.Reading `json:"reading" doc:"As a trial by ear keeps it"`
}

// Listen hears a sound with what a plan knows, and puts it as a reading of one of its shafts.
func Listen(samples []float64, rate float64, in plan.Input, position string, where m.Shaft) (Listened, error) {
	clues, err := CluesOf(in, position)
	if err != nil {
		return Listened{}, err
	}
	heard, err := Hear(samples, rate, clues)
	if err != nil {
		return Listened{}, err
	}
	out := Listened{Heard: heard}
	share := 1.0
	if where != m.AtMotor && clues.Spindle > 0 {
		share = clues.Spindle
	}
	write := func(v float64, figures int) q.Text { return q.WrittenTo(60*v*share, figures, "rpm") }
	out.Reading = m.Reading{Speed: write(heard.Speed, 5), Spread: write(heard.Spread, 2)}
	show := func(v float64) string { return q.Show(v*turnASecond, q.Speed, in.Units) }
	out.Headline = "The motor turns at " + show(heard.Speed) + "."
	if !heard.Sure {
		out.Headline = "Not sure: " + show(heard.Speed)
		if heard.RunnerUp > 0 {
			out.Headline += " or " + show(heard.RunnerUp)
		}
		out.Headline += "."
	}
	if clues.Spindle > 0 {
		out.Fits = "So the spindle turns at " + show(heard.Spindle) + "."
		for _, one := range heard.Lines {
			if one.What == "belt" {
				out.Fits = "Fits the pulleys: belt at " + q.Figures(one.Hertz,
					3) + q.ThinSpace + "Hz, spindle " + show(heard.Spindle) + "."
			}
		}
	}
	return out, nil
}
