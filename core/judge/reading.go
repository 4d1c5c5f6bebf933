package judge

import (
	"math"
	"regexp"
	"strings"

	q "jiriki/core/quantity"
)

// Outcome is how a reading stands to what is expected of it.
type Outcome string

// The outcomes. A reading that is not there has none.
const (
	Untold     Outcome = ""
	Meets      Outcome = "meets"
	Fails      Outcome = "fails"
	CannotTell Outcome = "cannot-tell" // it may be either
)

// Expected is what one reading is held against, both ends allowed; an end nothing is asked of is infinite.
type Expected struct {
	Of        string // what is read, in a word or two: "volts left"
	Asked     string // what it should be, as it is told: "over 1 MΩ"
	Dimension q.Dimension
	Low, High float64 // SI
	Optional  bool    // held against it where it was read, and not asked for

	Whole func(text string) (float64, error) // reads all that was written as one figure; nil for a quantity
}

// Judged is a reading beside what was expected of it.
type Judged struct {
	Expected
	Outcome   Outcome
	Low, High float64 // SI, between which it was read: "> 500 MΩ" has no upper end
	Words     string  // as it was typed
}

// Stands tells how something read between low and high stands to what is expected: it fails only where all of it lies
// outside, and meets it only where all lies within.
func (x *Expected) Stands(low, high float64) Outcome {
	switch {
	case high < x.Low || low > x.High:
		return Fails
	case low >= x.Low && high <= x.High:
		return Meets
	}
	return CannotTell
}

// oneReading is a number with what stands before and after it.
var oneReading = regexp.MustCompile(`(?i)(<|>|≤|≥|over|above|more than|at least|under|below|less than)?\s*` +
	`([-+−]?(?:\d{1,3}(?:[ \x{2009}\x{202f}]\d{3})+(?:[.,]\d+)?|\d*[.,]?\d+(?:e[-+]?\d+)?)|o\.?l\b\.?|open\b|∞)\s*` +
	`((?:[\p{L}µμΩΩ°%²/·.]|[ ]mm²)*)`)

// part is a number found in a reading, with its unit as typed.
type part struct {
	number, unit, words string
	below, above        bool // what it truly is may lie so
	over                bool // past what the meter shows
}

func partsOf(text string) (out []part) {
	for _, found := range oneReading.FindAllStringSubmatch(text, -1) {
		p := part{number: found[2], unit: strings.TrimRight(strings.TrimSpace(found[3]), ".,"),
			words: strings.TrimSpace(found[0])}
		switch strings.ToLower(found[1]) {
		case "<", "≤", "under", "below", "less than":
			p.below = true
		case ">", "≥", "over", "above", "more than", "at least":
			p.above = true
		}
		if first := strings.ToLower(p.number)[0]; first == 'o' || strings.HasPrefix(p.number, "∞") {
			p.over = true
		}
		out = append(out, p)
	}
	return out
}

// as reads a part as what is expected; bare tells that it has no unit of its own.
func (p part) as(x *Expected) (v float64, bare, ok bool) {
	parse := func(s string) (float64, error) { return q.Parse(q.Text(s), x.Dimension) }
	if v, err := parse(p.number + " " + p.unit); err == nil {
		return v, p.unit == "", true
	}
	if !q.IsUnit(p.unit) {
		// A word that only follows: "0.2 left".
		v, err := parse(p.number)
		return v, true, err == nil
	}
	return 0, false, false
}

// Readings holds what somebody wrote down against what was to be read, in the order it was asked for: each number goes
// to the first of what is expected whose unit it has, one without a unit to the first that has none yet. What was not
// read is untold.
func Readings(text string, expected []Expected) []Judged {
	out := make([]Judged, len(expected))
	taken := make([]bool, len(expected))
	for i := range expected {
		out[i].Expected = expected[i]
		if whole := expected[i].Whole; whole != nil {
			taken[i] = true
			if v, err := whole(text); err == nil {
				out[i].Low, out[i].High, out[i].Words, out[i].Outcome = v, v, text, expected[i].Stands(v, v)
			}
		}
	}
	parts := partsOf(text)
	for _, wantsUnit := range []bool{true, false} {
		for n := range parts {
			p := &parts[n]
			if p.number == "" {
				continue
			}
			for i := range out {
				if taken[i] {
					continue
				}
				low, high, ok := p.span(&out[i].Expected, wantsUnit)
				if !ok {
					continue
				}
				taken[i] = true
				out[i].Low, out[i].High, out[i].Words = low, high, p.words
				out[i].Outcome = out[i].Expected.Stands(low, high)
				p.number = ""
				break
			}
		}
	}
	for _, p := range parts {
		for i := range out {
			out[i].again(p)
		}
	}
	return out
}

// again holds another number of the same unit against what is expected: of "0 to 320 V" the worse counts.
func (j *Judged) again(p part) {
	if p.number == "" || j.Outcome == Untold || j.Whole != nil {
		return
	}
	low, high, ok := p.span(&j.Expected, true)
	if worse := j.Stands(low, high); ok && (worse == Fails || worse == CannotTell && j.Outcome == Meets) {
		j.Outcome, j.Low, j.High, j.Words = worse, low, high, p.words
	}
}

// span is between what a part lies, where it is one of what is expected.
func (p part) span(x *Expected, wantsUnit bool) (low, high float64, ok bool) {
	if p.over {
		// More than a meter shows is more than anything that is asked to stay small, and by itself no large figure:
		// nobody knows where that meter ends.
		if x.Dimension != q.Resistance && x.Dimension != q.Insulation || wantsUnit {
			return 0, 0, false
		}
		if math.IsInf(x.High, 1) {
			return math.Inf(-1), math.Inf(1), true
		}
		return math.Inf(1), math.Inf(1), true
	}
	v, bare, read := p.as(x)
	if !read || bare == wantsUnit {
		return 0, 0, false
	}
	low, high = v, v
	if p.below {
		low = min(0, v)
	}
	if p.above {
		high = math.Inf(1)
	}
	return low, high, true
}

// Together is what several readings come to: one that fails decides, then one that is wanted and not told.
func Together(list []Judged) Outcome {
	outcome := Untold
	for i := range list {
		switch one := &list[i]; {
		case one.Outcome == Fails:
			return Fails
		case one.Outcome == CannotTell:
			outcome = CannotTell
		case one.Outcome == Meets && outcome == Untold:
			outcome = Meets
		}
	}
	for i := range list {
		if list[i].Outcome == Untold && !list[i].Optional && outcome == Meets {
			return CannotTell
		}
	}
	return outcome
}
