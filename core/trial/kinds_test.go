package trial

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
)

// with is a plan with one trial.
func with(in plan.Input, t m.Trial) plan.Input {
	in.Plan.Trials = []m.Trial{t}
	return in
}

func knobs(pairs ...q.Text) (out []m.Reading) {
	for i := 0; i < len(pairs); i += 2 {
		out = append(out, m.Reading{Mark: pairs[i], Speed: pairs[i+1]})
	}
	return out
}

// fan is a plan of a fan on capacitors.
func fan() plan.Input {
	in := plantest.Switched()
	in.Plan.Motor.Kind = motor.PermanentSplit
	return in
}

// Each difference is found where it is there, with its level, and not where it is not.
func TestDifferencesAreNamed(t *testing.T) {
	sound := plantest.Sound
	for _, c := range []struct {
		what  string
		in    plan.Input
		trial m.Trial
		says  Difference
		level f.Level
		not   Difference
	}{
		{"knob as reckoned", sound(), m.Trial{Kind: m.Knob, Readings: knobs("1", "49", "5", "246", "10", "492.5")},
			AsReckoned, f.Good, DeadBand},
		{"a dead low end", sound(), m.Trial{Kind: m.Knob, Readings: knobs("1", "0", "2", "55", "6", "280", "10",
			"493")},
			DeadBand, f.Caution, Backwards},
		{"wired backwards", sound(), m.Trial{Kind: m.Knob, Readings: knobs("1", "440", "5", "240", "9", "50")},
			Backwards, f.Stop,
			DeadBand},
		{"a bent track", sound(), m.Trial{Kind: m.Knob, Readings: knobs("1", "5", "3", "20", "5", "60", "7", "170",
			"10", "490")},
			Bent, f.Caution, Backwards},
		{"past the machine's limit", sound(), m.Trial{Kind: m.Knob, Readings: knobs("1", "65", "5", "325", "10",
			"650")}, PastLimit,
			f.Stop, DeadBand},
		{"one speed past the limit", sound(), m.Trial{Kind: m.Speed, Readings: []m.Reading{{Speed: "640 rpm"}}},
			PastLimit, f.Stop, AsReckoned},
		{"past the limit at the motor", sound(), m.Trial{Kind: m.Speed, Where: m.AtMotor,
			Readings: []m.Reading{{Speed: "2300 rpm"}}}, PastLimit, f.Stop, AsReckoned},
		{"past the limit by strobe", sound(), m.Trial{Kind: m.Strobe, Fastest: "700", Readings: []m.Reading{
			{Flash: "640", Images: "1"}, {Flash: "1280", Images: "2"}}}, PastLimit, f.Stop, AsReckoned},
		{"twice the speed", sound(), m.Trial{Kind: m.Speed, Readings: []m.Reading{{Speed: "985 rpm"}}}, CountsTwice,
			f.Caution,
			TooFast},
		{"slower", sound(), m.Trial{Kind: m.Speed, Readings: []m.Reading{{Speed: "440 rpm"}}}, TooSlow, f.Caution,
			AsReckoned},
		{"a ratio that is right", sound(), m.Trial{Kind: m.Ratio, Readings: []m.Reading{{Speed: "1600",
			Second: "452"}}},
			AsReckoned, f.Good, WrongWheel},
		{"a wheel that is not its size", sound(), m.Trial{Kind: m.Ratio, Readings: []m.Reading{{Speed: "1600",
			Second: "480"}}},
			WrongWheel, f.Caution, AsReckoned},
		{"slip at work", sound(), m.Trial{Kind: m.Ratio, Readings: []m.Reading{{Speed: "1600", Second: "452",
			State: m.Free},
			{Speed: "1600", Second: "420", State: m.Loaded}}}, Slips, f.Caution, WrongWheel},
		{"stiffer", sound(), m.Trial{Kind: m.Pull, Radius: "100 mm", Readings: []m.Reading{{Force: "12 N",
			State: m.KeepsGoing}}},
			Stiffer, f.Caution, Easier},
		{"a slanting pull", sound(), m.Trial{Kind: m.Pull, Radius: "100 mm", Angle: "60°",
			Readings: []m.Reading{{Force: "12 N"}}},
			NotSquare, f.Caution, Easier},
		{"more out than in", sound(), m.Trial{Kind: m.Brake, Radius: "100 mm", Readings: []m.Reading{{Force: "100 N",
			Speed: "400", Volts: "100 V", Amps: "2 A"}}}, Scattered, f.Stop, AsReckoned},
		{"past its class", sound(), m.Trial{Kind: m.WarmUp, Air: "20", Readings: []m.Reading{{Time: "0", Celsius: "20"},
			{Time: "20 min", Celsius: "90"}, {Time: "40 min", Celsius: "120"}, {Time: "80 min", Celsius: "140"}}},
			PastClass, f.Stop,
			Cooler},
		{"overloaded by its slip", plantest.Inverted(), m.Trial{Kind: m.Slip, Readings: []m.Reading{{Hertz: "50",
			Speed: "1360"}}},
			Overloaded, f.Caution, Poles},
		{"not its poles", plantest.Inverted(), m.Trial{Kind: m.Slip, Readings: []m.Reading{{Hertz: "50",
			Speed: "960"}}}, Poles,
			f.Caution, AsReckoned},
		{"a soft supply", cabled(), m.Trial{Kind: m.Sag, Readings: []m.Reading{{Volts: "231", Amps: "0"},
			{Volts: "219", Amps: "10"}}},
			SoftSupply, f.Caution, StiffSupply},
		{"under a megohm", sound(), m.Trial{Kind: m.Insulation, Readings: []m.Reading{{Megohms: "0.9"}}}, LowOhms,
			f.Stop, Sound},
		{"damp", sound(), m.Trial{Kind: m.Insulation, Tested: "500 V", Readings: []m.Reading{{Megohms: "3 MΩ"}}},
			LowOhms, f.Caution,
			Sound},
		{"sound", sound(), m.Trial{Kind: m.Insulation, Tested: "500 V", Readings: []m.Reading{{Megohms: "60"}}},
			Sound, f.Good, LowOhms},
		{"good cold and low warm", sound(), m.Trial{Kind: m.Insulation, Air: "10 °C", Tested: "500 V",
			Readings: []m.Reading{{Megohms: "12"}}},
			LowOhms, f.Caution, Sound},
		{"a capacitor that leaves it standing", fan(), m.Trial{Kind: m.Capacitors, Readings: []m.Reading{
			{Capacitor: "12", Speed: "1200", Starts: "10 of 10"}, {Capacitor: "5", Speed: "800", Starts: "7 of 10"}}},
			NotStarting,
			f.Stop, LowVolts},
		{"a capacitor for too few volts", fan(), m.Trial{Kind: m.Capacitors, Rated: "300 V", Readings: []m.Reading{
			{Capacitor: "12", Speed: "1200"}, {Capacitor: "5", Speed: "800"}}}, LowVolts, f.Stop, NotStarting},
		{"a slipping clutch", sound(), m.Trial{Kind: m.Clutch, Readings: []m.Reading{{Speed: "2800", Second: "2400",
			State: m.Loaded, Torque: "1.5"}}}, ClutchSlips, f.Caution, AsReckoned},
		{"a clutch that holds", sound(), m.Trial{Kind: m.Clutch, Readings: []m.Reading{{Speed: "2800", Second: "2790",
			State: m.Loaded}}}, AsReckoned, f.Good, ClutchSlips},
		{"a coil of one rating", sound(), m.Trial{Kind: m.VoltsUp, Readings: []m.Reading{{Volts: "14",
			State: m.Nothing},
			{Volts: "17", State: m.Acts}}}, OneRating, f.Good, ManyRatings},
		{"a coil not told apart", sound(), m.Trial{Kind: m.VoltsUp, Readings: []m.Reading{{Volts: "5",
			State: m.Nothing},
			{Volts: "40", State: m.Acts}}}, ManyRatings, f.Missing, OneRating},
		{"nothing happens", sound(), m.Trial{Kind: m.VoltsUp, Readings: []m.Reading{{Volts: "30", State: m.Nothing}}},
			NeverActed,
			f.Missing, OneRating},
		{"a weak motor", sound(), m.Trial{Kind: m.Open, Readings: []m.Reading{{Volts: "75", Speed: "1000"},
			{Volts: "112", Speed: "1500"}}}, WeakMotor, f.Caution, AsReckoned},
	} {
		out := of(t, with(c.in, c.trial))
		require.Empty(t, out.Entries, c.what)
		require.True(t, out.Enough, c.what)
		assert.NotEmpty(t, out.Headline, c.what)
		found := false
		for _, s := range out.Said {
			assert.NotEqual(t, c.not, s.Difference, c.what)
			found = found || s.Difference == c.says && s.Level == c.level
		}
		assert.True(t, found, "%s: %s in %+v", c.what, c.says, out.Said)
	}
}

