// Package logbook is what happened to a machine, entry by entry: what a person writes, what follows by itself from a
// plan
// that was changed, hours run, and what is due.
package logbook

import (
	"slices"
	"strings"
	"time"

	q "jiriki/core/quantity"
)

// Sort is what an entry tells of.
type Sort string

// The sorts of entry: the first are written by hand, the rest by themselves.
const (
	Note    Sort = "note"
	Hours   Sort = "hours"   // hours it ran
	Part    Sort = "part"    // a part was replaced
	Upkeep  Sort = "upkeep"  // something that was due was done
	Mended  Sort = "mended"  // a fault was found and put right
	Trial   Sort = "trial"   // something was measured
	Let     Sort = "let"     // a measurement was let into the plan
	Setting Sort = "setting" // a setting was set
	Fitted  Sort = "fitted"  // a part was put by or fitted
	PowerUp Sort = "power"   // a step of the first power-up was taken
	Verdict Sort = "verdict" // what is said of the plan changed
	Plan    Sort = "plan"    // the plan changed
)

// Named is a sort as it is offered.
type Named struct {
	Sort   Sort   `json:"sort"`
	Name   string `json:"name"`
	ByHand bool   `json:"byHand" doc:"A person writes it"`
}

// Sorts returns every sort in the order they are offered.
func Sorts() []Named { return sorts }

var sorts = []Named{
	{Note, "Note", true}, {Hours, "Hours run", true}, {Part, "Part replaced", true}, {Upkeep, "Upkeep done", true},
	{Mended, "Mended", true}, {Trial, "Trial", false}, {Let, "Let into the plan", false}, {Setting, "Setting", false},
	{Fitted, "Part fitted", false}, {PowerUp, "Power-up", false}, {Verdict, "Verdict", false}, {Plan, "Plan changed",
		false},
}

// Entry is one thing that happened. Empty is what was not said.
type Entry struct {
	ID       string    `json:"id" maxLength:"36" doc:"A UUID, made where it is written, so that one sent twice is kept once"`
	Happened time.Time `json:"happened"`
	Sort     Sort      `json:"sort" enum:"note,hours,part,upkeep,mended,trial,let,setting,fitted,power,verdict,plan"`
	Plan     string    `json:"plan" maxLength:"2" doc:"Letter of the plan, if it is one's"`
	Title    string    `json:"title" maxLength:"200"`
	Detail   string    `json:"detail" maxLength:"4000"`
	Hours    q.Text    `json:"hours" unit:"h" doc:"Hours it ran since they were last written down"`
	Item     string    `json:"item" maxLength:"40" doc:"What of the upkeep was done, or which part was replaced"`
	Itself   bool      `json:"itself" doc:"It was written by itself"`
	Before   string    `json:"before" maxLength:"400" doc:"What stood before the change"`
	Pictures []string  `json:"pictures" maxItems:"12" nullable:"false" doc:"IDs, for /api/log-pictures/{id}; in an open file names of files beside it"`
}

// MostEntries is how many a machine keeps.
const MostEntries = 20000

// Whole returns the entry with an empty list in place of an absent one.
func (e Entry) Whole() Entry {
	if e.Pictures == nil {
		e.Pictures = []string{}
	}
	return e
}

// Check reads what of an entry has to be read, refusing on r what cannot be used.
func (e Entry) Check(r *q.Reader) {
	r.Choice("sort", string(e.Sort), "", names()...)
	if h := r.Read("hours", e.Hours, q.Duration, q.Range{Min: 0,
		Max: 3600 * 10000}); e.Sort == Hours && !h.Known && !e.Hours.Known() {
		r.Refuse("hours", "", "write how long it ran, such as 2.5 h")
	}
	if e.Happened.IsZero() || e.Happened.Year() < 1900 || e.Happened.Year() > 2200 {
		r.Refuse("happened", e.Happened.String(), "write the day, such as 2026-11-25")
	}
	if strings.TrimSpace(e.Title) == "" && strings.TrimSpace(e.Detail) == "" && e.Sort == Note && len(e.Pictures) == 0 {
		r.Refuse("title", "", "write what happened")
	}
}

func names() []string {
	out := make([]string, len(sorts))
	for i, s := range sorts {
		out[i] = string(s.Sort)
	}
	return out
}

// RunHours is how long a machine ran over entries, s; those of a mistyped figure count for nothing.
func RunHours(list []Entry) float64 {
	sum := 0.0
	for _, e := range list {
		sum += e.seconds()
	}
	return sum
}

func (e Entry) seconds() float64 {
	if !e.Hours.Known() {
		return 0
	}
	text := e.Hours
	if v, err := q.Parse(text, q.Number); err == nil {
		return 3600 * v // a bare number is hours
	}
	v, err := q.Parse(text, q.Duration)
	if err != nil {
		return 0
	}
	return v
}

// Newest puts the entries that happened last first.
func Newest(list []Entry) {
	slices.SortStableFunc(list, func(a, b Entry) int { return b.Happened.Compare(a.Happened) })
}
