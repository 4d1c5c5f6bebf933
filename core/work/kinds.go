package work

import (
	"strings"
	"unicode"

	q "jiriki/core/quantity"
)

// Kind is a sort of machine as a start: the jobs such a machine usually has, the limit asked for
// first, the questions its place raises and its own dangers. Nothing here is a cage; every entry
// can be changed afterwards.
type Kind struct {
	ID      string   `json:"id"`
	Name    string   `json:"name"`
	Spindle string   `json:"spindle" doc:"What its spindle is called"`
	Asks    string   `json:"asks" doc:"The limit to look for first: marked, spindle or diameter"`
	Jobs    []Job    `json:"jobs" nullable:"false" doc:"The jobs such a machine usually has"`
	Throws  string   `json:"-"`        // what it throws at a drive and motor
	Dangers []Danger `json:"-"`        // its own, besides those of every machine
	Dusty   bool     `json:"-"`        // round it a sparking commutator can set dust alight
	Cutter  bool     `json:"-"`        // a blade, wheel or tool turns in it within reach of hands
	Lets    bool     `json:"-"`        // it takes no hand and moves nothing, so that it may start again by itself
	Wets    bool     `json:"-"`        // water reaches it in its usual work
	Cast    bool     `json:"-"`        // what turns in it is cast iron unless known otherwise
	Covers  string   `json:"covers"`   // what in it must be covered before it turns; empty where nothing is
	Wheel   float64  `json:"-"`        // usual diameter of the wheel, band wheel or disc its speed goes by, m; 0 for none
	Turning float64  `json:"usualMax"` // fastest such a spindle usually turns, rpm; 0 without a usual one
}

// TakesHand reports whether it can take a hand or move something by itself, so that it may never start with nobody at
// the switch. What sort of machine is not known does.
func (k Kind) TakesHand() bool { return !k.Lets }

// Danger is a hurt that goes with a kind of machine [common practice].
type Danger struct{ Title, Words string }

// steady is a job whose speed may fall by so much and no more.
func steady(fall string, j Job) Job {
	j.Fall = q.Text(fall)
	return j
}

func job(name string, cut Cut, speed SpeedBand, load Load, duty Duty) Job {
	j := Job{Name: name, Cut: cut, Speed: speed, Load: load, Duty: duty}
	if load.By == ByCutting {
		j.Start.How = "idle" // the tool comes to the work once it turns
	}
	return j
}

func band(from, to, cover string) SpeedBand {
	return SpeedBand{By: "rpm", From: q.Text(from), To: q.Text(to), Cover: cover}
}

var (
	allDay  = Duty{Kind: "continuous"}
	shortly = Duty{Kind: "seconds"}
	inTurns = Duty{Kind: "cycle", On: "5 min", Off: "10 min"}
)

// like is a usual load, of the work of that ID.
func like(id string) Load { return Load{By: ByComparable, Comparable: Comparable{Of: id}} }

// pushes is a screw that pushes as is usual for such work.
func pushes(id, lead string, feed bool) Load {
	return Load{By: ByScrew, Comparable: Comparable{Of: id}, Screw: Screw{Lead: q.Text(lead), Feed: feed}}
}

var entangles = Danger{"It winds in what hangs loose",
	"Sleeves, gloves, rings and hair go round with the work. Take the chuck key out before the switch goes on."}
var kicks = Danger{"The work can be snatched", "Clamp it; a hand does not hold what the tool grabs."}

