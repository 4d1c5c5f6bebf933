package assess_test

import (
	"encoding/json"
	"os"
	"path/filepath"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/plan"
)

// Plans as they were reported: eight that were told yes, or told nothing, and must not be; three that were stopped
// though nothing of the sort is wrong with them.
func TestPlansThatWereReported(t *testing.T) {
	for file, c := range map[string]struct {
		stop  finding.ID // must be among the stops
		asks  string     // must be among what it hangs on
		sound bool       // no stop at all: only what is blank is asked for
	}{
		"01-hub-motor-36v-on-mains-drive":        {stop: finding.ControlLowVolts},
		"02-mixer-starts-by-itself":              {stop: finding.ControlNoVolt},
		"03-conductor-never-entered":             {asks: "supply.wire"},
		"04-stepper-at-three-times-its-amps":     {stop: finding.ControlLimitHigh},
		"05-180v-dc-on-a-plain-switch":           {stop: finding.ControlContacts},
		"06-ip20-brushes-in-wood-dust":           {stop: finding.WorkDust},
		"07-wet-residual-type-ac-before-a-drive": {stop: finding.SupplyResidual},
		"08-5800-rpm-no-limit-entered":           {asks: "machine.limits.spindle"},
		"09-sound-run-capacitor-400v":            {sound: true},
		"10-sound-coil-winder-shaft":             {sound: true},
		"11-sound-shaper-shaft":                  {sound: true},
	} {
		data, err := os.ReadFile(filepath.Join("testdata", "dangers", file+".json"))
		require.NoError(t, err)
		var in plan.Input
		require.NoError(t, json.Unmarshal(data, &in))
		in.Machine, in.Plan = in.Machine.Whole(), in.Plan.Whole()
		a := assesstest.Of(t, in)
		assert.NotEqual(t, judge.Yes, a.Power.Answer, "%s: so much of it is blank", file)
		assert.False(t, a.MayPower, file)
		if c.stop != "" {
			assert.Contains(t, stops(a), c.stop, "%s: %s", file, a.Power.Text)
			assert.Equal(t, judge.No, a.Power.Answer, file)
		}
		if c.asks != "" {
			fields := []string{}
			for _, h := range a.Power.Hangs {
				fields = append(fields, h.Field)
			}
			assert.Contains(t, fields, c.asks, "%s: %s", file, a.Power.Text)
		}
		if c.sound {
			assert.Empty(t, stops(a), "%s: %s", file, a.Power.Text)
			assert.Equal(t, judge.Unknown, a.Power.Answer, file)
		}
	}
}
