package plantest

import (
	"slices"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// Danger is a plan that can hurt: a sound one changed in the one thing that hurts.
type Danger struct {
	What  string
	Input plan.Input
	Stop  f.ID                 // the finding that stops it
	Clear func(in *plan.Input) // the entry or tick that clears it, after which it is sound
}

// sound finds one of the sound plans by what it is of.
func sound(what string) plan.Input {
	for _, one := range Sounds() {
		if one.What == what {
			return one.Input
		}
	}
	panic("no sound plan called " + what)
}

func danger(what string, of plan.Input, change func(*plan.Input), stop f.ID, clear func(*plan.Input)) Danger {
	// One's own lists, so that two dangers of one sound plan do not meet.
	of.Machine.Jobs = slices.Clone(of.Machine.Jobs)
	stages := slices.Clone(of.Plan.Reduction.Stages)
	for i := range stages {
		stages[i].Steps = slices.Clone(stages[i].Steps)
	}
	of.Plan.Reduction.Stages = stages
	change(&of)
	return Danger{What: what, Input: of, Stop: stop, Clear: clear}
}

// Dangers are plans that can hurt, each to be stopped for its own reason and for nothing else.
func Dangers() []Danger {
	var out []Danger
	out = append(out, dangersOfSpeed()...)
	out = append(out, dangersOfControls()...)
	out = append(out, dangersOfPower()...)
	out = append(out, dangersOfMachines()...)
	out = append(out, dangersOfParts()...)
	out = append(out, dangersOfTouch()...)
	out = append(out, dangersOfStarting()...)
	out = append(out, dangersOfPlaces()...)
	out = append(out, dangersOfAmps()...)
	out = append(out, dangersOfInputs()...)
	return append(out, dangersOfFastWheels()...)
}

func stageOf(in *plan.Input) *reduction.DescribedStage { return &in.Plan.Reduction.Stages[0] }
func stepOf(in *plan.Input) *reduction.DescribedStep   { return &stageOf(in).Steps[0] }

func dangersOfSpeed() []Danger {
	grinder := sound("grinder at 90 V, wheel marked and covered")
	bandsaw := sound("bandsaw, rim turned from solid")
	return []Danger{
		danger(
			"the spindle can pass its limit",
			Sound(),
			func(in *plan.Input) { in.Machine.Limits.Spindle = "300 rpm" },
			f.WorkTopSpeed,
			func(in *plan.Input) { in.Plan.Control.TopTrim = "50 %" },
		),
		danger("a wheel can pass its marking", grinder, func(in *plan.Input) { in.Machine.Limits.Marked = "1720 rpm" },
			f.WorkTopSpeed, func(in *plan.Input) { in.Plan.Control.TopTrim = "85 %" }),
		danger("a wheel without a marking", grinder, func(in *plan.Input) { in.Machine.Limits.Marked = "" },
			f.WorkNoMarking, func(in *plan.Input) { in.Machine.Limits.Marked = "2850 rpm" }),
		danger("a marked disc behind a series motor that climbs when let go",
			sound("series motor switched, never without its load"),
			func(in *plan.Input) { in.Machine.Limits.Marked = "420 rpm" }, f.WorkTopSpeed,
			func(in *plan.Input) { in.Machine.Limits.Marked = "2600 rpm" }),
		danger("a cast bandsaw wheel past what iron bears", bandsaw, func(in *plan.Input) {
			in.Machine.Limits.Diameter, in.Machine.Limits.Rim = "700 mm", "cast"
		}, f.WorkRim, func(in *plan.Input) { in.Plan.Control.TopHertz = "40 Hz" }),
		danger("a bandsaw wheel of nobody knows what", bandsaw, func(in *plan.Input) {
			in.Machine.Limits.Diameter, in.Machine.Limits.Rim = "700 mm", ""
		}, f.WorkRim, func(in *plan.Input) { in.Machine.Limits.Rim, in.Machine.Limits.Spindle = "turned", "1600 rpm" }),
		danger("a cast faceplate past what iron bears", sound("lathe at 90 V on 120 V"), func(in *plan.Input) {
			in.Machine.Limits.Diameter = "900 mm"
		}, f.WorkRim, func(in *plan.Input) { in.Machine.Limits.Marked = "1000 rpm" }),
		danger(
			"a cast pulley past what iron bears",
			sound("belt grinder of two poles to 60 Hz"),
			func(in *plan.Input) {
				stageOf(in).Centre, *stepOf(in) = "600 mm", reduction.DescribedStep{Driver: "200 mm", Driven: "220 mm"}
			},
			f.ReductionBeltSpeed.At(0),
			func(in *plan.Input) {
				*stepOf(in) = reduction.DescribedStep{Driver: "100 mm",
					Driven: "110 mm"}
			},
		),
		danger("a rotor of two poles spun past what holds it", sound("belt grinder of two poles to 60 Hz"),
			func(in *plan.Input) { in.Plan.Control.TopHertz = "90 Hz" }, f.ControlRotorSpeed,
			func(in *plan.Input) { in.Plan.Control.TopHertz = "60 Hz" }),
		danger("a rotor of four poles spun past what holds it", sound("conveyor at half speed"),
			func(in *plan.Input) { in.Plan.Control.TopHertz = "120 Hz" }, f.ControlRotorSpeed,
			func(in *plan.Input) { in.Plan.Control.TopHertz = "60 Hz" }),
	}
}

func dangersOfControls() []Danger {
	oneOut := sound("capacitor-start on the disputed inverter, held above its switch")
	to := func(c control.Described) func(*plan.Input) { return func(in *plan.Input) { in.Plan.Control = c } }
	dc := func() control.Described { return drive(control.PhaseAngle, "180 V", "5 A", "4.2 A") }
	back := func(of plan.Input) func(*plan.Input) { return to(of.Plan.Control) }
	half, scooter, hacksaw := Sound(), sound("scooter motor on 24 V, a drum"), sound("power hacksaw")
	lathe, hub, mill := sound("lathe on three phases"), sound("hub motor on 36 V, a mixer"), sound("cider mill")
	axis := sound("stepper on an axis")
	return []Danger{
		danger("an inverter slower than a start switch bears", oneOut, func(in *plan.Input) {
			in.Plan.Control.LowHertz = "30 Hz"
		}, f.ControlStartSwitch, func(in *plan.Input) { in.Plan.Control.LowHertz = "42 Hz" }),
		danger("an inverter on one phase past the plate's hertz", oneOut, func(in *plan.Input) {
			in.Plan.Control.TopHertz = "60 Hz"
		}, f.ControlOverPlateHertz, func(in *plan.Input) { in.Plan.Control.TopHertz = "50 Hz" }),
		danger("a phase-angle drive on a capacitor-start motor", hacksaw, to(dc()), f.ControlSuits, back(hacksaw)),
		danger("a phase-angle drive on a fan's shaded-pole motor", sound("little shaded-pole fan"), to(dc()),
			f.ControlSuits, to(contacts(control.Contactor))),
		danger("an inverter on a brushed motor", half, to(drive(control.Inverter, "230 V", "5 A", "5 A")),
			f.ControlSuits, back(half)),
		danger(
			"a brushed motor switched onto the mains",
			half,
			to(contacts(control.Contactor)),
			f.ControlSuits,
			back(half),
		),
		danger("a PWM drive on a hub motor", hub, to(drive(control.Chopper, "36 V", "25 A", "20 A")), f.ControlSuits,
			back(hub)),
		danger("a stepper on a PWM drive", axis, to(drive(control.Chopper, "48 V", "5 A", "4 A")), f.ControlSuits,
			back(axis)),
		danger(
			"thyristors on a battery",
			scooter,
			to(drive(control.PhaseAngle, "24 V", "30 A", "25 A")),
			f.ControlSuits,
			back(scooter),
		),
		danger("a transformer on a battery", scooter, to(contacts(control.VariableTransformer)), f.ControlSuits,
			back(scooter)),
		danger("three-phase windings switched onto one phase", sound("lathe on three phases"), func(in *plan.Input) {
			in.Plan.Supply = socket("400 V", "50 Hz", "16 A")
		}, f.ControlPhases, func(in *plan.Input) { in.Plan.Supply = lathe.Plan.Supply }),
		danger("a motor for half the volts with nothing to hold it down",
			sound("a motor for half the volts on a drive trimmed to half"), func(in *plan.Input) {
				in.Plan.Control.TopTrim, in.Machine.Limits.Spindle = "", ""
			}, f.ControlVoltsHigh, func(in *plan.Input) { in.Plan.Control.TopTrim = "50 %" }),
		danger("windings on an inverter for many more volts", mill, func(in *plan.Input) {
			in.Plan.Supply, in.Plan.Control.Volts, in.Plan.Control.BaseHertz = threePhases(
				"400 V",
				"50 Hz",
			), "400 V", "87 Hz"
		}, f.ControlVoltsHigh, func(in *plan.Input) { in.Plan.Control.Volts = "230 V" }),
		danger("a motor straight on twice its volts", sound("winch motor straight on 12 V"), func(in *plan.Input) {
			in.Plan.Supply.Volts = "24 V"
		}, f.ControlVoltsHigh, func(in *plan.Input) { in.Plan.Supply.Volts = "12 V" }),
		danger("a scooter's motor on a variable transformer at the socket", half, func(in *plan.Input) {
			in.Machine.Limits.Spindle = ""
			in.Plan.Motor = scooter.Plan.Motor
			in.Plan.Control = contacts(control.VariableTransformer)
			in.Plan.Control.Amps, in.Plan.Control.Volts = "20 A", "24 V"
		}, f.ControlLowVolts, func(in *plan.Input) {
			in.Plan.Control.Isolated, in.Machine.Limits.Spindle = true, "2000 rpm"
		}),
		danger("a drive smaller than its motor, with no limit", mill, func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "2.5 A", ""
		}, f.ControlAmpsShort, func(in *plan.Input) { in.Plan.Control.LimitAmps = "3 A" }),
		danger("a drive smaller than its motor, its limit past it", half, func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "2 A", "4.2 A"
		}, f.ControlAmpsShort, func(in *plan.Input) { in.Plan.Control.LimitAmps = "2.5 A" }),
		danger("a limit that weakens the magnets", half, func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "10 A", "9 A"
		}, f.ControlLimitHigh, func(in *plan.Input) { in.Plan.Control.LimitAmps = "4.2 A" }),
		danger("a limit that weakens a hub motor's magnets", hub, func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "60 A", "55 A"
		}, f.ControlLimitHigh, func(in *plan.Input) { in.Plan.Control.LimitAmps = "24 A" }),
		danger("a resistor that burns", sound("½ hp on a series resistor"), func(in *plan.Input) {
			in.Plan.Control.Watts = "60 W"
		}, f.ControlResistorBurns, func(in *plan.Input) { in.Plan.Control.Watts = "300 W" }),
		danger("volts from elsewhere on a drive that is live", half, func(in *plan.Input) {
			in.Plan.Control.Knob = "0-10"
		}, f.ControlNotIsolated, func(in *plan.Input) { in.Plan.Control.Isolated = true }),
		danger("a computer's pulses on a PWM drive that is live", sound("belt grinder, 1.1 kW on a PWM drive"),
			func(in *plan.Input) { in.Plan.Control.Knob = "pwm" }, f.ControlNotIsolated,
			func(in *plan.Input) { in.Plan.Control.Knob = "pot" }),
	}
}

