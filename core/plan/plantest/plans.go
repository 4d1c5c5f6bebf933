// Package plantest has plans that tests share: sound ones of several sorts, the demo's, and drawn ones.
package plantest

import (
	"encoding/json"
	"os"
	"path/filepath"
	"runtime"
	"testing"

	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// Sound is a plan with no stop: a half-horse motor on a phase-angle drive and one belt.
func Sound() plan.Input {
	return plan.Input{
		Units: "metric",
		Machine: work.Machine{Name: "Wheel", Kind: "potters-wheel", Limits: work.Limits{Spindle: "600 rpm"},
			Place: work.Place{Wet: "no"},
			Jobs: []work.Job{
				{ID: "slow", Name: "Slow", Speed: work.SpeedBand{From: "60", To: "120"},
					Load: work.Load{Torque: "2 N·m"}},
			}},
		Plan: plan.Plan{
			Supply: supply.Described{Volts: "230 V", Hertz: "50 Hz", Breaker: "10 A", Wire: "1.5 mm²", Earthed: true},
			Control: control.Described{Kind: control.PhaseAngle, Volts: "180 V", Amps: "5 A", LimitAmps: "4.2 A",
				Choke: true, Fused: true, Enclosed: true, ZeroStart: true,
				NoVolt: true},
			Motor: motor.Described{Name: "Scrubber", Kind: motor.PermanentMagnetDC, ThermalSwitch: "none",
				Plate: motor.Plate{Power: "1/2 hp", Speed: "1750 rpm", Volts: "180 V", Amps: "2.8 A"}},
			Reduction: reduction.Described{Stages: []reduction.DescribedStage{
				{Kind: reduction.VBelt, Section: "A", Steps: []reduction.DescribedStep{{Driver: "80 mm",
					Driven: "280 mm"}}, Centre: "400 mm", Guarded: true, OnDriving: keyed(), OnDriven: keyed()},
			}},
		},
	}
}

// Inverted is sound with a three-phase motor on an inverter.
func Inverted() plan.Input {
	in := Sound()
	in.Plan.Control = control.Described{Kind: control.Inverter, Volts: "230 V", Amps: "5 A", LimitAmps: "5 A",
		Fused: true, Enclosed: true,
		NoVolt: true}
	in.Plan.Motor = motor.Described{Name: "Conveyor", Kind: motor.ThreePhase, ThermalSwitch: "wired",
		Plate: motor.Plate{Power: "0.75 kW", Speed: "1400 rpm", Volts: "230 V", Amps: "3.3 A", Hertz: "50 Hz",
			PowerFactor: "0.76"}}
	return in
}

// Switched is sound with a capacitor-start motor on a plain switch, for a job one speed will do.
func Switched() plan.Input {
	in := Sound()
	in.Plan.Control = control.Described{Kind: control.Contactor, Fused: true, Enclosed: true, NoVolt: true}
	in.Plan.Motor = motor.Described{Name: "Saw", Kind: motor.CapacitorStart, ThermalSwitch: "wired",
		Plate: motor.Plate{Power: "1/3 hp", Speed: "1425 rpm", Volts: "230 V", Amps: "2.6 A", Hertz: "50 Hz",
			PowerFactor: "0.65"}}
	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "300", To: "500", Cover: "any"}
	return in
}

// OneOut is switched on the disputed inverter with one phase out, held above its start switch.
func OneOut() plan.Input {
	in := Switched()
	in.Plan.Control = control.Described{Kind: control.SinglePhaseInverter, Volts: "230 V", Amps: "4 A",
		LimitAmps: "4 A", LowHertz: "40 Hz", Fused: true, Enclosed: true,
		NoVolt: true}
	return in
}

// Resisted is sound on a series resistor.
func Resisted() plan.Input {
	in := Sound()
	in.Machine.Limits.Spindle = "1000 rpm" // nothing trims it, nor watches what it climbs to
	in.Plan.Control = control.Described{Kind: control.SeriesResistor, Ohms: "20 Ω", Watts: "300 W", Fused: true,
		Enclosed: true, NoVolt: true}
	return in
}

// Transformed is sound on a variable transformer with a bridge.
func Transformed() plan.Input {
	in := Sound()
	in.Machine.Limits.Spindle = "1000 rpm" // nothing trims it, nor watches what it climbs to
	in.Plan.Control = control.Described{Kind: control.VariableTransformer, Amps: "6 A", Fused: true, Enclosed: true,
		NoVolt: true}
	return in
}

// Demo are every plan of the demo workshop.
func Demo(t testing.TB) []plan.Input {
	t.Helper()
	_, here, _, _ := runtime.Caller(0)
	data, err := os.ReadFile(filepath.Join(filepath.Dir(here), "../../../demo/quarry-lane.json"))
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

// Short falls short below half speed: the slow end of a big pot.
func Short() plan.Input {
	in := Sound()
	in.Machine.Jobs = []work.Job{
		{ID: "pots", Name: "Big pots", Speed: work.SpeedBand{From: "30", To: "90"},
			Load: work.Load{Torque: "7 N·m",
				From: "measured"}},
		{ID: "trim", Name: "Trimming", Speed: work.SpeedBand{From: "100", To: "300"},
			Load: work.Load{Torque: "1 N·m",
				From: "measured"}},
	}
	in.Shelf = []shelf.Item{
		{ID: "weak", Motor: motor.Described{Name: "Weak", Kind: motor.PermanentMagnetDC,
			Plate: motor.Plate{Power: "1/4 hp", Speed: "1750", Volts: "180 V",
				Amps: "1.5 A"}}},
		{ID: "strong", Motor: motor.Described{Name: "Strong", Kind: motor.PermanentMagnetDC,
			Plate: motor.Plate{Power: "1 hp", Speed: "1750", Volts: "180 V", Amps: "5 A",
				Cooling: "blown"}}},
		{ID: "wrong", Motor: Inverted().Plan.Motor},
	}
	return in
}

// FarApart is the sound plan with a few jobs far apart.
func FarApart() plan.Input {
	in := Sound()
	in.Machine.Jobs = []work.Job{
		{ID: "slow", Name: "Slow", Speed: work.SpeedBand{From: "20", To: "60"},
			Load: work.Load{Torque: "9 N·m",
				From: "measured"}},
		{ID: "mid", Name: "Middling", Speed: work.SpeedBand{From: "70", To: "125"},
			Load: work.Load{Torque: "5 N·m",
				From: "measured"}},
		{ID: "fast", Name: "Fast", Speed: work.SpeedBand{From: "110", To: "230"},
			Load: work.Load{Torque: "2.1 N·m",
				From: "measured"}},
	}
	in.Machine.Limits.Spindle = "300 rpm"
	return in
}
