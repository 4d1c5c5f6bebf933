package dryrun

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/script"
	"jiriki/core/supply"
)

// wrong is a body that once came out wrong, found beside SciPy.
func wrong(t *testing.T, name string) plan.Input {
	t.Helper()
	raw, err := os.ReadFile("testdata/wrong/" + name + ".json")
	require.NoError(t, err)
	var in plan.Input
	require.NoError(t, json.Unmarshal(raw, &in))
	return in
}

func ran(t *testing.T, in plan.Input) Answer {
	t.Helper()
	out, err := Of(in)
	require.NoError(t, err)
	return out
}

func never(float64) bool { return true }

// A spin-down among the motor's readings tells its rotor: 4 s from 2000 to 1000 rpm is 12 s from 3000 to rest, less
// what a loop and the last turns take. Source: the readings themselves.
func TestAReadingOfASpinDownCoastsSo(t *testing.T) {
	out := ran(t, wrong(t, "02b-spin-down-dryrun"))
	require.False(t, out.Results.StillTurns)
	from := out.Trace.SpindleRPM[len(out.Trace.SpindleRPM)/2]
	assert.Greater(t, out.Results.Stop, 8.0)
	at := func(rpm float64) float64 {
		for i, v := range out.Trace.SpindleRPM {
			if out.Trace.Seconds[i] > 10 && v <= rpm {
				return out.Trace.Seconds[i]
			}
		}
		return 0
	}
	assert.InDelta(t, 4, at(1000)-at(2000), 0.2, "from %g", from)
}

// Up to speed is 97 % of what it then keeps, cut or no cut. Source: SciPy's solve_ivp on the same equations gives 7.6
// s.
func TestUpToSpeedIsOfTheSpeedItComesTo(t *testing.T) {
	in := wrong(t, "17-starts-in")
	out := ran(t, in)
	assert.True(t, out.Results.NotUp)
	assert.Contains(t, out.Headline, "Not up to speed yet when")

	bare := in
	bare.Plan.Script.Events = []script.Event{in.Plan.Script.Events[0], in.Plan.Script.Events[2]}
	assert.InDelta(t, 7.6, ran(t, bare).Results.ToSpeed, 0.1)
	later := in
	later.Plan.Script.Events = append([]script.Event{}, in.Plan.Script.Events...)
	later.Plan.Script.Events[1].At = "15 s"
	assert.InDelta(t, 7.6, ran(t, later).Results.ToSpeed, 0.1, "up before the cut came")

	// Stopped before it is up, it is not called up to speed.
	for _, at := range []string{"1 s", "2 s", "4 s"} {
		early := in
		early.Plan.Script.Events = []script.Event{{Does: script.On, At: "0 s"}, {Does: script.Coast, At: q.Text(at)}}
		out = ran(t, early)
		assert.Zero(t, out.Results.ToSpeed, at)
		assert.True(t, out.Results.NotUp, at)
		assert.Contains(t, out.Headline, "Not up to speed", at)
	}
}

// A run that never stops, or never starts, took longer than the script: it is no 0 s.
func TestWhatNeverHappensCountsAsLonger(t *testing.T) {
	stops, err := Over(wrong(t, "18-draws-stop"), UsualDraws, never)
	require.NoError(t, err)
	assert.True(t, stops.Stop.Past, "%+v", stops.Stop)
	assert.GreaterOrEqual(t, stops.Stop.High, 180.0)
	assert.InDelta(t, 69, stops.Stop.Low, 7)
	assert.Positive(t, stops.Stop.Never)

	starts, err := Over(wrong(t, "19-draws-tospeed"), UsualDraws, never)
	require.NoError(t, err)
	assert.True(t, starts.ToSpeed.Past, "%+v", starts.ToSpeed)
	assert.InDelta(t, 59, starts.Stood, 6)
	assert.Positive(t, starts.ToSpeed.Low)
	assert.Equal(t, UsualDraws, starts.Of)
}

// A light, geared motor is no softer under a drive that watches its speed than on volts that stay: half its torque does
// not stall it. Source: V = K_e·ω + I·R by hand.
func TestALightGearedMotorHoldsItsSpeed(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Supply = supply.Described{Volts: "24 V", Phases: "dc"}
	in.Plan.Motor = motor.Described{Kind: motor.PermanentMagnetDC, Plate: motor.Plate{Power: "100 W", Speed: "3000 rpm",
		Volts: "24 V", Amps: "6 A"}, Body: motor.Body{Rotor: "0.1 kg·cm²"},
		Gearbox: motor.Gearbox{Sort: "spur", Ratio: "40"}}
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Direct,
		Steps: []reduction.DescribedStep{{}}}}
	for _, watched := range []string{"none", "armature", "tacho"} {
		in.Plan.Control = control.Described{Kind: control.Chopper, Volts: "24 V", Amps: "12 A", LimitAmps: "10 A",
			Feedback: watched}
		for _, torque := range []q.Text{"0.1 N·m", "1 N·m", "6 N·m", "10 N·m"} {
			in.Plan.Script = script.Described{Inertia: "0.001 kg·m²", Friction: "0.05 N·m", Events: []script.Event{
				{Does: script.On, At: "0 s"}, {Does: script.Jam, At: "5 s", Torque: torque, Lasts: "5 s"},
				{Does: script.Coast, At: "15 s"}}}
			cut := ran(t, in).Results.Cuts[0]
			assert.Zero(t, cut.Stalls, "%s, %s", watched, torque)
			assert.Greater(t, cut.Holds, 0.8*cut.Before, "%s, %s", watched, torque)
		}
	}
}

// What is drawn from the supply is what the motor takes and what its drive loses.
func TestWhatTheSupplyGivesIsTheDrivesToo(t *testing.T) {
	in := wrong(t, "20-ramp-not-stretched")
	in.Plan.Script.Events[1].Does = script.Coast
	out := ran(t, in)
	into := 0.0
	for i := 1; i < len(out.Trace.Seconds); i++ {
		into += (out.Trace.Watts[i] + out.Trace.Watts[i-1]) / 2 * (out.Trace.Seconds[i] - out.Trace.Seconds[i-1])
	}
	assert.InEpsilon(t, into/0.95, out.Results.Energy, 0.03)
}

// A ramp its current limit cannot follow is stretched, not let go: J·Δω over the torque at the limit, 5 s.
func TestALimitStretchesARamp(t *testing.T) {
	out := ran(t, wrong(t, "20-ramp-not-stretched"))
	assert.InDelta(t, 5, out.Results.Stop, 0.6)
	for mode, most := range map[string]float64{"vector": 6, "vf": 12} {
		in := wrong(t, "20-ramp-not-stretched")
		in.Plan.Control.Mode = mode
		stop := ran(t, in).Results.Stop
		assert.Less(t, stop, most, mode)
		assert.Greater(t, stop, 3.0, mode)
	}
	gentle := wrong(t, "20-ramp-not-stretched")
	gentle.Plan.Control.Accel = "15 s"
	gentle.Plan.Script.Events[1].At = "40 s"
	assert.InDelta(t, 15, ran(t, gentle).Results.Stop, 1.5, "one it can follow takes its own time")
}
