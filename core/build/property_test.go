package build_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/assess/assesstest"
	"jiriki/core/build"
	"jiriki/core/control"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/rank"
)

// Whatever can be assessed can be built and its controls compared, in words and figures fit to print.
func TestAnyPlanIsBuilt(t *testing.T) {
	wired := 0
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.AnyInput(t)
		if matches := in.Plan.Motor.Kind.Profile().Controls; len(matches) > 0 {
			in.Plan.Control.Kind = control.Kind(plantest.OneOf(t, "suited", matches...).Control)
		}
		b, err := build.Plan(in)
		tried, errTried := rank.Controls(in)
		require.NoError(t, err)
		var refused q.FieldErrors
		if errTried != nil {
			require.ErrorAs(t, errTried, &refused)
		}
		a := assesstest.Of(t, in)
		assert.Equal(t, a.MayPower, b.MayPower)
		assert.Equal(t, a.MayPower, b.Blocked == "")
		for _, c := range b.Wiring.Checks {
			assert.True(t, c.OK || !a.MayPower, "may be powered with its wiring unsound: %s", c.ID)
		}
		if b.Wiring.Known {
			wired++
		}
		for _, said := range []any{b, tried} {
			text, err := json.Marshal(said)
			require.NoError(t, err)
			// A dash is how a figure that is none is shown; "%!" is a sum written wrong.
			assert.NotRegexp(t, `—|%!|NaN|\bInf`, string(text))
		}
		for _, w := range b.Wiring.Wires {
			for _, end := range []string{w.From, w.To} {
				assert.Regexp(t, `^[A-Z]+\d*:.`, end)
			}
		}
	})
	assert.Greater(t, wired, 20, "the draw must reach plans that are wired")
}

// The table's plans are judged alike by the sheet and by what is built from it.
func TestBuildAllowsPowerWhereTheVerdictDoes(t *testing.T) {
	for _, one := range plantest.Sounds() {
		b, err := build.Plan(one.Input)
		require.NoError(t, err, one.What)
		assert.True(t, b.MayPower, "%s: %s", one.What, b.Blocked)
	}
	for _, one := range plantest.Dangers() {
		b, err := build.Plan(one.Input)
		require.NoError(t, err, one.What)
		assert.False(t, b.MayPower, one.What)
		assert.NotEmpty(t, b.Blocked, one.What)
	}
}
