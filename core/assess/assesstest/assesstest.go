// Package assesstest is what tests ask of an assessment.
package assesstest

import (
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/assess"
	"jiriki/core/finding"
	"jiriki/core/plan"
)

// Of is the answer to a plan that can be answered.
func Of(t rapid.TB, in plan.Input) assess.Assessment {
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
