package dryrun

import "math"

// When a speed holds: it and its loop are as near as this to where motor and load balance, of the fastest and of rated
// torque, and it finds back there in less than so many seconds.
const (
	balanced     = 2e-5
	loopBalanced = 2e-3
	promptly     = 0.5
	nudged       = 1e-4 // of the fastest, to see how it finds back
	drifts       = 1e-3 // of the fastest the balance may move in one step
)

// ride follows a speed at which motor and load balance where it would find back there at once: only its warmth moves it
// then, and steps as short as its own quickness asks would be wasted. Anything sudden ends it.
func (r *run) ride(t float64) {
	if r.stuck || r.slipping || r.biting || !r.settled || r.rate != 0 || !r.fed.On || t < r.onSince+comesOn {
		return
	}
	y := r.y
	copy(y, r.ode.State())
	was, sum := y[rotorSpeed], y[loopSum]
	nudge := nudged * r.full * r.sense
	gains, sure := r.gainsAt(t, was, y)
	further, stillSure := r.gainsAt(t, was+nudge, y)
	back := (gains - further) / nudge // of what is missing, in a second
	off := gains / back
	if !sure || !stillSure || back < 1/promptly || math.Abs(off) > drifts*r.full {
		r.riding = false
		return
	}
	if _, sure = r.gainsAt(t, was+off, y); !sure {
		r.riding = false
		return
	}
	if !r.riding && (math.Abs(off) > balanced*r.full || math.Abs(y[loopSum]-sum) > loopBalanced) {
		return
	}
	before := r.turning(r.ode.State())
	r.loses += before - r.turning(y)
	r.riding = true
	r.ode.Restart(t, y)
}

// gainsAt puts a state at a rotor speed, its loop where it leaves nothing missing there, and returns how fast the rotor
// would gain, rad/s²; not sure where the loop finds no such place, as at a limit.
func (r *run) gainsAt(t, omega float64, y []float64) (gains float64, sure bool) {
	y[rotorSpeed], y[spindleSpeed] = omega, omega/r.turns
	if r.steadies && !r.settleLoop(t, y) {
		return 0, false
	}
	return r.speedsUp(t, y), true
}

// settleLoop puts a loop's sum where it leaves nothing missing at the speed it turns at.
func (r *run) settleLoop(t float64, y []float64) bool {
	for range 3 {
		m := r.moment(t, y)
		if math.Abs(m.Missing) < 1e-9 {
			return true
		}
		if r.fed.Set == 0 {
			return false
		}
		// It leaves its share of the torque it asks for, which its sum is a part of.
		y[loopSum] += m.Missing / (r.Feed.Held * r.fed.Set)
	}
	return false
}
