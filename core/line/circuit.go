package line

import (
	"fmt"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/supply"
)

// How much of the volts may be lost in the cable [IEC 60364-5-52 annex G and NEC 210.19, from memory],
// and at the start of a motor on the line [common practice].
const (
	mostDrop      = 0.05
	mostStartDrop = 0.15
)

// circuit is what the plan's input amps ask of conductor, fuse and breaker.
func (t *train) circuit() supply.Circuit {
	return supply.On(t.Supply.Code, t.inputAmps(), t.Supply.Breaker, t.Motor.Amps.Value, t.Control.Adjusts())
}

// circuitFindings weigh the cable against the breaker before it, and its drop against the volts.
func (v *verdict) circuitFindings() {
	s := v.Supply
	if s.Wire.Area == 0 {
		return
	}
	carries := s.Wire.Carries(s.Code)
	if carries == 0 {
		v.add(f.Supply, "cable", f.Stop, "supply.wire", "Cable too thin for any circuit",
			s.Wire.Name+" is thinner than the thinnest that is laid for power. A licensed electrician fits what the breaker asks for.")
	} else if s.Breaker > carries {
		v.add(f.Supply, "cable", f.Stop, "supply.wire", "The breaker does not protect this cable",
			fmt.Sprintf("%s carries %s, the breaker lets %s through: the cable burns first. A smaller breaker, or a thicker cable; a licensed electrician fits either.", s.Wire.Name, v.show(carries, q.Current), v.show(s.Breaker, q.Current)))
	}
	if s.Cable == 0 {
		return
	}
	amps := v.inputAmps()
	share := s.Wire.Drop(amps, s.Cable, s.Three) / s.Volts
	start := 0.0
	if v.model.FixedSpeed() {
		start = s.Wire.Drop(v.model.StallAmps(), s.Cable, s.Three) / s.Volts
	}
	switch {
	case share > mostDrop:
		v.add(f.Supply, "drop", f.Caution, "supply.cable", "The cable loses "+q.Percent(share)+" of the volts",
			fmt.Sprintf("%s over %s of %s at full load. Over %s a motor is noticeably weaker: a thicker or shorter cable.", v.show(share*s.Volts, q.Voltage), length(s.Cable, v.sys), s.Wire.Name, q.Percent(mostDrop)))
	case start > mostStartDrop:
		v.add(f.Supply, "drop", f.Caution, "supply.cable", "Volts sag by "+q.Percent(start)+" at the start",
			fmt.Sprintf("Starting torque falls with the square, to %s of what it was. A thicker or shorter cable.", q.Percent((1-start)*(1-start))))
	default:
		v.add(f.Supply, "drop-good", f.Good, "supply.cable", "Cable loses little", fmt.Sprintf("%s of the volts at full load over %s of %s.", q.Percent(share), length(s.Cable, v.sys), s.Wire.Name))
	}
}

// length shows a run of cable in metres or feet.
func length(m float64, sys q.System) string {
	if sys == q.Inch {
		return q.Figures(m/0.3048, 3) + q.ThinSpace + "ft"
	}
	return q.Figures(m, 3) + q.ThinSpace + "m"
}

// circuit derives conductor, protection, drop and the heat in the box.
func (d *derivations) circuit() {
	s, c := d.train.Supply, d.train.circuit()
	amps := d.inputAmps()
	src, wireRule, wirePut := circuitSource(c.Code), "I_load ≤ I_breaker ≤ I_cable", fmt.Sprintf("%s; cable for %s", d.show(amps, q.Current), d.show(c.WireFor, q.Current))
	if c.Code == supply.NEC {
		wireRule, wirePut = "I_cable ≥ 1.25·I", fmt.Sprintf("1.25 × %s is %s", d.show(amps, q.Current), d.show(c.WireFor, q.Current))
	}
	starting := "Starting value: local code and a licensed electrician decide"
	if !s.Battery {
		d.add("supply.breaker", "supply", "Breaker, or time-delay fuse", d.show(c.Breaker, q.Current)+", "+d.show(c.Fuse, q.Current), breakerRule(c, d.train.Control), fmt.Sprintf("from %s", d.show(amps, q.Current)), src, starting)
	}
	if c.Fits {
		d.add("supply.conductor", "supply", "Conductor, copper, and the earth with it", c.Wire.Name, wireRule, wirePut, src, starting)
	}
	if s.Wire.Area > 0 && s.Cable > 0 {
		drop := s.Wire.Drop(amps, s.Cable, s.Three)
		root := "2"
		if s.Three {
			root = "√3"
		}
		d.add("supply.drop", "supply", "Lost in the cable at full load", d.show(drop, q.Voltage)+", "+q.Percent(drop/s.Volts), root+"·I·ρ·L / A, ρ warm",
			fmt.Sprintf("%s × %s × %s of %s, %s one way", root, d.show(amps, q.Current), length(s.Cable, d.sys), s.Wire.Name, d.show(s.Wire.Resistance(s.Cable), q.Resistance)), source.Resistivity)
	}
	if d.model.FixedSpeed() && !s.Battery {
		d.add("supply.inrush", "supply", "At the moment of starting", d.show(d.model.StallAmps(), q.Current), "about 6·I_plate", fmt.Sprintf("6 × %s", d.show(d.Motor.Amps.Value, q.Current)), source.Inrush, "For a second or so; a slow breaker bears it")
	}
	if d.Motor.Kind.Family() == motor.DCFamily && d.train.Control.DCDrive() {
		d.add("supply.armature-fuse", "supply", "Fuse in the armature lead", d.show(supply.ArmatureFuse(s.Code, d.Motor.Amps.Value), q.Current), "≥ 1.25·I_plate", fmt.Sprintf("1.25 × %s", d.show(d.Motor.Amps.Value, q.Current)), source.FuseArmature, "Direct-current rated")
	}
	if d.train.Control.Converts() {
		d.box()
	}
}

func circuitSource(code supply.Code) source.ID {
	if code == supply.NEC {
		return source.NECCircuit
	}
	return source.IECCircuit
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
	watts := d.inputWatts() * (1 - d.keepsInDrive())
	d.add("supply.box", "supply", "Heat in the drive's box", d.show(watts, q.Power), "P = P_in·(1 − η_drive)",
		fmt.Sprintf("%s × %s", d.show(d.inputWatts(), q.Power), q.Percent(1-d.keepsInDrive())), source.InputAmps)
	area, flow := supply.BoxArea(watts), supply.FanFlow(watts)
	d.add("supply.box-size", "supply", "Closed steel box, or a fan", fmt.Sprintf("%s\u202fm², or %s\u202fm³/h", q.Figures(area, 2), q.Figures(flow*3600, 2)), "A = P / (5.5·ΔT), or Q = P / (1200·ΔT)",
		fmt.Sprintf("%s at %g K over the room", d.show(watts, q.Power), supply.BoxRise), source.BoxCooling, "Sides that face free air; no vents where chips or dust fly")
}
