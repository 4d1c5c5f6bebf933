package reduction

import (
	"fmt"
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

// What is machined turns on how much metal is left [common practice].
func TestWhatIsMachinedGoesByTheMetalLeft(t *testing.T) {
	for _, c := range []struct {
		shaft, bore float64 // mm
		what        string
	}{
		{20, 20.049, ""}, {20, 20.052, "Open the bore"}, {20, 22.98, "Open the bore"}, {20, 23, "Turn a sleeve"},
		{15.9, 10, "Bore the wheel out"}, {16.1, 10, "Turn the shaft's end down"},
	} {
		made := Fit{Shaft: c.shaft / 1000, Bore: c.bore / 1000}.ToMake(q.Metric)
		if c.what == "" {
			assert.Empty(t, made, "%v on %v fits", c.bore, c.shaft)
			continue
		}
		if assert.Len(t, made, 1) {
			assert.Contains(t, made[0].What, c.what, "%v on %v", c.bore, c.shaft)
		}
	}
}

// The share of its pull a V belt keeps with less wrap [Shigley, table 17-13, VV column, from memory].
func TestLessWrapGripsLess(t *testing.T) {
	for degrees, share := range map[float64]float64{180: 1, 120: 0.82, 90: 0.69} {
		assert.InDelta(t, share, gripFactor(vGrip, degrees*math.Pi/180), 0.005, "%v°", degrees)
	}
}

// What is bounded is refused one past its bound.
func TestStagesStepsAndPositionsAreBounded(t *testing.T) {
	refused := func(stages, steps int) bool {
		stage := DescribedStage{Kind: Spur}
		for k := range steps {
			stage.Steps = append(stage.Steps, DescribedStep{Driver: "20", Driven: q.Text(fmt.Sprint(30 + k))})
		}
		return len(refusals(slices.Repeat([]DescribedStage{stage}, stages)...)) > 0
	}
	for _, c := range []struct {
		stages, steps int
		refused       bool
	}{{6, 1, false}, {7, 1, true}, {1, 6, false}, {1, 7, true}, {2, 4, false}, {2, 5, true}} {
		assert.Equal(t, c.refused, refused(c.stages, c.steps), "%d stages of %d steps", c.stages, c.steps)
	}
}

// What was not given is taken as it comes most often [common practice].
func TestUsualPitchesAndWidths(t *testing.T) {
	stage := func(kind Kind, driver, driven q.Text) Stage {
		s := DescribedStage{Kind: kind, Steps: []DescribedStep{{Driver: driver, Driven: driven}}}
		return resolved(t, s).Stages[0]
	}
	assert.Equal(t, 6.0, stage(PolyV, "50 mm", "150 mm").Count)
	assert.Equal(t, 40e-3, stage(Flat, "100 mm", "200 mm").Width)
	toothed := stage(Toothed, "20", "40")
	assert.Equal(t, 5e-3, toothed.Pitch)
	assert.Equal(t, 15e-3, toothed.Width)
	assert.Equal(t, 12.7e-3, stage(Chain, "17", "40").Pitch)
	gears := stage(Spur, "20", "60")
	assert.Equal(t, 1.5e-3, gears.Pitch)
	assert.Equal(t, 15e-3, gears.Width, "ten modules")
	assert.Equal(t, 1.5e-3, stage(Worm, "1", "40").Pitch)
}

// Below a twentieth of a metre a second a chain is taken to pull as it does there [common practice].
func TestASlowChainPullsNoMore(t *testing.T) {
	pull := chainPull(12.7e-3, 17, 1)
	assert.Equal(t, pull.Carries(0), pull.Carries(0.05))
	assert.Less(t, pull.Carries(0.0501), pull.Carries(0.05))
}

// A shaft that is turned down is as strong as it is then, and so is its key.
func TestATurnedDownShaftIsItsNewSize(t *testing.T) {
	down, thin := Fit{Shaft: 30e-3, Bore: 16e-3, Held: "key", Hub: 40e-3}, Fit{Shaft: 16e-3, Bore: 16e-3, Held: "key",
		Hub: 40e-3}
	assert.Equal(t, thin.Bears(0), down.Bears(0))
	making := down.ToMake(q.Metric)
	if assert.Len(t, making, 2) {
		assert.Contains(t, making[1].What, "5", "the key of 16 mm, not the 8 × 7 of 30 mm")
		assert.Contains(t, making[1].Why, "16")
	}
}
