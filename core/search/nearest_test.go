package search

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan/plantest"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// Where nothing does the job, what comes nearest is shown, each with what holds it, and no answer is empty.
func TestNothingIsNoDeadEnd(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs[0].Load.Torque = "90 N·m"
	in.Machine.Jobs[0].Speed.From, in.Machine.Jobs[0].Speed.To = "200", "500"
	r, err := Search(Input{Input: in}, nil)
	require.NoError(t, err)
	assert.Empty(t, r.Found)
	assert.Empty(t, r.Widen, "ten times the motor's power is no matter of bounds")
	require.Len(t, r.Nearest, 3)
	for i, f := range r.Nearest {
		assert.Zero(t, f.JobsDone)
		assert.Contains(t, f.GivesUp, "held by motor heat", f.Label)
		if i > 0 {
			assert.LessOrEqual(t, f.Margin, r.Nearest[i-1].Margin, "the nearest first")
		}
	}
}

// A bound that holds the search back is named, with what is found once it is wider, and keeps its word.
func TestTheBoundToWidenIsNamed(t *testing.T) {
	in := plantest.FarApart()
	ask := Ask{Kinds: []string{"v-A"}, Stages: 1, Largest: "200 mm"}
	r, err := Search(Input{Input: in, Ask: ask}, nil)
	require.NoError(t, err)
	done := bestDone(r.Found)
	require.Less(t, done, 3)
	require.NotEmpty(t, r.Widen)
	assert.LessOrEqual(t, len(r.Widen), 3)
	for _, w := range r.Widen {
		assert.True(t, strings.HasPrefix(w.Label, "Allow "), w.Label)
		wider, err := Search(Input{Input: in, Ask: w.Ask}, nil)
		require.NoError(t, err)
		assert.Greater(t, bestDone(wider.Found), done, w.Label)
		assert.Contains(t, w.Label, jobsOf(&wider.Found[0])+", "+wider.Found[0].Label)
	}
	all, err := Search(Input{Input: plantest.Sound()}, nil)
	require.NoError(t, err)
	assert.Empty(t, all.Widen, "all jobs are done")
	assert.Empty(t, all.Nearest)
}

// Without bounds of one's own the search takes in what the plan has and what the shelf holds.
func TestTheUsualBoundsTakeInPlanAndShelf(t *testing.T) {
	in := plantest.Sound()
	stage := &in.Plan.Reduction.Stages[0]
	stage.Kind, stage.Section, stage.Centre = reduction.PolyV, "J", "900 mm"
	stage.Steps[0].Driven = "500 mm"
	in.Shelf = []shelf.Item{
		{ID: "a", Sort: shelf.Pulley, Wheel: shelf.Wheel{Section: "Z", Diameter: "70 mm"}},
		{ID: "b", Sort: shelf.Pulley, Wheel: shelf.Wheel{Section: "Z", Diameter: "120 mm"}},
	}
	r, err := Search(Input{Input: in}, nil)
	require.NoError(t, err)
	assert.Equal(t, []string{"poly-v-J", "v-Z"}, r.Within.Kinds)
	assert.Equal(t, "900\u202fmm", r.Within.CentreMax)
	assert.Equal(t, "500\u202fmm", r.Within.Largest)
	in.Plan.Reduction.Stages, in.Shelf = nil, nil
	r, err = Search(Input{Input: in}, nil)
	require.NoError(t, err)
	assert.Equal(t, Within{[]string{"v-A"}, "700\u202fmm", "400\u202fmm"}, r.Within)
}
