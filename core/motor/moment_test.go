package motor_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
)

// Every sound plan's motor, asked for a moment, says what its law says: at rest it draws what the verdict warns of, at
// rated load its plate's amps, its watts are accounted for, and its limits are those of the reach.
func TestAMomentSaysWhatTheLawSays(t *testing.T) {
	lines := 0
	for _, one := range plantest.Sounds() {
		s, err := plan.Resolve(one.Input)
		require.NoError(t, err)
		m := line.New(s)
		require.True(t, m.Runs, one.What)
		_, high := m.Powered.RotorSpan()
		fed := motor.Fed{On: true, Set: 1, Supply: 1, Winding: 20, Case: 20, Limit: 130,
			Loop: motor.Loop{Gain: 50, Sum: 0}}
		if m.Supply.Battery {
			fed.Rests, fed.Inside = m.Supply.Volts, m.Supply.Inside
		}
		for _, share := range []float64{0, 0.2, 0.5, 0.8, 0.95, 1} {
			p := m.Powered.At(share*high, &fed)
			for _, v := range []float64{p.Torque, p.Amps, p.In, p.Copper, p.Other, p.Heating, p.Volts} {
				require.False(t, math.IsNaN(v) || math.IsInf(v, 0), "%s at %.2f: %+v", one.What, share, p)
			}
			assert.InDelta(t, p.In, p.Torque*share*high+p.Copper+p.Other, 1e-6*(1+math.Abs(p.In)),
				"%s at %.2f: what goes in comes out", one.What, share)
			assert.GreaterOrEqual(t, p.Copper, 0.0, one.What)
		}
		if m.Motor.Kind.Family() != motor.InductionFamily || m.Feed.Kind != motor.OnTheLine {
			continue
		}
		lines++
		rest := m.Powered.At(0, &fed)
		assert.InEpsilon(t,
			motor.StartAmps(&m.Motor)*(1-m.Feed.Sag)*m.Feed.Volts/m.Motor.Volts.Value*m.Motor.Hertz.Value/
				m.Feed.Hertz, rest.Amps, 1e-6, one.What)
		assert.InEpsilon(t, m.Powered.Breakaway().Torque/(m.Motor.Gear.Ratio*m.Motor.Gear.Efficiency), rest.Torque,
			1e-6,
			one.What)
		idle := m.Powered.At(m.Powered.FieldSpeed(), &fed)
		assert.InDelta(t, 0, idle.Torque, 1e-9)
		assert.Greater(t, idle.Amps, 0.15*m.Motor.Amps.Value, "%s: what magnetises it", one.What)
		assert.Less(t, idle.Amps, m.Motor.Amps.Value, one.What)
	}
	assert.Greater(t, lines, 10)
}
