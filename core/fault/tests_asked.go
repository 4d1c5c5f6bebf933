package fault

// askedTests are what is remembered: nothing is touched.
var askedTests = []Test{
	ask("when-trips", "When exactly does it trip?", "trips-now trips-later trips-again fuse over-amps", always,
		"As you remember it: do not try it again for this.",
		out("plugged", "as soon as it has power, before it is started",
			"Ahead of the switch, or in the {drive|drive}{!drive|box}.",
			"cord-short leak-trips? scr-shorted? water? drive-dead? socket-dead?"),
		out("switched", "the moment it is started", "Something shorts, or touches the frame.",
			"start-cap-short winding-short winding-earth armature-earth field-earth output-short chopper-shorted "+
				"scr-shorted "+
				"phase-leads accel-short? weak-breaker? water? leak-trips? fuse-quick? field-open? jammed?"),
		out("seconds", "after some seconds of humming or running up", "The start takes too long or too much.",
			"heavy-start weak-breaker long-lead start-switch-shut? start-cap jammed lost-phase fuse-quick accel-short "+
				"spindle-dry? run-cap?"),
		out("warm", "when it is warm, or after minutes", "Heat does it.",
			"overload-set overloaded fan-blocked slow-cooling cap-cold drive-hot start-switch-shut thermal-open "+
				"low-volts? "+
				"belt-tight? spindle-dry? self-reset? motor-data"),
		out("again", "only when it is started again", "It is not ready yet, or still turns.",
			"restart-turning drive-waits weak-breaker? cap-cold?")),
	ask("which-trips", "Which one tripped?", "trips-now tingle", guarded,
		"A breaker has a lever alone; a residual-current "+
			"device has a test button beside it.",
		out("breaker", "the breaker, or a fuse", "Too many amps.", "winding-short start-cap-short weak-breaker "+
			"heavy-start "+
			"long-lead cord-short? jammed scr-shorted chopper-shorted start-switch-shut phase-leads output-short? "+
			"accel-short"),
		out("residual", "the residual-current device", "Current leaks to earth.",
			"leak-trips water winding-earth armature-earth field-earth output-short? cord-short?")),
	ask("how-started", "How is it started?", "trips-now over-amps hums slow-start", always,
		"What is on it at that moment.",
		out("empty", "empty, nothing in it", "", ""),
		out("loaded", "loaded, full, or with something heavy on it", "That is hard on the motor and what protects "+
			"it.", "heavy-start")),
	ask("restart", "Does it still turn when it is started again?", "trips-again over-amps over-volts", someDrive,
		"As you remember it.",
		out("still", "no, it stands", "", ""),
		out("turning", "yes, it still turns", "The drive meets a motor that is turning.", "restart-turning!")),
	ask("switch-after", "Is there a switch between drive and motor?", "over-amps dead", inverter,
		"And was it moved while the drive ran?",
		out("none", "none, or not while it ran", "", ""),
		out("moved", "yes, while it ran", "The drive takes that for a short.", "switch-after!")),
	ask("when-starts", "When did it start?", "starts-itself", always, "As you remember it: do not try it again for "+
		"this.",
		out("power", "as power came back, or the plug went in", "Nothing kept it off.",
			"no-release contact-welded command-wired"),
		out("cooled", "some minutes after it had stopped by itself, hot", "Its protector closed again.", "self-reset!"),
		out("any", "at any time", "A contact or a command.", "contact-welded? command-wired?")),
	ask("coasts", "How does it go on?", "keeps-turning", always, "As you saw it.",
		out("slows", "it slows all the time, only for long", "Nothing drives it any more.",
			"flywheel belt-off? clutch-worn? brake-resistor key-sheared?"),
		out("driven", "it keeps its speed", "Something still drives it.",
			"contact-welded command-wired scr-shorted chopper-shorted no-volt-open?")),
	ask("which-speed", "Which of its speeds?", "one-speed", manySpeeds, "Each in turn, as you remember it.",
		out("all", "all alike", "", ""),
		out("one", "one alone is dead, the others are as they were", "What belongs to that speed alone.",
			"cap-series speed-winding speed-contact")),
	ask("loses", "When does it lose its place?", "loses-steps", stepping, "As you saw it.",
		out("fast", "on fast moves, or as one begins", "The pulses come faster than it follows.",
			"step-ramp step-phase?"),
		out("load", "under the cut", "It has too little torque for it.",
			"overloaded step-current spindle-dry step-phase?"),
		out("random", "at any time, standing too", "Pulses are lost or come in.", "step-noise loose-terminal?"),
		out("creeps", "a little more each time, never back", "Something slips.", "pulley-loose coupling-slips")),
	ask("slow-long", "How slow, and for how long?", "hot trips-later overload smell", all(hasDrive, some(brushed,
		induction)),
		"As it was used before.",
		out("short", "fast, or never long", "", ""),
		out("slow", "slow, for long", "Its own fan hardly turned.", "slow-cooling!")),
	ask("turned", "Was it turned round?", "wrong-way", always, "The motor, or what joins it to the machine, since "+
		"it last "+
		"turned the right way.",
		out("as-was", "no, all stands as it did", "", ""),
		out("round", "yes", "Seen from its other end a shaft turns the other way.", "turned-round!")),
	ask("unloaded", "Was there a load on it?", "full-at-zero rough loud", series,
		"A series motor without {belt|belt or }tool races by nature.",
		out("loaded", "it was loaded, and still ran away", "", ""),
		out("bare", "it ran bare", "It must not.", "series-unloaded!")),
}
