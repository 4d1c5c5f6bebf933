package line

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/source"
)

// strain is how hard a job works a stage's belt or chain at the worst.
type strain struct {
	share float64 // of what it carries
	job   string
	pull  float64 // N needed
	rated float64 // N it carries there
	v     float64 // m/s
	omega float64 // rad/s of the driven wheel
	step  reduction.Step
	brief bool // for some seconds, or to break it away: it may pull past its rating
	count int  // 0 when no job says
}

// strains are what the jobs, each in its best position, ask of every stage's belt.
func (t *train) strains(fares []fare) []strain {
	out := make([]strain, len(t.Reduction.Stages))
	for j, fare := range fares {
		if fare.outcome == cannotJudge || !fare.outcome.reached() {
			continue
		}
		p := &t.Reduction.Positions[fare.position]
		torque, omega := fare.needed, fare.omega
		for i := len(t.Reduction.Stages) - 1; i >= 0; i-- {
			if p.Steps[i] == reduction.Out {
				continue
			}
			s := t.Reduction.Stages[i]
			step := s.Steps[p.Steps[i]]
			if step.Pull.Rated() && step.Driven > 0 {
				now := strain{job: t.Machine.Jobs[j].Name, brief: fare.starting || t.Machine.Jobs[j].Duty.Kind == "seconds", pull: 2 * torque / step.Driven, v: omega * step.Driven / 2, omega: omega, step: step, count: 1}
				now.rated = step.Pull.Carries(now.v)
				if now.brief {
					now.rated *= reduction.OverloadShare
				}
				if now.share = now.pull / now.rated; out[i].count == 0 || now.share > out[i].share {
					out[i] = now
				}
			}
			torque /= step.Ratio * s.Keeps
			omega *= step.Ratio
		}
	}
	return out
}

// closeToRating is from where a belt's share of its rating is worth a caution.
const closeToRating = 0.9

// ratingFindings say how hard the jobs work the belts and chains.
func (t *train) ratingFindings(strains []strain, sys q.System) []f.Finding {
	v := &verdict{train: t, sys: sys}
	for i, s := range strains {
		if s.count == 0 || s.share < closeToRating {
			continue
		}
		stage := t.Reduction.Stages[i]
		what, more := "belt", "A larger pulley on this stage, a second belt, or a wider section carries more."
		switch stage.Kind {
		case reduction.Chain:
			what, more = "chain", "A larger pitch or a second strand carries more."
		case reduction.Spur:
			what, more = "pair of gears", "Wider or coarser gears, or a harder metal, carry more; a key made to shear saves the teeth in a jam."
		}
		title := fmt.Sprintf("%s works the %s%s to %s of its rating", s.job, what, t.nth(i), q.Percent(s.share))
		long := "for ever"
		if s.brief {
			long = "for some seconds"
		}
		v.add(f.Reduction, fmt.Sprintf("rating.%d", i), f.Caution, fmt.Sprintf("reduction.stages[%d].steps[0].driver", i), capital(title),
			fmt.Sprintf("%s of pull at %s, %s is what it carries %s. %s", v.show(s.pull, q.Force), v.show(s.v, q.SurfaceSpeed), v.show(s.rated, q.Force), long, more))
	}
	return v.list
}

// ratings are the workings of the belts' shares.
func (d *derivations) ratings(strains []strain) {
	for i, s := range strains {
		if s.count == 0 {
			continue
		}
		stage := d.train.Reduction.Stages[i]
		label, src := "Belt"+d.nth(i)+" at its hardest job", ratingSource(stage)
		switch stage.Kind {
		case reduction.Chain:
			label = "Chain" + d.nth(i) + " at its hardest job"
		case reduction.Spur:
			label = "Gear teeth" + d.nth(i) + " at their hardest job"
		}
		assumes := []string{s.job}
		if s.brief {
			assumes = append(assumes, "For some seconds it pulls half as much again as its rating")
		}
		if stage.Assumed != "" {
			assumes = append(assumes, stage.Assumed)
		}
		d.add(fmt.Sprintf("reduction.rating.%d", i), "reduction", label, q.Percent(s.share)+" of its rating", "share = F_needed / F_rated, F = 2T / D",
			fmt.Sprintf("%s over ⌀ %s is %s; %s carried at %s", d.show(s.pull*s.step.Driven/2, q.Torque), d.show(s.step.Driven, q.Length), d.show(s.pull, q.Force), d.show(s.rated, q.Force), d.show(s.v, q.SurfaceSpeed)),
			src, assumes...)
	}
}

