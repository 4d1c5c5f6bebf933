package trial

import (
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/numeric"
)

// reference is what scripts/reference/scipy_trials.py made, with the versions it names.
type reference struct {
	Made  string
	Lines []struct {
		X, Y, Sigma            []float64
		A, B, SpreadA, SpreadB float64
	}
	Coasts []struct {
		Disc float64
		Runs []struct {
			T, Omega, Off []float64
			Disc          bool
		}
		Inertia, Rest, Slow float64
	}
	WarmUps []struct {
		T, Kelvin                            []float64
		Off, Believed, Settles, Within, Time float64
	}
	Capacitors []struct{ Farads, RPM, At, Speeds []float64 }
	Ratings    []struct {
		Idle, Acted   float64
		Turned        bool
		Volts, Shares []float64
	}
}

func scipy(t *testing.T) (ref reference) {
	t.Helper()
	data, err := os.ReadFile("testdata/scipy.json")
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(data, &ref))
	require.Contains(t, ref.Made, "SciPy")
	return ref
}

// Source: scipy.optimize.curve_fit with absolute spreads, widened by the misfit.
func TestStraightLinesAgainstSciPy(t *testing.T) {
	for _, c := range scipy(t).Lines {
		fit, ok := numeric.LeastSquares([]float64{200, 0}, len(c.X), func(x, out []float64) {
			for i := range c.X {
				out[i] = (x[0] + x[1]*c.X[i] - c.Y[i]) / c.Sigma[i]
			}
		})
		require.True(t, ok)
		assert.InEpsilon(t, c.A, fit.X[0], 1e-6)
		assert.InEpsilon(t, c.B, fit.X[1], 1e-5)
		assert.InEpsilon(t, c.SpreadA, fit.Spread(0), 1e-3)
		assert.InEpsilon(t, c.SpreadB, fit.Spread(1), 1e-3)
	}
}

// Source: scipy.optimize.least_squares over solve_ivp, the equations written again.
func TestSpinDownsAgainstSciPy(t *testing.T) {
	for _, c := range scipy(t).Coasts {
		var list []coast
		for _, r := range c.Runs {
			list = append(list, coast{t: r.T, omega: r.Omega, off: r.Off, disc: r.Disc})
		}
		fitted, ok := fitCoasts(list, c.Disc)
		require.True(t, ok)
		x := fitted.fit.X
		assert.InEpsilon(t, c.Inertia, fitted.inertia(x), 2e-3)
		assert.InEpsilon(t, c.Rest, fitted.restTime(x), 2e-3)
		assert.InEpsilon(t, c.Slow, fitted.drag(x).at(0.1*x[fitted.begin]), 5e-3)
	}
}

// Source: the same posterior on a grid thirty times as fine, by NumPy and scipy.stats.
func TestWarmUpsAgainstSciPy(t *testing.T) {
	for _, c := range scipy(t).WarmUps {
		got := settlingOf(c.T, c.Kelvin, c.Off, c.Believed, func(t float64) float64 { return math.Exp(-t) })
		assert.InDelta(t, c.Settles, got.Settles, 0.03*c.Within)
		assert.InEpsilon(t, c.Within, got.SettlesWithin, 0.04)
		assert.InEpsilon(t, c.Time, got.Time, 0.03)
	}
}

// Source: scipy.interpolate.PchipInterpolator, which takes the same slopes at inner points.
func TestSpeedsBetweenCapacitorsAgainstSciPy(t *testing.T) {
	for _, c := range scipy(t).Capacitors {
		for i, at := range c.At {
			assert.InDelta(t, c.Speeds[i], SpeedBetween(c.Farads, c.RPM, at), 0.02*(c.RPM[4]-c.RPM[0]))
		}
		// And never past the readings to either side.
		for i := 1; i < len(c.Farads); i++ {
			for _, share := range []float64{0.1, 0.5, 0.9} {
				v := SpeedBetween(c.Farads, c.RPM, c.Farads[i-1]+share*(c.Farads[i]-c.Farads[i-1]))
				assert.True(t, v >= c.RPM[i-1]-1e-9 && v <= c.RPM[i]+1e-9)
			}
		}
	}
}

// Source: scipy.stats norm and lognorm.
func TestRatingsOfCoilsAgainstSciPy(t *testing.T) {
	for _, c := range scipy(t).Ratings {
		for _, got := range RatingsOf(c.Idle, c.Acted, c.Turned) {
			for i, volts := range c.Volts {
				if volts == got.Volts {
					assert.InDelta(t, c.Shares[i], got.Share, 1e-6)
				}
			}
		}
	}
}

// Source: the handbooks' closed forms of a spin-down (from memory): constant drag alone falls evenly, J·ω/T; viscous
// drag
// alone falls as e^(−b·t/J).
func TestSpinDownsOfOneDragAreTheClosedForms(t *testing.T) {
	dry := drag{a: 2.5}
	assert.InDelta(t, 40-2.5*6, dry.after(40, 6, 1), 1e-9)
	assert.InDelta(t, 0, dry.after(40, 30, 1), 0)
	wet := drag{b: 0.2}
	assert.InEpsilon(t, 40*math.Exp(-0.2*6), wet.after(40, 6, 1), 1e-6)
	square := drag{c: 0.01}
	assert.InEpsilon(t, 40/(1+0.01*40*6), square.after(40, 6, 1), 1e-6)
	// With twice the inertia everything takes twice as long.
	assert.InEpsilon(t, wet.after(40, 3, 1), wet.after(40, 6, 0.5), 1e-6)
}

// Source: the usual rule of textbooks on stroboscopes (from memory): two neighbouring rates of one image, f1 over f2,
// are
// of n = f1·f2/(f1 − f2).
func TestNeighbouringRatesAgainstTheTextbookRule(t *testing.T) {
	for _, c := range []struct{ f1, f2 float64 }{{1000, 800}, {900, 750}, {700, 525}} {
		want := c.f1 * c.f2 / (c.f1 - c.f2)
		found := false
		for _, s := range TrueSpeeds([]Seen{seen(c.f1, 1), seen(c.f2, 1)}, 1.1*want*math.Pi/30) {
			found = found || math.Abs(s.Omega*30/math.Pi/want-1) < 1e-3
		}
		assert.True(t, found, "%v", c)
	}
}