// kinds in the order they are offered. Speeds, cuts and duties are usual ones [common practice].
var kinds = []Kind{
	{ID: "lathe", Name: "Lathe", Spindle: "spindle", Asks: "marked", Throws: "chips and coolant", Turning: 2500,
		Cutter: true, Cast: true,
		Dangers: []Danger{entangles},
		Jobs: []Job{
			steady("5 %", job("Facing steel, large", Cut{"turning", "plain-steel", "hss"},
				SpeedBand{By: "surface", DiameterFrom: "40 mm", DiameterTo: "150 mm", Cover: "all"},
				Load{By: ByCutting, Cutting: CuttingLoad{Depth: "1 mm", Feed: "0.12 mm"}}, allDay)),
			steady("5 %", job("Turning steel, small", Cut{"turning", "plain-steel", "hss"},
				SpeedBand{By: "surface", DiameterFrom: "8 mm", DiameterTo: "40 mm", Cover: "all"},
				Load{By: ByCutting, Cutting: CuttingLoad{Depth: "1 mm", Feed: "0.1 mm"}}, allDay)),
			job("Threading", Cut{}, band("40", "80", "any"), like("threading"), inTurns),
		}},
	{ID: "wood-lathe", Name: "Wood lathe", Spindle: "spindle", Asks: "marked", Throws: "shavings and dust",
		Turning: 2500, Cutter: true, Cast: true, Dusty: true,
		Dangers: []Danger{entangles, {"The work can leave the lathe",
			"Slowest speed until it is round and true, the rest close, a face shield, and nobody in its plane."}},
		Jobs: []Job{
			steady("15 %", job("Roughing a bowl", Cut{}, band("250", "600", "all"), like("roughing-bowls"), allDay)),
			steady("15 %", job("Turning spindles", Cut{}, band("900", "1900", "any"), like("turning-spindles"),
				allDay)),
		}},
	{ID: "mill", Name: "Milling machine", Spindle: "spindle", Asks: "spindle", Throws: "chips and coolant",
		Cutter:  true,
		Turning: 3000, Dangers: []Danger{entangles, kicks},
		Jobs: []Job{
			job("End mill in steel", Cut{"milling", "plain-steel", "hss"},
				SpeedBand{By: "surface", DiameterFrom: "6 mm", DiameterTo: "16 mm", Cover: "all"},
				Load{By: ByCutting, Cutting: CuttingLoad{Depth: "4 mm", Width: "5 mm", PerTooth: "0.05 mm",
					Teeth: "4"}}, allDay),
			job("Drilling steel", Cut{"drilling", "plain-steel", "hss"},
				SpeedBand{By: "surface", DiameterFrom: "5 mm", DiameterTo: "13 mm", Cover: "all"},
				Load{By: ByCutting, Cutting: CuttingLoad{Feed: "0.15 mm"}}, inTurns),
		}},
	{ID: "drill", Name: "Drill press", Spindle: "spindle", Asks: "spindle", Throws: "chips and coolant", Turning: 3000,
		Cutter:  true,
		Dangers: []Danger{entangles, kicks},
		Jobs: []Job{
			steady("15 %", job("Steel, largest drill", Cut{"drilling", "plain-steel", "hss"},
				SpeedBand{By: "surface", DiameterTo: "13 mm", Cover: "any"},
				Load{By: ByCutting, Cutting: CuttingLoad{Feed: "0.2 mm"}}, inTurns)),
			steady("15 %", job("Steel, small drills", Cut{"drilling", "plain-steel", "hss"},
				SpeedBand{By: "surface", DiameterFrom: "3 mm", DiameterTo: "8 mm", Cover: "all"},
				Load{By: ByCutting, Cutting: CuttingLoad{Feed: "0.1 mm"}}, inTurns)),
		}},
	{ID: "bandsaw", Wheel: 0.35, Name: "Bandsaw", Spindle: "wheel shaft", Asks: "diameter", Throws: "chips and dust",
		Cutter: true, Cast: true,
		Dangers: []Danger{
			{"A band can leave its wheels", "Both wheels covered, guides close to the work, and never slow it with a " +
				"hand or stick."},
		}, Jobs: []Job{
			steady("5 %", job("Sawing steel bar", Cut{"sawing", "plain-steel", "hss"},
				SpeedBand{By: "surface", Cover: "any"},
				Load{By: ByCutting, Cutting: CuttingLoad{Width: "0.9 mm", PerTooth: "0.006 mm", Teeth: "10",
					Length: "40 mm"}}, allDay)),
		}},
	{ID: "hacksaw", Name: "Power hacksaw", Spindle: "crank", Asks: "spindle", Throws: "chips and coolant", Turning: 150,
		Cutter: true,
		Dangers: []Danger{
			{"The frame comes back on its own", "It weighs on the cut: prop it before hands go under, and let it " +
				"stop by " +
				"itself."},
		}, Jobs: []Job{
			job("Mild steel bar", Cut{}, band("80", "115", "any"), like("power-hacksaw"),
				allDay),
		}},
	{ID: "belt-sander", Wheel: 0.125, Name: "Belt sander or grinder", Spindle: "drive wheel", Asks: "diameter",
		Dusty:  true,
		Cutter: true,
		Throws: "grinding dust",
		Dangers: []Danger{
			{"Sparks and dust burn",
				"Wood dust and sparks never on the same machine without cleaning it out. Goggles, " +
					"and no sleeves near the belt."},
		}, Jobs: []Job{
			job("Belt at full bite", Cut{"sanding", "plain-steel", ""}, SpeedBand{By: "surface", Cover: "any"},
				like("belt-grinder-50"),
				allDay),
		}},
	{ID: "disc-sander", Wheel: 0.3, Name: "Disc sander", Spindle: "disc shaft", Asks: "marked", Dusty: true,
		Throws: "dust",
		Cutter: true,
		Dangers: []Danger{
			{"Use the downward side only", "The upward side throws the work in your face."},
		}, Jobs: []Job{
			job("Wood on the disc", Cut{"sanding", "wood", ""}, SpeedBand{By: "surface", Cover: "any"},
				like("disc-sander-300"),
				allDay),
		}},
	{ID: "grinder", Wheel: 0.15, Name: "Grinder", Spindle: "wheel shaft", Asks: "marked", Dusty: true,
		Throws: "grinding dust",
		Cutter: true, Covers: "wheel",
		Dangers: []Danger{
			{"Wheels burst", "Ring-test a wheel before it goes on, run it a minute with nobody in its plane, " +
				"rest set close, guard closed."},
		}, Jobs: []Job{
			job("Sharpening", Cut{"grinding", "plain-steel", ""}, SpeedBand{By: "surface", Cover: "any"},
				like("bench-grinder-150"),
				inTurns),
		}},
	{ID: "shaper", Name: "Shaper", Spindle: "bull gear", Asks: "spindle", Throws: "chips", Turning: 120,
		Cutter: true,
		Dangers: []Danger{
			{"The ram comes out both ends",
				"Keep the way clear before and behind; it does not stop in a hand's breadth."},
		}, Jobs: []Job{
			job("Planing steel", Cut{}, band("25", "90", "any"), like("shaper-300"),
				allDay),
		}},
	{ID: "potters-wheel", Name: "Potter's wheel", Spindle: "wheel head", Asks: "spindle", Throws: "clay water",
		Lets: true, Wets: true, Turning: 300, Jobs: []Job{
			job("Centring", Cut{}, band("70", "150", "all"), like("centring-clay"), Duty{Kind: "cycle", On: "3 min",
				Off: "5 min"}),
			job("Throwing, large", Cut{}, band("20", "80", "all"), like("throwing-clay"), Duty{Kind: "cycle",
				On:  "5 min",
				Off: "5 min"}),
			job("Trimming", Cut{}, band("100", "240", "all"), like("trimming-clay"), allDay),
		}},
	{ID: "mixer", Name: "Mixer", Spindle: "paddle shaft", Asks: "spindle", Dusty: true, Wets: true,
		Throws:  "flour, clay or mortar",
		Turning: 200, Dangers: []Danger{
			{"It does not let go of a hand",
				"Lid or grid that stops it when lifted, and a stop you can reach with the " +
					"other hand caught."},
		}, Jobs: []Job{
			job("Stiffest batch", Cut{}, band("30", "60", "any"), like("stiff-dough"), Duty{Kind: "cycle", On: "10 min",
				Off: "5 min"}),
		}},
	{ID: "crusher", Name: "Crusher or fruit mill", Spindle: "drum", Asks: "spindle", Wets: true,
		Throws: "pulp and juice",
		Dangers: []Danger{
			{"It bites what is pushed in", "A hopper deeper than an arm, a pusher of wood, and power off at the plug " +
				"before a jam is cleared."},
		}, Jobs: []Job{
			job("Steady feed", Cut{}, band("400", "800", "any"), like("crushing-fruit"), allDay),
			job("Jammed, breaking free", Cut{}, band("100", "400", "any"), like("jammed-crusher"), shortly),
		}},
	{ID: "extractor", Name: "Extractor or drum", Spindle: "drum shaft", Asks: "spindle", Wets: true,
		Throws: "honey or water",
		Dangers: []Danger{
			{"A heavy drum does not stop at once", "Lid shut while it turns; load it evenly, or it walks."},
		}, Jobs: []Job{
			job("Run up to speed", Cut{}, band("60", "300", "all"), Load{By: ByComparable,
				Comparable: Comparable{Of: "drum-full"},
				Inertia:    InertiaLoad{Parts: []Part{{Name: "Drum and load", Shape: "ring"}}, Within: "30 s"}},
				shortly),
			job("Held at speed", Cut{}, band("200", "300", "any"), like("drum-held"), allDay),
		}},
	{ID: "conveyor", Name: "Conveyor or winch", Spindle: "drum", Asks: "diameter",
		Throws: "whatever it carries",
		Dangers: []Danger{
			{"What it carries takes hands along", "Cover both rollers where the belt runs in, and a stop in reach " +
				"along " +
				"the whole of it."},
		}, Jobs: []Job{
			job("Belt loaded", Cut{}, SpeedBand{By: "travel", TravelFrom: "4 m/min", TravelTo: "12 m/min",
				Lead: "320 mm", Cover: "any"}, like("belt-conveyor"), allDay),
		}},
	{ID: "feed", Name: "Feed of a lathe or mill", Spindle: "screw", Asks: "spindle", Throws: "chips and coolant",
		Turning: 200,
		Dangers: []Danger{
			{"Feed runs on after the spindle stops", "Tie it to the spindle's stop, or show a lamp while it is on. " +
				"Disengage it before anything is turned by hand."},
		}, Jobs: []Job{
			job("Feed", Cut{}, SpeedBand{By: "travel", TravelFrom: "20 mm/min", TravelTo: "200 mm/min", Lead: "3 mm",
				Cover: "all"}, pushes("feed-push", "3 mm", true), allDay),
		}},
	{ID: "fan", Name: "Fan or blower", Spindle: "fan shaft", Asks: "marked", Throws: "whatever it moves",
		Lets: true, Covers: "blades",
		Dangers: []Danger{
			{"Never leave a fan open", "Guard both sides. A fan that cools the motor is not taken off without " +
				"another in " +
				"its place."},
		}, Jobs: []Job{
			job("Full draught", Cut{}, band("650", "1350", "any"), Load{By: ByComparable,
				Comparable: Comparable{Of: "small-fan"}, Shape: string(TorqueWithN)},
				allDay),
		}},
	{ID: "indexer", Name: "Indexing or positioning axis", Spindle: "axis", Asks: "spindle", Throws: "chips and coolant",
		Dangers: []Danger{
			{"It moves without warning",
				"Power to the driver off before hands go near; a lost step is not seen until " +
					"the crash."},
		}, Jobs: []Job{
			job("Rapid move", Cut{}, band("60", "300", "all"), pushes("axis-moved", "5 mm", false),
				inTurns),
			job("Holding a cut", Cut{}, band("1", "20", "all"), pushes("axis-held", "5 mm", false),
				allDay),
		}},
	{ID: "other", Name: "Something else", Spindle: "spindle", Asks: "spindle"},
}

