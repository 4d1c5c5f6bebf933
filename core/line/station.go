package line

import (
	"fmt"
	"math"
	"strings"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/working"
)

// Station is a station as the line shows it: a title, its mark, live figures and a note.
type Station struct {
	Station f.Station `json:"station" enum:"supply,control,motor,reduction,work"`
	Title   string    `json:"title"`
	Mark    f.Level   `json:"mark" enum:"stop,missing,caution,good" doc:"The most serious finding here"`
	Figures []Figure  `json:"figures" nullable:"false"`
	Note    string    `json:"note"`
	Working string    `json:"working" doc:"ID of the working behind the note, or empty"`
	Bad     bool      `json:"bad" doc:"The note speaks of a shortfall"`
}

// Figure is a number with its unit, leading to its working.
type Figure struct {
	Text    string `json:"text" doc:"Number and unit"`
	Working string `json:"working" doc:"ID of the working, or empty"`
}

func (t *train) summaries(in plan.Input, a Assessment) []Station {
	marks := map[f.Station]f.Level{}
	for i := len(a.Findings) - 1; i >= 0; i-- {
		if !a.Findings[i].Always {
			marks[a.Findings[i].Station] = a.Findings[i].Level
		}
	}
	all := []Station{t.supplyStation(in), t.controlStation(in), t.motorStation(in), t.reductionStation(in), t.workStation(in, a)}
	for i := range all {
		all[i].Mark = marks[all[i].Station]
		if all[i].Mark == "" {
			all[i].Mark = f.Good
		}
		if all[i].Figures == nil {
			all[i].Figures = []Figure{}
		}
	}
	return all
}

func (t *train) supplyStation(in plan.Input) Station {
	s := Station{Station: f.Supply, Title: named(in.Plan.Supply.Name, "Supply")}
	if t.Supply.Volts > 0 {
		s.Figures = append(s.Figures, Figure{Text: q.Show(t.Supply.Volts, q.Voltage, in.Units)})
		if !t.Supply.Battery {
			s.Figures = append(s.Figures, Figure{Text: q.Show(t.Supply.Hertz, q.Frequency, in.Units)})
		}
	}
	if t.runs {
		s.Note, s.Working = "draws "+q.Show(t.inputAmps(), q.Current, in.Units)+" at full load", "supply.input"
	}
	return s
}

var controlNames = map[control.Kind]string{
	control.PhaseAngle: "Phase-angle drive", control.Chopper: "PWM drive", control.Inverter: "Inverter", control.Contactor: "Plain switch",
	control.BrushlessDrive: "Brushless controller", control.StepperDriver: "Stepper driver", control.CapacitorSet: "Fan capacitors",
	control.SinglePhaseInverter: "Single-phase inverter", control.VariableTransformer: "Variable transformer", control.SeriesResistor: "Series resistor",
}

func (t *train) controlStation(in plan.Input) Station {
	c := t.Control
	s := Station{Station: f.Control, Title: named(in.Plan.Control.Name, named(controlNames[c.Kind], "Control"))}
	if !t.runs {
		return s
	}
	show := func(v float64, d q.Dimension) string { return q.Show(v, d, in.Units) }
	switch t.feed.Way {
	case motor.DirectCurrent, motor.CutSine:
		s.Figures = []Figure{{"0–" + show(math.Min(t.feed.Volts, t.Motor.Volts.Value*math.Max(c.TopTrim, 1)), q.Voltage), "control.volts"}}
	case motor.VariableHertz:
		s.Figures = []Figure{{"0–" + show(t.feed.TopHertz, q.Frequency), "control.base"}}
	case motor.Pulses:
		s.Figures = []Figure{{show(t.feed.Volts, q.Voltage), ""}}
	case motor.Capacitors:
		s.Note = "a smaller capacitor slows the fan"
	default:
		s.Figures = []Figure{{show(t.feed.Volts, q.Voltage), ""}, {show(t.feed.Hertz, q.Frequency), ""}}
		s.Note = "on or off; pulleys set the speed"
	}
	if c.Amps > 0 {
		s.Figures = append(s.Figures, Figure{show(c.Amps, q.Current), ""})
	}
	if c.LimitAmps > 0 {
		s.Note = "limit set at " + show(c.LimitAmps, q.Current)
	} else if c.DCDrive() || c.SetsHertz() {
		s.Note = "no current limit set"
	}
	return s
}

