package motor

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

// Source: IEC 60072 and NEMA MG 1 frame dimensions, from memory, millimetres.
func TestFrameDimensions(t *testing.T) {
	for text, want := range map[string]struct{ height, across, along, shaft float64 }{
		"80": {80, 125, 100, 19}, "IEC 71": {71, 112, 90, 14}, "90L": {90, 140, 125, 24}, "B3 100": {100, 160, 140, 28},
		"NEMA 56": {88.9, 123.825, 76.2, 15.875}, "145T": {88.9, 139.7, 127, 22.225},
	} {
		f, ok := FindFrame(text, 50)
		assert.True(t, ok, text)
		assert.InDelta(t, want.height, f.Height, 1e-9, text)
		assert.InDelta(t, want.across, f.Across, 1e-9, text)
		assert.InDelta(t, want.along, f.Along, 1e-9, text)
		assert.InDelta(t, want.shaft, f.Shaft, 1e-9, text)
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

// What a plate says of its frame among other things, read right: a C is a face only behind an inch frame's number.
func TestFramesAsPlatesWriteThem(t *testing.T) {
	for text, want := range map[string]string{
		"IEC 56": "56", "AC 56": "56", "DC motor 56": "56", "IEC 90 L": "90L", "IEC 90 S": "90S", "90": "90S",
		"100 V 50 Hz frame 71": "71", "71 B14": "71", "B14 FT85 71": "71", "IP 55 80": "80", "S1 63": "63", "80A": "80",
		"80-4": "80", "100LB": "100L", "112": "112M", "132M": "132M", "132 M": "132M", "160M": "160M", "100": "100L",
		"100S": "100S", "frame 90L, 2.2 kW": "90L", "56C": "NEMA 56", "FR 56H": "NEMA 56", "NEMA 56C": "NEMA 56",
		"143TC": "NEMA 143T", "145": "NEMA 145T", "182": "NEMA 182", "184T": "NEMA 184T", "56J": "NEMA 56J",
		"E71": "71", "48Y": "NEMA 48", "M3AA 80": "80",
	} {
		f, ok := FindFrame(text, 50)
		assert.True(t, ok, text)
		assert.Equal(t, want, f.Name, text)
	}
	for text, want := range map[string]string{"56": "NEMA 56", "IEC 56": "56", "FR. 56": "NEMA 56", "71": "71"} {
		f, _ := FindFrame(text, 60)
		assert.Equal(t, want, f.Name, text)
	}
	for _, text := range []string{"100 V 50 Hz", "IP 56", "S3 56 %", "180", "5.6", "56 kg", "1.56", "DC motor"} {
		f, ok := FindFrame(text, 60)
		assert.False(t, ok, "%s is %s", text, f.Name)
	}
	pump, _ := FindFrame("56J", 60)
	assert.True(t, pump.Threaded && pump.Faced)
	plain, _ := FindFrame("56H", 60)
	assert.False(t, plain.Threaded || plain.Faced)
	old, _ := FindFrame("182", 60)
	assert.InDelta(t, 0.875*25.4, old.Shaft, 1e-9, "from memory: T-frame feet, the older shaft")
}
