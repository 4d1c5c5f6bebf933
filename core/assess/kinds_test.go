package assess_test

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
	"jiriki/core/working"
)

// plateOf is a plausible plate of each kind, for a plan that should run.
func plateOf(kind motor.Kind) motor.Plate {
	switch kind.Family() {
	case motor.DCFamily:
		return motor.Plate{Power: "400 W", Speed: "3000 rpm", Volts: "48 V", Amps: "11 A", Cooling: "closed"}
	case motor.SeriesFamily:
		return motor.Plate{Power: "430 W", Speed: "11000 rpm", Volts: "230 V", Amps: "3.6 A", Cooling: "closed"}
	case motor.StepperFamily:
		return motor.Plate{HoldingTorque: "2 N·m", Amps: "3 A", Volts: "36 V", Inductance: "3 mH"}
	}
	return motor.Plate{Power: "250 W", Speed: "1400 rpm", SecondSpeed: "460 rpm", Volts: "230 V", Amps: "2.2 A",
		Hertz: "50 Hz", PowerFactor: "0.75",
		Cooling: "closed"}
}

// Every kind of motor, on every control that suits it, makes a whole answer: a reach, stations,
// workings, a speed plate, and no stop but what a person can clear.
func TestEveryKindRunsOnEveryControlThatSuitsIt(t *testing.T) {
	tried := 0
	for _, p := range motor.Profiles() {
		for _, kind := range line.Drives(p.Kind) {
			in := plantest.Sound()
			in.Plan.Motor = motor.Described{Kind: p.Kind, ThermalSwitch: "none", Plate: plateOf(p.Kind)}
			in.Plan.Control.Kind, in.Plan.Control.Volts, in.Plan.Control.Amps = kind, "", "12 A"
			in.Plan.Control.LimitAmps = in.Plan.Motor.Plate.Amps
			in.Plan.Control.TopTrim = ""
			if kind == control.Contactor && p.Kind == motor.ThreePhase {
				in.Plan.Supply.Phases = "3"
			}
			if p.Family == motor.DCFamily {
				in.Plan.Supply = supply.Described{Volts: "54 V", Hertz: "50 Hz", Breaker: "20 A", Wire: "4 mm²",
					Earthed: true}
				in.Plan.Control.Volts = "48 V"
			}
			if p.Kind == motor.Stepper {
				in.Plan.Control.Volts = "36 V"
			}
			in.Machine.Limits.Spindle, in.Machine.Limits.Covered, in.Machine.Kind = "", true, "fan"
			in.Machine.Limits.Marked = "60000"
			if p.Family == motor.SeriesFamily {
				in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Direct}} // too fast for a belt
				in.Machine.Jobs[0].Load.Torque = "0.2 N·m"
			}
			a := assesstest.Of(t, in)
			name := string(p.Kind) + " on " + string(kind)
			require.NotEmpty(t, a.Reach.Positions, name)
			assesstest.CheckWhole(t, a)
			reach := a.Reach.Positions[0]
			assert.Positive(t, reach.Continuous[len(reach.Continuous)/2], name)
			for _, h := range reach.Limits {
				assert.NotEmpty(t, h.Continuous, "%s: what binds must be named", name)
				assert.NotEmpty(t, h.Peak, name)
			}
			for _, f := range a.Findings {
				assert.False(t, f.Level == finding.Stop && !f.Short, "%s: %s: %s", name, f.Title, f.Detail)
			}
			assert.True(t, a.MayPower, name)
			for _, s := range a.Stations {
				for _, figure := range s.Figures {
					assert.NotEmpty(t, figure.Text, name)
					assert.True(t, figure.Working == "" || hasWorking(a, figure.Working), "%s: %s has no working %s",
						name, figure.Text, figure.Working)
				}
				assert.True(t, s.Working == "" || hasWorking(a, s.Working), "%s: note %q has no working %s", name,
					s.Note, s.Working)
			}
			assert.Positive(t, a.SpeedPlate.MaxRPM, name)
			tried++
		}
	}
	assert.GreaterOrEqual(t, tried, 18)
}

func hasWorking(a assess.Assessment, id working.ID) bool {
	for _, w := range a.Workings {
		if w.ID == id {
			return true
		}
	}
	return false
}

// A machine of every kind with its usual jobs is assessed, told what it lacks, and never refused.
func TestEveryKindOfMachineStartsSoundly(t *testing.T) {
	for _, k := range work.Kinds(q.Metric) {
		in := plantest.Sound()
		in.Machine = work.Start("New", k.ID, q.Metric)
		in.Plan.Reduction = reduction.Described{}
		for _, sys := range []q.System{q.Metric, q.Inch} {
			in.Units = sys
			a := assesstest.Of(t, in)
			_, err := json.Marshal(a)
			require.NoError(t, err)
			assert.Len(t, a.Jobs, len(k.Jobs), k.ID)
			ids := map[working.ID]bool{}
			for _, w := range a.Workings {
				assert.False(t, ids[w.ID], "%s: working %s twice", k.ID, w.ID)
				ids[w.ID] = true
			}
			for _, f := range a.Findings {
				assert.True(t, f.Working == "" || ids[f.Working], "%s: %s leads to no working %s", k.ID, f.ID,
					f.Working)
				assert.NotContains(t, f.Detail, "%!", f.ID)
				assert.NotContains(t, f.Title, "%!", f.ID)
			}
		}
		stop := assesstest.Finding(assesstest.Of(t, in), "work.no-marking")
		assert.Equal(t, k.ID == "grinder", stop != nil && stop.Level == finding.Stop, k.ID)
	}
}

// The battery's sag slows the motor and is said; the mains does not sag.
func TestASaggingBatterySlowsTheSpindle(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.Kind = control.Chopper
	in.Plan.Supply = supply.Described{Volts: "180 V", Phases: "dc", Breaker: "20 A", Earthed: true}
	stiff := assesstest.Of(t, in)
	in.Plan.Supply.Inside = "8 Ω"
	soft := assesstest.Of(t, in)
	assert.Less(t, soft.Reach.Positions[0].HighRPM, stiff.Reach.Positions[0].HighRPM)
	assert.NotNil(t, assesstest.Finding(soft, "supply.sag"))
	assert.Nil(t, assesstest.Finding(stiff, "supply.sag"))
	in.Plan.Supply.Inside = "60 Ω"
	assert.Equal(t, "supply.inside", assesstest.Of(t, in).Entries[0].Field, "more than any battery has")
}
