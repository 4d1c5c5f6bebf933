package build_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/supply"
	"jiriki/core/work"
)

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

// A capacitor-start-run motor has two capacitors: one stays in, the other goes through the start switch; both are on
// the list and on the drawing.
func TestAMotorOfTwoCapacitorsHasTwo(t *testing.T) {
	in := plantest.Switched()
	in.Plan.Motor.Kind, in.Plan.Motor.Plate.Capacitor = motor.CapacitorRun, "20 µF"
	b := built(t, in)
	devices := map[string]string{}
	for _, d := range b.Wiring.Devices {
		devices[d.ID] = d.Name
	}
	assert.Contains(t, devices["C1"], "Run capacitor")
	assert.Contains(t, devices["C2"], "Start capacitor")
	parts := partNames(b.Take)
	assert.Contains(t, parts, "Run capacitor, film or oil 20\u202fµF")
	assert.Contains(t, parts, "Start capacitor")
	for _, check := range b.Wiring.Checks {
		assert.True(t, check.OK, check.Title)
	}
	one := plantest.Switched()
	for _, d := range built(t, one).Wiring.Devices {
		assert.NotEqual(t, "C2", d.ID)
	}
}

// A resistor in series makes all its heat where it is: the box is sized for it, and its parts are on the list.
func TestAResistorsHeatIsOnTheList(t *testing.T) {
	in := plantest.Resisted()
	b := built(t, in)
	m := line.New(mustStations(t, in))
	watts := m.Motor.Amps.Value * m.Motor.Amps.Value * m.Control.Ohms
	require.Greater(t, watts, 150.0)
	found := map[string]bool{}
	for _, p := range b.Buy.Parts {
		found[p.ID] = true
	}
	for _, id := range []string{"buy.resistor", "buy.cage"} {
		assert.True(t, found[id], id)
	}
}

func mustStations(t *testing.T, in plan.Input) plan.Stations {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	return s
}
