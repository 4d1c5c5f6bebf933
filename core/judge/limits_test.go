package judge_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

func modelOf(t *testing.T, in plan.Input) *line.Model {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	return line.New(s)
}

// turning is a plan on an inverter whose spindle reaches so many rpm with no load: 1500 of the field, geared.
func turning(kind string, rpm string) plan.Input {
	in := plantest.Inverted()
	in.Machine.Kind, in.Machine.Limits = kind, work.Limits{Covered: true}
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Chain, Pitch: "12.7 mm", Guarded: true,
		Centre: "500 mm", Steps: []reduction.DescribedStep{{Driver: "20", Driven: q.Text(rpm)}}}}
	return in
}

// A cutter, and what carries a chuck or wheel, is asked for its limit past 500 rpm with no load, anything else past
// 1000: safety figures, pinned by their number.
func TestFromWhichSpeedALimitIsAskedFor(t *testing.T) {
	for _, c := range []struct {
		kind, teeth string // 30 000 / teeth rpm
		asks        bool
	}{
		{"lathe", "59", true}, {"lathe", "61", false}, {"mill", "59", true}, {"disc-sander", "59", true},
		{"conveyor", "29", true}, {"conveyor", "31", false}, {"other", "29", true}, {"mixer", "31", false},
		{"fan", "59", true},
	} {
		assert.Equal(t, c.asks, judge.Unlimited(modelOf(t, turning(c.kind, c.teeth))), "%s %s", c.kind, c.teeth)
	}
	in := turning("lathe", "20")
	in.Machine.Limits.Spindle = "5000 rpm"
	assert.False(t, judge.Unlimited(modelOf(t, in)), "a limit is there")
}

// What the old motor turned it at it is known to bear; a hundredth over is what no tachometer shows.
func TestWhatTheOldMotorTurnedItAtIsBorne(t *testing.T) {
	had := func(speed string) plan.Input {
		in := turning("lathe", "20")
		in.Machine.Jobs[0].Load = work.Load{By: work.ByReplaced, Replaced: work.Replaced{Power: "0.3 kW",
			Speed: q.Text(speed)}}
		return in
	}
	m := modelOf(t, had("1490 rpm"))
	assert.False(t, judge.Unlimited(m))
	m = modelOf(t, had("1480 rpm"))
	assert.True(t, judge.Unlimited(m))
	assert.True(t, judge.FasterThanEver(m))
	other := had("700 rpm")
	other.Machine.Kind = "conveyor"
	assert.False(t, judge.FasterThanEver(modelOf(t, other)), "no cutter and no chuck: it is asked, not stopped")
	assert.True(t, judge.Unlimited(modelOf(t, other)))
}

// Three times a motor's amps are too many, from just there on.
func TestALimitOfThreeTimesTheAmpsIsTooHigh(t *testing.T) {
	assert.True(t, judge.LimitTooHigh(4.2, 1.4))
	assert.False(t, judge.LimitTooHigh(4.19, 1.4))
	assert.False(t, judge.LimitTooHigh(9, 0), "nobody knows the motor's")
	assert.Equal(t, 15.0, judge.ScrewFlies())
}

// An inverter for a quarter more volts than its motor's is asked for its base hertz, and told what they may be.
func TestBaseHertzAreAskedForWhereTheyDecide(t *testing.T) {
	of := func(volts, other, base q.Text) *line.Model {
		in := plantest.Inverted()
		in.Plan.Supply.Volts, in.Plan.Supply.Phases = "400 V", "3"
		in.Plan.Control.Volts, in.Plan.Control.BaseHertz, in.Plan.Control.Fed = "400 V", base, "3"
		in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Links = volts+other+" V", "low"
		return modelOf(t, in)
	}
	assert.True(t, judge.BaseAsked(of("319", "", "")))
	assert.False(t, judge.BaseAsked(of("321", "", "")))
	assert.False(t, judge.BaseAsked(of("230", "/400", "50 Hz")), "said, and judged by what was said")
	both, one := of("230", "/400", ""), of("230", "", "")
	assert.InDelta(t, 400./230, judge.Flux(both, 50), 1e-9)
	assert.Contains(t, judge.BaseSays(both, q.Metric), "set base hertz to 87\u202fHz")
	assert.Contains(t, judge.BaseSays(one, q.Metric), "set them to 230\u202fV")
	assert.NotContains(t, judge.BaseSays(one, q.Metric), "base hertz", "its insulation is not for so many volts")
}
