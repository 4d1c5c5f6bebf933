package reduction

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// By hand, τ = 16T/πd³: a plain shaft of 20 mm bears 55 MPa for ever, 86.4 N·m, and nine tenths of 144 MPa once in a
// while, 203.6 N·m; its pull at 40 mm, three times the torque for each metre, bends it as well.
func TestAJamIsJudgedByYieldAndWorkByFatigue(t *testing.T) {
	fit := Fit{Shaft: 20e-3, Held: "pin"}
	assert.InDelta(t, 86.4, fit.Bears(0), 0.1)
	assert.InDelta(t, 203.6, fit.Survives(0), 0.1)
	fit.Out = 40e-3
	assert.InDelta(t, 203.6/1.5620, fit.Survives(30), 0.1, "√(1.2² + 1²), with no shock on top")
	keyed := Fit{Shaft: 20e-3, Held: "key", Hub: 2e-3}
	assert.InDelta(t, 0.9*213e6*5.2e-3*2e-3*10e-3, keyed.Survives(0), 0.3, "a 6 × 6 key's flank, 2 mm long")
	assert.Zero(t, Fit{}.Survives(0), "nobody knows")
	assert.GreaterOrEqual(t, Fit{Shaft: 5e-3, Out: 0.5}.Survives(60), Fit{Shaft: 5e-3, Out: 0.5}.Bears(60))
}

// Teeth of metals that yield bear 2.7 × their rating once in a while; iron, nylon and belts half as much again.
func TestTeethInAJam(t *testing.T) {
	for material, share := range map[string]float64{"": 2.7, "steel": 2.7, "hardened": 2.7, "bronze": 2.7, "iron": 1.5,
		"nylon": 1.5} {
		out := Resolve(Described{Stages: []DescribedStage{{Kind: Spur, Pitch: "2 mm", Material: material,
			Steps: []DescribedStep{{Driver: "20", Driven: "60"}}}}}, 0, 1, q.NewReader(""))
		require.Len(t, out.Positions, 1)
		forever, _ := out.Positions[0].Carries(1, 1)
		briefly, _ := out.Positions[0].Carries(1, OverloadShare)
		assert.InEpsilon(t, share, briefly/forever, 1e-9, material)
		out.Positions[0].LookTo(1)
		assert.True(t, out.Positions[0].Surely(briefly*0.999, 1, OverloadShare), material)
		assert.False(t, out.Positions[0].Surely(briefly*1.001, 1, OverloadShare), material)
	}
}
