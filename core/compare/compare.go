// Package compare sets plans for one machine beside each other: where they differ, and which is the better in what.
package compare

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"jiriki/core/assess"
	"jiriki/core/build"
	"jiriki/core/dryrun"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/words"
)

// MaxPlans is as many as stand beside each other.
const MaxPlans = 3

// Named is a plan with what it is called here.
type Named struct {
	Name  string     `json:"name" maxLength:"200"`
	Input plan.Input `json:"input"`
}

// Beside is how plans compare.
type Beside struct {
	Headline string             `json:"headline"`
	Sides    []Side             `json:"sides" nullable:"false"`
	Rows     []Row              `json:"rows" nullable:"false" doc:"What they differ in first"`
	Jobs     []assess.JobResult `json:"jobs" nullable:"false" doc:"What the first of them makes of the jobs, for drawing them"`
	Units    q.Units            `json:"units"`
}

// Side is one of the plans.
type Side struct {
	Name     string       `json:"name"`
	MayPower bool         `json:"mayPower"`
	Power    judge.Answer `json:"power" enum:"yes,no,unknown"`
	Reach    line.Reach   `json:"reach"`
}

// Row is one thing they are compared in.
type Row struct {
	Label   string `json:"label"`
	Cells   []Cell `json:"cells" nullable:"false" doc:"One for each plan"`
	Differs bool   `json:"differs"`
}

// Cell is what one plan has there.
type Cell struct {
	Text   string `json:"text"`
	Better bool   `json:"better" doc:"It is the better one here, or one of several that are"`
}

// judged is a plan with all that is known of it.
type judged struct {
	name  string
	a     assess.Assessment
	build build.Build
	model *line.Model
	dry   dryrun.Results
	runs  bool
	sys   q.System
}

// measure is how plans are compared in one thing: what is said of each, and a score, the more the better; NaN where it
// cannot be told, or where none is better for it.
type measure struct {
	label string
	of    func(j *judged) (text string, score float64)
}

// Plans compares up to [MaxPlans] plans. The error is quantity.FieldErrors when one is past what is taken at once.
func Plans(plans []Named) (Beside, error) {
	out := Beside{Sides: []Side{}, Rows: []Row{}, Jobs: []assess.JobResult{}}
	list := make([]judged, 0, len(plans))
	for _, p := range plans {
		a, err := dryrun.Assess(p.Input)
		if err != nil {
			return Beside{}, err
		}
		b, err := build.Plan(p.Input)
		if err != nil {
			return Beside{}, err
		}
		s, _ := plan.Resolve(p.Input)
		one := judged{name: p.Name, a: a, build: b, model: line.New(s), sys: p.Input.Units}
		one.dry, one.runs = dryrun.Come(p.Input)
		list = append(list, one)
		out.Sides = append(out.Sides, Side{Name: p.Name, MayPower: a.MayPower, Power: a.Power.Answer, Reach: a.Reach})
	}
	if len(list) == 0 {
		return out, nil
	}
	out.Jobs, out.Units = list[0].a.Jobs, list[0].a.Units
	for _, m := range measures {
		out.Rows = append(out.Rows, m.row(list))
	}
	slices.SortStableFunc(out.Rows, func(a, b Row) int {
		switch {
		case a.Differs == b.Differs:
			return 0
		case a.Differs:
			return -1
		}
		return 1
	})
	out.Headline = headline(list)
	return out, nil
}

// tie is how near two scores lie that count as the same, a share.
const tie = 0.01

func (m *measure) row(list []judged) Row {
	r := Row{Label: m.label, Cells: make([]Cell, len(list))}
	scores := make([]float64, len(list))
	best, least := math.Inf(-1), math.Inf(1)
	for i := range list {
		r.Cells[i].Text, scores[i] = m.of(&list[i])
		r.Differs = r.Differs || r.Cells[i].Text != r.Cells[0].Text
		if !math.IsNaN(scores[i]) {
			best, least = max(best, scores[i]), min(least, scores[i])
		}
	}
	near := tie * max(math.Abs(best), math.Abs(least))
	if best-least <= near || slices.ContainsFunc(scores, math.IsNaN) {
		return r
	}
	for i := range scores {
		r.Cells[i].Better = scores[i] >= best-near
	}
	return r
}

