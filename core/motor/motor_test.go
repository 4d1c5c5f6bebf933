package motor

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

func resolved(t *testing.T, d Described) *Resolved {
	t.Helper()
	r := q.NewReader("motor")
	m := Resolve(d, r)
	require.NoError(t, r.Err())
	return &m
}

func scrubber() Described {
	return Described{Kind: PermanentMagnetDC, ThermalSwitch: "none",
		Plate: Plate{Power: "½ hp", Speed: "1750 rpm", Volts: "180 V",
			Amps: "2.8 A"}}
}

func conveyor() Described {
	return Described{Kind: ThreePhase, ThermalSwitch: "wired", Plate: Plate{Power: "0.75 kW", Speed: "1400 rpm",
		Volts: "230 V", Amps: "3.3 A", Hertz: "50 Hz",
		PowerFactor: "0.76"}}
}

func sawMotor() Described {
	return Described{Kind: CapacitorStart, ThermalSwitch: "wired", Plate: Plate{Power: "1/3 hp", Speed: "1425 rpm",
		Volts: "230 V", Amps: "2.6 A", Hertz: "50 Hz",
		PowerFactor: "0.65"}}
}

func free(way FeedKind) Feed {
	inf := math.Inf(1)
	return Feed{Kind: way, FormFactor: 1, Amps: inf, PeakAmps: inf, LimitAmps: inf, Slowest: 1. / 30, TopTrim: 1}
}

func TestEachKindHoldsItsPlateAtItsPlatePoint(t *testing.T) {
	for name, c := range map[string]struct {
		d     Described
		feed  func(*Resolved) Feed
		power float64
	}{
		"permanent magnet": {scrubber(), func(m *Resolved) Feed { f := free(DirectCurrent); f.Volts = 180; return f },
			q.Horsepower / 2},
		"three-phase, inverter": {conveyor(), func(m *Resolved) Feed {
			f := free(VariableHertz)
			f.Volts, f.BaseVolts, f.BaseHertz, f.TopHertz = 230, 230, 50, 50
			return f
		}, 750},
		"three-phase, line": {conveyor(), func(m *Resolved) Feed {
			f := free(OnTheLine)
			f.Volts, f.Hertz = 230, 50
			return f
		}, 750},
		"capacitor-start": {sawMotor(), func(m *Resolved) Feed {
			f := free(OnTheLine)
			f.Volts, f.Hertz = 230, 50
			return f
		}, q.Horsepower / 3},
	} {
		m := resolved(t, c.d)
		require.True(t, m.Ready(), name)
		held := m.On(c.feed(m)).Steady(m.Speed.Value, 1)
		assert.InEpsilon(t, c.power, held.Torque*m.Speed.Value, 0.005, name)
	}
}

func TestDCAtRestAndRunningFree(t *testing.T) {
	m := resolved(t, scrubber())
	feed := free(DirectCurrent)
	feed.Volts = 180
	model := m.On(feed)
	assert.Equal(t, Magnets, model.Peak(0).By, "volts would push 21 A; the magnets allow 8.4 A")
	assert.InEpsilon(t, m.DC.Ke.Value*3*2.8-m.DC.Friction.Value, model.Peak(0).Torque, 1e-12)
	feed.LimitAmps = 4.2
	assert.Equal(t, CurrentLimit, m.On(feed).Peak(0).By)
	assert.InEpsilon(t, m.DC.Ke.Value*4.2-m.DC.Friction.Value, m.On(feed).Peak(0).Torque, 1e-12)

	feed.TopTrim = 2
	_, top := m.On(feed).Span()
	assert.InDelta(t, 0, m.On(feed).Peak(top).Torque, 1e-9, "no torque is left at no-load speed")
	assert.Zero(t, m.On(feed).Peak(top*1.2).Torque, "nor a negative one beyond")
}

func TestInductionOnTheLineFromRestToSynchronous(t *testing.T) {
	m := resolved(t, conveyor())
	feed := free(OnTheLine)
	feed.Volts, feed.Hertz = 230, 50
	model := m.On(feed)
	low, high := model.Span()
	assert.InEpsilon(t, 1400*q.RPM, low, 1e-9)
	assert.InEpsilon(t, 1500*q.RPM, high, 1e-9)
	assert.InEpsilon(t, m.Induction.Start*m.Torque.Value, model.RunUp(0), 1e-9, "starting torque at rest")
	assert.InEpsilon(t, m.Torque.Value, model.RunUp(low), 1e-9, "plate torque at plate speed")
	assert.Zero(t, model.RunUp(high))
	most := 0.0
	for i := range 1000 {
		most = max(most, model.RunUp(high*float64(i)/1000))
	}
	assert.InEpsilon(t, 2.5*m.Torque.Value, most, 0.001, "breakdown is the most there is")

	feed.Volts = 115
	assert.InEpsilon(t, model.RunUp(0)/4, m.On(feed).RunUp(0), 1e-9, "half the volts, a quarter of the torque")
}

