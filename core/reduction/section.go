package reduction

// section is what a belt section asks of its pulleys.
type section struct {
	kinds    []Kind
	offset   float64 // m from the rim to the pitch line; negative outside it
	smallest float64 // m, least pitch diameter it bends round
	mass     float64 // kg/m of one belt or rib
}

// sections by name [from memory].
var sections = map[string]section{
	"Z": {kinds: []Kind{VBelt, LinkBelt}, offset: 2.5e-3, smallest: 50e-3, mass: 0.06},
	"A": {kinds: []Kind{VBelt, LinkBelt}, offset: 3.3e-3, smallest: 75e-3, mass: 0.11},
	"B": {kinds: []Kind{VBelt, LinkBelt}, offset: 4.2e-3, smallest: 125e-3, mass: 0.19},
	"J": {kinds: []Kind{PolyV}, offset: -1.2e-3, smallest: 20e-3, mass: 0.0085},
	"K": {kinds: []Kind{PolyV}, offset: -1.5e-3, smallest: 45e-3, mass: 0.020},
	"L": {kinds: []Kind{PolyV}, offset: -3.0e-3, smallest: 75e-3, mass: 0.036},
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

// PitchOffset returns how far a section's pitch line lies inside the rim, metres (negative:
// outside).
func PitchOffset(name string) float64 { return sections[name].offset }
