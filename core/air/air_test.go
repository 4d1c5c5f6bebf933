package air

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"
)

// By hand: class B at 50 °C has 80 of its 90 K left, √(80/90) is 0.943; a drive 10 K over gives 80 %; at
// 2000 m either gives a tenth less.
func TestHotAndThinAir(t *testing.T) {
	assert.InDelta(t, 0.943, Winding(Limit["B"], Rated+10, 0), 5e-4)
	assert.InDelta(t, 0.9, Winding(Limit["F"], Rated, 2000), 1e-12)
	assert.InDelta(t, 0.8, Drive(Rated+10, 500), 1e-12)
	assert.InDelta(t, 0.72, Drive(Rated+10, 2000), 1e-12)
	assert.Equal(t, 1.0, Winding(Limit["A"], 290, RatedHeight), "cooler air is no licence for more")
	assert.Zero(t, Winding(Limit["A"], Limit["A"], 0))
}

// Hotter or thinner air never gives more, a better class never less, and neither leaves 0 to 1.
func TestAirOnlyTakes(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		hot, height := rapid.Float64Range(250, 500).Draw(t, "air"), rapid.Float64Range(0, 20000).Draw(t, "height")
		for _, limit := range Limit {
			w := Winding(limit, hot, height)
			assert.True(t, w >= 0 && w <= 1 && !math.IsNaN(w))
			assert.LessOrEqual(t, Winding(limit, hot+1, height), w)
			assert.LessOrEqual(t, Winding(limit, hot, height+1), w)
			assert.LessOrEqual(t, w, Winding(Limit["H"], hot, height))
		}
		d := Drive(hot, height)
		assert.True(t, d >= 0 && d <= 1)
		assert.LessOrEqual(t, Drive(hot+1, height+1), d)
	})
}
