package reduction

import (
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

func givenOf(t *testing.T, steps ...DescribedStep) (Resolved, error) {
	t.Helper()
	r := q.NewReader("reduction")
	out := Resolve(Described{Stages: []DescribedStage{{Kind: Given, Steps: steps}}}, 0, 1, r)
	return out, r.Err()
}

// A ratio is known as one, or as two speeds read together; it keeps the usual share and bears whatever comes.
func TestARatioWithoutWheels(t *testing.T) {
	for _, step := range []DescribedStep{{"4.8", "1"}, {"4.8", ""}, {"1440 rpm", "300 rpm"}, {"24 rev/s", "5 rev/s"},
		{"288 mm", "60 mm"}, {"9.6 in", "2 in"}} {
		out, err := givenOf(t, step)
		assert.NoError(t, err, step)
		if assert.Len(t, out.Positions, 1, step) {
			p := &out.Positions[0]
			assert.InEpsilon(t, 4.8, p.Ratio, 1e-9, step)
			assert.InEpsilon(t, 4.8, p.Unslipped, 1e-9, step)
			assert.Equal(t, 0.93, p.Efficiency)
			_, by := p.Carries(10, 1)
			assert.Empty(t, by)
		}
	}
	_, err := givenOf(t, DescribedStep{"288 mm", "1"})
	assert.Error(t, err, "a size is turns only beside another")
	two, err := givenOf(t, DescribedStep{"6", "1"}, DescribedStep{"2", "1"})
	assert.NoError(t, err)
	assert.Len(t, two.Positions, 2, "one belt or the other")
	none, err := givenOf(t, DescribedStep{})
	assert.NoError(t, err)
	assert.Equal(t, "stages[0].steps[0].driver", none.Missing)
	empty, _ := givenOf(t)
	assert.Equal(t, "stages[0].steps[0].driver", empty.Missing)
	_, err = givenOf(t, DescribedStep{"100000 rpm", "0.01 rpm"})
	assert.Error(t, err, "a ratio no machine has")
	r := q.NewReader("")
	out := Resolve(Described{Stages: []DescribedStage{{Kind: Given, Keeps: "80 %", Rated: "30 N·m",
		Steps: []DescribedStep{{"5", "1"}}}}}, 0, 1, r)
	assert.Equal(t, 0.8, out.Positions[0].Efficiency)
	most, _ := out.Positions[0].Carries(10, 1)
	assert.InEpsilon(t, 30, most, 1e-9)
}

// Fits of wheels that are no longer there are not judged.
func TestARatioHasNoFits(t *testing.T) {
	fit := DescribedFit{Shaft: "6 mm", Bore: "8 mm", Held: "screw"}
	for kind, driving := range map[Kind]float64{Given: 0, Direct: 6e-3} {
		r := q.NewReader("")
		s := Resolve(Described{Stages: []DescribedStage{{Kind: kind, Steps: []DescribedStep{{"5", "1"}}, OnDriving: fit,
			OnDriven: fit}}}, 16e-3, 1, r).Stages[0]
		assert.Equal(t, driving, s.OnDriving.Shaft, kind)
		assert.Zero(t, s.OnDriven, kind)
	}
}

// Once measured the measured ratio rules, and the wheels' own is kept beside it; unloaded it slips no more than either.
func TestAMeasuredRatioRules(t *testing.T) {
	d := Described{Stages: []DescribedStage{{Kind: VBelt, Centre: "400 mm", Steps: pair("80 mm", "280 mm")}},
		Speeds: MeasuredSpeeds{Motor: "1450 rpm", Spindle: "400 rpm"}}
	p := Resolve(d, 0, 1, q.NewReader("")).Positions[0]
	assert.InEpsilon(t, 3.625, p.Ratio, 1e-9)
	assert.InEpsilon(t, 3.5/0.985, p.Reckoned, 1e-9)
	assert.InEpsilon(t, 3.5, p.Unslipped, 1e-9, "more slip under load is none without it")
	d.Speeds.Spindle = "420 rpm"
	p = Resolve(d, 0, 1, q.NewReader("")).Positions[0]
	assert.InEpsilon(t, 1450.0/420, p.Unslipped, 1e-9, "a wheel is not the size it was taken for")
	p = Resolve(d, 0, 5, q.NewReader("")).Positions[0]
	assert.InEpsilon(t, 1450.0/420/5, p.Ratio, 1e-9, "read at the rotor, before its gearbox")
}
