package numeric

import (
	"errors"
	"math"
)

// Slope fills dy with the derivatives of a state y at a time t. It keeps neither.
type Slope func(t float64, y, dy []float64)

// Tolerance is how far off a step may be: a share of each component's size, and an amount of each that always passes.
// Absolute has an entry over 0 for each component.
type Tolerance struct {
	Relative float64
	Absolute []float64
}

// ErrTooFine is what a problem ends with whose steps would have to be finer than its numbers are.
var ErrTooFine = errors.New("steps would have to be finer than numbers are")

// ODE is an initial value problem dy/dt = f(t, y) on its way, by the embedded Runge–Kutta pair of orders five and four
// of Dormand and Prince, with its interpolant of order four within a step [Hairer, Nørsett and Wanner, Solving Ordinary
// Differential Equations I, section II.5, from memory]. [NewODE] makes it.
type ODE struct {
	f      Slope
	within Tolerance
	stages [stages][]float64
	spread [5][]float64 // of the interpolant over the last step
	trial  []float64
	y      []float64
	t      float64
	began  float64 // where the last step did
	next   float64 // how long a step to try; 0 where that is not known yet
	known  bool    // stages[0] is the slope at y
}

const stages = 7

// Nodes and coefficients of the pair; its last stage is taken at the fifth-order result. errorOf is the difference of
// the two orders, bent what the interpolant takes of each stage.
var (
	nodes  = [stages]float64{0, 1. / 5, 3. / 10, 4. / 5, 8. / 9, 1, 1}
	shares = [stages][stages - 1]float64{
		{},
		{1. / 5},
		{3. / 40, 9. / 40},
		{44. / 45, -56. / 15, 32. / 9},
		{19372. / 6561, -25360. / 2187, 64448. / 6561, -212. / 729},
		{9017. / 3168, -355. / 33, 46732. / 5247, 49. / 176, -5103. / 18656},
		{35. / 384, 0, 500. / 1113, 125. / 192, -2187. / 6784, 11. / 84},
	}
	errorOf = [stages]float64{71. / 57600, 0, -71. / 16695, 71. / 1920, -17253. / 339200, 22. / 525, -1. / 40}
	bent    = [stages]float64{-12715105075. / 11282082432, 0, 87487479700. / 32700410799,
		-10690763975. / 1880347072, 701980252875. / 199316789632, -1453857185. / 822651844, 69997945. / 29380423}
)

// How a step's length follows its error.
const (
	caution  = 0.9
	shortest = 0.2 // of a step that is tried again, or the next one
	longest  = 8
)

// NewODE begins a problem at a time and state. The state is copied.
func NewODE(f Slope, t float64, y []float64, within Tolerance) *ODE {
	s := &ODE{f: f, within: within, t: t, began: t}
	n := len(y)
	room := make([]float64, n*(stages+len(s.spread)+2))
	take := func() []float64 {
		one := room[:n:n]
		room = room[n:]
		return one
	}
	for i := range s.stages {
		s.stages[i] = take()
	}
	for i := range s.spread {
		s.spread[i] = take()
	}
	s.trial, s.y = take(), take()
	copy(s.y, y)
	copy(s.spread[0], y)
	return s
}

// Time is how far it has come, and State what it is there; the state is the problem's own and is not to be changed.
func (s *ODE) Time() float64    { return s.t }
func (s *ODE) State() []float64 { return s.y }

// Restart goes on from another state at a time, as where something sudden happened.
func (s *ODE) Restart(t float64, y []float64) {
	s.t, s.began, s.known = t, t, false
	copy(s.y, y)
	copy(s.spread[0], y)
	for _, part := range s.spread[1:] {
		clear(part)
	}
}

// Step goes one step on, as long as its error allows, and not past a time. The error is [ErrTooFine].
func (s *ODE) Step(until float64) error {
	if !s.known {
		s.f(s.t, s.y, s.stages[0])
		s.known = true
	}
	if s.next == 0 {
		s.next = s.first()
	}
	for {
		h := min(s.next, until-s.t)
		if last := until - s.t; last-h < 0.1*h {
			h = last // no sliver is left for the end
		}
		if !(s.t+h > s.t) {
			return ErrTooFine
		}
		off := s.try(h)
		if off <= 1 {
			s.accept(h)
			if h >= s.next || off > 0.5 {
				s.next = h * min(longest, caution*math.Pow(max(off, 1e-10), -1./5))
			}
			return nil
		}
		factor := shortest
		if !math.IsNaN(off) && !math.IsInf(off, 0) {
			factor = max(shortest, caution*math.Pow(off, -1./5))
		}
		s.next = h * factor
	}
}

