// Package donor is what usually holds what: machines that are thrown away and the motor in them,
// by region, what else to take while there, and what can hurt while taking it.
package donor

import (
	"fmt"

	"jiriki/core/motor"
)

// Regions differ in what is thrown away and what drives it.
var Regions = []Region{
	{"europe", "Europe"},
	{"north-america", "North America"},
	{"asia-pacific", "Asia and Pacific"},
	{"elsewhere", "Elsewhere"},
}

// Region is a part of the world as far as scrap goes.
type Region struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// Donor is a machine worth opening [common practice].
type Donor struct {
	ID     string       `json:"id"`
	Name   string       `json:"name"`
	Holds  []motor.Kind `json:"holds" nullable:"false" doc:"Likeliest first, anywhere not named otherwise"`
	In     []Regional   `json:"in" nullable:"false" doc:"Where it differs"`
	Expect string       `json:"expect" doc:"What to expect of the motor"`
	Take   []string     `json:"take" nullable:"false" doc:"What else to take while there"`
	Hurts  []string     `json:"hurts" nullable:"false" doc:"What can hurt while taking it"`
}

// Regional is what a donor holds in one region.
type Regional struct {
	Region string       `json:"region"`
	Holds  []motor.Kind `json:"holds" nullable:"false"`
}

// HoldsIn is what the donor usually holds in a region, likeliest first.
func (d Donor) HoldsIn(region string) []motor.Kind {
	for _, r := range d.In {
		if r.Region == region {
			return r.Holds
		}
	}
	return d.Holds
}

// Find returns a donor by its ID.
func Find(id string) (Donor, error) {
	for _, d := range donors {
		if d.ID == id {
			return d, nil
		}
	}
	return Donor{}, fmt.Errorf("no donor %q", id)
}

// All returns the donors in the order they are offered.
func All() []Donor { return append([]Donor(nil), donors...) }

const (
	dc, wound, universal, three = motor.PermanentMagnetDC, motor.WoundDC, motor.Universal, motor.ThreePhase
	split, start, startRun      = motor.SplitPhase, motor.CapacitorStart, motor.CapacitorRun
	psc, shaded, two            = motor.PermanentSplit, motor.ShadedPole, motor.TwoSpeed
	brushless, stepper, servo   = motor.Brushless, motor.Stepper, motor.Servo
)

const (
	mains  = "Pull the plug and cut it off before a cover comes off."
	caps   = "Capacitors stay charged: wait, discharge through a resistor, measure."
	edges  = "Sheet-metal edges cut; gloves for the shell, none near what turns."
	spring = "Springs under load fly; let them down with care."
)

