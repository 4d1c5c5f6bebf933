package reduction

import q "jiriki/core/quantity"

// pulleySizes are pitch diameters in millimetres, preferred numbers R20 between 40 and 500.
var pulleySizes = []float64{40, 45, 50, 56, 63, 71, 80, 90, 100, 112, 125, 140, 160, 180, 200, 224, 250, 280, 315, 355,
	400, 450, 500}

// inchPulleys are pitch diameters in millimetres of what is sold by the inch: quarters to 3 in, halves to 6, then
// whole ones [common practice].
var inchPulleys = inches(1.5, 1.75, 2, 2.25, 2.5, 2.75, 3, 3.5, 4, 4.5, 5, 5.5, 6, 7, 8, 9, 10, 11, 12, 14, 15, 16, 18,
	20)

func inches(sizes ...float64) []float64 {
	for i := range sizes {
		sizes[i] *= 25.4
	}
	return sizes
}

// PulleySizes are the standard pitch diameters, mm, that are to be had where figures are shown in a system.
func PulleySizes(sys q.System) []float64 {
	if sys == q.Inch {
		return inchPulleys
	}
	return pulleySizes
}

// ToothCounts are the wheels tried on chains, gears and toothed belts.
var ToothCounts = []float64{10, 11, 12, 13, 14, 15, 16, 18, 20, 22, 24, 25, 28, 30, 32, 36, 40, 44, 48, 50, 56, 60, 64,
	72, 80, 96, 100, 120}
