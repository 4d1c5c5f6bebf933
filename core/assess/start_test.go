package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/work"
)

// onItsCapacitor is a half-horse permanent-split-capacitor motor on a switch: strong running, weak at rest.
func onItsCapacitor() plan.Input {
	in := plantest.Switched()
	in.Plan.Motor.Kind = motor.PermanentSplit
	in.Plan.Motor.Plate = motor.Plate{Power: "1/2 hp", Speed: "1425 rpm", Volts: "230 V", Amps: "2.9 A", Hertz: "50 Hz",
		PowerFactor: "0.92", Capacitor: "12 µF", CapacitorVolts: "500 V"}
	in.Machine.Jobs[0].Load = work.Load{Torque: "5 N·m"}
	return in
}

func TestAMotorMustStartWhatItDrives(t *testing.T) {
	for name, load := range map[string]work.Load{
		"a torque":   {Torque: "5 N·m"},
		"a power":    {By: work.ByPower, Power: "200 W"},
		"same power": {By: work.ByPower, Power: "180 W", Shape: string(work.SamePower)},
	} {
		in := onItsCapacitor()
		in.Machine.Jobs[0].Load = load
		a := assesstest.Of(t, in)
		assert.Equal(t, line.FallsShort, a.Jobs[0].Outcome, name)
		assert.Contains(t, a.Jobs[0].Start, "will not start it", name)
		assert.Less(t, a.Jobs[0].StartMargin, 1.0, name)
		said := assesstest.Finding(a, finding.WorkJob.Of("slow"))
		require.NotNil(t, said)
		assert.Equal(t, finding.Stop, said.Level, name)
		assert.Contains(t, said.Title, "will not start it", name)
	}
}

func TestHowItStartsIsSaidOfEveryJob(t *testing.T) {
	for _, in := range append(plantest.Demo(t), plantest.Sound(), plantest.Inverted(), plantest.Switched(),
		plantest.Resisted(), plantest.Transformed()) {
		a := assesstest.Of(t, in)
		for _, j := range a.Jobs {
			if j.Outcome == line.CannotTell {
				continue
			}
			assert.Contains(t, j.Start, "start", "%s: %s", in.Machine.Name, j.Name)
			if j.Outcome == line.Does || j.Outcome == line.JustDoes {
				said := assesstest.Finding(a, finding.WorkJob.Of(j.ID))
				assert.Contains(t, said.Detail, "Starts it", "%s: %s", in.Machine.Name, j.Name)
				assert.GreaterOrEqual(t, j.StartMargin, j.Margin*(1-1e-4), "what is least counts")
			}
		}
	}
}

// A machine that starts idle starts against its own friction; a fan against a part of its load.
func TestWhatItStartsAgainst(t *testing.T) {
	start := func(change func(*work.Job)) float64 {
		in := onItsCapacitor()
		change(&in.Machine.Jobs[0])
		return assesstest.Of(t, in).Jobs[0].StartMargin
	}
	loaded := start(func(*work.Job) {})
	weighed := work.FromRest{How: "idle", Torque: "1.5 N·m"}
	assert.InEpsilon(t, loaded/0.3, start(func(j *work.Job) { j.Start = weighed }), 1e-3)
	assert.InEpsilon(t, loaded/0.15, start(func(j *work.Job) { j.Start.How = "idle" }), 1e-3)
	assert.InEpsilon(t, loaded/0.15, start(func(j *work.Job) { j.Load.Shape = string(work.TorqueWithN) }), 1e-3)
	assert.InEpsilon(t, loaded/2, start(func(j *work.Job) { j.Start.Torque = "10 N·m" }), 1e-3, "stiffer at rest")

	in := onItsCapacitor()
	in.Machine.Jobs[0].Start = work.FromRest{How: "idle", Torque: "1 N·m"}
	a := assesstest.Of(t, in)
	assert.True(t, a.Jobs[0].Outcome.Done())
	in.Machine.Jobs[0].Start.Torque = "much"
	assert.Equal(t, "machine.jobs[0].start.torque", assesstest.Of(t, in).Entries[0].Field)
}
