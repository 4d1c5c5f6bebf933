package dryrun

import (
	"math"
	"testing"

	"github.com/stretchr/testify/require"

	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

func BenchmarkDryRun(b *testing.B) {
	for _, in := range plantest.Demo(b) {
		b.Run(in.Machine.Name, func(b *testing.B) {
			s, err := plan.Resolve(in)
			require.NoError(b, err)
			model := line.New(s)
			d := script.Usual(&model.Machine, model.Powered.FixedSpeed(), q.Metric)
			sc := script.Resolve(d, &model.Machine, q.NewReader(""))
			m := newMachine(model, &sc)
			b.ReportAllocs()
			for b.Loop() {
				if _, err := simulate(m, &sc, usual); err != nil {
					b.Fatal(err)
				}
			}
		})
	}
}

func BenchmarkDraws(b *testing.B) {
	in := plantest.Demo(b)[2]
	for b.Loop() {
		if _, err := Over(in, UsualDraws, func(float64) bool { return true }); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkDay(b *testing.B) {
	in := plantest.Demo(b)[2]
	for b.Loop() {
		if _, err := DayOf(in); err != nil {
			b.Fatal(err)
		}
	}
}

// BenchmarkBesideSciPy is the reference's first machine at the usual tolerance; off is how far the worst of its figures
// is from the tight reference, a share. scripts/bench_scipy.sh sets SciPy's time at the same error beside it.
func BenchmarkBesideSciPy(b *testing.B) {
	one := references[0]
	m, s, _ := referenceRun(b, one.plan, one.sort, one.load)
	want := referenceOf(b).Runs[0]
	r, err := simulate(m, s, detail{fine: 1, endsOnly: true})
	require.NoError(b, err)
	off := 0.0
	for _, pair := range [][2]float64{
		{want.Started, r.at(jamsAt).spindle}, {want.Loaded, r.at(freesAt).spindle},
		{want.Freed, r.at(letsGoAt).spindle}, {want.StandsAfter, resultsOf(r).Stop},
	} {
		off = max(off, math.Abs(pair[1]/pair[0]-1))
	}
	for b.Loop() {
		if _, err := simulate(m, s, detail{fine: 1, endsOnly: true}); err != nil {
			b.Fatal(err)
		}
	}
	b.ReportMetric(off, "off")
}

func BenchmarkStarting(b *testing.B) {
	in := plantest.Demo(b)[2]
	for b.Loop() {
		Starting(in)
	}
}
