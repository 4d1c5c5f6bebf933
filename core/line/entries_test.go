package line

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/finding"
	"jiriki/core/plan"
	"jiriki/core/work"
)

func station(a Assessment, which finding.Station) Station {
	for _, s := range a.Stations {
		if s.Station == which {
			return s
		}
	}
	return Station{}
}

// A cable of "25" in inch mode is read in mm and is far too short: it marks itself, and everything
// else stands as if it had not been said.
func TestAnEntryThatCannotBeUsedMarksItselfAlone(t *testing.T) {
	in := sound()
	without := assessed(t, in)
	require.True(t, without.MayPower)
	in.Units, in.Plan.Supply.Cable = "inch", "25"
	a := assessed(t, in)
	require.Len(t, a.Entries, 1)
	assert.Equal(t, "supply.cable", a.Entries[0].Field)
	assert.Equal(t, without.Reach.Positions[0].Continuous, a.Reach.Positions[0].Continuous)
	assert.Equal(t, without.Jobs[0].Margin, a.Jobs[0].Margin)
	assert.Equal(t, cannotJudge, a.Jobs[0].Outcome, "and is called done on no figure that was not meant")
	assert.NotEmpty(t, a.SpeedPlate.Positions)
	assert.Equal(t, finding.Missing, station(a, finding.Supply).Mark)
	assert.Equal(t, finding.Good, station(a, finding.Reduction).Mark)
	assert.False(t, a.MayPower)
	assert.Equal(t, "No job is called done. One entry cannot be used. Do not power it yet.", a.Headline)
	b := built(t, in)
	assert.Equal(t, "“25” cannot be used. "+found(a, "entry.supply.cable").Detail, b.Blocked)
}

// What was meant as a limit must not be lost by being mistyped: no power, and no good word for its
// station.
func TestAMistypedLimitIsNotTakenForNone(t *testing.T) {
	in := sound()
	in.Machine.Limits.Spindle = "600 rpn"
	a := assessed(t, in)
	assert.False(t, a.MayPower)
	for _, one := range a.Findings {
		assert.False(t, one.Level == finding.Good && one.Station == finding.Work, one.Title)
	}
}

// A job is not judged on half of what was said of it.
func TestAJobWithAnEntryThatCannotBeUsedIsNotJudged(t *testing.T) {
	in := sound()
	second := in.Machine.Jobs[0]
	second.ID, second.Name, second.Margin = "second", "Second", "two"
	in.Machine.Jobs = append(in.Machine.Jobs, second)
	a := assessed(t, in)
	assert.Equal(t, doesIt, a.Jobs[0].Outcome)
	assert.Equal(t, cannotJudge, a.Jobs[1].Outcome, "by the usual margin it would have been done")
	assert.Equal(t, "Does one of two jobs. One entry cannot be used. Do not power it yet.", a.Headline)
}

// Jobs of one ID, as a file may bring them, are told apart in what is said of them.
func TestJobsOfOneIDAreToldApart(t *testing.T) {
	in := sound()
	in.Machine.Jobs = append(in.Machine.Jobs, in.Machine.Jobs[0], work.Job{ID: "job-2"}, work.Job{})
	seen := map[string]bool{}
	for _, j := range assessed(t, in).Jobs {
		assert.False(t, seen[j.ID], j.ID)
		seen[j.ID] = true
	}
	assert.Len(t, seen, 4)
}

// A reduction that cannot be read is not one coupled straight.
func TestAReductionThatCannotBeReadIsNotCoupledStraight(t *testing.T) {
	in := sound()
	stage := in.Plan.Reduction.Stages[0]
	for range 6 {
		in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, stage)
	}
	a := assessed(t, in)
	assert.Equal(t, "reduction.stages", a.Entries[0].Field)
	assert.Empty(t, a.Reach.Positions)
	assert.Nil(t, found(a, "reduction.direct"))
	in.Plan.Reduction.Stages = in.Plan.Reduction.Stages[:1]
	in.Plan.Reduction.Stages[0].Centre = "100 mm" // the pulleys would touch
	a = assessed(t, in)
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
		in := sound()
		mistype(&in)
		a := assessed(t, in)
		require.Len(t, a.Entries, 1)
		assert.Zero(t, a.JobsDone, a.Entries[0].Field)
		assert.Contains(t, a.Headline, "No job is called done.")
		assert.NotContains(t, a.Headline, "Does ")
		assert.Empty(t, a.Fixes)
		for _, j := range a.Jobs {
			assert.NotContains(t, []outcome{doesIt, justDoes}, j.Outcome)
			assert.Empty(t, j.Remedies)
			assert.Nil(t, found(a, "work.job."+j.ID))
		}
		_, ranked := Rank(in)
		_, compared := Controls(in)
		_, searched := Search(SearchInput{Input: in}, nil)
		for _, err := range []error{ranked, compared, searched} {
			assert.ErrorContains(t, err, a.Entries[0].Field)
		}
	}
}
