package line

import (
	"fmt"
	"math"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// stretch is the part of a job's band that one position takes, up to a speed.
type stretch struct {
	position string
	to       float64 // rad/s
}

// together are the fewest positions that reach all of a job's band between them, slowest first; nil
// where some of it is left out.
func (t *train) together(job *work.Need) []stretch {
	var stretches []stretch
	for at := job.Low; at < job.High*(1-speedTolerance); {
		furthest, name := at, ""
		for i := range t.Reduction.Positions {
			p := &t.Reduction.Positions[i]
			low, high := t.span(p)
			if high = math.Min(high, t.top); low <= at*(1+speedTolerance) && high > furthest {
				furthest, name = high, p.Label
			}
		}
		if name == "" {
			return nil
		}
		at, stretches = furthest, append(stretches, stretch{name, math.Min(furthest, job.High)})
	}
	return stretches
}

// How long a job's name and ID may be.
const (
	maxName = 120
	maxID   = 40
)

// parted makes a job whose band only several positions reach between them into one for each of them. It is
// for bands typed as speeds and loads that do not hang on how the speed was found.
func (h *healer) parted(job int) []option {
	stretches := h.now.together(&h.now.Machine.Jobs[job])
	whole := h.in.Machine.Jobs[job]
	plain := (whole.Speed.By == "" || whole.Speed.By == "rpm") && (whole.Load.By == "" || whole.Load.By == "torque" || whole.Load.By == "power" || whole.Load.By == "scale")
	if len(stretches) < 2 || !plain || h.now.Machine.Jobs[job].Shape == work.PointsJoin || len(h.in.Machine.Jobs)+len(stretches)-1 > work.MaxJobs {
		return nil
	}
	machine := h.in.Machine
	machine.Jobs = append([]work.Job(nil), h.in.Machine.Jobs[:job]...)
	from, says := whole.Speed.From, []string{}
	for i, s := range stretches {
		part := whole
		part.Speed.From, part.Speed.To = from, typed(s.to/q.RPM, "rpm")
		if i > 0 {
			part.ID = unusedID(whole.ID, machine.Jobs, h.in.Machine.Jobs)
		}
		if i == len(stretches)-1 {
			part.Speed.To = whole.Speed.To
		}
		if named := whole.Name + ", " + s.position; whole.Name != "" && len(named) <= maxName {
			part.Name = named
		}
		says = append(says, fmt.Sprintf("%s to %s", s.position, q.Show(s.to, q.Speed, h.in.Units)))
		from = part.Speed.To
		machine.Jobs = append(machine.Jobs, part)
	}
	machine.Jobs = append(machine.Jobs, h.in.Machine.Jobs[job+1:]...)
	if slices.ContainsFunc(machine.Jobs, func(j work.Job) bool { return len(j.ID) > maxID }) {
		return nil // a part of a part of a part
	}
	s, reader := h.now.Stations, q.NewReader("machine")
	if s.Machine = work.Resolve(machine, reader); reader.Err() != nil {
		return nil
	}
	o := option{Remedy: Remedy{Kind: "split", Label: "Make " + h.now.Machine.Jobs[job].Name + " a job for each position", Detail: strings.Join(says, ", "), Jobs: machine.Jobs}, train: newTrain(s)}
	o.fares = o.train.fares()
	o.JobsDone = countDone(o.fares)
	return []option{o}
}

// unusedID is the job's ID with the first number after it that no job has.
func unusedID(id string, lists ...[]work.Job) string {
	taken := map[string]bool{}
	for _, job := range slices.Concat(lists...) {
		taken[job.ID] = true
	}
	n := 2
	for taken[fmt.Sprintf("%s-%d", id, n)] {
		n++
	}
	return fmt.Sprintf("%s-%d", id, n)
}

// splitRemedy says what a split gives: the least of its parts.
func (o option) splitRemedy(job, parts int) Remedy {
	r, worst := o.Remedy, o.fares[job]
	r.Does = true
	for _, f := range o.fares[job : job+parts] {
		r.Does = r.Does && f.outcome.done()
		if f.margin < worst.margin || !f.outcome.reached() {
			worst = f
		}
	}
	r.Margin, r.Lifts = marginText(worst), r.Does
	return r
}
