package line

import (
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/reduction"
	"jiriki/core/working"
)

// Source: SciPy, adaptive quadrature of J dω / (T − T_f), made by scripts/reference/scipy_motor.py
// with the versions the file names.
func TestRunUpTimeAgainstSciPy(t *testing.T) {
	data, err := os.ReadFile("testdata/scipy.json")
	require.NoError(t, err)
	var ref struct {
		Made   string
		RunUps []struct{ Ke, R, Loss, Volts, Limit, Inertia, Friction, Omega, Seconds float64 }
	}
	require.NoError(t, json.Unmarshal(data, &ref))
	require.Contains(t, ref.Made, "SciPy")
	require.NotEmpty(t, ref.RunUps)
	known := func(v float64) motor.Known { return motor.Known{Value: v, Standing: working.Measured} }
	for _, c := range ref.RunUps {
		m := motor.Resolved{Kind: motor.WoundDC, Speed: known(c.Volts / c.Ke), Torque: known(c.Ke * c.Limit),
			Amps: known(c.Limit), Gear: motor.Gear{Ratio: 1,
				Efficiency: 1},
			DC: motor.DC{Ke: known(c.Ke), Resistance: known(c.R), Friction: known(c.Loss)}}
		feed := motor.Feed{Kind: motor.DirectCurrent, Volts: c.Volts, FormFactor: 1, Amps: c.Limit,
			PeakAmps: math.Inf(1), LimitAmps: c.Limit, Slowest: 0.01,
			TopTrim: 1}
		tr := &Model{Stations: plan.Stations{Motor: m}, Runs: true, Feed: feed, Powered: m.On(feed),
			TopSpeed: math.Inf(1)}
		p := &reduction.Position{Ratio: 1, Efficiency: 1}
		assert.InEpsilon(t, c.Seconds, tr.TimeToSpeed(c.Inertia, c.Friction, c.Omega, p), 2e-3)
		assert.True(t, math.IsInf(tr.TimeToSpeed(c.Inertia, 10*c.Ke*c.Limit, c.Omega, p), 1), "friction it cannot pass")

		// Geared down twice, the load's inertia weighs a quarter at the motor and its speed doubles.
		geared := &reduction.Position{Ratio: 2, Efficiency: 1}
		assert.InEpsilon(t, tr.TimeToSpeed(c.Inertia/4, c.Friction/2, c.Omega, p),
			tr.TimeToSpeed(c.Inertia, c.Friction, c.Omega/2, geared), 1e-6)
	}
}
