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
	Done    []Done `json:"done" maxItems:"60" nullable:"false"`
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
	Others   int            `json:"others" doc:"Less likely ones that are not named"`
	Next     *Test          `json:"next,omitempty" doc:"The test that tells most for what it costs"`
	Left     []Test         `json:"left" nullable:"false" doc:"Others that would tell something, best first"`
	Made     []Test         `json:"made" nullable:"false" doc:"Those that were made, in order"`
	Settled  bool           `json:"settled" doc:"One cause stands clear of the rest"`
	Headline string         `json:"headline"`
	Entries  []q.FieldError `json:"entries" nullable:"false"`
}

// Where a cause is settled, how much a test must tell to be asked for, in bits, and which causes are named.
const (
	settledShare = 0.8
	worthAsking  = 0.02
	worthNaming  = 0.015
	mostNamed    = 8
)

// How a test comes out: for a cause it speaks of, and for all others, which mostly come out sound.
const (
	asItShould = 0.85
	soundMost  = 0.93
)

// outcomesOf are the outcomes of each test that speak of each cause, by the test's ID and the cause's.
var outcomesOf = func() map[string]map[string][]int {
	all := map[string]map[string][]int{}
	for _, t := range tests {
		all[t.ID] = map[string][]int{}
		for i, o := range t.Outcomes {
			for _, c := range strings.Fields(o.causes) {
				all[t.ID][c] = append(all[t.ID][c], i)
			}
		}
	}
	return all
}()

// likelihood is how likely a cause makes an outcome of a test.
func (t *Test) likelihood(cause string, outcome int) float64 {
	speaks := outcomesOf[t.ID][cause]
	n, of := float64(len(t.Outcomes)), float64(len(speaks))
	switch {
	case of == 0 && outcome == 0:
		return soundMost
	case of == 0:
		return (1 - soundMost) / (n - 1)
	case slices.Contains(speaks, outcome):
		return asItShould / of
	}
	return (1 - asItShould) / max(n-of, 1)
}

// Judge says what is likely of a plan's line and what to try next. The error is quantity.FieldErrors where the input is
// past what is taken at once, or names a symptom, a test or an outcome there is not.
func Judge(in plan.Input, asked Asked) (Opinion, error) {
	v, err := newView(in)
	if err != nil {
		return Opinion{}, err
	}
	of := v.symptoms()
	out := Opinion{Symptoms: of, Matched: match(asked.Words, of), Suspects: []Suspect{}, Left: []Test{},
		Made:    []Test{},
		Entries: []q.FieldError{}}
	symptom, chosen := symptomOf(asked.Symptom)
	if asked.Symptom != "" && !chosen {
		return out, q.FieldErrors{{Field: "symptom", Given: asked.Symptom, Message: "not a symptom that is known here"}}
	}
	if !chosen {
		out.Headline = "What does it do?"
		return out, nil
	}
	out.Chosen = &symptom
	return out, out.judge(v, symptom, asked.Done)
}

// possible are the causes this line can have.
func possible(v *view) (list []*Cause) {
	for i := range causes {
		if causes[i].has(v) {
			list = append(list, &causes[i])
		}
	}
	return list
}

// only are the symptoms that just some lines can have, whatever causes them.
var only = map[string]predicate{"over-amps": hasDrive, "over-volts": hasDrive, "under-volts": hasDrive,
	"full-at-zero": hasKnob, "zero-first": hasKnob, "slow-fast": hasKnob, "sparks": brushed, "belt-dust": belted}

// symptoms are those that something this line can have shows, in the order they are offered.
func (v *view) symptoms() []Symptom {
	shown := map[string]bool{}
	for _, c := range possible(v) {
		for _, id := range strings.Fields(c.symptoms) {
			shown[strings.TrimSuffix(id, "!")] = true
		}
	}
	return slices.DeleteFunc(slices.Clone(symptoms), func(s Symptom) bool {
		can, bound := only[s.ID]
		return !shown[s.ID] || bound && !can(v)
	})
}

func (out *Opinion) judge(v *view, symptom Symptom, done []Done) error {
	list := possible(v)
	b := make(belief.Belief, len(list))
	for i, c := range list {
		b[i] = c.common * c.shows(symptom.ID)
	}
	b.Normalise()
	made := map[string]bool{}
	reasons := make([]string, len(list))
	for k, d := range done {
		t := testOf(d.Test)
		if t == nil || made[d.Test] {
			return q.FieldErrors{{Field: fmt.Sprintf("done[%d]", k), Given: d.Test, Message: "not a test, or " +
				"made twice"}}
		}
		made[d.Test] = true
		out.Made = append(out.Made, t.told(v))
		if d.Outcome == "" {
			continue
		}
		at := slices.IndexFunc(t.Outcomes, func(o Outcome) bool { return o.ID == d.Outcome })
		if at < 0 {
			return q.FieldErrors{{Field: fmt.Sprintf("done[%d]", k), Given: d.Outcome,
				Message: "the test does not come out so"}}
		}
		b.Learn(func(i int) float64 { return t.likelihood(list[i].ID, at) })
		for i, c := range list {
			if hasWord(t.Outcomes[at].causes, c.ID) {
				reasons[i] = t.Name + ": " + t.Outcomes[at].Words
			}
		}
	}
	out.rank(list, b, reasons)
	out.askNext(v, list, b, made)
	out.say()
	return nil
}