// cabled is sound with its cable known, thick and short.
func cabled() plan.Input {
	in := plantest.Sound()
	in.Plan.Supply.Cable, in.Plan.Supply.Wire = "10 m", "2.5 mm²"
	return in
}

// Figures that keep someone safe are these and no others.
func TestWhatKeepsSomeoneSafeIsPinned(t *testing.T) {
	assert.InDelta(t, 1e6, leastOhms, 0)
	assert.InDelta(t, 5e6, soundOhms, 0)
	assert.InDelta(t, 250, CapacitorVolts(120, 0, 0), 0)
	assert.InDelta(t, 370, CapacitorVolts(240, 0, 0), 0)
	assert.InDelta(t, 440, CapacitorVolts(240, 440, 0), 0, "its plate asks for more")
	assert.InDelta(t, 800, CapacitorVolts(400, 0, 0), 0)
	assert.InDelta(t, 550, CapacitorVolts(240, 0, 500), 1e-9)
	assert.InDelta(t, 5e6, atForty(10e6, 30+zeroCelsius), 1, "ohms halve for each ten kelvin")
	// 130 °C for class B, 25 K less on its case.
	out := of(t, with(fan(), m.Trial{Kind: m.Capacitors, Class: "B", Readings: []m.Reading{
		{Capacitor: "12", Speed: "1200", Celsius: "106"}, {Capacitor: "5", Speed: "800"}}}))
	assert.True(t, saysOf(out, PastClass))
	out = of(t, with(fan(), m.Trial{Kind: m.Capacitors, Class: "B", Readings: []m.Reading{
		{Capacitor: "12", Speed: "1200", Celsius: "104"}, {Capacitor: "5", Speed: "800"}}}))
	assert.False(t, saysOf(out, PastClass))
}

