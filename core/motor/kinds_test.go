package motor

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/shaft"
)

// specimen is a whole plate of a kind, and a feed at its plate's volts and hertz.
func specimen(kind Kind) (Described, Feed) {
	d := Described{Kind: kind, ThermalSwitch: "wired", Plate: Plate{Power: "250 W", Speed: "1425 rpm", Volts: "230 V",
		Amps: "2.2 A", Hertz: "50 Hz",
		PowerFactor: "0.75"}}
	feed := free(OnTheLine)
	feed.Volts, feed.Hertz = 230, 50
	switch kind {
	case PermanentMagnetDC, WoundDC, Brushless, Servo:
		d.Plate = Plate{Power: "250 W", Speed: "3000 rpm", Volts: "48 V", Amps: "6.8 A"}
		feed = free(DirectCurrent)
		feed.Volts = 48
	case Universal:
		d.Plate = Plate{Power: "430 W", Speed: "11000 rpm", Volts: "230 V", Amps: "3.6 A", Hertz: "50 Hz"}
		feed = free(CutSine)
		feed.Volts = 230
	case ShadedPole:
		d.Plate = Plate{Power: "15 W", Speed: "1300 rpm", Volts: "230 V", Amps: "0.5 A", Hertz: "50 Hz"}
	case Stepper:
		d.Plate = Plate{HoldingTorque: "1.9 N·m", Amps: "2.8 A", Inductance: "3.2 mH", Volts: "36 V"}
		feed = free(Pulses)
		feed.Volts = 36
	}
	return d, feed
}

// The figure to reach: the model at the plate point within 0.5 % of the plate, for every kind.
func TestEveryKindHoldsItsPlate(t *testing.T) {
	for _, p := range Profiles() {
		d, feed := specimen(p.Kind)
		m := resolved(t, d)
		require.True(t, m.Ready(), "%s: %+v", p.Kind, m.Needs)
		model := m.On(feed)
		held := model.Steady(m.Speed.Value, 1)
		if p.Kind == Stepper {
			assert.InEpsilon(t, 0.7*1.9, model.Steady(0.5*m.Speed.Value, 1).Torque, 0.005,
				"below its corner a stepper pulls 0.7 of what it holds")
		} else {
			power, err := q.Parse(d.Plate.Power, q.Power)
			require.NoError(t, err)
			assert.InEpsilon(t, power, held.Torque*m.Speed.Value, 0.005, "%s", p.Kind)
			assert.NotEmpty(t, held.By, p.Kind)
		}
		low, high := model.Span()
		assert.True(t, low > 0 && high > low, "%s spans %v to %v", p.Kind, low, high)
		for i := range 40 {
			omega := low + (high-low)*float64(i)/39
			c, b, k := model.Limits(omega, 1.6)
			assert.True(t, c.Torque <= b.Torque*1.0001 && b.Torque <= k.Torque*1.0001, "%s at %v: %v %v %v", p.Kind,
				omega, c, b, k)
			assert.False(t, math.IsInf(k.Torque, 0) || math.IsNaN(k.Torque))
		}
		assert.Positive(t, model.Breakaway().Torque, p.Kind)
		assert.Positive(t, model.AmpsFor(held.Torque, m.Speed.Value), p.Kind)
		assert.Positive(t, model.StallAmps(), p.Kind)
		assert.NotEmpty(t, m.Workings(q.Metric), p.Kind)
		for _, words := range []string{p.Supply, p.Starts, p.Loaded, p.Suits, p.Reverses, p.Wears, p.Donors} {
			assert.NotEmpty(t, words, p.Kind)
		}
	}
}

// Common practice, no source: starting torque as multiples of full load.
func TestStartMultiplesFallWithinTheirRanges(t *testing.T) {
	for kind, span := range map[Kind][2]float64{SplitPhase: {1.25, 1.75}, CapacitorStart: {3, 4.5},
		PermanentSplit: {0.3, 1}, ShadedPole: {0.2, 0.5}, ThreePhase: {1.5,
			2.5}} {
		d, feed := specimen(kind)
		m := resolved(t, d)
		start := m.On(feed).Breakaway().Torque / m.Torque.Value
		assert.True(t, start >= span[0] && start <= span[1], "%s starts at × %v", kind, start)
	}
}