// Kinds returns the kinds of machine in the order they are offered, each with its usual jobs as
// they would be put into a machine of somebody who works in a system of units.
func Kinds(sys q.System) []Kind {
	out := append([]Kind(nil), kinds...)
	for i := range out {
		out[i].Jobs = Start("", out[i].ID, sys).Jobs
	}
	return out
}

// FindKind returns a kind by its ID, or "other".
func FindKind(id string) Kind {
	for _, k := range kinds {
		if k.ID == id {
			return k
		}
	}
	return kinds[len(kinds)-1]
}

// Start returns a machine of a kind with the jobs such a machine usually has, to be changed, in the units of who
// starts it.
func Start(name, kind string, sys q.System) Machine {
	m := Machine{Name: name, Kind: kind}
	for _, j := range FindKind(kind).Jobs {
		j.ID = slug(j.Name)
		m.Jobs = append(m.Jobs, j)
	}
	if sys == q.Inch {
		q.InInches(&m)
	}
	return m.Whole()
}

// Blank returns a job with nothing filled in.
func Blank() Job {
	return Machine{Jobs: []Job{{Speed: SpeedBand{By: "rpm", Cover: "all"},
		Load: Load{By: ByTorque, Shape: string(SameTorque), From: "stated"},
		Duty: allDay}}}.Whole().Jobs[0]
}

// slug makes a job's ID from its name: its letters and figures, joined by dashes.
func slug(name string) string {
	out := []rune{}
	for _, r := range strings.ToLower(name) {
		switch {
		case unicode.IsLetter(r) || unicode.IsDigit(r):
			out = append(out, r)
		case len(out) > 0 && out[len(out)-1] != '-':
			out = append(out, '-')
		}
	}
	return strings.Trim(string(out), "-")
}
