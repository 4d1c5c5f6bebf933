package line

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// swap is one wheel changed for another, with how every job fares.
type swap struct {
	stage, step int
	driven      bool
	size        float64 // mm, or teeth
	fares       []fare
	done        int
}

// ratio is the best swap of one wheel for another standard size: most jobs done first, then
// this one, then its margin.
func (h *healer) ratio(job int) []option {
	if len(h.now.Reduction.Stages) == 0 {
		return h.belts()
	}
	if !h.madeSwaps {
		h.madeSwaps, h.swaps = true, h.screenSwaps()
	}
	best := -1
	for i := range h.swaps {
		if best < 0 || swapBeats(h.swaps[i], h.swaps[best], job) {
			best = i
		}
	}
	if best < 0 {
		return nil
	}
	o, ok := h.swapped[best]
	if !ok {
		s := h.swaps[best]
		changed := h.withSwap(s)
		if o, ok = h.try(Remedy{Kind: "ratio", Reduction: &changed}); !ok {
			return nil
		}
		h.swapped[best] = o
	}
	p := &o.train.Reduction.Positions[o.fares[job].position]
	_, high := o.train.span(p)
	o.Label = "Try " + q.Ratio(p.Ratio)
	o.Detail = fmt.Sprintf("%s; then it tops out at %s", h.swapText(h.swaps[best]), q.Show(math.Min(high, o.train.top), q.Speed, h.in.Units))
	return []option{o}
}

// belts are what one V belt would do where motor and spindle are coupled straight: the smallest
// pulley its section bends round on the motor, every standard size on the spindle.
func (h *healer) belts() []option {
	if h.madeSwaps {
		return h.belted
	}
	h.madeSwaps = true
	const driver = 80.0
	for _, driven := range reduction.PulleySizes {
		if driven == driver {
			continue
		}
		r := reduction.Described{Stages: []reduction.DescribedStage{{
			Kind: reduction.VBelt, Section: "A", Steps: []reduction.DescribedStep{{Driver: typed(driver, "mm"), Driven: typed(driven, "mm")}},
		}}}
		if o, ok := h.try(Remedy{Kind: "ratio", Reduction: &r}); ok && driven >= 1000*reduction.Smallest("A") {
			p := &o.train.Reduction.Positions[0]
			_, high := o.train.span(p)
			o.Label = "Put in a belt, " + q.Ratio(p.Ratio)
			o.Detail = fmt.Sprintf("%s on the motor, %s on the spindle; then it tops out at %s",
				q.Show(driver/1000, q.Length, h.in.Units), q.Show(driven/1000, q.Length, h.in.Units), q.Show(math.Min(high, o.train.top), q.Speed, h.in.Units))
			h.belted = append(h.belted, o)
		}
	}
	return h.belted
}

// swapUnderLimit is the swap that keeps the machine's limit and does most jobs.
func (h *healer) swapUnderLimit() []option {
	if len(h.now.Reduction.Stages) == 0 {
		var best *option
		for i, o := range h.belts() {
			if best == nil || o.JobsDone > best.JobsDone {
				best = &h.belted[i]
			}
		}
		if best == nil {
			return nil
		}
		return []option{*best}
	}
	if !h.madeSwaps {
		h.madeSwaps, h.swaps = true, h.screenSwaps()
	}
	best := -1
	for i, s := range h.swaps {
		if best < 0 || s.done > h.swaps[best].done {
			best = i
		}
	}
	if best < 0 {
		return nil
	}
	changed := h.withSwap(h.swaps[best])
	o, ok := h.try(Remedy{Kind: "ratio", Reduction: &changed, Detail: h.swapText(h.swaps[best])})
	if !ok {
		return nil
	}
	o.Label = "Gear it to " + q.Ratio(o.train.Reduction.Positions[0].Ratio)
	return []option{o}
}

func swapBeats(a, b swap, job int) bool {
	if a.done != b.done {
		return a.done > b.done
	}
	if aDone, bDone := a.fares[job].outcome.done(), b.fares[job].outcome.done(); aDone != bDone {
		return aDone
	}
	return a.fares[job].margin > b.fares[job].margin
}

// screenSwaps works out every legal change of one wheel. Only the positions that use the wheel
// change, so how the jobs fare in the others is worked out once.
func (h *healer) screenSwaps() []swap {
	var out []swap
	for i, stage := range h.now.Reduction.Stages {
		if stage.Kind == reduction.Direct || stage.Kind == reduction.Worm {
			continue
		}
		sizes := reduction.PulleySizes
		if stage.Steps[0].Teeth {
			sizes = reduction.ToothCounts
		}
		for k, step := range stage.Steps {
			touched, rest := h.split(i, k)
			elsewhere := h.faresOver(rest)
			stages := append([]reduction.Stage(nil), h.now.Reduction.Stages...)
			for _, driven := range []bool{false, true} {
				for _, size := range sizes {
					driver, on, ok := h.legal(i, step, driven, size)
					if !ok || h.wouldOverspeed(touched, on/driver/(step.Driven/step.Driver)) {
						continue
					}
					stages[i] = stage.Resized(k, driver, on)
					s := swap{stage: i, step: k, driven: driven, size: size, fares: h.faresChanged(stages, touched, elsewhere)}
					s.done = countDone(s.fares)
					out = append(out, s)
				}
			}
		}
	}
	return out
}

