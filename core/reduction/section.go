package reduction

import (
	"strings"

	q "jiriki/core/quantity"
)

// section is what a belt section asks of its pulleys.
type section struct {
	kinds    []Kind
	metric   float64 // m from a metric rim to the datum line, on which the belt pitches; negative outside it
	inch     float64 // and from an inch rim
	smallest float64 // m, least pitch diameter it bends round
	mass     float64 // kg/m of one belt or rib
}

// sections by name. The offset belongs to the rim: metric rims stand so far over the datum line [ISO 4183, from
// memory], inch rims of classical belts by half of 0.25, 0.35 in [from memory]; there is no inch rim of Z. The pitch of
// ribbed belts runs outside the rim, K and L by a spread of which this is the middle [ISO 9982, from memory].
var sections = map[string]section{
	"Z": {kinds: []Kind{VBelt, LinkBelt}, metric: 2.0e-3, inch: 2.0e-3, smallest: 50e-3, mass: 0.06},
	"A": {kinds: []Kind{VBelt, LinkBelt}, metric: 2.75e-3, inch: 0.125 * inch, smallest: 75e-3, mass: 0.11},
	"B": {kinds: []Kind{VBelt, LinkBelt}, metric: 3.5e-3, inch: 0.175 * inch, smallest: 125e-3, mass: 0.19},
	"J": {kinds: []Kind{PolyV}, metric: -1.2e-3, inch: -1.2e-3, smallest: 20e-3, mass: 0.0085},
	"K": {kinds: []Kind{PolyV}, metric: -1.8e-3, inch: -1.8e-3, smallest: 45e-3, mass: 0.020},
	"L": {kinds: []Kind{PolyV}, metric: -3.25e-3, inch: -3.25e-3, smallest: 75e-3, mass: 0.036},
}

// sectionOf is the section of a stage: as given where the kind comes in it, else the usual one.
func sectionOf(kind Kind, given string) string {
	for _, k := range sections[given].kinds {
		if k == kind {
			return given
		}
	}
	return kind.Profile().Section
}

// Smallest returns the smallest pitch diameter a section should bend round, metres, or 0.
func Smallest(name string) float64 { return sections[name].smallest }

// PitchOffset returns how far a section's pitch line lies inside the rim of a pulley, metres (negative: outside): of
// one made in inches, or in millimetres.
func PitchOffset(name string, inches bool) float64 {
	if inches {
		return sections[name].inch
	}
	return sections[name].metric
}

// InInches reports whether a size was typed in inches, as those who have such pulleys do.
func InInches(size q.Text) bool {
	text := strings.ToLower(strings.TrimSpace(string(size)))
	for _, unit := range []string{"in", "inch", "inches", `"`, "″", "”"} {
		if strings.HasSuffix(text, unit) {
			return true
		}
	}
	return false
}
