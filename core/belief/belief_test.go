package belief

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

func TestDoubtAndGain(t *testing.T) {
	b := Belief{1, 1, 1, 1}
	b.Normalise()
	assert.InDelta(t, 2, b.Doubt(), 1e-12)
	// A question that halves them tells one bit; one that says the same of all, none.
	assert.InDelta(t, 1, b.Gain(2, func(i, a int) float64 {
		if (i < 2) == (a == 0) {
			return 1
		}
		return 0
	}), 1e-12)
	assert.InDelta(t, 0, b.Gain(2, func(int, int) float64 { return 0.5 }), 1e-12)
	b.Learn(func(i int) float64 { return []float64{0, 0, 1, 3}[i] })
	assert.Equal(t, Belief{0, 0, 0.25, 0.75}, b)
	none := Belief{0, 0}
	none.Normalise()
	assert.Equal(t, Belief{0, 0}, none)
}

// No question makes more doubt than there was, and none tells more than there is.
func TestAQuestionNeverTellsLessThanNothing(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.IntRange(1, 8).Draw(t, "n")
		b := Belief(rapid.SliceOfN(rapid.Float64Range(0.001, 1), n, n).Draw(t, "belief"))
		b.Normalise()
		yes := rapid.SliceOfN(rapid.Float64Range(0, 1), n, n).Draw(t, "yes")
		gain := b.Gain(2, func(i, a int) float64 { return math.Abs(float64(a) - yes[i]) })
		assert.GreaterOrEqual(t, gain, -1e-9)
		assert.LessOrEqual(t, gain, b.Doubt()+1e-9)
	})
}