func TestASeriesMotorSagsAndRunsAway(t *testing.T) {
	d, feed := specimen(Universal)
	m := resolved(t, d)
	assert.InEpsilon(t, m.Speed.Value, m.LightSpeed(1), 1e-6, "plate speed at plate torque")
	assert.Greater(t, m.LightSpeed(0.25), 1.2*m.LightSpeed(1))
	assert.True(t, has(m, "motor.runs-away", f.Caution))
	model := m.On(feed)
	assert.Greater(t, model.Breakaway().Torque, 3*m.Torque.Value, "it starts hard")

	feed = free(OnTheLine)
	feed.Volts, feed.Hertz = 230, 50
	line := m.On(feed)
	low, high := line.Span()
	assert.InEpsilon(t, m.Speed.Value, low, 1e-6, "switched straight on, full load at plate speed")
	assert.Greater(t, high, 1.5*low)
	assert.InDelta(t, 0, line.Peak(high).Torque, 0.1*m.Torque.Value)
	assert.Greater(t, line.RunUp(0.3*low), line.RunUp(low))
	feed.Kind, feed.Volts = DirectCurrent, 230
	dc, _ := m.On(feed).RotorSpan()
	cut, _ := model.RotorSpan()
	assert.GreaterOrEqual(t, dc, cut, "on direct current all the volts count")
}

func TestGearboxAndClutch(t *testing.T) {
	d, feed := specimen(PermanentMagnetDC)
	bare := resolved(t, d)
	d.Gearbox = Gearbox{Sort: "worm", Ratio: "30", Efficiency: "70 %"}
	m := resolved(t, d)
	omega := m.Speed.Value / 30
	assert.InEpsilon(t, bare.On(feed).Steady(m.Speed.Value, 1).Torque*30*0.7, m.On(feed).Steady(omega, 1).Torque, 1e-9)
	d.Gearbox.Limit = "10 N·m"
	m = resolved(t, d)
	assert.Equal(t, Limited{10, GearRating}, m.On(feed).Steady(omega, 1))
	assert.Equal(t, GearRating, m.On(feed).Breakaway().By)
	d.Gearbox.PlateOf, d.Plate.Speed = "output", "100 rpm"
	assert.InEpsilon(t, 3000*q.RPM, resolved(t, d).Speed.Value, 1e-9, "a plate that gives the output's speed")

	d, feed = specimen(PermanentMagnetDC)
	d.Clutch = Clutch{Fitted: true, Engages: "1500 rpm", Holds: "1.2 N·m", Motor: "2800 rpm", Output: "2500 rpm",
		Torque: "0.7 N·m"}
	m = resolved(t, d)
	model := m.On(feed)
	low, _ := model.Span()
	assert.Greater(t, low, 1500*q.RPM)
	assert.Zero(t, model.Peak(1400*q.RPM).Torque, "it has not taken hold yet")
	assert.Equal(t, ClutchSlip, model.Peak(2000*q.RPM).By)
	assert.InEpsilon(t, m.Torque.Value, m.Clutch.Carries(m.Clutch.Locks), 1e-9)
	assert.InEpsilon(t, 0.7*300*q.RPM, m.Clutch.SlipHot, 1e-9, "torque times lost speed is heat")
	assert.True(t, has(m, "motor.clutch", f.Caution))
}

