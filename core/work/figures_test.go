package work

import (
	"reflect"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// Usual speeds and margins, each by its number [common practice].
func TestFiguresOfTheWork(t *testing.T) {
	turned, ok := UsualSurfaceSpeed(Cut{Operation: "turning", Material: "brass"})
	require.True(t, ok)
	drilled, _ := UsualSurfaceSpeed(Cut{Operation: "drilling", Material: "brass"})
	assert.InEpsilon(t, 0.8, drilled/turned, 1e-12)
	ground, _ := UsualSurfaceSpeed(Cut{Operation: "grinding"})
	assert.Equal(t, 30.0, ground, "m/s, a vitrified wheel")
	had := need(t, Job{Speed: someBand, Load: Load{By: ByReplaced, Replaced: Replaced{Power: "200 W", Speed: "1400"}}})
	assert.Equal(t, 1.0, had.Margin, "as the machine was")
	assert.Equal(t, 0.006, slipWithin, "as near as rounding comes to a slip of units")
	like := Job{Speed: someBand, Load: Load{By: ByReplaced, Replaced: Replaced{Power: "200 W", Speed: "1400"}}}
	for margin, stacked := range map[q.Text]bool{"1.15": false, "1.16": true} {
		like.Margin = margin
		assert.Equal(t, stacked, need(t, like).Stacked(), "a margin of %s on a figure that has one", margin)
	}
	hot := Resolve(Machine{Place: Place{Hot: "yes"}}, q.NewReader("machine"))
	assert.Equal(t, 323.15, hot.Air, "over 40 °C is 50 °C until it is measured")
}

// What is told of a bound and what is held are one figure.
func TestBoundsAreThoseOfTheFields(t *testing.T) {
	for _, c := range []struct {
		of    any
		field string
		most  int
	}{
		{Machine{}, "Jobs", MaxJobs}, {Load{}, "Points", maxPulls}, {ScalePull{}, "Running", maxPulls},
		{ScalePull{}, "Breakaway", maxPulls}, {InertiaLoad{}, "Parts", maxPulls},
		{Replaced{}, "Positions", maxPositions}, {Screw{}, "Mains", maxPositions},
	} {
		f, ok := reflect.TypeOf(c.of).FieldByName(c.field)
		require.True(t, ok, c.field)
		assert.Equal(t, strconv.Itoa(c.most), f.Tag.Get("maxItems"), c.field)
	}
	pulls := make([]q.Text, 21)
	assert.NotEmpty(t, refusals(Job{Speed: someBand, Load: Load{By: ByScale, Scale: ScalePull{Running: pulls}}}))
	assert.Empty(t, refusals(Job{Speed: someBand, Load: Load{By: ByScale, Scale: ScalePull{Running: pulls[:20]}}}))
}
