package thermal

import (
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Source: SciPy's solve_ivp on the same two equations; scripts/reference/scipy_heat.py made the file, which names the
// versions.
func TestTwoBodiesAgreeWithSciPy(t *testing.T) {
	data, err := os.ReadFile("testdata/scipy.json")
	require.NoError(t, err)
	var ref struct {
		Made  string
		Cases []struct {
			Winding, Case, Inside, Outside, Heat, On, Off, Resting float64
			After, Cycle                                           [2]float64
		}
	}
	require.NoError(t, json.Unmarshal(data, &ref))
	require.Contains(t, ref.Made, "SciPy")
	require.NotEmpty(t, ref.Cases)
	for _, c := range ref.Cases {
		b := Bodies{Winding: c.Winding, Case: c.Case, Inside: c.Inside, Outside: c.Outside}
		after, cycle := b.After(State{}, c.Heat, 1, c.On), b.Cycle(c.Heat, c.On, c.Off, c.Resting)
		for _, pair := range [][2]float64{
			{c.After[0], after.Winding}, {c.After[1], after.Case},
			{c.Cycle[0], cycle.Winding}, {c.Cycle[1], cycle.Case},
		} {
			assert.InEpsilon(t, pair[0], pair[1], 1e-6, "%+v", c)
		}
	}
}

// A case far heavier than the winding leaves one body: an exponential of the winding's own time.
func TestOneBodyIsAnExponential(t *testing.T) {
	b := Bodies{Winding: 100, Case: 1e12, Inside: 2, Outside: 1}
	assert.InEpsilon(t, 50/2*-math.Expm1(-30*2.0/100), b.After(State{}, 50, 1, 30).Winding, 1e-6)
}

// Work without a rest settles where continuous work does; a rest never heats, and a longer pull never cools.
func TestTurnsLieBetweenRestAndContinuous(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		b := Of(rapid.Float64Range(60, 7200).Draw(t, "seconds"))
		on, off := rapid.Float64Range(1, 7200).Draw(t, "on"), rapid.Float64Range(0, 7200).Draw(t, "off")
		resting := rapid.Float64Range(0.3, 1).Draw(t, "resting")
		settled := b.Settled(1, 1)
		assert.InEpsilon(t, 1, settled.Winding, 1e-9)
		assert.InEpsilon(t, caseShare, settled.Case, 1e-9)
		turn := b.Cycle(1, on, off, resting)
		assert.LessOrEqual(t, turn.Winding, 1+1e-9)
		assert.GreaterOrEqual(t, turn.Winding, b.After(State{}, 1, 1, on).Winding-1e-9)
		assert.LessOrEqual(t, turn.Winding, b.Cycle(1, on*1.5, off, resting).Winding+1e-9)
		assert.GreaterOrEqual(t, turn.Winding, b.Cycle(1, on, off*1.5+1, resting).Winding-1e-9)
		assert.InEpsilon(t, 1, b.Cycle(1, on, 0, resting).Winding, 1e-6)
	})
}

// Short pulls heat the winding alone: after an eighth of the case's time it has most of its own rise over the case,
// and the case little of its.
func TestShortPullsHeatTheWinding(t *testing.T) {
	s := Of(1800).After(State{}, 1, 1, 225)
	assert.InDelta(t, -math.Expm1(-1), s.Winding/(1-caseShare)-s.Case/(1-caseShare), 0.09)
	assert.Less(t, s.Case, 0.12*caseShare)
}
