package line_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/work"
)

// A usual load is told by both its ends where they come out otherwise, and never as certain.
func TestAUsualLoadIsToldByItsEnds(t *testing.T) {
	told := func(load work.Load) line.JobOutcome {
		in := plantest.Sound()
		in.Machine.Jobs = []work.Job{{ID: "a", Name: "Job", Speed: work.SpeedBand{From: "250", To: "400"}, Load: load}}
		s, err := plan.Resolve(in)
		require.NoError(t, err)
		m := line.New(s)
		return m.Told(&m.Machine.Jobs[0], m.Results()[0], m.Reduction.Positions)
	}
	of := func(id string) work.Load {
		return work.Load{By: work.ByComparable, Comparable: work.Comparable{Of: id}}
	}
	open := told(of("roughing-bowls"))
	assert.Equal(t, line.CannotTell, open.Outcome)
	assert.Regexp(t, `^×0\.[\d]+ to ×1\.[\d]+$`, open.Margin)
	assert.Equal(t, line.FallsShort, told(of("stiff-dough")).Outcome, "too much by the least of it")
	assert.Equal(t, line.Does, told(of("trimming-clay")).Outcome)
	assert.Equal(t, line.FallsShort, told(work.Load{Torque: "18 N·m"}).Outcome, "a load of its own is certain")
}
