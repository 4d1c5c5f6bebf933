package verdict

import (
	"fmt"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/words"
	"jiriki/core/working"
)

func (v *verdict) controlFindings() {
	c, m := v.Control, v.Motor
	if c.Kind == "" {
		return
	}
	ok, why := line.Suits(&v.Stations)
	if !ok && m.Kind != "" {
		v.add(f.ControlSuits, f.Stop, "control.kind", "This control does not suit the motor", why)
		return
	}
	if c.Kind == control.Contactor && m.Kind == motor.ThreePhase && !v.Supply.Three && v.Supply.Volts > 0 {
		v.add(f.ControlPhases, f.Stop, "control.kind", "Three-phase motor on a single-phase switch",
			"On one phase it hums, will not start, and burns. Use a single-phase-input inverter. Local code and a "+
				"licensed electrician decide.")
		return
	}
	if v.Runs {
		v.add(f.ControlSuitsGood, f.Good, "control.kind", "Control suits the motor", why)
		v.voltsFindings()
		v.ampsFindings()
		v.speedFindings()
		v.otherControlFindings()
	}
	v.safetyFindings()
}

// flashesOver is how many times its plate's volts a commutator does not stand where nothing holds them down
// [common practice].
const flashesOver = 1.5

func (v *verdict) voltsFindings() {
	c, m, have := v.Control, v.Motor, v.Feed.Volts
	share := have / m.Volts.Value
	switch v.Feed.Kind {
	case motor.DirectCurrent, motor.CutSine:
		switch {
		case share < 0.97:
			v.add(f.ControlVoltsLow, f.Caution, "control.volts", "Reaches "+q.Percent(share)+" of plate speed",
				fmt.Sprintf("%s at most out of this drive for %s motor. Torque is untouched; top speed is lower.",
					v.show(have, q.Voltage), words.A(v.show(m.Volts.Value, q.Voltage)))).Working = working.ControlVolts
		case share > 1.15 && !c.Trimmed:
			field := "control.topTrim"
			if !c.DCDrive() {
				field = "control.kind"
			}
			level := f.Caution
			if share > flashesOver {
				level = f.Stop
			}
			v.add(f.ControlVoltsHigh, level, field, "Drive can give more than the motor's volts",
				fmt.Sprintf("%s out for %s motor. %s", v.show(have, q.Voltage), words.A(v.show(m.Volts.Value,
					q.Voltage)),
					v.keepsVoltsDown())).Working = working.ControlVolts
		}
	case motor.VariableHertz:
		if share < 0.9 {
			v.add(f.ControlVoltsLow, f.Caution, "motor.plate.volts", "Motor wired for more volts than the inverter has",
				fmt.Sprintf("%s out for %s windings: torque weakens from %s up. If the plate shows two voltages, set "+
					"the links for the lower one.", v.show(have, q.Voltage), v.show(m.Volts.Value, q.Voltage),
					v.show(v.Feed.BaseHertz, q.Frequency))).Working = working.ControlVolts
		}
		if most := max(m.Volts.Value, m.OtherVolts); v.Feed.BaseVolts > 1.1*most {
			v.add(f.ControlVoltsHigh, f.Stop, "control.baseHertz", "More volts than the windings are for",
				fmt.Sprintf("%s at base hertz on windings for %s: whatever the hertz, their insulation was made for "+
					"what the plate says. Lower the base hertz, or set the links for more if the plate shows two "+
					"voltages.",
					v.show(v.Feed.BaseVolts, q.Voltage), v.show(most, q.Voltage))).Working = working.ControlBase
		}
		v.fluxFindings()
	case motor.OnTheLine:
		v.lineVoltsFindings(share)
	case motor.Capacitors:
		v.lineVoltsFindings(share)
		v.fanFindings()
	}
}

// strongFlux is how many times its plate's volts per hertz heat a motor [common practice].
const strongFlux = 1 / 0.9

// fluxFindings are volts that come at too few hertz for the iron.
func (v *verdict) fluxFindings() {
	if v.Control.BaseHertz == 0 {
		return // asked for where it decides, else taken as set for the plate
	}
	flux := judge.Flux(v.Model, v.Control.BaseHertz)
	if flux <= strongFlux {
		return
	}
	level, title := f.Caution, "Base hertz set low for these volts"
	if flux > judge.Saturates {
		level, title = f.Stop, "Base hertz set so low that the motor burns"
	}
	v.add(f.ControlOverflux, level, "control.baseHertz", title,
		fmt.Sprintf("%s at %s is %s times the plate's volts per hertz: the iron saturates and the motor heats, "+
			"loaded or "+
			"not.%s", v.show(v.Feed.Volts, q.Voltage), v.show(v.Control.BaseHertz, q.Frequency), q.Figures(flux, 2),
			judge.BaseSays(v.Model, v.sys)))
}

// keepsVoltsDown says what holds a control with volts to spare to the motor's own.
func (v *verdict) keepsVoltsDown() string {
	switch v.Control.Kind {
	case control.SeriesResistor:
		return "The resistor only drops the rest while current flows: lightly loaded the motor sees nearly all of it."
	case control.VariableTransformer:
		return "Put a meter on the motor, mark the dial where it reads the plate's volts, and fit a stop there."
	}
	return "Set the top-speed trim before the belt goes on."
}
