package powerup_test

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/build"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/powerup"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
)

func built(t testing.TB, in plan.Input) build.Build {
	t.Helper()
	b, err := build.Plan(in)
	require.NoError(t, err)
	return b
}

func step(t *testing.T, in plan.Input, id string) powerup.Step {
	t.Helper()
	for _, s := range built(t, in).PowerUp {
		if s.ID == "power."+id {
			return s
		}
	}
	require.Failf(t, "no such step", id)
	return powerup.Step{}
}

// What is to be read is worked out from the plan: by hand, 180 V through K_e gives a tenth of its volts at
// a tenth of its speed, a belt of 3.5 : 1 with slip its spindle speed.
func TestThePowerUpExpectsThePlansOwnFigures(t *testing.T) {
	in := plantest.Sound()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	tr := line.New(s)
	slow := step(t, in, "slow")
	assert.True(t, slow.Live)
	assert.Contains(t, slow.Expect, "175\u202frpm")
	assert.Contains(t, slow.Expect, q.Show(tr.Motor.DC.Ke.Value*tr.Motor.Speed.Value/10, q.Voltage, q.Metric))
	assert.Contains(t, step(t, in, "belt").Expect, "564\u202frpm", "1973 rpm with no load, through 3.5")
	assert.Contains(t, step(t, in, "winding").Expect, q.Show(tr.Motor.DC.Resistance.Value, q.Resistance, q.Metric))
	assert.Equal(t, "230\u202fV", step(t, in, "on").Expect)
	assert.Equal(t, "under 0.5\u202fΩ", step(t, in, "earth").Expect)
	bump := step(t, plantest.Switched(), "bump")
	assert.Contains(t, bump.Measure, "which way")
	assert.Contains(t, step(t, plantest.Switched(), "thermal").What, "dead")
	inch := plantest.Sound()
	inch.Units = "inch"
	assert.Contains(t, step(t, inch, "belt").Expect, "rpm")
}

func TestTheDeadChecksComeFirstAndTheOrderHolds(t *testing.T) {
	for name, in := range map[string]plan.Input{"dc": plantest.Sound(), "inverter": plantest.Inverted(),
		"switch": plantest.Switched(), "one phase out": plantest.OneOut(), "resistor": plantest.Resisted(),
		"transformer": plantest.Transformed()} {
		live := false
		seen := map[string]bool{}
		for _, s := range built(t, in).PowerUp {
			assert.False(t, seen[s.ID], "%s: %s twice", name, s.ID)
			seen[s.ID] = true
			assert.False(t, live && !s.Live, "%s: %s is a dead check after a live step", name, s.ID)
			live = s.Live
			assert.False(t, s.Measure != "" && s.Expect == "", "%s: %s: read what, and to find what?", name, s.ID)
		}
		assert.True(t, live, name)
		assert.True(t, seen["power.unplug"] && seen["power.earth"], name)
	}
}

// A step only speaks of a knob where there is one.
func TestEachControlIsStartedByWhatItHas(t *testing.T) {
	fan := plantest.Switched()
	fan.Plan.Motor = motor.Described{Name: "Fan", Kind: motor.PermanentSplit,
		Plate: motor.Plate{Power: "120 W", Speed: "1350 rpm", Volts: "230 V", Amps: "1 A", Hertz: "50 Hz",
			Capacitor: "8 µF"}}
	fan.Plan.Control.Kind, fan.Machine.Kind = control.CapacitorSet, "fan"
	signal := plantest.Inverted()
	signal.Plan.Control.Knob = "0-10"
	battery := plantest.Sound()
	battery.Plan.Supply = supply.Described{Volts: "180 V", Phases: "dc"}
	battery.Plan.Control = control.Described{Kind: control.Contactor, Fused: true}
	for name, c := range map[string]struct {
		in   plan.Input
		says string
		knob bool
	}{
		"phase angle": {plantest.Sound(), "knob right down", true}, "signal": {signal, "speed command right down",
			false},
		"transformer": {plantest.Transformed(), "dial at nothing", false},
		"resistor":    {plantest.Resisted(), "all of the resistor in", false},
		"fan":         {fan, "largest capacitor", false}, "battery": {battery, "Bump it", false},
	} {
		said := ""
		for _, s := range built(t, c.in).PowerUp {
			said += s.What + " "
		}
		assert.Contains(t, said, c.says, name)
		assert.Equal(t, c.knob, strings.Contains(strings.ToLower(said), "knob"), name)
	}
}

