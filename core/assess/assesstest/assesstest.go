// Package assesstest is what tests ask of an assessment.
package assesstest

import (
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/assess"
	"jiriki/core/dryrun"
	"jiriki/core/finding"
	"jiriki/core/plan"
	"jiriki/core/remedy"
)

// Of is the answer to a plan that can be answered, its usual start and stop with it.
func Of(t rapid.TB, in plan.Input) assess.Assessment {
	t.Helper()
	a, err := dryrun.Assess(in)
	require.NoError(t, err)
	return a
}

// Unstarted is the answer to a plan whose start and stop nobody has run, which takes a fraction of the time: it is not
// known yet whether it may be powered.
func Unstarted(t rapid.TB, in plan.Input) assess.Assessment {
	t.Helper()
	a, err := assess.Assess(in)
	require.NoError(t, err)
	return a
}

// Finding is the finding of an ID, or nil.
func Finding(a assess.Assessment, id finding.ID) *finding.Finding {
	for i := range a.Findings {
		if a.Findings[i].ID == id {
			return &a.Findings[i]
		}
	}
	return nil
}

// Taken is a plan with a remedy taken that changes parts of it, not the list of jobs.
func Taken(in plan.Input, r remedy.Remedy) plan.Input {
	if r.Control != nil {
		in.Plan.Control = *r.Control
	}
	if r.Motor != nil {
		in.Plan.Motor = *r.Motor
	}
	if r.Reduction != nil {
		in.Plan.Reduction = *r.Reduction
	}
	return in
}