func dangersOfPower() []Danger {
	half, mill, drum := Sound(), sound("cider mill"), sound("scooter motor on 24 V, a drum")
	hacksaw, american := sound("power hacksaw"), sound("½ hp drill on 115 V")
	fused := func(in *plan.Input) { in.Plan.Control.Fused = true }
	bare := func(in *plan.Input) { in.Plan.Control.Fused = false }
	open := func(in *plan.Input) { in.Plan.Control.Enclosed = false }
	boxed := func(in *plan.Input) { in.Plan.Control.Enclosed = true }
	return []Danger{
		danger("rectified mains with no fuse", half, bare, f.ControlBareMains, fused),
		danger("rectified mains in the open", half, open, f.ControlBareMains, boxed),
		danger("an inverter with no fuse", mill, bare, f.ControlWiring.Of("fuse"), fused),
		danger("an inverter in the open", mill, open, f.ControlOpenBox, boxed),
		danger("a switch's terminals in the open", hacksaw, open, f.ControlOpenBox, boxed),
		danger("a switch with no fuse", hacksaw, bare, f.ControlWiring.Of("fuse"), fused),
		danger("a battery with no fuse", drum, bare, f.SupplyBatteryFuse, fused),
		danger("a hub motor's battery with no fuse", sound("hub motor on 36 V, a mixer"), bare, f.SupplyBatteryFuse,
			fused),
		danger("a frame not earthed", half, func(in *plan.Input) { in.Plan.Supply.Earthed = false }, f.SupplyEarth,
			func(in *plan.Input) { in.Plan.Supply.Earthed = true }),
		danger("a frame not earthed on three phases", sound("lathe on three phases"), func(in *plan.Input) {
			in.Plan.Supply.Earthed = false
		}, f.SupplyEarth, func(in *plan.Input) { in.Plan.Supply.Earthed = true }),
		danger("a motor on far more volts than its plate", hacksaw, func(in *plan.Input) {
			in.Plan.Supply = socket("400 V", "50 Hz", "16 A")
		}, f.SupplyLineVolts, func(in *plan.Input) { in.Plan.Supply = socket230() }),
		danger("a motor linked for 115 V on 240 V", american, func(in *plan.Input) { in.Plan.Supply = socket240() },
			f.SupplyLineVolts, func(in *plan.Input) { in.Plan.Motor.Plate.Links = "high" }),
		danger(
			"a motor linked for 230 V on 120 V",
			american,
			func(in *plan.Input) { in.Plan.Motor.Plate.Links = "high" },
			f.SupplyLineVolts,
			func(in *plan.Input) { in.Plan.Motor.Plate.Links = "low" },
		),
		danger("more amps than the breaker carries", mill, func(in *plan.Input) { in.Plan.Supply.Breaker = "6 A" },
			f.SupplyOverload, func(in *plan.Input) { in.Plan.Supply.Breaker = "16 A" }),
		danger("a cable that burns before its breaker opens", half, func(in *plan.Input) {
			in.Plan.Supply.Breaker, in.Plan.Supply.Wire = "32 A", "1.5 mm²"
		}, f.SupplyCable, func(in *plan.Input) { in.Plan.Supply.Breaker = "13 A" }),
		danger(
			"a cable in AWG that burns before its breaker opens",
			sound("grinder at 90 V, wheel marked and covered"),
			func(in *plan.Input) { in.Plan.Supply.Breaker, in.Plan.Supply.Wire = "50 A", "14 AWG" },
			f.SupplyCable,
			func(in *plan.Input) { in.Plan.Supply.Breaker = "15 A" },
		),
		danger("bell wire to the machine", half, func(in *plan.Input) { in.Plan.Supply.Wire = "0.5 mm²" },
			f.SupplyCable, func(in *plan.Input) { in.Plan.Supply.Wire = "2.5 mm²" }),
		danger("a wet place with no residual-current device",
			sound("the same where it gets wet, closed and behind a residual-current device"),
			func(in *plan.Input) { in.Plan.Supply.Residual = "none" }, f.SupplyResidual,
			func(in *plan.Input) { in.Plan.Supply.Residual = "a" }),
		danger("a wet place where nobody looked for a residual-current device",
			sound("the same where it gets wet, closed and behind a residual-current device"),
			func(in *plan.Input) { in.Plan.Supply.Residual = "" }, f.SupplyResidual,
			func(in *plan.Input) { in.Plan.Supply.Residual = "a" }),
		danger("a wet place with an open motor",
			sound("the same where it gets wet, closed and behind a residual-current device"),
			func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "IP 21" }, f.MotorEnclosure,
			func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "IP 54" }),
		danger("a wet place with a motor nobody looked at",
			sound("the same where it gets wet, closed and behind a residual-current device"),
			func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "" }, f.MotorEnclosure,
			func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "totally enclosed" }),
	}
}

