package line_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
)

// A measured knob stands on the plate between its marks and nowhere beyond them, in its own position only, and never
// over
// what the machine allows.
func TestTheSpeedPlateHasWhatWasMeasured(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = "450 rpm"
	plate := func(marks ...control.Mark) line.PlatePosition {
		in.Plan.Control.Marks = marks
		s, err := plan.Resolve(in)
		require.NoError(t, err)
		return line.New(s).SpeedPlate(nil).Positions[0]
	}
	assert.Empty(t, plate().Measured)
	label := plate().Label
	got := plate(control.Mark{Knob: "30 %", Speed: "100 rpm", Position: label}, control.Mark{Knob: "100 %",
		Speed:    "480 rpm",
		Position: label}, control.Mark{Knob: "60 %", Speed: "280 rpm", Position: label})
	require.Len(t, got.Measured, 10)
	assert.InDelta(t, 0, got.Measured[0], 0, "under the first mark")
	assert.InDelta(t, 100, got.Measured[2], 1e-9)
	assert.InDelta(t, 220, got.Measured[4], 1e-9, "half way between 100 and 280 and a little more")
	assert.InDelta(t, 280, got.Measured[5], 1e-9)
	assert.InDelta(t, 0, got.Measured[9], 0, "480 is over what the machine allows")
	assert.Empty(t, plate(control.Mark{Knob: "30 %", Speed: "100", Position: "another"},
		control.Mark{Knob: "60 %", Speed: "280", Position: "another"}).Measured)
}