var donors = []Donor{
	{"treadmill", "Treadmill or walking machine", []motor.Kind{dc, three, brushless}, []Regional{},
		"A permanent-magnet motor of 90–130 V or 180 V whose plate quotes a peak: count on about 0.7 of it. Heavy " +
			"flywheel, often screwed on with a left-hand thread.",
		[]string{"the drive board and its choke", "the flywheel pulley and poly-V belt", "the small geared lift motor",
			"speed sensor and magnet", "safety key switch, rollers and bearings"},
		[]string{mains, caps, "The deck is heavy and the lift can drop it."}},
	{"washing-machine", "Washing machine, belt driven", []motor.Kind{universal, split, two}, []Regional{
		{"north-america", []motor.Kind{split, two, psc}}, {"europe", []motor.Kind{universal, three, two}},
		{"asia-pacific", []motor.Kind{psc, universal, brushless}},
	}, "Universal with a tachometer on its tail in some regions, a split-phase or two-speed induction motor in others.",
		[]string{"the drum pulley and belt", "the tachometer and its plug", "drum shaft and bearings",
			"door lock and hoses"},
		[]string{mains, edges, "The concrete weight falls when its bolts go.", spring}},
	{"direct-drive-washer", "Washing machine, direct drive", []motor.Kind{brushless, universal}, []Regional{},
		"A large flat motor whose outside turns, with Hall sensors: low speed, much torque.",
		[]string{"the rotor with its magnets", "Hall sensor plug", "shaft and bearings"}, []string{mains, caps,
			"Its ring magnet snaps on to iron and takes fingers with it."}},
	{"dryer", "Tumble dryer", []motor.Kind{split, psc}, []Regional{{"europe", []motor.Kind{psc, split}},
		{"north-america", []motor.Kind{split, psc}}},
		"An induction motor with a fan on one end and a belt pulley on the other.",
		[]string{"idler and belt", "thermal switches", "drum rollers", "blower wheel"}, []string{mains, edges}},
	{"vacuum-cleaner", "Vacuum cleaner", []motor.Kind{universal, brushless}, []Regional{},
		"A universal motor of 20 000 rpm and more, made for minutes under its own draught.",
		[]string{"the speed regulator", "cord reel"}, []string{mains, "Never run it without its fan: it runs away."}},
	{"kitchen-machine", "Kitchen mixer or food machine", []motor.Kind{universal, dc}, []Regional{},
		"A universal motor, often with a gearbox worth keeping.", []string{"the gearbox", "the speed switch"},
		[]string{mains}},
	{"hand-tool", "Drill, grinder or saw, mains", []motor.Kind{universal}, []Regional{},
		"A universal motor with gears and a trigger that regulates it.",
		[]string{"gear head and chuck", "trigger regulator"}, []string{mains}},
	{"cordless-tool", "Cordless drill or garden tool", []motor.Kind{dc, brushless}, []Regional{},
		"12–40 V; strong for seconds, small for hours.", []string{"planetary gearbox", "trigger with its chopper",
			"battery holder"}, []string{"Lithium cells burn when crushed or shorted."}},
	{"fan", "Desk, ceiling or extractor fan", []motor.Kind{psc, shaded}, []Regional{},
		"Weak at starting; good for a fan again.", []string{"the capacitor or speed switch", "blade and guard"},
		[]string{mains, caps}},
	{"furnace-blower", "Furnace or air-conditioner blower", []motor.Kind{psc, brushless}, []Regional{},
		"A fan motor with several speeds.", []string{"capacitor", "squirrel-cage wheel"}, []string{mains, caps,
			"Refrigerant is for a licensed person only."}},
	{"microwave", "Microwave oven", []motor.Kind{shaded, stepper}, []Regional{},
		"A small shaded-pole fan motor and a geared turntable motor. Nothing else in it is for this work.",
		[]string{"fan", "micro-switches", "turntable motor"},
		[]string{"Its capacitor and transformer kill, unplugged too. Leave the high-voltage part alone."}},
	{"printer", "Printer, plotter or scanner", []motor.Kind{stepper, dc, brushless}, []Regional{},
		"Steppers of 4 to 6 leads, or small direct-current motors with an encoder.",
		[]string{"toothed belts and pulleys", "ground rods and bushes", "drivers and end switches"},
		[]string{mains, spring}},
	{"pump", "Water or pool pump", []motor.Kind{startRun, start, psc, two}, []Regional{},
		"A totally enclosed motor; look for rust in the bearing.", []string{"capacitors", "pressure switch"},
		[]string{mains, caps}},
	{"compressor", "Air compressor", []motor.Kind{start, startRun, three, universal}, []Regional{},
		"Starts hard, but its nameplate power is often what goes in.",
		[]string{"pressure switch", "flywheel pulley", "magnetic starter"}, []string{mains, caps,
			"Let the air out before anything else."}},
	{"table-saw", "Saw, planer or bench grinder", []motor.Kind{start, split, startRun, universal}, []Regional{},
		"Two poles, made for one speed.", []string{"switch with no-volt release", "pulleys and arbor", "stand"},
		[]string{mains, "Take blade or wheel off first."}},
	{"garage-door", "Garage-door opener", []motor.Kind{psc, dc}, []Regional{}, "Rated for minutes in the hour.",
		[]string{"worm or chain reduction", "limit switches"}, []string{mains, spring}},
	{"scooter", "Mobility scooter or wheelchair", []motor.Kind{dc}, []Regional{},
		"24 V permanent-magnet with gearbox, brake and often a clutch lever.",
		[]string{"controller and throttle", "batteries if sound", "brake", "wheels and keyed hubs"},
		[]string{"Batteries give hundreds of amps: rings off, insulate the spanner.",
			"The magnetic brake must be fed or freed before it turns."}},
	{"e-bike", "E-bike or kick scooter", []motor.Kind{brushless, dc}, []Regional{},
		"24–48 V brushless hub, low speed, with Hall sensors.", []string{"controller, throttle, charger"},
		[]string{"Lithium cells burn when damaged."}},
	{"floor-scrubber", "Floor scrubber or polisher", []motor.Kind{dc, start, universal}, []Regional{},
		"Built for hours; heavy, often with a gearbox.", []string{"drive board", "gearbox", "wheels"},
		[]string{mains, caps, "Battery acid where it is battery driven."}},
	{"wire-feeder", "Welding wire feeder", []motor.Kind{dc}, []Regional{},
		"A geared permanent-magnet motor with its own speed box: a ready-made feed drive.",
		[]string{"feed rolls", "speed regulator", "solenoid valve"}, []string{mains, caps}},
	{"car", "Car: wiper, window, heater, seat", []motor.Kind{dc}, []Regional{},
		"12 V, most with a worm. Some wipers have three leads for two speeds, a common brush grounded to the case.",
		[]string{"relays and fuses", "cooling-fan motor"},
		[]string{"Disconnect the battery first; never touch an airbag."}},
	{"conveyor", "Conveyor or packing line", []motor.Kind{three, dc, servo}, []Regional{},
		"Three-phase, often with a worm or helical gearbox, fit for years.",
		[]string{"gearbox and chain", "inverter and its resistor", "bearings in housings", "proximity switches"},
		[]string{"Locked off by someone who may, before a spanner goes near.", caps, "Heavy: lift with help."}},
	{"lift-gear", "Old lift, hoist or winch", []motor.Kind{three, wound, dc}, []Regional{},
		"Large and slow; some wound for direct current.", []string{"brake", "worm gear"},
		[]string{"Leave a lift to those who may open it.", "Stored weight: block it."}},
	{"sewing-machine", "Sewing machine", []motor.Kind{universal, servo, dc}, []Regional{},
		"Small universal with a foot regulator; industrial ones have a clutch motor or a servo.",
		[]string{"foot regulator", "belt and pulleys"}, []string{mains}},
	{"machine-tool", "Numerically controlled machine or robot", []motor.Kind{servo, stepper, three, wound},
		[]Regional{}, "Servos are worth little without their drive and cable: take all three.",
		[]string{"drives with their cables", "ball screws and rails", "encoders", "contactors and transformers"},
		[]string{"Locked off first; drives hold their charge for minutes.",
			"An axis drops when its brake is freed."}},
	{"farm", "Farm machine: auger, dryer, feeder", []motor.Kind{start, three, startRun}, []Regional{},
		"Dusty, closed, strong at starting.", []string{"pulleys and belts", "gearboxes"}, []string{mains, caps,
			"Grain dust burns; mice like windings."}},
}
