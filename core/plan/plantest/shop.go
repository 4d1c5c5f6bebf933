package plantest

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// straight is a spindle coupled to the motor's shaft, end to end.
func straight() []reduction.DescribedStage {
	return []reduction.DescribedStage{{Kind: reduction.Direct, Guarded: true,
		OnDriving: reduction.DescribedFit{Held: "key"}}}
}

// chained is one chain, guarded.
func chained(driver, driven q.Text) []reduction.DescribedStage {
	return []reduction.DescribedStage{{Kind: reduction.Chain, Pitch: "12.7 mm", Centre: "380 mm", Guarded: true,
		Steps:     []reduction.DescribedStep{{Driver: driver, Driven: driven}},
		OnDriving: keyed(), OnDriven: keyed()}}
}

func keyed() reduction.DescribedFit { return reduction.DescribedFit{Held: "key"} }

// wired is a supply with another conductor.
func wired(s supply.Described, breaker q.Text, wire string) supply.Described {
	s.Breaker, s.Wire = breaker, wire
	return s
}

// protected is a motor whose plate says how its protector resets.
func protected(m motor.Described, how string) motor.Described {
	m.Plate.Protector = how
	return m
}

// dry is a machine whose place was looked at, and is neither wet nor dusty.
func dry(m work.Machine) work.Machine {
	m.Place.Wet, m.Place.Dust = "no", "no"
	return m
}

// soundShop are machines as shops have them, each with all its kind needs: none may be stopped, or asked about.
func soundShop() []Named {
	out := shopOnDrives()
	out = append(out, shopOnHertz()...)
	out = append(out, shopOnSwitches()...)
	out = append(out, shopOnBatteries()...)
	return append(out, shopReported()...)
}

// shopOnDrives are direct-current, series and brushless motors.
func shopOnDrives() []Named {
	tread := plated(motor.PermanentMagnetDC, "1.25 hp", "3900 rpm", "130 V", "9.6 A", "")
	tread.Plate.Cooling = "closed"
	spindle := plated(motor.PermanentMagnetDC, "0.37 kW", "2800 rpm", "180 V", "2.9 A", "")
	field := plated(motor.WoundDC, "0.55 kW", "1450 rpm", "180 V", "4.1 A", "")
	sewing := plated(motor.Brushless, "550 W", "4500 rpm", "230 V", "3.4 A", "")
	hand := plated(motor.Universal, "750 W", "11000 rpm", "230 V", "5.1 A", "50 Hz")
	hand.Gearbox = motor.Gearbox{Sort: "spur", Ratio: "9.5", Limit: "16 N·m"}
	lift := plated(motor.PermanentMagnetDC, "0.25 kW", "1500 rpm", "180 V", "2 A", "")
	lift.Gearbox = motor.Gearbox{Sort: "worm", Ratio: "40", Efficiency: "60 %", Limit: "70 N·m"}
	hung := machine("other", "10", "36", "all", "15 N·m")
	hung.Limits.Hangs, hung.Limits.Held = true, true
	braked := drive(control.Chopper, "180 V", "8 A", "5.5 A")
	braked.BrakeOhms = "60 Ω"
	tacho := drive(control.PhaseAngle, "180 V", "6 A", "5 A")
	tacho.Feedback = "tacho"
	halls := drive(control.BrushlessDrive, "230 V", "6 A", "5 A")
	halls.Feedback = "tacho"
	regulated := drive(control.PhaseAngle, "230 V", "8 A", "7 A")
	regulated.Feedback = "tacho"
	return []Named{
		of("treadmill motor on a wood lathe", dry(limited(machine("lathe", "400", "1400", "all", "1 N·m"), "2600 rpm")),
			socket120(), func() control.Described {
				c := drive(control.Chopper, "130 V", "12 A", "10 A")
				c.TopTrim = "80 %"
				return c
			}(), tread, belted("80 mm", "150 mm")),
		of("small mill, its spindle by a V belt", dry(limited(machine("mill", "300", "1400", "all", "1 N·m"),
			"2200 rpm")), socket230(), tacho, spindle, belted("75 mm", "150 mm")),
		of("wound field on a shaper by chain", dry(limited(machine("shaper", "60", "110", "any", "20 N·m"), "200 rpm")),
			socket230(), drive(control.PhaseAngle, "180 V", "8 A", "6 A"), field,
			append(belted("75 mm", "300 mm"), chained("15", "45")...)),
		of("sewing machine's servo on a drill", dry(limited(machine("drill", "200", "1100", "all", "0.8 N·m"),
			"2000 rpm")), socket230(), halls, sewing, belted("75 mm", "200 mm")),
		of("series motor and its gears on a conveyor", dry(limited(machine("conveyor", "150", "380", "any",
			"4 N·m"), "2500 rpm")),
			socket230(), regulated, hand, belted("80 mm", "200 mm")),
		of("winch with a brake besides its worm", dry(hung), socket230(), drive(control.PhaseAngle, "180 V", "5 A",
			"3 A"), lift, straight()),
		of("extractor that is braked by a resistor", dry(limited(machine("extractor", "80", "300", "all", "2 N·m"),
			"900 rpm")), socket230(), braked, spindle, belted("75 mm", "375 mm")),
		of("potter's wheel, half a horse, where nobody restarts it but its potter", func() work.Machine {
			m := limited(machine("potters-wheel", "40", "160", "all", "2 N·m"), "500 rpm")
			m.Place.Wet = "no"
			return m
		}(), socket230(), tacho, spindle, append(belted("75 mm", "225 mm"), belted("80 mm", "240 mm")...)),
	}
}

