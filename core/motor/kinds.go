package motor

import "jiriki/core/table"

// Kind is how a motor makes its torque.
type Kind string

// The kinds of motor.
const (
	PermanentMagnetDC Kind = "pm-dc"
	WoundDC           Kind = "wound-dc"
	Universal         Kind = "universal"
	ThreePhase        Kind = "induction-3"
	SplitPhase        Kind = "split-phase"
	CapacitorStart    Kind = "capacitor-start"
	CapacitorRun      Kind = "capacitor-start-run"
	PermanentSplit    Kind = "psc"
	ShadedPole        Kind = "shaded-pole"
	TwoSpeed          Kind = "two-speed"
	Brushless         Kind = "brushless"
	Stepper           Kind = "stepper"
	Servo             Kind = "servo"
)

// Family is the law a kind of motor is worked out by.
type Family string

// The families.
const (
	DCFamily        Family = "dc"        // volts make speed, amps make torque
	SeriesFamily    Family = "series"    // torque with amps squared
	InductionFamily Family = "induction" // follows the hertz, less slip
	StepperFamily   Family = "stepper"   // pull-out torque against step rate
)

// Profile is what is known of a kind before any plate is read [common practice]: efficiencies,
// power factor, multiples of full-load torque, how it behaves, what drives it. It is the one place a kind is
// described in.
type Profile struct {
	Kind        Kind   `json:"kind"`
	Name        string `json:"name"`
	Family      Family `json:"family"`
	Leads       string `json:"leads" doc:"What leads it has"`
	Brushed     bool   `json:"brushed" doc:"It has brushes, which wear and spark"`
	Magnets     bool   `json:"magnets" doc:"Too many amps can weaken permanent magnets in it"`
	StartSwitch bool   `json:"startSwitch" doc:"A switch inside takes a start winding out near 75 % of speed"`
	Capacitor   bool   `json:"capacitor" doc:"Its plate or can names a capacitor"`
	Running     bool   `json:"runCapacitor" doc:"A capacitor stays in circuit while it runs"`

	best        float64 // most efficiency a small one reaches
	usual       float64
	powerFactor float64
	breakdown   float64 // multiple of full-load torque; induction
	start       float64 // likewise, at rest on the line: the least of what such motors usually give
	inrush      float64 // × plate amps at rest on the line
	mostSlip    float64 // at full load without being doubted; fan motors are made to slip

	Supply   string  `json:"supply" doc:"How fast it turns on a fixed supply"`
	Starts   string  `json:"starts"`
	Loaded   string  `json:"loaded" doc:"What a load does to its speed"`
	Suits    string  `json:"suits" doc:"What controls it"`
	Reverses string  `json:"reverses"`
	Wears    string  `json:"wears"`
	Donors   string  `json:"donors" doc:"Where such motors are found"`
	Controls []Match `json:"controls" nullable:"false" doc:"What drives it, those one would choose first"`

	needs string // of a control, to say why another does not suit
}

// Match is a control that works with a kind of motor, named as package control names it, and why.
type Match struct {
	Control string `json:"control"`
	Why     string `json:"why"`
	Also    bool   `json:"also" doc:"It works, but is not what one would choose"`
}

// What is said of several kinds.
const (
	byTransformer = "With a bridge it gives any direct volts, but nothing limits the current and the speed falls " +
		"with load. Turn it to nothing before switching on."
	byResistor = "It works and wastes: what the motor does not take the resistor turns to heat, and the speed " +
		"collapses as the load grows."
	byOneOut = "Practice disagrees. The default is pulleys; the other school drives it from an inverter with " +
		"one phase out, never so slowly that its start switch closes again (about 80 % of plate speed), never above " +
		"plate speed."
	byBand = "Practice disagrees. It has no start switch, and bears a band of hertz: from about half the plate's " +
		"to the " +
		"plate's, as far as it still starts every time."
	fewerFanVolts = "On a fan fewer volts slow it, as far as it still starts every time: its load falls off with " +
		"speed squared. Not for any other load."
	inductionNeeds = "This motor turns with the line's hertz; lower volts, cut waves or direct current only heat it. " +
		"A plain switch and pulleys suit."
)

