package motor

import (
	"math"

	q "jiriki/core/quantity"
)

// Gear is what is built onto the motor; a plain motor has ratio and efficiency 1.
type Gear struct {
	Sort       string
	Ratio      float64 // motor turns to one of the output
	Efficiency float64
	Limit      float64 // N·m at the output; 0 without one
	Output     bool    // the plate's speed is the output's
}

// HoldsItself reports whether a worm keeps less than half, so that its output cannot drive it back.
func (g *Gear) HoldsItself() bool { return g.Sort == "worm" && g.Efficiency < 0.5 }

// gearEfficiency is what a gearbox of a sort usually keeps [common practice].
var gearEfficiency = map[string]float64{"none": 1, "spur": 0.9, "planetary": 0.85, "worm": 0.65}

func readGear(d Gearbox, r *q.Reader) Gear {
	g := Gear{Sort: r.Choice("sort", d.Sort, "none", "none", "spur", "planetary", "worm"), Ratio: 1, Efficiency: 1}
	g.Output = r.Choice("plateOf", d.PlateOf, "motor", "motor", "output") == "output"
	if g.Sort == "none" {
		return g
	}
	g.Ratio = r.Read("ratio", d.Ratio, q.Number, q.Range{Min: 0.1, Max: 20000}).Or(1)
	g.Efficiency = r.Read("keeps", d.Efficiency, q.Number, q.Range{Min: 0.1, Max: 1}).Or(gearEfficiency[g.Sort])
	g.Limit = r.Read("limit", d.Limit, q.Torque, q.Range{Min: 1e-4, Max: 1e5}).Or(0)
	return g
}

// GearTorque is the rated torque as it comes out of the gearbox, within the gearbox's own rating; N·m.
func (m *Resolved) GearTorque() float64 {
	out := m.Torque.Value * m.Gear.Ratio * m.Gear.Efficiency
	if m.Gear.Limit > 0 {
		out = min(out, m.Gear.Limit)
	}
	return out
}

// ResolvedClutch is a centrifugal clutch: rotor speeds in rad/s, torques in N·m at the rotor.
type ResolvedClutch struct {
	Fitted  bool
	Engages float64
	Locks   float64 // where it carries the motor's rated torque
	Holds   float64 // at full speed
	full    float64
	SlipHot float64 // W into the clutch, from the speeds measured on both sides; 0 when not measured
	Slip    float64 // share of motor speed lost in it then
}

// Carries is the torque the clutch passes at a rotor speed: shoes press with speed squared, so it
// goes with n² less where it engages; none below.
func (c *ResolvedClutch) Carries(omega float64) float64 {
	if omega >= c.full {
		return c.Holds
	}
	if omega <= c.Engages {
		return 0
	}
	return c.Holds * (omega*omega - c.Engages*c.Engages) / (c.full*c.full - c.Engages*c.Engages)
}

// Usual clutch [common practice] where it was not measured.
const (
	clutchEngages = 0.6 // of full speed
	clutchHolds   = 1.5 // × rated torque
)

func (m *Resolved) readClutch(d Clutch, r *q.Reader) {
	if !d.Fitted {
		return
	}
	speeds := q.Range{Min: q.RPM, Max: 60000 * q.RPM}
	engages := r.Read("engages", d.Engages, q.Speed, speeds)
	holds := r.Read("holds", d.Holds, q.Torque, q.Range{Min: 1e-3, Max: 1e4})
	before, after := r.Read("motor", d.Motor, q.Speed, speeds), r.Read("output", d.Output, q.Speed, speeds)
	torque := r.Read("torque", d.Torque, q.Torque, q.Range{Min: 1e-4, Max: 1e4})
	if !m.Ready() {
		return
	}
	c := ResolvedClutch{Fitted: true, full: m.Speed.Value, Holds: holds.Or(clutchHolds * m.Torque.Value)}
	c.Engages = min(engages.Or(clutchEngages*c.full), 0.98*c.full)
	carried := min(m.Torque.Value/c.Holds, 1)
	c.Locks = math.Sqrt(c.Engages*c.Engages + carried*(c.full*c.full-c.Engages*c.Engages))
	if before.Known && after.Known && after.SI < before.SI {
		c.Slip = 1 - after.SI/before.SI
		c.SlipHot = torque.Or(m.Torque.Value) * (before.SI - after.SI)
	}
	m.Clutch = c
}