// shopOnHertz are motors on inverters.
func shopOnHertz() []Named {
	pump := plated(motor.ThreePhase, "0.55 kW", "1390 rpm", "230/400 V", "2.6/1.5 A", "50 Hz")
	lathe := plated(motor.ThreePhase, "1.5 kW", "1420 rpm", "230/400 V", "5.9/3.4 A", "50 Hz")
	american := plated(motor.ThreePhase, "2 hp", "1745 rpm", "230/460 V", "5.8/2.9 A", "60 Hz")
	six := plated(motor.ThreePhase, "0.75 kW", "930 rpm", "230 V", "3.7 A", "50 Hz")
	closed := six
	closed.Plate.Enclosure = "IP 55"
	on := func(amps, limit, top q.Text) control.Described {
		c := drive(control.Inverter, "230 V", amps, limit)
		c.TopHertz = top
		return c
	}
	three := drive(control.Inverter, "400 V", "4 A", "4 A")
	three.Fed, three.TopHertz = "3", "50 Hz"
	linked := drive(control.Inverter, "400 V", "8 A", "8 A")
	linked.Fed, linked.TopHertz, linked.BaseHertz = "3", "70 Hz", "87 Hz"
	starred := lathe
	starred.Plate.Links = "high"
	wet := dry(machine("crusher", "200", "480", "all", "6 N·m"))
	wet.Place.Wet = "yes"
	fan := marked(dry(machine("fan", "500", "900", "all", "2 N·m")), "1500 rpm")
	fan.Limits.Covered = true
	saw := dry(limited(machine("bandsaw", "350", "700", "all", "2 N·m"), "900 rpm"))
	saw.Limits.Diameter, saw.Limits.Rim = "400 mm", "cast"
	quick := on("8 A", "8 A", "50 Hz")
	quick.BrakeOhms = "100 Ω"
	locked := dry(limited(machine("lathe", "150", "800", "all", "5 N·m"), "1500 rpm"))
	locked.Limits.HeldBy = "fast"
	return []Named{
		of("lathe, 1.5 kW, on an inverter", dry(limited(machine("lathe", "150", "800", "all", "5 N·m"), "1500 rpm")),
			socket230(), on("8 A", "8 A", "50 Hz"), lathe, belted("90 mm", "150 mm")),
		of("the same braked by a resistor", locked, socket230(), quick, lathe, belted("90 mm", "150 mm")),
		of("the same on three phases", dry(limited(machine("lathe", "150", "800", "all", "5 N·m"), "1500 rpm")),
			threePhases("400 V", "50 Hz"), three, starred, belted("90 mm", "150 mm")),
		of("the same linked for 230 V, 400 V at 87 Hz", dry(limited(machine("lathe", "150", "800", "all", "5 N·m"),
			"1500 rpm")), threePhases("400 V", "50 Hz"), linked, lathe, belted("75 mm", "150 mm")),
		of("mill, 2 hp, from 240 V", dry(limited(machine("mill", "250", "1000", "all", "4 N·m"), "2000 rpm")),
			socket240(), on("7.5 A", "7 A", "60 Hz"), american, belted("90 mm", "150 mm")),
		of("fruit mill out in the yard, closed and watched", wet, socket230(), on("5 A", "5 A", "50 Hz"), closed,
			belted("100 mm", "180 mm")),
		of("slow fan behind its grid", fan, socket230(), on("5 A", "5 A", "50 Hz"), six, belted("100 mm", "100 mm")),
		of("wood bandsaw of six poles", saw, socket230(), on("5 A", "5 A", "50 Hz"), six, belted("100 mm", "130 mm")),
		of("pump's motor on a mixer's chain", dry(machine("mixer", "40", "110", "any", "15 N·m")), socket230(),
			on("4 A", "3.5 A", "50 Hz"), pump, append(belted("75 mm", "225 mm"), chained("15", "60")...)),
		of("belt grinder with a limit of its own", dry(func() work.Machine {
			m := limited(machine("belt-sander", "900", "1400", "all", "2 N·m"), "3200 rpm")
			m.Limits.Diameter = "150 mm"
			return m
		}()), socket230(), on("8 A", "8 A", "50 Hz"), lathe, belted("100 mm", "100 mm")),
	}
}

