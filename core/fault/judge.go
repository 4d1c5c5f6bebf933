package fault

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"jiriki/core/belief"
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

// look is one time a test was made, and which of its outcomes it had; -1 where it could not be told.
type look struct {
	test *Test
	came int
}

// search is how far a fault is looked for.
type search struct {
	v       *view
	symptom *Symptom
	list    []*Cause
	belief  belief.Belief
	made    []look
	off     string // why nothing is switched on; empty where it may be
	likely  map[string]*likely
}

func newSearch(v *view, symptom *Symptom, done []Done) (*search, error) {
	s := &search{v: v, symptom: symptom, list: v.possible, likely: map[string]*likely{}}
	if symptom.off {
		s.off = symptom.Stop
	}
	for k, d := range done {
		if err := s.hear(d); err != "" {
			return nil, q.FieldErrors{{Field: fmt.Sprintf("done[%d]", k), Given: cmp.Or(d.Outcome, d.Test),
				Message: err}}
		}
	}
	s.belief = s.learned(nil)
	return s, nil
}

// mostLooks is how often one test is made at most.
const mostLooks = 3

// hear takes in a test that was made; the words are why it cannot be, empty where it can.
func (s *search) hear(d Done) string {
	t := testOf(d.Test)
	if t == nil {
		return "not a test that is known here"
	}
	if len(s.looks(t)) >= mostLooks {
		return "made three times, which is enough"
	}
	came := slices.IndexFunc(t.Outcomes, func(o Outcome) bool { return o.ID == d.Outcome })
	if d.Outcome != "" && came < 0 {
		return "the test does not come out so"
	}
	// The plan may have changed since: what its line cannot be given, or cannot have, teaches nothing.
	if !t.has(s.v) || !t.tellsOf(s.symptom) || !slices.Contains(t.canComeOut(s.v), came) {
		came = -1
	}
	s.made = append(s.made, look{t, came})
	if came >= 0 && t.Outcomes[came].off && s.off == "" {
		s.off = t.Outcomes[came].Words + ": nothing is switched on before that is mended."
	}
	return ""
}

// looks are the outcomes a test was told to have, in order.
func (s *search) looks(t *Test) (came []int) {
	for _, m := range s.made {
		if m.test == t {
			came = append(came, m.came)
		}
	}
	return came
}

// told are the looks at a test that could be told.
func told(looks []int) []int {
	return slices.DeleteFunc(slices.Clone(looks), func(came int) bool { return came < 0 })
}

func (s *search) of(t *Test) *likely {
	if s.likely[t.ID] == nil {
		s.likely[t.ID] = newLikely(s.v, t, s.list)
	}
	return s.likely[t.ID]
}

// learned is what the symptom and all looks together teach, but for those at one test; nil for none.
func (s *search) learned(without *Test) belief.Belief {
	b := make(belief.Belief, len(s.list))
	for i, c := range s.list {
		b[i] = c.weight(s.v) * c.shows(s.symptom.ID)
	}
	b.Normalise()
	seen := map[*Test]bool{without: true}
	for _, m := range s.made {
		if seen[m.test] {
			continue
		}
		seen[m.test] = true
		if came := told(s.looks(m.test)); len(came) > 0 {
			l := s.of(m.test)
			b.Learn(func(i int) float64 { return l.of(i, came...) })
		}
	}
	return b
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

// speaksFor is the last of what was told that speaks for a cause.
func (s *search) speaksFor(c *Cause) string {
	for _, m := range slices.Backward(s.made) {
		if m.came >= 0 && m.test.Outcomes[m.came].says(c.ID) > nothing {
			return s.v.say(m.test.asTold() + m.test.Outcomes[m.came].Words)
		}
	}
	return ""
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
