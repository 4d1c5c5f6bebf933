package numeric

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestLastFindsWhereItEnds(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		end := rapid.Float64Range(-100, 100).Draw(t, "end")
		assert.InDelta(t, end, Last(-100, 100, 1e-9, func(x float64) bool { return x <= end }), 1e-9)
	})
	assert.InDelta(t, 2, Last(2, 5, 1e-9, func(float64) bool { return false }), 1e-9)
	assert.InDelta(t, 5, Last(2, 5, 1e-9, func(float64) bool { return true }), 1e-9)
	assert.InEpsilon(t, math.Sqrt2, Last(1, 2, 0, func(x float64) bool { return x*x < 2 }), 1e-15, "to the last figure")
}

func TestIntegralsThatAreKnown(t *testing.T) {
	assert.InEpsilon(t, 2, Integral(0, math.Pi, math.Sin), 1e-12)
	assert.InEpsilon(t, math.E-1, Integral(0, 1, math.Exp), 1e-12)
	assert.InEpsilon(t, 63.0/3, Integral(1, 4, func(x float64) float64 { return x * x }), 1e-12)
	assert.InDelta(t, 0, Integral(3, 3, math.Exp), 1e-12)
}

func TestALineThroughPoints(t *testing.T) {
	l := Through([]float64{1, 3, 3, 4}, []float64{10, 20, 30, 0}, math.Max)
	for x, want := range map[float64]float64{0: 10, 1: 10, 2: 20, 3: 30, 3.5: 15, 4: 0, 9: 0} {
		assert.InDelta(t, want, l.At(x), 1e-12, "at %v", x)
	}
	one := Through([]float64{2}, []float64{7}, math.Min)
	assert.Equal(t, 7.0, one.At(-5))
	assert.Panics(t, func() { Through(nil, nil, math.Max) })
	assert.Panics(t, func() { Through([]float64{1}, nil, math.Max) })
}
