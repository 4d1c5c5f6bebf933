package motor

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
// power factor, multiples of full-load torque, and how it behaves.
type Profile struct {
	Kind        Kind    `json:"kind"`
	Name        string  `json:"name"`
	Family      Family  `json:"family"`
	best        float64 // most efficiency a small one reaches
	usual       float64
	powerFactor float64
	breakdown   float64 // multiple of full-load torque; induction
	start       float64 // likewise, at rest on the line
	startSpan   [2]float64
	Supply      string `json:"supply" doc:"How fast it turns on a fixed supply"`
	Starts      string `json:"starts"`
	Loaded      string `json:"loaded" doc:"What a load does to its speed"`
	Suits       string `json:"suits" doc:"What controls it"`
	Reverses    string `json:"reverses"`
	Wears       string `json:"wears"`
	Donors      string `json:"donors" doc:"Where such motors are found"`
}

// profiles in the order they are offered.
var profiles = []Profile{
	{PermanentMagnetDC, "Direct current, permanent magnet", DCFamily, 0.85, 0.75, 1, 0, 0, [2]float64{},
		"In proportion to its direct volts.", "With several times its rated torque, as far as the current is let.", "Sags a little: the ohms of its armature.",
		"A phase-angle or PWM direct-current drive.", "Swap the two leads, at standstill.", "Brushes and commutator; magnets weaken past three times rated amps or when overheated.", "Exercise machines, floor scrubbers, scooters, winches, wire feeders."},
	{WoundDC, "Direct current, wound field", DCFamily, 0.85, 0.75, 1, 0, 0, [2]float64{},
		"In proportion to armature volts while its field is fed in full.", "Strongly, as far as the current is let.", "Sags a little. With its field lost it runs away.",
		"A direct-current drive on the armature, field on its own rectified supply; interlock the two.", "Swap armature or field leads, not both, at standstill.", "Brushes and commutator.", "Old lifts, lathes, treadle-era machine drives, generators."},
	{Universal, "Universal, series wound", SeriesFamily, 0.65, 0.55, 0.9, 0, 0, [2]float64{},
		"Very fast, and faster the less it carries.", "With great torque.", "Falls steeply; unloaded it runs away.",
		"A phase-angle regulator or PWM, best with a tachometer.", "Swap the brush leads against the field.", "Brushes wear in hundreds of hours.", "Vacuum cleaners, kitchen machines, hand tools, washing machines in some regions."},
	{ThreePhase, "Three-phase induction", InductionFamily, 0.90, 0.78, 0.75, 2.5, 2.0, [2]float64{1.5, 2.5},
		"Just under 120 × hertz ÷ poles.", "1.5 to 2.5 × full-load torque on the line.", "Slips a few per cent.",
		"An inverter, or a switch on three phases.", "Swap any two leads, or in the inverter.", "Bearings only.", "Industrial scrap, often with a gearbox; pumps, conveyors, compressors."},
	{SplitPhase, "Split-phase, resistance start", InductionFamily, 0.70, 0.58, 0.65, 2.0, 1.5, [2]float64{1.25, 1.75},
		"Just under synchronous.", "About 1.5 × full-load torque, at many times full-load amps; its switch opens near 75 % of speed.", "Slips a few per cent.",
		"A plain switch and pulleys.", "Swap the start winding's ends against the run's, at standstill.", "The start switch.", "Washing machines in some regions, bench grinders, small saws."},
	{CapacitorStart, "Capacitor-start", InductionFamily, 0.75, 0.62, 0.70, 2.0, 3.5, [2]float64{3, 4.5},
		"Just under synchronous.", "3 to 4.5 × full-load torque; its switch opens near 75 % of speed.", "Slips a few per cent.",
		"A plain switch and pulleys; an inverter only by the other school, never below its switch speed.", "Swap the start winding's ends against the run's, at standstill.", "Start switch and capacitor.", "Compressors, saws, pumps, farm machines."},
	{CapacitorRun, "Capacitor-start, capacitor-run", InductionFamily, 0.80, 0.68, 0.90, 2.2, 3.5, [2]float64{3, 4.5},
		"Just under synchronous.", "3 to 4.5 × full-load torque; the large capacitor is switched out near 75 % of speed.", "Slips a few per cent, and runs quieter.",
		"A plain switch and pulleys.", "Swap the start winding's ends against the run's, at standstill.", "Start switch and capacitors.", "Larger compressors and pumps, table saws."},
	{PermanentSplit, "Permanent split capacitor", InductionFamily, 0.70, 0.60, 0.90, 1.8, 0.6, [2]float64{0.3, 1},
		"Just under synchronous.", "Weakly: 0.3 to 1 × full-load torque.", "Slips more than others as it is loaded.",
		"On a fan: a smaller capacitor or lower volts. Else a plain switch and pulleys.", "Move the supply to the capacitor's other end.", "The capacitor dries out.", "Fans, blowers, garage doors, pumps."},
	{ShadedPole, "Shaded pole", InductionFamily, 0.35, 0.25, 0.60, 1.3, 0.35, [2]float64{0.2, 0.5},
		"Well under synchronous.", "Weakly: 0.2 to 0.5 × full-load torque.", "Slips a good deal.",
		"On a fan: lower volts. Else a plain switch.", "Not at all: the copper bands set the way it turns.", "Bearings; it may stand stalled for a while.", "Small fans, record players, microwave ovens."},
	{TwoSpeed, "Two-speed induction", InductionFamily, 0.70, 0.58, 0.65, 2.0, 1.5, [2]float64{1.25, 1.75},
		"At one of two speeds by which winding is fed.", "As its kind; some start only on the fast winding.", "Slips a few per cent.",
		"Its own two-speed switch, never both windings at once.", "Swap the start winding's ends, at standstill.", "The start switch.", "Washing machines, pool pumps, machine tools with a two-speed switch."},
	{Brushless, "Brushless DC", DCFamily, 0.88, 0.80, 1, 0, 0, [2]float64{},
		"It does not turn without its controller; then in proportion to volts.", "Strongly with sensors; without, it may stutter from rest under load.", "Sags a little.",
		"A matching controller: with Hall sensors, or sensorless.", "In the controller, or swap any two leads (and their sensors).", "Bearings only; magnets dislike heat.", "E-bikes, direct-drive washing machines, garden tools, drones."},
	{Stepper, "Stepper", StepperFamily, 0.6, 0.5, 1, 0, 0, [2]float64{},
		"A step at each pulse; volts alone only hold it.", "At once, if the rate is low enough.", "Not at all until it loses step.",
		"A stepper driver and pulses; higher driver volts keep torque to a higher speed.", "Direction input, or swap one phase.", "Bearings only; hot by nature.", "Printers, plotters, scanners, old disk drives."},
	{Servo, "Servo", DCFamily, 0.88, 0.80, 1, 0, 0, [2]float64{},
		"It does what its drive and encoder tell it.", "With about three times rated torque for a moment.", "Held by its drive until that runs out of amps.",
		"The drive it was made with, or one for its encoder.", "In the drive.", "Bearings and encoder.", "Industrial machines, sewing machines, robots."},
}

