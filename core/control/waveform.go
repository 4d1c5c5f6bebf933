package control

import (
	"math"

	"jiriki/core/numeric"
)

// Wave is the current a phase-angle bridge puts through an armature, steady from one half cycle to
// the next.
type Wave struct {
	Average    float64 // A
	RMS        float64 // A
	FormFactor float64 // RMS over Average; 1 without current
	Continuous bool    // the current never stops between firings
}

// HalfControlledAverage returns the average volts of a half-controlled bridge fired at angle alpha
// (rad) from a line of so many volts rms: √2·V·(1 + cos α)/π, about 0.45·V·(1 + cos α).
func HalfControlledAverage(line, alpha float64) float64 {
	return math.Sqrt2 * line * (1 + math.Cos(alpha)) / math.Pi
}

// Bridge returns the steady current of a half-controlled bridge with a freewheel path, fired at angle
// alpha (rad, 0 to π) of every half cycle, into an armature of back-EMF emf (V), resistance r (Ω > 0)
// and inductance l (H ≥ 0), from a line of so many volts rms and hertz.
//
// While a thyristor conducts L·di/dt + R·i = V̂·sin θ − E; past the crossing the current freewheels,
// L·di/dt + R·i = −E, until it ends or the next firing. Both are solved exactly; only the mean
// square is summed, by Simpson's rule.
func Bridge(line, hertz, alpha, emf, r, l float64) Wave {
	b := bridge{peak: math.Sqrt2 * line, w: 2 * math.Pi * hertz, emf: emf, r: r}
	b.tau = max(l, 1e-7*r) / r
	b.z, b.phi = r*math.Hypot(1, b.w*b.tau), math.Atan(b.w*b.tau)
	if b.from = alpha; b.neverEnds() {
		return b.wave(true)
	}
	// From rest a thyristor can only take over once the line stands above the back-EMF.
	above := math.Asin(min(max(emf, 0)/b.peak, 1))
	if emf >= b.peak || alpha >= math.Pi-above {
		return Wave{FormFactor: 1}
	}
	b.start, b.from = 0, max(alpha, above)
	return b.wave(false)
}

type bridge struct {
	peak, w, emf, r, tau, z, phi float64
	from, start                  float64 // angle from which it is fed, and the current there
}

// decay is what is left of a current after an angle.
func (b *bridge) decay(angle float64) float64 { return math.Exp(-angle / (b.w * b.tau)) }

// forced is the current the volts alone would drive at an angle.
func (b *bridge) forced(theta float64) float64 {
	return b.peak/b.z*math.Sin(theta-b.phi) - b.emf/b.r
}

// fed is the current at an angle from firing to the crossing.
func (b *bridge) fed(theta float64) float64 {
	return b.forced(theta) + (b.start-b.forced(b.from))*b.decay(theta-b.from)
}

// free is the current at an angle past the crossing, having been so much there.
func (b *bridge) free(theta, atCrossing float64) float64 {
	return (atCrossing+b.emf/b.r)*b.decay(theta-math.Pi) - b.emf/b.r
}

// neverEnds finds the current at firing when it never stops, and reports whether it does not. What is
// left when the next firing comes goes linearly with what there was, so the steady start follows at
// once.
func (b *bridge) neverEnds() bool {
	b.start = b.free(b.from+math.Pi, b.fed(math.Pi)) / (1 - b.decay(math.Pi))
	above := math.Asin(min(max(b.emf, 0)/b.peak, 1))
	return b.start > 0 && b.fed(math.Pi) > 0 && b.fed(max(above, b.from)) > 0
}

// wave sums the current over a half cycle.
func (b *bridge) wave(continuous bool) Wave {
	next := b.from + math.Pi
	crossing := math.Pi
	if b.fed(math.Pi) <= 0 {
		crossing = b.end(b.fed, max(b.from+1e-9, math.Pi-math.Asin(min(b.emf/b.peak, 1))), math.Pi)
	}
	at := max(b.fed(crossing), 0)
	stop := next
	freely := func(theta float64) float64 { return b.free(theta, at) }
	switch {
	case crossing < math.Pi:
		stop = crossing
	case !continuous:
		stop = b.end(freely, math.Pi, next)
	}
	fed1, fed2 := sums(b.fed, b.from, crossing)
	free1, free2 := 0.0, 0.0
	if stop > crossing {
		free1, free2 = sums(freely, crossing, stop)
	}
	w := Wave{Average: (fed1 + free1) / math.Pi, RMS: math.Sqrt((fed2 + free2) / math.Pi), FormFactor: 1,
		Continuous: continuous}
	if w.Average > 0 {
		w.FormFactor = w.RMS / w.Average
	}
	return w
}

// end is where a falling current reaches zero between two angles.
func (b *bridge) end(current func(float64) float64, low, high float64) float64 {
	return numeric.Last(low, high, 1e-12, func(angle float64) bool { return current(angle) > 0 })
}

// sums are the integrals of a current and of its square over an angle.
func sums(current func(float64) float64, from, to float64) (sum, square float64) {
	positive := func(angle float64) float64 { return max(current(angle), 0) }
	return numeric.Integral(from, to, positive),
		numeric.Integral(from, to, func(angle float64) float64 { return positive(angle) * positive(angle) })
}

// FiringFor returns the firing angle (rad) at which the bridge's current averages so many amps, and
// its wave; false when even fired at once it gives less. The average falls steadily with the angle.
func FiringFor(amps, line, hertz, emf, r, l float64) (alpha float64, w Wave, ok bool) {
	if w = Bridge(line, hertz, 0, emf, r, l); w.Average < amps {
		return 0, w, false
	}
	alpha = numeric.Last(0, math.Pi, 1e-11, func(alpha float64) bool {
		return Bridge(line, hertz, alpha, emf, r, l).Average > amps
	})
	return alpha, Bridge(line, hertz, alpha, emf, r, l), true
}

// mostHenries bounds what InductanceFor looks at: far past any choke one could lift.
const mostHenries = 20

// InductanceFor returns the least inductance (H, armature and choke together) that keeps the form
// factor of so many amps from a bridge at or under the one given (over 1); false when even a huge choke
// does not, or the bridge cannot give the amps. The form factor falls steadily as inductance grows.
func InductanceFor(formFactor, amps, line, hertz, emf, r float64) (henries float64, ok bool) {
	smooth := func(l float64) bool {
		_, w, gives := FiringFor(amps, line, hertz, emf, r, l)
		return gives && w.FormFactor <= formFactor
	}
	if !smooth(mostHenries) {
		return 0, false
	}
	return numeric.Last(0, mostHenries, 1e-9, func(l float64) bool { return !smooth(l) }), true
}
