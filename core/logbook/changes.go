package logbook

import (
	"cmp"
	"fmt"
	"reflect"
	"slices"
	"strings"

	m "jiriki/core/measured"
	"jiriki/core/plan"
	"jiriki/core/work"
)

// Saved is a plan with its machine as it was saved.
type Saved struct {
	Machine work.Machine
	Plan    plan.Plan
}

// Change is an entry that follows from a save. Key tells it apart from the plan's others: one of the same key takes its
// place. Together says that what it was before is kept from the one it takes the place of, and its details joined.
type Change struct {
	Key      string
	Entry    Entry
	Together bool
	Gone     bool // what it told of was taken back
}

// Ticked is what a check is called, and why what was read at it is not right; empty where it is, or nothing was.
type Ticked struct{ Name, Failed string }

// Names are the checks of a plan by their IDs.
type Names map[string]Ticked

// Changes are the entries that follow from what was saved before and after. Nothing follows from ticks and trials that
// are the same; of anything else only which part of the plan it was in.
func Changes(before, after Saved, names Names) []Change {
	var out []Change
	out = append(out, checks(before.Plan.Checks, after.Plan.Checks, names)...)
	out = append(out, trials(before.Plan.Trials, after.Plan.Trials)...)
	if parts := changedParts(before, after); len(parts) > 0 {
		out = append(out, Change{Key: "plan", Together: true, Entry: Entry{Sort: Plan, Title: "Plan changed",
			Detail: strings.Join(parts, ", ")}})
	}
	return out
}

// Judged is what is said of a plan, in two answers.
type Judged struct{ Power, Does string }

// VerdictChange is the entry of a verdict that is another; false where it is the same.
func VerdictChange(before, after Judged) (Change, bool) {
	if before == after {
		return Change{}, false
	}
	say := func(j Judged) string { return j.Does + " Power: " + j.Power }
	return Change{Key: "verdict", Together: true, Entry: Entry{Sort: Verdict, Title: "Verdict: " + after.Does,
		Detail: "Power: " + after.Power, Before: cut(say(before), 400)}}, true
}

func cut(s string, most int) string {
	if runes := []rune(s); len(runes) > most {
		return string(runes[:most-1]) + "…"
	}
	return s
}

// failed is what the key of a reading that failed ends in.
const failed = ".failed"

// checkSorts are the entries ticks make, by the first word of their ID.
var checkSorts = map[string]Sort{"setting": Setting, "power": PowerUp}

func checks(before, after []plan.Check, names Names) (out []Change) {
	was := map[string]plan.Check{}
	for _, c := range before {
		was[c.ID] = c
	}
	for _, c := range after {
		old, known := was[c.ID]
		delete(was, c.ID)
		if known && old == c {
			continue
		}
		first, _, _ := strings.Cut(c.ID, ".")
		key, named := "check."+c.ID, names[c.ID]
		e := Entry{Sort: cmp.Or(checkSorts[first], Fitted), Title: cut(cmp.Or(named.Name, c.ID), 200),
			Detail: c.Measured}
		switch {
		case named.Failed != "":
			// What failed stays written down when it is mended and read again.
			e.Title, e.Detail = cut("Failed: "+e.Title, 200), named.Failed
			out = append(out, Change{Key: key + failed, Entry: e}, Change{Key: key, Gone: true})
			continue
		case known && old.Measured != c.Measured && strings.HasPrefix(c.Measured, old.Measured):
			// It was still being typed: what failed was half a figure.
			out = append(out, Change{Key: key + failed, Gone: true})
		}
		if c.Open {
			out = append(out, Change{Key: key, Gone: true})
			continue
		}
		out = append(out, Change{Key: key, Entry: e})
	}
	for id := range was {
		out = append(out, Change{Key: "check." + id, Gone: true})
	}
	slices.SortStableFunc(out, func(a, b Change) int { return cmp.Compare(a.Key, b.Key) })
	return out
}

func trials(before, after []m.Trial) (out []Change) {
	was := map[string]m.Trial{}
	for _, t := range before {
		was[t.ID] = t
	}
	for _, t := range after {
		old, known := was[t.ID]
		delete(was, t.ID)
		name := t.Kind.Profile().Name
		if len(t.Readings) > 0 && (!known || !reflect.DeepEqual(old.Whole(), t.Whole())) {
			what := fmt.Sprintf("%d readings", len(t.Readings))
			if len(t.Readings) == 1 {
				what = "one reading"
			}
			if t.Part != "" {
				what = t.Part + ", " + what
			}
			out = append(out, Change{Key: "trial." + t.ID, Entry: Entry{Sort: Trial, Title: name,
				Detail: cut(joined(what, t.Note), 4000)}})
		}
		if t.Used != "" && old.Used != t.Used {
			out = append(out, Change{Key: "let." + t.ID, Entry: Entry{Sort: Let,
				Title: name + ", taken into the plan"}})
		}
		if t.Used == "" && old.Used != "" {
			out = append(out, Change{Key: "let." + t.ID, Gone: true})
		}
	}
	for id, t := range was {
		if len(t.Readings) > 0 {
			out = append(out, Change{Key: "trial." + id, Gone: true})
		}
		if t.Used != "" {
			out = append(out, Change{Key: "let." + id, Gone: true})
		}
	}
	slices.SortStableFunc(out, func(a, b Change) int { return cmp.Compare(a.Key, b.Key) })
	return out
}

func joined(parts ...string) string {
	return strings.Join(slices.DeleteFunc(parts, func(s string) bool { return s == "" }), ". ")
}

// partNames are the parts of a plan as a change names them.
var partNames = []struct {
	name string
	of   func(s *Saved) any
}{
	{"jobs", func(s *Saved) any { return s.Machine.Jobs }}, {"machine's limits",
		func(s *Saved) any { return s.Machine.Limits }},
	{"machine", func(s *Saved) any { return []any{s.Machine.Kind, s.Machine.Place} }},
	{"supply", func(s *Saved) any { return s.Plan.Supply }}, {"control", func(s *Saved) any { return s.Plan.Control }},
	{"motor", func(s *Saved) any { return s.Plan.Motor }}, {"reduction",
		func(s *Saved) any { return s.Plan.Reduction }},
	{"script", func(s *Saved) any { return s.Plan.Script }},
}

func changedParts(before, after Saved) (out []string) {
	before.Plan, after.Plan = before.Plan.Whole(), after.Plan.Whole()
	for _, p := range partNames {
		if !reflect.DeepEqual(p.of(&before), p.of(&after)) {
			out = append(out, p.name)
		}
	}
	return out
}

// Join puts a change in the place of an entry of the same key.
func (c Change) Join(old Entry) Entry {
	e := c.Entry
	if !c.Together {
		return e
	}
	switch e.Sort {
	case Plan:
		parts := strings.Split(old.Detail, ", ")
		for _, p := range strings.Split(e.Detail, ", ") {
			if !slices.Contains(parts, p) {
				parts = append(parts, p)
			}
		}
		e.Detail = strings.Join(slices.DeleteFunc(parts, func(s string) bool { return s == "" }), ", ")
	case Verdict:
		e.Before = cmp.Or(old.Before, e.Before)
	}
	return e
}
