package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
)

// Beliefs of the fit that no single reading shows, each by its number.
func TestFiguresOfTheFit(t *testing.T) {
	assert.True(t, Estimate{Value: 1, Spread: 0.299}.Found())
	assert.False(t, Estimate{Value: 1, Spread: 0.301}.Found(), "30 % is no longer found")
	assert.Equal(t, 0.06, nakedOff, "a free run without its amps")
	assert.Equal(t, 1.5, loose, "a factor of e and more either way, before any reading")
	assert.Equal(t, 0.35, worthReading)
}

// What a plate leaves unsaid is filled in [common practice]: half of its loss is in the winding, and a series motor
// without a load is followed to three times its speed.
func TestFiguresThatFillAPlate(t *testing.T) {
	m := resolved(t, Described{Kind: PermanentMagnetDC,
		Plate: Plate{Power: "400 W", Speed: "1800 rpm", Volts: "100 V", Amps: "5 A"}})
	assert.InDelta(t, 0.5*100/25, m.DC.Resistance.Value, 1e-9, "of 100 W lost at 5 A")
	clutched := resolved(t, Described{Kind: PermanentMagnetDC, Clutch: Clutch{Fitted: true},
		Plate: Plate{Power: "400 W", Speed: "1800 rpm", Volts: "100 V", Amps: "5 A"}})
	assert.InDelta(t, 0.6, clutched.Clutch.Engages/clutched.Speed.Value, 1e-9, "where a clutch takes hold")
	assert.InDelta(t, 1.5, clutched.Clutch.Holds/clutched.Torque.Value, 1e-9, "what it holds at full speed")
	d, _ := specimen(Universal)
	series := resolved(t, d)
	series.Series.Friction.Value = 1e-9
	feed := free(OnTheLine)
	feed.Volts, feed.Hertz = 230, 50
	_, high := series.On(feed).RotorSpan()
	assert.InDelta(t, 3, high/series.Speed.Value, 1e-9)
}

func TestFortyReadingsAreTaken(t *testing.T) {
	readings := make([]Reading, 40)
	r := q.NewReader("motor")
	Resolve(Described{Kind: PermanentMagnetDC, Readings: readings}, r)
	assert.NoError(t, r.Err())
	Resolve(Described{Kind: PermanentMagnetDC, Readings: append(readings, Reading{})}, r)
	assert.ErrorContains(t, r.Err(), "at most 40 readings")
}

// A short burst counts three times at most, a line's volts by their square, a worm box keeps 65 % unless told
// [common practice].
func TestFiguresOfAMotorOnItsFeed(t *testing.T) {
	m := Resolve(conveyor(), q.NewReader("motor"))
	assert.Equal(t, 3.0, m.Overload(1, 3600))
	assert.Equal(t, 3.0, m.Overload(0, 60))

	on := func(volts float64) float64 {
		model := m.On(Feed{Kind: OnTheLine, Volts: volts, Hertz: 50, FormFactor: 1})
		_, high := model.Span()
		return model.Peak(high * 0.99).Torque
	}
	assert.InEpsilon(t, 2.5*m.Torque.Value/1.1, on(230), 1e-9)
	assert.InEpsilon(t, 0.81*on(230), on(207), 1e-9)

	boxed := scrubber()
	boxed.Gearbox = Gearbox{Sort: "worm", Ratio: "20"}
	m = Resolve(boxed, q.NewReader("motor"))
	assert.InDelta(t, 0.65, m.Gear.Efficiency, 1e-12)
}

// A body with no speed on its plate is guessed at by its class [common practice].
func TestTheSpeedsOfABodysClass(t *testing.T) {
	for body, rpm := range map[q.Text]float64{"80 mm": 4000, "94 mm": 4000, "95 mm": 2200, "130 mm": 2200} {
		d := scrubber()
		d.Plate.Speed, d.Body.Diameter = "", body
		m := Resolve(d, q.NewReader("motor"))
		assert.InEpsilon(t, rpm, m.Speed.Value/q.RPM, 1e-9, body)
		assert.Equal(t, 0.35, m.Spread, body)
	}
}

// A stepper's power is the most on its own curve, never its torque at rest at its fastest.
func TestAStepperIsAsStrongAsItsCurve(t *testing.T) {
	d := Described{Kind: Stepper, Plate: Plate{HoldingTorque: "2 N·m", Amps: "3 A", Volts: "36 V"}, Readings: []Reading{
		{Sort: "pull-out", Speed: "60 rpm", Torque: "1.5 N·m"}, {Sort: "pull-out", Speed: "300 rpm", Torque: "1 N·m"},
		{Sort: "pull-out", Speed: "900 rpm", Torque: "0.2 N·m"}}}
	m := Resolve(d, q.NewReader("motor"))
	// T = 1.4 − n/750 between the last two, whose crest of T·ω is at 525 rpm with 0.7 N·m.
	assert.InEpsilon(t, 0.7*525*q.RPM, m.Power.Value, 1e-9)
}

// What a motor draws at rest goes by its kind, a start capacitor by its motor [common practice].
func TestStartsGoByTheKind(t *testing.T) {
	for kind, times := range map[Kind]float64{SplitPhase: 7, CapacitorStart: 5, CapacitorRun: 5, PermanentSplit: 3,
		ShadedPole: 2, ThreePhase: 6, TwoSpeed: 6} {
		m := Resolve(Described{Kind: kind, Plate: Plate{Power: "250 W", Speed: "1400 rpm", Volts: "230 V", Amps: "2 A",
			Hertz: "50 Hz", SecondSpeed: "700 rpm"}}, q.NewReader("motor"))
		assert.InDelta(t, 2*times, StartAmps(&m), 1e-9, kind)
	}
	for farads, far := range map[q.Text]bool{"2000 µF": true, "250 µF": false, "700 µF": false, "900 µF": true,
		"50 µF": true, "90 µF": false} {
		d := Described{Kind: CapacitorStart, Plate: Plate{Power: "1/2 hp", Speed: "1725 rpm", Volts: "115 V",
			Amps: "7.8 A", Hertz: "60 Hz", Capacitor: farads}}
		m := Resolve(d, q.NewReader("motor"))
		found := false
		for _, one := range m.Findings(q.Metric) {
			found = found || one.ID == f.MotorCapacitorFar
		}
		assert.Equal(t, far, found, farads)
	}
}
