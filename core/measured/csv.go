package measured

import (
	"bytes"
	"encoding/csv"
	"errors"
	"reflect"
	"regexp"
	"strings"
	"unicode/utf8"

	q "jiriki/core/quantity"
)

// Matched is a column of a table and what it was taken for.
type Matched struct {
	Heading string `json:"heading"`
	Field   string `json:"field" doc:"Of a reading; empty for a column that is left out"`
	Unit    string `json:"unit" doc:"Read in the heading, or taken where none stands there"`
	Sample  string `json:"sample" doc:"Its first figure, as it will be kept"`
	Misses  int    `json:"misses" doc:"Figures of it that cannot be read"`
}

// Table is a CSV file as readings of a kind of trial.
type Table struct {
	Columns  []Matched `json:"columns" nullable:"false"`
	Readings []Reading `json:"readings" nullable:"false"`
	Left     int       `json:"left" doc:"Rows left out, evenly, so that the rest fits into a trial"`
}

// ErrNoTable is what is no table.
var ErrNoTable = errors.New("no table was found: a line of headings, then a line for each reading")

// MostCSV is how long a file may be, bytes.
const MostCSV = 4 << 20

// readingUnits are the units a field of a reading is in: metric, and its name in Go.
var readingUnits = func() map[string]string {
	out := map[string]string{}
	t := reflect.TypeFor[Reading]()
	for i := range t.NumField() {
		name, _, _ := strings.Cut(t.Field(i).Tag.Get("json"), ",")
		metric, _, kept := q.BareUnits(t.Field(i).Tag.Get("unit"))
		if kept != "" {
			metric = kept
		}
		out[name] = metric
	}
	return out
}()

// synonyms are words of headings by the field they mean, the firmest first.
var synonyms = []struct{ field, words string }{
	{"second", "spindle output rpm2 second"}, {"speed", "rpm speed tacho motor n"}, {"mark", "knob mark dial setting"},
	{"slack", "slack loose f2"}, {"force", "force pull newton scale tight f1 load"}, {"celsius",
		"temp temperature celsius case °c"},
	{"time", "time seconds minutes elapsed t"}, {"volts", "volt volts voltage u v"}, {"amps", "amp amps current i a"},
	{"hertz", "hertz frequency hz freq"}, {"megohms", "megohm megohms insulation"}, {"ohms", "ohm ohms resistance"},
	{"capacitor", "capacitor capacitance µf uf"}, {"starts", "starts"}, {"sound", "sound db noise"},
	{"flash", "flash flashes strobe rate"}, {"images", "images"}, {"drift", "drift creep creeps"},
	{"torque", "torque moment"}, {"state", "state did"},
}

// unitIn finds a unit in a heading: "Speed (rpm)", "volts [mV]", "time/min".
var unitIn = regexp.MustCompile(`[\[(/]\s*([^\])/]+?)\s*[\])]?\s*$`)

// wordsOf parts a heading into words.
var wordsOf = regexp.MustCompile(`[\p{L}µ°0-9]+`)

// ReadCSV reads a CSV file, of commas, semicolons or tabs, as readings of a kind of trial. as names what columns are
// to be
// taken for, in place of what their headings say; one left empty goes by its heading, "-" leaves it out. The error
// wraps
// ErrNoTable.
func ReadCSV(data []byte, kind Kind, as []string) (Table, error) {
	out := Table{Columns: []Matched{}, Readings: []Reading{}}
	if len(data) > MostCSV || !utf8.Valid(data) {
		return out, ErrNoTable
	}
	rows, decimalComma, err := rowsOf(data)
	if err != nil || len(rows) < 2 {
		return out, ErrNoTable
	}
	taken := map[string]bool{}
	for i, heading := range rows[0] {
		m := Matched{Heading: strings.TrimSpace(heading)}
		if i < len(as) && as[i] != "" {
			m.Field = strings.TrimPrefix(as[i], "-")
		} else {
			m.Field = fieldOf(m.Heading, kind, taken)
		}
		if _, known := readingUnits[m.Field]; !known {
			m.Field = ""
		}
		taken[m.Field] = true
		m.Unit = unitOf(m.Heading, m.Field)
		out.Columns = append(out.Columns, m)
	}
	body := rows[1:]
	every := max(1, (len(body)+MaxReadings-1)/MaxReadings)
	for i := 0; i < len(body); i += every {
		out.Readings = append(out.Readings, out.row(body[i], decimalComma))
	}
	if every > 1 {
		out.Left = len(body) - len(out.Readings)
	}
	return out, nil
}

