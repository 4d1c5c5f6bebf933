package dryrun

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// run is a plan's answer, and what is found in it under an ID.
func answer(t require.TestingT, in plan.Input) Answer {
	a, err := Of(in)
	require.NoError(t, err)
	require.True(t, a.Runs, "%v", a.Wants)
	return a
}

func found(a Answer, id f.ID) *f.Finding {
	for i := range a.Findings {
		if a.Findings[i].ID == id || strings.HasPrefix(string(a.Findings[i].ID), string(id)+".") {
			return &a.Findings[i]
		}
	}
	return nil
}

// sound is one of the sound plans with a script.
func sound(t require.TestingT, what string, events ...script.Event) plan.Input {
	for _, one := range plantest.Sounds() {
		if one.What == what {
			in := plantest.Copied(one.Input)
			in.Plan.Script.Events = events
			return in
		}
	}
	require.Fail(t, "no sound plan", what)
	return plan.Input{}
}

// A heavier flywheel sags less when a cut comes on, and starts slower.
func TestAFlywheelHoldsSpeedAndStartsSlower(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		light := rapid.Float64Range(0.05, 0.4).Draw(t, "inertia")
		heavy := light * rapid.Float64Range(2, 8).Draw(t, "times")
		of := func(inertia float64) Cut {
			in := sound(t, "lathe on three phases", script.Event{At: "0 s", Does: script.On},
				script.Event{At: "30 s", Does: script.Jam, Torque: "25 N·m", Lasts: "0.3 s"},
				script.Event{At: "34 s", Does: script.Coast})
			in.Plan.Script.Inertia = q.Written(inertia, "kg·m²")
			a := answer(t, in)
			a.Results.Cuts[0].From = a.Results.ToSpeed // carried out to be compared
			return a.Results.Cuts[0]
		}
		a, b := of(light), of(heavy)
		assert.GreaterOrEqual(t, b.Least, a.Least-1e-6)
		assert.Greater(t, b.From, a.From)
	})
}

// A lower current limit never gives more amps, and no more is ever drawn than it allows.
func TestALowerLimitNeverGivesMoreAmps(t *testing.T) {
	for _, what := range []string{"potter's wheel, ½ hp at 180 V", "cider mill", "scooter motor on 24 V, a drum"} {
		most := 1e9
		for _, limit := range []float64{6, 4, 3} {
			in := sound(t, what, script.Event{At: "0 s", Does: script.On},
				script.Event{At: "5 s", Does: script.Jam, Torque: "60 N·m", Lasts: "3 s"},
				script.Event{At: "9 s", Does: script.Coast})
			in.Plan.Control.LimitAmps = q.Written(limit, "A")
			a := answer(t, in)
			assert.LessOrEqual(t, a.Results.MostAmps, most+1e-9, what)
			assert.LessOrEqual(t, a.Results.MostAmps, max(limit, a.Trace.Amps[1])+1e-6, what)
			most = a.Results.MostAmps
		}
	}
}

// The torque the reach gives for ever settles the winding at its class, at any speed: a dry run and the verdict say the
// same of heat.
func TestContinuousTorqueSettlesAtTheClass(t *testing.T) {
	for _, what := range []string{"belt grinder, 1.1 kW on a PWM drive", "mill to 75 Hz by vector", "cider mill"} {
		in := sound(t, what)
		_, model, err := prepare(&in)
		require.NoError(t, err)
		m := newMachine(model, &script.Resolved{})
		m.ambient = 40
		_, high := model.Span(m.position)
		for _, share := range []float64{0.25, 0.4, 0.7, 0.9} {
			omega := high * share
			torque := m.Powered.Steady(omega*m.position.Ratio, 1)
			p := part{heat: m.Powered.HeatFor(torque.Torque, omega*m.position.Ratio), on: 1e9,
				shed: m.shed(omega*m.turns, true), shedRest: 1}
			settles := m.celsius(m.settled([]part{p}))
			assert.LessOrEqual(t, settles, m.limit+0.13*m.rise(), "%s at %.2f, held by %s", what, share, torque.By)
			if torque.By == "motor heat" || strings.HasPrefix(string(torque.By), "motor heat,") {
				assert.Greater(t, settles, m.limit-0.13*m.rise(), "%s at %.2f", what, share)
			}
		}
	}
}

