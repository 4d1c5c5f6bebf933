package quantity

import (
	"errors"
	"fmt"
	"math"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"unicode/utf8"
)

// Text is a quantity exactly as a person typed it. The empty Text means "not known".
type Text string

// Known reports whether anything was typed.
func (t Text) Known() bool { return strings.TrimSpace(string(t)) != "" }

// fromTo is a range as plates give them, such as 208-230 or 0–180.
var fromTo = regexp.MustCompile(`(\d+(?:[.,]\d+)?)\s*(?:-|–|−|to|\.\.\.?|…)\s*(\d+(?:[.,]\d+)?)`)

// Ranges puts into the place of every range in it what stands for it: $1 its first figure, $2 its second. A whole and
// a fraction, such as 1-1/2, is no range.
func (t Text) Ranges(with string) Text {
	if !strings.ContainsAny(string(t), "-–−…o") && !strings.Contains(string(t), "..") {
		return t
	}
	if _, rest, err := parseNumber(string(t)); err == nil && !upTo.MatchString(rest) {
		return t
	}
	return Text(fromTo.ReplaceAllString(string(t), with))
}

// maxText bounds what one field may hold, in bytes, so that a pasted book is refused early.
const maxText = 120

// Errors a quantity can fail with. [Parse] wraps them in words for the person.
var (
	ErrEmpty     = errors.New("nothing typed")
	ErrNumber    = errors.New("no number found")
	ErrUnit      = errors.New("unit not known here")
	ErrAmbiguous = errors.New("can be read two ways")
	ErrRange     = errors.New("a range where one figure is wanted")
	ErrTooLong   = errors.New("too long")
)

// vulgarMarks are marks a person or a document writes, each with what is read in its place.
var vulgarMarks = []string{
	"½", " 1/2", "¼", " 1/4", "¾", " 3/4", "⅓", " 1/3", "⅔", " 2/3", "⅛", " 1/8", "⅜", " 3/8", "⅝", " 5/8", "⅞", " 7/8",
	"−", "-", "–", "-", "\u2009", " ", "\u00a0", " ", "\u202f", " ", "″", `"`, "”", `"`, "“", `"`, "′", "'", "’", "'",
	"Ω", "Ω",
}

var vulgar = strings.NewReplacer(vulgarMarks...)

// vulgarRunes are the marks alone.
var vulgarRunes = func() string {
	runes := ""
	for i := 0; i < len(vulgarMarks); i += 2 {
		runes += vulgarMarks[i]
	}
	return runes
}()

// holdsVulgar reports whether a text holds any of the marks, which few do.
func holdsVulgar(s string) bool {
	for _, r := range s {
		if r >= utf8.RuneSelf && strings.ContainsRune(vulgarRunes, r) {
			return true
		}
	}
	return false
}

var (
	// A sign, then a whole and a fraction, a fraction, or a plain number with thousands apart or an exponent.
	numberForm = regexp.MustCompile(`^([+-]?)\s*(?:(\d+)[ -]+(\d+)\s*/\s*(\d+)|(\d+)\s*/\s*(\d+)|` +
		`(\d{1,3}(?: \d{3})+(?:\.\d+)?|\d*[.,]?\d+(?:[eE][+-]?\d{1,3})?|\d+[.,]))`)
	thousands = regexp.MustCompile(`^[1-9]\d{0,2},\d{3}$`)
	upTo      = regexp.MustCompile(`^(?:[-–−…]|to\b|\.\.)[. ]*\d`)
	pullAt    = regexp.MustCompile(`(?i)\s+(?:at|on|@)\s+`)
)

