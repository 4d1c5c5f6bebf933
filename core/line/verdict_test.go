package line

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
)

func TestSoundPlansHaveNoStop(t *testing.T) {
	for name, in := range map[string]Input{"phase-angle": sound(), "inverter": inverted(), "switch": switched()} {
		a := assessed(t, in)
		for _, f := range a.Findings {
			assert.NotEqual(t, finding.Stop, f.Level, "%s: %s", name, f.Title)
			assert.NotEqual(t, finding.Missing, f.Level, "%s: %s", name, f.Title)
		}
		assert.True(t, a.MayPower, name)
		assert.Equal(t, 1, a.JobsDone, "%s: %s", name, a.Headline)
		assert.Equal(t, "Does the job.", a.Headline, name)
	}
}

// Every dangerous plan has its own stop, at a field, and may not be powered.
func TestDangerousPlansAreStopped(t *testing.T) {
	for _, c := range []struct {
		id     string
		from   Input
		change func(*Input)
	}{
		{"supply.earth", sound(), func(in *Input) { in.Plan.Supply.Earthed = false }},
		{"supply.overload", sound(), func(in *Input) { in.Plan.Supply.Breaker = "2 A" }},
		{"control.suits", sound(), func(in *Input) { in.Plan.Control.Kind = control.Contactor }},
		{"control.suits", sound(), func(in *Input) { in.Plan.Control.Kind = control.Inverter }},
		{"control.suits", inverted(), func(in *Input) { in.Plan.Control.Kind = control.Chopper }},
		{"control.suits", switched(), func(in *Input) { in.Plan.Control.Kind = control.Inverter }},
		{"control.suits", switched(), func(in *Input) { in.Plan.Control.Kind = control.PhaseAngle }},
		{"control.suits", sound(), func(in *Input) { in.Plan.Supply.Phases = "dc" }},
		{"control.phases", inverted(), func(in *Input) { in.Plan.Control.Kind = control.Contactor }},
		{"control.bare-mains", sound(), func(in *Input) { in.Plan.Control.Fused = false }},
		{"control.bare-mains", sound(), func(in *Input) { in.Plan.Control.Enclosed = false }},
		{"control.amps-short", sound(), func(in *Input) { in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "1 A", "" }},
		{"control.rotor-speed", inverted(), func(in *Input) { in.Plan.Control.TopHertz, in.Machine.Limits.Spindle = "400 Hz", "" }},
		{"control.reverse-screwed", sound(), func(in *Input) { in.Plan.Control.Reverse, in.Machine.Limits.ScrewedOn = "switch", true }},
		{"control.reverse-screwed", sound(), func(in *Input) { in.Plan.Control.Reverse, in.Plan.Reduction.Stages[0].ScrewOn = "drive", true }},
		{"motor.thermal-left-out", sound(), func(in *Input) { in.Plan.Motor.ThermalSwitch = "left-out" }},
		{"work.top-speed", sound(), func(in *Input) { in.Machine.Limits.Marked = "200 rpm" }},
		{"work.top-speed", switched(), func(in *Input) { in.Machine.Limits.Spindle = "350 rpm" }},
		{"supply.line-volts", switched(), func(in *Input) { in.Plan.Supply.Volts = "400 V" }},
		{"work.no-marking", sound(), func(in *Input) { in.Machine.Kind = "grinder" }},
		{"motor.capacitor-volts", switched(), func(in *Input) {
			in.Plan.Motor.Kind, in.Plan.Motor.Plate.CapacitorVolts = motor.PermanentSplit, "250 V"
		}},
		{"control.suits", switched(), func(in *Input) { in.Plan.Motor.Kind = motor.Brushless }},
		{"control.suits", switched(), func(in *Input) { in.Plan.Control.Kind = control.CapacitorSet }},
		{"reduction.belt-speed.0", sound(), func(in *Input) {
			in.Machine.Limits.Spindle = ""
			in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{{Driver: "500 mm", Driven: "250 mm"}}
		}},
	} {
		in := c.from
		before := assessed(t, in)
		if f := found(before, c.id); f != nil {
			require.NotEqual(t, finding.Stop, f.Level, "%s must not be there before", c.id)
		}
		c.change(&in)
		a := assessed(t, in)
		f := found(a, c.id)
		require.NotNil(t, f, c.id)
		assert.Equal(t, finding.Stop, f.Level, c.id)
		assert.NotEmpty(t, f.Field, c.id)
		assert.False(t, a.MayPower, c.id)
		assert.Equal(t, finding.Stop, a.Findings[0].Level, "stops come first")
	}
}

