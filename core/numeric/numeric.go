// Package numeric is the few methods the core shares: halving for a root, straight lines through points, and an
// integral. Where gonum has the method it is gonum's.
package numeric

import (
	"math"

	"gonum.org/v1/gonum/integrate/quad"
	"gonum.org/v1/gonum/interp"
)

// Last returns, to within a tolerance over 0, the last x from low to high at which holds is true, by halving.
// holds must be true up to some x and false past it; where it is false at low as well low is returned, and where
// it is true at high, high.
func Last(low, high, within float64, holds func(x float64) bool) float64 {
	for high-low > within {
		middle := low + (high-low)/2
		if middle <= low || middle >= high {
			break // no number lies between them
		}
		if holds(middle) {
			low = middle
		} else {
			high = middle
		}
	}
	return low + (high-low)/2
}

// points is how many places an integral is taken at: for what is smooth over the whole range that is exact to
// the last figures.
const points = 64

// Integral returns ∫ f dx from one end to the other, by Gauss–Legendre quadrature.
func Integral(from, to float64, f func(x float64) float64) float64 {
	return quad.Fixed(f, from, to, points, nil, 0)
}

// Line is a curve of straight lines through points; its ends hold beyond them.
type Line struct {
	through interp.PiecewiseLinear
	alone   float64 // where there is one point
	many    bool
}

// Through returns the line through points, x rising. Of points at one x it passes through the one that pick
// prefers of two values, such as [math.Max]. It panics where there is no point, or as many x as y are not given.
func Through(x, y []float64, pick func(a, b float64) float64) Line {
	if len(x) == 0 || len(x) != len(y) {
		panic("numeric: a line needs points")
	}
	var xs, ys []float64
	for i := range x {
		if n := len(xs); n > 0 && x[i] <= xs[n-1] {
			ys[n-1] = pick(ys[n-1], y[i])
			continue
		}
		xs, ys = append(xs, x[i]), append(ys, y[i])
	}
	l := Line{alone: ys[0], many: len(xs) > 1}
	if l.many {
		if err := l.through.Fit(xs, ys); err != nil {
			panic(err) // they rise
		}
	}
	return l
}

// At returns the line's value at x.
func (l *Line) At(x float64) float64 {
	if !l.many || math.IsNaN(x) {
		return l.alone
	}
	return l.through.Predict(x)
}

// GCD is the greatest common divisor of two whole numbers, a of b = 0.
func GCD(a, b int) int {
	for b != 0 {
		a, b = b, a%b
	}
	return a
}
