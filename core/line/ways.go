package line

import (
	"fmt"
	"math"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// otherWaysFindings are what the ways of control besides the usual drives ask for: an inverter on a
// capacitor-start motor, a resistor in series, a fan on fewer volts.
func (v *verdict) otherWaysFindings() {
	switch v.Control.Kind {
	case control.SinglePhaseInverter:
		v.onePhaseOutFindings()
	case control.SeriesResistor:
		v.resistorFindings()
	case control.VariableTransformer:
		if v.Motor.Kind.Family() == motor.InductionFamily {
			v.fanOnlyFinding("Fewer volts are for the motor's own fan")
			v.add(f.Control, "by-trial", f.Caution, "motor.readings", "How slow is found by trial",
				"The reach is worked out at full volts. Turn it down in steps, and at each see that it still starts every time, ten of ten, warm and cold.")
		}
	}
}

// onePhaseOutFindings hold the disputed inverter on a motor with a start switch to what its own school
// asks: a floor in hertz, plate speed as the top, and winding that bears the spikes.
func (v *verdict) onePhaseOutFindings() {
	c, m := v.Control, v.Motor
	if m.Kind.HasStartSwitch() {
		if floor := startSwitchFloor * m.Hertz.Value; c.LowHertz < floor*0.999 {
			v.add(f.Control, "start-switch", f.Stop, "control.lowHertz", "Its start switch can close again",
				fmt.Sprintf("Below about %s of plate speed it puts the start winding back in, and winding and capacitor burn. Set the lowest hertz to %s or more on the drive, and put it in here.", q.Percent(startSwitchFloor), v.show(floor, q.Frequency)))
		}
		v.add(f.Control, "other-school", f.Caution, "control.kind", "Practice disagrees on this drive",
			"The default for a capacitor-start motor is pulleys. Driven from an inverter its old winding sees steep volts: keep the lead short, add a filter, and never start it under load.")
	}
	if v.feed.TopHertz > m.Hertz.Value*1.01 {
		v.add(f.Control, "over-plate-hertz", f.Stop, "control.topHertz", "Over the plate's hertz",
			fmt.Sprintf("%s on a %s motor: its start switch, rotor and run capacitor were made for the plate's. Set the top to %s.", v.show(v.feed.TopHertz, q.Frequency), v.show(m.Hertz.Value, q.Frequency), v.show(m.Hertz.Value, q.Frequency)))
	}
}

// resistorSpeeds are the speeds a series resistor lets the motor turn at lightly loaded, a tenth of its
// rated torque, and at all of it; rad/s, 0 where it stalls.
func (t *train) resistorSpeeds() (light, full float64) {
	_, high := t.model.RotorSpan()
	at := func(torque float64) float64 {
		low, top := 0.0, high
		for range 50 {
			if middle := (low + top) / 2; t.model.Peak(middle/t.Motor.Gear.Ratio).Torque > torque*t.Motor.Gear.Ratio*t.Motor.Gear.Keeps {
				low = middle
			} else {
				top = middle
			}
		}
		return low
	}
	return at(0.1 * t.Motor.Torque.Value), at(t.Motor.Torque.Value)
}

func (v *verdict) resistorFindings() {
	c, m := v.Control, v.Motor
	if c.Ohms == 0 {
		v.add(f.Control, "ohms", f.Missing, "control.ohms", "Ohms of the resistor", "As it is set for the slowest job: what it takes in volts goes with the current.")
		return
	}
	light, full := v.resistorSpeeds()
	words := fmt.Sprintf("%s lightly loaded, %s at rated torque.", v.show(light, q.Speed), v.show(full, q.Speed))
	if full < 0.01*m.Speed.Value {
		words = fmt.Sprintf("%s lightly loaded, and it stalls short of its rated torque.", v.show(light, q.Speed))
	}
	v.add(f.Control, "collapse", f.Caution, "control.ohms", "The speed collapses as the load grows", words+" No steady speed under a changing load: a drive that watches the speed holds it.")
	waste := v.resistorWaste()
	if c.Watts > 0 && c.Watts < waste {
		v.add(f.Control, "resistor-burns", f.Stop, "control.watts", "The resistor burns at full load",
			fmt.Sprintf("%s in it at the motor's rated amps, %s is what it sheds. Use a larger one in free air, away from anything that burns.", v.show(waste, q.Power), v.show(c.Watts, q.Power)))
	}
}

// resistorWaste is the heat in a series resistor at rated amps, or at the stall where that is less; W.
func (t *train) resistorWaste() float64 {
	amps := math.Min(t.Motor.Amps.Value, t.model.StallAmps())
	return amps * amps * t.Control.Ohms
}

// onePhaseFinding looks at an inverter made for three phases in but fed by one.
func (v *verdict) onePhaseFinding(rated float64) {
	c := v.Control
	if !c.ThreeIn || v.Supply.Three || c.Amps == 0 {
		return
	}
	v.add(f.Control, "one-phase-in", f.Caution, "control.fed", "Made for three phases, fed by one",
		fmt.Sprintf("Its input draws √3 times as much and its capacitors work harder: count on half its rating, %s of %s. Size it at twice the motor's amps, and take its phase-loss trip out if its maker allows it.", v.show(rated, q.Current), v.show(c.Amps, q.Current)))
}

// ways derives what the other ways of control do.
func (d *derivations) ways() {
	if d.train.Control.Kind != control.SeriesResistor || d.train.Control.Ohms == 0 {
		return
	}
	light, full := d.resistorSpeeds()
	d.add("control.collapse", "control", "Speed, lightly loaded and at rated torque", speedRange(full, light, d.sys), "T = K_e·(V − K_e·ω) / (R + R_series) − T_loss",
		fmt.Sprintf("%s out, %s in series", d.show(d.feed.Volts, q.Voltage), d.show(d.train.Control.Ohms, q.Resistance)), source.DCMachine)
	d.add("control.waste", "control", "Heat in the resistor at rated amps", d.show(d.resistorWaste(), q.Power), "P = I²·R", fmt.Sprintf("%s, %s", d.show(d.Motor.Amps.Value, q.Current), d.show(d.train.Control.Ohms, q.Resistance)), source.Mechanics)
}
