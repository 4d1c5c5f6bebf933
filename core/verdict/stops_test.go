package verdict_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/work"
)

func TestDangerousPlansAreStopped(t *testing.T) {
	for _, c := range []struct {
		id     finding.ID
		from   plan.Input
		change func(*plan.Input)
	}{
		{"supply.earth", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Earthed = false }},
		{"supply.overload", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Breaker = "2 A" }},
		{"control.suits", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Kind = control.Contactor }},
		{"control.suits", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Kind = control.Inverter }},
		{"control.suits", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.Kind = control.Chopper }},
		{"control.suits", plantest.Switched(), func(in *plan.Input) { in.Plan.Control.Kind = control.Inverter }},
		{"control.suits", plantest.Switched(), func(in *plan.Input) { in.Plan.Control.Kind = control.PhaseAngle }},
		{"control.suits", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Phases = "dc" }},
		{"control.phases", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.Kind = control.Contactor }},
		{"control.bare-mains", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Fused = false }},
		{"control.bare-mains", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Enclosed = false }},
		{"control.amps-short", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "1 A", ""
		}},
		{"control.amps-short", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "1 A", "4 A"
		}},
		{"control.volts-high", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "90 V", "5 A"
		}},
		{"control.volts-high", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Supply.Volts, in.Plan.Control.Volts, in.Plan.Control.BaseHertz = "400 V", "400 V", "87 Hz"
		}},
		{"control.brake-screwed", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Control.BrakeOhms, in.Machine.Limits.ScrewedOn = "100 Ω", true
		}},
		{"control.limit-high", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.LimitAmps = "9 A" }},
		{"control.rotor-speed", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Control.TopHertz, in.Machine.Limits.Spindle = "400 Hz", ""
		}},
		{"control.reverse-screwed", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Control.Reverse, in.Machine.Limits.ScrewedOn = "switch", true
		}},
		{"control.reverse-screwed", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Control.Reverse, in.Plan.Reduction.Stages[0].ScrewOn = "drive", true
		}},
		{"reduction.guard.0", plantest.Sound(), func(in *plan.Input) { in.Plan.Reduction.Stages[0].Guarded = false }},
		{"reduction.twist.driven.0", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Reduction.Stages[0].OnDriven = reduction.DescribedFit{Shaft: "6 mm", Held: "key"}
		}},
		{"control.no-volt", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Kind, in.Machine.Limits.Marked, in.Plan.Control.NoVolt = "bandsaw", "600 rpm", false
		}},
		{"motor.protector", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Kind, in.Machine.Limits.Marked = "grinder", "600 rpm"
			in.Plan.Motor.Plate.Protector = "self-reset"
		}},
		{"supply.battery-fuse", onABattery(), func(in *plan.Input) { in.Plan.Control.Fused = false }},
		{"motor.thermal-left-out", plantest.Sound(), func(in *plan.Input) { in.Plan.Motor.ThermalSwitch = "left-out" }},
		{"work.top-speed", plantest.Sound(), func(in *plan.Input) { in.Machine.Limits.Marked = "200 rpm" }},
		{"work.top-speed", plantest.Switched(), func(in *plan.Input) { in.Machine.Limits.Spindle = "350 rpm" }},
		{"supply.line-volts", plantest.Switched(), func(in *plan.Input) { in.Plan.Supply.Volts = "400 V" }},
		{"work.no-marking", plantest.Sound(), func(in *plan.Input) { in.Machine.Kind = "grinder" }},
		{"motor.capacitor-volts", plantest.Switched(), func(in *plan.Input) {
			in.Plan.Motor.Kind, in.Plan.Motor.Plate.CapacitorVolts = motor.PermanentSplit, "250 V"
		}},
		{"control.suits", plantest.Switched(), func(in *plan.Input) { in.Plan.Motor.Kind = motor.Brushless }},
		{"control.suits", plantest.Switched(), func(in *plan.Input) { in.Plan.Control.Kind = control.CapacitorSet }},
		{"reduction.belt-speed.0", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Limits.Spindle = ""
			in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{{Driver: "500 mm", Driven: "250 mm"}}
		}},
		{"supply.cable", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Supply.Wire, in.Plan.Supply.Breaker = "1 mm²", "16 A"
		}},
		{"supply.cable", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Supply.Wire, in.Plan.Supply.Breaker, in.Plan.Supply.Code = "14 AWG", "20 A", "nec"
		}},
		{"control.start-switch", plantest.OneOut(), func(in *plan.Input) { in.Plan.Control.LowHertz = "" }},
		{"control.start-switch", plantest.OneOut(), func(in *plan.Input) { in.Plan.Control.LowHertz = "20 Hz" }},
		{"control.over-plate-hertz", plantest.OneOut(), func(in *plan.Input) { in.Plan.Control.TopHertz = "60 Hz" }},
		{"control.amps-short", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Control.Fed, in.Plan.Control.LimitAmps = "3", ""
		}},
		{"control.resistor-burns", plantest.Resisted(), func(in *plan.Input) { in.Plan.Control.Watts = "50 W" }},
		{"control.bare-mains", plantest.Resisted(), func(in *plan.Input) { in.Plan.Control.Fused = false }},
		{"control.bare-mains", plantest.Transformed(), func(in *plan.Input) { in.Plan.Control.Enclosed = false }},
		{"work.feed-geared.slow", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "screw", Screw: work.Screw{Force: "500 N", Lead: "3 mm", Feed: true,
				Geared: true}}
		}},
		{"control.suits", plantest.Transformed(), func(in *plan.Input) {
			in.Plan.Supply.Phases, in.Plan.Supply.Volts = "dc", "48 V"
		}},
		{"control.suits", plantest.OneOut(), func(in *plan.Input) { in.Plan.Motor.Kind = motor.SplitPhase }},
		{"control.suits", plantest.Switched(), func(in *plan.Input) { in.Plan.Control.Kind = control.SeriesResistor }},
	} {
		in := c.from
		before := assesstest.Of(t, in)
		if f := assesstest.Finding(before, c.id); f != nil {
			require.NotEqual(t, finding.Stop, f.Level, "%s must not be there before", c.id)
		}
		c.change(&in)
		a := assesstest.Of(t, in)
		f := assesstest.Finding(a, c.id)
		require.NotNil(t, f, c.id)
		assert.Equal(t, finding.Stop, f.Level, c.id)
		assert.NotEmpty(t, f.Field, c.id)
		assert.False(t, a.MayPower, c.id)
		assert.Equal(t, finding.Stop, a.Findings[0].Level, "stops come first")
	}
}