func (out *Opinion) rank(list []*Cause, b belief.Belief, reasons []string) {
	order := make([]int, len(list))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(i, k int) int { return cmp.Compare(b[k], b[i]) })
	for n, i := range order {
		if n >= mostNamed || b[i] < worthNaming && n > 0 {
			out.Others = len(order) - n
			break
		}
		out.Suspects = append(out.Suspects, Suspect{Cause: *list[i], Share: q.Rounded(b[i]), For: reasons[i]})
	}
	out.Settled = len(out.Suspects) > 0 && out.Suspects[0].Share >= settledShare
}

// askNext orders the tests by what they are expected to tell for the minutes and the danger they cost.
func (out *Opinion) askNext(v *view, list []*Cause, b belief.Belief, made map[string]bool) {
	type rated struct {
		test Test
		gain float64
		rate float64
	}
	var all []rated
	for i := range tests {
		t := &tests[i]
		if made[t.ID] || !t.has(v) {
			continue
		}
		gain := b.Gain(len(t.Outcomes), func(i, a int) float64 { return t.likelihood(list[i].ID, a) })
		if gain < worthAsking {
			continue
		}
		all = append(all, rated{t.told(v), gain, gain / (t.Minutes + t.Danger.weight())})
	}
	slices.SortStableFunc(all, func(a, b rated) int { return cmp.Compare(b.rate, a.rate) })
	for i := range all {
		if i == 0 && !out.Settled {
			next := all[i].test
			out.Next = &next
			continue
		}
		out.Left = append(out.Left, all[i].test)
	}
}

func (out *Opinion) say() {
	if len(out.Suspects) == 0 {
		return
	}
	first := out.Suspects[0]
	switch {
	case out.Settled:
		out.Headline = first.Words + "."
	case out.Next == nil:
		out.Headline = "No further test here tells them apart. Likeliest: " + lower(first.Words) + "."
	case len(out.Made) == 0:
		out.Headline = fmt.Sprintf("%d things this line has can do that.", len(out.Suspects)+out.Others)
	default:
		out.Headline = fmt.Sprintf("Likeliest, at %s: %s.", q.Percent(math.Round(100*first.Share)/100),
			lower(first.Words))
	}
}

func lower(s string) string {
	if len(s) > 1 && s[1] >= 'a' && s[1] <= 'z' {
		return string(s[0]|0x20) + s[1:]
	}
	return s
}

func testOf(id string) *Test {
	for i := range tests {
		if tests[i].ID == id {
			return &tests[i]
		}
	}
	return nil
}

// told is a test with its figures of a plan, what is done before it, and the ways it can come out on this line.
func (t *Test) told(v *view) Test {
	out := *t
	out.Outcomes = nil
	for _, o := range t.Outcomes {
		if o.causes == "" || o.ID == sound || slices.ContainsFunc(possible(v), func(c *Cause) bool {
			return hasWord(o.causes, c.ID)
		}) {
			out.Outcomes = append(out.Outcomes, o)
		}
	}
	out.Expect = t.expect(v)
	switch t.Danger {
	case Dead:
		if out.First = unplugged; v.Supply.Battery {
			out.First = isolated
		}
	case Watched:
		out.First = shut
	default:
		out.First = meterOn
	}
	return out
}

// Suspects are the causes this line can have that mostly show a symptom.
func Suspects(in plan.Input, symptom string) []Cause {
	v, err := newView(in)
	if err != nil {
		return nil
	}
	var out []Cause
	for _, c := range possible(v) {
		if hasWord(c.symptoms, symptom+"!") {
			out = append(out, *c)
		}
	}
	return out
}

// TestsOf are the tests this line can be given.
func TestsOf(in plan.Input) []Test {
	v, err := newView(in)
	if err != nil {
		return nil
	}
	var out []Test
	for i := range tests {
		if tests[i].has(v) {
			out = append(out, tests[i].told(v))
		}
	}
	return out
}

// ComesOut is how a test comes out, in words, where a cause is what is wrong.
func ComesOut(test, cause string) string {
	t := testOf(test)
	if t == nil {
		return ""
	}
	at := 0
	if speaks := outcomesOf[t.ID][cause]; len(speaks) > 0 {
		at = speaks[0]
	}
	return t.Outcomes[at].Words
}