func dangersOfMachines() []Danger {
	half, saw := Sound(), sound("bandsaw with a protector reset by hand")
	drill := sound("½ hp drill on 115 V")
	chuck, shaper := sound("lathe with its chuck screwed on, one way only"), sound("shaper run both ways")
	grinder := sound("split-phase motor on a wheel, marked and covered")
	fan, hoist := sound("fan, blades covered"), sound("hoist with a brake that holds")
	held := sound("winch with a brake besides its worm")
	straight := func(in *plan.Input) { in.Plan.Control.Reverse = "none" }
	feed := sound("servo on a lathe's feed")
	return []Danger{
		danger("reverse with a chuck that unscrews", chuck, func(in *plan.Input) { in.Plan.Control.Reverse = "drive" },
			f.ControlReverseScrewed, straight),
		danger("reverse with a pulley that unscrews", half, func(in *plan.Input) {
			in.Plan.Control.Reverse, in.Plan.Control.DCRated, stageOf(in).ScrewOn = "switch", true, true
		}, f.ControlReverseScrewed, func(in *plan.Input) { stageOf(in).ScrewOn = false }),
		danger("a brake with a chuck that unscrews", sound("lathe, 2.2 kW"), func(in *plan.Input) {
			in.Plan.Control.BrakeOhms, in.Machine.Limits.ScrewedOn = "80 Ω", true
		}, f.ControlBrakeScrewed, func(in *plan.Input) {
			in.Machine.Limits.ScrewedOn, in.Machine.Limits.HeldBy = false, "fast"
		}),
		danger("a reversing switch in the leads of a hub motor", sound("hub motor on 36 V, a mixer"),
			func(in *plan.Input) { in.Plan.Control.Reverse = "switch" }, f.ControlReverseDead,
			func(in *plan.Input) { in.Plan.Control.Reverse = "drive" }),
		danger("a reversing switch nothing interlocks", shaper, func(in *plan.Input) {
			in.Plan.Control.NoVolt, in.Machine.Kind, in.Machine.Place.Wet = false, "mixer", "no"
		}, f.ControlWiring.Of("reverse"), func(in *plan.Input) { in.Plan.Control.NoVolt = true }),
		danger("a thermal switch left out", half, func(in *plan.Input) { in.Plan.Motor.ThermalSwitch = "left-out" },
			f.MotorThermalLeftOut, func(in *plan.Input) { in.Plan.Motor.ThermalSwitch = "wired" }),
		danger(
			"a thermal switch that stops nothing",
			Switched(),
			func(in *plan.Input) { in.Plan.Control.NoVolt = false },
			f.ControlWiring.Of("thermal"),
			func(in *plan.Input) { in.Plan.Control.NoVolt = true },
		),
		danger("a protector that starts a bandsaw by itself", saw, func(in *plan.Input) {
			in.Plan.Motor.Plate.Protector = "self-reset"
		}, f.MotorProtector, func(in *plan.Input) { in.Plan.Motor.Plate.Protector = "by-hand" }),
		danger("a protector that starts a drill by itself", drill, func(in *plan.Input) {
			in.Plan.Motor.Plate.Protector = "self-reset"
		}, f.MotorProtector, func(in *plan.Input) { in.Plan.Motor.Plate.Protector = "none" }),
		danger("a bandsaw that starts when the power comes back", saw, func(in *plan.Input) {
			in.Plan.Control.NoVolt = false
		}, f.ControlNoVolt, func(in *plan.Input) { in.Plan.Control.NoVolt = true }),
		danger("a wheel that starts when the power comes back", grinder, func(in *plan.Input) {
			in.Plan.Control.NoVolt = false
		}, f.ControlNoVolt, func(in *plan.Input) { in.Plan.Control.NoVolt = true }),
		danger("a lathe that starts when the power comes back", sound("wound field on a lathe"), func(in *plan.Input) {
			in.Plan.Control.NoVolt = false
		}, f.ControlNoVolt, func(in *plan.Input) { in.Plan.Control.NoVolt = true }),
		danger("an open belt", half, func(in *plan.Input) { stageOf(in).Guarded = false }, f.ReductionGuard.At(0),
			func(in *plan.Input) { stageOf(in).Guarded = true }),
		danger(
			"open gears",
			sound("power hacksaw"),
			func(in *plan.Input) { in.Plan.Reduction.Stages[1].Guarded = false },
			f.ReductionGuard.At(1),
			func(in *plan.Input) { in.Plan.Reduction.Stages[1].Guarded = true },
		),
		danger("an open chain", sound("table saw's motor on a mixer, its run capacitor as it should be"),
			func(in *plan.Input) { in.Plan.Reduction.Stages[1].Guarded = false }, f.ReductionGuard.At(1),
			func(in *plan.Input) { in.Plan.Reduction.Stages[1].Guarded = true }),
		danger("open fan blades", fan, func(in *plan.Input) { in.Machine.Limits.Covered = false }, f.WorkUncovered,
			func(in *plan.Input) { in.Machine.Limits.Covered = true }),
		danger(
			"a grinding wheel without its guard",
			grinder,
			func(in *plan.Input) { in.Machine.Limits.Covered = false },
			f.WorkUncovered,
			func(in *plan.Input) { in.Machine.Limits.Covered = true },
		),
		danger("a hanging load that nothing holds", hoist, func(in *plan.Input) { in.Machine.Limits.Held = false },
			f.WorkHangs, func(in *plan.Input) { in.Machine.Limits.Held = true }),
		danger("a hanging load on a worm that runs back", held, func(in *plan.Input) {
			in.Plan.Motor.Gearbox.Efficiency, in.Machine.Limits.Held = "65 %", false
		}, f.WorkHangs, func(in *plan.Input) { in.Machine.Limits.Held = true }),
		danger("a hanging load on a stepper that lets go when it is off", sound("stepper that lifts, held by a brake"),
			func(in *plan.Input) { in.Machine.Limits.Held = false }, f.WorkHangs,
			func(in *plan.Input) { in.Machine.Limits.Held = true }),
		danger("a feed motor behind a gearbox left in mesh", feed, func(in *plan.Input) {
			in.Machine.Jobs[0].Load = work.Load{By: work.ByScrew, Screw: work.Screw{Force: "400 N", Lead: "3 mm",
				Feed: true, Geared: true}}
		}, f.WorkFeedGeared.Of("job"), func(in *plan.Input) { in.Machine.Jobs[0].Load.Screw.Geared = false }),
	}
}

