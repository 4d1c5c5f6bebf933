package fault

import (
	"cmp"
	"fmt"
	"slices"

	"jiriki/core/belief"
	q "jiriki/core/quantity"
)

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

// speaksFor is the last of what was told that speaks for a cause.
func (s *search) speaksFor(c *Cause) string {
	for _, m := range slices.Backward(s.made) {
		if m.came >= 0 && m.test.Outcomes[m.came].says(c.ID) > nothing {
			return s.v.say(m.test.asTold() + m.test.Outcomes[m.came].Words)
		}
	}
	return ""
}
