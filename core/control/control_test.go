package control

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

func resolved(t *testing.T, d Described) Resolved {
	t.Helper()
	r := q.NewReader("control")
	c := Resolve(d, r)
	require.NoError(t, r.Err())
	return c
}

// Derived: the average of a rectified sine. Independent check by summing the wave itself.
func TestPhaseAngleAverageReference(t *testing.T) {
	for _, rms := range []float64{120, 230, 240} {
		const n = 100000
		sum := 0.0
		for i := range n {
			sum += rms * math.Sqrt2 * math.Sin(math.Pi*(float64(i)+0.5)/n)
		}
		assert.InEpsilon(t, sum/n, PhaseAngleAverage(rms), 1e-6)
	}
	// Common practice, no source: 120 V feeds 90 V motors, 240 V feeds 180 V motors.
	assert.Greater(t, PhaseAngleAverage(120), 90.0)
	assert.Greater(t, PhaseAngleAverage(240), 180.0)
}

func TestOutputVoltsStayUnderTheRating(t *testing.T) {
	assert.Equal(t, 180.0, resolved(t, Described{Kind: PhaseAngle, Volts: "180 V"}).OutputVolts(230, false))
	assert.InEpsilon(t, 108, resolved(t, Described{Kind: PhaseAngle}).OutputVolts(120, false), 0.001)
	assert.InEpsilon(t, 325.3, resolved(t, Described{Kind: Chopper}).OutputVolts(230, false), 0.001)
	assert.Equal(t, 24.0, resolved(t, Described{Kind: Chopper}).OutputVolts(24, true), "a battery has no crest")
	assert.Equal(t, 230.0, resolved(t, Described{Kind: Inverter}).OutputVolts(230, false))
}

func TestFormFactorAndSlowestSpeed(t *testing.T) {
	assert.Equal(t, 1.4, resolved(t, Described{Kind: PhaseAngle}).FormFactor)
	assert.Equal(t, 1.15, resolved(t, Described{Kind: PhaseAngle, Choke: true}).FormFactor)
	assert.Equal(t, 1.05, resolved(t, Described{Kind: Chopper}).FormFactor)
	assert.Equal(t, 1.0/100, resolved(t, Described{Kind: Chopper, Feedback: "tacho"}).Slowest)
	assert.Equal(t, 1.0/15, resolved(t, Described{Kind: PhaseAngle, Feedback: "none"}).Slowest)
	assert.Equal(t, 0.1, resolved(t, Described{Kind: Inverter}).Slowest)
	assert.Equal(t, 1.0/40, resolved(t, Described{Kind: Inverter, Mode: "vector"}).Slowest)
	assert.Equal(t, 0.5, resolved(t, Described{Kind: SinglePhaseInverter}).Slowest)
	assert.Equal(t, 1.0/10, resolved(t, Described{Kind: BrushlessDrive, Feedback: "none"}).Slowest)
	assert.Equal(t, 1.0/50, resolved(t, Described{Kind: BrushlessDrive, Feedback: "tacho"}).Slowest)
	assert.Equal(t, 1.0/5, resolved(t, Described{Kind: PhaseAngle, Feedback: "none"}).SeriesSlowest)
	assert.Equal(t, 1.0/20, resolved(t, Described{Kind: PhaseAngle, Feedback: "tacho"}).SeriesSlowest)
	for _, kind := range []Kind{VariableTransformer, SeriesResistor} {
		whole := resolved(t, Described{Kind: kind})
		assert.Equal(t, 1.4, whole.FormFactor, "pulses, as from a drive without a choke")
		assert.Equal(t, 1.0/15, whole.Slowest)
	}
}
