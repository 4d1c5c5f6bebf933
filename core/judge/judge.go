// Package judge decides what may be said of a plan: whether it may be powered and whether it does its jobs, each
// answered by yes, no or not known yet. What an answer hangs on is a table, by kind of supply, control, motor,
// reduction and work: what is needed for a yes, and what is taken as not there until somebody says so.
package judge

import (
	"cmp"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/line"
	q "jiriki/core/quantity"
)

// Answer is one of three.
type Answer string

// The answers. A yes is earned: everything it hangs on is known and holds.
const (
	Yes     Answer = "yes"
	No      Answer = "no"
	Unknown Answer = "unknown"
)

// Blank is an entry that an answer hangs on and that is not there.
type Blank struct {
	ID         f.ID
	Field      string // where it is entered
	Title, How string
	Holds      f.Holds
	Offer      *f.Offer
}

// Blanks are the needed entries of a plan that are blank, working back from the work. One that was typed and cannot be
// used is not among them: it is said with what it says.
func Blanks(m *line.Model, sys q.System) []Blank {
	var out []Blank
	for i := range needed {
		n := &needed[i]
		for _, at := range n.blank(m) {
			if m.Refuses(at.field) {
				continue
			}
			b := Blank{ID: n.id, Field: at.field, Title: cmp.Or(at.title, n.title+at.of), How: n.how, Holds: n.holds}
			if at.part != "" {
				b.ID = n.id.Of(at.part)
			}
			if n.figures != nil {
				b.How += n.figures(m, sys)
			}
			if n.offer != nil {
				b.Offer = n.offer(m)
			}
			out = append(out, b)
		}
	}
	return out
}

// Power answers whether a plan may be powered: by what can hurt, and by what is not known. A job that falls short harms
// nobody. Where the usual start and stop have not been run it is not known.
func Power(m *line.Model, findings []f.Finding, started bool) Answer {
	answer := Yes
	if !m.Runs || len(m.Reduction.Positions) == 0 || !started {
		answer = Unknown
	}
	for i := range findings {
		switch one := &findings[i]; {
		case one.Level == f.Stop && !one.Short:
			return No
		case one.Entry, one.Level == f.Missing && one.Holds.Power():
			answer = Unknown
		}
	}
	return answer
}

// Jobs answers whether a plan does its jobs: no where one of them is seen not to be done, yes where all are.
func Jobs(results []line.Result, findings []f.Finding) Answer {
	answer := Yes
	if len(results) == 0 || JobsHang(findings) {
		answer = Unknown
	}
	for i := range results {
		switch outcome := results[i].Outcome; {
		case outcome == line.CannotTell:
			answer = Unknown
		case !outcome.Done():
			return No
		}
	}
	return answer
}

// holdsJobs reports whether an entry is blank that every job hangs on.
func holdsJobs(m *line.Model) bool {
	for i := range needed {
		if needed[i].holds.Jobs() && len(needed[i].blank(m)) > 0 {
			return true
		}
	}
	return false
}

// Withhold takes back what is said of jobs where a blank, a guess at the motor or a load that is only a usual one could
// turn it.
func Withhold(m *line.Model, results []line.Result) {
	held := holdsJobs(m)
	for i := range results {
		switch r := &results[i]; {
		case r.Outcome == line.CannotTell:
		case m.Machine.Jobs[i].UsualWheel:
			r.Outcome = line.CannotTell // another wheel is another speed
		case r.Outcome.Done():
			if held || HangsOnGuess(m, r) {
				r.Outcome = line.CannotTell
			}
		case m.HangsOnLoad(&m.Machine.Jobs[i], m.Reduction.Positions):
			r.Outcome = line.CannotTell
		}
	}
}

// HangsOnGuess reports whether a job is only done if the motor is what it was guessed to be.
func HangsOnGuess(m *line.Model, r *line.Result) bool {
	share := m.Motor.Spread
	return line.ShownSpread(share) > 0 && r.Margin >= 1 && r.Margin*(1-share) < 1
}

// JobsHang reports whether an entry is missing that every job hangs on.
func JobsHang(findings []f.Finding) bool {
	for i := range findings {
		if one := &findings[i]; one.Level == f.Missing && one.Job == "" && one.Holds.Jobs() {
			return true
		}
	}
	return false
}

// Taken is what is taken of a declared entry that is blank.
type Taken struct {
	Field string `json:"field" doc:"Where it is declared otherwise"`
	Words string `json:"words" doc:"What is taken, such as dry"`
}

// TakenAs is what is taken of every declared entry of a plan that is blank and that an answer leans on.
func TakenAs(m *line.Model) []Taken {
	out := []Taken{}
	for _, d := range declared {
		if d.taken == nil {
			continue // told with the row before
		}
		if words := d.taken(m); words != "" {
			out = append(out, Taken{strings.ReplaceAll(d.field, "[]", "[0]"), words})
		}
	}
	return out
}

// Row is a row of the table as it is printed: an entry, where it counts, and what a blank makes of the answers.
type Row struct{ Entry, Field, On, Blank string }

// Table is what the answers hang on, for people to read.
func Table() []Row {
	var out []Row
	for _, n := range needed {
		blank := map[f.Holds]string{f.HoldsBoth: "neither answer is known", f.HoldsPower: "may it be powered is not " +
			"known", f.HoldsJobs: "does it do the jobs is not known"}[n.holds]
		out = append(out, Row{n.title, n.where, n.on, blank})
	}
	for _, d := range declared {
		out = append(out, Row{d.what, d.field, d.on, "taken as " + strings.TrimPrefix(d.usual, "taken as ")})
	}
	return out
}
