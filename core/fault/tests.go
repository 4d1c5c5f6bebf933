package fault

// Danger is what a test can do to who makes it.
type Danger string

// The dangers, the least first.
const (
	Dead    Danger = "dead"    // unplugged, capacitors emptied
	Watched Danger = "watched" // plugged in and shut: looked at and listened to, nothing open
	Live    Danger = "live"    // a meter on something that is on
)

// weight is the minutes that a danger counts for: what is done dead comes before what is done live.
func (d Danger) weight() float64 {
	switch d {
	case Dead:
		return 0
	case Watched:
		return 8
	}
	return 60
}

// Test is one thing to try, and how it may come out.
type Test struct {
	ID       string    `json:"id"`
	Name     string    `json:"name"`
	First    string    `json:"first" doc:"What to unplug, and wait for, before anything is touched"`
	How      string    `json:"how"`
	Expect   string    `json:"expect" doc:"What it should be on this plan, in figures where it has them"`
	Minutes  float64   `json:"minutes"`
	Danger   Danger    `json:"danger" enum:"dead,watched,live"`
	Outcomes []Outcome `json:"outcomes" nullable:"false" doc:"The first is what a sound one does"`

	has    predicate
	expect func(v *view) string
}

// Outcome is one way a test comes out, and what it means.
type Outcome struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	Means string `json:"means"`

	causes string // IDs that come out so
}

// What is done first, by danger.
const (
	unplugged = "Pull the plug and keep it in sight. Wait as long as the drive's label says, ten minutes if it " +
		"says nothing, and " +
		"measure that nothing is left across its capacitors."
	isolated = "Battery isolated at its terminal."
	shut     = "Plug stays where you reach it; covers and guards on, nothing opened, nobody in the plane it turns in."
	meterOn  = "One hand, dry, the other in a pocket; leads made for mains, clipped on while it is unplugged; " +
		"then stand back and plug " +
		"it in. If that is not work you are used to, leave it to someone licensed."
)

func says(text string) func(*view) string { return func(*view) string { return text } }

const sound = "sound"

func out(id, words, means, causes string) Outcome { return Outcome{id, words, means, causes} }

func test(id, name string, d Danger, minutes float64, has predicate, how string, expect func(*view) string,
	list ...Outcome) Test {
	return Test{ID: id, Name: name, How: how, Minutes: minutes, Danger: d, Outcomes: list, has: has, expect: expect}
}