func TestSoundPlansAreNotStopped(t *testing.T) {
	plans := map[string]plan.Input{"sound": plantest.Sound(), "inverted": plantest.Inverted(),
		"switched": plantest.Switched(), "one phase out": plantest.OneOut(), "resisted": plantest.Resisted(),
		"transformed": plantest.Transformed()}
	with := func(name string, in plan.Input, change func(*plan.Input)) {
		change(&in)
		plans[name] = in
	}
	with("a thinner cable on a smaller breaker", plantest.Sound(), func(in *plan.Input) {
		in.Plan.Supply.Wire, in.Plan.Supply.Cable = "1 mm²", "10 m"
	})
	with("a long thin cable", plantest.Sound(), func(in *plan.Input) {
		in.Plan.Supply.Wire, in.Plan.Supply.Cable = "1.5 mm²", "60 m"
	})
	with("NEC", plantest.Sound(), func(in *plan.Input) {
		in.Plan.Supply.Volts, in.Plan.Supply.Hertz, in.Plan.Supply.Breaker, in.Plan.Supply.Wire = "240 V", "60 Hz",
			"15 A", "14 AWG"
	})
	with("trimmed", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.TopTrim = "65 %" })
	with("without a choke", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Choke = false })
	with("chopper", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Kind = control.Chopper })
	with("no limit set", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.LimitAmps = "" })
	with("armature inductance known", plantest.Sound(),
		func(in *plan.Input) { in.Plan.Motor.Plate.Inductance = "40 mH" })
	with("reversing at standstill", plantest.Sound(), func(in *plan.Input) {
		in.Plan.Control.Reverse, in.Plan.Control.DCRated = "switch", true
	})
	with("keyed shafts", plantest.Sound(), func(in *plan.Input) {
		in.Plan.Motor.Body.Shaft = "16 mm"
		in.Plan.Reduction.Stages[0].OnDriving.Held, in.Plan.Reduction.Stages[0].OnDriven = "key",
			reduction.DescribedFit{Shaft: "20 mm", Held: "key",
				Hub: "30 mm"}
	})
	with("two belts", plantest.Sound(), func(in *plan.Input) {
		in.Machine.Limits.Spindle = ""
		in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, reduction.DescribedStage{Kind: reduction.PolyV,
			Steps: []reduction.DescribedStep{{Driver: "60 mm", Driven: "120 mm"}}, Centre: "200 mm",
			Guarded: true})
		in.Machine.Jobs[0].Speed = work.SpeedBand{From: "60", To: "120"}
	})
	for _, stage := range []reduction.DescribedStage{
		{Kind: reduction.LinkBelt, Steps: []reduction.DescribedStep{{Driver: "80 mm", Driven: "280 mm"}},
			Centre: "400 mm"},
		{Kind: reduction.Flat, Steps: []reduction.DescribedStep{{Driver: "80 mm", Driven: "280 mm"}}, Centre: "500 mm",
			Width: "40 mm"},
		{Kind: reduction.Toothed, Steps: []reduction.DescribedStep{{Driver: "20", Driven: "72"}}, Centre: "200 mm",
			Width: "15 mm"},
		{Kind: reduction.Chain, Steps: []reduction.DescribedStep{{Driver: "15", Driven: "54"}}, Centre: "300 mm"},
		{Kind: reduction.Spur, Steps: []reduction.DescribedStep{{Driver: "20", Driven: "72"}}},
		{Kind: reduction.Worm, Steps: []reduction.DescribedStep{{Driver: "2", Driven: "20"}}},
	} {
		stage.Guarded = true
		with("by "+string(stage.Kind), plantest.Sound(),
			func(in *plan.Input) { in.Plan.Reduction.Stages = []reduction.DescribedStage{stage} })
	}
	with("three phases in and out", plantest.Inverted(), func(in *plan.Input) {
		in.Plan.Supply.Phases, in.Plan.Control.Fed, in.Plan.Control.Amps = "3", "3", "5 A"
	})
	with("three phases in, fed by one, twice the size", plantest.Inverted(),
		func(in *plan.Input) {
			in.Plan.Control.Fed, in.Plan.Control.Amps = "3", "8 A"
		})
	with("vector", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.Mode = "vector" })
	with("straight on three phases", plantest.Inverted(), func(in *plan.Input) {
		in.Plan.Supply.Phases, in.Plan.Control.Kind, in.Machine.Jobs[0].Speed = "3", control.Contactor,
			work.SpeedBand{From: "300", To: "500",
				Cover: "any"}
	})
	with("battery", plantest.Sound(), func(in *plan.Input) {
		in.Plan.Supply = supply.Described{Volts: "24 V", Phases: "dc", Breaker: "30 A", Cable: "1 m", Wire: "6 mm²"}
		in.Plan.Control = control.Described{Kind: control.Chopper, Volts: "24 V", Amps: "30 A", LimitAmps: "15 A",
			Fused: true, ZeroStart: true}
		in.Plan.Motor.Plate = motor.Plate{Power: "180 W", Speed: "2600 rpm", Volts: "24 V", Amps: "10 A"}
		in.Machine.Limits.Spindle = ""
	})
	require.GreaterOrEqual(t, len(plans), 24)
	for name, in := range plans {
		for _, f := range assesstest.Of(t, in).Findings {
			assert.False(t, f.Level == finding.Stop && !f.Short, "%s: %s %s", name, f.Title, f.Detail)
		}
	}
}

