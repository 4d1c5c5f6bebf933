package line

import (
	"jiriki/core/reduction"
)

// RatioCheck sets two speeds read together against the worked-out ratio: what slips, or which
// wheel is likely not the size it was taken for.
type RatioCheck struct {
	Measured, Expected, WithoutSlip float64 // bare is without any slip
	Slip                            float64 // share of speed lost against bare
	Off                             float64 // measured against expected, less one
}

// MeasuredRatio is the check by two speeds read together; false when none were.
func (t *Model) MeasuredRatio() (RatioCheck, bool) {
	m := t.Reduction.Measured
	if m.Spindle == 0 || len(t.Reduction.Positions) == 0 {
		return RatioCheck{}, false
	}
	p := &t.Reduction.Positions[m.Position]
	out := RatioCheck{Measured: p.Ratio, Expected: p.Reckoned, WithoutSlip: p.Reckoned}
	for i, s := range t.Reduction.Stages {
		if p.Steps[i] != reduction.Out {
			out.WithoutSlip *= 1 - s.Slip
		}
	}
	out.Slip, out.Off = 1-out.WithoutSlip/out.Measured, out.Measured/out.Expected-1
	return out, true
}
