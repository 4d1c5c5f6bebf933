package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// A spindle can turn as fast as its motor does with nothing to hold it, at the most its control gives: that speed
// must keep the machine's limit, not the loaded one or the plate's.
func TestTheTopSpeedIsTheUnloadedOne(t *testing.T) {
	universal := plantest.Switched()
	universal.Plan.Motor = motor.Described{Kind: motor.Universal, ThermalSwitch: "none", Plate: motor.Plate{
		Power: "400 W", Speed: "9000 rpm", Volts: "230 V", Amps: "3.2 A", Hertz: "50 Hz"}}
	bare := plantest.Sound()
	bare.Plan.Control.Volts = "" // the drive gives what the socket makes of it
	transformer := plantest.Transformed()
	for name, c := range map[string]struct {
		in    plan.Input
		limit q.Text // between the top speed at the plate and the unloaded one
	}{
		"a drive at plate volts":      {plantest.Sound(), "515 rpm"},
		"a drive of more volts":       {bare, "570 rpm"},
		"a variable transformer":      {transformer, "570 rpm"},
		"a series motor on the line":  {universal, "4000 rpm"},
		"an inverter, less slip":      {plantest.Inverted(), "415 rpm"},
		"a motor on the line, loaded": {plantest.Switched(), "415 rpm"},
	} {
		c.in.Machine.Limits = work.Limits{Spindle: c.limit}
		a := assesstest.Of(t, c.in)
		require.NotNil(t, assesstest.Finding(a, finding.WorkTopSpeed), "%s turns past %s", name, c.limit)
		assert.False(t, a.MayPower, name)
		assert.Nil(t, assesstest.Finding(a, finding.WorkTopSpeedGood), name)
		for _, r := range a.Fixes[finding.WorkTopSpeed] {
			after := c.in
			if r.Control != nil {
				after.Plan.Control = *r.Control
			}
			if r.Reduction != nil {
				after.Plan.Reduction = *r.Reduction
			}
			assert.Nil(t, assesstest.Finding(assesstest.Of(t, after), finding.WorkTopSpeed), "%s: %s", name, r.Label)
		}
	}
}

// A trim takes volts away, a tachometer holds the speed itself: less there than where nothing is set.
func TestATrimHoldsTheTopSpeed(t *testing.T) {
	stops := func(change func(*control.Described)) bool {
		in := plantest.Sound()
		in.Machine.Limits = work.Limits{Spindle: "400 rpm"}
		change(&in.Plan.Control)
		return assesstest.Finding(assesstest.Of(t, in), finding.WorkTopSpeed) != nil
	}
	assert.True(t, stops(func(*control.Described) {}))
	assert.False(t, stops(func(c *control.Described) { c.TopTrim = "70 %" }))
	assert.True(t, stops(func(c *control.Described) { c.TopTrim = "78 %" }), "unloaded it passes what it is set to")
	assert.False(t, stops(func(c *control.Described) { c.TopTrim, c.Feedback = "78 %", "tacho" }))
}
