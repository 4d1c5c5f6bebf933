package line

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/plan/plantest"
	"jiriki/core/work"
)

// The bite is held against what there is for some seconds, the mean against heat; a flywheel bridges it.
func TestAFlywheelBridgesTheBite(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Kind = "lathe"
	in.Machine.Jobs[0] = work.Job{ID: "a", Cut: work.Cut{Operation: "turning", Material: "plain-steel"},
		Speed: work.SpeedBand{From: "200", To: "300"}, Load: work.Load{By: work.ByCutting, Cutting: work.CuttingLoad{
			Depth: "2 mm", Feed: "0.25 mm", Diameter: "50 mm", Bites: "1", Contact: "12 %"}},
		Start: work.FromRest{How: "idle"}}
	m := modelOf(t, in)
	job := &m.Machine.Jobs[0]
	result := m.Best(job, m.Reduction.Positions)
	assert.True(t, result.Biting)
	p := &m.Reduction.Positions[0]
	needed := job.InTheBite(result.Omega, m.OwnInertia(p), 0.03)
	assert.InEpsilon(t, needed, result.Needed, 1e-9)
	assert.InEpsilon(t, m.Peak(result.Omega, p).Torque/needed, result.Margin, 1e-9)

	in.Machine.Limits.Flywheel = "3 kg·m²"
	heavy := modelOf(t, in)
	bridged := heavy.Best(&heavy.Machine.Jobs[0], heavy.Reduction.Positions)
	assert.False(t, bridged.Biting, "what turns gives the bite")
	assert.Greater(t, bridged.Margin, result.Margin)
}
