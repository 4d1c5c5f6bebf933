package powerup

import (
	"fmt"
	"strings"

	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
)

// Step is one step of the first power-up: what is done, what must be measured at it, and how it stands.
type Step struct {
	ID      string `json:"id" doc:"By which it is ticked off"`
	What    string `json:"what"`
	Measure string `json:"measure" doc:"What is read, and where; empty when nothing is"`
	Expect  string `json:"expect" doc:"What it should read"`
	Live    bool   `json:"live" doc:"The supply is on: not to be ticked while a stop is open"`
	Reads   bool   `json:"reads" doc:"A figure must be read, and be right, before it counts as done"`

	Read    string        `json:"read" doc:"What was written down, that was judged"`
	Outcome judge.Outcome `json:"outcome" enum:"meets,fails,cannot-tell," doc:"How that stands to what it should be; empty where nothing was read that can be judged"`
	Says    string        `json:"says" doc:"Why it does not do; empty where it does"`
	Held    string        `json:"held" doc:"What must come before it; empty where it may be done"`
	Done    bool          `json:"done" doc:"Ticked off, nothing about it wrong, and nothing holding it"`
}

// ID is a step's own, as it is ticked off by.
func ID(step string) string { return "power." + step }

// settingsStep waits for the settings to be ticked off.
const settingsStep = "settings"

// InsulationStep is the one at which windings are read against the frame.
const InsulationStep = "insulation"

// Setting is one thing to dial in, by the ID it is ticked off by.
type Setting struct{ ID, Name string }

// Steps are the steps of a plan's first power-up, in their order, each held against what was done and read. blocked is
// why the plan may not be powered; empty where it may. The model must run.
func Steps(m *line.Model, sys q.System, settings []Setting, checks []plan.Check, blocked string) []Step {
	list := sequence(m, sys)
	ticked := map[string]*plan.Check{}
	for i := range checks {
		ticked[checks[i].ID] = &checks[i]
	}
	out := make([]Step, len(list))
	deadDone, before := true, true
	for i := range list {
		one := &list[i]
		s := &out[i]
		*s = one.Step
		check := ticked[s.ID]
		if check != nil {
			s.Read = check.Measured
			s.Outcome, s.Says = judged(one, check.Measured)
		}
		switch {
		case s.ID == ID(settingsStep):
			s.Held = unset(settings, ticked)
		case !s.Live:
		case blocked != "":
			s.Held = "Not while this is open: " + blocked
		case !deadDone:
			s.Held = "First everything with the plug out."
		case !before:
			s.Held = "First the step before."
		}
		s.Done = check != nil && !check.Open && s.Says == "" && s.Held == ""
		if s.Live {
			before = s.Done
		} else {
			deadDone = deadDone && s.Done
		}
	}
	return out
}

// unset names the settings that nobody has ticked off.
func unset(settings []Setting, ticked map[string]*plan.Check) string {
	var names []string
	for _, one := range settings {
		if ticked[one.ID] == nil {
			names = append(names, one.Name)
		}
	}
	if len(names) == 0 {
		return ""
	}
	const most = 3
	more := ""
	if len(names) > most {
		more = fmt.Sprintf(" and %d more", len(names)-most)
		names = names[:most]
	}
	return "Not ticked off on the settings sheet yet: " + strings.Join(names, ", ") + more + "."
}

// reads reports whether a figure must be read.
func reads(expected []judge.Expected) bool {
	for i := range expected {
		if !expected[i].Optional {
			return true
		}
	}
	return false
}

// judged holds what was written down against what is expected, and says why it does not do.
func judged(one *asked, text string) (judge.Outcome, string) {
	if len(one.expected) == 0 {
		return judge.Untold, ""
	}
	list := judge.Readings(text, one.expected)
	outcome := judge.Together(list)
	switch {
	case outcome == judge.Meets, outcome == judge.Untold && !one.Reads:
		return outcome, ""
	case strings.TrimSpace(text) == "":
		return outcome, "Ticked off without a reading: write down what was read."
	case outcome == judge.Untold:
		return outcome, fmt.Sprintf("No figure for %s in “%s”: write down the number that was read.", list[0].Of, text)
	}
	return outcome, why(one, list, outcome)
}

func why(one *asked, list []judge.Judged, outcome judge.Outcome) string {
	for i := range list {
		j := &list[i]
		wanted := j.Asked
		if wanted == "" {
			wanted = one.Expect
		}
		switch {
		case j.Outcome != outcome && (j.Outcome != judge.Untold || j.Optional):
		case j.Outcome == judge.Fails:
			return fmt.Sprintf("%s is not right: %s is asked. Nothing that comes after it is done until it is.",
				j.Words, wanted)
		case j.Outcome == judge.CannotTell:
			return fmt.Sprintf("%s does not tell: %s is asked.", j.Words, wanted)
		case outcome == judge.CannotTell:
			return fmt.Sprintf("Read %s too.", j.Of)
		}
	}
	return ""
}

// Failed is a step at which something was read that is not right.
type Failed struct {
	Step
	Check int // which of the plan's checks
}

// Failures are the steps whose reading is not what it must be, whatever else holds them.
func Failures(m *line.Model, sys q.System, checks []plan.Check) (out []Failed) {
	if len(checks) == 0 {
		return nil
	}
	list := sequence(m, sys)
	for i := range list {
		for n := range checks {
			if checks[n].ID != list[i].ID {
				continue
			}
			s := list[i].Step
			s.Read = checks[n].Measured
			if s.Outcome, s.Says = judged(&list[i], s.Read); s.Outcome == judge.Fails {
				out = append(out, Failed{s, n})
			}
		}
	}
	return out
}
