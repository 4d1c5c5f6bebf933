package motor

import (
	"math"

	"jiriki/core/thermal"
)

// How long a case takes to warm, and how little of its heat it sheds at rest where its own fan stands still [common
// practice]: half an hour for a motor of 750 W, with the fourth root of the power, from a quarter of an hour to an
// hour.
const (
	caseTime    = 30 * 60 // s
	casePower   = 750.0   // W
	leastTime   = 15 * 60 // s
	mostTime    = 60 * 60 // s
	restCooling = 0.45
)

// mostOverload is as far above its continuous torque as heat alone lets a motor work, however short the pull.
const mostOverload = 3

// Bodies are the motor's winding and case, in shares of its rated heat and rise.
func (m *Resolved) Bodies() thermal.Bodies {
	if m.CaseTime > 0 {
		return thermal.Of(m.CaseTime)
	}
	seconds := caseTime * math.Pow(max(m.Power.Value, 1)/casePower, 0.25)
	return thermal.Of(min(max(seconds, leastTime), mostTime))
}

// Resting is how much of what it sheds at work the case sheds at rest.
func (m *Resolved) Resting() float64 {
	if m.Cooling == "own-fan" {
		return restCooling
	}
	return 1
}

// Overload returns how far above its continuous torque the motor may work for on seconds out of every on+off, so that
// its winding is no hotter at the end of a pull than continuous work makes it, heat going with torque squared; at most
// [mostOverload].
func (m *Resolved) Overload(on, off float64) float64 {
	if on <= 0 {
		return mostOverload
	}
	return min(1/math.Sqrt(m.Bodies().Cycle(1, on, off, m.Resting()).Winding), mostOverload)
}
