package remedy

import (
	"cmp"
	"slices"

	"jiriki/core/control"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// attempt is a changed plan, truly worked out for every job.
type attempt struct {
	Remedy
	results   []line.Result
	positions []reduction.Position
	fastest   float64 // of the motor with no load, rad/s
	*harm
}

// harm is whether a change makes something worse, looked at once however often the change is offered.
type harm struct{ looked, harmful bool }

// attempts are those of one sort of change, made when they are first asked for.
type attempts struct {
	made bool
	list []attempt
}

// once tries changes the first time and gives what works out of them.
func (h *Finder) once(of *attempts, changes func() []Remedy) []attempt {
	if of.made {
		return of.list
	}
	of.made = true
	for _, r := range changes() {
		if o, ok := h.try(r); ok {
			of.list = append(of.list, o)
		}
	}
	return of.list
}

// topsOut is the fastest the spindle turns in a position with no load, within the machine's limit, rad/s.
func (h *Finder) topsOut(o *attempt, p *reduction.Position) float64 {
	return min(o.fastest/cmp.Or(p.Unslipped, p.Ratio), h.now.TopSpeed)
}

// unchanged is the plan's model in the scratch room, to be changed. Its positions are its own: settling looks at
// them to the changed motor's speed, which is none of the plan's business.
func (h *Finder) unchanged() *line.Model {
	h.model.Stations = h.now.Stations
	h.model.Reduction.Positions = slices.Clone(h.now.Reduction.Positions)
	return &h.model
}

// try works the plan out with the remedy's stations in place of its own. It fails when they cannot be used
// together or would spin something past what it bears.
func (h *Finder) try(r Remedy) (attempt, bool) {
	m, ok := h.changed(r)
	// A change that leaves the top speed alone is shown even where that speed is still too high.
	if !ok || m.Overspeeds() && !slices.Contains([]string{"limit", "cooling", "choke", "belt"}, r.Kind) {
		return attempt{}, false
	}
	return h.attempted(r), true
}

// changed is the plan's model with the remedy's stations in place of its own, in the scratch room; false where they
// cannot be used together.
func (h *Finder) changed(r Remedy) (*line.Model, bool) {
	m, reader := h.unchanged(), q.NewReader("")
	if r.Control != nil {
		m.Control = control.Resolve(*r.Control, reader)
	}
	switch {
	case r.resolved != nil:
		m.Motor = *r.resolved
	case r.Motor != nil:
		m.Motor = motor.Resolve(*r.Motor, reader)
	}
	if r.Reduction != nil {
		m.Reduction = reduction.Resolve(*r.Reduction, m.Motor.Body.Shaft, m.Motor.Gear.Ratio, reader)
	}
	if reader.Err() != nil {
		return m, false
	}
	m.Settle()
	return m, m.Runs
}

// harms reports whether a change makes something worse: a job that is done is done no more, or there is a stop that was
// not. It is looked at once, and only of what would be offered.
func (h *Finder) harms(o *attempt) bool {
	if o.looked {
		return o.harmful
	}
	o.looked = true
	for i := range h.results {
		if h.results[i].Outcome.Done() && !o.results[i].Outcome.Done() {
			o.harmful = true
			return true
		}
	}
	m, ok := h.changed(o.Remedy)
	o.harmful = !ok || h.newStop(m, o.results)
	return o.harmful
}

// attempted is how the jobs come out on the model as it was changed.
func (h *Finder) attempted(r Remedy) attempt {
	o := attempt{Remedy: r, results: h.model.Results(), positions: h.model.Reduction.Positions, harm: &harm{}}
	judge.Withhold(&h.model, o.results)
	o.JobsDone = line.CountDone(o.results)
	o.fastest = h.model.Powered.Top()
	return o
}

// bestFor prefers the job done, then more jobs done, then the job's margin; what is known to make something worse is
// left out.
func bestFor(job int, options []attempt) *attempt {
	var best *attempt
	for i := range options {
		o := &options[i]
		if o.harmful {
			continue
		}
		if best == nil || beatsFor(job, o, best) {
			best = o
		}
	}
	return best
}

func beatsFor(job int, a, b *attempt) bool {
	aDone, bDone := a.results[job].Outcome.Done(), b.results[job].Outcome.Done()
	switch {
	case aDone != bDone:
		return aDone
	case a.JobsDone != b.JobsDone:
		return a.JobsDone > b.JobsDone
	}
	return a.results[job].Margin > b.results[job].Margin
}
