package fault

import "jiriki/core/plan"

// Suspects are the causes this line can have that mostly show a symptom.
func Suspects(in plan.Input, symptom string) []Cause {
	v, err := newView(in)
	if err != nil {
		return nil
	}
	var out []Cause
	for _, c := range v.possible {
		if hasWord(c.symptoms, symptom+"!") {
			out = append(out, c.told(v))
		}
	}
	return out
}

// TestsOf are the tests this line can be given for a symptom.
func TestsOf(in plan.Input, symptom string) []Test {
	v, err := newView(in)
	if err != nil {
		return nil
	}
	of, _ := symptomOf(symptom)
	var out []Test
	for i := range tests {
		if t := &tests[i]; t.has(v) && t.tellsOf(&of) {
			out = append(out, t.told(v))
		}
	}
	return out
}

// ComesOut is how a test mostly comes out on a line, in words, where a cause is what is wrong.
func ComesOut(in plan.Input, test, cause string) string {
	v, err := newView(in)
	t := testOf(test)
	if err != nil || t == nil {
		return ""
	}
	at := 0
	for _, c := range v.possible {
		if c.ID == cause {
			at = t.mostly(c)
		}
	}
	return v.say(t.Outcomes[at].Words)
}

// mostly is the outcome a cause makes likeliest.
func (t *Test) mostly(c *Cause) (at int) {
	p := t.truly(c)
	for i := range p {
		if p[i] > p[at] {
			at = i
		}
	}
	return at
}
