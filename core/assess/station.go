package assess

import (
	"fmt"
	"math"
	"slices"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/words"
	"jiriki/core/working"
)

// Station is a station as the line shows it: a title, its mark, live figures and a note.
type Station struct {
	Station f.Station  `json:"station" enum:"supply,control,motor,reduction,work"`
	Title   string     `json:"title"`
	Mark    f.Level    `json:"mark" enum:"stop,missing,caution,good" doc:"The most serious finding here"`
	Figures []Figure   `json:"figures" nullable:"false"`
	Note    string     `json:"note"`
	Working working.ID `json:"working" doc:"ID of the working behind the note, or empty"`
	Bad     bool       `json:"bad" doc:"The note speaks of a shortfall"`
}

// Figure is a number with its unit, leading to its working.
type Figure struct {
	Text    string     `json:"text" doc:"Number and unit"`
	Working working.ID `json:"working" doc:"ID of the working, or empty"`
}

func summaries(t *line.Model, in *plan.Input, a *Assessment) []Station {
	marks := map[f.Station]f.Level{}
	for i := len(a.Findings) - 1; i >= 0; i-- {
		if !a.Findings[i].Always {
			marks[a.Findings[i].Station] = a.Findings[i].Level
		}
	}
	all := []Station{supplyStation(t, in), controlStation(t, in), motorStation(t, in), reductionStation(t, in),
		workStation(t, in, a)}
	for i := range all {
		all[i].Mark = marks[all[i].Station]
		if all[i].Mark == "" {
			all[i].Mark = f.Good
		}
		if all[i].Station == f.Work && all[i].Mark == f.Good && unjudged(a.Jobs) {
			all[i].Mark = f.Missing
		}
		if all[i].Figures == nil {
			all[i].Figures = []Figure{}
		}
	}
	return all
}

// unjudged reports whether a job could not be judged.
func unjudged(jobs []JobResult) bool {
	return slices.ContainsFunc(jobs, func(j JobResult) bool { return j.Outcome == line.CannotTell })
}

func supplyStation(t *line.Model, in *plan.Input) Station {
	s := Station{Station: f.Supply, Title: words.Named(in.Plan.Supply.Name, "Supply")}
	if t.Supply.Volts > 0 {
		s.Figures = append(s.Figures, Figure{Text: q.Show(t.Supply.Volts, q.Voltage, in.Units)})
		if !t.Supply.Battery {
			s.Figures = append(s.Figures, Figure{Text: q.Show(t.Supply.Hertz, q.Frequency, in.Units)})
		}
	}
	if t.Runs {
		s.Note, s.Working = "draws "+q.Show(t.InputAmps(), q.Current, in.Units)+" at full load", working.SupplyInput
	}
	return s
}

