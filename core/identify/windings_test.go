package identify

import (
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
)

func leads(t *testing.T, thin []string, readings ...string) Sorted {
	t.Helper()
	in := Leads{Thin: thin}
	for i := 0; i < len(readings); i += 3 {
		in.Readings = append(in.Readings, Ohms{readings[i], readings[i+1], q.Text(readings[i+2])})
	}
	s, err := Sort(in)
	require.NoError(t, err)
	return s
}

// Common practice, no source: of three leads the pair that reads highest is start and run in
// series, the third is common, and of its readings the lower is run.
func TestThreeLeadsOfASinglePhaseMotor(t *testing.T) {
	s := leads(t, nil, "red", "blue", "18", "blue", "black", "14", "red", "black", "4.2")
	require.Len(t, s.Windings, 1)
	assert.Equal(t, []string{"black", "red", "blue"}, s.Windings[0].Leads)
	assert.Equal(t, []string{"common", "run, the lower reading", "start, the higher reading"}, s.Windings[0].Roles)
	assert.Equal(t, "black is common, red is run, blue is start.", s.Verdict)

	s = leads(t, nil, "1", "2", "30", "2", "3", "10", "1", "3", "8")
	assert.Contains(t, s.Verdict, "Not common")
	assert.Equal(t, f.LeadsSumOff, s.Findings[0].ID)
	s = leads(t, nil, "1", "2", "30.1", "2", "3", "15", "1", "3", "15.2")
	assert.Equal(t, f.LeadsBothWays, s.Findings[0].ID, "run and start alike: made to turn either way")
	s = leads(t, nil, "1", "2", "30", "2", "3", "15")
	assert.Equal(t, f.LeadsPairMissing, s.Findings[0].ID)
}

func TestLeadsOfOtherMotors(t *testing.T) {
	assert.Contains(t, leads(t, nil, "u", "v", "4.1", "v", "w", "4.2", "u", "w", "4.15").Verdict, "Three alike")
	four := leads(t, nil, "1", "2", "9", "3", "4", "2.5", "1", "3", "open", "2", "4", "OL")
	assert.Contains(t, four.Verdict, "Run on 3 and 4, start on 1 and 2")
	assert.Contains(t, leads(t, nil, "a", "b", "3.1", "c", "d", "3.2").Verdict, "stepper")
	assert.Contains(t, leads(t, nil, "A", "B", "1.2", "F1", "F2", "310").Verdict, "wound direct-current")
	six := leads(t, nil, "u1", "u2", "6", "v1", "v2", "6.1", "w1", "w2", "6.2")
	assert.Len(t, six.Windings, 3)
	assert.Contains(t, six.Verdict, "star for the higher volts")
	assert.Contains(t, leads(t, nil, "1", "2", "5", "3", "4", "9", "5", "6", "14").Verdict, "3 separate windings")
	assert.Contains(t, leads(t, nil, "1", "2", "7").Verdict, "One winding")
	assert.Contains(t, leads(t, nil, "1", "2", "7", "2", "3", "9", "3", "4", "11").Verdict, "Many leads")
	assert.NotEmpty(t, leads(t, nil).Verdict)
	lone := leads(t, nil, "1", "2", "7", "1", "pe", "open")
	assert.Equal(t, f.LeadsLoneLead, lone.Findings[0].ID)
}

// A thin pair that reads next to nothing is a thermal switch, wherever it stands; one that reads
// more is a sensor; and no winding is taken for a switch because it is thick.
func TestAThermalSwitchIsFoundAndKept(t *testing.T) {
	s := leads(t, []string{"white", "Yellow"}, "red", "black", "7.6", "white", "yellow", "0.2")
	assert.Equal(t, "white and yellow", s.Thermal)
	assert.Contains(t, s.Findings[0].Detail, "Wire it into the enable")
	assert.Contains(t, s.Verdict, "One winding", "the rest is still sorted")
	s = leads(t, []string{"white", "yellow"}, "red", "black", "7.6", "white", "yellow", "1.8 kΩ")
	assert.Empty(t, s.Thermal)
	assert.Equal(t, f.LeadsThinPair, s.Findings[0].ID)
	assert.Empty(t, leads(t, nil, "red", "black", "0.4").Thermal, "a strong motor's winding")
	assert.Equal(t, "p and q", leads(t, nil, "u", "v", "4.1", "v", "w", "4.2", "u", "w", "4.15", "p", "q",
		"0.1").Thermal)
}

func TestBadLeadsAreRefusedAtTheirPlace(t *testing.T) {
	for _, in := range []Leads{
		{Readings: []Ohms{{"a", "a", "3"}}}, {Readings: []Ohms{{"a", "", "3"}}}, {Readings: []Ohms{{"a", "b", "soup"}}},
		{Readings: []Ohms{{"a", "b", "-3"}}},
	} {
		_, err := Sort(in)
		var fields q.FieldErrors
		require.ErrorAs(t, err, &fields)
		assert.Contains(t, fields[0].Field, "readings[0]")
	}
}