// A motor with its field in series is never run up bare.
func TestASeriesMotorIsNotRunUpWithoutItsLoad(t *testing.T) {
	for _, kind := range []control.Kind{control.PhaseAngle, control.Contactor, control.VariableTransformer,
		control.SeriesResistor} {
		in := plantest.Resisted()
		in.Plan.Motor = motor.Described{Name: "Washer", Kind: motor.Universal,
			Plate: motor.Plate{Power: "600 W", Speed: "14000 rpm", Volts: "230 V", Amps: "4.5 A",
				Hertz: "50 Hz"}}
		in.Plan.Control.Kind = kind
		in.Plan.Control.Volts, in.Plan.Control.Amps = "230 V", "8 A"
		b := built(t, in)
		require.NotEmpty(t, b.PowerUp, kind)
		for _, s := range b.PowerUp {
			assert.NotContains(t, []string{"power.top", "power.free"}, s.ID, kind)
			assert.NotContains(t, s.What, "from full speed", kind)
		}
	}
}

// 240 V of North America is two live lines: each is measured.
func TestTwoHotsAreBothMeasured(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Supply = supply.Described{Volts: "240 V", Hertz: "60 Hz", Breaker: "15 A", Wire: "14 AWG", Earthed: true}
	on := step(t, in, "on")
	assert.Contains(t, on.Measure, "two hot lines")
	assert.Contains(t, on.Expect, "120\u202fV each")
	for read, says := range map[string]string{"241 V, 120 V and 121 V": "", "241 V, 0 V and 121 V": "0 V is not right",
		"121 V, 120 V, 120 V": "121 V is not right", "240 V": "Read volts too"} {
		got := taken(t, in, map[string]string{"on": read}, "on")
		if says == "" {
			assert.Empty(t, got.Says, read)
			continue
		}
		assert.Contains(t, got.Says, says, read)
	}
}

// taken is a step of a plan whose dead steps and settings are all done rightly, but for what was read as told here.
func taken(t *testing.T, in plan.Input, read map[string]string, id string) powerup.Step {
	t.Helper()
	return stepOf(t, built(t, worked(t, in, read)).PowerUp, id)
}

func stepOf(t *testing.T, list []powerup.Step, id string) powerup.Step {
	t.Helper()
	for _, s := range list {
		if s.ID == powerup.ID(id) {
			return s
		}
	}
	require.Failf(t, "no such step", id)
	return powerup.Step{}
}

// right is what may be read at the steps that must be read, in the figures of the plans used here.
func right(in plan.Input) map[string]string {
	m := line.New(must(plan.Resolve(in)))
	return map[string]string{"unplug": "0 V", "earth": "0.2 Ω", "insulation": "60 MΩ",
		"winding":    fmt.Sprintf("%.4g Ω", m.Motor.DC.Resistance.Value),
		"field-ohms": fmt.Sprintf("%.4g Ω", 40*m.Motor.DC.Resistance.Value), "field": "190 V, 0.4 A",
		"on": fmt.Sprintf("%.4g V", m.Supply.Volts)}
}

func must(s plan.Stations, err error) plan.Stations {
	if err != nil {
		panic(err)
	}
	return s
}

// worked is a plan with every setting and every step ticked off, each read as it should be but for those told here.
func worked(t *testing.T, in plan.Input, read map[string]string) plan.Input {
	t.Helper()
	in.Plan.Checks = nil
	fine := right(in)
	var checks []plan.Check
	for _, s := range assesstest.Of(t, in).Settings {
		checks = append(checks, plan.Check{ID: string(s.Working), On: "2026-11-30"})
	}
	for _, s := range built(t, in).PowerUp {
		name := strings.TrimPrefix(s.ID, "power.")
		text, told := read[name]
		if !told {
			text = fine[name]
		}
		checks = append(checks, plan.Check{ID: s.ID, On: "2026-11-30", Measured: text})
	}
	in.Plan.Checks = checks
	return in
}

