package numeric

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

func run(t require.TestingT, s *ODE, until float64) {
	for s.Time() < until {
		require.NoError(t, s.Step(until))
	}
}

func fine(n int) Tolerance {
	tolerance := Tolerance{Relative: 1e-10}
	for range n {
		tolerance.Absolute = append(tolerance.Absolute, 1e-12)
	}
	return tolerance
}

// A spin-down by constant, linear and square drag against its closed form, at the end and within its steps.
func TestASpinDownIsAsItsClosedFormHasIt(t *testing.T) {
	const inertia, constant, linear = 0.4, 0.3, 0.02
	rapid.Check(t, func(t *rapid.T) {
		start := rapid.Float64Range(5, 400).Draw(t, "start")
		s := NewODE(func(_ float64, y, dy []float64) { dy[0] = -(constant + linear*y[0]) / inertia }, 0,
			[]float64{start}, fine(1))
		exact := func(t float64) float64 {
			return (start+constant/linear)*math.Exp(-linear*t/inertia) - constant/linear
		}
		y := []float64{0}
		for s.Time() < 3 {
			before := s.Time()
			require.NoError(t, s.Step(3))
			assert.InDelta(t, exact(s.Time()), s.State()[0], 1e-7*start)
			middle := (before + s.Time()) / 2
			s.Within(middle, y)
			assert.InDelta(t, exact(middle), y[0], 1e-6*start, "within a step")
		}
		assert.Equal(t, 3.0, s.Time(), "not past its end")
	})
}

func TestSquareDragAndAPendulumThatKeepsItsEnergy(t *testing.T) {
	s := NewODE(func(_ float64, y, dy []float64) { dy[0] = -0.05 * y[0] * y[0] }, 0, []float64{80}, fine(1))
	run(t, s, 10)
	assert.InEpsilon(t, 80/(1+0.05*80*10), s.State()[0], 1e-9)
	swing := NewODE(func(_ float64, y, dy []float64) { dy[0], dy[1] = y[1], -9*y[0] }, 0, []float64{1, 0}, fine(2))
	run(t, swing, 20)
	assert.InDelta(t, math.Cos(60), swing.State()[0], 1e-7)
	assert.InDelta(t, -3*math.Sin(60), swing.State()[1], 1e-7)
}

// A tenth of the error is had for about 1.6 times the steps: the pair is of order five.
func TestItsErrorFollowsItsTolerance(t *testing.T) {
	off := func(relative float64) (off float64, steps int) {
		s := NewODE(func(t float64, y, dy []float64) { dy[0] = y[0] * math.Cos(t) }, 0, []float64{1},
			Tolerance{relative, []float64{relative}})
		for s.Time() < 10 {
			require.NoError(t, s.Step(10))
			steps++
		}
		return math.Abs(s.State()[0] - math.Exp(math.Sin(10))), steps
	}
	coarse, few := off(1e-5)
	exact, many := off(1e-10)
	assert.Less(t, coarse, 1e-4)
	assert.Less(t, exact, 1e-9)
	assert.InDelta(t, 10, float64(many)/float64(few), 4, "10⁵ in error is ten times the steps")
}

func TestACrossingIsFoundToWithinAMicrosecond(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		rate, start := rapid.Float64Range(0.2, 40).Draw(t, "rate"), rapid.Float64Range(2, 300).Draw(t, "start")
		s := NewODE(func(_ float64, y, dy []float64) { dy[0] = -rate * y[0] }, 0, []float64{start}, fine(1))
		level := 0.3 * start
		for {
			require.NoError(t, s.Step(100))
			at, crossed := s.Crossing(func(_ float64, y []float64) float64 { return y[0] - level }, 1e-6)
			if crossed {
				assert.InDelta(t, math.Log(1/0.3)/rate, at, 2e-6)
				return
			}
			require.Less(t, s.Time(), 100.0)
		}
	})
}

func TestItGoesOnFromWhereSomethingSuddenHappened(t *testing.T) {
	push := 1.0
	s := NewODE(func(_ float64, _, dy []float64) { dy[0] = push }, 0, []float64{0}, fine(1))
	run(t, s, 2)
	push = -1
	s.Restart(2, s.State())
	run(t, s, 5)
	assert.InDelta(t, -1, s.State()[0], 1e-9)
}

func TestWhatHasNoEndIsRefused(t *testing.T) {
	s := NewODE(func(_ float64, y, dy []float64) { dy[0] = y[0] * y[0] }, 0, []float64{1}, fine(1)) // 1/(1 − t)
	for {
		if err := s.Step(2); err != nil {
			assert.ErrorIs(t, err, ErrTooFine)
			assert.Less(t, s.Time(), 1.001)
			return
		}
		require.Less(t, s.Time(), 1.001)
	}
}