// Parse reads text as a quantity of dimension d and returns its SI value.
// A bare number takes the dimension's first unit (rpm, N·m, W, mm, …). A torque may also be
// given as a pull at a radius: "5 lb at 80 mm". The value is finite; its range is the
// caller's to check. Errors wrap ErrEmpty, ErrNumber, ErrUnit, ErrAmbiguous,
// ErrRange or ErrTooLong.
func Parse(text Text, d Dimension) (float64, error) {
	if len(text) > maxText || !utf8.ValidString(string(text)) {
		return 0, fmt.Errorf("%w: at most %d characters", ErrTooLong, maxText)
	}
	s := strings.TrimSpace(string(text))
	if holdsVulgar(s) {
		s = strings.TrimSpace(vulgar.Replace(s))
	}
	if s == "" {
		return 0, ErrEmpty
	}
	if d == Torque && strings.ContainsAny(s, "@aAoO") {
		if parts := pullAt.Split(s, -1); len(parts) == 2 {
			return parsePull(parts[0], parts[1])
		}
	}
	number, rest, err := parseNumber(s)
	if err != nil {
		return 0, err
	}
	factor, err := unitFactor(rest, d)
	if err != nil {
		if upTo.MatchString(rest) {
			return 0, fmt.Errorf("%w: of %q type the one that is meant", ErrRange, s)
		}
		return 0, err
	}
	v := number * factor
	if d == Temperature {
		v += zeroOf(rest)
	}
	if math.IsInf(v, 0) || math.IsNaN(v) {
		return 0, fmt.Errorf("%w: too large to work with", ErrNumber)
	}
	return v, nil
}

// parsePull reads a force at a radius as a torque.
func parsePull(force, radius string) (float64, error) {
	f, err := Parse(Text(force), Force)
	if err != nil {
		return 0, err
	}
	r, err := Parse(Text(radius), Length)
	if err != nil {
		return 0, err
	}
	return f * r, nil
}

// plainNumber is the short way for the usual case, "180 V": digits, perhaps a point and more,
// then nothing that could belong to the number.
func plainNumber(s string) (v float64, rest string, ok bool) {
	end := 0
	for end < len(s) && (s[end] >= '0' && s[end] <= '9' || s[end] == '.') {
		end++
	}
	rest = strings.TrimSpace(s[end:])
	if rest != "" && strings.ContainsRune("0123456789.,/-eE", rune(rest[0])) {
		return 0, "", false
	}
	v, err := strconv.ParseFloat(s[:end], 64)
	return v, rest, err == nil
}

// parseNumber takes the leading number off s and returns it with what follows.
func parseNumber(s string) (float64, string, error) {
	if v, rest, ok := plainNumber(s); ok {
		return v, rest, nil
	}
	m := numberForm.FindStringSubmatch(s)
	if m == nil {
		return 0, "", fmt.Errorf("%w in %q", ErrNumber, s)
	}
	rest := strings.TrimSpace(s[len(m[0]):])
	if rest != "" && (rest[0] >= '0' && rest[0] <= '9' || rest[0] == '.' || rest[0] == ',' || rest[0] == '/' &&
		len(m[5]) == 0) {
		return 0, "", fmt.Errorf("%w: write %q as one number", ErrNumber, s)
	}
	sign := 1.0
	if m[1] == "-" {
		sign = -1
	}
	switch {
	case m[4] != "":
		return mixed(sign, m[2], m[3], m[4], rest)
	case m[6] != "":
		return mixed(sign, "0", m[5], m[6], rest)
	}
	plain := m[7]
	if thousands.MatchString(plain) {
		return 0, "", fmt.Errorf("%w: write %s or %s", ErrAmbiguous,
			strings.Replace(plain, ",", "", 1), strings.Replace(plain, ",", ".", 1))
	}
	plain = strings.ReplaceAll(strings.ReplaceAll(plain, " ", ""), ",", ".")
	v, err := strconv.ParseFloat(plain, 64)
	if err != nil {
		return 0, "", fmt.Errorf("%w: %q is out of reach", ErrNumber, plain)
	}
	return sign * v, rest, nil
}

// mostUnder is the finest fraction that goes with a whole, as on a rule: 1-1/2, 2-7/64. 208-230/460 is no such.
const mostUnder = 64

