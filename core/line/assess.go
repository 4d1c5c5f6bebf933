// Package line joins the five stations of a plan from wall to work: what torque reaches the spindle at
// which speed, whether each job is done, what holds it, what would lift it, and what can hurt.
package line

import (
	"sort"

	f "jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Assessment is the answer to a plan: can it do the jobs, what holds it, what to set and what
// to watch.
type Assessment struct {
	Headline   string              `json:"headline"`
	MayPower   bool                `json:"mayPower" doc:"No stop is open, nothing needed is missing"`
	JobsDone   int                 `json:"jobsDone"`
	Jobs       []JobResult         `json:"jobs" nullable:"false"`
	Findings   []f.Finding         `json:"findings" nullable:"false" doc:"Most serious first"`
	Fixes      map[string][]Remedy `json:"fixes" doc:"Changes tried for findings that are not a job's, by finding ID"`
	Next       Next                `json:"next"`
	Reach      Reach               `json:"reach"`
	Stations   []Station           `json:"stations" nullable:"false" doc:"Supply to work"`
	Coverage   Coverage            `json:"coverage"`
	Drawing    Drawing             `json:"drawing"`
	Settings   []Setting           `json:"settings" nullable:"false"`
	SpeedPlate SpeedPlate          `json:"speedPlate"`
	Workings   []working.Working   `json:"workings" nullable:"false"`
	Bench      motor.BenchView     `json:"bench" doc:"What the motor's bench readings come to"`
	Units      Units               `json:"units"`
	Entries    []q.FieldError      `json:"entries" nullable:"false" doc:"Entries that cannot be used; the rest is worked out as if they were left empty"`
	ShelfTried bool                `json:"-"` // the answer depends on the shelf
}

// Next is the next unanswered question, working back from the work.
type Next struct {
	Text  string `json:"text"`
	Field string `json:"field" doc:"Where it is answered; empty when nothing is left"`
}

// Units are the labels and factors the answer's figures are shown with.
type Units struct {
	Torque     string  `json:"torque"`
	TorqueSI   float64 `json:"torqueSi" doc:"N·m in one shown unit"`
	Power      string  `json:"power"`
	PowerSI    float64 `json:"powerSi" doc:"W in one shown unit"`
	Length     string  `json:"length"`
	LengthInMM float64 `json:"lengthMm" doc:"mm in one shown unit"`
}

// Assess works out a plan. A field that is missing, or holds what cannot be used, is no error: the
// rest is worked out without it, the verdict asks for it, and until it is mended the plan may not be
// powered. The error is quantity.FieldErrors when the input is past what is taken at once.
func Assess(in plan.Input) (Assessment, error) {
	s, err := plan.Resolve(in)
	if err != nil {
		return Assessment{}, err
	}
	t := newTrain(s)
	fares := t.fares()
	strains := t.strains(fares)
	settled := len(tainted(s)) == 0
	if !settled {
		unsettled(fares)
	}
	a := Assessment{
		Findings: t.judge(in.Units), Reach: t.reach(), Coverage: t.coverage(), Drawing: t.drawing(), Units: units(in.Units),
		JobsDone: countDone(fares), Entries: append([]q.FieldError{}, s.Entries...),
	}
	h := newHealer(in, t, fares)
	a.Jobs = make([]JobResult, 0, len(fares))
	for i := range fares {
		result := t.jobResult(i, fares[i], in.Units)
		if settled && !fares[i].outcome.done() && fares[i].outcome != cannotJudge {
			result.Remedies = h.remedies(i)
		}
		a.Jobs = append(a.Jobs, result)
		a.Findings = append(a.Findings, t.jobFindings(i, fares[i], in.Units)...)
	}
	a.Findings = append(a.Findings, t.ratingFindings(strains, in.Units)...)
	unusable := entryFindings(s)
	a.Findings = append(unvouched(s, a.Findings), unusable...)
	a.Fixes = map[string][]Remedy{}
	if settled {
		a.Fixes = h.fixes(a.Findings)
	}
	for i := range a.Findings {
		a.Findings[i].Working = workingBehind(a.Findings[i])
	}
	// What is missing is asked for working back from the work; what is always said comes after the
	// cautions of this plan.
	sort.SliceStable(a.Findings, func(i, j int) bool {
		x, y := a.Findings[i], a.Findings[j]
		if x.Level != y.Level {
			return x.Level.Rank() < y.Level.Rank()
		}
		if x.Entry != y.Entry {
			return x.Entry
		}
		if x.Level == f.Missing {
			return asked[x.Station] < asked[y.Station]
		}
		return !x.Always && y.Always
	})
	a.ShelfTried = h.madeAll
	a.MayPower = len(unusable) == 0 && mayPower(a.Findings, t.runs)
	a.Headline = headline(a, t)
	a.Next = next(a)
	a.Stations = t.summaries(in, a)
	a.SpeedPlate = t.speedPlate(fares)
	sheet := t.settingSheet(in.Units)
	a.Settings = sheet.settings
	a.Bench = s.Motor.BenchView(in.Units)
	a.Workings = append(t.workings(in.Units, fares, strains), sheet.workings...)
	return a, nil
}

// asked is the order in which what is missing is asked for.
var asked = map[f.Station]int{f.Work: 0, f.Motor: 1, f.Control: 2, f.Reduction: 3, f.Supply: 4}

func mayPower(findings []f.Finding, runs bool) bool {
	for _, one := range findings {
		if one.Level == f.Stop && !one.Short {
			return false
		}
	}
	return runs
}

func units(sys q.System) Units {
	var u Units
	u.Torque, u.TorqueSI = q.Unit(q.Torque, sys)
	u.Power, u.PowerSI = q.Unit(q.Power, sys)
	u.Length, u.LengthInMM = q.Unit(q.Length, sys)
	u.LengthInMM *= 1000
	return u
}
