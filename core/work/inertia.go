package work

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
)

// Spinning is an inertia load worked out at the spindle.
type Spinning struct {
	Inertia  float64   // kg·m²
	Friction float64   // N·m
	Within   float64   // s
	Parts    []float64 // each part's share at the spindle, kg·m²
}

// spinning adds up the rotating parts. A part that turns k times as fast as the spindle weighs
// k² as much there.
func spinning(l InertiaLoad, r *q.Reader) (s Spinning, missing string) {
	s.Friction = r.Read("friction", l.Friction, q.Torque, q.Range{Min: 0, Max: 1e5}).Or(0)
	within := r.Read("within", l.Within, q.Duration, q.Range{Min: 0.01, Max: 3600})
	if len(l.Parts) > maxPulls {
		r.Refuse("parts", fmt.Sprint(len(l.Parts)), fmt.Sprintf("at most %d parts", maxPulls))
		return s, "parts"
	}
	for i, p := range l.Parts {
		j, lacks := partInertia(p, r.At("parts", i))
		if lacks != "" && missing == "" {
			missing = fmt.Sprintf("parts[%d].%s", i, lacks)
		}
		s.Inertia += j
		s.Parts = append(s.Parts, j)
	}
	switch {
	case len(l.Parts) == 0:
		missing = "parts"
	case missing == "" && !within.Known:
		missing = "within"
	}
	s.Within = within.Or(0)
	return s, missing
}

// partInertia is a part's moment of inertia referred to the spindle, kg·m²: ½mr² for a disc,
// ½m(r²+r_i²) for a ring, ml²/12 for a bar about its middle, mr² for a load at a radius.
func partInertia(p Part, r *q.Reader) (j float64, missing string) {
	sizes := q.Range{Min: 1e-4, Max: 20}
	d, inside, length := r.Read("diameter", p.Diameter, q.Length, sizes), r.Read("inside", p.Inside, q.Length, sizes),
		r.Read("length", p.Length, q.Length, sizes)
	mass := r.Read("mass", p.Mass, q.Mass, q.Range{Min: 1e-5, Max: 1e5})
	count := r.Read("count", p.Count, q.Number, q.Range{Min: 1, Max: 1000}).Or(1)
	turns := r.Read("turns", p.Turns, q.Number, q.Range{Min: 0.001, Max: 1000}).Or(1)
	shape := r.Choice("shape", p.Shape, "disc", "disc", "ring", "bar", "load")
	density := densities[r.Choice("material", p.Material, "steel", "steel", "iron", "aluminium", "brass", "wood",
		"water", "concrete")]
	if inside.Known && d.Known && inside.SI >= d.SI {
		r.Refuse("inside", string(p.Inside), "the inside is no smaller than the outside")
		return 0, "inside"
	}
	switch {
	case !d.Known:
		return 0, "diameter"
	case shape == "ring" && !inside.Known:
		return 0, "inside"
	case !mass.Known && (shape == "bar" || shape == "load"):
		return 0, "mass"
	case !mass.Known && !length.Known:
		return 0, "mass"
	}
	radius, hole := d.SI/2, 0.0
	if shape == "ring" {
		hole = inside.SI / 2
	}
	m := mass.Or(math.Pi * (radius*radius - hole*hole) * length.SI * density)
	switch shape {
	case "bar":
		j = m * d.SI * d.SI / 12
	case "load":
		j = m * radius * radius
	default:
		j = m / 2 * (radius*radius + hole*hole)
	}
	return j * count * turns * turns, ""
}
