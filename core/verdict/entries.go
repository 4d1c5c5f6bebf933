package verdict

import (
	"fmt"

	f "jiriki/core/finding"
	"jiriki/core/plan"
	"jiriki/core/words"
)

// EntryFindings ask for every entry that cannot be used to be mended: whatever it was meant to say,
// a limit or a guard, the rest was worked out without it.
func EntryFindings(s plan.Stations) []f.Finding {
	var out []f.Finding
	said := map[string]bool{}
	for _, e := range s.Entries {
		station, ok := plan.StationOf(e)
		if !ok || said[e.Field] {
			continue
		}
		said[e.Field] = true
		out = append(out, f.Finding{
			ID: "entry." + e.Field, Level: f.Missing, Station: station, Field: e.Field, Entry: true,
			Title: fmt.Sprintf("“%s” cannot be used", e.Given), Detail: words.Capital(e.Message) + ". The rest is worked out without it.",
		})
	}
	return out
}

// Unvouched drops what is called good at a station with an entry that cannot be used: it was checked
// without it.
func Unvouched(s plan.Stations, list []f.Finding) []f.Finding {
	open := map[f.Station]bool{}
	for _, e := range s.Entries {
		if station, ok := plan.StationOf(e); ok {
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
