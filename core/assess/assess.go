// Package assess is the one answer to a plan: its reach, verdict, remedies, settings and workings together.
package assess

import (
	"strings"

	"jiriki/core/drawing"
	f "jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/powerup"
	q "jiriki/core/quantity"
	"jiriki/core/remedy"
	"jiriki/core/settings"
	"jiriki/core/verdict"
	"jiriki/core/working"
)

// Assessment is the answer to a plan: can it do the jobs, what holds it, what to set and what
// to watch.
type Assessment struct {
	Headline   string                   `json:"headline"`
	MayPower   bool                     `json:"mayPower" doc:"May it be powered is answered by yes: no stop is open, and nothing it hangs on is missing"`
	Power      Said                     `json:"power" doc:"May it be powered?"`
	Does       Said                     `json:"does" doc:"Does it do the jobs?"`
	JobsDone   int                      `json:"jobsDone"`
	Jobs       []JobResult              `json:"jobs" nullable:"false"`
	Findings   []f.Finding              `json:"findings" nullable:"false" doc:"Most serious first"`
	Fixes      map[f.ID][]remedy.Remedy `json:"fixes" doc:"Changes tried for findings that are not a job's, by finding ID"`
	Next       Next                     `json:"next"`
	Measures   []Measure                `json:"measures" nullable:"false" doc:"Trials worth making, what tells most first"`
	Reach      line.Reach               `json:"reach"`
	Stations   []Station                `json:"stations" nullable:"false" doc:"Supply to work"`
	Coverage   line.Coverage            `json:"coverage"`
	Drawing    drawing.Drawing          `json:"drawing"`
	Settings   []settings.Setting       `json:"settings" nullable:"false"`
	SpeedPlate line.SpeedPlate          `json:"speedPlate"`
	NoPlate    string                   `json:"noPlate" doc:"Why no speed plate may hang by the machine: what stops it, or is not known, that bears on speed; empty where it may"`
	Workings   []working.Working        `json:"workings" nullable:"false"`
	Bench      motor.BenchView          `json:"bench" doc:"What the motor's bench readings come to"`
	Units      q.Units                  `json:"units"`
	Entries    []q.FieldError           `json:"entries" nullable:"false" doc:"Entries that cannot be used; the rest is worked out as if they were left empty"`
	ShelfTried bool                     `json:"-"` // the answer depends on the shelf

	asked *asked
}

// asked is what an assessment was made of, for the answers to be given anew once its start and stop are known.
type asked struct {
	model   *line.Model
	input   *plan.Input
	results []line.Result
	started bool // its usual start and stop were run
}

// Next is the next unanswered question, working back from the work.
type Next struct {
	Text  string `json:"text"`
	Field string `json:"field" doc:"Where it is answered; empty when nothing is left"`
}

// Assess works out a plan. A field that is missing, or holds what cannot be used, is no error: the
// rest is worked out without it, the verdict asks for it, and until it is mended the plan may not be
// powered. The error is quantity.FieldErrors when the input is past what is taken at once.
func Assess(in plan.Input) (Assessment, error) {
	s, err := plan.Resolve(in)
	if err != nil {
		return Assessment{}, err
	}
	t := line.New(s)
	results := t.Results()
	loads := t.BeltLoads(results)
	settled := len(s.Unusable()) == 0
	if !settled {
		line.Withhold(results)
	}
	judge.Withhold(t, results)
	a := Assessment{
		Findings: verdict.Findings(t, results, loads, in.Units), Reach: t.Reach(), Coverage: t.Coverage(),
		Drawing:  drawing.Of(t),
		Units:    q.UnitsOf(in.Units),
		JobsDone: line.CountDone(results), Entries: append([]q.FieldError{}, s.Entries...),
	}
	h := remedy.NewFinder(in, t, results, newStops(&a, in.Units))
	a.Jobs = make([]JobResult, 0, len(results))
	for i := range results {
		result := jobResult(t, i, results[i], in.Units)
		if settled && !results[i].Outcome.Done() && results[i].Outcome != line.CannotTell {
			var noHelp []string
			result.Remedies, noHelp = h.ForJob(i)
			if len(result.Remedies) == 0 {
				result.NoHelp = noHelpText(noHelp)
			}
		}
		a.Jobs = append(a.Jobs, result)
	}
	a.Fixes = map[f.ID][]remedy.Remedy{}
	if settled {
		a.Fixes = h.ForFindings(a.Findings)
	}
	a.ShelfTried = h.ShelfTried
	if wrong := misread(t, &in); len(wrong) > 0 {
		a.Findings = verdict.InOrder(append(a.Findings, wrong...))
	}
	a.asked = &asked{model: t, input: &in, results: results}
	a.answer()
	a.SpeedPlate = t.SpeedPlate(results)
	sheet := settings.For(t, in.Units)
	a.Settings = sheet.Settings
	a.Bench = s.Motor.BenchView(in.Units)
	a.Workings = append(workings(t, in.Units, results, loads), sheet.Workings...)
	return a, nil
}

// Started puts what the plan's usual start and stop came to beside the rest, and answers anew: until they were run
// nobody knows whether it may be powered.
func (a *Assessment) Started(found []f.Finding) {
	a.asked.started = true
	a.Findings = verdict.InOrder(append(a.Findings, found...))
	a.answer()
}

// ToSet is what is to be set on the control, as the first power-up asks whether it was.
func (a *Assessment) ToSet() []powerup.Setting {
	out := make([]powerup.Setting, len(a.Settings))
	for i, s := range a.Settings {
		out[i] = powerup.Setting{ID: string(s.Working), Name: s.Name}
	}
	return out
}

// answer gives the answers from the findings.
func (a *Assessment) answer() {
	t := a.asked.model
	power := judge.Power(t, a.Findings, a.asked.started)
	a.MayPower = power == judge.Yes
	a.Power = saidOfPower(a, power)
	a.Does = saidOfJobs(a, judge.Jobs(a.asked.results, a.Findings))
	a.Headline, a.Next = headline(a, t), next(a)
	a.Measures, a.NoPlate = measures(t, a), plateWithheld(a)
	a.Stations = summaries(t, a.asked.input, a)
}

// newStops tells of a changed plan whether it has a stop that the assessed one has not. The guard of a belt that is
// put in is its builder's to make, and is told with it.
func newStops(a *Assessment, sys q.System) remedy.NewStop {
	var known map[f.ID]bool
	return func(m *line.Model, results []line.Result) bool {
		if known == nil {
			known = map[f.ID]bool{}
			for _, one := range a.Findings {
				known[one.ID] = known[one.ID] || one.Level == f.Stop
			}
		}
		for _, one := range verdict.Findings(m, results, m.BeltLoads(results), sys) {
			guard := strings.HasPrefix(string(one.ID), string(f.ReductionGuard))
			if one.Level == f.Stop && !one.Short && !known[one.ID] && !guard {
				return true
			}
		}
		return false
	}
}
