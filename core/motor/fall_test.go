package motor

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// What nobody watches falls by what the ohms take: V stays, so K_e·ω_free + I_free·R = K_e·ω + I·R, solved here from
// the other end.
func TestAnUnwatchedArmatureFallsByItsOhms(t *testing.T) {
	m := resolved(t, scrubber())
	feed := free(DirectCurrent)
	feed.Volts = 180
	model := m.On(feed)
	dc := m.DC
	for _, share := range []float64{1, 0.2} {
		omega := share * m.Speed.Value
		amps := (m.Torque.Value + dc.Friction.Value) / dc.Ke.Value
		volts := dc.Ke.Value*omega + amps*dc.Resistance.Value
		unloaded := (volts - dc.Friction.Value/dc.Ke.Value*dc.Resistance.Value) / dc.Ke.Value
		assert.InEpsilon(t, 1-omega/unloaded, model.Fall(m.Torque.Value, omega), 1e-9)
	}
	assert.Greater(t, model.Fall(m.Torque.Value, 0.2*m.Speed.Value), 3*model.Fall(m.Torque.Value, m.Speed.Value),
		"the fewer volts the more of them the ohms take")
	assert.Zero(t, model.Fall(0, m.Speed.Value))
	feed.Held = 0.02
	assert.Equal(t, 0.02, m.On(feed).Fall(m.Torque.Value, m.Speed.Value))
}

// An induction motor falls by its slip: on the line to where it runs; on an inverter by as many rpm at any hertz.
func TestInductionFallsByItsSlip(t *testing.T) {
	m := resolved(t, conveyor())
	line := m.On(onLine(230, 50))
	omega, ok := line.RunsAt(func(float64) float64 { return m.Torque.Value })
	require.True(t, ok)
	assert.InEpsilon(t, 100.0/1500, line.Fall(m.Torque.Value, omega), 1e-3)
	drive := free(VariableHertz)
	drive.Volts, drive.BaseVolts, drive.BaseHertz, drive.TopHertz = 230, 230, 50, 100
	on := m.On(drive)
	assert.InEpsilon(t, 100.0/1500, on.Fall(m.Torque.Value, 1400*q.RPM), 1e-6)
	assert.InEpsilon(t, 100.0/500, on.Fall(m.Torque.Value, 400*q.RPM), 1e-6)
	assert.InEpsilon(t, 50.0/1450, on.Fall(m.Torque.Value/2, 1400*q.RPM), 1e-6)
	assert.InEpsilon(t, 400.0/3200, on.Fall(m.Torque.Value, 2800*q.RPM), 1e-2, "half the field, four times the slip")
	drive.Held = 0.01
	assert.Equal(t, 0.01, m.On(drive).Fall(m.Torque.Value, 1400*q.RPM))
}

// A series motor falls by tens of per cent: on the volts that carry the load it runs free far faster, at most as far as
// such speeds are drawn.
func TestASeriesMotorFallsFar(t *testing.T) {
	m := resolved(t, Described{Kind: Universal, Plate: Plate{Power: "500 W", Speed: "9000 rpm", Volts: "230 V",
		Amps: "4 A"}})
	feed := free(CutSine)
	feed.Volts = 230
	model := m.On(feed)
	fall := model.Fall(m.Torque.Value, m.Speed.Value)
	assert.Greater(t, fall, 0.4)
	assert.LessOrEqual(t, fall, 1-1.0/runaway+1e-9)
	assert.Less(t, model.Fall(m.Torque.Value/4, m.LightSpeed(0.25)), fall)
	feed.Held = 0.01
	assert.Equal(t, 0.01, m.On(feed).Fall(m.Torque.Value, m.Speed.Value))
	assert.False(t, math.IsNaN(model.Fall(0, 0)))
}
