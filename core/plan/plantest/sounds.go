package plantest

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// Named is a plan and what it is of.
type Named struct {
	What  string
	Input plan.Input
}

// Supplies that are as they should be.
func socket(volts, hertz, breaker q.Text) supply.Described {
	return supply.Described{Volts: volts, Hertz: hertz, Breaker: breaker, Earthed: true, Residual: "a",
		Wire: conductors[breaker]}
}

// conductors are for the breakers of these supplies, by either family of rules.
var conductors = map[q.Text]string{"13 A": "1.5 mm²", "16 A": "2.5 mm²", "20 A": "12 AWG", "25 A": "4 mm²"}

func socket230() supply.Described { return socket("230 V", "50 Hz", "16 A") }
func socket120() supply.Described { return socket("120 V", "60 Hz", "20 A") }
func socket240() supply.Described { return socket("240 V", "60 Hz", "20 A") }

func threePhases(volts, hertz q.Text) supply.Described {
	s := socket(volts, hertz, "16 A")
	s.Phases, s.Residual = "3", "b"
	return s
}

func battery(volts q.Text) supply.Described {
	return supply.Described{Phases: "dc", Volts: volts, Breaker: "50 A", Wire: "10 mm²", Inside: "15 mΩ"}
}

// Controls built as they should be.
func drive(kind control.Kind, volts, amps, limit q.Text) control.Described {
	return control.Described{Kind: kind, Volts: volts, Amps: amps, LimitAmps: limit, Fused: true, Enclosed: true,
		ZeroStart: true, NoVolt: true, Choke: kind == control.PhaseAngle}
}

func contacts(kind control.Kind) control.Described {
	return control.Described{Kind: kind, Fused: true, Enclosed: true, NoVolt: true}
}

func plated(kind motor.Kind, power, speed, volts, amps, hertz q.Text) motor.Described {
	m := motor.Described{Kind: kind, ThermalSwitch: "none", Plate: motor.Plate{Power: power, Speed: speed,
		Volts: volts, Amps: amps, Hertz: hertz}}
	if kind.Family() == motor.InductionFamily {
		m.Plate.Protector = "none"
	}
	return m
}

// belted is one V belt of section A, guarded.
func belted(driver, driven q.Text) []reduction.DescribedStage {
	return []reduction.DescribedStage{{Kind: reduction.VBelt, Section: "A", Centre: "420 mm", Guarded: true,
		Steps:     []reduction.DescribedStep{{Driver: driver, Driven: driven}},
		OnDriving: keyed(), OnDriven: keyed()}}
}

// machine has one job, which starts idle where a tool comes to it.
func machine(kind, low, high, cover, torque string) work.Machine {
	how := ""
	if work.FindKind(kind).Cutter {
		how = "idle"
	}
	m := work.Machine{Kind: kind, Name: work.FindKind(kind).Name, Jobs: []work.Job{{ID: "job", Name: "Its work",
		Speed: work.SpeedBand{
			From:  q.Text(low),
			To:    q.Text(high),
			Cover: cover,
		}, Load: work.Load{Torque: q.Text(torque)},
		Start: work.FromRest{How: how}}}}
	// What such a machine's answer hangs on besides.
	if work.FindKind(kind).Wets {
		m.Place.Wet = "no"
	}
	if work.FindKind(kind).Dusty {
		m.Place.Dust = "no"
	}
	if kind == "belt-sander" || kind == "bandsaw" {
		m.Limits.Diameter = "150 mm"
	}
	return m
}

func limited(m work.Machine, spindle q.Text) work.Machine {
	m.Limits.Spindle = spindle
	return m
}

func marked(m work.Machine, wheel q.Text) work.Machine {
	m.Limits.Marked = wheel
	return m
}

func of(what string, m work.Machine, s supply.Described, c control.Described, d motor.Described,
	stages []reduction.DescribedStage,
) Named {
	return Named{What: what, Input: plan.Input{Units: q.Metric, Machine: m, Plan: plan.Plan{Supply: s, Control: c,
		Motor: d, Reduction: reduction.Described{Stages: stages}}}}
}

