package line

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func setting(t *testing.T, in Input, name string) Setting {
	t.Helper()
	for _, s := range assessed(t, in).Settings {
		if s.Name == name {
			return s
		}
	}
	require.Failf(t, "no such setting", name)
	return Setting{}
}

func TestDirectCurrentSettings(t *testing.T) {
	in := sound()
	assert.Equal(t, "4.2\u202fA", setting(t, in, "Current limit").Value, "1.5 × 2.8 A")
	in.Plan.Control.Amps = "2.5 A"
	assert.Equal(t, "3.75\u202fA", setting(t, in, "Current limit").Value, "never past 1.5 × the drive")

	trim := setting(t, in, "Max speed trim")
	assert.Equal(t, "100\u202f%, 1750\u202frpm", trim.Value)
	assert.Contains(t, trim.Other, "65 %", "the other school is told of")
	in.Plan.Control.TopTrim = "65 %"
	trim = setting(t, in, "Max speed trim")
	assert.Equal(t, "65\u202f%, 1138\u202frpm", trim.Value)
	assert.Contains(t, trim.Other, "Full plate")

	assert.Equal(t, "37.9\u202frpm", setting(t, in, "Min speed trim").Value, "1/30 of 1137.5 rpm")
	assert.Equal(t, "2.5\u202fs", setting(t, in, "Acceleration").Value)
	in.Plan.Control.Accel = "5 s"
	assert.Equal(t, "5\u202fs", setting(t, in, "Deceleration").Value)
	assert.Equal(t, "0 to begin with", setting(t, in, "IR compensation").Value)
}

func TestInverterSettings(t *testing.T) {
	in := inverted()
	assert.Equal(t, "3.3\u202fA", setting(t, in, "Motor amps").Value)
	assert.Equal(t, "50\u202fHz at 230\u202fV", setting(t, in, "Base hertz and volts").Value)
	assert.Equal(t, "4, 1400\u202frpm", setting(t, in, "Poles and plate speed").Value)
	assert.Equal(t, "5\u202fHz", setting(t, in, "Lowest hertz").Value)
	in.Plan.Control.Mode = "vector"
	assert.Equal(t, "1.25\u202fHz", setting(t, in, "Lowest hertz").Value)

	// A 480 V winding on 230 V keeps its volts per hertz only to 23.96 Hz.
	in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "480 V", "1.6 A"
	assert.Equal(t, "24\u202fHz at 230\u202fV", setting(t, in, "Base hertz and volts").Value)
}

func TestAPlainSwitchHasNothingToSet(t *testing.T) {
	assert.Empty(t, assessed(t, switched()).Settings)
}