// measures are what plans are compared in.
var measures = []measure{
	{"May it be powered?", func(j *judged) (string, float64) {
		if j.a.MayPower {
			return "yes", 1
		}
		if j.a.Power.Answer == judge.Unknown {
			return words.LowerFirst(j.build.Blocked), math.NaN()
		}
		return "no: " + j.build.Blocked, 0
	}},
	{"Jobs", func(j *judged) (string, float64) {
		text, score := fmt.Sprintf("%d of %d", j.a.JobsDone, len(j.a.Jobs)), float64(j.a.JobsDone)
		if worst := j.worst(func(o line.Outcome) bool { return !o.Done() }); worst != nil {
			text += ", " + worst.Name + " " + worst.Short
			if worst.Outcome == line.FallsShort {
				score += 0.9 * min(worst.Margin/worst.Wanted, 1) // of as many done, the one that comes nearer
			}
		}
		return text, score
	}},
	{"Tightest that is done", func(j *judged) (string, float64) {
		worst := j.worst(line.Outcome.Done)
		if worst == nil {
			return "none is", math.NaN()
		}
		return worst.Name + " " + worst.Short, worst.Margin / worst.Wanted
	}},
	{"Slowest, fastest", func(j *judged) (string, float64) {
		low, high := math.Inf(1), 0.0
		for _, p := range j.a.Reach.Positions {
			low, high = min(low, p.LowRPM), max(high, p.HighRPM)
		}
		if high == 0 {
			return "not known", math.NaN()
		}
		return q.SpeedRange(low*q.RPM, high*q.RPM, j.sys), math.NaN()
	}},
	{"Belt or gear changes", func(j *judged) (string, float64) {
		used := map[string]bool{}
		for i := range j.a.Jobs {
			if job := &j.a.Jobs[i]; job.Outcome.Done() {
				used[job.Position] = true
			}
		}
		switch n := len(used) - 1; {
		case n < 0:
			return "no job is done", math.NaN()
		case n == 0:
			return "none", 0
		case n == 1:
			return "one, between jobs", -1
		default:
			return fmt.Sprintf("%d, between jobs", n), -float64(n)
		}
	}},
	{"Speed lost under load", func(j *judged) (string, float64) {
		most, at := -1.0, ""
		for i := range j.a.Jobs {
			if job := &j.a.Jobs[i]; job.Outcome.Done() && job.Fall > most {
				most, at = job.Fall, job.Name
			}
		}
		if most < 0 {
			return "no job is done", math.NaN()
		}
		return q.Percent(most) + " under " + at, -most
	}},
	{"Starts", func(j *judged) (string, float64) {
		least, at := math.Inf(1), ""
		for i := range j.a.Jobs {
			if job := &j.a.Jobs[i]; job.StartMargin > 0 && job.StartMargin < least {
				least, at = job.StartMargin, job.Name
			}
		}
		if at == "" {
			return "not known", math.NaN()
		}
		return "×" + q.Figures(least, 2) + " what " + at + " takes", least
	}},
	{"Up to speed, simulated", func(j *judged) (string, float64) {
		switch took := j.dry.ToSpeed; {
		case !j.runs:
			return "not known", math.NaN()
		case j.dry.NotUp:
			return "not up yet when its first load came", math.NaN()
		case took == 0:
			return "does not start", -1e6
		default:
			return "in " + q.ShowFigures(took, q.Duration, j.sys, 2), -took
		}
	}},
	{"Stands after the stop, simulated", func(j *judged) (string, float64) {
		switch took := j.dry.Stop; {
		case !j.runs || took == 0:
			return "not known", math.NaN()
		default:
			return "in " + q.ShowFigures(took, q.Duration, j.sys, 2), -took
		}
	}},
	{"The reduction keeps", func(j *judged) (string, float64) {
		if len(j.model.Reduction.Positions) == 0 {
			return "not known", math.NaN()
		}
		share := j.model.Reduction.Positions[0].Efficiency
		return q.Percent(share), share
	}},
	{"Draws at full load", func(j *judged) (string, float64) {
		if !j.model.Runs {
			return "not known", math.NaN()
		}
		return q.Show(j.model.InputAmps(), q.Current, j.sys), math.NaN()
	}},
	{"To buy", func(j *judged) (string, float64) {
		parts := j.build.Buy
		text := count(len(parts.Parts), "part")
		switch {
		case parts.Priced == 0:
		case parts.Priced == len(parts.Parts):
			text += ", " + parts.Cost + " in all"
		default:
			text += fmt.Sprintf(", %s for %d of them", parts.Cost, parts.Priced)
		}
		return text, -float64(len(parts.Parts))
	}},
	{"To make", func(j *judged) (string, float64) {
		made := j.build.Make
		if len(made) == 0 {
			return "nothing", 0
		}
		return made[0].What + more(len(made)-1), -float64(len(made))
	}},
	{"Dangers", func(j *judged) (string, float64) {
		stops, cautions := 0, 0
		for i := range j.a.Findings {
			switch one := &j.a.Findings[i]; {
			case one.Level == finding.Stop && !one.Short:
				stops++
			case one.Level == finding.Caution:
				cautions++
			}
		}
		return count(stops, "stop") + ", " + count(cautions, "caution"), -float64(100*stops + cautions)
	}},
}

