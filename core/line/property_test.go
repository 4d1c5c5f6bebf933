package line

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// Gearing down by k divides speed by k and multiplies torque by k, exactly.
func TestRatioAndTorqueTradeExactly(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		k := rapid.Float64Range(0.3, 6).Draw(t, "k")
		from := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted(), plantest.Switched())
		s, err := plan.Resolve(from)
		if err != nil {
			t.Fatal(err)
		}
		tr := New(s)
		// Without belts, which carry what they carry whatever the ratio.
		p := &reduction.Position{Ratio: tr.Reduction.Positions[0].Ratio,
			Efficiency: tr.Reduction.Positions[0].Efficiency}
		geared := &reduction.Position{Ratio: p.Ratio * k, Efficiency: p.Efficiency}
		low, high := tr.Span(p)
		omega := low + (high-low)*rapid.Float64Range(0, 1).Draw(t, "speed")
		assert.InEpsilon(t, tr.Steady(omega, 1, p).Torque*k, tr.Steady(omega/k, 1, geared).Torque, 1e-9)
		assert.InEpsilon(t, tr.Peak(omega, p).Torque*k, tr.Peak(omega/k, geared).Torque, 1e-9)
	})
}

// The few speeds a margin is taken at find the same least as a fine comb of the whole band.
func TestFewSpeedsFindTheLeastMargin(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted())
		in.Machine.Limits.Spindle = ""
		in.Plan.Control.TopHertz = plantest.OneOf(t, "top", q.Text(""), "100 Hz")
		in.Plan.Control.LimitAmps = plantest.OneOf(t, "limit", q.Text(""), "3 A", "8 A")
		in.Plan.Control.Volts = plantest.OneOf(t, "volts", q.Text("120 V"), "180 V", "230 V")
		in.Plan.Motor.Plate.Cooling = plantest.OneOf(t, "cooling", "own-fan", "blown")
		from := rapid.Float64Range(20, 300).Draw(t, "from")
		to := from * rapid.Float64Range(1.05, 8).Draw(t, "wide")
		in.Machine.Jobs[0].Speed = work.SpeedBand{From: q.Text(fmt.Sprint(from)), To: q.Text(fmt.Sprint(to))}
		in.Machine.Jobs[0].Load.Shape = plantest.OneOf(t, "shape", "torque", "power", "square")
		in.Machine.Jobs[0].Duty = work.Duty{Kind: plantest.OneOf(t, "duty", "continuous", "cycle", "seconds")}
		s, err := plan.Resolve(in)
		if err != nil {
			t.Fatal(err)
		}
		tr := New(s)
		f, job, p := tr.Results()[0], &tr.Machine.Jobs[0], &tr.Reduction.Positions[0]
		for k := range 200 {
			omega := f.Low * math.Pow(f.High/f.Low, float64(k)/199)
			margin := tr.AvailableFor(job, omega, tr.DutyOverload(job.Duty),
				p).Torque / job.TorqueAt(min(max(omega, job.Low), job.High))
			if margin < f.Margin*(1-1e-6)-1e-9 {
				t.Fatalf("%v at %v rad/s is less than the %v found", margin, omega, f.Margin)
			}
		}
	})
}

// Positions that cannot be the best are not looked at to the end; what is found is what looking at each of them
// by itself finds.
func TestTheBestPositionIsTheBestOfEach(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted(), plantest.Switched(), plantest.Short())
		var steps []reduction.DescribedStep
		for k := range rapid.IntRange(1, 5).Draw(t, "steps") {
			steps = append(steps, reduction.DescribedStep{
				Driver: q.Text(fmt.Sprintf("%d mm", rapid.IntRange(76, 160).Draw(t, fmt.Sprint("driver ", k)))),
				Driven: q.Text(fmt.Sprintf("%d mm", rapid.IntRange(90, 280).Draw(t, fmt.Sprint("driven ", k)))),
			})
		}
		in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.VBelt, Section: "A", Centre: "500 mm",
			Steps: steps}}
		from := rapid.IntRange(20, 900).Draw(t, "from")
		in.Machine.Jobs = []work.Job{{ID: "a", Name: "A", Speed: work.SpeedBand{From: q.Text(fmt.Sprint(from)),
			To:    q.Text(fmt.Sprint(from + rapid.IntRange(0, 600).Draw(t, "band"))),
			Cover: plantest.OneOf(t, "cover", "all", "any")},
			Load: work.Load{Torque: q.Text(fmt.Sprintf("%d N·m", rapid.IntRange(1, 12).Draw(t, "torque")))}}}
		s, err := plan.Resolve(in)
		if err != nil {
			t.Fatal(err)
		}
		m := New(s)
		job, positions := &m.Machine.Jobs[0], m.Reduction.Positions
		var best Result
		for i := range positions {
			one := m.Best(job, positions[i:i+1])
			if one.Position = i; i == 0 || Better(&one, &best) {
				best = one
			}
		}
		assert.Equal(t, best, m.Best(job, positions))
	})
}
