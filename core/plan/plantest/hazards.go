package plantest

import (
	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// dangersOfTouch are volts where no hand expects them, and contacts that cannot break them.
func dangersOfTouch() []Danger {
	half, mixer := Sound(), sound("hub motor on 36 V, a mixer")
	hub := sound("bicycle's motor from the mains through a supply unit")
	cart := sound("mower's motor on a cart's 36 V, its contactor rated for them")
	low := sound("coil winder on 24 V through a PWM drive").Plan.Motor
	onMains := func(kind control.Kind) func(*plan.Input) {
		return func(in *plan.Input) {
			in.Plan.Motor, in.Machine.Limits.Spindle = low, "3000 rpm"
			in.Plan.Control = drive(kind, "180 V", "10 A", "6 A")
			in.Plan.Control.TopTrim = "13 %"
		}
	}
	own := func(in *plan.Input) {
		in.Plan.Motor, in.Plan.Control.TopTrim, in.Plan.Control.LimitAmps = half.Plan.Motor, "", "4.2 A"
	}
	return []Danger{
		danger("a hub motor on a drive with mains volts in it", hub, func(in *plan.Input) {
			in.Plan.Control.Volts, in.Plan.Control.TopTrim = "", "100 %"
		}, f.ControlLowVolts, func(in *plan.Input) { in.Plan.Control.Volts, in.Plan.Control.TopTrim = "36 V", "" }),
		danger("a 24 V motor trimmed down on a phase-angle drive", half, onMains(control.PhaseAngle),
			f.ControlLowVolts, own),
		danger("a 24 V motor trimmed down on a PWM drive at the socket", half, onMains(control.Chopper),
			f.ControlLowVolts, own),
		danger("a 24 V motor behind a resistor at the socket", sound("½ hp on a series resistor"),
			func(in *plan.Input) { in.Plan.Motor, in.Machine.Limits.Spindle = low, "90000 rpm" }, f.ControlLowVolts,
			func(in *plan.Input) { in.Plan.Motor = half.Plan.Motor }),
		danger("a 24 V servo on a drive for the mains", sound("servo on an indexer"), func(in *plan.Input) {
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "24 V", "20 A"
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps, in.Plan.Control.TopTrim = "25 A", "22 A", "7 %"
		}, f.ControlLowVolts, func(in *plan.Input) {
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "230 V", "2.6 A"
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps, in.Plan.Control.TopTrim = "5 A", "4 A", ""
		}),
		danger("a variable transformer in the open before a fan", sound("blower on a variable transformer"),
			func(in *plan.Input) { in.Plan.Control.Enclosed = false }, f.ControlOpenBox,
			func(in *plan.Input) { in.Plan.Control.Enclosed = true }),
		danger("180 V of cells in the open", sound("winch motor straight on 12 V"), func(in *plan.Input) {
			in.Plan.Supply.Volts, in.Plan.Supply.Earthed = "180 V", true
			in.Plan.Motor, in.Plan.Control.DCRated, in.Plan.Control.Enclosed = half.Plan.Motor, true, false
		}, f.ControlBareMains, func(in *plan.Input) { in.Plan.Control.Enclosed = true }),
		danger("180 V of cells on a plain switch", sound("winch motor straight on 12 V"), func(in *plan.Input) {
			in.Plan.Supply.Volts, in.Plan.Supply.Earthed = "180 V", true
			in.Plan.Motor = half.Plan.Motor
		}, f.ControlContacts, func(in *plan.Input) { in.Plan.Control.DCRated = true }),
		danger("a cart's 36 V on a contact for alternating current", cart, func(in *plan.Input) {
			in.Plan.Control.DCRated = false
		}, f.ControlContacts, func(in *plan.Input) { in.Plan.Control.DCRated = true }),
		danger("a switch for alternating current after a rectifier", half, func(in *plan.Input) {
			in.Plan.Control.SwitchAfter = true
		}, f.ControlContacts, func(in *plan.Input) { in.Plan.Control.DCRated = true }),
		danger("36 V of cells reversed by a switch not rated for them", sound("mower's motor on a PWM drive"),
			func(in *plan.Input) { in.Plan.Control.Reverse = "switch" }, f.ControlContacts,
			func(in *plan.Input) { in.Plan.Control.DCRated = true }),
		danger("cells of 96 V where it gets wet, an open motor", mixer, func(in *plan.Input) {
			in.Machine.Place.Wet = "yes"
			in.Plan.Supply.Volts, in.Plan.Supply.Earthed = "96 V", true
			in.Plan.Control.Volts, in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "96 V", "96 V", "6.4 A"
			in.Plan.Control.LimitAmps = "12 A"
		}, f.MotorEnclosure, func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "IP 55" }),
	}
}