func TestCautionsStandWhereTheyBelong(t *testing.T) {
	for _, c := range []struct {
		id     finding.ID
		from   plan.Input
		change func(*plan.Input)
	}{
		{"control.no-limit", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.LimitAmps = "" }},
		{"control.limit-low", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.LimitAmps = "2 A" }},
		{"control.form-factor", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Choke = false }},
		{"control.zero-start", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.ZeroStart = false }},
		{"control.no-volt", plantest.Switched(), func(in *plan.Input) { in.Plan.Control.NoVolt = false }},
		{"control.volts-low", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Volts = "90 V" }},
		{"control.volts-low", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "400 V", "1.9 A"
		}},
		{"control.over-plate", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.TopTrim = "110 %" }},
		{"control.reverse", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.Reverse = "switch" }},
		{"control.reverse-wanted", plantest.Sound(), func(in *plan.Input) { in.Machine.Limits.NeedsReversed = true }},
		{"supply.near-breaker", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Breaker = "3.5 A" }},
		{"supply.line-hertz", plantest.Switched(), func(in *plan.Input) { in.Plan.Supply.Hertz = "60 Hz" }},
		{"motor.thermal-unknown", plantest.Sound(), func(in *plan.Input) { in.Plan.Motor.ThermalSwitch = "" }},
		{"reduction.wrap.0.0", plantest.Sound(),
			func(in *plan.Input) { in.Plan.Reduction.Stages[0].Centre = "185 mm" }},
		{"reduction.bend.0.0", plantest.Sound(), func(in *plan.Input) { in.Plan.Reduction.Stages[0].Section = "B" }},
		{"reduction.rating.0", plantest.Sound(), func(in *plan.Input) { in.Machine.Jobs[0].Load.Torque = "40 N·m" }},
		{"reduction.worm.0", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Reduction.Stages[0] = reduction.DescribedStage{Kind: reduction.Worm, Lead: "4°", Guarded: true,
				Steps: []reduction.DescribedStep{{Driver: "1",
					Driven: "10"}}}
			in.Machine.Limits.Spindle = ""
		}},
		{"reduction.rated.0", plantest.Sound(), func(in *plan.Input) { in.Plan.Reduction.Stages[0].Rated = "3 N·m" }},
		{"reduction.screw.driven.0", plantest.Sound(),
			func(in *plan.Input) { in.Plan.Reduction.Stages[0].OnDriven = reduction.DescribedFit{Held: "screw"} }},
		{"reduction.measured", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Reduction.Speeds = reduction.MeasuredSpeeds{Motor: "1500", Spindle: "380"}
		}},
		{"work.bearing", plantest.Sound(), func(in *plan.Input) { in.Machine.Limits.Bearing = "800 mm" }},
		{"motor.frame", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Limits.Frame, in.Plan.Motor.Plate.Frame = "80", "71"
		}},
		{"motor.faced", plantest.Sound(), func(in *plan.Input) { in.Plan.Motor.Plate.Frame = "56C" }},
		{"supply.drop", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Supply.Wire, in.Plan.Supply.Cable = "1 mm²", "120 m"
		}},
		{"supply.drop", plantest.Switched(), func(in *plan.Input) {
			in.Plan.Supply.Wire, in.Plan.Supply.Cable = "1 mm²", "80 m"
		}},
		{"control.one-phase-in", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.Fed = "3" }},
		{"control.reverse", plantest.OneOut(), func(in *plan.Input) { in.Plan.Control.Reverse = "drive" }},
		{"reduction.cone.0", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Reduction.Stages[0].Steps = append(in.Plan.Reduction.Stages[0].Steps,
				reduction.DescribedStep{Driver: "80 mm",
					Driven: "140 mm"})
			in.Machine.Limits.Spindle = ""
		}},
		{"work.no-marking", plantest.Sound(), func(in *plan.Input) { in.Machine.Kind = "lathe" }},
		{"work.wet", plantest.Sound(), func(in *plan.Input) { in.Machine.Place.Wet = "yes" }},
		{"work.dust", plantest.Inverted(), func(in *plan.Input) { in.Machine.Place.Dust = "yes" }},
		{"work.air", plantest.Sound(), func(in *plan.Input) { in.Machine.Place.Hot = "yes" }},
		{"work.doubt.slow.0", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Jobs[0].Load = work.Load{Torque: "10 N·m", Power: "10 W"}
			in.Machine.Jobs[0].Speed = work.SpeedBand{From: "60"}
		}},
		{"work.stacked.slow", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Jobs[0].Load.From, in.Machine.Jobs[0].Margin = "comparable", "1.5"
		}},
		{"work.feed.slow", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "screw", Screw: work.Screw{Force: "500 N", Lead: "3 mm",
				Feed: true}}
		}},
		{"supply.extension", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Extension = true }},
		{"supply.residual", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Residual = "ac" }},
		{"supply.residual", plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Residual = "unknown" }},
		{"supply.residual", plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Supply.Phases, in.Plan.Supply.Residual = "3", "a"
		}},
		{"control.switch-after", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.SwitchAfter = true }},
		{"control.switch-after", plantest.Sound(), func(in *plan.Input) { in.Plan.Control.SwitchAfter = true }},
		{"control.shared", plantest.Inverted(), func(in *plan.Input) { in.Plan.Control.Shared = true }},
		{"motor.cannot-reverse", plantest.Switched(), func(in *plan.Input) {
			in.Plan.Motor.Kind, in.Machine.Limits.NeedsReversed = motor.ShadedPole, true
		}},
		{"work.danger.0", plantest.Sound(), func(in *plan.Input) { in.Machine.Kind = "drill" }},
		{"work.tangent.slow", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "scale", Scale: work.ScalePull{Radius: "100 mm", Angle: "50°",
				Running: []q.Text{"2 kg"}}}
		}},
		{"control.supply-unit", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Control.Kind, in.Plan.Control.Volts = control.Chopper, "24 V"
		}},
		{"control.battery-start", plantest.Sound(), func(in *plan.Input) {
			in.Plan.Supply = supply.Described{Volts: "180 V", Phases: "dc", Breaker: "20 A"}
			in.Plan.Control = control.Described{Kind: control.Contactor, Fused: true}
		}},
		{"work.spread.slow", plantest.Sound(), func(in *plan.Input) {
			in.Machine.Jobs[0].Load = work.Load{By: "scale", Scale: work.ScalePull{Radius: "100 mm",
				Running: []q.Text{"1 kg",
					"2 kg"}}}
		}},
	} {
		require.Nil(t, assesstest.Finding(assesstest.Of(t, c.from), c.id), "%s must not be there before", c.id)
		in := c.from
		c.change(&in)
		f := assesstest.Finding(assesstest.Of(t, in), c.id)
		require.NotNil(t, f, c.id)
		assert.Equal(t, finding.Caution, f.Level, c.id)
	}
}

