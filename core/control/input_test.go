package control

import (
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

func TestInputIsReadAsPlatesHaveIt(t *testing.T) {
	for text, want := range map[q.Text]Span{"": {}, "230 V": {230, 230}, "200-240 V": {200, 240},
		"200–240V": {200, 240}, "100 V/240 V": {100, 240}, "380 to 480 V": {380, 480}, "240-200": {200, 240}} {
		r := q.NewReader("control")
		assert.Equal(t, want, readInput(Described{InputVolts: text}, r).Volts, text)
		assert.NoError(t, r.Err(), text)
	}
	assert.Equal(t, Span{50, 60}, readInput(Described{InputHertz: "50/60 Hz"}, q.NewReader("")).Hertz)
	for _, text := range []q.Text{"mains", "230 Nm", "9-12 kV", "200-"} {
		r := q.NewReader("control")
		assert.Equal(t, Span{}, readInput(Described{InputVolts: text}, r).Volts, text)
		assert.Error(t, r.Err(), text)
	}
}

func TestADriveTakesATenthPastItsPlate(t *testing.T) {
	plate := Span{200, 240}
	for volts, takes := range map[float64]bool{110: false, 179: false, 181: true, 230: true, 263: true, 265: false,
		400: false} {
		assert.Equal(t, takes, plate.Takes(volts), volts)
	}
	assert.True(t, Span{}.Takes(110), "nobody read it")
}