func controlStation(t *line.Model, in *plan.Input) Station {
	c := t.Control
	s := Station{Station: f.Control, Title: words.Named(in.Plan.Control.Name, words.Named(c.Kind.Profile().Name,
		"Control"))}
	if !t.Runs {
		return s
	}
	show := func(v float64, d q.Dimension) string { return q.Show(v, d, in.Units) }
	switch t.Feed.Kind {
	case motor.DirectCurrent, motor.CutSine:
		s.Figures = []Figure{{"0–" + show(min(t.Feed.Volts, t.Motor.Volts.Value*max(c.TopTrim, 1)),
			q.Voltage), working.ControlVolts}}
	case motor.VariableHertz:
		s.Figures = []Figure{{"0–" + show(t.Feed.TopHertz, q.Frequency), working.ControlBase}}
	case motor.Pulses:
		s.Figures = []Figure{{show(t.Feed.Volts, q.Voltage), ""}}
	case motor.Capacitors:
		s.Note = "a smaller capacitor slows the fan"
	default:
		s.Figures = []Figure{{show(t.Feed.Volts, q.Voltage), ""}, {show(t.Feed.Hertz, q.Frequency), ""}}
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

func motorStation(t *line.Model, in *plan.Input) Station {
	m := t.Motor
	kind, _, _ := strings.Cut(m.Kind.Profile().Name, ",") // as long as there is room for
	s := Station{Station: f.Motor, Title: words.Named(in.Plan.Motor.Name, words.Named(kind, "Motor"))}
	geared := m.Gear.Sort != "none" && m.Torque.OK() && m.Speed.OK()
	switch {
	case geared:
		// What counts is what comes out of its gearbox.
		s.Figures = append(s.Figures, Figure{q.Show(m.GearTorque(), q.Torque, in.Units), working.MotorGearTorque},
			Figure{q.Show(m.Speed.Value/m.Gear.Ratio, q.Speed, in.Units), working.MotorGearSpeed})
	case m.Torque.OK():
		s.Figures = append(s.Figures, Figure{q.Show(m.Torque.Value, q.Torque, in.Units), working.MotorTorque})
	}
	if m.Speed.OK() && !geared && m.Kind != motor.Stepper {
		figure := Figure{Text: q.Show(m.Speed.Value, q.Speed, in.Units)}
		if m.Speed.Standing != working.Read {
			figure.Working = working.MotorSpeed
		}
		s.Figures = append(s.Figures, figure)
	}
	if t.Runs && !t.Powered.FixedSpeed() {
		slow := t.SlowSpeed()
		s.Working = working.MotorSlow
		s.Note = fmt.Sprintf("%s all day at %s", q.Show(t.Powered.Steady(slow, 1).Torque, q.Torque, in.Units),
			q.Show(slow, q.Speed, in.Units))
	} else if t.Runs {
		s.Working = working.MotorStart
		s.Note = fmt.Sprintf("starts with %s", q.Show(t.Powered.Breakaway().Torque, q.Torque, in.Units))
	}
	return s
}

func reductionStation(t *line.Model, in *plan.Input) Station {
	s := Station{Station: f.Reduction, Title: words.Named(in.Plan.Reduction.Name, t.Reduction.Title())}
	if len(t.Reduction.Positions) == 0 {
		return s
	}
	p := &t.Reduction.Positions[0]
	s.Figures = []Figure{{q.Ratio(p.Ratio), working.ReductionRatio.At(0)},
		{lossText(p.Efficiency), working.ReductionEfficiency}}
	var pairs []string
	for _, st := range in.Plan.Reduction.Stages {
		if len(st.Steps) > 0 && !st.Kind.Bare() {
			driver, driven := string(st.Steps[0].Driver), string(st.Steps[0].Driven)
			if _, unit, has := strings.Cut(driven, " "); has {
				driver = strings.TrimSuffix(driver, " "+unit) // a unit both have is said once
			}
			pairs = append(pairs, driver+" → "+driven)
		}
	}
	s.Note = strings.Join(pairs, ", ")
	if n := len(t.Reduction.Positions); n > 1 {
		s.Note += fmt.Sprintf("; %d positions", n)
	}
	return s
}

// lossText says what a reduction loses of the power that goes in.
func lossText(efficiency float64) string {
	if efficiency > 0.9995 {
		return "loses nothing"
	}
	return "loses " + q.Percent(1-efficiency)
}

func workStation(t *line.Model, in *plan.Input, a *Assessment) Station {
	s := Station{Station: f.Work, Title: words.Named(in.Machine.Name, "Machine")}
	if t.Runs && len(t.Reduction.Positions) > 0 {
		low, high, most := math.Inf(1), 0.0, 0.0
		for i := range t.Reduction.Positions {
			p := &t.Reduction.Positions[i]
			l, h := t.Span(p)
			low, high = min(low, l), max(high, h)
			most = max(most, t.Steady(h*0.9, 1, p).Torque)
			most = max(most, t.Steady(max(l, h/2), 1, p).Torque)
		}
		s.Figures = []Figure{{q.Show(most, q.Torque, in.Units), working.ReachTorque},
			{q.SpeedRange(low, high, in.Units) + " loaded", working.ReachSpeed}}
	}
	for _, job := range a.Jobs {
		if job.Outcome != line.CannotTell && !job.Outcome.Done() {
			s.Note, s.Bad, s.Working = job.Name+" "+job.Short, true, working.JobMargin.Of(job.ID)
			return s
		}
	}
	if n := len(a.Jobs); n > 0 {
		s.Note = fmt.Sprintf("%d of %d jobs done", a.JobsDone, n)
		if !slices.ContainsFunc(a.Jobs, func(j JobResult) bool { return j.Outcome != line.CannotTell }) {
			s.Note = "not judged yet"
		}
	}
	return s
}
