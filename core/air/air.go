// Package air tells what hot or thin air takes from a motor's torque and a drive's amps.
package air

import "math"

// What plates are made for [IEC 60034-1, from memory].
const (
	Rated       = 313.15 // K
	RatedHeight = 1000.0 // m above the sea
)

// What is lost past that [common practice].
const (
	thin       = 1e-4 // of torque or amps, for each metre
	driveByHot = 0.02 // of a drive's amps, for each kelvin
)

// Limit is the hottest a winding may run by insulation class, K [IEC 60085, from memory].
var Limit = map[string]float64{"A": 378.15, "E": 393.15, "B": 403.15, "F": 428.15, "H": 453.15}

// Winding returns the share of its torque a motor holds for ever in air so hot (K) so high above the sea
// (m), its winding bearing limit (K, over [Rated]): 1 in rated air or cooler, 0 where the air is as hot as
// the winding may be. Heat goes with torque squared, so √((limit − air) / (limit − rated)) for the heat.
func Winding(limit, hottest, height float64) float64 {
	left := max(limit-max(hottest, Rated), 0)
	return math.Sqrt(left/(limit-Rated)) * thinner(height)
}

// Drive returns the share of its amps a drive gives for ever there, 0 to 1.
func Drive(hottest, height float64) float64 {
	return max(1-driveByHot*max(hottest-Rated, 0), 0) * thinner(height)
}

func thinner(height float64) float64 {
	return max(1-thin*max(height-RatedHeight, 0), 0)
}
