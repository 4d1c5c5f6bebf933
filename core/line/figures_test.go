package line

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

func modelOf(t testing.TB, in plan.Input) *Model {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	return New(s)
}

// Smooth direct current up to 60 V is low enough to want a supply unit on the mains, and no mains drive gives
// so little [IEC 61140, from memory].
func TestASupplyUnitIsForUpToSixtyVolts(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.Kind = control.Chopper
	for volts, needs := range map[q.Text]bool{"60 V": true, "61 V": false} {
		in.Plan.Control.Volts = volts
		assert.Equal(t, needs, modelOf(t, in).NeedsSupplyUnit(), volts)
	}
}

// A stepper loses steps without a word: twice the torque is kept in hand, unless a person says otherwise.
func TestAStepperKeepsTwiceTheTorque(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Stepper, Plate: motor.Plate{HoldingTorque: "3 N·m", Amps: "4 A"}}
	in.Plan.Control = control.Described{Kind: control.StepperDriver, Volts: "48 V", Amps: "5 A"}
	assert.Equal(t, 2.0, modelOf(t, in).Machine.Jobs[0].Margin)
	in.Machine.Jobs = []work.Job{in.Machine.Jobs[0]}
	in.Machine.Jobs[0].Margin = "1.2"
	assert.Equal(t, 1.2, modelOf(t, in).Machine.Jobs[0].Margin)
}

// A speed within three hundredths counts as reached; more does not. A limit is forgiven a hundredth.
func TestSpeedsAreReachedWithinThreeHundredths(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs = []work.Job{in.Machine.Jobs[0]}
	m := modelOf(t, in)
	_, high := m.Span(&m.Reduction.Positions[0])
	for times, reached := range map[float64]bool{1.0305: true, 1.0315: false} {
		in.Machine.Jobs[0].Speed.To = q.Text(fmt.Sprintf("%.3f rpm", high*times/q.RPM))
		assert.Equal(t, reached, modelOf(t, in).Results()[0].Outcome.Reached(), times)
	}
	top := m.Top(&m.Reduction.Positions[0])
	for times, over := range map[float64]bool{1.0095: false, 1.0105: true} {
		in.Machine.Limits.Spindle = q.Text(fmt.Sprintf("%.4f rpm", top/times/q.RPM))
		assert.Equal(t, over, modelOf(t, in).Overspeeds(), times)
	}
}

// Figures others build on, each by its number [common practice].
func TestFiguresOfTheLine(t *testing.T) {
	assert.Equal(t, 0.93, UsualEfficiency)
	assert.Equal(t, 0.8, StartSwitchFloor)
	assert.Equal(t, 2.0, RotorAllowance(modelOf(t, plantest.Inverted()).Motor), "four poles")
	two := plantest.Inverted()
	two.Plan.Motor.Plate.Speed = "2850 rpm"
	assert.Equal(t, 1.5, RotorAllowance(modelOf(t, two).Motor), "two poles")
	three := plantest.Inverted()
	three.Plan.Control.Fed = "3"
	s := modelOf(t, three).Stations
	assert.Equal(t, 2.5, RatedAmps(&s), "half of 5 A on one phase of three")
}

// What a job asks of a belt is its torque over the driven wheel's radius.
func TestABeltPullsAtItsRadius(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs[0].Load.Torque = "2.8 N·m"
	m := modelOf(t, in)
	for _, load := range m.BeltLoads(m.Results()) {
		assert.InDelta(t, 20, load.Pull, 1e-9, "2.8 N·m over 140 mm")
	}
	assert.Equal(t, 1.5, reduction.OverloadShare)
}

// A series resistor's two speeds: at a tenth of rated torque and at all of it.
func TestAResistorsSpeedsAreWhereTorqueIs(t *testing.T) {
	in := plantest.Resisted()
	in.Plan.Supply.Volts, in.Plan.Control.Ohms = "180 V", "40 Ω"
	m := modelOf(t, in)
	light, full := m.ResistorSpeeds()
	assert.InDelta(t, m.Motor.Torque.Value/10, m.Powered.Peak(light).Torque, 1e-3)
	assert.InDelta(t, m.Motor.Torque.Value, m.Powered.Peak(full).Torque, 1e-3)
	assert.Greater(t, light, full)
}

// A rotor of four poles is passed at twice its plate's speed, and half a hundredth over.
func TestARotorPastItsAllowanceOverspeeds(t *testing.T) {
	over := func(hertz q.Text) bool {
		in := plantest.Inverted()
		in.Machine.Limits = work.Limits{}
		in.Plan.Control.TopHertz = hertz
		return modelOf(t, in).Overspeeds()
	}
	assert.False(t, over("93.7 Hz"))
	assert.True(t, over("94 Hz"), "2820 rpm against 2814")
}

// A motor on more volts and hertz than its plate gives more, and that comes out of the line: it holds its torque all
// day at a speed that went up with the hertz.
func TestWhatTheLineGivesOffThePlate(t *testing.T) {
	in := plantest.Switched()
	m := modelOf(t, in)
	assert.Equal(t, 1.0, m.FullShare())
	plate := m.InputWatts()
	in.Plan.Supply.Volts, in.Plan.Supply.Hertz = q.Text(fmt.Sprintf("%g V", m.Motor.Volts.Value*1.2)),
		q.Text(fmt.Sprintf("%g Hz", m.Motor.Hertz.Value*1.2))
	m = modelOf(t, in)
	assert.InDelta(t, 1.2, m.FullShare(), 0.01)
	efficiency := m.Motor.Efficiency.Value
	assert.InEpsilon(t, (m.FullShare()+1/efficiency-1)*efficiency, m.InputWatts()/plate, 1e-9)
}

// What a drive past the plate's volts gives at a limit under the plate's amps is the one times the other.
func TestMoreVoltsAtFewerAmpsGiveTheirProduct(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits = work.Limits{}
	in.Plan.Motor.Plate.Volts, in.Plan.Control.TopTrim = "90 V", "150 %"
	for limit, share := range map[q.Text]float64{"2.1 A": 1.5 * 2.1 / 2.8, "2.8 A": 1.5, "4.2 A": 1.5} {
		in.Plan.Control.LimitAmps = limit
		assert.InDelta(t, share, modelOf(t, in).FullShare(), 1e-9, limit)
	}
}
