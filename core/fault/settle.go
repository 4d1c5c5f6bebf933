package fault

import "slices"

// How likely a cause is before it may be settled, and how likely it was before the test that found it for one reading
// to be enough, for each test made: the more were made, the likelier one of them was told wrongly.
const (
	settledShare  = 0.8
	expectedShare = 0.06
)

// evidence is what was told of one cause.
type evidence struct {
	found    []*Test // decided for it, at the last look
	speaks   []*Test // spoke strongly for it, at the last look
	cleared  []*Test // would have decided for it, and did not
	contrary []*Test // came out as it hardly would with it: what cleared it, and what speaks for others alone
	unmade   []*Test // would decide, and was not made or could not be told
	could    []*Test // would speak strongly for it, and was not made
	looks    int     // how often what found it or spoke for it was told so
	against  int     // how often what is contrary to it was
	metered  bool    // what found it was read off a meter
	surprise bool    // before what found it was made hardly anything spoke for it
}

// evidence gathers what was told of a cause.
func (s *search) evidence(c *Cause) (e evidence) {
	for i := range tests {
		t := &tests[i]
		if !t.has(s.v) || !t.tellsOf(s.symptom) {
			continue
		}
		most := t.most(c)
		came := told(s.looks(t))
		switch {
		case len(came) > 0:
			e.take(t, c, came)
		case most == decisive:
			e.unmade = append(e.unmade, t)
		case most == strong && len(s.looks(t)) == 0:
			e.could = append(e.could, t)
		}
	}
	if len(e.found) == 1 {
		e.surprise = s.learned(e.found[0])[slices.Index(s.list, c)] < expectedShare*float64(len(s.made))
	}
	return e
}

// take is what the looks at a test say of a cause.
func (e *evidence) take(t *Test, c *Cause, came []int) {
	last := &t.Outcomes[came[len(came)-1]]
	most := t.most(c)
	switch says := max(last.says(c.ID), last.saysOf(c)); {
	case says == decisive:
		e.found = append(e.found, t)
		e.looks += timesFor(c, t, came)
		e.metered = e.metered || t.meter
	case says == strong:
		e.speaks = append(e.speaks, t)
		e.looks += timesFor(c, t, came)
	case says == nothing && most >= strong:
		if most == decisive {
			e.cleared = append(e.cleared, t)
		}
		e.contrary = append(e.contrary, t)
		e.against -= timesFor(c, t, came)
	}
}

// opposing reports whether something found it, something else speaks against it, and that was not looked at again.
func (e *evidence) opposing() bool {
	return len(e.found) > 0 && len(e.contrary) > 0 && (e.looks < 2 || e.looks <= e.against)
}

// most is the most that any outcome of a test says for a cause.
func (t *Test) most(c *Cause) (most strength) {
	for i := range t.Outcomes {
		most = max(most, t.Outcomes[i].says(c.ID), t.Outcomes[i].saysOf(c))
	}
	return most
}

// timesFor is how often looks at a test spoke for a cause, less how often they did not.
func timesFor(c *Cause, t *Test, came []int) (n int) {
	for _, i := range came {
		if max(t.Outcomes[i].says(c.ID), t.Outcomes[i].saysOf(c)) >= strong {
			n++
		} else {
			n--
		}
	}
	return n
}

// confirmed reports whether what was told is enough: one reading of a meter that decides for what was to be expected,
// or what was told twice, by the same test or by two. Where a test of the line decides a cause, one of those must
// have found it.
func (e *evidence) confirmed() bool {
	switch {
	case e.opposing():
		return false
	case len(e.found) > 0:
		return e.metered && e.looks > 0 && !e.surprise || e.looks >= 2
	case len(e.unmade) > 0 || len(e.cleared) > 0:
		return false
	}
	return e.looks >= 2 && len(e.speaks) >= 2
}

// settled reports whether a cause, by its place, is what is wrong.
func (s *search) settled(i int) bool {
	e := s.evidence(s.list[i])
	return s.belief[i] >= settledShare && e.confirmed()
}
