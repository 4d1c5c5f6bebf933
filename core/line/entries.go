package line

import (
	"fmt"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
)

// entryStations are the stations by the first word of a field's path. A price is no station's.
var entryStations = map[string]f.Station{"supply": f.Supply, "control": f.Control, "motor": f.Motor, "reduction": f.Reduction, "machine": f.Work}

// stationOf is the station an entry belongs to, if it belongs to one.
func stationOf(e q.FieldError) (f.Station, bool) {
	root, _, _ := strings.Cut(e.Field, ".")
	station, ok := entryStations[root]
	return station, ok
}

// entryFindings ask for every entry that cannot be used to be mended: whatever it was meant to say,
// a limit or a guard, the rest was worked out without it.
func entryFindings(s plan.Stations) []f.Finding {
	var out []f.Finding
	said := map[string]bool{}
	for _, e := range s.Entries {
		station, ok := stationOf(e)
		if !ok || said[e.Field] {
			continue
		}
		said[e.Field] = true
		out = append(out, f.Finding{
			ID: "entry." + e.Field, Level: f.Missing, Station: station, Field: e.Field, Entry: true,
			Title: fmt.Sprintf("“%s” cannot be used", e.Given), Detail: capital(e.Message) + ". The rest is worked out without it.",
		})
	}
	return out
}

// unvouched drops what is called good at a station with an entry that cannot be used: it was checked
// without it.
func unvouched(s plan.Stations, list []f.Finding) []f.Finding {
	open := map[f.Station]bool{}
	for _, e := range s.Entries {
		if station, ok := stationOf(e); ok {
			open[station] = true
		}
	}
	kept := list[:0]
	for _, one := range list {
		if one.Level != f.Good || !open[one.Station] {
			kept = append(kept, one)
		}
	}
	return kept
}

// tainted are the entries that cannot be used and may bear on every job: all but the jobs' own, which
// keep only their job from being judged, and prices.
func tainted(s plan.Stations) q.FieldErrors {
	var out q.FieldErrors
	for _, e := range s.Entries {
		if _, ok := stationOf(e); ok && !strings.HasPrefix(e.Field, "machine.jobs[") {
			out = append(out, e)
		}
	}
	return out
}

// sure refuses to compare or search by what stands in for an entry that cannot be used: it may be kinder
// than what was meant. The error is quantity.FieldErrors.
func sure(s plan.Stations) error {
	if t := tainted(s); len(t) > 0 {
		return t
	}
	return nil
}

// unsettled takes back that jobs are done, where they were judged by what stands in for an entry.
func unsettled(fares []fare) {
	for i := range fares {
		if fares[i].outcome.done() {
			fares[i].outcome = cannotJudge
		}
	}
}
