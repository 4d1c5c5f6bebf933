package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

func onLine(volts, hertz float64) Feed {
	f := free(OnTheLine)
	f.Volts, f.Hertz = volts, hertz
	return f
}

// Where a motor's own curve meets the load it runs: at its plate's torque at its plate's speed, with nothing to carry
// near synchronous, and nowhere with more than it can pull.
func TestAMotorOnTheLineRunsWhereItsCurveMeetsTheLoad(t *testing.T) {
	m := resolved(t, conveyor())
	on := m.On(onLine(230, 50))
	steady := func(torque float64) func(float64) float64 { return func(float64) float64 { return torque } }
	omega, ok := on.RunsAt(steady(m.Torque.Value))
	require.True(t, ok)
	assert.InDelta(t, 1400, omega/q.RPM, 0.1)
	omega, ok = on.RunsAt(steady(m.Torque.Value / 100))
	require.True(t, ok)
	assert.InDelta(t, 1499, omega/q.RPM, 0.5)
	_, ok = on.RunsAt(steady(m.Torque.Value * m.Induction.Breakdown * 1.01))
	assert.False(t, ok)
	// A fan's load and the curve, met by hand: half a per cent apart at most.
	omega, _ = on.RunsAt(func(w float64) float64 { return 3 * w * w / (1500 * q.RPM) / (1500 * q.RPM) })
	assert.InEpsilon(t, 3*omega*omega/(1500*q.RPM)/(1500*q.RPM), on.RunUp(omega), 0.005)
	drive := free(VariableHertz)
	drive.Volts, drive.BaseVolts, drive.BaseHertz, drive.TopHertz = 230, 230, 50, 50
	_, ok = m.On(drive).RunsAt(steady(1))
	assert.False(t, ok, "a drive sets the speed itself")
}

// More load never makes it run faster.
func TestMoreLoadRunsSlower(t *testing.T) {
	m := resolved(t, sawMotor())
	on := m.On(onLine(230, 50))
	rapid.Check(t, func(t *rapid.T) {
		torque := rapid.Float64Range(0.01, 1.9).Draw(t, "share") * m.Torque.Value
		less := torque * rapid.Float64Range(0.1, 1).Draw(t, "of it")
		slow, ok := on.RunsAt(func(float64) float64 { return torque })
		require.True(t, ok)
		fast, ok := on.RunsAt(func(float64) float64 { return less })
		require.True(t, ok)
		assert.GreaterOrEqual(t, fast, slow-1e-3)
	})
}

// Off-plate volts and hertz: breakdown and start go with flux squared, so does the slip the other way; too much flux
// heats.
func TestFluxOffThePlate(t *testing.T) {
	m := resolved(t, conveyor())
	right, low := m.On(onLine(230, 50)), m.On(onLine(207, 50))
	assert.InEpsilon(t, 0.81*right.Breakaway().Torque, low.Breakaway().Torque, 1e-9)
	slow, _ := low.Span()
	assert.InEpsilon(t, 1500-100/0.81, slow/q.RPM, 1e-6, "rated torque asks for more slip")
	// Plate volts on five sixths of the hertz: flux 1.2, held all day (1.05/1.2)² of its torque.
	sixty := m.On(onLine(230, 50*5.0/6))
	at, _ := sixty.Span()
	assert.InEpsilon(t, 1.05*1.05/1.44*m.Torque.Value, sixty.Steady(at, 1).Torque, 1e-6)
	fine := m.On(onLine(241, 50))
	at, _ = fine.Span()
	assert.InEpsilon(t, m.Torque.Value, fine.Steady(at, 1).Torque, 1e-9, "a twentieth more is borne")
}

// Cable and cord: start and breakdown fall with the square of the volts lost at starting amps.
func TestCableTakesFromTheStart(t *testing.T) {
	m := resolved(t, conveyor())
	feed := onLine(230, 50)
	right := m.On(feed)
	feed.Sag = 0.1
	long := m.On(feed)
	assert.InEpsilon(t, 0.81*right.Breakaway().Torque, long.Breakaway().Torque, 1e-9)
	low, _ := right.Span()
	assert.InEpsilon(t, 0.81*right.Peak(low).Torque, long.Peak(low).Torque, 1e-9)
	assert.InEpsilon(t, 6*m.Amps.Value, StartAmps(m), 1e-12)
}

// Plain volts per hertz loses pull-out at the slow end, by the share of the volts the winding eats: 0.03 of the plate's
// after the usual boost, so at 5 of 50 Hz (1 − 0.03/0.1)², half; vector keeps it.
func TestTheSlowEndOfVoltsPerHertz(t *testing.T) {
	m := resolved(t, conveyor())
	feed := free(VariableHertz)
	feed.Volts, feed.BaseVolts, feed.BaseHertz, feed.TopHertz = 230, 230, 50, 50
	plain := m.On(feed)
	feed.Vector = true
	vector := m.On(feed)
	at := 50 * q.RPM // 5 Hz less 100 rpm of slip
	assert.InEpsilon(t, 0.49*vector.Peak(at).Torque, plain.Peak(at).Torque, 1e-3)
	top := 1400 * q.RPM
	assert.InEpsilon(t, 0.97*0.97*vector.Peak(top).Torque, plain.Peak(top).Torque, 1e-3)
}

// Above base the slip grows with the hertz: at 100 Hz of 50 a motor that slips 100 rpm slips 200.
func TestSlipAboveBase(t *testing.T) {
	m := resolved(t, conveyor())
	feed := free(VariableHertz)
	feed.Volts, feed.BaseVolts, feed.BaseHertz, feed.TopHertz = 230, 230, 50, 100
	on := m.On(feed)
	_, high := on.Span()
	assert.InEpsilon(t, 2800, high/q.RPM, 1e-9)
	assert.InEpsilon(t, 3000, on.RotorTop()/q.RPM, 1e-9, "with nothing to carry")
	law, _ := on.law.(*inverterLaw)
	for _, hertz := range []float64{10, 50, 60, 100} {
		assert.InEpsilon(t, hertz, law.hertzAt(law.omegaAt(hertz)), 1e-9)
	}
}
