package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/build"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/rank"
	"jiriki/core/search"
	"jiriki/core/work"
)

func station(a assess.Assessment, which finding.Station) assess.Station {
	for _, s := range a.Stations {
		if s.Station == which {
			return s
		}
	}
	return assess.Station{}
}

// A cable of "25" in inch mode is read in mm and is far too short: it marks itself, and everything
// else stands as if it had not been said.
func TestAnEntryThatCannotBeUsedMarksItselfAlone(t *testing.T) {
	in := plantest.Sound()
	without := assesstest.Of(t, in)
	require.True(t, without.MayPower)
	in.Units, in.Plan.Supply.Cable = "inch", "25"
	a := assesstest.Of(t, in)
	require.Len(t, a.Entries, 1)
	assert.Equal(t, "supply.cable", a.Entries[0].Field)
	assert.Equal(t, without.Reach.Positions[0].Continuous, a.Reach.Positions[0].Continuous)
	assert.Equal(t, without.Jobs[0].Margin, a.Jobs[0].Margin)
	assert.Equal(t, line.CannotTell, a.Jobs[0].Outcome, "and is called done on no figure that was not meant")
	assert.NotEmpty(t, a.SpeedPlate.Positions)
	assert.Equal(t, finding.Missing, station(a, finding.Supply).Mark)
	assert.Equal(t, finding.Good, station(a, finding.Reduction).Mark)
	assert.False(t, a.MayPower)
	assert.Equal(t, "No job is called done. One entry cannot be used. Do not power it yet.", a.Headline)
	b, err := build.Plan(in)
	require.NoError(t, err)
	assert.Equal(t, "Not known yet: “25” cannot be used", b.Blocked)
}

// What was meant as a limit must not be lost by being mistyped: no power, and no good word for its
// station.
func TestAMistypedLimitIsNotTakenForNone(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = "600 rpn"
	a := assesstest.Of(t, in)
	assert.False(t, a.MayPower)
	for _, one := range a.Findings {
		assert.False(t, one.Level == finding.Good && one.Station == finding.Work, one.Title)
	}
}

// A job is not judged on half of what was said of it.
func TestAJobWithAnEntryThatCannotBeUsedIsNotJudged(t *testing.T) {
	in := plantest.Sound()
	second := in.Machine.Jobs[0]
	second.ID, second.Name, second.Margin = "second", "Second", "two"
	in.Machine.Jobs = append(in.Machine.Jobs, second)
	a := assesstest.Of(t, in)
	assert.Equal(t, line.Does, a.Jobs[0].Outcome)
	assert.Equal(t, line.CannotTell, a.Jobs[1].Outcome, "by the usual margin it would have been done")
	assert.Equal(t, "Does one of two jobs. One entry cannot be used. Do not power it yet.", a.Headline)
}

// Jobs of one ID, as a file may bring them, are told apart in what is said of them.
func TestJobsOfOneIDAreToldApart(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs = append(in.Machine.Jobs, in.Machine.Jobs[0], work.Job{ID: "job-2"}, work.Job{})
	seen := map[string]bool{}
	for _, j := range assesstest.Of(t, in).Jobs {
		assert.False(t, seen[j.ID], j.ID)
		seen[j.ID] = true
	}
	assert.Len(t, seen, 4)
}

// A reduction that cannot be read is not one coupled straight.
func TestAReductionThatCannotBeReadIsNotCoupledStraight(t *testing.T) {
	in := plantest.Sound()
	stage := in.Plan.Reduction.Stages[0]
	for range 6 {
		in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, stage)
	}
	a := assesstest.Of(t, in)
	assert.Equal(t, "reduction.stages", a.Entries[0].Field)
	assert.Empty(t, a.Reach.Positions)
	assert.Nil(t, assesstest.Finding(a, "reduction.direct"))
	in.Plan.Reduction.Stages = in.Plan.Reduction.Stages[:1]
	in.Plan.Reduction.Stages[0].Centre = "100 mm" // the pulleys would touch
	a = assesstest.Of(t, in)
	assert.Equal(t, "reduction.stages[0].centre", a.Entries[0].Field)
	assert.NotEmpty(t, a.Reach.Positions, "its ratio is known all the same")
}

// What stands in for a mistyped figure may be kinder than the figure: no job is done by it, no change is
// offered on it, and nothing is ranked, compared or searched by it.
func TestNoJobIsDoneByWhatStandsInForAnEntry(t *testing.T) {
	for _, mistype := range []func(*plan.Input){
		func(in *plan.Input) { in.Plan.Motor.Plate.Amps = "three and a bit" },
		func(in *plan.Input) { in.Plan.Control.LimitAmps = "a few" },
		func(in *plan.Input) { in.Plan.Supply.Cable = "25" },
		func(in *plan.Input) { in.Plan.Reduction.Stages[0].Centre = "1 mm" },
		func(in *plan.Input) { in.Machine.Limits.Spindle = "600 rpn" },
	} {
		in := plantest.Sound()
		mistype(&in)
		a := assesstest.Of(t, in)
		require.Len(t, a.Entries, 1)
		assert.Zero(t, a.JobsDone, a.Entries[0].Field)
		assert.Contains(t, a.Headline, "No job is called done.")
		assert.NotContains(t, a.Headline, "Does ")
		assert.Empty(t, a.Fixes)
		work := a.Stations[len(a.Stations)-1]
		require.Equal(t, finding.Work, work.Station)
		assert.Equal(t, finding.Missing, work.Mark, "work that is not judged has no good mark: %s", a.Entries[0].Field)
		for _, j := range a.Jobs {
			assert.NotContains(t, []line.Outcome{line.Does, line.JustDoes}, j.Outcome)
			assert.Empty(t, j.Remedies)
			assert.Nil(t, assesstest.Finding(a, finding.WorkJob.Of(j.ID)))
		}
		_, ranked := rank.Motors(in)
		_, compared := rank.Controls(in)
		_, searched := search.Search(search.Input{Input: in}, nil)
		for _, err := range []error{ranked, compared, searched} {
			assert.ErrorContains(t, err, a.Entries[0].Field)
		}
	}
}

// A drive whose lowest hertz are over its top turns at no speed: the entry is named, and the reach is drawn without it.
func TestLowestHertzOverTheTopAreRefused(t *testing.T) {
	in := plantest.Inverted()
	in.Plan.Control.TopHertz, in.Plan.Control.LowHertz = "55 Hz", "56 Hz"
	a := assesstest.Of(t, in)
	require.Len(t, a.Entries, 1)
	assert.Equal(t, "control.lowHertz", a.Entries[0].Field)
	assesstest.CheckWhole(t, a)
	in.Plan.Control.LowHertz = "55 Hz"
	assert.Empty(t, assesstest.Of(t, in).Entries)
}
