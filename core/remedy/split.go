package remedy

import (
	"fmt"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// How long a job's name and ID may be.
const (
	maxName = 120
	maxID   = 40
)

// splitJob makes a job whose band only several positions reach between them into one for each of them. It is
// for bands typed as speeds and loads that do not hang on how the speed was found.
func (h *Finder) splitJob(job int) []attempt {
	stretches := h.now.Together(&h.now.Machine.Jobs[job])
	whole := h.in.Machine.Jobs[job]
	plain := (whole.Speed.By == "" || whole.Speed.By == "rpm") && (whole.Load.By == "" || whole.Load.By == "torque" ||
		whole.Load.By == "power" || whole.Load.By == "scale")
	if len(stretches) < 2 || !plain || h.now.Machine.Jobs[job].Shape == work.PointsJoin ||
		len(h.in.Machine.Jobs)+len(stretches)-1 > work.MaxJobs {
		return nil
	}
	machine := h.in.Machine
	machine.Jobs = append([]work.Job(nil), h.in.Machine.Jobs[:job]...)
	from, says := whole.Speed.From, []string{}
	for i, s := range stretches {
		part := whole
		part.Speed.From, part.Speed.To = from, q.Written(s.To/q.RPM, "rpm")
		if i > 0 {
			part.ID = unusedID(whole.ID, machine.Jobs, h.in.Machine.Jobs)
		}
		if i == len(stretches)-1 {
			part.Speed.To = whole.Speed.To
		}
		if named := whole.Name + ", " + s.Position; whole.Name != "" && len(named) <= maxName {
			part.Name = named
		}
		says = append(says, fmt.Sprintf("%s to %s", s.Position, q.Show(s.To, q.Speed, h.in.Units)))
		from = part.Speed.To
		machine.Jobs = append(machine.Jobs, part)
	}
	machine.Jobs = append(machine.Jobs, h.in.Machine.Jobs[job+1:]...)
	if slices.ContainsFunc(machine.Jobs, func(j work.Job) bool { return len(j.ID) > maxID }) {
		return nil // a part of a part of a part
	}
	reader := q.NewReader("machine")
	m := h.unchanged()
	if m.Machine = work.Resolve(machine, reader); reader.Err() != nil {
		return nil
	}
	m.Settle()
	return []attempt{h.attempted(Remedy{
		Kind: "split", Label: "Make " + h.now.Machine.Jobs[job].Name + " a job for each position",
		Detail: strings.Join(says, ", "), Jobs: machine.Jobs,
	})}
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
func (o attempt) splitRemedy(job, parts int) Remedy {
	r, worst := o.Remedy, o.results[job]
	r.Does = true
	for _, f := range o.results[job : job+parts] {
		r.Does = r.Does && f.Outcome.Done()
		if f.Margin < worst.Margin || !f.Outcome.Reached() {
			worst = f
		}
	}
	r.Margin, r.Lifts = worst.MarginText(), r.Does
	return r
}
