package verdict

import (
	"fmt"

	"jiriki/core/air"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// placeFindings are what wet, dust and heat ask of motor and drive [common practice].
func (v *verdict) placeFindings() {
	place, open := v.Machine.Place, v.Motor.Cooling == "own-fan"
	if place.Wet == "yes" {
		v.wetFindings()
		v.add(f.WorkWet, f.Caution, "machine.place.wet", "It gets wet here",
			"Motor, drive and switch need enclosures made for splashing, a residual-current device ahead of them, "+
				"and cable entries from below. Local code and a licensed electrician decide.")
	}
	switch {
	case place.Dust != "yes" || v.Motor.Splashed():
	case v.Motor.Kind.Brushed():
		v.add(f.WorkDust, f.Stop, "motor.plate.enclosure", "Brushes spark in the dust",
			"Fine dust burns, and a fan of its own only blows it in. Use a closed motor and write its degree of "+
				"protection there, best one without brushes; or keep the dust away and say so.")
	case open:
		v.add(f.WorkDust, f.Caution, "machine.place.dust", "Dust round the motor",
			"A fan-blown open motor fills with it and cooks. Use a closed motor, or blow it out often with the plug "+
				"pulled.")
	}
	v.airFinding()
}

// wetFindings stop open motors, and circuits no residual-current device watches, where it gets wet.
func (v *verdict) wetFindings() {
	if !v.Lethal() {
		return
	}
	if !v.Supply.Battery {
		v.residualFinding()
	}
	if v.Motor.Splashed() {
		return
	}
	said := "its plate has no degree of protection"
	if v.Motor.Enclosure != "" {
		said = "its plate says " + v.Motor.Enclosure
	}
	v.add(f.MotorEnclosure, f.Stop, "motor.plate.enclosure", "Wet, and the motor is not known to keep water out",
		"It gets wet here, and "+said+". IP with a second figure of 4 or more bears splashes. Use such a motor, or "+
			"house this one and write \"enclosed\" there.")
}

// residualFinding asks for a residual-current device that sees what leaks here.
func (v *verdict) residualFinding() {
	r := v.Supply.Residual
	if r == "" || r == "none" {
		v.add(f.SupplyResidual, f.Stop, "supply.residual", "Wet, and no residual-current device noted",
			"Water carries the mains to whoever stands in it. Have one fitted ahead of the machine, press its test "+
				"button, and put it in here. Local code and a licensed electrician decide which.")
		return
	}
	sees, why := v.seesLeaks()
	if sees {
		return
	}
	v.add(f.SupplyResidual, f.Stop, "supply.residual", "Wet, and its residual-current device can be blinded",
		why+" Where it is wet, that is what keeps you alive. Local code and a licensed electrician decide which.")
}

// airFinding says what hot or thin air takes, which the reach has already given up.
func (v *verdict) airFinding() {
	m := v.Machine
	field, title := "machine.place.hot", "The air is hotter than motors are rated for"
	if m.Air <= air.Rated {
		field, title = "machine.place.altitude", "The air is thinner than motors are rated for"
	}
	if !line.ThinsAir(m) {
		return
	}
	drive := ""
	if v.Control.Limits() {
		drive = fmt.Sprintf(", and the drive gives %s of its amps", q.Percent(air.Drive(m.Air, m.Altitude)))
	}
	motorIs := fmt.Sprintf("the motor holds %s of its torque all day%s; the reach shows it",
		q.Percent(line.AirShare(&v.Stations)), drive)
	if v.Feed.Kind == motor.Pulses || v.Feed.Kind == motor.Capacitors {
		motorIs = "the winding sheds less heat, which the reach of this motor does not show: feel it after the first " +
			"hour"
	}
	v.add(f.WorkAir, f.Caution, field, title, fmt.Sprintf("Plates mean air up to %s and 1000 m above the sea. Here %s.",
		v.show(air.Rated, q.Temperature), motorIs)).Working = working.WorkAir
}
