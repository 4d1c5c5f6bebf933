package practice

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/instrument"
	"jiriki/core/measured"
	"jiriki/core/trial"
)

// The simulated bench speaks the lines of the instruments, repeats by its seed, and reads what its dry run does.
func TestTheSimulatedBenchReadsItsOwnMachine(t *testing.T) {
	for seed := range uint32(20) {
		s, ok := Simulate(seed, 0.6)
		require.True(t, ok)
		for _, at := range []float64{0, 0.5, 10, 25, 49, 55, 130} {
			lines := s.At(at)
			assert.Equal(t, lines, s.At(at))
			for _, l := range lines {
				got, err := instrument.Parse(l.Write())
				require.NoError(t, err)
				assert.InDelta(t, l.Value, got.Value, 1e-3*math.Abs(l.Value)+1e-9)
				assert.False(t, math.IsNaN(l.Value))
			}
		}
		free, loaded := s.At(15), s.At(33)
		assert.Greater(t, free[0].Value, 1.0, "it turns")
		assert.Less(t, loaded[0].Value, 1.02*free[0].Value, "and gains nothing under its load")
		assert.Greater(t, loaded[3].Value, free[3].Value)
		assert.Equal(t, s.Pull(0.2, 3), s.Pull(0.2, 3))
		assert.InEpsilon(t, s.Pull(0.1, 3), 2*s.Pull(0.2, 3), 0.2, "half as far out it takes twice the pull")
	}
}

// What is heard beside it is the speed its tachometer reads.
func TestTheSimulatedBenchSoundsAsItTurns(t *testing.T) {
	right := 0
	for seed := range uint32(10) {
		s, ok := Simulate(seed, 0.7)
		require.True(t, ok)
		heard, err := trial.Listen(s.Sound(12, 4, 8000), 8000, Plan(seed), "", measured.AtMotor)
		require.NoError(t, err)
		rpm := 0.0
		for _, l := range s.At(12) {
			if l.Word == "rpm2" {
				rpm = l.Value
			}
		}
		if math.Abs(60*heard.Speed/rpm-1) < 0.005 {
			right++
		}
	}
	assert.GreaterOrEqual(t, right, 9)
}