// A job that is done only if the motor is what its body makes it seem is not called done.
func TestAGuessThatCouldTurnTheAnswerMakesNoYes(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor.Plate.Speed, in.Plan.Motor.Body.Diameter, in.Machine.Jobs[0].Load.Torque = "", "102 mm", "2.1 N·m"
	in.Plan.Control.LimitAmps = ""
	a := assesstest.Of(t, in)
	guess := assesstest.Finding(a, "work.guess.slow")
	require.NotNil(t, guess)
	assert.Equal(t, finding.Missing, guess.Level)
	assert.Equal(t, judge.Unknown, a.Does.Answer)
	assert.Zero(t, a.JobsDone)
	assert.Equal(t, "motor.readings", a.Does.Hangs[len(a.Does.Hangs)-1].Field)
	in.Machine.Jobs[0].Load.Torque = "0.4 N·m"
	assert.Equal(t, judge.Yes, assesstest.Of(t, in).Does.Answer, "done even if it is as weak as it may be")
}

func TestABlankVoltageKeepsTheStopForNoFuse(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control = control.Described{Kind: control.Chopper, NoVolt: true, ZeroStart: true}
	in.Plan.Motor.Plate.Volts = ""
	a := assesstest.Of(t, in)
	require.NotNil(t, assesstest.Finding(a, "control.bare-mains"))
	for _, one := range a.Findings {
		assert.NotContains(t, one.Detail, "takes 0", one.ID)
	}
}

