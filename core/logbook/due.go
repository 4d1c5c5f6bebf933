package logbook

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"time"

	"jiriki/core/control"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Due is one thing of the upkeep: how often it is done, and how far it is from then.
type Due struct {
	Item   string  `json:"item" doc:"Its name, as an entry of upkeep carries it"`
	What   string  `json:"what"`
	How    string  `json:"how" doc:"What is looked at, or done"`
	Hours  float64 `json:"hours" doc:"Every so many hours it runs; 0 for none"`
	Months float64 `json:"months" doc:"Every so many months; 0 for none"`
	Run    float64 `json:"run" doc:"Hours it ran since it was last done"`
	Since  string  `json:"since" doc:"The day it was last done; empty where it never was"`
	State  State   `json:"state" enum:"due,soon,unknown,fine"`
	Says   string  `json:"says" doc:"How far it is, in words"`
}

// State is how near something is to being due.
type State string

// The states, the most pressing first.
const (
	IsDue State = "due"
	Soon  State = "soon"
	// NotKnown is what nobody has written down as done: that it is not due by the log says nothing of how it is.
	NotKnown State = "unknown"
	Fine     State = "fine"
)

func (s State) rank() int {
	switch s {
	case IsDue:
		return 0
	case Soon:
		return 1
	case NotKnown:
		return 2
	}
	return 3
}

// upkeep is what a line of some sort has to have done, and how often [common practice, no source].
type upkeep struct {
	item, what, how string
	hours, months   float64
	has             func(s *plan.Stations) bool
}

var upkeeps = []upkeep{
	{"stop", "Stop, release and guards", "Press the stop, pull the plug while it runs and put it back: it must " +
		"stay still. Every guard on.",
		0, 3, always},
	{"earth", "Earth and residual-current device", "Press its test button. Ohms from the plug's pin to the frame, " +
		"under half an ohm.",
		0, 6, func(s *plan.Stations) bool { return !s.Supply.Battery }},
	{"brushes", "Brushes", "Unplugged: length, springs, how they sit; blow out the dust out of doors, with a mask.",
		100, 12,
		func(s *plan.Stations) bool { return s.Motor.Kind.Brushed() }},
	{"belts", "Belts", "Unplugged: tension, cracks, dust under them, wheels tight on their shafts.", 50, 6, belted},
	{"chain", "Chain", "Unplugged: clean, oil, tension, hooked teeth.", 30, 3, staged(reduction.Chain)},
	{"gears", "Gears", "Unplugged: oil or grease, chips out of the teeth, backlash.", 200, 12, staged(reduction.Spur,
		reduction.Worm)},
	{"bearings", "Bearings", "Turn it by hand: rough, loose or dry? Grease a little; too much heats.", 500, 12, always},
	{"air", "Dust in motor and drive", "Unplugged, minutes later: brush and suck the vents clear. Terminals tight.",
		100, 6,
		func(s *plan.Stations) bool { return s.Motor.Kind != "" }},
	{"switch", "Start switch and its capacitor", "Listen for the click as it slows. Contacts clean, capacitor not " +
		"swollen.", 200, 12,
		func(s *plan.Stations) bool { return s.Motor.Kind.HasStartSwitch() }},
	{"contacts", "Contactor", "Unplugged: contacts burnt or buzzing? Terminals tight.", 500, 24,
		func(s *plan.Stations) bool { return s.Control.Kind == control.Contactor }},
	{"battery", "Battery", "Terminals clean and tight, charge held, case not swollen.", 0, 3,
		func(s *plan.Stations) bool { return s.Supply.Battery }},
}

func always(*plan.Stations) bool { return true }

func belted(s *plan.Stations) bool {
	return slices.ContainsFunc(s.Reduction.Stages, func(st reduction.Stage) bool { return st.Kind.Profile().Belted })
}

func staged(kinds ...reduction.Kind) func(s *plan.Stations) bool {
	return func(s *plan.Stations) bool {
		return slices.ContainsFunc(s.Reduction.Stages, func(st reduction.Stage) bool {
			return slices.Contains(kinds,
				st.Kind)
		})
	}
}

// Where something counts as soon, of its interval; and how long a month is.
const (
	soonFrom    = 0.8
	daysAMonth  = 30.4
	hoursSecond = 3600
)

// DueOf is what the upkeep of a plan's machine asks for at a time, the most pressing first. What was never done counts
// from the first entry, as what was new then. The same entries and time always give the same answer.
func DueOf(s *plan.Stations, list []Entry, now time.Time) []Due {
	first := now
	for _, e := range list {
		if e.Happened.Before(first) {
			first = e.Happened
		}
	}
	out := []Due{}
	for _, u := range upkeeps {
		if u.has(s) {
			out = append(out, u.due(list, first, now))
		}
	}
	slices.SortStableFunc(out, func(a, b Due) int { return cmp.Compare(a.State.rank(), b.State.rank()) })
	return out
}

func (u upkeep) due(list []Entry, first, now time.Time) Due {
	last, done := first, false
	for _, e := range list {
		if e.Sort == Upkeep && e.Item == u.item && !e.Happened.Before(last) {
			last, done = e.Happened, true
		}
	}
	d := Due{Item: u.item, What: u.what, How: u.how, Hours: u.hours, Months: u.months, State: Fine}
	if done {
		d.Since = last.Format("2006-01-02")
	}
	for _, e := range list {
		if e.Happened.After(last) {
			d.Run += e.seconds() / hoursSecond
		}
	}
	d.Run = q.Rounded(d.Run)
	months := now.Sub(last).Hours() / 24 / daysAMonth
	share := 0.0
	if u.hours > 0 {
		share = d.Run / u.hours
	}
	if u.months > 0 {
		share = math.Max(share, months/u.months)
	}
	switch {
	case share >= 1:
		d.State = IsDue
	case share >= soonFrom:
		d.State = Soon
	case !done:
		d.State = NotKnown
	}
	d.Says = u.says(d, months)
	return d
}

func (u upkeep) says(d Due, months float64) string {
	if d.Since == "" {
		return "every " + u.interval() + "; never written down as done"
	}
	text := ""
	if u.hours > 0 {
		text = fmt.Sprintf("%s of %s%sh, ", q.Figures(d.Run, 2), q.Figures(u.hours, 3), q.ThinSpace)
	}
	if u.months > 0 {
		text += fmt.Sprintf("%s of %s months, ", q.Figures(math.Round(10*max(months, 0))/10, 2), q.Figures(u.months, 2))
	}
	return text + "last on " + d.Since
}

// interval is how often it is done, in words.
func (u upkeep) interval() string {
	months := q.Figures(u.months, 2) + " months"
	if u.hours == 0 {
		return months
	}
	return q.Figures(u.hours, 3) + q.ThinSpace + "h or " + months
}
