package verdict_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
	"jiriki/core/working"
)

func TestSoundPlansHaveNoStop(t *testing.T) {
	for name, in := range map[string]plan.Input{"phase-angle": plantest.Sound(), "inverter": plantest.Inverted(),
		"switch": plantest.Switched()} {
		a := assesstest.Of(t, in)
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
// Two dozen sound plans have no stop at all, whatever small things they lack.
func TestVoltsShortOfThePlateCutSpeedNotTorque(t *testing.T) {
	// Common practice, no source: a 130 V motor on a 90 V drive reaches 69 % of its speed.
	in := plantest.Sound()
	in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps, in.Plan.Control.Volts = "130 V", "4 A", "90 V"
	f := assesstest.Finding(assesstest.Of(t, in), "control.volts-low")
	require.NotNil(t, f)
	assert.Contains(t, f.Title, "69")
}

func TestMissingThingsAreAskedForWorkingBackFromTheWork(t *testing.T) {
	in, belted := plan.Input{Units: "metric"}, plantest.Sound().Plan.Reduction.Stages
	steps := []struct {
		field string
		fill  func()
	}{
		{"machine.jobs", func() { in.Machine.Jobs = []work.Job{{ID: "slow", Name: "Slow"}} }},
		{"machine.jobs[0].speed.from", func() { in.Machine.Jobs[0].Speed.From = "60" }},
		{"machine.jobs[0].load.torque", func() { in.Machine.Jobs[0].Load.Torque = "2 N·m" }},
		{"machine.kind", func() { in.Machine.Kind = "conveyor" }},
		{"motor.kind", func() { in.Plan.Motor.Kind = motor.PermanentMagnetDC }},
		{"motor.plate.volts", func() { in.Plan.Motor.Plate.Volts = "180 V" }},
		{"motor.plate.amps", func() { in.Plan.Motor.Plate.Amps = "2.8 A" }},
		{"motor.plate.speed", func() { in.Plan.Motor.Plate.Speed = "1750" }},
		{"reduction.stages", func() { in.Plan.Reduction.Stages = belted }},
		{"control.kind", func() { in.Plan.Control.Kind = control.PhaseAngle }},
		{"supply.volts", func() { in.Plan.Supply.Volts, in.Plan.Supply.Hertz = "230 V", "50 Hz" }},
		{"control.amps", func() { in.Plan.Control.Amps = "5 A" }},
		{"supply.breaker", func() { in.Plan.Supply.Breaker = "10 A" }},
		{"supply.wire", func() { in.Plan.Supply.Wire = "1.5 mm²" }},
	}
	for _, s := range steps {
		a := assesstest.Of(t, in)
		assert.Equal(t, s.field, a.Next.Field, a.Next.Text)
		assert.NotEmpty(t, a.Headline)
		assert.NotEqual(t, judge.Yes, a.Power.Answer, s.field)
		assert.Contains(t, []judge.Answer{judge.Unknown, judge.No}, a.Power.Answer, s.field)
		s.fill()
	}
	a := assesstest.Of(t, in)
	assert.NotEmpty(t, a.Reach.Positions)
	assert.Empty(t, a.Power.Hangs, "nothing is left to be entered")
}

func TestFixedSpeedIsItsOwnAnswer(t *testing.T) {
	in := plantest.Switched()
	in.Machine.Jobs[0].Speed.Cover = "all"
	a := assesstest.Of(t, in)
	assert.Equal(t, line.TooSlow, a.Jobs[0].Outcome)
	f := assesstest.Finding(a, "work.job.slow")
	require.NotNil(t, f)
	assert.True(t, f.Short)
	assert.Equal(t, "machine.jobs[0].speed.cover", f.Field)
	assert.True(t, a.MayPower, "falling short harms nobody")

	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "30", To: "40", Cover: "any"}
	assert.Equal(t, line.TooFast, assesstest.Of(t, in).Jobs[0].Outcome)
}

func TestBreakawayIsWeighedAgainstStartingTorque(t *testing.T) {
	in := plantest.Switched()
	in.Plan.Reduction.Stages[0].Count = "3"
	in.Machine.Jobs[0].Load = work.Load{By: "scale", Scale: work.ScalePull{Radius: "100 mm", Running: []q.Text{"1 kg"},
		Breakaway: []q.Text{"30 kg"}}}
	f := assesstest.Finding(assesstest.Of(t, in), "work.job.slow")
	require.NotNil(t, f)
	assert.Contains(t, f.Title, "will not start it")
	assert.Contains(t, f.Detail, string(motor.StartTorque))
}

func TestInchFiguresNeverChangeTheAnswer(t *testing.T) {
	for _, in := range plantest.Demo(t) {
		metric := assesstest.Of(t, in)
		in.Units = "inch"
		inch := assesstest.Of(t, in)
		for i := range metric.Jobs {
			assert.Equal(t, metric.Jobs[i].Margin, inch.Jobs[i].Margin)
		}
		assert.Equal(t, metric.Reach, inch.Reach)
		assert.Equal(t, "lbf·ft", inch.Units.Torque)
		assert.NotEqual(t, metric.Stations, inch.Stations)
	}
}

func TestUnusableEntriesAreRefusedByField(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor.Plate.Power = "half a horse"
	in.Machine.Jobs[0].Speed.To = "10"
	a := assesstest.Of(t, in)
	assert.Equal(t, []string{"motor.plate.power", "machine.jobs[0].speed.to"}, []string{a.Entries[0].Field,
		a.Entries[1].Field})
	in.Units = "cubits"
	_, err := assess.Assess(in)
	assert.ErrorContains(t, err, "units")
}

// No figure without its working: every ID a station, a finding or a setting points to is there.
func TestEveryWorkingPointedToIsThere(t *testing.T) {
	inputs := append(plantest.Demo(t), plantest.Sound(), plantest.Inverted(), plantest.Switched())
	slack := plantest.Sound()
	slack.Plan.Control.LimitAmps, slack.Plan.Control.Volts, slack.Plan.Reduction.Stages[0].Centre = "", "90 V", "185 mm"
	lying := plantest.Inverted()
	lying.Plan.Motor.Plate.Speed, lying.Plan.Motor.Plate.Power = "1250 rpm", "3 kW"
	for _, in := range append(inputs, slack, lying) {
		a := assesstest.Of(t, in)
		known := map[working.ID]bool{"": true}
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
	in := plantest.Sound()
	in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: "open", Name: "Open"})
	assert.Equal(t, "Does one of two jobs. One not filled in yet.", assesstest.Of(t, in).Headline)
	in.Machine.Jobs = in.Machine.Jobs[1:]
	assert.Equal(t, "Not enough known yet to judge it.", assesstest.Of(t, in).Headline)
}

