package assess

import (
	"fmt"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/supply"
	"jiriki/core/working"
)

// circuit derives conductor, protection, drop and the heat in the box.
func (d *derivations) circuit() {
	s, c := d.Model.Supply, d.Model.Circuit()
	amps, tabled := d.CircuitAmps()
	src, wireRule, wirePut := line.CircuitSource(c.Code), "I_load ≤ I_breaker ≤ I_cable",
		d.show(amps, q.Current)+"; cable for "+d.show(c.WireFor, q.Current)
	if c.Code == supply.NEC {
		wireRule, wirePut = "I_cable ≥ 1.25·I", "1.25 × "+d.show(amps, q.Current)+" is "+
			d.show(c.WireFor, q.Current)
	}
	starting := "Starting value: local code and a licensed electrician decide"
	if tabled {
		src = source.MotorTable
		starting += "; amps by the code's table for " + q.Show(d.Motor.Power.Value, q.Power, q.Inch) + ", not the " +
			"plate's"
	}
	if !s.Battery {
		d.add(working.SupplyBreaker, "Breaker, or time-delay fuse", d.show(c.Breaker, q.Current)+", "+d.show(c.Fuse,
			q.Current), breakerRule(c, d.Model.Control), "from "+d.show(amps, q.Current), src,
			starting)
	}
	if c.Fits {
		d.add(working.SupplyConductor, "Conductor, copper, and the earth with it", c.Wire.Name, wireRule, wirePut, src,
			starting)
	}
	if s.Wire.Area > 0 && s.Cable > 0 {
		amps = d.InputAmps() // what it truly draws
		drop := s.Wire.Drop(amps, s.Cable, s.Three)
		root := "2"
		if s.Three {
			root = "√3"
		}
		d.add(working.SupplyDrop, "Lost in the cable at full load", d.show(drop,
			q.Voltage)+", "+q.Percent(drop/s.Volts), root+"·I·ρ·L / A, ρ warm",
			root+" × "+d.show(amps, q.Current)+" × "+q.Run(s.Cable, d.sys)+" of "+s.Wire.Name+", "+
				d.show(s.Wire.Resistance(s.Cable), q.Resistance)+" one way",
			source.Resistivity)
	}
	if d.Powered.FixedSpeed() && !s.Battery {
		d.add(working.SupplyInrush, "At the moment of starting", d.show(d.Powered.StallAmps(), q.Current),
			"about 6·I_plate", "6 × "+d.show(d.Motor.Amps.Value, q.Current), source.Inrush,
			"For a second or so; a slow breaker bears it")
	}
	if d.Motor.Kind.Family() == motor.DCFamily && d.Model.Control.DCDrive() {
		d.add(working.SupplyArmatureFuse, "Fuse in the armature lead",
			d.show(supply.ArmatureFuse(s.Code, d.Motor.Amps.Value), q.Current), "≥ 1.25·I_plate",
			"1.25 × "+d.show(d.Motor.Amps.Value, q.Current), source.FuseArmature,
			"Direct-current rated")
	}
	if d.Model.Control.Converts() {
		d.box()
	}
}

func breakerRule(c supply.Circuit, drive control.Resolved) string {
	switch {
	case c.Code == supply.NEC && drive.Adjusts():
		return "next above 1.25·I for a drive"
	case c.Code == supply.NEC:
		return "≤ 2.5·I breaker, ≤ 1.75·I fuse, next size up"
	}
	return "next above 1.1·I, fuse 1.25·I"
}

// box is the heat a drive leaves in its box, and what takes it away.
func (d *derivations) box() {
	watts := d.InputWatts() * (1 - d.DriveEfficiency())
	d.add(working.SupplyBox, "Heat in the drive's box", q.Watts(watts), "P = P_in·(1 − η_drive)",
		d.show(d.InputWatts(), q.Power)+" × "+q.Percent(1-d.DriveEfficiency()), source.InputAmps)
	area, flow := supply.BoxArea(watts), supply.FanFlow(watts)
	d.add(working.SupplyBoxSize, "Closed steel box, or a fan", supply.AreaText(area, d.sys)+", or "+
		supply.FlowText(flow, d.sys), "A = P / (5.5·ΔT), or Q = P / (1200·ΔT)",
		fmt.Sprintf("%s at %s over the room", q.Watts(watts), q.Show(supply.BoxRise, q.Rise, d.sys)), source.BoxCooling,
		"Sides that face free air; no vents where chips or dust fly")
}

// otherControls derives what the other ways of control do.
func (d *derivations) otherControls() {
	if d.Model.Control.Kind != control.SeriesResistor || d.Model.Control.Ohms == 0 {
		return
	}
	light, full := d.ResistorSpeeds()
	d.add(working.ControlCollapse, "Speed, lightly loaded and at rated torque", q.SpeedRange(full, light, d.sys),
		"T = K_e·(V − K_e·ω) / (R + R_series) − T_loss",
		d.show(d.Feed.Volts, q.Voltage)+" out, "+d.show(d.Model.Control.Ohms, q.Resistance)+" in series",
		source.DCMachine)
	d.add(working.ControlWaste, "Heat in the resistor at rated amps", d.show(d.ResistorHeat(), q.Power), "P = I²·R",
		d.show(d.Motor.Amps.Value, q.Current)+", "+d.show(d.Model.Control.Ohms, q.Resistance),
		source.Mechanics)
}