// dangersOfStarting are machines that take a hand and start by themselves.
func dangersOfStarting() []Danger {
	release := func(in *plan.Input) { in.Plan.Control.NoVolt = true }
	without := func(what string, of plan.Input) Danger {
		return danger(what, of, func(in *plan.Input) { in.Plan.Control.NoVolt = false }, f.ControlNoVolt, release)
	}
	resets := func(in *plan.Input) { in.Plan.Motor.Plate.Protector = "self-reset" }
	byHand := func(in *plan.Input) { in.Plan.Motor.Plate.Protector = "by-hand" }
	lathe, mill := sound("treadmill motor on a wood lathe"), sound("shop crusher on 400 V")
	return []Danger{
		without("a mixer that starts when the power comes back", sound("pump's motor on a mixer's chain")),
		without("a spin drier that starts when the power comes back", sound("garage door's motor on a drum")),
		without("a conveyor that starts when the power comes back",
			sound("conveyor on a fused lead of 1.25 mm²")),
		without("a fruit mill that starts when the power comes back",
			sound("fruit mill out in the yard, closed and watched")),
		without("a winch that starts when the power comes back", sound("winch with a brake besides its worm")),
		without("an axis that moves when the power comes back", sound("servo on an indexer")),
		without("nobody knows what, that starts when the power comes back", func() plan.Input {
			in := sound("conveyor on a fused lead of 1.25 mm²")
			in.Machine.Kind = "other"
			return in
		}()),
		danger("a protector that starts a crusher by itself", mill, resets, f.MotorProtector, byHand),
		danger("a protector that starts a conveyor by itself", sound("conveyor on a fused lead of 1.25 mm²"), resets,
			f.MotorProtector, byHand),
		danger("a console that pauses and goes on at its speed", lathe, func(in *plan.Input) {
			in.Plan.Control.Pauses = true
		}, f.ControlPauses, func(in *plan.Input) { in.Plan.Control.Pauses = false }),
		danger("a hoist held by its worm alone", sound("winch with a brake besides its worm"), func(in *plan.Input) {
			in.Machine.Limits.Held = false
			in.Plan.Motor.Gearbox.Efficiency = "45 %"
		}, f.WorkHangs, func(in *plan.Input) { in.Machine.Limits.Held = true }),
	}
}

// dangersOfPlaces are dust that burns and water.
func dangersOfPlaces() []Danger {
	mill := sound("fruit mill out in the yard, closed and watched")
	wood := sound("universal motor on wood, closed against dust")
	three := Copied(mill)
	three.Plan.Supply = wired(threePhases("230 V", "50 Hz"), "16 A", "2.5 mm²")
	residual := func(sort string) func(*plan.Input) {
		return func(in *plan.Input) { in.Plan.Supply.Residual = sort }
	}
	dusty := sound("treadmill motor on a wood lathe")
	return []Danger{
		danger("open brushes in wood dust", wood, func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "IP 20" },
			f.WorkDust, func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "IP 55" }),
		danger("open brushes in wood dust, blown by a fan of their own", dusty, func(in *plan.Input) {
			in.Machine.Place.Dust = "yes"
			in.Plan.Motor.Plate.Cooling, in.Plan.Motor.Plate.Enclosure = "blown", "IP 20"
		}, f.WorkDust, func(in *plan.Input) { in.Machine.Place.Dust = "no" }),
		danger("brushes nobody looked at in flour", wood, func(in *plan.Input) {
			in.Plan.Motor.Plate.Enclosure = ""
		}, f.WorkDust, func(in *plan.Input) { in.Plan.Motor.Plate.Enclosure = "totally enclosed" }),
		danger("wet, and a drive that blinds its residual-current device", mill, residual("ac"), f.SupplyResidual,
			residual("a")),
		danger("wet, and a device nobody read before a drive", mill, residual("unknown"), f.SupplyResidual,
			residual("b")),
		danger("wet, and a drive on three phases behind a device of type A", three, residual("a"), f.SupplyResidual,
			residual("b")),
	}
}

