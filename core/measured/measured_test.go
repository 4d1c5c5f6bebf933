package measured

import (
	"fmt"
	"reflect"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// Every column of every kind is a field of a reading, and every entry of its set-up one of a trial.
func TestColumnsNameFields(t *testing.T) {
	fields := func(v any) map[string]bool {
		out := map[string]bool{}
		for i := range reflect.TypeOf(v).NumField() {
			name, _, _ := strings.Cut(reflect.TypeOf(v).Field(i).Tag.Get("json"), ",")
			out[name] = true
		}
		return out
	}
	reading, trial := fields(Reading{}), fields(Trial{})
	for _, p := range Profiles() {
		for _, c := range p.Columns {
			assert.True(t, reading[c.Field], "%s: %s", p.Kind, c.Field)
			if c.Hint != "" && !c.Words {
				assert.True(t, fits(c.Field, q.Text(c.Hint)), "%s: the hint %q of %s can be read", p.Kind, c.Hint,
					c.Field)
			}
			for _, o := range c.Options {
				assert.True(t, fits(c.Field, q.Text(o.Value)), "%s: %s", p.Kind, o.Value)
			}
		}
		for _, c := range p.SetUp {
			assert.True(t, trial[c.Field], "%s: %s", p.Kind, c.Field)
		}
		assert.NotEmpty(t, p.How, p.Kind)
		if p.Given != "" {
			assert.Equal(t, p.Given, p.Columns[0].Field, p.Kind)
		}
	}
}

func TestEntriesAreRefusedAtTheirField(t *testing.T) {
	r := q.NewReader("")
	out := Resolve(Trial{Kind: Knob, Full: "soup", Resolution: "0.5 rpm", Readings: []Reading{{Mark: "1",
		Speed: "fast"},
		{}, {At: "14:02"}, {Mark: "2", Speed: "88", Images: "1.5", Starts: "often"}}}, r.At("trials", 3))
	errs, _ := r.Err().(q.FieldErrors)
	var at []string
	for _, e := range errs {
		at = append(at, e.Field)
	}
	assert.ElementsMatch(t, []string{"trials[3].full", "trials[3].readings[0].speed", "trials[3].readings[3].images",
		"trials[3].readings[3].starts"}, at)
	assert.Len(t, out.Readings, 2, "what is blank is no reading")
	assert.Equal(t, 3, out.Readings[1].Entry)
	assert.InDelta(t, 0.5*q.RPM, out.Steps.In(q.Speed), 1e-12)

	r = q.NewReader("")
	Resolve(Trial{Kind: Speed, Readings: make([]Reading, MaxReadings+1)}, r)
	assert.Error(t, r.Err())
}

func TestTablesAreRead(t *testing.T) {
	for _, c := range []struct {
		what, csv string
		kind      Kind
		as        []string
		fields    []string
		first     Reading
	}{
		{"headings with units", "Knob, Spindle speed (rpm)\n1, 24.5\n2, 49\n", Knob, nil, []string{"mark", "speed"},
			Reading{Mark: "1", Speed: "24.5 rpm"}},
		{"semicolons and decimal commas", "Zeit;time [min];Temp\nx;1,5;31,25\n", WarmUp, nil, []string{"", "time",
			"celsius"},
			Reading{Time: "1.5 min", Celsius: "31.25 °C"}},
		{"two shafts", "motor\tspindle\n1500\t402\n", Ratio, nil, []string{"speed", "second"},
			Reading{Speed: "1500 rpm", Second: "402 rpm"}},
		{"chosen by hand", "a,b\n3,88\n", Knob, []string{"mark", "speed"}, []string{"mark", "speed"},
			Reading{Mark: "3", Speed: "88 rpm"}},
		{"left out by hand", "knob,rpm,volts\n3,88,1\n", Knob, []string{"", "-"}, []string{"mark", "", ""},
			Reading{Mark: "3"}},
		{"millivolts", "volts (mV),amps\n250,1\n", LockedAt, nil, []string{"volts", "amps"}, Reading{Volts: "250 mV",
			Amps: "1 A"}},
		{"a pull in newtons", "pull (N)\n17\n", Pull, nil, []string{"force"}, Reading{Force: "17 N"}},
	} {
		got, err := ReadCSV([]byte(c.csv), c.kind, c.as)
		require.NoError(t, err, c.what)
		var fields []string
		for _, m := range got.Columns {
			fields = append(fields, m.Field)
		}
		assert.Equal(t, c.fields, fields, c.what)
		require.NotEmpty(t, got.Readings, c.what)
		assert.Equal(t, c.first, got.Readings[0], c.what)
	}
	got, err := ReadCSV([]byte("knob,rpm\n1,soup\n2,30\n"), Knob, nil)
	require.NoError(t, err)
	assert.Equal(t, 1, got.Columns[1].Misses)
	for _, bad := range []string{"", "rpm", "\xff\xfe,1\n2,3"} {
		_, err := ReadCSV([]byte(bad), Knob, nil)
		require.ErrorIs(t, err, ErrNoTable, bad)
	}
	long := "time,rpm\n"
	for i := range 500 {
		long += fmt.Sprintf("%d,%d\n", i, 1000-i)
	}
	got, err = ReadCSV([]byte(long), RunUpDown, nil)
	require.NoError(t, err)
	assert.LessOrEqual(t, len(got.Readings), MaxReadings)
	assert.Equal(t, 500, len(got.Readings)+got.Left)
}

func FuzzReadCSV(f *testing.F) {
	f.Add([]byte("knob,rpm\n1,2\n"))
	f.Fuzz(func(t *testing.T, data []byte) {
		for _, k := range []Kind{Knob, WarmUp, ""} {
			if got, err := ReadCSV(data, k, nil); err == nil {
				r := q.NewReader("")
				Resolve(Trial{Kind: k, Readings: got.Readings}, r)
				require.NoError(t, r.Err(), "what was taken can be used")
			}
		}
	})
}

// A meter's own leads are taken off; a reading that is no more than they are is none of the winding's, and refused.
func TestLeadsAreTakenOff(t *testing.T) {
	read := func(ohms q.Text) (Resolved, error) {
		r := q.NewReader("")
		out := Resolve(Trial{Kind: Ohms, Leads: "0.5 Ω",
			Readings: []Reading{{Ohms: ohms}}}, r)
		return out, r.Err()
	}
	out, err := read("2.5 Ω")
	require.NoError(t, err)
	assert.InDelta(t, 2, out.Readings[0].Ohms.SI, 1e-9)
	for _, ohms := range []q.Text{"0.5 Ω", "0.3 Ω"} {
		out, err = read(ohms)
		assert.ErrorContains(t, err, "no more than the meter's leads", ohms)
		assert.Empty(t, out.Readings)
	}
}
