package assess_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
	"jiriki/core/working"
)

// The largest drill or cut that is named does the job when it is put in.
func TestTheLargestCutNamedDoes(t *testing.T) {
	drill := work.Job{ID: "slow", Name: "Drilling", Cut: work.Cut{Operation: "drilling", Material: "plain-steel",
		Tool: "hss"}, Speed: work.SpeedBand{By: "surface", DiameterFrom: "7 mm", DiameterTo: "10 mm"},
		Load:  work.Load{By: work.ByCutting, Cutting: work.CuttingLoad{Feed: "0.04 mm"}},
		Start: work.FromRest{How: "idle"}}
	turn := work.Job{ID: "slow", Name: "Turning", Cut: work.Cut{Operation: "turning", Material: "plain-steel",
		Tool: "hss"}, Speed: work.SpeedBand{By: "surface", DiameterFrom: "20 mm", DiameterTo: "40 mm"},
		Load:  work.Load{By: work.ByCutting, Cutting: work.CuttingLoad{Feed: "0.05 mm", Depth: "0.2 mm"}},
		Start: work.FromRest{How: "idle"}}
	put := map[string]func(*work.Job, q.Text){
		"Drilling": func(j *work.Job, v q.Text) { j.Speed.DiameterTo = v },
		"Turning":  func(j *work.Job, v q.Text) { j.Load.Cutting.Depth = v },
	}
	tried := 0
	for _, job := range []work.Job{drill, turn} {
		for name, in := range map[string]plan.Input{"dc": plantest.Sound(), "inverter": plantest.Inverted()} {
			in.Machine.Limits = work.Limits{}
			in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Direct}}
			in.Machine.Jobs = []work.Job{job}
			a := assesstest.Of(t, in)
			require.NotEqual(t, line.CannotTell, a.Jobs[0].Outcome, "%s %s: %v", name, job.Name, a.Findings)
			var named q.Text
			for _, w := range a.Workings {
				if w.ID == working.JobLargest.Of("slow") {
					named = q.Text(strings.ReplaceAll(w.Value, q.ThinSpace, " "))
				}
			}
			if a.Jobs[0].Outcome == line.TooFast || a.Jobs[0].Outcome == line.TooSlow {
				continue
			}
			require.NotEmpty(t, named, "%s %s", name, job.Name)
			put[job.Name](&in.Machine.Jobs[0], named)
			tried++
			after := assesstest.Of(t, in).Jobs[0]
			assert.Equal(t, line.Does, after.Outcome, "%s %s of %s: %v", name, job.Name, named, after.Margin)
			assert.Less(t, after.Margin, after.Wanted*1.05, "and not much less than could be")
		}
	}
	assert.Equal(t, 4, tried)
}
