package slate

import (
	"encoding/json"
	"math"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/plan"
	q "jiriki/core/quantity"
)

var index = regexp.MustCompile(`\[\d+\]`)

func one(t *testing.T, text string, kind Kind, sys q.System) Answer {
	t.Helper()
	for _, a := range Ask(text, sys).Answers {
		if a.Kind == kind {
			return a
		}
	}
	require.Fail(t, "no such answer", "%s: %s", text, kind)
	return Answer{}
}

// What each rule says it answers it answers, and what an answer would put into a plan is an entry of one.
func TestEveryRuleAnswersItsOwnQuestion(t *testing.T) {
	known := plan.Fields()
	for _, r := range rules {
		reply := Ask(r.like, q.Metric)
		found := slices.ContainsFunc(reply.Answers, func(a Answer) bool { return a.Kind == r.kind })
		assert.True(t, found, "%s: %s", r.kind, r.like)
		assert.NotEmpty(t, r.gives, r.kind)
		for _, a := range reply.Answers {
			assert.NotEmpty(t, a.Understood, r.like)
			assert.NotNil(t, a.Working.Source, r.like)
			for _, f := range a.Fills {
				assert.Contains(t, known, index.ReplaceAllString(f.Field, "[n]"), r.like)
				assert.NotEmpty(t, f.Text, "%s: %s", r.like, f.Field)
			}
			assert.Equal(t, a.Offer == "", len(a.Fills) == 0, r.like)
		}
	}
}

// Either order, joined or by themselves: the figures are the same.
func TestOrderAndCompanyDoNotMatter(t *testing.T) {
	for _, same := range [][]string{
		{"1.3 hp at 2700 rpm", "2700 rpm, 1.3 hp", "1.3 hp at 2700 rpm, wheel 140 mm",
			"a motor of 1.3 hp turning 2700 rpm"},
		{"140 mm wheel at 2700 rpm", "2700 rpm on a 140 mm wheel", "1.3 hp at 2700 rpm, wheel 140 mm"},
	} {
		kind := Kind("torque")
		if strings.HasPrefix(same[0], "140") {
			kind = "rim"
		}
		first := one(t, same[0], kind, q.Metric)
		for _, text := range same[1:] {
			assert.Equal(t, first.Value, one(t, text, kind, q.Metric).Value, text)
		}
	}
}

func TestBareLengthsAreInThePersonsSystem(t *testing.T) {
	metric, inches := one(t, "wheel 7 at 900 rpm", "rim", q.Metric), one(t, "wheel 7 at 900 rpm", "rim", q.Inch)
	assert.InEpsilon(t, 25.4, inches.Value/metric.Value, 1e-4)
	assert.Contains(t, inches.Text, "ft/min")
	assert.Contains(t, inches.Also, "m/s")
	assert.Equal(t, q.Text("7 in"), inches.Fills[0].Text)
}

func TestWarningsStandWithTheAnswer(t *testing.T) {
	for _, c := range []struct {
		text string
		kind Kind
		says string
	}{
		{"900 W at 20 rev/s", "torque", "2π too many"},
		{"2 hp, 110 V 6 A", "out-of-plate", "more than goes in"},
		{"0.8 hp, 110 V 6 A", "out-of-plate", "no small motor keeps that"},
		{"0.4 hp, 110 V 6 A", "out-of-plate", "which a motor can keep"},
		{"50 Hz 4 poles 1540 rpm", "synchronous", ""},
		{"40 : 400 mm on 300 mm centres", "belt", "Under 120°"},
		{"14 A over 60 m of 1.5 mm² on 230 V", "drop", "may not start"},
		{"1.6 Ω on 48 V", "stall", "1.44\u202fkW"},
		{"150 mm wheel at 2500 rpm", "rim", "Never over the speed marked"},
		{"strobe at 1000 and 700, one image", "strobe", "do not fit"},
	} {
		notes := ""
		for _, a := range Ask(c.text, q.Metric).Answers {
			if a.Kind == c.kind {
				notes += a.Note
			}
		}
		assert.Contains(t, notes, c.says, c.text)
	}
	assert.Contains(t, one(t, "2600 → 400 rpm", "ratio", q.Metric).Also, "pulleys nearest")
}