func TestInverterWeakensFieldAboveBase(t *testing.T) {
	m := resolved(t, conveyor())
	feed := free(VariableHertz)
	feed.Volts, feed.BaseVolts, feed.BaseHertz, feed.TopHertz = 230, 230, 50, 100
	model := m.On(feed)
	at := func(hertz float64) Limited { return model.Steady(model.law.(*inverterLaw).omegaAt(hertz), 1) }
	assert.InEpsilon(t, at(50).Torque*50/75, at(75).Torque, 1e-9, "constant power above base")
	assert.Equal(t, WeakField, at(100).By)
	assert.Less(t, model.Peak(model.law.(*inverterLaw).omegaAt(100)).Torque,
		model.Peak(model.law.(*inverterLaw).omegaAt(50)).Torque/3.5, "breakdown falls with the square")

	// A 230 V winding on 400 V can keep its volts per hertz to 87 Hz.
	feed.Volts, feed.BaseVolts, feed.BaseHertz, feed.TopHertz = 400, 400, 87, 87
	assert.InEpsilon(t, m.Torque.Value, m.On(feed).Steady(m.On(feed).law.(*inverterLaw).omegaAt(87), 1).Torque, 0.001)
}

func TestCoolingFallsOnlyForItsOwnFan(t *testing.T) {
	assert.Equal(t, 0.45, Cooling("own-fan", 0))
	assert.InEpsilon(t, 0.725, Cooling("own-fan", 0.25), 1e-12)
	assert.InEpsilon(t, 0.945, Cooling("own-fan", 0.45), 1e-12)
	assert.Equal(t, 1.0, Cooling("own-fan", 0.5))
	assert.Equal(t, 1.0, Cooling("blown", 0))
	assert.Equal(t, 1.0, Cooling("closed", 0.1))
}

func TestOverload(t *testing.T) {
	m := resolved(t, scrubber())
	assert.InEpsilon(t, 1.0, m.Overload(3600*100, 0), 1e-9, "no rest, no gain")
	assert.Equal(t, 3.0, m.Overload(0, 60))
	assert.Greater(t, m.Overload(300, 900), m.Overload(300, 600), "a longer rest allows more")
	assert.Less(t, m.Overload(600, 600), m.Overload(300, 600), "a longer pull allows less")
	blown := *m
	blown.Cooling = "blown"
	assert.Greater(t, blown.Overload(300, 600), m.Overload(300, 600), "a fan of its own cools at rest too")
	// As winding and case go in turns for ever, the winding at the end of a pull stands at its rated rise.
	k := m.Overload(300, 600)
	assert.InEpsilon(t, 1, m.Bodies().Cycle(k*k, 300, 600, 0.45).Winding, 1e-9)
	// The case of a motor of 750 W warms in half an hour, and with the fourth root of the power.
	small := resolved(t, Described{Kind: PermanentMagnetDC, Plate: Plate{Power: "46.875 W", Speed: "3000",
		Volts: "24 V", Amps: "3 A"}})
	assert.InEpsilon(t, 900, small.Bodies().Case/small.Bodies().Outside*(1+small.Bodies().Winding/small.Bodies().Case),
		1e-6, "a sixteenth of the power, half the time")
	assert.Equal(t, 0.45, m.Resting())
	assert.Equal(t, 1.0, blown.Resting())
}

func TestAPlateThatLies(t *testing.T) {
	d := scrubber()
	d.Plate = Plate{Power: "2.5 hp", Speed: "4100 rpm", Volts: "180 V", Amps: "10 A"}
	m := resolved(t, d)
	assert.InEpsilon(t, 1530, m.Power.Value, 1e-9, "1800 W in, 0.85 at the very best")
	assert.True(t, has(m, "motor.plate-power", f.Caution))

	d.Plate.PowerMeans = "peak"
	m = resolved(t, d)
	assert.InEpsilon(t, 0.7*2.5*q.Horsepower, m.Power.Value, 1e-9)
	assert.InEpsilon(t, m.Power.Value/(4100*q.RPM), m.Torque.Value, 1e-9,
		"torque from the speed that goes with that power")
	assert.True(t, has(m, "motor.peak-rating", f.Caution))

	odd := conveyor()
	odd.Plate.Speed, odd.Plate.Poles = "1400 rpm", "6"
	assert.False(t, resolved(t, odd).Ready(), "six poles at 50 Hz cannot reach 1400 rpm")
	odd.Plate.Speed, odd.Plate.Poles = "1250 rpm", "4"
	assert.True(t, has(resolved(t, odd), "motor.slip", f.Caution), "17 % slip")
}

