package assess

import (
	"fmt"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/words"
)

// headline is the verdict in a line: what it does, then what stands in the way.
func headline(a *Assessment, t *line.Model) string {
	if len(a.Jobs) == 0 {
		return "What must it do?"
	}
	if !t.Runs || len(t.Reduction.Positions) == 0 {
		for _, one := range a.Findings {
			if one.Level == f.Stop && (one.ID == f.ControlSuits || one.ID == f.ControlPhases) {
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

// Said is one of the two answers to a plan, which are never mixed.
type Said struct {
	Mark f.Level `json:"mark" enum:"stop,missing,caution,good"`
	Text string  `json:"text"`
}

// saidOfPower answers whether the plan may be powered: by what can hurt and what is not known, not by its jobs.
func saidOfPower(a *Assessment) Said {
	stops, cautions := 0, 0
	first := map[f.Level]string{}
	for i := range a.Findings {
		one := &a.Findings[i]
		if one.Short || one.Always {
			continue
		}
		if first[one.Level] == "" {
			first[one.Level] = one.Title
		}
		switch one.Level {
		case f.Stop:
			stops++
		case f.Caution:
			cautions++
		}
	}
	switch {
	case a.MayPower && cautions == 0:
		return Said{f.Good, "Yes, by the steps of the first power-up."}
	case a.MayPower && cautions == 1:
		return Said{f.Caution, "Yes, minding one caution."}
	case a.MayPower:
		return Said{f.Caution, "Yes, minding " + words.Count(cautions) + " cautions."}
	case stops == 1:
		return Said{f.Stop, "No. " + words.Sentence(first[f.Stop])}
	case stops > 1:
		return Said{f.Stop, fmt.Sprintf("No, %s stops. First: %s", words.Count(stops), words.Sentence(first[f.Stop]))}
	}
	return Said{f.Missing, "Not yet. " + words.Sentence(first[f.Missing])}
}

// saidOfJobs answers whether it does its jobs, and by how much.
func saidOfJobs(a *Assessment) Said {
	if len(a.Jobs) == 0 {
		return Said{f.Missing, "No job is put in yet."}
	}
	var tightest, worst *JobResult
	all, told := true, false
	for i := range a.Jobs {
		job := &a.Jobs[i]
		told = told || job.Outcome != line.CannotTell
		all = all && job.Outcome == line.Does
		switch {
		case job.Outcome.Done() && (tightest == nil || job.Margin < tightest.Margin):
			tightest = job
		case !job.Outcome.Done() && job.Outcome != line.CannotTell && (worst == nil || job.Margin < worst.Margin):
			worst = job
		}
	}
	if !told {
		return Said{f.Missing, "It cannot be told yet."}
	}
	text := fmt.Sprintf("%d of %d", a.JobsDone, len(a.Jobs))
	switch {
	case worst != nil:
		return Said{f.Stop, text + "; " + worst.Name + ": " + worst.Short + "."}
	case a.JobsDone < len(a.Jobs):
		return Said{f.Missing, text + "; the rest cannot be told yet."}
	}
	text += ", the tightest with " + q.Percent(tightest.Margin-1) + " to spare."
	if !all {
		return Said{f.Caution, text}
	}
	return Said{f.Good, text}
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
