package reduction

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// A belt or chain made stronger carries what was asked of it, or is the most that is usual.
func TestStrongerCarriesWhatWasAsked(t *testing.T) {
	belt := func(kind Kind, section string) DescribedStage {
		return DescribedStage{Kind: kind, Section: section, Centre: "400 mm",
			Steps: []DescribedStep{{"80 mm",
				"200 mm"}}}
	}
	wide := belt(Toothed, "")
	wide.Pitch, wide.Width, wide.Steps = "5 mm", "15 mm", []DescribedStep{{"20", "60"}}
	chain := DescribedStage{Kind: Chain, Pitch: "12.7 mm", Centre: "400 mm", Steps: []DescribedStep{{"15", "40"}}}
	gears := DescribedStage{Kind: Spur, Pitch: "2 mm", Steps: []DescribedStep{{"17", "60"}}}
	for _, c := range []struct {
		stage DescribedStage
		times float64
		label string
		full  bool // all that was asked
	}{
		{belt(VBelt, "A"), 1.2, "Fit 2 belts side by side", true},
		{belt(VBelt, "A"), 3.9, "Fit 4 belts side by side", true},
		{belt(LinkBelt, "Z"), 9, "Fit 4 belts side by side", false},
		{belt(PolyV, "J"), 1.7, "Fit a belt of 11 ribs", true},
		{belt(PolyV, "J"), 9, "Fit a belt of 20 ribs", false},
		{belt(Flat, ""), 2, "Fit a belt 80 mm wide", true},
		{belt(Flat, ""), 9, "Fit a belt 100 mm wide", false},
		{wide, 1.5, "Fit a belt 25 mm wide", true},
		{gears, 1.2, "Fit gears 24 mm wide", true},
		{gears, 4, "Fit gears 30 mm wide", false},
		{chain, 1.5, "Fit a chain of 2 strands", true},
		{chain, 2, "Fit a chain of 3 strands", true},
		{chain, 9, "Fit a chain of 3 strands", false},
	} {
		r := q.NewReader("reduction")
		before := Resolve(Described{Stages: []DescribedStage{c.stage}}, 0, 1, r)
		stages, label, detail, ok := before.Stronger([]DescribedStage{c.stage}, before.Stages[0].weak.belt, c.times)
		require.True(t, ok, c.label)
		assert.Equal(t, c.label, label)
		assert.NotContains(t, detail, "stage", "there is but one")
		after := Resolve(Described{Stages: stages}, 0, 1, r)
		require.NoError(t, r.Err())
		got := after.Stages[0].Steps[0].Pull.Carries(2) / before.Stages[0].Steps[0].Pull.Carries(2)
		assert.Equal(t, c.full, got >= c.times*0.999, "%s: ×%g of ×%g", label, got, c.times)
		assert.Greater(t, got, 1.0)
	}
}

// What already is all that is usual is not offered again, nor is a belt for what is no belt's fault.
func TestNothingStrongerThanUsual(t *testing.T) {
	stage := DescribedStage{Kind: VBelt, Section: "B", Count: "4", Centre: "500 mm",
		Steps: []DescribedStep{{"120 mm",
			"240 mm"}}}
	resolved := Resolve(Described{Stages: []DescribedStage{stage, stage}}, 0, 1, q.NewReader("reduction"))
	_, _, _, ok := resolved.Stronger([]DescribedStage{stage, stage}, resolved.Stages[1].weak.belt, 2)
	assert.False(t, ok)
	_, _, _, ok = resolved.Stronger([]DescribedStage{stage, stage}, resolved.Stages[1].weak.driven, 2)
	assert.False(t, ok)
	stage.Count = "1"
	resolved = Resolve(Described{Stages: []DescribedStage{stage, stage}}, 0, 1, q.NewReader("reduction"))
	given := []DescribedStage{stage, stage}
	stages, _, detail, ok := resolved.Stronger(given, resolved.Stages[1].weak.belt, 2)
	require.True(t, ok)
	assert.Contains(t, detail, "stage 2")
	assert.Equal(t, q.Text("1"), stages[0].Count)
	assert.Equal(t, q.Text("2"), stages[1].Count)
	assert.Equal(t, q.Text("1"), given[1].Count, "what was given is left alone")
}
