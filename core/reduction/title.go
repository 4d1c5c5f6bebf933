package reduction

import (
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/words"
)

// ShortRatios writes the ratios of all positions in a few characters: "11.0 and 4.5 : 1".
func (r *Resolved) ShortRatios() string {
	var ratios []string
	for _, p := range r.Positions {
		ratios = append(ratios, q.Ratio(p.Ratio))
	}
	if len(ratios) == 0 {
		return "no ratio yet"
	}
	if len(ratios) > 3 {
		return ratios[0] + " to " + ratios[len(ratios)-1]
	}
	return strings.Join(ratios, " and ")
}

// Title names the stages: "Two belts". Of a reduction that nobody touched it says that.
func (r *Resolved) Title() string {
	if len(r.Stages) == 0 {
		return "Not said yet"
	}
	if len(r.Positions) == 0 {
		return "Reduction"
	}
	n, noun := 0, ""
	for _, s := range r.Stages {
		profile := s.Kind.Profile()
		if profile.one == "" {
			continue
		}
		if n++; n == 1 {
			noun = profile.one
		} else {
			noun = plural(noun, profile)
		}
	}
	if n == 0 {
		return "Coupled straight"
	}
	return words.Capital(words.Count(n)) + " " + noun
}

// plural names several stages together: two of a kind by their kind, two sorts of belt as belts.
func plural(before string, p *Profile) string {
	switch {
	case before == p.one || before == p.many:
		return p.many
	case strings.Contains(before, "belt") && p.Belted:
		return "belts"
	}
	return "stages"
}