// shopOnSwitches are motors straight on the line.
func shopOnSwitches() []Named {
	compressor := protected(plated(motor.CapacitorStart, "0.75 kW", "1430 rpm", "230 V", "5.4 A", "50 Hz"), "by-hand")
	saw := protected(plated(motor.CapacitorRun, "1.1 kW", "2850 rpm", "230 V", "7.1 A", "50 Hz"), "none")
	saw.Plate.Capacitor, saw.Plate.CapacitorVolts = "25 µF", "400 V"
	grinder := protected(plated(motor.SplitPhase, "1/3 hp", "1725 rpm", "115 V", "5.8 A", "60 Hz"), "none")
	garage := protected(plated(motor.PermanentSplit, "180 W", "1350 rpm", "230 V", "1.3 A", "50 Hz"), "none")
	garage.Plate.Capacitor, garage.Plate.CapacitorVolts = "6 µF", "400 V"
	mains := protected(plated(motor.ThreePhase, "1.1 kW", "1425 rpm", "230/400 V", "4.6/2.6 A", "50 Hz"), "none")
	mains.Plate.Links = "high"
	washer := protected(plated(motor.TwoSpeed, "0.3 kW", "1420 rpm", "230 V", "2.4 A", "50 Hz"), "none")
	shaded := plated(motor.ShadedPole, "30 W", "1320 rpm", "230 V", "0.6 A", "50 Hz")
	blower := fanOf("900", "1400", "0.4 N·m")
	cone := belted("70 mm", "170 mm")
	cone[0].Steps = append(cone[0].Steps, reduction.DescribedStep{Driver: "100 mm", Driven: "145.6 mm"})
	wheel := marked(dry(machine("grinder", "1500", "1800", "any", "0.4 N·m")), "3450 rpm")
	wheel.Limits.Covered = true
	fused := socket("230 V", "50 Hz", "13 A")
	fused.Wire = "1.25 mm²"
	return []Named{
		of("drill on its own two-step cone", dry(limited(machine("drill", "500", "1100", "any", "1.2 N·m"),
			"3000 rpm")), socket230(), contacts(control.Contactor), compressor, cone),
		of("hacksaw by belt and chain", dry(limited(machine("hacksaw", "70", "115", "any", "12 N·m"), "160 rpm")),
			socket230(), contacts(control.Contactor), compressor, append(belted("75 mm", "300 mm"), chained("17",
				"60")...)),
		of("conveyor on a fused lead of 1.25 mm²", dry(machine("conveyor", "200", "420", "any", "1.5 N·m")), fused,
			contacts(control.Contactor), washer, belted("75 mm", "300 mm")),
		of("run capacitor marked 400 V", dry(machine("conveyor", "700", "1200", "any", "6 N·m")), socket230(),
			contacts(control.Contactor), saw, belted("90 mm", "270 mm")),
		of("garage door's motor on a drum", dry(machine("extractor", "150", "320", "any", "1 N·m")), socket230(),
			contacts(control.Contactor), garage, belted("75 mm", "375 mm")),
		of("grinder with its own wheel", wheel, socket120(), contacts(control.Contactor), grinder,
			belted("80 mm", "80 mm")),
		of("shop crusher on 400 V", dry(machine("crusher", "300", "600", "any", "8 N·m")), threePhases("400 V",
			"50 Hz"), contacts(control.Contactor), mains, belted("100 mm", "280 mm")),
		of("fan on the shaft it came on", dry(blower), socket230(), contacts(control.Contactor),
			protected(plated(motor.PermanentSplit, "90 W", "1340 rpm", "230 V", "0.7 A", "50 Hz"), "self-reset"),
			straight()),
		of("little fan on its own shaft", dry(fanOf("1000", "1490", "0.03 N·m")), socket230(),
			contacts(control.Contactor), shaded, straight()),
	}
}