func onABattery() plan.Input {
	in := plantest.Sound()
	in.Plan.Supply = supply.Described{Volts: "24 V", Phases: "dc"}
	in.Plan.Control = control.Described{Kind: control.Chopper, Amps: "20 A", LimitAmps: "15 A", Fused: true,
		Enclosed: true, ZeroStart: true, NoVolt: true}
	in.Plan.Motor = motor.Described{Kind: motor.PermanentMagnetDC, ThermalSwitch: "none", Plate: motor.Plate{
		Power: "180 W", Speed: "2600 rpm", Volts: "24 V", Amps: "10 A"}}
	in.Machine.Limits.Spindle = "900 rpm"
	return in
}

func TestWhatTurnsACautionIntoAStop(t *testing.T) {
	level := func(id finding.ID, change func(*plan.Input)) finding.Level {
		in := plantest.Sound()
		change(&in)
		one := assesstest.Finding(assesstest.Of(t, in), id)
		require.NotNil(t, one, id)
		return one.Level
	}
	screwed := func(amps q.Text) finding.Level {
		return level("reduction.screw.driven.0", func(in *plan.Input) {
			in.Plan.Control.LimitAmps = amps
			in.Plan.Reduction.Stages[0].OnDriven = reduction.DescribedFit{Shaft: "25 mm", Held: "screw"}
		})
	}
	assert.Equal(t, finding.Caution, screwed("5.5 A"), "14.7 N·m")
	assert.Equal(t, finding.Stop, screwed("5.7 A"), "15.3 N·m")
	for _, kind := range []string{"lathe", "mill", "drill", "bandsaw", "hacksaw", "belt-sander", "disc-sander",
		"grinder", "shaper", "mixer", "crusher", "extractor", "conveyor", "feed", "wood-lathe", "indexer", "other",
		"fan", "potters-wheel"} {
		want := finding.Stop
		if kind == "potters-wheel" || kind == "fan" {
			want = finding.Caution
		}
		assert.Equal(t, want, level("control.no-volt", func(in *plan.Input) {
			in.Machine.Kind, in.Plan.Control.NoVolt = kind, false
		}), kind)
		assert.Equal(t, want, level("motor.protector", func(in *plan.Input) {
			in.Machine.Kind, in.Plan.Motor.Plate.Protector = kind, "self-reset"
		}), kind)
	}
}

