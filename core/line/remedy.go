package line

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Remedy is a change that was tried: what it gives one job and the others. Whichever of the
// stations is set replaces the plan's when the person takes it.
type Remedy struct {
	Kind      string               `json:"kind" enum:"ratio,trim,limit,cooling,choke,motor"`
	Label     string               `json:"label" doc:"What to try, short enough for a link"`
	Detail    string               `json:"detail" doc:"What was changed and what else it does"`
	Margin    string               `json:"margin" doc:"The job's margin with it, such as ×1.08"`
	Does      bool                 `json:"does" doc:"The job is done with it"`
	Lifts     bool                 `json:"lifts" doc:"The job's margin is better than now"`
	JobsDone  int                  `json:"jobsDone"`
	Control   *control.Described   `json:"control,omitempty"`
	Motor     *motor.Described     `json:"motor,omitempty"`
	Reduction *reduction.Described `json:"reduction,omitempty"`
}

// pulleySizes are pitch diameters in millimetres, preferred numbers R20 between 40 and 500.
var pulleySizes = []float64{40, 45, 50, 56, 63, 71, 80, 90, 100, 112, 125, 140, 160, 180, 200, 224, 250, 280, 315, 355, 400, 450, 500}

// toothCounts are the wheels tried on chains, gears and toothed belts.
var toothCounts = []float64{10, 11, 12, 13, 14, 15, 16, 18, 20, 22, 24, 25, 28, 30, 32, 36, 40, 44, 48, 50, 56, 60, 64, 72, 80, 96, 100, 120}

// healer tries changes to a plan, each truly assessed.
type healer struct {
	in  Input
	now train
	// ratios are the single-wheel swaps, screened once for all jobs.
	ratios []swap
}

// swap is one wheel changed for another, with how every job fares.
type swap struct {
	stage, step int
	driven      bool
	size        float64 // mm, or teeth
	fares       []fare
	done        int
}

func newHealer(in Input, now train) *healer { return &healer{in: in, now: now} }

// remedies are the changes worth showing for a job: another ratio, another trim, another motor
// from the shelf, and whatever lifts the limit that binds.
func (h *healer) remedies(job int, fare fare) []Remedy {
	var out []Remedy
	take := func(r Remedy, ok bool) {
		if ok {
			out = append(out, r)
		}
	}
	take(h.ratio(job, fare))
	take(h.trim(job, fare))
	if fare.held.By == motor.CurrentLimit {
		take(h.limit(job, fare))
	}
	if fare.held.By == motor.FanSlowed {
		take(h.cooling(job, fare))
	}
	if h.now.control.Kind == control.PhaseAngle && !h.now.control.Choke && heatBinds(fare.held.By) {
		take(h.choke(job, fare))
	}
	take(h.motor(job, fare))
	return out
}

func heatBinds(b motor.Bound) bool { return b == motor.MotorHeat || b == motor.FanSlowed }

// tried assesses a changed plan and says how one job and all of them fare. It fails when the
// changed plan does not resolve or cannot run.
func (h *healer) tried(job int, was fare, change func(*Plan)) (train, fare, Remedy, bool) {
	in := h.in
	change(&in.Plan)
	s, err := resolve(in)
	if err != nil {
		return train{}, fare{}, Remedy{}, false
	}
	t := newTrain(s)
	if !t.runs {
		return train{}, fare{}, Remedy{}, false
	}
	fares := t.fares()
	now := fares[job]
	r := Remedy{Margin: marginText(now), Does: now.outcome.done(), JobsDone: countDone(fares)}
	r.Lifts = now.outcome.done() && !was.outcome.done() || now.margin > was.margin*1.01
	return t, now, r, true
}

func (t train) fares() []fare {
	out := make([]fare, len(t.machine.Jobs))
	for i, job := range t.machine.Jobs {
		out[i] = t.best(job, t.reduction.Positions)
	}
	return out
}

func countDone(fares []fare) int {
	n := 0
	for _, f := range fares {
		if f.outcome.done() {
			n++
		}
	}
	return n
}