// What a run finds, each in a plan in which it happens and no more once it is mended.
func TestWhatARunFindsIsMended(t *testing.T) {
	on, off := script.Event{At: "0 s", Does: script.On}, script.Event{At: "12 s", Does: script.Coast}
	cases := []struct {
		name string
		in   plan.Input
		bad  f.ID
		mend func(in *plan.Input)
	}{
		{"a breaker too small for the start", sound(t, "lathe on three phases", on, off), f.DryBreaker,
			func(in *plan.Input) { in.Plan.Supply.Breaker = "16 A" }},
		{"a drum too heavy for its start winding", sound(t, "power hacksaw", on, off), f.DryStartWinding,
			func(in *plan.Input) { in.Plan.Script.Inertia = "0.2 kg·m²" }},
		{"a load it cannot start", sound(t, "power hacksaw", on, off), f.DryNoStart,
			func(in *plan.Input) { in.Plan.Script.Friction = "1 N·m" }},
		{"power that comes back", sound(t, "power hacksaw", on,
			script.Event{At: "5 s", Does: script.Fails, Lasts: "3 s"}, off), f.DryStartsItself,
			func(in *plan.Input) { in.Plan.Control.NoVolt = true }},
		{"a heavy wheel stopped fast", sound(t, "cider mill", on, script.Event{At: "12 s", Does: script.Brake}),
			f.DryOverVolts, func(in *plan.Input) { in.Plan.Script.Inertia = "0.001 kg·m²" }},
		{"a jam", sound(t, "cider mill", on, script.Event{At: "6 s", Does: script.Jam, Torque: "90 N·m", Lasts: "2 " +
			"s"}, off),
			f.DryStalls, func(in *plan.Input) { in.Plan.Script.Events[1].Torque = "2 N·m" }},
		{"amps past its magnets", sound(t, "winch motor straight on 12 V", on, off), f.DryMagnets,
			func(in *plan.Input) { in.Plan.Supply.Inside = "200 mΩ" }},
		{"braked with a chuck screwed on", sound(t, "mill to 75 Hz by vector", on,
			script.Event{At: "8 s", Does: script.Ramp}), f.DryUnscrews,
			func(in *plan.Input) { in.Machine.Limits.ScrewedOn = false }},
		{"reversed while it turns", sound(t, "shaper run both ways", on, script.Event{At: "5 " +
			"s", Does: script.Reverse}, off),
			f.DryNoReverse, func(in *plan.Input) { in.Plan.Script.Events[1].Does = script.Coast }},
		{"a stepper asked for more than it pulls", sound(t, "stepper on an axis", on,
			script.Event{At: "4 s", Does: script.Jam, Torque: "900 N·m", Lasts: "1 s"}, off), f.DryLostStep,
			func(in *plan.Input) { in.Plan.Script.Events[1].Torque = "0.001 N·m" }},
		{"a belt that slips before the motor stalls", sound(t, "lathe on three phases", on,
			script.Event{At: "6 s", Does: script.Jam, Torque: "400 N·m", Lasts: "2 s"}, off), f.DrySlips,
			func(in *plan.Input) { in.Plan.Script.Events[1].Torque = "4 N·m" }},
		{"a winding that starts hot", sound(t, "belt grinder, 1.1 kW on a PWM drive", on,
			script.Event{At: "3 s", Does: script.Jam, Torque: "14 N·m", Lasts: "9 s"}, off), f.DryClass,
			func(in *plan.Input) { in.Plan.Script.Warm = "40 °C" }},
		{"more speed than there is", sound(t, "cider mill", script.Event{At: "0 s", Does: script.On, Speed: "9000 " +
			"rpm"}, off),
			f.DryReach, func(in *plan.Input) { in.Plan.Script.Events[0].Speed = "" }},
	}
	for i := range cases {
		c := &cases[i]
		t.Run(c.name, func(t *testing.T) {
			switch c.bad {
			case f.DryBreaker:
				c.in.Plan.Supply.Breaker = "3 A"
			case f.DryStartWinding:
				c.in.Plan.Script.Inertia = "20 kg·m²"
			case f.DryNoStart:
				c.in.Plan.Script.Friction = "900 N·m"
			case f.DryStartsItself:
				c.in.Plan.Control.NoVolt = false
			case f.DryOverVolts:
				c.in.Plan.Script.Inertia = "0.5 kg·m²"
			case f.DryClass:
				c.in.Plan.Script.Warm = "154 °C"
			case f.DryMagnets:
				c.in.Plan.Supply.Inside = "1 mΩ"
			case f.DryUnscrews:
				c.in.Machine.Limits.ScrewedOn, c.in.Plan.Script.Inertia = true, "0.3 kg·m²"
			}
			a := answer(t, c.in)
			one := found(a, c.bad)
			require.NotNil(t, one, "%s: %v", a.Headline, a.Findings)
			assert.NotEqual(t, f.Good, one.Level)
			assert.True(t, one.Dry, "it is marked as simulated")
			c.mend(&c.in)
			assert.Nil(t, found(answer(t, c.in), c.bad))
		})
	}
}