func has(m *Resolved, id f.ID, level f.Level) bool {
	for _, one := range m.Findings(q.Metric) {
		if one.ID == id && one.Level == level {
			return true
		}
	}
	return false
}

func TestHalfAPlateSaysWhatToMeasure(t *testing.T) {
	for name, c := range map[string]struct {
		change func(*Described)
		field  string
	}{
		"no speed": {func(d *Described) { d.Plate.Speed = "" }, "plate.speed"},
		"no volts": {func(d *Described) { d.Plate.Volts = "" }, "plate.volts"},
		"no power nor amps": {func(d *Described) {
			d.Plate.Power, d.Plate.Amps = "", ""
		}, "plate.amps"},
		"no kind": {func(d *Described) { d.Kind = "" }, "kind"},
	} {
		d := scrubber()
		c.change(&d)
		m := resolved(t, d)
		require.NotEmpty(t, m.Needs, name)
		assert.Equal(t, c.field, m.Needs[0].Field, name)
		assert.NotEmpty(t, m.Needs[0].How, name)
	}
	d := scrubber()
	d.Plate.Amps = ""
	m := resolved(t, d)
	assert.True(t, m.Ready(), "amps can be taken from power and the usual efficiency")
	assert.Equal(t, working.Assumed, m.Amps.Standing)
	assert.InEpsilon(t, q.Horsepower/2/(180*0.75), m.Amps.Value, 1e-9)
	d = scrubber()
	d.Plate.Speed, d.Readings = "", []Reading{{Sort: "open", Volts: "74.4 V", Speed: "820 rpm"},
		{Sort: "resistance",
			Ohms: "7.6 Ω"}}
	m = resolved(t, d)
	assert.True(t, m.Ready(), "spun volts give the speed the plate lacks")
	assert.InEpsilon(t, (180-2.8*7.6)/(74.4/(820*q.RPM)), m.Speed.Value, 1e-6)
}

func TestBenchOutranksPlate(t *testing.T) {
	d := scrubber()
	d.Readings = []Reading{{Sort: "open", Volts: "74.4 V", Speed: "820 rpm"}, {Sort: "resistance", Ohms: "7.6 Ω"},
		{Sort: "free", Amps: "0.4 A"}}
	m := resolved(t, d)
	assert.InEpsilon(t, 0.8664, m.DC.Ke.Value, 1e-3)
	assert.Equal(t, working.Measured, m.DC.Ke.Standing)
	assert.InEpsilon(t, 7.6, m.DC.Resistance.Value, 1e-6)
	assert.InEpsilon(t, m.DC.Ke.Value*(2.8-0.4), m.Torque.Value, 1e-6, "torque from what was measured")

	d.Readings[0].Volts = "50 V"
	assert.True(t, has(resolved(t, d), "motor.ke-against-plate", f.Caution))
	d.Readings = []Reading{{Sort: "resistance", Ohms: "60 Ω"}}
	assert.False(t, resolved(t, d).Ready(), "168 V lost in the winding cannot be")
}

func TestThermalSwitchLeftOutIsAStop(t *testing.T) {
	d := scrubber()
	d.ThermalSwitch = "left-out"
	assert.True(t, has(resolved(t, d), "motor.thermal-left-out", f.Stop))
	d.ThermalSwitch = "wired"
	assert.False(t, has(resolved(t, d), "motor.thermal-left-out", f.Stop))
}

func TestWorkingsCarryTheNumbers(t *testing.T) {
	for _, d := range []Described{scrubber(), conveyor(), sawMotor()} {
		m := resolved(t, d)
		ids := map[working.ID]bool{}
		for _, w := range m.Workings(q.Metric) {
			assert.False(t, ids[w.ID], "%s twice", w.ID)
			ids[w.ID] = true
			assert.NotEmpty(t, w.Source.Title, w.ID)
			assert.NotEmpty(t, w.Formula, w.ID)
			assert.NotEmpty(t, w.Substituted, w.ID)
		}
		assert.True(t, ids["motor.torque"])
	}
}

