package fault

// drivenCauses are what can be wrong between motor and spindle.
var drivenCauses = []Cause{
	cause("belt-loose", gripping, 8, "squeal! belt-dust! sags! slow-start top-low no-drive", "Belt is slack",
		"belt tension", "Tighten until it gives its own thickness at mid span."),
	cause("belt-oily", gripping, 4, "squeal! sags! belt-dust no-drive", "Oil or grease on the belt", "belt",
		"Clean the wheels; find the oil.").or("A new belt."),
	cause("belt-worn", belted, 6, "belt-dust! squeal! sags shakes loud", "Belt is worn or glazed", "belt",
		"").or("A new one of the same length."),
	cause("belt-tight", belted, 3, "hot! rough slow-start over-amps loud", "Belt is too tight",
		"belt tension", "Slacken it; look at the bearings."),
	cause("misaligned", belted, 5, "belt-dust! squeal! shakes rough loud belt-walks!", "Pulleys are out of line",
		"pulleys", "Straight edge across both faces."),
	cause("belt-off", belted, 3, "keeps-turning no-drive! top-low dead", "Belt is off or broken", "belt",
		"Back on, once it is known why it came off.").or("A new one of the same length."),
	cause("wrong-step", stepped, 3, "top-low! slow-fast! sags", "{belt|Belt}{!belt|Drive between the shafts} is in "+
		"another position "+
		"than thought", "belt position", "Move it, {plug|unplugged}{battery|isolated}."),
	cause("key-sheared", driven, 4, "rough! sags no-drive! top-low!",
		"Key sheared, or a set screw let go", "key or set screw", "Screw on a flat, locked.").or("New key of the " +
		"right size."),
	cause("pulley-loose", driven, 4, "shakes! rough! belt-dust loses-steps! belt-walks loud",
		"A wheel is loose on its shaft",
		"wheel", "{plug|Unplugged}{battery|Isolated}: tighten; look at bore and key.").or("Another wheel where its " +
		"bore is worn."),
	cause("coupling-slips", direct, 3, "no-drive! rough! loses-steps! shakes",
		"The coupling on the motor's shaft slips",
		"coupling", "Tighten it on a flat.").or("A new coupling for the torque."),
	cause("unbalanced", always, 3, "shakes!", "Something that turns is out of balance", "what turns",
		"Balance it on knife edges; keep off that speed."),
	cause("chain-slack", chained, 4, "rough! shakes loud!", "Chain is slack, dry or stretched", "chain",
		"Clean, oil, tighten.").or("New chain and sprockets together."),
	cause("chain-off", chained, 3, "no-drive!", "Chain is off or broken", "chain",
		"Back on and tightened; a new link.").or("A new chain."),
	cause("gear-dry", geared, 4, "rough! hot sags loud!", "Gears are dry or worn", "gears",
		"Oil, shims.").or("A new gear."),
	cause("gear-stripped", geared, 2, "no-drive! rough!", "Teeth of a gear are gone", "gears",
		"").or("A new gear; find what jammed it."),
	cause("clutch-worn", clutched, 5, "sags! squeal! smell! slow-start keeps-turning no-drive!",
		"Clutch shoes are worn or oily", "clutch shoes", "Find the oil; clean drum and shoes.").or("New shoes and " +
		"springs."),
	cause("tracking-off", tracked, 5, "belt-walks!", "The tracking wheel stands askew", "tracking wheel",
		"Turn it by hand, {plug|unplugged}{battery|isolated}, and tilt the wheel until the band stays in the middle."),
	cause("band-crooked", some(tracked, flatBelted), 3, "belt-walks! shakes", "The band or flat belt is joined crooked",
		"band", "Join it anew, square.").or("A new one."),
	cause("crown-worn", some(tracked, flatBelted), 2, "belt-walks!", "The wheel has lost its crown, or dust has "+
		"built up on it",
		"wheel", "Clean it; turn a crown on it.").or("A new tyre or wheel."),
}

// workCauses are what can be wrong with the machine itself, or with what is asked of it.
var workCauses = []Cause{
	cause("spindle-dry", always, 5, "slow-start! sags hot rough! squeal overload! trips-later loud! loses-steps",
		"Spindle's bearings are dry, tight or gone", "spindle bearing", "Clean and grease a little; slacken the "+
			"preload.").or("New ones, both."),
	cause("jammed", always, 5, "hums! trips-now over-amps! overload! fuse", "Something jams it", "none",
		"{plug|Unplugged}{battery|Isolated}: turn it by hand and clear it."),
	cause("overloaded", always, 6, "sags! hot! trips-later! overload! smell over-amps loses-steps!",
		"It is asked for more than it can", "none: the work", "A lighter cut{stepped|, a slower step}; the plan "+
			"says how much."),
	cause("bent-shaft", always, 2, "shakes! rough sags belt-walks", "A shaft is bent", "shaft",
		"Indicate it; straighten.").or("Another shaft."),
	cause("resonance", always, 3, "shakes! loud", "The stand rings at that speed", "stand",
		"Stiffen or weight it{inverter|; skip that band on the drive}."),
	cause("brake-drags", always, 1, "slow-start! sags hot smell! overload!", "A brake or guard drags", "brake",
		"Free it; turn it by hand.").or("New lining."),
	cause("loose-cover", always, 3, "loud! shakes", "A cover or guard rattles", "cover",
		"Tighten it; a strip of rubber under it."),
	cause("flywheel", always, 1, "keeps-turning! over-volts! slow-start", "It is heavy and simply coasts",
		"none: its nature", "Keep the guard shut until it stands; a brake, if nothing is screwed on.").
		where(flywheelOn(4)),
}
