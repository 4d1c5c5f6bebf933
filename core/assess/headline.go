package assess

import (
	"fmt"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/words"
)

// headline is the verdict in a line: what it does, then what stands in the way.
func headline(a *Assessment, t *line.Model) string {
	if len(a.Jobs) == 0 {
		return "What must it do?"
	}
	if !t.Runs || len(t.Reduction.Positions) == 0 {
		for _, one := range a.Findings {
			if one.Level == f.Stop && one.Station == f.Control {
				return one.Title + "."
			}
		}
		return notJudged(a)
	}
	if len(t.Stations.Unusable()) > 0 {
		return "No job is called done." + unusable(a) + advice(a)
	}
	open, unfilled := 0, 0
	for i, job := range a.Jobs {
		if job.Outcome == line.CannotTell {
			open++
			if !t.Machine.Jobs[i].Refused {
				unfilled++
			}
		}
	}
	if open == len(a.Jobs) {
		return notJudged(a)
	}
	var b strings.Builder
	total := len(a.Jobs)
	switch {
	case a.JobsDone == total && total == 1:
		b.WriteString("Does the job.")
	case a.JobsDone == total && total == 2:
		b.WriteString("Does both jobs.")
	case a.JobsDone == total:
		fmt.Fprintf(&b, "Does all %s jobs.", words.Count(total))
	case a.JobsDone == 0 && total == 1:
		b.WriteString("Does not do the job.")
	case a.JobsDone == 0:
		fmt.Fprintf(&b, "Does none of %s jobs.", words.Count(total))
	default:
		fmt.Fprintf(&b, "Does %s of %s jobs.", words.Count(a.JobsDone), words.Count(total))
	}
	if unfilled > 0 {
		fmt.Fprintf(&b, " %s not filled in yet.", words.Capital(words.Count(unfilled)))
	}
	b.WriteString(unusable(a))
	b.WriteString(advice(a))
	return b.String()
}

// notJudged is the headline of a plan that has too little in it.
func notJudged(a *Assessment) string { return "Not enough known yet to judge it." + unusable(a) }

// unusable says how many entries cannot be used, if there are any.
func unusable(a *Assessment) string {
	n := 0
	for _, one := range a.Findings {
		if one.Entry {
			n++
		}
	}
	switch n {
	case 0:
		return ""
	case 1:
		return " One entry cannot be used."
	}
	return " " + words.Capital(words.Count(n)) + " entries cannot be used."
}

// advice is the one thing to do about it.
func advice(a *Assessment) string {
	if !a.MayPower {
		return " Do not power it yet."
	}
	if a.JobsDone == len(a.Jobs) {
		return ""
	}
	for _, job := range a.Jobs {
		for _, r := range job.Remedies {
			if r.Does && r.JobsDone == max(len(a.Jobs), len(r.Jobs)) {
				return " " + r.Label + " and it does them all."
			}
		}
	}
	for _, job := range a.Jobs {
		if job.Outcome == line.FallsShort || job.Outcome == line.TooSlow || job.Outcome == line.TooFast {
			return " Gear it differently or find more motor."
		}
	}
	return ""
}

// next finds the next question, working back from the work to the wall.
func next(a *Assessment) Next {
	// What is missing is already in that order.
	for _, one := range a.Findings {
		if one.Level == f.Missing {
			return Next{Text: words.Sentence(one.Title) + " " + one.Detail, Field: one.Field}
		}
	}
	for _, one := range a.Findings {
		if one.Level == f.Stop && !one.Short {
			return Next{Text: words.Sentence(one.Title) + " " + one.Detail, Field: one.Field}
		}
	}
	for _, w := range a.Jobs {
		if w.Outcome == line.FallsShort || w.Outcome == line.TooSlow || w.Outcome == line.TooFast {
			return Next{Text: "Try a change for " + w.Name + ", or weigh its pull again.", Field: "machine.jobs"}
		}
	}
	return Next{Text: "Print the speed plate, and measure the first run against it."}
}