// Sounds are plans nothing is wrong with, of every kind of motor and control, on every sort of supply: none
// may be stopped.
func Sounds() []Named {
	var out []Named
	out = append(out, soundDirect()...)
	out = append(out, soundInverted()...)
	out = append(out, soundSwitched()...)
	out = append(out, soundOthers()...)
	return append(out, soundShop()...)
}

// soundDirect are direct-current and series motors on drives, resistors and batteries.
func soundDirect() []Named {
	half := plated(motor.PermanentMagnetDC, "1/2 hp", "1750 rpm", "180 V", "2.8 A", "")
	ninety := plated(motor.PermanentMagnetDC, "1/3 hp", "1800 rpm", "90 V", "3.6 A", "")
	big := plated(motor.PermanentMagnetDC, "1.1 kW", "2400 rpm", "180 V", "7.6 A", "")
	wound := plated(motor.WoundDC, "0.75 kW", "1500 rpm", "180 V", "5.4 A", "")
	series := plated(motor.Universal, "600 W", "9000 rpm", "230 V", "4.6 A", "50 Hz")
	series.Gearbox = motor.Gearbox{Sort: "planetary", Ratio: "12", Limit: "20 N·m"}
	scooter := plated(motor.PermanentMagnetDC, "250 W", "2600 rpm", "24 V", "14 A", "")
	scooter.Plate.Cooling = "closed"
	winch := plated(motor.PermanentMagnetDC, "180 W", "2900 rpm", "12 V", "20 A", "")
	tacho := drive(control.PhaseAngle, "180 V", "5 A", "4.2 A")
	tacho.Feedback = "tacho"
	trimmed := drive(control.PhaseAngle, "180 V", "8 A", "5.4 A")
	trimmed.TopTrim = "50 %"
	wheeled := func(m work.Machine) work.Machine { m.Limits.Covered = true; return m }
	resistor := contacts(control.SeriesResistor)
	resistor.Ohms, resistor.Watts = "20 Ω", "300 W"
	transformer := contacts(control.VariableTransformer)
	transformer.Amps = "6 A"
	wet := limited(machine("potters-wheel", "60", "140", "all", "2 N·m"), "600 rpm")
	wet.Place.Wet = "yes"
	closed := half
	closed.Plate.Enclosure = "IP 55"
	hoist := machine("other", "60", "140", "all", "4 N·m")
	hoist.Limits.Hangs, hoist.Limits.Held = true, true
	chuck := limited(machine("lathe", "150", "600", "all", "2 N·m"), "1200 rpm")
	chuck.Limits.ScrewedOn = true
	commanded := drive(control.PhaseAngle, "180 V", "5 A", "4.2 A")
	commanded.Knob, commanded.Isolated = "0-10", true
	return []Named{
		of("potter's wheel, ½ hp at 180 V", limited(machine("potters-wheel", "60", "140", "all", "2 N·m"), "600 rpm"),
			socket230(), drive(control.PhaseAngle, "180 V", "5 A", "4.2 A"), half, belted("80 mm", "280 mm")),
		of("the same where it gets wet, closed and behind a residual-current device", wet, socket230(),
			drive(control.PhaseAngle, "180 V", "5 A", "4.2 A"), closed, belted("80 mm", "280 mm")),
		of(
			"lathe with its chuck screwed on, one way only",
			chuck,
			socket230(),
			tacho,
			half,
			belted("80 mm", "160 mm"),
		),
		of("lathe at 90 V on 120 V", limited(machine("lathe", "200", "700", "all", "1 N·m"), "1500 rpm"), socket120(),
			drive(control.PhaseAngle, "90 V", "6 A", "5.4 A"), ninety, belted("80 mm", "200 mm")),
		of("a motor for half the volts on a drive trimmed to half",
			limited(machine("lathe", "80", "340", "all", "1 N·m"), "1500 rpm"), socket230(), trimmed,
			ninety, belted("80 mm", "200 mm")),
		of("belt grinder, 1.1 kW on a PWM drive", machine("belt-sander", "900", "1800", "all", "2 N·m"), socket230(),
			drive(control.Chopper, "180 V", "12 A", "10 A"), big, belted("100 mm", "110 mm")),
		of(
			"bench mill on a PWM drive",
			limited(machine("mill", "300", "1500", "all", "1.5 N·m"), "2500 rpm"),
			socket240(),
			drive(control.Chopper, "180 V", "12 A", "10 A"),
			big,
			belted("90 mm", "140 mm"),
		),
		of("drill told by 0–10 V through an isolator", limited(machine("drill", "200", "900", "all", "1 N·m"),
			"3000 rpm"), socket230(), commanded, half, belted("90 mm", "140 mm")),
		of("wound field on a lathe", limited(machine("lathe", "150", "700", "all", "3 N·m"), "1500 rpm"), socket230(),
			drive(control.PhaseAngle, "180 V", "8 A", "8 A"), wound, belted("80 mm", "160 mm")),
		of(
			"wound field on a PWM drive",
			limited(machine("shaper", "40", "90", "any", "10 N·m"), "400 rpm"),
			socket240(),
			drive(control.Chopper, "180 V", "8 A", "7 A"),
			wound,
			belted("80 mm", "360 mm"),
		),
		of("½ hp on a series resistor", limited(machine("potters-wheel", "250", "280", "any", "1 N·m"), "1000 rpm"),
			socket230(), resistor, half, belted("80 mm", "280 mm")),
		of("½ hp on a variable transformer", limited(machine("mixer", "200", "400", "any", "2 N·m"), "1000 rpm"),
			socket230(), transformer, half, belted("80 mm", "280 mm")),
		of("series motor with a tachometer on a mixer", limited(machine("mixer", "600", "900", "any", "1 N·m"),
			"6000 rpm"), socket230(),
			func() control.Described {
				c := drive(control.PhaseAngle, "230 V", "8 A", "7 A")
				c.Feedback = "tacho"
				return c
			}(), series, belted("90 mm", "108 mm")),
		of(
			"hoist with a brake that holds",
			hoist,
			socket230(),
			drive(control.PhaseAngle, "180 V", "5 A", "4.2 A"),
			half,
			belted("70 mm", "350 mm"),
		),
		of("scooter motor on 24 V, a drum", machine("extractor", "100", "300", "all", "2 N·m"), battery("24 V"),
			drive(control.Chopper, "24 V", "30 A", "25 A"), scooter, belted("75 mm", "375 mm")),
		of(
			"scooter motor on 24 V, a sander",
			machine("belt-sander", "1200", "2000", "all", "0.5 N·m"),
			battery("24 V"),
			drive(control.Chopper, "24 V", "30 A", "25 A"),
			scooter,
			belted("80 mm", "80 mm"),
		),
		of("winch motor straight on 12 V", machine("conveyor", "300", "800", "any", "0.8 N·m"), battery("12 V"),
			contacts(control.Contactor), winch, belted("75 mm", "300 mm")),
		of("grinder at 90 V, wheel marked and covered", wheeled(marked(machine("grinder", "1200", "1700", "any",
			"0.4 N·m"), "2850 rpm")), socket120(), drive(control.Chopper, "90 V", "6 A", "5 A"), ninety,
			belted("80 mm", "80 mm")),
	}
}

