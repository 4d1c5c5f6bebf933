package trial

import (
	"math"
	"math/rand/v2"
	"strconv"

	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

// A bench's instruments: each reading out by itself, off alike in all of them too, or shown in coarse steps.
const (
	byChance = "by chance"
	biased   = "biased"
	coarse   = "coarse"
	unzeroed = "leads not zeroed" // of a meter for ohms
)

// bench is a simulated bench: known figures, and instruments as far out as a trial takes them to be. Always the same
// for the same seed.
type bench struct {
	*rand.Rand
	how string
	off map[float64]float64 // what an instrument is off by in all of its readings, of its own error
}

func newBench(seed uint64, how string) *bench {
	return &bench{Rand: rand.New(rand.NewPCG(seed, 14)), how: how, off: map[float64]float64{}}
}

func (b *bench) between(low, high float64) float64 { return low + (high-low)*b.Float64() }

// read is a reading of v, out by so much as a share and in itself.
func (b *bench) read(v, share, off float64) float64 {
	got := v*(1+share*b.NormFloat64()) + off*b.NormFloat64()
	if b.how == biased {
		if _, known := b.off[share+off]; !known {
			b.off[share+off] = 0.25 * b.NormFloat64()
		}
		got += b.off[share+off] * (share*v + off)
	}
	return got
}

// shown is a figure as an instrument shows it that steps by so much where it is coarse.
func (b *bench) shown(v, step float64) float64 {
	if b.how != coarse {
		return v
	}
	return math.Round(v/step) * step
}

func text(v float64, unit string) q.Text {
	return q.Text(strconv.FormatFloat(v, 'g', 7, 64) + " " + unit)
}

func rpm(omega float64) q.Text { return text(omega/q.RPM, "rpm") }

func (a Answer) figure(name string) (Figure, bool) {
	for _, f := range a.Figures {
		if f.Name == name {
			return f, true
		}
	}
	return Figure{}, false
}

// coarseRPM is what a coarse tachometer steps by.
const coarseRPM = 10.0

// tacho is a reading of a tachometer.
func (b *bench) tacho(omega float64) q.Text {
	return rpm(b.shown(b.read(omega, tachometerOff, 0), coarseRPM*q.RPM))
}

// ohmsOff is how far off a resistance through brushes is, from position to position.
const ohmsOff = 0.04

// unplated is a magnet motor of which hardly anything is known, so that readings alone speak.
func unplated() plan.Input {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.PermanentMagnetDC, Plate: motor.Plate{Power: "1/2 hp",
		Speed: "1750 rpm",
		Volts: "180 V", Amps: "2.8 A"}}
	return in
}
