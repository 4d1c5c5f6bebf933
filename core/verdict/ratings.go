package verdict

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
	"jiriki/core/working"
)

// closeToRating is from where a belt's share of its rating is worth a caution.
const closeToRating = 0.9

// ratingFindings say how hard the jobs work the belts and chains.
func (v *verdict) ratingFindings(loads []line.BeltLoad) {
	for i, s := range loads {
		if s.Count == 0 || s.Share < closeToRating {
			continue
		}
		stage := v.Reduction.Stages[i]
		what, more := "belt", "A larger pulley on this stage, a second belt, or a wider section carries more."
		switch stage.Kind {
		case reduction.Chain:
			what, more = "chain", "A larger pitch or a second strand carries more."
		case reduction.Spur:
			what, more = "pair of gears", "Wider or coarser gears, or a harder metal, carry more; a key made to "+
				"shear saves the teeth in a jam."
		}
		if stage.Untold != "" {
			more = stage.Assumed + ", for nobody said. " + more
		}
		title := fmt.Sprintf("%s works the %s%s to %s of its rating", s.Job, what, v.OfStage(i), q.Percent(s.Share))
		long := "for ever"
		if s.Brief {
			long = "for some seconds"
		}
		v.add(f.ReductionRating.At(i), f.Caution, stageField(i, "steps[0].driver"), words.Capital(title),
			fmt.Sprintf("%s of pull at %s, %s is what it carries %s. %s", v.show(s.Pull, q.Force),
				v.show(s.Speed, q.SurfaceSpeed), v.show(s.Rated, q.Force), long,
				more)).Working = working.ReductionRating.At(i)
	}
}

// ratioOff is how far a measured ratio may lie from the worked-out one before a diameter is doubted:
// more than belts slip under load.
const ratioOff = 0.03

func (v *verdict) measuredFinding() {
	m, ok := v.MeasuredRatio()
	if !ok {
		return
	}
	if math.Abs(m.Off) <= ratioOff {
		v.add(f.ReductionMeasured, f.Good, "reduction.speeds.spindle", "Measured ratio agrees",
			fmt.Sprintf("%s measured, %s worked out: %s of slip.", q.Ratio(m.Measured), q.Ratio(m.Expected),
				q.Percent(max(m.Slip, 0)))).Working = working.ReductionMeasured
		return
	}
	field, words := v.suspect(m)
	one := v.add(f.ReductionMeasured, f.Caution, field, "Measured ratio is "+q.Percent(math.Abs(m.Off))+" off",
		fmt.Sprintf("%s measured, %s worked out: more than belts slip. What was measured is reckoned with; take it "+
			"out when a wheel is changed. %s", q.Ratio(m.Measured), q.Ratio(m.Expected), words))
	one.Working = working.ReductionMeasured
}

// suspect names the wheel that explains a measured ratio with the least change to its size, or the
// outside diameters taken for pitch.
func (v *verdict) suspect(m line.RatioCheck) (field, words string) {
	p := &v.Reduction.Positions[v.Reduction.Measured.Position]
	least := math.Inf(1)
	for i, s := range v.Reduction.Stages {
		if p.Steps[i] == reduction.Out || s.Kind.Bare() {
			continue
		}
		step := s.Steps[p.Steps[i]]
		if offset := 2 * reduction.PitchOffset(s.Section, v.sys == q.Inch); offset != 0 && !step.Teeth {
			as := (step.Driven - offset) / (step.Driver - offset) / (step.Driven / step.Driver)
			if math.Abs(m.Expected*as/m.Measured-1) < 0.01 {
				return stageField(i, "measured"), "It agrees if the diameters" + v.OfStage(i) +
					" are outside, over the rim, not pitch."
			}
		}
		for _, w := range []struct {
			at, name string
			is, then float64
		}{{"driver", "driving", step.Driver, step.Driver * m.Expected / m.Measured},
			{"driven", "driven", step.Driven,
				step.Driven * m.Measured / m.Expected}} {
			change := math.Abs(w.then - w.is)
			if change >= least {
				continue
			}
			least, field = change, fmt.Sprintf("reduction.stages[%d].steps[%d].%s", i, p.Steps[i], w.at)
			words = fmt.Sprintf("The least that explains it: the %s wheel%s is %s, not %s. Measure it again; or the "+
				"belt slips badly.", w.name, v.OfStage(i), v.show(w.then, q.Length), v.show(w.is, q.Length))
			if step.Teeth {
				words = fmt.Sprintf("Count the teeth of the %s wheel%s again: it can hardly slip.", w.name,
					v.OfStage(i))
			}
		}
	}
	return field, words
}