func onlySwitched(how string) string {
	return "Switched straight on, " + how + "; pulleys set the machine's speed."
}

// kinds in the order they are offered.
var kinds = table.Of(func(p Profile) Kind { return p.Kind }, []Profile{
	{
		Kind: PermanentMagnetDC, Name: "Direct current, permanent magnet", Family: DCFamily, Leads: "armature",
		Brushed: true, Magnets: true,
		best: 0.85, usual: 0.75, powerFactor: 1,
		Supply:   "In proportion to its direct volts.",
		Starts:   "With several times its rated torque, as far as the current is let.",
		Loaded:   "Sags a little: the ohms of its armature.",
		Suits:    "A phase-angle or PWM direct-current drive.",
		Reverses: "Swap the two leads, at standstill.",
		Wears:    "Brushes and commutator; magnets weaken past three times rated amps or when overheated.",
		Donors:   "Exercise machines, floor scrubbers, scooters, winches, wire feeders.",
		needs:    "Brushes and magnets need direct current. A phase-angle or PWM drive suits.",
		Controls: []Match{
			{Control: "phase-angle", Why: "Adjustable DC on the armature sets the speed; the magnets do the rest."},
			{Control: "pwm", Why: "Adjustable DC on the armature sets the speed; the magnets do the rest."},
			{Control: "variac", Why: byTransformer, Also: true},
			{Control: "resistor", Why: byResistor, Also: true},
		},
	},
	{
		Kind: WoundDC, Name: "Direct current, wound field", Family: DCFamily, Leads: "armature-field",
		Brushed: true,
		best:    0.85, usual: 0.75, powerFactor: 1,
		Supply:   "In proportion to armature volts while its field is fed in full.",
		Starts:   "Strongly, as far as the current is let.",
		Loaded:   "Sags a little. With its field lost it runs away.",
		Suits:    "A direct-current drive on the armature, field on its own rectified supply; interlock the two.",
		Reverses: "Swap armature or field leads, not both, at standstill.",
		Wears:    "Brushes and commutator.",
		Donors:   "Old lifts, lathes, treadle-era machine drives, generators.",
		needs: "Its armature needs direct current, its field a steady supply. A phase-angle or PWM drive with a " +
			"field supply suits.",
		Controls: []Match{
			{Control: "phase-angle", Why: "Adjustable DC on the armature sets the speed; its field is fed in full " +
				"beside it."},
			{Control: "pwm", Why: "Adjustable DC on the armature sets the speed; its field is fed in full beside it."},
			{Control: "variac", Why: byTransformer, Also: true},
			{Control: "resistor", Why: byResistor, Also: true},
		},
	},
	{
		Kind: Universal, Name: "Universal, series wound", Family: SeriesFamily, Leads: "series",
		Brushed: true,
		best:    0.65, usual: 0.55, powerFactor: 0.9,
		Supply:   "Very fast, and faster the less it carries.",
		Starts:   "With great torque.",
		Loaded:   "Falls steeply; unloaded it runs away.",
		Suits:    "A phase-angle regulator or PWM, best with a tachometer.",
		Reverses: "Swap the brush leads against the field.",
		Wears:    "Brushes wear in hundreds of hours.",
		Donors:   "Vacuum cleaners, kitchen machines, hand tools, washing machines in some regions.",
		needs: "It runs on one phase or on direct current, more volts more speed. A phase-angle or PWM regulator " +
			"suits, best with a tachometer.",
		Controls: []Match{
			{Control: "phase-angle", Why: "Cut volts slow it; without a tachometer the speed still falls steeply " +
				"with load."},
			{Control: "pwm", Why: "Chopped volts slow it, smoother than a cut sine; a tachometer holds the speed."},
			{Control: "contactor", Why: "Switched straight on, its load alone sets its speed. Never without the load."},
			{Control: "variac", Why: "Fewer volts slow it, and the speed falls steeply with load.", Also: true},
			{Control: "resistor", Why: byResistor, Also: true},
		},
	},
	{
		Kind: ThreePhase, Name: "Three-phase induction", Family: InductionFamily, Leads: "three-phase",
		best: 0.95, usual: 0.78, powerFactor: 0.75, breakdown: 2.5, start: 1.5, inrush: 6, mostSlip: 0.13,
		Supply:   "Just under 120 × hertz ÷ poles.",
		Starts:   "1.5 to 2.5 × full-load torque on the line.",
		Loaded:   "Slips a few per cent.",
		Suits:    "An inverter, or a switch on three phases.",
		Reverses: "Swap any two leads, or in the inverter.",
		Wears:    "Bearings only.",
		Donors:   "Industrial scrap, often with a gearbox; pumps, conveyors, compressors.",
		needs: "This motor turns with the field's hertz; lower volts or direct current only heat it. An inverter " +
			"suits.",
		Controls: []Match{
			{Control: "inverter", Why: "It makes three phases of any hertz, so the field turns at the speed you dial."},
			{Control: "contactor", Why: "Switched straight on, it runs at one speed; it needs a three-phase supply."},
		},
	},
	{
		Kind: SplitPhase, Name: "Split-phase, resistance start", Family: InductionFamily, Leads: "two-windings",
		StartSwitch: true,
		best:        0.70, usual: 0.58, powerFactor: 0.65, breakdown: 2.0, start: 1.25, inrush: 7, mostSlip: 0.13,
		Supply:   "Just under synchronous.",
		Starts:   "About 1.5 × full-load torque, at many times full-load amps; its switch opens near 75 % of speed.",
		Loaded:   "Slips a few per cent.",
		Suits:    "A plain switch and pulleys.",
		Reverses: "Swap the start winding's ends against the run's, at standstill.",
		Wears:    "The start switch.",
		Donors:   "Washing machines in some regions, bench grinders, small saws.",
		needs: inductionNeeds + " Without the full line it does not get past its start switch, and its start " +
			"winding burns.",
		Controls: []Match{
			{Control: "contactor", Why: onlySwitched("it starts on its second winding and runs at one speed")},
		},
	},
	{
		Kind: CapacitorStart, Name: "Capacitor-start", Family: InductionFamily, Leads: "two-windings",
		StartSwitch: true, Capacitor: true,
		best: 0.75, usual: 0.62, powerFactor: 0.70, breakdown: 2.0, start: 3, inrush: 5, mostSlip: 0.13,
		Supply:   "Just under synchronous.",
		Starts:   "3 to 4.5 × full-load torque; its switch opens near 75 % of speed.",
		Loaded:   "Slips a few per cent.",
		Suits:    "A plain switch and pulleys; an inverter only by the other school, never below its switch speed.",
		Reverses: "Swap the start winding's ends against the run's, at standstill.",
		Wears:    "Start switch and capacitor.",
		Donors:   "Compressors, saws, pumps, farm machines.",
		needs: "Below about 75 % of plate speed its start switch closes again and burns winding and capacitor. A " +
			"plain switch and cone pulleys suit; some drive these from a single-phase-output inverter, never below " +
			"that speed.",
		Controls: []Match{
			{Control: "contactor", Why: onlySwitched("it starts on its capacitor and runs at one speed")},
			{Control: "inverter-1", Why: byOneOut, Also: true},
		},
	},
	{
		Kind: CapacitorRun, Name: "Capacitor-start, capacitor-run", Family: InductionFamily, Leads: "two-windings",
		StartSwitch: true, Capacitor: true, Running: true,
		best: 0.80, usual: 0.68, powerFactor: 0.90, breakdown: 2.2, start: 3, inrush: 5, mostSlip: 0.13,
		Supply:   "Just under synchronous.",
		Starts:   "3 to 4.5 × full-load torque; the large capacitor is switched out near 75 % of speed.",
		Loaded:   "Slips a few per cent, and runs quieter.",
		Suits:    "A plain switch and pulleys.",
		Reverses: "Swap the start winding's ends against the run's, at standstill.",
		Wears:    "Start switch and capacitors.",
		Donors:   "Larger compressors and pumps, table saws.",
		needs: "Below about 75 % of plate speed its start switch closes again and burns winding and capacitor. A " +
			"plain switch and pulleys suit.",
		Controls: []Match{
			{Control: "contactor", Why: onlySwitched("it starts on both capacitors and runs at one speed")},
			{Control: "inverter-1", Why: byOneOut, Also: true},
		},
	},
	{
		Kind: PermanentSplit, Name: "Permanent split capacitor", Family: InductionFamily, Leads: "two-windings",
		Capacitor: true, Running: true,
		best: 0.70, usual: 0.60, powerFactor: 0.90, breakdown: 1.8, start: 0.3, inrush: 3, mostSlip: 0.3,
		Supply:   "Just under synchronous.",
		Starts:   "Weakly: 0.3 to 1 × full-load torque.",
		Loaded:   "Slips more than others as it is loaded.",
		Suits:    "On a fan: a smaller capacitor or lower volts. Else a plain switch and pulleys.",
		Reverses: "Move the supply to the capacitor's other end.",
		Wears:    "The capacitor dries out.",
		Donors:   "Fans, blowers, garage doors, pumps.",
		needs:    inductionNeeds + " On a fan, so does a smaller capacitor.",
		Controls: []Match{
			{Control: "capacitors", Why: "On a fan a smaller run capacitor slows it, as far as it still starts every " +
				"time. Not for any other load."},
			{Control: "contactor", Why: "Switched straight on, it runs at one speed; pulleys set the machine's speed."},
			{Control: "inverter-1", Why: byBand, Also: true},
			{Control: "variac", Why: fewerFanVolts, Also: true},
		},
	},
	{
		Kind: ShadedPole, Name: "Shaded pole", Family: InductionFamily, Leads: "one-winding",
		best: 0.35, usual: 0.25, powerFactor: 0.60, breakdown: 1.3, start: 0.2, inrush: 2, mostSlip: 0.3,
		Supply:   "Well under synchronous.",
		Starts:   "Weakly: 0.2 to 0.5 × full-load torque.",
		Loaded:   "Slips a good deal.",
		Suits:    "On a fan: lower volts. Else a plain switch.",
		Reverses: "Not at all: the copper bands set the way it turns.",
		Wears:    "Bearings; it may stand stalled for a while.",
		Donors:   "Small fans, record players, microwave ovens.",
		needs:    inductionNeeds,
		Controls: []Match{
			{Control: "contactor", Why: onlySwitched("it starts weakly and runs at one speed")},
			{Control: "inverter-1", Why: byBand, Also: true},
			{Control: "variac", Why: fewerFanVolts, Also: true},
		},
	},
	{
		Kind: TwoSpeed, Name: "Two-speed induction", Family: InductionFamily, Leads: "two-speeds",
		StartSwitch: true, Capacitor: true,
		best: 0.70, usual: 0.58, powerFactor: 0.65, breakdown: 2.0, start: 1.25, inrush: 6, mostSlip: 0.13,
		Supply:   "At one of two speeds by which winding is fed.",
		Starts:   "As its kind; some start only on the fast winding.",
		Loaded:   "Slips a few per cent.",
		Suits:    "Its own two-speed switch, never both windings at once.",
		Reverses: "Swap the start winding's ends, at standstill.",
		Wears:    "The start switch.",
		Donors:   "Washing machines, pool pumps, machine tools with a two-speed switch.",
		needs:    inductionNeeds + " Its two-speed switch feeds one winding or the other.",
		Controls: []Match{
			{Control: "contactor", Why: onlySwitched("it runs at the speed of whichever winding is fed, never both")},
		},
	},
	{
		Kind: Brushless, Name: "Brushless DC", Family: DCFamily, Leads: "hall",
		Magnets: true,
		best:    0.88, usual: 0.80, powerFactor: 1,
		Supply:   "It does not turn without its controller; then in proportion to volts.",
		Starts:   "Strongly with sensors; without, it may stutter from rest under load.",
		Loaded:   "Sags a little.",
		Suits:    "A matching controller: with Hall sensors, or sensorless.",
		Reverses: "In the controller, or swap any two leads (and their sensors).",
		Wears:    "Bearings only; magnets dislike heat.",
		Donors:   "E-bikes, direct-drive washing machines, garden tools, drones.",
		needs:    "It has no brushes to turn the current over for it. A matching brushless controller suits.",
		Controls: []Match{
			{Control: "bldc", Why: "It turns the current over in step with the rotor, by Hall sensors or by what the " +
				"winding gives back."},
		},
	},
	{
		Kind: Stepper, Name: "Stepper", Family: StepperFamily, Leads: "stepper",
		best: 0.6, usual: 0.5, powerFactor: 1,
		Supply:   "A step at each pulse; volts alone only hold it.",
		Starts:   "At once, if the rate is low enough.",
		Loaded:   "Not at all until it loses step.",
		Suits:    "A stepper driver and pulses; higher driver volts keep torque to a higher speed.",
		Reverses: "Direction input, or swap one phase.",
		Wears:    "Bearings only; hot by nature.",
		Donors:   "Printers, plotters, scanners, old disk drives.",
		needs:    "It moves a step for each pulse. A stepper driver suits.",
		Controls: []Match{
			{Control: "stepper", Why: "Each pulse is a step; volts well above the winding's own keep the torque at " +
				"speed."},
		},
	},
	{
		Kind: Servo, Name: "Servo", Family: DCFamily, Leads: "hall",
		Magnets: true,
		best:    0.88, usual: 0.80, powerFactor: 1,
		Supply:   "It does what its drive and encoder tell it.",
		Starts:   "With about three times rated torque for a moment.",
		Loaded:   "Held by its drive until that runs out of amps.",
		Suits:    "The drive it was made with, or one for its encoder.",
		Reverses: "In the drive.",
		Wears:    "Bearings and encoder.",
		Donors:   "Industrial machines, sewing machines, robots.",
		needs:    "It needs its drive to read its encoder. The drive made for it, or one for its encoder, suits.",
		Controls: []Match{
			{Control: "bldc", Why: "A drive that reads its encoder holds speed and place."},
		},
	},
}...)

