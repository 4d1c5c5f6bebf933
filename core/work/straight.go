package work

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
)

// threads are what a lead may be given as, so many to an inch.
var threads = []string{"tpi", "threads per inch", "threads/inch", "threads/in"}

// plainThread is what a plain, greased thread keeps of the work put in [common practice].
const plainThread = 0.3

// Feed is a screw worked out.
type Feed struct {
	Lead       float64   // m in one turn
	Efficiency float64   // efficiency
	Beside     bool      // it feeds beside a turning spindle
	Geared     bool      // a geared box stays in mesh
	Mains      []float64 // that spindle's speeds, rad/s
}

// PerTurn is how far the feed goes in one turn of a main spindle, m: what it travels over how
// often that turns. omega is the screw's speed, main the spindle's, rad/s.
func (f Feed) PerTurn(omega, main float64) float64 { return f.Lead * omega / main }

// straightPull is T = F·d/2.
func straightPull(p StraightPull, r *q.Reader) (torque float64, missing string) {
	force := r.Read("force", p.Force, q.Force, q.Range{Min: 0.01, Max: 1e6})
	diameter := r.Read("diameter", p.Diameter, q.Length, q.Range{Min: 1e-3, Max: 20})
	switch {
	case !force.Known:
		return 0, "force"
	case !diameter.Known:
		return 0, "diameter"
	}
	return force.SI * diameter.SI / 2, ""
}

// screw is T = F·lead / (2π·η); turning is the lead the speed was found with (m), 0 for none, which stands where
// none is put in here.
func screw(s Screw, turning float64, r *q.Reader) (torque float64, f Feed, missing string) {
	force := r.Read("force", s.Force, q.Force, q.Range{Min: 0.01, Max: 1e6})
	lead := r.ReadPerInch("lead", s.Lead, q.Range{Min: 1e-5, Max: 1}, threads...)
	if !lead.Known && turning > 0 {
		lead = q.Value{SI: turning, Known: true}
	}
	f = Feed{Lead: lead.Or(0), Beside: s.Feed, Geared: s.Geared, Efficiency: r.Read("keeps", s.Efficiency, q.Number,
		q.Range{Min: 0.05, Max: 1}).Or(plainThread)}
	if len(s.Mains) > maxPositions {
		r.Refuse("mains", fmt.Sprint(len(s.Mains)), fmt.Sprintf("at most %d speeds", maxPositions))
		return 0, f, "mains"
	}
	for i, t := range s.Mains {
		if v := r.Read(fmt.Sprintf("mains[%d]", i), t, q.Speed, q.Range{Min: 0.1 * q.RPM, Max: 1e5 * q.RPM}); v.Known {
			f.Mains = append(f.Mains, v.SI)
		}
	}
	switch {
	case !force.Known:
		return 0, f, "force"
	case !lead.Known:
		return 0, f, "lead"
	}
	return force.SI * lead.SI / (2 * math.Pi * f.Efficiency), f, ""
}
