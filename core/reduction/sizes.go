package reduction

// PulleySizes are pitch diameters in millimetres, preferred numbers R20 between 40 and 500.
var PulleySizes = []float64{40, 45, 50, 56, 63, 71, 80, 90, 100, 112, 125, 140, 160, 180, 200, 224, 250, 280, 315, 355,
	400, 450, 500}

// ToothCounts are the wheels tried on chains, gears and toothed belts.
var ToothCounts = []float64{10, 11, 12, 13, 14, 15, 16, 18, 20, 22, 24, 25, 28, 30, 32, 36, 40, 44, 48, 50, 56, 60, 64,
	72, 80, 96, 100, 120}
