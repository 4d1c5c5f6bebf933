// Package slate answers a question typed in shop words, such as "1¾ hp at 3900 rpm, wheel 150 mm": what follows from
// the figures in it, each with its working, and what of it a plan can take.
package slate

import (
	"fmt"
	"math"
	"strings"

	"jiriki/core/donor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/work"
	"jiriki/core/working"
)

// Answer is one thing that follows from a question.
type Answer struct {
	Kind       Kind            `json:"kind"`
	Value      float64         `json:"value" doc:"In SI units: N·m, W, rad/s, m, A and so on"`
	Text       string          `json:"text" doc:"The figure as shown, with its unit"`
	Says       string          `json:"says" doc:"What it is, such as: at the wheel's rim"`
	Also       string          `json:"also" doc:"The same in other units, or what else goes with it"`
	Understood string          `json:"understood" doc:"What of the question it was taken from"`
	Working    working.Working `json:"working"`
	Note       string          `json:"note" doc:"A warning or a guess; empty for none"`
	Offer      string          `json:"offer" doc:"What a plan can take of it, such as: this motor; empty for nothing"`
	Fills      []Fill          `json:"fills" nullable:"false" doc:"Entries of a plan it would make"`
}

// Fill is an entry of a plan.
type Fill struct {
	Field string `json:"field" doc:"Path of the entry"`
	Text  q.Text `json:"text"`
}

// Reply is all that a question came to.
type Reply struct {
	Answers []Answer `json:"answers" nullable:"false"`
	Unread  string   `json:"unread" doc:"What was not understood, and the nearest thing that is; empty when all was"`
	Like    []string `json:"like" nullable:"false" doc:"Questions of this sort that are answered"`
	Plate   []Fill   `json:"plate" nullable:"false" doc:"What of it can stand on a motor's plate, as entries of one"`
	Left    []string `json:"left" nullable:"false" doc:"Figures of it that no entry of a plate was made of"`
	Between []Fill   `json:"between" nullable:"false" doc:"What of it can stand between motor and spindle, as entries of one stage"`
	Machine string   `json:"machine" doc:"The kind of machine it names; empty for none"`
	Donor   string   `json:"donor" doc:"The old machine it speaks of, by its ID; empty for none"`
}

// asked is a rule and what it found, at work on an answer.
type asked struct {
	*facts
	rule  *rule
	taken []*item
	out   []Answer
}

// Ask answers a question. Figures are shown in the person's system, which is also what a bare length is taken in.
func Ask(text string, sys q.System) Reply {
	reply := Reply{Answers: []Answer{}, Like: []string{}, Plate: []Fill{}, Left: []string{}, Between: []Fill{}}
	if len(text) > maxText {
		reply.Unread = fmt.Sprintf("Too long: at most %d letters are read.", maxText)
		return reply
	}
	if strings.TrimSpace(text) == "" {
		return reply
	}
	f := factsOf(text, sys)
	offered := map[string]bool{} // each is offered once
	for i := range rules {
		r := &rules[i]
		if !r.applies(f) {
			continue
		}
		a := &asked{facts: f, rule: r}
		r.answer(a)
		for _, one := range a.out {
			if finite(one.Value) {
				if offered[one.Offer] {
					one.Offer, one.Fills = "", []Fill{}
				}
				offered[one.Offer] = true
				reply.Answers = append(reply.Answers, one)
				for _, m := range a.taken {
					f.used[m] = true
				}
			}
		}
	}
	reply.Between, reply.Machine = Between(text, sys), work.KindNamed(text)
	if d, ok := donor.Named(text); ok {
		reply.Donor = d.ID
	}
	plate := Plate(text)
	reply.Plate, reply.Left = plate.Fills, plate.Unread
	reply.Unread, reply.Like = f.unread(len(reply.Answers) > 0)
	return reply
}

func finite(v float64) bool { return !math.IsNaN(v) && !math.IsInf(v, 0) }

// num is the figure of a role, SI; the rule's needs see to it that there is one.
func (a *asked) num(as role) float64 {
	m, ok := a.one(as)
	if !ok {
		return math.NaN()
	}
	a.use(m)
	return m.si
}

func (a *asked) use(items ...*item) { a.taken = append(a.taken, items...) }

// two are the figures of a pair, SI.
func (a *asked) two(as role) (first, second float64) {
	p := a.pairs[as]
	a.use(p.a, p.b)
	return p.a.si, p.b.si
}

func (a *asked) show(v float64, d q.Dimension) string { return q.Show(v, d, a.sys) }

