package verdict

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/words"
	"jiriki/core/working"
)

// How much of the volts may be lost in the cable [IEC 60364-5-52 annex G and NEC 210.19, from memory],
// and at the start of a motor on the line [common practice].
const (
	mostDrop      = 0.05
	mostStartDrop = 0.15
)

// ownCircuit reports whether breaker and wire are no more and no less than the NEC's starting values for a motor's own
// circuit, whose breaker may pass more than its wire carries for ever [NEC 430.52, 240.4(G), from memory].
func (v *verdict) ownCircuit() bool {
	if v.Supply.Code != supply.NEC || !v.Runs || v.Supply.Battery {
		return false
	}
	c := v.Circuit()
	return c.Fits && v.Supply.Breaker <= c.Breaker && v.Supply.Wire.Area >= 0.97*c.Wire.Area
}

// circuitFindings weigh the cable against the breaker before it, and its drop against the volts.
func (v *verdict) circuitFindings() {
	s := v.Supply
	if s.Wire.Area == 0 {
		return
	}
	if s.Offered {
		v.add(f.SupplyWireTaken, f.Caution, "supply.wire", "Conductor taken on offer",
			s.Wire.Name+" is what the breaker asks for. Before the first power-up read the size off the cable's "+
				"sheath; "+
				"one that is thinner burns before the breaker opens.")
	}
	carries := s.Wire.Carries(s.Code, s.Three)
	if carries == 0 {
		v.add(f.SupplyCable, f.Stop, "supply.wire", "Cable too thin for any circuit",
			s.Wire.Name+" is thinner than the thinnest that is laid for power. A licensed electrician fits what the "+
				"breaker asks for.").Working = working.SupplyConductor
	} else if s.Breaker > carries && v.ownCircuit() {
		v.add(f.SupplyCable, f.Caution, "supply.wire", "Only on a circuit of its own",
			fmt.Sprintf("%s carries %s and the breaker lets %s through. A motor's own circuit may be so (NEC "+
				"240.4(G)), as its overload guards the wire; one with sockets on it never. A licensed electrician "+
				"decides.",
				s.Wire.Name, v.show(carries, q.Current),
				v.show(s.Breaker, q.Current))).Working = working.SupplyConductor
	} else if s.Breaker > carries {
		v.add(f.SupplyCable, f.Stop, "supply.wire", "The breaker does not protect this cable",
			fmt.Sprintf("%s carries %s, the breaker lets %s through: the cable burns first. A smaller breaker, or a "+
				"thicker cable; a licensed electrician fits either.", s.Wire.Name, v.show(carries, q.Current),
				v.show(s.Breaker, q.Current))).Working = working.SupplyConductor
	}
	if s.Cable == 0 {
		return
	}
	amps := v.InputAmps()
	share := s.Wire.Drop(amps, s.Cable, s.Three) / s.Volts
	start := 0.0
	if v.Powered.FixedSpeed() {
		start = s.Wire.Drop(v.Powered.StallAmps(), s.Cable, s.Three) / s.Volts
	}
	switch {
	case share > mostDrop:
		v.add(f.SupplyDrop, f.Caution, "supply.cable", "The cable loses "+q.Percent(share)+" of the volts",
			fmt.Sprintf("%s over %s of %s at full load. Over %s a motor is noticeably weaker: a thicker or shorter "+
				"cable.", v.show(share*s.Volts, q.Voltage), q.Run(s.Cable, v.sys), s.Wire.Name,
				q.Percent(mostDrop))).Working = working.SupplyDrop
	case start > mostStartDrop:
		v.add(f.SupplyDrop, f.Caution, "supply.cable", "Volts sag by "+q.Percent(start)+" at the start",
			fmt.Sprintf("Starting torque falls with the square, to %s of what it was. A thicker or shorter cable.",
				q.Percent((1-start)*(1-start)))).Working = working.SupplyDrop
	default:
		v.add(f.SupplyDropGood, f.Good, "supply.cable", "Cable loses little",
			fmt.Sprintf("%s of the volts at full load over %s of %s.", q.Percent(share), q.Run(s.Cable, v.sys),
				s.Wire.Name)).Working = working.SupplyDrop
	}
}

