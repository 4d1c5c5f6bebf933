package numeric

import (
	"math"

	"gonum.org/v1/gonum/mat"
)

// Fitted is what least squares found: the constants X with their covariance, by how far the readings truly scatter
// where
// enough are to spare to tell, else widened where they disagree by more than their own spreads allow.
type Fitted struct {
	X      []float64
	Cov    *mat.SymDense
	Misfit float64 // root mean square of the residuals over the readings to spare; 1 where none are
	Spare  int     // readings beyond the constants
}

// How many readings to spare tell by themselves how far they scatter, and the least part of their own spreads that they
// are then taken to: what an instrument is off by in all of them alike does not show.
const (
	spareTells   = 4
	leastScatter = 0.35
)

// Widened is by how much what readings are off by of themselves is scaled, by their misfit.
func Widened(misfit float64, spare int) float64 {
	if spare >= spareTells {
		return max(misfit, leastScatter)
	}
	return max(misfit, 1)
}

// Without takes so many rows out of the count that are beliefs and no readings: they scatter by nothing.
func (f *Fitted) Without(beliefs int) {
	was := Widened(f.Misfit, f.Spare)
	if f.Spare > beliefs {
		f.Misfit *= math.Sqrt(float64(f.Spare) / float64(f.Spare-beliefs))
		f.Spare -= beliefs
	} else {
		f.Misfit, f.Spare = 1, 0
	}
	now := Widened(f.Misfit, f.Spare) / was
	f.Cov.ScaleSym(now*now, f.Cov)
}

// Degrees are the degrees of freedom the spreads were told with; 0 where they come from the instruments.
func (f *Fitted) Degrees() int { return Degrees(f.Spare) }

// Degrees are those of so many readings to spare; 0 where they are too few to tell.
func Degrees(spare int) int {
	if spare >= spareTells {
		return spare
	}
	return 0
}

// Spread is one standard deviation of a constant.
func (f *Fitted) Spread(i int) float64 { return math.Sqrt(max(f.Cov.At(i, i), 0)) }

// SpreadOf is one standard deviation of something that follows from the constants, by its slope in each of them.
func (f *Fitted) SpreadOf(of func(x []float64) float64) float64 {
	here := of(f.X)
	n := len(f.X)
	slope := make([]float64, n)
	for i := range n {
		x := append([]float64(nil), f.X...)
		h := stepOf(x[i], f.Spread(i))
		x[i] += h
		slope[i] = (of(x) - here) / h
	}
	sum := 0.0
	for i := range n {
		for k := range n {
			sum += slope[i] * f.Cov.At(i, k) * slope[k]
		}
	}
	return math.Sqrt(max(sum, 0))
}

// stepOf is how far a constant is moved to see what follows.
func stepOf(x, spread float64) float64 {
	if spread > 0 && !math.IsInf(spread, 0) {
		return 1e-3 * spread
	}
	return 1e-6 * max(math.Abs(x), 1e-6)
}

// Limits of the search.
const (
	mostRounds  = 200
	mostDamping = 1e10
	settledBy   = 1e-10
)

// LeastSquares finds the constants that make a sum of squares least, by damped Gauss–Newton (Levenberg–Marquardt) from
// a start. residuals fills out, of length n, with what each reading is off by, over how far off it may be. It is not
// ok where the readings do not tell the constants apart, or nothing finite was found.
func LeastSquares(start []float64, n int, residuals func(x, out []float64)) (Fitted, bool) {
	p := len(start)
	x := append([]float64(nil), start...)
	r, tried, moved := make([]float64, n), make([]float64, n), make([]float64, n)
	jac := mat.NewDense(n, p, nil)
	residuals(x, r)
	best, damping := sumSquares(r), 1e-3
	for range mostRounds {
		jacobian(jac, x, r, moved, residuals)
		var normal mat.Dense
		normal.Mul(jac.T(), jac)
		gradient := mat.NewVecDense(p, nil)
		gradient.MulVec(jac.T(), mat.NewVecDense(n, r))
		improved := false
		for damping < mostDamping {
			damped := mat.NewSymDense(p, nil)
			for i := range p {
				for k := i; k < p; k++ {
					damped.SetSym(i, k, normal.At(i, k))
				}
				damped.SetSym(i, i, normal.At(i, i)*(1+damping)+1e-300)
			}
			var chol mat.Cholesky
			step := mat.NewVecDense(p, nil)
			if !chol.Factorize(damped) || chol.SolveVecTo(step, gradient) != nil {
				damping *= 10
				continue
			}
			next := make([]float64, p)
			for i := range next {
				next[i] = x[i] - step.AtVec(i)
			}
			residuals(next, tried)
			if now := sumSquares(tried); now < best {
				improved = best-now > settledBy*best
				x, best, damping = next, now, max(damping/10, 1e-12)
				copy(r, tried)
				break
			}
			damping *= 10
		}
		if !improved {
			break
		}
	}
	return fitted(jac, x, r, moved, best, residuals)
}

// fitted reads the spreads off the curvature where the search ended.
func fitted(jac *mat.Dense, x, r, moved []float64, best float64, residuals func(x, out []float64)) (Fitted, bool) {
	n, p := len(r), len(x)
	jacobian(jac, x, r, moved, residuals)
	out := Fitted{X: x, Misfit: 1, Spare: n - p}
	if out.Spare > 0 {
		out.Misfit = math.Sqrt(best / float64(out.Spare))
	}
	// Scaled to ones on the diagonal, so that the units of the constants decide nothing.
	scale := make([]float64, p)
	info := mat.NewSymDense(p, nil)
	for i := range p {
		for k := i; k < p; k++ {
			sum := 0.0
			for row := range n {
				sum += jac.At(row, i) * jac.At(row, k)
			}
			info.SetSym(i, k, sum)
		}
		scale[i] = math.Sqrt(info.At(i, i))
	}
	for i := range p {
		if !(scale[i] > 0) || math.IsInf(scale[i], 0) {
			return Fitted{}, false
		}
	}
	for i := range p {
		for k := i; k < p; k++ {
			info.SetSym(i, k, info.At(i, k)/(scale[i]*scale[k]))
		}
	}
	var chol mat.Cholesky
	var inverse mat.SymDense
	if !chol.Factorize(info) || chol.Cond() > 1e12 || chol.InverseTo(&inverse) != nil {
		return Fitted{}, false
	}
	widen := Widened(out.Misfit, out.Spare)
	out.Cov = mat.NewSymDense(p, nil)
	for i := range p {
		for k := i; k < p; k++ {
			out.Cov.SetSym(i, k, inverse.At(i, k)*widen*widen/(scale[i]*scale[k]))
		}
		if v := x[i]; math.IsNaN(v) || math.IsInf(v, 0) {
			return Fitted{}, false
		}
	}
	return out, true
}

func jacobian(jac *mat.Dense, x, r, moved []float64, residuals func(x, out []float64)) {
	at := append([]float64(nil), x...)
	for i := range x {
		h := 1e-6 * max(math.Abs(x[i]), 1e-6)
		at[i] = x[i] + h
		residuals(at, moved)
		for row := range r {
			jac.Set(row, i, (moved[row]-r[row])/h)
		}
		at[i] = x[i]
	}
}

func sumSquares(r []float64) float64 {
	sum := 0.0
	for _, v := range r {
		sum += v * v
	}
	if math.IsNaN(sum) {
		return math.Inf(1)
	}
	return sum
}
