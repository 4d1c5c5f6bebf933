package line

import (
	"fmt"
	"math"
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
	var shares []stretch
	for at := job.Low; at < job.High*(1-speedTolerance); {
		furthest, name := at, ""
		for i := range t.reduction.Positions {
			p := &t.reduction.Positions[i]
			low, high := t.span(p)
			if high = math.Min(high, t.top); low <= at*(1+speedTolerance) && high > furthest {
				furthest, name = high, p.Label
			}
		}
		if name == "" {
			return nil
		}
		at, shares = furthest, append(shares, stretch{name, math.Min(furthest, job.High)})
	}
	return shares
}

// maxName is how long a job's name may be.
const maxName = 120

// parted makes a job whose band only several positions reach between them into one for each of them. It is
// for bands typed as speeds and loads that do not hang on how the speed was found.
func (h *healer) parted(job int) []option {
	shares := h.now.together(&h.now.machine.Jobs[job])
	whole := h.in.Machine.Jobs[job]
	plain := (whole.Speed.By == "" || whole.Speed.By == "rpm") && (whole.Load.By == "" || whole.Load.By == "torque" || whole.Load.By == "power" || whole.Load.By == "scale")
	if len(shares) < 2 || !plain || h.now.machine.Jobs[job].Shape == work.PointsJoin || len(h.in.Machine.Jobs)+len(shares)-1 > work.MaxJobs {
		return nil
	}
	machine := h.in.Machine
	machine.Jobs = append([]work.Job(nil), h.in.Machine.Jobs[:job]...)
	from, says := whole.Speed.From, []string{}
	for i, s := range shares {
		part := whole
		part.Speed.From, part.Speed.To = from, typed(s.to/q.RPM, "rpm")
		if i > 0 {
			part.ID = fmt.Sprintf("%s-%d", whole.ID, i+1)
		}
		if i == len(shares)-1 {
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
	s, reader := h.now.stations, q.NewReader("machine")
	if s.machine = work.Resolve(machine, reader); reader.Err() != nil {
		return nil
	}
	o := option{Remedy: Remedy{Kind: "split", Label: "Make " + h.now.machine.Jobs[job].Name + " a job for each position", Detail: strings.Join(says, ", "), Jobs: machine.Jobs}, train: newTrain(s)}
	o.fares = o.train.fares()
	o.JobsDone = countDone(o.fares)
	return []option{o}
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
