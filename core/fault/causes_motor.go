package fault

// motorCauses are what can be wrong inside the motor and its own gearbox.
var motorCauses = []Cause{
	cause("winding-open", always, 3, "dead! hums! one-way", "A winding or lead inside is open", "motor",
		"Find the break at a lead if it is there.").or("A rewind, or another motor."),
	cause("winding-short", always, 2, "trips-now! fuse! smell! over-amps! hot loud",
		"Turns of a winding touch each other", "motor", "A rewind.").or("Another motor."),
	cause("winding-earth", not(brushed), 3, "trips-now! tingle! fuse!", "A winding touches the frame", "motor",
		"Dry it and test again; else a rewind.").or("Another motor."),
	cause("armature-earth", brushed, 3, "trips-now! tingle! fuse! over-amps!",
		"The armature touches its shaft or frame",
		"armature", "Blow out brush dust and test again; else a rewind.").or("Another armature or motor."),
	cause("field-earth", some(wound, series), 1, "trips-now! tingle! fuse!", "The field touches the frame",
		"field winding",
		"Insulate it anew where it chafes.").or("Another motor."),
	cause("start-cap", starting, 8, "hums! spun! slow-start! trips-later", "Start capacitor has gone",
		"start capacitor", "").or("Same µF, same volts or more; discharged through a " +
		"resistor before it is touched."),
	cause("start-cap-short", starting, 4, "trips-now! fuse! hums", "Start capacitor has shorted",
		"start capacitor", "").or("Same µF, same volts or more; look whether the start " +
		"switch kept it in."),
	cause("cap-cold", some(starting, running), 3, "hums! spun slow-start trips-later trips-again!",
		"A capacitor that reads right cold fails warm", "capacitor", "").
		or("Another of the same µF and volts."),
	cause("run-cap", running, 7, "hums! spun! slow-start! sags hot! loud", "Run capacitor is weak or open",
		"run capacitor", "").or("A film one of the same µF, for as many volts."),
	cause("start-switch-open", startSwitch, 6, "hums! spun!", "Start switch never closes again",
		"start switch", "Clean contacts and weights, a drop of oil on the slide.").or("A new switch."),
	cause("start-switch-shut", startSwitch, 4, "slow-start! smell! trips-later! hot! rough trips-now! loud",
		"Start switch never opens: the start winding stays in", "start switch", "Free its weights and slide.").
		or("A new switch where its contacts have welded."),
	cause("heavy-start", always, 3, "trips-now! trips-later over-amps hums slow-start!",
		"Too heavy a start: it is asked to start loaded",
		"none: how it is started", "Start it empty{belt|, or with a slacker belt}; a lighter flywheel, or a motor "+
			"that starts harder.").
		where(flywheelOn(2)),
	cause("start-winding", startWound, 2, "hums! spun!", "Start winding is open", "motor",
		"A rewind.").or("Another motor."),
	cause("speed-winding", twoSpeed, 3, "one-speed!", "The winding of that speed is open", "motor",
		"Find the break at a lead if it is there.").or("Another motor."),
	cause("shading-ring", shadedPole, 2, "hums! slow-start! hot", "A shading ring has cracked", "motor",
		"").or("Another motor."),
	cause("shading-way", shadedPole, 3, "wrong-way!", "It turns the one way its shading rings make it",
		"none: its nature",
		"No lead turns it round: its stator is put in the other way about, if its housing lets it.").or("A motor " +
		"that turns the other way."),
	cause("turned-round", always, 3, "wrong-way!", "The motor stands the other way about than it did{geared|, or a "+
		"gear more "+
		"turns its way round}", "none: how it stands", "Turn it round again, or exchange leads as its kind wants it.").
		or("A motor that turns either way."),
	cause("rotor-bar", induction, 1, "sags! slow-start! rough hunts! loud", "Bars of the rotor have cracked",
		"motor", "").or("Another motor."),
	cause("brushes-short", brushed, 8, "dead! sparks! hunts sags slow-start", "Brushes are worn short of "+
		"the commutator", "brushes", "").or("New ones of the same grade, bedded in."),
	cause("brush-stuck", brushed, 5, "dead! sparks! hunts! sags", "A brush sticks in its holder, or its "+
		"spring is weak", "brush holder", "Clean holder, free brush.").or("New springs, both."),
	cause("commutator", brushed, 4, "sparks! hunts! rough smell", "Commutator dirty, high in the mica, or "+
		"out of round", "commutator", "Clean it; skim and undercut if out of round.").or("Another armature."),
	cause("armature-bar", brushed, 2, "sparks! sags hot smell hunts", "A coil of the armature is open or "+
		"shorted", "armature", "A rewind: it shows as one burnt bar.").or("Another motor."),
	cause("neutral-off", woundOrSeries, 1, "sparks! one-way", "Brush ring is off its neutral",
		"brush ring", "Back to its mark."),
	cause("field-open", wound, 3, "dead full-at-zero! over-amps! fuse!", "Field is open: it races or "+
		"draws amps", "field winding", "Stop at once; mend the field's lead or supply first.").or("Another motor."),
	cause("magnets-weak", magnets, 2, "sags! hot slow-fast over-amps", "Magnets have weakened", "motor",
		"").or("Another motor, and a lower limit."),
	cause("magnet-loose", magnets, 1, "rough! shakes hums loud!", "A magnet has come loose", "motor",
		"Open it; glue it back where it was.").or("Another motor."),
	cause("bearing-motor", always, 5, "rough! hums! slow-start hot shakes squeal loud! belt-walks",
		"Motor's bearings are dry or gone", "motor bearing", "A drop of oil, if they are plain ones.").
		or("New ones: two, for both ends."),
	cause("fan-blocked", always, 4, "hot! trips-later! smell", "Motor's vents are blocked or its fan gone",
		"motor's cooling", "Blow it clean out of doors, {plug|unplugged}{battery|isolated}.").or("A fan with its " +
		"own supply."),
	cause("fan-rubs", always, 2, "loud! rough", "The motor's fan or its cover rubs", "motor's fan",
		"Straighten the cover, press the fan home.").or("A new fan."),
	cause("slow-cooling", all(hasDrive, some(brushed, induction)), 3, "hot! trips-later! overload! smell",
		"It works slowly for long: its own fan hardly turns", "cooling",
		"A fan with its own supply, or a slower spindle for "+
			"each turn of the motor."),
	cause("phase-leads", threePhase, 3, "hums! trips-now! hot! sags! rough loud", "Links set for the wrong "+
		"volts, star for delta or one coil reversed", "terminal links", "As the plate's diagram has it for these "+
		"volts."),
	cause("water", onMains, 2, "trips-now! tingle! dead", "Water in the motor", "motor",
		"Dry it warm for a day, test insulation, then find the way in.").or("Another motor, closed."),
	cause("self-reset", selfReset, 3, "starts-itself! trips-later!", "The motor's protector opens and "+
		"closes by itself", "protector", "Wire it into the release; then find the heat.").or("One that is reset by " +
		"hand."),
	cause("series-unloaded", series, 1, "full-at-zero! rough loud", "A series motor without its load runs away",
		"none: its nature", "Never without its {belt|belt}{!belt|load}; what watches its speed."),
	cause("gearbox-dry", gearbox, 4, "rough! hot! sags loud! slow-start", "The motor's own gearbox is dry or worn",
		"gearbox", "Fresh oil or grease of its kind, to its mark.").or("A new wheel or gearbox."),
	cause("gearbox-stripped", gearbox, 2, "no-drive! rough!", "A wheel of the motor's own gearbox is stripped",
		"gearbox", "").or("A new wheel; find what jammed it."),
}
