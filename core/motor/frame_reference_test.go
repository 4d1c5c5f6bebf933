package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Source: IEC 60072 and NEMA MG 1 frame dimensions, from memory, millimetres.
func TestFrameDimensions(t *testing.T) {
	for text, want := range map[string]struct{ height, across, along, shaft float64 }{
		"80": {80, 125, 100, 19}, "IEC 71": {71, 112, 90, 14}, "90L": {90, 140, 125, 24}, "B3 100": {100, 160, 140, 28},
		"NEMA 56": {88.9, 123.8, 76.2, 15.875}, "145T": {88.9, 139.7, 127, 22.225},
	} {
		f, ok := FindFrame(text, 50)
		assert.True(t, ok, text)
		assert.Equal(t, want.height, f.Height, text)
		assert.Equal(t, want.across, f.Across, text)
		assert.Equal(t, want.along, f.Along, text)
		assert.Equal(t, want.shaft, f.Shaft, text)
	}
	// 3.5 in and 5/8 in, as everybody on that side knows a 56.
	f, _ := FindFrame("56", 60)
	assert.InDelta(t, 3.5*25.4, f.Height, 1e-9)
	assert.InDelta(t, 0.625*25.4, f.Shaft, 1e-9)
	metric, _ := FindFrame("56", 50)
	assert.Equal(t, 56.0, metric.Height, "the bare number is the metric frame on 50 Hz")
	for _, text := range []string{"", "unreadable", "999", "C-flange"} {
		_, ok := FindFrame(text, 50)
		assert.False(t, ok, text)
	}
	for _, frame := range frames {
		found, ok := FindFrame(frame.Name, 50)
		assert.True(t, ok, frame.Name)
		assert.Equal(t, frame.Name, found.Name)
	}
	// A face instead of feet, or beside them.
	for text, faced := range map[string]bool{"56C": true, "143TC": true, "NEMA 182TC": true, "B14 71": true,
		"80 B5": true,
		"56":    false, "56H": false, "B3 71": false, "B35 80": false} {
		f, ok := FindFrame(text, 60)
		assert.True(t, ok, text)
		assert.Equal(t, faced, f.Faced, text)
	}
}
