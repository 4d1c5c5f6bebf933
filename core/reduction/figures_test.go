package reduction

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

// What is machined turns on how much metal is left [common practice].
func TestWhatIsMachinedGoesByTheMetalLeft(t *testing.T) {
	for _, c := range []struct {
		shaft, bore float64 // mm
		what        string
	}{
		{20, 20.049, ""}, {20, 20.052, "Open the bore"}, {20, 22.98, "Open the bore"}, {20, 23, "Turn a sleeve"},
		{15.9, 10, "Bore the wheel out"}, {16.1, 10, "Turn the shaft's end down"},
	} {
		made := Fit{Shaft: c.shaft / 1000, Bore: c.bore / 1000}.ToMake(q.Metric)
		if c.what == "" {
			assert.Empty(t, made, "%v on %v fits", c.bore, c.shaft)
			continue
		}
		if assert.Len(t, made, 1) {
			assert.Contains(t, made[0].What, c.what, "%v on %v", c.bore, c.shaft)
		}
	}
}

// The share of its pull a V belt keeps with less wrap [Shigley, table 17-13, VV column, from memory].
func TestLessWrapGripsLess(t *testing.T) {
	for degrees, share := range map[float64]float64{180: 1, 120: 0.82, 90: 0.69} {
		assert.InDelta(t, share, gripFactor(vGrip, degrees*math.Pi/180), 0.005, "%v°", degrees)
	}
}
