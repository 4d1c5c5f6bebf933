package slate

import (
	"regexp"
	"slices"
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"

	q "jiriki/core/quantity"
)

// item is one number of a question with its unit, what stands before and after it in words, and the mark that ties it
// to the number before.
type item struct {
	text   string // number and unit as typed
	number q.Text // the number alone
	unit   string // spelling of its unit, "" for none
	dims   []q.Dimension
	sort   sort // where the unit is none of a quantity's, such as poles
	before string
	after  string
	mark   mark
	role   role
	si     float64
	means  string // what a plate's power is said to be
}

// sort is what a unit that is of no dimension counts.
type sort string

const (
	poles  sort = "poles"
	teeth  sort = "teeth"
	tpi    sort = "tpi"
	dp     sort = "dp"
	module sort = "module"
	feed   sort = "feed"
	wire   sort = "wire"
	images sort = "images"
	rate   sort = "rate"
)

// mark ties two numbers together.
type mark string

const (
	apart mark = ""
	colon mark = ":"
	arrow mark = "→"
	from  mark = "from" // the second comes first: 200 rpm from 1400 rpm
	and   mark = "and"
)

// wheelWords may stand between two sizes that are tied together.
var wheelWords = []string{"in", "inch", "mm", "pulley", "sheave", "wheel", "motor", "driver", "on", "down", "up"}

// maxText and maxNumbers are as long a question as is read.
const (
	maxText    = 300
	maxNumbers = 16
)

// ranged is what stands between the two ends of a range, nothing but a dash.
var ranged = regexp.MustCompile(`^[-–−]$`)

var (
	// A whole and a fraction, a fraction, or a number with a point or comma, thousands apart or an exponent.
	numberForm = regexp.MustCompile(`^(?:\d+(?:[ -]+|\s*)[½¼¾⅓⅔⅛⅜⅝⅞]|[½¼¾⅓⅔⅛⅜⅝⅞]|\d+[ -]+\d+/\d+|\d+/\d+|` +
		`\d{1,3}(?: \d{3})+(?:\.\d+)?\b|\d+,\d+(?:\.\d+)?|\d*\.?\d+(?:[eE][+-]?\d{1,2})?)`)
	fraction64 = regexp.MustCompile(`^(?:\d+[ -]+)?(\d+)/(\d+)$`)
	wholeForm  = regexp.MustCompile(`^\d+`)
	arrows     = regexp.MustCompile(`^(?:-+>|=>|→|>|to|into|down to|up to|driv(?:es|ing)(?: an?)?|onto)$`)
	colons     = regexp.MustCompile(`^(?::|/|over)$`)
)