// soundInverted are three-phase motors on inverters.
func soundInverted() []Named {
	conveyor := plated(motor.ThreePhase, "0.75 kW", "1400 rpm", "230 V", "3.3 A", "50 Hz")
	big := plated(motor.ThreePhase, "2.2 kW", "1430 rpm", "230/400 V", "8.4/4.9 A", "50 Hz")
	twoPoles := plated(motor.ThreePhase, "1.1 kW", "2840 rpm", "230/400 V", "4.3/2.5 A", "50 Hz")
	sixty := plated(motor.ThreePhase, "1 hp", "1740 rpm", "230/460 V", "3.2/1.6 A", "60 Hz")
	geared := plated(motor.ThreePhase, "0.37 kW", "1390 rpm", "230 V", "1.9 A", "50 Hz")
	geared.Gearbox = motor.Gearbox{Sort: "worm", Ratio: "20", Efficiency: "70 %", Limit: "60 N·m"}
	holding := geared
	holding.Gearbox = motor.Gearbox{Sort: "worm", Ratio: "60", Efficiency: "45 %", Limit: "120 N·m"}
	hoist := machine("other", "6", "22", "all", "25 N·m")
	hoist.Limits.Hangs = true
	starred := big
	starred.Plate.Links = "high"
	inverter := func(amps, limit, top q.Text) control.Described {
		c := drive(control.Inverter, "230 V", amps, limit)
		c.TopHertz = top
		return c
	}
	wide := inverter("5 A", "5 A", "75 Hz")
	wide.Mode = "vector"
	fan := marked(machine("fan", "900", "1400", "all", "3 N·m"), "1800 rpm")
	fan.Limits.Covered = true
	return []Named{
		of(
			"cider mill",
			machine("crusher", "300", "750", "all", "4 N·m"),
			socket230(),
			inverter("5 A", "5 A", "50 Hz"),
			conveyor,
			belted("90 mm", "160 mm"),
		),
		of(
			"mill to 75 Hz by vector",
			limited(machine("mill", "200", "1000", "all", "3 N·m"), "2000 rpm"),
			socket230(),
			wide,
			conveyor,
			belted("90 mm", "180 mm"),
		),
		of("lathe, 2.2 kW", limited(machine("lathe", "200", "900", "all", "10 N·m"), "1600 rpm"), socket("230 V",
			"50 Hz", "25 A"),
			inverter("11 A", "11 A", "50 Hz"), big, belted("110 mm", "170 mm")),
		of("lathe, 2.2 kW linked for 400 V on three phases", limited(machine("lathe", "200", "900", "all", "10 N·m"),
			"1600 rpm"), threePhases("400 V", "50 Hz"), func() control.Described {
			c := drive(control.Inverter, "400 V", "6 A", "6 A")
			c.Fed, c.TopHertz = "3", "50 Hz"
			return c
		}(), starred, belted("110 mm", "170 mm")),
		of("belt grinder of two poles to 60 Hz", machine("belt-sander", "1500", "2900", "all", "1.5 N·m"), socket230(),
			inverter("7 A", "6 A", "60 Hz"), twoPoles, belted("100 mm", "110 mm")),
		of("drill, 1 hp at 230 V and 60 Hz", limited(machine("drill", "300", "900", "all", "2 N·m"), "2500 rpm"),
			socket240(), inverter("5 A", "4.5 A", "60 Hz"), sixty, belted("80 mm", "150 mm")),
		of("the same from 120 V, doubled in the drive's own rating", limited(machine("drill", "300", "700", "any",
			"1 N·m"), "2500 rpm"), socket120(), func() control.Described {
			c := drive(control.Inverter, "120 V", "5 A", "4.5 A")
			c.TopHertz, c.BaseHertz = "40 Hz", "31 Hz"
			return c
		}(), sixty, belted("80 mm", "150 mm")),
		of("worm-geared mixer", machine("mixer", "20", "60", "any", "15 N·m"), socket230(), inverter("3 A", "2.6 A",
			"50 Hz"), geared, straight()),
		of(
			"fan, blades covered",
			fan,
			socket230(),
			inverter("5 A", "5 A", "50 Hz"),
			conveyor,
			belted("100 mm", "100 mm"),
		),
		of("conveyor at half speed", machine("conveyor", "100", "250", "all", "10 N·m"), socket230(),
			inverter("5 A", "5 A", "50 Hz"), conveyor, belted("80 mm", "380 mm")),
		of("bandsaw, rim turned from solid", func() work.Machine {
			m := machine("bandsaw", "400", "900", "any", "3 N·m")
			m.Limits.Diameter, m.Limits.Rim = "350 mm", "turned"
			return m
		}(), socket230(), inverter("5 A", "5 A", "50 Hz"), conveyor, belted("90 mm", "140 mm")),
	}
}