// ratio finds the best swap of one wheel for another standard size: most jobs done first, then
// this job's margin.
func (h *healer) ratio(job int, was fare) (Remedy, bool) {
	if h.ratios == nil {
		h.ratios = h.swaps()
	}
	best := -1
	for i, s := range h.ratios {
		if best < 0 || h.swapBeats(s, h.ratios[best], job) {
			best = i
		}
	}
	if best < 0 {
		return Remedy{}, false
	}
	s := h.ratios[best]
	swapped := h.swapped(s)
	t, now, r, ok := h.tried(job, was, func(p *Plan) { p.Reduction = swapped })
	if !ok {
		return Remedy{}, false
	}
	position := t.reduction.Positions[now.position]
	r.Kind, r.Reduction = "ratio", &swapped
	r.Label = "Try " + ratioText(position.Ratio)
	_, high := t.span(position)
	r.Detail = fmt.Sprintf("%s; then it tops out at %s", h.swapText(s), q.Show(math.Min(high, t.top), q.Speed, h.in.Units))
	return r, true
}

func (h *healer) swapBeats(a, b swap, job int) bool {
	if a.done != b.done {
		return a.done > b.done
	}
	aDone, bDone := a.fares[job].outcome.done(), b.fares[job].outcome.done()
	if aDone != bDone {
		return aDone
	}
	return a.fares[job].margin > b.fares[job].margin
}

// swaps screens every legal change of one wheel.
func (h *healer) swaps() []swap {
	out := []swap{}
	for i, stage := range h.now.reduction.Stages {
		if stage.Kind == reduction.Direct {
			continue
		}
		for k, step := range stage.Steps {
			for _, driven := range []bool{false, true} {
				for _, size := range sizesFor(stage.Kind) {
					if s, ok := h.screen(i, k, step, driven, size); ok {
						out = append(out, s)
					}
				}
			}
		}
	}
	return out
}

func sizesFor(kind reduction.Kind) []float64 {
	if kind == reduction.VBelt || kind == reduction.PolyV {
		return pulleySizes
	}
	return toothCounts
}

// screen works out one swap on copies of the resolved positions, leaving out those that slip,
// bend too tight, touch, or overspeed the machine.
func (h *healer) screen(i, k int, step reduction.Step, driven bool, size float64) (swap, bool) {
	stage := h.now.reduction.Stages[i]
	changed := step
	diameter := size / 1000
	if step.Teeth {
		// Diameter goes with teeth at one pitch.
		diameter = size * h.toothPitch(i, k, step)
	}
	if driven {
		changed.Driven = diameter
	} else {
		changed.Driver = diameter
	}
	small, large := math.Min(changed.Driver, changed.Driven), math.Max(changed.Driver, changed.Driven)
	if small < reduction.Smallest(stage.Section)*0.995 || math.Abs(diameter/pick(step, driven)-1) < 0.005 {
		return swap{}, false
	}
	if stage.Centre > 0 && stage.Kind != reduction.Spur &&
		(stage.Centre <= (small+large)/2*1.02 || stage.Belted() && reduction.Wrap(small, large, stage.Centre) < leastWrap) {
		return swap{}, false
	}
	scale := changed.Driven / changed.Driver / (step.Driven / step.Driver)
	positions := make([]reduction.Position, len(h.now.reduction.Positions))
	copy(positions, h.now.reduction.Positions)
	for n := range positions {
		if positions[n].Steps[i] == k {
			positions[n].Ratio *= scale
		}
		if _, high := h.now.span(positions[n]); high > h.now.top*(1+speedTolerance) {
			return swap{}, false
		}
	}
	s := swap{stage: i, step: k, driven: driven, size: size, fares: make([]fare, len(h.now.machine.Jobs))}
	for n, job := range h.now.machine.Jobs {
		s.fares[n] = h.now.best(job, positions)
	}
	s.done = countDone(s.fares)
	return s, true
}

