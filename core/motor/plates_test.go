package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Ordinary plates that leave the power factor blank, a three-phase motor of 3 hp and up among them, are true; what
// no motor does is not. The power factor taken is the one the plate's own watts imply.
func TestABlankPowerFactorAccusesNobody(t *testing.T) {
	for _, c := range []struct {
		plate Plate
		kind  Kind
		fair  bool
	}{
		{Plate{Power: "3 hp", Speed: "1740 rpm", Volts: "230 V", Amps: "8.2 A", Hertz: "60 Hz"}, ThreePhase, true},
		{Plate{Power: "5 hp", Speed: "1745 rpm", Volts: "230 V", Amps: "12.8 A", Hertz: "60 Hz"}, ThreePhase, true},
		{Plate{Power: "7.5 kW", Speed: "1455 rpm", Volts: "400 V", Amps: "14.6 A", Hertz: "50 Hz"}, ThreePhase, true},
		{Plate{Power: "15 hp", Speed: "3525 rpm", Volts: "460 V", Amps: "17.2 A", Hertz: "60 Hz"}, ThreePhase, true},
		{Plate{Power: "1 hp", Speed: "1725 rpm", Volts: "115 V", Amps: "12 A", Hertz: "60 Hz"}, CapacitorStart, true},
		{Plate{Power: "5 hp", Speed: "1745 rpm", Volts: "230 V", Amps: "9 A", Hertz: "60 Hz"}, ThreePhase, false},
		{Plate{Power: "2 hp", Speed: "1725 rpm", Volts: "115 V", Amps: "13 A", Hertz: "60 Hz"}, CapacitorStart, false},
	} {
		m := Resolve(Described{Kind: c.kind, Plate: c.plate}, q.NewReader("motor"))
		require.True(t, m.Ready(), c.plate.Power)
		lie := finds(m, f.MotorPlatePower)
		assert.Equal(t, c.fair, lie == nil, "%s at %s", c.plate.Power, c.plate.Amps)
		if c.fair {
			assert.Equal(t, m.PlatePower.Value, m.Power.Value, "not derated")
			assert.GreaterOrEqual(t, m.PowerFactor.Value, 0.6)
			assert.LessOrEqual(t, m.PowerFactor.Value, 0.95)
			assert.Less(t, m.Efficiency.Value, 1.0)
		}
	}
}

// A two-pole 60 Hz plate without its hertz is read as one.
func TestHertzAreReadOffTheSpeed(t *testing.T) {
	for speed, hertz := range map[q.Text]float64{"3450 rpm": 60, "3500 rpm": 60, "3550 rpm": 60, "1725 rpm": 60,
		"1760 rpm": 60, "1140 rpm": 60, "2850 rpm": 50, "2920 rpm": 50, "1425 rpm": 50, "1460 rpm": 50, "940 rpm": 50} {
		plate := Plate{Power: "1 hp", Speed: speed, Volts: "230 V", Amps: "3 A"}
		m := Resolve(Described{Kind: ThreePhase, Plate: plate}, q.NewReader("motor"))
		require.True(t, m.Ready(), "%s is refused: %v", speed, m.Needs)
		assert.Equal(t, hertz, m.Hertz.Value, speed)
		assert.Less(t, m.Induction.Slip, 0.08, speed)
	}
}

// Power and speed alone give the torque, whatever else is missing.
func TestPowerAndSpeedGiveTheTorque(t *testing.T) {
	for _, kind := range []Kind{PermanentMagnetDC, WoundDC, Universal, ThreePhase, SplitPhase, PermanentSplit,
		ShadedPole, Brushless, Servo} {
		m := Resolve(Described{Kind: kind, Plate: Plate{Power: "600 W", Speed: "2800 rpm"}}, q.NewReader("motor"))
		assert.InEpsilon(t, 2.046, m.Torque.Value, 1e-3, kind)
		found := false
		for _, w := range m.Workings(q.Metric) {
			found = found || w.ID == working.MotorTorque
		}
		assert.True(t, found, "%s: it is shown", kind)
	}
}

// What a run capacitor may be marked for, by the line: common practice, no source.
func TestTheLeastARunCapacitorIsMarkedFor(t *testing.T) {
	for line, least := range map[float64]float64{110: 250, 120: 250, 127: 250, 208: 370, 230: 370, 240: 370, 250: 370,
		400: 800} {
		assert.Equal(t, least, LeastCapacitorVolts(line), line)
	}
}
