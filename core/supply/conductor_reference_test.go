package supply

import (
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Source: GNU units; the fixture's first line names the version, scripts/reference/wire.sh makes it
// again. Its copper is 58 m/(Ω·mm²), ours 1.72·10⁻⁸ Ω·m: a quarter of a per cent apart.
func TestWireAgreesWithGNUUnits(t *testing.T) {
	data, err := os.ReadFile("testdata/gnu_units_wire.tsv")
	require.NoError(t, err)
	lines := strings.Split(strings.TrimSpace(string(data)), "\n")
	require.Contains(t, lines[0], "GNU Units version")
	require.Greater(t, len(lines), 12)
	for _, line := range lines[1:] {
		var v [3]float64
		for i, cell := range strings.Split(line, "\t") {
			v[i], err = strconv.ParseFloat(cell, 64)
			require.NoError(t, err, line)
		}
		assert.InEpsilon(t, v[1], AWGDiameter(v[0])*1000, 1e-6, line)
		assert.InEpsilon(t, v[2], AWG(int(v[0])).Resistance(1)/warm, 0.004, line)
	}
}

// Source: NEC 430.22, 430.52 and table 310.16, from memory. A 10 A motor on the line: conductor for
// 12.5 A, 14 AWG; time-delay fuse 17.5 → 20 A; breaker 25 A. On a drive 125 % throughout.
func TestNECStartingValues(t *testing.T) {
	c := On(NEC, 10, 0, 10, false, false)
	assert.InDelta(t, 12.5, c.WireFor, 1e-9)
	assert.Equal(t, "14 AWG", c.Wire.Name)
	assert.Equal(t, 20.0, c.Fuse)
	assert.Equal(t, 25.0, c.Breaker)
	assert.InDelta(t, 11.5, c.Overload, 1e-9)
	assert.Equal(t, 15.0, On(NEC, 10, 0, 10, true, false).Breaker)
	assert.Equal(t, "12 AWG", On(NEC, 16, 0, 16, false, false).Wire.Name)
}

// Source: IEC 60364-4-43 and 60364-5-52, from memory: load ≤ breaker ≤ cable.
func TestIECStartingValues(t *testing.T) {
	for _, amps := range []float64{1, 4.2, 8, 15, 28, 60} {
		c := On(IEC, amps, 0, amps, false, false)
		assert.GreaterOrEqual(t, c.Breaker, amps)
		assert.GreaterOrEqual(t, c.Wire.Carries(IEC, false), c.Breaker)
	}
	c := On(IEC, 11, 0, 11, false, false)
	assert.Equal(t, 13.0, c.Breaker)
	assert.Equal(t, "2.5\u202fmm²", On(IEC, 11, 20, 11, false, false).Wire.Name, "for the 20 A breaker that is there")
	assert.Equal(t, "1.5\u202fmm²", c.Wire.Name)
}

// Three loaded conductors carry less than two: IEC 60364-5-52, method B1, PVC, from memory.
func TestThreeLoadedConductorsCarryLess(t *testing.T) {
	for area, amps := range map[float64]float64{1.5: 15.5, 2.5: 21, 4: 28, 6: 36, 10: 50, 16: 68} {
		assert.Equal(t, amps, mm2(area).Carries(IEC, true), area)
	}
	assert.Equal(t, 32.0, mm2(4).Carries(IEC, false))
	assert.Equal(t, 13.0, mm2(1.25).Carries(IEC, false), "a flexible lead")
	assert.Equal(t, "6\u202fmm²", On(IEC, 28, 32, 28, true, true).Wire.Name)
}