// A brake resistor that cannot burn what comes back is called too small, and a stronger one that was run does.
func TestABrakeResistorTooSmallIsMadeStronger(t *testing.T) {
	in := sound(t, "cider mill", script.Event{At: "0 s", Does: script.On}, script.Event{At: "12 s", Does: script.Ramp})
	in.Plan.Control.BrakeOhms, in.Plan.Control.Accel = "4000 Ω", "1 s"
	in.Plan.Script.Inertia = "0.3 kg·m²"
	a := answer(t, in)
	one := found(a, f.DryOverVolts)
	require.NotNil(t, one, "%v", a.Findings)
	assert.Contains(t, one.Title, "too small")
	var strong *Remedy
	for i := range a.Fixes[one.ID] {
		if fix := &a.Fixes[one.ID][i]; fix.Control != nil && fix.Control.BrakeOhms != in.Plan.Control.BrakeOhms {
			strong = fix
		}
	}
	require.NotNil(t, strong, "%v", a.Fixes)
	in.Plan.Control = *strong.Control
	a = answer(t, in)
	assert.Nil(t, found(a, f.DryOverVolts))
	assert.Positive(t, a.Results.BrakeJoules)
}

// A protector that resets by itself starts the machine again, whatever release there is; one reset by hand does not.
func TestAProtectorThatResetsItselfStartsTheMachine(t *testing.T) {
	in := sound(t, "power hacksaw", script.Event{At: "0 s", Does: script.On},
		script.Event{At: "3 s", Does: script.Jam, Torque: "900 N·m", Lasts: "40 s"})
	in.Plan.Motor.Plate.Protector, in.Plan.Script.Warm, in.Plan.Script.Lasts = "self-reset", "125 °C", "600 s"
	in.Plan.Control.NoVolt, in.Plan.Supply.Breaker = true, ""
	a := answer(t, in)
	one := found(a, f.DryStartsItself)
	require.NotNil(t, one, "%v", a.Findings)
	assert.Equal(t, f.Stop, one.Level)
	assert.Equal(t, "motor.plate.protector", one.Field)
	assert.NotContains(t, one.Detail, "keeps it off until it is switched on")
	in.Plan.Motor.Plate.Protector = "by-hand"
	assert.Nil(t, found(answer(t, in), f.DryStartsItself))
}

// A remedy was run: taken, it does what it says.
func TestRemediesDoWhatTheySay(t *testing.T) {
	in := plantest.Demo(t)[2]
	a := answer(t, in)
	stalls := found(a, f.DryStalls)
	require.NotNil(t, stalls)
	require.NotEmpty(t, a.Fixes[stalls.ID])
	for _, fix := range a.Fixes[stalls.ID] {
		assert.NotEmpty(t, fix.Detail, fix.Label)
		mended := plantest.Copied(in)
		mended.Plan.Script = a.Script
		if fix.Control != nil {
			mended.Plan.Control = *fix.Control
		}
		if fix.Machine != nil {
			mended.Machine, mended.Plan.Script = *fix.Machine, *fix.Script
		}
		if fix.Script != nil {
			mended.Plan.Script = *fix.Script
		}
		next := answer(t, mended)
		assert.Nil(t, found(next, f.DryStalls), fix.Label)
		assert.Contains(t, fix.Detail, "holds", fix.Label)
	}
}

// What cannot be run says what is wanted, and an entry that cannot be used is marked at its field.
func TestWhatCannotBeRunSaysWhy(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor.Plate.Speed = ""
	in.Plan.Motor.Body.Diameter = ""
	a, err := Of(in)
	require.NoError(t, err)
	assert.False(t, a.Runs)
	assert.NotEmpty(t, a.Wants.Text)

	in = plantest.Sound()
	in.Plan.Script.Events = []script.Event{{At: "0 s", Does: script.On}, {At: "soup", Does: script.Coast},
		{At: "3 s", Does: script.Cut, Job: "gone"}}
	in.Plan.Script.Inertia = "heavy"
	a, err = Of(in)
	require.NoError(t, err)
	assert.True(t, a.Runs, "the rest is run")
	var fields []string
	for _, e := range a.Entries {
		fields = append(fields, e.Field)
	}
	assert.ElementsMatch(t, []string{"script.inertia", "script.events[1].at", "script.events[2].job"}, fields)
}

