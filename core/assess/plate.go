package assess

import (
	"slices"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/words"
)

// bearsOnSpeed are the findings that a speed plate must not hang under: what it says could be followed to harm.
var bearsOnSpeed = []f.ID{f.WorkTopSpeed, f.WorkFasterThanEver, f.WorkLimit, f.WorkDiameter, f.WorkRim,
	f.ControlRotorSpeed, f.ControlBaseHertz, f.ReductionBeltSpeed}

// speedFields are where an entry that cannot be used leaves the speeds unknown.
var speedFields = []string{"machine.limits", "reduction", "motor.plate.speed", "motor.gearbox", "control.topTrim",
	"control.topHertz", "control.baseHertz", "supply.hertz"}

// plateWithheld says why no speed plate is printed: a stop, or what is not known, that bears on speed; empty where it
// may be.
func plateWithheld(a *Assessment) string {
	for i := range a.Findings {
		one := &a.Findings[i]
		bears := slices.ContainsFunc(bearsOnSpeed, func(id f.ID) bool { return one.ID == id || one.ID.IsOf(id) })
		if one.Entry {
			bears = slices.ContainsFunc(speedFields, func(at string) bool { return strings.HasPrefix(one.Field, at) })
		}
		if bears && (one.Level == f.Stop || one.Level == f.Missing) {
			return words.Sentence(one.Title) + " " + one.Detail
		}
	}
	return ""
}
