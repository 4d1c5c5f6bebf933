package assess_test

import (
	"encoding/json"
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Everything is answered in finite figures with its limits in order; what cannot be used of it is
// named by its field, and keeps it from being powered.
func TestAssessmentIsFiniteAndOrderedWhateverIsTyped(t *testing.T) {
	answered := 0
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.AnyInput(t)
		// Half of the draws get a control that suits, or hardly one would be answered.
		if drives := line.Drives(in.Plan.Motor.Kind); len(drives) > 0 && rapid.Bool().Draw(t, "suits") {
			in.Plan.Control.Kind = plantest.OneOf(t, "suited", drives...)
		}
		a, err := assess.Assess(in)
		require.NoError(t, err)
		assesstest.CheckWhole(t, a)
		if len(a.Entries) == 0 {
			answered++
			return
		}
		if a.MayPower || a.Entries[0].Field == "" || a.Entries[0].Message == "" {
			t.Fatalf("an entry that cannot be used: %+v, and it may be powered: %v", a.Entries, a.MayPower)
		}
	})
	assert.Greater(t, answered, 40, "the draw must reach real answers")
}

// All else equal, a stronger motor of the same speed and volts never lowers a margin. The drive
// is taken large and without a set limit: a larger motor also wastes more current inside, so on
// a drive that binds it can really give less, and that is no fault.
func TestAStrongerMotorNeverLowersAMargin(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted(), plantest.Switched())
		in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "200 A", ""
		if in.Plan.Control.Kind == control.Contactor {
			in.Plan.Control.Amps = ""
		}
		power, amps := rapid.Float64Range(100, 2000).Draw(t, "power"), 0.0
		amps = power / (230 * 0.7)
		more := rapid.Float64Range(1, 4).Draw(t, "more")
		with := func(k float64) assess.Assessment {
			in.Plan.Motor.Plate.Power = q.Text(fmt.Sprintf("%g W", power*k))
			in.Plan.Motor.Plate.Amps = q.Text(fmt.Sprintf("%g A", amps*k))
			a, err := assess.Assess(in)
			if err != nil {
				t.Fatal(err)
			}
			return a
		}
		forgiven := 1e-4
		if in.Plan.Control.Kind == control.Contactor {
			forgiven = 2e-3 // on the line it turns a hair faster, where a belt carries a hair less
		}
		assert.GreaterOrEqual(t, with(more).Jobs[0].Margin, with(1).Jobs[0].Margin*(1-forgiven))
	})
}

func FuzzAssess(f *testing.F) {
	const planned = `{"units":"%s","machine":{"name":"x","jobs":[{"id":"a","speed":{"from":"60",
	"to":"300"},"load":{"torque":"2 N·m"}}]},"plan":{"supply":{"volts":"230 V"},` +
		`"control":{"kind":"%s","volts":"180 V","amps":"5 A"},"motor":{"kind":"%s","plate":{"power":"1/2 hp",
		"speed":"1425","volts":"230/400 V","amps":"2.8 A"}},` +
		`"reduction":{"stages":[{"kind":"%s","section":"A","steps":[{"driver":"80 mm",
		"driven":"280 mm"}],"centre":"400 mm"}]}}}`
	f.Add(fmt.Appendf(nil, planned, "metric", control.PhaseAngle, motor.PermanentMagnetDC, reduction.VBelt))
	f.Add(fmt.Appendf(nil, planned, "inch", control.Inverter, motor.ThreePhase, reduction.Spur))
	f.Add(fmt.Appendf(nil, planned, "metric", control.Contactor, motor.CapacitorStart, reduction.Worm))
	f.Add([]byte(`{"units":"metric"}`))
	f.Fuzz(func(t *testing.T, body []byte) {
		var in plan.Input
		if json.Unmarshal(body, &in) != nil {
			return
		}
		a, err := assess.Assess(in)
		if err != nil {
			var fields q.FieldErrors
			assert.ErrorAs(t, err, &fields)
			return
		}
		_, err = json.Marshal(a)
		assert.NoError(t, err)
	})
}
