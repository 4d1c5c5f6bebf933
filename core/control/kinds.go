package control

import "jiriki/core/table"

// Profile is what a kind of control is and does [common practice]. It is the one place a kind is described in.
type Profile struct {
	Kind      Kind   `json:"kind"`
	Name      string `json:"name"`
	Choice    string `json:"choice" doc:"What it is called where one is chosen among others"`
	Terminals string `json:"terminals" doc:"What terminals it has, for its wiring"`
	SetsVolts bool   `json:"setsVolts" doc:"It sets speed by volts"`
	Direct    bool   `json:"direct" doc:"It feeds a brushed motor direct current, so that leads are live with rectified mains"`
	SetsHertz bool   `json:"setsHertz" doc:"It is an inverter"`
	Adjusts   bool   `json:"adjusts" doc:"It sets speed at all"`
	Converts  bool   `json:"converts" doc:"Something in it loses a part of what passes"`
	Limits    bool   `json:"limits" doc:"It has amps of its own to rate and limit"`
	Holds     string `json:"holds" doc:"What the speed does under load"`

	gives   string // what reaches the motor, to say why it does not suit
	battery string // why it does not work from a battery; empty where it does
}

const (
	inverterNeedsMains = "This inverter makes its volts from the mains; a battery has too few. A direct-current " +
		"motor with a PWM drive suits."
	needsAlternating = "This motor needs alternating current or a drive of its own; a battery alone gives neither."
)

// kinds in the order they are offered.
var kinds = table.Of(func(p Profile) Kind { return p.Kind }, []Profile{
	{
		Kind: PhaseAngle, Name: "Phase-angle drive", Choice: "Phase-angle drive", Terminals: "dc-drive",
		SetsVolts: true, Direct: true, Adjusts: true, Converts: true, Limits: true,
		Holds: "stays within 2 % by armature volts, 1 % by a tachometer",
		gives: "A phase-angle drive puts out cut mains, rectified or not.",
		battery: "A thyristor only lets go when the current crosses zero; from a battery it never does. A PWM drive " +
			"suits.",
	},
	{
		Kind: Chopper, Name: "PWM drive", Choice: "PWM drive", Terminals: "dc-drive",
		SetsVolts: true, Direct: true, Adjusts: true, Converts: true, Limits: true,
		Holds: "stays within 2 % by armature volts, 1 % by a tachometer",
		gives: "A PWM drive puts out chopped direct current.",
	},
	{
		Kind: Inverter, Name: "Inverter", Choice: "Inverter, three-phase out", Terminals: "inverter",
		SetsHertz: true, Adjusts: true, Converts: true, Limits: true,
		Holds:   "sags by its slip, 2 to 5 %; by vector 1 %",
		gives:   "An inverter puts out three phases of alternating current at any hertz.",
		battery: inverterNeedsMains,
	},
	{
		Kind: BrushlessDrive, Name: "Brushless controller", Choice: "Brushless or servo drive", Terminals: "brushless",
		SetsVolts: true, Direct: true, Adjusts: true, Converts: true, Limits: true,
		Holds: "stays within 1 % by its sensors",
		gives: "A brushless controller feeds three phases in step with a rotor it watches.",
	},
	{
		Kind: StepperDriver, Name: "Stepper driver", Choice: "Stepper driver", Terminals: "stepper",
		Adjusts: true, Converts: true, Limits: true,
		Holds: "stays exactly, or is lost",
		gives: "A stepper driver moves two phases a step at a time.",
	},
	{
		Kind: CapacitorSet, Name: "Fan capacitors", Choice: "Fan capacitors", Terminals: "switch",
		Adjusts: true,
		Holds:   "is where fan and capacitor settle",
		gives:   "A smaller capacitor weakens the second winding of a fan motor, and nothing else.",
		battery: needsAlternating,
	},
	{
		Kind: Contactor, Name: "Plain switch", Choice: "Plain switch (contactor)", Terminals: "switch",
		Holds:   "sags by its slip",
		gives:   "A switch passes the supply as it is.",
		battery: needsAlternating,
	},
	{
		Kind: SinglePhaseInverter, Name: "Single-phase inverter", Choice: "Inverter, one phase out",
		Terminals: "inverter-1",
		SetsHertz: true, Adjusts: true, Converts: true, Limits: true,
		Holds:   "sags by its slip, 3 to 8 %",
		gives:   "A single-phase-output inverter puts out one phase at any hertz.",
		battery: inverterNeedsMains,
	},
	{
		Kind: VariableTransformer, Name: "Variable transformer", Choice: "Variable transformer",
		Terminals: "transformer",
		Direct:    true, Adjusts: true, Converts: true,
		Holds:   "sags by I·R, a tenth or more",
		gives:   "A variable transformer gives fewer volts at the same hertz.",
		battery: "A transformer passes no direct current: from a battery it is a short circuit. A PWM drive suits.",
	},
	{
		Kind: SeriesResistor, Name: "Series resistor", Choice: "Series resistor", Terminals: "resistor",
		Direct: true, Adjusts: true, Converts: true,
		Holds: "collapses",
		gives: "A resistor takes volts away as the current grows.",
	},
}...)

// Profiles returns the kinds in the order they are offered.
func Profiles() []Profile { return kinds.All() }

// Profile returns what is known of the kind, which may not be changed; the zero Profile for no kind.
func (k Kind) Profile() *Profile {
	p, _ := kinds.Of(k)
	return p
}

// Gives says what reaches a motor from it, to go before why that does not suit.
func (p *Profile) Gives() string { return p.gives }

// FromBattery reports whether it works from a battery, and why not.
func (p *Profile) FromBattery() (bool, string) { return p.battery == "", p.battery }
