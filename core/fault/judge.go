package fault

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"jiriki/core/plan"
	q "jiriki/core/quantity"
)

// Done is a test that was made, and how it came out; empty where it could not be told.
type Done struct {
	Test    string `json:"test" maxLength:"40"`
	Outcome string `json:"outcome" maxLength:"40"`
}

// Asked is a symptom and the tests made so far.
type Asked struct {
	Symptom string `json:"symptom" maxLength:"40" doc:"By ID; empty while it is not chosen"`
	Words   string `json:"words" maxLength:"200" doc:"What the person calls it, to be matched"`
	Done    []Done `json:"done" maxItems:"60" nullable:"false" doc:"In order; one that was made again comes again"`
}

// Suspect is a cause and how likely it is.
type Suspect struct {
	Cause
	Share float64 `json:"share" doc:"How likely, 0 to 1, of those this line can have"`
	For   string  `json:"for" doc:"What speaks for it"`
}

// Opinion is what to make of it so far.
type Opinion struct {
	Symptoms []Symptom      `json:"symptoms" nullable:"false" doc:"All that this line can have"`
	Matched  []Symptom      `json:"matched" nullable:"false" doc:"Those the words come nearest to"`
	Chosen   *Symptom       `json:"chosen,omitempty"`
	Suspects []Suspect      `json:"suspects" nullable:"false" doc:"Likeliest first, as far as worth naming"`
	Others   []Cause        `json:"others" nullable:"false" doc:"Every other cause this line can have, likeliest first"`
	Next     *Test          `json:"next,omitempty" doc:"The test that tells most for what it costs"`
	Left     []Test         `json:"left" nullable:"false" doc:"Others that would tell something, best first"`
	Made     []Test         `json:"made" nullable:"false" doc:"Those that were made, in order; one that was made again comes again"`
	Off      string         `json:"off" doc:"Why nothing is switched on for a test; empty where it may be"`
	Settled  bool           `json:"settled" doc:"One cause was found, and nothing told speaks against it"`
	Headline string         `json:"headline"`
	Entries  []q.FieldError `json:"entries" nullable:"false"`
}

// How many causes are named, and which are worth it.
const (
	worthNaming = 0.015
	mostNamed   = 8
)

// Judge says what is likely of a plan's line and what to try next. The error is quantity.FieldErrors where the input is
// past what is taken at once, or names a symptom, a test or an outcome there is not.
func Judge(in plan.Input, asked Asked) (Opinion, error) {
	v, err := newView(in)
	if err != nil {
		return Opinion{}, err
	}
	of := v.symptoms()
	out := Opinion{Symptoms: of, Matched: match(asked.Words, of), Suspects: []Suspect{}, Others: []Cause{},
		Left: []Test{}, Made: []Test{}, Entries: []q.FieldError{}}
	symptom, chosen := symptomOf(asked.Symptom)
	symptom.Words, symptom.Stop = v.say(symptom.Words), v.say(symptom.Stop)
	if asked.Symptom != "" && !chosen {
		return out, q.FieldErrors{{Field: "symptom", Given: asked.Symptom, Message: "not a symptom that is known here"}}
	}
	if !chosen {
		out.Headline = "What does it do?"
		return out, nil
	}
	out.Chosen = &symptom
	s, err := newSearch(v, &symptom, asked.Done)
	if err != nil {
		return out, err
	}
	for _, m := range s.made {
		out.Made = append(out.Made, m.test.told(v))
	}
	out.Off = s.off
	out.rank(s)
	s.ask(&out)
	out.say(s)
	return out, nil
}

// only are the symptoms that just some lines can have, whatever causes them.
var only = map[string]predicate{"over-amps": hasDrive, "over-volts": hasDrive, "under-volts": hasDrive,
	"full-at-zero": hasKnob, "zero-first": hasKnob, "slow-fast": hasKnob, "sparks": brushed, "belt-dust": belted,
	"loses-steps": stepping, "tingle": onMains, "overload": some(hasDrive, overloadRelay),
	"belt-walks": some(belted, tracked), "one-speed": manySpeeds}

// symptoms are those that something this line can have shows, in the order they are offered.
func (v *view) symptoms() []Symptom {
	shown := map[string]bool{}
	for _, c := range v.possible {
		for _, id := range strings.Fields(c.symptoms) {
			shown[strings.TrimSuffix(id, "!")] = true
		}
	}
	of := slices.DeleteFunc(slices.Clone(symptoms), func(s Symptom) bool {
		can, bound := only[s.ID]
		return !shown[s.ID] || bound && !can(v)
	})
	for i := range of {
		of[i].Words, of[i].Stop = v.say(of[i].Words), v.say(of[i].Stop)
	}
	return of
}

func (out *Opinion) rank(s *search) {
	order := make([]int, len(s.list))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(i, k int) int { return cmp.Compare(s.belief[k], s.belief[i]) })
	for n, i := range order {
		c := s.list[i].told(s.v)
		if n >= mostNamed || s.belief[i] < worthNaming && n > 0 {
			out.Others = append(out.Others, c)
			continue
		}
		out.Suspects = append(out.Suspects, Suspect{Cause: c, Share: q.Rounded(s.belief[i]),
			For: s.speaksFor(s.list[i])})
	}
}

func (out *Opinion) say(s *search) {
	if len(out.Suspects) == 0 {
		return
	}
	first := out.Suspects[0]
	switch {
	case out.Settled:
		out.Headline = first.Words + "."
	case len(out.Made) == 0:
		n := 0
		for _, c := range s.list {
			if c.shows(s.symptom.ID) > showsHardly {
				n++
			}
		}
		out.Headline = fmt.Sprintf("%d things this line can have do that.", n)
	case out.Next == nil:
		out.Headline = "Not settled. No further test here tells them apart; likeliest: " + lower(first.Words) + "."
	default:
		out.Headline = fmt.Sprintf("Likeliest, at %s: %s.", q.Percent(math.Round(100*first.Share)/100),
			lower(first.Words))
	}
}

// lower puts what begins a sentence inside one, but for letters that stand for something, as IR.
func lower(s string) string {
	if len(s) > 1 && s[1] >= 'a' && s[1] <= 'z' {
		return string(s[0]|0x20) + s[1:]
	}
	return s
}
