// Package verdict says in words what is to be said of a plan from its model: what stops it, what is missing,
// what to watch, what is sound, and whether it may be powered.
package verdict

import (
	f "jiriki/core/finding"
	"jiriki/core/line"
	q "jiriki/core/quantity"
)

// Asked is the order in which what is missing is asked for.
var Asked = map[f.Station]int{f.Work: 0, f.Motor: 1, f.Control: 2, f.Reduction: 3, f.Supply: 4}

// MayPower reports whether no stop but a job's own shortfall is open, and the plan runs.
func MayPower(findings []f.Finding, runs bool) bool {
	for _, one := range findings {
		if one.Level == f.Stop && !one.Short {
			return false
		}
	}
	return runs
}

// verdict gathers findings in one system of units.
type verdict struct {
	*line.Model
	sys  q.System
	list []f.Finding
}

func (v *verdict) show(value float64, d q.Dimension) string { return q.Show(value, d, v.sys) }

func (v *verdict) add(station f.Station, id string, level f.Level, field, title, detail string) {
	v.list = append(v.list, f.Finding{ID: string(station) + "." + id, Level: level, Station: station, Title: title, Detail: detail, Field: field})
}

// Voltages [common practice]: above extra-low voltage a touch can kill.
const ExtraLowVolts = 50

// Judge gathers everything there is to say about the plan except how its jobs result.
func Judge(t *line.Model, sys q.System) []f.Finding {
	v := &verdict{Model: t, sys: sys, list: make([]f.Finding, 0, 40)}
	v.supplyFindings()
	v.controlFindings()
	v.list = append(v.list, t.Motor.Findings(sys)...)
	v.list = append(v.list, reductionFindings(t, sys)...)
	v.workFindings()
	v.alwaysFindings()
	return v.list
}
