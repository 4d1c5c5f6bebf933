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
// L·di/dt + R·i = −E, until it ends or the next firing. Both, and their mean and mean square, are in
// closed form. Over a whole half cycle the inductance takes nothing, so R times the average is what the
// bridge averages less the back-EMF.
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

// current is how it goes from one angle on: sine·sin(θ − φ) + level + dying·e^(−(θ − from)/k).
type current struct {
	sine, phi, level, dying, k, from float64
}

func (i *current) at(theta float64) float64 {
	return i.sine*math.Sin(theta-i.phi) + i.level + i.dying*math.Exp((i.from-theta)/i.k)
}

// sums are the integrals of the current and of its square from where it begins to an angle, term by term.
func (i *current) sums(to float64) (sum, square float64) {
	length := to - i.from
	cosines := math.Cos(i.from-i.phi) - math.Cos(to-i.phi)
	left := math.Exp(-length / i.k)
	sum = i.sine*cosines + i.level*length + i.dying*i.k*(1-left)
	slope := func(theta float64) float64 { return math.Sin(theta-i.phi)/i.k + math.Cos(theta-i.phi) }
	both := (slope(i.from) - left*slope(to)) / (1 + 1/(i.k*i.k)) // ∫ sin · e^…
	square = i.sine*i.sine*(length/2-(math.Sin(2*(to-i.phi))-math.Sin(2*(i.from-i.phi)))/4) +
		i.level*i.level*length + i.dying*i.dying*i.k/2*(1-left*left) +
		2*(i.sine*i.level*cosines+i.level*i.dying*i.k*(1-left)+i.sine*i.dying*both)
	return sum, square
}

// fed is the current from firing to the crossing.
func (b *bridge) fed() current {
	c := current{sine: b.peak / b.z, phi: b.phi, level: -b.emf / b.r, k: b.w * b.tau, from: b.from}
	c.dying = b.start - c.sine*math.Sin(b.from-b.phi) - c.level
	return c
}

// free is the current past the crossing, having been so much there.
func (b *bridge) free(atCrossing float64) current {
	return current{level: -b.emf / b.r, dying: atCrossing + b.emf/b.r, k: b.w * b.tau, from: math.Pi}
}

// neverEnds finds the current at firing when it never stops, and reports whether it does not. What is
// left when the next firing comes goes linearly with what there was, so the steady start follows at
// once.
func (b *bridge) neverEnds() bool {
	b.start = 0
	fed := b.fed()
	free := b.free(fed.at(math.Pi))
	b.start = free.at(b.from+math.Pi) / (1 - math.Exp(-math.Pi/(b.w*b.tau)))
	above := math.Asin(min(max(b.emf, 0)/b.peak, 1))
	fed = b.fed()
	return b.start > 0 && fed.at(math.Pi) > 0 && fed.at(max(above, b.from)) > 0
}

// wave sums the current over a half cycle.
func (b *bridge) wave(continuous bool) Wave {
	fed, crossing := b.fed(), math.Pi
	if fed.at(math.Pi) <= 0 {
		falls := max(b.from+1e-9, math.Pi-math.Asin(min(b.emf/b.peak, 1)))
		crossing = numeric.Last(falls, math.Pi, 1e-9, func(angle float64) bool { return fed.at(angle) > 0 })
	}
	sum, square := fed.sums(crossing)
	if crossing == math.Pi {
		free, stop := b.free(fed.at(math.Pi)), b.from+math.Pi
		if !continuous && b.emf > 0 {
			stop = min(stop, math.Pi+free.k*math.Log(-free.dying/free.level))
		}
		freeSum, freeSquare := free.sums(stop)
		sum, square = sum+freeSum, square+freeSquare
	}
	w := Wave{Average: max(sum, 0) / math.Pi, RMS: math.Sqrt(max(square, 0) / math.Pi), FormFactor: 1,
		Continuous: continuous}
	if w.Average > 0 {
		w.FormFactor = max(w.RMS/w.Average, 1)
	}
	return w
}

// HeatingWave returns the wave whose rms, which is what heats, is so many amps, and its firing angle (rad); that of the
// bridge fired at once where even that is less. The rms falls steadily with the angle.
func HeatingWave(amps, line, hertz, emf, r, l float64) (alpha float64, w Wave) {
	if w = Bridge(line, hertz, 0, emf, r, l); w.RMS <= amps {
		return 0, w
	}
	alpha = numeric.Last(0, math.Pi, 1e-6, func(alpha float64) bool {
		return Bridge(line, hertz, alpha, emf, r, l).RMS > amps
	})
	return alpha, Bridge(line, hertz, alpha, emf, r, l)
}

// mostHenries bounds what InductanceFor looks at: far past any choke one could lift.
const mostHenries = 20

// InductanceFor returns the least inductance (H, armature and choke together) that keeps the form
// factor of so many amps rms from a bridge at or under the one given (over 1); false when even a huge choke
// does not, or the bridge cannot give the amps. The form factor falls steadily as inductance grows.
func InductanceFor(formFactor, amps, line, hertz, emf, r float64) (henries float64, ok bool) {
	smooth := func(l float64) bool {
		_, w := HeatingWave(amps, line, hertz, emf, r, l)
		return w.RMS > 0.999*amps && w.FormFactor <= formFactor
	}
	if !smooth(mostHenries) {
		return 0, false
	}
	return numeric.Last(0, mostHenries, 1e-9, func(l float64) bool { return !smooth(l) }), true
}