func (t *train) motorStation(in plan.Input) Station {
	m := t.Motor
	s := Station{Station: f.Motor, Title: named(in.Plan.Motor.Name, named(m.Kind.Profile().Name, "Motor"))}
	geared := m.Gear.Sort != "none" && m.Torque.OK() && m.Speed.OK()
	switch {
	case geared:
		// What counts is what comes out of its gearbox.
		s.Figures = append(s.Figures, Figure{q.Show(m.GearTorque(), q.Torque, in.Units), "motor.gear-torque"}, Figure{q.Show(m.Speed.Value/m.Gear.Ratio, q.Speed, in.Units), "motor.gear-speed"})
	case m.Torque.OK():
		s.Figures = append(s.Figures, Figure{q.Show(m.Torque.Value, q.Torque, in.Units), "motor.torque"})
	}
	if m.Speed.OK() && !geared && m.Kind != motor.Stepper {
		figure := Figure{Text: q.Show(m.Speed.Value, q.Speed, in.Units)}
		if m.Speed.Standing != working.Read {
			figure.Working = "motor.speed"
		}
		s.Figures = append(s.Figures, figure)
	}
	if t.runs && !t.model.FixedSpeed() {
		slow := t.slowSpeed()
		s.Working = "motor.slow"
		s.Note = fmt.Sprintf("%s all day at %s", q.Show(t.model.Steady(slow, 1).Torque, q.Torque, in.Units), q.Show(slow, q.Speed, in.Units))
	} else if t.runs {
		s.Working = "motor.start"
		s.Note = fmt.Sprintf("starts with %s", q.Show(t.model.Breakaway().Torque, q.Torque, in.Units))
	}
	return s
}

func (t *train) reductionStation(in plan.Input) Station {
	s := Station{Station: f.Reduction, Title: named(in.Plan.Reduction.Name, t.reductionTitle())}
	if len(t.Reduction.Positions) == 0 {
		return s
	}
	p := &t.Reduction.Positions[0]
	s.Figures = []Figure{{q.Ratio(p.Ratio), "reduction.ratio.0"}, {"keeps " + q.Percent(p.Keeps), "reduction.keeps"}}
	var pairs []string
	for _, st := range in.Plan.Reduction.Stages {
		if len(st.Steps) > 0 && st.Kind != reduction.Direct {
			pairs = append(pairs, fmt.Sprintf("%s → %s", st.Steps[0].Driver, st.Steps[0].Driven))
		}
	}
	s.Note = strings.Join(pairs, ", then ")
	if n := len(t.Reduction.Positions); n > 1 {
		s.Note += fmt.Sprintf(", %d positions", n)
	}
	return s
}

// slowSpeed is a quarter of the motor's top speed, or the slowest it runs: where the low end of
// an adjustable motor is judged.
func (t *train) slowSpeed() float64 {
	low, high := t.model.Span()
	return math.Max(low, high/4)
}

var stageNouns = map[reduction.Kind][2]string{
	reduction.VBelt: {"belt", "belts"}, reduction.PolyV: {"poly-V belt", "poly-V belts"}, reduction.Toothed: {"toothed belt", "toothed belts"},
	reduction.LinkBelt: {"link belt", "link belts"}, reduction.Flat: {"flat belt", "flat belts"},
	reduction.Chain: {"chain", "chains"}, reduction.Spur: {"gear pair", "gear pairs"}, reduction.Worm: {"worm and wheel", "worms and wheels"},
}

// reductionTitle names the stages: "Two belts, 7.29 : 1".
func (t *train) reductionTitle() string {
	if len(t.Reduction.Positions) == 0 {
		return "Reduction"
	}
	n, noun := 0, ""
	for _, s := range t.Reduction.Stages {
		nouns, ok := stageNouns[s.Kind]
		if !ok {
			continue
		}
		if n++; n == 1 {
			noun = nouns[0]
		} else {
			noun = plural(noun, nouns[1], s)
		}
	}
	if n == 0 {
		return "Coupled straight"
	}
	return capital(countWord(n)) + " " + noun
}

// plural names several stages together: two of a kind by their kind, two sorts of belt as belts.
func plural(before, noun string, s reduction.Stage) string {
	switch {
	case before == noun || before+"s" == noun:
		return noun
	case strings.Contains(before, "belt") && s.Belted():
		return "belts"
	}
	return "stages"
}

func (t *train) workStation(in plan.Input, a Assessment) Station {
	s := Station{Station: f.Work, Title: named(in.Machine.Name, "Machine")}
	if t.runs && len(t.Reduction.Positions) > 0 {
		low, high, most := math.Inf(1), 0.0, 0.0
		for i := range t.Reduction.Positions {
			p := &t.Reduction.Positions[i]
			l, h := t.span(p)
			low, high = math.Min(low, l), math.Max(high, h)
			most = math.Max(most, t.steady(h*0.9, 1, p).Torque)
			most = math.Max(most, t.steady(math.Max(l, h/2), 1, p).Torque)
		}
		s.Figures = []Figure{{q.Show(most, q.Torque, in.Units), "reach.torque"}, {speedRange(low, high, in.Units), "reach.speed"}}
	}
	for _, job := range a.Jobs {
		if job.Outcome == fallsShort || job.Outcome == tooSlow || job.Outcome == tooFast {
			s.Note, s.Bad, s.Working = job.Name+" "+job.Short, true, "job.margin."+job.ID
			return s
		}
	}
	if n := len(a.Jobs); n > 0 {
		s.Note = fmt.Sprintf("%d of %d jobs done", a.JobsDone, n)
	}
	return s
}

func speedRange(low, high float64, sys q.System) string {
	if high < low*1.1 {
		return q.Show(low, q.Speed, sys)
	}
	return q.Figures(low/q.RPM, 3) + "–" + q.Show(high, q.Speed, sys)
}

func named(name, fallback string) string {
	if strings.TrimSpace(name) != "" {
		return name
	}
	return fallback
}
