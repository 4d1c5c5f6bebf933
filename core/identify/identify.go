package identify

import (
	"fmt"
	"math"
	"sort"
	"strings"

	"jiriki/core/belief"
	"jiriki/core/donor"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
)

// Seen is one answered clue. Answer "" means it was looked at and could not be told.
type Seen struct {
	Clue   string `json:"clue" maxLength:"40"`
	Answer string `json:"answer" maxLength:"40" doc:"Empty for can't tell"`
}

// Input is everything seen so far.
type Input struct {
	Donor  string `json:"donor" maxLength:"60" doc:"What it came out of, by ID in the donor catalogue; empty when not known"`
	Region string `json:"region" maxLength:"40" doc:"Where: what is in a machine differs by region"`
	Seen   []Seen `json:"seen" maxItems:"40" nullable:"false"`
}

// Candidate is a kind of motor with how likely it is and why.
type Candidate struct {
	Kind    motor.Kind `json:"kind"`
	Name    string     `json:"name"`
	Share   float64    `json:"share" doc:"How likely, 0 to 1; the shares add up to 1"`
	For     []string   `json:"for" nullable:"false" doc:"What speaks for it"`
	Against []string   `json:"against" nullable:"false" doc:"What speaks against it"`
}

// Opinion is what is to be made of it so far.
type Opinion struct {
	Ranking []Candidate     `json:"ranking" nullable:"false" doc:"Likeliest first"`
	Settled bool            `json:"settled" doc:"One kind stands clear of the rest"`
	Next    *Clue           `json:"next,omitempty" doc:"The one next look that would tell most; absent when none would"`
	Gain    float64         `json:"gain" doc:"How much it is expected to tell, in bits"`
	Left    []Clue          `json:"left" nullable:"false" doc:"Other clues not yet asked, most telling first"`
	Motor   motor.Described `json:"motor" doc:"The likeliest kind as a motor, ready for its plate and readings"`
}

// A kind is settled when it is this likely, and nothing is asked that tells less than this.
const (
	settledShare = 0.92
	worthAsking  = 0.03 // bits
)

// Judge ranks the kinds by what was seen and names the most telling next clue. The error is
// quantity.FieldErrors when a clue or an answer is not known. The same input always gives the
// same opinion.
func Judge(in Input) (Opinion, error) {
	r := q.NewReader("")
	from, _ := donor.Find(in.Donor)
	if in.Donor != "" && from.ID == "" {
		r.Refuse("donor", in.Donor, "not in the list of donors")
	}
	asked, answers := map[string]bool{}, map[string]string{}
	var seen []Seen
	for i, s := range in.Seen {
		clue, answer, ok := find(s)
		if !ok || asked[s.Clue] {
			r.Refuse(fmt.Sprintf("seen[%d]", i), s.Clue+" "+s.Answer,
				"not a clue and answer that can be taken, or asked twice")
			continue
		}
		asked[s.Clue] = true
		if answer.ID == "" {
			continue
		}
		seen = append(seen, s)
		answers[clue.ID] = answer.ID
	}
	if err := r.Err(); err != nil {
		return Opinion{}, err
	}
	// In the order of the clues, not of looking: kinds that are as likely as each other must not change places
	// by how their shares were rounded.
	shares := prior(from, in.Region)
	for _, c := range clues {
		if answer := answers[c.ID]; answer != "" {
			shares.learn(c, answer)
		}
	}
	o := Opinion{Ranking: shares.ranking(seen), Left: []Clue{}}
	o.Settled = o.Ranking[0].Share >= settledShare
	o.askNext(shares, asked)
	o.Motor = motor.Described{Kind: o.Ranking[0].Kind, Origin: from.Name, ThermalSwitch: "unknown"}.Whole()
	return o, nil
}

func find(s Seen) (Clue, Answer, bool) {
	for _, c := range clues {
		if c.ID != s.Clue {
			continue
		}
		if s.Answer == "" {
			return c, Answer{}, true
		}
		for _, a := range c.Answers {
			if a.ID == s.Answer {
				return c, a, true
			}
		}
	}
	return Clue{}, Answer{}, false
}