// dangersOfAmps are motors and resistors at several times what they are for, and conductors.
func dangersOfAmps() []Danger {
	axis, mill := sound("stepper on a table's screw"), sound("lathe, 1.5 kW, on an inverter")
	braked := sound("the same braked by a resistor")
	lathe := sound("the same on three phases")
	return []Danger{
		danger("a stepper at three times its amps", axis, func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "8.4 A", "8.4 A"
		}, f.ControlLimitHigh, func(in *plan.Input) { in.Plan.Control.LimitAmps = "2.8 A" }),
		danger("an inverter's limit at three times its motor's amps", mill, func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "20 A", "20 A"
		}, f.ControlLimitHigh, func(in *plan.Input) { in.Plan.Control.LimitAmps = "8 A" }),
		danger("a wound field's drive at three times its amps", sound("wound field on a shaper by chain"),
			func(in *plan.Input) { in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "16 A", "14 A" },
			f.ControlLimitHigh, func(in *plan.Input) { in.Plan.Control.LimitAmps = "6 A" }),
		danger("windings linked for 230 V on an inverter's 400 V at their own hertz", lathe, func(in *plan.Input) {
			in.Plan.Motor.Plate.Links, in.Plan.Control.BaseHertz = "low", "50 Hz"
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "7 A", "6 A"
		}, f.ControlOverflux, func(in *plan.Input) { in.Plan.Control.BaseHertz = "87 Hz" }),
		danger("windings linked for 230 V on 480 V at 60 Hz", mill, func(in *plan.Input) {
			in.Plan.Supply = wired(threePhases("480 V", "60 Hz"), "15 A", "12 AWG")
			in.Plan.Control.Volts, in.Plan.Control.Fed, in.Plan.Control.BaseHertz = "480 V", "3", "60 Hz"
			in.Plan.Motor = plated(motor.ThreePhase, "1.5 hp", "1740 rpm", "230/460 V", "4.4/2.2 A", "60 Hz")
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "6 A", "5 A"
		}, f.ControlOverflux, func(in *plan.Input) { in.Plan.Control.BaseHertz = "120 Hz" }),
		danger("a brake resistor too small for its drive", braked, func(in *plan.Input) {
			in.Plan.Control.BrakeOhms = "12 Ω"
		}, f.ControlBrakeOhms, func(in *plan.Input) { in.Plan.Control.BrakeOhms = "100 Ω" }),
		danger("three conductors loaded by a breaker for two", lathe, func(in *plan.Input) {
			in.Plan.Supply = wired(in.Plan.Supply, "32 A", "4 mm²")
		}, f.SupplyCable, func(in *plan.Input) { in.Plan.Supply.Breaker = "25 A" }),
	}
}

// dangersOfInputs are drives on a supply that is not theirs.
func dangersOfInputs() []Danger {
	lathe := sound("lathe, 1.5 kW, on an inverter")
	made := func(volts string, phases, hertz string) func(*plan.Input) {
		return func(in *plan.Input) {
			in.Plan.Control.InputVolts, in.Plan.Control.Fed = q.Text(volts), phases
			in.Plan.Control.InputHertz = q.Text(hertz)
		}
	}
	return []Danger{
		danger("a drive made for 110 V on 230 V", lathe, made("100-120 V", "1", ""), f.ControlInput,
			made("200-240 V", "1", "")),
		danger("a drive made for 400 V on 230 V", lathe, made("380-480 V", "1", ""), f.ControlInput,
			made("200-240 V", "1", "")),
		danger("a phase-angle drive made for 120 V on 230 V", Sound(), made("120 V", "", ""), f.ControlInput,
			made("230 V", "", "")),
		danger("a drive made for direct current on the mains", sound("treadmill motor on a wood lathe"),
			made("24-48 V", "", ""), f.ControlInput, made("110-127 V", "", "")),
	}
}

