package fault

import (
	"slices"
	"strings"
)

// Danger is what a test can do to who makes it.
type Danger string

// The dangers, the least first.
const (
	Question Danger = "asked"   // nothing is touched: what was seen and heard is remembered
	Dead     Danger = "dead"    // unplugged, capacitors emptied
	Watched  Danger = "watched" // plugged in and shut: looked at and listened to, nothing open
	Live     Danger = "live"    // a meter on something that is on
)

// weight is the minutes that a danger counts for: what is done dead comes before what is done live.
func (d Danger) weight() float64 {
	switch d {
	case Question, Dead:
		return 0
	case Watched:
		return 8
	}
	return 60
}

// powered reports whether a test has something switched on.
func (d Danger) powered() bool { return d == Watched || d == Live }

// Test is one thing to try, and how it may come out.
type Test struct {
	ID       string    `json:"id"`
	Name     string    `json:"name"`
	First    string    `json:"first" doc:"What to unplug, and wait for, before anything is touched"`
	How      string    `json:"how"`
	Expect   string    `json:"expect" doc:"What it should be on this plan, in figures where it has them; empty for a question"`
	Minutes  float64   `json:"minutes"`
	Danger   Danger    `json:"danger" enum:"asked,dead,watched,live"`
	Again    string    `json:"again" doc:"Why it is to be made once more; empty where it was not made"`
	Outcomes []Outcome `json:"outcomes" nullable:"false" doc:"The first is what a sound one does"`

	has      predicate
	expect   func(v *view) string
	symptoms string // IDs it tells something of; empty for all
	meter    bool   // read off an instrument, not by eye, ear or hand
}

// Outcome is one way a test comes out, and what it means.
type Outcome struct {
	ID    string `json:"id"`
	Words string `json:"words"`
	Means string `json:"means"`

	strengths map[string]strength // what it says for each cause it names, by ID, or by "@" and a station
	stations  bool                // it says something for a whole station
	decides   bool                // it decides for one of them
	off       bool                // nothing is switched on after it until it is mended
}

// What is done first, by danger.
const (
	unasked   = "Nothing is touched for this."
	unplugged = "Pull the plug and keep it in sight. Wait {drive|as long as the drive's label says, ten minutes if " +
		"it " +
		"says nothing, }{!drive|a minute }and measure that nothing is left across {drive|its}{!drive|any} capacitors."
	isolated = "Battery isolated at its terminal{drive|, and nothing left across the drive's capacitors: measure}."
	shut     = "{plug|Plug}{battery|Isolator} stays where you reach it; covers and guards on, nothing opened, nobody " +
		"in the plane it turns in."
	meterOn = "One hand, dry, the other in a pocket; leads made for the volts, clipped on while it is " +
		"{plug|unplugged; then stand back and plug it in}{battery|isolated; then stand back and put it on}. If " +
		"that is " +
		"not work you are used to, leave it to someone licensed."
)

const sound = "sound"

func says(text string) func(*view) string { return func(v *view) string { return v.say(text) } }

// out is an outcome with the causes that come out so, by ID: with ! always and hardly any other, with ? at times, else
// mostly.
func out(id, words, means, causes string) Outcome {
	return Outcome{ID: id, Words: words, Means: means, strengths: readStrengths(causes),
		stations: strings.Contains(causes, "@"), decides: strings.Contains(causes, "!")}
}

// keepOff is an outcome after which nothing is switched on until it is mended.
func (o Outcome) keepOff() Outcome { o.off = true; return o }

func test(id, name string, d Danger, minutes float64, has predicate, how string, expect func(*view) string,
	list ...Outcome,
) Test {
	return Test{ID: id, Name: name, How: how, Minutes: minutes, Danger: d, Outcomes: list, has: has, expect: expect}
}

// ask is a test that touches nothing.
func ask(id, name, symptoms string, has predicate, how string, list ...Outcome) Test {
	t := test(id, name, Question, 1, has, how, says(""), list...)
	t.symptoms = symptoms
	return t
}

// read is a test read off an instrument.
func (t Test) read() Test { t.meter = true; return t }

// under is a test that tells something of some symptoms only.
func (t Test) under(symptoms string) Test { t.symptoms = symptoms; return t }

// tests are all there are, in no order of asking: what they tell and cost decides that.
var tests = func() (all []Test) {
	for _, list := range [][]Test{askedTests, deadTests, poweredTests} {
		all = append(all, list...)
	}
	return all
}()

func testOf(id string) *Test {
	for i := range tests {
		if tests[i].ID == id {
			return &tests[i]
		}
	}
	return nil
}

// asTold begins what is told of how a test came out.
func (t *Test) asTold() string {
	if t.Danger == Question {
		return t.Name + " "
	}
	return t.Name + ": "
}

// told is a test with its figures of a plan, what is done before it, and the ways it can come out on this line.
func (t *Test) told(v *view) Test {
	out := *t
	out.Name, out.How, out.Expect = v.say(t.Name), v.say(t.How), t.expect(v)
	out.Outcomes = nil
	for _, i := range t.canComeOut(v) {
		o := t.Outcomes[i]
		o.Words, o.Means = v.say(o.Words), v.say(o.Means)
		out.Outcomes = append(out.Outcomes, o)
	}
	switch t.Danger {
	case Question:
		out.First = unasked
	case Dead:
		if out.First = unplugged; v.Supply.Battery {
			out.First = isolated
		}
	case Watched:
		out.First = shut
	default:
		out.First = meterOn
	}
	out.First = v.say(out.First)
	return out
}

// canComeOut are the outcomes a test can have on a line: those that say something of a cause it can have.
func (t *Test) canComeOut(v *view) (which []int) {
	for i := range t.Outcomes {
		o := &t.Outcomes[i]
		if len(o.strengths) == 0 || o.ID == sound || slices.ContainsFunc(v.possible, func(c *Cause) bool {
			return o.says(c.ID) > nothing || o.saysOf(c) > nothing
		}) {
			which = append(which, i)
		}
	}
	return which
}
