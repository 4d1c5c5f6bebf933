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

var stageNouns = map[Kind][2]string{
	VBelt: {"belt", "belts"}, PolyV: {"poly-V belt", "poly-V belts"}, Toothed: {"toothed belt", "toothed belts"},
	LinkBelt: {"link belt", "link belts"}, Flat: {"flat belt", "flat belts"},
	Chain: {"chain", "chains"}, Spur: {"gear pair", "gear pairs"}, Worm: {"worm and wheel", "worms and wheels"},
}

// Title names the stages: "Two belts".
func (r *Resolved) Title() string {
	if len(r.Positions) == 0 {
		return "Reduction"
	}
	n, noun := 0, ""
	for _, s := range r.Stages {
		nouns, ok := stageNouns[s.Kind]
		if !ok {
			continue
		}
		if n++; n == 1 {
			noun = nouns[0]
		} else {
			noun = plural(noun, nouns[1], s)
		}
	}
	if n == 0 {
		return "Coupled straight"
	}
	return words.Capital(words.Count(n)) + " " + noun
}

// plural names several stages together: two of a kind by their kind, two sorts of belt as belts.
func plural(before, noun string, s Stage) string {
	switch {
	case before == noun || before+"s" == noun:
		return noun
	case strings.Contains(before, "belt") && s.Belted():
		return "belts"
	}
	return "stages"
}