// Everything read as it should be is done from end to end, on every sort of plan.
func TestEverythingRightIsDone(t *testing.T) {
	for name, in := range sorts() {
		for _, s := range built(t, worked(t, in, nil)).PowerUp {
			assert.True(t, s.Done, "%s: %s %s %s", name, s.ID, s.Held, s.Says)
			assert.Empty(t, s.Held+s.Says, "%s: %s", name, s.ID)
		}
	}
}

func sorts() map[string]plan.Input {
	return map[string]plan.Input{"dc": plantest.Sound(), "inverter": plantest.Inverted(), "switch": plantest.Switched(),
		"one phase out": plantest.OneOut(), "resistor": plantest.Resisted(), "transformer": plantest.Transformed()}
}

// What fails is not ticked, holds the supply and all that follows, and stops the plan; each at its bound.
func TestAReadingThatFailsHoldsWhatFollows(t *testing.T) {
	for _, c := range []struct{ step, read, right string }{
		{"unplug", "320 V", "4.9 V"}, {"unplug", "5.1 V", "0 V"}, {"unplug", "-325", "−2 V"},
		{"earth", "900 Ω", "0.5 Ω"}, {"earth", "0.51 Ω", "0.4"}, {"earth", "open", "0.0"},
		{"insulation", "0.02 MΩ", "1 MΩ"}, {"insulation", "0.99 MΩ", "1.01 MΩ"}, {"insulation", "900 Ω", "> 200 MΩ"},
		{"insulation", "200 MΩ at 9 V", "200 MΩ at 500 V"},
		{"winding", "OL", "8 Ω"}, {"winding", "120 Ω", "9 Ω"},
	} {
		in := plantest.Sound()
		bad := worked(t, in, map[string]string{c.step: c.read})
		b := built(t, bad)
		failed := stepOf(t, b.PowerUp, c.step)
		assert.Equal(t, judge.Fails, failed.Outcome, "%s: %s", c.step, c.read)
		assert.False(t, failed.Done, "%s: %s", c.step, c.read)
		assert.NotEmpty(t, failed.Says)
		for _, s := range b.PowerUp {
			if s.Live {
				assert.False(t, s.Done, "%s %s: %s is done all the same", c.step, c.read, s.ID)
				assert.NotEmpty(t, s.Held, "%s %s: %s", c.step, c.read, s.ID)
			}
		}
		assert.False(t, b.MayPower)
		a := assesstest.Of(t, bad)
		assert.Equal(t, judge.No, a.Power.Answer, "%s: %s", c.step, c.read)
		stop := assesstest.Finding(a, finding.SupplyMisread.Of(powerup.ID(c.step)))
		require.NotNil(t, stop, "%s: %s", c.step, c.read)
		assert.Contains(t, stop.Title, c.read)

		good := worked(t, in, map[string]string{c.step: c.right})
		assert.True(t, stepOf(t, built(t, good).PowerUp, c.step).Done, "%s: %s", c.step, c.right)
		assert.NotEqual(t, judge.No, assesstest.Of(t, good).Power.Answer, "%s: %s", c.step, c.right)
	}
}

// A tick with nothing read, or with words, is none where a figure is asked for; nor is one that was only read.
func TestATickIsNoReading(t *testing.T) {
	for _, text := range []string{"", "fine", "OL", "looks good"} {
		s := taken(t, plantest.Sound(), map[string]string{"insulation": text}, "insulation")
		assert.False(t, s.Done, text)
		assert.NotEmpty(t, s.Says, text)
		assert.NotEmpty(t, taken(t, plantest.Sound(), map[string]string{"insulation": text}, "on").Held, text)
	}
	in := worked(t, plantest.Sound(), nil)
	for i := range in.Plan.Checks {
		in.Plan.Checks[i].Open = in.Plan.Checks[i].ID == powerup.ID("earth")
	}
	b := built(t, in)
	assert.False(t, stepOf(t, b.PowerUp, "earth").Done, "read, and not ticked off")
	assert.NotEmpty(t, stepOf(t, b.PowerUp, "on").Held)
}