// split parts the positions into those that use a stage's step and the others.
func (h *healer) split(stage, step int) (touched, rest []reduction.Position) {
	for _, p := range h.now.Reduction.Positions {
		if p.Steps[stage] == step {
			touched = append(touched, p)
		} else {
			rest = append(rest, p)
		}
	}
	return touched, rest
}

func (h *healer) faresOver(positions []reduction.Position) []fare {
	out := make([]fare, len(h.now.Machine.Jobs))
	for n := range h.now.Machine.Jobs {
		out[n] = h.now.best(&h.now.Machine.Jobs[n], positions)
	}
	return out
}

// wouldOverspeed reports whether positions with their ratios scaled would pass the machine's limit.
func (h *healer) wouldOverspeed(positions []reduction.Position, scale float64) bool {
	for n := range positions {
		if _, high := h.now.span(&positions[n]); high/scale > h.now.top*(1+speedTolerance) {
			return true
		}
	}
	return false
}

// faresChanged is how the jobs fare with the touched positions on changed stages.
func (h *healer) faresChanged(stages []reduction.Stage, touched []reduction.Position, elsewhere []fare) []fare {
	changed := make([]reduction.Position, len(touched))
	for n := range touched {
		changed[n] = reduction.At(stages, touched[n].Steps)
	}
	out := h.faresOver(changed)
	for n := range out {
		if out[n].outcome == cannotJudge || elsewhere[n].outcome != cannotJudge && better(elsewhere[n], out[n]) {
			out[n] = elsewhere[n]
		}
	}
	return out
}

// legal looks at one swap: the diameters with it made, and false when the belt would bend too tight
// or slip, the wheels touch, or nothing change.
func (h *healer) legal(i int, step reduction.Step, onDriven bool, size float64) (driver, driven float64, ok bool) {
	stage := h.now.Reduction.Stages[i]
	diameter := size / 1000
	if step.Teeth {
		diameter = stage.PitchDiameter(size)
	}
	driver, driven = step.Driver, step.Driven
	was := step.Driver
	if onDriven {
		driven, was = diameter, step.Driven
	} else {
		driver = diameter
	}
	small, large := math.Min(driver, driven), math.Max(driver, driven)
	if small < reduction.Smallest(stage.Section)*0.995 || math.Abs(diameter/was-1) < 0.005 {
		return 0, 0, false
	}
	if stage.Centre > 0 && !stage.Meshed() &&
		(stage.Centre <= (small+large)/2*1.02 || stage.Belted() && reduction.Wrap(small, large, stage.Centre) < leastWrap) {
		return 0, 0, false
	}
	return driver, driven, true
}

// withStages is the described reduction, its stages and steps free to be changed.
func (h *healer) withStages() reduction.Described {
	d := h.in.Plan.Reduction
	d.Stages = append([]reduction.DescribedStage(nil), d.Stages...)
	for i := range d.Stages {
		d.Stages[i].Steps = append([]reduction.DescribedStep(nil), d.Stages[i].Steps...)
	}
	return d
}

// asMeasured writes a pitch diameter (m) as the stage's diameters are typed, over the rim or not.
func (h *healer) asMeasured(stage int, size float64) q.Text {
	if h.in.Plan.Reduction.Stages[stage].Measured == "outside" {
		size += 2 * reduction.PitchOffset(h.now.Reduction.Stages[stage].Section)
	}
	return typedLength(size * 1000)
}

// withSwap is the described reduction with one wheel changed. A belt length no longer holds on
// the old centres, so the centre distance is kept and the belt left to be worked out.
func (h *healer) withSwap(s swap) reduction.Described {
	d := h.withStages()
	stage, resolved := &d.Stages[s.stage], h.now.Reduction.Stages[s.stage]
	text := q.Text(fmt.Sprintf("%g", s.size))
	if !resolved.Steps[s.step].Teeth {
		text = h.asMeasured(s.stage, s.size/1000)
	}
	if s.driven {
		stage.Steps[s.step].Driven = text
	} else {
		stage.Steps[s.step].Driver = text
	}
	if resolved.FromBelt {
		stage.Belt = ""
		stage.Centre = q.Text(fmt.Sprintf("%.0f mm", resolved.Centre*1000))
	}
	return d
}

func (h *healer) swapText(s swap) string {
	was := h.in.Plan.Reduction.Stages[s.stage].Steps[s.step]
	from := was.Driver
	if s.driven {
		from = was.Driven
	}
	if h.now.Reduction.Stages[s.stage].Steps[s.step].Teeth {
		return fmt.Sprintf("%g teeth in place of %s", s.size, from)
	}
	return fmt.Sprintf("a %s pulley in place of %s", q.Show(s.size/1000, q.Length, h.in.Units), from)
}
