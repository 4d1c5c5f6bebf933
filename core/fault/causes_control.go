package fault

// controlCauses are what can be wrong with buttons, contactor, drive and what sets them.
var controlCauses = []Cause{
	cause("estop-latched", always, 6, "dead!", "Stop button is latched, or its contact broken",
		"stop button", "Release it.").or("A new contact block where it stays open."),
	cause("enable-open", always, 5, "dead! zero-first", "{drive|Enable loop}{!drive|Start button, or a lead of its "+
		"loop,} is open",
		"{drive|enable wiring}{!drive|start button}",
		"Close it: {thermal|start, stop and thermal switch}{!thermal|start and stop} in series, each looked at.").
		or("A new contact block where one stays open."),
	cause("relay-tripped", overloadRelay, 4, "dead!", "Overload relay has tripped and was not reset", "overload relay",
		"Let it cool, press its reset, and find what it was asked for."),
	cause("unit-dead", supplyUnit, 5, "dead! under-volts!", "The supply unit gives nothing", "supply unit",
		"").or("One of the same volts, for the motor's amps."),
	cause("thermal-open", thermal, 3, "dead! trips-later", "Thermal switch has opened, or its lead is off",
		"thermal switch", "Let it cool and find the heat; never bridge it.").or("A new switch for the same " +
		"temperature."),
	cause("zero-start", zeroStarts, 3, "zero-first! dead", "Zero-start interlock wants the knob at zero first",
		"none: it is a guard", "Turn it to zero and start again. Keep it."),
	cause("drive-waits", hasDrive, 2, "trips-again! dead", "The drive's own cut-out wants some seconds off before it "+
		"starts again", "none: it is a guard", "Off, wait as long as its sheet says, then on; find what made it "+
		"cut out."),
	cause("restart-turning", someDrive, 2, "trips-again! over-amps over-volts",
		"It is started again while it still turns",
		"start", "Wait until it stands{inverter|, or set the drive to catch a turning motor}; with a flywheel always."),
	cause("no-volt-open", switched, 4, "dead! keeps-turning", "No-volt release does not hold in",
		"no-volt release", "Clean its contacts, measure its coil.").or("A new release of the same volts."),
	cause("contact-welded", switched, 3, "keeps-turning! starts-itself!", "Contacts are welded shut",
		"contactor", "").
		or("A new contactor for the motor's amps; look for what made it arc."),
	cause("contacts-burnt", switched, 4, "dead! hums slow-start! sags hot hunts under-volts",
		"The contactor's own contacts are burnt",
		"contactor", "Plain silver is cleaned with paper, never filed; look at what made it arc.").
		or("New contacts, or a contactor for the motor's amps."),
	cause("no-release", not(released), 3, "starts-itself!", "No no-volt release: it starts when power comes back",
		"no-volt release", "Fit one."),
	cause("overload-set", overloadRelay, 4, "trips-later! overload! trips-again!",
		"Overload relay is set under the plate's amps", "overload relay",
		"Set it to the plate's amps, no higher."),
	cause("fuse-dc", all(some(dcDrive, transformer, resistor), brushed), 4, "dead!", "Armature fuse blown",
		"armature fuse",
		"Find the short or stall; one rated for direct current."),
	cause("knob-swapped", hasKnob, 3, "full-at-zero! zero-first!", "Knob's ends are swapped",
		"knob wiring", "{plug|Unplugged}{battery|Isolated}: exchange the two outer wires of the knob; its middle "+
			"one stays."),
	cause("knob-open", hasKnob, 4, "full-at-zero! hunts dead", "Knob's low end or wiper is open", "knob",
		"Remake the lead.").or("A new knob with an insulated shaft."),
	cause("knob-worn", hasKnob, 5, "hunts! zero-first tacho", "Knob's track is worn or dirty", "knob",
		"Spray cleaner helps for a week.").or("A new one of the same ohms, linear."),
	cause("knob-log", hasKnob, 2, "slow-fast! top-low!", "Knob has a logarithmic track", "knob",
		"").or("A linear one of the ohms asked for."),
	cause("min-trim", someDrive, 4, "slow-fast! zero-first full-at-zero",
		"{inverter|Lowest hertz are}{!inverter|Low trim is} set too high", "slow end",
		"Turn it down until it just stands or just turns."),
	cause("min-trim-low", someDrive, 3, "zero-first! dead", "{inverter|Lowest hertz are}{!inverter|Low trim is} "+
		"set too low: the "+
		"{knob|knob's}{!knob|range's} start does nothing", "slow end", "Raise it until it just turns."),
	cause("max-trim", dcDrive, 5, "top-low!", "Top trim is set low",
		"top trim", "Set it for the plan's top speed, not past a marked one."),
	cause("top-hertz", inverter, 5, "top-low!", "The drive's highest hertz is set below its full hertz",
		"highest hertz", "To the plan's top hertz, not past a marked speed."),
	cause("limit-low", hasDrive, 5, "sags! slow-start! over-amps", "Current limit is set too low",
		"current limit", "Set it by the settings sheet."),
	cause("limit-high", all(hasDrive, magnets), 2, "sparks! smell over-amps! hot",
		"Current limit is set too high", "current limit", "Down to what magnets and plate bear."),
	cause("sense-resistor", dcDrive, 3, "sags! slow-start! over-amps hot sparks",
		"The drive still has the plug-in resistor "+
			"of another motor", "drive's plug-in resistor", "The one its sheet gives for this motor's power."),
	cause("ir-high", dcDrive, 4, "hunts!", "IR compensation is set too high", "IR trim",
		"Back until it stops hunting, and a little more."),
	cause("ir-low", dcDrive, 4, "sags!", "IR compensation is at nothing", "IR trim",
		"Up until it hunts, then back off."),
	cause("link-volts", dcDrive, 3, "top-low! full-at-zero slow-fast", "Armature volts link is for "+
		"another motor", "armature link", "Set it for the motor's volts."),
	cause("scr-shorted", phaseAngle, 2, "full-at-zero! fuse! trips-now! keeps-turning!",
		"A thyristor has shorted", "drive", "Find what killed it first.").or("Another bridge or drive."),
	cause("scr-open", phaseAngle, 2, "sags top-low! hunts loud", "A thyristor no longer fires: half the "+
		"wave is gone", "drive", "Remake its gate lead if that is off.").or("Another bridge or drive."),
	cause("chopper-shorted", chopper, 2, "full-at-zero! keeps-turning! fuse!",
		"The drive's transistor has shorted", "drive", "A new transistor, and what it lacked: fuse, freewheel, "+
			"heatsink.").
		or("Another drive."),
	cause("drive-dead", hasDrive, 3, "dead! fuse under-volts", "Drive has failed", "drive",
		"By its lamps and its maker's table.").or("Another drive of the same kind and amps."),
	cause("drive-hot", hasDrive, 3, "trips-later! overload hot trips-again", "Drive overheats in its box",
		"drive's cooling", "Vents clear, fan turning, box larger or not in the sun."),
	cause("accel-short", someDrive, 3, "over-amps! trips-now",
		"Acceleration is set too short", "acceleration", "Longer, by what turns."),
	cause("decel-short", inverter, 4, "over-volts!", "Deceleration is set too short for what turns",
		"deceleration", "Longer{!brake-resistor|, or a brake resistor}."),
	cause("brake-resistor", brakeResistor, 3, "over-volts! smell keeps-turning", "Brake resistor is open",
		"brake resistor", "Remake its lead if that is off.").or("One of the same ohms and watts."),
	cause("base-hertz", inverter, 3, "top-low! hot! over-amps sags", "Base hertz or volts set wrong for "+
		"the plate", "base hertz", "From the plate, as the settings sheet has them."),
	cause("motor-data", inverter, 2, "overload! trips-later sags", "Motor's amps set wrong in the drive",
		"motor amps", "From the plate."),
	cause("carrier-whine", inverter, 3, "loud!", "The drive's switching frequency is low: it sings",
		"switching frequency",
		"A step higher, if the drive's heat allows; it does no harm as it is."),
	cause("switch-after", inverter, 2, "over-amps! dead", "A switch between drive and motor was opened "+
		"while it ran", "switch", "Take it out; stop by the enable.").where(switchAfter),
	cause("output-short", hasDrive, 2, "over-amps! trips-now! fuse!", "Leads to the motor touch each "+
		"other or the frame", "motor lead", "Cut back what is chafed and glanded anew.").or("A new lead, away from " +
		"edges."),
	cause("command-wired", hasDrive, 3, "dead! starts-itself! one-way keeps-turning!",
		"Start and stop wired latching for momentary, or the other way", "command wiring",
		"Wire it as the drive is set."),
	cause("reverse-contact", reversible, 3, "one-way! wrong-way dead!", "A contact of the reversing switch "+
		"is open", "reversing switch", "").
		or("A new switch{brush|; direct current burns contacts made for alternating}."),
	cause("leads-crossed", leadsTurnIt, 4, "wrong-way!", "Motor's leads are crossed", "motor leads", turnsRound),
	cause("direction-set", some(inverter, brushless, stepping), 3, "wrong-way!",
		"The drive's direction is set the other way",
		"direction setting", "Set it in the drive, standing; nothing screwed on may turn backwards."),
	cause("feedback-off", tachoDrive, 4, "full-at-zero! hunts! tacho!", "Tachometer's lead is off or "+
		"the wrong way about", "tachometer lead", "Remake it; without it the drive runs away."),
	cause("ripple", tachoDrive, 2, "hunts! tacho!", "Tachometer's coupling slips, or its own ripple is fed in",
		"tachometer coupling", "Tighten it; filter the signal a little."),
	cause("meter-noise", hasDrive, 3, "tacho!", "The meter is upset by the drive", "meter",
		"True rms, its own supply, a screened lead away from the motor's; read again with the drive off."),
	cause("bldc-sensors", hall, 4, "hums! hunts! one-way dead", "A Hall sensor or its lead has failed",
		"sensor lead", "Remake the plug.").or("A new sensor of the same kind, glued where the old one was."),
	cause("bldc-phase", brushless, 3, "hums! rough! over-amps wrong-way",
		"A lead to the motor is off, or not where the "+
			"drive's sheet has it", "motor lead", "As the drive's sheet has it, colour by colour; never tried out by "+
			"turns."),
	cause("step-current", stepping, 4, "hums! sags! loses-steps!", "Step driver's current is set low",
		"driver current", "By the motor's plate."),
	cause("step-ramp", stepping, 4, "hums! sags loses-steps!", "Pulses come too fast at once", "ramp",
		"Ramp them up; more volts on the driver."),
	cause("step-noise", stepping, 3, "loses-steps!", "Pulses are lost, or others come in, on the pulse leads",
		"pulse lead", "Screened, twisted, away from the motor's; the signal's common joined once."),
	cause("step-phase", stepping, 3, "hums! rough! one-way loses-steps", "A step phase is open", "phase lead",
		"Remake the lead.").or("Another motor where it is open inside."),
	cause("variac-brush", transformer, 4, "dead! hunts! smell", "Transformer's brush is worn",
		"transformer brush", "Clean the track.").or("A new brush of the same grade."),
	cause("bridge-open", bridged, 3, "dead! sags! top-low!",
		"A diode of the bridge has gone", "bridge", "").or("A bridge of twice the amps."),
	cause("resistor-open", resistor, 3, "dead! smell", "Series resistor is burnt out", "resistor",
		"").or("One for the watts, in the open."),
	cause("cap-small", capacitors, 3, "hums! spun! slow-start! hot", "The capacitor chosen is too small "+
		"to start it", "capacitor", "The next larger; none that does not start it each time."),
	cause("cap-series", capacitors, 4, "one-speed!", "The capacitor in series with that speed has gone",
		"capacitor", "").or("One of the same µF, for running, of as many volts."),
	cause("speed-contact", manySpeeds, 4, "one-speed!", "The speed switch makes no contact at that speed",
		"speed switch", "Clean and set its contact.").or("A new switch for the motor's amps."),
}
