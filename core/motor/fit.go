package motor

import (
	"math"

	"gonum.org/v1/gonum/blas"
	"gonum.org/v1/gonum/blas/blas64"
	"gonum.org/v1/gonum/lapack/lapack64"
	"gonum.org/v1/gonum/mat"

	"jiriki/core/numeric"
	"jiriki/core/working"
)

// Estimate is a constant found from the bench readings together, with its spread as a share of
// the value (one standard deviation). The zero Estimate was not found.
type Estimate struct {
	Value  float64
	Spread float64
}

// foundWithin is the spread within which a constant counts as found: beyond it the readings hardly
// speak of it.
const foundWithin = 0.3

// Found reports whether the readings tell this constant.
func (e Estimate) Found() bool { return e.Value > 0 && e.Spread < foundWithin }

func (e Estimate) known() Known {
	if !e.Found() {
		return Known{}
	}
	return Known{e.Value, working.Measured}
}

// Fit is every reading of a DC or series motor combined by least squares. For a series motor Ke
// holds K in N·m/A².
type Fit struct {
	Ke, R, Loss, Inertia Estimate
	Readings             int     // how many equations the readings gave
	Spare                int     // how many of them are beyond the constants they tell
	Misfit               float64 // how much worse they agree than their instruments should allow; about 1 when well

	family   Family
	x        [constants]float64
	info     *mat.SymDense
	coasting bool // inertia was asked about
}

// How far instruments and hands are usually off [common practice], as a share.
const (
	metersOff = 0.015 // a meter, or a tachometer beside it
	ohmsOff   = 0.04  // a resistance through brushes, from position to position
	heldOff   = 0.02  // volts over amps of a rotor that is held
	pullOff   = 0.03  // a brake band or spring scale
	clockOff  = 0.04  // a stopwatch by hand
	rotorOff  = 0.03  // an inertia somebody gave
	nakedOff  = 0.06  // a free run without its amps, whose ohmic drop is then not known
)

// constants in the order they are solved for, as natural logarithms.
const (
	atKe = iota
	atR
	atLoss
	atJ
	constants
)

var constantNames = [constants]string{"back-EMF constant", "resistance", "torque lost inside", "inertia"}

// equation is one thing a reading says: how far it is off (a share) for given constants, over how
// far off it may be.
type equation func(c [constants]float64) float64

// fitLaw is how volts and torque follow from amps and speed in a family.
type fitLaw struct {
	volts  func(c [constants]float64, amps, omega float64) float64
	torque func(c [constants]float64, amps float64) float64
	open   bool // spun with open leads it makes volts
}

var fitLaws = map[Family]fitLaw{
	DCFamily: {
		func(c [constants]float64, amps, omega float64) float64 { return c[atKe]*omega + amps*c[atR] },
		func(c [constants]float64, amps float64) float64 { return c[atKe] * amps }, true,
	},
	SeriesFamily: {
		func(c [constants]float64, amps, omega float64) float64 { return amps * (c[atR] + c[atKe]*omega) },
		func(c [constants]float64, amps float64) float64 { return c[atKe] * amps * amps }, false,
	},
}

func off(got, want, within float64) float64 { return math.Log(got/want) / within }

// equations are what the readings say under a law.
func (t readings) equations(law fitLaw) []equation {
	var out []equation
	say := func(e equation) { out = append(out, e) }
	if law.open {
		for _, r := range t.open {
			say(func(c [constants]float64) float64 { return off(c[atKe]*r.omega, r.volts, metersOff) })
		}
	}
	for _, ohms := range t.ohms {
		say(func(c [constants]float64) float64 { return off(c[atR], ohms, ohmsOff) })
	}
	for _, r := range t.free {
		t.running(law, r, true, say)
	}
	for _, r := range t.loaded {
		t.running(law, r, false, say)
	}
	for _, r := range t.locked {
		say(func(c [constants]float64) float64 { return off(c[atR]*r.amps, r.volts, heldOff) })
	}
	for _, s := range t.coasts {
		say(func(c [constants]float64) float64 { return off(c[atJ]*(s.from-s.to)/c[atLoss], s.seconds, clockOff) })
	}
	return out
}

func (t readings) running(law fitLaw, r run, free bool, say func(equation)) {
	switch {
	case r.volts > 0 && r.omega > 0 && r.amps > 0:
		say(func(c [constants]float64) float64 { return off(law.volts(c, r.amps, r.omega), r.volts, metersOff) })
	case r.volts > 0 && r.omega > 0 && free && law.open:
		say(func(c [constants]float64) float64 { return off(c[atKe]*r.omega, r.volts, nakedOff) })
	}
	switch {
	case r.amps > 0 && free:
		say(func(c [constants]float64) float64 { return off(law.torque(c, r.amps), c[atLoss], metersOff) })
	case r.amps > 0 && r.torque > 0:
		say(func(c [constants]float64) float64 { return off(law.torque(c, r.amps), r.torque+c[atLoss], pullOff) })
	}
}

// loose is how little is believed before any reading: a constant may be out by a factor of e and
// more either way, so that readings decide alone.
const loose = 1.5