func rowsOf(data []byte) (rows [][]string, decimalComma bool, err error) {
	data = bytes.TrimPrefix(data, []byte("\ufeff"))
	first, _, _ := bytes.Cut(data, []byte("\n"))
	r := csv.NewReader(bytes.NewReader(data))
	r.FieldsPerRecord, r.TrimLeadingSpace, r.LazyQuotes = -1, true, true
	switch {
	case bytes.ContainsRune(first, ';'):
		r.Comma, decimalComma = ';', true
	case bytes.ContainsRune(first, '\t'):
		r.Comma, decimalComma = '\t', true
	}
	rows, err = r.ReadAll()
	return rows, decimalComma, err
}

// fieldOf is what a heading means: the first field of the kind's own columns that it names and nobody has yet.
func fieldOf(heading string, kind Kind, taken map[string]bool) string {
	own := map[string]bool{}
	for _, c := range kind.Profile().Columns {
		own[c.Field] = true
	}
	bare := unitIn.ReplaceAllString(heading, "")
	for _, text := range []string{bare, heading} {
		words := map[string]bool{}
		for _, w := range wordsOf.FindAllString(strings.ToLower(text), -1) {
			words[w] = true
		}
		for _, s := range synonyms {
			if !own[s.field] || taken[s.field] {
				continue
			}
			for _, w := range strings.Fields(s.words) {
				if words[w] {
					return s.field
				}
			}
		}
	}
	return ""
}

// unitOf is the unit a heading names, where a figure of the field can be in it; else the field's own.
func unitOf(heading, field string) string {
	own := readingUnits[field]
	if field == "" {
		return ""
	}
	m := unitIn.FindStringSubmatch(heading)
	if m == nil {
		return own
	}
	if fits(field, q.Text("1 "+m[1])) {
		return m[1]
	}
	return own
}

// fits reports whether a text can be read as a field of a reading.
func fits(field string, text q.Text) bool {
	var d Reading
	set(&d, field, string(text))
	r := q.NewReader("")
	take(d, 0, r)
	return r.Err() == nil
}

// set puts a text into a field of a reading by its name.
func set(d *Reading, field, text string) {
	v := reflect.ValueOf(d).Elem()
	for i := range v.NumField() {
		if name, _, _ := strings.Cut(v.Type().Field(i).Tag.Get("json"), ","); name == field {
			v.Field(i).SetString(text)
		}
	}
}

func (t *Table) row(cells []string, decimalComma bool) Reading {
	var d Reading
	for i, cell := range cells {
		if i >= len(t.Columns) {
			break
		}
		c := &t.Columns[i]
		cell = strings.TrimSpace(cell)
		if c.Field == "" || cell == "" {
			continue
		}
		text := cell
		if decimalComma && strings.Count(text, ",") == 1 && !strings.Contains(text, ".") {
			text = strings.Replace(text, ",", ".", 1)
		}
		if c.Unit != "" && q.Text(text).Known() && bareNumber.MatchString(text) {
			text += " " + c.Unit
		}
		if !fits(c.Field, q.Text(text)) {
			c.Misses++
			continue
		}
		if c.Sample == "" {
			c.Sample = text
		}
		set(&d, c.Field, text)
	}
	return d
}

var bareNumber = regexp.MustCompile(`^[-+−]?\d*\.?\d+([eE][-+]?\d+)?$`)
