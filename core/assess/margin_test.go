package assess_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

func oneJob(t *testing.T, in plan.Input, j work.Job) assess.JobResult {
	t.Helper()
	j.ID, j.Name = "a", "Job"
	in.Machine.Jobs = []work.Job{j}
	return assesstest.Of(t, in).Jobs[0]
}

var steady = work.SpeedBand{From: "250", To: "400"}

// In this band the plan of sound holds 5.81 N·m all day (see TestReachSaysWhatBindsAlongTheWay).
func TestOutcomesAtTheirEdges(t *testing.T) {
	for _, c := range []struct {
		load work.Load
		want line.Outcome
	}{
		{work.Load{Torque: "3.8 N·m"}, line.Does},       // ×1.53, ×1.5 wanted
		{work.Load{Torque: "4.1 N·m"}, line.JustDoes},   // ×1.42
		{work.Load{Torque: "5.75 N·m"}, line.JustDoes},  // ×1.01
		{work.Load{Torque: "5.9 N·m"}, line.FallsShort}, // ×0.98
		{work.Load{Torque: "5.75 N·m", From: "comparable"}, line.Does},
		{work.Load{}, line.CannotTell},
	} {
		assert.Equal(t, c.want, oneJob(t, plantest.Sound(), work.Job{Speed: steady, Load: c.load}).Outcome, "%+v",
			c.load)
	}
}

func TestTheMarginWantedIsThePersons(t *testing.T) {
	j := work.Job{Speed: steady, Load: work.Load{Torque: "4.1 N·m"}, Margin: "1.2", Reason: "new bearings"}
	r := oneJob(t, plantest.Sound(), j)
	assert.Equal(t, line.Does, r.Outcome)
	assert.Equal(t, "set by hand: new bearings", r.WantedBy)
}

func TestDutyChoosesTheLimit(t *testing.T) {
	margin := func(d work.Duty) float64 {
		return oneJob(t, plantest.Sound(), work.Job{Speed: steady, Load: work.Load{Torque: "5 N·m"}, Duty: d}).Margin
	}
	day := margin(work.Duty{})
	s, err := plan.Resolve(plantest.Sound())
	require.NoError(t, err)
	assert.InEpsilon(t, day*s.Motor.Overload(300, 600), margin(work.Duty{Kind: "cycle"}), 1e-3,
		"five in fifteen when no times are given, while the current limit allows")
	assert.Greater(t, margin(work.Duty{Kind: "cycle", On: "1 min", Off: "10 min"}),
		margin(work.Duty{Kind: "cycle", On: "10 min",
			Off: "10 min"}))
	assert.Greater(t, margin(work.Duty{Kind: "seconds"}), margin(work.Duty{Kind: "cycle", On: "10 min", Off: "10 min"}))
}

func TestSpeedsOutOfReachAreTheirOwnAnswer(t *testing.T) {
	load := work.Load{Torque: "1 N·m"}
	at := func(from, to string, cover string) line.Outcome {
		return oneJob(t, plantest.Sound(), work.Job{Speed: work.SpeedBand{From: q.Text(from), To: q.Text(to),
			Cover: cover}, Load: load}).Outcome
	}
	assert.Equal(t, line.Does, at("17", "490", "all"))
	assert.Equal(t, line.Does, at("17", "495", "all"), "half a per cent is forgiven")
	assert.Equal(t, line.TooSlow, at("17", "510", "all"))
	assert.Equal(t, line.TooFast, at("10", "490", "all"))
	assert.Equal(t, line.TooSlow, at("700", "900", "all"))
	assert.Equal(t, line.TooFast, at("5", "8", "all"))
	assert.Equal(t, line.Does, at("400", "900", "any"), "one speed in it is reached")
	assert.Equal(t, line.TooSlow, at("700", "900", "any"))
}

