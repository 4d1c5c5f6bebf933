package reduction

import (
	"math"

	"jiriki/core/shaft"
)

// ScrewHolds is the torque (N·m) a set screw alone is trusted with [common practice].
const ScrewHolds = 5.0

// Bears returns the torque (N·m) a fit's shaft, and its key where one of known length holds it, take while the wheel is
// pulled aside by so many newtons for each N·m (1/m); 0 when the shaft is not known.
func (f Fit) Bears(aside float64) float64 {
	if f.Shaft == 0 {
		return 0
	}
	f.Shaft = f.made()
	return min(f.shaftBears(aside), f.keyBears())
}

// nearYield is the share of its yield that a shaft or key may see in a jam [common practice].
const nearYield = 0.9

// Survives returns the torque (N·m) that a fit's shaft, and its key where one of known length holds it, take once in a
// while, in a jam, without staying bent or sheared; never less than [Fit.Bears], which is for ever. 0 when the shaft is
// not known. aside as there.
func (f Fit) Survives(aside float64) float64 {
	if f.Shaft == 0 {
		return 0
	}
	f.Shaft = f.made()
	whole := shaft.Bears(f.Shaft, shaft.Yield) / math.Hypot(aside*f.Out, 1)
	if key, ok := shaft.KeyFor(f.Shaft); ok && f.Held == "key" && f.Hub > 0 {
		whole = min(whole, key.Bears(f.Shaft, f.Hub, shaft.KeyYield))
	}
	return max(nearYield*whole, f.Bears(aside))
}

// KeyBinds reports whether the key, not the shaft, is what Bears tells of.
func (f Fit) KeyBinds(aside float64) bool {
	f.Shaft = f.made()
	return f.keyBears() < f.shaftBears(aside)
}

// shaftBears counts bending in where the overhang is known.
func (f Fit) shaftBears(aside float64) float64 {
	stress := shaft.Plain
	if f.Held == "key" {
		stress = shaft.Keyed
	}
	return shaft.Bears(f.Shaft, stress) / shaft.WithBending(aside*f.Out)
}

// asides are how many times its effective pull a drive pulls its two shafts together: slack side and tight side of a
// belt or chain, teeth at their pressure angle [common practice].
var asides = map[Kind]float64{VBelt: 1.5, LinkBelt: 1.5, PolyV: 1.7, Flat: 2.5, Toothed: 1.4, Chain: 1.05, Spur: 1.07,
	Worm: 1.1}

// Aside is how many newtons a wheel of a diameter (m) is pulled aside for each N·m it passes, 1/m.
func (s *Stage) Aside(diameter float64) float64 {
	if diameter <= 0 || s.Kind.Bare() {
		return 0
	}
	return asides[s.Kind] * 2 / diameter
}

func (f Fit) keyBears() float64 {
	if key, ok := shaft.KeyFor(f.Shaft); ok && f.Held == "key" && f.Hub > 0 {
		return key.Bears(f.Shaft, f.Hub, shaft.KeyShear)
	}
	return math.Inf(1)
}
