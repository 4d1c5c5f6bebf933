package line

import (
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
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

const ceilingPoints = 9

// Ceiling is what a job may count on, by its own minutes on and off, over what a result reaches of its band.
func (t *Model) Ceiling(job *work.Need, f *Result) []CurvePoint {
	p := &t.Reduction.Positions[f.Position]
	overload := t.DutyOverload(job.Duty)
	points := make([]CurvePoint, ceilingPoints)
	if f.Low == f.High {
		points = points[:1]
	}
	omega, step := f.Low, math.Pow(f.High/f.Low, 1./(ceilingPoints-1))
	for i := range points {
		points[i] = CurvePoint{q.Rounded(omega / q.RPM), q.Rounded(t.AvailableFor(job, omega, overload, p).Torque)}
		omega = min(omega*step, f.High)
	}
	return points
}