// Windings that the plate shows for more volts bear them; a trim keeps a drive's volts down.
func TestVoltsThatAreProvidedForAreNoStop(t *testing.T) {
	for name, c := range map[string]struct {
		in     plan.Input
		change func(*plan.Input)
	}{
		"two voltages on the plate": {plantest.Inverted(), func(in *plan.Input) {
			in.Plan.Supply.Volts, in.Plan.Control.Volts, in.Plan.Control.BaseHertz = "400 V", "400 V", "87 Hz"
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "230/400 V", "3.3/1.9 A"
		}},
		"trimmed": {plantest.Sound(), func(in *plan.Input) {
			in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "90 V", "5 A"
			in.Plan.Control.TopTrim = "100 %"
		}},
		"a little more": {plantest.Sound(), func(in *plan.Input) { in.Plan.Motor.Plate.Volts = "125 V" }},
	} {
		c.change(&c.in)
		one := assesstest.Finding(assesstest.Of(t, c.in), "control.volts-high")
		assert.True(t, one == nil || one.Level == finding.Caution, "%s: %v", name, one)
	}
}

// The breaker and wire that are advised for a motor's own circuit are no stop on it; a larger breaker is.
func TestItsOwnAdviceIsNoStop(t *testing.T) {
	in := plantest.Switched()
	in.Plan.Supply = supply.Described{Volts: "120 V", Hertz: "60 Hz", Code: "nec", Earthed: true, Wire: "14 AWG",
		Cable: "6 m"}
	in.Plan.Motor.Plate = motor.Plate{Power: "1/2 hp", Speed: "1725 rpm", Volts: "115 V", Amps: "8.6 A", Hertz: "60 Hz"}
	level := func(breaker q.Text) finding.Level {
		in.Plan.Supply.Breaker = breaker
		one := assesstest.Finding(assesstest.Of(t, in), "supply.cable")
		if one == nil {
			return ""
		}
		return one.Level
	}
	assert.Empty(t, level("15 A"))
	assert.Equal(t, finding.Caution, level("20 A"), "within 2.5 × what it draws, on 14 AWG that carries 1.25 ×")
	assert.Equal(t, finding.Stop, level("60 A"))
}

