package fault

import (
	"math"
	"slices"
	"strings"
	"sync"
)

// strength is how much an outcome says for a cause.
type strength int

// The strengths, the least first.
const (
	nothing strength = iota
	mayShow
	strong
	decisive
)

// readStrengths is what a list of causes says for each of them, by ID or, for all of a station, as "@motor".
func readStrengths(list string) map[string]strength {
	out := map[string]strength{}
	for _, word := range strings.Fields(list) {
		switch id := strings.TrimRight(word, "!?"); word[len(id):] {
		case "!":
			out[id] = decisive
		case "?":
			out[id] = mayShow
		default:
			out[id] = strong
		}
	}
	return out
}

// says is what an outcome says for a cause that it names.
func (o *Outcome) says(cause string) strength { return o.strengths[cause] }

// saysOf is what an outcome says for a cause by naming its station.
func (o *Outcome) saysOf(c *Cause) strength {
	if !o.stations {
		return nothing
	}
	return o.strengths["@"+string(c.Station)]
}

// How often a cause makes a test come out as it says, by its strength [common practice].
var comesOut = [...]float64{nothing: 0, mayShow: 0.3, strong: 0.8, decisive: 0.999}

// How often a test comes out so where nothing on the line makes it: by accident, or because something else is poor too.
const (
	byAccident         = 0.03
	decisiveByAccident = 0.004
)

// How often a test is told otherwise than it came out: by eye, ear or hand, read off a meter, and where what decides
// was to be seen and was not [common practice].
const (
	mistakenByEye   = 0.05
	mistakenByMeter = 0.004
	overlooked      = 0.003
)

// truly is how likely a test comes out each way where a cause is what is wrong, as nobody mistakes it.
func (t *Test) truly(c *Cause) []float64 {
	out, said := t.said(func(o *Outcome) strength { return o.says(c.ID) })
	if said == 0 {
		out, said = t.said(func(o *Outcome) strength { return o.saysOf(c) })
	}
	if most := comesOut[decisive]; said > most {
		for i := range out {
			out[i] *= most / said
		}
		said = most
	}
	rest := 1 - said
	if t.Outcomes[0].ID != sound {
		// None of its ways is the sound one: what a cause says nothing of may be any of them.
		for i := range out {
			out[i] += rest / float64(len(out))
		}
		return out
	}
	for i := 1; i < len(out); i++ {
		if out[i] == 0 {
			accident := byAccident
			if t.Outcomes[i].decides {
				accident = decisiveByAccident
			}
			out[i] = rest * accident
		}
	}
	sum := 0.0
	for _, p := range out[1:] {
		sum += p
	}
	out[0] = max(1-sum, out[0])
	return out
}

// said is how likely each outcome is by what its list of causes says, and what that adds up to.
func (t *Test) said(of func(o *Outcome) strength) (out []float64, sum float64) {
	out = make([]float64, len(t.Outcomes))
	for i := range t.Outcomes {
		out[i] = comesOut[of(&t.Outcomes[i])]
		sum += out[i]
	}
	return out, sum
}

// likely is how likely each cause makes what was told of a test, however often it was made: what is really there is the
// same each time, what is mistaken is not.
type likely struct {
	truly [][]float64 // by cause, then outcome
	can   []int       // outcomes the line can have
	meter bool
	test  *Test
}

// tells is how likely a test that truly comes out one way is told another way.
func (l *likely) tells(really, told int) float64 {
	mistaken := mistakenByEye
	if l.meter {
		mistaken = mistakenByMeter
	}
	if told == 0 && really != 0 && l.test.Outcomes[really].decides {
		return min(mistaken, overlooked)
	}
	if really == told {
		return 1 - mistaken
	}
	return mistaken / math.Max(1, float64(len(l.can)-1))
}

// of is how likely a cause, by its place, makes a list of answers.
func (l *likely) of(cause int, told ...int) float64 {
	sum := 0.0
	for really, p := range l.truly[cause] {
		if p == 0 || !slices.Contains(l.can, really) && really != 0 {
			continue
		}
		for _, answer := range told {
			p *= l.tells(really, answer)
		}
		sum += p
	}
	return sum
}

func newLikely(v *view, t *Test, list []*Cause) *likely {
	out := &likely{meter: t.meter, test: t, can: t.canComeOut(v), truly: make([][]float64, len(list))}
	of := truths()[t.ID]
	for i, c := range list {
		out.truly[i] = of[c.ID]
	}
	return out
}

// truths is how every test truly comes out for every cause, which no line changes, by their IDs.
var truths = sync.OnceValue(func() map[string]map[string][]float64 {
	out := map[string]map[string][]float64{}
	for i := range tests {
		of := map[string][]float64{}
		for k := range causes {
			of[causes[k].ID] = tests[i].truly(&causes[k])
		}
		out[tests[i].ID] = of
	}
	return out
})
