package shelf

import (
	"fmt"
	"regexp"
	"strings"

	q "jiriki/core/quantity"
)

// mostNamed is how many parts one line may name.
const mostNamed = 60

// sectionOf is a belt section or chain before a list of sizes, and the sizes.
var sectionOf = regexp.MustCompile(`^\s*([\p{L}\p{N}][\p{L}\p{N} .-]{0,18}?)\s*:\s*(\S.*)$`)

// trailingUnit is a unit that stands once behind a list of sizes.
var trailingUnit = regexp.MustCompile(`^(.*\d["″]?)\s*(mm|cm|in|inch|inches|teeth|t)\.?$`)

// Named are the parts of a sort that one line puts on the shelf: one by its name, or several pulleys or belts by their
// section and sizes, as in "A: 60 80 100 140" or "08B: 15, 20, 30 teeth". A bare size is in the system's unit. The
// error is quantity.FieldErrors, on the field "text".
func Named(sort, text string, sys q.System) ([]Item, error) {
	r := q.NewReader("")
	text = strings.TrimSpace(text)
	if q.Blank(text) {
		r.Refuse("text", text, "What is it called?")
		return nil, r.Err()
	}
	if list := sectionOf.FindStringSubmatch(text); list != nil && (sort == Pulley || sort == Belt) {
		return sized(sort, strings.TrimSpace(list[1]), list[2], sys, r)
	}
	if len(text) > 120 {
		r.Refuse("text", text, "a name of at most 120 letters")
		return nil, r.Err()
	}
	item := Item{Sort: sort, Name: text}
	switch sort {
	case Motor:
		item.Name, item.Motor.Name = "", text
	case Control:
		item.Name, item.Control.Name = "", text
	}
	return []Item{item.Whole()}, nil
}

// sized are the parts of a section by their sizes.
func sized(sort, section, sizes string, sys q.System, r *q.Reader) ([]Item, error) {
	unit := "mm"
	if sys == q.Inch {
		unit = "in"
	}
	counted := false
	if m := trailingUnit.FindStringSubmatch(strings.ToLower(sizes)); m != nil {
		sizes, unit = m[1], m[2]
		counted = unit == "teeth" || unit == "t"
	}
	split := strings.Fields
	if strings.ContainsAny(sizes, ",;") {
		split = func(s string) []string {
			return strings.FieldsFunc(s, func(c rune) bool { return c == ',' || c == ';' })
		}
	}
	list := split(sizes)
	if len(list) > mostNamed {
		r.Refuse("text", sizes, fmt.Sprintf("at most %d in one line", mostNamed))
		return nil, r.Err()
	}
	var items []Item
	for _, size := range list {
		item := Item{Sort: sort, Wheel: Wheel{Section: section}}
		given := q.Text(strings.TrimSpace(size))
		switch {
		case counted:
			item.Wheel.Teeth = given
			item.Name = section + " " + string(given) + " teeth"
		default:
			if _, err := q.Parse(given, q.Number); err == nil {
				given += q.Text(" " + unit)
			}
			item.Name = section + " " + string(given)
			if sort == Pulley {
				item.Wheel.Diameter = given
			} else {
				item.Length = given
			}
		}
		check := q.NewReader("")
		if item.Check(check); check.Err() != nil {
			r.Refuse("text", size, fmt.Sprintf("“%s” is no size: write them as in A: 60 80 100",
				strings.TrimSpace(size)))
			return nil, r.Err()
		}
		items = append(items, item.Whole())
	}
	return items, nil
}
