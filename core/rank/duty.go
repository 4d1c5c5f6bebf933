package rank

import (
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// against is what speaks against a motor for this machine's duty, in words [common practice]: a speed that falls
// further than a job allows, brushes where it works for hours or sparks set dust alight.
func against(t *line.Model, d setup) []string {
	out := []string{}
	worst, of := 0.0, ""
	hours, dusty := false, work.FindKind(t.Machine.Kind).Dusty || t.Machine.Place.Dust == "yes"
	for i := range t.Machine.Jobs {
		job := &t.Machine.Jobs[i]
		if job.Missing != "" {
			continue
		}
		hours = hours || job.Duty.Kind == "continuous"
		dusty = dusty || job.Dusty
		if fall := d.fall(i); job.Fall > 0 && fall > job.Fall && fall > worst {
			worst, of = fall, job.Name
		}
	}
	if worst > 0 {
		out = append(out, "its speed falls by "+q.Percent(worst)+" under "+of)
	}
	if !t.Motor.Kind.Brushed() {
		return out
	}
	if hours {
		wears := "its brushes wear over hours of work"
		if t.Motor.Kind == motor.Universal {
			wears = "its brushes last some hundreds of hours, and it is loud"
		}
		out = append(out, wears)
	}
	if dusty {
		out = append(out, "its brushes spark in the dust")
	}
	return out
}

// fall is how far the speed falls under a job at the setup's ratio.
func (d *setup) fall(i int) float64 {
	at := *d.model
	at.Reduction.Positions = append(at.Reduction.Positions[:0:0], d.position)
	result := d.results[i]
	result.Position = 0
	return at.Fall(&at.Machine.Jobs[i], &result)
}
