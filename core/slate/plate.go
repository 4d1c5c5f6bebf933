package slate

import (
	"encoding/json"
	"fmt"
	"regexp"
	"slices"
	"strings"

	"jiriki/core/motor"
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

// platePart is what a plate says by a sign of its own: how it is written, where it is entered, and as what; its first
// group where as is empty. Without a field it is understood and entered nowhere.
type platePart struct {
	form  *regexp.Regexp
	field string
	as    func(found []string) string
}

func said(text string) func([]string) string { return func([]string) string { return text } }

// plateParts are read before figures with units are, longest first where one holds another.
var plateParts = []platePart{
	{form: plateForm(`(?:fr|frame(?: size)?|baugr[öo]sse)\.?\s*[:=]?\s*` +
		`((?:iec |nema )?\d{2,3}[a-z]{0,3}(?: [slm]\b)?)`), field: "motor.plate.frame",
		as: func(f []string) string { return strings.ToUpper(f[1]) }},
	{form: plateForm(`((?:iec|nema) \d{2,3}[a-z]{0,3}(?: [slm]\b)?)`), field: "motor.plate.frame",
		as: func(f []string) string { return strings.ToUpper(f[1]) }},
	{form: plateForm(`(?:s\.?f\.?|service factor)\s*[:=]?\s*(\d(?:[.,]\d+)?)`), field: "motor.plate.serviceFactor"},
	{form: plateForm(`(?:cos\.?\s*(?:φ|ϕ|phi|fi)|p\.?f\.?|power factor)\s*[:=]?\s*((?:0?[.,]\d+)|1(?:[.,]0+)?)`),
		field: "motor.plate.powerFactor"},
	{form: plateForm(`ip\s*-?(\d[\dx][a-z]?)`), field: "motor.plate.enclosure",
		as: func(f []string) string { return "IP " + strings.ToUpper(f[1]) }},
	{form: plateForm(`(?:(?:ins(?:ul(?:ation)?)?\.?\s*)?(?:iso\.?[- " +
		"]?kl\.?|class|cl\.?|kl\.?)|ins(?:ul(?:ation)?)?\.?)\s*[:=]?\s*([aebfh])`),
		field: "motor.plate.insulation", as: func(f []string) string { return strings.ToUpper(f[1]) }},
	{form: plateForm(`(s[1-9](?:\s*[-:]?\s*\d+\s*(?:min|%))?)`), field: "motor.plate.duty",
		as: func(f []string) string { return strings.ToUpper(f[1][:1]) + f[1][1:] }},
	{form: plateForm(`3\s*(?:~|-?\s?ph(?:ase)?s?\b\.?)|three[- ]phase`), field: "motor.kind", as: said("induction-3")},
	{form: plateForm(`(?:1|single)\s*(?:~|-?\s?ph(?:ase)?s?\b\.?)|one[- ]phase`)},
	{form: plateForm(`n\s*=\s*(\d{3,5})(?:\s*(?:rpm|r/min|/min|1/min|min\s*[-−⁻]?\s*[1¹]))?`),
		field: "motor.plate.speed",
		as:    func(f []string) string { return f[1] + " rpm" }},
	{form: plateForm(`(\d{3,5})\s*(?:/\s*min|min\s*[-−⁻]?\s*[1¹]|1/min|u/min|tr/min|t/min)`),
		field: "motor.plate.speed",
		as:    func(f []string) string { return f[1] + " rpm" }},
	{form: plateForm(`(\d{1,2})\s*(?:-?\s?poles?|p)`), field: "motor.plate.poles"},
	{form: plateForm(`treadmill duty|special duty|peak|max(?:imum)?\.?(?: power)?`), field: "motor.plate.powerMeans",
		as: said("peak")},
	{form: plateForm(`cont(?:inuous|\.)?(?: duty)?`), field: "motor.plate.powerMeans", as: said("continuous")},
	{form: plateForm(`int(?:ermittent|\.)(?: duty)?`), field: "motor.plate.powerMeans", as: said("intermittent")},
	{form: plateForm(`tefc`), field: "motor.plate.enclosure", as: said("TEFC")},
}

// plateForm is a sign that stands by itself.
func plateForm(form string) *regexp.Regexp {
	return regexp.MustCompile(`(?i)(?:^|[\s,;(])(?:` + form + `)(?:$|[\s,;)])`)
}

// PlateRead is what a text says as a motor's plate: entries of one, and the figures that none was made of.
type PlateRead struct {
	Fills  []Fill
	Unread []string
}

// Plate is what of a text can stand on a motor's plate, as the entries of one: "3/4 hp, 1140 rpm, 115/230 V, 11/5.5 A",
// or "HP 3/4 RPM 1140". Each entry is taken once, the first of its sort; two figures with a stroke between them stay
// together, and a range, as a plate has them. Of two powers the one that is said to be continuous is taken.
func Plate(text string) PlateRead {
	out := PlateRead{Fills: []Fill{}, Unread: []string{}}
	if len(text) > maxText {
		return out
	}
	text, out.Fills = signs(text)
	out.figures(text)
	if len(out.Fills) == 1 && out.Fills[0].Field == "motor.plate.powerMeans" {
		out.Fills = out.Fills[:0] // a word by itself is no plate
	}
	return out
}

// Onto makes the entries of a plate on a motor.
func (out PlateRead) Onto(m *motor.Described) error {
	for _, f := range out.Fills {
		entry, err := json.Marshal(f.Text)
		if err != nil {
			return fmt.Errorf("entry %s of a plate: %w", f.Field, err)
		}
		names := strings.Split(f.Field, ".")
		for _, name := range slices.Backward(names[1:]) {
			entry = fmt.Appendf(nil, "{%q:%s}", name, entry)
		}
		if err := json.Unmarshal(entry, m); err != nil {
			return fmt.Errorf("entry %s of a plate: %w", f.Field, err)
		}
	}
	return nil
}

// signs takes what a plate says by signs of its own out of a text.
func signs(text string) (rest string, fills []Fill) {
	fills = []Fill{}
	powers := strings.Count(strings.ToLower(text), "hp") + strings.Count(strings.ToLower(text), "kw")
	for i := range plateParts {
		p := &plateParts[i]
		for {
			at := p.form.FindStringSubmatchIndex(text)
			if at == nil {
				break
			}
			found := p.form.FindStringSubmatch(text)
			if p.field == "motor.plate.powerMeans" && powers > 1 {
				break // which of the powers it is said of is told from where it stands
			}
			if p.field != "" && !has(fills, p.field) {
				as := ""
				switch {
				case p.as != nil:
					as = p.as(found)
				case len(found) > 1:
					as = found[1]
				}
				fills = append(fills, Fill{p.field, q.Text(as)})
			}
			text = text[:at[0]] + " , " + text[at[1]:]
		}
	}
	return text, fills
}

func has(fills []Fill, field string) bool {
	return slices.ContainsFunc(fills, func(f Fill) bool { return f.Field == field })
}

// figures reads the figures with units.
func (out *PlateRead) figures(text string) {
	items := slices.DeleteFunc(read(text), inAName)
	if len(items) > 0 && named(items[0].before) != nil {
		items = namedBefore(items)
	}
	items = continuousFirst(items)
	for i := 0; i < len(items); i++ {
		m := items[i]
		shown := m.text
		for m.unit == "" && m.sort == "" && i+1 < len(items) && items[i+1].mark == colon {
			i++
			m.unit, m.dims = items[i].unit, items[i].dims
			shown += "/" + items[i].text
		}
		field := m.field()
		if m.sort == poles {
			shown = string(m.number)
		}
		if field == "" || has(out.Fills, field) || !readable(field, q.Text(shown)) {
			if m.means == "" {
				out.Unread = append(out.Unread, shown)
			}
			continue
		}
		out.Fills = append(out.Fills, Fill{field, q.Text(shown)})
		if m.means != "" && !has(out.Fills, "motor.plate.powerMeans") {
			out.Fills = append(out.Fills, Fill{"motor.plate.powerMeans", q.Text(m.means)})
		}
	}
}

// readable reports whether an entry can be read as what it is: 1/0 hp cannot.
func readable(field string, text q.Text) bool {
	for _, e := range plateEntries {
		if e.field == field {
			for _, part := range strings.Split(string(text), "/") {
				number := strings.TrimSpace(numberForm.FindString(strings.TrimSpace(part)))
				if v, err := q.Parse(q.Text(number), q.Number); err == nil && v == 0 {
					return false
				}
			}
		}
	}
	return true
}

// field is where a figure of a plate is entered; empty for none.
func (m *item) field() string {
	if m.sort == poles {
		return "motor.plate.poles"
	}
	for _, e := range plateEntries {
		if m.unit != "" && slices.Contains(m.dims, e.d) {
			return e.field
		}
	}
	return ""
}

// meansWords tell what a power is said to be, by a word beside it.
var meansWords = []struct{ begins, means string }{{"cont", "continuous"}, {"peak", "peak"}, {"max", "peak"},
	{"int", "intermittent"}, {"treadmill", "peak"}}

// continuousFirst puts, of several powers, the one that is said to be continuous before the others, and says of each
// what
// it is said to be.
func continuousFirst(items []item) []item {
	out := slices.Clone(items)
	first := -1
	for i := range out {
		if out[i].field() != "motor.plate.power" {
			continue
		}
		for _, w := range meansWords {
			if strings.HasPrefix(out[i].after, " "+w.begins) || strings.HasSuffix(out[i].before, " "+w.means+" ") ||
				strings.HasSuffix(out[i].before, " "+w.begins+" ") {
				out[i].means = w.means
				break
			}
		}
		if first < 0 {
			first = i
		} else if out[i].means == "continuous" && out[first].means != "continuous" {
			out[first], out[i] = out[i], out[first]
		}
	}
	return out
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
