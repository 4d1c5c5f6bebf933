// Package source is the register of where Jiriki's facts come from. Every working names an
// entry of it, so that no figure stands without its ground.
package source

import (
	"fmt"
	"strings"
)

// Status tells how firm a source is.
type Status string

// How firm a source is, firmest first.
const (
	Derived    Status = "derived"         // follows from definitions by algebra
	Published  Status = "published"       // read in a published standard or handbook
	FromMemory Status = "from memory"     // a published value written down from memory, not yet confirmed
	Common     Status = "common practice" // what practitioners do; no source
	AsTyped    Status = "as typed"        // the person's own reading
)

// ID names an entry of the register.
type ID string

// Source is one entry of the register.
type Source struct {
	ID     ID     `json:"id"`
	Title  string `json:"title" doc:"What it is, in words"`
	Status Status `json:"status"`
}

// register is every entry, in the order they stand below.
var register []*Source

// entry puts one in the register.
func entry(id ID, title string, status Status) *Source {
	s := &Source{ID: id, Title: title, Status: status}
	register = append(register, s)
	return s
}

// The entries, named for what they ground.
var (
	Mechanics = entry("mechanics", "Definitions of work, power and rotation", Derived)
	Typed     = entry("typed", "Entered by the person, as read or as measured", AsTyped)
	DCMachine = entry("dc-machine",
		"Steady DC machine: V = K_e·ω + I·R, T = K_e·I − T_loss (Fitzgerald, Electric Machinery, ch. 7)", FromMemory)
	LossSplit = entry("loss-split",
		"Half of the plate's loss taken to be in the winding at rated current", Common)
	PlateEfficient = entry("plate-efficiency",
		"Best and usual full-load efficiency of a small motor by kind: permanent-magnet DC 0.85 and 0.75, "+
			"three-phase 0.95 and 0.78, capacitor-start 0.75 and 0.62, universal 0.65 and 0.55, shaded pole 0.35 and "+
			"0.25", Common)
	PeakRating = entry("peak-rating",
		"A peak or hobby-duty rating counts as 0.7 of itself for continuous work", Common)
	Kloss = entry("kloss",
		"Kloss's relation for an induction motor, T/T_b = 2/(s/s_b + s_b/s)", FromMemory)
	Breakdown = entry("breakdown",
		"Breakdown torque 2.5 × rated for three-phase, about 2 × for single-phase, 1.3 × for shaded pole", Common)
	StartMultiple = entry("start-multiple",
		"Starting torque × rated: three-phase 1.5–2.5, capacitor-start 3–4.5, split-phase 1.25–1.75, permanent "+
			"split capacitor 0.3–1, shaded pole 0.2–0.5; start switches open near 75 % of synchronous", Common)
	Synchronous = entry("synchronous", "Synchronous speed 120·f/p", Derived)
	FanCooling  = entry("fan-cooling",
		"A motor cooled by its own fan holds full torque down to half speed, then falls evenly to 45 % at "+
			"standstill", Common)
	FormFactor = entry("form-factor",
		"Form factor: phase-angle 1.4, with a choke 1.15, chopper 1.05; continuous torque is divided by it", Common)
	SlowestSpeed = entry("slowest-speed",
		"Slowest steady speed as a part of full: armature feedback 1/30, none 1/15, tachometer 1/100; inverter "+
			"V/f 1/10, vector 1/40", Common)
	SpeedFall = entry("speed-fall",
		"Fall of speed from no load to load: 2 % with armature feedback, 1 % with a tachometer or by vector; what "+
			"the ohms or the slip take where nothing watches it", Common)
	PhaseAngle = entry("phase-angle",
		"Average of a rectified sine, (2√2/π)·V_ac; the half-controlled bridge gives 0.45·V_ac·(1 + cos α)", Derived)
	Chopper       = entry("chopper", "A capacitor after the bridge charges to the crest, √2·V_ac", Derived)
	VoltsPerHertz = entry("volts-per-hertz",
		"Constant volts per hertz to the base frequency, weaker field above it", Derived)
	DrivePeak    = entry("drive-peak", "A drive gives 150 % of its rating for 60 s", Common)
	CurrentLimit = entry("current-limit", "Current limit set to 1.5 × the motor's plate amps", Common)
	Demagnetise  = entry("demagnetise", "Permanent magnets are kept under 3 × rated current", Common)
	StartsLoaded = entry("starts-loaded",
		"A load is started against its own torque; what grows with speed squared, and an idle machine nobody has "+
			"weighed, against 15 % of it", Common)
	Heating = entry("heating",
		"Winding and case warmed by current squared: the case's time constant half an hour at 750 W and with the "+
			"fourth root of the power, the winding's an eighth of it; 0.45 of its cooling left where its own fan "+
			"stands still", Common)
	TrimPractice = entry("trim-practice",
		"Top speed for hours of work: 60–70 % of plate speed, or the full plate", Common)
	RampTimes  = entry("ramp-times", "Ramps of 2–3 s up and down", Common)
	BeltLength = entry("belt-length",
		"Exact length of an open belt over two pulleys, from the tangent geometry", Derived)
	BeltEfficiency = entry("belt-efficiency",
		"What a stage keeps: V belt 0.95, poly-V 0.96, toothed 0.98, chain 0.97, spur gear 0.98", Common)
	BeltSlip    = entry("belt-slip", "Belt slip: V 1.5 %, poly-V 1 %; toothed, chain and gear none", Common)
	PitchOffset = entry("pitch-offset",
		"Pitch diameter is the outside less 2 × what the rim stands over it: metric rims Z 2, A 2.75, B 3.5 mm, "+
			"inch rims A 1/8, B 0.175 in, poly-V J −1.2 mm",
		FromMemory)
	SmallestPulley = entry("smallest-pulley",
		"Smallest pitch diameter a section bends round: Z 50, A 75, B 125, poly-V J 20 mm", FromMemory)
	PreferredSizes = entry("preferred-sizes",
		"Pulley diameters in preferred numbers, R20 series of ISO 3", FromMemory)
	BeltSpeed = entry("belt-speed",
		"Belt speed: look again over 25 m/s, never over 33 m/s on a cast-iron rim", Common)
	Wrap       = entry("wrap", "Wrap on the small pulley under 120° loses grip", Common)
	JobMargins = entry("job-margins",
		"Margin by how the torque was found: measured 1.25, stated or calculated 1.5, comparable machine 1.0", Common)
	SpringScale  = entry("spring-scale", "Torque = pull × radius × sine of the angle between them", Derived)
	SurfaceSpeed = entry("surface-speed", "n = v / (π·d)", Derived)
	InputAmps    = entry("input-amps",
		"Input amps from shaft power; power factor 0.7 phase-angle and chopper, 0.62 inverter, 0.75 induction on "+
			"the line without a plate figure; drive efficiency 0.95", Common)
	Inrush = entry("inrush",
		"A motor switched straight on draws about 6 × its rated amps at first", Common)
	RotorSpeed = entry("rotor-speed",
		"Rotor speed past the plate: not over 1.5 × for two poles, 2 × for four or more, unless the maker allows "+
			"it", Common)
	Strobe = entry("strobe",
		"At f flashes a minute and n turns, n/f = a/b in lowest terms shows b images", Derived)
	LocalCode  = entry("local-code", "Local electrical code and a licensed electrician decide", Common)
	KnobWiring = entry("knob-wiring",
		"Knob of 5 or 10 kΩ with its wiper in the middle; started and stopped by the enable, not the mains", Common)
	Carrier    = entry("carrier", "Carrier of an inverter: quiet against heat and insulation", Common)
	OnePhaseIn = entry("one-phase-in",
		"An inverter made for three phases in gives half its rating on one; its input draws √3 times as much", Common)
	BridgeWave = entry("bridge-wave",
		"Current of a half-controlled bridge into R, L and back-EMF, solved in pieces over a half cycle", Derived)
	Conductor   = entry("conductor", "Gauge of wire, d = 0.127 mm · 92^((36 − n)/39) (ASTM B258)", Published)
	Resistivity = entry("resistivity", "Copper 1.72·10⁻⁸ Ω·m at 20 °C, a fifth more at 70 °C", FromMemory)
	IECCircuit  = entry("iec-circuit",
		"Load ≤ breaker ≤ what the cable carries (IEC 60364-4-43); cable by IEC 60364-5-52, method B1. Starting "+
			"values", FromMemory)
	NECCircuit = entry("nec-circuit",
		"Conductor 125 % (NEC 430.22, 430.122), time-delay fuse 175 % or breaker 250 % on the line (430.52); "+
			"table 310.16. Starting values", FromMemory)
	BoxCooling = entry("box-cooling",
		"A steel box in still air passes 5.5 W for each m² and K; a box may be 15 K warmer than the room", Common)
	FuseArmature    = entry("fuse-armature", "Armature fuse the usual size next above 1.25 × plate amps", Common)
	ClassicalRating = entry("classical-rating",
		"Power of classical V belts by small pulley and belt speed, with wrap and length factors (Shigley, "+
			"Mechanical Engineering Design, tables 17-12 to 17-14)", FromMemory)
	RibRating = entry("rib-rating",
		"Pull of Z belts and poly-V ribs, straight in 1/d, fitted to belt tables; grip by the capstan relation "+
			"T1/T2 = e^(μθ), μ 0.51 in the groove", FromMemory)
	FlatRating = entry("flat-rating",
		"Pull of a light flat belt 6 N for each millimetre of width, μ 0.5", Common)
	ToothedRating = entry("toothed-rating",
		"Working pull of toothed belts by pitch, six teeth in mesh (ISO 5295, classes XL, L and H)", FromMemory)
	ChainRating = entry("chain-rating",
		"Roller chain power, the lesser of plates and rollers (American Chain Association; Shigley, section 17-5)",
		FromMemory)
	GearRating = entry("gear-rating",
		"Bending of gear teeth by Lewis's form factor with Barth's factor for cut teeth (Shigley, section 14-1, "+
			"table 14-2), at a third of what the metal yields at", FromMemory)
	WormRating = entry("worm-rating",
		"Wear of a hardened steel worm on a bronze wheel and the heat its box sheds (AGMA 6034; Shigley, sections "+
			"13-11 and 15-6)", FromMemory)
	ShaftCode = entry("shaft-code",
		"Bending and twisting together, √((1.5·M)² + T²), against 41 MPa keyed and 55 MPa plain (ASME code for "+
			"transmission shafting); a belt pulls its shafts together by 1.5 times its effective pull, a flat one by "+
			"2.5", FromMemory)
	MotorTable = entry("motor-table",
		"Full-load amps of motors by horsepower (NEC tables 430.248 and 430.250)", FromMemory)
	SeriesMotor = entry("series-motor",
		"Series machine: T = k·I² − T_loss, E = k·I·ω, V² = (E + I·R)² + (I·X)², X by the plate's power factor, none "+
			"on direct current; the field is full at 1.5 × plate amps", Common)
	StepperTorque = entry("stepper-torque",
		"A stepper pulls 0.7 of its holding torque slowly; twice the torque is kept in hand", Common)
	StepperCorner = entry("stepper-corner",
		"A stepper's torque falls past V / (2·L·I) steps a second", FromMemory)
	FanLaws = entry("fan-laws",
		"A fan's torque goes with speed squared and its power with speed cubed; sound falls by about 50·log10 of "+
			"the speeds", Common)
	GearboxEfficiency = entry("gearbox-efficiency",
		"What a gearbox keeps: spur 0.9, planetary 0.85, worm 0.65", Common)
	BodyClass = entry("body-class",
		"Permanent-magnet motors by body: 76–90 mm small high-speed class, 100–127 mm large class for hours of "+
			"work", Common)
	BatteryShare = entry("battery-share",
		"Four fifths of a battery are taken out before it is charged again", Common)
	Kienzle = entry("kienzle",
		"Kienzle's relation k_c = k_c1.1·h^(−m_c) with h in mm; k_c1.1 and m_c by material", FromMemory)
	GrindingEnergy = entry("grinding-energy",
		"Specific energy of grinding: steel 40, cast iron 25, brass and aluminium 20 J/mm³", Common)
	UnitPower = entry("unit-power",
		"Power for each cubic inch a minute, as inch handbooks tabulate it", FromMemory)
	SurfaceSpeeds      = entry("surface-speeds", "Usual surface speeds by operation, material and tool", Common)
	ComparableMachines = entry("comparable-machines", "Motors that machines of a kind and size usually carry", Common)
	UsualMotors        = entry("usual-motors", "Motors that old machines usually hold, by region", Common)
	OldMotor           = entry("old-motor",
		"The motor it had, through its own pulleys, which kept 95 % unless told", Common)
	InertiaShapes = entry("inertia-shapes",
		"Moments of inertia: disc ½mr², ring ½m(r²+r_i²), bar ml²/12, load mr²; reflected by the square of the "+
			"ratio", Derived)
	AirRating = entry("air-rating",
		"Plates mean 40 °C and 1000 m above the sea (IEC 60034-1), windings bear their class (IEC 60085: A 105, E "+
			"120, B 130, F 155, H 180 °C); from common practice a drive loses 2 % for each kelvin more, and either 1 "+
			"% for each 100 m more", FromMemory)
	ScrewEfficiency = entry("screw-efficiency",
		"A plain greased thread keeps 30 %; a ball screw about 90 %", Common)
	Readings = entry("readings",
		"Mean or least squares of the readings, each as far out as its instrument may be; the spread holds nine "+
			"times in ten", Derived)
	Tachometer = entry("tachometer",
		"A tachometer is within half a per cent; a pick-up that counts so many marks in so long steps by "+
			"60/(marks · seconds) rpm", Common)
	SpinDown = entry("spin-down",
		"Let go, J·dω/dt = −(T_c + b·ω + c·ω²); a disc of known inertia tells J apart from the drag", Derived)
	WarmUp = entry("warm-up",
		"A case warms towards where it settles as 1 − e^(−t/τ); winding 20 to 30 K over the case", Common)
	CoilVolts = entry("coil-volts",
		"A coil pulls in at about 55 to 80 % of the volts it is made for and hums from about a fifth; a motor first "+
			"turns at 4 to 25 % of them", Common)
	InsulationOhms = entry("insulation-ohms",
		"Windings under 1 kV: 5 MΩ at 40 °C is sound, under 1 MΩ it is not powered; ohms halve for each 10 K "+
			"(IEEE 43)", FromMemory)
	RopeBrake = entry("rope-brake", "T = (F1 − F2) · (r + d/2)", Derived)
	Comb      = entry("comb",
		"A shaft sounds at its turns a second and their multiples, belts at v/L, blades, teeth and bars at so many "+
			"a turn; mains at its hertz and their multiples", Derived)
	CopperHeat = entry("copper-heat", "Copper's ohms rise 0.39 % for each kelvin", FromMemory)
)

// Markdown writes the register as a table for docs/sources.md.
func Markdown() string {
	var b strings.Builder
	b.WriteString("# Where the figures come from\n\nMade from `core/source`; do not edit. Entries marked *from " +
		"memory* are published values not yet\nconfirmed against the publication.\n\n| entry | what | status |\n| " +
		"--- | --- | --- |\n")
	for _, s := range register {
		fmt.Fprintf(&b, "| %s | %s | %s |\n", s.ID, strings.ReplaceAll(s.Title, "|", "\\|"), s.Status)
	}
	return b.String()
}
