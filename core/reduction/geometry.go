package reduction

import "math"

// OpenBelt returns the exact pitch length of an open belt over pulleys of diameters d1 and d2
// on centre distance c, all metres. c must exceed half the difference of the diameters.
//
//	L = 2√(C² − (R−r)²) + π(R+r) + 2(R−r)·asin((R−r)/C)
func OpenBelt(d1, d2, c float64) float64 {
	sum, diff := (d1+d2)/2, math.Abs(d1-d2)/2
	return 2*math.Sqrt(c*c-diff*diff) + math.Pi*sum + 2*diff*math.Asin(diff/c)
}

// Wrap returns the angle of contact on the smaller pulley of an open belt, radians.
func Wrap(d1, d2, c float64) float64 {
	return math.Pi - 2*math.Asin(math.Abs(d1-d2)/(2*c))
}

// leastWrapSine is what the difference of two diameters may be of twice their centre distance.
var leastWrapSine = math.Sin((math.Pi - LeastWrap) / 2)

// WrapsEnough reports whether a belt wraps at least [LeastWrap] of the smaller pulley.
func WrapsEnough(d1, d2, c float64) bool { return math.Abs(d1-d2) <= 2*c*leastWrapSine }

// shortestBelt is the length at which the two pulleys touch.
func shortestBelt(d1, d2 float64) float64 { return OpenBelt(d1, d2, (d1+d2)/2) }

// CentreFor returns the centre distance at which a belt of pitch length fits pulleys of
// diameters d1 and d2 (metres), and false when it is too short to go round them apart.
// Length grows steadily with centre distance, so Newton's method from a long guess converges.
func CentreFor(d1, d2, length float64) (float64, bool) {
	if length <= shortestBelt(d1, d2) {
		return 0, false
	}
	diff := math.Abs(d1-d2) / 2
	c := length / 2
	for range 60 {
		// dL/dC = 2·cos(asin(diff/C))
		step := (OpenBelt(d1, d2, c) - length) / (2 * math.Sqrt(1-diff*diff/(c*c)))
		c = max(c-step, (c+diff)/2)
		if math.Abs(step) < 1e-12 {
			break
		}
	}
	return c, true
}

// BeltSpeed returns the speed of a belt on a pulley of pitch diameter d (m) turning at omega
// (rad/s), m/s.
func BeltSpeed(d, omega float64) float64 { return d / 2 * omega }

// DrivenFor returns the diameter of the pulley that takes a belt of pitch length over a pulley of
// diameter d on centre distance c, all metres; false when none does. The length grows ever faster with
// the diameter, so Newton's method from the largest comes down to it.
func DrivenFor(d, c, length float64) (float64, bool) {
	driven := 2*c - d
	if driven <= 0 || OpenBelt(d, 0, c) > length || OpenBelt(d, driven, c) < length {
		return 0, false
	}
	for range 60 {
		// dL/dD = π/2 + asin((D − d)/2C)
		step := (OpenBelt(d, driven, c) - length) / (math.Pi/2 + math.Asin((driven-d)/(2*c)))
		driven -= step
		if math.Abs(step) < 1e-12 {
			break
		}
	}
	return driven, true
}
