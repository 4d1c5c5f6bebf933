package dryrun

import (
	"slices"

	"jiriki/core/assess"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// Assess is [assess.Assess] with how the plan usually starts and stops run through: only then is it known whether it
// may be powered. The plan's own script, which somebody may only be trying, has no say in it.
func Assess(in plan.Input) (assess.Assessment, error) {
	a, err := assess.Assess(in)
	if err != nil {
		return a, err
	}
	if found, ok := StartAndStop(in); ok {
		a.Started(found)
	}
	return a, nil
}

// endsWithin is how long past its start a stop is watched, s.
const endsWithin = 20.0

// StartAndStop runs the start of a plan, with nothing on it, in every position, and its usual stop; false where it
// cannot be run. Only what can hurt is told, and that it cannot be worked out. It follows from the machine, the four
// stations and what the script says of what turns; what happens in the script is left out.
func StartAndStop(in plan.Input) ([]f.Finding, bool) {
	in.Plan.Script = script.Described{Inertia: in.Plan.Script.Inertia, Friction: in.Plan.Script.Friction,
		Sticks: in.Plan.Script.Sticks, Coasted: in.Plan.Script.Coasted}
	_, t, err := prepare(&in)
	if err != nil || t == nil {
		return nil, false
	}
	found := []f.Finding{}
	for i := range t.Reduction.Positions {
		for _, one := range startAndStopIn(t, &in, t.Reduction.Positions[i].Label) {
			if !known(found, one.ID) {
				found = append(found, one)
			}
		}
	}
	return found, true
}

func known(list []f.Finding, id f.ID) bool {
	for i := range list {
		if list[i].ID == id {
			return true
		}
	}
	return false
}

// hurting are what of a start and stop forbids power; what is judged by its own figures already, such as a current
// limit, is not judged again.
var hurting = []f.ID{f.DryNoStart, f.DryStartWinding, f.DryClass, f.DryBears, f.DryUnscrews, f.DryBreaker}

// startAndStopIn is what hurts in a start and stop in one position.
func startAndStopIn(t *line.Model, in *plan.Input, position string) (hurts []f.Finding) {
	s := t.Script
	s.Position = position
	m := newMachine(t, &s)
	on := script.Timed{Does: script.On, Job: -1, Share: q.Value{SI: 1, Known: true}}
	off := script.Timed{Does: script.Ends(&t.Machine), Job: -1, At: m.ramp + startWithin}
	s.Events = []script.Timed{on, off}
	s.Ends = q.Value{SI: off.At + endsWithin, Known: true}
	r, err := simulate(m, &s, usual)
	if err != nil {
		return []f.Finding{{ID: f.DryUsual, Level: f.Missing, Station: f.DryUsual.Station(), Field: "script.inertia",
			Title: "How it starts and stops", Detail: "It cannot be worked out with what turns here. Put in its " +
				"inertia as it was weighed or measured.", Dry: true, Holds: f.HoldsPower}}
	}
	res := resultsOf(r)
	for _, one := range findingsOf(r, &res, in.Units) {
		if one.Level == f.Stop && slices.Contains(hurting, one.ID) {
			hurts = append(hurts, one)
		}
	}
	return hurts
}
