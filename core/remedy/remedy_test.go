package remedy_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/remedy"
)

// Taking a remedy gives exactly the margin it promised.
func TestRemediesKeepTheirWord(t *testing.T) {
	tried := 0
	for _, in := range append(plantest.Demo(t), plantest.Short()) {
		a := assesstest.Of(t, in)
		for i, job := range a.Jobs {
			for _, r := range job.Remedies {
				if r.Jobs != nil {
					continue // tested by itself: there are more jobs after it
				}
				after := assesstest.Of(t, assesstest.Taken(in, r))
				got := after.Jobs[i]
				assert.Equal(t, r.Does, got.Outcome.Done(), "%s: %s", in.Machine.Name, r.Label)
				assert.Equal(t, r.JobsDone, after.JobsDone, "%s: %s", in.Machine.Name, r.Label)
				if got.Outcome == line.Does || got.Outcome == line.JustDoes || got.Outcome == line.FallsShort {
					assert.Equal(t, r.Margin, "×"+q.Figures(got.Margin, 3), r.Label)
				}
				if r.Lifts {
					assert.True(t, got.Outcome.Done() || got.Margin > job.Margin, r.Label)
				}
				tried++
			}
		}
	}
	assert.Greater(t, tried, 6)
}

func TestAShortJobIsOfferedRatioTrimAndMotor(t *testing.T) {
	in := plantest.Short()
	a := assesstest.Of(t, in)
	require.Equal(t, line.FallsShort, a.Jobs[0].Outcome)
	kinds := map[string]remedy.Remedy{}
	for _, r := range a.Jobs[0].Remedies {
		kinds[r.Kind] = r
	}
	for _, kind := range []string{"ratio", "motor", "cooling"} {
		assert.Contains(t, kinds, kind)
	}
	assert.NotContains(t, kinds, "trim", "a trim moves speed, not torque: no help")
	assert.Empty(t, a.Jobs[0].NoHelp, "others help")
	assert.Equal(t, "Use Strong", kinds["motor"].Label, "the weak and the unsuited are passed over")
	assert.Empty(t, a.Jobs[1].Remedies, "a job that is done needs none")
}

func TestARotorSpunTooFastIsOfferedItsTop(t *testing.T) {
	in := plantest.Inverted()
	in.Machine.Limits.Spindle, in.Plan.Control.TopHertz = "", "150 Hz"
	fixes := assesstest.Of(t, in).Fixes["control.rotor-speed"]
	require.Len(t, fixes, 1)
	in.Plan.Control = *fixes[0].Control
	after := assesstest.Of(t, in)
	assert.Nil(t, assesstest.Finding(after, "control.rotor-speed"))
	assert.Equal(t, fixes[0].JobsDone, after.JobsDone)
}

// The limit offered is 1.5 × plate amps, within the amps the drive is made for [common practice]: what it gives for a
// minute is no place for its limit.
func TestTheLimitOfferedSuitsMotorAndDrive(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.LimitAmps = ""
	for drive, label := range map[q.Text]string{"10 A": "Set the limit to 4.2 A", "2.4 A": "Set the limit to 2.4 A"} {
		in.Plan.Control.Amps = drive
		fixes := assesstest.Of(t, in).Fixes["control.no-limit"]
		require.Len(t, fixes, 1)
		assert.Equal(t, label, fixes[0].Label)
	}
	in.Machine.Jobs[0].Load.Torque, in.Machine.Jobs[0].Duty.Kind = "9.5 N·m", "seconds"
	in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "10 A", "2.9 A"
	var labels []string
	for _, r := range assesstest.Of(t, in).Jobs[0].Remedies {
		labels = append(labels, r.Label)
	}
	assert.Contains(t, labels, "Current limit to 4.2 A")
}

func TestCoupledStraightIsOfferedABelt(t *testing.T) {
	in := plantest.Short()
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Direct}}
	in.Machine.Limits.Spindle = ""
	a := assesstest.Of(t, in)
	require.Equal(t, line.TooFast, a.Jobs[0].Outcome, "58 rpm is as slow as it turns")
	r := a.Jobs[0].Remedies[0]
	assert.Equal(t, "ratio", r.Kind)
	assert.Contains(t, r.Label, "Put in a belt")
	require.NotNil(t, r.Reduction)
	after := assessedWith(t, in, *r.Reduction)
	assert.Equal(t, r.Does, after.Jobs[0].Outcome.Done())
	assert.Equal(t, r.JobsDone, after.JobsDone)

	in.Machine.Limits.Spindle = "600 rpm"
	fixes := assesstest.Of(t, in).Fixes["work.top-speed"]
	require.Len(t, fixes, 2)
	assert.Contains(t, fixes[1].Label, "Put in a belt")
	assert.Nil(t, assesstest.Finding(assessedWith(t, in, *fixes[1].Reduction), "work.top-speed"))
}

