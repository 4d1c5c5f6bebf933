package fault

import (
	"cmp"
	"slices"
)

// worthAsking is how much a test must tell to be asked for, bits.
const worthAsking = 0.02

// gettingThere is what any test costs before it is begun, minutes [common practice].
const gettingThere = 2

// likelyEnough is how likely a cause is before its own deciding test is asked for out of turn.
const likelyEnough = 0.5

// tellsOf reports whether a test tells something of a symptom.
func (t *Test) tellsOf(s *Symptom) bool { return t.symptoms == "" || hasWord(t.symptoms, s.ID) }

// allowed reports whether a test may be made now: nothing is switched on where that was told to be left off.
func (s *search) allowed(t *Test) bool {
	return t.has(s.v) && t.tellsOf(s.symptom) && !(t.Danger.powered() && s.off != "")
}

// rated is a test with what it is worth.
type rated struct {
	test  *Test
	rate  float64
	again string
}

// ask says what to try next, and what else would tell something.
func (s *search) ask(out *Opinion) {
	first := 0
	for i := range s.belief {
		if s.belief[i] > s.belief[first] {
			first = i
		}
	}
	out.Settled = s.settled(first)
	list := s.worth()
	if !out.Settled {
		// A meter on what is live waits while something dead would tell.
		if next := s.outOfTurn(first); next != nil && (len(list) == 0 || live(next.test) <= live(list[0].test)) {
			list = slices.DeleteFunc(list, func(r rated) bool { return r.test == next.test })
			list = slices.Insert(list, 0, *next)
		}
	}
	for i := range list {
		t := list[i].test.told(s.v)
		t.Again = list[i].again
		if i == 0 && !out.Settled {
			out.Next = &t
			continue
		}
		out.Left = append(out.Left, t)
	}
}

// worth are the tests not made yet that would tell something, those with a meter on what is live last, the others by
// what they tell for the minutes and the danger they cost.
func (s *search) worth() (list []rated) {
	for i := range tests {
		t := &tests[i]
		if !s.allowed(t) || len(s.looks(t)) > 0 {
			continue
		}
		l := s.of(t)
		gain := s.belief.Gain(len(t.Outcomes), func(i, a int) float64 { return l.of(i, a) })
		if gain >= worthAsking {
			list = append(list, rated{test: t, rate: gain / (gettingThere + t.Minutes + t.Danger.weight())})
		}
	}
	slices.SortStableFunc(list, func(a, b rated) int {
		if live := live(a.test) - live(b.test); live != 0 {
			return live
		}
		return cmp.Compare(b.rate, a.rate)
	})
	return list
}

func live(t *Test) int {
	if t.Danger == Live {
		return 1
	}
	return 0
}

// Why a test is made once more.
const (
	seenOnce    = "It was seen once. Look a second time before anything is bought."
	unexpected  = "Little spoke for that before. Read it once more before anything is bought."
	contradicts = "Two tests contradict each other. Make this one again."
)

// outOfTurn is what the likeliest cause wants before it can be settled: the test that decides it, one of two that
// contradict each other again, or a second look at what was seen once; nil where nothing does.
func (s *search) outOfTurn(first int) *rated {
	if s.belief[first] < likelyEnough {
		return nil
	}
	e := s.evidence(s.list[first])
	again := func(list []*Test, why string) *rated {
		if t := s.cheapest(list, len(s.made)); t != nil {
			return &rated{test: t, again: why}
		}
		return nil
	}
	switch {
	case e.opposing():
		return again(append(slices.Clone(e.contrary), e.found...), contradicts)
	case len(e.found) == 0 && len(e.unmade) > 0:
		if t := s.cheapest(e.unmade, 0); t != nil {
			return &rated{test: t}
		}
	case len(e.found) == 0 && len(e.cleared) > 0:
		// All that is left is what was cleared: a look went wrong.
		if s.belief[first] >= settledShare {
			return again(e.cleared, contradicts)
		}
	case len(e.found) > 0 && !e.confirmed():
		if t := s.cheapest(e.unmade, 0); t != nil && t.meter && t.Danger == Dead {
			return &rated{test: t}
		}
		if e.metered {
			return again(e.found, unexpected)
		}
		return again(e.found, seenOnce)
	case len(e.found) == 0:
		if t := s.cheapest(e.could, 0); t != nil {
			return &rated{test: t}
		}
		if s.belief[first] >= settledShare {
			return again(e.speaks, seenOnce)
		}
	}
	return nil
}

// cheapest is the least dangerous and shortest of some tests that may be made, and were made no more often than that.
func (s *search) cheapest(list []*Test, looks int) (best *Test) {
	cost := func(t *Test) float64 { return t.Minutes + t.Danger.weight() }
	for _, t := range list {
		n := len(s.looks(t))
		if !s.allowed(t) || n >= mostLooks || n > looks {
			continue
		}
		if best == nil || cost(t) < cost(best) {
			best = t
		}
	}
	return best
}
