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

	// What old machines are made of [common practice].
	oil = "An oil capacitor of before about 1985 may hold PCB: gloves, never open it, and it goes where local rules " +
		"send it."
	linings = "Old brake and clutch linings, and heat shields, can be asbestos: no brush, no air line; keep it wet, " +
		"wear a mask for fibres, and follow local rules."
	paint    = "Old paint can hold lead: scrape it wet, with a mask, and no food near."
	contacts = "Old contactors have cadmium on their contacts, and tilt switches mercury: leave both whole."
	burner   = "Gas line and burner are for a licensed person only."
)

var donors = []Donor{
	{
		ID:    "treadmill",
		Name:  "Treadmill or walking machine",
		Holds: []motor.Kind{dc, three, brushless},
		In:    []Regional{},
		Expect: "A permanent-magnet motor of 90–130 V or 180 V whose plate quotes a peak: count on about 0.7 of " +
			"it. Heavy flywheel, often screwed on with a left-hand thread.",
		Take: []string{
			"the drive board and its choke", "the flywheel pulley and poly-V belt", "the small geared lift motor",
			"speed sensor and magnet", "safety key switch, rollers and bearings",
		},
		Hurts: []string{mains, caps, "The deck is heavy and the lift can drop it."},
	},
	{
		ID:    "washing-machine",
		Name:  "Washing machine, belt driven",
		Holds: []motor.Kind{universal, split, two},
		In: []Regional{
			{"north-america", []motor.Kind{split, two, psc}},
			{"europe", []motor.Kind{universal, three, two}},
			{"asia-pacific", []motor.Kind{psc, universal, brushless}},
		},
		Expect: "Universal with a tachometer on its tail in some regions, a split-phase or two-speed induction " +
			"motor in others.",
		Take: []string{
			"the drum pulley and belt", "the tachometer and its plug", "drum shaft and bearings",
			"door lock and hoses",
		},
		Hurts: []string{mains, edges, "The concrete weight falls when its bolts go.", spring, oil},
	},
	{
		ID:     "direct-drive-washer",
		Name:   "Washing machine, direct drive",
		Holds:  []motor.Kind{brushless, universal},
		In:     []Regional{},
		Expect: "A large flat motor whose outside turns, with Hall sensors: low speed, much torque.",
		Take:   []string{"the rotor with its magnets", "Hall sensor plug", "shaft and bearings"},
		Hurts:  []string{mains, caps, "Its ring magnet snaps on to iron and takes fingers with it."},
	},
	{
		ID:     "dryer",
		Name:   "Tumble dryer",
		Holds:  []motor.Kind{split, psc},
		In:     []Regional{{"europe", []motor.Kind{psc, split}}, {"north-america", []motor.Kind{split, psc}}},
		Expect: "An induction motor with a fan on one end and a belt pulley on the other.",
		Take:   []string{"idler and belt", "thermal switches", "drum rollers", "blower wheel"},
		Hurts:  []string{mains, edges, burner, oil},
	},
	{
		ID:     "vacuum-cleaner",
		Name:   "Vacuum cleaner",
		Holds:  []motor.Kind{universal, brushless},
		In:     []Regional{},
		Expect: "A universal motor of 20 000 rpm and more, made for minutes under its own draught.",
		Take:   []string{"the speed regulator", "cord reel"},
		Hurts:  []string{mains, "Never run it without its fan: it runs away."},
	},
	{
		ID:     "kitchen-machine",
		Name:   "Kitchen mixer or food machine",
		Holds:  []motor.Kind{universal, dc},
		In:     []Regional{},
		Expect: "A universal motor, often with a gearbox worth keeping.",
		Take:   []string{"the gearbox", "the speed switch"},
		Hurts:  []string{mains},
	},
	{
		ID:     "hand-tool",
		Name:   "Drill, grinder or saw, mains",
		Holds:  []motor.Kind{universal},
		In:     []Regional{},
		Expect: "A universal motor with gears and a trigger that regulates it.",
		Take:   []string{"gear head and chuck", "trigger regulator"},
		Hurts:  []string{mains},
	},
	{
		ID:     "cordless-tool",
		Name:   "Cordless drill or garden tool",
		Holds:  []motor.Kind{dc, brushless},
		In:     []Regional{},
		Expect: "12–40 V; strong for seconds, small for hours.",
		Take:   []string{"planetary gearbox", "trigger with its chopper", "battery holder"},
		Hurts:  []string{"Lithium cells burn when crushed or shorted."},
	},
	{
		ID:     "fan",
		Name:   "Desk, ceiling or extractor fan",
		Holds:  []motor.Kind{psc, shaded},
		In:     []Regional{},
		Expect: "Weak at starting; good for a fan again.",
		Take:   []string{"the capacitor or speed switch", "blade and guard"},
		Hurts:  []string{mains, caps},
	},
	{
		ID:     "furnace-blower",
		Name:   "Furnace or air-conditioner blower",
		Holds:  []motor.Kind{psc, brushless},
		In:     []Regional{},
		Expect: "A fan motor with several speeds.",
		Take:   []string{"capacitor", "squirrel-cage wheel"},
		Hurts:  []string{mains, caps, "Refrigerant is for a licensed person only.", burner, oil, contacts},
	},
	{
		ID:     "microwave",
		Name:   "Microwave oven",
		Holds:  []motor.Kind{shaded, stepper},
		In:     []Regional{},
		Expect: "A small shaded-pole fan motor and a geared turntable motor. Nothing else in it is for this work.",
		Take:   []string{"fan", "micro-switches", "turntable motor"},
		Hurts: []string{"Its capacitor and transformer kill, unplugged too. Leave the high-voltage part alone.",
			"The ceramic of its magnetron can be beryllia, whose dust kills: leave it whole."},
	},
	{
		ID:     "printer",
		Name:   "Printer, plotter or scanner",
		Holds:  []motor.Kind{stepper, dc, brushless},
		In:     []Regional{},
		Expect: "Steppers of 4 to 6 leads, or small direct-current motors with an encoder.",
		Take:   []string{"toothed belts and pulleys", "ground rods and bushes", "drivers and end switches"},
		Hurts:  []string{mains, spring},
	},
	{
		ID:     "pump",
		Name:   "Water or pool pump",
		Holds:  []motor.Kind{startRun, start, psc, two},
		In:     []Regional{},
		Expect: "A totally enclosed motor; look for rust in the bearing.",
		Take:   []string{"capacitors", "pressure switch"},
		Hurts:  []string{mains, caps, oil},
	},
	{
		ID:     "compressor",
		Name:   "Air compressor",
		Holds:  []motor.Kind{start, startRun, three, universal},
		In:     []Regional{},
		Expect: "Starts hard, but its nameplate power is often what goes in.",
		Take:   []string{"pressure switch", "flywheel pulley", "magnetic starter"},
		Hurts:  []string{mains, caps, "Let the air out before anything else.", oil},
	},
	{
		ID:     "table-saw",
		Name:   "Saw, planer or bench grinder",
		Holds:  []motor.Kind{start, split, startRun, universal},
		In:     []Regional{},
		Expect: "Two poles, made for one speed.",
		Take:   []string{"switch with no-volt release", "pulleys and arbor", "stand"},
		Hurts:  []string{mains, "Take blade or wheel off first.", paint, oil},
	},
	{
		ID:     "garage-door",
		Name:   "Garage-door opener",
		Holds:  []motor.Kind{psc, dc},
		In:     []Regional{},
		Expect: "Rated for minutes in the hour.",
		Take:   []string{"worm or chain reduction", "limit switches"},
		Hurts: []string{mains, "The door's torsion springs are wound tight enough to kill: leave them to who is " +
			"trained."},
	},
	{
		ID:     "scooter",
		Name:   "Mobility scooter or wheelchair",
		Holds:  []motor.Kind{dc},
		In:     []Regional{},
		Expect: "24 V permanent-magnet with gearbox, brake and often a clutch lever.",
		Take:   []string{"controller and throttle", "batteries if sound", "brake", "wheels and keyed hubs"},
		Hurts: []string{
			"Batteries give hundreds of amps: rings off, insulate the spanner.",
			"The magnetic brake must be fed or freed before it turns.",
		},
	},
	{
		ID:     "e-bike",
		Name:   "E-bike or kick scooter",
		Holds:  []motor.Kind{brushless, dc},
		In:     []Regional{},
		Expect: "24–48 V brushless hub, low speed, with Hall sensors.",
		Take:   []string{"controller, throttle, charger"},
		Hurts:  []string{"Lithium cells burn when damaged."},
	},
	{
		ID:     "floor-scrubber",
		Name:   "Floor scrubber or polisher",
		Holds:  []motor.Kind{dc, start, universal},
		In:     []Regional{},
		Expect: "Built for hours; heavy, often with a gearbox.",
		Take:   []string{"drive board", "gearbox", "wheels"},
		Hurts:  []string{mains, caps, "Battery acid where it is battery driven."},
	},
	{
		ID:     "wire-feeder",
		Name:   "Welding wire feeder",
		Holds:  []motor.Kind{dc},
		In:     []Regional{},
		Expect: "A geared permanent-magnet motor with its own speed box: a ready-made feed drive.",
		Take:   []string{"feed rolls", "speed regulator", "solenoid valve"},
		Hurts:  []string{mains, caps},
	},
	{
		ID:    "car",
		Name:  "Car: wiper, window, heater, seat",
		Holds: []motor.Kind{dc},
		In:    []Regional{},
		Expect: "12 V, most with a worm. Some wipers have three leads for two speeds, a common brush grounded to " +
			"the case.",
		Take:  []string{"relays and fuses", "cooling-fan motor"},
		Hurts: []string{"Disconnect the battery first; never touch an airbag."},
	},
	{
		ID:     "conveyor",
		Name:   "Conveyor or packing line",
		Holds:  []motor.Kind{three, dc, servo},
		In:     []Regional{},
		Expect: "Three-phase, often with a worm or helical gearbox, fit for years.",
		Take: []string{
			"gearbox and chain", "inverter and its resistor", "bearings in housings", "proximity switches",
		},
		Hurts: []string{"Locked off by someone who may, before a spanner goes near.", caps,
			"Heavy: lift with help.", linings, contacts},
	},
	{
		ID:     "lift-gear",
		Name:   "Old lift, hoist or winch",
		Holds:  []motor.Kind{three, wound, dc},
		In:     []Regional{},
		Expect: "Large and slow; some wound for direct current.",
		Take:   []string{"brake", "worm gear"},
		Hurts: []string{"Leave a lift to those who may open it.", "Stored weight: block it.", linings, contacts,
			paint},
	},
	{
		ID:     "sewing-machine",
		Name:   "Sewing machine",
		Holds:  []motor.Kind{universal, servo, dc},
		In:     []Regional{},
		Expect: "Small universal with a foot regulator; industrial ones have a clutch motor or a servo.",
		Take:   []string{"foot regulator", "belt and pulleys"},
		Hurts:  []string{mains},
	},
	{
		ID:     "machine-tool",
		Name:   "Numerically controlled machine or robot",
		Holds:  []motor.Kind{servo, stepper, three, wound},
		In:     []Regional{},
		Expect: "Servos are worth little without their drive and cable: take all three.",
		Take: []string{
			"drives with their cables", "ball screws and rails", "encoders", "contactors and transformers",
		},
		Hurts: []string{
			"Locked off first; drives hold their charge for minutes.", "An axis drops when its brake is freed.",
		},
	},
	{
		ID:     "farm",
		Name:   "Farm machine: auger, dryer, feeder",
		Holds:  []motor.Kind{start, three, startRun},
		In:     []Regional{},
		Expect: "Dusty, closed, strong at starting.",
		Take:   []string{"pulleys and belts", "gearboxes"},
		Hurts:  []string{mains, caps, "Grain dust burns; mice like windings.", burner, linings, oil, paint},
	},
}