// elsewhere is a figure in the other system, empty where that shows it alike.
func (a *asked) elsewhere(v float64, d q.Dimension) string {
	there := q.Inch
	if a.sys == q.Inch {
		there = q.Metric
	}
	if text := q.Show(v, d, there); text != a.show(v, d) {
		return text
	}
	return ""
}

// add puts in an answer of a dimension.
func (a *asked) add(v float64, d q.Dimension, says, formula, put string, src *source.Source) *Answer {
	return a.addText(v, a.show(v, d), a.elsewhere(v, d), says, formula, put, src)
}

// addText puts in an answer whose figure is written by itself.
func (a *asked) addText(v float64, text, also, says, formula, put string, src *source.Source) *Answer {
	understood := make([]string, len(a.taken))
	for i, m := range a.taken {
		understood[i] = m.text
	}
	a.out = append(a.out, Answer{
		Kind: a.rule.kind, Value: q.Rounded(v), Text: text, Says: says, Also: also,
		Understood: strings.Join(understood, ", "), Fills: []Fill{},
		Working: working.Derive(working.ID("slate."+string(a.rule.kind)), says, text, formula, put, src),
	})
	return &a.out[len(a.out)-1]
}

// offers says what of an answer a plan can take.
func (a *Answer) offers(words string, fills ...Fill) *Answer {
	a.Offer, a.Fills = words, append(a.Fills, fills...)
	return a
}

// plate are the entries of a motor's plate that the question holds.
func (a *asked) plate() []Fill {
	out := []Fill{}
	for _, p := range []struct {
		role  role
		field string
	}{{power, "motor.plate.power"}, {speed, "motor.plate.speed"}, {volts, "motor.plate.volts"},
		{amps, "motor.plate.amps"}, {hertz, "motor.plate.hertz"}, {poleCount, "motor.plate.poles"},
		{farads, "motor.plate.capacitor"}} {
		if m, ok := a.one(p.role); ok {
			text := m.text
			if p.role == poleCount {
				text = string(m.number)
			}
			out = append(out, Fill{Field: p.field, Text: q.Text(text)})
		}
	}
	return out
}

// applies reports whether a question has all that a rule needs and nothing it is not for.
func (r *rule) applies(f *facts) bool {
	for _, need := range r.needs {
		if !f.holds(need) {
			return false
		}
	}
	for _, not := range r.without {
		if f.holds(not) {
			return false
		}
	}
	return r.when == nil || r.when(f)
}

// unread says what of a question came to nothing, and which questions like it do.
func (f *facts) unread(answered bool) (text string, like []string) {
	like = []string{}
	var left []string
	for i := range f.items {
		if m := &f.items[i]; !f.used[m] {
			left = append(left, "“"+m.text+"”")
		}
	}
	if f.wrong != "" {
		return f.wrong, like
	}
	if answered && len(left) == 0 {
		return "", like
	}
	best, fewest, missing := []*rule{}, math.MaxInt, ""
	for i := range rules {
		r := &rules[i]
		have, lacks := f.parted(r.needs)
		if len(have) == 0 || len(lacks) == 0 || len(lacks) > fewest {
			continue
		}
		if len(lacks) < fewest {
			best, fewest = best[:0], len(lacks)
			missing = "With " + strings.Join(lacks, " and ") + ", " + have[0] + " gives " + r.gives + "."
		}
		best = append(best, r)
	}
	if answered {
		return strings.Join(left, " and ") + " came to nothing with the rest.", like
	}
	for _, r := range best[:min(len(best), 3)] {
		like = append(like, r.like)
	}
	if len(f.items) == 0 {
		return "No figure in it. Type what you have, with its units.", likes(0, 5, 11)
	}
	if bare(f.items) {
		return fmt.Sprintf("What is “%s”? Say its unit, or what it is of: %s hp, %s mm wheel.", f.items[0].text,
			f.items[0].text, f.items[0].text), like
	}
	if len(best) == 0 {
		return "Nothing follows from that here.", likes(0, 5, 11)
	}
	return missing, like
}

// parted are the figures of a question that a rule has a use for, and what it needs besides.
func (f *facts) parted(needs []role) (have, lacks []string) {
	for _, need := range needs {
		if !f.holds(need) {
			lacks = append(lacks, string(need))
			continue
		}
		text := string(need)
		if m, ok := f.one(need); ok {
			text = m.text
		}
		have = append(have, text)
	}
	return have, lacks
}

// bare reports whether no number has a unit.
func bare(items []item) bool {
	for i := range items {
		if items[i].unit != "" || items[i].sort != "" || items[i].role != none {
			return false
		}
	}
	return true
}

func likes(of ...int) []string {
	out := make([]string, len(of))
	for i, n := range of {
		out[i] = rules[n%len(rules)].like
	}
	return out
}
