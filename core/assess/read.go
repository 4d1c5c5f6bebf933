package assess

import (
	"fmt"

	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/powerup"
)

// misread are the stops of what was read in the first power-up and is not what it must be: whatever the plan says, it
// may not be powered until it is.
func misread(m *line.Model, in *plan.Input) (out []f.Finding) {
	if !m.Runs {
		return nil
	}
	for _, one := range powerup.Failures(m, in.Units, in.Plan.Checks) {
		id := f.SupplyMisread.Of(one.ID)
		out = append(out, f.Finding{ID: id, Level: f.Stop, Station: id.Station(),
			Title:  fmt.Sprintf("Read in the power-up: %s", one.Read),
			Detail: one.What + " " + one.Says, Field: fmt.Sprintf("checks[%d].measured", one.Check)})
	}
	return out
}
