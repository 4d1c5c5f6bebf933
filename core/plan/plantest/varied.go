package plantest

import (
	"fmt"
	"math"
	"math/rand/v2"
	"reflect"
	"regexp"
	"strconv"
	"sync"

	"jiriki/core/plan"
	q "jiriki/core/quantity"
)

// figure is a text of one number with its unit, the sort that can be made larger or smaller.
var figure = regexp.MustCompile(`^(\d+(?:\.\d+)?)(?:/(\d))?( ?[^\d/.,:][^\d/]*)?$`)

// bases are the plans of the table, sound and dangerous, that others are made from.
var bases = sync.OnceValue(func() []plan.Input {
	var out []plan.Input
	for _, s := range Sounds() {
		out = append(out, s.Input)
	}
	for _, d := range Dangers() {
		out = append(out, d.Input)
	}
	return out
})

// Varied is one of a series of plans, always the same for its number: one of the table with the stations of another
// now and then, and with about one figure in six made up to twice as large or small.
func Varied(n int) plan.Input {
	draw := rand.New(rand.NewPCG(uint64(n), 20))
	from := bases()
	in := Copied(from[draw.IntN(len(from))])
	other := Copied(from[draw.IntN(len(from))])
	switch draw.IntN(5) {
	case 0:
		in.Machine = other.Machine
	case 1:
		in.Plan.Reduction = other.Plan.Reduction
	case 2:
		in.Plan.Motor, in.Plan.Control, in.Plan.Supply = other.Plan.Motor, other.Plan.Control, other.Plan.Supply
	}
	for _, one := range Figures(&in) {
		if draw.IntN(6) == 0 {
			one.Times(math.Exp2(2*draw.Float64() - 1))
		}
	}
	return in
}

// Copied is a plan that shares nothing with another.
func Copied(in plan.Input) plan.Input {
	return deepCopy(reflect.ValueOf(in)).Interface().(plan.Input)
}

func deepCopy(v reflect.Value) reflect.Value {
	out := reflect.New(v.Type()).Elem()
	out.Set(v)
	switch v.Kind() {
	case reflect.Struct:
		for i := range v.NumField() {
			if out.Field(i).CanSet() {
				out.Field(i).Set(deepCopy(v.Field(i)))
			}
		}
	case reflect.Slice:
		if v.IsNil() {
			break
		}
		out.Set(reflect.MakeSlice(v.Type(), v.Len(), v.Len()))
		for i := range v.Len() {
			out.Index(i).Set(deepCopy(v.Index(i)))
		}
	case reflect.Pointer:
		if !v.IsNil() {
			out.Set(reflect.New(v.Type().Elem()))
			out.Elem().Set(deepCopy(v.Elem()))
		}
	}
	return out
}

// Figure is one figure of a plan and where it stands.
type Figure struct {
	Path string
	Unit string // the tag of its field: see [q.BareUnits]
	text *q.Text
}

// Typed puts another text in its place.
func (f Figure) Typed(text q.Text) { *f.text = text }

// value is its number, the unit after it with its space, and whether it is bare and whole, which goes by leaps.
func (f Figure) value() (v float64, unit string, whole bool) {
	m := figure.FindStringSubmatch(string(*f.text))
	v, _ = strconv.ParseFloat(m[1], 64)
	if m[2] != "" {
		under, _ := strconv.ParseFloat(m[2], 64)
		v /= under
	}
	return v, m[3], m[3] == "" && v == math.Trunc(v)
}

// Times makes it so many times as large; teeth, starts and other bare whole numbers stay whole.
func (f Figure) Times(k float64) {
	v, unit, whole := f.value()
	if whole {
		*f.text = q.Text(fmt.Sprint(max(math.Round(v*k), 1)))
		return
	}
	*f.text = q.Text(fmt.Sprintf("%.10g%s", v*k, unit))
}

// Whole tells whether it goes by leaps.
func (f Figure) Whole() bool {
	_, _, whole := f.value()
	return whole
}

// Figures are all figures of a plan.
func Figures(in *plan.Input) []Figure {
	var out []Figure
	var walk func(v reflect.Value, path, unit string)
	walk = func(v reflect.Value, path, unit string) {
		switch v.Kind() {
		case reflect.Struct:
			for i := range v.NumField() {
				if field := v.Type().Field(i); field.IsExported() {
					walk(v.Field(i), path+"."+field.Name, field.Tag.Get("unit"))
				}
			}
		case reflect.Slice:
			for i := range v.Len() {
				walk(v.Index(i), fmt.Sprint(path, ".", i), unit)
			}
		case reflect.Pointer:
			if !v.IsNil() {
				walk(v.Elem(), path, unit)
			}
		case reflect.String:
			if text, ok := v.Addr().Interface().(*q.Text); ok && figure.MatchString(string(*text)) {
				out = append(out, Figure{path, unit, text})
			}
		}
	}
	walk(reflect.ValueOf(in).Elem(), "", "")
	return out
}
