// Package thermal is how a motor warms and cools: two bodies, the winding that is heated and the case round it that
// sheds the heat, each at one temperature.
package thermal

import "math"

// Bodies are a motor's winding and case. Winding and Case are how much heat each holds (J/K), Inside what passes
// between them and Outside what the case sheds to the air (W/K), all > 0.
type Bodies struct{ Winding, Case, Inside, Outside float64 }

// State is how far winding and case are above the air, K.
type State struct{ Winding, Case float64 }

// Shares of a motor's heating [common practice].
const (
	caseShare    = 0.68    // of the winding's rise at rated load that the case has: 20 to 30 K less than class B's 80
	windingShare = 1.0 / 8 // of the case's time constant that the winding's own is
)

// Of is a motor that heated for ever with 1 rises by 1, its case taking so many seconds to warm: what is worked out
// with it is in shares of rated heat and rise.
func Of(seconds float64) Bodies {
	b := Bodies{Inside: 1 / (1 - caseShare), Outside: 1 / caseShare}
	b.Winding = windingShare * seconds * b.Inside
	b.Case = max(seconds*b.Outside-b.Winding, 0.1*b.Winding)
	return b
}

// Settled is where so much heat (W) in the winding leads to for ever, the case shedding so many times what it does.
func (b Bodies) Settled(heat, cooling float64) State {
	rise := heat / (b.Outside * cooling)
	return State{Winding: rise + heat/b.Inside, Case: rise}
}

// After is the state some seconds later, with so much heat (W) in the winding and the case shedding so many times what
// it does. It is the exact solution of
//
//	C_w·dθ_w/dt = P − G_i·(θ_w − θ_c)
//	C_c·dθ_c/dt = G_i·(θ_w − θ_c) − G_o·cooling·θ_c
func (b Bodies) After(s State, heat, cooling, seconds float64) State {
	end := b.Settled(heat, cooling)
	left := b.decay(cooling, seconds).times(State{s.Winding - end.Winding, s.Case - end.Case})
	return State{end.Winding + left.Winding, end.Case + left.Case}
}

// Cycle is the state at the end of each pull once work goes on in turns for ever: heated for on seconds, then left for
// off seconds with the case shedding resting times what it does while it works.
func (b Bodies) Cycle(heat, on, off, resting float64) State {
	// s = end + D_on·(D_off·s − end) is linear in s.
	end := b.Settled(heat, 1)
	working, rest := b.decay(1, on), b.decay(resting, off)
	lost := working.times(end)
	return working.after(rest).fixed(State{end.Winding - lost.Winding, end.Case - lost.Case})
}

// matrix is what is left of a state: winding and case from winding and case.
type matrix struct{ ww, wc, cw, cc float64 }

func (m matrix) times(s State) State {
	return State{m.ww*s.Winding + m.wc*s.Case, m.cw*s.Winding + m.cc*s.Case}
}

// after is m done after another.
func (m matrix) after(o matrix) matrix {
	return matrix{m.ww*o.ww + m.wc*o.cw, m.ww*o.wc + m.wc*o.cc, m.cw*o.ww + m.cc*o.cw, m.cw*o.wc + m.cc*o.cc}
}

// fixed solves s = m·s + b.
func (m matrix) fixed(b State) State {
	a, d := 1-m.ww, 1-m.cc
	det := a*d - m.wc*m.cw
	return State{(d*b.Winding + m.wc*b.Case) / det, (m.cw*b.Winding + a*b.Case) / det}
}

// decay is the exponential of the two equations without heat over some seconds. Both of its rates are real and
// negative.
func (b Bodies) decay(cooling, seconds float64) matrix {
	shed := b.Outside * cooling
	a := matrix{-b.Inside / b.Winding, b.Inside / b.Winding, b.Inside / b.Case, -(b.Inside + shed) / b.Case}
	middle, split := (a.ww+a.cc)/2, math.Sqrt((a.ww-a.cc)*(a.ww-a.cc)/4+a.wc*a.cw)
	fast, slow := math.Exp((middle-split)*seconds), math.Exp((middle+split)*seconds)
	even, odd := (fast+slow)/2, (slow-fast)/(2*split)
	return matrix{even + odd*(a.ww-middle), odd * a.wc, odd * a.cw, even + odd*(a.cc-middle)}
}

// Left is the part of its way a case of [Of] has still to go to where it settles, heated from cold for so many times
// its
// own time. At first only the winding warms.
func Left(times float64) float64 { return 1 - Of(1).After(State{}, 1, 1, times).Case/caseShare }

// WindingRise is how far the winding of [Of] settles above the air where its case settles so far above it.
func WindingRise(caseRise float64) float64 { return caseRise / caseShare }

// CaseRise is the other way round.
func CaseRise(windingRise float64) float64 { return windingRise * caseShare }

// CoolingFor is how many times its usual heat the case sheds where so much heat for ever, a share of rated, settles the
// winding of [Of] at its rated rise.
func CoolingFor(heat float64) float64 { return caseShare / (1/heat - (1 - caseShare)) }
