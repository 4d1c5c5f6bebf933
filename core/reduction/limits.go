package reduction

import "math"

// Belt limits [common practice].
const (
	LeastWrap = 120 * math.Pi / 180 // rad round the smaller wheel; under it a belt loses grip
	// UsualLargest is the largest wheel a bench-top machine has room for where nobody said [common practice], m.
	UsualLargest = 0.4

	FastBelt     = 25.0  // m/s, past which balance and the rim's rating are looked at
	BurstingBelt = 33.0  // m/s, past which a cast-iron rim can burst
	ConeMismatch = 0.004 // share by which the belts of a cone's steps may differ
)
