package settings

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// inverter are an inverter's settings, motor first.
func (s *Sheet) inverter() {
	m, c := s.Motor, s.Control
	low, high := s.Powered.RotorSpan()
	s.add(dial{"reset", "Everything to the maker's own settings", "once, first", "", "a second-hand drive remembers its last machine", "Belt off; some settings only change while stopped.", "", source.Typed})
	s.add(dial{"motor-amps", "Motor amps", s.show(m.Amps.Value, q.Current), "from the plate", "for the volts the links are set to", "This is its overload protection: never set it higher.", "", source.Typed})
	s.add(dial{"base", "Base hertz and volts", s.show(s.Feed.BaseHertz, q.Frequency) + " at " + s.show(s.Feed.BaseVolts, q.Voltage), "V/f = V_plate / f_plate",
		fmt.Sprintf("%s ÷ %s, up to the %s there is", s.show(m.Volts.Value, q.Voltage), s.show(m.Hertz.Value, q.Frequency), s.show(s.Feed.Volts, q.Voltage)),
		"Wrong here and the motor is weak or cooks.", "", source.VoltsPerHertz})
	s.add(dial{"poles", "Poles and plate speed", q.Figures(m.Induction.Poles.Value, 2) + ", " + s.show(m.Speed.Value, q.Speed), "p ≤ 120·f / n", "from the plate", "", "", source.Synchronous})
	top, turns := s.Feed.TopHertz, fmt.Sprintf("turns the motor at %s", s.show(high, q.Speed))
	if plate := m.Hertz.Value; c.Kind == control.SinglePhaseInverter && top > plate {
		top, turns = plate, "the plate's: its start switch and capacitors were made for no more"
	}
	s.add(dial{"top", "Top hertz", s.show(top, q.Frequency), "n = 120·f/p − slip", turns,
		"Never past what chuck, wheel, bearings and rotor bear.", "", source.RotorSpeed})
	lowest := s.Feed.BaseHertz * s.Feed.Slowest
	s.add(dial{"min", "Lowest hertz", s.show(lowest, q.Frequency), "f_min = slowest steady share · f_base", fmt.Sprintf("%s of %s; about %s", q.Percent(s.Feed.Slowest), s.show(s.Feed.BaseHertz, q.Frequency), s.show(low, q.Speed)),
		"Below it the motor cogs and heats.", "", source.SlowestSpeed})
	s.currentLimit()
	s.ramps()
	s.mode()
	s.add(dial{"carrier", "Carrier", "4 kHz to begin with", "quiet against heat", "higher is quieter, heats the drive, and is harder on an old winding", "Raise it to 8 or 12 kHz only if the whine is worse than the heat.", "", source.Carrier})
	s.stopMode()
	s.knobs()
	s.add(dial{"restart", "Start by itself when power returns", "off", "", "a machine must not start unasked", "Pull the plug while it runs and put it back: it must stay still.", "", source.LocalCode})
	if c.ThreeIn && !s.Supply.Three {
		s.add(dial{"phase-loss", "Phase-loss trip on the input", "off, if its maker allows one phase", "I_in ≈ √3 × as much", s.show(line.RatedAmps(s.Stations), q.Current) + " is what it gives so", "Watch the ripple trip under full load.", "", source.OnePhaseIn})
	}
}

func (s *Sheet) mode() {
	value, watch, other := "volts per hertz", "Raise the boost only as far as it starts the load: more just heats it.", "Vector: steadier at the slow end, once it has been tuned to this motor."
	if s.Control.Vector {
		value, watch, other = "vector, sensorless", "Let it tune itself with the shaft free and the belt off.", "Volts per hertz: nothing to tune, and two motors on one drive."
	}
	s.add(dial{"mode", "Volts per hertz or vector", value, "", "steady down to " + q.Percent(s.Feed.Slowest) + " of base speed", watch, other, source.SlowestSpeed})
}

// stopMode is ramp or coast, with the energy a brake resistor must take.
func (s *Sheet) stopMode() {
	energy := s.spin.energy
	value, put, watch := "ramp to stop", "trips on over-volts mean the ramp is too short", "Coast if a heavy wheel trips it and no brake resistor is fitted."
	switch {
	case s.Control.BrakeOhms > 0:
		value, put = "ramp, brake resistor on", s.show(s.Control.BrakeOhms, q.Resistance)
		watch = "Where it has a jumper in place of a resistor, take that out first. It runs hot: guard it."
	case energy > 2000:
		value, put = "coast", joules(energy)+" turns in it and no brake resistor is put in"
		watch = "Nobody near until it stands still; a resistor stops it sooner."
	}
	s.add(dial{"stop", "Stop mode", value, "½·J·ω² into the ramp, or coast", put, watch, "", source.RampTimes})
}

// stepper are the settings of a stepper driver.
func (s *Sheet) stepper() {
	m := s.Motor
	_, high := s.Powered.RotorSpan()
	s.add(dial{"phase-amps", "Amps a phase", s.show(m.Amps.Value, q.Current), "from the plate", "peak on some drivers is 1.4 × that: read its sheet", "Never plug or unplug the motor with power on: it kills the driver.", "", source.Typed})
	s.add(dial{"hold", "Amps when holding", q.Percent(0.5), "half is usual", "it must hold still, not move", "Warm to the hand is well; over 80 °C lower it.", "", source.StepperTorque})
	s.add(dial{"microsteps", "Microsteps", "8", "smoother, no stronger", fmt.Sprintf("%g steps a turn, %g pulses", m.Steps.PerTurn, 8*m.Steps.PerTurn), "Keep out of the speeds where it growls.", "", source.StepperTorque})
	s.add(dial{"pulses", "Pulses a second at its fastest", q.Figures(high/(2*math.Pi)*8*m.Steps.PerTurn, 3), "f = n·steps·microsteps / 60", s.show(high, q.Speed), "Ramp up to it: started at once it only buzzes.", "", source.StepperCorner})
}

// capacitors is the choice of a fan's run capacitor.
func (s *Sheet) capacitors() {
	s.add(dial{"capacitor-volts", "Run capacitor, marked for", s.show(math.Max(2*s.Supply.Volts, 250), q.Voltage) + " AC or more", "≥ 2·V_line", s.show(s.Supply.Volts, q.Voltage), "Film or oil, never the electrolytic of a start capacitor.", "", source.FanLaws})
	s.add(dial{"starts", "Starts on the smallest", "10 of 10", "", "warm and cold", "A capacitor it starts on nine times of ten burns it the tenth.", "", source.FanLaws})
}

// onTheLine are what is set where a motor is switched straight to its supply.
func (s *Sheet) onTheLine() {
	if s.Supply.Battery {
		return
	}
	m := s.Motor
	s.add(dial{"overload", "Overload trip", s.show(s.Circuit().Overload, q.Current), "1.0 to 1.15·I_plate by the code", s.show(m.Amps.Value, q.Current) + " on the plate", "Set to the plate, and put back by hand, not by itself.", "", line.CircuitSource(s.Circuit().Code)})
	if m.Kind == motor.ThreePhase {
		s.add(dial{"rotation", "Which way it turns", "swap any two phases", "", "bump it with the belt off", "", "", source.Typed})
	}
	if s.Control.Kind == control.Contactor && m.Kind.HasStartSwitch() {
		s.add(dial{"switch-click", "Its start switch", "clicks out within a second or two", "near 75 % of synchronous", s.show(0.75*m.Synchronous(), q.Speed), "If it hums on without the click, switch off at once: winding and capacitor burn.", "", source.StartMultiple})
	}
}
