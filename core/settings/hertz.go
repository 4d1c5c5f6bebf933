package settings

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/working"
)

// inverter are an inverter's settings, motor first.
func (s *Sheet) inverter() {
	m, c := s.Motor, s.Control
	low, high := s.Powered.RotorSpan()
	s.add(dial{
		id:          working.SettingReset,
		name:        "Everything to the maker's own settings",
		value:       "once, first",
		substituted: "a second-hand drive remembers its last machine",
		watch:       "Belt off; some settings only change while stopped.",
		from:        source.Typed,
	})
	s.add(dial{
		id:          working.SettingMotorAmps,
		name:        "Motor amps",
		value:       s.show(m.Amps.Value, q.Current),
		formula:     "from the plate",
		substituted: "for the volts the links are set to",
		watch:       "This is its overload protection: never set it higher.",
		from:        source.Typed,
	})
	s.add(dial{
		id:      working.SettingBase,
		name:    "Base hertz and volts",
		value:   s.show(s.Feed.BaseHertz, q.Frequency) + " at " + s.show(s.Feed.BaseVolts, q.Voltage),
		formula: "V/f = V_plate / f_plate",
		substituted: fmt.Sprintf("%s ÷ %s, up to the %s there is", s.show(m.Volts.Value, q.Voltage),
			s.show(m.Hertz.Value, q.Frequency), s.show(s.Feed.Volts, q.Voltage)),
		watch: "Wrong here and the motor is weak or cooks.",
		from:  source.VoltsPerHertz,
	})
	s.add(dial{
		id:          working.SettingPoles,
		name:        "Poles and plate speed",
		value:       q.Figures(m.Induction.Poles.Value, 2) + ", " + s.show(m.Speed.Value, q.Speed),
		formula:     "p ≤ 120·f / n",
		substituted: "from the plate",
		from:        source.Synchronous,
	})
	top, turns := s.Feed.TopHertz, fmt.Sprintf("turns the motor at %s with no load, %s under it",
		s.show(s.Powered.RotorTop(), q.Speed), s.show(high, q.Speed))
	if plate := m.Hertz.Value; c.Kind == control.SinglePhaseInverter && top > plate {
		top, turns = plate, "the plate's: its start switch and capacitors were made for no more"
	}
	s.add(dial{
		id:          working.SettingTop,
		name:        "Top hertz",
		value:       s.show(top, q.Frequency),
		formula:     "n = 120·f/p − slip",
		substituted: turns,
		watch:       "Never past what chuck, wheel, bearings and rotor bear.",
		from:        source.RotorSpeed,
	})
	lowest := s.Feed.BaseHertz * s.Feed.Slowest
	s.add(dial{
		id:      working.SettingMin,
		name:    "Lowest hertz",
		value:   s.show(lowest, q.Frequency),
		formula: "f_min = slowest steady share · f_base",
		substituted: fmt.Sprintf("%s of %s; about %s", q.Percent(s.Feed.Slowest), s.show(s.Feed.BaseHertz, q.Frequency),
			s.show(low, q.Speed)),
		watch: "Below it the motor cogs and heats.",
		from:  source.SlowestSpeed,
	})
	s.currentLimit()
	s.ramps()
	s.mode()
	s.add(dial{
		id:          working.SettingCarrier,
		name:        "Carrier",
		value:       "4 kHz to begin with",
		formula:     "quiet against heat",
		substituted: "higher is quieter, heats the drive, and is harder on an old winding",
		watch:       "Raise it to 8 or 12 kHz only if the whine is worse than the heat.",
		from:        source.Carrier,
	})
	s.stopMode()
	s.knobs()
	s.add(dial{
		id:          working.SettingRestart,
		name:        "Start by itself when power returns",
		value:       "off",
		substituted: "a machine must not start unasked",
		watch:       "Pull the plug while it runs and put it back: it must stay still.",
		from:        source.LocalCode,
	})
	if c.ThreeIn && !s.Supply.Three {
		s.add(dial{
			id:          working.SettingPhaseLoss,
			name:        "Phase-loss trip on the input",
			value:       "off, if its maker allows one phase",
			formula:     "I_in ≈ √3 × as much",
			substituted: s.show(line.RatedAmps(&s.Stations), q.Current) + " is what it gives so",
			watch:       "Watch the ripple trip under full load.",
			from:        source.OnePhaseIn,
		})
	}
}

func (s *Sheet) mode() {
	value, watch, other := "volts per hertz", "Raise the boost only as far as it starts the load: more just heats it.",
		"Vector: steadier at the slow end, once it has been tuned to this motor."
	if s.Control.Vector {
		value, watch, other = "vector, sensorless", "Let it tune itself with the shaft free and the belt off.",
			"Volts per hertz: nothing to tune, and two motors on one drive."
	}
	s.add(dial{
		id:          working.SettingMode,
		name:        "Volts per hertz or vector",
		value:       value,
		substituted: "steady down to " + q.Percent(s.Feed.Slowest) + " of base speed",
		watch:       watch,
		other:       other,
		from:        source.SlowestSpeed,
	})
}