// A jam in the middle of a cut leaves the cut on when it is over; hands off takes both away.
func TestAJamInACutLeavesTheCutOn(t *testing.T) {
	in := plantest.Demo(t)[2]
	in.Plan.Script.Events = []script.Event{{At: "0 s", Does: script.On, Speed: "600 rpm"},
		{At: "5 s", Does: script.Cut, Job: "apples", Lasts: "10 s"}, {At: "8 s", Does: script.Jam, Torque: "3 " +
			"N·m", Lasts: "1 s"},
		{At: "18 s", Does: script.Cut, Job: "apples"}, {At: "20 s", Does: script.Jam, Torque: "3 N·m"},
		{At: "22 s", Does: script.Free}, {At: "25 s", Does: script.Coast}}
	a := answer(t, in)
	at := func(seconds float64) float64 {
		i := slices.IndexFunc(a.Trace.Seconds, func(t float64) bool { return t >= seconds })
		return a.Trace.Torque[i]
	}
	assert.Greater(t, at(8.8), at(7.5)+0.5, "jammed it takes more")
	assert.InDelta(t, at(7.5), at(12), 0.05, "and as before once it is not")
	assert.Less(t, at(16.5), at(12)-0.5, "the cut is over")
	assert.Less(t, at(24), at(19)-0.5, "hands off takes cut and jam away")
	assert.InDelta(t, at(16.5), at(24), 0.05)
}

// A job whose load is not known is not called held, and what was never switched on not started.
func TestNothingIsCalledHeldThatWasNotRun(t *testing.T) {
	in := plantest.Demo(t)[2]
	in.Plan.Script.Events = []script.Event{{At: "0 s", Does: script.On},
		{At: "5 s", Does: script.Cut, Job: "frozen", Lasts: "3 s"}, {At: "10 s", Does: script.Coast}}
	in.Machine.Jobs[1].Load.Torque = ""
	a := answer(t, in)
	one := found(a, f.DryHolds)
	require.NotNil(t, one)
	assert.Equal(t, f.Missing, one.Level)
	assert.NotContains(t, a.Headline, "Nothing stalls")

	in.Plan.Script.Events = in.Plan.Script.Events[1:]
	a = answer(t, in)
	assert.Contains(t, a.Headline, "never switched on")
	assert.False(t, a.Results.Started)
}

// A speed that is asked for is kept with next to nothing on the spindle, by every drive that sets one.
func TestASpeedAskedForIsKept(t *testing.T) {
	asked := 0
	for _, one := range plantest.Sounds() {
		in := plantest.Copied(one.Input)
		_, model, err := prepare(&in)
		require.NoError(t, err)
		family := model.Motor.Kind.Family()
		if !model.Control.Adjusts() || family == "series" || model.Feed.Kind == "capacitors" ||
			model.Feed.Kind == "line" || model.Control.Kind == "resistor" {
			continue // its speed is its load's, or its capacitor's
		}
		m := newMachine(model, &script.Resolved{})
		_, high := model.Span(m.position)
		in.Plan.Script = script.Described{Events: []script.Event{
			{At: "0 s", Does: script.On, Speed: q.Written(0.6*high/q.RPM, "rpm")}}, Friction: "1e-3 N·m"}
		a := answer(t, in)
		last := a.Trace.SpindleRPM[len(a.Trace.SpindleRPM)-1]
		assert.InEpsilon(t, 0.6*high/q.RPM, last, 0.05, one.What)
		asked++
	}
	assert.Greater(t, asked, 20)
}

// Draws repeat, count what they find, and lie about the run that is looked at.
func TestDrawsRepeatAndLieAboutTheRun(t *testing.T) {
	in := plantest.Demo(t)[2]
	all := func(float64) bool { return true }
	a, err := Over(in, 40, all)
	require.NoError(t, err)
	b, err := Over(in, 40, all)
	require.NoError(t, err)
	assert.Equal(t, a, b)
	require.NotEmpty(t, a.Tallies)
	for _, one := range a.Tallies {
		assert.Positive(t, one.Count)
		assert.LessOrEqual(t, one.Count, 40)
	}
	run := answer(t, in)
	assert.InDelta(t, run.Results.ToSpeed, (a.ToSpeed.Low+a.ToSpeed.High)/2, 0.6*run.Results.ToSpeed)
	assert.LessOrEqual(t, a.MostAmps.High, 5+1e-9, "the limit holds in every one of them")
	_, err = Over(in, 40, func(share float64) bool { return share < 0.5 })
	assert.ErrorIs(t, err, ErrStopped)
}

