package fault

// poweredTests have something switched on: watched with all shut, or a meter on what is live.
var poweredTests = []Test{
	test("spin-start", "Does it start when spun{belt|, belt off}?", Watched, 2, all(onePhase, not(shadedPole)),
		"{belt|Belt off. }"+
			"Spin the bare shaft with a cord, let go, then switch on for a second. Never by hand near a cutter.",
		says("it starts by itself, without a spin"),
		out(sound, "it starts by itself{belt| without a belt}", "The machine is what holds it.",
			"jammed spindle-dry belt-tight overloaded brake-drags long-lead low-volts heavy-start"),
		out("either", "it starts whichever way it is spun", "Its start winding does nothing.",
			"start-cap run-cap start-switch-open start-winding cap-cold cap-small"),
		out("hums", "it hums whatever is done", "Main winding or bearings.", "winding-open bearing-motor? low-volts?")),
	test("bare", "Run it with the belt off", Watched, 3, all(belted, not(series)), "Belt off, motor clamped. "+
		"{knob|Knob from the low end up.}",
		func(v *view) string { return "smooth, up to " + v.topSpeed() },
		out(sound, "it runs as it should", "What it drives is wrong, not the motor.",
			"@reduction @work heavy-start sense-resistor limit-low overload-set"),
		out("same", "the same without a belt", "Motor, {drive|drive }or supply.",
			"@supply @control @motor resonance?")).
		under("hums spun slow-start hunts sags top-low slow-fast shakes rough hot loud"),
	test("listen", "Listen as it slows", Watched, 1, startSwitch, "Switch off from full speed: a click at about "+
		"three quarters of it.", says("one clear click"),
		out(sound, "it clicks", "", ""), out("no-click", "no click", "The switch does not move.",
			"start-switch-open start-switch-shut")).under("spun slow-start smell trips-later hot rough loud"),
	test("socket", "Something else on the same socket", Watched, 2, oneLine, "A lamp, then a heater.",
		says("both work, and the lamp hardly dims"),
		out(sound, "both work", "", ""),
		out("nothing", "nothing works", "", "socket-dead!"),
		out("dims", "the lamp dims with the heater", "It sags.", "low-volts long-lead? loose-terminal?")),
	test("lamps", "The drive's lamps and codes", Watched, 1, hasDrive, "Read them before it is reset, in its "+
		"maker's table.", says("power on, no fault"),
		out(sound, "power on, no fault", "", ""),
		out("none", "nothing lights at all", "Nothing comes in, or it has failed.",
			"drive-dead socket-dead plug-fuse battery-fuse isolator-open loose-terminal? "+
				"unit-dead lost-phase?"),
		out("enable", "it waits to be enabled", "", "enable-open zero-start thermal-open estop-latched? "+
			"command-wired? drive-waits?"),
		out("amps", "over-current", "", "accel-short output-short winding-short? jammed? limit-low? switch-after "+
			"bldc-phase? base-hertz? restart-turning? armature-earth?"),
		out("volts", "over-volts", "", "decel-short brake-resistor flywheel restart-turning?"),
		out("low", "under-volts", "", "low-volts long-lead? lost-phase? flat-battery? loose-terminal? drive-waits?"),
		out("load", "overload", "", "overloaded motor-data spindle-dry? drive-hot? slow-cooling")),
	test("trims", "Trims, a little at a time", Watched, 4, dcDrive, "Low trim, top trim, limit and IR, "+
		"each noted first, a little up and back, by an insulated tool through its hole.",
		says("each does what the settings sheet says"),
		out(sound, "each does what it should", "", ""),
		out("low", "the low trim puts it right", "", "min-trim! min-trim-low!"),
		out("top", "the top trim puts it right", "", "max-trim!"),
		out("ir", "the IR trim puts it right", "", "ir-high! ir-low!"),
		out("limit", "the limit puts it right", "", "limit-low limit-high?")),
	test("low-hertz", "The drive's lowest hertz", Watched, 2, inverter,
		"Read it off its panel beside the settings sheet.",
		says("as the settings sheet has it"),
		out(sound, "as the sheet has it", "", ""), out("high", "higher", "It never goes slower.", "min-trim!"),
		out("low", "lower", "It does not turn yet there.", "min-trim-low!")),
	test("zero-back", "Knob to zero, then start", Watched, 1, zeroStarts,
		"Knob to its low end, start, then turn it up.",
		says("it starts whatever the knob was at, or only from zero where that is a guard"),
		out(sound, "it makes no difference", "", ""), out("runs", "then it runs", "Its guard wants that.",
			"zero-start!")).
		under("dead zero-first"),
	test("wait", "Off for a minute, then on", Watched, 2, hasDrive, "Supply off as long as the drive's sheet says, "+
		"a minute if it "+
		"says nothing; then on and start.", says("it starts at once, as always"),
		out(sound, "it makes no difference", "", ""), out("runs", "then it starts", "Its cut-out wanted that.",
			"drive-waits!")).
		under("trips-again dead"),
	test("pulse", "Watch the amps pulse", Watched, 3, induction, "{drive|The drive's or a}{!drive|A} built-in "+
		"ammeter's needle, "+
		"under a steady load.",
		says("steady"),
		out(sound, "steady", "", ""),
		out("pulses", "it swings slowly to and fro", "Bars of its rotor.", "rotor-bar!")).
		under("sags slow-start rough hunts loud"),
	test("other-speed", "Is it one speed only?", Watched, 3, manyWays, "Slowly through its speeds, from outside the "+
		"plane it turns in.", says("smooth at every speed"),
		out(sound, "smooth", "", ""),
		out("band", "in one band only", "It rings.", "resonance!"),
		out("grows", "worse the faster", "It is out of balance or bent.", "unbalanced bent-shaft pulley-loose? "+
			"magnet-loose?")).under("shakes rough loud"),
	test("noise", "What is it that is loud?", Watched, 3, always, "Listen from where you may stand while it runs, "+
		"then while it "+
		"slows; never a hand or a rod to what turns.", says("nothing louder than it was"),
		out(sound, "nothing louder than it was", "", ""),
		out("motor", "the motor, and it goes down with the speed", "Its bearings{gearbox|, gears} or fan.",
			"bearing-motor gearbox-dry fan-rubs commutator? rotor-bar? magnet-loose"),
		out("hum", "the motor, and it is gone the moment it is off", "Something electrical.",
			"run-cap phase-leads scr-open "+
				"start-switch-shut winding-short? rotor-bar?"),
		out("reduction", "between motor and spindle", "{belt|Belt, }{chained|chain, }wheel{geared| or gears}.",
			"chain-slack gear-dry belt-worn misaligned pulley-loose belt-tight? gear-stripped? key-sheared?"),
		out("spindle", "the spindle", "Its bearings.", "spindle-dry unbalanced? bent-shaft?"),
		out("drive", "a whistle, the same at every speed", "The drive's own switching.", "carrier-whine!"),
		out("cover", "a rattle of metal sheet", "A cover or guard.", "loose-cover! resonance?")).under("loud rough " +
		"squeal"),
	test("drive-off", "Read the meter with the drive off", Watched, 2, hasDrive, "Coasting, or turned by hand: "+
		"does the reading come right?", says("the same speed with the drive off"),
		out(sound, "it reads the same", "", "ripple? feedback-off?"), out("right", "it comes right",
			"The drive upsets the meter.", "meter-noise! no-earth?")).under("tacho"),
	test("warm-rest", "Let it cool, try again", Watched, 30, always, "Half an hour, then the same work.",
		says("it does not trip in the first minutes"),
		out(sound, "it makes no difference", "", ""), out("cold-good", "it goes well until it is warm",
			"Heat does it.", "overloaded fan-blocked slow-cooling self-reset drive-hot cap-cold start-switch-shut? "+
				"thermal-open? winding-short? overload-set")).under("trips-later trips-again overload hot"),
	test("swap-load", "A lighter cut, or none", Watched, 2, always, "The same speed with half the work.",
		says("it then holds its speed"),
		out(sound, "it makes no difference", "", ""), out("helps", "it holds", "It is asked for too much, or has "+
			"less to give.", "overloaded belt-loose belt-oily limit-low magnets-weak ir-low flat-battery "+
			"overload-set heavy-start "+
			"sense-resistor step-current?")).under("sags hot trips-later overload smell over-amps loses-steps squeal"),
	test("unit", "The supply unit's output", Live, 4, supplyUnit, "Across its output, with nothing but a meter on it.",
		says("its marked volts"),
		out(sound, "its marked volts", "", ""), out("none", "nothing, or far fewer", "It has failed.",
			"unit-dead!")).read(),
	test("volts-in", "Volts at the {drive|drive}{!drive|switch}", Live, 5, always,
		"At its own input terminals, idle and as it "+
			"starts.", func(v *view) string {
			return v.supplyVolts() + ", and no less than nine tenths of it as it " +
				"starts"
		},
		out(sound, "right, also as it starts", "", ""),
		out("none", "none", "", "socket-dead plug-fuse loose-terminal? estop-latched? no-volt-open? battery-fuse "+
			"isolator-open unit-dead relay-tripped? "+
			"contacts-burnt?"),
		out("low", "low at rest already", "", "low-volts! flat-battery"),
		out("sag", "it falls far as it starts", "", "long-lead low-volts? loose-terminal flat-battery? "+
			"battery-terminals"),
		out("phase", "one phase is missing", "", "lost-phase!")).read(),
	test("volts-out", "Volts to the motor", Live, 5, some(dcDrive, inverter, transformer),
		"At its output, {knob|knob from low to full}{!knob|from low to full}. A true-rms meter{inverter|; an "+
			"inverter's needs one "+
			"made for it}.",
		func(v *view) string { return "from nothing evenly up to " + v.plateVolts() },
		out(sound, "right", "The motor or what it drives is wrong.", "@motor @reduction @work"),
		out("none", "none", "", "drive-dead! enable-open fuse-dc? knob-open? zero-start"),
		out("full", "full at once", "", "scr-shorted chopper-shorted knob-swapped knob-open feedback-off"),
		out("half", "about half at {knob|full knob}{!knob|the most}", "",
			"scr-open! link-volts? max-trim? bridge-open")).read(),
	test("amps", "Amps of the motor at work", Live, 4, always, "A clamp round one lead, the box shut: one that "+
		"reads direct current where that is what flows.",
		func(v *view) string { return "no more than " + v.plateAmps() },
		out(sound, "within the plate's", "", ""),
		out("over", "over the plate's", "It works too hard, or is wrong inside.",
			"overloaded spindle-dry? belt-tight winding-short? magnets-weak base-hertz? brake-drags "+
				"start-switch-shut run-cap lost-phase?"),
		out("uneven", "{three-phase|its three leads}{!three-phase|readings} differ", "",
			"lost-phase winding-short phase-leads")).read().
		under("hot trips-later overload over-amps sags smell slow-start trips-again"),
	test("direction", "Which way it turns", Watched, 1, always, "On and off at once.",
		says("the way the machine wants"),
		out(sound, "the right way", "", ""), out("wrong", "the wrong way", "",
			"leads-crossed direction-set reverse-contact? "+
				"bldc-phase shading-way!")).under("wrong-way one-way"),
}
