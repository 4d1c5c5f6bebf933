package verdict

import (
	"fmt"

	f "jiriki/core/finding"
	"jiriki/core/judge"
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

// neededFindings ask for every entry that an answer hangs on and that is blank.
func (v *verdict) neededFindings() {
	for _, b := range judge.Blanks(v.Model, v.sys) {
		if b.ID == f.WorkDiameter && v.wheelAsked() {
			continue
		}
		one := v.add(b.ID, f.Missing, b.Field, b.Title, b.How)
		one.Holds, one.Offer = b.Holds, b.Offer
	}
}

// wheelAsked reports whether the wheel is asked for by a job already; both answers then hang on that.
func (v *verdict) wheelAsked() (asked bool) {
	for i := range v.list {
		if one := &v.list[i]; one.ID.IsOf(f.WorkWheel) {
			one.Holds, asked = f.HoldsBoth, true
		}
	}
	return asked
}

// unvouched drops what is called good at a station with an entry that is needed and not there, or cannot be used: it
// was checked without it. A job stays good unless jobs hang on what is missing.
func unvouched(s *plan.Stations, list []f.Finding) []f.Finding {
	open, jobs := map[f.Station]bool{}, judge.JobsHang(list)
	for _, e := range s.Entries {
		if station, ok := plan.StationOf(e); ok {
			open[station], jobs = true, true
		}
	}
	for i := range list {
		if one := &list[i]; one.Level == f.Missing && one.Holds != "" && (one.Job == "" || one.Holds.Power()) {
			open[one.Station] = true
		}
	}
	kept := list[:0]
	for _, one := range list {
		unsure := open[one.Station]
		if one.Job != "" {
			unsure = jobs
		}
		if one.Level != f.Good || !unsure {
			kept = append(kept, one)
		}
	}
	return kept
}