// Profiles returns the kinds in the order they are offered.
func Profiles() []Profile { return append([]Profile(nil), profiles...) }

var profileOf = func() map[Kind]Profile {
	m := map[Kind]Profile{}
	for _, p := range profiles {
		m[p.Kind] = p
	}
	return m
}()

// Profile returns what is known of the kind; the zero Profile for no kind.
func (k Kind) Profile() Profile { return profileOf[k] }

// Family is the law the kind is worked out by; empty for no kind.
func (k Kind) Family() Family { return profileOf[k].Family }

// Brushed reports whether the motor has brushes, which wear and spark.
func (k Kind) Brushed() bool { return k == PermanentMagnetDC || k == WoundDC || k == Universal }

// Magnets reports whether too many amps can weaken permanent magnets in it.
func (k Kind) Magnets() bool { return k == PermanentMagnetDC || k == Brushless || k == Servo }

// HasStartSwitch reports whether a switch inside takes a start winding out near 75 % of speed.
func (k Kind) HasStartSwitch() bool {
	return k == SplitPhase || k == CapacitorStart || k == CapacitorRun || k == TwoSpeed
}

// HasCapacitor reports whether such a motor's plate or can names a capacitor.
func (k Kind) HasCapacitor() bool {
	return k == CapacitorStart || k == CapacitorRun || k == PermanentSplit || k == TwoSpeed
}

// mostSlip is the most an induction motor of a kind slips at full load without being doubted: fan
// motors are made to slip [common practice].
func (k Kind) mostSlip() float64 {
	if k == PermanentSplit || k == ShadedPole {
		return 0.3
	}
	return 0.13
}

func kindWords() []string {
	words := make([]string, len(profiles))
	for i, p := range profiles {
		words[i] = string(p.Kind)
	}
	return words
}
