package search

import (
	"slices"

	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// mostKinds is how many families of belt are looked through at once.
const mostKinds = 3

// Within are the bounds a search kept to, where it was not told other ones.
type Within struct {
	Kinds     []string `json:"kinds" nullable:"false"`
	CentreMax string   `json:"centreMax"`
	Largest   string   `json:"largest"`
}

// usualKinds are the families looked through where nobody chose: those of the plan's own stages, then those of which
// the shelf has a wheel, then the commonest.
func usualKinds(t *line.Model, stock []shelf.Item) []string {
	var out []string
	add := func(name string) {
		if name != "" && len(out) < mostKinds && !slices.Contains(out, name) {
			out = append(out, name)
		}
	}
	for i := range t.Reduction.Stages {
		add(familyOf(&t.Reduction.Stages[i]))
	}
	for _, name := range shelf.FamilyNames() {
		f, _ := shelf.NewFamily(name, stock, usualLargest, true, q.Metric)
		if len(f.Wheels) > 1 {
			add(name)
		}
	}
	if len(out) == 0 {
		add("v-A")
	}
	return out
}

// familyOf is the family a stage's belt or chain is of; empty where there is none.
func familyOf(s *reduction.Stage) string {
	switch s.Kind {
	case reduction.VBelt, reduction.LinkBelt:
		return "v-" + s.Section
	case reduction.PolyV:
		if s.Section != "L" {
			return "poly-v-" + s.Section
		}
	case reduction.Toothed:
		return "toothed-5"
	case reduction.Chain:
		return "chain-12.7"
	}
	return ""
}

// fitOwn adds the pulleys that the plan's own stages of a family have.
func fitOwn(f *shelf.Family, name string, t *line.Model) {
	for i := range t.Reduction.Stages {
		s := &t.Reduction.Stages[i]
		if familyOf(s) != name || s.Kind.Toothed() {
			continue
		}
		for _, step := range s.Steps {
			if step.Driver > 0 && step.Driven > 0 {
				f.Fit(step.Driver)
				f.Fit(step.Driven)
			}
		}
	}
}

// roomFor are the most between shafts and the largest wheel, m, where nobody told them: usual ones, and what the plan
// and the shelf have.
func roomFor(t *line.Model, stock []shelf.Item) (centreMax, largest float64) {
	centreMax, largest = usualCentreMax, usualLargest
	for _, s := range t.Reduction.Stages {
		centreMax = max(centreMax, s.Centre)
		for _, step := range s.Steps {
			largest = max(largest, step.Driver, step.Driven)
		}
	}
	for i := range stock {
		if d, err := q.Parse(stock[i].Wheel.Diameter, q.Length); err == nil && stock[i].Is(shelf.Pulley) {
			largest = max(largest, d)
		}
	}
	return centreMax, largest
}

// fastestOf is how fast a belt may run, m/s: as is good for it, or as fast as the plan's own does, short of what
// bursts a rim.
func fastestOf(t *line.Model) float64 {
	most := reduction.FastBelt
	if !t.Runs || t.Reduction.Missing != "" {
		return most
	}
	for i, s := range t.Reduction.Stages {
		for _, step := range s.Steps {
			if !s.Kind.Bare() {
				most = max(most, reduction.BeltSpeed(step.Driver, t.FastestDriver(i)))
			}
		}
	}
	return min(most, reduction.BurstingBelt)
}
