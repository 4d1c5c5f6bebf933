package line

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

// bare is a phase-angle drive without a choke on an armature whose inductance is known.
func bare(henries q.Text) plan.Input {
	in := plantest.Sound()
	in.Plan.Control.Choke, in.Plan.Motor.Plate.Inductance = false, henries
	return in
}

// The rms of the current is what heats, so at each speed the motor holds its torque by the form factor there, which
// grows as the pulses grow narrow against a rising back-EMF.
func TestRoughCurrentHeatsByTheSpeed(t *testing.T) {
	m := modelOf(t, bare("15 mH"))
	require.NotNil(t, m.Feed.Rough)
	rated := m.Motor.Torque.Value
	last := 0.0
	for _, share := range motor.RoughShares {
		a, ok := ArmatureAt(&m.Stations, share)
		require.True(t, ok)
		assert.InDelta(t, m.Motor.DC.Ke.Value*share*m.Motor.Speed.Value, a.EMF, 1e-9)
		_, wave := a.Wave()
		assert.LessOrEqual(t, wave.RMS, 2.8*(1+1e-3), "plate amps")
		held := m.Powered.Steady(share*m.Motor.Speed.Value, 1)
		// The amps pull by their average, of which what is lost inside takes as much as ever.
		lost := m.Motor.DC.Friction.Value
		cooled := (rated*motor.Cooling("own-fan", share)+lost)/wave.FormFactor - lost
		assert.InEpsilon(t, min(cooled, m.Powered.Peak(share*m.Motor.Speed.Value).Torque), held.Torque, 1e-9, share)
		last = wave.FormFactor
	}
	slow, _ := ArmatureAt(&m.Stations, 0.1)
	_, wave := slow.Wave()
	assert.Greater(t, last, wave.FormFactor+0.1)
	assert.Nil(t, modelOf(t, plantest.Sound()).Feed.Rough, "with nothing known the usual figure stands")
}

// With the load off, an armature on a rectified line nobody watches climbs to where the pulses just carry its friction:
// as far as the bridge, solved by itself with next to no inductance, still gives that current.
func TestAnUnwatchedArmatureClimbsPastTheAverage(t *testing.T) {
	for name, in := range map[string]plan.Input{
		"transformer": plantest.Transformed(), "resistor": plantest.Resisted(),
	} {
		m := modelOf(t, in)
		dc := m.Motor.DC
		amps, ohms := dc.Friction.Value/dc.Ke.Value, dc.Resistance.Value+m.Feed.Ohms
		emf := m.Powered.RotorTop() * dc.Ke.Value
		assert.InEpsilon(t, amps, control.Bridge(230, 50, 0, emf, ohms, 1e-6).Average, 0.01, name)
		assert.Greater(t, emf, 1.2*(m.Feed.Volts-amps*ohms), name)
	}
	blind := plantest.Sound()
	blind.Plan.Control.Feedback, blind.Machine.Limits.Spindle = "none", ""
	watched := modelOf(t, plantest.Sound()).Powered.RotorTop()
	m := modelOf(t, blind)
	assert.Greater(t, m.Powered.RotorTop(), 1.3*watched, "fired for 180 V, before the crest of 325 V")
	blind.Plan.Control.TopTrim = "40 %"
	trimmed := modelOf(t, blind)
	assert.Less(t, trimmed.Powered.RotorTop(), m.Powered.RotorTop())
	// 72 V on average: fired where √2·230·(1 + cos α)/π is 72, past the crest.
	alpha := math.Acos(math.Pi*72/(230*math.Sqrt2) - 1)
	dc := trimmed.Motor.DC
	assert.LessOrEqual(t, trimmed.Powered.RotorTop()*dc.Ke.Value, 230*math.Sqrt2*math.Sin(alpha)+1e-6)
	assert.InEpsilon(t, 230*math.Sqrt2*math.Sin(alpha), trimmed.Powered.RotorTop()*dc.Ke.Value, 0.2)
}

// The trim offered for such a drive keeps the limit when it is put in.
func TestTheTrimOfAnUnwatchedDriveKeepsTheLimit(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.Feedback, in.Machine.Limits.Spindle = "none", "450 rpm"
	m := modelOf(t, in)
	share, needed := m.TrimUnderLimit()
	require.True(t, needed)
	in.Plan.Control.TopTrim = q.Text(q.Percent(share))
	m = modelOf(t, in)
	assert.LessOrEqual(t, m.Top(&m.Reduction.Positions[0]), m.TopSpeed*(1+SpeedTolerance))
}
