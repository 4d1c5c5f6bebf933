package fault

import (
	"cmp"
	"slices"
	"strings"
)

// phrase is one way to tell a symptom.
type phrase struct {
	words  []string
	weight float64
}

// phrases are those of each symptom, read once.
var phrases = func() map[string][]phrase {
	out := map[string][]phrase{}
	for id, text := range tells {
		for _, one := range strings.Split(text, ",") {
			one = strings.TrimSpace(one)
			p := phrase{weight: 1}
			if rest, marked := strings.CutPrefix(one, "!"); marked {
				p.weight, one = 3, rest
			}
			p.words = strings.Fields(one)
			// More words in their order are less of a chance.
			p.weight *= 1 + 0.4*float64(len(p.words)-1)
			out[id] = append(out[id], p)
		}
	}
	return out
}()

// common are words of phrases that tell nothing where they stand alone.
var common = setOf(`
	switch~ switch switching on off once turn turns turning turn~ turned start starts started start~ stop stops
	stop~ not no up down speed power go goes going get gets got after before again full only run runs running run~
	first still way by one back motor drive work works it itself hand knob dial pot shows says press~ keeps makes
	takes give all at out when while then as under too low high fault trip~ trips when with minutes minute until
	unless must have used own come comes came will would than does do end set noise even soon just wait second two
	three ten hour half`)

func setOf(words string) map[string]bool {
	out := map[string]bool{}
	for _, w := range strings.Fields(words) {
		out[w] = true
	}
	return out
}

// hints are the words of each symptom's phrases that tell something by themselves, each by how few symptoms have it.
var hints = func() map[string][]phrase {
	out, known := map[string][]phrase{}, map[string]float64{}
	for id, list := range phrases {
		seen := map[string]bool{}
		for _, p := range list {
			for _, w := range p.words {
				if common[w] || len(w) < 3 || seen[w] {
					continue
				}
				seen[w] = true
				known[w]++
				out[id] = append(out[id], phrase{words: []string{w}})
			}
		}
	}
	for _, list := range out {
		for i := range list {
			list[i].weight = hint / known[list[i].words[0]]
		}
	}
	return out
}()

// hint is the weight of a word that stands alone, against that of a phrase.
const hint = 0.6

// small are the words that say nothing here, and denials the ways to say not.
var (
	small = setOf("it its it's the a an and is are my to of i do does did will be that when if me just with for")

	denials = setOf("not never cannot won't can't wont cant doesnt dont isnt")
)

// wordsOf are the words of what is said, without the small ones.
func wordsOf(text string) (out []string) {
	text = strings.ReplaceAll(strings.ToLower(text), "’", "'")
	for _, w := range strings.FieldsFunc(text, func(r rune) bool {
		return !(r >= 'a' && r <= 'z' || r >= '0' && r <= '9' || r == '\'')
	}) {
		switch w = strings.Trim(w, "'"); {
		case w == "" || small[w]:
		case denials[w] || strings.HasSuffix(w, "n't"):
			out = append(out, "not")
		default:
			out = append(out, w)
		}
	}
	return out
}

// between is how many other words may stand between two of a phrase.
const between = 3

// in reports whether a phrase is said.
func (p *phrase) in(said []string) bool {
	for from := range said {
		if at := from; wordIs(p.words[0], said[at]) && p.follows(said, at) {
			return true
		}
	}
	return false
}

func (p *phrase) follows(said []string, at int) bool {
	for _, word := range p.words[1:] {
		rest := said[at+1 : min(at+2+between, len(said))]
		i := slices.IndexFunc(rest, func(s string) bool { return wordIs(word, s) })
		if i < 0 {
			return false
		}
		at += 1 + i
	}
	return true
}

func wordIs(known, said string) bool {
	if begins, open := strings.CutSuffix(known, "~"); open {
		return strings.HasPrefix(said, begins)
	}
	return known == said
}

// How many symptoms are offered for what is said, and how near to the nearest the last of them is.
const (
	mostOffered = 6
	nearEnough  = 0.25
)

// match is the symptoms of a list that what a person says comes nearest to, the nearest first; none where nothing fits.
func match(text string, of []Symptom) []Symptom {
	said := wordsOf(text)
	type rated struct {
		Symptom
		score float64
	}
	var all []rated
	for _, s := range of {
		score := 0.0
		for _, list := range [][]phrase{phrases[s.ID], hints[s.ID]} {
			for _, p := range list {
				if p.in(said) {
					score += p.weight
				}
			}
		}
		if score > 0 {
			all = append(all, rated{s, score})
		}
	}
	slices.SortStableFunc(all, func(a, b rated) int { return cmp.Compare(b.score, a.score) })
	out := []Symptom{}
	for _, one := range all[:min(len(all), mostOffered)] {
		if one.score >= nearEnough*all[0].score {
			out = append(out, one.Symptom)
		}
	}
	return out
}
