package supply

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Source: NEC tables 430.248 and 430.250, from memory.
func TestMotorTables(t *testing.T) {
	for _, c := range []struct {
		hp, volts float64
		three     bool
		amps      float64
	}{
		{1.0 / 3, 115, false, 7.2}, {0.5, 115, false, 9.8}, {1, 115, false, 16}, {1, 230, false, 8},
		{2, 230, false, 12}, {5, 230, false, 28}, {0.75, 230, true, 3.2}, {1, 230, true, 4.2}, {3, 460, true, 4.8},
		{10, 230, true, 28},
	} {
		amps, ok := TableAmps(c.hp, c.volts, c.three)
		assert.True(t, ok)
		assert.InEpsilon(t, c.amps, amps, 0.005, "%+v", c)
	}
	between, ok := TableAmps(0.6, 115, false)
	assert.True(t, ok)
	assert.InEpsilon(t, 9.8+0.4*(13.8-9.8), between, 1e-9)
	for _, hp := range []float64{0.05, 12} {
		_, ok := TableAmps(hp, 115, false)
		assert.False(t, ok, hp)
	}
	_, ok = TableAmps(1, 0, false)
	assert.False(t, ok)
}
