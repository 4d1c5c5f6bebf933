// Package fault finds what is wrong with a line that does not do as it should: the causes its own stations can have,
// the
// symptom in the person's words, and one test after another, those first that tell most for the minutes and the danger
// they cost.
package fault

import (
	"cmp"
	"slices"
	"strings"
)

// Symptom is what is seen, heard, smelt or felt.
type Symptom struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	Stop  string `json:"stop" doc:"What to do at once, before anything is looked for; empty for nothing"`

	says string // words and starts of words a person might use
}

// symptoms in the order they are offered.
var symptoms = []Symptom{
	{"dead", "Dead: nothing at all happens", "", "dead nothing happen silent life"},
	{"hums", "Hums, and will not start", "Switch it off at once: it burns as it stands.",
		"hum buzz growl stuck start stand"},
	{"spun", "Starts only when spun by hand", "Switch it off: a hand near a cutter is no starter.",
		"spun spin hand push flick by"},
	{"slow-start", "Slow to come to speed", "", "slow start sluggish long time come speed lazy"},
	{"trips-now", "Breaker trips at once", "Leave it off until it is found.", "breaker trip once instant " +
		"immediate switch on pop rcd"},
	{"trips-later", "Breaker or overload trips after minutes", "", "trip after minutes while later overload warm"},
	{"trips-again", "Trips when restarted soon after a stop", "", "restart quick again soon trip after stop"},
	{"fuse", "A fuse blows", "Never a bigger fuse, nor wire in its place.", "fuse blow blown blew"},
	{"full-at-zero", "Full speed with the knob at zero", "Use the stop, not the knob.",
		"full speed zero knob fast runaway max"},
	{"zero-first", "Dead until the knob has been at zero", "", "until knob zero first turn down before start"},
	{"hunts", "Speed hunts up and down", "", "hunt surge pulse oscillat up down unsteady wander"},
	{"sags", "Slows down under load", "", "sag slow under load bog weak drop loses power"},
	{"top-low", "Does not reach its top speed", "", "top low reach full speed slower max not fast enough"},
	{"slow-fast", "Slow end is too fast", "", "slow end too fast minimum lowest creep"},
	{"one-way", "Turns one way only", "", "one direction only reverse will not other way"},
	{"wrong-way", "Turns the wrong way", "Nothing screwed on may turn backwards.", "wrong way direction backward " +
		"reverse"},
	{"keeps-turning", "Keeps turning after stop", "Pull the plug, and keep off until it stands.",
		"keep turning run on after stop not stop"},
	{"starts-itself", "Starts by itself", "Pull the plug. Do not use it until this is found.",
		"itself by own power back starts alone"},
	{"squeal", "Squeals as it starts", "", "squeal screech shriek scream start belt"},
	{"belt-dust", "Dust under the belt, belt worn", "", "belt dust black rubber wear worn crumbs"},
	{"shakes", "Shakes at one speed", "Do not stay at that speed.", "shake vibrat rattle wobble one speed resonan"},
	{"rough", "Rough or grinding noise", "", "rough grind noise rumble knock clatter bearing"},
	{"sparks", "Sparks round the brushes", "", "spark arc brush commutator ring fire"},
	{"smell", "Smells, or smokes", "Unplug it. Stand back until it has cooled.", "smell smoke burn burning hot " +
		"varnish"},
	{"hot", "Too hot to touch", "Unplug it and let it cool.", "hot touch heat warm temperature"},
	{"tacho", "Tachometer or meter reads nonsense", "", "tacho reading meter nonsense wrong jump erratic display"},
	{"tingle", "The frame tingles", "Unplug it now. Nobody touches it until it is earthed.",
		"tingle shock frame metal live touch electric"},
	{"over-amps", "Drive shows over-current", "", "over current overcurrent oc fault code amps"},
	{"over-volts", "Drive shows over-volts", "", "over volt overvolt ov braking stop fault decel"},
	{"under-volts", "Drive shows under-volts", "", "under volt undervolt low uv lv fault"},
	{"overload", "Drive or relay shows overload", "", "overload ol thermal fault relay"},
}

// Symptoms are all there are, in the order they are offered.
func Symptoms() []Symptom { return symptoms }

func symptomOf(id string) (Symptom, bool) {
	i := slices.IndexFunc(symptoms, func(s Symptom) bool { return s.ID == id })
	if i < 0 {
		return Symptom{}, false
	}
	return symptoms[i], true
}

// stopWords tell nothing by themselves.
var stopWords = map[string]bool{"it": true, "the": true, "a": true, "an": true, "and": true, "is": true, "my": true,
	"to": true,
	"of": true, "in": true, "on": true, "i": true, "when": true, "at": true, "motor": true, "machine": true,
	"with": true}

// Match is the symptoms a person's words come nearest to, the nearest first; none where nothing fits.
func Match(text string) []Symptom {
	words := strings.FieldsFunc(strings.ToLower(text), func(r rune) bool {
		return !(r >= 'a' && r <= 'z' || r >= '0' && r <= '9' || r == '\'' || r == '’')
	})
	type rated struct {
		Symptom
		score float64
	}
	var out []rated
	for _, s := range symptoms {
		score := 0.0
		for _, said := range words {
			if stopWords[said] {
				continue
			}
			for _, known := range strings.Fields(s.says) {
				if said == known || len(known) >= 3 && strings.HasPrefix(said, known) {
					// A word that many symptoms know tells less.
					score += 1 / float64(howMany(known))
					break
				}
			}
		}
		if score > 0 {
			out = append(out, rated{s, score})
		}
	}
	slices.SortStableFunc(out, func(a, b rated) int { return cmp.Compare(b.score, a.score) })
	list := []Symptom{}
	for i := range min(len(out), 6) {
		if out[i].score >= 0.3*out[0].score {
			list = append(list, out[i].Symptom)
		}
	}
	return list
}

func howMany(word string) int {
	n := 0
	for _, s := range symptoms {
		if slices.Contains(strings.Fields(s.says), word) {
			n++
		}
	}
	return max(n, 1)
}