// Common practice, no source: a fan tried on 20, 15, 10 and 8 µF ran at 1250, 1130, 970 and 900.
func TestFanOnItsCapacitors(t *testing.T) {
	d, _ := specimen(PermanentSplit)
	d.Plate.Speed = "1250 rpm"
	for _, r := range [][3]string{{"20 µF", "1250", "10 of 10"}, {"8 µF", "900", "7 of 10"}, {"15 µF", "1130", ""},
		{"10 µF", "970", "10/10"},
		{"12 µF", "960", ""}} {
		d.Readings = append(d.Readings, Reading{Sort: "capacitor", Capacitor: q.Text(r[0]), Speed: q.Text(r[1]),
			Starts: r[2]})
	}
	m := resolved(t, d)
	require.Len(t, m.Trials, 4, "one that turns slower on a larger capacitor is a misreading")
	feed := free(Capacitors)
	feed.Volts, feed.Hertz = 230, 50
	model := m.On(feed)
	low, high := model.Span()
	assert.InEpsilon(t, 970*q.RPM, low, 1e-9, "no slower than where it still starts every time")
	assert.InEpsilon(t, 1250*q.RPM, high, 1e-9)
	assert.InEpsilon(t, math.Pow(970./1250, 2), model.Steady(low, 1).Torque/model.Steady(high, 1).Torque, 1e-9)
	assert.InEpsilon(t, 0.467, FanPower(970./1250), 2e-3)
	assert.InDelta(t, -5.5, FanQuieter(970./1250), 0.05)
	last := 0.0
	for farads := 8.0; farads <= 20; farads += 0.5 {
		omega, ok := m.SpeedOn(farads * 1e-6)
		require.True(t, ok)
		assert.Greater(t, omega, last, "monotone between the trials")
		last = omega
	}
	_, ok := m.SpeedOn(30e-6)
	assert.False(t, ok)
	assert.True(t, has(m, "motor.fan-starts", f.Caution))
	d.Plate.CapacitorVolts = "250 V"
	assert.True(t, has(resolved(t, d), "motor.capacitor-volts", f.Stop))
	for text, want := range map[string]bool{"9 of 10": true, "10/10": true, "": true, "often": false, "11 of 10": false,
		"3 of 0": false} {
		_, ok := startShare(text)
		assert.Equal(t, want, ok, text)
	}
}

func TestStepperPullOut(t *testing.T) {
	d, feed := specimen(Stepper)
	m := resolved(t, d)
	corner := 36 / (2 * 3.2e-3 * 2.8) / 200 * 60 // rpm
	at := func(rpm float64) float64 { return m.On(feed).Steady(rpm*q.RPM, 1).Torque }
	assert.InEpsilon(t, 0.7*1.9, at(corner*0.9), 1e-9)
	assert.InEpsilon(t, 0.7*1.9/2, at(corner*2), 1e-9, "past the corner with one over speed")
	feed.Volts = 72
	assert.InEpsilon(t, 0.7*1.9, m.On(feed).Steady(1.9*corner*q.RPM, 1).Torque, 1e-9,
		"twice the volts, twice the corner speed")

	d.Readings = []Reading{{Sort: "pull-out", Speed: "600 rpm", Torque: "62 N·cm"},
		{Sort: "pull-out", Speed: "60 rpm",
			Torque: "150 N·cm"}}
	m = resolved(t, d)
	assert.InEpsilon(t, 1.06, m.On(feed).Steady(330*q.RPM, 1).Torque, 1e-9, "on the line between two points")
	assert.Zero(t, m.On(feed).Peak(601*q.RPM).Torque, "beyond the last it is not known to turn")
	assert.True(t, has(m, "motor.loses-steps", f.Caution))
}

func TestTwoSpeeds(t *testing.T) {
	d, feed := specimen(TwoSpeed)
	d.Plate.RunsOn = "slow"
	assert.Equal(t, "plate.secondSpeed", resolved(t, d).Needs[0].Field)
	d.Plate.SecondSpeed = "475 rpm"
	m := resolved(t, d)
	require.True(t, m.Ready())
	assert.Equal(t, 12.0, m.Induction.Poles.Value)
	_, high := m.On(feed).Span()
	assert.InEpsilon(t, 500*q.RPM, high, 1e-9)
}