// dangersOfFastWheels are spindles that can turn faster than they, or what is on them, ever did.
func dangersOfFastWheels() []Danger {
	old := sound("lathe's old motor and cone replaced, no faster than it was")
	return []Danger{
		danger("a spindle faster than its old motor and cone ever turned it", old, func(in *plan.Input) {
			*stepOf(in) = reduction.DescribedStep{Driver: "140 mm", Driven: "90 mm"}
		}, f.WorkFasterThanEver, func(in *plan.Input) {
			*stepOf(in) = reduction.DescribedStep{Driver: "90 mm", Driven: "120 mm"}
		}),
	}
}

// Blank is a sound plan without one entry that its answer hangs on.
type Blank struct {
	What  string
	Input plan.Input
	Asks  string // the field the answer names as still to be entered
}

// Blanks are plans that may be sound or not: one entry decides, and it is not there.
func Blanks() []Blank {
	blank := func(what, of, asks string, change func(*plan.Input)) Blank {
		in := Copied(sound(of))
		change(&in)
		return Blank{what, in, asks}
	}
	const lathe, mill = "lathe, 1.5 kW, on an inverter", "fruit mill out in the yard, closed and watched"
	return []Blank{
		blank("the conductor was never entered", lathe, "supply.wire", func(in *plan.Input) {
			in.Plan.Supply.Wire = ""
		}),
		blank("the breaker was never entered", lathe, "supply.breaker",
			func(in *plan.Input) { in.Plan.Supply.Breaker = "" }),
		blank("the drive's amps were never read", lathe, "control.amps", func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "", ""
		}),
		blank("a wheel nobody measured", lathe, "reduction.stages[0].steps[0].driven",
			func(in *plan.Input) { stepOf(in).Driven = "" }),
		blank("nobody said what is between motor and spindle", "worm-geared mixer", "reduction.stages",
			func(in *plan.Input) { in.Plan.Reduction.Stages = nil }),
		blank("a ratio, and nobody said of what", lathe, "reduction.stages[0].kind", func(in *plan.Input) {
			in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Given, Guarded: true,
				Steps: []reduction.DescribedStep{{Driver: "2.4"}}}}
		}),
		blank("a lathe's chuck without its marked speed", lathe, "machine.limits.marked",
			func(in *plan.Input) { in.Machine.Limits.Spindle = "" }),
		blank("a polisher's wheel that turns 5600 rpm", lathe, "machine.limits.spindle",
			func(in *plan.Input) {
				in.Machine.Kind, in.Machine.Limits.Spindle = "other", ""
				*stepOf(in) = reduction.DescribedStep{Driver: "200 mm", Driven: "50 mm"}
			}),
		blank("no kind of machine", "conveyor on a fused lead of 1.25 mm²", "machine.kind",
			func(in *plan.Input) { in.Machine.Kind = "" }),
		blank("a mill nobody said is wet or dry", mill, "machine.place.wet",
			func(in *plan.Input) { in.Machine.Place.Wet = "" }),
		blank("sanding with brushes, and nobody said whether in dust", "belt grinder, 1.1 kW on a PWM drive",
			"machine.place.dust", func(in *plan.Input) { in.Machine.Place.Dust = "" }),
		blank("a drill's motor whose protector nobody looked at", "drill on its own two-step cone",
			"motor.plate.protector", func(in *plan.Input) { in.Plan.Motor.Plate.Protector = "" }),
		blank("no current limit on a drive far larger than its motor", "small mill, its spindle by a V belt",
			"control.limitAmps", func(in *plan.Input) {
				in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "30 A", ""
			}),
		blank("windings linked for 230 V on a drive for 400 V, and nobody said from which hertz",
			"the same on three phases", "control.baseHertz", func(in *plan.Input) {
				in.Plan.Motor.Plate.Links = "low"
				in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "7 A", "6 A"
			}),
		blank("a strong motor's pulley held nobody says how", lathe, "reduction.stages[0].onDriven.held",
			func(in *plan.Input) { stageOf(in).OnDriven.Held = "" }),
	}
}
