package reduction

import "math"

// What shafts and keys bear.
const (
	// ShaftKeyed and ShaftPlain are the torsional stress commercial steel shafting is loaded to,
	// with a keyway and without [ASME code for transmission shafting, 6000 and 8000 psi, from memory].
	ShaftKeyed, ShaftPlain = 41e6, 55e6
	// KeyShear is the shear stress a mild steel key is loaded to [common practice: 0.577 of a yield
	// of 370 MPa over a safety of 3.5].
	KeyShear = 61e6
	// ScrewHolds is the torque a set screw alone is trusted with [common practice].
	ScrewHolds = 5.0
)

// Torsion returns the shear stress (Pa) that torque (N·m) makes at the skin of a round shaft of
// diameter d (m): 16T / πd³.
func Torsion(torque, d float64) float64 { return 16 * torque / (math.Pi * d * d * d) }

// shaftBears is the torque that brings a shaft to its stress.
func shaftBears(d float64, keyed bool) float64 {
	stress := ShaftPlain
	if keyed {
		stress = ShaftKeyed
	}
	return stress * math.Pi * d * d * d / 16
}

// Key is the key a shaft takes, metres.
type Key struct{ Width, Height float64 }

// Bears returns the torque (N·m) a fit's shaft, and its key where one of known length holds it, take;
// 0 when the shaft is not known.
func (f Fit) Bears() float64 {
	if f.Shaft == 0 {
		return 0
	}
	return math.Min(shaftBears(f.Shaft, f.Held == "key"), f.keyBears())
}

// KeyBinds reports whether the key, not the shaft, is what Bears tells of.
func (f Fit) KeyBinds() bool { return f.keyBears() < shaftBears(f.Shaft, f.Held == "key") }

func (f Fit) keyBears() float64 {
	if key, ok := KeyFor(f.Shaft); ok && f.Held == "key" && f.Hub > 0 {
		return key.Bears(f.Shaft, f.Hub, KeyShear)
	}
	return math.Inf(1)
}

// metricKeys by the largest shaft each serves, mm [DIN 6885, from memory].
var metricKeys = []struct{ upTo, width, height float64 }{
	{8, 2, 2}, {10, 3, 3}, {12, 4, 4}, {17, 5, 5}, {22, 6, 6}, {30, 8, 7}, {38, 10, 8}, {44, 12, 8}, {50, 14, 9}, {58, 16, 10}, {65, 18, 11}, {75, 20, 12},
}

// inchKeys by the largest shaft each serves, inches; square [ASME B17.1, from memory].
var inchKeys = []struct{ upTo, side float64 }{
	{7.0 / 16, 3.0 / 32}, {9.0 / 16, 1.0 / 8}, {7.0 / 8, 3.0 / 16}, {1.25, 1.0 / 4}, {1.375, 5.0 / 16}, {1.75, 3.0 / 8}, {2.25, 1.0 / 2}, {2.75, 5.0 / 8},
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
	return stress * math.Min(k.Width, k.Height/2/0.577) * length * d / 2
}