func TestWhatIsNotUnderstoodIsSaid(t *testing.T) {
	for text, says := range map[string]string{
		"good morning":              "No figure",
		"7":                         "Say its unit",
		"1.3 hp at 2700 rpm, 8 min": "came to nothing",
		strings.Repeat("1 ", 400):   "Too long",
	} {
		assert.Contains(t, Ask(text, q.Metric).Unread, says, text)
	}
	near := Ask("12 kg and 4 µF", q.Metric)
	assert.Empty(t, near.Answers)
	assert.Contains(t, near.Unread, "With a radius, 12 kg gives the torque.")
	assert.NotEmpty(t, near.Like)
	offers := map[string]int{}
	for _, a := range Ask("1.3 hp at 2700 rpm on 230 V 50 Hz", q.Metric).Answers {
		offers[a.Offer]++
	}
	assert.Equal(t, 1, offers["this motor"], "the same is offered once")
	assert.Equal(t, Reply{Answers: []Answer{}, Like: []string{}, Plate: []Fill{}, Left: []string{},
		Between: []Fill{}}, Ask("  ",
		q.Metric))
}

// Half a horse is half a horse however close its unit stands, feet and pounds are no feet, and what cannot be meant is
// no answer at all: a figure that is misread is worse than one that is not read.
func TestNothingIsMisread(t *testing.T) {
	const hp = 745.69987158227
	for text, want := range map[string]struct {
		kind Kind
		si   float64
	}{
		"1/2hp 1725rpm 115v":             {"torque", hp / 2 / (1725 * q.RPM)},
		"2-1/2hp at 1725":                {"torque", 2.5 * hp / (1725 * q.RPM)},
		"90 rpm 15 ft-lbs":               {"power", 15 * 1.3558179483 * 90 * q.RPM},
		"7 in-lbs at 300 rpm":            {"power", 7 * 0.1129848290 * 300 * q.RPM},
		"1.2e3 W at 1e3 rpm":             {"torque", 1200 / (1000 * q.RPM)},
		"4 in pulley to a 9 in pulley":   {"pulleys", 2.25},
		"70/210 mm":                      {"pulleys", 3},
		"3.5 to 1 at 1400 rpm":           {"ratio-known", 3.5},
		"3 phase 400 V 2 A":              {"out-of-plate", 0.9 * 800 * math.Sqrt(3)},
		"5-1/2 in wheel, 3-jaw 2000 rpm": {"rim", math.Pi * 5.5 * 0.0254 * 2000 / 60},
	} {
		a := one(t, text, want.kind, q.Metric)
		assert.InEpsilon(t, want.si, a.Value, 1e-4, text)
		assert.Empty(t, Ask(text, q.Metric).Unread, text)
	}
	for text, says := range map[string]string{
		"1,750 rpm 1 hp": "can be read two ways", "-5 hp at 100 rpm": "gives", "0 rpm 1 hp": "gives",
		"1 hp at 1e99 rpm": "gives",
	} {
		reply := Ask(text, q.Metric)
		assert.Empty(t, reply.Answers, text)
		assert.Contains(t, reply.Unread, says, text)
	}
	assert.Contains(t, one(t, "1700 rpm to 60 rpm", "ratio", q.Metric).Also, "two stages of 5.32")
}

