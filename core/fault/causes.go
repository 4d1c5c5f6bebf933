package fault

import f "jiriki/core/finding"

// Cause is something a line can have wrong with it.
type Cause struct {
	ID      string    `json:"id"`
	Words   string    `json:"words"`
	Station f.Station `json:"station" enum:"supply,control,motor,reduction,work"`
	Mend    string    `json:"mend" doc:"What puts it right"`
	Part    string    `json:"part" doc:"The part that is mended or replaced, as the log names it"`

	has      predicate
	common   float64 // how often such a thing happens, against the others [common practice]
	symptoms string  // IDs; those it mostly shows come with a mark
}

// shows is how likely a cause shows a symptom.
func (c *Cause) shows(symptom string) float64 {
	switch {
	case hasWord(c.symptoms, symptom+"!"):
		return 0.6
	case hasWord(c.symptoms, symptom):
		return 0.18
	}
	return 0.002
}

func cause(id string, station f.Station, has predicate, common float64, symptoms, words, part, mend string) Cause {
	return Cause{id, words, station, mend, part, has, common, symptoms}
}

// causes are all there are. What is common comes from practice, and moves with each look.
var causes = []Cause{
	// Supply.
	cause("socket-dead", f.Supply, onMains, 8, "dead!", "No volts at the socket: breaker off, or the "+
		"residual-current device has tripped", "socket",
		"Find what tripped it before it is put back; fixed wiring is a licensed electrician's."),
	cause("plug-fuse", f.Supply, onMains, 6, "dead! fuse", "Fuse in plug or box blown", "fuse",
		"Find why it blew, then one of the same rating and kind."),
	cause("loose-terminal", f.Supply, always, 5, "dead slow-start sags under-volts! smell hunts",
		"A loose or burnt terminal on the way in", "terminal",
		"Unplugged: cut back, remake and tighten."),
	cause("long-lead", f.Supply, onMains, 4, "slow-start! sags under-volts! hums trips-later",
		"Too long or thin a lead, or a coiled one", "lead",
		"A short lead of its own, thick enough, uncoiled."),
	cause("weak-breaker", f.Supply, onMains, 2, "trips-now trips-later! trips-again!", "The breaker is too small "+
		"or of too quick a type for the start", "breaker",
		"An electrician fits one for motors, if the cable bears it."),
	cause("leak-trips", f.Supply, onMains, 3, "trips-now! tingle", "Current leaks to earth: damp, or a drive's "+
		"filter on the wrong residual-current device", "residual-current device",
		"Test insulation; with a drive, the right type of device and no shared one."),
	cause("no-earth", f.Supply, onMains, 2, "tingle! tacho", "The frame is not earthed", "earth conductor",
		"Earth it, pin to frame, under half an ohm, before anything else."),
	cause("lost-phase", f.Supply, threePhases, 3, "hums! slow-start trips-later! hot overload! under-volts",
		"One phase is missing", "fuse or contact of one phase",
		"Measure all three at the terminals; mend the fuse, contact or lead that is open."),
	cause("low-volts", f.Supply, onMains, 2, "slow-start sags top-low under-volts! hums hot",
		"Low volts at the socket", "supply", "Measure under load; tell the supplier, or move socket."),
	cause("flat-battery", f.Supply, onBattery, 8, "dead! sags! top-low! slow-start under-volts!",
		"Battery flat or old", "battery", "Charge it and test it under load; replace it if it sags."),
	cause("battery-terminals", f.Supply, onBattery, 4, "dead sags! slow-start under-volts smell",
		"Battery terminals loose or furred", "battery terminals", "Clean, tighten, a little grease."),
	cause("battery-fuse", f.Supply, onBattery, 4, "dead! fuse!", "Battery fuse blown", "fuse",
		"Find why, then one of the same rating for direct current."),
	// Control, any.
	cause("estop-latched", f.Control, always, 6, "dead!", "Stop button is latched, or its contact broken",
		"stop button", "Release it; replace the contact block."),
	cause("enable-open", f.Control, hasDrive, 5, "dead! zero-first", "Enable loop is open", "enable wiring",
		"Close it: start, stop and thermal switch in series, each looked at."),
	cause("thermal-open", f.Control, thermal, 3, "dead! trips-later", "Thermal switch has opened, or its lead is off",
		"thermal switch", "Let it cool and find the heat; never bridge it."),
	cause("zero-start", f.Control, all(hasDrive, hasKnob), 3, "zero-first! dead", "Zero-start interlock wants the "+
		"knob at zero first", "none: it is a guard", "Turn it to zero and start again. Keep it."),
	cause("no-volt-open", f.Control, contactor, 4, "dead! keeps-turning", "No-volt release does not hold in",
		"no-volt coil", "Clean its contacts, measure its coil; replace it."),
	cause("contact-welded", f.Control, contactor, 2, "keeps-turning! starts-itself!", "Contacts are welded shut",
		"contactor", "Pull the plug and replace it; never file and trust it."),
	cause("contacts-burnt", f.Control, contactor, 3, "dead! hums slow-start! sags hot", "Contacts burnt",
		"contactor", "Replace it; look at what made it arc."),
	cause("no-release", f.Control, always, 2, "starts-itself!", "No no-volt release: it starts when power comes back",
		"no-volt release", "Fit one."),
	cause("overload-set", f.Control, contactor, 3, "trips-later! overload! trips-again!",
		"Overload relay is set under the plate's amps", "overload relay",
		"Set it to the plate's amps, no higher."),
	cause("fuse-dc", f.Control, all(dcDrive, brushed), 4, "dead! fuse!", "Armature fuse blown", "armature fuse",
		"Find the short or stall; one rated for direct current."),
	cause("knob-swapped", f.Control, hasKnob, 3, "full-at-zero! zero-first!", "Knob's ends are swapped",
		"knob wiring", "Unplugged: swap the two outer leads; the wiper stays."),
	cause("knob-open", f.Control, hasKnob, 4, "full-at-zero! hunts dead", "Knob's low end or wiper is open", "knob",
		"Remake the lead, or a new knob with an insulated shaft."),
	cause("knob-worn", f.Control, hasKnob, 5, "hunts! zero-first tacho", "Knob's track is worn or dirty", "knob",
		"Replace it; spray cleaner helps for a week."),
	cause("knob-log", f.Control, hasKnob, 2, "slow-fast! top-low!", "Knob has a logarithmic track", "knob",
		"A linear one of the ohms asked for."),
	cause("min-trim", f.Control, some(dcDrive, inverter), 4, "slow-fast! zero-first full-at-zero",
		"Low trim is set too high", "low trim", "Turn it down until it just stands or just turns."),
	cause("min-trim-low", f.Control, some(dcDrive, inverter), 3, "zero-first! dead", "Low trim is set too low: the "+
		"knob's start does nothing", "low trim", "Raise it until it just turns."),
	cause("max-trim", f.Control, some(dcDrive, inverter), 5, "top-low!", "Top trim, or highest hertz, is set low",
		"top trim", "Set it for the plan's top speed, not past a marked one."),
	cause("limit-low", f.Control, hasDrive, 5, "sags! slow-start! over-amps", "Current limit is set too low",
		"current limit", "Set it by the settings sheet."),
	cause("limit-high", f.Control, all(hasDrive, magnets), 2, "sparks! smell over-amps! hot",
		"Current limit is set too high", "current limit", "Down to what magnets and plate bear."),
	cause("ir-high", f.Control, dcDrive, 4, "hunts!", "IR compensation is set too high", "IR trim",
		"Back until it stops hunting, and a little more."),
	cause("ir-low", f.Control, dcDrive, 4, "sags!", "IR compensation is at nothing", "IR trim",
		"Up until it hunts, then back off."),
	cause("link-volts", f.Control, dcDrive, 3, "top-low! full-at-zero slow-fast", "Armature volts link is for "+
		"another motor", "armature link", "Set it for the motor's volts."),
	cause("scr-shorted", f.Control, phaseAngle, 2, "full-at-zero! fuse trips-now! keeps-turning!",
		"A thyristor has shorted", "drive", "Replace drive or bridge; find what killed it."),
	cause("scr-open", f.Control, phaseAngle, 2, "sags top-low! hunts", "A thyristor no longer fires: half the "+
		"wave is gone", "drive", "Replace drive or bridge."),
	cause("chopper-shorted", f.Control, chopper, 2, "full-at-zero! keeps-turning! fuse",
		"Chopper's transistor has shorted", "drive", "Replace it; add what it lacked: fuse, freewheel, heatsink."),
	cause("drive-dead", f.Control, hasDrive, 3, "dead! fuse under-volts", "Drive has failed", "drive",
		"By its lamps and its maker's table; replace it."),
	cause("drive-hot", f.Control, hasDrive, 3, "trips-later! overload hot", "Drive overheats in its box",
		"drive's cooling", "Vents clear, fan turning, box larger or not in the sun."),
	cause("accel-short", f.Control, some(inverter, dcDrive), 3, "over-amps! trips-now",
		"Acceleration is set too short", "acceleration", "Longer, by what turns."),
	cause("decel-short", f.Control, inverter, 4, "over-volts!", "Deceleration is set too short for what turns",
		"deceleration", "Longer, or a brake resistor."),
	cause("brake-resistor", f.Control, inverter, 2, "over-volts! smell keeps-turning", "Brake resistor is open",
		"brake resistor", "Measure it cold and unplugged, minutes later; replace it."),
	cause("base-hertz", f.Control, inverter, 3, "top-low! hot! over-amps sags", "Base hertz or volts set wrong for "+
		"the plate", "base hertz", "From the plate, as the settings sheet has them."),
	cause("motor-data", f.Control, inverter, 2, "overload! trips-later sags", "Motor's amps set wrong in the drive",
		"motor amps", "From the plate."),
	cause("switch-after", f.Control, inverter, 2, "over-amps! dead", "A switch between drive and motor was opened "+
		"while it ran", "switch", "Take it out; stop by the enable."),
	cause("output-short", f.Control, hasDrive, 2, "over-amps! trips-now fuse", "Leads to the motor touch each "+
		"other or the frame", "motor lead", "New lead, glanded, away from edges."),
	cause("command-wired", f.Control, hasDrive, 3, "dead! starts-itself! one-way keeps-turning!",
		"Start and stop wired latching for momentary, or the other way", "command wiring",
		"Wire it as the drive is set."),
	cause("reverse-contact", f.Control, reversible, 3, "one-way! wrong-way", "A contact of the reversing switch "+
		"is open", "reversing switch", "Replace it; direct current burns contacts made for alternating."),
	cause("leads-crossed", f.Control, always, 4, "wrong-way!", "Motor's leads are crossed", "motor leads",
		"Unplugged: swap two of them."),
	cause("feedback-off", f.Control, tachoFed, 4, "full-at-zero! hunts! tacho!", "Tachometer's lead is off or "+
		"swapped", "tachometer lead", "Remake it; without it the drive runs away."),
	cause("ripple", f.Control, tachoFed, 2, "hunts tacho!", "Tachometer's own ripple, or its coupling slips",
		"tachometer coupling", "Tighten it; filter the signal a little."),
	cause("meter-noise", f.Control, hasDrive, 3, "tacho!", "The meter is upset by the drive", "meter",
		"True rms, its own supply, a screened lead away from the motor's; read again with the drive off."),
	cause("bldc-sensors", f.Control, brushless, 4, "hums! hunts one-way dead", "A Hall sensor or its lead has failed",
		"sensor lead", "Look at all three turning by hand; remake the plug."),
	cause("bldc-phase", f.Control, brushless, 3, "hums! rough over-amps", "A phase lead is off or two are crossed "+
		"against the sensors", "phase lead", "Put it back; try the orders until it runs free at least amps."),
	cause("step-current", f.Control, stepping, 4, "hums! sags!", "Step driver's current is set low, so it "+
		"loses steps", "driver current", "By the motor's plate."),
	cause("step-ramp", f.Control, stepping, 4, "hums! sags rough", "Pulses come too fast at once", "ramp",
		"Ramp them up; more volts on the driver."),
	cause("step-phase", f.Control, stepping, 3, "hums! rough! one-way", "A step phase is open", "phase lead",
		"Unplugged: measure both; remake."),
	cause("variac-brush", f.Control, transformer, 3, "dead hunts! smell", "Transformer's brush is worn",
		"transformer brush", "A new brush; clean the track."),
	cause("bridge-open", f.Control, some(transformer, resistor), 3, "dead sags! top-low",
		"A diode of the bridge has gone", "bridge", "Replace it, with one of twice the amps."),
	cause("resistor-open", f.Control, resistor, 3, "dead! smell", "Series resistor is burnt out", "resistor",
		"One for the watts, in the open."),
	cause("cap-small", f.Control, capacitors, 4, "hums! spun! slow-start hot", "The capacitor chosen is too small "+
		"to start it", "capacitor", "The next larger; none that does not start it each time."),
	// Motor.
	cause("winding-open", f.Motor, always, 3, "dead! hums! one-way", "A winding or lead inside is open", "motor",
		"Find the break at a lead if there; else a rewind, or another motor."),
	cause("winding-short", f.Motor, always, 2, "trips-now! fuse! smell! over-amps! hot",
		"Turns of a winding touch each other", "motor", "A rewind, or another motor."),
	cause("winding-earth", f.Motor, onMains, 3, "trips-now! tingle! fuse", "A winding touches the frame", "motor",
		"Dry it and test again; else a rewind, or another motor."),
	cause("start-cap", f.Motor, starting, 8, "hums! spun! slow-start! trips-later", "Start capacitor has gone",
		"start capacitor", "Discharged through a resistor: measure, replace, same µF, same volts or more."),
	cause("cap-cold", f.Motor, some(starting, running), 2, "hums! spun slow-start trips-later",
		"A capacitor that reads right cold fails warm", "capacitor", "Measure it warm, or put another in its place."),
	cause("run-cap", f.Motor, running, 7, "hums! spun! slow-start! sags hot!", "Run capacitor is weak or open",
		"run capacitor", "Discharged: measure, replace with a film one for as many volts."),
	cause("start-switch-open", f.Motor, startSwitch, 6, "hums! spun!", "Start switch never closes again",
		"start switch", "Clean contacts and weights; a new switch."),
	cause("start-switch-shut", f.Motor, startSwitch, 4, "slow-start smell! trips-later! hot! rough",
		"Start switch never opens: the start winding stays in", "start switch", "Switch off at once; free or "+
			"replace it."),
	cause("start-winding", f.Motor, onePhase, 2, "hums! spun!", "Start winding is open", "motor",
		"A rewind, or another motor."),
	cause("shading-ring", f.Motor, motors(func(k kind) bool { return k == shaded }), 2, "hums! slow-start hot",
		"A shading ring has cracked", "motor", "Another motor."),
	cause("rotor-bar", f.Motor, induction, 1, "sags! slow-start! rough hunts", "Bars of the rotor have cracked",
		"motor", "Another motor."),
	cause("brushes-short", f.Motor, brushed, 8, "dead! sparks! hunts sags slow-start", "Brushes are worn short of "+
		"the commutator", "brushes", "New ones of the same grade, bedded in."),
	cause("brush-stuck", f.Motor, brushed, 5, "dead sparks! hunts! sags", "A brush sticks in its holder, or its "+
		"spring is weak", "brush holder", "Clean holder, free brush, new spring."),
	cause("commutator", f.Motor, brushed, 4, "sparks! hunts rough smell", "Commutator dirty, high in the mica, or "+
		"out of round", "commutator", "Clean it; skim and undercut if out of round."),
	cause("armature-bar", f.Motor, brushed, 2, "sparks! sags hot smell hunts", "A coil of the armature is open or "+
		"shorted", "armature", "Another motor: it shows as one burnt bar."),
	cause("neutral-off", f.Motor, all(brushed, wound), 1, "sparks! one-way", "Brush ring is off its neutral",
		"brush ring", "Back to its mark."),
	cause("field-open", f.Motor, wound, 3, "dead full-at-zero! over-amps! fuse", "Field is open: it races or "+
		"draws amps", "field winding", "Stop at once; mend the field's lead or supply first."),
	cause("magnets-weak", f.Motor, magnets, 2, "sags! hot slow-fast over-amps", "Magnets have weakened", "motor",
		"Another motor, and a lower limit."),
	cause("magnet-loose", f.Motor, magnets, 1, "rough! shakes hums", "A magnet has come loose", "motor",
		"Open it; glue or another motor."),
	cause("bearing-motor", f.Motor, always, 5, "rough! hums slow-start hot shakes squeal",
		"Motor's bearings are dry or gone", "motor bearing", "New ones: two for both ends."),
	cause("fan-blocked", f.Motor, always, 4, "hot! trips-later smell", "Motor's vents are blocked or its fan gone",
		"motor's cooling", "Blow it clean out of doors, unplugged; a fan."),
	cause("slow-cooling", f.Motor, all(hasDrive, some(brushed, induction)), 3, "hot! trips-later overload smell",
		"It works slowly for long: its own fan hardly turns", "cooling", "A fan with its own supply, or gear it "+
			"lower."),
	cause("phase-leads", f.Motor, threePhase, 3, "hums! trips-now hot sags! rough", "Links set for the wrong "+
		"volts, star for delta or one coil reversed", "terminal links", "As the plate's diagram has it for these "+
		"volts."),
	cause("water", f.Motor, onMains, 2, "trips-now! tingle dead", "Water in the motor", "motor",
		"Dry it warm for a day, test insulation, then find the way in."),
	cause("self-reset", f.Motor, selfReset, 3, "starts-itself! trips-later!", "The motor's protector opens and "+
		"closes by itself", "protector", "Wire it into the release, or one that is reset by hand; then find the heat."),
	cause("series-unloaded", f.Motor, series, 1, "full-at-zero! rough", "A series motor without its load runs away",
		"none: its nature", "Never without its belt; a drive with a tachometer."),
	// Reduction.
	cause("belt-loose", f.Reduction, gripping, 8, "squeal! belt-dust! sags! slow-start top-low", "Belt is slack",
		"belt tension", "Tighten until it gives its own thickness at mid span."),
	cause("belt-oily", f.Reduction, gripping, 4, "squeal! sags! belt-dust", "Oil or grease on the belt", "belt",
		"Clean wheels; a new belt; find the oil."),
	cause("belt-worn", f.Reduction, belted, 6, "belt-dust! squeal! sags shakes", "Belt is worn or glazed", "belt",
		"A new one of the same length."),
	cause("belt-tight", f.Reduction, belted, 3, "hot! rough slow-start over-amps", "Belt is too tight",
		"belt tension", "Slacken it; look at the bearings."),
	cause("misaligned", f.Reduction, belted, 5, "belt-dust! squeal shakes rough", "Pulleys are out of line",
		"pulleys", "Straight edge across both faces."),
	cause("belt-off", f.Reduction, belted, 3, "keeps-turning! top-low dead", "Belt is off or broken", "belt",
		"Find why, then a new one."),
	cause("wrong-step", f.Reduction, driven, 3, "top-low! slow-fast! sags", "Belt or gear is in another position "+
		"than thought", "belt position", "Move it, unplugged."),
	cause("key-sheared", f.Reduction, driven, 4, "rough! sags keeps-turning top-low!",
		"Key sheared, or a set screw let go", "key or set screw", "New key of the right size; screw on a flat, "+
			"locked."),
	cause("pulley-loose", f.Reduction, driven, 4, "shakes! rough! belt-dust", "A wheel is loose on its shaft",
		"wheel", "Unplugged: tighten; look at bore and key."),
	cause("unbalanced", f.Reduction, always, 3, "shakes!", "Something that turns is out of balance", "what turns",
		"Balance it on knife edges; keep off that speed."),
	cause("chain-slack", f.Reduction, chained, 4, "rough! shakes", "Chain is slack, dry or stretched", "chain",
		"Clean, oil, tighten; new chain and sprockets together."),
	cause("gear-dry", f.Reduction, geared, 4, "rough! hot sags", "Gears are dry or worn", "gears",
		"Oil, shims, new gear."),
	cause("clutch-worn", f.Reduction, clutched, 5, "sags! squeal smell! slow-start keeps-turning",
		"Clutch shoes are worn or oily", "clutch shoes", "New shoes and springs; find the oil."),
	// Work.
	cause("spindle-dry", f.Work, always, 5, "slow-start! sags hot rough! squeal overload trips-later",
		"Spindle's bearings are dry, tight or gone", "spindle bearing", "Clean and grease a little; slacken the "+
			"preload, or new ones."),
	cause("jammed", f.Work, always, 5, "hums! trips-now over-amps! overload! fuse", "Something jams it", "none",
		"Unplugged: turn it by hand and clear it."),
	cause("overloaded", f.Work, always, 6, "sags! hot! trips-later! overload! smell over-amps",
		"It is asked for more than it can", "none: the work", "A lighter cut, a lower gear; the plan says how much."),
	cause("bent-shaft", f.Work, always, 2, "shakes! rough sags", "A shaft is bent", "shaft",
		"Indicate it; straighten or replace."),
	cause("resonance", f.Work, always, 3, "shakes!", "The stand rings at that speed", "stand",
		"Stiffen or weight it; skip that band on the drive."),
	cause("brake-drags", f.Work, always, 1, "slow-start sags hot smell! overload", "A brake or guard drags", "brake",
		"Free it; turn it by hand."),
	cause("flywheel", f.Work, always, 1, "keeps-turning! over-volts slow-start", "It is heavy and simply coasts",
		"none: its nature", "Keep the guard shut until it stands; a brake, if nothing is screwed on."),
}
