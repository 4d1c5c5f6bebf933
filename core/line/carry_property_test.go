package line

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// stageOfAnySort is a stage of any sort with wheels that stand apart.
func stageOfAnySort(t *rapid.T, name string) reduction.DescribedStage {
	kind := rapid.SampledFrom([]reduction.Kind{reduction.VBelt, reduction.LinkBelt, reduction.PolyV, reduction.Flat,
		reduction.Toothed, reduction.Chain, reduction.Spur, reduction.Worm}).Draw(t, name)
	s := reduction.DescribedStage{Kind: kind, Centre: "900 mm", Guarded: true}
	size := func(part string, from, to int, unit string) q.Text {
		return typedLengthOr(rapid.IntRange(from, to).Draw(t, name+" "+part), unit)
	}
	switch kind {
	case reduction.Worm:
		s.Steps = []reduction.DescribedStep{{Driver: size("starts", 1, 4, ""), Driven: size("wheel", 20, 80, "")}}
	case reduction.Toothed, reduction.Chain, reduction.Spur:
		s.Steps = []reduction.DescribedStep{{Driver: size("driver", 12, 40, ""), Driven: size("driven", 12, 90, "")}}
	default:
		s.Steps = []reduction.DescribedStep{{Driver: size("driver", 75, 300, " mm"),
			Driven: size("driven", 75, 500,
				" mm")}}
	}
	return s
}

func typedLengthOr(n int, unit string) q.Text { return q.Text(q.Figures(float64(n), 4)) + q.Text(unit) }

// Whatever the stages, the reach is no more than belts, shafts and keys bear, is told by name where they
// hold it, and stays finite, in order and above nothing.
func TestTheReachNeverPassesWhatIsBorne(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted(), plantest.Switched())
		in.Machine.Limits.Spindle = ""
		in.Plan.Reduction.Stages = []reduction.DescribedStage{stageOfAnySort(t, "first")}
		if rapid.Bool().Draw(t, "two") {
			in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, stageOfAnySort(t, "second"))
		}
		last := &in.Plan.Reduction.Stages[len(in.Plan.Reduction.Stages)-1]
		if rapid.Bool().Draw(t, "shaft known") {
			last.OnDriven = reduction.DescribedFit{Shaft: typedLengthOr(rapid.IntRange(5, 60).Draw(t, "shaft"), " mm"),
				Held: "key", Hub: "25 mm"}
		}
		s, err := plan.Resolve(in)
		require.NoError(t, err)
		tr := New(s)
		p := &tr.Reduction.Positions[0]
		reach := tr.Reach().Positions[0]
		for i, rpm := range reach.RPM {
			omega := float64(rpm) * q.RPM
			long, by := p.Carries(omega, 1)
			brief, _ := p.Carries(omega, reduction.OverloadShare)
			c, b, k := float64(reach.Continuous[i]), float64(reach.Intermittent[i]), float64(reach.Peak[i])
			assert.LessOrEqual(t, c, long*(1+1e-3))
			assert.LessOrEqual(t, b, long*(1+1e-3))
			assert.LessOrEqual(t, k, brief*(1+1e-3))
			assert.True(t, c >= 0 && c <= b*(1+1e-6) && !math.IsNaN(k) && !math.IsInf(k, 0))
			if bare := tr.Powered.Steady(omega*p.Ratio, 1).Torque * p.Ratio * p.Efficiency; bare > long*1.01 {
				assert.NotEmpty(t, by)
				assert.Equal(t, string(by), string(tr.Steady(omega, 1, p).By))
			}
		}
	})
}

// A stage without a rating of its own changes only speed and what it keeps: torque out is torque in times
// ratio times efficiency, and power never grows.
func TestNoStageMakesPower(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted())
		in.Machine.Limits.Spindle = ""
		in.Plan.Reduction.Stages = []reduction.DescribedStage{stageOfAnySort(t, "first"), stageOfAnySort(t, "second")}
		s, err := plan.Resolve(in)
		require.NoError(t, err)
		tr := New(s)
		p := &tr.Reduction.Positions[0]
		low, high := tr.Span(p)
		omega := low + (high-low)*rapid.Float64Range(0, 1).Draw(t, "speed")
		out := tr.Steady(omega, 1, p).Torque * omega
		into := tr.Powered.Steady(omega*p.Ratio, 1).Torque * omega * p.Ratio
		assert.LessOrEqual(t, out, into*(1+1e-9))
		assert.Greater(t, p.Efficiency, 0.0)
		assert.LessOrEqual(t, p.Efficiency, 1.0)
	})
}