// stopMode is ramp or coast, with the energy a brake resistor must take.
func (s *Sheet) stopMode() {
	energy := s.spin.energy
	value, figures, watch := "ramp to stop", "trips on over-volts mean the ramp is too short",
		"Coast if a heavy wheel trips it and no brake resistor is fitted."
	switch {
	case s.Control.BrakeOhms > 0:
		value, figures = "ramp, brake resistor on", s.show(s.Control.BrakeOhms, q.Resistance)
		watch = "Where it has a jumper in place of a resistor, take that out first. It runs hot: guard it."
	case energy > 2000:
		value, figures = "coast", q.Joules(energy)+" turns in it and no brake resistor is put in"
		watch = "Nobody near until it stands still; a resistor stops it sooner."
	}
	s.add(dial{
		id:          working.SettingStop,
		name:        "Stop mode",
		value:       value,
		formula:     "½·J·ω² into the ramp, or coast",
		substituted: figures,
		watch:       watch,
		from:        source.RampTimes,
	})
}

// stepper are the settings of a stepper driver.
func (s *Sheet) stepper() {
	m := s.Motor
	_, high := s.Powered.RotorSpan()
	s.add(dial{
		id:          working.SettingPhaseAmps,
		name:        "Amps a phase",
		value:       s.show(m.Amps.Value, q.Current),
		formula:     "from the plate",
		substituted: "peak on some drivers is 1.4 × that: read its sheet",
		watch:       "Never plug or unplug the motor with power on: it kills the driver.",
		from:        source.Typed,
	})
	s.add(dial{
		id:          working.SettingHold,
		name:        "Amps when holding",
		value:       q.Percent(0.5),
		formula:     "half is usual",
		substituted: "it must hold still, not move",
		watch:       "Warm to the hand is well; over 80 °C lower it.",
		from:        source.StepperTorque,
	})
	s.add(dial{
		id:          working.SettingMicrosteps,
		name:        "Microsteps",
		value:       "8",
		formula:     "smoother, no stronger",
		substituted: fmt.Sprintf("%g steps a turn, %g pulses", m.Steps.PerTurn, 8*m.Steps.PerTurn),
		watch:       "Keep out of the speeds where it growls.",
		from:        source.StepperTorque,
	})
	s.add(dial{
		id:          working.SettingPulses,
		name:        "Pulses a second at its fastest",
		value:       q.Figures(high/(2*math.Pi)*8*m.Steps.PerTurn, 3),
		formula:     "f = n·steps·microsteps / 60",
		substituted: s.show(high, q.Speed),
		watch:       "Ramp up to it: started at once it only buzzes.",
		from:        source.StepperCorner,
	})
}

// capacitors is the choice of a fan's run capacitor.
func (s *Sheet) capacitors() {
	s.add(dial{
		id:          working.SettingCapacitorVolts,
		name:        "Run capacitor, marked for",
		value:       s.show(max(2*s.Supply.Volts, 250, s.Motor.CapacitorAC), q.Voltage) + " AC or more",
		formula:     "≥ 2·V_line, and the one it had",
		substituted: s.show(s.Supply.Volts, q.Voltage),
		watch:       "Film or oil, never the electrolytic of a start capacitor.",
		from:        source.FanLaws,
	})
	s.add(dial{
		id:          working.SettingStarts,
		name:        "Starts on the smallest",
		value:       "10 of 10",
		substituted: "warm and cold",
		watch:       "A capacitor it starts on nine times of ten burns it the tenth.",
		from:        source.FanLaws,
	})
}

// onTheLine are what is set where a motor is switched straight to its supply.
func (s *Sheet) onTheLine() {
	if s.Supply.Battery {
		return
	}
	m := s.Motor
	s.add(dial{
		id:          working.SettingOverload,
		name:        "Overload trip",
		value:       s.show(s.Circuit().Overload, q.Current),
		formula:     "1.0 to 1.15·I_plate by the code",
		substituted: s.show(m.Amps.Value, q.Current) + " on the plate",
		watch:       "Set to the plate, and put back by hand, not by itself.",
		from:        line.CircuitSource(s.Circuit().Code),
	})
	if m.Kind == motor.ThreePhase {
		s.add(dial{
			id:          working.SettingRotation,
			name:        "Which way it turns",
			value:       "swap any two phases",
			substituted: "bump it with the belt off",
			from:        source.Typed,
		})
	}
	if s.Control.Kind == control.Contactor && m.Kind.HasStartSwitch() {
		s.add(dial{
			id:          working.SettingSwitchClick,
			name:        "Its start switch",
			value:       "clicks out within a second or two",
			formula:     "near 75 % of synchronous",
			substituted: s.show(0.75*m.Synchronous(), q.Speed),
			watch:       "If it hums on without the click, switch off at once: winding and capacitor burn.",
			from:        source.StartMultiple,
		})
	}
}
