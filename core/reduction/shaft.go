package reduction

import (
	"math"

	"jiriki/core/shaft"
)

// ScrewHolds is the torque (N·m) a set screw alone is trusted with [common practice].
const ScrewHolds = 5.0

// Bears returns the torque (N·m) a fit's shaft, and its key where one of known length holds it, take;
// 0 when the shaft is not known.
func (f Fit) Bears() float64 {
	if f.Shaft == 0 {
		return 0
	}
	f.Shaft = f.made()
	return min(f.shaftBears(), f.keyBears())
}

// KeyBinds reports whether the key, not the shaft, is what Bears tells of.
func (f Fit) KeyBinds() bool {
	f.Shaft = f.made()
	return f.keyBears() < f.shaftBears()
}

func (f Fit) shaftBears() float64 {
	if f.Held == "key" {
		return shaft.Bears(f.Shaft, shaft.Keyed)
	}
	return shaft.Bears(f.Shaft, shaft.Plain)
}

func (f Fit) keyBears() float64 {
	if key, ok := shaft.KeyFor(f.Shaft); ok && f.Held == "key" && f.Hub > 0 {
		return key.Bears(f.Shaft, f.Hub, shaft.KeyShear)
	}
	return math.Inf(1)
}
