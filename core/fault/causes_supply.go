package fault

// supplyCauses are what can be wrong between wall or battery and control.
var supplyCauses = []Cause{
	cause("socket-dead", onMains, 8, "dead!", "No volts at the {one|socket}{three|supply}: breaker off, or the "+
		"residual-current device has tripped", "supply",
		"Find what tripped it before it is put back; fixed wiring is a licensed electrician's."),
	cause("plug-fuse", oneLine, 6, "dead!", "Fuse in plug or box blown", "fuse",
		"Find why it blew, then one of the same rating and kind."),
	cause("fuse-quick", always, 2, "fuse!", "The fuse is too small, or too quick, for a start", "fuse",
		"One that bears a start, no larger than the conductor bears: the plan's supply says which."),
	cause("cord-short", onMains, 2, "trips-now! fuse!", "The lead itself is shorted: chafed, crushed, or wet in "+
		"its {plug|plug}",
		"lead", "Cut back to sound cable and remade.").or("A new lead with strain relief."),
	cause("loose-terminal", always, 6, "dead! hums slow-start sags under-volts! smell! hunts loses-steps",
		"A lead is off, or a terminal loose or burnt, on the way in", "terminal",
		"{plug|Unplugged}{battery|Isolated}: cut back, remake and tighten.").or("A new terminal or block where it " +
		"is charred."),
	cause("isolator-open", always, 4, "dead! hums", "The isolator{one|, or plug and socket,} makes no contact",
		"isolator",
		"Off and locked, its feed dead: clean and tighten{plug|; what is ahead of it is a licensed electrician's}.").
		or("A new one for the amps."),
	cause("long-lead", onMains, 4, "slow-start! sags under-volts! hums trips-later trips-now",
		"Too long or thin a lead, or a coiled one", "lead",
		"A short lead of its own, thick enough, uncoiled.").where(leadLength),
	cause("weak-breaker", onMains, 3, "trips-now! trips-later! trips-again!", "The breaker is too small "+
		"or of too quick a curve for the start", "breaker",
		"An electrician fits one for motors, if the cable bears it.").where(breakerSize),
	cause("leak-trips", guarded, 3, "trips-now! tingle", "Current leaks to earth: damp{drive|, or a drive's "+
		"filter on the wrong residual-current device}", "residual-current device",
		"Test insulation{drive|; with a drive, the right type of device and no shared one}."),
	cause("no-earth", onMains, 2, "tingle! tacho", "The frame is not earthed", "earth conductor",
		"Earth it, {plug|pin}{!plug|supply} to frame, under half an ohm, before anything else."),
	cause("lost-phase", threePhases, 3, "hums! slow-start trips-later! hot overload! under-volts!",
		"One phase is missing", "fuse or contact of one phase",
		"Mend the fuse, contact or lead that is open; measure all three again at the terminals."),
	cause("low-volts", onMains, 2, "slow-start sags top-low under-volts! hums hot",
		"Low volts at the {one|socket}{three|supply}", "supply",
		"Measure under load; tell the supplier, or move to another circuit."),
	cause("flat-battery", onBattery, 8, "dead! sags! top-low! slow-start under-volts!",
		"Battery flat or old", "battery", "Charge it and test it under load.").or("A new one if it sags when charged."),
	cause("battery-terminals", onBattery, 4, "dead! sags! slow-start under-volts! smell",
		"Battery terminals loose or furred", "battery terminals", "Clean, tighten, a little grease.").
		or("New clamps where they are eaten."),
	cause("battery-fuse", onBattery, 4, "dead!", "Battery fuse blown", "fuse",
		"Find why, then one of the same rating for direct current."),
}
