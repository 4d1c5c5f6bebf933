package slate

import (
	"slices"
	"strings"

	q "jiriki/core/quantity"
)

// plateEntry is what a motor's plate says: where it is entered, the dimension of its figure, and the unit meant by the
// words that name it.
type plateEntry struct {
	field string
	d     q.Dimension
	unit  string
	words []string
}

var plateEntries = []plateEntry{
	{"motor.plate.power", q.Power, "hp", []string{"hp"}},
	{"motor.plate.power", q.Power, "kW", []string{"kw"}},
	{"motor.plate.power", q.Power, "W", []string{"watts"}},
	{"motor.plate.speed", q.Speed, "rpm", []string{"rpm", "r/min", "speed"}},
	{"motor.plate.volts", q.Voltage, "V", []string{"v", "volts", "volt"}},
	{"motor.plate.amps", q.Current, "A", []string{"a", "amps", "amp", "fla"}},
	{"motor.plate.hertz", q.Frequency, "Hz", []string{"hz", "cycles", "hertz"}},
	{"motor.plate.capacitor", q.Capacitance, "µF", []string{"mfd", "uf", "µf"}},
}

// Plate is what of a text can stand on a motor's plate, as the entries of one: "3/4 hp, 1140 rpm, 115/230 V, 11/5.5 A",
// or "HP 3/4 RPM 1140". Each entry is taken once, the first of its sort; two figures with a stroke between them stay
// together, as a plate has them.
func Plate(text string) []Fill {
	fills := []Fill{}
	items := slices.DeleteFunc(read(text), inAName)
	if len(items) > 0 && named(items[0].before) != nil {
		items = namedBefore(items)
	}
	for i := 0; i < len(items); i++ {
		m := items[i]
		shown := m.text
		if m.unit == "" && m.sort == "" && i+1 < len(items) && items[i+1].mark == colon {
			i++
			m.unit, m.dims = items[i].unit, items[i].dims
			shown += "/" + items[i].text
		}
		field := ""
		switch {
		case m.sort == poles:
			field, shown = "motor.plate.poles", string(m.number)
		case m.unit != "":
			for _, e := range plateEntries {
				if slices.Contains(m.dims, e.d) {
					field = e.field
				}
			}
		}
		taken := slices.ContainsFunc(fills, func(f Fill) bool { return f.Field == field })
		if field != "" && !taken {
			fills = append(fills, Fill{field, q.Text(shown)})
		}
	}
	return fills
}

// named is the entry whose word a text ends with; nil for none.
func named(text string) *plateEntry {
	words := strings.Fields(strings.ToLower(strings.Trim(text, " :;,.")))
	for i := range plateEntries {
		if len(words) > 0 && slices.Contains(plateEntries[i].words, words[len(words)-1]) {
			return &plateEntries[i]
		}
	}
	return nil
}

// namedBefore gives the figures of a plate that names each before it, "RPM 1140 VOLTS 115", the units they are named
// with; read from left to right they have each the next one's.
func namedBefore(items []item) []item {
	out := slices.Clone(items)
	for i := range out {
		before := items[i].before
		if i > 0 {
			before = items[i-1].unit + " " + before
		}
		out[i].unit, out[i].dims = "", nil
		if e := named(before); e != nil && items[i].mark == apart {
			out[i].unit, out[i].dims = e.unit, []q.Dimension{e.d}
			out[i].text = string(items[i].number) + " " + e.unit
		}
	}
	return out
}
