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

// The entries, named for what they ground.
const (
	Mechanics      ID = "mechanics"
	Typed          ID = "typed"
	DCMachine      ID = "dc-machine"
	LossSplit      ID = "loss-split"
	PlateEfficient ID = "plate-efficiency"
	PeakRating     ID = "peak-rating"
	Kloss          ID = "kloss"
	Breakdown      ID = "breakdown"
	StartMultiple  ID = "start-multiple"
	Synchronous    ID = "synchronous"
	FanCooling     ID = "fan-cooling"
	FormFactor     ID = "form-factor"
	SlowestSpeed   ID = "slowest-speed"
	PhaseAngle     ID = "phase-angle"
	Chopper        ID = "chopper"
	VoltsPerHertz  ID = "volts-per-hertz"
	DrivePeak      ID = "drive-peak"
	CurrentLimit   ID = "current-limit"
	Demagnetise    ID = "demagnetise"
	Heating        ID = "heating"
	TrimPractice   ID = "trim-practice"
	RampTimes      ID = "ramp-times"
	BeltLength     ID = "belt-length"
	BeltEfficiency ID = "belt-efficiency"
	BeltSlip       ID = "belt-slip"
	PitchOffset    ID = "pitch-offset"
	SmallestPulley ID = "smallest-pulley"
	PreferredSizes ID = "preferred-sizes"
	BeltSpeed      ID = "belt-speed"
	Wrap           ID = "wrap"
	JobMargins     ID = "job-margins"
	SpringScale    ID = "spring-scale"
	SurfaceSpeed   ID = "surface-speed"
	InputAmps      ID = "input-amps"
	Inrush         ID = "inrush"
	RotorSpeed     ID = "rotor-speed"
	LocalCode      ID = "local-code"

	KnobWiring      ID = "knob-wiring"
	Carrier         ID = "carrier"
	OnePhaseIn      ID = "one-phase-in"
	BridgeWave      ID = "bridge-wave"
	Conductor       ID = "conductor"
	Resistivity     ID = "resistivity"
	IECCircuit      ID = "iec-circuit"
	NECCircuit      ID = "nec-circuit"
	BoxCooling      ID = "box-cooling"
	FuseArmature    ID = "fuse-armature"
	ClassicalRating ID = "classical-rating"
	RibRating       ID = "rib-rating"
	FlatRating      ID = "flat-rating"
	ToothedRating   ID = "toothed-rating"
	ChainRating     ID = "chain-rating"
	GearRating      ID = "gear-rating"

	SeriesMotor       ID = "series-motor"
	StepperTorque     ID = "stepper-torque"
	StepperCorner     ID = "stepper-corner"
	FanLaws           ID = "fan-laws"
	GearboxEfficiency ID = "gearbox-efficiency"
	BodyClass         ID = "body-class"
	BatteryShare      ID = "battery-share"

	Kienzle            ID = "kienzle"
	GrindingEnergy     ID = "grinding-energy"
	UnitPower          ID = "unit-power"
	SurfaceSpeeds      ID = "surface-speeds"
	ComparableMachines ID = "comparable-machines"
	OldMotor           ID = "old-motor"
	InertiaShapes      ID = "inertia-shapes"
	ScrewEfficiency    ID = "screw-efficiency"
	AirRating          ID = "air-rating"
)

