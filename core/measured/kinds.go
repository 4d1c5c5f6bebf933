package measured

import "jiriki/core/table"

// Kind is a sort of trial.
type Kind string

// The trials there are.
const (
	Speed      Kind = "speed"      // of one shaft, by a tachometer
	Knob       Kind = "knob"       // knob against speed
	Ratio      Kind = "ratio"      // two shafts at once
	Strobe     Kind = "strobe"     // standing images
	Ear        Kind = "ear"        // out of the sound
	Pull       Kind = "pull"       // spring scale, driven by hand
	Brake      Kind = "brake"      // rope or band
	RunUpDown  Kind = "run-down"   // speed against time
	VoltsUp    Kind = "volts-up"   // a variable transformer, slowly
	Clutch     Kind = "clutch"     // its two shafts
	Capacitors Kind = "capacitors" // one after another
	WarmUp     Kind = "warm-up"    // case temperature against time
	Open       Kind = "open"       // open leads, spun
	Ohms       Kind = "ohms"       // of a winding
	FreeRun    Kind = "free"       // nothing on the shaft
	LockedAt   Kind = "locked"     // rotor held, low volts
	Slip       Kind = "slip"       // hertz and rpm
	Sag        Kind = "sag"        // volts at the socket, free and loaded
	Insulation Kind = "insulation" // before first power
)

// Column is a figure that a trial asks for: a field of [Reading], or of [Trial] where it belongs to the set-up.
type Column struct {
	Field   string   `json:"field" doc:"Its name in the description"`
	Label   string   `json:"label"`
	Hint    string   `json:"hint" doc:"What might stand there, in metric; made up"`
	Live    string   `json:"live" doc:"The word of the instruments' lines that gives it; empty for none"`
	Options []Option `json:"options" nullable:"false" doc:"What can be chosen, where it is a choice"`
	Words   bool     `json:"words" doc:"Nothing is read out of it but as words"`
}

// Option is a word to choose and how it is offered.
type Option struct {
	Value string `json:"value"`
	Name  string `json:"name"`
}

// Profile is a kind of trial as it is offered: what it is for, how it is done without harm, and what it asks for.
type Profile struct {
	Kind    Kind     `json:"kind"`
	Name    string   `json:"name"`
	About   string   `json:"about" doc:"What it tells, in a few words"`
	How     string   `json:"how" doc:"How it is done"`
	Caution string   `json:"caution" doc:"What can hurt while it is"`
	SetUp   []Column `json:"setUp" nullable:"false"`
	Columns []Column `json:"columns" nullable:"false"`
	Given   string   `json:"given" doc:"The column that is chosen and not read, such as the knob's mark; empty for none"`
}

func column(field, label, hint string) Column {
	return Column{Field: field, Label: label, Hint: hint, Options: []Option{}}
}

func live(field, label, hint, word string) Column {
	c := column(field, label, hint)
	c.Live = word
	return c
}

func choice(field, label string, pairs ...string) Column {
	c := column(field, label, "")
	for i := 0; i < len(pairs); i += 2 {
		c.Options = append(c.Options, Option{pairs[i], pairs[i+1]})
	}
	return c
}

func worded(field, label, hint string) Column {
	c := column(field, label, hint)
	c.Words = true
	return c
}

// Columns that several kinds share.
var (
	position = worded("position", "Belt on", "")
	shaft    = choice("where", "Which shaft", string(Spindle), "the spindle", string(AtMotor), "the motor")
	speed    = live("speed", "Speed", "640 rpm", "rpm")
	volts    = live("volts", "Volts", "96 V", "volts")
	amps     = live("amps", "Amps", "1.3 A", "amps")
	pickUp   = []Column{column("perTurn", "Marks in a turn", "1"), column("gate", "Counts for", "2 s")}
	shopAir  = column("air", "Shop", "14 °C")
	theVolts = column("volts", "Volts there", "226 V")
)

const deadFirst = "Unplug it, wait for capacitors to empty and measure that they have, before you touch it. "

