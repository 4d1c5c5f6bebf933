package words

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestList(t *testing.T) {
	assert.Empty(t, List(nil))
	assert.Equal(t, "a choke", List([]string{"a choke"}))
	assert.Equal(t, "a choke, a fan and a motor", List([]string{"a choke", "a fan", "a motor"}))
}

func TestWhatBeganASentenceGoesInsideOne(t *testing.T) {
	assert.Equal(t, "guard the belt", LowerFirst("Guard the belt"))
	assert.Equal(t, "“Much” cannot be used", LowerFirst("“Much” cannot be used"))
	assert.Equal(t, "über", LowerFirst("Über"))
	assert.Empty(t, LowerFirst("")+Capital(""))
}

func TestJobsAreCountedAsTheyAreSaid(t *testing.T) {
	for said, n := range map[string][2]int{"the job": {1, 1}, "no job": {0, 1}, "none of three jobs": {0, 3},
		"both jobs": {2, 2}, "all four jobs": {4, 4}, "two of three jobs": {2, 3}} {
		assert.Equal(t, said, Jobs(n[0], n[1]))
	}
}

func TestTheArticleGoesBySound(t *testing.T) {
	for noun, want := range map[string]string{
		"inverter": "an inverter", "Inverter": "an Inverter", "PWM drive": "a PWM drive",
		"universal motor": "a universal motor", "unit": "a unit", "one-way clutch": "a one-way clutch", "end": "an end",
		"8 A drive": "an 8 A drive", "80 mm pulley": "an 80 mm pulley", "11 kW motor": "an 11 kW motor",
		"18 V motor": "an 18 V motor", "110 V motor": "a 110 V motor", "1.8 A drive": "a 1.8 A drive",
		"180 V motor": "a 180 V motor", "0.8 mm key": "a 0.8 mm key", "": "a ",
		"umbrella": "an umbrella", "used belt": "a used belt", "8.5 mm shaft": "an 8.5 mm shaft",
	} {
		assert.Equal(t, want, A(noun))
	}
}
