package build_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/build"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/work"
)

func step(t *testing.T, in plan.Input, id string) build.PowerUpStep {
	t.Helper()
	for _, s := range built(t, in).PowerUp {
		if s.ID == "power."+id {
			return s
		}
	}
	require.Failf(t, "no such step", id)
	return build.PowerUpStep{}
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

// A fan's own motor may be slowed by fewer volts, and then how slow is found by trial; anything else may not.
func TestAFanOnFewerVoltsIsTriedOut(t *testing.T) {
	in := plantest.Switched()
	in.Plan.Motor.Kind = motor.ShadedPole
	in.Plan.Control = control.Described{Kind: control.VariableTransformer, Amps: "4 A", Fused: true, Enclosed: true,
		NoVolt: true}
	in.Machine.Kind = "fan"
	a := assesstest.Of(t, in)
	require.NotNil(t, assesstest.Finding(a, "control.by-trial"))
	assert.Nil(t, assesstest.Finding(a, "control.fan-only"))
	assert.Nil(t, assesstest.Finding(a, "motor.lethal"), "no rectified mains here")
	in.Machine.Kind = "drill"
	assert.NotNil(t, assesstest.Finding(assesstest.Of(t, in), "control.fan-only"))
}

// The other school drives a capacitor-start motor down to its floor, not below, and never above its plate.
func TestTheDisputedDriveKeepsToItsFloor(t *testing.T) {
	in := plantest.OneOut()
	a := assesstest.Of(t, in)
	reach := a.Reach.Positions[0]
	assert.InEpsilon(t, 0.8, reach.LowRPM/reach.HighRPM, 0.01)
	disputed := assesstest.Finding(a, "control.disputed")
	require.NotNil(t, disputed)
	assert.Equal(t, finding.Caution, disputed.Level)
	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "100", To: "200"}
	assert.Equal(t, line.TooFast, assesstest.Of(t, in).Jobs[0].Outcome, "half speed is not to be had")
}

// Every part of the small electrics is on the list when the plan has it, and only then.
func TestSmallElectricsFollowThePlan(t *testing.T) {
	names := func(in plan.Input) string {
		var all []string
		for _, p := range built(t, in).Buy.Parts {
			all = append(all, p.ID)
		}
		return strings.Join(all, " ")
	}
	for id, with := range map[string]func(*plan.Input){
		"buy.choke":   func(in *plan.Input) { in.Plan.Control.Choke = true },
		"buy.lamp":    func(in *plan.Input) { in.Plan.Control.Lamp = true },
		"buy.fan":     func(in *plan.Input) { in.Plan.Control.Fan = true },
		"buy.reverse": func(in *plan.Input) { in.Plan.Control.Reverse = "switch" },
		"buy.knob":    func(in *plan.Input) { in.Plan.Control.Knob = "pot" },
		"buy.cable":   func(in *plan.Input) { in.Plan.Supply.Cable = "10 m" },
	} {
		without, in := plantest.Sound(), plantest.Sound()
		without.Plan.Control.Choke, without.Plan.Control.Knob = false, "0-10"
		in.Plan.Control.Choke, in.Plan.Control.Knob = false, "0-10"
		with(&in)
		assert.NotContains(t, names(without), id)
		assert.Contains(t, names(in), id)
	}
	braked := plantest.Inverted()
	braked.Plan.Control.BrakeOhms = "80 Ω"
	assert.Contains(t, names(braked), "buy.brake")
}

// 240 V of North America is two live lines: both are fused, neither is a neutral, and both are measured.
func TestTwoHotsAreBothLive(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Supply = supply.Described{Volts: "240 V", Hertz: "60 Hz", Breaker: "15 A", Wire: "14 AWG", Earthed: true}
	b := built(t, in)
	require.True(t, b.MayPower, b.Blocked)
	on := step(t, in, "on")
	assert.Contains(t, on.Measure, "two hot lines")
	assert.Contains(t, on.Expect, "120\u202fV each")
	colours := map[string]string{}
	for _, w := range b.Wiring.Wires {
		assert.NotContains(t, w.From+" "+w.To, "X0:N")
		colours[w.From] = w.Colour
	}
	assert.Equal(t, "black", colours["X0:L1"])
	assert.Equal(t, "red", colours["X0:L2"])
	for _, device := range b.Wiring.Devices {
		if device.ID == "F1" {
			assert.Len(t, device.Terminals, 4, "a fuse in each")
		}
	}
	for _, check := range b.Wiring.Checks {
		assert.True(t, check.OK, check.Title)
	}
}
