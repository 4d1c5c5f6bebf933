package verdict

import (
	"fmt"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/words"
	"jiriki/core/working"
)

// otherControlFindings are what the ways of control besides the usual drives ask for: an inverter on a
// capacitor-start motor, a resistor in series, a fan on fewer volts.
func (v *verdict) otherControlFindings() {
	switch v.Control.Kind {
	case control.SinglePhaseInverter:
		v.onePhaseOutFindings()
	case control.SeriesResistor:
		v.resistorFindings()
	case control.VariableTransformer:
		if v.Motor.Kind.Family() == motor.InductionFamily {
			v.fanOnlyFinding("Fewer volts are for the motor's own fan")
			v.add(f.ControlByTrial, f.Caution, "motor.readings", "How slow is found by trial",
				"The reach is worked out at full volts. Turn it down in steps, and at each see that it still starts "+
					"every time, ten of ten, warm and cold.")
		}
	}
}

// onePhaseOutFindings hold the disputed inverter on a motor with a start switch to what its own school
// asks: a floor in hertz, plate speed as the top, and winding that bears the spikes.
func (v *verdict) onePhaseOutFindings() {
	c, m := v.Control, v.Motor
	if m.Kind.HasStartSwitch() {
		if floor := line.StartSwitchFloor * m.Hertz.Value; c.LowHertz < floor*0.999 {
			v.add(f.ControlStartSwitch, f.Stop, "control.lowHertz", "Its start switch can close again",
				fmt.Sprintf("Below about %s of plate speed it puts the start winding back in, and winding and "+
					"capacitor burn; no tachometer helps there. Set the lowest hertz to %s or more on the drive, and "+
					"put it in here.", q.Percent(line.StartSwitchFloor), v.show(floor, q.Frequency)))
		}
		v.add(f.ControlDisputed, f.Caution, "control.kind", "Practice disagrees on this drive",
			"The default for a capacitor-start motor is pulleys. Driven from an inverter its old winding sees steep "+
				"volts: keep the lead short, add a filter, and never start it under load.")
	}
	if !m.Kind.HasStartSwitch() {
		if floor := line.BandFloor * m.Hertz.Value; c.LowHertz < floor*0.999 {
			v.add(f.ControlBand, f.Stop, "control.lowHertz", "Fewer hertz than its second winding bears",
				fmt.Sprintf("Below about %s of the plate's hertz its capacitor or copper bands turn it no more: it "+
					"stands and burns. Set the lowest hertz to %s or more on the drive, and put it in here.",
					q.Percent(line.BandFloor), v.show(floor, q.Frequency)))
		}
		v.add(f.ControlDisputed, f.Caution, "control.kind", "Practice disagrees on this drive",
			"The default for such a motor is its own speed and pulleys, or a fan's capacitors. Driven from an "+
				"inverter "+
				"its old winding sees steep volts: keep the lead short, add a filter, and see that it starts every "+
				"time.")
	}
	if v.Feed.TopHertz > m.Hertz.Value*1.01 {
		v.add(f.ControlOverPlateHertz, f.Stop, "control.topHertz", "Over the plate's hertz",
			fmt.Sprintf("%s on %s motor: its start switch, rotor and run capacitor were made for the plate's. Set "+
				"the top to %s.", v.show(v.Feed.TopHertz, q.Frequency), words.A(v.show(m.Hertz.Value, q.Frequency)),
				v.show(m.Hertz.Value, q.Frequency)))
	}
}

func (v *verdict) resistorFindings() {
	c, m := v.Control, v.Motor
	if c.Ohms == 0 {
		return
	}
	light, full := v.ResistorSpeeds()
	words := fmt.Sprintf("%s lightly loaded, %s at rated torque.", v.show(light, q.Speed), v.show(full, q.Speed))
	if full < 0.01*m.Speed.Value {
		words = fmt.Sprintf("%s lightly loaded, and it stalls short of its rated torque.", v.show(light, q.Speed))
	}
	v.add(f.ControlCollapse, f.Caution, "control.ohms", "The speed collapses as the load grows",
		words+" No steady speed under a changing load: a drive that watches the speed holds it.").Working =
		working.ControlCollapse
	waste := v.ResistorHeat()
	if c.Watts > 0 && c.Watts < waste {
		v.add(f.ControlResistorBurns, f.Stop, "control.watts", "The resistor burns at full load",
			fmt.Sprintf("%s in it at the motor's rated amps, %s is what it sheds. Use a larger one in free air, away "+
				"from anything that burns.", q.Watts(waste), q.Watts(c.Watts))).Working = working.ControlWaste
	}
}