// Each correction goes into the plan and is then what the plan reckons.
func TestCorrectionsBecomeWhatIsReckoned(t *testing.T) {
	in := with(plantest.Sound(), m.Trial{Kind: m.Ratio, Readings: []m.Reading{{Speed: "1600", Second: "452"}}})
	out := of(t, in)
	require.NotNil(t, out.Correction)
	in.Plan.Reduction = *out.Correction.Reduction
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	assert.InEpsilon(t, 1600./452, s.Reduction.Positions[0].Ratio, 1e-9)

	in = with(plantest.Sound(), m.Trial{Kind: m.Pull, Radius: "100 mm", Readings: []m.Reading{
		{Force: "9 N", State: m.KeepsGoing}, {Force: "16 N", State: m.JustStarts}}})
	out = of(t, in)
	in.Plan.Script = *out.Correction.Script
	again := of(t, in)
	for _, name := range []string{"Keeps it going", "Just starts it"} {
		one, ok := again.figure(name)
		require.True(t, ok)
		assert.InEpsilon(t, one.Measured, one.Expected, 0.01, name)
	}

	in = with(plantest.Sound(), m.Trial{Kind: m.WarmUp, Air: "20", Command: "80 %", Readings: []m.Reading{{Time: "0",
		Celsius: "20"}, {Time: "10 min", Celsius: "33"}, {Time: "25 min", Celsius: "45"}, {Time: "60 min",
		Celsius: "53"}}})
	out = of(t, in)
	in.Plan.Motor = *out.Correction.Motor
	one, _ := of(t, in).figure("Case settles at")
	assert.InDelta(t, one.Measured, one.Expected, 1)

	in = with(cabled(), m.Trial{Kind: m.Sag, Readings: []m.Reading{{Volts: "231", Amps: "0"}, {Volts: "221",
		Amps: "10"}}})
	out = of(t, in)
	s, err = plan.Resolve(plan.Input{Units: "metric", Plan: plan.Plan{Supply: *out.Correction.Supply}})
	require.NoError(t, err)
	assert.InEpsilon(t, 1, s.Supply.Loop, 0.01)

	in = with(fan(), m.Trial{Kind: m.Capacitors, Readings: []m.Reading{{Capacitor: "12 µF", Speed: "1200"},
		{Capacitor: "5 µF", Speed: "800"}}})
	out = of(t, in)
	assert.Len(t, out.Correction.Motor.Readings, 2)

	in = with(plantest.Sound(), m.Trial{Kind: m.Insulation, On: "2026-11-02", Tested: "500 V",
		Readings: []m.Reading{{Megohms: "60"}}})
	out = of(t, in)
	assert.Equal(t, plan.Check{ID: "power.insulation", On: "2026-11-02", Measured: "60\u202fMΩ at 500\u202fV"},
		out.Correction.Checks[0])
	in = with(plantest.Sound(), m.Trial{Kind: m.Insulation, Readings: []m.Reading{{Megohms: "0.5"}}})
	assert.Nil(t, of(t, in).Correction, "what is not sound ticks nothing off")
}

