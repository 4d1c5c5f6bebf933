package settings

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// byVolts are the settings of a drive that sets speed by volts.
func (s *Sheet) byVolts() {
	m, amps := s.Motor, s.Motor.Amps.Value
	mains := !s.Supply.Battery
	if mains {
		s.add(dial{"line-link", "Link for the line's volts", s.show(s.Supply.Volts, q.Voltage), "V_line", "from the socket", "Power off, its capacitors drained. Set for fewer volts than come in it burns at once.", "", source.Typed})
	}
	s.add(dial{"armature-link", "Range for the motor's volts", s.show(math.Min(s.Feed.Volts, m.Volts.Value), q.Voltage), "least of V_plate and what the drive gives",
		fmt.Sprintf("%s on the plate, %s to be had", s.show(m.Volts.Value, q.Voltage), s.show(s.Feed.Volts, q.Voltage)), "", "", source.PhaseAngle})
	if m.Kind.Brushed() && mains {
		s.add(dial{"sense", "Current-sense or horsepower resistor", "for " + s.show(amps, q.Current), "by the drive maker's table", "plate amps", "It scales current limit and IR compensation: fit it first.", "", source.Typed})
	}
	s.add(dial{"zero", "All trims to begin with", "lowest", "", "before power", "Motor clamped, belt off, knob at nothing.", "", source.RampTimes})
	s.knobs()
	s.currentLimit()
	top := s.topTrim()
	volts := math.Min(s.Feed.Volts, m.Volts.Value*top.share)
	s.add(dial{"max", "Max speed trim", q.Percent(top.share) + ", " + s.show(top.share*m.Speed.Value, q.Speed), "n_max = trim · n_plate",
		fmt.Sprintf("%s × %s, about %s on the motor", q.Percent(top.share), s.show(m.Speed.Value, q.Speed), s.show(volts, q.Voltage)),
		"Tachometer on the shaft, knob full on, creep up.", top.other, source.TrimSchools})
	low, _ := s.Powered.RotorSpan()
	s.add(dial{"min", "Min speed trim", s.show(low, q.Speed), "n_min = slowest steady share · n_max",
		fmt.Sprintf("%s of %s", q.Percent(s.Feed.Slowest), s.show(low/s.Feed.Slowest, q.Speed)),
		"Lowest that does not stall under the job; many like it at zero so the knob stops the machine.", "", source.SlowestSpeed})
	s.ramps()
	if m.Kind.Family() != motor.DCFamily || s.Control.Kind == control.BrushlessDrive {
		return // armature feedback is for brushed motors on direct current
	}
	s.add(dial{"ir", "IR compensation", "0 to begin with", "ΔV = I·R", fmt.Sprintf("%s × %s is %s at full load, %s of its speed", s.show(amps, q.Current), s.show(m.DC.Resistance.Value, q.Resistance), s.show(amps*m.DC.Resistance.Value, q.Voltage), q.Percent(amps*m.DC.Resistance.Value/m.Volts.Value)),
		"Raise under load until the speed hunts, then back off a little.", "", source.DCMachine})
}

// transformer are the settings of a variable transformer with a bridge.
func (s *Sheet) transformer() {
	volts := s.Motor.Volts.Value / control.PhaseAngleAverage(1)
	if s.Feed.Kind == motor.CutSine {
		volts = s.Motor.Volts.Value
	}
	s.add(dial{"zero", "Before each start", "turned down to nothing", "", "nothing else holds the current", "", "", source.Typed})
	s.add(dial{"max", "Highest it may be turned to", s.show(math.Min(volts, s.Supply.Volts), q.Voltage), "V_ac = V_plate / 0.9 with a bridge", s.show(s.Motor.Volts.Value, q.Voltage) + " on the plate", "Put a stop on its dial there.", "", source.PhaseAngle})
	s.add(dial{"fuse", "Fuse out of it", s.show(1.25*s.Motor.Amps.Value, q.Current), "next above 1.25·I_plate", s.show(s.Motor.Amps.Value, q.Current) + " on the plate", "", "", source.FuseArmature})
}

// resistor is the setting of a series resistor.
func (s *Sheet) resistor() {
	if s.Control.Ohms == 0 {
		return
	}
	light, full := s.ResistorSpeeds()
	s.add(dial{"ohms", "Resistor in series", s.show(s.Control.Ohms, q.Resistance), "V = K_e·ω + I·(R + R_series)", fmt.Sprintf("%s lightly loaded, %s at rated torque", s.show(light, q.Speed), s.show(full, q.Speed)), "Feel it: it must shed " + s.show(s.ResistorHeat(), q.Power) + " without touching anything that burns.", "", source.DCMachine})
}