func (v *verdict) supplyFindings() {
	s := v.Supply
	if s.Volts == 0 {
		return
	}
	if v.Lethal() && !s.Earthed {
		v.add(f.SupplyEarth, f.Stop, "supply.earthed", "Frame not earthed",
			"Earth the machine's frame, the motor and the drive box before power goes near it. Local code and a "+
				"licensed electrician decide how.")
	}
	v.leakageFinding()
	if s.Extension {
		v.add(f.SupplyExtension, f.Caution, "supply.extension", "Fed through an extension lead",
			"Unreel it whole, keep it short, thick and dry, and put its length and conductor in as the cable: a motor "+
				"that starves starts slowly and burns. Local code and a licensed electrician decide whether it may "+
				"stay.")
	}
	if s.Battery {
		v.batteryFinding()
	}
	if !v.Runs {
		return
	}
	amps := v.InputAmps()
	if sagged := s.Sagged(v.Motor.Amps.Value); s.Battery && sagged < 0.9*s.Volts {
		v.add(f.SupplySag, f.Caution, "supply.inside", "The battery sags under load",
			fmt.Sprintf("%s left of %s at the motor's rated amps, so it is slower then. Shorter, thicker leads, or a "+
				"larger battery.", v.show(sagged, q.Voltage), v.show(s.Volts, q.Voltage))).Working = working.SupplySag
	}
	switch {
	case s.Breaker == 0:
	case amps > s.Breaker:
		field, way := "supply.name", "use another circuit, or less motor"
		if v.Control.DCDrive() || v.Control.SetsHertz() {
			field, way = "control.limitAmps", "lower the current limit, use another circuit, or less motor"
		}
		v.add(f.SupplyOverload, f.Stop, field, "Draws more than the breaker carries",
			fmt.Sprintf("%s at full load on %s breaker. Never fit a larger one to the same wire: %s. Local code "+
				"and a "+
				"licensed electrician decide.", v.show(amps, q.Current), words.A(v.show(s.Breaker, q.Current)),
				way)).Working = working.SupplyInput
	case amps > 0.8*s.Breaker:
		v.add(f.SupplyNearBreaker, f.Caution, "supply.breaker", "Close to what the breaker carries",
			fmt.Sprintf("%s at full load on %s. It may trip after a while.", v.show(amps, q.Current),
				v.show(s.Breaker, q.Current))).Working = working.SupplyInput
	default:
		v.add(f.SupplyBreakerGood, f.Good, "supply.breaker", "Breaker has room",
			fmt.Sprintf("Draws %s at full load, breaker %s.", v.show(amps, q.Current),
				v.show(s.Breaker, q.Current))).Working = working.SupplyInput
	}
	v.circuitFindings()
	if inrush := v.Powered.StallAmps(); v.Powered.FixedSpeed() && s.Breaker > 0 && inrush > 3*s.Breaker {
		v.add(f.SupplyInrush, f.Caution, "supply.breaker", "May trip at the start",
			fmt.Sprintf("Switched straight on it draws about %s for a moment. A slow (C or D type, time-delay) "+
				"breaker of the same rating is meant for motors; a licensed electrician fits it.",
				v.show(inrush, q.Current))).Working = working.SupplyInrush
	}
}

// seesLeaks reports whether the residual-current device ahead can see what leaks, and says why it may not: one of type
// AC is blinded by direct current, and of a drive on three phases only type B sees all [IEC 60755, from memory].
func (v *verdict) seesLeaks() (sees bool, why string) {
	if !v.Control.Converts() || !v.Lethal() || v.Supply.Battery {
		return true, ""
	}
	switch r, three := v.Supply.Residual, v.Supply.Three; {
	case r == "ac" && !three:
		return false, "What a drive leaks is not a clean wave: a device of type AC may not see it, and then not trip " +
			"for anybody else on it either. Type A or F is for drives on one phase. A licensed electrician fits it."
	case (r == "ac" || r == "a") && three:
		return false, "A drive on three phases can leak plain direct current, which only a device of type B sees. A " +
			"licensed electrician fits it."
	case r == "unknown":
		return false, "Read the letters or the little wave on it: with a drive behind it type AC may not trip. " +
			"Drives " +
			"leak a little by nature, so two on one device may trip it."
	}
	return true, ""
}

// leakageFinding cautions against a device that a drive can blind; where it is wet that is a stop.
func (v *verdict) leakageFinding() {
	sees, why := v.seesLeaks()
	if sees || v.Machine.Place.Wet == "yes" {
		return
	}
	title := "Its residual-current device can be blinded"
	if v.Supply.Residual == "unknown" {
		title = "Which type is the residual-current device?"
	}
	v.add(f.SupplyResidual, f.Caution, "supply.residual", title, why)
}

// batteryFinding is what a battery can do by itself.
func (v *verdict) batteryFinding() {
	detail := "Cover its terminals and take rings and watch off: a spanner across them welds. Charge it where there " +
		"is air, with its own charger, and nothing that sparks near: it gives off gas that burns."
	if v.Supply.Lithium {
		detail = "Cover its terminals and take rings and watch off: a spanner across them welds. Charge it with its " +
			"own charger and guard circuit, above freezing, outside where you sleep, and never once it is dented or " +
			"swollen."
	}
	v.add(f.SupplyBattery, f.Caution, "supply.cells", "A battery is never switched off", detail).Always = true
}

func (v *verdict) lineVoltsFindings(share float64) {
	m, hertz := v.Motor, v.Supply.Hertz
	if v.Supply.Battery {
		return
	}
	if math.Abs(share-1) > 0.1 {
		level := f.Caution
		if math.Abs(share-1) > 0.25 {
			level = f.Stop
		}
		v.add(f.SupplyLineVolts, level, "supply.volts", "Plate volts and socket volts differ",
			fmt.Sprintf("%s at the socket, %s on the plate. Torque goes with the square; too much burns, too little "+
				"stalls. Local code and a licensed electrician decide what may be changed at the socket.",
				v.show(v.Supply.Volts, q.Voltage), v.show(m.Volts.Value, q.Voltage)))
	}
	if m.Kind.Family() != motor.InductionFamily {
		return
	}
	if turns := hertz / m.Hertz.Value; math.Abs(turns-1) > 0.05 {
		detail := fmt.Sprintf("A %s plate on %s turns %s as fast: about %s for its %s.",
			v.show(m.Hertz.Value, q.Frequency), v.show(hertz, q.Frequency), q.Percent(turns),
			v.show(turns*m.Speed.Value, q.Speed), v.show(m.Speed.Value, q.Speed))
		if turns < 1 {
			detail += fmt.Sprintf(" It also wants its volts lower by as much, %s in place of %s, or it runs hot.",
				v.show(turns*m.Volts.Value, q.Voltage), v.show(m.Volts.Value, q.Voltage))
		}
		v.add(f.SupplyLineHertz, f.Caution, "supply.hertz", "Plate hertz and supply hertz differ", detail)
	}
}