func mixed(sign float64, whole, over, under, rest string) (float64, string, error) {
	w, errW := strconv.ParseFloat(whole, 64)
	a, errA := strconv.ParseFloat(over, 64)
	b, errB := strconv.ParseFloat(under, 64)
	if errW != nil || errA != nil || errB != nil || b == 0 {
		return 0, "", fmt.Errorf("%w: the fraction has nothing under its line", ErrNumber)
	}
	if w > 0 && (a >= b || b > mostUnder) {
		return 0, "", fmt.Errorf("%w: %s-%s/%s is no whole and a fraction", ErrRange, whole, over, under)
	}
	return sign * (w + a/b), rest, nil
}

// Dimensions returns what a spelling is a unit of, as a lb is of mass and of force; none where it is no unit.
func Dimensions(spelling string) []Dimension {
	var out []Dimension
	key := normalise(spelling)
	for d := range unitTable {
		for i := range unitTable[d] {
			if key != "" && unitTable[d][i].key == key {
				out = append(out, Dimension(d))
				break
			}
		}
	}
	return out
}

// IsUnit reports whether a spelling is a unit of anything.
func IsUnit(spelling string) bool { return len(Dimensions(spelling)) > 0 }

// unitFactor finds the SI factor of a unit spelling, in any case and joined any usual way.
func unitFactor(spelling string, d Dimension) (float64, error) {
	table := unitTable[d]
	if spelling == "" {
		return table[0].factor, nil
	}
	for i := range showTable[d] {
		if shown := &showTable[d][i]; shown.label == spelling { // as figures are shown is how most are typed
			return shown.factor, nil
		}
	}
	key := normalise(spelling)
	if d == Resistance && spelling[0] == 'M' && !strings.HasPrefix(key, "meg") {
		key = "meg" + key[1:] // a meter's MΩ is a million, its mΩ a thousandth
	}
	for i := range table {
		if table[i].key == key && (d != Torque || twoTogether(spelling)) {
			return table[i].factor, nil
		}
	}
	return 0, fmt.Errorf("%w: %q is no unit of %s; try %s", ErrUnit, spelling, d, examples(d))
}

// twoTogether reports whether a torque's spelling joins no more than a force and a length: N·m·m and Nm·m are not N·mm.
func twoTogether(spelling string) bool {
	parts := strings.Fields(spaced.Replace(spelling))
	for _, p := range parts {
		if len(parts) > 1 && slices.Contains(Dimensions(p), Torque) {
			return false
		}
	}
	return len(parts) <= 2
}

// zeroOf is the zero of the scale a temperature was typed in, K; Celsius where none was.
func zeroOf(spelling string) float64 {
	if spelling == "" {
		return celsiusZero
	}
	return scaleZero[normalise(spelling)]
}

// readAs says what unit a number without one was read in, where that is a unit figures are shown in; a
// person who meant another sees why it is out of range.
func readAs(t Text, d Dimension) string {
	_, rest, err := parseNumber(vulgar.Replace(strings.TrimSpace(string(t))))
	label, si := Unit(d, Metric)
	if err != nil || rest != "" || label == "" || unitTable[d][0].factor != si {
		return ""
	}
	return "; without a unit it is read in " + label
}

// spaced puts a space in the place of every mark that joins two units.
var spaced = strings.NewReplacer("·", " ", "⋅", " ", "*", " ", "-", " ", ".", " ")

var joins = strings.NewReplacer(" ", "", "·", "", "⋅", "", "*", "", "-", "", ".", "")

func normalise(unit string) string {
	if strings.ContainsAny(unit, " ·⋅*-.") {
		unit = joins.Replace(unit)
	}
	return strings.ToLower(unit)
}

// examples names a few accepted spellings for an error message.
func examples(d Dimension) string {
	switch d {
	case Torque:
		return "N·m, N·cm, lbf·ft or oz·in"
	case Power:
		return "W, kW or hp"
	case Length:
		return `mm, cm or in`
	case Number:
		return "a plain number or %"
	}
	label, _ := Unit(d, Metric)
	inchLabel, _ := Unit(d, Inch)
	if inchLabel != label {
		return label + " or " + inchLabel
	}
	return label
}
