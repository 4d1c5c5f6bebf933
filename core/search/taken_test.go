package search_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/plan/plantest"
	"jiriki/core/reduction"
	"jiriki/core/search"
)

func TestSearchFindsWhatThePlanLacks(t *testing.T) {
	in := search.Input{Input: plantest.FarApart()}
	now := assesstest.Of(t, in.Input)
	out, err := search.Search(in, nil)
	require.NoError(t, err)
	require.NotEmpty(t, out.Found)
	best := out.Found[0]
	assert.Greater(t, best.JobsDone, now.JobsDone)
	assert.NotEmpty(t, best.Buy)
	in.Plan.Reduction = best.Plan
	taken := assesstest.Of(t, in.Input)
	assert.Equal(t, best.JobsDone, taken.JobsDone, "taking the answer gives what it said")
	assert.NotNil(t, assesstest.Finding(taken, "reduction.guard.0"), "new belts are not guarded yet")
	assert.NotEmpty(t, out.Why)
	require.NotNil(t, out.Now)
	assert.Equal(t, now.JobsDone, out.Now.JobsDone)
}

// What the search gives keeps its own bounds, judged afresh by the assessment.
func TestSearchKeepsItsBounds(t *testing.T) {
	in := search.Input{Input: plantest.FarApart(), Ask: search.Ask{Cones: true, Kinds: []string{"v-A", "poly-v-J"},
		CentreMax: "420 mm",
		Largest:   "300 mm"}}
	out, err := search.Search(in, nil)
	require.NoError(t, err)
	for _, f := range out.Found {
		taken := in.Input
		taken.Plan.Reduction = f.Plan
		a := assesstest.Of(t, taken)
		for _, one := range a.Findings {
			assert.NotContains(t, one.ID, "reduction.wrap", f.Label)
			assert.NotContains(t, one.ID, "reduction.bend", f.Label)
			assert.NotContains(t, one.ID, "reduction.belt-speed", f.Label)
			assert.NotContains(t, one.ID, "reduction.cone", f.Label)
		}
		for _, s := range a.Drawing.Stages {
			assert.LessOrEqual(t, s.Centre, 420.1)
			for _, step := range s.Steps {
				assert.LessOrEqual(t, max(step.Driver, step.Driven), 300.1)
			}
		}
	}
}

// What one belt is weighed against is the shafts coupled end to end, and so said.
func TestOneBeltIsWeighedAgainstNone(t *testing.T) {
	out, err := search.Search(search.Input{Input: plantest.Sound(), Ask: search.Ask{Stages: 1}}, nil)
	require.NoError(t, err)
	require.NotEmpty(t, out.Found)
	require.Len(t, out.Found[0].Plan.Stages, 1)
	require.NotNil(t, out.Simpler)
	assert.Equal(t, reduction.Direct, out.Simpler.Plan.Stages[0].Kind)
	assert.Contains(t, out.Why, "coupled straight: it does no job")
}