func TestCautionsStandWhereTheyBelong(t *testing.T) {
	for _, c := range []struct {
		id     string
		from   Input
		change func(*Input)
	}{
		{"control.no-limit", sound(), func(in *Input) { in.Plan.Control.LimitAmps = "" }},
		{"control.limit-high", sound(), func(in *Input) { in.Plan.Control.LimitAmps = "9 A" }},
		{"control.limit-low", sound(), func(in *Input) { in.Plan.Control.LimitAmps = "2 A" }},
		{"control.form-factor", sound(), func(in *Input) { in.Plan.Control.Choke = false }},
		{"control.zero-start", sound(), func(in *Input) { in.Plan.Control.ZeroStart = false }},
		{"control.no-volt", switched(), func(in *Input) { in.Plan.Control.NoVolt = false }},
		{"control.volts-low", sound(), func(in *Input) { in.Plan.Control.Volts = "90 V" }},
		{"control.volts-low", inverted(), func(in *Input) { in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "400 V", "1.9 A" }},
		{"control.over-plate", sound(), func(in *Input) { in.Plan.Control.TopTrim = "110 %" }},
		{"control.reverse", sound(), func(in *Input) { in.Plan.Control.Reverse = "switch" }},
		{"control.reverse-wanted", sound(), func(in *Input) { in.Machine.Limits.NeedsReversed = true }},
		{"supply.near-breaker", sound(), func(in *Input) { in.Plan.Supply.Breaker = "3.5 A" }},
		{"supply.line-hertz", switched(), func(in *Input) { in.Plan.Supply.Hertz = "60 Hz" }},
		{"motor.thermal-unknown", sound(), func(in *Input) { in.Plan.Motor.ThermalSwitch = "" }},
		{"reduction.guard.0", sound(), func(in *Input) { in.Plan.Reduction.Stages[0].Guarded = false }},
		{"reduction.wrap.0.0", sound(), func(in *Input) { in.Plan.Reduction.Stages[0].Centre = "185 mm" }},
		{"reduction.bend.0.0", sound(), func(in *Input) { in.Plan.Reduction.Stages[0].Section = "B" }},
		{"reduction.cone.0", sound(), func(in *Input) {
			in.Plan.Reduction.Stages[0].Steps = append(in.Plan.Reduction.Stages[0].Steps, reduction.DescribedStep{Driver: "80 mm", Driven: "140 mm"})
			in.Machine.Limits.Spindle = ""
		}},
		{"work.no-marking", sound(), func(in *Input) { in.Machine.Kind = "lathe" }},
		{"work.wet", sound(), func(in *Input) { in.Machine.Place.Wet = "yes" }},
		{"work.dust", sound(), func(in *Input) { in.Machine.Place.Dust = "yes" }},
		{"work.hot", sound(), func(in *Input) { in.Machine.Place.Hot = "yes" }},
		{"work.doubt.slow.0", sound(), func(in *Input) {
			in.Machine.Jobs[0].Load = work.Load{Torque: "10 N·m", Power: "10 W"}
			in.Machine.Jobs[0].Speed = work.SpeedBand{From: "60"}
		}},
		{"work.stacked.slow", sound(), func(in *Input) { in.Machine.Jobs[0].Load.From, in.Machine.Jobs[0].Margin = "comparable", "1.5" }},
		{"work.feed.slow", sound(), func(in *Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "screw", Screw: work.Screw{Force: "500 N", Lead: "3 mm", Feed: true}}
		}},
		{"work.feed-geared.slow", sound(), func(in *Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "screw", Screw: work.Screw{Force: "500 N", Lead: "3 mm", Feed: true, Geared: true}}
		}},
		{"work.guess.slow", sound(), func(in *Input) {
			in.Plan.Motor.Plate.Speed, in.Plan.Motor.Body.Diameter, in.Machine.Jobs[0].Load.Torque = "", "102 mm", "2.1 N·m"
			in.Plan.Control.LimitAmps = ""
		}},
		{"motor.cannot-reverse", switched(), func(in *Input) { in.Plan.Motor.Kind, in.Machine.Limits.NeedsReversed = motor.ShadedPole, true }},
		{"work.danger-0", sound(), func(in *Input) { in.Machine.Kind = "drill" }},
		{"work.tangent.slow", sound(), func(in *Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "scale", Scale: work.ScalePull{Radius: "100 mm", Angle: "50°", Running: []q.Text{"2 kg"}}}
		}},
		{"work.spread.slow", sound(), func(in *Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "scale", Scale: work.ScalePull{Radius: "100 mm", Running: []q.Text{"1 kg", "2 kg"}}}
		}},
	} {
		require.Nil(t, found(assessed(t, c.from), c.id), "%s must not be there before", c.id)
		in := c.from
		c.change(&in)
		f := found(assessed(t, in), c.id)
		require.NotNil(t, f, c.id)
		assert.Equal(t, finding.Caution, f.Level, c.id)
	}
}

