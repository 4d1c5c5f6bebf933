package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

// May it be powered, and does it do the jobs: two answers that never lean on each other.
func TestTwoAnswersAreToldApart(t *testing.T) {
	in := plantest.Short()
	a := assesstest.Of(t, in)
	assert.True(t, a.MayPower)
	assert.Contains(t, []finding.Level{finding.Good, finding.Caution}, a.Power.Mark, a.Power.Text)
	assert.Regexp(t, "^Yes, ", a.Power.Text)
	assert.Equal(t, finding.Stop, a.Does.Mark)
	assert.Regexp(t, `^1 of 2; .* short by`, a.Does.Text)
	assert.Regexp(t, `^1 of 2\. .*: short by [\d.]+.%$`, a.Does.Brief)

	in = plantest.Sound()
	a = assesstest.Of(t, in)
	assert.Regexp(t, `^\d of \d, the tightest with [\d.]+.% to spare\.$`, a.Does.Text)
	in.Plan.Reduction.Stages[0].Guarded = false
	b := assesstest.Of(t, in)
	assert.Equal(t, finding.Stop, b.Power.Mark)
	assert.Equal(t, "No. Guard the moving parts.", b.Power.Text)
	assert.Equal(t, "No: one stop", b.Power.Brief)
	assert.Equal(t, a.Does, b.Does, "what it does is not altered by what may hurt")
	in.Plan.Control.ZeroStart, in.Plan.Control.Enclosed = true, false
	assert.Regexp(t, "^No, two stops. First: ", assesstest.Of(t, in).Power.Text)

	a = assesstest.Of(t, plan.Input{Units: q.Metric})
	assert.Equal(t, finding.Missing, a.Power.Mark)
	assert.Equal(t, "No job is put in yet.", a.Does.Text)
	assert.Equal(t, "No job is put in yet", a.Does.Brief)
	in = plantest.Sound()
	in.Plan.Motor.Kind = ""
	assert.Equal(t, "Not known yet: what kind of motor is it.", assesstest.Of(t, in).Does.Text)
	assert.Equal(t, "Not known yet: one entry is missing", assesstest.Of(t, in).Does.Brief)
}

// A yes is never said where the plan may not be powered, whatever the plan.
func TestAYesIsOnlySaidWhereItMayBePowered(t *testing.T) {
	for n := range 400 {
		a := assesstest.Of(t, plantest.Varied(n))
		if a.MayPower {
			assert.Regexp(t, "^Yes", a.Power.Text, n)
			assert.Regexp(t, "^Yes", a.Power.Brief, n)
		} else {
			assert.Regexp(t, "^No", a.Power.Text, n) // No, or Not known yet
			assert.Regexp(t, "^No", a.Power.Brief, n)
			assert.Contains(t, []finding.Level{finding.Stop, finding.Missing}, a.Power.Mark, n)
		}
		if a.Does.Mark == finding.Good {
			assert.Equal(t, len(a.Jobs), a.JobsDone, n)
		}
	}
}

// A motor that lacks its volts is the headline of nothing else: what hurts besides stands in the answer about power.
func TestWhatIsNotKnownIsTheHeadlineWhereNothingCanBeJudged(t *testing.T) {
	in := plantest.Sounds()[0].Input
	in.Plan.Motor.Plate = motor.Plate{Power: "1/3 hp", Speed: "1640 rpm"}
	in.Plan.Motor.Readings = nil
	in.Plan.Motor.Kind = motor.SplitPhase
	in.Plan.Control = control.Described{Kind: control.Contactor}
	a := assesstest.Of(t, in)
	assert.Equal(t, "Not enough known yet to judge it. Do not power it yet.", a.Headline)
	assert.Equal(t, finding.Stop, a.Power.Mark)
	for _, s := range a.Stations {
		if s.Station == finding.Work {
			assert.Equal(t, "not judged yet", s.Note)
		}
	}
}
