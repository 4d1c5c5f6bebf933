package verdict

import (
	"fmt"

	f "jiriki/core/finding"
	"jiriki/core/plan"
	"jiriki/core/words"
)

// entryFindings ask for every entry that cannot be used to be mended: whatever it was meant to say,
// a limit or a guard, the rest was worked out without it.
func (v *verdict) entryFindings() {
	said := map[string]bool{}
	for _, e := range v.Entries {
		station, ok := plan.StationOf(e)
		if !ok || said[e.Field] {
			continue
		}
		said[e.Field] = true
		v.list = append(v.list, f.Finding{
			ID: f.ID("entry." + e.Field), Level: f.Missing, Station: station, Field: e.Field, Entry: true,
			Title: fmt.Sprintf("“%s” cannot be used", e.Given), Detail: words.Capital(e.Message) +
				". The rest is worked out without it.",
		})
	}
}

// unvouched drops what is called good at a station with an entry that cannot be used: it was checked
// without it.
func unvouched(s *plan.Stations, list []f.Finding) []f.Finding {
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
