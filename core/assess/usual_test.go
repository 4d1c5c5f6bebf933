package assess_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

func usually(of string) work.Job {
	return work.Job{ID: "a", Name: "Job", Speed: steady,
		Load: work.Load{By: work.ByComparable, Comparable: work.Comparable{Of: of}}}
}

// The plan of sound holds 5.81 N·m all day over this band: what a usual load makes of that.
func TestAJobByAUsualLoadIsDoneOnlyByAllOfIt(t *testing.T) {
	for _, c := range []struct {
		of    string
		want  line.Outcome
		brief string
	}{
		{"trimming-clay", line.Does, `^1 of 1, \d+.% to spare$`},
		{"turning-spindles", line.Does, `^1 of 1, \d+.% to spare$`},
		{"crushing-fruit", line.CannotTell, `^Not known yet: likely ×1\.0\d?$`},
		{"throwing-clay", line.CannotTell, `^Not known yet: likely ×1\.2`},
		{"centring-clay", line.CannotTell, `^Not known yet: likely short by [\d.]+.%$`},
		{"roughing-bowls", line.CannotTell, `^Not known yet: likely short by [\d.]+.%$`},
		{"jammed-crusher", line.FallsShort, `^0 of 1\. Job: short by [\d.]+.%$`},
		{"stiff-dough", line.FallsShort, `^0 of 1\. Job: short by [\d.]+.%$`},
	} {
		in := plantest.Sound()
		in.Machine.Jobs = []work.Job{usually(c.of)}
		a := assesstest.Of(t, in)
		assert.Equal(t, c.want, a.Jobs[0].Outcome, c.of)
		assert.Regexp(t, c.brief, a.Does.Brief, c.of)
		if c.want != line.CannotTell {
			continue
		}
		require.Len(t, a.Does.Hangs, 1, c.of)
		assert.Equal(t, "Job: weigh its load", a.Does.Hangs[0].Text, c.of)
		assert.Equal(t, "machine.jobs[0].load.by", a.Does.Hangs[0].Field)
		assert.Contains(t, a.Does.Text, "by a usual load", c.of)
		assert.Equal(t, "by a usual load", a.Does.By, c.of)
		assert.Equal(t, "likely", a.Jobs[0].Short[:len("likely")], c.of)
		assert.Empty(t, a.Jobs[0].Remedies, c.of)
	}
}

// Where an entry is missing besides, no more is said than how it stands so far; where it cannot be weighed up at all,
// nothing is.
func TestWhatIsLikelySaysWhatItIsWithout(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs = []work.Job{usually("throwing-clay")}
	in.Plan.Control.Amps = ""
	a := assesstest.Of(t, in)
	require.Equal(t, judge.Unknown, a.Does.Answer)
	assert.Regexp(t, `^Not known yet: ×1\.\d+ so far$`, a.Does.Brief)
	last := a.Does.Hangs[len(a.Does.Hangs)-1]
	assert.Equal(t, "Job: weigh its load", last.Text, "what takes a scale comes after what is only to be read")
	in.Plan.Reduction.Stages = nil
	assert.Equal(t, "Not known yet: two entries are missing", assesstest.Of(t, in).Does.Brief)
	in.Plan.Motor.Kind = ""
	assert.Regexp(t, `^Not known yet: .* missing$`, assesstest.Of(t, in).Does.Brief)
}

// What is between motor and spindle is asked for right after the motor.
func TestTheReductionIsAskedForBeforeTheControl(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs = []work.Job{usually("throwing-clay")}
	in.Plan.Reduction.Stages, in.Plan.Control.Kind, in.Plan.Supply.Volts = nil, "", ""
	a := assesstest.Of(t, in)
	require.NotEmpty(t, a.Does.Hangs)
	assert.Equal(t, "reduction.stages", a.Does.Hangs[0].Field)
	in.Plan.Motor.Kind = motor.Kind("")
	assert.Equal(t, "motor.kind", assesstest.Of(t, in).Does.Hangs[0].Field)
}