// worst is the job with the least margin against the one wanted among those with some outcomes; nil for none.
func (j *judged) worst(among func(line.Outcome) bool) *assess.JobResult {
	var worst *assess.JobResult
	for i := range j.a.Jobs {
		job := &j.a.Jobs[i]
		if among(job.Outcome) && (worst == nil || job.Margin/job.Wanted < worst.Margin/worst.Wanted) {
			worst = job
		}
	}
	return worst
}

func count(n int, what string) string {
	switch n {
	case 0:
		return "no " + what
	case 1:
		return "1 " + what
	}
	return fmt.Sprintf("%d %ss", n, what)
}

func more(n int) string {
	if n == 0 {
		return ""
	}
	return fmt.Sprintf(", and %d more", n)
}

// headline says in a line which does more, which has more to spare, and which may not be powered.
func headline(list []judged) string {
	if len(list) == 1 {
		return "Nothing stands beside " + list[0].name + " yet."
	}
	jobs := best(list, func(j *judged) float64 { return float64(j.a.JobsDone) })
	var said []string
	switch {
	case len(jobs) == len(list):
		said = append(said, fmt.Sprintf("They do as many jobs, %d of %d", list[0].a.JobsDone, len(list[0].a.Jobs)))
		if spare := best(list, margin); len(spare) < len(list) {
			said = append(said, words.List(spare)+verb(spare, " has", " have")+" more to spare")
		}
	default:
		said = append(said, words.List(jobs)+verb(jobs, " does", " do")+" more jobs")
	}
	var barred, unknown []string
	for i := range list {
		switch list[i].a.Power.Answer {
		case judge.No:
			barred = append(barred, list[i].name)
		case judge.Unknown:
			unknown = append(unknown, list[i].name)
		}
	}
	if len(barred) > 0 {
		said = append(said, words.List(barred)+" must not be powered yet")
	}
	if len(unknown) > 0 {
		said = append(said, "Whether "+words.List(unknown)+" may be powered is not known yet")
	}
	return strings.Join(said, ". ") + "."
}

// margin is the least margin over all jobs against those wanted; one not done counts by how near it comes.
func margin(j *judged) float64 {
	least := math.Inf(1)
	for i := range j.a.Jobs {
		least = min(least, j.a.Jobs[i].Margin/j.a.Jobs[i].Wanted)
	}
	return least
}

// best are the names of those with the most of something.
func best(list []judged, of func(*judged) float64) []string {
	most := math.Inf(-1)
	for i := range list {
		most = max(most, of(&list[i]))
	}
	var out []string
	for i := range list {
		if of(&list[i]) >= most-tie*math.Abs(most) {
			out = append(out, list[i].name)
		}
	}
	return out
}

func verb(names []string, one, several string) string {
	if len(names) == 1 {
		return one
	}
	return several
}