// soundSwitched are motors on the line: one phase or three.
func soundSwitched() []Named {
	capacitor := plated(motor.CapacitorStart, "1/3 hp", "1425 rpm", "230 V", "2.6 A", "50 Hz")
	american := plated(motor.CapacitorStart, "1/2 hp", "1725 rpm", "115/230 V", "7.8/3.9 A", "60 Hz")
	running := plated(motor.CapacitorRun, "1.1 kW", "1440 rpm", "230 V", "7.6 A", "50 Hz")
	running.Plate.Capacitor, running.Plate.CapacitorVolts, running.Plate.CapacitorSort = "30 µF", "450 V", "film"
	split := plated(motor.SplitPhase, "1/4 hp", "1725 rpm", "115 V", "4.8 A", "60 Hz")
	washer := plated(motor.TwoSpeed, "1/3 hp", "1425 rpm", "230 V", "2.9 A", "50 Hz")
	blower := plated(motor.PermanentSplit, "120 W", "1350 rpm", "230 V", "1.1 A", "50 Hz")
	blower.Plate.Capacitor, blower.Plate.CapacitorVolts, blower.Plate.CapacitorSort = "5 µF", "450 V", "film"
	blower.Readings = []motor.Reading{
		{Sort: "capacitor", Capacitor: "5 µF", Speed: "1310 rpm", Starts: "10 of 10"},
		{Sort: "capacitor", Capacitor: "3 µF", Speed: "1080 rpm", Starts: "10 of 10"},
	}
	shaded := plated(motor.ShadedPole, "18 W", "1300 rpm", "230 V", "0.5 A", "50 Hz")
	shop := plated(motor.ThreePhase, "1.5 kW", "1420 rpm", "400 V", "3.6 A", "50 Hz")
	mains := plated(motor.ThreePhase, "2 hp", "1750 rpm", "208 V", "6.2 A", "60 Hz")
	byHand := capacitor
	byHand.Plate.Protector = "by-hand"
	series := plated(motor.Universal, "400 W", "11000 rpm", "230 V", "3.2 A", "50 Hz")
	series.Gearbox = motor.Gearbox{Sort: "planetary", Ratio: "12", Limit: "20 N·m"}
	disc := marked(machine("disc-sander", "1200", "1500", "any", "0.8 N·m"), "3200 rpm")
	fan := func(low, high, torque string) work.Machine {
		m := marked(machine("fan", low, high, "any", torque), "2600 rpm")
		m.Limits.Covered, m.Jobs[0].Load.Shape = true, "square"
		return m
	}
	cone := belted("80 mm", "200 mm")
	cone[0].Steps = append(cone[0].Steps, reduction.DescribedStep{Driver: "110 mm", Driven: "173.2 mm"})
	bothWays := contacts(control.Contactor)
	bothWays.Reverse = "switch"
	wheel := marked(machine("grinder", "2300", "2900", "any", "0.3 N·m"), "4450 rpm")
	wheel.Limits.Covered = true
	return []Named{
		of("power hacksaw", machine("hacksaw", "70", "115", "any", "8 N·m"), socket230(), contacts(control.Contactor),
			capacitor, append(belted("75 mm", "300 mm"), reduction.DescribedStage{Kind: reduction.Spur, Guarded: true,
				OnDriving: keyed(), OnDriven: keyed(),
				Pitch: "2 mm", Material: "steel", Steps: []reduction.DescribedStep{{Driver: "20", Driven: "70"}}})),
		of("drill on a cone", limited(machine("drill", "500", "900", "any", "1 N·m"), "3000 rpm"), socket230(),
			contacts(control.Contactor),
			capacitor, cone),
		of("bandsaw with a protector reset by hand", machine("bandsaw", "500", "800", "any", "1 N·m"), socket230(),
			contacts(control.Contactor), byHand, belted("80 mm", "160 mm")),
		of("shaper run both ways", func() work.Machine {
			m := machine("shaper", "40", "90", "any", "10 N·m")
			m.Limits.NeedsReversed = true
			return m
		}(), socket230(), bothWays, capacitor, append(belted("75 mm", "300 mm"), reduction.DescribedStage{
			Kind: reduction.Spur, Guarded: true, Pitch: "2 mm", Material: "steel", OnDriving: keyed(),
			OnDriven: keyed(),
			Steps:    []reduction.DescribedStep{{Driver: "18", Driven: "90"}}})),
		of("½ hp drill on 115 V", limited(machine("drill", "500", "1000", "any", "1.2 N·m"), "3000 rpm"), socket120(),
			contacts(control.Contactor), american, belted("75 mm", "150 mm")),
		of("the same linked for 230 V", limited(machine("drill", "500", "1000", "any", "1.2 N·m"), "3000 rpm"),
			socket240(),
			contacts(control.Contactor), func() motor.Described {
				m := american
				m.Plate.Links = "high"
				return m
			}(), belted("75 mm", "150 mm")),
		of("table saw's motor on a mixer, its run capacitor as it should be", machine("mixer", "100", "200", "any",
			"20 N·m"), socket230(), contacts(control.Contactor), running, append(belted("90 mm", "270 mm"),
			reduction.DescribedStage{Kind: reduction.Chain, Guarded: true, OnDriving: keyed(), OnDriven: keyed(),
				Pitch: "12.7 mm", Centre: "400 mm",
				Steps: []reduction.DescribedStep{{Driver: "17", Driven: "51"}}})),
		of("split-phase motor on a disc sander", disc, socket120(), contacts(control.Contactor), split,
			belted("80 mm", "100 mm")),
		of("split-phase motor on a wheel, marked and covered", wheel, socket120(), contacts(control.Contactor), split,
			belted("120 mm", "80 mm")),
		of("washing machine's motor on a conveyor", machine("conveyor", "200", "400", "any", "2.5 N·m"), socket230(),
			contacts(control.Contactor), washer, belted("75 mm", "300 mm")),
		of(
			"blower on its capacitors",
			fan("1000", "1350", "0.5 N·m"),
			socket230(),
			contacts(control.CapacitorSet),
			blower,
			straight(),
		),
		of("blower switched", fan("1200", "1400", "0.4 N·m"), socket230(), contacts(control.Contactor), blower,
			straight()),
		of("blower on a variable transformer", fan("1200", "1400", "0.4 N·m"), socket230(), func() control.Described {
			c := contacts(control.VariableTransformer)
			c.Amps = "3 A"
			return c
		}(), blower, straight()),
		of(
			"little shaded-pole fan",
			fan("1100", "1400", "0.06 N·m"),
			socket230(),
			contacts(control.Contactor),
			shaded,
			straight(),
		),
		of("lathe on three phases", limited(machine("lathe", "500", "800", "any", "8 N·m"), "1600 rpm"),
			threePhases("400 V", "50 Hz"), contacts(control.Contactor), shop, belted("100 mm", "200 mm")),
		of("crusher on 208 V, three phases", machine("crusher", "500", "900", "any", "6 N·m"), threePhases("208 V",
			"60 Hz"), contacts(control.Contactor), mains, belted("100 mm", "220 mm")),
		of("shop fan on three phases", fan("1200", "1450", "4 N·m"), threePhases("400 V", "50 Hz"),
			contacts(control.Contactor), shop, belted("100 mm", "100 mm")),
		of(
			"series motor switched, never without its load",
			limited(machine("mixer", "150", "400", "any", "9 N·m"), "2400 rpm"),
			socket230(),
			contacts(control.Contactor),
			series,
			belted("80 mm", "280 mm"),
		),
	}
}