// A series motor's torque and heat both go with amps squared, and its amps are the line's.
func TestAUniversalMotorOnItsRegulator(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Universal, ThermalSwitch: "none",
		Plate: motor.Plate{Power: "430 W", Speed: "11000 rpm", Volts: "230 V", Amps: "3.6 A",
			Cooling: "closed"}}
	in.Plan.Control.Volts, in.Plan.Control.Choke, in.Plan.Control.LimitAmps = "230 V", false, "5 A"
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	tr := line.New(s)
	require.True(t, tr.Runs)
	assert.Equal(t, 1.0, tr.Feed.FormFactor)
	assert.InEpsilon(t, 3.6, tr.InputAmps(), 1e-9)
	low, high := tr.Powered.Span()
	assert.InEpsilon(t, 5, high/low, 1e-9, "a fifth of full speed without a tachometer")
	in.Plan.Control.Feedback = "tacho"
	s, err = plan.Resolve(in)
	require.NoError(t, err)
	low, high = line.New(s).Powered.Span()
	assert.InEpsilon(t, 20, high/low, 1e-9)
}

// Worked by hand: 750 W at 75.07 % (230 V, 3.3 A, 0.76) or 74.97 % (400 V, 1.9 A) of three phases, a
// drive that keeps 95 % with power factor 0.62, or 0.7 for direct current.
func TestInputAmpsFollowWhatTheFeedLetsTheMotorGive(t *testing.T) {
	cases := []struct {
		name   string
		in     plan.Input
		change func(*plan.Input)
		amps   float64
	}{
		{"at its plate", plantest.Inverted(), func(*plan.Input) {}, 999.1 / (0.95 * 230 * 0.62)},
		{"short of volts", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "400 V", "1.9 A"
		},
			750 * (0.575 + 1/0.7497 - 1) / (0.95 * 230 * 0.62)},
		{"volts and hertz past the plate's", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Supply.Volts, in.Plan.Supply.Phases = "400 V", "3"
			in.Plan.Control.Volts, in.Plan.Control.BaseHertz, in.Plan.Control.TopHertz = "400 V", "87 Hz", "87 Hz"
		}, 750 * (400.0/230 + 1/0.7507 - 1) / (0.95 * 400 * 0.62 * 1.7321)},
		{"half the volts", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Volts = "90 V" },
			372.85 * (0.5 + 504/372.85 - 1) / (0.95 * 230 * 0.7)},
		{"a battery that sags by 2.4 V at 10 A", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Supply = supply.Described{Volts: "24 V", Phases: "dc", Inside: "0.24 Ω"}
			in.Plan.Control = control.Described{Kind: control.Chopper, Volts: "24 V", Amps: "30 A"}
			in.Plan.Motor.Plate = motor.Plate{Power: "180 W", Speed: "4600", Volts: "24 V", Amps: "10 A"}
		}, 180 * (0.9 + 240.0/180 - 1) / (0.95 * 21.6)},
	}
	for _, c := range cases {
		t.Run(c.name, func(t *testing.T) {
			c.change(&c.in)
			s, err := plan.Resolve(c.in)
			require.NoError(t, err)
			assert.InEpsilon(t, c.amps, line.New(s).InputAmps(), 0.002)
		})
	}
}

