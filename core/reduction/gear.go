package reduction

import (
	"math"

	"jiriki/core/numeric"
)

// lewis is the form factor Y of 20° full-depth teeth by their number, for bending [Shigley, table 14-2,
// from memory].
var lewis = numeric.Through(
	[]float64{12, 13, 14, 15, 16, 17, 18, 19, 20, 21, 22, 24, 26, 28, 30, 34, 38, 43, 50, 60, 75, 100, 150, 300, 400},
	[]float64{0.245, 0.261, 0.277, 0.290, 0.296, 0.303, 0.309, 0.314, 0.322, 0.328, 0.331, 0.337, 0.346, 0.353, 0.359,
		0.371, 0.384, 0.397, 0.409, 0.422, 0.435, 0.447, 0.460, 0.472, 0.480},
	math.Max)

// gearStress is the bending stress (Pa) the teeth of each material are trusted with for ever, about a
// third of what it yields or breaks at [common practice].
var gearStress = map[string]float64{"steel": 70e6, "hardened": 170e6, "iron": 40e6, "bronze": 40e6, "nylon": 15e6}

// jamShare is how many times what they are trusted with for ever teeth of metals that yield bear once in a while: nine
// tenths of what bends them for good [common practice]. Iron and nylon break first, and are given no more than belts.
const jamShare = 2.7

// inAJam is how many times its rating what runs over the stage's wheels pulls or bears for some seconds.
func (s *Stage) inAJam() float64 {
	if s.Kind == Spur && s.Material != "iron" && s.Material != "nylon" {
		return jamShare
	}
	return OverloadShare
}

// What gears are taken for where they are not described [common practice].
const (
	usualGear        = "steel"
	usualFaceModules = 10.0
	widestFace       = 15.0 // modules: wider, the teeth no longer share the load along their length
)

// barth is the speed (m/s) at which cut teeth bear half of what they do standing still.
const barth = 6.1

// ToothBears returns the tangential force (N) a cut spur tooth of a module and face width (m), on a gear
// of so many teeth, bears in bending at stress (Pa) and pitch-line speed v (m/s):
//
//	F = σ·b·m·Y / K_v, K_v = (6.1 + v) / 6.1
//
// Source: Lewis's equation with Barth's factor for cut teeth, Shigley, section 14-1, from memory. Fewer than
// 12 teeth are weakened in proportion.
func ToothBears(module, face, teeth, stress, v float64) float64 {
	y := lewis.At(teeth) * min(teeth/12, 1)
	return stress * face * module * y * barth / (barth + v)
}