var register = []Source{
	{Mechanics, "Definitions of work, power and rotation", Derived},
	{Typed, "Entered by the person, as read or as measured", AsTyped},
	{DCMachine, "Steady DC machine: V = K_e·ω + I·R, T = K_e·I − T_loss (Fitzgerald, Electric Machinery, ch. 7)",
		FromMemory},
	{LossSplit, "Half of the plate's loss taken to be in the winding at rated current", Common},
	{PlateEfficient, "Best and usual full-load efficiency of a small motor by kind: permanent-magnet DC 0.85 and " +
		"0.75, three-phase 0.90 and 0.78, capacitor-start 0.75 and 0.62, universal 0.65 and 0.55, shaded pole 0.35 " +
		"and 0.25", Common},
	{PeakRating, "A peak or hobby-duty rating counts as 0.7 of itself for continuous work", Common},
	{Kloss, "Kloss's relation for an induction motor, T/T_b = 2/(s/s_b + s_b/s)", FromMemory},
	{Breakdown, "Breakdown torque 2.5 × rated for three-phase, about 2 × for single-phase, 1.3 × for shaded pole",
		Common},
	{StartMultiple, "Starting torque × rated: three-phase 1.5–2.5, capacitor-start 3–4.5, split-phase 1.25–1.75, " +
		"permanent split capacitor 0.3–1, shaded pole 0.2–0.5; start switches open near 75 % of synchronous", Common},
	{Synchronous, "Synchronous speed 120·f/p", Derived},
	{FanCooling, "A motor cooled by its own fan holds full torque down to half speed, then falls evenly to 45 % at " +
		"standstill", Common},
	{FormFactor, "Form factor: phase-angle 1.4, with a choke 1.15, chopper 1.05; continuous torque is divided by it",
		Common},
	{SlowestSpeed, "Slowest steady speed as a part of full: armature feedback 1/30, none 1/15, tachometer 1/100; " +
		"inverter V/f 1/10, vector 1/40", Common},
	{PhaseAngle, "Average of a rectified sine, (2√2/π)·V_ac; the half-controlled bridge gives 0.45·V_ac·(1 + cos α)",
		Derived},
	{Chopper, "A capacitor after the bridge charges to the crest, √2·V_ac", Derived},
	{VoltsPerHertz, "Constant volts per hertz to the base frequency, weaker field above it", Derived},
	{DrivePeak, "A drive gives 150 % of its rating for 60 s", Common},
	{CurrentLimit, "Current limit set to 1.5 × the motor's plate amps", Common},
	{Demagnetise, "Permanent magnets are kept under 3 × rated current", Common},
	{Heating, "First-order heating with current squared; 30 minutes taken as the winding's time constant in a small " +
		"motor", Common},
	{TrimPractice, "Top speed for hours of work: 60–70 % of plate speed, or the full plate", Common},
	{RampTimes, "Ramps of 2–3 s up and down", Common},
	{BeltLength, "Exact length of an open belt over two pulleys, from the tangent geometry", Derived},
	{BeltEfficiency, "What a stage keeps: V belt 0.95, poly-V 0.96, toothed 0.98, chain 0.97, spur gear 0.98", Common},
	{BeltSlip, "Belt slip: V 1.5 %, poly-V 1 %; toothed, chain and gear none", Common},
	{PitchOffset, "Pitch diameter is the outside less 2 × the section's offset: " +
		"Z 2.5, A 3.3, B 4.2 mm, poly-V J −1.2 mm", FromMemory},
	{SmallestPulley, "Smallest pitch diameter a section bends round: Z 50, A 75, B 125, poly-V J 20 mm", FromMemory},
	{PreferredSizes, "Pulley diameters in preferred numbers, R20 series of ISO 3", FromMemory},
	{BeltSpeed, "Belt speed: look again over 25 m/s, never over 33 m/s on a cast-iron rim", Common},
	{Wrap, "Wrap on the small pulley under 120° loses grip", Common},
	{JobMargins, "Margin by how the torque was found: measured 1.25, stated or calculated 1.5, comparable machine 1.0",
		Common},
	{SpringScale, "Torque = pull × radius × sine of the angle between them", Derived},
	{SurfaceSpeed, "n = v / (π·d)", Derived},
	{InputAmps, "Input amps from shaft power; power factor 0.7 phase-angle and chopper, 0.62 inverter, 0.75 " +
		"induction on the line without a plate figure; drive efficiency 0.95", Common},
	{Inrush, "A motor switched straight on draws about 6 × its rated amps at first", Common},
	{RotorSpeed, "Rotor speed past the plate: not over 1.5 × for two poles, 2 × for four or more, unless the maker " +
		"allows it", Common},
	{LocalCode, "Local electrical code and a licensed electrician decide", Common},
	{KnobWiring, "Knob of 5 or 10 kΩ with its wiper in the middle; started and stopped by the enable, not the mains",
		Common},
	{Carrier, "Carrier of an inverter: quiet against heat and insulation", Common},
	{OnePhaseIn, "An inverter made for three phases in gives half its rating on one; its input draws √3 times as much",
		Common},
	{BridgeWave, "Current of a half-controlled bridge into R, L and back-EMF, solved in pieces over a half cycle",
		Derived},
	{Conductor, "Gauge of wire, d = 0.127 mm · 92^((36 − n)/39) (ASTM B258)", Published},
	{Resistivity, "Copper 1.72·10⁻⁸ Ω·m at 20 °C, a fifth more at 70 °C", FromMemory},
	{IECCircuit, "Load ≤ breaker ≤ what the cable carries (IEC 60364-4-43); cable by IEC 60364-5-52, method B1. " +
		"Starting values", FromMemory},
	{NECCircuit, "Conductor 125 % (NEC 430.22, 430.122), time-delay fuse 175 % or breaker 250 % on the line " +
		"(430.52); table 310.16. Starting values", FromMemory},
	{BoxCooling, "A steel box in still air passes 5.5 W for each m² and K; a box may be 15 K warmer than the room",
		Common},
	{FuseArmature, "Armature fuse the usual size next above 1.25 × plate amps", Common},
	{ClassicalRating, "Power of classical V belts by small pulley and belt speed, with wrap and length factors " +
		"(Shigley, Mechanical Engineering Design, tables 17-12 to 17-14)", FromMemory},
	{RibRating, "Pull of Z belts and poly-V ribs, straight in 1/d, fitted to belt tables; grip by the capstan " +
		"relation T1/T2 = e^(μθ), μ 0.51 in the groove", FromMemory},
	{FlatRating, "Pull of a light flat belt 6 N for each millimetre of width, μ 0.5", Common},
	{ToothedRating, "Working pull of toothed belts by pitch, six teeth in mesh (ISO 5295, classes XL, L and H)",
		FromMemory},
	{ChainRating, "Roller chain power, the lesser of plates and rollers (American Chain Association; Shigley, " +
		"section 17-5)", FromMemory},
	{GearRating, "Bending of gear teeth by Lewis's form factor with Barth's factor for cut teeth (Shigley, section " +
		"14-1, table 14-2), at a third of what the metal yields at", FromMemory},
	{SeriesMotor, "Series machine: T = k·I² − T_loss, E = k·I·ω, I = V / (R + k·ω); on alternating current V counts " +
		"times the power factor", Common},
	{StepperTorque, "A stepper pulls 0.7 of its holding torque slowly; twice the torque is kept in hand", Common},
	{StepperCorner, "A stepper's torque falls past V / (2·L·I) steps a second", FromMemory},
	{FanLaws, "A fan's torque goes with speed squared and its power with speed cubed; sound falls by about 50·log10 " +
		"of the speeds", Common},
	{GearboxEfficiency, "What a gearbox keeps: spur 0.9, planetary 0.85, worm 0.65", Common},
	{BodyClass, "Permanent-magnet motors by body: 76–90 mm small high-speed class, 100–127 mm large class for hours " +
		"of work", Common},
	{BatteryShare, "Four fifths of a battery are taken out before it is charged again", Common},
	{Kienzle, "Kienzle's relation k_c = k_c1.1·h^(−m_c) with h in mm; k_c1.1 and m_c by material", FromMemory},
	{GrindingEnergy, "Specific energy of grinding: steel 40, cast iron 25, brass and aluminium 20 J/mm³", Common},
	{UnitPower, "Power for each cubic inch a minute, as inch handbooks tabulate it", FromMemory},
	{SurfaceSpeeds, "Usual surface speeds by operation, material and tool", Common},
	{ComparableMachines, "Motors that machines of a kind and size usually carry", Common},
	{OldMotor, "The motor it had, through its own pulleys, which kept 95 % unless told", Common},
	{InertiaShapes, "Moments of inertia: disc ½mr², ring ½m(r²+r_i²), bar ml²/12, load mr²; reflected by the square " +
		"of the ratio", Derived},
	{AirRating, "Plates mean 40 °C and 1000 m above the sea (IEC 60034-1), windings bear their class (IEC 60085: A " +
		"105, E 120, B 130, F 155, H 180 °C); from common practice a drive loses 2 % for each kelvin more, and " +
		"either 1 % for each 100 m more", FromMemory},
	{ScrewEfficiency, "A plain greased thread keeps 30 %; a ball screw about 90 %", Common},
}

var byID = func() map[ID]Source {
	m := make(map[ID]Source, len(register))
	for _, s := range register {
		m[s.ID] = s
	}
	return m
}()

// Find returns an entry. An ID outside the register returns an entry with an empty title;
// a test keeps every used ID in the register.
func Find(id ID) Source { return byID[id] }

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
