// Package settings is what to dial in on a plan's control, in the order it is set, each with its working.
package settings

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/work"
	"jiriki/core/working"
)

// Setting is one thing to dial in on the control, with its working.
type Setting struct {
	Name    string     `json:"name"`
	Value   string     `json:"value"`
	Watch   string     `json:"watch" doc:"What to watch while setting it"`
	Other   string     `json:"other" doc:"What the other school does, where practice disagrees"`
	Working working.ID `json:"working" doc:"ID of its working, by which it is ticked off too"`
}

// Sheet gathers settings and their workings together.
type Sheet struct {
	*line.Model
	sys      q.System
	Settings []Setting
	Workings []working.Working
	spin     spinUp
}

// dial is a setting as it is written down: what, how much, by which relation, with what to watch.
type dial struct {
	id                                              working.ID
	name, value, formula, substituted, watch, other string
	from                                            *source.Source
}

func (s *Sheet) add(d dial) {
	s.Settings = append(s.Settings, Setting{Name: d.name, Value: d.value, Watch: d.watch, Other: d.other,
		Working: d.id})
	s.Workings = append(s.Workings, working.Derive(d.id, d.name, d.value, d.formula, d.substituted, d.from))
}

// For is the control's settings in the order one sets them.
func For(t *line.Model, sys q.System) Sheet {
	s := Sheet{Model: t, sys: sys, Settings: make([]Setting, 0, 16), Workings: make([]working.Working, 0, 16)}
	if !t.Runs {
		return s
	}
	s.spin = s.leastRamp()
	switch {
	case t.Control.DCDrive():
		s.byVolts()
	case t.Control.SetsHertz():
		s.inverter()
	case t.Control.Kind == control.StepperDriver:
		s.stepper()
	case t.Control.Kind == control.VariableTransformer && t.Feed.Kind != motor.OnTheLine:
		s.transformer()
	case t.Control.Kind == control.SeriesResistor:
		s.resistor()
	case t.Control.Kind == control.CapacitorSet:
		s.capacitors()
	default:
		s.onTheLine()
	}
	return s
}

func (s *Sheet) show(v float64, d q.Dimension) string { return q.Show(v, d, s.sys) }

// trimChoice is the top-speed trim to set and what the other school would do.
type trimChoice struct {
	share float64
	other string
}

// topTrim is the trim as set, or the full plate, with what the other school would do.
func (s *Sheet) topTrim() trimChoice {
	forHours := "65 % of plate speed for a motor that works for hours: heat and commutator wear climb above it."
	if share, needed := s.TrimUnderLimit(); needed {
		return trimChoice{share, "No more: unloaded it would pass the machine's limit."}
	}
	if s.Control.Trimmed {
		if s.Control.TopTrim > 0.7 {
			return trimChoice{s.Control.TopTrim, forHours + s.coastsShorter(s.Control.TopTrim)}
		}
		return trimChoice{s.Control.TopTrim, "Full plate speed: the plate is what the maker stands by." +
			s.coastsShorter(s.Control.TopTrim)}
	}
	return trimChoice{1, forHours}
}

// coastsShorter says how long it turns on from a trim and from full plate speed, where a job tells what turns and rubs.
func (s *Sheet) coastsShorter(share float64) string {
	if s.spin.slows == 0 || share >= 1 {
		return ""
	}
	return fmt.Sprintf(" Slower coasts shorter: %s from there, %s from full plate speed.",
		s.show(s.spin.slows*s.topAt(share), q.Duration), s.show(s.spin.slows*s.topAt(1), q.Duration))
}

// topAt is how fast the rotor turns with no load at a trim, rad/s: the one top speed, which the machine's limit is held
// against too.
func (s *Sheet) topAt(share float64) float64 {
	feed := s.Feed
	feed.TopTrim, feed.Trimmed = share, true
	return s.Motor.On(feed).RotorTop()
}

// rampMargin is how much longer than the least a ramp takes [common practice].
const rampMargin = 1.25

// spinUp is what a job of inertia tells of starting and stopping: seconds to speed with the torque
// there is for some seconds, the energy in what turns then (J), and seconds to coast down on friction
// alone, 0 where nothing rubs, and for each rad/s of the rotor.
type spinUp struct{ seconds, energy, coast, slows float64 }