// Whatever the plan and the work: done by a usual load is done by every load in it, and not done is done by none.
func TestAUsualLoadIsJudgedAsEveryLoadInIt(t *testing.T) {
	sounds := plantest.Sounds()
	rapid.Check(t, func(t *rapid.T) {
		in := rapid.SampledFrom(sounds).Draw(t, "plan").Input
		if len(in.Machine.Jobs) == 0 {
			return
		}
		job := in.Machine.Jobs[0]
		like := rapid.SampledFrom(work.Likes(q.Metric)).Filter(func(l work.Like) bool {
			return l.By == "torque"
		}).Draw(t, "work")
		job.Load = work.Load{By: work.ByComparable, Comparable: work.Comparable{Of: like.ID}}
		job.Margin = ""
		of := func(j work.Job) line.Outcome {
			in.Machine.Jobs = []work.Job{j}
			return assesstest.Of(t, in).Jobs[0].Outcome
		}
		usual := of(job)
		share := rapid.Float64Range(0, 1).Draw(t, "share of the band")
		stated := job
		stated.Load = work.Load{By: work.ByTorque, From: "comparable",
			Torque: q.Text(fmt.Sprintf("%.9g N·m", like.Low+share*(like.High-like.Low)))}
		own := of(stated)
		switch {
		case usual.Done():
			assert.True(t, own.Done(), "done by all of %s, not by %s: %s", like.Name, stated.Load.Torque, own)
		case usual != line.CannotTell:
			assert.False(t, own.Done(), "done by none of %s, and by %s", like.Name, stated.Load.Torque)
		}
	})
}

func TestAUsualLoadNeverMakesAYesOfPowerWorse(t *testing.T) {
	in := plantest.Sound()
	before := assesstest.Of(t, in).Power.Answer
	in.Machine.Jobs = []work.Job{usually("throwing-clay")}
	a := assesstest.Of(t, in)
	assert.Equal(t, before, a.Power.Answer, "what is not weighed harms nobody")
	for _, one := range a.Findings {
		if one.ID.IsOf(finding.WorkUsual) {
			assert.False(t, one.Holds.Power())
			return
		}
	}
	t.Fatal("nothing says that it is to be weighed")
}

// What an answer hangs on is worth measuring before anything else; what is known is not.
func TestTheTrialThatTellsMostComesFirst(t *testing.T) {
	in := plantest.Sound()
	of := func() []measured.Kind {
		var kinds []measured.Kind
		for _, m := range assesstest.Of(t, in).Measures {
			kinds = append(kinds, m.Kind)
			assert.NotEmpty(t, m.Why)
		}
		return kinds
	}
	assert.Equal(t, []measured.Kind{measured.Knob, measured.RunUpDown}, of())
	in.Machine.Jobs = []work.Job{usually("throwing-clay")}
	assert.Equal(t, measured.Pull, of()[0])
	in.Plan.Reduction.Stages[0].Guarded = false
	assert.Equal(t, []measured.Kind{measured.Pull, measured.Insulation}, of(), "nothing is run that may not be powered")
	assert.Equal(t, measured.Insulation, assesstest.Of(t, plan.Input{Units: q.Metric}).Measures[0].Kind)
}

// A speed that goes by a wheel nobody measured makes no yes and no no.
func TestAJobOverAUsualWheelIsNotKnown(t *testing.T) {
	in := plantest.Sound()
	in.Machine = work.Start("It", "disc-sander", q.Metric)
	a := assesstest.Of(t, in)
	assert.Equal(t, line.CannotTell, a.Jobs[0].Outcome)
	fields := map[string]bool{}
	for _, h := range a.Does.Hangs {
		fields[h.Field] = true
	}
	assert.True(t, fields["machine.limits.diameter"], "%v", a.Does.Hangs)
	in.Machine = work.Start("It", "belt-sander", q.Metric)
	wheel := 0
	for _, one := range assesstest.Of(t, in).Findings {
		if one.Field == "machine.limits.diameter" && one.Level == finding.Missing {
			wheel++
			assert.True(t, one.Holds.Power(), "its rim is not known to bear that")
		}
	}
	assert.Equal(t, 1, wheel, "it is asked for once")
	in.Machine.Limits.Diameter = "300 mm"
	for _, h := range assesstest.Of(t, in).Does.Hangs {
		assert.NotEqual(t, "machine.limits.diameter", h.Field)
	}
}