// shopOnBatteries are motors away from the mains, and steppers.
func shopOnBatteries() []Named {
	wiper := plated(motor.PermanentMagnetDC, "90 W", "2600 rpm", "12 V", "11 A", "")
	mower := plated(motor.PermanentMagnetDC, "600 W", "3000 rpm", "36 V", "21 A", "")
	bicycle := plated(motor.Brushless, "350 W", "2400 rpm", "36 V", "12 A", "")
	axis := motor.Described{Kind: motor.Stepper, ThermalSwitch: "none", Plate: motor.Plate{HoldingTorque: "2.2 N·m",
		Amps: "2.8 A", Inductance: "2.6 mH", Steps: "200", Volts: "36 V"}}
	rated := contacts(control.Contactor)
	rated.DCRated = true
	halls := drive(control.BrushlessDrive, "36 V", "20 A", "16 A")
	halls.Feedback = "tacho"
	return []Named{
		of("wiper's motor straight on 12 V", dry(machine("conveyor", "300", "700", "any", "0.3 N·m")), battery("12 V"),
			contacts(control.Contactor), wiper, belted("75 mm", "300 mm")),
		of("mower's motor on a cart's 36 V, its contactor rated for them", dry(machine("conveyor", "300", "800", "any",
			"2 N·m")), battery("36 V"), rated, mower, belted("75 mm", "300 mm")),
		of("mower's motor on a PWM drive", dry(limited(machine("extractor", "100", "500", "all", "2 N·m"), "900 rpm")),
			battery("36 V"), drive(control.Chopper, "36 V", "40 A", "30 A"), mower, belted("75 mm", "300 mm")),
		of("bicycle's motor on a whetstone's drum", dry(limited(machine("extractor", "60", "240", "all", "3 N·m"),
			"1000 rpm")), battery("36 V"), halls, bicycle, chained("15", "60")),
		of("stepper on a table's screw", dry(limited(machine("indexer", "20", "200", "all", "0.3 N·m"), "4000 rpm")),
			socket230(), drive(control.StepperDriver, "36 V", "2.8 A", "2.8 A"), axis, straight()),
		of("stepper on a battery's 36 V", dry(limited(machine("conveyor", "20", "150", "all", "0.3 N·m"), "4000 rpm")),
			battery("36 V"), drive(control.StepperDriver, "36 V", "2.8 A", "2.8 A"), axis, straight()),
		of("coil winder on 24 V through a PWM drive", dry(machine("other", "60", "600", "all", "0.3 N·m")),
			battery("24 V"), drive(control.Chopper, "24 V", "10 A", "6 A"),
			plated(motor.PermanentMagnetDC, "80 W", "2100 rpm", "24 V", "4.4 A", ""), belted("75 mm", "225 mm")),
		of("bicycle's motor from the mains through a supply unit", dry(machine("potters-wheel", "40", "180", "all",
			"3 N·m")), socket230(), halls, bicycle, chained("12", "60")),
	}
}