func TestVoltsShortOfThePlateCutSpeedNotTorque(t *testing.T) {
	// Common practice, no source: a 130 V motor on a 90 V drive reaches 69 % of its speed.
	in := sound()
	in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps, in.Plan.Control.Volts = "130 V", "4 A", "90 V"
	f := found(assessed(t, in), "control.volts-low")
	require.NotNil(t, f)
	assert.Contains(t, f.Title, "69")
}

func TestMissingThingsAreAskedForWorkingBackFromTheWork(t *testing.T) {
	in := Input{Units: "metric"}
	steps := []struct {
		field string
		fill  func()
	}{
		{"machine.jobs", func() { in.Machine.Jobs = []work.Job{{ID: "slow", Name: "Slow"}} }},
		{"machine.jobs[0].speed.from", func() { in.Machine.Jobs[0].Speed.From = "60" }},
		{"machine.jobs[0].load.torque", func() { in.Machine.Jobs[0].Load.Torque = "2 N·m" }},
		{"motor.kind", func() { in.Plan.Motor.Kind = motor.PermanentMagnetDC }},
		{"motor.plate.volts", func() { in.Plan.Motor.Plate.Volts = "180 V" }},
		{"motor.plate.amps", func() { in.Plan.Motor.Plate.Amps = "2.8 A" }},
		{"motor.plate.speed", func() { in.Plan.Motor.Plate.Speed = "1750" }},
		{"control.kind", func() { in.Plan.Control.Kind = control.PhaseAngle }},
		{"supply.volts", func() { in.Plan.Supply.Volts, in.Plan.Supply.Hertz = "230 V", "50 Hz" }},
		{"control.amps", func() { in.Plan.Control.Amps = "5 A" }},
		{"supply.breaker", func() { in.Plan.Supply.Breaker = "10 A" }},
	}
	for _, s := range steps {
		a := assessed(t, in)
		assert.Equal(t, s.field, a.Next.Field, a.Next.Text)
		assert.NotEmpty(t, a.Headline)
		s.fill()
	}
	assert.NotEmpty(t, assessed(t, in).Reach.Positions)
}

func TestFixedSpeedIsItsOwnAnswer(t *testing.T) {
	in := switched()
	in.Machine.Jobs[0].Speed.Cover = "all"
	a := assessed(t, in)
	assert.Equal(t, tooSlow, a.Jobs[0].Outcome)
	f := found(a, "work.job.slow")
	require.NotNil(t, f)
	assert.True(t, f.Short)
	assert.Equal(t, "machine.jobs[0].speed.cover", f.Field)
	assert.True(t, a.MayPower, "falling short harms nobody")

	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "30", To: "40", Cover: "any"}
	assert.Equal(t, tooFast, assessed(t, in).Jobs[0].Outcome)
}

func TestBreakawayIsWeighedAgainstStartingTorque(t *testing.T) {
	in := switched()
	in.Plan.Reduction.Stages[0].Count = "3"
	in.Machine.Jobs[0].Load = work.Load{By: "scale", Scale: work.ScalePull{Radius: "100 mm", Running: []q.Text{"1 kg"}, Breakaway: []q.Text{"30 kg"}}}
	f := found(assessed(t, in), "work.job.slow")
	require.NotNil(t, f)
	assert.Contains(t, f.Title, "break it away")
	assert.Contains(t, f.Detail, string(motor.StartTorque))
}

func TestInchFiguresNeverChangeTheAnswer(t *testing.T) {
	for _, in := range demoInputs(t) {
		metric := assessed(t, in)
		in.Units = "inch"
		inch := assessed(t, in)
		for i := range metric.Jobs {
			assert.Equal(t, metric.Jobs[i].Margin, inch.Jobs[i].Margin)
		}
		assert.Equal(t, metric.Reach, inch.Reach)
		assert.Equal(t, "lbf·ft", inch.Units.Torque)
		assert.NotEqual(t, metric.Stations, inch.Stations)
	}
}

func TestUnusableEntriesAreRefusedByField(t *testing.T) {
	in := sound()
	in.Plan.Motor.Plate.Power = "half a horse"
	in.Machine.Jobs[0].Speed.To = "10"
	in.Units = "cubits"
	_, err := Assess(in)
	assert.ErrorContains(t, err, "motor.plate.power")
	assert.ErrorContains(t, err, "machine.jobs[0].speed.to")
	assert.ErrorContains(t, err, "units")
}

