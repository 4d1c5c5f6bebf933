package judge_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/judge"
	q "jiriki/core/quantity"
)

var (
	overMegohm = judge.Expected{Of: "insulation", Dimension: q.Insulation, Low: 1e6, High: math.Inf(1)}
	underHalf  = judge.Expected{Of: "ohms", Dimension: q.Resistance, Low: 0, High: 0.5}
	noVolts    = judge.Expected{Of: "volts", Dimension: q.Voltage, Low: -5, High: 5}
	freeSpeed  = judge.Expected{Of: "speed", Dimension: q.Speed, Low: 0, High: 1800 * q.RPM, Optional: true}
	freeAmps   = judge.Expected{Of: "amps", Dimension: q.Current, Low: 0, High: 2.8, Optional: true}
)

// Each reading against what is asked, as people write them down.
func TestAReadingMeetsFailsOrCannotBeTold(t *testing.T) {
	for _, c := range []struct {
		text    string
		asked   judge.Expected
		outcome judge.Outcome
	}{
		{"0.02 MΩ", overMegohm, judge.Fails}, {"0.02", overMegohm, judge.Fails}, {"20 kΩ", overMegohm, judge.Fails},
		{"40 MΩ", overMegohm, judge.Meets}, {"> 550 MΩ", overMegohm, judge.Meets},
		{"over 200 MOhm", overMegohm, judge.Meets}, {"1.2 GΩ", overMegohm, judge.Meets},
		{"under 5 MΩ", overMegohm, judge.CannotTell}, {"OL", overMegohm, judge.CannotTell},
		{"fine", overMegohm, judge.Untold}, {"900 Ω", overMegohm, judge.Fails},
		{"900 Ω", underHalf, judge.Fails}, {"0.2 Ω", underHalf, judge.Meets}, {"0.2", underHalf, judge.Meets},
		{"OL", underHalf, judge.Fails}, {"open", underHalf, judge.Fails}, {"∞", underHalf, judge.Fails},
		{"< 1 Ω", underHalf, judge.CannotTell}, {"< 0.3 Ω", underHalf, judge.Meets}, {"> 2 Ω", underHalf, judge.Fails},
		{"300 mΩ", underHalf, judge.Meets}, {"0,2 Ω", underHalf, judge.Meets}, {"12 V", underHalf, judge.Untold},
		{"320 V", noVolts, judge.Fails}, {"−320 V", noVolts, judge.Fails}, {"-320", noVolts, judge.Fails},
		{"0 V", noVolts, judge.Meets}, {"0", noVolts, judge.Meets}, {"0.3 left", noVolts, judge.Meets},
		{"0 V after 5 min", noVolts, judge.Meets}, {"320 mV", noVolts, judge.Meets}, {"320 VDC", noVolts, judge.Fails},
		{"0 to 4 V", noVolts, judge.Meets}, {"0 to 320 V", noVolts, judge.Fails}, {"", noVolts, judge.Untold},
		{"none", noVolts, judge.Untold},
	} {
		got := judge.Readings(c.text, []judge.Expected{c.asked})
		require.Len(t, got, 1)
		assert.Equal(t, c.outcome, got[0].Outcome, "%q against %s", c.text, c.asked.Of)
	}
}

// Several readings in one line go each to what has their unit; bare ones in the order they were asked for.
func TestReadingsOfOneLineAreToldApart(t *testing.T) {
	both := []judge.Expected{freeSpeed, freeAmps}
	for text, want := range map[string][2]judge.Outcome{
		"1750 rpm, 0.8 A":       {judge.Meets, judge.Meets},
		"0.8 A at 1 750 rpm":    {judge.Meets, judge.Meets},
		"1750 rpm and 3.4 A":    {judge.Meets, judge.Fails},
		"2400 rpm 0.8 A":        {judge.Fails, judge.Meets},
		"1750, 0.8":             {judge.Meets, judge.Meets},
		"1750 and 4":            {judge.Meets, judge.Fails},
		"3.4 A":                 {judge.Untold, judge.Fails},
		"1750 rpm":              {judge.Meets, judge.Untold},
		"smooth":                {judge.Untold, judge.Untold},
		"0.8 A, speed not read": {judge.Untold, judge.Meets},
	} {
		got := judge.Readings(text, both)
		assert.Equal(t, want, [2]judge.Outcome{got[0].Outcome, got[1].Outcome}, text)
	}
}

func TestTogetherOneFailureDecides(t *testing.T) {
	list := func(text string, of ...judge.Expected) []judge.Judged { return judge.Readings(text, of) }
	assert.Equal(t, judge.Fails, judge.Together(list("1750 rpm, 3.4 A", freeSpeed, freeAmps)))
	assert.Equal(t, judge.Meets, judge.Together(list("1750 rpm", freeSpeed, freeAmps)), "the other was not asked for")
	assert.Equal(t, judge.Untold, judge.Together(list("ok", underHalf)))
	assert.Equal(t, judge.CannotTell, judge.Together(list("0.2 Ω", underHalf, noVolts)), "volts were asked for too")
	assert.Equal(t, judge.Fails, judge.Together(list("0.2 Ω, 320 V", underHalf, noVolts)))
}