func ratingSource(s reduction.Stage) source.ID {
	switch {
	case s.Kind == reduction.Chain:
		return source.ChainRating
	case s.Kind == reduction.Toothed:
		return source.ToothedRating
	case s.Kind == reduction.Spur:
		return source.GearRating
	case s.Kind == reduction.Flat:
		return source.FlatRating
	case s.Section == "A" || s.Section == "B":
		return source.ClassicalRating
	}
	return source.RibRating
}

// measuredRatio sets two speeds read together against the worked-out ratio: what slips, or which
// wheel is likely not the size it was taken for.
type measuredRatio struct {
	measured, expected, bare float64 // bare is without any slip
	slip                     float64 // share of speed lost against bare
	off                      float64 // measured against expected, less one
}

func (t *train) measuredRatio() (measuredRatio, bool) {
	m := t.Reduction.Measured
	if m.Spindle == 0 || len(t.Reduction.Positions) == 0 {
		return measuredRatio{}, false
	}
	p := &t.Reduction.Positions[m.Position]
	out := measuredRatio{measured: m.Motor / m.Spindle / t.Motor.Gear.Ratio, expected: p.Ratio, bare: p.Ratio}
	for i, s := range t.Reduction.Stages {
		if p.Steps[i] != reduction.Out {
			out.bare *= 1 - s.Slip
		}
	}
	out.slip, out.off = 1-out.bare/out.measured, out.measured/out.expected-1
	return out, true
}

// ratioOff is how far a measured ratio may lie from the worked-out one before a diameter is doubted:
// more than belts slip under load.
const ratioOff = 0.03

func (v *verdict) measuredFinding() {
	m, ok := v.measuredRatio()
	if !ok {
		return
	}
	if math.Abs(m.off) <= ratioOff {
		v.add(f.Reduction, "measured", f.Good, "reduction.speeds.spindle", "Measured ratio agrees",
			fmt.Sprintf("%s measured, %s worked out: %s of slip.", q.Ratio(m.measured), q.Ratio(m.expected), q.Percent(math.Max(m.slip, 0))))
		return
	}
	field, words := v.suspect(m)
	v.add(f.Reduction, "measured", f.Caution, field, "Measured ratio is "+q.Percent(math.Abs(m.off))+" off",
		fmt.Sprintf("%s measured, %s worked out: more than belts slip. %s", q.Ratio(m.measured), q.Ratio(m.expected), words))
}

// suspect names the wheel that explains a measured ratio with the least change to its size, or the
// outside diameters taken for pitch.
func (v *verdict) suspect(m measuredRatio) (field, words string) {
	p := &v.Reduction.Positions[v.Reduction.Measured.Position]
	least := math.Inf(1)
	for i, s := range v.Reduction.Stages {
		if p.Steps[i] == reduction.Out || s.Kind == reduction.Direct {
			continue
		}
		step := s.Steps[p.Steps[i]]
		if offset := 2 * reduction.PitchOffset(s.Section); offset != 0 && !step.Teeth {
			as := (step.Driven - offset) / (step.Driver - offset) / (step.Driven / step.Driver)
			if math.Abs(m.expected*as/m.measured-1) < 0.01 {
				return fmt.Sprintf("reduction.stages[%d].measured", i), "It agrees if the diameters" + v.nth(i) + " are outside, over the rim, not pitch."
			}
		}
		for _, w := range []struct {
			at, name string
			is, then float64
		}{{"driver", "driving", step.Driver, step.Driver * m.expected / m.measured}, {"driven", "driven", step.Driven, step.Driven * m.measured / m.expected}} {
			change := math.Abs(w.then - w.is)
			if change >= least {
				continue
			}
			least, field = change, fmt.Sprintf("reduction.stages[%d].steps[%d].%s", i, p.Steps[i], w.at)
			words = fmt.Sprintf("The least that explains it: the %s wheel%s is %s, not %s. Measure it again; or the belt slips badly.", w.name, v.nth(i), v.show(w.then, q.Length), v.show(w.is, q.Length))
			if step.Teeth {
				words = fmt.Sprintf("Count the teeth of the %s wheel%s again: it can hardly slip.", w.name, v.nth(i))
			}
		}
	}
	return field, words
}
