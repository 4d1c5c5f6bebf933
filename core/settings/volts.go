package settings

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/working"
)

// byVolts are the settings of a drive that sets speed by volts.
func (s *Sheet) byVolts() {
	m, amps := s.Motor, s.Motor.Amps.Value
	mains := !s.Supply.Battery
	if mains {
		s.add(dial{
			id:          working.SettingLineLink,
			name:        "Link for the line's volts",
			value:       s.show(s.Supply.Volts, q.Voltage),
			formula:     "V_line",
			substituted: "from the socket",
			watch:       "Power off, its capacitors drained. Set for fewer volts than come in it burns at once.",
			from:        source.Typed,
		})
	}
	s.add(dial{
		id:      working.SettingArmatureLink,
		name:    "Range for the motor's volts",
		value:   s.show(min(s.Feed.Volts, m.Volts.Value), q.Voltage),
		formula: "least of V_plate and what the drive gives",
		substituted: s.show(m.Volts.Value, q.Voltage) + " on the plate, " + s.show(s.Feed.Volts, q.Voltage) +
			" to be had",
		from: source.PhaseAngle,
	})
	if m.Kind.Brushed() && mains {
		s.add(dial{
			id:          working.SettingSense,
			name:        "Current-sense or horsepower resistor",
			value:       "for " + s.show(amps, q.Current),
			formula:     "by the drive maker's table",
			substituted: "plate amps",
			watch:       "It scales current limit and IR compensation: fit it first.",
			from:        source.Typed,
		})
	}
	s.add(dial{
		id:          working.SettingZero,
		name:        "All trims to begin with",
		value:       "lowest",
		substituted: "before power",
		watch:       "Motor clamped, belt off, knob at nothing.",
		from:        source.RampTimes,
	})
	s.knobs()
	s.currentLimit()
	top := s.topTrim()
	volts := min(s.Feed.Volts, m.Volts.Value*top.share)
	s.add(dial{
		id:      working.SettingMax,
		name:    "Max speed trim",
		value:   q.Percent(top.share) + ", " + s.show(s.topAt(top.share), q.Speed) + " with no load",
		formula: "n_max = least of trim · n_plate and what the drive's volts make",
		substituted: q.Percent(top.share) + " × " + s.show(m.Speed.Value, q.Speed) + ", about " +
			s.show(volts, q.Voltage) + " on the motor",
		watch: "Tachometer on the shaft, knob full on, creep up.",
		other: top.other,
		from:  source.TrimPractice,
	})
	low, _ := s.Powered.RotorSpan()
	s.add(dial{
		id:          working.SettingMin,
		name:        "Min speed trim",
		value:       s.show(low, q.Speed),
		formula:     "n_min = slowest steady share · n_max",
		substituted: q.Percent(s.Feed.Slowest) + " of " + s.show(low/s.Feed.Slowest, q.Speed),
		watch:       "Lowest that does not stall under the job; many like it at zero so the knob stops the machine.",
		from:        source.SlowestSpeed,
	})
	s.ramps()
	if m.Kind.Family() != motor.DCFamily || s.Control.Kind == control.BrushlessDrive {
		return // armature feedback is for brushed motors on direct current
	}
	s.add(dial{
		id:      working.SettingIr,
		name:    "IR compensation",
		value:   "0 to begin with",
		formula: "ΔV = I·R",
		substituted: s.show(amps, q.Current) + " × " + s.show(m.DC.Resistance.Value, q.Resistance) + " is " +
			s.show(amps*m.DC.Resistance.Value, q.Voltage) + " at full load, " +
			q.Percent(amps*m.DC.Resistance.Value/m.Volts.Value) + " of its speed",
		watch: "Raise under load until the speed hunts, then back off a little.",
		from:  source.DCMachine,
	})
}

// transformer are the settings of a variable transformer with a bridge.
func (s *Sheet) transformer() {
	volts := s.Motor.Volts.Value / control.PhaseAngleAverage(1)
	if s.Feed.Kind == motor.CutSine {
		volts = s.Motor.Volts.Value
	}
	s.add(dial{
		id:          working.SettingZero,
		name:        "Before each start",
		value:       "turned down to nothing",
		substituted: "nothing else holds the current",
		from:        source.Typed,
	})
	s.add(dial{
		id:          working.SettingMax,
		name:        "Highest it may be turned to",
		value:       s.show(min(volts, s.Supply.Volts), q.Voltage),
		formula:     "V_ac = V_plate / 0.9 with a bridge",
		substituted: s.show(s.Motor.Volts.Value, q.Voltage) + " on the plate",
		watch:       "Put a stop on its dial there.",
		from:        source.PhaseAngle,
	})
	s.add(dial{
		id:          working.SettingFuse,
		name:        "Fuse out of it",
		value:       s.show(1.25*s.Motor.Amps.Value, q.Current),
		formula:     "next above 1.25·I_plate",
		substituted: s.show(s.Motor.Amps.Value, q.Current) + " on the plate",
		from:        source.FuseArmature,
	})
}

// resistor is the setting of a series resistor.
func (s *Sheet) resistor() {
	if s.Control.Ohms == 0 {
		return
	}
	light, full := s.ResistorSpeeds()
	s.add(dial{
		id:          working.SettingOhms,
		name:        "Resistor in series",
		value:       s.show(s.Control.Ohms, q.Resistance),
		formula:     "V = K_e·ω + I·(R + R_series)",
		substituted: s.show(light, q.Speed) + " lightly loaded, " + s.show(full, q.Speed) + " at rated torque",
		watch: "Feel it: it must shed " + q.Watts(s.ResistorHeat()) +
			" without touching anything that burns.",
		from: source.DCMachine,
	})
}
