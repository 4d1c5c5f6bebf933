package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
)

func read370(readings ...Reading) Resolved {
	r := q.NewReader("motor")
	return Resolve(Described{Kind: PermanentMagnetDC, Readings: readings,
		Plate: Plate{Power: "370 W", Speed: "1750 rpm", Volts: "180 V", Amps: "2.8 A"}}, r)
}

func finds(m Resolved, id f.ID) *f.Finding {
	for _, one := range m.Findings(q.Metric) {
		if one.ID == id {
			return &one
		}
	}
	return nil
}

// A plate that is whole gives the torque. One reading that fits it makes nothing less certain, whatever it is of.
func TestAReadingNeverLoosens(t *testing.T) {
	before := read370()
	assert.Zero(t, before.Spread)
	for name, reading := range map[string]Reading{
		"resistance":    {Sort: "resistance", Ohms: "8 Ω"},
		"held":          {Sort: "locked", Volts: "12 V", Amps: "1.5 A"},
		"open":          {Sort: "open", Volts: "86 V", Speed: "960 rpm"},
		"free":          {Sort: "free", Volts: "90 V", Amps: "0.4 A", Speed: "970 rpm"},
		"free, no amps": {Sort: "free", Volts: "90 V", Speed: "970 rpm"},
		"loaded":        {Sort: "loaded", Volts: "120 V", Amps: "2 A", Speed: "1150 rpm", Torque: "1.35 N·m"},
	} {
		after := read370(reading)
		require.True(t, after.Ready(), name)
		assert.LessOrEqual(t, after.Spread, before.Spread, name)
		assert.InEpsilon(t, before.Torque.Value, after.Torque.Value, 0.06, name)
		assert.Nil(t, finds(after, f.MotorEnergy), name)
	}
}

// Whatever is read, what is less certain for it is at most what it was.
func TestNoReadingLoosens(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := Described{Kind: rapid.SampledFrom([]Kind{PermanentMagnetDC, Universal}).Draw(t, "kind"),
			Plate: Plate{Power: "1/2 hp", Speed: "3000 rpm", Volts: "120 V", Amps: "5 A"}}
		if rapid.Bool().Draw(t, "no power") {
			d.Plate.Power = ""
		}
		before := Resolve(d, q.NewReader("motor"))
		d.Readings = []Reading{{Sort: rapid.SampledFrom([]string{"resistance", "locked", "free", "loaded", "open"}).
			Draw(t, "sort"), Ohms: amount(t, "ohms", 0.5, 6, "Ω"), Volts: amount(t, "volts", 5, 120, "V"),
			Amps: amount(t, "amps", 0.3, 6, "A"), Speed: amount(t, "speed", 300, 4000, "rpm"),
			Torque: amount(t, "torque", 0.1, 2, "N·m")}}
		after := Resolve(d, q.NewReader("motor"))
		if before.Ready() && after.Ready() {
			assert.LessOrEqual(t, after.Spread, before.Spread)
		}
		for _, w := range after.Workings(q.Metric) {
			assert.NotContains(t, w.Value, "−", "%s: %s", w.Label, w.Value)
		}
	})
}

func amount(t *rapid.T, name string, low, high float64, unit string) q.Text {
	return q.Written(rapid.Float64Range(low, high).Draw(t, name), unit)
}

// Energy must close: what the winding burns and the shaft gives is no more than what goes in, and a motor cannot
// make more volts at its plate's speed than it is given there.
func TestWhatCannotBeTrueTogetherIsNamed(t *testing.T) {
	hot := finds(read370(Reading{Sort: "resistance", Ohms: "20 Ω"}), f.MotorEnergy)
	require.NotNil(t, hot)
	assert.Contains(t, hot.Detail, "157", "2.8² × 20 W of heat")
	assert.Contains(t, hot.Detail, "504", "180 × 2.8 W going in")
	assert.Nil(t, finds(read370(Reading{Sort: "resistance", Ohms: "16 Ω"}), f.MotorEnergy), "125 W is what there is")

	fast := finds(read370(Reading{Sort: "open", Volts: "110.2 V", Speed: "1000 rpm"}), f.MotorMadeVolts)
	require.NotNil(t, fast)
	assert.Contains(t, fast.Detail, "193", "0.1102 × 1750 V")
	assert.Nil(t, finds(read370(Reading{Sort: "open", Volts: "96 V", Speed: "1000 rpm"}), f.MotorMadeVolts))
}

// A reading gives way to a whole plate where it is off by more than a tenth.
func TestAReadingLooserThanAPlateGivesWay(t *testing.T) {
	whole := read370()
	for spread, used := range map[float64]bool{0.099: true, 0.101: false} {
		assert.Equal(t, used, whole.firm(Estimate{Value: 0.9, Spread: spread}).OK(), spread)
	}
	partly := whole
	partly.Spread = 0.15
	assert.True(t, partly.firm(Estimate{Value: 0.9, Spread: 0.2}).OK())
}
