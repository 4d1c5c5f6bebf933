package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/assess/assesstest"
	"jiriki/core/plan/plantest"
)

// A plate that says how fast hangs only where nothing that bears on speed is open.
func TestNoSpeedPlateWhereAStopOrABlankBearsOnSpeed(t *testing.T) {
	in := plantest.Sound()
	assert.Empty(t, assesstest.Of(t, in).NoPlate)
	in.Plan.Reduction.Stages[0].Guarded = false
	assert.Empty(t, assesstest.Of(t, in).NoPlate, "a guard that lacks says nothing of speed")
	in.Machine.Limits.Spindle = "60 rpm"
	assert.Regexp(t, "^Can turn faster than the spindle's limit. ", assesstest.Of(t, in).NoPlate)
	in.Machine.Limits.Spindle = "sixty"
	assert.Regexp(t, "sixty", assesstest.Of(t, in).NoPlate, "a limit that cannot be read is none")
	in.Machine.Limits.Spindle, in.Plan.Supply.Cable = "1000 rpm", "goat"
	assert.Empty(t, assesstest.Of(t, in).NoPlate)
	in.Plan.Supply.Cable = ""
	in.Machine.Limits.Spindle, in.Machine.Kind = "", "lathe"
	assert.Regexp(t, "^How fast may it turn\\? ", assesstest.Of(t, in).NoPlate)
}
