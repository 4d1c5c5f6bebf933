package quantity

import (
	"math"
	"reflect"
	"strconv"
	"strings"
)

// BareUnits reads the `unit` tag of a field, such as "mm|in" or "m|ft|mm": the unit a bare number is taken in where
// metric figures are shown, that where inch figures are, and the unit of a bare number that stands in a file, which
// is the metric one unless a third is named. One without bars is the unit everywhere.
func BareUnits(tag string) (metric, inch, kept string) {
	parts := strings.Split(tag, "|")
	metric, inch, kept = parts[0], parts[0], parts[0]
	if len(parts) > 1 {
		inch = parts[1]
	}
	if len(parts) > 2 {
		kept = parts[2]
	}
	return metric, inch, kept
}

// InInches puts every metric text below a described part, which is a pointer to a struct, into the inch units of its
// fields, rounded to what a person would write: 40 mm becomes 1 1/2 in. What has no inch unit, or is not metric, stays
// as it is. It is for usual figures that are offered, never for what somebody measured.
func InInches(part any) { inInches(reflect.ValueOf(part).Elem(), "") }

func inInches(v reflect.Value, tag string) {
	switch v.Kind() {
	case reflect.Struct:
		for i := range v.NumField() {
			inInches(v.Field(i), v.Type().Field(i).Tag.Get("unit"))
		}
	case reflect.Slice:
		if v.Len() == 0 {
			return
		}
		// What is offered again and again shares its lists: this one gets its own.
		v.Set(reflect.AppendSlice(reflect.MakeSlice(v.Type(), 0, v.Len()), v))
		for i := range v.Len() {
			inInches(v.Index(i), tag)
		}
	case reflect.String:
		if text, ok := v.Interface().(Text); ok && tag != "" {
			v.SetString(string(roundly(text, tag)))
		}
	}
}

// roundly is a text of one metric number in inch units.
func roundly(t Text, tag string) Text {
	metric, inch, _ := BareUnits(tag)
	number, unit, _ := strings.Cut(strings.TrimSpace(string(t)), " ")
	if metric == inch || unit != metric {
		return t
	}
	n, err := strconv.ParseFloat(number, 64)
	if err != nil {
		return t
	}
	for _, d := range Dimensions(metric) {
		to, err := unitFactor(inch, d)
		if err != nil {
			continue
		}
		from, _ := unitFactor(metric, d)
		v := n * from / to
		if inch == "in" && v >= leastFraction {
			return Text(fraction(v) + " in")
		}
		return Text(strconv.FormatFloat(round(v, 2), 'f', -1, 64) + " " + inch)
	}
	return t
}

// leastFraction is the smallest length that is written as a fraction of an inch, in; a finer one is a decimal.
const leastFraction = 0.12

// fraction writes inches to the nearest sixteenth, from two inches to the quarter, from a foot to the whole.
func fraction(v float64) string {
	parts := 16
	if v >= 12 {
		parts = 1
	} else if v >= 2 {
		parts = 4
	}
	count := int(math.Round(v * float64(parts)))
	whole, over := count/parts, count%parts
	for over > 0 && over%2 == 0 {
		over, parts = over/2, parts/2
	}
	switch {
	case over == 0:
		return strconv.Itoa(whole)
	case whole == 0:
		return strconv.Itoa(over) + "/" + strconv.Itoa(parts)
	}
	return strconv.Itoa(whole) + " " + strconv.Itoa(over) + "/" + strconv.Itoa(parts)
}

func round(v float64, figures int) float64 {
	out, _ := strconv.ParseFloat(strconv.FormatFloat(v, 'e', figures-1, 64), 64)
	return out
}