// No figure without its working: every ID a station, a finding or a setting points to is there.
func TestEveryWorkingPointedToIsThere(t *testing.T) {
	inputs := append(demoInputs(t), sound(), inverted(), switched())
	slack := sound()
	slack.Plan.Control.LimitAmps, slack.Plan.Control.Volts, slack.Plan.Reduction.Stages[0].Centre = "", "90 V", "185 mm"
	lying := inverted()
	lying.Plan.Motor.Plate.Speed, lying.Plan.Motor.Plate.Power = "1250 rpm", "3 kW"
	for _, in := range append(inputs, slack, lying) {
		a := assessed(t, in)
		known := map[string]bool{"": true}
		for _, w := range a.Workings {
			assert.False(t, known[w.ID], "%s twice", w.ID)
			known[w.ID] = true
			assert.NotEmpty(t, w.Source.Title, w.ID)
		}
		for _, f := range a.Findings {
			assert.True(t, known[f.Working], "%s points to %s", f.ID, f.Working)
		}
		for _, s := range a.Stations {
			assert.True(t, known[s.Working], "%s points to %s", s.Station, s.Working)
			for _, figure := range s.Figures {
				assert.True(t, known[figure.Working], "%s points to %s", s.Station, figure.Working)
			}
		}
		for _, s := range a.Settings {
			assert.True(t, known[s.Working], s.Name)
		}
	}
}

func TestTheHeadlineCountsWhatIsNotFilledInYet(t *testing.T) {
	in := sound()
	in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: "open", Name: "Open"})
	assert.Equal(t, "Does one of two jobs. One not filled in yet.", assessed(t, in).Headline)
	in.Machine.Jobs = in.Machine.Jobs[1:]
	assert.Equal(t, "Not enough known yet to judge it.", assessed(t, in).Headline)
}

// A series motor's torque and heat both go with amps squared, and its amps are the line's.
func TestAUniversalMotorOnItsRegulator(t *testing.T) {
	in := sound()
	in.Plan.Motor = motor.Described{Kind: motor.Universal, ThermalSwitch: "none", Plate: motor.Plate{Power: "430 W", Speed: "11000 rpm", Volts: "230 V", Amps: "3.6 A", Cooling: "closed"}}
	in.Plan.Control.Volts, in.Plan.Control.Choke, in.Plan.Control.LimitAmps = "230 V", false, "5 A"
	s, err := resolve(in)
	require.NoError(t, err)
	tr := newTrain(s)
	require.True(t, tr.runs)
	assert.Equal(t, 1.0, tr.feed.FormFactor)
	assert.InEpsilon(t, 3.6, tr.inputAmps(), 1e-9)
	low, high := tr.model.Span()
	assert.InEpsilon(t, 5, high/low, 1e-9, "a fifth of full speed without a tachometer")
	in.Plan.Control.Feedback = "tacho"
	s, err = resolve(in)
	require.NoError(t, err)
	low, high = newTrain(s).model.Span()
	assert.InEpsilon(t, 20, high/low, 1e-9)
}

// Worked by hand: 750 W at 75.07 % (230 V, 3.3 A, 0.76) or 74.97 % (400 V, 1.9 A) of three phases, a
// drive that keeps 95 % with power factor 0.62, or 0.7 for direct current.
func TestInputAmpsFollowWhatTheFeedLetsTheMotorGive(t *testing.T) {
	cases := []struct {
		name   string
		in     Input
		change func(*Input)
		amps   float64
	}{
		{"at its plate", inverted(), func(*Input) {}, 999.1 / (0.95 * 230 * 0.62)},
		{"short of volts", inverted(), func(in *Input) { in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "400 V", "1.9 A" },
			750 * (0.575 + 1/0.7497 - 1) / (0.95 * 230 * 0.62)},
		{"volts and hertz past the plate's", inverted(), func(in *Input) {
			in.Plan.Supply.Volts, in.Plan.Supply.Phases = "400 V", "3"
			in.Plan.Control.Volts, in.Plan.Control.BaseHertz, in.Plan.Control.TopHertz = "400 V", "87 Hz", "87 Hz"
		}, 750 * (400.0/230 + 1/0.7507 - 1) / (0.95 * 400 * 0.62 * 1.7321)},
		{"half the volts", sound(), func(in *Input) { in.Plan.Control.Volts = "90 V" },
			372.85 * (0.5 + 504/372.85 - 1) / (0.95 * 230 * 0.7)},
		{"a battery that sags by 2.4 V at 10 A", sound(), func(in *Input) {
			in.Plan.Supply = supply.Described{Volts: "24 V", Phases: "dc", Inside: "0.24 Ω"}
			in.Plan.Control = control.Described{Kind: control.Chopper, Volts: "24 V", Amps: "30 A"}
			in.Plan.Motor.Plate = motor.Plate{Power: "180 W", Speed: "4600", Volts: "24 V", Amps: "10 A"}
		}, 180 * (0.9 + 240.0/180 - 1) / (0.95 * 21.6)},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			c.change(&c.in)
			s, err := resolve(c.in)
			require.NoError(t, err)
			assert.InEpsilon(t, c.amps, newTrain(s).inputAmps(), 0.002)
		})
	}
}