// fit combines readings by damped Gauss–Newton least squares in the logarithms of the constants,
// from a first guess. Spreads come from the curvature at the end, widened where the readings
// disagree by more than their instruments allow.
func (t readings) fit(family Family, guess [constants]float64, rotor Known) Fit {
	law, ok := fitLaws[family]
	if !ok || !t.any() {
		return Fit{}
	}
	equations := t.equations(law)
	if len(equations) == 0 {
		return Fit{}
	}
	if rotor.OK() && len(t.coasts) > 0 {
		// With its inertia known a spin-down tells what is lost inside.
		equations = append(equations, func(c [constants]float64) float64 { return off(c[atJ], rotor.Value, rotorOff) })
	}
	x := [constants]float64{}
	for i := range x {
		x[i] = math.Log(guess[i])
	}
	// Each round starts its loose beliefs from what the last one found, so that in the end the
	// readings alone decide what they speak of.
	for range 4 {
		was := x
		if x = solve(equations, x); furthest(x, was) < settled {
			break
		}
	}
	info, misfit, spare := curvature(equations, x)
	spread := spreads(info)
	f := Fit{Readings: len(equations), Spare: spare, Misfit: misfit, family: family, x: x, info: info,
		coasting: len(t.coasts) > 0}
	widen := numeric.Widened(misfit, spare)
	at := func(i int) Estimate { return Estimate{math.Exp(x[i]), spread[i] * widen} }
	f.Ke, f.R, f.Loss, f.Inertia = at(atKe), at(atR), at(atLoss), at(atJ)
	return f
}

func exponents(x [constants]float64) [constants]float64 {
	for i := range x {
		x[i] = math.Exp(x[i])
	}
	return x
}

// gradient is how an equation, here at the constants c, moves with each constant's logarithm:
// scaling one by 1 + h moves its logarithm by h.
func gradient(e equation, c [constants]float64, here float64) [constants]float64 {
	const h = 1e-6
	var g [constants]float64
	for i := range c {
		up := c
		up[i] *= 1 + h
		g[i] = (e(up) - here) / h
	}
	return g
}

func cost(equations []equation, x, start [constants]float64) float64 {
	c := exponents(x)
	sum := 0.0
	for _, e := range equations {
		v := e(c)
		sum += v * v
	}
	for i := range x {
		d := (x[i] - start[i]) / loose
		sum += d * d
	}
	return sum
}

// settled is how little a constant's logarithm still moves once it is found.
const settled = 1e-6

func furthest(x, y [constants]float64) float64 {
	most := 0.0
	for i := range x {
		most = max(most, math.Abs(x[i]-y[i]))
	}
	return most
}

// solve finds the logarithms that the equations and loose beliefs about start agree on best. It
// goes to LAPACK directly: mat.Cholesky would estimate a condition number at every step, half the
// time of an assessment's fits, and the loose beliefs already keep the matrix well conditioned.
func solve(equations []equation, start [constants]float64) [constants]float64 {
	x, damping, best := start, 1e-3, cost(equations, start, start)
	for range 60 {
		var normal [constants * constants]float64
		var step [constants]float64
		c := exponents(x)
		for _, e := range equations {
			v := e(c)
			g := gradient(e, c, v)
			for i := range g {
				step[i] -= g[i] * v
				for k := i; k < constants; k++ {
					normal[i*constants+k] += g[i] * g[k]
				}
			}
		}
		for i := range x {
			step[i] -= (x[i] - start[i]) / (loose * loose)
			normal[i*constants+i] = (normal[i*constants+i] + 1/(loose*loose)) * (1 + damping)
		}
		factor, ok := lapack64.Potrf(blas64.Symmetric{N: constants, Stride: constants, Data: normal[:],
			Uplo: blas.Upper})
		if !ok {
			return x
		}
		lapack64.Potrs(factor, blas64.General{Rows: constants, Cols: 1, Stride: 1, Data: step[:]})
		tried := x
		for i := range tried {
			tried[i] += max(-2, min(2, step[i]))
		}
		if furthest(tried, x) < settled {
			return tried
		}
		now := cost(equations, tried, start)
		if !(now < best) {
			if damping *= 10; damping > 1e8 {
				return x
			}
			continue
		}
		x, best, damping = tried, now, max(damping/10, 1e-12)
	}
	return x
}

// curvature is the information the readings and the loose beliefs give, and the misfit: the root
// mean square of the equations over what is left of them after the constants are taken out.
func curvature(equations []equation, x [constants]float64) (info *mat.SymDense, misfit float64, spare int) {
	info = mat.NewSymDense(constants, nil)
	sum := 0.0
	c := exponents(x)
	for _, e := range equations {
		v := e(c)
		addInformation(info, gradient(e, c, v))
		sum += v * v
	}
	for i := range constants {
		info.SetSym(i, i, info.At(i, i)+1/(loose*loose))
	}
	told := 0
	for _, s := range spreads(info) {
		if s < foundWithin {
			told++
		}
	}
	if spare = len(equations) - told; spare <= 0 {
		return info, 1, 0
	}
	return info, math.Sqrt(sum / float64(spare)), spare
}

func addInformation(info *mat.SymDense, g [constants]float64) {
	for i := range g {
		for k := i; k < constants; k++ {
			info.SetSym(i, k, info.At(i, k)+g[i]*g[k])
		}
	}
}

// spreads are one standard deviation of each logarithm, so a share of each constant.
func spreads(info *mat.SymDense) [constants]float64 {
	var out [constants]float64
	var chol mat.Cholesky
	var inverse mat.SymDense
	if !chol.Factorize(info) || chol.InverseTo(&inverse) != nil {
		for i := range out {
			out[i] = math.Inf(1)
		}
		return out
	}
	for i := range out {
		out[i] = math.Sqrt(inverse.At(i, i))
	}
	return out
}
