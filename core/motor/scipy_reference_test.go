package motor

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/working"
)

// reference is testdata/scipy.json, made by scripts/reference/scipy_motor.py with the versions its
// first entry names.
type reference struct {
	Made   string
	Series struct {
		K, R, Loss, Volts float64
		Points            []struct{ Torque, Amps, Omega float64 }
	}
	Fits []struct {
		Readings []struct {
			Sort                                          string
			Volts, Amps, Omega, Torque, Ohms, To, Seconds float64
			From                                          float64
		}
		Constants, Spreads []float64
	}
}

func scipy(t *testing.T) reference {
	t.Helper()
	data, err := os.ReadFile("testdata/scipy.json")
	require.NoError(t, err)
	var ref reference
	require.NoError(t, json.Unmarshal(data, &ref))
	require.Contains(t, ref.Made, "SciPy")
	return ref
}

// Source: SciPy, Brent's method on the volt balance of a series motor.
func TestSeriesCurveAgainstSciPy(t *testing.T) {
	ref := scipy(t).Series
	computed := func(v float64) Known { return Known{v, working.Computed} }
	m := &Resolved{Kind: Universal, Speed: computed(1200), Torque: computed(0.37), PowerFactor: computed(1),
		Volts:  computed(ref.Volts),
		Series: Series{K: computed(ref.K), Resistance: computed(ref.R), Friction: computed(ref.Loss)},
		Gear: Gear{Ratio: 1,
			Efficiency: 1}}
	feed := free(DirectCurrent)
	feed.Volts = ref.Volts
	law := &seriesLaw{m, feed}
	require.NotEmpty(t, ref.Points)
	for _, p := range ref.Points {
		assert.InEpsilon(t, p.Amps, law.amps(p.Torque, 0), 1e-9)
		assert.InEpsilon(t, p.Torque, law.most(p.Omega).Torque, 1e-9,
			"the torque at the speed is the torque the speed was found for")
		assert.InEpsilon(t, p.Omega, m.LightSpeed(p.Torque/0.37), 1e-9)
	}
}

// Source: SciPy, least_squares (Levenberg–Marquardt) on the same readings and weights, with no
// prior belief. Constants and spreads must agree.
func TestFitAgainstSciPy(t *testing.T) {
	for _, one := range scipy(t).Fits {
		var r readings
		for _, reading := range one.Readings {
			turning := run{volts: reading.Volts, amps: reading.Amps, omega: reading.Omega, torque: reading.Torque}
			switch reading.Sort {
			case "open":
				r.open = append(r.open, turning)
			case "resistance":
				r.ohms = append(r.ohms, reading.Ohms)
			case "free":
				r.free = append(r.free, turning)
			case "loaded":
				r.loaded = append(r.loaded, turning)
			case "spin-down":
				r.coasts = append(r.coasts, coast{reading.From, reading.To, reading.Seconds})
			}
		}
		fit := r.fit(DCFamily, [constants]float64{1, 1, 0.1, 1e-3})
		for i, e := range []Estimate{fit.Ke, fit.R, fit.Loss, fit.Inertia} {
			assert.InEpsilon(t, one.Constants[i], e.Value, 1e-4, constantNames[i])
			assert.InEpsilon(t, one.Spreads[i]*max(fit.Misfit, 1), e.Spread, 0.01, constantNames[i])
		}
	}
}
