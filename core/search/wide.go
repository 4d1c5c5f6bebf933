package search

import (
	"math"

	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Wide sets two ways to a wide band of speeds side by side with the same motor: electronics alone
// over one ratio, and two ratios with electronics between. Below its base speed a motor's power falls
// with its speed; a gear gives the torque back.
type Wide struct {
	Alone  []line.CurvePoint   `json:"alone" nullable:"false" doc:"One ratio, all-day torque"`
	Geared [][]line.CurvePoint `json:"geared" nullable:"false" doc:"Two ratios, the faster first"`
	Ratios []string            `json:"ratios" nullable:"false" doc:"Of the one, then of the two"`
	Gain   float64             `json:"gain" doc:"Torque at the slowest job with gears, over that without"`
}

// wide is worked out from the jobs' own speeds; empty for a motor that runs at one speed, or where
// the jobs ask for little more than twice their slowest.
func wide(t *line.Model) Wide {
	w := Wide{Alone: []line.CurvePoint{}, Geared: [][]line.CurvePoint{}, Ratios: []string{}}
	if !t.Runs || t.Powered.FixedSpeed() {
		return w
	}
	slow, fast := math.Inf(1), t.Machine.FastestWanted()
	for _, job := range t.Machine.Jobs {
		if job.Missing == "" {
			slow = min(slow, job.Low)
		}
	}
	low, high := t.Powered.Span()
	if !(fast/slow > 2) || !(high > 0) {
		return w
	}
	efficiency := line.UsualEfficiency
	if ps := t.Reduction.Positions; len(ps) > 0 {
		efficiency = ps[0].Efficiency
	}
	one := &reduction.Position{Ratio: high / fast, Efficiency: efficiency}
	// The deep gear takes over where the two bands, each from the middle of the range, meet.
	deep := &reduction.Position{Ratio: one.Ratio * math.Sqrt(fast/slow), Efficiency: efficiency}
	w.Alone = curveFrom(t, one, slow)
	w.Geared = [][]line.CurvePoint{curveFrom(t, one, max(high/deep.Ratio, slow)), curveFrom(t, deep, slow)}
	w.Ratios = []string{q.Ratio(one.Ratio), q.Ratio(deep.Ratio)}
	at := max(slow, low/one.Ratio)
	if alone := t.Steady(at, 1, one).Torque; alone > 0 {
		w.Gain = q.Rounded(t.Steady(at, 1, deep).Torque / alone)
	}
	return w
}

// curveFrom is a position's all-day curve from one spindle speed (rad/s) up.
func curveFrom(t *line.Model, p *reduction.Position, slow float64) []line.CurvePoint {
	out := []line.CurvePoint{}
	for _, c := range t.Curve(p) {
		if c.RPM*q.RPM >= slow*0.999 {
			out = append(out, c)
		}
	}
	return out
}
