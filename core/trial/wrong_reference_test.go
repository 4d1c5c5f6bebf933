package trial

import (
	"encoding/json"
	"os"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

// wrong is a body that once came out wrong, found beside independent computations.
func wrong(t *testing.T, name string) plan.Input {
	t.Helper()
	raw, err := os.ReadFile("testdata/wrong/" + name + ".json")
	require.NoError(t, err)
	var in plan.Input
	require.NoError(t, json.Unmarshal(raw, &in))
	return in
}

// What cannot be gives no figure and no offer, and says so.
func TestReadingsThatCannotBeGiveNothing(t *testing.T) {
	for name, says := range map[string]Difference{
		"04-ratio-3-and-6": Scattered, "05-slip-1540": Overloaded, "06-warm-up-cooling": Cooler,
		"07-clutch-faster": Swapped, "08-sag-rises": Swapped, "12-brake-379": Scattered, "13-rundown-rising": Scattered,
		"14-rundown-disc-shorter": Scattered, "15-pull-keeps-over-starts": Scattered, "16-locked-64-ohm": OpenCircuit,
		"16b-open-circuit": OpenCircuit,
	} {
		cannotBe(t, name, of(t, wrong(t, name)), says)
	}
}

func cannotBe(t *testing.T, name string, out Answer, says Difference) {
	t.Helper()
	assert.True(t, out.Contradicts, name)
	assert.Empty(t, out.Figures, name)
	assert.Nil(t, out.Correction, name)
	assert.Empty(t, out.Curve.Fitted, name)
	assert.NotEmpty(t, out.WhyNone, name)
	require.NotEmpty(t, out.Said, name)
	for _, one := range out.Said {
		assert.Equal(t, f.Stop, one.Level, "%s: %s", name, one.Title)
	}
	assert.Equal(t, says, out.Said[0].Difference, name)
}

// The class of each: the same with other figures, and beside it what is as it should be.
func TestWhatCanAndCannotBe(t *testing.T) {
	sound, inverted := plantest.Sound(), plantest.Inverted()
	pairs := func(list ...q.Text) (out []m.Reading) {
		for i := 0; i < len(list); i += 2 {
			out = append(out, m.Reading{Speed: list[i], Second: list[i+1], State: m.Free})
		}
		return out
	}
	falls := func(state m.State, list ...q.Text) (out []m.Reading) {
		for i := 0; i < len(list); i += 2 {
			out = append(out, m.Reading{Time: list[i], Speed: list[i+1], State: state})
		}
		return out
	}
	both := func(a, b []m.Reading) []m.Reading { return append(append([]m.Reading{}, a...), b...) }
	one := func(r m.Reading) []m.Reading { return []m.Reading{r} }
	for _, c := range []struct {
		what  string
		in    plan.Input
		trial m.Trial
		says  Difference // empty where it can be
	}{
		{"two ratios of one position", sound, m.Trial{Kind: m.Ratio, Readings: pairs("1600", "452", "1610", "430")},
			Scattered},
		{"three, one counted twice", sound, m.Trial{Kind: m.Ratio, Readings: pairs("1600", "452", "1200", "339",
			"1600", "904")},
			Scattered},
		{"two that agree", sound, m.Trial{Kind: m.Ratio, Readings: pairs("1600", "452", "1210", "342")}, ""},
		{"columns swapped", sound, m.Trial{Kind: m.Ratio, Readings: pairs("452", "1600", "339", "1200")}, Swapped},
		{"past its field", inverted, m.Trial{Kind: m.Slip, Readings: one(m.Reading{Hertz: "50", Speed: "1522"})},
			Overloaded},
		{"past it at fewer hertz", inverted, m.Trial{Kind: m.Slip, Readings: one(m.Reading{Hertz: "30",
			Speed: "930"})}, Overloaded},
		{"behind every field", inverted, m.Trial{Kind: m.Slip, Readings: one(m.Reading{Hertz: "50",
			Speed: "2100"})}, Overloaded},
		{"at its field, as far as told", inverted, m.Trial{Kind: m.Slip, Readings: one(m.Reading{Hertz: "50",
			Speed: "1503"})}, ""},
		{"as it slips", inverted, m.Trial{Kind: m.Slip, Readings: one(m.Reading{Hertz: "50", Speed: "1440"})}, ""},
		{"a clutch a little faster", sound, m.Trial{Kind: m.Clutch, Readings: one(m.Reading{Speed: "2000",
			Second: "2100",
			State:  m.Loaded})}, Swapped},
		{"a clutch that holds, as far as told", sound, m.Trial{Kind: m.Clutch, Readings: one(m.Reading{Speed: "2000",
			Second: "2008", State: m.Loaded})}, ""},
		{"volts that rise", sound, m.Trial{Kind: m.Sag, Readings: []m.Reading{{Volts: "229", Amps: "0"}, {Volts: "233",
			Amps: "9"}}}, Swapped},
		{"volts that stay", sound, m.Trial{Kind: m.Sag, Readings: []m.Reading{{Volts: "230", Amps: "0"}, {Volts: "230",
			Amps: "9"}}}, ""},
		{"more out than in", sound, m.Trial{Kind: m.Brake, Where: m.AtMotor, Radius: "60 mm", Readings: one(m.Reading{
			Force: "42 N", Slack: "2 N", Speed: "1700", Volts: "180", Amps: "2.2"})}, Scattered},
		{"less out than in", sound, m.Trial{Kind: m.Brake, Where: m.AtMotor, Radius: "60 mm", Readings: one(m.Reading{
			Force: "30 N", Slack: "2 N", Speed: "1700", Volts: "180", Amps: "2.2"})}, ""},
		{"speeds that stand", sound, m.Trial{Kind: m.RunUpDown, Readings: falls(m.RunDown, "0", "300", "2", "300",
			"4", "299",
			"6", "300")}, Scattered},
		{"one that jumps up", sound, m.Trial{Kind: m.RunUpDown, Readings: falls(m.RunDown, "0", "300", "2", "250",
			"4", "290",
			"6", "150")}, Scattered},
		{"speeds that fall", sound, m.Trial{Kind: m.RunUpDown, Readings: falls(m.RunDown, "0", "300", "2", "250",
			"4", "201",
			"6", "150")}, ""},
		{"swapped discs", sound, m.Trial{Kind: m.RunUpDown, Disc: "0.1", Readings: both(
			falls(m.RunDown, "0", "400", "4", "350", "8", "301", "12", "250", "16", "200"),
			falls(m.WithDisc, "0", "400", "2", "350", "4", "301", "6", "250", "8", "200"))}, Scattered},
		{"a disc that lengthens it", sound, m.Trial{Kind: m.RunUpDown, Disc: "0.1", Readings: both(
			falls(m.RunDown, "0", "400", "2", "350", "4", "301", "6", "250", "8", "200"),
			falls(m.WithDisc, "0", "400", "4", "350", "8", "301", "12", "250", "16", "200"))}, ""},
		{"keeps over starts", sound, m.Trial{Kind: m.Pull, Radius: "100 mm", Readings: []m.Reading{{Force: "14 N",
			State: m.KeepsGoing}, {Force: "11 N", State: m.JustStarts}}}, Scattered},
		{"the same, as far as told", sound, m.Trial{Kind: m.Pull, Radius: "100 mm",
			Readings: []m.Reading{{Force: "11.2 N",
				State: m.KeepsGoing}, {Force: "11 N", State: m.JustStarts}}}, ""},
		{"too many ohms", sound, m.Trial{Kind: m.Ohms, Readings: []m.Reading{{Ohms: "70"}, {Ohms: "75"}}}, OpenCircuit},
		{"one bar dirty", sound, m.Trial{Kind: m.Ohms, Readings: []m.Reading{{Ohms: "9"}, {Ohms: "80"}}}, ""},
		{"too many ohms, held", sound, m.Trial{Kind: m.LockedAt, Readings: one(m.Reading{Volts: "30",
			Amps: "0.4"})}, OpenCircuit},
		{"a case that cools", sound, m.Trial{Kind: m.WarmUp, Readings: []m.Reading{{Time: "0", Celsius: "41"},
			{Time: "600",
				Celsius: "38"}, {Time: "1200", Celsius: "34"}}}, Cooler},
		{"one that hardly warms", sound, m.Trial{Kind: m.WarmUp, Readings: []m.Reading{{Time: "0", Celsius: "21"},
			{Time: "600",
				Celsius: "22"}, {Time: "1200", Celsius: "22.5"}}}, ""},
	} {
		out := of(t, with(c.in, c.trial))
		if c.says == "" {
			assert.False(t, out.Contradicts, "%s: %+v", c.what, out.Said)
			assert.True(t, out.Enough, c.what)
			continue
		}
		cannotBe(t, c.what, out, c.says)
	}
}

// A multimeter's few volts test no insulation: nothing good is said, and nothing ticked.
func TestFewVoltsTestNoInsulation(t *testing.T) {
	quiet := func(in plan.Input, what string) {
		out := of(t, in)
		assert.Nil(t, out.Correction, what)
		for _, one := range out.Said {
			assert.NotEqual(t, f.Good, one.Level, "%s: %s", what, one.Title)
		}
		assert.NotEmpty(t, out.Said, what)
	}
	for _, name := range []string{"09-insulation-9V", "09b-insulation-15V"} {
		quiet(wrong(t, name), name)
	}
	at := func(volts q.Text) plan.Input {
		return with(plantest.Sound(), m.Trial{Kind: m.Insulation, Tested: volts,
			Readings: []m.Reading{{Megohms: "200"}}})
	}
	for _, volts := range []q.Text{"", "3 V", "49 V", "179 V", "soup"} {
		quiet(at(volts), string(volts))
	}
	for _, volts := range []q.Text{"180 V", "250 V", "500 V", "1000 V"} {
		assert.NotNil(t, of(t, at(volts)).Correction, volts)
	}
	low := with(plantest.Sound(), m.Trial{Kind: m.Insulation, Tested: "9 V", Readings: []m.Reading{{Megohms: "0.4"}}})
	assert.True(t, saysOf(of(t, low), LowOhms), "what is bad at 9 V is bad")
}

// A reading is never surer than half a step of what it was read on, in the unit of what is read.
func TestAReadingIsNoSurerThanHalfAStep(t *testing.T) {
	for _, name := range []string{"10-ohms-resolution", "11-ohms-resolution-unit"} {
		out := of(t, wrong(t, name))
		assert.Empty(t, out.Entries, name)
		for _, figure := range []string{"Ohms, mean", "Resistance"} {
			one, ok := out.figure(figure)
			require.True(t, ok, name)
			assert.GreaterOrEqual(t, one.Within, 0.05, "%s: %s", name, figure)
		}
	}
	same := func(r m.Reading) []m.Reading { return []m.Reading{r, r, r} }
	for _, c := range []struct {
		trial  m.Trial
		figure string
		least  float64
	}{
		{m.Trial{Kind: m.Pull, Radius: "100 mm", Resolution: "0.5 kg", Readings: same(m.Reading{Force: "3 kg",
			State: m.KeepsGoing})}, "Keeps it going", 0.25 * q.StdGravity * 0.1},
		{m.Trial{Kind: m.Brake, Radius: "100 mm", Resolution: "0.5 kg", Readings: same(m.Reading{Force: "3 kg",
			Speed: "300"})}, "Most torque held", 0.25 * q.StdGravity * 0.1},
		{m.Trial{Kind: m.Speed, Resolution: "10 rpm", Readings: same(m.Reading{Speed: "300"})}, "Spindle speed",
			5 * q.RPM},
		{m.Trial{Kind: m.Capacitors, Resolution: "10 rpm", Readings: []m.Reading{{Capacitor: "4", Speed: "700"},
			{Capacitor: "8", Speed: "900"}}}, "Slowest of them", 5 * q.RPM},
	} {
		out := of(t, with(plantest.Sound(), c.trial))
		require.Empty(t, out.Entries, c.trial.Kind)
		one, ok := out.figure(c.figure)
		require.True(t, ok, "%s %s", c.trial.Kind, out.Headline)
		assert.GreaterOrEqual(t, one.Within, c.least, c.trial.Kind)
	}
	for kind, step := range map[m.Kind]q.Text{m.Ohms: "0.1 Ω", m.Brake: "50 g", m.Capacitors: "0.1 µF",
		m.Insulation: "1 MΩ",
		m.WarmUp:     "0.5 °C", m.Sag: "0.1 A", m.Slip: "0.1 Hz", m.Open: "0.1 V", m.FreeRun: "10 mA"} {
		out := of(t, with(plantest.Sound(), m.Trial{Kind: kind, Resolution: step}))
		assert.Empty(t, out.Entries, "%s in %s", step, kind)
	}
	out := of(t, with(plantest.Sound(), m.Trial{Kind: m.Ohms, Resolution: "5 rpm"}))
	assert.Len(t, out.Entries, 1, "a step of another thing is refused")
}

// A drive's display is told in hertz: at 47 Hz the motor turns as at 94 % of full, and is not 8 % slow.
func TestASpeedIsHeldAgainstTheHertzItWasTold(t *testing.T) {
	for _, kind := range []m.Kind{m.Speed, m.Strobe} {
		for command, slow := range map[q.Text]bool{"47 Hz": false, "47Hz": false, "94 %": false, "": true,
			"50 Hz": true} {
			trial := m.Trial{Kind: kind, Where: m.AtMotor, Command: command, Fastest: "1600",
				Readings: []m.Reading{{Speed: "1316 rpm", Flash: "1316", Images: "1"},
					{Speed: "1316 rpm", Flash: "2632", Images: "2"}}}
			out := of(t, with(plantest.Inverted(), trial))
			require.Empty(t, out.Entries, "%s %s", kind, command)
			assert.Equal(t, slow, saysOf(out, TooSlow), "%s told %q: %+v", kind, command, out.Said)
		}
	}
	refused := of(t, with(plantest.Inverted(), m.Trial{Kind: m.Speed, Command: "soup Hz"}))
	assert.Len(t, refused.Entries, 1)
}

// What differs by more than its instruments is not averaged: of a clutch the worst slip counts, of pulls the hardest
// place.
func TestWhatDiffersIsNotAveraged(t *testing.T) {
	lever := of(t, with(plantest.Sound(), m.Trial{Kind: m.Clutch, Readings: []m.Reading{
		{Speed: "1500", Second: "1470", State: m.Loaded}, {Speed: "1500", Second: "1465", State: m.Loaded},
		{Speed: "1500", Second: "600", State: m.Loaded}}}))
	slip, ok := lever.figure("Slip at work")
	require.True(t, ok)
	assert.InDelta(t, 0.6, slip.Measured, 0.01)
	assert.True(t, saysOf(lever, Scattered))

	places := of(t, with(plantest.Sound(), m.Trial{Kind: m.Pull, Radius: "100 mm", Readings: []m.Reading{
		{Force: "10 N", State: m.KeepsGoing}, {Force: "14 N", State: m.KeepsGoing}, {Force: "22 N",
			State: m.KeepsGoing}}}))
	keeps, ok := places.figure("Keeps it going")
	require.True(t, ok)
	assert.InDelta(t, 2.2, keeps.Measured, 1e-9)
	assert.True(t, saysOf(places, Scattered))
	assert.NotContains(t, places.Next.Text, "once more")
	alike := of(t, with(plantest.Sound(), m.Trial{Kind: m.Pull, Radius: "100 mm", Readings: []m.Reading{
		{Force: "10 N", State: m.KeepsGoing}, {Force: "10.4 N", State: m.KeepsGoing}}}))
	assert.False(t, saysOf(alike, Scattered))
}

// Up and down the knob's marks are told apart: where it starts, and down to where it goes on.
func TestAKnobStartsWhereItStarts(t *testing.T) {
	var rows []m.Reading
	for mark := 2.; mark <= 10; mark++ {
		rows = append(rows, m.Reading{Mark: text(mark, ""), Speed: text(max(0, 60*(mark-3)), "rpm")})
	}
	for mark := 9.; mark >= 2; mark-- {
		rows = append(rows, m.Reading{Mark: text(mark, ""), Speed: text(max(0, 60*(mark-1.5)), "rpm")})
	}
	out := of(t, with(plantest.Sound(), m.Trial{Kind: m.Knob, Readings: rows}))
	starts, ok := out.figure("Starts at, turned up")
	require.True(t, ok)
	keeps, ok := out.figure("Keeps to, turned down")
	require.True(t, ok)
	assert.InDelta(t, 0.3, starts.Measured, starts.Within+1e-9)
	assert.InDelta(t, 0.15, keeps.Measured, keeps.Within+0.05)
	assert.True(t, saysOf(out, Lags), "%+v", out.Said)
}

// Each volts of a walk-up are alternating or direct: what the one did not move says nothing of the other.
func TestAWalkUpsVoltsAreOfTheirOwnKind(t *testing.T) {
	mixed := m.Trial{Kind: m.VoltsUp, Readings: []m.Reading{{Volts: "15", State: m.Nothing, Current: "ac"},
		{Volts: "6", State: m.Nothing, Current: "dc"}, {Volts: "17", State: m.Acts, Current: "dc"}}}
	one := mixed
	one.Readings = []m.Reading{{Volts: "6", State: m.Nothing, Current: "dc"}, {Volts: "17", State: m.Acts,
		Current: "dc"}}
	a, b := of(t, with(plantest.Sound(), mixed)), of(t, with(plantest.Sound(), one))
	assert.Equal(t, b.Headline, a.Headline)
}

// No rate is asked for that a common strobe has not.
func TestARateAskedForIsOneAStrobeHas(t *testing.T) {
	for _, flash := range []float64{300, 1000, 3000, 9000, 9900} {
		list := []Seen{{Flash: flash * q.RPM, Images: 1, Off: strobeOff}}
		if next, _ := TryNext(TrueSpeeds(list, 60000*q.RPM), list); next > 0 {
			assert.GreaterOrEqual(t, next, 100*q.RPM)
			assert.LessOrEqual(t, next, 10000*q.RPM)
		}
	}
}
