package reduction

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

func resolved(t *testing.T, stages ...DescribedStage) Resolved {
	t.Helper()
	r := q.NewReader("reduction")
	out := Resolve(Described{Stages: stages}, 0, 1, r)
	require.NoError(t, r.Err())
	return out
}

func refusals(stages ...DescribedStage) q.FieldErrors {
	r := q.NewReader("reduction")
	Resolve(Described{Stages: stages}, 0, 1, r)
	errs, _ := r.Err().(q.FieldErrors)
	return errs
}

func pair(driver, driven q.Text) []DescribedStep { return []DescribedStep{{driver, driven}} }

func TestTwoBeltsMultiply(t *testing.T) {
	r := resolved(t,
		DescribedStage{Kind: VBelt, Steps: pair("80 mm", "236 mm"), Centre: "300 mm"},
		DescribedStage{Kind: PolyV, Steps: pair("60 mm", "148 mm"), Centre: "281 mm"})
	require.Len(t, r.Positions, 1)
	assert.InEpsilon(t, 236./80*148/60/(0.985*0.99), r.Positions[0].Ratio, 1e-12)
	assert.InEpsilon(t, 0.95*0.96, r.Positions[0].Efficiency, 1e-12)
	assert.Equal(t, "the only position", r.Positions[0].Label)
}

func TestConesMakeEveryCombination(t *testing.T) {
	cone := DescribedStage{Kind: VBelt, Steps: []DescribedStep{{"75 mm", "200 mm"}, {"120 mm", "160 mm"}},
		Centre: "400 mm"}
	r := resolved(t, cone, DescribedStage{Kind: Spur, Steps: pair("17", "68 teeth")}, cone)
	require.Len(t, r.Positions, 4)
	assert.Equal(t, "A1 C1", r.Positions[0].Label)
	assert.Equal(t, "A2 C2", r.Positions[3].Label)
	assert.InEpsilon(t, math.Pow(200./75/0.985, 2)*4, r.Positions[0].Ratio, 1e-12)
	assert.Equal(t, "step 2", resolved(t, cone).Positions[1].Label)
}

func TestOutsideDiametersLoseTheSectionsOffset(t *testing.T) {
	r := resolved(t, DescribedStage{Kind: VBelt, Section: "A", Measured: "outside", Steps: pair("95 mm", "160 mm")})
	assert.InEpsilon(t, (160-5.5)/(95-5.5)/0.985, r.Positions[0].Ratio, 1e-9)
	// The offset belongs to the rim: ISO 4183's b twice, or what inch rims have [from memory].
	for _, c := range []struct {
		section        string
		driver, driven q.Text
		ratio          float64
	}{{"Z", "60 mm", "120 mm", 116. / 56}, {"B", "140 mm", "280 mm", 273. / 133}, {"A", "4 in", "8 in", 7.75 / 3.75},
		{"B", `6"`, `12"`, 11.65 / 5.65}, {"A", "4 in", "203.2 mm", (203.2 - 5.5) / (3.75 * 25.4)}} {
		r := resolved(t, DescribedStage{Kind: VBelt, Section: c.section, Measured: "outside",
			Steps: pair(c.driver, c.driven)})
		assert.InEpsilon(t, c.ratio/0.985, r.Positions[0].Ratio, 1e-9, c.section)
	}
	assert.NotEmpty(t, refusals(DescribedStage{Kind: VBelt, Section: "B", Measured: "outside",
		Steps: pair("7 mm",
			"160 mm")}))
}

func TestTeethTellTheRatioExactly(t *testing.T) {
	for _, kind := range []Kind{Toothed, Chain, Spur} {
		r := resolved(t, DescribedStage{Kind: kind, Steps: pair("14 t", "42 teeth"), Centre: "250 mm"})
		assert.Equal(t, 3.0, r.Positions[0].Ratio, kind)
	}
	errs := refusals(DescribedStage{Kind: Chain, Steps: pair("14.5", "42")})
	require.NotEmpty(t, errs)
	assert.Equal(t, "reduction.stages[0].steps[0].driver", errs[0].Field)
}

func TestBeltAndCentreFindEachOther(t *testing.T) {
	byCentre := resolved(t, DescribedStage{Kind: VBelt, Steps: pair("80 mm", "236 mm"), Centre: "280 mm"}).Stages[0]
	byBelt := resolved(t, DescribedStage{Kind: VBelt, Steps: pair("80 mm", "236 mm"),
		Belt: q.Text(q.ShowFigures(byCentre.Belt, q.Length, q.Metric,
			12))}).Stages[0]
	assert.InEpsilon(t, 0.280, byBelt.Centre, 1e-8)
	assert.True(t, byBelt.FromBelt)
	assert.False(t, byCentre.FromBelt)
}

func TestImpossibleGeometryIsRefusedAtItsField(t *testing.T) {
	errs := refusals(DescribedStage{Kind: VBelt, Steps: pair("80 mm", "236 mm"), Centre: "150 mm"})
	require.Len(t, errs, 1)
	assert.Equal(t, "reduction.stages[0].centre", errs[0].Field)
	errs = refusals(DescribedStage{Kind: VBelt, Steps: pair("80 mm", "236 mm"), Belt: "600 mm"})
	require.Len(t, errs, 1)
	assert.Equal(t, "reduction.stages[0].belt", errs[0].Field)
	six := make([]DescribedStep, 6)
	for i := range six {
		six[i] = DescribedStep{"80 mm", "160 mm"}
	}
	assert.NotEmpty(t, refusals(DescribedStage{Kind: VBelt, Steps: six}, DescribedStage{Kind: VBelt, Steps: six}),
		"36 positions")
}

func TestMissingWheelIsAskedFor(t *testing.T) {
	r := resolved(t, DescribedStage{Kind: VBelt, Steps: pair("80 mm", "")})
	assert.Equal(t, "stages[0].steps[0].driven", r.Missing)
	assert.Empty(t, r.Positions)
	assert.Equal(t, "stages[0].steps[0].driver", resolved(t, DescribedStage{Kind: VBelt}).Missing)
	assert.Equal(t, "stages", resolved(t).Missing, "no stages is nothing said yet")
	assert.Empty(t, resolved(t).Positions)
	straight := resolved(t, DescribedStage{Kind: Direct})
	require.Len(t, straight.Positions, 1)
	assert.Equal(t, 1.0, straight.Positions[0].Ratio)
}

// A belt that fits is found again from its length, for any two pulleys that do not touch.
func TestCentreForUndoesOpenBelt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d1, d2 := rapid.Float64Range(0.02, 1).Draw(t, "d1"), rapid.Float64Range(0.02, 1).Draw(t, "d2")
		c := (d1 + d2) / 2 * rapid.Float64Range(1.001, 20).Draw(t, "apart")
		back, ok := CentreFor(d1, d2, OpenBelt(d1, d2, c))
		assert.True(t, ok)
		assert.InEpsilon(t, c, back, 1e-6)
		assert.InEpsilon(t, OpenBelt(d1, d2, c), OpenBelt(d2, d1, c), 1e-12, "either way round")
	})
}