// A day that is too much says what to rest, and rested so long it is not.
func TestADayTooMuchIsRested(t *testing.T) {
	in := plantest.Demo(t)[0]
	in.Machine.Jobs = in.Machine.Jobs[:1]
	d, err := DayOf(in)
	require.NoError(t, err)
	require.True(t, d.Runs)
	assert.Greater(t, d.Most, d.Class)
	assert.Equal(t, f.Stop, d.Findings[0].Level)
	var rest string
	for _, one := range d.Findings {
		if strings.HasPrefix(string(one.ID), string(f.DryRest)) {
			rest = one.Detail
		}
	}
	require.Contains(t, rest, "25")
	in.Machine.Jobs[0].Duty.On, in.Machine.Jobs[0].Duty.Off = "4 min", "25 min"
	d, err = DayOf(in)
	require.NoError(t, err)
	assert.LessOrEqual(t, d.Most, d.Class)
	in.Machine.Jobs[0].Duty.Off = "23 min"
	d, err = DayOf(in)
	require.NoError(t, err)
	assert.Greater(t, d.Most, d.Class, "less rest is too little")
}

// A trace of many points keeps the ends and the extremes.
func TestATraceKeepsItsExtremes(t *testing.T) {
	rows := make([]row, 50_000)
	for i := range rows {
		rows[i] = row{t: float64(i), spindle: 1}
	}
	rows[31_234].amps, rows[777].spindle, rows[40_001].spindle = 99, -5, 7
	tr := traceOf(rows, MostPoints)
	assert.LessOrEqual(t, len(tr.Seconds), MostPoints)
	assert.Contains(t, tr.Amps, 99.0)
	assert.Equal(t, 49_999.0, tr.Seconds[len(tr.Seconds)-1])
	assert.Zero(t, tr.Seconds[0])
	least, most := 0.0, 0.0
	for _, v := range tr.SpindleRPM {
		least, most = min(least, v), max(most, v)
	}
	assert.InDelta(t, -5/q.RPM, least, 0.01)
	assert.InDelta(t, 7/q.RPM, most, 0.01)
}

// How it starts is told as the whole run tells it.
func TestStartingIsAsTheRunHasIt(t *testing.T) {
	for _, in := range plantest.Demo(t) {
		a := answer(t, in)
		told, ok := strings.CutPrefix(Starting(in), "starts in ")
		require.True(t, ok, in.Machine.Name)
		took, err := q.Parse(q.Text(told), q.Duration)
		require.NoError(t, err)
		assert.InEpsilon(t, a.Results.ToSpeed, took, 0.04, in.Machine.Name)
	}
	in := sound(t, "power hacksaw")
	in.Plan.Script.Friction = "900 N·m"
	assert.Equal(t, "does not start", Starting(in))
	in.Plan.Motor.Kind = ""
	assert.Empty(t, Starting(in))
}

// What is typed for the day is set beside what stands there without it.
func TestTheDaysFiguresStandBesideWhatIsReckoned(t *testing.T) {
	on := script.Event{At: "0 s", Does: script.On}
	before := answer(t, sound(t, "lathe on three phases", on)).OnTheDay
	for _, one := range []Taken{before.Inertia, before.Friction, before.Sticks, before.Volts, before.Air} {
		assert.NotEmpty(t, one.Value)
		assert.Equal(t, one.Value, one.Without)
	}
	in := sound(t, "lathe on three phases", on)
	in.Plan.Script.Inertia, in.Plan.Script.Friction, in.Plan.Script.Sticks = "0.77 kg·m²", "0.9 N·m", "1.7 N·m"
	in.Plan.Script.Volts, in.Plan.Script.Air = "391 V", "31 °C"
	after := answer(t, in).OnTheDay
	assert.Equal(t, OnTheDay{
		Inertia:  Taken{"0.77\u202fkg·m²", before.Inertia.Value, before.Inertia.Guessed},
		Friction: Taken{"0.9\u202fN·m", before.Friction.Value, before.Friction.Guessed},
		Sticks:   Taken{"1.7\u202fN·m", before.Sticks.Value, before.Sticks.Guessed},
		Volts:    Taken{"391\u202fV", before.Volts.Value, false},
		Air:      Taken{"31\u202f°C", before.Air.Value, false},
	}, after)
}

