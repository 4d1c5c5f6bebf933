package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// Source: Fitzgerald, Electric Machinery, example 7.1, from memory. A DC machine with 125 V
// open-circuit at 3000 rpm and 0.02 Ω takes 150 A at 128 V: 18.75 kW converted, 59.7 N·m.
func TestFitzgeraldSeparatelyExcited(t *testing.T) {
	m := resolved(t, Described{
		Kind:     PermanentMagnetDC,
		Plate:    Plate{Power: "18 kW", Speed: "3000 rpm", Volts: "128 V", Amps: "175 A"},
		Readings: []Reading{{Sort: "open", Volts: "125 V", Speed: "3000 rpm"}, {Sort: "resistance", Ohms: "0.02 Ω"}},
	})
	require.True(t, m.Ready())
	omega := 3000 * q.RPM
	amps := (128 - m.DC.Ke.Value*omega) / m.DC.Resistance.Value
	assert.InEpsilon(t, 150, amps, 1e-6)
	assert.InEpsilon(t, 18750, m.DC.Ke.Value*omega*amps, 1e-6)
	assert.InEpsilon(t, 59.7, m.DC.Ke.Value*amps, 1e-3)
	// The same point asked of the model, friction taken out.
	feed := free(DirectCurrent)
	feed.Volts = 128
	assert.InEpsilon(t, 59.7, m.On(feed).Peak(omega).Torque+m.DC.Friction.Value, 1e-3)
}

// Source: Chapman, Electric Machinery Fundamentals, chapter 6, from memory. 10 hp, four poles,
// 60 Hz, 5 % slip: 1710 rpm and 41.7 N·m.
func TestChapmanInduction(t *testing.T) {
	m := resolved(t, Described{Kind: ThreePhase, Plate: Plate{Power: "10 hp", Speed: "1710 rpm", Volts: "208 V",
		Amps: "30 A", Hertz: "60 Hz",
		PowerFactor: "0.85"}})
	require.True(t, m.Ready())
	assert.Equal(t, 4.0, m.Induction.Poles.Value)
	assert.InEpsilon(t, 0.05, m.Induction.Slip, 1e-9)
	assert.InEpsilon(t, 41.7, m.Torque.Value, 2e-3)
}

// Common practice, no source: 180 V drawing 82 A stalled is 2.2 Ω.
func TestStallResistance(t *testing.T) {
	m := resolved(t, Described{Kind: PermanentMagnetDC, Plate: Plate{Power: "1.5 hp", Speed: "4000 rpm", Volts: "180 V",
		Amps: "8 A"}, Readings: []Reading{{Sort: "resistance",
		Ohms: "2.2 Ω"}}})
	feed := free(DirectCurrent)
	feed.Volts = 180
	assert.InEpsilon(t, 82, m.On(feed).StallAmps(), 0.003)
}

// Common practice, no source: a four-pole motor on 54 Hz has synchronous speed 1620 rpm; its
// 1760 rpm plate scaled by hertz is 1584; seen at 1617 it carries about 1/12 of its load.
func TestSlipAtFiftyFourHertz(t *testing.T) {
	sync := synchronous(54, 4) / q.RPM
	assert.InEpsilon(t, 1620, sync, 1e-9)
	plate := 1760 * 54. / 60
	assert.InEpsilon(t, 1584, plate, 1e-9)
	assert.InEpsilon(t, 1./12, (sync-1617)/(sync-plate), 1e-9)
}

// Derived: synchronous speeds of two and four poles at 50, 60, 87 and 400 Hz.
func TestSynchronousSpeeds(t *testing.T) {
	for _, c := range [][3]float64{{50, 4, 1500}, {60, 4, 1800}, {60, 2, 3600}, {87, 4, 2610}, {400, 2, 24000}} {
		assert.InEpsilon(t, c[2], synchronous(c[0], c[1])/q.RPM, 1e-9)
	}
	for _, c := range [][3]float64{{50, 1425, 4}, {50, 2850, 2}, {60, 1725, 4}, {60, 1140, 6}, {50, 940, 6},
		{50, 1499, 4}} {
		assert.Equal(t, c[2], NearestPoles(c[0], c[1]*q.RPM), "%v rpm on %v Hz", c[1], c[0])
	}
}
