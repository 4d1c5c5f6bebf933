package assess

import (
	"fmt"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/judge"
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
	Answer judge.Answer  `json:"answer" enum:"yes,no,unknown"`
	Mark   f.Level       `json:"mark" enum:"stop,missing,caution,good"`
	Brief  string        `json:"brief" doc:"In a few words, to be read from afar"`
	Text   string        `json:"text"`
	By     string        `json:"by" doc:"What it leans on as long as it is not known, such as: by a usual load; empty for nothing"`
	Hangs  []Next        `json:"hangs" nullable:"false" doc:"What is still to be entered before it is known"`
	Taken  []judge.Taken `json:"taken" nullable:"false" doc:"What was taken of entries that nobody made"`
}

// saidOfPower says whether the plan may be powered: by what can hurt and what is not known, not by its jobs.
func saidOfPower(a *Assessment, answer judge.Answer) Said {
	stops, cautions := 0, 0
	first := ""
	for i := range a.Findings {
		one := &a.Findings[i]
		switch {
		case one.Short || one.Always:
		case one.Level == f.Stop:
			if stops++; stops == 1 {
				first = one.Title
			}
		case one.Level == f.Caution:
			cautions++
		}
	}
	said := Said{Answer: answer, Hangs: hangs(a, f.Holds.Power), Taken: []judge.Taken{}}
	switch {
	case answer == judge.Unknown:
		said.Mark, said.Text, said.Brief = f.Missing, notKnown(said.Hangs), notKnownBriefly(said.Hangs)
		if len(said.Hangs) == 0 {
			said.Text = "Not known yet. Its start and stop have not been worked out."
		}
		return said
	case answer == judge.No && stops == 1:
		said.Mark, said.Text, said.Brief = f.Stop, "No. "+words.Sentence(first), "No: one stop"
		return said
	case answer == judge.No:
		said.Mark, said.Text = f.Stop, fmt.Sprintf("No, %s stops. First: %s", words.Count(stops), words.Sentence(first))
		said.Brief = fmt.Sprintf("No: %s stops", words.Count(stops))
		return said
	}
	said.Taken = judge.TakenAs(a.asked.model)
	switch cautions {
	case 0:
		said.Mark, said.Brief, said.Text = f.Good, "Yes", "Yes, by the steps of the first power-up."
		return said
	case 1:
		said.Mark, said.Brief = f.Caution, "Yes, minding one caution"
	default:
		said.Mark, said.Brief = f.Caution, "Yes, minding "+words.Count(cautions)+" cautions"
	}
	said.Text = said.Brief + "."
	return said
}

// hangs are the missing entries that an answer hangs on, in the order they are asked for.
func hangs(a *Assessment, held func(f.Holds) bool) []Next {
	out := []Next{}
	for i := range a.Findings {
		if one := &a.Findings[i]; one.Entry || one.Level == f.Missing && held(one.Holds) {
			out = append(out, Next{Text: one.Title, Field: one.Field})
		}
	}
	return out
}

// namedFirst is how many missing entries are named in a line.
const namedFirst = 3

// notKnown says what is still to be entered.
func notKnown(hangs []Next) string {
	var b strings.Builder
	b.WriteString("Not known yet")
	for i, one := range hangs[:min(len(hangs), namedFirst)] {
		b.WriteString([]string{": ", "; "}[min(i, 1)] + words.LowerFirst(strings.TrimRight(one.Text, "?.")))
	}
	if more := len(hangs) - namedFirst; more > 0 {
		fmt.Fprintf(&b, "; and %s more", words.Count(more))
	}
	return b.String() + "."
}

// notKnownBriefly says how much is still to be entered.
func notKnownBriefly(hangs []Next) string {
	switch len(hangs) {
	case 0:
		return "Not known yet"
	case 1:
		return "Not known yet: one entry is missing"
	}
	return "Not known yet: " + words.Count(len(hangs)) + " entries are missing"
}

