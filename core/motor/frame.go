package motor

import (
	"regexp"
	"strings"
)

// Frame is a standard frame's mounting: how high its shaft stands over its feet, the feet's bolt
// holes, and its shaft, millimetres.
type Frame struct {
	Name     string
	Height   float64 // shaft centre over the feet
	Across   float64 // between bolt holes, across the shaft
	Along    float64 // between bolt holes, along the shaft
	Shaft    float64 // diameter
	ShaftOut float64 // length of the shaft
	Faced    bool    // made to be bolted on by its face: it may have no feet
}

// frames by name: metric IEC 60072 shaft heights and inch NEMA MG 1 frames [from memory].
var frames = []Frame{
	{Name: "56", Height: 56, Across: 90, Along: 71, Shaft: 9, ShaftOut: 20},
	{Name: "63", Height: 63, Across: 100, Along: 80, Shaft: 11, ShaftOut: 23},
	{Name: "71", Height: 71, Across: 112, Along: 90, Shaft: 14, ShaftOut: 30},
	{Name: "80", Height: 80, Across: 125, Along: 100, Shaft: 19, ShaftOut: 40},
	{Name: "90S", Height: 90, Across: 140, Along: 100, Shaft: 24, ShaftOut: 50},
	{Name: "90L", Height: 90, Across: 140, Along: 125, Shaft: 24, ShaftOut: 50},
	{Name: "100L", Height: 100, Across: 160, Along: 140, Shaft: 28, ShaftOut: 60},
	{Name: "112M", Height: 112, Across: 190, Along: 140, Shaft: 28, ShaftOut: 60},
	{Name: "132S", Height: 132, Across: 216, Along: 140, Shaft: 38, ShaftOut: 80},
	{Name: "NEMA 42", Height: 66.7, Across: 88.9, Along: 42.9, Shaft: 9.525, ShaftOut: 28.6},
	{Name: "NEMA 48", Height: 76.2, Across: 108, Along: 69.9, Shaft: 12.7, ShaftOut: 38.1},
	{Name: "NEMA 56", Height: 88.9, Across: 123.8, Along: 76.2, Shaft: 15.875, ShaftOut: 47.6},
	{Name: "NEMA 143T", Height: 88.9, Across: 139.7, Along: 101.6, Shaft: 22.225, ShaftOut: 57.2},
	{Name: "NEMA 145T", Height: 88.9, Across: 139.7, Along: 127, Shaft: 22.225, ShaftOut: 57.2},
	{Name: "NEMA 182T", Height: 114.3, Across: 190.5, Along: 114.3, Shaft: 28.575, ShaftOut: 69.9},
	{Name: "NEMA 184T", Height: 114.3, Across: 190.5, Along: 139.7, Shaft: 28.575, ShaftOut: 69.9},
}

// inchNames are frames whose bare number only the inch system has.
var inchNames = map[string]string{"42": "NEMA 42", "48": "NEMA 48", "143T": "NEMA 143T", "145T": "NEMA 145T",
	"182T": "NEMA 182T", "184T": "NEMA 184T", "56H": "NEMA 56", "56J": "NEMA 56"}

// flanged are the mountings of IEC 60034-7 that have a flange or face and no feet [from memory].
var flanged = regexp.MustCompile(`\bB(5|14)\b`)

// FindFrame returns the frame a plate or a bracket names, such as "80", "IEC 90L", "B3 71" or
// "NEMA 56"; false when none is recognised. A bare 56 is the metric one where the plate is on
// 50 Hz, the inch one where it is on 60 Hz.
func FindFrame(text string, hertz float64) (Frame, bool) {
	upper := strings.ToUpper(text)
	inch := strings.Contains(upper, "NEMA") || hertz > 55 && !strings.Contains(upper, "IEC")
	for _, word := range strings.FieldsFunc(upper,
		func(r rune) bool {
			return !(r >= 'A' && r <= 'Z' || r >= '0' && r <= '9')
		}) {
		name, faced := word, false
		if trimmed, ok := strings.CutSuffix(word, "C"); ok && trimmed != "" {
			name, faced, inch = trimmed, true, true
		}
		if full, ok := inchNames[name]; ok {
			name = full
		} else if inch && name == "56" {
			name = "NEMA 56"
		}
		for _, f := range frames {
			if f.Name == name || f.Name == name+"S" || f.Name == name+"L" || f.Name == name+"M" {
				f.Faced = faced || flanged.MatchString(upper)
				return f, true
			}
		}
	}
	return Frame{}, false
}
