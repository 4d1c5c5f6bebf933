package control

import (
	"encoding/json"
	"math"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// Source: ngspice, a half-controlled bridge with a freewheel diode into an armature of back-EMF, ohms
// and henries; the fixture names the version, scripts/reference/phase_angle.py makes it again.
func TestBridgeAgreesWithNgspice(t *testing.T) {
	data, err := os.ReadFile("testdata/ngspice.json")
	require.NoError(t, err)
	var fixture struct {
		MadeBy string
		Cases  []struct{ Line, Hertz, Alpha, EMF, R, L, Average, RMS float64 }
	}
	require.NoError(t, json.Unmarshal(data, &fixture))
	require.Contains(t, fixture.MadeBy, "ngspice")
	require.GreaterOrEqual(t, len(fixture.Cases), 16)
	for _, c := range fixture.Cases {
		w := Bridge(c.Line, c.Hertz, c.Alpha*math.Pi/180, c.EMF, c.R, c.L)
		assert.InEpsilon(t, c.Average, w.Average, 0.02, "average %+v", c)
		assert.InEpsilon(t, c.RMS, w.RMS, 0.02, "rms %+v", c)
		assert.InEpsilon(t, c.RMS/c.Average, w.FormFactor, 0.02, "form factor %+v", c)
	}
}

// Derived: the average of a half-controlled bridge by summing the wave itself; √2/π is the 0.45 the
// trade writes.
func TestHalfControlledAverageReference(t *testing.T) {
	for _, degrees := range []float64{0, 30, 60, 90, 120, 150} {
		alpha, sum := degrees*math.Pi/180, 0.0
		const n = 200000
		for i := range n {
			if theta := math.Pi * (float64(i) + 0.5) / n; theta >= alpha {
				sum += 230 * math.Sqrt2 * math.Sin(theta)
			}
		}
		assert.InDelta(t, sum/n, HalfControlledAverage(230, alpha), 0.01)
		assert.InDelta(t, 0.45*230*(1+math.Cos(alpha)), HalfControlledAverage(230, alpha), 0.1)
		// Without back-EMF and with the current never ending, the resistance sees that average.
		assert.InEpsilon(t, HalfControlledAverage(230, alpha)/20, Bridge(230, 50, alpha, 0, 20, 1).Average, 1e-3)
	}
	assert.InDelta(t, PhaseAngleAverage(230), HalfControlledAverage(230, 0), 1e-9)
}

// Later firing always means less current, a form factor is never under one, and the angle found for a
// current gives that current.
func TestFiringIsMonotone(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		line := rapid.Float64Range(24, 400).Draw(t, "line")
		r := rapid.Float64Range(0.1, 50).Draw(t, "ohms")
		l := r * rapid.Float64Range(0, 0.2).Draw(t, "tau")
		emf := line * rapid.Float64Range(0, 1.3).Draw(t, "emf")
		alpha := rapid.Float64Range(0, math.Pi).Draw(t, "alpha")
		later := alpha + (math.Pi-alpha)*rapid.Float64Range(0, 1).Draw(t, "later")
		early, late := Bridge(line, 50, alpha, emf, r, l), Bridge(line, 50, later, emf, r, l)
		assert.GreaterOrEqual(t, early.Average*(1+1e-6)+1e-9, late.Average)
		assert.GreaterOrEqual(t, early.FormFactor, 1-1e-6)
		assert.False(t, math.IsNaN(early.RMS) || math.IsInf(early.RMS, 0))
		assert.GreaterOrEqual(t, early.RMS*(1+1e-6)+1e-9, late.RMS)
		if wanted := early.RMS / 2; wanted > 1e-2 {
			_, w := HeatingWave(wanted, line, 50, emf, r, l)
			assert.InEpsilon(t, wanted, w.RMS, 0.01)
		}
	})
	alpha, w := HeatingWave(100, 230, 50, 200, 10, 0.01)
	assert.Zero(t, alpha, "more than it gives fired at once")
	assert.Less(t, w.RMS, 100.0)
}

// Over a whole half cycle the inductance takes nothing: ohms times the average current is what the bridge averages,
// counting the back-EMF where no current flows, less the back-EMF. Summed here from the wave itself, step by step.
func TestTheBridgeAveragesWhatItsCurrentNeeds(t *testing.T) {
	for _, c := range []struct{ alpha, emf, r, l float64 }{
		{0.6, 60, 8, 0.03}, {1.9, 60, 8, 0.03}, {1.2, 170, 7, 0.012}, {0, 190, 7, 0.004}, {0.3, 20, 5, 0.2},
	} {
		const n = 400000
		step := math.Pi / n / (2 * math.Pi * 50)
		i, sum, square := 0.0, 0.0, 0.0
		for range 40 { // until it repeats
			sum, square = 0, 0
			for k := range n / 40 {
				theta := c.alpha + math.Pi*(float64(k)+0.5)/(n/40)
				volts := 0.0
				if theta < math.Pi {
					volts = 230 * math.Sqrt2 * math.Sin(theta)
				}
				i = max(i+(volts-c.emf-c.r*i)/c.l*step*40, 0)
				sum, square = sum+i, square+i*i
			}
		}
		w := Bridge(230, 50, c.alpha, c.emf, c.r, c.l)
		assert.InEpsilon(t, sum/(n/40), w.Average, 0.01, "%+v", c)
		assert.InEpsilon(t, math.Sqrt(square/(n/40)), w.RMS, 0.01, "%+v", c)
	}
}

// The least inductance found for a form factor gives just that one, and a tenth less gives more.
func TestInductanceForAFormFactor(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		wanted := rapid.Float64Range(1.05, 1.5).Draw(t, "form factor")
		emf := rapid.Float64Range(10, 120).Draw(t, "emf")
		r := rapid.Float64Range(1, 20).Draw(t, "ohms")
		amps := rapid.Float64Range(0.1, 0.8).Draw(t, "share") * (HalfControlledAverage(230, 0) - emf) / r
		l, ok := InductanceFor(wanted, amps, 230, 50, emf, r)
		if !ok {
			t.Fatalf("%g A against %g V through %g Ω", amps, emf, r)
		}
		if _, w := HeatingWave(amps, 230, 50, emf, r, l); l > 1e-3 && math.Abs(w.FormFactor-wanted) > 2e-3 {
			t.Fatalf("%g H gives %g, wanted %g", l, w.FormFactor, wanted)
		}
		if _, w := HeatingWave(amps, 230, 50, emf, r, 0.9*l); l > 1e-3 && w.FormFactor <= wanted {
			t.Fatalf("%g H would do where %g H was asked for", 0.9*l, l)
		}
	})
	_, ok := InductanceFor(1.1, 100, 230, 50, 200, 10)
	assert.False(t, ok, "amps the bridge cannot give")
}
