package motor

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

// anySpecimen is a motor of any kind with a plate a size up or down, resolved, on its own feed.
func anySpecimen(t *rapid.T) (*Resolved, Feed, Described) {
	kind := rapid.SampledFrom(kinds.All()).Draw(t, "kind").Kind
	d, feed := specimen(kind)
	size := rapid.Float64Range(0.4, 6).Draw(t, "size")
	scale := func(text q.Text, dim q.Dimension, unit string) q.Text {
		v, err := q.Parse(text, dim)
		if err != nil {
			return text
		}
		return q.Text(fmt.Sprintf("%.9g %s", v*size, unit))
	}
	d.Plate.Power, d.Plate.Amps = scale(d.Plate.Power, q.Power, "W"), scale(d.Plate.Amps, q.Current, "A")
	d.Plate.HoldingTorque = scale(d.Plate.HoldingTorque, q.Torque, "N·m")
	r := q.NewReader("")
	m := Resolve(d, r)
	if r.Err() != nil || !m.Ready() {
		t.Fatalf("%s: %v %v", kind, r.Err(), m.Needs)
	}
	return &m, feed, d
}

func within(t *rapid.T, low, high float64) float64 {
	return low + (high-low)*rapid.Float64Range(0, 1).Draw(t, "speed")
}

// A gearbox of ratio k turns speed down and torque up by k, less what it keeps for itself, whatever
// the motor.
func TestAGearboxTradesSpeedForTorque(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		bare, feed, d := anySpecimen(t)
		k, keeps := rapid.Float64Range(1.5, 80).Draw(t, "ratio"), rapid.Float64Range(0.4, 1).Draw(t, "keeps")
		d.Gearbox = Gearbox{Sort: "spur", Ratio: q.Text(fmt.Sprintf("%.12g", k)),
			Efficiency: q.Text(fmt.Sprintf("%.12g",
				keeps))}
		m := Resolve(d, q.NewReader(""))
		low, high := bare.On(feed).Span()
		gearedLow, gearedHigh := m.On(feed).Span()
		assert.InEpsilon(t, low/k, gearedLow, 1e-9)
		assert.InEpsilon(t, high/k, gearedHigh, 1e-9)
		omega := within(t, low, high*0.98)
		assert.InDelta(t, bare.On(feed).Steady(omega, 1).Torque*k*keeps, m.On(feed).Steady(omega/k, 1).Torque,
			1e-6*bare.Torque.Value*k)
		torque := bare.Torque.Value / 2
		assert.InEpsilon(t, bare.On(feed).AmpsFor(torque, omega), m.On(feed).AmpsFor(torque*k*keeps, omega/k), 1e-6)
	})
}

// More rest never lowers what may be asked for a while, and nothing passes the peak.
func TestOverloadOnlyLiftsWhatHeatHolds(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m, feed, _ := anySpecimen(t)
		feed.Amps = rapid.Float64Range(0.5, 40).Draw(t, "drive")
		feed.PeakAmps, feed.LimitAmps = 1.5*feed.Amps, rapid.Float64Range(0.5, 60).Draw(t, "limit")
		model := m.On(feed)
		low, high := model.Span()
		if !(low > 0) {
			return
		}
		omega := within(t, low, high)
		last := 0.0
		for _, overload := range []float64{1, 1.2, 1.6, 2, 3} {
			held := model.Steady(omega, overload)
			assert.GreaterOrEqual(t, held.Torque, last*(1-1e-12))
			assert.LessOrEqual(t, held.Torque, model.Peak(omega).Torque*(1+1e-9))
			last = held.Torque
		}
	})
}

// A DC machine's amps make the torque they were asked for, and its volts are spent on speed and ohms.
func TestDCBalance(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m, feed, _ := anySpecimen(t)
		if m.Kind.Family() != DCFamily {
			return
		}
		law := newDCLaw(m, feed)
		torque := m.Torque.Value * rapid.Float64Range(0, 2).Draw(t, "torque")
		amps := law.amps(torque, 0)
		assert.InDelta(t, torque, law.torque(amps), 1e-9)
		omega := (feed.Volts - amps*m.DC.Resistance.Value) / m.DC.Ke.Value
		if omega > 0 {
			unbound := Feed{Kind: DirectCurrent, Volts: feed.Volts, FormFactor: 1, PeakAmps: math.Inf(1),
				LimitAmps: math.Inf(1)}
			held := newDCLaw(m, unbound).peak(omega)
			assert.LessOrEqual(t, held.Torque, torque+1e-9, "the volts cannot push more than balances there")
		}
	})
}

// A clutch carries more the faster it turns, nothing below where it takes hold and no more than it
// holds.
func TestAClutchNeverCarriesLessWhenFaster(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		full := rapid.Float64Range(50, 400).Draw(t, "full")
		c := ResolvedClutch{Fitted: true, full: full, Engages: full * rapid.Float64Range(0.2, 0.95).Draw(t, "engages"),
			Holds: rapid.Float64Range(0.1, 50).Draw(t,
				"holds")}
		last := 0.0
		for i := range 60 {
			carried := c.Carries(full * 1.3 * float64(i) / 59)
			assert.GreaterOrEqual(t, carried, last)
			assert.LessOrEqual(t, carried, c.Holds*(1+1e-12))
			last = carried
		}
		assert.Zero(t, c.Carries(c.Engages))
		assert.InEpsilon(t, c.Holds, c.Carries(full), 1e-12)
	})
}

// However a pair is engraved, low volts go with the higher amps and high volts with the lower.
func TestPairsAreReadEitherWayRound(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		volts := rapid.SampledFrom([][2]float64{{115, 230}, {120, 240}, {230, 400}, {220, 380}}).Draw(t, "volts")
		amps := rapid.Float64Range(0.6, 20).Draw(t, "amps")
		engrave := func(a, b float64, unit string) q.Text {
			if rapid.Bool().Draw(t, unit+" turned") {
				a, b = b, a
			}
			return q.Text(fmt.Sprintf("%.4g/%.4g %s", a, b, unit))
		}
		p := Plate{Volts: engrave(volts[0], volts[1], "V"), Amps: engrave(amps, amps*volts[0]/volts[1], "A")}
		for links, i := range map[string]int{"low": 0, "high": 1, "": 0} {
			p.Links = links
			got := p.settings()
			v, err := q.Parse(got.Volts, q.Voltage)
			if err != nil {
				t.Fatal(err)
			}
			a, err := q.Parse(got.Amps, q.Current)
			if err != nil {
				t.Fatal(err)
			}
			assert.Equal(t, volts[i], v)
			assert.InEpsilon(t, amps*volts[0]/volts[i], a, 2e-3)
		}
	})
}

// Readings without noise give back any motor, however many there are and in whatever order.
func TestAnyMotorIsFoundFromCleanReadings(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		m := truth{ke: math.Exp(rapid.Float64Range(-4, 1).Draw(t, "ke")), j: 1e-3}
		m.r, m.loss = m.ke*rapid.Float64Range(1, 12).Draw(t, "r"), m.ke*rapid.Float64Range(0.1, 0.9).Draw(t, "loss")
		all := m.fiveReadings(func() float64 { return 1 })
		order := rapid.Permutation(all).Draw(t, "order")
		one := Resolve(Described{Kind: PermanentMagnetDC, Readings: order}, q.NewReader(""))
		assert.InEpsilon(t, m.ke, one.Fit.Ke.Value, 1e-5)
		assert.InEpsilon(t, m.r, one.Fit.R.Value, 1e-5)
		assert.InEpsilon(t, m.loss, one.Fit.Loss.Value, 1e-5)
	})
}
