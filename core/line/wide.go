package line

import (
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Wide sets two ways to a wide band of speeds side by side with the same motor: electronics alone
// over one ratio, and two ratios with electronics between. Below its base speed a motor's power falls
// with its speed; a gear gives the torque back.
type Wide struct {
	Alone  []CurvePoint   `json:"alone" nullable:"false" doc:"One ratio, all-day torque"`
	Geared [][]CurvePoint `json:"geared" nullable:"false" doc:"Two ratios, the faster first"`
	Ratios []string       `json:"ratios" nullable:"false" doc:"Of the one, then of the two"`
	Gain   float64        `json:"gain" doc:"Torque at the slowest job with gears, over that without"`
}

// wide is worked out from the jobs' own speeds; empty for a motor that runs at one speed, or where
// the jobs ask for little more than twice their slowest.
func (t *train) wide() Wide {
	w := Wide{Alone: []CurvePoint{}, Geared: [][]CurvePoint{}, Ratios: []string{}}
	if !t.runs || t.model.FixedSpeed() {
		return w
	}
	slow, fast := math.Inf(1), fastestWanted(t.Stations)
	for _, job := range t.Machine.Jobs {
		if job.Missing == "" {
			slow = math.Min(slow, job.Low)
		}
	}
	low, high := t.model.Span()
	if !(fast/slow > 2) || !(high > 0) {
		return w
	}
	keeps := contenderKeeps
	if ps := t.Reduction.Positions; len(ps) > 0 {
		keeps = ps[0].Keeps
	}
	one := &reduction.Position{Ratio: high / fast, Keeps: keeps}
	// The deep gear takes over where the two bands, each from the middle of the range, meet.
	deep := &reduction.Position{Ratio: one.Ratio * math.Sqrt(fast/slow), Keeps: keeps}
	w.Alone = t.curveFrom(one, slow)
	w.Geared = [][]CurvePoint{t.curveFrom(one, math.Max(high/deep.Ratio, slow)), t.curveFrom(deep, slow)}
	w.Ratios = []string{q.Ratio(one.Ratio), q.Ratio(deep.Ratio)}
	at := math.Max(slow, low/one.Ratio)
	if alone := t.steady(at, 1, one).Torque; alone > 0 {
		w.Gain = tidy(t.steady(at, 1, deep).Torque / alone)
	}
	return w
}

// curveFrom is a position's all-day curve from one spindle speed (rad/s) up.
func (t *train) curveFrom(p *reduction.Position, slow float64) []CurvePoint {
	out := []CurvePoint{}
	for _, c := range t.curve(p) {
		if c.RPM*q.RPM >= slow*0.999 {
			out = append(out, c)
		}
	}
	return out
}