// "Settings set" wants each of them ticked off, and a live step the one before it.
func TestAStepWaitsForWhatItHangsOn(t *testing.T) {
	in := worked(t, plantest.Sound(), nil)
	var without []plan.Check
	dropped := ""
	for _, c := range in.Plan.Checks {
		if dropped == "" && strings.HasPrefix(c.ID, "setting.") {
			dropped = c.ID
			continue
		}
		without = append(without, c)
	}
	require.NotEmpty(t, dropped)
	in.Plan.Checks = without
	b := built(t, in)
	assert.Contains(t, stepOf(t, b.PowerUp, "settings").Held, "Not ticked off")
	assert.Equal(t, "First everything with the plug out.", stepOf(t, b.PowerUp, "on").Held)

	in = worked(t, plantest.Sound(), nil)
	for i, c := range in.Plan.Checks {
		if c.ID == powerup.ID("zero") {
			in.Plan.Checks = append(in.Plan.Checks[:i:i], in.Plan.Checks[i+1:]...)
			break
		}
	}
	b = built(t, in)
	assert.Equal(t, "First the step before.", stepOf(t, b.PowerUp, "slow").Held)
	assert.Equal(t, "First the step before.", stepOf(t, b.PowerUp, "top").Held, "nor what follows that")
}

// Speeds and amps need not be read; where they were, they are held against what may be.
func TestWhatIsReadLiveIsJudgedToo(t *testing.T) {
	in := plantest.Sound()
	for _, c := range []struct {
		step, read string
		done       bool
	}{
		{"on", "230 V", true}, {"on", "252 V", true}, {"on", "254 V", false}, {"on", "206 V", false},
		{"on", "115 V", false}, {"on", "0 V", false},
		{"slow", "175 rpm", true}, {"slow", "1700 rpm", false}, {"slow", "18 V", true}, {"slow", "180 V", false},
		{"top", "1970 rpm, 0.4 A", true}, {"top", "2300 rpm", false}, {"top", "1970 rpm, 4 A", false},
		{"zero", "0 rpm", true}, {"zero", "1750 rpm", false}, {"zero", "still", true},
		{"belt", "560 rpm", true}, {"belt", "700 rpm", false},
		{"warm", "48 °C, 2.1 A", true}, {"warm", "61 °C", false}, {"warm", "50 °C, 3.5 A", false},
	} {
		s := taken(t, in, map[string]string{c.step: c.read}, c.step)
		assert.Equal(t, c.done, s.Done, "%s: %s %s%s", c.step, c.read, s.Says, s.Held)
	}
}

// A motor that runs away without its load is coupled to it before it is first given all its volts; a field is proved
// before the armature is fed, a brake before it is trusted.
func TestWhatCanRunAwayIsHeldFirst(t *testing.T) {
	washer := plantest.Switched()
	washer.Plan.Motor = motor.Described{Name: "Washer", Kind: motor.Universal,
		Plate: motor.Plate{Power: "600 W", Speed: "14000 rpm", Volts: "230 V", Amps: "4.5 A", Hertz: "50 Hz"}}
	ids := func(in plan.Input) (out []string) {
		for _, s := range built(t, in).PowerUp {
			out = append(out, strings.TrimPrefix(s.ID, "power."))
		}
		return out
	}
	list := ids(washer)
	require.Contains(t, list, "coupled")
	assert.NotContains(t, list, "clamp", "that takes the belt off")
	assert.Less(t, slices.Index(list, "coupled"), slices.Index(list, "bump"))
	dialled := washer
	dialled.Plan.Control = control.Described{Kind: control.PhaseAngle, Volts: "230 V", Amps: "8 A"}
	assert.NotContains(t, ids(dialled), "coupled", "a few volts are not all of them")

	wound := plantest.Sound()
	wound.Plan.Motor.Kind = motor.WoundDC
	list = ids(wound)
	require.Contains(t, list, "field")
	assert.Less(t, slices.Index(list, "field"), slices.Index(list, "zero"), "proved before the knob goes up")
	for read, done := range map[string]bool{"190 V, 0.4 A": true, "190 V, 0 A": false, "190 V": false} {
		assert.Equal(t, done, taken(t, wound, map[string]string{"field": read}, "field").Done, read)
	}
	assert.False(t, taken(t, wound, map[string]string{"field-ohms": "OL"}, "field-ohms").Done)

	hoist := plantest.Sound()
	hoist.Machine.Limits.Hangs, hoist.Machine.Limits.Held = true, true
	list = ids(hoist)
	require.Contains(t, list, "brake")
	assert.Less(t, slices.Index(list, "brake"), slices.Index(list, "warm"), "before its load")
	assert.NotContains(t, ids(plantest.Sound()), "brake")
}