// Profiles returns the kinds in the order they are offered.
func Profiles() []Profile { return kinds.All() }

// Profile returns what is known of the kind, which may not be changed; the zero Profile for no kind.
func (k Kind) Profile() *Profile {
	p, _ := kinds.Of(k)
	return p
}

// Family is the law the kind is worked out by; empty for no kind.
func (k Kind) Family() Family { return k.Profile().Family }

// Brushed reports whether the motor has brushes, which wear and spark.
func (k Kind) Brushed() bool { return k.Profile().Brushed }

// Magnets reports whether too many amps can weaken permanent magnets in it.
func (k Kind) Magnets() bool { return k.Profile().Magnets }

// HasStartSwitch reports whether a switch inside takes a start winding out near 75 % of speed.
func (k Kind) HasStartSwitch() bool { return k.Profile().StartSwitch }

// HasCapacitor reports whether such a motor's plate or can names a capacitor.
func (k Kind) HasCapacitor() bool { return k.Profile().Capacitor }

// HasRunCapacitor reports whether a capacitor stays in circuit while such a motor runs.
func (k Kind) HasRunCapacitor() bool { return k.Profile().Running }

// Takes reports whether a kind of control, named as package control names it, works with the motor, and says why
// or what it needs instead. No kind takes a control that is not in its table, and what is no kind takes none.
func (k Kind) Takes(control string) (bool, string) {
	profile, known := kinds.Of(k)
	if !known {
		return false, "What sort of motor it is must be known first."
	}
	for _, m := range profile.Controls {
		if m.Control == control {
			return true, m.Why
		}
	}
	return false, profile.needs
}
