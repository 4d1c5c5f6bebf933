package remedy

import (
	"fmt"
	"math"
	"slices"

	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// wheelChange is one wheel changed for another, with how every job comes out.
type wheelChange struct {
	stage, step int
	driven      bool
	size        float64 // mm, or teeth
	jobs        []screened
	done        int
}

// screened is what a job's result is ranked by.
type screened struct {
	done   bool
	margin float64
}

// ratio is the best change of one wheel for another standard size: most jobs done first, then
// this one, then its margin.
func (h *Finder) ratio(job int) []attempt {
	if len(h.now.Reduction.Stages) == 0 {
		return h.belts()
	}
	h.makeChanges()
	best := -1
	for i := range h.wheelChanges {
		if best < 0 || changeBeats(&h.wheelChanges[i], &h.wheelChanges[best], job) {
			best = i
		}
	}
	if best < 0 {
		return nil
	}
	tried := h.tryChange(best)
	if tried == nil {
		return nil
	}
	o := *tried
	p := &o.positions[o.results[job].Position]
	o.Label = "Try " + q.Ratio(p.Ratio)
	o.Detail = fmt.Sprintf("%s; then it tops out at %s", h.changeText(&h.wheelChanges[best]),
		q.Show(h.topsOut(&o, p), q.Speed, h.in.Units))
	return []attempt{o}
}

// makeChanges screens the changes once.
func (h *Finder) makeChanges() {
	if !h.madeChanges {
		h.madeChanges, h.wheelChanges = true, h.screenChanges()
	}
}

// tryChange truly works a change out, once; nil where it does not work out.
func (h *Finder) tryChange(i int) *attempt {
	tried, known := h.triedChanges[i]
	if !known {
		changed := h.withChange(&h.wheelChanges[i])
		if o, ok := h.try(Remedy{Kind: "ratio", Reduction: &changed}); ok {
			tried = &o
		}
		h.triedChanges[i] = tried
	}
	return tried
}

// belts are what one V belt would do where motor and spindle are coupled straight: the smallest
// pulley its section bends round on the motor, every standard size on the spindle.
func (h *Finder) belts() []attempt {
	if h.madeChanges {
		return h.belted
	}
	h.madeChanges = true
	const driver = 80.0
	for _, driven := range reduction.PulleySizes {
		if driven == driver {
			continue
		}
		r := reduction.Described{Stages: []reduction.DescribedStage{{
			Kind: reduction.VBelt, Section: "A", Steps: []reduction.DescribedStep{{Driver: q.Written(driver, "mm"),
				Driven: q.Written(driven,
					"mm")}},
		}}}
		if o, ok := h.try(Remedy{Kind: "ratio", Reduction: &r}); ok && driven >= 1000*reduction.Smallest("A") {
			p := &o.positions[0]
			o.Label = "Put in a belt, " + q.Ratio(p.Ratio)
			o.Detail = fmt.Sprintf("%s on the motor, %s on the spindle; then it tops out at %s",
				q.Show(driver/1000, q.Length, h.in.Units), q.Show(driven/1000, q.Length, h.in.Units),
				q.Show(h.topsOut(&o, p), q.Speed, h.in.Units))
			h.belted = append(h.belted, o)
		}
	}
	return h.belted
}

// changeUnderLimit is the change of a wheel that keeps the machine's limit and does most jobs.
func (h *Finder) changeUnderLimit() []attempt {
	if len(h.now.Reduction.Stages) == 0 {
		var best *attempt
		for i, o := range h.belts() {
			if best == nil || o.JobsDone > best.JobsDone {
				best = &h.belted[i]
			}
		}
		if best == nil {
			return nil
		}
		return []attempt{*best}
	}
	h.makeChanges()
	best := -1
	for i := range h.wheelChanges {
		if best < 0 || h.wheelChanges[i].done > h.wheelChanges[best].done {
			best = i
		}
	}
	if best < 0 {
		return nil
	}
	tried := h.tryChange(best)
	if tried == nil {
		return nil
	}
	o := *tried
	o.Label, o.Detail = "Gear it to "+q.Ratio(o.positions[0].Ratio), h.changeText(&h.wheelChanges[best])
	return []attempt{o}
}

func changeBeats(a, b *wheelChange, job int) bool {
	switch x, y := a.jobs[job], b.jobs[job]; {
	case a.done != b.done:
		return a.done > b.done
	case x.done != y.done:
		return x.done
	default:
		return x.margin > y.margin
	}
}

// screenChanges works out every legal change of one wheel. Only the positions that use the wheel
// change, so how the jobs come out in the others is worked out once.
func (h *Finder) screenChanges() []wheelChange {
	var out []wheelChange
	stages := slices.Clone(h.now.Reduction.Stages)
	asItIs := h.inEachPosition()
	for i := range h.now.Reduction.Stages {
		stage := &h.now.Reduction.Stages[i]
		if stage.Kind == reduction.Direct || stage.Kind == reduction.Worm {
			continue
		}
		room := roomOf(stage)
		sizes := reduction.PulleySizes
		if stage.Steps[0].Teeth {
			sizes = reduction.ToothCounts
		}
		stages[i].Steps = slices.Clone(stage.Steps)
		for k, step := range stage.Steps {
			touched := h.using(i, k)
			elsewhere := h.bestWithout(i, k, asItIs)
			changed := make([]reduction.Position, len(touched))
			for _, driven := range []bool{false, true} {
				for _, size := range sizes {
					driver, on, ok := room.legal(step, driven, size)
					if !ok || h.wouldOverspeed(touched, on/driver/(step.Driven/step.Driver)) {
						continue
					}
					stages[i].Steps[k] = stage.Resize(step, driver, on)
					for n := range touched {
						changed[n].Set(stages, touched[n].Steps)
					}
					h.now.Look(changed)
					c := wheelChange{stage: i, step: k, driven: driven, size: size}
					c.screen(h.now, changed, elsewhere)
					out = append(out, c)
				}
			}
			stages[i].Steps[k] = step
		}
	}
	return out
}

// screen is how the jobs come out in the changed positions, or elsewhere where that is better.
func (c *wheelChange) screen(now *line.Model, changed []reduction.Position, elsewhere []line.Result) {
	c.jobs = make([]screened, len(now.Machine.Jobs))
	for n := range c.jobs {
		r := now.BestBeside(elsewhere[n], &now.Machine.Jobs[n], changed)
		c.jobs[n] = screened{done: r.Outcome.Done(), margin: r.Margin}
		if r.Outcome.Done() {
			c.done++
		}
	}
}

// using are the positions that use a stage's step.
func (h *Finder) using(stage, step int) []reduction.Position {
	var out []reduction.Position
	for i := range h.now.Reduction.Positions {
		if p := &h.now.Reduction.Positions[i]; p.Steps[stage] == step {
			out = append(out, *p)
		}
	}
	return out
}

// inEachPosition is how the jobs come out in each position as it is.
func (h *Finder) inEachPosition() [][]line.Result {
	out := make([][]line.Result, len(h.now.Reduction.Positions))
	for i := range out {
		out[i] = make([]line.Result, len(h.now.Machine.Jobs))
		for n := range out[i] {
			out[i][n] = h.now.Best(&h.now.Machine.Jobs[n], h.now.Reduction.Positions[i:i+1])
		}
	}
	return out
}

// bestWithout is how each job comes out best in the positions that leave a stage's step alone.
func (h *Finder) bestWithout(stage, step int, each [][]line.Result) []line.Result {
	out := make([]line.Result, len(h.now.Machine.Jobs))
	for n := range out {
		out[n].Outcome = line.CannotTell
		for i := range each {
			if h.now.Reduction.Positions[i].Steps[stage] != step &&
				(out[n].Outcome == line.CannotTell || line.Better(&each[i][n], &out[n])) {
				out[n] = each[i][n]
			}
		}
	}
	return out
}

// wouldOverspeed reports whether positions with their ratios scaled would pass the machine's limit.
func (h *Finder) wouldOverspeed(positions []reduction.Position, scale float64) bool {
	for n := range positions {
		if _, high := h.now.Span(&positions[n]); high/scale > h.now.TopSpeed*(1+line.SpeedTolerance) {
			return true
		}
	}
	return false
}

// room is what a stage leaves its wheels: the smallest there may be, and whether they must wrap a belt or keep
// clear of each other.
type room struct {
	stage       *reduction.Stage
	least       float64 // m
	clear, wrap bool
}

func roomOf(stage *reduction.Stage) room {
	clear := stage.Centre > 0 && !stage.Meshed()
	return room{stage: stage, least: reduction.Smallest(stage.Section) * 0.995, clear: clear,
		wrap: clear && stage.Belted()}
}

// legal looks at one change: the diameters with it made, and false when the belt would bend too tight
// or slip, the wheels touch, or nothing change.
func (r *room) legal(step reduction.Step, onDriven bool, size float64) (driver, driven float64, ok bool) {
	diameter := size / 1000
	if step.Teeth {
		diameter = r.stage.PitchDiameter(size)
	}
	driver, driven = step.Driver, step.Driven
	was := step.Driver
	if onDriven {
		driven, was = diameter, step.Driven
	} else {
		driver = diameter
	}
	small, large := math.Min(driver, driven), math.Max(driver, driven)
	if small < r.least || math.Abs(diameter/was-1) < 0.005 {
		return 0, 0, false
	}
	if r.clear && r.stage.Centre <= (small+large)/2*1.02 ||
		r.wrap && !reduction.WrapsEnough(small, large, r.stage.Centre) {
		return 0, 0, false
	}
	return driver, driven, true
}

// withStages is the described reduction, its stages and steps free to be changed.
func (h *Finder) withStages() reduction.Described {
	d := h.in.Plan.Reduction
	d.Stages = append([]reduction.DescribedStage(nil), d.Stages...)
	for i := range d.Stages {
		d.Stages[i].Steps = append([]reduction.DescribedStep(nil), d.Stages[i].Steps...)
	}
	return d
}

// asMeasured writes a pitch diameter (m) as the stage's diameters are typed, over the rim or not.
func (h *Finder) asMeasured(stage int, size float64) q.Text {
	if h.in.Plan.Reduction.Stages[stage].Measured == "outside" {
		size += 2 * reduction.PitchOffset(h.now.Reduction.Stages[stage].Section)
	}
	return q.WrittenLength(size * 1000)
}

// withChange is the described reduction with one wheel changed. A belt length no longer holds on
// the old centres, so the centre distance is kept and the belt left to be worked out.
func (h *Finder) withChange(s *wheelChange) reduction.Described {
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

func (h *Finder) changeText(s *wheelChange) string {
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
