package remedy

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
)

// wheelChange is one wheel changed for another.
type wheelChange struct {
	stage, step int
	driven      bool
	size        float64 // mm, or teeth
}

// screened is a change with what it is ranked by for one job: most jobs done first, then this one, then its margin.
type screened struct {
	change   wheelChange
	jobsDone int
	done     bool
	margin   float64
}

func (a *screened) beats(b *screened) bool {
	switch {
	case a.jobsDone != b.jobsDone:
		return a.jobsDone > b.jobsDone
	case a.done != b.done:
		return a.done
	default:
		return a.margin > b.margin
	}
}

// bestChanges are the best of all legal changes of one wheel. All of them do as many jobs.
type bestChanges struct {
	any   bool        // there is a legal change
	most  wheelChange // the first of those that do most jobs
	forOf []screened  // the best for each job
}

// ratio is the best change of one wheel for another standard size.
func (h *Finder) ratio(job int) []attempt {
	if h.straight() {
		return h.belts()
	}
	h.makeChanges()
	if !h.changes.any {
		return nil
	}
	best := h.changes.forOf[job].change
	tried := h.tryChange(best)
	if tried == nil {
		return nil
	}
	o := *tried
	p := &o.positions[o.results[job].Position]
	o.Label = "Try " + q.Ratio(p.Ratio)
	o.Detail = fmt.Sprintf("%s; then it tops out at %s", h.changeText(best),
		q.Show(h.topsOut(&o, p), q.Speed, h.in.Units))
	return []attempt{o}
}

// makeChanges screens the changes once.
func (h *Finder) makeChanges() {
	if !h.madeChanges {
		h.madeChanges, h.changes = true, h.screenChanges()
	}
}

// tryChange truly works a change out, once; nil where it does not work out.
func (h *Finder) tryChange(c wheelChange) *attempt {
	tried, known := h.triedChanges[c]
	if !known {
		changed := h.withChange(c)
		if o, ok := h.try(Remedy{Kind: "ratio", Reduction: &changed}); ok {
			tried = &o
		}
		h.triedChanges[c] = tried
	}
	return tried
}

// straight reports whether nothing is between motor and spindle, or nobody said what is.
func (h *Finder) straight() bool {
	for _, s := range h.now.Reduction.Stages {
		if s.Kind != reduction.Direct {
			return false
		}
	}
	return true
}

// usualCentre is how far apart two pulleys are usually set, mm: the larger one's diameter and the smaller's together
// leave a belt enough to hold on to [common practice].
func usualCentre(driver, driven float64) float64 { return math.Ceil((driver+driven)/10)*10 + 20 }

// belts are what one V belt would do where motor and spindle are coupled straight: the smallest
// pulley its section bends round on the motor, every standard size on the spindle.
func (h *Finder) belts() []attempt {
	if h.madeChanges {
		return h.belted
	}
	h.madeChanges = true
	sizes := reduction.PulleySizes(h.in.Units)
	driver := sizes[slices.IndexFunc(sizes, func(mm float64) bool { return mm >= 1000*reduction.Smallest("A") })]
	if reduction.BeltSpeed(driver/1000, h.now.Powered.Top()) > reduction.FastBelt {
		return nil // no pulley is small enough for a motor so fast
	}
	for _, driven := range sizes {
		if driven == driver {
			continue
		}
		r := reduction.Described{Stages: []reduction.DescribedStage{{
			Kind: reduction.VBelt, Section: "A", Steps: []reduction.DescribedStep{{
				Driver: q.WrittenLength(driver, h.in.Units), Driven: q.WrittenLength(driven, h.in.Units)}},
			Centre: q.WrittenLength(usualCentre(driver, driven), h.in.Units),
		}}}
		if o, ok := h.try(Remedy{Kind: "ratio", Reduction: &r}); ok && driven >= 1000*reduction.Smallest("A") {
			p := &o.positions[0]
			o.Label = "Put in a belt, " + q.Ratio(p.Ratio)
			o.Detail = fmt.Sprintf("%s on the motor, %s on the spindle, %s between them, behind a guard; then it tops "+
				"out at %s", q.Show(driver/1000, q.Length, h.in.Units), q.Show(driven/1000, q.Length, h.in.Units),
				q.Show(usualCentre(driver, driven)/1000, q.Length, h.in.Units),
				q.Show(h.topsOut(&o, p), q.Speed, h.in.Units))
			h.belted = append(h.belted, o)
		}
	}
	return h.belted
}