func TestTheMachinesOwnLimitCountsAsReach(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = "300 rpm"
	r := oneJob(t, in, work.Job{Speed: work.SpeedBand{From: "100", To: "400"}, Load: work.Load{Torque: "1 N·m"}})
	assert.Equal(t, line.TooSlow, r.Outcome, "a speed the spindle may not turn is not offered to a job")
}

// A top speed that just touches the low end of a band covers none of it.
func TestTouchingABandIsNotCoveringIt(t *testing.T) {
	in := plantest.Sound()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	tr := line.New(s)
	_, high := tr.Span(&tr.Reduction.Positions[0])
	rpm := high / q.RPM
	for cover, done := range map[string]bool{"all": false, "any": true} {
		in.Machine.Limits.Spindle = ""
		in.Machine.Jobs[0].Speed = work.SpeedBand{From: q.Text(fmt.Sprint(rpm * 1.005)),
			To:    q.Text(fmt.Sprint(rpm * 2)),
			Cover: cover}
		in.Machine.Jobs[0].Load.Torque = "0.5 N·m"
		assert.Equal(t, done, assesstest.Of(t, in).JobsDone == 1, cover)
	}
}

// A band that only two steps reach between them is said to be, and which; a job no step comes near is told
// by the one that comes nearest.
func TestPositionsThatReachABandBetweenThem(t *testing.T) {
	in := plantest.OneOut()
	in.Plan.Control.LowHertz = "40 Hz"
	in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{{Driver: "80 mm", Driven: "160 mm"},
		{Driver: "90 mm", Driven: "150 mm"}, {Driver: "120 mm",
			Driven: "120 mm"}}
	in.Machine.Limits.Spindle = "1500 rpm"
	job := func(from, to q.Text) *finding.Finding {
		in.Machine.Jobs = []work.Job{{ID: "a", Name: "Drill", Speed: work.SpeedBand{From: from, To: to},
			Load: work.Load{Torque: "0.2 N·m"}}}
		return assesstest.Finding(assesstest.Of(t, in), "work.job.a")
	}
	both := job("600", "820")
	require.NotNil(t, both)
	assert.Equal(t, "Drill: no one position reaches it all", both.Title)
	assert.Contains(t, both.Detail, "step 1 and step 2")
	hole := job("820", "1250")
	assert.Equal(t, "Drill: not slow enough", hole.Title, "between the second step and the third lies a hole")
	assert.Contains(t, job("1600", "1800").Detail, "1404", "the fastest step comes nearest")

	// Made into one for each at a click, the parts are done as promised.
	job("600", "820")
	split := assesstest.Of(t, in).Jobs[0].Remedies[0]
	require.Equal(t, "split", split.Kind)
	assert.True(t, split.Does)
	require.Len(t, split.Jobs, 2)
	in.Machine.Jobs = split.Jobs
	after := assesstest.Of(t, in)
	assert.Equal(t, split.JobsDone, after.JobsDone)
	assert.Equal(t, 2, after.JobsDone)
	assert.Equal(t, q.Text("600"), split.Jobs[0].Speed.From)
	assert.Equal(t, split.Jobs[0].Speed.To, split.Jobs[1].Speed.From)
	assert.Equal(t, q.Text("820"), split.Jobs[1].Speed.To)
	assert.Equal(t, "Drill, step 2", split.Jobs[1].Name)
	assert.NotEqual(t, split.Jobs[0].ID, split.Jobs[1].ID)

	// A job kept beside what it was once parted into is parted again without a clash.
	in.Machine.Jobs = append(split.Jobs[:1:1], work.Job{ID: "a-2", Name: "Other",
		Speed: work.SpeedBand{From: "600", To: "700"},
		Load:  work.Load{Torque: "0.1 N·m"}})
	in.Machine.Jobs[0].Speed.To = "820"
	again := assesstest.Of(t, in).Jobs[0].Remedies[0]
	require.Equal(t, "split", again.Kind)
	assert.Equal(t, "a-3", again.Jobs[1].ID)
	in.Machine.Jobs = again.Jobs
	assert.Equal(t, 3, assesstest.Of(t, in).JobsDone)
}