// first is a step to begin with, from how large the state and its slope are.
func (s *ODE) first() float64 {
	size, slope := s.norm(s.y), s.norm(s.stages[0])
	if size < 1e-5 || slope < 1e-5 {
		return 1e-6
	}
	return 0.01 * size / slope
}

// norm is the size of a vector against what may be off in it.
func (s *ODE) norm(v []float64) float64 {
	sum := 0.0
	for i, x := range v {
		x /= s.within.Absolute[i] + s.within.Relative*math.Abs(s.y[i])
		sum += x * x
	}
	return math.Sqrt(sum / float64(len(v)))
}

// try works a step out, and returns its error as a share of what is allowed. Each stage is written out, so that a state
// is gone through once for it.
func (s *ODE) try(h float64) float64 {
	n := len(s.y)
	y, to := s.y[:n], s.trial[:n]
	k0, k1, k2, k3 := s.stages[0][:n], s.stages[1][:n], s.stages[2][:n], s.stages[3][:n]
	k4, k5, k6 := s.stages[4][:n], s.stages[5][:n], s.stages[6][:n]
	for i, y := range y {
		to[i] = y + h*(shares[1][0]*k0[i])
	}
	s.f(s.t+nodes[1]*h, to, k1)
	for i, y := range y {
		to[i] = y + h*(shares[2][0]*k0[i]+shares[2][1]*k1[i])
	}
	s.f(s.t+nodes[2]*h, to, k2)
	for i, y := range y {
		to[i] = y + h*(shares[3][0]*k0[i]+shares[3][1]*k1[i]+shares[3][2]*k2[i])
	}
	s.f(s.t+nodes[3]*h, to, k3)
	for i, y := range y {
		to[i] = y + h*(shares[4][0]*k0[i]+shares[4][1]*k1[i]+shares[4][2]*k2[i]+shares[4][3]*k3[i])
	}
	s.f(s.t+nodes[4]*h, to, k4)
	for i, y := range y {
		to[i] = y + h*(shares[5][0]*k0[i]+shares[5][1]*k1[i]+shares[5][2]*k2[i]+shares[5][3]*k3[i]+shares[5][4]*k4[i])
	}
	s.f(s.t+h, to, k5)
	for i, y := range y {
		to[i] = y + h*(shares[6][0]*k0[i]+shares[6][2]*k2[i]+shares[6][3]*k3[i]+shares[6][4]*k4[i]+shares[6][5]*k5[i])
	}
	s.f(s.t+h, to, k6)
	sum := 0.0
	for i, y := range y {
		off := errorOf[0]*k0[i] + errorOf[2]*k2[i] + errorOf[3]*k3[i] + errorOf[4]*k4[i] + errorOf[5]*k5[i] +
			errorOf[6]*k6[i]
		off *= h / (s.within.Absolute[i] + s.within.Relative*max(math.Abs(y), math.Abs(to[i])))
		sum += off * off
	}
	return math.Sqrt(sum / float64(n))
}

// accept goes on by a step that was tried, and keeps what lies within it.
func (s *ODE) accept(h float64) {
	for k, y := range s.y {
		went := s.trial[k] - y
		bend := h*s.stages[0][k] - went
		s.spread[0][k], s.spread[1][k], s.spread[2][k] = y, went, bend
		s.spread[3][k] = went - h*s.stages[stages-1][k] - bend
		s.spread[4][k] = h * (bent[0]*s.stages[0][k] + bent[2]*s.stages[2][k] + bent[3]*s.stages[3][k] +
			bent[4]*s.stages[4][k] + bent[5]*s.stages[5][k] + bent[6]*s.stages[6][k])
	}
	s.began, s.t = s.t, s.t+h
	copy(s.y, s.trial)
	s.stages[0], s.stages[stages-1] = s.stages[stages-1], s.stages[0]
}

// Within fills y with the state at a time within the last step, ends included.
func (s *ODE) Within(t float64, y []float64) {
	at := 1.0
	if s.t > s.began {
		at = (t - s.began) / (s.t - s.began)
	}
	for k := range y {
		bend := s.spread[2][k] + at*(s.spread[3][k]+(1-at)*s.spread[4][k])
		y[k] = s.spread[0][k] + at*(s.spread[1][k]+(1-at)*bend)
	}
}

// Crossing is the first time within the last step at which a value of the state has become less than 0, to within some
// seconds; false where it has not by the step's end. A value that sinks and comes back within one step is not seen.
func (s *ODE) Crossing(value func(t float64, y []float64) float64, within float64) (float64, bool) {
	if value(s.t, s.y) >= 0 {
		return 0, false
	}
	y := make([]float64, len(s.y))
	last := Last(s.began, s.t, within, func(t float64) bool {
		s.Within(t, y)
		return value(t, y) >= 0
	})
	return min(last+within, s.t), true
}
