package control

// Kinds are the controls in the order they are offered.
var Kinds = []Kind{PhaseAngle, Chopper, Inverter, BrushlessDrive, StepperDriver, CapacitorSet, Contactor, SinglePhaseInverter, VariableTransformer, SeriesResistor}

// gives is what reaches the motor from each kind of control, to say why it does not suit.
var gives = map[Kind]string{
	PhaseAngle:     "A phase-angle drive puts out cut mains, rectified or not.",
	Chopper:        "A PWM drive puts out chopped direct current.",
	Inverter:       "An inverter puts out three phases of alternating current at any hertz.",
	BrushlessDrive: "A brushless controller feeds three phases in step with a rotor it watches.",
	StepperDriver:  "A stepper driver moves two phases a step at a time.",
	CapacitorSet:   "A smaller capacitor weakens the second winding of a fan motor, and nothing else.",
	Contactor:      "A switch passes the supply as it is.",

	SinglePhaseInverter: "A single-phase-output inverter puts out one phase at any hertz.",
	VariableTransformer: "A variable transformer gives fewer volts at the same hertz.",
	SeriesResistor:      "A resistor takes volts away as the current grows.",
}

// suit is a motor's side of the matter: what it needs, and why each control that suits it does.
type suit struct {
	needs string
	yes   map[Kind]string
	also  map[Kind]string // works, but is not what one would choose
}

// byHand are the old ways to fewer volts on direct current.
var byHand = map[Kind]string{
	VariableTransformer: "With a bridge it gives any direct volts, but nothing limits the current and the speed falls with load. Turn it to nothing before switching on.",
	SeriesResistor:      "It works and wastes: what the motor does not take the resistor turns to heat, and the speed collapses as the load grows.",
}

// otherSchool is the disputed way to slow a capacitor-start motor.
const otherSchool = "Practice disagrees. The default is pulleys; the other school drives it from an inverter with one phase out, never so slowly that its start switch closes again (about 80 % of plate speed), never above plate speed."

// fanVolts is the other way to slow a fan's own motor.
var fanVolts = map[Kind]string{VariableTransformer: "On a fan fewer volts slow it, as far as it still starts every time: its load falls off with speed squared. Not for any other load."}

var inductionNeeds = "This motor turns with the line's hertz; lower volts, cut waves or direct current only heat it. A plain switch and pulleys suit."

