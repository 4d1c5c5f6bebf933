package trial

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A machine that stands far out of its noise is heard at its own line, not somewhere on the skirt a strong line has in
// any spectrum, and the next likeliest is another line. With nothing else that turns with it to tell half or twice the
// speed apart, it is not sure.
func TestAStrongLineIsHeardAtItsPeak(t *testing.T) {
	t.Parallel()
	const rate, each = 8000.0, 20
	alone := func(bench) Clues { return Clues{Mains: 50, Low: 4, High: 50} }
	belted := func(b bench) Clues {
		return Clues{Mains: 50, Low: 4, High: 50, Spindle: 1 / b.between(2, 8),
			Belts: []float64{b.between(0.1, 0.4), b.between(0.03, 0.09)}, PerTurn: []float64{24}}
	}
	for what, clues := range map[string]func(bench) Clues{"alone": alone, "belted": belted} {
		within, sure := 0, 0
		for i := range each {
			b := bench{Rand: rand.New(rand.NewPCG(uint64(i), 21))}
			turns := b.between(9, 44)
			samples := make([]float64, int(4*rate))
			for k := range samples {
				at := 2 * math.Pi * float64(k) / rate
				samples[k] = math.Sin(turns*at) + 0.6*math.Sin(2*turns*at) + 0.3*math.Sin(3*turns*at) +
					1.5*math.Sin(100*at) + 0.1*b.NormFloat64()
			}
			heard, err := Hear(samples, rate, clues(b))
			require.NoError(t, err)
			if math.Abs(heard.Speed-turns) <= heard.Spread {
				within++
			}
			if heard.Sure {
				sure++
				assert.InDelta(t, turns, heard.Speed, 2*heard.Spread, what)
			} else {
				assert.Greater(t, math.Abs(heard.RunnerUp-heard.Speed), 0.9, "%s: %.3f as %.3f", what, turns,
					heard.Speed)
			}
		}
		t.Logf("%s: %d within, %d sure", what, within, sure)
		assert.GreaterOrEqual(t, within, each*9/10, what)
		assert.LessOrEqual(t, sure, each/4, what)
	}
}

// A speed that hunts while it is listened to smears its lines: its mean lies within a spread that is wider by about as
// much.
func TestAWanderingSpeedIsHeardWithinItsSpread(t *testing.T) {
	t.Parallel()
	const rate, each = 8000.0, 20
	for _, wander := range []float64{0.003, 0.01} {
		within, spread := 0, 0.0
		for i := range each {
			b := bench{Rand: rand.New(rand.NewPCG(uint64(i), 33))}
			turns, slow, begins := b.between(9, 44), b.between(0.2, 1.5), b.between(0, 2*math.Pi)
			samples := make([]float64, int(4*rate))
			phase, mean := 0.0, 0.0
			for k := range samples {
				at := float64(k) / rate
				now := turns * (1 + wander*math.Sin(begins+2*math.Pi*slow*at))
				mean += now / float64(len(samples))
				phase += 2 * math.Pi * now / rate
				samples[k] = math.Sin(phase) + 0.6*math.Sin(2*phase) + 0.3*math.Sin(3*phase) + 0.3*math.Sin(24*phase) +
					5*math.Sin(2*math.Pi*100*at) + 0.7*b.NormFloat64()
			}
			heard, err := Hear(samples, rate, Clues{Mains: 50, Low: 4, High: 50, Spindle: 1 / b.between(2, 8),
				Belts: []float64{b.between(0.1, 0.4)}, PerTurn: []float64{24}})
			require.NoError(t, err)
			spread += heard.Spread / mean / each
			if math.Abs(heard.Speed-mean) <= heard.Spread {
				within++
			}
		}
		t.Logf("wanders by %g: %d within, spread %.4f", wander, within, spread)
		assert.GreaterOrEqual(t, within, each*9/10, "wanders by %g", wander)
		assert.Less(t, spread, 1.5*wander)
	}
}

// Whatever the rate a sound is said to have, it is heard or refused.
func TestASoundOfAnyRateIsHeardOrRefused(t *testing.T) {
	for _, rate := range []float64{math.NaN(), math.Inf(1), math.Inf(-1), -8000, 0, 1e-9, 1, 30, 100, 500, 999,
		1000, 2000,
		4000, 4999, 5001, 8000, 192_000, 400_000, 1e300} {
		samples := make([]float64, 20_000)
		for i := range samples {
			samples[i] = math.Sin(float64(i)/3) + 0.01*float64(i%7)
		}
		heard, err := Hear(samples, rate, Clues{Mains: 50, Low: 4, High: 50, Spindle: 0.25, PerTurn: []float64{24}})
		if err == nil {
			assert.False(t, math.IsNaN(heard.Speed) || math.IsInf(heard.Speed, 0), "%g", rate)
		}
	}
}
