package dryrun

import (
	"encoding/json"
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// anyScript draws what may happen to a machine.
func anyScript(t *rapid.T, jobs int) script.Described {
	d := script.Described{Events: []script.Event{{At: "0 s", Does: script.On}}}
	for i := range rapid.IntRange(0, 8).Draw(t, "events") {
		name := fmt.Sprint("event ", i)
		e := script.Event{
			At:   q.Text(fmt.Sprintf("%.3f s", rapid.Float64Range(0, 12).Draw(t, name+" at"))),
			Does: rapid.SampledFrom(script.Happenings()).Draw(t, name).Does,
		}
		switch e.Does {
		case script.Cut:
			if jobs > 0 {
				e.Job = fmt.Sprint(rapid.IntRange(0, jobs-1).Draw(t, name+" job"))
			}
			e.Lasts = "2 s"
		case script.Jam:
			e.Torque = q.Text(fmt.Sprintf("%.3g N·m", rapid.Float64Range(0.1, 200).Draw(t, name+" torque")))
			e.Lasts = "1 s"
		case script.Knob, script.On, script.Reverse:
			e.Speed = q.Text(fmt.Sprintf("%.3g %%", rapid.Float64Range(0, 100).Draw(t, name+" share")))
		case script.Fails:
			e.Lasts = "1 s"
		}
		d.Events = append(d.Events, e)
	}
	return d
}

// Whatever is put in, a run says why it cannot be, or its energy closes to a thousandth, every figure is one, and the
// same input gives the same answer.
func TestEveryRunClosesItsEnergy(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.AnyInput(t)
		in.Plan.Script = anyScript(t, len(in.Machine.Jobs))
		a, err := Of(in)
		if err != nil {
			var fields q.FieldErrors
			require.ErrorAs(t, err, &fields)
			return
		}
		assert.LessOrEqual(t, a.Results.open, 1e-3)
		data, err := json.Marshal(a)
		require.NoError(t, err, "no NaN and no infinity can be written")
		again, err := Of(in)
		require.NoError(t, err)
		same, err := json.Marshal(again)
		require.NoError(t, err)
		assert.Equal(t, string(data), string(same))
		assert.LessOrEqual(t, len(a.Trace.Seconds), MostPoints)
	})
}

// Every kind of motor on every control that suits it, as sound plans have them: it can be run, it starts, its energy
// closes, and halving what may be off moves no result by half a per cent.
func TestEverySoundPlanRuns(t *testing.T) {
	for _, one := range plantest.Sounds() {
		t.Run(one.What, func(t *testing.T) {
			in := one.Input
			a, err := Of(in)
			require.NoError(t, err)
			require.True(t, a.Runs, "%v", a.Wants)
			assert.True(t, a.Results.Started, a.Headline)
			assert.Less(t, a.Results.open, 5e-4)

			fine, err := ofTolerance(in, 0.5)
			require.NoError(t, err)
			near := func(what string, of, finer float64) {
				assert.InDelta(t, of, finer, 0.005*max(of, 1e-3), what)
			}
			near("to speed", a.Results.ToSpeed, fine.ToSpeed)
			near("amps", a.Results.MostAmps, fine.MostAmps)
			near("stop", a.Results.Stop, fine.Stop)
			near("winding", a.Results.EndWinding, fine.EndWinding)
			near("energy", a.Results.Energy, fine.Energy)
			for i, c := range a.Results.Cuts {
				near(c.Name, c.Holds, fine.Cuts[i].Holds)
			}
		})
	}
}

// ofTolerance are the results of a plan's usual script with another share of what may be off.
func ofTolerance(in plan.Input, fine float64) (Results, error) {
	_, t, err := prepare(&in)
	if err != nil {
		return Results{}, err
	}
	r, err := simulate(newMachine(t, &t.Script), &t.Script, detail{fine: fine})
	if err != nil {
		return Results{}, err
	}
	return resultsOf(r), nil
}
