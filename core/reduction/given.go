package reduction

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
)

// given reads a stage that is a ratio and nothing more: turns, or speeds, of its driving and its driven shaft, the
// driven one turn where it is not given. Sizes left from another kind of stage stand for as many turns. It returns the
// field that is missing.
func (s *Stage) given(d DescribedStage, r *q.Reader) (missing string) {
	s.Efficiency = r.Read("keeps", d.Keeps, q.Number, q.Range{Min: 0.05, Max: 1}).Or(s.Efficiency)
	s.Rated = r.Read("rated", d.Rated, q.Torque, q.Range{Min: 0.01, Max: 1e5}).Or(0)
	if len(d.Steps) > maxSteps {
		r.Refuse("steps", fmt.Sprint(len(d.Steps)), fmt.Sprintf("at most %d steps", maxSteps))
		return "steps"
	}
	for i, ds := range d.Steps {
		at := r.At("steps", i)
		as, unit, turns := q.Speed, q.RPM, q.Range{Min: 0.001 * q.RPM, Max: 1e6 * q.RPM}
		if ds.sizes() {
			as, unit, turns = q.Length, 1, q.Range{Min: 1e-3, Max: 10}
		}
		driver, driven := at.Read("driver", ds.Driver, as, turns), at.Read("driven", ds.Driven, as, turns)
		ratio := driver.SI / driven.Or(unit)
		if !driver.Known && missing == "" {
			missing = fmt.Sprintf("steps[%d].driver", i)
		}
		if driver.Known && (ratio < 1e-3 || ratio > 1e4) {
			at.Refuse("driver", string(ds.Driver), "a ratio of "+q.Figures(ratio, 3)+" is none a machine has")
			missing = fmt.Sprintf("steps[%d].driver", i)
		}
		s.Steps = append(s.Steps, Step{Driver: coupling, Driven: coupling, Ratio: ratio, Wrap: math.Pi})
	}
	if len(d.Steps) == 0 {
		return "steps[0].driver"
	}
	return missing
}

// sizes reports whether both are wheels' sizes, which turns are not written as.
func (d DescribedStep) sizes() bool {
	size := func(t q.Text) bool {
		_, errTurns := q.Parse(t, q.Speed)
		_, errSize := q.Parse(t, q.Length)
		return errTurns != nil && errSize == nil
	}
	return size(d.Driver) && size(d.Driven)
}

// coupling is how wide what couples two shafts is drawn, m.
const coupling = 0.03

// takeMeasured lets a ratio that was measured rule over the one its wheels make, which is kept beside it. Without a
// load it slips less, never more, than either says.
func (p *Position) takeMeasured(ratio float64) {
	p.Reckoned, p.Ratio = p.Ratio, ratio
	p.Unslipped = min(p.Unslipped, ratio)
}