// The measured ratio names the wheel that explains it with the least change, or the rim taken for pitch.
func TestTheSuspectDiameterIsNamed(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Reduction.Speeds = reduction.MeasuredSpeeds{Motor: "1500 rpm", Spindle: "422 rpm"}
	f := assesstest.Finding(assesstest.Of(t, in), "reduction.measured")
	require.NotNil(t, f)
	assert.Equal(t, finding.Good, f.Level, "3.55 measured, 3.55 worked out")
	// Outside 80 and 280 mm are pitch 73.4 and 273.4: 3.725 and slip make 3.78.
	in.Plan.Reduction.Speeds.Spindle = "397 rpm"
	f = assesstest.Finding(assesstest.Of(t, in), "reduction.measured")
	require.NotNil(t, f)
	assert.Equal(t, "reduction.stages[0].measured", f.Field)
	// 12 % off: a driving pulley 9 mm smaller explains it, the driven one would be 35 mm larger.
	in.Plan.Reduction.Speeds.Spindle = "375 rpm"
	f = assesstest.Finding(assesstest.Of(t, in), "reduction.measured")
	require.NotNil(t, f)
	assert.Equal(t, "reduction.stages[0].steps[0].driver", f.Field)
	assert.Contains(t, f.Detail, "71")
}

// Holes and overlap between a cone's two bands: by hand, 1425 to 1500 rpm through 3 : 1 and 2 : 1.
func TestCoverageTellsHolesAndOverlap(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = ""
	in.Plan.Control.Feedback, in.Plan.Control.Choke = "none", true // 1/15 of full speed
	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "20", To: "900"}
	in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{{Driver: "100 mm", Driven: "500 mm"},
		{Driver: "100 mm", Driven: "250 mm"}}
	in.Plan.Reduction.Stages[0].Centre = "600 mm"
	c := assesstest.Of(t, in).Coverage
	require.Len(t, c.Overlaps, 1)
	// The slow band ends at 1750/5 · 0.985, the fast begins at 1750/2.5/15 · 0.985.
	assert.InEpsilon(t, 1750.0/2.5/15*0.985, c.Overlaps[0].FromRPM, 1e-3)
	assert.InEpsilon(t, 1750.0/5*0.985, c.Overlaps[0].ToRPM, 1e-3)
	require.Len(t, c.Holes, 2)
	assert.InEpsilon(t, 20, c.Holes[0].FromRPM, 1e-9)
	assert.InEpsilon(t, 900, c.Holes[1].ToRPM, 1e-9)
	assert.InDelta(t, math.Log(1750/2.5*0.985/(1750.0/5/15*0.985))/math.Log(900.0/20), c.Covered, 1e-3)
}

