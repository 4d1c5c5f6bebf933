package motor

import "strings"

// Frame is a standard frame's mounting: how high its shaft stands over its feet, the feet's bolt
// holes, and its shaft, millimetres.
type Frame struct {
	Name     string
	Height   float64 // shaft centre over the feet
	Across   float64 // between bolt holes, across the shaft
	Along    float64 // between bolt holes, along the shaft
	Shaft    float64 // diameter
	ShaftOut float64 // length of the shaft
}

// frames by name: metric IEC 60072 shaft heights and inch NEMA MG 1 frames [from memory].
var frames = []Frame{
	{"56", 56, 90, 71, 9, 20}, {"63", 63, 100, 80, 11, 23}, {"71", 71, 112, 90, 14, 30}, {"80", 80, 125, 100, 19, 40},
	{"90S", 90, 140, 100, 24, 50},
	{"90L", 90, 140, 125, 24, 50}, {"100L", 100, 160, 140, 28, 60}, {"112M", 112, 190, 140, 28, 60},
	{"132S", 132, 216, 140, 38, 80},
	{"NEMA 42", 66.7, 88.9, 42.9, 9.525, 28.6}, {"NEMA 48", 76.2, 108, 69.9, 12.7, 38.1},
	{"NEMA 56", 88.9, 123.8, 76.2, 15.875, 47.6},
	{"NEMA 143T", 88.9, 139.7, 101.6, 22.225, 57.2}, {"NEMA 145T", 88.9, 139.7, 127, 22.225, 57.2},
	{"NEMA 182T", 114.3, 190.5, 114.3, 28.575, 69.9},
	{"NEMA 184T", 114.3, 190.5, 139.7, 28.575, 69.9},
}

// inchNames are frames whose bare number only the inch system has.
var inchNames = map[string]string{"42": "NEMA 42", "48": "NEMA 48", "143T": "NEMA 143T", "145T": "NEMA 145T",
	"182T": "NEMA 182T", "184T": "NEMA 184T", "56C": "NEMA 56", "56H": "NEMA 56", "56J": "NEMA 56"}

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
		name := word
		if full, ok := inchNames[word]; ok {
			name = full
		} else if inch && word == "56" {
			name = "NEMA 56"
		}
		for _, f := range frames {
			if f.Name == name || f.Name == name+"S" || f.Name == name+"L" || f.Name == name+"M" {
				return f, true
			}
		}
	}
	return Frame{}, false
}