// changeUnderLimit is the change of a wheel that keeps the machine's limit and does most jobs.
func (h *Finder) changeUnderLimit() []attempt {
	if h.straight() {
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
	if !h.changes.any {
		return nil
	}
	tried := h.tryChange(h.changes.most)
	if tried == nil {
		return nil
	}
	o := *tried
	o.Label, o.Detail = "Gear it to "+q.Ratio(o.positions[0].Ratio), h.changeText(h.changes.most)
	return []attempt{o}
}

// screenChanges works out every legal change of one wheel and keeps the best. Only the positions that use the wheel
// change, so how the jobs come out in the others is worked out once.
func (h *Finder) screenChanges() bestChanges {
	best := bestChanges{forOf: make([]screened, len(h.now.Machine.Jobs))}
	comesOut := make([]screened, len(h.now.Machine.Jobs))
	stages := slices.Clone(h.now.Reduction.Stages)
	asItIs := h.inEachPosition()
	for i := range h.now.Reduction.Stages {
		stage := &h.now.Reduction.Stages[i]
		if stage.Kind.Bare() || stage.Kind == reduction.Worm {
			continue
		}
		room := roomOf(stage, h.now.FastestDriver(i))
		sizes := reduction.PulleySizes(h.in.Units)
		if stage.Steps[0].Teeth {
			sizes = reduction.ToothCounts
		}
		stages[i].Steps = slices.Clone(stage.Steps)
		for k, step := range stage.Steps {
			touched := h.using(i, k)
			elsewhere := h.bestWithout(i, k, asItIs)
			order := hardestFirst(elsewhere)
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
					if jobsDone, ok := h.screen(changed, elsewhere, order, comesOut, best.jobsDone()); ok {
						best.take(wheelChange{stage: i, step: k, driven: driven, size: size}, jobsDone, comesOut)
					}
				}
			}
			stages[i].Steps[k] = step
		}
	}
	return best
}

// screen sets how the jobs come out in changed positions, or elsewhere where that is better, and how many are done.
// It looks at them in an order and gives up, with false, as soon as they are seen to be fewer than least.
func (h *Finder) screen(changed []reduction.Position, elsewhere []line.Result, order []int, out []screened,
	least int,
) (int, bool) {
	done := 0
	for looked, n := range order {
		r := h.now.BestBeside(&elsewhere[n], &h.now.Machine.Jobs[n], changed)
		out[n].done, out[n].margin = r.Outcome.Done(), r.Margin
		if out[n].done {
			done++
		}
		if left := len(order) - 1 - looked; done+left < least {
			return 0, false
		}
	}
	return done, true
}

// hardestFirst is the order of jobs in which it is soonest seen that a change does too few of them.
func hardestFirst(elsewhere []line.Result) []int {
	order := make([]int, len(elsewhere))
	for n := range order {
		order[n] = n
	}
	slices.SortStableFunc(order, func(a, b int) int {
		if x, y := elsewhere[a].Outcome.Done(), elsewhere[b].Outcome.Done(); x != y {
			if y {
				return -1
			}
			return 1
		}
		return cmp.Compare(elsewhere[a].Margin, elsewhere[b].Margin)
	})
	return order
}

// jobsDone is how many jobs the best so far do.
func (b *bestChanges) jobsDone() int {
	if !b.any || len(b.forOf) == 0 {
		return 0
	}
	return b.forOf[0].jobsDone
}

// take keeps a change for the jobs it is the best for.
func (b *bestChanges) take(c wheelChange, jobsDone int, comesOut []screened) {
	if !b.any || jobsDone > b.jobsDone() {
		b.most = c
	}
	for n := range b.forOf {
		one := &comesOut[n]
		one.change, one.jobsDone = c, jobsDone
		if !b.any || one.beats(&b.forOf[n]) {
			b.forOf[n] = *one
		}
	}
	b.any = true
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
		if h.now.Top(&positions[n])/scale > h.now.TopSpeed*(1+line.SpeedTolerance) {
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
	fastest     float64 // of its driving shaft, rad/s
}

func roomOf(stage *reduction.Stage, fastest float64) room {
	clear := stage.Centre > 0 && !stage.Meshed()
	return room{stage: stage, least: reduction.Smallest(stage.Section) * 0.995, clear: clear,
		wrap: clear && stage.Belted(), fastest: fastest}
}

// legal looks at one change: the diameters with it made, and false when the belt would bend too tight, slip or run
// faster than is good for it, the wheels touch, one is larger than there is room for, or nothing changes. A search
// keeps
// to the same.
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
	small, large := min(driver, driven), max(driver, driven)
	if small < r.least || math.Abs(diameter/was-1) < 0.005 || diameter > max(reduction.UsualLargest, was) {
		return 0, 0, false
	}
	if fast := reduction.BeltSpeed(driver, r.fastest); fast > reduction.FastBelt && driver > step.Driver {
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
		size += 2 * reduction.PitchOffset(h.now.Reduction.Stages[stage].Section, h.in.Units == q.Inch)
	}
	return q.WrittenLength(size*1000, h.in.Units)
}

// withChange is the described reduction with one wheel changed. A belt length no longer holds on
// the old centres, so the centre distance is kept and the belt left to be worked out.
func (h *Finder) withChange(s wheelChange) reduction.Described {
	d := h.withStages()
	d.Speeds = reduction.MeasuredSpeeds{} // read with the wheel that comes off
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

func (h *Finder) changeText(s wheelChange) string {
	was := h.in.Plan.Reduction.Stages[s.stage].Steps[s.step]
	from := was.Driver
	if s.driven {
		from = was.Driven
	}
	if h.now.Reduction.Stages[s.stage].Steps[s.step].Teeth {
		return fmt.Sprintf("%g teeth in place of %s", s.size, from)
	}
	return fmt.Sprintf("%s pulley in place of %s", words.A(q.Show(s.size/1000, q.Length, h.in.Units)), from)
}