// Whatever is typed, the answers are finite and fit to be sent.
func TestAnyQuestionIsAnsweredInFiniteFigures(t *testing.T) {
	parts := []string{
		"at",
		"on",
		"→",
		":",
		"/",
		",",
		"wheel",
		"disc",
		"belt",
		"strobe",
		"teeth",
		"radius",
		"and",
		"in",
		"three phase",
		"spun",
		"capacitor",
		"turns",
		"steel",
		"½",
		"¾",
		"-",
		"×",
	}
	units := []string{"hp", "W", "rpm", "N·m", "mm", "in", "V", "A", "Ω", "Hz", "poles", "µF", "kg", "lb", "s", "TPI",
		"mm/rev", "mm²",
		"AWG", "kg·m²", "m/min", "Wh", "°C", "images", "flashes", "module", "dp", "thou", "rev/s", "T", ""}
	rapid.Check(t, func(t *rapid.T) {
		text := ""
		for range rapid.IntRange(1, 8).Draw(t, "parts") {
			number := rapid.OneOf(rapid.SampledFrom([]string{"0", "1",
				"0.0001", "999999999", "1/0", "3/8", "1e9", "-4", ".5"}),
				rapid.StringMatching(`\d{1,4}([.,]\d{1,2})?`)).
				Draw(t, "number")
			text += " " + rapid.SampledFrom(parts).
				Draw(t, "word") +
				" " + number + " " +
				rapid.SampledFrom(units).
					Draw(t, "unit")
		}
		for _, sys := range []q.System{q.Metric, q.Inch} {
			reply := Ask(text, sys)
			said, err := json.Marshal(reply)
			require.NoError(t, err)
			assert.NotRegexp(t, `NaN|\bInf|%!|—`, string(said), text)
		}
	})
}

func FuzzAsk(f *testing.F) {
	for _, ask := range asks {
		f.Add(ask.text)
	}
	f.Fuzz(func(t *testing.T, text string) {
		_, err := json.Marshal(Ask(text, q.Inch))
		assert.NoError(t, err)
	})
}

// Questions that once came out wrong, each with its first answer by hand.
func TestWhatOnceCameOutWrong(t *testing.T) {
	for text, want := range map[string]struct {
		kind  Kind
		value float64
	}{
		"heater 1500 W at 120 V":                       {"amps", 12.5},
		"kettle 2 kW at 230 V":                         {"amps", 8.696},
		"1500 W at 120 V":                              {"amps", 1500 / (0.75 * 120)},
		"170 V stall 74 A":                             {"ohms", 2.297},
		"stalled it takes 21 A at 12 V":                {"ohms", 0.5714},
		"3 phase 400 V 5 A pf 0.8":                     {"out-of-plate", 0.9 * 0.8 * 1.7320508 * 2000},
		"400 V 5 A 3 phase cos φ 0.8":                  {"out-of-plate", 0.9 * 0.8 * 1.7320508 * 2000},
		"3 phase 400 V 5 A":                            {"out-of-plate", 0.9 * 1.7320508 * 2000},
		"1/10 hp at 1550 rpm":                          {"torque", 74.57 / (1550 * q.RPM)},
		"1/15 hp at 3000 rpm":                          {"torque", 49.71 / (3000 * q.RPM)},
		"2 hp at 1750 rpm, constant torque at 350 rpm": {"torque", 1491.4 / (1750 * q.RPM)},
		"constant torque 2 hp at a fifth of the speed": {"constant-torque", 298.3},
		"half the speed at the same torque, 1.5 kW":    {"constant-torque", 750},
		"208-230 V 5 A":                                {"out-of-plate", 0.9 * 230 * 5},
		"2 pole 60 Hz 3600 rpm":                        {"synchronous", 3600 * q.RPM},
	} {
		got := Ask(text, q.Metric)
		require.NotEmpty(t, got.Answers, text)
		assert.Equal(t, want.kind, got.Answers[0].Kind, text)
		assert.InEpsilon(t, want.value, got.Answers[0].Value, 2e-3, text)
	}
	slip := Ask("2 pole 60 Hz 3600 rpm", q.Metric).Answers[1]
	assert.Equal(t, "0\u202f%", slip.Text)
	assert.Empty(t, slip.Note)
	for _, text := range []string{"1/0 hp at 1000 rpm", "0/0 hp at 1000 rpm", "5/8 in shaft at 1725 rpm", "0-5 V"} {
		got := Ask(text, q.Metric)
		assert.Empty(t, got.Answers, text)
		assert.NotEmpty(t, got.Unread, text)
	}
	for _, one := range Ask("6 in wheel", q.Inch).Answers {
		for _, fill := range one.Fills {
			assert.NotContains(t, string(fill.Text), "rpm")
		}
	}
}