// No single wheel of a standard size does better than the one offered.
func TestTheRatioOfferedIsTheBestThereIs(t *testing.T) {
	in := plantest.Short()
	a := assesstest.Of(t, in)
	var offered remedy.Remedy
	for _, r := range a.Jobs[0].Remedies {
		if r.Kind == "ratio" {
			offered = r
		}
	}
	require.NotNil(t, offered.Reduction)
	best := assessedWith(t, in, *offered.Reduction)
	for _, driven := range []bool{false, true} {
		for _, size := range reduction.PulleySizes(q.Metric) {
			changed := reduction.Described{Stages: append([]reduction.DescribedStage(nil), in.Plan.Reduction.Stages...)}
			step := changed.Stages[0].Steps[0]
			text := q.Text(q.Figures(size, 4) + " mm")
			if driven {
				step.Driven = text
			} else {
				step.Driver = text
			}
			changed.Stages[0].Steps = []reduction.DescribedStep{step}
			then := in
			then.Plan.Reduction = changed
			other, err := assess.Assess(then)
			if err != nil || !legal(other) || size > 400 {
				continue
			}
			assert.False(t, beats(other, best), "%s %v does more", text, driven)
		}
	}
}

func assessedWith(t *testing.T, in plan.Input, r reduction.Described) assess.Assessment {
	in.Plan.Reduction = r
	return assesstest.Of(t, in)
}

func legal(a assess.Assessment) bool {
	return assesstest.Finding(a, "reduction.wrap.0.0") == nil && assesstest.Finding(a, "reduction.bend.0.0") == nil &&
		(assesstest.Finding(a, "work.top-speed") == nil)
}

func beats(a, b assess.Assessment) bool {
	if a.JobsDone != b.JobsDone {
		return a.JobsDone > b.JobsDone
	}
	if x, y := a.Jobs[0].Outcome.Done(), b.Jobs[0].Outcome.Done(); x != y {
		return x
	}
	return a.Jobs[0].Margin > b.Jobs[0].Margin*1.001
}

// A cone that needs two belts is turned to fit one, and the finding goes.
func TestAConeIsTurnedToFitOneBelt(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = ""
	stage := &in.Plan.Reduction.Stages[0]
	stage.Measured = "outside"
	stage.Steps = append(stage.Steps, reduction.DescribedStep{Driver: "110 mm", Driven: "200 mm"})
	a := assesstest.Of(t, in)
	require.NotNil(t, assesstest.Finding(a, "reduction.cone.0"))
	fixes := a.Fixes["reduction.cone.0"]
	require.Len(t, fixes, 1)
	in.Plan.Reduction = *fixes[0].Reduction
	after := assesstest.Of(t, in)
	assert.Nil(t, assesstest.Finding(after, "reduction.cone.0"))
	steps := after.Drawing.Stages[0].Steps
	assert.InEpsilon(t, steps[0].Length, steps[1].Length, 1e-3)
}

// A job held by its belt is offered a stronger one, which does what it says.
func TestAJobHeldByItsBeltIsOfferedMoreOfIt(t *testing.T) {
	in := plantest.Short()
	in.Plan.Reduction.Stages[0].Kind, in.Plan.Reduction.Stages[0].Section = reduction.PolyV, "J"
	in.Plan.Reduction.Stages[0].Count, in.Plan.Motor.Plate.Cooling = "1", "blown"
	a := assesstest.Of(t, in)
	require.Contains(t, a.Jobs[0].LimitedBy, "belt")
	for _, r := range a.Jobs[0].Remedies {
		if r.Kind == "belt" {
			assert.Contains(t, r.Label, "ribs")
			assert.True(t, r.Lifts)
			after := assessedWith(t, in, *r.Reduction)
			assert.Greater(t, after.Jobs[0].Margin, 1.2*a.Jobs[0].Margin)
			assert.NotContains(t, after.Jobs[0].LimitedBy, "belt")
			return
		}
	}
	t.Error("no stronger belt offered")
}

// What cannot help is not shown; where nothing does, that is said in a line.
func TestNothingThatHelpsIsSaidInALine(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs[0].Load.Torque = "900 N·m"
	in.Plan.Motor.Plate.Cooling = "closed"
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Direct}}
	a := assesstest.Of(t, in)
	require.Equal(t, line.FallsShort, a.Jobs[0].Outcome)
	for _, r := range a.Jobs[0].Remedies {
		assert.True(t, r.Does || r.Lifts, r.Label)
	}
	if len(a.Jobs[0].Remedies) == 0 {
		assert.NotEmpty(t, a.Jobs[0].NoHelp)
	}
	for _, one := range append(plantest.Demo(t), plantest.Short()) {
		for _, j := range assesstest.Of(t, one).Jobs {
			for _, r := range j.Remedies {
				assert.True(t, r.Does || r.Lifts, "%s: %s", j.Name, r.Label)
			}
		}
	}
}
