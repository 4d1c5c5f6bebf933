package assess_test

import (
	"fmt"
	"testing"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// The quality bar: 5 jobs, 4 positions, 200-point reach, workings and remedies, with three
// motors on the shelf, resolved as the server keeps them: at most 250 µs and 160 kB.
func BenchmarkAssess(b *testing.B) {
	in := plantest.Short()
	in.Machine.Jobs = nil
	for i := range 5 {
		in.Machine.Jobs = append(in.Machine.Jobs, work.Job{
			ID: fmt.Sprint(i), Name: fmt.Sprintf("Job %d", i),
			Speed: work.SpeedBand{From: q.Text(fmt.Sprint(30 + 40*i)),
				To: q.Text(fmt.Sprint(90 + 50*i))},
			Load: work.Load{Torque: q.Text(fmt.Sprintf("%d N·m", 14-2*i))},
		})
	}
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{
		Kind: reduction.VBelt, Section: "A", Centre: "400 mm", Guarded: true,
		Steps: []reduction.DescribedStep{{Driver: "80 mm", Driven: "280 mm"}, {Driver: "100 mm", Driven: "260 mm"},
			{Driver: "120 mm", Driven: "240 mm"}, {Driver: "140 mm",
				Driven: "220 mm"}},
	}}
	a := assesstest.Of(b, in)
	if len(a.Reach.Positions) != 4 || len(a.Reach.Positions[0].RPM) != 200 || len(a.Jobs[0].Remedies) == 0 {
		b.Fatal("the benchmark must do the whole work")
	}
	in.Motors = shelf.Motors(in.Shelf)
	b.ReportAllocs()
	for b.Loop() {
		if _, err := assess.Assess(in); err != nil {
			b.Fatal(err)
		}
	}
}