func checked(t *testing.T, c CapacitorCheck) map[f.ID]f.Level {
	t.Helper()
	list, err := Capacitor(c)
	require.NoError(t, err)
	out := map[f.ID]f.Level{}
	for _, one := range list {
		out[one.ID] = one.Level
	}
	return out
}

func TestCapacitorAndSwitchCheck(t *testing.T) {
	assert.Contains(t, checked(t, CapacitorCheck{}), f.CapacitorDischarge)
	assert.Equal(t, f.Good, checked(t, CapacitorCheck{Use: "start", Marked: "100 µF",
		Measured: "112 µF"})[f.CapacitorSound])
	assert.Equal(t, f.Caution, checked(t, CapacitorCheck{Use: "run", Marked: "20", Measured: "16"})[f.CapacitorWeak])
	assert.Equal(t, f.Caution, checked(t, CapacitorCheck{Use: "run", Marked: "20", Measured: "24"})[f.CapacitorOdd])
	assert.Equal(t, f.Stop, checked(t, CapacitorCheck{Bulged: true})[f.CapacitorBulged])
	assert.Equal(t, f.Stop, checked(t, CapacitorCheck{Use: "run", Made: "electrolytic"})[f.CapacitorElectrolytic])
	// Common practice, no source: 250 V for 120 V, 440 V for 240 V.
	for volts, line := range map[q.Text]q.Text{"250 V": "120 V", "440 V": "240 V"} {
		assert.NotContains(t, checked(t, CapacitorCheck{Use: "run", Volts: volts, Line: line}), f.CapacitorVolts)
	}
	assert.Equal(t, f.Stop, checked(t, CapacitorCheck{Use: "run", Volts: "250 V", Line: "240 V"})[f.CapacitorVolts])
	assert.Equal(t, f.Caution, checked(t, CapacitorCheck{AtRest: "open"})[f.CapacitorSwitchOpen])
	assert.Equal(t, f.Stop, checked(t, CapacitorCheck{AtRest: "closed", Clicks: "no"})[f.CapacitorSwitchStuck])
	assert.Equal(t, f.Good, checked(t, CapacitorCheck{AtRest: "closed", Clicks: "yes"})[f.CapacitorSwitchSound])
	_, err := Capacitor(CapacitorCheck{Marked: "a lot"})
	assert.Error(t, err)
}

// Where readings stop being alike, adding up, or next to nothing [common practice].
func TestReadingsAreSortedAtTheirFigures(t *testing.T) {
	assert.Contains(t, leads(t, nil, "u", "v", "10", "v", "w", "11.1", "u", "w", "10").Verdict, "Three alike")
	assert.NotContains(t, leads(t, nil, "u", "v", "10", "v", "w", "11.3", "u", "w", "10").Verdict, "Three alike",
		"12 % apart is alike, 13 % is not")
	assert.Contains(t, leads(t, nil, "1", "2", "20.5", "2", "3", "10", "1", "3", "8").Verdict, "is common")
	assert.Contains(t, leads(t, nil, "1", "2", "20.9", "2", "3", "10", "1", "3", "8").Verdict, "Not common",
		"15 % off the sum is as read, 16 % is not")
	thin := []string{"white", "yellow"}
	assert.NotEmpty(t, leads(t, thin, "red", "black", "7.6", "white", "yellow", "0.95").Thermal)
	assert.Empty(t, leads(t, thin, "red", "black", "7.6", "white", "yellow", "1.05").Thermal, "1 Ω is no closed switch")
	beside := func(ohms q.Text) string {
		s := leads(t, nil, "u", "v", "4.1", "v", "w", "4.2", "u", "w", "4.15", "p", "q", string(ohms))
		return s.Windings[len(s.Windings)-1].Is
	}
	assert.NotContains(t, beside("19.5"), "sensor")
	assert.Contains(t, beside("20.5"), "sensor", "over 20 Ω it is no winding of a small motor")
	_, err := Sort(Leads{Readings: []Ohms{{"a", "b", "5 MΩ"}}})
	assert.NoError(t, err)
	_, err = Sort(Leads{Readings: []Ohms{{"a", "b", "5.1 MΩ"}}})
	assert.Error(t, err)
	chain := func(n int) (in Leads) {
		for i := range n - 1 {
			in.Readings = append(in.Readings, Ohms{strconv.Itoa(i), strconv.Itoa(i + 1), "3"})
		}
		return in
	}
	_, err = Sort(chain(12))
	assert.NoError(t, err)
	_, err = Sort(chain(13))
	assert.ErrorContains(t, err, "12 leads")
}
