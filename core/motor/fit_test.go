package motor

import (
	"fmt"
	"math"
	"math/rand/v2"
	"sort"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// truth is a motor whose constants are known, to be read with noise.
type truth struct{ ke, r, loss, j float64 }

func text(v float64, unit string) q.Text { return q.Text(fmt.Sprintf("%.9g %s", v, unit)) }

// fiveReadings are open leads, two resistances, a free and a loaded run, each meter off by noise.
func (m truth) fiveReadings(noise func() float64) []Reading {
	idle := m.loss / m.ke
	load := 6 * idle
	return []Reading{
		{Sort: "open", Volts: text(m.ke*90*noise(), "V"), Speed: text(90*noise(), "rad/s")},
		{Sort: "resistance", Ohms: text(m.r*noise(), "Ω")},
		{Sort: "resistance", Ohms: text(m.r*noise(), "Ω")},
		{Sort: "free", Volts: text((m.ke*120+idle*m.r)*noise(), "V"), Amps: text(idle*noise(), "A"),
			Speed: text(120*noise(),
				"rad/s")},
		{Sort: "loaded", Volts: text((m.ke*60+load*m.r)*noise(), "V"), Amps: text(load*noise(), "A"),
			Speed: text(60*noise(), "rad/s"), Torque: text((m.ke*load-m.loss)*noise(),
				"N·m")},
	}
}

// The figure to reach: five readings with 2 % noise on every meter recover the constants within
// 3 % (root mean square over many motors and benches).
func TestFitRecoversAMotorFromNoisyReadings(t *testing.T) {
	dice := rand.New(rand.NewPCG(20261124, 3))
	noise := func() float64 { return 1 + 0.02*dice.NormFloat64() }
	var ke, r, loss, told []float64
	for range 300 {
		m := truth{ke: math.Exp(-3 + 3*dice.Float64()), r: 0, loss: 0, j: 1e-3}
		m.r, m.loss = m.ke*(4+4*dice.Float64()), m.ke*(0.3+0.3*dice.Float64())
		one := resolved(t, Described{Kind: PermanentMagnetDC, Readings: m.fiveReadings(noise)})
		require.True(t, one.Fit.Ke.Found() && one.Fit.R.Found() && one.Fit.Loss.Found())
		ke, r, loss = append(ke, one.Fit.Ke.Value/m.ke-1), append(r, one.Fit.R.Value/m.r-1),
			append(loss, one.Fit.Loss.Value/m.loss-1)
		told = append(told, one.Fit.Ke.Spread)
	}
	sort.Float64s(told)
	assert.InDelta(t, 0.017, told[len(told)/2], 0.006, "the spread it tells is about the spread there is")
	for name, off := range map[string][]float64{"K_e": ke, "R": r, "T_loss": loss} {
		sum := 0.0
		for _, v := range off {
			sum += v * v
		}
		sort.Slice(off, func(i, k int) bool { return math.Abs(off[i]) < math.Abs(off[k]) })
		t.Logf("%s: rms %.2f %%, nine in ten within %.2f %%", name, 100*math.Sqrt(sum/float64(len(off))),
			100*math.Abs(off[len(off)*9/10]))
		assert.Less(t, math.Sqrt(sum/float64(len(off))), 0.03, name)
	}
}

func TestFitWithoutNoiseIsExact(t *testing.T) {
	m := truth{ke: 0.86, r: 7.6, loss: 0.35, j: 1.1e-3}
	d := Described{Kind: PermanentMagnetDC, Readings: append(m.fiveReadings(func() float64 { return 1 }),
		Reading{Sort: "spin-down", Speed: "100 rad/s", ToSpeed: "40 rad/s", Time: text(m.j*60/m.loss, "s")},
		Reading{Sort: "locked", Volts: "7.6 V",
			Amps: "1 A"})}
	fit := resolved(t, d).Fit
	for _, c := range [][2]float64{{m.ke, fit.Ke.Value}, {m.r, fit.R.Value}, {m.loss, fit.Loss.Value},
		{m.j, fit.Inertia.Value}} {
		assert.InEpsilon(t, c[0], c[1], 1e-6)
	}
	assert.Less(t, fit.Misfit, 1e-3)
}

// A series motor's readings fit its own law.
func TestFitOfASeriesMotor(t *testing.T) {
	k, r, loss := 0.045, 4.5, 0.2
	run := func(amps, omega float64) (volts q.Text, torque float64) {
		return text(amps*(r+k*omega), "V"), k*amps*amps - loss
	}
	v1, t1 := run(3.6, 1100)
	v2, t2 := run(5, 600)
	d := Described{Kind: Universal, Readings: []Reading{
		{Sort: "resistance", Ohms: "4.5 Ω"}, {Sort: "loaded", Volts: v1, Amps: "3.6 A", Speed: "1100 rad/s",
			Torque: text(t1, "N·m")}, {Sort: "loaded", Volts: v2, Amps: "5 A", Speed: "600 rad/s",
			Torque: text(t2, "N·m")},
	}}
	fit := resolved(t, d).Fit
	assert.InEpsilon(t, k, fit.Ke.Value, 1e-6)
	assert.InEpsilon(t, loss, fit.Loss.Value, 1e-6)
}

// What is suggested is what truly narrows most: after only the open-lead volts it is not the same
// again, and with everything read nothing is asked.
func TestTheNextReadingIsTheOneThatTellsMost(t *testing.T) {
	m := truth{ke: 0.86, r: 7.6, loss: 0.35, j: 1.1e-3}
	all := m.fiveReadings(func() float64 { return 1 })
	view := func(list ...Reading) BenchView {
		return resolved(t, Described{Kind: PermanentMagnetDC, Readings: list}).BenchView(q.Metric)
	}
	assert.Equal(t, "open", view().NextSort)
	first := view(all[0])
	assert.Contains(t, []string{"resistance", "free", "loaded"}, first.NextSort)
	assert.NotEmpty(t, first.Next)
	assert.Equal(t, "not told by the readings", first.Constants[1].Spread)
	assert.Empty(t, view(append(append([]Reading{}, all...), all...)...).NextSort)
	assert.Empty(t, resolved(t, conveyor()).BenchView(q.Metric).Next, "no fit is made of an induction motor")

	// By trying each: the one it names leaves far less doubt than reading the same again.
	spreads := func(list []Reading) float64 {
		f := resolved(t, Described{Kind: PermanentMagnetDC, Readings: list}).Fit
		return math.Log(f.Ke.Spread) + math.Log(f.R.Spread) + math.Log(f.Loss.Spread)
	}
	for _, next := range all {
		if next.Sort == first.NextSort {
			assert.Less(t, spreads([]Reading{all[0], next}), spreads([]Reading{all[0], all[0]})-1)
		}
	}
}