// shopReported are plans that were once stopped though nothing was wrong with them, with all their kind needs.
func shopReported() []Named {
	drill := protected(plated(motor.PermanentSplit, "250 W", "1400 rpm", "230 V", "1.9 A", "50 Hz"), "none")
	drill.Plate.Capacitor, drill.Plate.CapacitorVolts = "8 µF", "400 V"
	winder := plated(motor.PermanentMagnetDC, "70 W", "2200 rpm", "24 V", "4.1 A", "")
	shaped := protected(plated(motor.ThreePhase, "1.1 kW", "1420 rpm", "230/400 V", "4.6/2.7 A", "50 Hz"), "none")
	shaped.Plate.Links = "high"
	ribbed := []reduction.DescribedStage{{Kind: reduction.PolyV, Section: "J", Centre: "300 mm", Guarded: true,
		Steps: []reduction.DescribedStep{{Driver: "60 mm", Driven: "120 mm"}}, OnDriving: keyed(), OnDriven: keyed()}}
	teeth := []reduction.DescribedStage{{Kind: reduction.Toothed, Pitch: "5 mm", Width: "15 mm", Centre: "160 mm",
		Guarded: true, Steps: []reduction.DescribedStep{{Driver: "16", Driven: "48"}},
		OnDriving: reduction.DescribedFit{Shaft: "8 mm", Held: "key", Hub: "20 mm", Out: "25 mm"}, OnDriven: keyed()}}
	bull := append(belted("100 mm", "280 mm"), reduction.DescribedStage{Kind: reduction.Spur, Pitch: "3 mm",
		Material: "steel",
		Width:    "40 mm", Guarded: true, Steps: []reduction.DescribedStep{{Driver: "18", Driven: "108"}},
		OnDriving: keyed(), OnDriven: reduction.DescribedFit{Shaft: "25 mm", Held: "pin", Out: "25 mm"}})
	return []Named{
		of("bench drill, its run capacitor marked 400 V", dry(limited(machine("drill", "600", "750", "any",
			"0.4 N·m"), "3000 rpm")), socket230(), contacts(control.Contactor), drill, ribbed),
		of("coil winder on a thin shaft", dry(machine("other", "60", "600", "all", "0.3 N·m")), battery("24 V"),
			drive(control.Chopper, "24 V", "10 A", "6 A"), winder, teeth),
		of("shaper that jams once in a while", dry(limited(machine("shaper", "60", "100", "any", "20 N·m"),
			"140 rpm")), threePhases("400 V", "50 Hz"), contacts(control.Contactor), shaped, bull),
		of("potter's wheel with an isolating transformer before its variable one", dry(limited(machine("potters-wheel",
			"60", "700", "any", "0.3 N·m"), "1400 rpm")), socket230(), func() control.Described {
			c := contacts(control.VariableTransformer)
			c.Amps, c.Volts, c.Isolated = "12 A", "24 V", true
			return c
		}(), winder, belted("75 mm", "225 mm")),
		of("universal motor on wood, closed against dust", func() work.Machine {
			m := limited(machine("mixer", "400", "1500", "any", "1 N·m"), "6000 rpm")
			m.Place.Wet, m.Place.Dust = "no", "yes"
			return m
		}(), socket230(), contacts(control.Contactor), func() motor.Described {
			m := plated(motor.Universal, "600 W", "9000 rpm", "230 V", "4.6 A", "50 Hz")
			m.Gearbox = motor.Gearbox{Sort: "planetary", Ratio: "12", Limit: "20 N·m"}
			m.Plate.Enclosure = "IP 54"
			return m
		}(), belted("90 mm", "108 mm")),
		of("lathe's old motor and cone replaced, no faster than it was", func() work.Machine {
			m := dry(machine("lathe", "250", "900", "all", "3 N·m"))
			m.Jobs[0].Load = work.Load{By: work.ByReplaced, Replaced: work.Replaced{Power: "0.25 kW",
				Speed: "1420 rpm", Positions: []work.ReplacedPair{{Driver: "60 mm", Driven: "180 mm"},
					{Driver: "120 mm", Driven: "120 mm"}}}}
			return m
		}(), socket230(), func() control.Described {
			c := drive(control.Inverter, "230 V", "8 A", "8 A")
			c.TopHertz = "50 Hz"
			return c
		}(), plated(motor.ThreePhase, "1.5 kW", "1420 rpm", "230/400 V", "5.9/3.4 A", "50 Hz"),
			belted("90 mm", "120 mm")),
	}
}

// fanOf is a fan behind its grid.
func fanOf(low, high, torque string) work.Machine {
	m := machine("fan", low, high, "any", torque)
	m.Limits.Covered, m.Jobs[0].Load.Shape = true, "square"
	return m
}
