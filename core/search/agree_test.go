package search_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/plan/plantest"
	"jiriki/core/search"
)

// What a remedy of the verdict does by other wheels, the search finds within its usual bounds.
func TestTheSearchFindsWhatTheVerdictOffers(t *testing.T) {
	tried := 0
	for n := range 1500 {
		in := plantest.Varied(n)
		a := assesstest.Of(t, in)
		if belt := assesstest.Finding(a, finding.ReductionBeltSpeed.At(0)); len(a.Entries) > 0 || belt != nil &&
			belt.Level == finding.Stop {
			continue // a belt that bursts its rim is kept by the remedy, and has its stop; the search keeps none
		}
		most := 0
		for _, job := range a.Jobs {
			for _, r := range job.Remedies {
				if r.Kind == "ratio" && r.Does {
					most = max(most, r.JobsDone)
				}
			}
		}
		if most == 0 {
			continue
		}
		found, err := search.Search(search.Input{Input: in}, nil)
		require.NoError(t, err)
		done := doneBy(found)
		for _, wider := range found.Widen {
			// Gears and the like it puts in nowhere: where the plan's stay, the search says to let them.
			if done < most && wider.Ask.Keep > 0 {
				found, err := search.Search(search.Input{Input: in, Ask: wider.Ask}, nil)
				require.NoError(t, err)
				done = max(done, doneBy(found))
			}
		}
		assert.GreaterOrEqual(t, done, most, "%d: %s", n, in.Machine.Kind)
		tried++
	}
	assert.Greater(t, tried, 50)
}

func doneBy(found search.Result) int {
	if len(found.Found) == 0 {
		return 0
	}
	return found.Found[0].JobsDone
}