// sorts are the units that are of no dimension, or that stand for more than one spelling does.
var sorts = []struct {
	form *regexp.Regexp
	sort sort
	unit string // the spelling a quantity has for it; "" where it has none
}{
	{unitForm(`t\.?p\.?i\.?|threads? (?:per|to the|an) inch`), tpi, ""},
	{unitForm(`dp|diametral pitch`), dp, ""},
	{unitForm(`mod(?:ule)?`), module, ""},
	{unitForm(`poles?`), poles, ""},
	{unitForm(`-?teeth|-?tooth|t`), teeth, ""},
	{unitForm(`mm\s*(?:/|per|a)\s*(?:rev|turn)`), feed, "mm"},
	{unitForm(`(?:in|")\s*(?:/|per|a)\s*(?:rev|turn)`), feed, "in"},
	{unitForm(`thou\s*(?:/|per|a)\s*(?:rev|turn)`), feed, "thou"},
	{unitForm(`thou`), "", "thou"},
	{unitForm(`mm²|mm2|sq\.? ?mm|square millimetres?`), wire, "mm²"},
	{unitForm(`awg|gauge`), wire, "AWG"},
	{unitForm(`images?|marks?`), images, ""},
	{unitForm(`flash(?:es)?(?:\s*(?:/|a|per)\s*min(?:ute)?)?`), rate, "rpm"},
	{unitForm(`(?:turns?|revs?|revolutions?)\s*(?:/|a|per)\s*(?:s|sec|second)`), "", "rev/s"},
	{unitForm(`(?:turns?|revs?|revolutions?)\s*(?:/|a|per)\s*(?:min|minute)`), "", "rpm"},
	{unitForm(`horse ?power|horses?`), "", "hp"},
	{unitForm(`kilowatts?`), "", "kW"},
	{unitForm(`newton[ -]?met(?:re|er)s?`), "", "N·m"},
	{unitForm(`newtons?`), "", "N"},
	{unitForm(`foot[ -]?pounds?|pounds?[ -]?feet|pounds?[ -]?foot`), "", "lbf·ft"},
	{unitForm(`inch[ -]?pounds?`), "", "lbf·in"},
	{unitForm(`pounds?`), "", "lb"},
	{unitForm(`ounces?`), "", "oz"},
	{unitForm(`kilos?|kilograms?`), "", "kg"},
	{unitForm(`millimet(?:re|er)s?`), "", "mm"},
	{unitForm(`centimet(?:re|er)s?`), "", "cm"},
	{unitForm(`met(?:re|er)s? (?:a|per) minute`), "", "m/min"},
	{unitForm(`met(?:re|er)s? (?:a|per) second`), "", "m/s"},
	{unitForm(`(?:feet|foot|ft) (?:a|per) minute`), "", "ft/min"},
	{unitForm(`met(?:re|er)s?`), "", "m"},
	{unitForm(`hertz|cycles?`), "", "Hz"},
	{unitForm(`microfarads?`), "", "µF"},
}

func unitForm(form string) *regexp.Regexp {
	return regexp.MustCompile(`(?i)^(` + form + `)(?:[^\p{L}\p{N}/]|$)`)
}

// counted are numbers written as words, where they count what is seen or built.
var (
	counted = regexp.MustCompile(`(?i)\b(one|two|three|four|six|eight)[ -](images?|marks?|poles?)\b`)
	counts  = map[string]string{"one": "1", "two": "2", "three": "3", "four": "4", "six": "6", "eight": "8"}
	inName  = regexp.MustCompile(`[\p{L}#]$`) // 68 in A68, 6205 in #6205
	wordsIn = regexp.MustCompile(`\p{L}[\p{L}½²³-]*`)
)

// read takes the numbers out of a question.
func read(text string) []item {
	text = counted.ReplaceAllStringFunc(text, func(found string) string {
		number, what, _ := strings.Cut(strings.ReplaceAll(found, "-", " "), " ")
		return counts[strings.ToLower(number)] + " " + what
	})
	var out []item
	from, at := 0, 0 // of the words that stand before, and where to look next
	for at < len(text) && len(out) < maxNumbers {
		number := numberAt(text[at:])
		if number == "" || inName.MatchString(text[:at]) {
			_, size := utf8.DecodeRuneInString(text[at:])
			at += max(size, len(number))
			continue
		}
		before := text[from:at]
		if n := len(out); n > 0 && ranged.MatchString(before) && out[n-1].unit == "" && out[n-1].sort == "" {
			// A range as plates have them, 208-230: its upper end, kept as it was written.
			last := &out[n-1]
			start := from - len(last.text)
			last.number = q.Text(number)
			end := at + len(number)
			end += last.takeUnit(text[end:])
			last.text = strings.TrimSpace(text[start:end])
			from, at = end, end
			continue
		}
		if under := strings.TrimRight(before, "-−"); under != before && (under == "" || under[len(under)-1] == ' ') {
			number, at = "-"+number, at-1 // below nothing, which nothing here is
		}
		one := item{number: q.Text(number), before: spaced(before), mark: markOf(before)}
		end := at + len(number)
		if number[0] == '-' {
			one.before = spaced(text[from:at])
		}
		end += one.takeUnit(text[end:])
		one.text = strings.TrimSpace(text[at:end])
		if len(out) > 0 {
			out[len(out)-1].after = one.before
		}
		out = append(out, one)
		from, at = end, end
	}
	if len(out) > 0 {
		out[len(out)-1].after = spaced(text[from:])
	}
	return out
}

