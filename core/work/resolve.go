package work

import (
	"fmt"
	"math"
	"slices"

	"jiriki/core/air"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Usual margins [common practice] by how the torque was found.
const (
	marginMeasured   = 1.25
	marginStated     = 1.5
	marginComparable = 1.0 // its maker put a margin in already
	marginReplaced   = 1.0 // as the machine was
)

// Bounds on one machine: more is a mistake, and every job is tried against every remedy.
const (
	MaxJobs      = 40
	maxPulls     = 20
	maxPositions = 12
)

// Shape is how torque goes with speed over a job's band.
type Shape string

// The shapes of a load.
const (
	SameTorque  Shape = "torque"
	SamePower   Shape = "power"
	TorqueWithN Shape = "square" // torque with speed squared, as fans and stirrers
	PointsJoin  Shape = "points" // points joined
)

// Resolved is a machine ready to be compared with a reach. Speeds in rad/s; 0 means no limit.
type Resolved struct {
	Kind      string
	Spindle   float64
	Marked    float64
	Diameter  float64 // m
	Bearing   float64 // m, mean diameter
	Frame     string
	Place     Place
	Air       float64 // K, the hottest round the motor; 40 °C unless told
	Altitude  float64 // m above the sea; 0 when not told
	Flywheel  float64 // kg·m² on the spindle; 0 when there is none
	Rim       string  // "cast", "turned" or ""
	Hangs     bool    // the load comes down by itself
	Held      bool    // and a brake holds it
	Covered   bool
	ScrewedOn bool
	HeldBy    string // what holds chuck or wheel: "thread", "fast" or ""
	Reversed  bool
	Jobs      []Need
}

// TopSpeed is the least of the limits that cap the spindle, and which it is; +Inf with none.
func (m Resolved) TopSpeed() (omega float64, field string) {
	omega = math.Inf(1)
	if m.Spindle > 0 {
		omega, field = m.Spindle, "machine.limits.spindle"
	}
	if m.Marked > 0 && m.Marked < omega {
		omega, field = m.Marked, "machine.limits.marked"
	}
	return omega, field
}

// Need is one job resolved. A job with Missing set cannot be judged yet.
type Need struct {
	ID, Name  string
	Low, High float64 // band at the spindle, rad/s
	AnySpeed  bool    // one speed in the band is enough
	// N·m at Low for SamePower, at High for TorqueWithN, throughout for SameTorque, the most for PointsJoin
	Torque       float64
	Points       []TorqueAtSpeed
	joined       numeric.Line // through them
	Breakaway    float64      // N·m to start it; 0 when not weighed
	Start        Starting
	Shape        Shape
	Duty         Duration
	Fall         float64 // share its speed may fall by under load; 0 for any
	Margin       float64
	MarginBy     string
	ByHandMargin bool // the margin was set, not usual
	Found        working.Standing
	Usual        UsualLoad // where its load is what such work usually takes
	Spread       float64   // widest pull over narrowest, less one; 0 when not weighed
	comparable   bool      // a stated figure taken from a like machine
	Tangent      bool      // false when the pull was far from square to the radius
	Missing      string    // field that must be filled or mended, below the job
	Refused      bool      // what is missing was typed, but cannot be used
	Dusty        bool      // what is cut makes dust that burns
	Doubts       []Doubt   // entries whose own numbers show a unit mixed up

	Smallest, Largest float64 // diameters worked, m; 0 when not known
	Bites             Bites

	// How the speed was found, where not given at the spindle.
	Surface      float64 // m/s
	UsualSurface bool    // taken from the table
	UsualWheel   bool    // over a wheel of the usual size, as nobody said how large this one is
	wheel        wheel
	ByHand       float64 // rad/s as counted
	Lead         float64 // m in one turn

	// What the method found out besides the torque; Method names which is filled.
	Method   string
	Cutting  Cutting
	Spinning Spinning
	Feed     Feed
}

// Doubt is an entry that can be read as typed but hardly meant so.
type Doubt struct {
	Field string // below the job
	Title string
	Words string
}

// Duration is how long at a time the job works, seconds.
type Duration struct {
	Kind    string // continuous, cycle or seconds
	On, Off float64
}

// Says tells in a few words how long at a time that is.
func (d Duration) Says() string {
	switch d.Kind {
	case "seconds":
		return "some seconds"
	case "cycle":
		return q.Show(d.On, q.Duration, q.Metric) + " on, " + q.Show(d.Off, q.Duration, q.Metric) + " off"
	}
	return "all day"
}

// TorqueAt is the torque needed at a spindle speed (rad/s) within the band.
func (n *Need) TorqueAt(omega float64) float64 {
	switch n.Shape {
	case SamePower:
		return n.Torque * n.Low / omega
	case TorqueWithN:
		return n.Torque * omega * omega / (n.High * n.High)
	case PointsJoin:
		return n.joined.At(omega)
	}
	return n.Torque
}

// MostPower is the most the job takes over its band, W, and the speed it takes it at, rad/s; 0 while something is
// missing. Every shape of load takes it at an end of the band or at one of the points it joins.
func (n *Need) MostPower() (watts, omega float64) {
	if n.Missing != "" {
		return 0, 0
	}
	look := func(at float64) {
		if p := n.TorqueAt(at) * at; p > watts {
			watts, omega = p, at
		}
	}
	look(n.Low)
	look(n.High)
	for _, p := range n.Points {
		if n.Shape == PointsJoin && p.Omega > n.Low && p.Omega < n.High {
			look(p.Omega)
		}
	}
	return watts, omega
}

// Stacked reports whether a margin was set on a figure that has one in it already.
func (n *Need) Stacked() bool {
	inIt := marginIn(n.Method) || n.Found == working.Read && n.comparable
	return inIt && n.Margin > 1.15
}

// join takes points in rising order of speed as the load.
func (n *Need) join(points []TorqueAtSpeed) {
	n.Points, n.Shape = points, PointsJoin
	if len(points) == 0 {
		return
	}
	speeds, torques := make([]float64, len(points)), make([]float64, len(points))
	for i, p := range points {
		speeds[i], torques[i] = p.Omega, p.Torque
	}
	n.joined = numeric.Through(speeds, torques, math.Max)
}

// Resolve reads a described machine, refusing on r what cannot be used.
func Resolve(d Machine, r *q.Reader) Resolved {
	limits := r.Under("limits")
	turning := q.Range{Min: 0.01 * q.RPM, Max: 100e3 * q.RPM}
	m := Resolved{
		Kind: d.Kind, ScrewedOn: d.Limits.ScrewedOn, Reversed: d.Limits.NeedsReversed,
		Place: readPlace(d.Place,
			r.Under("place")),
		Spindle:  limits.Read("spindle", d.Limits.Spindle, q.Speed, turning).Or(0),
		Marked:   limits.Read("marked", d.Limits.Marked, q.Speed, turning).Or(0),
		Diameter: limits.Read("diameter", d.Limits.Diameter, q.Length, q.Range{Min: 1e-3, Max: 20}).Or(0),
		Bearing:  limits.Read("bearing", d.Limits.Bearing, q.Length, q.Range{Min: 3e-3, Max: 1}).Or(0),
		Frame:    d.Limits.Frame,
		Flywheel: limits.Read("flywheel", d.Limits.Flywheel, q.Inertia, q.Range{Min: 1e-6, Max: 1e4}).Or(0),
		Rim:      limits.Choice("rim", d.Limits.Rim, "", "cast", "turned"),
		Hangs:    d.Limits.Hangs, Held: d.Limits.Held, Covered: d.Limits.Covered,
	}
	if m.HeldBy = limits.Choice("heldBy", d.Limits.HeldBy, "", "thread", "fast"); m.ScrewedOn && m.HeldBy == "" {
		m.HeldBy = "thread"
	}
	m.ScrewedOn = m.ScrewedOn || m.HeldBy == "thread"
	m.readAir(d.Place, r.Under("place"))
	if len(d.Jobs) > MaxJobs {
		r.Refuse("jobs", fmt.Sprint(len(d.Jobs)), fmt.Sprintf("at most %d jobs", MaxJobs))
		return m
	}
	m.Jobs = make([]Need, 0, len(d.Jobs))
	for i, j := range tellApart(d.Jobs) {
		at := r.At("jobs", i)
		need := resolveJob(j, at, turning, m.wheel())
		need.doubtRadius(j.Load.Scale, m.Diameter)
		if need.Largest == 0 {
			need.Smallest, need.Largest = m.Diameter, m.Diameter
		}
		if field, refused := at.Refused(); refused {
			// Judged without it, the job might be called done on a figure its owner never meant.
			need.Missing, need.Refused = field, true
		}
		m.Jobs = append(m.Jobs, need)
	}
	return m
}

func readPlace(p Place, r *q.Reader) Place {
	return Place{Wet: r.Choice("wet", p.Wet, "", "yes", "no"), Dust: r.Choice("dust", p.Dust, "", "yes", "no"),
		Hot: r.Choice("hot", p.Hot, "", "yes",
			"no")}
}

// hotAir is how hot "over 40 °C" is taken to be until it is measured, K.
const hotAir = air.Rated + 10

func (m *Resolved) readAir(p Place, r *q.Reader) {
	m.Air = air.Rated
	if m.Place.Hot == "yes" {
		m.Air = r.Read("hottest", p.Hottest, q.Temperature, q.Range{Min: air.Rated, Max: air.Rated + 50}).Or(hotAir)
	}
	m.Altitude = r.Read("altitude", p.Altitude, q.Length, q.Range{Min: 10, Max: 6000}).Or(0)
}

// wheel is what the machine's surface speed goes by: its diameter, m, and whether that is known or only usual.
type wheel struct {
	of    float64
	known bool
}

// wheel is the largest that turns, else the usual wheel of its kind.
func (m *Resolved) wheel() wheel {
	if m.Diameter > 0 {
		return wheel{m.Diameter, true}
	}
	return wheel{FindKind(m.Kind).Wheel, false}
}

func resolveJob(j Job, r *q.Reader, turning q.Range, on wheel) Need {
	n := Need{ID: j.ID, Name: j.Name, Tangent: true, wheel: on}
	if n.Name == "" {
		n.Name = "Job without a name"
	}
	cut := r.Under("cut")
	cut.Choice("operation", j.Cut.Operation, "", operations...)
	cut.Choice("tool", j.Cut.Tool, "", "hss", "carbide")
	material, ok := findMaterial(j.Cut.Material)
	if n.Dusty = material.dust; j.Cut.Material != "" && !ok {
		cut.Refuse("material", j.Cut.Material, "not in the list of materials")
	}
	n.readSpeed(j, r.Under("speed"), turning)
	n.readLoad(j, r.Under("load"))
	n.readStart(j.Start, r.Under("start"))
	n.readDuty(j.Duty, r.Under("duty"))
	n.Fall = r.Read("fall", j.Fall, q.Number, q.Range{Min: 0.001, Max: 1}).Or(0)
	if wanted := r.Read("margin", j.Margin, q.Number, q.Range{Min: 1, Max: 10}); wanted.Known {
		n.Margin, n.MarginBy, n.ByHandMargin = wanted.SI, "set by hand", true
		if j.Reason != "" {
			n.MarginBy += ": " + j.Reason
		}
	}
	return n
}

func (n *Need) readDuty(d Duty, r *q.Reader) {
	times := q.Range{Min: 0.1, Max: 7 * 24 * 3600}
	on, off := r.Read("on", d.On, q.Duration, times), r.Read("off", d.Off, q.Duration, q.Range{Min: 0, Max: times.Max})
	n.Duty.Kind = r.Choice("kind", d.Kind, "continuous", "continuous", "cycle", "seconds")
	if n.Duty.Kind == "cycle" {
		n.Duty.On, n.Duty.Off = on.Or(5*60), off.Or(10*60)
	}
}

func (n *Need) missing(is bool, field string) {
	if is && n.Missing == "" {
		n.Missing = field
	}
}

// Takes is the job with so many times its load.
func (n *Need) Takes(times float64) Need {
	out := *n
	out.Scale(times)
	return out
}

// Scale makes the job's load and what starts it so many times what they were.
func (n *Need) Scale(times float64) {
	n.Torque *= times
	n.Start.Torque *= times
	if len(n.Points) == 0 {
		return
	}
	points := slices.Clone(n.Points)
	for i := range points {
		points[i].Torque *= times
	}
	n.join(points)
}
