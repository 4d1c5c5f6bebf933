package work

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Usual margins [common practice] by how the torque was found.
const (
	marginMeasured   = 1.25
	marginStated     = 1.5
	marginComparable = 1.0 // its maker put a margin in already
)

// Bounds on one machine: more is a mistake, and every job is tried against every remedy.
const (
	maxJobs  = 40
	maxPulls = 20
)

// Shape is how torque goes with speed over a job's band.
type Shape string

// The shapes of a load.
const (
	SameTorque  Shape = "torque"
	SamePower   Shape = "power"
	TorqueWithN Shape = "square" // torque with speed squared, as fans and stirrers
)

// Resolved is a machine ready to be compared with a reach. Speeds in rad/s; 0 means no limit.
type Resolved struct {
	Kind      string
	Spindle   float64
	Marked    float64
	Diameter  float64 // m
	ScrewedOn bool
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
	Torque    float64 // N·m at Low for SamePower, at High for TorqueWithN, throughout for SameTorque
	Breakaway float64 // N·m to start it; 0 when not weighed
	Shape     Shape
	Duty      Duration
	Margin    float64
	MarginBy  string
	Found     working.Standing
	Spread    float64 // widest pull over narrowest, less one; 0 when not weighed
	Tangent   bool    // false when the pull was far from square to the radius
	Missing   string  // field that must be filled, below the job
}

// Duration is how long at a time the job works, seconds.
type Duration struct {
	Kind    string // continuous, cycle or seconds
	On, Off float64
}

// TorqueAt is the torque needed at a spindle speed (rad/s) within the band.
func (n Need) TorqueAt(omega float64) float64 {
	switch n.Shape {
	case SamePower:
		return n.Torque * n.Low / omega
	case TorqueWithN:
		return n.Torque * omega * omega / (n.High * n.High)
	}
	return n.Torque
}

// Resolve reads a described machine, refusing on r what cannot be used.
func Resolve(d Machine, r *q.Reader) Resolved {
	limits := r.Under("limits")
	turning := q.Range{Min: 0.01 * q.RPM, Max: 100e3 * q.RPM}
	m := Resolved{
		Kind: d.Kind, ScrewedOn: d.Limits.ScrewedOn, Reversed: d.Limits.NeedsReversed,
		Spindle:  limits.Read("spindle", d.Limits.Spindle, q.Speed, turning).Or(0),
		Marked:   limits.Read("marked", d.Limits.Marked, q.Speed, turning).Or(0),
		Diameter: limits.Read("diameter", d.Limits.Diameter, q.Length, q.Range{Min: 1e-3, Max: 20}).Or(0),
	}
	if len(d.Jobs) > maxJobs {
		r.Refuse("jobs", fmt.Sprint(len(d.Jobs)), fmt.Sprintf("at most %d jobs", maxJobs))
		return m
	}
	seen := map[string]bool{}
	for i, j := range d.Jobs {
		at := r.Under(fmt.Sprintf("jobs[%d]", i))
		if j.ID == "" || seen[j.ID] {
			at.Refuse("id", j.ID, "each job needs an id of its own")
		}
		seen[j.ID] = true
		m.Jobs = append(m.Jobs, resolveJob(j, at, turning))
	}
	return m
}

func resolveJob(j Job, r *q.Reader, turning q.Range) Need {
	n := Need{ID: j.ID, Name: j.Name, Tangent: true}
	if n.Name == "" {
		n.Name = "Job without a name"
	}
	n.readSpeed(j.Speed, r.Under("speed"), turning)
	n.readLoad(j.Load, r.Under("load"))
	n.readDuty(j.Duty, r.Under("duty"))
	if wanted := r.Read("margin", j.Margin, q.Number, q.Range{Min: 1, Max: 10}); wanted.Known {
		n.Margin, n.MarginBy = wanted.SI, "set by hand"
		if j.Reason != "" {
			n.MarginBy += ": " + j.Reason
		}
	}
	return n
}

func (n *Need) readSpeed(s SpeedBand, r *q.Reader, turning q.Range) {
	n.AnySpeed = r.Choice("cover", s.Cover, "all", "all", "any") == "any"
	low, high := q.Value{}, q.Value{}
	if r.Choice("by", s.By, "rpm", "rpm", "surface") == "surface" {
		v := r.Read("surface", s.Surface, q.SurfaceSpeed, q.Range{Min: 1e-4, Max: 200})
		diameters := q.Range{Min: 1e-4, Max: 20}
		small, large := r.Read("diameterFrom", s.DiameterFrom, q.Length, diameters), r.Read("diameterTo", s.DiameterTo, q.Length, diameters)
		if v.Known && large.Known {
			low = q.Value{SI: 2 * v.SI / large.SI, Known: true}
		}
		if v.Known && small.Known {
			high = q.Value{SI: 2 * v.SI / small.SI, Known: true}
		}
		if low.Known && high.Known && low.SI > high.SI {
			r.Refuse("diameterTo", string(s.DiameterTo), "the largest diameter is smaller than the smallest")
		}
		n.missing(!v.Known, "speed.surface")
		n.missing(!small.Known && !large.Known, "speed.diameterTo")
	} else {
		low, high = r.Read("from", s.From, q.Speed, turning), r.Read("to", s.To, q.Speed, turning)
		if low.Known && high.Known && low.SI > high.SI {
			r.Refuse("to", string(s.To), "the band ends below where it starts")
		}
		n.missing(!low.Known && !high.Known, "speed.from")
	}
	n.Low, n.High = low.Or(high.Or(0)), high.Or(low.Or(0))
}

func (n *Need) readLoad(l Load, r *q.Reader) {
	n.Shape = Shape(r.Choice("shape", l.Shape, string(SameTorque), string(SameTorque), string(SamePower), string(TorqueWithN)))
	torque := r.Read("torque", l.Torque, q.Torque, q.Range{Min: 1e-4, Max: 1e5})
	power := r.Read("power", l.Power, q.Power, q.Range{Min: 0.1, Max: 1e5})
	n.Found, n.Margin, n.MarginBy = working.Read, marginStated, "stated figure"
	switch r.Choice("from", l.From, "stated", "stated", "measured", "comparable") {
	case "measured":
		n.Found, n.Margin, n.MarginBy = working.Measured, marginMeasured, "measured"
	case "comparable":
		n.Margin, n.MarginBy = marginComparable, "comparable machine: its maker put a margin in already"
	}
	scale := readScale(l.Scale, r.Under("scale"))
	switch r.Choice("by", l.By, "torque", "torque", "power", "scale") {
	case "scale":
		n.Torque, n.Breakaway, n.Spread, n.Tangent = scale.Running, scale.Breakaway, scale.Spread, scale.Tangent
		n.Found, n.Margin, n.MarginBy = working.Measured, marginMeasured, "weighed with a spring scale"
		n.missing(scale.Missing != "", "load.scale."+scale.Missing)
	case "power":
		n.missing(!power.Known, "load.power")
		if !power.Known || n.Missing != "" {
			return
		}
		switch n.Shape {
		case SamePower:
			n.Torque = power.SI / n.Low
		case TorqueWithN:
			n.Torque = power.SI / n.High
		default:
			// Same torque over the band: the power is what the top of the band takes.
			n.Torque = power.SI / n.High
		}
	default:
		n.Torque = torque.SI
		n.missing(!torque.Known, "load.torque")
	}
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