// Source: common practice, no source: an inverter made for three phases in is sized twice over on one.
func TestThreePhaseInverterOnOnePhaseIsSizedTwice(t *testing.T) {
	in := plantest.Inverted()
	in.Plan.Control.Fed, in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "3", "6.5 A", ""
	short := assesstest.Finding(assesstest.Of(t, in), "control.amps-short")
	require.NotNil(t, short)
	assert.Equal(t, finding.Stop, short.Level, "6.5 A gives 3.25 A for a 3.3 A motor")
	in.Plan.Control.Amps = "6.6 A"
	assert.Nil(t, assesstest.Finding(assesstest.Of(t, in), "control.amps-short"))
	in.Plan.Supply.Phases = "3"
	in.Plan.Control.Amps = "3.3 A"
	assert.Nil(t, assesstest.Finding(assesstest.Of(t, in), "control.amps-short"))
}

// What the wiring leaves unsafe is a stop of the plan, said once, and not of the wiring's page alone.
func TestWhatTheWiringLeavesUnsafeIsAStop(t *testing.T) {
	for _, c := range []struct {
		id     finding.ID
		from   plan.Input
		change func(*plan.Input)
	}{
		{"control.wiring.fuse", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.Fused = false }},
		{"control.wiring.thermal", plantest.Switched(), func(in *plan.Input) { in.Plan.Control.NoVolt = false }},
		{"control.wiring.reverse", plantest.Switched(), func(in *plan.Input) {
			in.Plan.Control.Reverse, in.Plan.Control.NoVolt, in.Plan.Motor.ThermalSwitch = "switch", false, "none"
		}},
	} {
		require.True(t, assesstest.Of(t, c.from).MayPower, c.id)
		c.change(&c.from)
		a := assesstest.Of(t, c.from)
		stop := assesstest.Finding(a, c.id)
		require.NotNil(t, stop, c.id)
		assert.Equal(t, finding.Stop, stop.Level)
		assert.False(t, a.MayPower, c.id)
	}
	bare := plantest.Sound()
	bare.Plan.Control.Fused = false
	a := assesstest.Of(t, bare)
	assert.NotNil(t, assesstest.Finding(a, "control.bare-mains"))
	assert.Nil(t, assesstest.Finding(a, "control.wiring.fuse"), "said once")
}

// A motor whose volts nobody has read yet is no reason to leave its drive without a fuse.
// onABattery is sound with the low volts of a battery behind a PWM drive.
// A set screw slips over a few newton metres, and over three times as many it is a stop; so is a machine that starts
// its cutter by itself, which for one without a cutter is a caution.

