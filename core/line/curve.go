package line

import (
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

const curvePoints = 40

// Curve is the all-day torque over the speeds of a position.
func (t *Model) Curve(p *reduction.Position) []CurvePoint {
	low, high := t.Span(p)
	if !(low > 0 && high >= low) {
		return []CurvePoint{}
	}
	points := make([]CurvePoint, curvePoints)
	for i := range points {
		omega := low * math.Pow(high/low, float64(i)/(curvePoints-1))
		points[i] = CurvePoint{q.Rounded(omega / q.RPM), q.Rounded(t.Steady(omega, 1, p).Torque)}
	}
	return points
}

// CurvePoint is a torque at a spindle speed.
type CurvePoint struct {
	RPM    float64 `json:"rpm"`
	Torque float64 `json:"torque" doc:"N·m"`
}
