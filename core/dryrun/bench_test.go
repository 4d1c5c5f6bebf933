package dryrun

import (
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
				if _, err := simulate(m, &sc, 1); err != nil {
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
