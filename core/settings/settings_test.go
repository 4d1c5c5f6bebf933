package settings

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/work"
	"jiriki/core/working"
)

func setting(t *testing.T, in plan.Input, name string) Setting {
	t.Helper()
	for _, s := range settingsOf(t, in) {
		if s.Name == name {
			return s
		}
	}
	require.Failf(t, "no such setting", name)
	return Setting{}
}

func TestDirectCurrentSettings(t *testing.T) {
	in := plantest.Sound()
	assert.Equal(t, "4.2\u202fA", setting(t, in, "Current limit").Value, "1.5 × 2.8 A")
	in.Plan.Control.Amps = "2.5 A"
	assert.Equal(t, "2.5\u202fA", setting(t, in, "Current limit").Value, "never past the drive's own")

	in.Plan.Control.LimitAmps = "3 A"
	assert.Equal(t, "3\u202fA", setting(t, in, "Current limit").Value, "the plan's own, where it is lower")
	in.Plan.Control.LimitAmps = "30 A"
	assert.Equal(t, "2.5\u202fA", setting(t, in, "Current limit").Value,
		"but not where it is more than motor and drive bear")

	trim := setting(t, in, "Max speed trim")
	assert.Equal(t, "100\u202f%, 1973\u202frpm with no load", trim.Value)
	assert.Contains(t, trim.Other, "65 %", "the other school is told of")
	in.Plan.Control.TopTrim = "65 %"
	trim = setting(t, in, "Max speed trim")
	assert.Equal(t, "65\u202f%, 1268\u202frpm with no load", trim.Value)
	assert.Contains(t, trim.Other, "Full plate")

	assert.Equal(t, "58.3\u202frpm", setting(t, in, "Min speed trim").Value, "1/30 of 1750 rpm, whatever the top trim")
	assert.Equal(t, "2.5\u202fs", setting(t, in, "Acceleration").Value)
	in.Plan.Control.Accel = "5 s"
	assert.Equal(t, "5\u202fs", setting(t, in, "Deceleration").Value)
	assert.Equal(t, "0 to begin with", setting(t, in, "IR compensation").Value)
}

func TestInverterSettings(t *testing.T) {
	in := plantest.Inverted()
	assert.Equal(t, "3.3\u202fA", setting(t, in, "Motor amps").Value)
	assert.Equal(t, "50\u202fHz at 230\u202fV", setting(t, in, "Base hertz and volts").Value)
	assert.Equal(t, "4, 1400\u202frpm", setting(t, in, "Poles and plate speed").Value)
	assert.Equal(t, "5\u202fHz", setting(t, in, "Lowest hertz").Value)
	in.Plan.Control.Mode = "vector"
	assert.Equal(t, "1.25\u202fHz", setting(t, in, "Lowest hertz").Value)

	// A 480 V winding on 230 V keeps its volts per hertz only to 23.96 Hz.
	in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "480 V", "1.6 A"
	assert.Equal(t, "24\u202fHz at 230\u202fV", setting(t, in, "Base hertz and volts").Value)
}

func TestAPlainSwitchSetsItsOverloadTrip(t *testing.T) {
	assert.Equal(t, "2.6\u202fA", setting(t, plantest.Switched(), "Overload trip").Value)
	in := plantest.Switched()
	in.Plan.Supply.Code = supply.NEC
	assert.Equal(t, "2.99\u202fA", setting(t, in, "Overload trip").Value, "1.15 × plate amps")
}

func settingsOf(t *testing.T, in plan.Input) []Setting {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	return sheetOf(s, in).Settings
}

func sheetOf(s plan.Stations, in plan.Input) *Sheet {
	sheet := For(line.New(s), in.Units)
	return &sheet
}

// The ramps come from the inertia where a job tells it: never shorter than the motor can do, a quarter
// more; a heavy wheel without a brake resistor coasts.
func TestRampsFollowTheInertia(t *testing.T) {
	in := plantest.Inverted()
	in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: "spin", Name: "Up to speed",
		Speed: work.SpeedBand{To: "300",
			Cover: "any"},
		Load: work.Load{By: "inertia", Inertia: work.InertiaLoad{Within: "60 s",
			Parts: []work.Part{{Shape: "ring", Diameter: "900 mm", Inside: "800 mm",
				Mass: "60 kg"}}}}})
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	sheet := sheetOf(s, in)
	spin := sheet.spin
	require.Greater(t, spin.seconds, line.UsualRamp)
	// By hand: a ring of 60 kg between 0.4 and 0.45 m has J = 60·(0.4² + 0.45²)/2 = 10.9 kg·m², at 300 rpm 5.37 kJ.
	assert.InEpsilon(t, 5367, spin.energy, 0.01)
	assert.Contains(t, setting(t, in, "Acceleration").Value, q.Show(1.25*spin.seconds, q.Duration, q.Metric))
	assert.Equal(t, "coast", setting(t, in, "Stop mode").Value)
	assert.Zero(t, spin.coast, "nothing rubs")
	in.Machine.Jobs[1].Load.Inertia.Friction = "2 N·m"
	s, err = plan.Resolve(in)
	require.NoError(t, err)
	assert.InEpsilon(t, 10.875*31.416/2, sheetOf(s, in).spin.coast, 0.01)
	in.Plan.Control.BrakeOhms = "80 Ω"
	assert.Contains(t, setting(t, in, "Stop mode").Value, "brake resistor")
}

// Every control there is has settings, each named once, in the order set, with something to show.
func TestEveryControlHasItsSettings(t *testing.T) {
	stepping := plantest.Sound()
	stepping.Plan.Motor = motor.Described{Kind: motor.Stepper, Plate: motor.Plate{HoldingTorque: "1.9 N·m",
		Amps: "2.8 A", Inductance: "3.2 mH",
		Volts: "36 V"}}
	stepping.Plan.Control = control.Described{Kind: control.StepperDriver, Volts: "36 V", Amps: "3 A"}
	brushless := plantest.Sound()
	brushless.Plan.Motor.Kind, brushless.Plan.Control.Kind = motor.Brushless, control.BrushlessDrive
	old, wasteful, single := plantest.Sound(), plantest.Sound(), plantest.Switched()
	old.Plan.Control.Kind = control.VariableTransformer
	wasteful.Plan.Control.Kind, wasteful.Plan.Control.Ohms = control.SeriesResistor, "40 Ω"
	single.Plan.Control = control.Described{Kind: control.SinglePhaseInverter, Volts: "230 V", Amps: "4 A",
		LowHertz: "40 Hz"}
	for name, in := range map[string]plan.Input{"phase-angle": plantest.Sound(), "inverter": plantest.Inverted(),
		"switch": plantest.Switched(), "stepper": stepping, "brushless": brushless, "variac": old, "resistor": wasteful,
		"one phase out": single} {
		settings := settingsOf(t, in)
		require.NotEmpty(t, settings, name)
		seen := map[working.ID]bool{}
		for _, s := range settings {
			assert.False(t, seen[s.Working], "%s: %s twice", name, s.Name)
			seen[s.Working] = true
			assert.NotEmpty(t, s.Value, "%s: %s", name, s.Name)
		}
	}
	order := settingsOf(t, plantest.Sound())
	assert.Less(t, slices.IndexFunc(order, func(s Setting) bool { return s.Name == "Current limit" }),
		slices.IndexFunc(order,
			func(s Setting) bool { return s.Name == "Max speed trim" }))
}
