package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Beliefs of the fit that no single reading shows, each by its number.
func TestFiguresOfTheFit(t *testing.T) {
	assert.True(t, Estimate{Value: 1, Spread: 0.299}.Found())
	assert.False(t, Estimate{Value: 1, Spread: 0.301}.Found(), "30 % is no longer found")
	assert.Equal(t, 0.06, nakedOff, "a free run without its amps")
	assert.Equal(t, 1.5, loose, "a factor of e and more either way, before any reading")
	assert.Equal(t, 0.35, worthReading)
}
