package search

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

func modelOf(t *testing.T, in plan.Input) *line.Model {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	return line.New(s)
}

// A motor that runs at one speed needs its cone for two speeds; on a drive one ratio may do both, with less torque at
// the slow end.
func TestTheConeBesideOneBelt(t *testing.T) {
	in := plantest.Switched()
	in.Machine.Limits.Spindle = ""
	stage := &in.Plan.Reduction.Stages[0]
	stage.Steps = []reduction.DescribedStep{{Driver: "80 mm", Driven: "280 mm"}, {Driver: "140 mm", Driven: "230 mm"}}
	in.Machine.Jobs = []work.Job{
		{ID: "slow", Speed: work.SpeedBand{From: "370", To: "440", Cover: "any"}, Load: work.Load{Torque: "3 N·m"}},
		{ID: "fast", Speed: work.SpeedBand{From: "800", To: "900", Cover: "any"}, Load: work.Load{Torque: "1 N·m"}},
	}
	c := coneOrBelt(modelOf(t, in), in.Units)
	require.Len(t, c.Ways, 2)
	assert.Equal(t, []int{2, 1}, []int{c.Ways[0].Jobs, c.Ways[1].Jobs}, "%+v", c.Ways)
	assert.Equal(t, []int{1, 0}, []int{c.Ways[0].Changes, c.Ways[1].Changes})
	assert.Len(t, c.Ways[0].Curves, 2)
	assert.Len(t, c.Ways[1].Curves, 1)

	driven := plantest.Sound()
	driven.Machine.Limits.Spindle = ""
	driven.Machine.Jobs = in.Machine.Jobs
	driven.Plan.Reduction = in.Plan.Reduction
	c = coneOrBelt(modelOf(t, driven), in.Units)
	assert.Equal(t, []int{2, 2}, []int{c.Ways[0].Jobs, c.Ways[1].Jobs})
	assert.Contains(t, c.Ways[1].Name, "one ratio, ")

	stage.Steps = stage.Steps[:1]
	assert.Empty(t, coneOrBelt(modelOf(t, in), in.Units).Ways, "nothing to change over")
}
