package assess_test

import (
	"encoding/json"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// wrong is a body that once came out wrong, found beside an independent computation.
func wrong(t *testing.T, name string) plan.Input {
	t.Helper()
	raw, err := os.ReadFile("testdata/wrong/" + name + ".json")
	require.NoError(t, err)
	var in plan.Input
	require.NoError(t, json.Unmarshal(raw, &in))
	return in
}

func assessed(t *testing.T, in plan.Input) assess.Assessment {
	t.Helper()
	a, err := assess.Assess(in)
	require.NoError(t, err)
	return a
}

func modelOf(t *testing.T, in plan.Input) *line.Model {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	return line.New(s)
}

// shown is a working's value, as a number of the dimension it is of.
func shown(t *testing.T, a assess.Assessment, id working.ID, d q.Dimension) float64 {
	t.Helper()
	for _, w := range a.Workings {
		if w.ID == id {
			v, err := q.Parse(q.Text(strings.ReplaceAll(w.Value, q.ThinSpace, " ")), d)
			require.NoError(t, err, w.Value)
			return v
		}
	}
	require.Failf(t, "no such working", "%s", id)
	return 0
}

// Source: J·Δω/T with 3 × plate amps of torque, by hand: 0.546 s.
func TestASpinDownsInertiaIsUsed(t *testing.T) {
	a := assessed(t, wrong(t, "02a-spin-down-not-used"))
	m := modelOf(t, wrong(t, "02a-spin-down-not-used"))
	assert.InDelta(t, 0.00999, m.Motor.Rotor.Value, 0.0002)
	took := shown(t, a, working.JobRunUp.Of("j"), q.Duration)
	assert.InDelta(t, 0.546, took, 0.03)
}

// Three loaded conductors carry less than two [IEC 60364-5-52, from memory].
func TestThreeLoadedConductorsCarryLess(t *testing.T) {
	in := wrong(t, "03-iec-three-phase-cable")
	has := func(a assess.Assessment) bool {
		for _, f := range a.Findings {
			if f.ID == finding.SupplyCable && f.Level == finding.Stop {
				return true
			}
		}
		return false
	}
	assert.True(t, has(assessed(t, in)))
	in.Plan.Supply.Breaker = "25 A"
	assert.False(t, has(assessed(t, in)))
}

// Source: V/(2·L·I) steps a second by hand, with the driver's volts.
func TestAStepperGoesByItsDriversVolts(t *testing.T) {
	in := wrong(t, "21-stepper-corner")
	assert.InDelta(t, 603, shown(t, assessed(t, in), working.MotorCorner, q.Speed)/q.RPM, 1)
	low := modelOf(t, in).Motor.Power.Value
	in.Plan.Control.Volts = "48 V"
	assert.InDelta(t, 603*48./36, shown(t, assessed(t, in), working.MotorCorner, q.Speed)/q.RPM, 1.5)
	assert.InEpsilon(t, 48./36, modelOf(t, in).Motor.Power.Value/low, 1e-6, "and its power with them")
}

// Source: the crest of T·ω on the straight between two points, by hand: 42.4 W at 450 rpm.
func TestASteppersPowerLiesBetweenItsPoints(t *testing.T) {
	in := wrong(t, "22-stepper-watts")
	assert.InDelta(t, 42.4, modelOf(t, in).Motor.Power.Value, 0.05)
	in.Plan.Motor.Readings = in.Plan.Motor.Readings[:1]
	assert.InDelta(t, 9.42, modelOf(t, in).Motor.Power.Value, 0.01, "one point is its own")
}

// What is told as possible is possible: the speed it wants is one the plan makes.
func TestTheLargestDrillIsOneThePlanTurns(t *testing.T) {
	for _, surface := range []q.Text{"25 m/min", "15 m/min", "10 m/min", "40 m/min"} {
		for _, size := range []q.Text{"20 mm", "12 mm", "8 mm", "5 mm"} {
			in := wrong(t, "23-largest-drill")
			in.Machine.Jobs[0].Speed.Surface, in.Machine.Jobs[0].Speed.DiameterFrom = surface, size
			in.Machine.Jobs[0].Speed.DiameterTo = size
			for _, w := range assessed(t, in).Workings {
				if w.ID != working.JobLargest.Of("j") {
					continue
				}
				named := q.Text(strings.ReplaceAll(w.Value, q.ThinSpace, " "))
				in.Machine.Jobs[0].Speed.DiameterFrom, in.Machine.Jobs[0].Speed.DiameterTo = named, named
				after := assessed(t, in).Jobs[0]
				held := after.Outcome == line.CannotTell && after.Margin >= after.Wanted*0.999
				assert.True(t, after.Outcome.Done() || held,
					"%s at %s: %s is told, and comes out %s ×%g", size, surface, named, after.Outcome, after.Margin)
			}
		}
	}
}

// Source: 2·T/D by hand, the torque at the wheel being T·i·η: 2.67 kN along the worm, 497 N across it.
func TestAWormsPushes(t *testing.T) {
	a := assessed(t, wrong(t, "24-worm-pull"))
	assert.InEpsilon(t, 2670, shown(t, a, working.ReductionAside.At(0), q.Force), 0.01)
	assert.InEpsilon(t, 497, shown(t, a, working.ReductionAside.At(0, 1), q.Force), 0.01)
}

// Source: ngspice for the form factor, 1.60, and K_e·I_avg − T_loss at I_rms = plate amps by hand: 0.878 N·m.
func TestRoughCurrentPullsByItsAverage(t *testing.T) {
	m := modelOf(t, wrong(t, "27-bridge-torque"))
	assert.InDelta(t, 0.878, m.Powered.Steady(2650*q.RPM, 1).Torque, 0.02)
}

// Half its volts make a quarter of a line motor's torque at its slip, and half its amps.
func TestHalfTheVoltsMakeAQuarter(t *testing.T) {
	m := modelOf(t, wrong(t, "29-half-volts-amps"))
	assert.LessOrEqual(t, m.FullShare()*m.Motor.Power.Value, 0.26*373)
	assert.Less(t, m.InputAmps(), 2.2)
	full := wrong(t, "29-half-volts-amps")
	full.Plan.Supply.Volts = "230 V"
	m = modelOf(t, full)
	assert.InDelta(t, 1, m.FullShare(), 1e-9)
	assert.Greater(t, m.InputAmps(), 3.0)
}
