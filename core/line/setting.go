package line

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/working"
)

// Setting is one thing to dial in on the control, with its working.
type Setting struct {
	Name    string `json:"name"`
	Value   string `json:"value"`
	Watch   string `json:"watch" doc:"What to watch while setting it"`
	Other   string `json:"other" doc:"What the other school does, where practice disagrees"`
	Working string `json:"working" doc:"ID of its working"`
}

// settingSheet gathers settings and their workings together.
type settingSheet struct {
	*train
	sys      q.System
	settings []Setting
	workings []working.Working
}

func (s *settingSheet) add(id, name, value, formula, put, watch, other string, src source.ID) {
	id = "setting." + id
	s.settings = append(s.settings, Setting{name, value, watch, other, id})
	s.workings = append(s.workings, working.Working{
		ID: id, Station: "control", Label: name, Value: value, Formula: formula, Put: put,
		Assumes: []string{}, Source: source.Find(src), Standing: working.Computed,
	})
}

// settingSheet is the control's settings in the order one sets them.
func (t *train) settingSheet(sys q.System) settingSheet {
	s := settingSheet{train: t, sys: sys, settings: []Setting{}}
	if !t.runs || !t.control.Adjusts() {
		return s
	}
	switch t.feed.Way {
	case motor.DirectCurrent, motor.CutSine:
		s.byVolts()
	case motor.VariableHertz:
		s.inverter()
	}
	return s
}

func (s *settingSheet) show(v float64, d q.Dimension) string { return q.Show(v, d, s.sys) }

// byVolts are the settings of a drive that sets speed by volts.
func (s *settingSheet) byVolts() {
	amps := s.motor.Amps.Value
	limit := math.Min(1.5*amps, s.feed.PeakAmps)
	s.add("limit", "Current limit", s.show(limit, q.Current), "I_limit = 1.5·I_plate, within 1.5·I_drive",
		fmt.Sprintf("1.5 × %s, drive gives %s for a minute", s.show(amps, q.Current), s.show(s.feed.PeakAmps, q.Current)),
		"Belt off, shaft held by nothing: set it before the motor ever drives the machine.", "", source.CurrentLimit)
	top := s.topTrim()
	volts := math.Min(s.feed.Volts, s.motor.Volts.Value*top.share)
	s.add("max", "Max speed trim", q.Percent(top.share)+", "+s.show(top.share*s.motor.Speed.Value, q.Speed), "n_max = trim · n_plate",
		fmt.Sprintf("%s × %s, about %s on the motor", q.Percent(top.share), s.show(s.motor.Speed.Value, q.Speed), s.show(volts, q.Voltage)),
		"Tachometer on the shaft, knob full on, creep up.", top.other, source.TrimSchools)
	low, _ := s.model.RotorSpan()
	s.add("min", "Min speed trim", s.show(low, q.Speed), "n_min = slowest steady share · n_max",
		fmt.Sprintf("%s of %s", q.Percent(s.feed.Slowest), s.show(low/s.feed.Slowest, q.Speed)),
		"Lowest that does not stall under the job; many like it at zero so the knob stops the machine.", "", source.SlowestSpeed)
	s.ramps()
	if s.motor.Kind.Family() != motor.DCFamily || s.control.Kind == control.BrushlessDrive {
		return // armature feedback is for brushed motors on direct current
	}
	s.add("ir", "IR compensation", "0 to begin with", "ΔV = I·R", fmt.Sprintf("%s × %s is %s at full load", s.show(amps, q.Current), s.show(s.motor.DC.Resistance.Value, q.Resistance), s.show(amps*s.motor.DC.Resistance.Value, q.Voltage)),
		"Raise under load until the speed hunts, then back off a little.", "", source.DCMachine)
}

// trimChoice is the top-speed trim to set and what the other school would do.
type trimChoice struct {
	share float64
	other string
}

// topTrim is the trim as set, or the full plate, with what the other school would do.
func (s *settingSheet) topTrim() trimChoice {
	forHours := "65 % of plate speed for a motor that works for hours: heat and commutator wear climb above it."
	if s.control.Trimmed {
		if s.control.TopTrim > 0.7 {
			return trimChoice{s.control.TopTrim, forHours}
		}
		return trimChoice{s.control.TopTrim, "Full plate speed: the plate is what the maker stands by."}
	}
	return trimChoice{1, forHours}
}

func (s *settingSheet) ramps() {
	seconds := 2.5
	if s.control.Accel > 0 {
		seconds = s.control.Accel
	}
	s.add("accel", "Acceleration", s.show(seconds, q.Duration), "2–3 s is usual", "from rest to full speed", "Longer if the current limit acts during the run-up.", "", source.RampTimes)
	s.add("decel", "Deceleration", s.show(seconds, q.Duration), "2–3 s is usual", "from full speed to rest", "Longer with a heavy wheel: braking hard can undo a thread or trip the drive.", "", source.RampTimes)
}

func (s *settingSheet) inverter() {
	m := s.motor
	low, high := s.model.RotorSpan()
	s.add("motor-amps", "Motor amps", s.show(m.Amps.Value, q.Current), "from the plate", "for the volts the links are set to", "This is its overload protection: never set it higher.", "", source.Typed)
	s.add("base", "Base hertz and volts", s.show(s.feed.BaseHertz, q.Frequency)+" at "+s.show(s.feed.BaseVolts, q.Voltage), "V/f = V_plate / f_plate",
		fmt.Sprintf("%s ÷ %s, up to the %s there is", s.show(m.Volts.Value, q.Voltage), s.show(m.Hertz.Value, q.Frequency), s.show(s.feed.Volts, q.Voltage)),
		"Wrong here and the motor is weak or cooks.", "", source.VoltsPerHertz)
	s.add("poles", "Poles and plate speed", q.Figures(m.Induction.Poles.Value, 2)+", "+s.show(m.Speed.Value, q.Speed), "p ≤ 120·f / n", "from the plate", "", "", source.Synchronous)
	s.add("top", "Top hertz", s.show(s.feed.TopHertz, q.Frequency), "n = 120·f/p − slip", fmt.Sprintf("turns the motor at %s", s.show(high, q.Speed)),
		"Never past what chuck, wheel, bearings and rotor bear.", "", source.RotorSpeed)
	s.add("min", "Lowest hertz", s.show(s.feed.BaseHertz*s.feed.Slowest, q.Frequency), "f_min = slowest steady share · f_base", fmt.Sprintf("%s of %s; about %s", q.Percent(s.feed.Slowest), s.show(s.feed.BaseHertz, q.Frequency), s.show(low, q.Speed)),
		"Below it the motor cogs and heats.", "", source.SlowestSpeed)
	limit := math.Min(1.5*m.Amps.Value, s.feed.PeakAmps)
	s.add("limit", "Current limit", s.show(limit, q.Current), "I_limit = 1.5·I_plate, within 1.5·I_drive", fmt.Sprintf("1.5 × %s", s.show(m.Amps.Value, q.Current)), "", "", source.CurrentLimit)
	s.ramps()
	s.add("stop", "Stop mode", "ramp to stop", "decel ramp, or coast without a brake resistor", "trips on over-volts mean the ramp is too short", "Coast if a heavy wheel trips it and no brake resistor is fitted.", "", source.RampTimes)
}
