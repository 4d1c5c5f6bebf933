package quantity

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// A torque joins one force and one length: what looks like N·mm once its marks are gone is not read as that.
func TestATorqueOfThreeUnitsIsRefused(t *testing.T) {
	for _, text := range []Text{"5 N·m·m", "5 N m m", "5 Nm·m", "5 N*m*m", "5 N-m-m", "5 N·c·m", "5 k·N·m", "5 N.m.m",
		"5 oz·i·n", "5 Nm m", "5 lb·ft·ft", "5 m·N·m"} {
		_, err := Parse(text, Torque)
		assert.ErrorIs(t, err, ErrUnit, "%s", text)
	}
	for text, want := range map[Text]float64{"5 N·mm": 0.005, "5 Nmm": 0.005, "5 N mm": 0.005, "5 N.m": 5,
		"5 lb-ft":   5 * poundFoot,
		"5 lb. ft.": 5 * poundFoot, "5 foot pounds": 5 * poundFoot, "5 in. lb.": 5 * poundInch,
		"5 kgf·cm": 5 * kiloForceCm} {
		got, err := Parse(text, Torque)
		assert.NoError(t, err, "%s", text)
		assert.InEpsilon(t, want, got, 1e-9, "%s", text)
	}
}

func TestParseReadsWhatMachinistsWrite(t *testing.T) {
	for _, c := range []struct {
		text Text
		dim  Dimension
		want float64
	}{
		{"½", Number, 0.5}, {"1½", Number, 1.5}, {"1 3/8", Number, 1.375}, {"1-3/8", Number, 1.375},
		{"65 %", Number, 0.65}, {"0,55 kW", Power, 550}, {"1 750 rpm", Speed, 1750 * RPM}, {"1750", Speed, 1750 * RPM},
		{"5/8″", Length, 0.015875}, {"2.2 Ω", Resistance, 2.2}, {"2.2 Ω", Resistance, 2.2},
		{"2.2 ohm", Resistance, 2.2}, {"20 MΩ", Resistance, 20e6}, {"20 MΩ", Resistance, 20e6},
		{"2 Mohm", Resistance, 2e6}, {"2 MOhms", Resistance, 2e6}, {"2 megohm", Resistance, 2e6},
		{"2 M", Resistance,
			2e6},
		{"40 mΩ", Resistance, 0.04}, {"40 mohm", Resistance, 0.04}, {"5 kΩ", Resistance, 5000},
		{"5 k", Resistance,
			5000},
		{"800 mA", Current, 0.8}, {"1.2E3 W", Power, 1200}, {"−5", Number, -5}, {".5 hp", Power, Horsepower / 2},
		{"60 N*cm", Torque, 0.6}, {"60 N cm", Torque, 0.6}, {"8 ft-lb", Torque, 8 * poundFoot},
		{"2 kg @ 100 mm", Torque, 2 * StdGravity * 0.1}, {"5 MIN", Duration, 300}, {"3 lb", Force, 3 * poundForce},
	} {
		got, err := Parse(c.text, c.dim)
		require.NoError(t, err, c.text)
		assert.InEpsilon(t, c.want, got, 1e-12, c.text)
	}
}

func TestParseRefusesWhatCannotBeMeant(t *testing.T) {
	for _, c := range []struct {
		text Text
		dim  Dimension
		want error
	}{
		{"", Power, ErrEmpty}, {"   ", Power, ErrEmpty}, {"hp", Power, ErrNumber}, {"1/0 hp", Power, ErrNumber},
		{"5 furlongs", Length, ErrUnit}, {"5 m", Resistance, ErrUnit}, {"5 N·m", Power, ErrUnit},
		{"1,750", Speed, ErrAmbiguous},
		{"210-225 V", Voltage, ErrRange},
		{"210 – 225", Voltage, ErrRange},
		{"90 to 110 V", Voltage, ErrRange},
		{"210-225/450 V", Voltage, ErrRange},
		{"1-5/4 in", Length, ErrRange},
		{"1.2.3", Number, ErrNumber},
		{"1 2 3", Number, ErrNumber}, {"NaN", Number, ErrNumber}, {"Inf", Number, ErrNumber},
		{"1e999", Number, ErrNumber},
		{"--5", Number, ErrNumber}, {"3/4/5", Number, ErrUnit}, {Text(make([]byte, 500)), Number, ErrTooLong},
		{"\xff", Number, ErrTooLong},
		{"5 lb at 3 hp", Torque, ErrUnit},
	} {
		_, err := Parse(c.text, c.dim)
		assert.ErrorIs(t, err, c.want, "%q", c.text)
	}
}

