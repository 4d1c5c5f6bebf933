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
	if !t.Known() {
		return Value{}
	}
	v, err := Parse(t, d)
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