// tests are all there are, in no order of asking: what they tell and cost decides that.
var tests = []Test{
	test("look", "Look and smell", Dead, 3, always, "Covers off once it is dead. Burnt marks, loose leads, oil, "+
		"crumbs, a swollen capacitor.",
		says("clean, dry, every screw tight"),
		out(sound, "nothing to see", "", ""),
		out("burnt", "a burnt or loose terminal", "That is it, or part of it.", "loose-terminal contacts-burnt "+
			"battery-terminals winding-short resistor-open variac-brush"),
		out("dust", "crumbs or dust under the belt", "The belt wears.", "belt-worn misaligned belt-oily belt-loose"),
		out("wet", "water or oil inside", "Damp leaks to earth.", "water belt-oily leak-trips clutch-worn"),
		out("swollen", "a capacitor is swollen or has leaked", "It has gone.", "start-cap run-cap drive-dead"),
		out("clogged", "vents are clogged", "It cannot cool.", "fan-blocked drive-hot")),
	test("by-hand", "Turn it by hand", Dead, 2, always, "Belt on, then off. Spindle and motor each a full turn, "+
		"and rock them along the shaft.",
		says("even and quiet, no more drag than it always had"),
		out(sound, "both turn evenly", "", ""),
		out("stuck", "it will not turn", "Something jams or has seized.", "jammed bearing-motor brake-drags "+
			"spindle-dry"),
		out("spindle-rough", "the spindle is rough or stiff", "Its bearings, or what it carries.",
			"spindle-dry bent-shaft brake-drags gear-dry chain-slack"),
		out("motor-rough", "the motor is rough, stiff or loose", "Its own bearings, or something loose inside.",
			"bearing-motor magnet-loose"),
		out("slips", "one turns and the other does not follow", "Key, screw, belt or clutch.",
			"key-sheared belt-off pulley-loose clutch-worn belt-loose")),
	test("belt", "Press the belt", Dead, 2, belted, "Thumb at mid span; look along both wheels with a straight "+
		"edge; feel for oil and glaze.",
		says("gives about its own thickness; both wheels in line"),
		out(sound, "tight, dry, in line", "", ""),
		out("slack", "slack", "It slips, and squeals as it starts.", "belt-loose belt-worn"),
		out("tight", "as tight as a string", "It loads the bearings.", "belt-tight"),
		out("out", "wheels out of line", "It wears and walks.", "misaligned pulley-loose"),
		out("oily", "oily or glazed", "It has no grip.", "belt-oily belt-worn"),
		out("step", "on another step than thought", "Another ratio.", "wrong-step")),
	test("wheels", "Try every wheel on its shaft", Dead, 3, driven, "Hold the shaft, twist each wheel. Look at "+
		"set screws and keys.", says("none moves"),
		out(sound, "all are tight", "", ""),
		out("loose", "one moves", "Key or screw.", "key-sheared pulley-loose")),
	test("stop-button", "Stop and start buttons", Dead, 3, always, "Pull out or turn the stop. Meter across its "+
		"contact, leads off: closed; pressed, open. The same of "+
		"start and thermal switch in the enable loop.", says("under an ohm closed, open when pressed"),
		out(sound, "each does as it should", "", ""),
		out("latched", "the stop was latched", "Release it.", "estop-latched"),
		out("open", "one is open that should be closed", "The loop is open.", "estop-latched enable-open "+
			"thermal-open no-volt-open"),
		out("shut", "one is closed that should be open", "It cannot stop or starts alone.",
			"command-wired contact-welded")),
	test("fuses", "Fuses, out of their holders", Dead, 3, always, "Each out, a meter across it. Look at its "+
		"glass: black is a short, a melted wire an overload.",
		says("under an ohm, each"),
		out(sound, "all are whole", "", ""),
		out("line", "the line fuse or the plug's is blown", "", "plug-fuse winding-short scr-shorted "+
			"chopper-shorted output-short battery-fuse lost-phase"),
		out("armature", "the armature fuse is blown", "", "fuse-dc winding-short jammed field-open")),
	test("earth-ohms", "Earth, pin to frame", Dead, 2, onMains, "Plug out: from its earth pin to bare metal of "+
		"frame, motor and box.", says("under 0.5\u202fΩ"),
		out(sound, "under half an ohm", "", ""),
		out("open", "more, or open", "Do not plug it in again before it is mended.", "no-earth")),
	test("insulation", "Insulation to the frame", Dead, 5, onMains, "Motor leads off the drive, joined; 500 V "+
		"tester to the frame, a minute.",
		says("over 5\u202fMΩ; under 1\u202fMΩ it is not powered"),
		out(sound, "over 5 MΩ", "", ""),
		out("low", "under 5 MΩ", "Damp, dirty or touching.", "water winding-earth leak-trips"),
		out("none", "next to nothing", "A winding or lead touches the frame.", "winding-earth output-short")),
	test("winding-ohms", "Winding ohms", Dead, 5, always, "Motor leads off. Lead to lead, meter zeroed; a brushed "+
		"motor turned a little between readings.",
		func(v *view) string { return v.windingOhms() },
		out(sound, "as expected, and alike", "", ""),
		out("open", "one is open", "A winding, brush or lead.", "winding-open start-winding brushes-short "+
			"brush-stuck field-open step-phase bldc-phase thermal-open armature-bar"),
		out("short", "one is far too low", "Turns touch.", "winding-short"),
		out("uneven", "it changes a great deal as it turns", "Brushes or commutator.",
			"commutator brush-stuck armature-bar brushes-short")),
	test("brushes", "Take the brushes out", Dead, 6, brushed, "One at a time, marking which way round. Length, "+
		"spring, how freely it slides; look at the "+
		"commutator through the hole.", says("longer than a third of new, sliding freely, commutator brown and even"),
		out(sound, "long, free, commutator even", "", ""),
		out("short", "short, or short of the commutator", "They hardly touch.", "brushes-short"),
		out("stuck", "one sticks or its spring is weak", "It lifts off.", "brush-stuck"),
		out("black", "commutator black, grooved or rough", "It sparks.", "commutator neutral-off"),
		out("one-bar", "one bar is burnt", "That coil is open.", "armature-bar")),
	test("start-cap", "Start capacitor, off its leads", Dead, 6, starting, "Discharge it through a resistor "+
		"first. µF on a meter; look at its vent.",
		func(v *view) string { return v.capacitor() },
		out(sound, "right", "It may still fail warm.", ""),
		out("low", "low, open or leaking", "That is it.", "start-cap"),
		out("warm", "right cold, low after a few starts", "It fails warm.", "cap-cold")),
	test("run-cap", "Run capacitor, off its leads", Dead, 6, some(running, capacitors),
		"Discharge it through a resistor first. µF on a meter.",
		func(v *view) string { return v.capacitor() },
		out(sound, "right", "", ""),
		out("low", "low or open", "That is it.", "run-cap cap-small")),
	test("start-switch", "Start switch", Dead, 8, startSwitch, "At rest, across its contacts: closed. Push the "+
		"weights out by hand: it opens with a click, and closes again.",
		says("under an ohm at rest; open with the weights out"),
		out(sound, "closes and opens", "", ""),
		out("open", "open at rest", "The start winding is never in.", "start-switch-open"),
		out("shut", "does not open", "The start winding never comes out.", "start-switch-shut")),
	test("knob-ohms", "Knob, its plug off", Dead, 4, hasKnob, "Wiper to low end while it is turned up slowly; "+
		"then end to end.",
		says("from nothing evenly up to 5 or 10\u202fkΩ"),
		out(sound, "even from nothing to full", "", ""),
		out("swapped", "falls as it is turned up", "Its ends are swapped.", "knob-swapped"),
		out("jumps", "jumps or goes open", "The track is worn.", "knob-worn"),
		out("open", "open to one end", "That lead or end is off.", "knob-open"),
		out("crowded", "hardly rises, then all at once", "A logarithmic track.", "knob-log")),
	test("links", "Links and settings", Dead, 5, some(hasDrive, threePhase), "Volts and sense links, terminal "+
		"links, set amps, hertz and ramps: each beside the settings sheet.",
		says("as the settings sheet has them"),
		out(sound, "all as the sheet has them", "", ""),
		out("link", "a link is for other volts", "", "link-volts phase-leads"),
		out("limit", "the current limit or motor amps differ", "", "limit-low limit-high motor-data step-current"),
		out("ramp", "a ramp is short", "", "accel-short decel-short step-ramp"),
		out("hertz", "base or highest hertz differ", "", "base-hertz max-trim"),
		out("latch", "start and stop are wired another way than set", "", "command-wired")),
	test("overload", "Overload relay's mark", Dead, 1, contactor, "Read what it is set to, and whether it resets "+
		"by hand.", func(v *view) string { return v.plateAmps() },
		out(sound, "set to the plate's amps", "", ""),
		out("low", "set under them", "It trips too soon.", "overload-set"),
		out("tripped", "it had tripped", "Something took too much.", "overloaded lost-phase spindle-dry slow-cooling")),
	test("lead", "The lead it is on", Dead, 2, onMains, "How long, how thick, coiled or warm; plug and socket warm?",
		says("short, thick, uncoiled, cool"),
		out(sound, "short, thick and cool", "", ""),
		out("long", "long, thin or coiled", "It loses volts as it starts.", "long-lead low-volts"),
		out("warm", "plug or socket is warm", "A loose terminal.", "loose-terminal")),
	test("battery", "Battery at rest, and its terminals", Dead, 3, onBattery, "Volts at rest; wriggle each "+
		"terminal; fuse out and across a meter.", func(v *view) string { return v.supplyVolts() + " at rest" },
		out(sound, "right, and tight", "", ""),
		out("flat", "low", "", "flat-battery"),
		out("furred", "a terminal is loose or furred", "", "battery-terminals"),
		out("fuse", "its fuse is blown", "", "battery-fuse")),
	test("sensors", "Sensor plug, by hand", Dead, 5, some(brushless, tachoFed), "Unplug and look at each pin; "+
		"continuity of each lead while it is bent.", says("every lead whole"),
		out(sound, "every lead whole", "", ""),
		out("open", "one is open or off", "It does not know where it is.", "bldc-sensors feedback-off ripple"),
		out("phase", "a phase lead is off or two are crossed", "", "bldc-phase step-phase")),
	test("clutch", "Clutch shoes", Dead, 6, clutched, "Cover off: shoes, springs, oil.",
		says("dry, thicker than 2\u202fmm"),
		out(sound, "dry and thick", "", ""), out("worn", "worn or oily", "It slips.", "clutch-worn")),
	test("resistor", "Resistor, off its leads", Dead, 4, some(resistor, inverter), "Brake or series resistor cold "+
		"and unplugged, across a meter.", says("its marked ohms"),
		out(sound, "its marked ohms", "", ""), out("open", "open", "It has burnt out.",
			"resistor-open brake-resistor")),
	test("bridge", "Semiconductors, by meter", Dead, 8, some(dcDrive, transformer, resistor),
		"Leads off. Diode range across each of the bridge's legs, both ways.",
		says("half a volt one way, nothing the other"),
		out(sound, "each one way only", "", ""),
		out("short", "one conducts both ways", "It has shorted.", "scr-shorted chopper-shorted"),
		out("open", "one conducts neither way", "It is open.", "bridge-open scr-open")),
	test("spin-start", "Does it start when spun, belt off?", Watched, 2, onePhase, "Belt off. Spin the bare shaft "+
		"with a cord, let go, then switch on for a second. Never by hand near a cutter.",
		says("it starts by itself, without a spin"),
		out(sound, "it starts by itself without a belt", "The machine is what holds it.",
			"jammed spindle-dry belt-tight overloaded brake-drags long-lead low-volts"),
		out("either", "it starts whichever way it is spun", "Its start winding does nothing.",
			"start-cap run-cap start-switch-open start-winding cap-cold cap-small"),
		out("hums", "it hums whatever is done", "Main winding, phase or bearings.", "winding-open lost-phase "+
			"bearing-motor shading-ring low-volts")),
	test("bare", "Run it with the belt off", Watched, 3, not(series), "Belt off, motor clamped. Knob from the low "+
		"end up.", func(v *view) string { return "smooth, up to " + v.topSpeed() },
		out(sound, "it runs as it should", "What it drives is wrong, not the motor.",
			"jammed spindle-dry overloaded belt-loose belt-oily misaligned bent-shaft unbalanced brake-drags "+
				"key-sheared gear-dry chain-slack wrong-step belt-tight flywheel"),
		out("same", "the same without a belt", "Motor, drive or supply.", "brushes-short brush-stuck commutator "+
			"start-cap run-cap start-switch-open start-switch-shut scr-open ir-high ir-low limit-low max-trim "+
			"min-trim knob-worn knob-open bearing-motor magnets-weak winding-short lost-phase low-volts "+
			"armature-bar cap-cold link-volts base-hertz resonance rotor-bar")),
	test("listen", "Listen as it slows", Watched, 1, startSwitch, "Switch off from full speed: a click at about "+
		"three quarters of it.", says("one clear click"),
		out(sound, "it clicks", "", ""), out("no-click", "no click", "The switch does not move.",
			"start-switch-open start-switch-shut")),
	test("socket", "Something else on the same socket", Watched, 2, onMains, "A lamp, then a heater.",
		says("both work, and the lamp hardly dims"),
		out(sound, "both work", "", ""),
		out("nothing", "nothing works", "", "socket-dead plug-fuse"),
		out("dims", "the lamp dims with the heater", "It sags.", "low-volts long-lead loose-terminal")),
	test("lamps", "The drive's lamps and codes", Watched, 1, hasDrive, "Read them before it is reset, in its "+
		"maker's table.", says("power on, no fault"),
		out(sound, "power on, no fault", "", ""),
		out("none", "no lamp at all", "Nothing comes in, or it has failed.", "drive-dead socket-dead plug-fuse "+
			"lost-phase"),
		out("enable", "it waits to be enabled", "", "enable-open zero-start thermal-open estop-latched command-wired"),
		out("amps", "over-current", "", "accel-short output-short winding-short jammed limit-low switch-after "+
			"bldc-phase base-hertz"),
		out("volts", "over-volts", "", "decel-short brake-resistor flywheel"),
		out("low", "under-volts", "", "low-volts long-lead lost-phase flat-battery loose-terminal"),
		out("load", "overload", "", "overloaded motor-data spindle-dry drive-hot slow-cooling")),
	test("trims", "Trims, a little at a time", Watched, 4, some(dcDrive, inverter), "Low trim, top trim and IR, "+
		"each noted first, a little up and back, by an insulated tool through its hole.",
		says("each does what the settings sheet says"),
		out(sound, "each does what it should", "", ""),
		out("low", "the low trim puts it right", "", "min-trim min-trim-low"),
		out("top", "the top trim puts it right", "", "max-trim"),
		out("ir", "the IR trim puts it right", "", "ir-high ir-low"),
		out("limit", "the limit puts it right", "", "limit-low limit-high")),
	test("breaker", "Breaker's marks", Dead, 1, onMains, "Read its amps and the letter before them.",
		says("over the motor's starting amps for its type, and no more than its cable bears"),
		out(sound, "large enough, of a type for motors", "", ""),
		out("small", "small, or of a quick type", "A start trips it.", "weak-breaker")),
	test("pulse", "Watch the amps pulse", Watched, 3, induction, "The drive's or a built-in ammeter's needle, "+
		"under a steady load.",
		says("steady"),
		out(sound, "steady", "", ""),
		out("pulses", "it swings slowly to and fro", "Bars of its rotor.", "rotor-bar")),
	test("unloaded", "Was there a load on it?", Dead, 1, series, "A series motor without belt or tool races by nature.",
		says("it was belted, and still ran away"),
		out(sound, "it was belted", "", ""),
		out("bare", "it ran bare", "It must not.", "series-unloaded")),
	test("other-speed", "Is it one speed only?", Watched, 3, always, "Slowly through its speeds, from outside the "+
		"plane it turns in.", says("smooth at every speed"),
		out(sound, "smooth", "", ""),
		out("band", "in one band only", "It rings.", "resonance"),
		out("grows", "worse the faster", "It is out of balance or bent.", "unbalanced bent-shaft pulley-loose "+
			"magnet-loose"),
		out("load", "only under load", "It is what is asked of it, or grip.", "overloaded belt-loose ir-low "+
			"limit-low clutch-worn")),
	test("drive-off", "Read the meter with the drive off", Watched, 2, hasDrive, "Coasting, or turned by hand: "+
		"does the reading come right?", says("the same speed with the drive off"),
		out(sound, "it reads the same", "", "ripple feedback-off"), out("right", "it comes right",
			"The drive upsets the meter.", "meter-noise no-earth")),
	test("power-back", "Let the power come back", Watched, 1, always, "While it runs: plug out, ten seconds, and "+
		"in again, standing clear.", says("it stays still until it is started"),
		out(sound, "it stays still", "", ""), out("starts", "it starts by itself", "",
			"no-release self-reset contact-welded command-wired")),
	test("warm-rest", "Let it cool, try again", Watched, 30, always, "Half an hour, then the same work.",
		says("it does not trip in the first minutes"),
		out(sound, "it makes no difference", "", ""), out("cold-good", "it goes well until it is warm",
			"Heat does it.", "overloaded fan-blocked slow-cooling self-reset drive-hot cap-cold start-switch-shut "+
				"thermal-open winding-short")),
	test("swap-load", "A lighter cut, or none", Watched, 2, always, "The same speed with half the work.",
		says("it then holds its speed"),
		out(sound, "it makes no difference", "", ""), out("helps", "it holds", "It is asked for too much, or has "+
			"less to give.", "overloaded belt-loose belt-oily limit-low magnets-weak ir-low flat-battery")),
	test("volts-in", "Volts at the drive or switch", Live, 5, always, "At its own input terminals, idle and as it "+
		"starts.", func(v *view) string {
		return v.supplyVolts() + ", and no less than nine tenths of it as it " +
			"starts"
	},
		out(sound, "right, also as it starts", "", ""),
		out("none", "none", "", "socket-dead plug-fuse loose-terminal estop-latched no-volt-open battery-fuse"),
		out("sag", "it falls far as it starts", "", "long-lead low-volts loose-terminal flat-battery "+
			"battery-terminals"),
		out("phase", "one phase is missing", "", "lost-phase")),
	test("volts-out", "Volts to the motor", Live, 5, some(dcDrive, inverter, transformer),
		"At the drive's output, knob from low to full. A true-rms meter; an inverter's needs one made for it.",
		func(v *view) string { return "from nothing evenly up to " + v.plateVolts() },
		out(sound, "right", "The motor is what is wrong.", "winding-open brushes-short brush-stuck armature-bar "+
			"magnets-weak commutator"),
		out("none", "none", "", "drive-dead enable-open fuse-dc knob-open zero-start"),
		out("full", "full at once", "", "scr-shorted chopper-shorted knob-swapped knob-open feedback-off"),
		out("half", "about half at full knob", "", "scr-open link-volts max-trim bridge-open")),
	test("amps", "Amps of the motor at work", Live, 4, always, "A clamp round one lead, the box shut: one that "+
		"reads direct current where that is what flows.",
		func(v *view) string { return "no more than " + v.plateAmps() },
		out(sound, "within the plate's", "", ""),
		out("over", "over the plate's", "It works too hard, or is wrong inside.",
			"overloaded spindle-dry belt-tight winding-short magnets-weak base-hertz brake-drags "+
				"start-switch-shut run-cap lost-phase"),
		out("uneven", "phases differ", "", "lost-phase winding-short phase-leads")),
	test("direction", "Which way it turns", Watched, 1, always, "On and off at once.",
		says("the way the machine wants"),
		out(sound, "the right way", "", ""), out("wrong", "the wrong way", "", "leads-crossed reverse-contact "+
			"neutral-off bldc-phase")),
}