// Common practice, no source: a 76–90 mm body is of the small fast class, 100–127 mm of the large
// one for hours of work.
func TestABodyGivesAGuessWithItsDoubt(t *testing.T) {
	d := scrubber()
	d.Plate.Speed = ""
	for _, c := range []struct {
		diameter q.Text
		ready    bool
		fast     bool
	}{{"80 mm", true, true}, {"90 mm", true, true}, {"102 mm", true, false}, {"127 mm", true, false},
		{"60 mm", false, false},
		{"", false, false}} {
		d.Body.Diameter = c.diameter
		m := resolved(t, d)
		assert.Equal(t, c.ready, m.Ready(), c.diameter)
		if !c.ready {
			continue
		}
		assert.Equal(t, c.fast, m.Speed.Value > 3000*q.RPM, c.diameter)
		assert.InEpsilon(t, 0.35, m.Spread, 1e-9)
		assert.True(t, has(m, "motor.guess", f.Caution))
	}
	d.Readings = []Reading{{Sort: "open", Volts: "74.4 V", Speed: "820 rpm"}}
	m := resolved(t, d)
	assert.Empty(t, m.Guess, "one reading ends the guessing")
	assert.Less(t, m.Spread, 0.05)
	d.Body.Shaft = "4 mm"
	assert.True(t, has(resolved(t, d), "motor.shaft-thin", f.Caution))
	// Source: ASME shafting code, allowed 41 MPa with a keyway, from memory: 16 mm bears 33 N·m.
	assert.InEpsilon(t, 33, shaft.Bears(0.016, shaft.Keyed), 0.01)
}

// A fan read faster than its field turns is misread: the reading is named and left out. One that turns faster than its
// plate says is lighter than rated, by no more than the slip leaves.
func TestAFanStaysUnderItsField(t *testing.T) {
	d, _ := specimen(PermanentSplit)
	d.Plate.Speed, d.Plate.Hertz = "1350 rpm", "50 Hz"
	read := func(speed q.Text) *Resolved {
		d.Readings = []Reading{{Sort: "capacitor", Capacitor: "4 µF", Speed: "1040"},
			{Sort: "capacitor", Capacitor: "9 µF", Speed: speed}}
		return resolved(t, d)
	}
	m := read("1520 rpm")
	assert.True(t, has(m, "motor.trial-fast", f.Caution))
	assert.Len(t, m.Trials, 1)
	m = read("1440 rpm")
	assert.False(t, has(m, "motor.trial-fast", f.Caution))
	require.Len(t, m.Trials, 2)
	feed := free(Capacitors)
	feed.Volts, feed.Hertz = 230, 50
	// 60 rpm of slip where the plate has 150.
	assert.InEpsilon(t, 0.4*m.Torque.Value, m.On(feed).Steady(1440*q.RPM, 1).Torque, 1e-6)
}

// A plate with a third of slip is that of a motor strongest near standstill: what it carries at its speed is what the
// plate says.
func TestASoftMotorCarriesItsPlateAtItsSpeed(t *testing.T) {
	d, _ := specimen(CapacitorStart)
	d.Plate.Speed, d.Plate.Hertz, d.Plate.Poles = "1950 rpm", "50 Hz", "2"
	m := resolved(t, d)
	require.True(t, m.Ready())
	feed := free(OnTheLine)
	feed.Volts, feed.Hertz = m.Volts.Value, 50
	assert.InEpsilon(t, m.Torque.Value, m.On(feed).RunUp(1950*q.RPM), 1e-9)
}

// Where the last volt is used there is no torque, not what rounding leaves.
func TestNoTorqueIsNone(t *testing.T) {
	d, _ := specimen(PermanentMagnetDC)
	m := resolved(t, d)
	for volts := 20.0; volts < 180; volts += 0.7 {
		feed := free(DirectCurrent)
		feed.Volts = volts
		model := m.On(feed)
		_, high := model.Span()
		if torque := model.Peak(high).Torque; torque != 0 {
			assert.Greater(t, torque, 1e-9*m.Torque.Value, volts)
		}
	}
}