// A motor without a start switch bears a band of hertz from one phase, and no tachometer changes that.
func TestABandOfHertzFromOnePhase(t *testing.T) {
	for _, kind := range []motor.Kind{motor.PermanentSplit, motor.ShadedPole} {
		in := plantest.OneOut()
		in.Plan.Motor.Kind, in.Machine.Kind = kind, "fan"
		in.Machine.Limits.Covered, in.Plan.Control.Feedback = true, "tacho"
		for low, stopped := range map[q.Text]bool{"": true, "20 Hz": true, "24.9 Hz": true, "25 Hz": false,
			"40 Hz": false} {
			in.Plan.Control.LowHertz = low
			one := assesstest.Finding(assesstest.Of(t, in), finding.ControlBand)
			assert.Equal(t, stopped, one != nil && one.Level == finding.Stop, "%s from %s", kind, low)
		}
	}
	in := plantest.OneOut()
	in.Plan.Control.Feedback, in.Plan.Control.LowHertz = "tacho", "30 Hz"
	assert.NotNil(t, assesstest.Finding(assesstest.Of(t, in), finding.ControlStartSwitch),
		"no tachometer helps below it")
}

// A belt grinder's belt at the top stands in the plan, and by how much it rises over what the old motor ran it at.
func TestABeltGrindersBeltAtTheTop(t *testing.T) {
	in := plantest.Inverted()
	in.Machine.Kind, in.Machine.Limits.Diameter, in.Machine.Limits.Spindle = "belt-sander", "150 mm", "2000 rpm"
	in.Plan.Reduction.Stages[0].Steps[0] = reduction.DescribedStep{Driver: "100 mm", Driven: "100 mm"}
	one := assesstest.Finding(assesstest.Of(t, in), finding.WorkRuns)
	require.NotNil(t, one)
	assert.Equal(t, finding.Good, one.Level)
	assert.Equal(t, "Its belt runs 11.8\u202fm/s at the top", one.Title, "1500 rpm of the field over 150 mm")
	in.Machine.Jobs[0].Load = work.Load{By: work.ByReplaced, Replaced: work.Replaced{Power: "0.3 kW",
		Speed: "1000 rpm"}}
	one = assesstest.Finding(assesstest.Of(t, in), finding.WorkRuns)
	require.NotNil(t, one)
	assert.Equal(t, finding.Caution, one.Level)
	assert.Contains(t, one.Detail, "7.85\u202fm/s: 1.5 × that")
}

