package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"

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
