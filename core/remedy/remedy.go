// Package remedy tries changes to a plan and says what each gives: another ratio, trim, limit or motor for a
// job that falls short, and what mends a finding that is unsafe in itself.
package remedy

import (
	"math"
	"strings"

	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// Remedy is a change that was tried: what it gives one job and the others. Whichever of the
// stations is set replaces the plan's when the person takes it.
type Remedy struct {
	Kind      string               `json:"kind" enum:"split,ratio,belt,trim,limit,cooling,choke,motor"`
	Label     string               `json:"label" doc:"What to try, short enough for a link"`
	Detail    string               `json:"detail" doc:"What was changed and what else it does"`
	Margin    string               `json:"margin" doc:"The job's margin with it, such as ×1.08"`
	Does      bool                 `json:"does" doc:"The job is done with it"`
	Lifts     bool                 `json:"lifts" doc:"The job's margin is better than now"`
	JobsDone  int                  `json:"jobsDone"`
	Control   *control.Described   `json:"control,omitempty"`
	Motor     *motor.Described     `json:"motor,omitempty"`
	Reduction *reduction.Described `json:"reduction,omitempty"`
	Jobs      []work.Job           `json:"jobs,omitempty" doc:"The machine's jobs with this one made into several"`

	resolved *motor.Resolved // the motor, where it was resolved already
}

// Finder tries changes to a plan. Each is tried once, whichever job asks for it.
type Finder struct {
	in      plan.Input
	now     *line.Model
	results []line.Result // as the plan stands

	model line.Model // scratch: the model of the change being tried

	trims, motors, limited, cooled, choked attempts
	belted                                 []attempt // one belt put in where there was none

	changes      bestChanges // of one wheel
	triedChanges map[wheelChange]*attempt
	madeChanges  bool

	ShelfTried bool // the shelf's parts were tried

	newStop NewStop
}

// NewStop reports whether a changed plan has a stop that the plan as it stands has not.
type NewStop func(m *line.Model, results []line.Result) bool

// NewFinder tries changes to a plan whose model and results are known.
func NewFinder(in plan.Input, now *line.Model, results []line.Result, newStop NewStop) *Finder {
	return &Finder{in: in, now: now, results: results, newStop: newStop, triedChanges: map[wheelChange]*attempt{}}
}

// mostHarmful is how many changes of a sort that make something worse are passed over before the next is not looked
// for.
const mostHarmful = 6

// tried names what was tried, by a remedy's kind.
var tried = map[string]string{"ratio": "another ratio", "belt": "a stronger belt", "trim": "another top speed",
	"limit": "a higher current limit", "cooling": "a fan of its own", "choke": "a choke", "motor": "the shelf's motors"}

// ForJob are the changes that help a job: another ratio, another trim, another motor from the shelf, and whatever
// lifts the limit that binds. What was tried and is no help is only named.
func (h *Finder) ForJob(job int) (helps []Remedy, noHelp []string) {
	by := h.results[job].Available.By
	out := []Remedy{}
	add := func(options []attempt) {
		best := bestFor(job, options)
		for range mostHarmful {
			if best == nil || !h.harms(best) {
				break
			}
			best = bestFor(job, options)
		}
		if best == nil || h.harms(best) {
			return
		}
		if r := h.remedy(job, *best); r.Does || r.Lifts {
			out = append(out, r)
		} else {
			noHelp = append(noHelp, tried[r.Kind])
		}
	}
	if !h.results[job].Outcome.Reached() {
		for _, o := range h.splitJob(job) {
			out = append(out, o.splitRemedy(job, len(o.results)-len(h.results)+1))
		}
	}
	add(h.ratio(job))
	add(h.stronger(job))
	add(h.once(&h.trims, h.trimRemedies))
	if by == motor.CurrentLimit {
		add(h.once(&h.limited, h.limitRemedies))
	}
	if by == motor.FanSlowed {
		add(h.once(&h.cooled, h.coolingRemedies))
	}
	if by == motor.MotorHeat || by == motor.FanSlowed {
		add(h.once(&h.choked, h.chokeRemedies))
	}
	add(h.once(&h.motors, h.motorRemedies))
	return out, noHelp
}

// stronger is the belt or chain that holds a job made to carry what it wants.
func (h *Finder) stronger(job int) []attempt {
	f := h.results[job]
	if f.Margin <= 0 || !f.Outcome.Reached() {
		return nil
	}
	changed := h.in.Plan.Reduction
	stages, label, detail, ok := h.now.Reduction.Stronger(changed.Stages, reduction.WeakLink(f.Available.By),
		h.now.Machine.Jobs[job].Margin/f.Margin)
	if !ok {
		return nil
	}
	changed.Stages = stages
	o, ok := h.try(Remedy{Kind: "belt", Label: label, Detail: detail, Reduction: &changed})
	// Where another stage's belt is as weak, one alone is no help.
	if !ok || o.results[job].Margin < 1.01*f.Margin {
		return nil
	}
	return []attempt{o}
}

// remedy says what an option gives a job.
func (h *Finder) remedy(job int, o attempt) Remedy {
	was, now := h.results[job], o.results[job]
	r := o.Remedy
	r.Margin, r.Does = now.MarginText(), now.Outcome.Done()
	r.Lifts = r.Does && !was.Outcome.Done() || line.Lessens(&now, &was)
	return r
}

// ForFindings are the changes to offer for what is unsafe in itself: a spindle that can pass its limit,
// a motor with nothing to hold its current.
func (h *Finder) ForFindings(findings []finding.Finding) map[finding.ID][]Remedy {
	out := map[finding.ID][]Remedy{}
	for _, f := range findings {
		var options []attempt
		switch f.Fix.Sort {
		case finding.TopSpeed:
			options = append(h.trimUnderLimit(), h.changeUnderLimit()...)
		case finding.RotorSpeed:
			options = h.slowerRotor()
		case finding.CurrentLimit:
			options = h.limitFor()
		case finding.ConeToFit:
			options = h.turnedCone(f.Fix.Stage)
		}
		for i := range options {
			if !h.harms(&options[i]) {
				out[f.ID] = append(out[f.ID], options[i].Remedy)
			}
		}
	}
	return out
}

// turnedCone turns the driven steps of a cone to the diameters at which the first step's belt fits
// them all.
func (h *Finder) turnedCone(i int) []attempt {
	stage := h.now.Reduction.Stages[i]
	length := stage.Steps[0].Length
	changed := h.withStages()
	var turned []string
	for k := 1; k < len(stage.Steps); k++ {
		size, ok := reduction.DrivenFor(stage.Steps[k].Driver, stage.Centre, length)
		if !ok {
			return nil
		}
		text := h.asMeasured(i, size)
		changed.Stages[i].Steps[k].Driven = text
		turned = append(turned, string(text))
	}
	r := Remedy{Kind: "ratio", Label: "Turn the driven steps to fit one belt", Detail: "step 2 on: " +
		strings.Join(turned, ", "),
		Reduction: &changed}
	o, ok := h.try(r)
	if !ok {
		return nil
	}
	return []attempt{o}
}

// usualLimit is where the plan's current limit is usually set, A.
func (h *Finder) usualLimit() float64 {
	return min(line.UsualLimit(&h.now.Stations), h.now.Feed.PeakAmps)
}

// limitFor sets the current limit the motor and drive ask for.
func (h *Finder) limitFor() []attempt {
	c := h.in.Plan.Control
	c.LimitAmps = q.Written(h.usualLimit(), "A")
	o, ok := h.try(Remedy{Kind: "limit", Label: "Set the limit to " + string(c.LimitAmps),
		Detail:  "1.5 × plate amps, within the drive's own",
		Control: &c})
	if !ok {
		return nil
	}
	return []attempt{o}
}

// slowerRotor lowers the top hertz to what the rotor was built for. Slip stays, so hertz in
// proportion lands just under.
func (h *Finder) slowerRotor() []attempt {
	high := h.now.Powered.RotorTop()
	allowed := line.RotorAllowance(h.now.Motor) * h.now.Motor.Speed.Value
	c := h.in.Plan.Control
	c.TopHertz = q.Written(math.Floor(h.now.Feed.TopHertz*allowed/high), "Hz")
	o, ok := h.try(Remedy{Kind: "trim", Label: "Top at " + string(c.TopHertz),
		Detail:  "keeps the rotor within what it was built for",
		Control: &c})
	if !ok {
		return nil
	}
	return []attempt{o}
}

// trimUnderLimit lowers the top speed by the control until the machine's limit is kept.
func (h *Finder) trimUnderLimit() []attempt {
	fastest := 0.0
	for i := range h.now.Reduction.Positions {
		fastest = max(fastest, h.now.Top(&h.now.Reduction.Positions[i]))
	}
	c, share := h.in.Plan.Control, h.now.TopSpeed/fastest
	r := Remedy{Kind: "trim", Detail: "keeps the spindle under its limit in every position", Control: &c}
	switch {
	case h.now.Control.DCDrive():
		trim, _ := h.now.TrimUnderLimit()
		c.TopTrim = q.Written(100*trim, "%")
		r.Label = "Trim to " + string(c.TopTrim)
	case h.now.Control.SetsHertz():
		c.TopHertz = q.Written(math.Floor(10*h.now.Feed.TopHertz*share)/10, "Hz")
		r.Label = "Top at " + string(c.TopHertz)
	default:
		return nil
	}
	o, ok := h.try(r)
	if !ok {
		return nil
	}
	return []attempt{o}
}