// No limit is offered past the amps its drive is made for: what it gives for a minute is no place for it.
func TestALimitOfferedIsWithinTheDrive(t *testing.T) {
	offered := 0
	for _, drive := range []q.Text{"3.2 A", "4 A", "5 A", "7 A", "12 A"} {
		for _, in := range append(plantest.Demo(t), plantest.Sound(), plantest.Inverted()) {
			in.Plan.Control.Amps = drive
			a, err := Of(in)
			require.NoError(t, err)
			most, err := q.Parse(drive, q.Current)
			require.NoError(t, err)
			for _, fixes := range a.Fixes {
				for _, fix := range fixes {
					if fix.Control == nil || fix.Control.LimitAmps == in.Plan.Control.LimitAmps {
						continue
					}
					offered++
					limit, err := q.Parse(fix.Control.LimitAmps, q.Current)
					require.NoError(t, err)
					assert.LessOrEqual(t, limit, most, "%s on a drive for %s", fix.Label, drive)
				}
			}
		}
	}
	assert.Greater(t, offered, 3)
}

// jams is a plan's script of so many jams, each as long as the pause after it.
func jams(in plan.Input, n int, torque, inertia q.Text) plan.Input {
	in = plantest.Copied(in)
	in.Plan.Script.Inertia = inertia
	in.Plan.Script.Events = []script.Event{{At: "0 s", Does: script.On}}
	for i := range n {
		in.Plan.Script.Events = append(in.Plan.Script.Events, script.Event{At: q.Written(5+float64(2*i), "s"),
			Does: script.Jam, Torque: torque, Lasts: "1 s"})
	}
	return in
}

// A script that takes longer than a keystroke waits for says so and claims nothing; run by itself it comes to the
// same as
// it would have, says how far it is, and can be stopped.
func TestALongScriptIsRunByItself(t *testing.T) {
	in := jams(plantest.Demo(t)[2], script.MaxEvents-1, "26 N·m", "")
	long, err := answerOf(in, detail{fine: 1, most: 300})
	require.NoError(t, err)
	assert.True(t, long.Long)
	assert.False(t, long.Runs)
	assert.Empty(t, long.Findings)
	assert.Empty(t, long.Headline)

	told := []float64{}
	whole, err := Whole(in, func(share float64) bool {
		told = append(told, share)
		return true
	})
	require.NoError(t, err)
	assert.True(t, whole.Runs)
	assert.False(t, whole.Long)
	assert.Equal(t, answer(t, in), whole)
	require.Greater(t, len(told), 3)
	assert.IsIncreasing(t, told)
	assert.LessOrEqual(t, told[len(told)-1], 1.0)

	_, err = Whole(in, func(share float64) bool { return share < 0.5 })
	assert.ErrorIs(t, err, ErrStopped)
	assert.Equal(t, 8000, stepsAtOnce, "some forty milliseconds")
	assert.Equal(t, []int{16, 3000}, []int{mostHelpers, stepsOfHelpers})
}

// Each plan of the demo is run with jams of any strength on whatever turns, and what is tried against them is
// bounded: an answer that is asked for with every key must not keep the rest waiting.
func TestAnyScriptIsRunWithinItsSteps(t *testing.T) {
	for _, in := range plantest.Demo(t) {
		for _, n := range []int{1, script.MaxEvents - 1} {
			for _, torque := range []q.Text{"3 N·m", "200 N·m"} {
				for _, inertia := range []q.Text{"", "0.05 kg·m²", "2 kg·m²", "30 kg·m²"} {
					what := fmt.Sprintf("%s, %s: %d of %s on %s", in.Machine.Name, in.Plan.Name, n, torque, inertia)
					in := jams(in, n, torque, inertia)
					s, err := plan.Resolve(in)
					require.NoError(t, err, what)
					model := line.New(s)
					r, err := simulate(newMachine(model, &s.Script), &s.Script, usual)
					require.NoError(t, err, what)
					assert.Less(t, r.steps, 25_000, what)
				}
			}
		}
	}
	a := answer(t, jams(plantest.Demo(t)[1], script.MaxEvents-1, "26 N·m", ""))
	assert.NotEmpty(t, a.Fixes, "the first of them are still answered")
	assert.Less(t, len(a.Fixes), len(a.Findings))
}