// Kinds' profiles, in the order they are offered.
var kinds = table.Of(func(p Profile) Kind { return p.Kind },
	Profile{Kind: Knob, Name: "Knob against speed", About: "for the speed plate", Given: "mark",
		How: "Nothing on the spindle. Knob to a mark, wait until it is steady, read the speed. From the low end up, " +
			"then the same marks down.",
		Caution: "Guard shut, wheel or chuck empty and within its marked speed at full knob.",
		SetUp:   append([]Column{position, shaft, column("full", "Mark at the end", "10")}, pickUp...),
		Columns: []Column{column("mark", "Knob", "3"), speed}},
	Profile{Kind: Speed, Name: "A speed", About: "tachometer, a few times",
		How: "Read the same speed several times over half a minute. A mark on a shaft with a keyway beside it counts " +
			"twice.",
		Caution: "A contact tachometer is held to the end of the shaft, not its side.",
		SetUp:   append([]Column{shaft, position, column("command", "Told to go", "70 %, or 35 Hz")}, pickUp...),
		Columns: []Column{speed}},
	Profile{Kind: Ratio, Name: "Two speeds, the ratio", About: "slip, a wrong diameter",
		How: "Motor and spindle read one right after the other, at a few knob settings, unloaded first and " +
			"then at work.",
		Caution: "Guards stay on: read at a mark on the shaft's end, or by strobe through the guard.",
		SetUp:   []Column{position},
		Columns: []Column{speed, live("second", "Spindle", "88 rpm", ""), choice("state", "It was", string(Free),
			"free", string(Loaded), "at work")}},
	Profile{Kind: Strobe, Name: "Strobe", About: "which speed is it?", Given: "flash",
		How: "One mark on the shaft. Note each rate at which the mark stands still, and how many of it you see. The " +
			"highest rates tell most.",
		Caution: "What stands still in the flash is turning. Keep hands and sleeves away. Flashing light can " +
			"bring on " +
			"a seizure.",
		SetUp: []Column{shaft, position, column("command", "Told to go", "70 %, or 35 Hz"),
			column("fastest", "Cannot pass", "2100 rpm")},
		Columns: []Column{column("flash", "Flashes a minute", "930"), column("images", "Images", "1"),
			column("drift", "Creeps", "0 rpm")}},
	Profile{Kind: Ear, Name: "By ear", About: "phone or microphone",
		How: "Hold the microphone a hand's breadth from the motor and let it listen for four seconds, the machine " +
			"unloaded and steady.",
		Caution: "Nothing loose near what turns: no lead, no strap, no sleeve.",
		SetUp:   []Column{shaft, position, column("command", "Told to go", "70 %, or 35 Hz")},
		Columns: []Column{speed, column("spread", "Sure to", "6 rpm")}},
	Profile{Kind: Pull, Name: "Pull on a scale", About: "what starts it, what keeps it going",
		How: "Turn the spindle by a cord round a rim, or a bar, with a spring scale square to the radius. Several " +
			"times: the pull that just starts it, then the pull that keeps it going.",
		Caution: deadFirst + "Belt off the motor, or it is turned with it.",
		SetUp: []Column{column("radius", "Radius of the pull", "130 mm"), column("angle", "Angle", "90°"),
			column("own", "The scale weighs", "0.2 kg")},
		Columns: []Column{live("force", "Pull", "1.4 kg", "newton"), choice("state", "It", string(JustStarts),
			"just starts", string(KeepsGoing), "keeps going")}},
	Profile{Kind: Brake, Name: "Brake on the spindle", About: "torque curve, efficiency",
		How: "A rope or band over a plain drum, a scale at each end. Tighten a little at a time; at each step " +
			"read both " +
			"scales, speed, volts and amps at the motor.",
		Caution: "The rope goes over the drum, never round a hand. A knife within reach, a cooled drum, seconds at a " +
			"time. Amps times the drive's guard stay within their ratings.",
		SetUp: []Column{shaft, position, column("radius", "Radius of the drum", "70 mm"), column("rope", "Rope or "+
			"band", "7 mm")},
		Columns: []Column{live("force", "Tight side", "3.1 kg", "newton"), column("slack", "Slack side", "0.4 kg"),
			speed,
			volts, amps}},
	Profile{Kind: RunUpDown, Name: "Run-up and spin-down", About: "inertia and drag",
		How: "Bring it to speed with nothing on it and let it go: speed against seconds down to rest. Once more " +
			"with a " +
			"disc of known inertia on it, which parts inertia from drag.",
		Caution: "What is added is bolted on, balanced, and within its own speed. Stand out of the plane it turns in.",
		SetUp:   []Column{shaft, position, column("disc", "Disc that is added", "0.03 kg·m²")},
		Columns: []Column{column("time", "After", "4 s"), speed, choice("state", "It was", string(RunDown), "let go",
			string(WithDisc), "let go, disc on", string(RunningUp), "running up")}},
	Profile{Kind: WarmUp, Name: "Warm-up", About: "where will it settle?",
		How: "Under its own work, or idling. Case temperature at the same spot every few minutes. Half an hour " +
			"usually " +
			"tells where it ends.",
		Caution: "A case past 60 °C burns a hand. Stop if it smells.",
		SetUp: []Column{shopAir, worded("part", "Doing what", "stirring, tray half full"), column("command",
			"Load, of rated", "60 %")},
		Columns: []Column{column("time", "After", "12 min"), live("celsius", "Case", "33 °C", "celsius")}},
	Profile{Kind: Open, Name: "Open volts", About: "spun with open leads",
		How: "Leads off the drive. Spin the shaft with a drill or another motor at a known speed and read the " +
			"volts it makes.",
		Caution: deadFirst + "A spun motor makes its own volts: hold the probes by their insulation.",
		SetUp:   []Column{},
		Columns: []Column{volts, speed}},
	Profile{Kind: Ohms, Name: "Winding ohms", About: "at several shaft positions",
		How: "Motor leads off the drive. Hold the meter's own leads together: zero it and put in 0, or put in what " +
			"it shows. Turn the shaft a little between readings of a brushed motor.",
		Caution: deadFirst, SetUp: []Column{column("leads", "Its own leads together", "0.1 Ω"), shopAir},
		Columns: []Column{live("ohms", "Ohms", "1.9 Ω", "")}},
	Profile{Kind: FreeRun, Name: "Free run", About: "nothing on the shaft",
		How:     "Motor clamped down, belt off. Volts, amps and speed at a few settings.",
		Caution: "Never a series motor on full volts without a load: it can run away.",
		SetUp:   []Column{}, Columns: []Column{volts, amps, speed}},
	Profile{Kind: LockedAt, Name: "Locked rotor", About: "at low volts, seconds",
		How: "Rotor held. Volts from nothing up until it draws its rated amps; read both and switch off " +
			"within three seconds.",
		Caution: "Low volts only, from a variable transformer with isolation or a bench supply. What holds the " +
			"rotor must bear its torque.",
		SetUp: []Column{}, Columns: []Column{volts, amps}},
	Profile{Kind: Slip, Name: "Slip", About: "how loaded is it?",
		How: "Hertz at the drive's display, or of the line, and the motor's speed at the same moment; free, " +
			"then at work.",
		SetUp: []Column{}, Columns: []Column{live("hertz", "Hertz", "50 Hz", "hertz"), speed}},
	Profile{Kind: Capacitors, Name: "Capacitors in turn", About: "a fan's speeds",
		How: "Largest first. Off, discharged through a resistor, changed, on. After ten minutes read speed and " +
			"case; try " +
			"ten starts.",
		Caution: deadFirst + "Each capacitor film or oil, made for running, at least the volts asked below.",
		SetUp: []Column{theVolts, column("rated", "Capacitor marked", "450 V"), choice("class", "Insulation", "A", "A",
			"E", "E", "B", "B", "F", "F", "H", "H")},
		Columns: []Column{column("capacitor", "Capacitor", "12 µF"), speed, amps, worded("starts", "Starts",
			"10 of 10"),
			live("celsius", "Case", "48 °C", "celsius"), live("sound", "Sound", "52 dB", "db"), column("volts",
				"Across it", "310 V")}},
	Profile{Kind: Clutch, Name: "Two shafts of a clutch", About: "slip and its heat",
		How:     "Motor and output read together: held solid if it can be, free, and under its work.",
		Caution: "Read at the shafts' ends, guard on.",
		SetUp:   []Column{},
		Columns: []Column{speed, live("second", "Output", "560 rpm", ""), column("torque", "Torque it carried",
			"2 N·m"),
			choice("state", "It was", string(Locked), "held solid", string(Free), "free", string(Loaded), "at work")}},
	Profile{Kind: VoltsUp, Name: "Walk the volts up", About: "solenoids, coils, any part", Given: "volts",
		How: "An unmarked coil or motor on a variable transformer or bench supply, from nothing up in small " +
			"steps. At " +
			"each, write what it does. Stop at the first firm pull or turn.",
		Caution: "Through an isolating transformer and a fuse. A coil held past its volts burns in minutes: feel " +
			"it, off.",
		SetUp: []Column{worded("part", "What it is", "valve off a dishwasher")},
		Columns: []Column{volts, choice("current", "On it", "ac", "alternating", "dc", "direct"), choice("state",
			"It", string(Nothing), "does nothing", string(Hums), "hums",
			string(Acts), "pulls in", string(Turns), "turns"), amps}},
	Profile{Kind: Sag, Name: "Sag at the socket", About: "how stiff the supply is",
		How:     "Volts at the socket with nothing on it, then with a heater or the motor on it, amps beside.",
		Caution: "A plug-in meter, or insulated probes made for mains. Nothing opened.",
		SetUp:   []Column{}, Columns: []Column{volts, amps}},
	Profile{Kind: Insulation, Name: "Insulation", About: "before first power",
		How: "Motor leads off the drive, joined, against the frame, with an insulation tester. A minute, then read.",
		Caution: deadFirst + "The tester puts hundreds of volts on the winding: hands off, and let it discharge " +
			"after. " +
			"Never through a drive.",
		SetUp:   []Column{column("tested", "Tester's volts", "500 V"), shopAir},
		Columns: []Column{column("megohms", "Reads", "40 MΩ")}},
)

// Profiles returns every kind of trial in the order they are offered.
func Profiles() []Profile { return kinds.All() }

// Profile is what is known of a kind; the zero profile for what is none.
func (k Kind) Profile() *Profile {
	p, _ := kinds.Of(k)
	return p
}
