package dryrun

import (
	"math"

	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// startWithin is how long past its ramp a start is watched, s.
const startWithin = 12.0

// Starting says in a few words how a plan starts with nothing on it: how long to speed, or that it does not; empty
// where it cannot be run.
func Starting(in plan.Input) string {
	_, t, err := prepare(&in)
	if err != nil || t == nil {
		return ""
	}
	first := script.Timed{Does: script.On, Job: -1, Share: q.Value{SI: 1, Known: true}}
	for _, e := range t.Script.Events {
		if e.Does == script.On {
			first = e
			break
		}
	}
	first.At = 0
	s := t.Script
	m := newMachine(t, &s)
	s.Events = []script.Timed{first}
	s.Ends = q.Value{SI: m.ramp + startWithin, Known: true}
	r, err := simulate(m, &s, usual)
	if err != nil {
		return ""
	}
	last := r.log.rows[len(r.log.rows)-1]
	switch took, still := r.toSpeed(); {
	case last.stuck:
		return "does not start"
	case !last.on:
		return "goes off as it starts"
	case still, took > 0.9*s.Ends.SI, math.Abs(last.spindle) == 0:
		return "is not up to speed in " + seconds(s.Ends.SI, in.Units)
	default:
		return "starts in " + seconds(took, in.Units)
	}
}
