package line

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

// What lies above or below every speed the plan reaches is no speed it reaches.
func TestABandThatTouchesNothingIsNotCovered(t *testing.T) {
	for what, band := range map[string][2]string{"far below": {"1", "3"}, "far above": {"4000", "9000"}} {
		in := plantest.Sound()
		in.Machine.Limits.Spindle = ""
		in.Machine.Jobs[0].Speed.From, in.Machine.Jobs[0].Speed.To = q.Text(band[0]), q.Text(band[1])
		c := modelOf(t, in).Coverage()
		assert.Zero(t, c.Covered, what)
		assert.Len(t, c.Holes, 1, what)
	}
	c := modelOf(t, plantest.Sound()).Coverage()
	assert.Equal(t, 1.0, c.Covered)
	assert.Empty(t, c.Holes)
	half := plantest.Sound()
	half.Machine.Limits.Spindle = "120 rpm"
	half.Machine.Jobs[0].Speed.From, half.Machine.Jobs[0].Speed.To = "60", "240"
	assert.InDelta(t, 0.5, modelOf(t, half).Coverage().Covered, 1e-6, "60 to 120 of 60 to 240, on a log scale")
}
