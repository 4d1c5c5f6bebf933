package quantity

import (
	"fmt"
	"strings"
	"unicode"
)

// FieldError says which field of a described plan cannot be used, what was given and what
// is allowed, in words for the person.
type FieldError struct {
	Field   string `json:"field" doc:"Path of the field, such as motor.plate.speed"`
	Given   string `json:"given" doc:"What was typed"`
	Message string `json:"message" doc:"What is wrong and what is allowed"`
}

func (e FieldError) Error() string { return e.Field + ": " + e.Message }

// FieldErrors is every field that cannot be used, in the order they were read.
type FieldErrors []FieldError

func (e FieldErrors) Error() string {
	lines := make([]string, len(e))
	for i, one := range e {
		lines[i] = one.Error()
	}
	return strings.Join(lines, "; ")
}

// Range bounds a field in SI units, both ends included.
type Range struct{ Min, Max float64 }

// Value is a quantity that may be absent: SI when Known.
type Value struct {
	SI    float64
	Known bool
}

// Or returns the value, or other when it is not known.
func (v Value) Or(other float64) float64 {
	if v.Known {
		return v.SI
	}
	return other
}

// Reader reads the fields of one description and gathers what is wrong with them, so that a
// person sees every bad field at once.
type Reader struct {
	above *Reader // what this is a part of
	part  string  // its name there
	index int     // which of a list, -1 for what is none
	errs  *FieldErrors
}

// NewReader returns a Reader whose fields are named below prefix.
func NewReader(prefix string) *Reader { return &Reader{part: prefix, index: -1, errs: &FieldErrors{}} }

// Under returns a Reader for a nested part; what it finds wrong joins the same list.
func (r *Reader) Under(part string) *Reader {
	return &Reader{above: r, part: part, index: -1, errs: r.errs}
}

// At returns a Reader for one of a list of nested parts, counted from 0.
func (r *Reader) At(part string, index int) *Reader {
	return &Reader{above: r, part: part, index: index, errs: r.errs}
}

// path is the part's own name, from the top. Names are put together only where something is refused.
func (r *Reader) path() string {
	part := r.part
	if r.index >= 0 {
		part = fmt.Sprintf("%s[%d]", part, r.index)
	}
	if r.above == nil {
		return part
	}
	return join(r.above.path(), part)
}

func join(above, field string) string {
	if above == "" || field == "" {
		return above + field
	}
	return above + "." + field
}

// Read parses an optional field; an empty one is unknown, not wrong.
func (r *Reader) Read(field string, t Text, d Dimension, allowed Range) Value {
	return r.take(field, t, d, allowed, func(t Text) (float64, error) { return Parse(t, d) })
}

// ReadPerInch is [Reader.Read] of a length that may also be given as so many to an inch: a lead as "8 TPI", a module
// as "16 DP". The units are those it may then have, in lower case.
func (r *Reader) ReadPerInch(field string, t Text, allowed Range, units ...string) Value {
	return r.take(field, t, Length, allowed, func(t Text) (float64, error) { return perInch(t, units) })
}

// ReadFeed is [Reader.Read] of a length that is gone in one turn, and may be written so: "0.1 mm/rev".
func (r *Reader) ReadFeed(field string, t Text, allowed Range) Value {
	return r.take(field, t, Length, allowed, func(t Text) (float64, error) {
		bare := strings.TrimSpace(string(t))
		for _, turn := range []string{"/rev", "/turn"} {
			bare = strings.TrimSuffix(bare, turn)
		}
		return Parse(Text(bare), Length)
	})
}

// perInch is a length in metres, as one or as so many of a unit to an inch.
func perInch(t Text, units []string) (float64, error) {
	lower := strings.ToLower(strings.TrimSpace(string(t)))
	for _, unit := range units {
		count, is := strings.CutSuffix(lower, unit)
		if !is {
			continue
		}
		n, err := Parse(Text(count), Number)
		if err != nil {
			return 0, err
		}
		if n <= 0 {
			return 0, fmt.Errorf("%w: “%s” of none to an inch", ErrNumber, t)
		}
		return inch / n, nil
	}
	return Parse(t, Length)
}

func (r *Reader) take(field string, t Text, d Dimension, allowed Range, parse func(Text) (float64, error)) Value {
	if !t.Known() {
		return Value{}
	}
	v, err := parse(t)
	if err != nil {
		r.Refuse(field, string(t), err.Error())
		return Value{}
	}
	if v < allowed.Min || v > allowed.Max {
		r.Refuse(field, string(t), fmt.Sprintf("must lie between %s and %s%s",
			Show(allowed.Min, d, Metric), Show(allowed.Max, d, Metric), readAs(t, d)))
		return Value{}
	}
	return Value{SI: v, Known: true}
}

// Choice checks a field that must be one of a few words; an empty one becomes fallback.
func (r *Reader) Choice(field, given, fallback string, allowed ...string) string {
	if given == "" {
		return fallback
	}
	for _, a := range allowed {
		if given == a {
			return given
		}
	}
	r.Refuse(field, given, "must be one of "+strings.Join(allowed, ", "))
	return fallback
}

// Blank reports whether a text shows nothing: empty, or only spaces and characters without a shape.
func Blank(text string) bool {
	for _, r := range text {
		// U+2800 and U+3164 are counted as shapes and have none.
		if unicode.IsGraphic(r) && !unicode.IsSpace(r) && !unicode.Is(unicode.Mn, r) && r != 0x2800 && r != 0x3164 {
			return false
		}
	}
	return true
}

// Refuse records that a field cannot be used.
func (r *Reader) Refuse(field, given, message string) {
	*r.errs = append(*r.errs, FieldError{Field: join(r.path(), field), Given: clip(given), Message: message})
}

// Refused returns the first field of this part that was refused, named below the part, and whether
// there is one.
func (r *Reader) Refused() (field string, refused bool) {
	if len(*r.errs) == 0 {
		return "", false
	}
	path := r.path()
	for _, e := range *r.errs {
		if rest, ok := strings.CutPrefix(e.Field, path); ok && (path == "" || rest == "" || rest[0] == '.' ||
			rest[0] == '[') {
			return strings.TrimPrefix(rest, "."), true
		}
	}
	return "", false
}

// Err returns FieldErrors when any field was refused, else nil.
func (r *Reader) Err() error {
	if len(*r.errs) == 0 {
		return nil
	}
	return *r.errs
}

func clip(s string) string {
	if len(s) > maxText {
		return strings.ToValidUTF8(s[:maxText], "") + "…"
	}
	return s
}
