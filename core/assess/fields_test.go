package assess_test

import (
	"encoding/json"
	"fmt"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// everyMethod is a machine with a job for each way of finding speed and load.
func everyMethod() work.Machine {
	m := plantest.Sound().Machine
	m.Jobs = nil
	for _, by := range []string{"torque", "power", "scale", "cutting", "comparable", "replaced", "inertia", "pull",
		"screw"} {
		j := work.Blank()
		j.ID, j.Name, j.Speed.From, j.Speed.To = by, by, "60", "120"
		j.Cut = work.Cut{Operation: "milling", Material: "brass", Tool: "hss"}
		j.Load = work.Load{
			By: by, Shape: "torque", From: "stated", Torque: "1 N·m", Power: "20 W",
			Scale: work.ScalePull{Radius: "100 mm", Angle: "90", Running: []q.Text{"10 N"},
				Breakaway: []q.Text{"12 N"},
				Own:       "1 N"},
			Cutting: work.CuttingLoad{Depth: "1 mm", Feed: "0.1 mm", Diameter: "12 mm", Width: "4 mm",
				PerTooth: "0.03 mm", Teeth: "4", Length: "20 mm", Travel: "2 m/min",
				Specific: "800"},
			Comparable: work.Comparable{Of: "small-mill", Power: "300 W"},
			Replaced: work.Replaced{Power: "200 W", Speed: "1400", Efficiency: "90 %",
				Positions: []work.ReplacedPair{{Driver: "50 mm",
					Driven: "500 mm"}}},
			Inertia: work.InertiaLoad{Within: "20 s", Friction: "0.2 N·m",
				Parts: []work.Part{{Shape: "ring", Diameter: "300 mm", Inside: "280 mm", Length: "20 mm", Mass: "3 kg",
					Count: "1", Turns: "1"}}},
			Pull:  work.StraightPull{Force: "20 N", Diameter: "100 mm"},
			Screw: work.Screw{Force: "200 N", Lead: "3 mm", Efficiency: "30 %", Feed: true, Mains: []q.Text{"300"}},
		}
		m.Jobs = append(m.Jobs, j)
	}
	for _, by := range []string{"surface", "timed", "travel"} {
		j := work.Blank()
		j.ID, j.Name, j.Load.Torque = by, by, "1 N·m"
		j.Speed = work.SpeedBand{By: by, Cover: "all", Surface: "20 m/min", DiameterFrom: "60 mm", DiameterTo: "90 mm",
			Turns: "30", Time: "20 s", FactorFrom: "1", FactorTo: "1.5", TravelFrom: "200 mm/min",
			TravelTo: "300 mm/min",
			Lead:     "3 mm"}
		m.Jobs = append(m.Jobs, j)
	}
	return m.Whole()
}

// variedInputs are plans that between them show every field there is.
func variedInputs() map[string]plan.Input {
	dc, inverter, battery, stepper, fan := plantest.Sound(), plantest.Inverted(), plantest.Sound(), plantest.Sound(),
		plantest.Switched()
	dc.Machine = everyMethod()
	for _, sort := range []string{"open", "resistance", "free", "loaded", "locked", "spin-down"} {
		dc.Plan.Motor.Readings = append(dc.Plan.Motor.Readings, motor.Reading{Sort: sort, Volts: "74 V", Amps: "0.5 A",
			Speed: "820 rpm", ToSpeed: "400 rpm", Time: "2 s", Torque: "0.1 N·m", Ohms: "7.6 Ω", Capacitor: "8 µF",
			Starts: "1 of 1"})
	}
	dc.Plan.Motor.Gearbox = motor.Gearbox{Sort: "spur", Ratio: "1.2", Efficiency: "90 %", Limit: "50 N·m"}
	dc.Plan.Motor.Clutch = motor.Clutch{Fitted: true, Engages: "300", Holds: "4 N·m", Motor: "1700", Output: "1690",
		Torque: "1 N·m"}
	inverter.Plan.Motor.Plate.Poles = "4"
	battery.Plan.Supply = supply.Described{Volts: "180 V", Phases: "dc", Breaker: "20 A", Inside: "50 mΩ",
		Holds: "500 Wh", Earthed: true}
	battery.Plan.Control.Kind = control.Chopper
	stepper.Plan.Motor = motor.Described{Kind: motor.Stepper, Plate: motor.Plate{HoldingTorque: "2 N·m", Amps: "3 A",
		Volts: "36 V", Steps: "200", Inductance: "3 mH"},
		Readings: []motor.Reading{{Sort: "pull-out", Speed: "100",
			Torque: "1 N·m"}}}
	stepper.Plan.Control = control.Described{Kind: control.StepperDriver, Volts: "36 V", Amps: "4 A"}
	fan.Plan.Motor.Kind = motor.PermanentSplit
	fan.Plan.Motor.Plate.Capacitor, fan.Plan.Motor.Plate.CapacitorVolts = "20 µF", "440 V"
	fan.Plan.Motor.Readings = []motor.Reading{{Sort: "capacitor", Capacitor: "20", Speed: "1425", Starts: "3 of 3"}}
	return map[string]plan.Input{"dc": dc, "inverter": inverter, "battery": battery, "stepper": stepper, "fan": fan}
}

// leaves are the paths of every text in a document, as fields are named.
func leaves(v any, at string, out map[string]bool) {
	switch v := v.(type) {
	case map[string]any:
		for k, inner := range v {
			leaves(inner, strings.TrimPrefix(at+"."+k, "."), out)
		}
	case []any:
		for i, inner := range v {
			leaves(inner, fmt.Sprintf("%s[%d]", at, i), out)
		}
	case string:
		out[at] = true
	}
}

var steps = regexp.MustCompile(`[^.\[\]]+`)

// put sets the text at a path of a document, and reports whether there is one.
func put(doc any, path, text string) bool {
	keys := steps.FindAllString(path, -1)
	for i, key := range keys {
		last := i == len(keys)-1
		switch at := doc.(type) {
		case map[string]any:
			if _, ok := at[key]; !ok {
				return false
			}
			if last {
				at[key] = text
			}
			doc = at[key]
		case []any:
			n, err := strconv.Atoi(key)
			if err != nil || n >= len(at) {
				return false
			}
			if last {
				at[n] = text
			}
			doc = at[n]
		default:
			return false
		}
	}
	return true
}

// document is an input as the fields of it are named: the machine, and the plan's stations beside it.
func document(t *testing.T, in plan.Input) map[string]any {
	t.Helper()
	in.Machine, in.Plan = in.Machine.Whole(), in.Plan.Whole()
	text, err := json.Marshal(in.Plan)
	require.NoError(t, err)
	doc := map[string]any{}
	require.NoError(t, json.Unmarshal(text, &doc))
	text, err = json.Marshal(in.Machine)
	require.NoError(t, err)
	machine := map[string]any{}
	require.NoError(t, json.Unmarshal(text, &machine))
	doc["machine"] = machine
	return doc
}

func undocument(t *testing.T, doc map[string]any) plan.Input {
	t.Helper()
	in := plan.Input{Units: "metric"}
	text, err := json.Marshal(doc["machine"])
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(text, &in.Machine))
	planned := map[string]any{}
	for k, v := range doc {
		if k != "machine" {
			planned[k] = v
		}
	}
	text, err = json.Marshal(planned)
	require.NoError(t, err)
	require.NoError(t, json.Unmarshal(text, &in.Plan))
	return in
}

