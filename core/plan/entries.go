package plan

import (
	"strings"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
)

// entryStations are the stations by the first word of a field's path. A price is no station's.
var entryStations = map[string]f.Station{"supply": f.Supply, "control": f.Control, "motor": f.Motor,
	"reduction": f.Reduction, "machine": f.Work}

// StationOf is the station an entry belongs to, if it belongs to one.
func StationOf(e q.FieldError) (f.Station, bool) {
	root, _, _ := strings.Cut(e.Field, ".")
	station, ok := entryStations[root]
	return station, ok
}

// Unusable are the entries that cannot be used and may bear on every job: all but the jobs' own, which
// keep only their job from being judged, and prices.
func (s *Stations) Unusable() q.FieldErrors {
	var out q.FieldErrors
	for _, e := range s.Entries {
		if _, ok := StationOf(e); ok && !strings.HasPrefix(e.Field, "machine.jobs[") {
			out = append(out, e)
		}
	}
	return out
}

// Usable refuses to compare or search by what stands in for an entry that cannot be used: it may be kinder
// than what was meant. The error is quantity.FieldErrors.
func (s *Stations) Usable() error {
	if t := s.Unusable(); len(t) > 0 {
		return t
	}
	return nil
}
