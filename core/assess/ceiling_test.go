package assess_test

import (
	"cmp"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/line"
	"jiriki/core/plan/plantest"
)

// The chart draws what is judged: by the margin of a job with no bite and no breakaway of its own, the ceiling drawn
// over its band comes down to it nowhere nearer than that margin, and to just that margin somewhere.
func TestAJobIsDrawnUnderTheCeilingItIsJudgedBy(t *testing.T) {
	seen := 0
	for _, sound := range plantest.Sounds() {
		a := assesstest.Of(t, sound.Input)
		for i, job := range a.Jobs {
			described := sound.Input.Machine.Jobs[i]
			if job.Outcome == line.CannotTell {
				assert.Empty(t, job.Ceiling, "%s: grey until judged", sound.What)
				continue
			}
			require.NotEmpty(t, job.Ceiling, sound.What)
			for k, at := range job.Ceiling {
				assert.Greater(t, at.Torque, 0.0)
				assert.True(t, k == 0 || at.RPM > job.Ceiling[k-1].RPM, "%s: rising", sound.What)
			}
			if job.StartMargin > 0 && job.StartMargin < job.Margin*1.01 || described.Load.By == "inertia" ||
				described.Load.By == "replaced" ||
				described.Load.Shape != "" && described.Load.Shape != "torque" {
				continue
			}
			// A job that takes any one speed of its band is judged where it comes out best.
			pick := slices.MinFunc[[]line.CurvePoint]
			if described.Speed.Cover == "any" {
				pick = slices.MaxFunc[[]line.CurvePoint]
			}
			binds := pick(job.Ceiling, func(a, b line.CurvePoint) int { return cmp.Compare(a.Torque, b.Torque) })
			assert.InEpsilon(t, job.Margin, binds.Torque/job.Needed[0], 0.02, "%s, %s", sound.What, job.Name)
			seen++
		}
	}
	assert.Greater(t, seen, 10)
}

func TestACeilingIsOfTheJobsOwnMinutes(t *testing.T) {
	in := plantest.Sounds()[0].Input
	allDay := assesstest.Of(t, in).Jobs[0]
	in.Machine.Jobs[0].Duty.Kind, in.Machine.Jobs[0].Duty.On, in.Machine.Jobs[0].Duty.Off = "cycle", "1 min", "20 min"
	shortly := assesstest.Of(t, in).Jobs[0]
	assert.Equal(t, "all day", allDay.CeilingIs)
	assert.Contains(t, shortly.CeilingIs, "on, ")
	assert.Greater(t, shortly.Ceiling[0].Torque, allDay.Ceiling[0].Torque*1.1)
}