// Nonsense in any one field is either none of its business (a name, a note, a field not shown) or
// refused at that very field and no other.
func TestNonsenseIsRefusedAtItsOwnField(t *testing.T) {
	refused := map[string]bool{}
	for name, in := range variedInputs() {
		require.Empty(t, assesstest.Of(t, in).Entries, name)
		paths := map[string]bool{}
		leaves(document(t, in), "", paths)
		for path := range paths {
			doc := document(t, in)
			require.True(t, put(doc, path, "soup"))
			a := assesstest.Of(t, undocument(t, doc))
			if len(a.Entries) == 0 {
				continue
			}
			for _, one := range a.Entries {
				assert.Equal(t, path, one.Field, "%s: %s", name, one.Message)
				assert.NotEmpty(t, one.Message)
			}
			// And marks nothing else: the rest is answered, but not to be powered.
			assesstest.CheckWhole(t, a)
			assert.Len(t, a.Stations, 5)
			if !strings.HasPrefix(path, "script.") { // what a dry run does not understand keeps no motor off
				assert.False(t, a.MayPower, path)
				assert.Equal(t, path, a.Next.Field, "the first thing to mend")
			}
			refused[steps.ReplaceAllStringFunc(path, func(s string) string {
				if _, err := strconv.Atoi(s); err == nil {
					return "n"
				}
				return s
			})] = true
		}
	}
	assert.Greater(t, len(refused), 120, "the plans must show most of what can be typed")
}

// A finding leads somewhere: its field is there, or the list or group it would be in.
func TestEveryFindingLeadsToAField(t *testing.T) {
	led := 0
	for name, in := range variedInputs() {
		for _, change := range []func(*plan.Input){
			func(*plan.Input) {},
			func(in *plan.Input) { in.Plan.Motor = motor.Described{} },
			func(in *plan.Input) { in.Plan.Control = control.Described{Kind: in.Plan.Control.Kind} },
			func(in *plan.Input) { in.Plan.Supply = supply.Described{Phases: in.Plan.Supply.Phases} },
			func(in *plan.Input) { in.Machine.Jobs = []work.Job{{ID: "a"}}; in.Machine.Kind = "grinder" },
			func(in *plan.Input) { in.Plan.Motor.Plate = motor.Plate{} },
			func(in *plan.Input) { in.Machine.Place = work.Place{Wet: "yes", Dust: "yes", Hot: "yes"} },
		} {
			changed := in
			change(&changed)
			a, err := assess.Assess(changed)
			require.NoError(t, err)
			doc := document(t, changed)
			for _, f := range append(a.Findings, findingAt(a.Next.Field)...) {
				field := f.Field
				for !put(doc, field, "x") {
					cut := strings.LastIndexAny(field, ".[")
					require.Greater(t, cut, 0, "%s: %s leads to %s, which is nowhere", name, f.ID, f.Field)
					field = field[:cut]
				}
				assert.Contains(t, field, ".", "%s: %s leads no nearer than %s", name, f.ID, field)
				led++
				doc = document(t, changed)
			}
		}
	}
	assert.Greater(t, led, 200)
}

func findingAt(field string) []finding.Finding {
	if field == "" {
		return nil
	}
	return []finding.Finding{{ID: "next", Field: field}}
}
