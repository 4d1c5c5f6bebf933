package reduction

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/shaft"
	"jiriki/core/words"
)

// Making is one thing to machine so that a wheel fits its shaft.
type Making struct {
	What string // in words
	Why  string
}

// How much metal a sleeve needs to be one, and how much of a hub a bore may take [common practice].
const (
	thinSleeve   = 1.5e-3
	snug         = 0.05e-3
	mostBoreGrew = 1.6
)

// made is the diameter (m) of the shaft where it carries the wheel: the bore's, where it is turned down to it.
func (f Fit) made() float64 {
	if f.Bore > 0 && f.Shaft > f.Bore*mostBoreGrew {
		return f.Bore
	}
	return f.Shaft
}

// whole is what the shaft bears as it is, N·m, whatever bore is put on it.
func (f Fit) whole() float64 {
	f.Bore = 0
	return f.Bears(0)
}

// Sits says in figures how the wheel sits on its shaft: bore, shaft, and the usual key where a key holds it.
func (f Fit) Sits(sys q.System) string {
	size := fmt.Sprintf("%s bore on %s shaft", q.Show(f.Bore, q.Length, sys), words.A(q.Show(f.Shaft, q.Length, sys)))
	if key, ok := shaft.KeyFor(f.made()); ok && f.Held == "key" {
		size += fmt.Sprintf(", %s key", q.Show(key.Width, q.Length, sys))
	}
	return size
}

// ToMake returns what to machine so that the wheel goes on the shaft: nothing when either is not
// known or they already fit.
func (f Fit) ToMake(sys q.System) []Making {
	if f.Shaft == 0 || f.Bore == 0 {
		return nil
	}
	var out []Making
	size, bore := q.Show(f.Shaft, q.Length, sys), q.Show(f.Bore, q.Length, sys)
	wall := (f.Bore - f.Shaft) / 2
	switch {
	case math.Abs(wall) <= snug/2:
	case wall >= thinSleeve*0.999:
		out = append(out, Making{fmt.Sprintf("Turn a sleeve, %s inside, %s outside", size, bore),
			fmt.Sprintf("a wall of %s, pinned or keyed through; anti-seize on the shaft", q.Show(wall, q.Length,
				sys))})
	case wall > 0:
		out = append(out, Making{fmt.Sprintf("Open the bore for a sleeve, or shim it: %s on %s", bore, size),
			"the gap is too thin for a sleeve; a taper bush bridges it"})
	case f.Shaft <= f.Bore*mostBoreGrew:
		down := f
		down.Shaft = f.Bore
		out = append(out, Making{fmt.Sprintf("Bore the wheel out from %s to %s, or turn the shaft's end down to %s",
			bore,
			size, bore), fmt.Sprintf("boring, if the hub keeps a third of its thickness; turned down the shaft "+
			"bears %s "+
			"in place of %s", q.Show(down.Bears(0), q.Torque, sys), q.Show(f.whole(), q.Torque, sys))})
	default:
		out = append(out, Making{fmt.Sprintf("Turn the shaft's end down from %s to %s, or use another hub", size, bore),
			"boring that far leaves no hub"})
	}
	// What fits as it is has its keyway already.
	if key, ok := shaft.KeyFor(f.made()); ok && f.Held == "key" && len(out) > 0 {
		out = append(out, Making{fmt.Sprintf("Keyway for %s × %s key", words.A(q.Show(key.Width, q.Length, sys)),
			q.Show(key.Height, q.Length, sys)), "the usual key for a shaft of " +
			q.Show(f.made(), q.Length, sys)})
	}
	return out
}
