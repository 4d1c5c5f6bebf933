// Package verdict says in words what is to be said of a plan from its model: what stops it, what is missing,
// what to watch, what is sound, and whether it may be powered.
package verdict

import (
	"strconv"

	f "jiriki/core/finding"
	"jiriki/core/line"
	q "jiriki/core/quantity"
)

// Findings is everything there is to say of a plan, most serious first. results are how its jobs come out and
// loads what they ask of its belts.
func Findings(m *line.Model, results []line.Result, loads []line.BeltLoad, sys q.System) []f.Finding {
	v := &verdict{Model: m, results: results, sys: sys, list: make([]f.Finding, 0, 24)}
	v.supplyFindings()
	v.controlFindings()
	v.list = append(v.list, m.Motor.Findings(sys)...)
	v.protectorFinding()
	v.reductionFindings()
	v.ratingFindings(loads)
	v.workFindings()
	v.wiringFindings()
	v.alwaysFindings()
	for i, result := range results {
		v.jobFindings(i, result)
	}
	v.neededFindings()
	v.entryFindings()
	v.list = unvouched(&m.Stations, v.list)
	return InOrder(v.list)
}

// asked is the order in which what is missing is asked for: entries to mend, then working back from the work. What is
// between motor and spindle comes before what drives the motor: by it a first margin can be told.
var asked = map[f.Station]int{f.Work: 1, f.Motor: 2, f.Reduction: 3, f.Control: 4, f.Supply: 5}

// weighed is after what only has to be entered: it takes the machine and a scale.
const weighed = 6

// lastAsked is after what answers hang on.
const lastAsked = 7

// placesALevel is more than the places findings of one level take.
const placesALevel = 8

// place is where a finding belongs in the order: by level, what is missing as it is asked for, and what is always
// said after the cautions of this plan.
func place(one *f.Finding) int {
	at := one.Level.Rank() * placesALevel
	switch {
	case one.Level == f.Missing && !one.Entry && one.Holds == "":
		at += lastAsked // no answer hangs on it
	case one.ID.IsOf(f.WorkUsual):
		at += weighed
	case one.Level == f.Missing && !one.Entry:
		at += asked[one.Station]
	case one.Always:
		at++
	}
	return at
}

// InOrder returns findings in their order, those of one place as they were said.
func InOrder(findings []f.Finding) []f.Finding {
	out, places := make([]f.Finding, len(findings)), make([]int, len(findings))
	// How many come before each place, then where its next one goes.
	next := make([]int, (f.Good.Rank()+1)*placesALevel+1)
	for i := range findings {
		places[i] = place(&findings[i])
		next[places[i]+1]++
	}
	for at := 1; at < len(next); at++ {
		next[at] += next[at-1]
	}
	for i := range findings {
		out[next[places[i]]] = findings[i]
		next[places[i]]++
	}
	return out
}

// verdict gathers findings in one system of units.
type verdict struct {
	*line.Model
	results []line.Result
	sys     q.System
	list    []f.Finding
}

func (v *verdict) show(value float64, d q.Dimension) string { return q.Show(value, d, v.sys) }

// add says one thing more, and returns it for what else there is to it: a working, a fix.
func (v *verdict) add(id f.ID, level f.Level, field, title, detail string) *f.Finding {
	v.list = append(v.list, f.Finding{ID: id, Level: level, Station: id.Station(), Title: title, Detail: detail,
		Field: field})
	return &v.list[len(v.list)-1]
}

// jobField and stageField are the paths of what belongs to a job and to a stage.
func jobField(i int, part string) string { return "machine.jobs[" + strconv.Itoa(i) + "]." + part }

func stageField(i int, part string) string {
	return "reduction.stages[" + strconv.Itoa(i) + "]." + part
}
