package verdict

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/working"
)

// reductionFindings looks at every stage's wrap, bend, belt speed, cone lengths and guard.
func (v *verdict) reductionFindings() {
	if v.Reduction.Missing != "" {
		return
	}
	sound := true
	for i, s := range v.Reduction.Stages {
		before := len(v.list)
		v.stageFindings(i, s)
		sound = sound && len(v.list) == before
	}
	v.shaftFindings()
	v.measuredFinding()
	if sound && len(v.Reduction.Stages) > 0 {
		v.add(f.ReductionGood, f.Good, "reduction.stages", "Reduction",
			v.soundReduction()).Working = working.ReductionEfficiency
	}
}

// soundReduction says in figures why the stages are sound.
func (v *verdict) soundReduction() string {
	wrap := math.Pi
	for _, s := range v.Reduction.Stages {
		for _, step := range s.Steps {
			wrap = min(wrap, step.Wrap)
		}
	}
	return fmt.Sprintf("Least wrap %s, keeps %s.", v.show(wrap, q.Angle),
		q.Percent(v.Reduction.Positions[0].Efficiency))
}

func (v *verdict) stageFindings(i int, s reduction.Stage) {
	nth := v.OfStage(i)
	if s.Kind == reduction.Direct {
		if v.Runs && len(v.Reduction.Stages) == 1 {
			v.add(f.ReductionDirect, f.Good, "reduction.stages", "Coupled straight",
				"The spindle turns with the motor.")
		}
		return
	}
	if !s.Guarded {
		v.add(f.ReductionGuard.At(i), f.Stop, stageField(i, "guarded"), "Guard the moving parts"+nth,
			"Belts, pulleys and chains take fingers, sleeves and hair. Close them in before it turns under power.")
	}
	if !s.Belted() {
		return
	}
	v.wrapFinding(i, s, nth)
	v.bendFinding(i, s, nth)
	v.coneFinding(i, s, nth)
	if v.Runs {
		v.beltSpeedFinding(i, s, nth)
	}
}

// wrapFinding speaks of the step where the belt has least to hold on to.
func (v *verdict) wrapFinding(i int, s reduction.Stage, nth string) {
	tightest := tightestStep(s.Steps, func(step reduction.Step) float64 { return step.Wrap })
	if wrap := s.Steps[tightest].Wrap; s.Centre > 0 && wrap < reduction.LeastWrap {
		v.add(f.ReductionWrap.At(i, tightest), f.Caution, stageField(i, "centre"),
			fmt.Sprintf("Wrap of %s%s", q.Show(wrap, q.Angle, v.sys), nth),
			"Under 120° the belt loses grip. Move the shafts apart, or split the ratio over two stages.").Working =
			working.ReductionWrap.At(i, tightest)
	}
}

// tightestStep is the step of least measure.
func tightestStep(steps []reduction.Step, measure func(reduction.Step) float64) int {
	tightest := 0
	for k, step := range steps {
		if measure(step) < measure(steps[tightest]) {
			tightest = k
		}
	}
	return tightest
}

// bendFinding speaks of the smallest pulley of a stage, where it is too small for the belt.
func (v *verdict) bendFinding(i int, s reduction.Stage, nth string) {
	small := func(step reduction.Step) float64 { return min(step.Driver, step.Driven) }
	tightest := tightestStep(s.Steps, small)
	step := s.Steps[tightest]
	least := reduction.Smallest(s.Section)
	if step.Teeth || small(step) >= least*0.995 {
		return
	}
	end := "driver"
	if step.Driven < step.Driver {
		end = "driven"
	}
	v.add(f.ReductionBend.At(i, tightest), f.Caution, fmt.Sprintf("reduction.stages[%d].steps[%d].%s", i, tightest,
		end), "Pulley small for its belt"+nth,
		fmt.Sprintf("⌀ %s, and section %s should not bend round less than %s. It flexes, heats and cracks; a lighter "+
			"section or poly-V bends further.", v.show(small(step), q.Length), s.Section, v.show(least, q.Length)))
}

func (v *verdict) coneFinding(i int, s reduction.Stage, nth string) {
	shortest, longest := math.Inf(1), 0.0
	for _, step := range s.Steps {
		if step.Length > 0 {
			shortest, longest = min(shortest, step.Length), max(longest, step.Length)
		}
	}
	if longest > shortest*(1+reduction.ConeMismatch) {
		one := v.add(f.ReductionCone.At(i), f.Caution, stageField(i, "steps[0].driver"),
			"One belt does not fit every step"+nth,
			fmt.Sprintf("The steps need belts from %s to %s on these centres. The motor must slide, or the steps be "+
				"turned to match.", v.show(shortest, q.Length), v.show(longest, q.Length)))
		one.Working, one.Fix = working.ReductionBelt.At(i, 0), f.Fix{Sort: f.ConeToFit, Stage: i}
	}
}

func (v *verdict) beltSpeedFinding(i int, s reduction.Stage, nth string) {
	fastest := 0.0
	for _, step := range s.Steps {
		fastest = max(fastest, reduction.BeltSpeed(step.Driver, v.FastestDriver(i)))
	}
	field := stageField(i, "steps[0].driver")
	switch {
	case fastest > reduction.BurstingBelt:
		v.add(f.ReductionBeltSpeed.At(i), f.Stop, field, "Belt faster than a cast-iron rim allows"+nth,
			fmt.Sprintf("%s; the rim can burst over %s. Use a smaller pulley on the faster shaft.",
				v.show(fastest, q.SurfaceSpeed), v.show(reduction.BurstingBelt,
					q.SurfaceSpeed))).Working = working.ReductionSpeed.At(i,
			0)
	case fastest > reduction.FastBelt && !v.pastLimit():
		v.add(f.ReductionBeltSpeed.At(i), f.Caution, field, "Fast belt"+nth,
			fmt.Sprintf("%s: check balance and the rim's rating.", v.show(fastest,
				q.SurfaceSpeed))).Working = working.ReductionSpeed.At(i,
			0)
	}
}
