package rank

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan/plantest"
)

func TestControlsSideBySide(t *testing.T) {
	tried, err := Controls(plantest.Sound())
	require.NoError(t, err)
	var kinds []control.Kind
	for _, c := range tried.Tried {
		kinds = append(kinds, c.Kind)
		assert.NotEmpty(t, c.Curve, c.Name)
		assert.NotEmpty(t, c.Why)
		assert.NotEmpty(t, c.Holds)
	}
	assert.ElementsMatch(t, []control.Kind{control.PhaseAngle, control.Chopper, control.VariableTransformer,
		control.SeriesResistor}, kinds)
	assert.True(t, tried.Tried[len(tried.Tried)-1].Also, "what one would not choose comes last")
	assert.Len(t, tried.Refused, len(control.Profiles())-len(kinds))
	for _, r := range tried.Refused {
		assert.NotContains(t, kinds, r.Kind)
		assert.Contains(t, r.Why, "suits", "%s: never a bare no", r.Name)
	}
	in := plantest.Sound()
	in.Plan.Supply.Phases, in.Plan.Supply.Volts = "dc", "180 V"
	tried, err = Controls(in)
	require.NoError(t, err)
	for _, c := range tried.Tried {
		assert.NotContains(t, []control.Kind{control.PhaseAngle, control.VariableTransformer}, c.Kind,
			"not from a battery")
	}
	assert.True(t, slices.ContainsFunc(tried.Tried, func(c ControlTried) bool {
		return c.Kind == control.Contactor && c.Also
	}), "straight on, if one must")
}

// A series motor's speed goes by its load whatever sets its volts; a tachometer holds it.
func TestASeriesMotorIsNotSaidToHoldItsSpeed(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Universal, ThermalSwitch: "none", Plate: motor.Plate{Power: "400 W",
		Speed: "9000 rpm", Volts: "230 V", Amps: "3.2 A", Hertz: "50 Hz"}}
	tried, err := Controls(in)
	require.NoError(t, err)
	require.NotEmpty(t, tried.Tried)
	for _, c := range tried.Tried {
		if c.Uses.Feedback != "tacho" {
			assert.NotContains(t, c.Holds, "stays", c.Name)
			assert.Contains(t, c.Holds, "falls from", c.Name)
		}
	}
}