// kindsBelief is how likely each kind is, in the order kinds are offered.
type kindsBelief struct {
	belief.Belief
	kinds []motor.Kind
}

// prior is what to believe before looking: how common the kinds are, and what the machine it came
// out of usually holds there.
func prior(from donor.Donor, region string) kindsBelief {
	b := kindsBelief{}
	at := map[motor.Kind]int{}
	for i, p := range motor.Profiles() {
		b.kinds, at[p.Kind] = append(b.kinds, p.Kind), i
		b.Belief = append(b.Belief, float64(commonness[p.Kind])/100)
	}
	if holds := from.HoldsIn(region); len(holds) > 0 {
		// A donor says much, but parts are swapped and memories fail.
		const sure = 0.85
		for i := range b.Belief {
			b.Belief[i] *= 1 - sure
		}
		for i, kind := range holds {
			b.Belief[at[kind]] += sure * math.Pow(0.5, float64(i+1))
		}
	}
	b.Normalise()
	return b
}

// learn takes in one answer.
func (b kindsBelief) learn(c Clue, answer string) {
	b.Learn(func(i int) float64 { return likelihood(b.kinds[i], c, answer) })
}

// gain is how many bits a clue is expected to tell.
func (b kindsBelief) gain(c Clue) float64 {
	return b.Gain(len(c.Answers), func(i, answer int) float64 {
		return likelihood(b.kinds[i], c,
			c.Answers[answer].ID)
	})
}

// askNext sets the most telling clue not yet asked, and the others in order.
func (o *Opinion) askNext(b kindsBelief, asked map[string]bool) {
	type rated struct {
		clue Clue
		gain float64
	}
	var left []rated
	for _, c := range clues {
		if !asked[c.ID] {
			left = append(left, rated{c, b.gain(c)})
		}
	}
	sort.SliceStable(left, func(i, k int) bool { return left[i].gain > left[k].gain })
	for i, one := range left {
		if i == 0 && one.gain >= worthAsking && !o.Settled {
			clue := one.clue
			o.Next, o.Gain = &clue, one.gain
			continue
		}
		o.Left = append(o.Left, one.clue)
	}
}

// ranking sorts the kinds, likeliest first, with what speaks for and against each.
func (b kindsBelief) ranking(seen []Seen) []Candidate {
	out := make([]Candidate, 0, len(b.kinds))
	for i, p := range motor.Profiles() {
		c := Candidate{Kind: p.Kind, Name: p.Name, Share: b.Belief[i], For: []string{}, Against: []string{}}
		for _, s := range seen {
			clue, answer, _ := find(s)
			switch l := likelihood(p.Kind, clue, s.Answer); {
			case l >= 0.4:
				c.For = append(c.For, answer.Why)
			case l <= 0.08:
				c.Against = append(c.Against, answer.Why)
			}
		}
		out = append(out, c)
	}
	sort.SliceStable(out, func(i, k int) bool { return out[i].Share > out[k].Share })
	return out
}

// Reason is what speaks for a candidate, as a sentence.
func (c Candidate) Reason() string {
	if len(c.For) == 0 {
		return "Nothing seen yet speaks for it."
	}
	return strings.ToUpper(c.For[0][:1]) + strings.Join(c.For, "; ")[1:] + "."
}

// Clues are all that can be looked at, in the order they are told.
func Clues() []Clue { return clues }

// LooksLike is what a clue most likely shows of a kind, in words; empty for what is no clue.
func LooksLike(kind motor.Kind, clue string) string {
	for _, c := range clues {
		if c.ID != clue {
			continue
		}
		best, words := -1.0, ""
		for _, a := range c.Answers {
			if l := likelihood(kind, c, a.ID); l > best {
				best, words = l, a.Words
			}
		}
		return words
	}
	return ""
}