// horses follow a fraction of a horsepower, which may be of any number: 1/10 hp.
var horses = regexp.MustCompile(`(?i)^[ -]*(?:hp|horse|bhp)`)

// numberAt is the number a text begins with; of two with a stroke between that are no fraction of a rule, nor of a
// horsepower, the first.
func numberAt(text string) string {
	number := numberForm.FindString(text)
	if parts := fraction64.FindStringSubmatch(number); parts != nil {
		over, _ := strconv.Atoi(parts[1])
		under, _ := strconv.Atoi(parts[2])
		if under == 0 || over < under && horses.MatchString(text[len(number):]) {
			return number // by nothing it is no number, and is then not understood
		}
		switch under {
		case 2, 3, 4, 5, 6, 8, 16, 32, 64:
			if over < under {
				return number
			}
		}
		return wholeForm.FindString(number)
	}
	return number
}

// spaced are the words of a text in lower case, each between spaces.
func spaced(text string) string {
	return " " + strings.Join(wordsIn.FindAllString(strings.ToLower(text), -1), " ") + " "
}

// markOf is what ties a number to the one before, where nothing else stands between them.
func markOf(between string) mark {
	between = strings.ToLower(strings.TrimSpace(between))
	words := strings.Fields(spaced(between))
	for len(words) > 0 && slices.Contains([]string{"a", "an", "the"}, words[len(words)-1]) {
		words = words[:len(words)-1]
	}
	if last := len(words) - 1; last > 0 && slices.Contains([]string{"to", "driving", "drives"}, words[last]) {
		between = "to" // a 4 in pulley to an 8 in pulley
		for _, word := range words[:len(words)-1] {
			if !slices.Contains(wheelWords, word) {
				return apart
			}
		}
	}
	switch {
	case arrows.MatchString(between):
		return arrow
	case colons.MatchString(between):
		return colon
	case len(words) == 1 && words[0] == "from":
		return from
	case len(words) == 1 && words[0] == "and":
		return and
	}
	return apart
}

// longestUnit is as many bytes as a unit is spelt with.
const longestUnit = 16

// takeUnit takes the unit that follows a number, the longest that is one, and returns how much of what follows it is.
func (m *item) takeUnit(rest string) int {
	bare := strings.TrimLeft(rest, " \u00a0\u202f\u2009-")
	skipped := len(rest) - len(bare)
	for _, s := range sorts {
		if found := s.form.FindStringSubmatch(bare); found != nil {
			m.sort, m.unit = s.sort, s.unit
			switch {
			case s.unit == "thou":
				m.dims = []q.Dimension{q.Length}
			case m.sort == "":
				m.dims = q.Dimensions(m.unit)
			}
			return skipped + len(found[1])
		}
	}
	for length := min(longestUnit, len(bare)); length > 0; length-- {
		if length < len(bare) && runsOn(bare[:length], bare[length:]) {
			continue
		}
		spelling := strings.TrimRight(bare[:length], " ,;.")
		if dims := q.Dimensions(spelling); len(dims) > 0 {
			m.unit, m.dims = spelling, dims
			return skipped + len(spelling)
		}
	}
	return 0
}

// runsOn reports whether a text is cut within a word or a letter.
func runsOn(head, tail string) bool {
	last, _ := utf8.DecodeLastRuneInString(head)
	next, _ := utf8.DecodeRuneInString(tail)
	if strings.ContainsRune("-·*/", next) {
		if after, _ := utf8.DecodeRuneInString(strings.TrimLeft(tail, "-·*/")); unicode.IsLetter(after) {
			return true // ft-lbs is no ft
		}
	}
	return next == utf8.RuneError || last == utf8.RuneError ||
		(unicode.IsLetter(last) || unicode.IsDigit(last)) && (unicode.IsLetter(next) || unicode.IsDigit(next))
}