func pick(step reduction.Step, driven bool) float64 {
	if driven {
		return step.Driven
	}
	return step.Driver
}

// toothPitch is pitch diameter per tooth of a toothed pair, from what was typed.
func (h *healer) toothPitch(i, k int, step reduction.Step) float64 {
	return step.Driver / reduction.Teeth(h.in.Plan.Reduction.Stages[i].Steps[k].Driver)
}

// swapped is the described reduction with one wheel changed. A belt length no longer holds on
// the old centres, so the centre distance is kept and the belt left to be worked out.
func (h *healer) swapped(s swap) reduction.Described {
	d := h.in.Plan.Reduction
	d.Stages = append([]reduction.DescribedStage(nil), d.Stages...)
	stage := &d.Stages[s.stage]
	stage.Steps = append([]reduction.DescribedStep(nil), stage.Steps...)
	resolved := h.now.reduction.Stages[s.stage]
	text := q.Text(fmt.Sprintf("%g", s.size))
	if !resolved.Steps[s.step].Teeth {
		text += " mm"
		if stage.Measured == "outside" {
			text = q.Text(fmt.Sprintf("%g mm", s.size+2000*reduction.PitchOffset(resolved.Section)))
		}
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
	stage := h.now.reduction.Stages[s.stage]
	if stage.Steps[s.step].Teeth {
		return fmt.Sprintf("%g teeth in place of %s", s.size, from)
	}
	return fmt.Sprintf("a %s pulley in place of %s", q.Show(s.size/1000, q.Length, h.in.Units), from)
}

// trim tries other top speeds: trims of the plate for a DC drive, top hertz for an inverter.
func (h *healer) trim(job int, was fare) (Remedy, bool) {
	c := h.now.control
	var found Remedy
	var foundFare fare
	ok := false
	try := func(label, detail string, changed control.Described) {
		t, now, r, runs := h.tried(job, was, func(p *Plan) { p.Control = changed })
		if !runs || t.overspeeds() {
			return
		}
		if !ok || trimBeats(r, now, found, foundFare) {
			r.Kind, r.Label, r.Detail, r.Control = "trim", label, detail, &changed
			found, foundFare, ok = r, now, true
		}
	}
	switch {
	case c.DCDrive():
		for _, percent := range []float64{65, 80, 100} {
			if math.Abs(percent/100-c.TopTrim) < 0.005 {
				continue
			}
			changed := h.in.Plan.Control
			changed.TopTrim = q.Text(fmt.Sprintf("%g %%", percent))
			try(fmt.Sprintf("Trim to %g %%", percent), "of plate speed; torque stays, top speed moves", changed)
		}
	case c.Kind == control.Inverter:
		for _, hertz := range []float64{40, 50, 60, 75, 87, 100} {
			if math.Abs(hertz-h.now.feed.TopHertz) < 0.5 || hertz < 0.6*h.now.motor.Hertz.Value {
				continue
			}
			changed := h.in.Plan.Control
			changed.TopHertz = q.Text(fmt.Sprintf("%g Hz", hertz))
			try(fmt.Sprintf("Top hertz %g", hertz), "in place of "+q.Show(h.now.feed.TopHertz, q.Frequency, h.in.Units)+"; above base hertz torque falls off", changed)
		}
	}
	return found, ok
}

// trimBeats prefers the job done, then more jobs done, then its margin.
func trimBeats(r Remedy, now fare, best Remedy, bestFare fare) bool {
	switch {
	case r.Does != best.Does:
		return r.Does
	case r.JobsDone != best.JobsDone:
		return r.JobsDone > best.JobsDone
	}
	return now.margin > bestFare.margin
}

// overspeeds reports whether the plan can pass the machine's limit or what the rotor bears.
func (t train) overspeeds() bool {
	for _, p := range t.reduction.Positions {
		if _, high := t.span(p); high > t.top*(1+speedTolerance) {
			return true
		}
	}
	_, high := t.model.Span()
	return t.motor.Kind != motor.PermanentMagnetDC && high > rotorAllowance(t.motor)*t.motor.Speed.Value*1.005
}

func (h *healer) limit(job int, was fare) (Remedy, bool) {
	amps := math.Min(1.5*h.now.motor.Amps.Value, h.now.feed.PeakAmps)
	if amps <= h.now.feed.LimitAmps {
		return Remedy{}, false
	}
	changed := h.in.Plan.Control
	changed.LimitAmps = q.Text(fmt.Sprintf("%.3g A", amps))
	_, _, r, ok := h.tried(job, was, func(p *Plan) { p.Control = changed })
	r.Kind, r.Control = "limit", &changed
	r.Label, r.Detail = "Current limit to "+string(changed.LimitAmps), "1.5 × plate amps, as far as the drive allows"
	return r, ok
}

func (h *healer) cooling(job int, was fare) (Remedy, bool) {
	changed := h.in.Plan.Motor
	changed.Plate.Cooling = "blown"
	_, _, r, ok := h.tried(job, was, func(p *Plan) { p.Motor = changed })
	r.Kind, r.Motor = "cooling", &changed
	r.Label, r.Detail = "Fit a fan with its own supply", "the motor then keeps its rated torque down to a crawl"
	return r, ok
}

func (h *healer) choke(job int, was fare) (Remedy, bool) {
	changed := h.in.Plan.Control
	changed.Choke = true
	_, _, r, ok := h.tried(job, was, func(p *Plan) { p.Control = changed })
	r.Kind, r.Control = "choke", &changed
	r.Label, r.Detail = "Add a choke", "in the armature lead; smoother current heats the motor less"
	return r, ok
}

// motor tries every motor on the shelf that this control suits, on the same pulleys, with the
// current limit set for it.
func (h *healer) motor(job int, was fare) (Remedy, bool) {
	var found Remedy
	var foundFare fare
	ok := false
	for i := range h.in.Shelf {
		candidate := h.in.Shelf[i].Motor
		if candidate == h.in.Plan.Motor {
			continue
		}
		changed := h.in.Plan.Control
		amps := motor.Resolve(candidate, q.NewReader("motor")).Amps.Value
		if changed.LimitAmps != "" && amps > 0 {
			changed.LimitAmps = q.Text(fmt.Sprintf("%.3g A", 1.5*amps))
		}
		t, now, r, runs := h.tried(job, was, func(p *Plan) { p.Motor, p.Control = candidate, changed })
		if !runs || t.overspeeds() {
			continue
		}
		if !ok || trimBeats(r, now, found, foundFare) {
			r.Kind, r.Label, r.Motor, r.Control = "motor", "Use "+candidate.Name, &candidate, &changed
			r.Detail = "from the shelf, on the same pulleys" + driveNote(t)
			found, foundFare, ok = r, now, true
		}
	}
	return found, ok
}

func driveNote(t train) string {
	if t.control.Amps > 0 && t.control.Amps < t.motor.Amps.Value {
		return fmt.Sprintf("; it would like a %s drive", q.Show(t.motor.Amps.Value, q.Current, q.Metric))
	}
	return ""
}

// rotorAllowance is how far past plate speed an induction rotor may be spun [common practice].
func rotorAllowance(m motor.Resolved) float64 {
	if m.Induction.Poles.Value == 2 {
		return 1.5
	}
	return 2
}

// ratioText writes a ratio as "7.29 : 1", or "1 : 1.5" when it gears up.
func ratioText(ratio float64) string {
	if ratio < 1 {
		return "1 : " + q.Figures(1/ratio, 3)
	}
	return q.Figures(ratio, 3) + " : 1"
}

// marginText writes how a job fares in a few characters.
func marginText(f fare) string {
	switch f.outcome {
	case cannotJudge:
		return "not known"
	case tooSlow:
		return "not fast enough"
	case tooFast:
		return "not slow enough"
	}
	return "×" + q.Figures(f.margin, 3)
}
