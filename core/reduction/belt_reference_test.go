package reduction

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

// Source: Shigley's Mechanical Engineering Design, example 17-4, from memory. Pulleys of 7.4 and
// 11 in with a belt of 113.8 in pitch length: C 42.4 in, wrap 3.057 rad, 3390 ft/min at 1750 rpm.
func TestShigleyBelt(t *testing.T) {
	const inch = 0.0254
	c, ok := CentreFor(7.4*inch, 11*inch, 113.8*inch)
	assert.True(t, ok)
	assert.InEpsilon(t, 42.4, c/inch, 1e-3)
	assert.InEpsilon(t, 3.057, Wrap(7.4*inch, 11*inch, c), 1e-3)
	assert.InEpsilon(t, 3390, BeltSpeed(7.4*inch, 1750*q.RPM)/(12*inch/60), 1e-3)
}

// Independent check: a taut belt is the edge of the smallest shape that holds both pulleys. Its
// length is the integral of that shape's support function over all directions (Cauchy), which
// knows nothing of tangents.
func TestBeltLengthByIntegration(t *testing.T) {
	for _, c := range [][3]float64{{80, 236, 280}, {60, 148, 281}, {45, 236, 220}, {100, 100, 500}, {20, 500, 300},
		{75, 255, 420}} {
		r1, r2, centre := c[0]/2, c[1]/2, c[2]
		const n = 2_000_000
		length := 0.0
		for i := range n {
			angle := 2 * math.Pi * (float64(i) + 0.5) / n
			length += max(r1, centre*math.Cos(angle)+r2) * 2 * math.Pi / n
		}
		assert.InEpsilon(t, length, OpenBelt(c[0], c[1], c[2]), 1e-6, "%v", c)
	}
}