// The slowest steady speed goes by the rated speed and what watches it: a lower top trim does not make it slower.
func TestTheSlowestSpeedIsNotTheTrims(t *testing.T) {
	for kind, volts := range map[Kind]q.Text{PermanentMagnetDC: "180 V", Universal: "230 V"} {
		m := Resolve(Described{Kind: kind, Plate: Plate{Power: "370 W", Speed: "1800 rpm", Volts: volts, Amps: "3 A",
			Hertz: "50 Hz"}}, q.NewReader("motor"))
		feed := Feed{Kind: DirectCurrent, Volts: 1.3 * m.Volts.Value, Amps: math.Inf(1), PeakAmps: math.Inf(1),
			LimitAmps: math.Inf(1), Slowest: 1. / 30, FormFactor: 1, TopTrim: 1, Trimmed: true, HoldsSpeed: true}
		full, _ := m.On(feed).RotorSpan()
		assert.InEpsilon(t, 60*q.RPM, full, 1e-9, kind)
		for _, trim := range []float64{0.3, 0.65, 1.2} {
			feed.TopTrim = trim
			low, high := m.On(feed).RotorSpan()
			assert.InEpsilon(t, full, low, 1e-9, "%s at %g", kind, trim)
			assert.Less(t, low, high)
		}
	}
}

// A plate without hertz is guessed by slip within its kind's band and by its volts together.
func TestHertzAreGuessedBySlipAndVolts(t *testing.T) {
	for _, c := range []struct {
		kind         Kind
		speed, volts q.Text
		hertz        float64
	}{
		{ThreePhase, "1725 rpm", "230/460 V", 60}, {ThreePhase, "1440 rpm", "230/400 V", 50},
		{ThreePhase, "3450 rpm", "230 V", 60}, {ThreePhase, "2850 rpm", "230 V", 50},
		{ThreePhase, "1420 rpm", "400 V", 50}, {ThreePhase, "1140 rpm", "230 V", 60},
		{ThreePhase, "940 rpm", "400 V", 50}, {CapacitorStart, "1725 rpm", "115 V", 60},
		{CapacitorStart, "1425 rpm", "230 V", 50}, {CapacitorStart, "1140 rpm", "115/230 V", 60},
		{CapacitorStart, "850 rpm", "115 V", 60}, {CapacitorStart, "700 rpm", "240 V", 50},
		{PermanentSplit, "1075 rpm", "115 V", 60}, {PermanentSplit, "1350 rpm", "230 V", 50},
		{PermanentSplit, "1625 rpm", "115 V", 60}, {PermanentSplit, "2650 rpm", "230 V", 50},
		{SplitPhase, "1750 rpm", "115 V", 60}, {SplitPhase, "2790 rpm", "220 V", 50},
	} {
		m := Resolve(Described{Kind: c.kind, Plate: Plate{Power: "370 W", Speed: c.speed, Volts: c.volts, Amps: "4 A"}},
			q.NewReader("motor"))
		assert.Equal(t, c.hertz, m.Hertz.Value, "%s %s %s", c.kind, c.speed, c.volts)
	}
}

// Of a peak rating ohms and stall follow from the plate as it reads; for hours amps are as much less as the power. Amps
// that cannot carry the peak are those for hours already.
func TestAPeaksOhmsAreThePlates(t *testing.T) {
	of := func(amps q.Text, means string) Resolved {
		return Resolve(Described{Kind: PermanentMagnetDC, Plate: Plate{Power: "2 hp", Speed: "5000 rpm", Volts: "130 V",
			Amps: amps, PowerMeans: means}}, q.NewReader("motor"))
	}
	peak, asRead := of("16 A", "peak"), of("16 A", "continuous")
	require.True(t, peak.Ready())
	// 2080 W go in and 1491 come out: half of the rest is in the winding, 1.15 Ω, and it stalls at 113 A.
	assert.InDelta(t, 1.15, peak.DC.Resistance.Value, 0.005)
	assert.InEpsilon(t, asRead.DC.Resistance.Value, peak.DC.Resistance.Value, 1e-9)
	assert.InEpsilon(t, asRead.DC.Ke.Value, peak.DC.Ke.Value, 1e-9)
	assert.InDelta(t, 0.7*16, peak.Amps.Value, 1e-9)
	assert.InEpsilon(t, 0.7*asRead.Power.Value, peak.Power.Value, 1e-9)
	assert.InEpsilon(t, 0.7*1491.4/(5000*q.RPM), peak.Torque.Value, 0.01)

	short := of("9 A", "peak") // 1170 W cannot make 1491
	assert.InDelta(t, 9, short.Amps.Value, 1e-9, "these are the amps for hours")
}