// Every kind answers with nothing in it, with one row, and with nonsense: a word, never an error or a number that is
// none.
func TestEveryKindAnswersAnything(t *testing.T) {
	for _, p := range m.Profiles() {
		for _, in := range []plan.Input{plantest.Sound(), plantest.Inverted(), plantest.Switched(), {Units: "inch"},
			fan(),
			{Units: "metric", Plan: plan.Plan{Supply: supply.Described{Volts: "24 V", Phases: "dc"}}}} {
			for _, rows := range [][]m.Reading{nil, {{}}, {whole("1")}, {whole("soup")}, {whole("1"), whole("1"),
				whole("1")},
				{whole("0"), whole("0"), whole("0"), whole("0")}, {whole("1"), whole("2"), whole("3"), whole("4"),
					whole("5")}} {
				t := t
				in := with(in, m.Trial{Kind: p.Kind, Radius: "1 mm", Disc: "1", Readings: rows})
				out, err := Of(in, 0)
				require.NoError(t, err, p.Kind)
				assert.NotEmpty(t, out.Headline, p.Kind)
				assert.NotContains(t, out.Headline, "NaN", p.Kind)
				for _, one := range out.Figures {
					assert.NotContains(t, one.Value+one.Spread+one.Reckoned, "—", "%s: %s", p.Kind, one.Name)
				}
			}
		}
	}
}

// whole is a reading with the same in every blank.
func whole(v q.Text) m.Reading {
	return m.Reading{Mark: v, Speed: v, Second: v, Volts: v, Amps: v, Hertz: v, Ohms: v, Megohms: v, Force: v,
		Slack: v, Torque: v,
		Time: v, Celsius: v, Capacitor: v, Sound: v, Flash: v, Images: v, Drift: v, Spread: v, Starts: "1 of 2",
		State: m.Loaded}
}
