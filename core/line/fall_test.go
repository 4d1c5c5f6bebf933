package line

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan/plantest"
)

// A job whose speed falls by more than it may is not done, however much torque there is.
func TestAJobWhoseSpeedFallsTooFarIsNotDone(t *testing.T) {
	in := plantest.Transformed()
	m := modelOf(t, in)
	job := &m.Machine.Jobs[0]
	free := m.Best(job, m.Reduction.Positions)
	require.True(t, free.Outcome.Done())
	falls := m.Fall(job, &free)
	require.Greater(t, falls, 0.02, "nothing watches the speed")

	job.Fall = falls * 0.99
	strict := m.Best(job, m.Reduction.Positions)
	assert.Equal(t, FallsOff, strict.Outcome)
	assert.False(t, strict.Outcome.Done())
	assert.InEpsilon(t, free.Margin, strict.Margin, 1e-9, "its torque is as it was")
	assert.Zero(t, CountDone([]Result{strict}))
	job.Fall = falls * 1.01
	assert.True(t, m.Best(job, m.Reduction.Positions).Outcome.Done())
}

// Of two positions that both reach the band, the one that holds the speed is the better, whatever their margins.
func TestAPositionThatHoldsTheSpeedIsTheBetter(t *testing.T) {
	done, falls := Result{Outcome: JustDoes, Margin: 1.1}, Result{Outcome: FallsOff, Margin: 3}
	assert.True(t, Better(&done, &falls))
	assert.False(t, Better(&falls, &done))
	short := Result{Outcome: FallsShort, Margin: 0.4}
	assert.True(t, Better(&falls, &short), "of two that are not done the one with more torque")
}

// What lessens a shortfall is worth a word from a hundredth on: nearer to the speeds, or more torque.
func TestWhatLessensAShortfall(t *testing.T) {
	short := func(margin float64) *Result { return &Result{Outcome: FallsShort, Margin: margin} }
	slow := func(reached float64) *Result { return &Result{Outcome: TooSlow, reached: reached} }
	assert.True(t, Lessens(short(0.52), short(0.5)))
	assert.False(t, Lessens(short(0.503), short(0.5)))
	assert.True(t, Lessens(slow(0.8), slow(0.5)), "it comes nearer to the band")
	assert.False(t, Lessens(slow(0.5), slow(0.8)))
	assert.True(t, Lessens(short(0.5), slow(0.9)), "it reaches the band")
	assert.False(t, Lessens(short(0), slow(0.9)), "a band reached with no torque left lifts nothing")
	assert.False(t, Lessens(slow(0.9), short(0.5)))
	assert.False(t, Lessens(&Result{Outcome: TooFast, reached: 0.9}, slow(0.5)), "too fast is no nearer than too slow")
}