// soundOthers are brushless motors, servos, steppers, the disputed inverter, and the demo's sort of thing.
func soundOthers() []Named {
	hub := plated(motor.Brushless, "500 W", "3000 rpm", "36 V", "16 A", "")
	washer := plated(motor.Brushless, "400 W", "1200 rpm", "230 V", "2.1 A", "")
	servo := plated(motor.Servo, "400 W", "3000 rpm", "230 V", "2.6 A", "")
	stepper := motor.Described{Kind: motor.Stepper, ThermalSwitch: "none", Plate: motor.Plate{HoldingTorque: "3 N·m",
		Amps: "4.2 A", Inductance: "3.8 mH", Steps: "200", Volts: "48 V"}}
	halls := func(volts, amps, limit q.Text) control.Described {
		c := drive(control.BrushlessDrive, volts, amps, limit)
		c.Feedback = "tacho"
		return c
	}
	steps := func() control.Described {
		c := drive(control.StepperDriver, "48 V", "4.2 A", "")
		return c
	}
	oneOut := drive(control.SinglePhaseInverter, "230 V", "4 A", "4 A")
	oneOut.LowHertz, oneOut.TopHertz = "42 Hz", "50 Hz"
	capacitor := plated(motor.CapacitorStart, "1/3 hp", "1425 rpm", "230 V", "2.6 A", "50 Hz")
	running := plated(motor.CapacitorRun, "0.55 kW", "1430 rpm", "230 V", "3.9 A", "50 Hz")
	hung := limited(machine("indexer", "20", "60", "all", "1 N·m"), "4000 rpm")
	hung.Limits.Hangs, hung.Limits.Held = true, true
	return []Named{
		of("hub motor on 36 V, a mixer", machine("mixer", "100", "300", "all", "4 N·m"), battery("36 V"),
			halls("36 V", "25 A", "20 A"), hub, belted("75 mm", "375 mm")),
		of("hub motor from the mains through a supply unit", machine("potters-wheel", "60", "240", "all", "3 N·m"),
			socket230(), halls("36 V", "25 A", "20 A"), hub, belted("75 mm", "375 mm")),
		of("hub motor, sensorless fan", func() work.Machine {
			m := marked(machine("fan", "800", "1500", "all", "1.5 N·m"), "3500 rpm")
			m.Limits.Covered, m.Jobs[0].Load.Shape = true, "square"
			return m
		}(), battery("36 V"), drive(control.BrushlessDrive, "36 V", "25 A", "20 A"), hub, belted("80 mm", "120 mm")),
		of(
			"direct-drive washer's motor on a lathe",
			limited(machine("lathe", "100", "600", "all", "2 N·m"), "1800 rpm"),
			socket230(),
			halls("230 V", "5 A", "4 A"),
			washer,
			belted("80 mm", "120 mm"),
		),
		of("servo on a lathe's feed", limited(machine("conveyor", "60", "600", "all", "1.2 N·m"), "1500 rpm"),
			socket230(),
			halls("230 V", "5 A", "4 A"), servo, belted("75 mm", "225 mm")),
		of("servo on an indexer", limited(machine("indexer", "20", "300", "all", "1 N·m"), "1500 rpm"), socket240(),
			halls("230 V", "5 A",
				"4 A"), servo, belted("75 mm", "225 mm")),
		of(
			"stepper on an axis",
			limited(machine("indexer", "20", "120", "all", "0.5 N·m"), "4000 rpm"),
			socket230(),
			steps(),
			stepper,
			straight(),
		),
		of("stepper on a feed from a battery", limited(machine("conveyor", "20", "120", "all", "0.5 N·m"),
			"4000 rpm"), battery("48 V"),
			steps(), stepper, straight()),
		of("stepper that lifts, held by a brake", hung, socket120(), steps(), stepper, straight()),
		of("capacitor-start on the disputed inverter, held above its switch", machine("conveyor", "400", "500", "any",
			"1.5 N·m"), socket230(), oneOut, capacitor, belted("80 mm", "240 mm")),
		of(
			"capacitor-run on the disputed inverter",
			machine("mixer", "380", "460", "any", "4 N·m"),
			socket230(),
			oneOut,
			running,
			belted("80 mm", "240 mm"),
		),
		{"the tests' own sound plan", Sound()},
		{"the tests' own inverter", Inverted()},
		{"the tests' own switch", Switched()},
	}
}
