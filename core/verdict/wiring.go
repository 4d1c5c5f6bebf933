package verdict

import (
	f "jiriki/core/finding"
	"jiriki/core/wiring"
	"jiriki/core/words"
)

// amiss are what is said of a check that fails, and the field where it is put right.
var amiss = map[string]struct{ title, field string }{
	"fuse":     {"No fuse in a live line", "control.fused"},
	"earth":    {"Not everything is on earth", "supply.earthed"},
	"thermal":  {"Thermal switch stops nothing", "control.noVolt"},
	"overload": {"Overload relay stops nothing", "control.noVolt"},
	"reverse":  {"Reverse not interlocked", "control.reverse"},
}

// wiringFindings stop what the plan's wiring, drawn up and looked over, leaves unsafe and nothing else has
// stopped.
func (v *verdict) wiringFindings() {
	spec, ok := v.Wiring()
	if !ok {
		return
	}
	_, checks := wiring.Looked(spec)
	for _, c := range checks {
		said, known := amiss[c.ID]
		if !known {
			said.title, said.field = "Wiring not sound: "+words.LowerFirst(c.Title), "control.kind"
		}
		if !c.OK && !v.stops(said.field) {
			v.add(f.ControlWiring.Of(c.ID), f.Stop, said.field, said.title, c.Detail)
		}
	}
}

// stops reports whether something at a field is a stop already.
func (v *verdict) stops(field string) bool {
	for _, one := range v.list {
		if one.Level == f.Stop && one.Field == field {
			return true
		}
	}
	return false
}
