// Package shaft is what round shafts and their keys bear, for a motor's own shaft and for those of a
// reduction.
package shaft

import "math"

// Torsional stress commercial steel shafting is loaded to, with a keyway and without (Pa) [ASME code for
// transmission shafting, 6000 and 8000 psi, from memory].
const (
	Keyed = 41e6
	Plain = 55e6
)

// KeyShear is the shear stress a mild steel key is loaded to (Pa) [common practice: 0.577 of a yield of
// 370 MPa over a safety of 3.5].
const KeyShear = 61e6

// Shear stresses (Pa) at which a shaft and a key of mild steel give way once and for all, in a jam that comes and goes
// [common practice: 0.577 of a yield of 250 MPa, and of 370 MPa for bright key steel].
const (
	Yield    = 144e6
	KeyYield = 213e6
)

const inch = 0.0254

// Bears returns the torque (N·m) at which a round shaft of diameter d (m) reaches a torsional stress
// (Pa): τ = 16T / πd³.
func Bears(d, stress float64) float64 { return stress * math.Pi * d * d * d / 16 }

// Shock factors on bending and on torque of a shaft that turns under a steady load [ASME code for transmission
// shafting, from memory].
const (
	bendingShock = 1.5
	torqueShock  = 1.0
)

// WithBending is how many times a torque weighs on a shaft that it also bends by so many times itself (bending moment
// over torque, ≥ 0): √((K_m·M)² + (K_t·T)²) / T, the equivalent twisting moment; 1 for a shaft that is not bent.
func WithBending(moment float64) float64 { return math.Hypot(bendingShock*moment, torqueShock) }

// Key is the key a shaft takes, metres.
type Key struct{ Width, Height float64 }

// metricKeys by the largest shaft each serves, mm [DIN 6885, from memory].
var metricKeys = []struct{ upTo, width, height float64 }{
	{8, 2, 2}, {10, 3, 3}, {12, 4, 4}, {17, 5, 5}, {22, 6, 6}, {30, 8, 7}, {38, 10, 8}, {44, 12, 8}, {50, 14, 9},
	{58, 16, 10}, {65, 18, 11},
	{75, 20, 12},
}

// inchKeys by the largest shaft each serves, inches; square [ASME B17.1, from memory].
var inchKeys = []struct{ upTo, side float64 }{
	{7.0 / 16, 3.0 / 32}, {9.0 / 16, 1.0 / 8}, {7.0 / 8, 3.0 / 16}, {1.25, 1.0 / 4}, {1.375, 5.0 / 16}, {1.75, 3.0 / 8},
	{2.25, 1.0 / 2}, {2.75, 5.0 / 8},
}

// KeyFor returns the standard key for a shaft of diameter d (m): an inch key for a shaft that is a
// whole number of sixteenths, else a metric one; false over 75 mm.
func KeyFor(d float64) (Key, bool) {
	sixteenths, mm := d/inch*16, d*1000
	if off := math.Abs(sixteenths - math.Round(sixteenths)); off < 0.02 && math.Abs(mm-math.Round(mm)) > 0.02 {
		for _, k := range inchKeys {
			if d/inch <= k.upTo+1e-9 {
				return Key{k.side * inch, k.side * inch}, true
			}
		}
	}
	for _, k := range metricKeys {
		if mm <= k.upTo+1e-9 {
			return Key{k.width / 1000, k.height / 1000}, true
		}
	}
	return Key{}, false
}

// Bears returns the torque (N·m) at which a key of a length (m) on a shaft of diameter d (m)
// reaches a shear stress (Pa), or half its flank the crushing stress that goes with it, whichever
// comes first:
//
//	T = τ·w·L·d/2 and T = (τ/0.577)·(h/2)·L·d/2
//
// Source: Shigley, section 7-7, from memory.
func (k Key) Bears(d, length, stress float64) float64 {
	return stress * min(k.Width, k.Height/2/0.577) * length * d / 2
}