// Past the machine's limit nothing milder is said of a speed.
func TestPastTheLimitNothingMilderIsSaid(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle, in.Machine.Limits.Bearing = "2000 rpm", "600 mm"
	require.NotNil(t, assesstest.Finding(assesstest.Of(t, in), finding.WorkBearing))
	in.Machine.Limits.Spindle = "300 rpm"
	a := assesstest.Of(t, in)
	require.NotNil(t, assesstest.Finding(a, finding.WorkTopSpeed))
	assert.Nil(t, assesstest.Finding(a, finding.WorkBearing))
	assert.Nil(t, assesstest.Finding(a, finding.WorkTopSpeedGood))
}

// The breaker is not what an overload is cleared at: never a larger one on the same wire.
func TestAnOverloadLeadsAwayFromTheBreaker(t *testing.T) {
	in := plantest.Inverted()
	in.Plan.Supply.Breaker = "4 A"
	one := assesstest.Finding(assesstest.Of(t, in), finding.SupplyOverload)
	require.NotNil(t, one)
	assert.Equal(t, "control.limitAmps", one.Field)
	in.Plan.Control.LimitAmps = "1.4 A"
	assert.Nil(t, assesstest.Finding(assesstest.Of(t, in), finding.SupplyOverload), "held down, it draws less")
	in = plantest.Switched()
	in.Plan.Supply.Breaker = "2 A"
	one = assesstest.Finding(assesstest.Of(t, in), finding.SupplyOverload)
	require.NotNil(t, one)
	assert.Equal(t, "supply.name", one.Field)
	assert.Contains(t, one.Detail, "another circuit")
}

// What nobody read off the cable is offered as its breaker asks, and stays said until it was read.
func TestTheConductorIsOffered(t *testing.T) {
	in := plantest.Inverted()
	in.Plan.Supply.Breaker, in.Plan.Supply.Wire = "16 A", ""
	one := assesstest.Finding(assesstest.Of(t, in), finding.SupplyWire)
	require.NotNil(t, one)
	require.NotNil(t, one.Offer)
	assert.Equal(t, []finding.Entry{{Field: "supply.wire", Value: "1.5\u202fmm²"},
		{Field: "supply.offered", Value: "1.5\u202fmm²"}}, one.Offer.Set)
	in.Plan.Supply.Wire, in.Plan.Supply.Offered = one.Offer.Set[0].Value, one.Offer.Set[1].Value
	a := assesstest.Of(t, in)
	assert.True(t, a.MayPower, a.Power.Text)
	assert.NotNil(t, assesstest.Finding(a, finding.SupplyWireTaken))
	in.Plan.Supply.Offered = ""
	assert.Nil(t, assesstest.Finding(assesstest.Of(t, in), finding.SupplyWireTaken), "it was read")
	in.Plan.Supply.Wire, in.Plan.Supply.Breaker = "", ""
	assert.Nil(t, assesstest.Finding(assesstest.Of(t, in), finding.SupplyWire).Offer, "for a breaker nobody knows")
	in.Plan.Supply.Phases, in.Plan.Supply.Breaker = "3", "16 A"
	assert.Equal(t, "2.5\u202fmm²", assesstest.Finding(assesstest.Of(t, in), finding.SupplyWire).Offer.Set[0].Value,
		"three loaded conductors")
}

// What is not on earth is said once, not as wiring that is not sound besides.
func TestAFrameThatIsNotEarthedIsOneStop(t *testing.T) {
	for _, sound := range plantest.Sounds() {
		in := sound.Input
		in.Plan.Supply.Earthed = false
		stops := 0
		for _, one := range assesstest.Of(t, in).Findings {
			if one.Level == finding.Stop {
				stops++
				assert.NotContains(t, one.Title, "Wiring not sound", sound.What)
			}
		}
		assert.LessOrEqual(t, stops, 1, sound.What)
	}
}