func TestRangesOfAText(t *testing.T) {
	for text, want := range map[Text]Text{"210-225 V": "225 V", "210–225/450 V": "225/450 V", "0 to 180 V": "180 V",
		"0..90": "90", "1-1/2 hp": "1-1/2 hp", "1 1/2": "1 1/2", "230 V": "230 V", "": "", "3.5-3.2/1.6": "3.2/1.6",
		"motor": "motor"} {
		assert.Equal(t, want, text.Ranges("$2"), text)
	}
	assert.Equal(t, Text("50/60 Hz"), Text("50-60 Hz").Ranges("$1/$2"))
}

func TestShowWritesForTheEye(t *testing.T) {
	for _, c := range []struct {
		value float64
		dim   Dimension
		sys   System
		want  string
	}{
		{2.034, Torque, Metric, "2.03\u202fN·m"}, {2.034, Torque, Inch, "1.5\u202flbf·ft"},
		{372.85, Power, Metric, "373\u202fW"}, {1500, Power, Metric, "1.5\u202fkW"},
		{999.7, Power, Metric, "1\u202fkW"},
		{1425 * RPM, Speed, Metric, "1425\u202frpm"}, {43.27 * RPM, Speed, Metric, "43.3\u202frpm"},
		{24000 * RPM, Speed, Metric, "24\u202f000\u202frpm"},
		{-0.5, Number, Metric, "−0.5"}, {300, Duration, Metric, "5\u202fmin"}, {7200, Duration, Metric, "2\u202fh"},
		{0, Torque, Metric, "0\u202fN·m"}, {math.NaN(), Torque, Metric, "—\u202fN·m"},
		{math.Pi / 2, Angle, Metric, "90°"}, {0.0254, Length, Inch, "1\u202fin"},
	} {
		assert.Equal(t, c.want, Show(c.value, c.dim, c.sys))
	}
	assert.Equal(t, "48\u202f200", Figures(48216, 3))
	for share, shown := range map[float64]string{0.4531: "45", 0.0452: "4.5", 0.994: "99", 0.997: "99.7", 1: "100",
		1.04: "104", 1.235: "124", -1.04: "−104",
		12.34: "1230"} {
		assert.Equal(t, shown+"\u202f%", Percent(share))
	}
}

func TestReaderNamesEveryBadField(t *testing.T) {
	r := NewReader("motor")
	plate := r.Under("plate")
	assert.Equal(t, Value{}, plate.Read("power", "", Power, Range{1, 10}))
	assert.Equal(t, Value{SI: 5, Known: true}, plate.Read("volts", "5 V", Voltage, Range{1, 10}))
	plate.Read("speed", "fast", Speed, Range{1, 10})
	plate.Read("amps", "50 A", Current, Range{1, 10})
	assert.Equal(t, "a", plate.Choice("cooling", "c", "a", "a", "b"))
	assert.Equal(t, "b", plate.Choice("cooling", "b", "a", "a", "b"))

	var errs FieldErrors
	require.ErrorAs(t, r.Err(), &errs)
	require.Len(t, errs, 3)
	assert.Equal(t, "motor.plate.speed", errs[0].Field)
	assert.Equal(t, "fast", errs[0].Given)
	assert.Contains(t, errs[1].Message, "between 1\u202fA and 10\u202fA")
	assert.Equal(t, "motor.plate.cooling", errs[2].Field)
	assert.NoError(t, NewReader("").Err())
}

func TestEveryUnitSpellingIsReachable(t *testing.T) {
	for i, units := range unitTable {
		dim := Dimension(i)
		seen := map[string]bool{}
		for _, u := range units {
			assert.Equal(t, u.key, normalise(u.key), "%s: the key must be what normalise makes", dim)
			assert.False(t, seen[u.key], "%s: %s twice", dim, u.key)
			seen[u.key] = true
		}
		for _, sys := range []System{Metric, Inch} {
			label, si := Unit(dim, sys)
			got, err := Parse(Text("1 "+label), dim)
			require.NoError(t, err, "%s shown as %s must read back", dim, label)
			if dim == Temperature {
				got -= zeroOf(label)
			}
			assert.InEpsilon(t, si, got, 1e-12)
		}
	}
}

func TestRatio(t *testing.T) {
	assert.Equal(t, "7.29\u202f:\u202f1", Ratio(7.29))
	assert.Equal(t, "1\u202f:\u202f1.5", Ratio(1/1.5))
	assert.Equal(t, "1\u202f:\u202f1", Ratio(1))
}