// suits says which control drives which motor, named as package motor names it [common practice].
var suits = map[string]suit{
	"pm-dc": {"Brushes and magnets need direct current. A phase-angle or PWM drive suits.", map[Kind]string{
		PhaseAngle: "Adjustable DC on the armature sets the speed; the magnets do the rest.",
		Chopper:    "Adjustable DC on the armature sets the speed; the magnets do the rest.",
	}, byHand},
	"wound-dc": {"Its armature needs direct current, its field a steady supply. A phase-angle or PWM drive with a field supply suits.", map[Kind]string{
		PhaseAngle: "Adjustable DC on the armature sets the speed; its field is fed in full beside it.",
		Chopper:    "Adjustable DC on the armature sets the speed; its field is fed in full beside it.",
	}, byHand},
	"universal": {"It runs on one phase or on direct current, more volts more speed. A phase-angle or PWM regulator suits, best with a tachometer.", map[Kind]string{
		PhaseAngle: "Cut volts slow it; without a tachometer the speed still falls steeply with load.",
		Chopper:    "Chopped volts slow it, smoother than a cut sine; a tachometer holds the speed.",
		Contactor:  "Switched straight on, its load alone sets its speed. Never without the load.",
	}, map[Kind]string{
		VariableTransformer: "Fewer volts slow it, and the speed falls steeply with load.",
		SeriesResistor:      byHand[SeriesResistor],
	}},
	"induction-3": {"This motor turns with the field's hertz; lower volts or direct current only heat it. An inverter suits.", map[Kind]string{
		Inverter:  "It makes three phases of any hertz, so the field turns at the speed you dial.",
		Contactor: "Switched straight on, it runs at one speed; it needs a three-phase supply.",
	}, nil},
	"split-phase":         {inductionNeeds + " Cut volts keep it from getting past its start switch, and it burns.", onlySwitch("it starts on its second winding and runs at one speed"), nil},
	"capacitor-start":     {"Below about 75 % of plate speed its start switch closes again and burns winding and capacitor. A plain switch and cone pulleys suit; some drive these from a single-phase-output inverter, never below that speed.", onlySwitch("it starts on its capacitor and runs at one speed"), map[Kind]string{SinglePhaseInverter: otherSchool}},
	"capacitor-start-run": {"Below about 75 % of plate speed its start switch closes again and burns winding and capacitor. A plain switch and pulleys suit.", onlySwitch("it starts on both capacitors and runs at one speed"), map[Kind]string{SinglePhaseInverter: otherSchool}},
	"psc": {inductionNeeds + " On a fan, so does a smaller capacitor.", map[Kind]string{
		Contactor:    "Switched straight on, it runs at one speed; pulleys set the machine's speed.",
		CapacitorSet: "On a fan a smaller run capacitor slows it, as far as it still starts every time. Not for any other load.",
	}, fanVolts},
	"shaded-pole": {inductionNeeds, onlySwitch("it starts weakly and runs at one speed"), fanVolts},
	"two-speed":   {inductionNeeds + " Its two-speed switch feeds one winding or the other.", onlySwitch("it runs at the speed of whichever winding is fed, never both"), nil},
	"brushless": {"It has no brushes to turn the current over for it. A matching brushless controller suits.", map[Kind]string{
		BrushlessDrive: "It turns the current over in step with the rotor, by Hall sensors or by what the winding gives back.",
	}, nil},
	"stepper": {"It moves a step for each pulse. A stepper driver suits.", map[Kind]string{
		StepperDriver: "Each pulse is a step; volts well above the winding's own keep the torque at speed.",
	}, nil},
	"servo": {"It needs its drive to read its encoder. The drive made for it, or one for its encoder, suits.", map[Kind]string{
		BrushlessDrive: "A drive that reads its encoder holds speed and place.",
	}, nil},
}

func onlySwitch(how string) map[Kind]string {
	return map[Kind]string{Contactor: "Switched straight on, " + how + "; pulleys set the machine's speed."}
}

// Suits reports whether a kind of control drives a kind of motor (named as package motor names
// it), and says why or why not and what does.
func Suits(kind Kind, motor string) (bool, string) {
	s, known := suits[motor]
	if !known {
		return true, ""
	}
	if why, ok := s.yes[kind]; ok {
		return true, why
	}
	if why, ok := s.also[kind]; ok {
		return true, why
	}
	return false, gives[kind] + " " + s.needs
}

// Also returns the controls that work with a kind of motor but are not what one would choose.
func Also(motor string) []Kind {
	var out []Kind
	for _, k := range Kinds {
		if _, ok := suits[motor].also[k]; ok {
			out = append(out, k)
		}
	}
	return out
}

// Drives returns the controls that suit a kind of motor, in the order they are offered.
func Drives(motor string) []Kind {
	var out []Kind
	for _, k := range Kinds {
		if _, ok := suits[motor].yes[k]; ok {
			out = append(out, k)
		}
	}
	return out
}

// SuitsBattery reports whether a kind of control and motor work from a battery, and says why.
func SuitsBattery(kind Kind, motor string) (bool, string) {
	if brushed := motor == "pm-dc" || motor == "wound-dc" || motor == "universal"; brushed && kind == Contactor {
		return true, "Straight on the battery it turns at full speed or not at all, and draws its stall current at every start."
	}
	if ok, why := Suits(kind, motor); !ok {
		return false, why
	}
	switch {
	case kind == PhaseAngle:
		return false, "A thyristor only lets go when the current crosses zero; from a battery it never does. A PWM drive suits."
	case kind == Inverter || kind == SinglePhaseInverter:
		return false, "This inverter makes its volts from the mains; a battery has too few. A direct-current motor with a PWM drive suits."
	case kind == VariableTransformer:
		return false, "A transformer passes no direct current: from a battery it is a short circuit. A PWM drive suits."
	case kind == Contactor, kind == CapacitorSet:
		return false, "This motor needs alternating current or a drive of its own; a battery alone gives neither."
	}
	return true, "The drive makes what the motor needs from the battery's volts."
}