// saidOfJobs says whether it does its jobs, and by how much.
func saidOfJobs(a *Assessment, answer judge.Answer) Said {
	said := Said{Answer: answer, Hangs: hangs(a, f.Holds.Jobs), Taken: []judge.Taken{}}
	if len(a.Jobs) == 0 {
		said.Mark, said.Brief, said.Text = f.Missing, "No job is put in yet", "No job is put in yet."
		return said
	}
	var tightest, worst *JobResult
	all := true
	for i := range a.Jobs {
		job := &a.Jobs[i]
		all = all && job.Outcome == line.Does
		switch {
		case job.Outcome.Done() && (tightest == nil || job.Margin < tightest.Margin):
			tightest = job
		case !job.Outcome.Done() && job.Outcome != line.CannotTell && (worst == nil || job.Margin < worst.Margin):
			worst = job
		}
	}
	count := fmt.Sprintf("%d of %d", a.JobsDone, len(a.Jobs))
	switch answer {
	case judge.No:
		said.Mark, said.Text = f.Stop, count+"; "+worst.Name+": "+worst.Short+"."
		said.Brief = count + ". " + worst.Name + ": " + worst.Short
	case judge.Unknown:
		said.Mark, said.Text, said.Brief = f.Missing, notKnown(said.Hangs), notKnownBriefly(said.Hangs)
		if so := soFar(a); so.job != nil {
			said.Brief = "Not known yet: " + so.brief
			if !judge.JobsHang(a.Findings) {
				said.By = so.by
			}
			said.Text = "Not known yet: " + so.brief + " at " + so.job.Name + ", " + so.by + "."
		}
		if a.JobsDone > 0 {
			said.Text, said.Brief = count+"; of the rest it is not known yet.", count+", the rest not known yet"
		}
	default:
		said.Mark, said.Text = f.Good, count+", the tightest with "+q.Percent(tightest.Margin-1)+" to spare."
		said.Brief = count + ", " + q.Percent(tightest.Margin-1) + " to spare"
		if !all {
			said.Mark = f.Caution
		}
	}
	return said
}

// standing is how the job that is tightest comes out as far as it is known.
type standing struct {
	job       *JobResult
	brief, by string
}

// soFar is how the jobs that cannot be told yet come out as far as they are known: likely, where only a load or the
// motor is a usual one or a guess; so far, where entries are missing too. Without a job where one of them cannot be
// weighed up at all.
func soFar(a *Assessment) standing {
	var out standing
	usual, wheel := false, false
	for i := range a.Jobs {
		job := &a.Jobs[i]
		if job.Outcome != line.CannotTell {
			continue
		}
		if job.Likely == 0 {
			return standing{}
		}
		usual = usual || job.Least < 1
		wheel = wheel || a.asked.model.Machine.Jobs[i].UsualWheel
		if out.job == nil || job.Likely < out.job.Likely {
			out.job = job
		}
	}
	switch {
	case out.job == nil:
	case judge.JobsHang(a.Findings):
		out.brief, out.by = likelyText(out.job.Likely)+" so far", "without what is still to be entered"
	case usual && wheel:
		out.brief, out.by = "likely "+likelyText(out.job.Likely), "by a usual load and wheel"
	case wheel:
		out.brief, out.by = "likely "+likelyText(out.job.Likely), "by a usual wheel"
	case usual:
		out.brief, out.by = "likely "+likelyText(out.job.Likely), "by a usual load"
	default:
		out.brief, out.by = "likely "+likelyText(out.job.Likely), "by the motor as guessed"
	}
	return out
}

// notJudged is the headline of a plan that has too little in it.
func notJudged(a *Assessment) string {
	return "Not enough known yet to judge it." + unusable(a) + advice(a)
}

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
		if job.Outcome != line.CannotTell && !job.Outcome.Done() {
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
		if w.Outcome != line.CannotTell && !w.Outcome.Done() {
			return Next{Text: "Try a change for " + w.Name + ", or weigh its pull again.", Field: "machine.jobs"}
		}
	}
	return Next{Text: "Print the speed plate, and measure the first run against it."}
}