// Whether a wheel goes on its shaft is told where both are known, whichever way round, and for a wheel straight on
// the motor's shaft as well.
func TestWhetherAWheelGoesOnIsTold(t *testing.T) {
	in := plantest.Sound()
	fit := func(bore, shaft q.Text, held string) *finding.Finding {
		in.Plan.Reduction.Stages[0].OnDriven = reduction.DescribedFit{Shaft: shaft, Bore: bore, Held: held,
			Hub: "40 mm"}
		return assesstest.Finding(assesstest.Of(t, in), "reduction.fit.driven.0")
	}
	goes := fit("20 mm", "20 mm", "key")
	require.NotNil(t, goes)
	assert.Equal(t, finding.Good, goes.Level)
	assert.Contains(t, goes.Detail, "20\u202fmm bore on a 20\u202fmm shaft, 6\u202fmm key")
	for _, c := range []struct{ bore, shaft, says q.Text }{
		{"26 mm", "20 mm", "sleeve"}, {"16 mm", "20 mm", "bore the wheel"}, {"8 mm", "20 mm", "turn the shaft"},
	} {
		one := fit(c.bore, c.shaft, "key")
		require.NotNil(t, one, c.says)
		assert.Equal(t, finding.Caution, one.Level)
		assert.Contains(t, one.Detail, string(c.says))
	}
	assert.Nil(t, fit("20 mm", "20 mm", ""), "how it is held is not known")
	assert.Nil(t, fit("", "20 mm", "key"))

	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Direct,
		OnDriving: reduction.DescribedFit{Shaft: "14 mm", Bore: "14 mm", Held: "key", Hub: "30 mm"}}}
	in.Machine.Limits.Spindle = ""
	a := assesstest.Of(t, in)
	straight := assesstest.Finding(a, "reduction.fit.driving.0")
	require.NotNil(t, straight)
	assert.Equal(t, "Wheel on the motor's shaft goes on as it is", straight.Title)
}

// A ratio without its wheels asks for them and for a guard, and is judged as far as it can be.
func TestABareRatioAsksForItsWheels(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Given,
		Steps: []reduction.DescribedStep{{Driver: "3.5"}}}}
	a := assesstest.Of(t, in)
	require.NotNil(t, assesstest.Finding(a, "reduction.bare.0"))
	assert.Equal(t, finding.Missing, assesstest.Finding(a, "reduction.bare.0").Level)
	assert.NotNil(t, assesstest.Finding(a, "reduction.guard.0"))
	assert.Nil(t, assesstest.Finding(a, "reduction.good"), "nothing of it was looked at")
	assert.Equal(t, judge.Unknown, a.Does.Answer, "its belts may slip")
	in.Plan.Reduction.Stages[0].Guarded = true
	assert.Equal(t, judge.Unknown, assesstest.Of(t, in).Power.Answer)
	in.Plan.Reduction.Stages[0].Rated = "40 N·m"
	a = assesstest.Of(t, in)
	assert.Equal(t, judge.Yes, a.Power.Answer, "a closed gearbox, by its maker's torque")
	assert.Equal(t, judge.Yes, a.Does.Answer)
}

// A plan in which nobody chose anything yet has nothing that is good.
func TestAnEmptyPlanHasNothingGood(t *testing.T) {
	in := plan.Input{Units: q.Metric, Machine: plantest.Sound().Machine}
	for _, one := range assesstest.Of(t, in).Findings {
		assert.NotEqual(t, finding.Good, one.Level, one.ID)
	}
}

// Nothing that turns is called good before it is known what it turns at.
func TestNoGoodMarkWithoutARatio(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = "2000 rpm"
	require.NotNil(t, assesstest.Finding(assesstest.Of(t, in), "work.top-speed-good"))
	in.Plan.Reduction.Stages[0].Steps[0].Driven = ""
	a := assesstest.Of(t, in)
	require.Empty(t, a.Reach.Positions)
	for _, w := range a.Workings {
		assert.NotRegexp(t, `^0\s(rpm|m/s|N)`, w.Value, w.Label)
	}
	for _, one := range a.Findings {
		if one.Level == finding.Good {
			assert.Contains(t, []finding.Station{finding.Supply, finding.Control, finding.Motor}, one.Station, one.ID)
		}
	}
}