// leastRamp is the longest of the jobs of inertia; zero where none tells it.
func (s *Sheet) leastRamp() (out spinUp) {
	for i := range s.Machine.Jobs {
		job := &s.Machine.Jobs[i]
		if job.Method != work.ByInertia || job.Missing != "" || len(s.Reduction.Positions) == 0 {
			continue
		}
		p := &s.Reduction.Positions[s.Best(job, s.Reduction.Positions).Position]
		_, high := s.Span(p)
		top := min(job.High, high)
		if took := s.TimeToSpeed(job.Spinning.Inertia, job.Spinning.Friction, top, p); !math.IsInf(took, 0) {
			out.seconds = max(out.seconds, took)
		}
		whole := job.Spinning.Inertia + s.OwnInertia(p)
		out.energy = max(out.energy, whole*top*top/2)
		if rubs := job.Spinning.Friction + s.Motor.DC.Friction.Value*p.Ratio; rubs > 0 {
			out.coast = max(out.coast, whole*top/rubs)
			out.slows = max(out.slows, whole/rubs/p.Ratio/s.Motor.Gear.Ratio)
		}
	}
	return out
}

// ramps are acceleration and deceleration, from the inertia where a job tells it.
func (s *Sheet) ramps() {
	spin, least := s.spin, s.spin.seconds
	seconds, formula, figures := line.UsualRamp, "2–3 s is usual", "no job tells the inertia"
	if s.Control.Accel > 0 {
		seconds, figures = s.Control.Accel, "as put in"
	}
	if least > 0 {
		formula, figures = "t ≥ ∫ J·dω / (T_peak − T_friction), a quarter more",
			s.show(least, q.Duration)+" at the torque there is for some seconds"
		if s.Control.Accel == 0 {
			seconds = max(line.UsualRamp, rampMargin*least)
		}
	}
	s.add(dial{
		id:          working.SettingAccel,
		name:        "Acceleration",
		value:       s.show(seconds, q.Duration),
		formula:     formula,
		substituted: figures,
		watch:       "Longer if the current limit acts during the run-up.",
		from:        source.RampTimes,
	})
	watch := "Longer with a heavy wheel: braking hard can undo a thread or trip the drive."
	if spin.energy > 0 {
		figures = q.Joules(spin.energy) + " turns in it at full speed; " + figures
	}
	if spin.coast > 0 {
		figures += "; left alone it coasts for " + s.show(spin.coast, q.Duration) + ", J·ω / T_friction"
	}
	s.add(dial{
		id:          working.SettingDecel,
		name:        "Deceleration",
		value:       s.show(seconds, q.Duration),
		formula:     "not shorter than it took to get there",
		substituted: figures,
		watch:       watch,
		from:        source.RampTimes,
	})
}

// currentLimit is the plan's own where it is within 1.5 × the plate's amps and the drive's own amps; else that: what a
// drive gives for a minute over its amps is no place to set its limit.
func (s *Sheet) currentLimit() {
	amps := s.Motor.Amps.Value
	limit := line.UsualLimit(&s.Stations)
	figures := "1.5 × " + s.show(amps, q.Current)
	if s.Control.Amps > 0 {
		figures += ", the drive is made for " + s.show(s.Control.Amps, q.Current)
	}
	// A dial is not read to a hundredth.
	most := min(1.5*amps, s.Feed.PeakAmps)
	if chosen := s.Control.LimitAmps; chosen > 0 && chosen < 1.02*most {
		if math.Abs(chosen/limit-1) > 0.02 {
			figures += ": " + s.show(limit, q.Current) + " is usual; " + s.show(chosen, q.Current) +
				" is the plan's own"
		}
		limit = chosen
	}
	s.add(dial{
		id:          working.SettingLimit,
		name:        "Current limit",
		value:       s.show(limit, q.Current),
		formula:     "I_limit ≤ 1.5·I_plate, within I_drive",
		substituted: figures,
		watch:       "Set it before the motor ever drives the machine; lower where a jam must let go sooner.",
		from:        source.CurrentLimit,
	})
}

// knobs says what tells the drive how fast, and what starts it.
func (s *Sheet) knobs() {
	value := map[string]string{
		"pot": "5 or 10 kΩ, linear", "0-5": "0–5 V in", "0-10": "0–10 V in", "4-20": "4–20 mA in", "pwm": "pulses in",
		"panel": "its own panel",
	}[s.Control.Knob]
	watch := "Wiper in the middle. Ends swapped is full speed at nothing: " +
		"turn it with the motor off and meter it first."
	if s.Control.Knob != "pot" {
		watch = "Screened lead, the screen earthed at the drive only."
	}
	s.add(dial{
		id:          working.SettingKnob,
		name:        "Speed command",
		value:       value,
		formula:     "as the drive's maker allows",
		substituted: "a knob, or a signal",
		watch:       watch,
		from:        source.KnobWiring,
	})
	start := "a switch that stays, on its enable"
	if s.Control.Momentary {
		start = "two buttons, start and stop, on its enable"
	}
	s.add(dial{
		id:          working.SettingEnable,
		name:        "Start and stop",
		value:       start,
		formula:     "enable, not mains",
		substituted: "mains switching skips the ramps and locks it out for seconds",
		watch:       "The thermal switch and the stop sit in the same loop.",
		from:        source.KnobWiring,
	})
}