func dangersOfParts() []Danger {
	blower, run := sound("blower switched"), sound("table saw's motor on a mixer, its run capacitor as it should be")
	half := Sound()
	half.Plan.Motor.Body.Shaft = "16 mm"
	strong := sound("lathe, 2.2 kW")
	return []Danger{
		danger("a run capacitor marked for too few volts", blower, func(in *plan.Input) {
			in.Plan.Motor.Plate.CapacitorVolts = "250 V"
		}, f.MotorCapacitorVolts, func(in *plan.Input) { in.Plan.Motor.Plate.CapacitorVolts = "450 V" }),
		danger("the same in a motor with two capacitors", run, func(in *plan.Input) {
			in.Plan.Motor.Plate.CapacitorVolts = "250 V"
		}, f.MotorCapacitorVolts, func(in *plan.Input) { in.Plan.Motor.Plate.CapacitorVolts = "450 V" }),
		danger("an electrolytic that stays in circuit", blower, func(in *plan.Input) {
			in.Plan.Motor.Plate.CapacitorSort = "electrolytic"
		}, f.MotorCapacitorSort, func(in *plan.Input) { in.Plan.Motor.Plate.CapacitorSort = "film" }),
		danger("an electrolytic as the run capacitor of a saw's motor", run, func(in *plan.Input) {
			in.Plan.Motor.Plate.CapacitorSort = "electrolytic"
		}, f.MotorCapacitorSort, func(in *plan.Input) { in.Plan.Motor.Plate.CapacitorSort = "film" }),
		danger("a run capacitor ten times too large", blower, func(in *plan.Input) {
			in.Plan.Motor.Plate.Capacitor = "60 µF"
		}, f.MotorCapacitorFar, func(in *plan.Input) { in.Plan.Motor.Plate.Capacitor = "5 µF" }),
		danger("a shaft thinner than the motor can twist", strong, func(in *plan.Input) {
			stageOf(in).OnDriven = reduction.DescribedFit{Shaft: "7 mm", Bore: "7 mm", Held: "pin", Hub: "40 mm"}
		}, f.ReductionTwist.Of("driven").At(0), func(in *plan.Input) {
			stageOf(in).OnDriven.Shaft, stageOf(in).OnDriven.Bore = "30 mm", "30 mm"
		}),
		danger("a key too short for the motor", strong, func(in *plan.Input) {
			stageOf(in).OnDriven = reduction.DescribedFit{Shaft: "20 mm", Bore: "20 mm", Held: "key", Hub: "2 mm"}
		}, f.ReductionTwist.Of("driven").At(0), func(in *plan.Input) { stageOf(in).OnDriven.Hub = "50 mm" }),
		danger("a set screw alone on a strong motor", strong, func(in *plan.Input) {
			stageOf(in).OnDriving = reduction.DescribedFit{Shaft: "28 mm", Bore: "28 mm", Held: "screw", Hub: "40 mm"}
		}, f.ReductionScrew.Of("driving").At(0), func(in *plan.Input) { stageOf(in).OnDriving.Held = "key" }),
		danger("a start winding's motor on fewer volts than it starts on", sound("blower on a variable transformer"),
			func(in *plan.Input) { in.Plan.Motor.Kind = motor.CapacitorStart }, f.ControlSuits,
			func(in *plan.Input) { in.Plan.Motor.Kind = motor.PermanentSplit }),
	}
}
