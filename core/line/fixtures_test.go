package line

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// sound is a plan with no stop: a half-horse motor on a phase-angle drive and one belt.
func sound() plan.Input {
	return plan.Input{
		Units: "metric",
		Machine: work.Machine{Name: "Wheel", Kind: "potters-wheel", Limits: work.Limits{Spindle: "600 rpm"}, Jobs: []work.Job{
			{ID: "slow", Name: "Slow", Speed: work.SpeedBand{From: "60", To: "120"}, Load: work.Load{Torque: "2 N·m"}},
		}},
		Plan: plan.Plan{
			Supply:  supply.Described{Volts: "230 V", Hertz: "50 Hz", Breaker: "10 A", Earthed: true},
			Control: control.Described{Kind: control.PhaseAngle, Volts: "180 V", Amps: "5 A", LimitAmps: "4.2 A", Choke: true, Fused: true, Enclosed: true, ZeroStart: true, NoVolt: true},
			Motor: motor.Described{Name: "Scrubber", Kind: motor.PermanentMagnetDC, ThermalSwitch: "none",
				Plate: motor.Plate{Power: "1/2 hp", Speed: "1750 rpm", Volts: "180 V", Amps: "2.8 A"}},
			Reduction: reduction.Described{Stages: []reduction.DescribedStage{
				{Kind: reduction.VBelt, Section: "A", Steps: []reduction.DescribedStep{{Driver: "80 mm", Driven: "280 mm"}}, Centre: "400 mm", Guarded: true},
			}},
		},
	}
}

// inverted is sound with a three-phase motor on an inverter.
func inverted() plan.Input {
	in := sound()
	in.Plan.Control = control.Described{Kind: control.Inverter, Volts: "230 V", Amps: "5 A", LimitAmps: "5 A", Fused: true, Enclosed: true, NoVolt: true}
	in.Plan.Motor = motor.Described{Name: "Conveyor", Kind: motor.ThreePhase, ThermalSwitch: "wired",
		Plate: motor.Plate{Power: "0.75 kW", Speed: "1400 rpm", Volts: "230 V", Amps: "3.3 A", Hertz: "50 Hz", PowerFactor: "0.76"}}
	return in
}

// switched is sound with a capacitor-start motor on a plain switch, for a job one speed will do.
func switched() plan.Input {
	in := sound()
	in.Plan.Control = control.Described{Kind: control.Contactor, Fused: true, Enclosed: true, NoVolt: true}
	in.Plan.Motor = motor.Described{Name: "Saw", Kind: motor.CapacitorStart, ThermalSwitch: "wired",
		Plate: motor.Plate{Power: "1/3 hp", Speed: "1425 rpm", Volts: "230 V", Amps: "2.6 A", Hertz: "50 Hz", PowerFactor: "0.65"}}
	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "300", To: "500", Cover: "any"}
	return in
}

// oneOut is switched on the disputed inverter with one phase out, held above its start switch.
func oneOut() plan.Input {
	in := switched()
	in.Plan.Control = control.Described{Kind: control.SinglePhaseInverter, Volts: "230 V", Amps: "4 A", LimitAmps: "4 A", LowHertz: "40 Hz", Fused: true, Enclosed: true, NoVolt: true}
	return in
}

// resisted is sound on a series resistor.
func resisted() plan.Input {
	in := sound()
	in.Plan.Control = control.Described{Kind: control.SeriesResistor, Ohms: "20 Ω", Watts: "300 W", Fused: true, Enclosed: true, NoVolt: true}
	return in
}

// transformed is sound on a variable transformer with a bridge.
func transformed() plan.Input {
	in := sound()
	in.Plan.Control = control.Described{Kind: control.VariableTransformer, Amps: "6 A", Fused: true, Enclosed: true, NoVolt: true}
	return in
}

func assessed(t testing.TB, in plan.Input) Assessment {
	t.Helper()
	a, err := Assess(in)
	require.NoError(t, err)
	return a
}

func found(a Assessment, id string) *finding.Finding {
	for i := range a.Findings {
		if a.Findings[i].ID == id {
			return &a.Findings[i]
		}
	}
	return nil
}

// demoInputs are every plan of the demo workshop.
func demoInputs(t testing.TB) []plan.Input {
	t.Helper()
	data, err := os.ReadFile("../../demo/quarry-lane.json")
	require.NoError(t, err)
	var file struct {
		Machines []struct {
			Machine work.Machine
			Plans   []plan.Plan
		}
		Shelf []shelf.Item
	}
	require.NoError(t, json.Unmarshal(data, &file))
	var out []plan.Input
	for _, m := range file.Machines {
		for _, p := range m.Plans {
			out = append(out, plan.Input{Units: "metric", Machine: m.Machine, Plan: p, Shelf: file.Shelf})
		}
	}
	return out
}
