package motor

import (
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/numeric"
	q "jiriki/core/quantity"
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
	Alternating struct {
		K, R, X, Loss, Volts, Saturates, DirectStall, Free float64
		Points                                             []struct{ Omega, Amps, Torque float64 }
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

// Source: SciPy, Brent's method on the phasor sum of a series motor on alternating volts.
func TestSeriesMotorOnAlternatingVoltsAgainstSciPy(t *testing.T) {
	ref := scipy(t).Alternating
	computed := func(v float64) Known { return Known{v, working.Computed} }
	m := &Resolved{Kind: Universal, Amps: computed(ref.Saturates / fieldFull), Speed: computed(1e6),
		Volts: computed(ref.Volts), Gear: Gear{Ratio: 1, Efficiency: 1},
		Series: Series{K: computed(ref.K), Resistance: computed(ref.R), Reactance: computed(ref.X),
			Friction: computed(ref.Loss)}}
	feed := free(OnTheLine)
	feed.Volts = ref.Volts
	law := newSeriesLaw(m, feed)
	require.NotEmpty(t, ref.Points)
	for _, p := range ref.Points {
		assert.InEpsilon(t, p.Amps, law.ampsAt(p.Omega, ref.Volts), 1e-9)
		assert.InEpsilon(t, p.Torque, law.most(p.Omega).Torque, 1e-8)
		assert.InEpsilon(t, p.Amps, law.amps(p.Torque, 0), 1e-8)
	}
	assert.InEpsilon(t, ref.Points[0].Amps, law.stall(), 1e-9, "at rest the reactance holds the current")
	assert.InEpsilon(t, ref.Free, law.freeOn(ref.Volts), 1e-9)
	feed.Kind = DirectCurrent
	assert.InEpsilon(t, ref.DirectStall, newSeriesLaw(m, feed).stall(), 1e-9, "direct current only has the ohms")
}

// A plate's power factor is its reactance: on its own volts the motor draws its plate's amps at its plate's speed,
// and stalled a few times as many, not tens of times.
func TestAUniversalMotorAtItsPlate(t *testing.T) {
	m := Resolve(Described{Kind: Universal, Plate: Plate{Power: "450 W", Speed: "9000 rpm", Volts: "230 V",
		Amps: "3.2 A", Hertz: "50 Hz", PowerFactor: "0.92"}}, q.NewReader("motor"))
	require.True(t, m.Ready())
	feed := free(OnTheLine)
	feed.Volts = 230
	law := newSeriesLaw(&m, feed)
	assert.InEpsilon(t, 3.2, law.ampsAt(m.Speed.Value, 230), 1e-6)
	assert.InEpsilon(t, 230*math.Sqrt(1-0.92*0.92)/3.2, m.Series.Reactance.Value, 1e-6)
	assert.Less(t, law.stall(), 3.2/math.Sqrt(1-0.92*0.92))
	assert.InDelta(t, 4.8, law.full, 1e-9, "half as much again as the plate's fills the field")
	feed.Kind = DirectCurrent
	assert.Greater(t, newSeriesLaw(&m, feed).most(m.Speed.Value).Torque, law.most(m.Speed.Value).Torque,
		"direct current pulls harder")
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
	law := newSeriesLaw(m, feed)
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
		fit := r.fit(DCFamily, [constants]float64{1, 1, 0.1, 1e-3}, Known{})
		for i, e := range []Estimate{fit.Ke, fit.R, fit.Loss, fit.Inertia} {
			assert.InEpsilon(t, one.Constants[i], e.Value, 1e-4, constantNames[i])
			assert.InEpsilon(t, one.Spreads[i]*numeric.Widened(fit.Misfit, fit.Spare), e.Spread, 0.01, constantNames[i])
		}
	}
}
