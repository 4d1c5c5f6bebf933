package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/control"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
	"jiriki/core/working"
)

func TestReachSaysWhatBindsAlongTheWay(t *testing.T) {
	a := assesstest.Of(t, plantest.Sound())
	require.Len(t, a.Reach.Positions, 1)
	p := &a.Reach.Positions[0]
	require.Len(t, p.RPM, 200)
	assert.Equal(t, motor.FanSlowed, p.Limits[0].Continuous, "slowly, the fan is too slow")
	last := p.Limits[len(p.Limits)-1]
	assert.Equal(t, motor.MotorHeat, last.Continuous, "at plate speed, heat")
	assert.Equal(t, motor.CurrentLimit, p.Limits[0].Peak, "and a jam is held by the limit")
	// By hand: 372.85 W / 183.26 rad/s is 2.035 N·m, 0.358 more are lost inside; their sum ÷ 1.15 less that, times
	// 3.5 / 0.985 and 0.95, is 5.81 N·m at the top.
	assert.InEpsilon(t, 5.81, p.Continuous[199], 2e-3)
	// 1750 rpm over 3.5 / 0.985 is 492.5 rpm, and 1/30 of it the slowest.
	assert.InEpsilon(t, 492.5, p.HighRPM, 1e-3)
	assert.InEpsilon(t, 16.42, p.LowRPM, 1e-3)
	assert.Equal(t, 600.0, a.Reach.TopRPM)
	assert.Equal(t, "spindle limit", a.Reach.TopLabel)
}

func TestFixedSpeedReachIsAThinBandWithItsRunUp(t *testing.T) {
	p := assesstest.Of(t, plantest.Switched()).Reach.Positions[0]
	assert.True(t, p.Fixed)
	assert.InEpsilon(t, 1425/3.5*0.985, p.LowRPM, 1e-3)
	assert.InEpsilon(t, 1500/3.5*0.985, p.HighRPM, 1e-3)
	require.NotEmpty(t, p.RunUp)
	assert.InDelta(t, 0, p.RunUp[len(p.RunUp)-1], 1e-3, "nothing is left at synchronous speed")
	assert.Greater(t, p.RunUp[0], p.Continuous[0]*2, "a capacitor start is strong")
}

func TestManyPositionsShareThePoints(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Spindle = ""
	step := func(a, b string) reduction.DescribedStep {
		return reduction.DescribedStep{Driver: q.Text(a), Driven: q.Text(b)}
	}
	in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{step("80 mm", "280 mm"), step("120 mm", "250 mm"),
		step("150 mm", "220 mm")}
	in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, in.Plan.Reduction.Stages[0])
	a := assesstest.Of(t, in)
	require.Len(t, a.Reach.Positions, 9)
	assert.Len(t, a.Reach.Positions[0].RPM, 800/9)
	assert.Len(t, a.Drawing.SpeedsTop, 9)
}

func TestMarkedSpeedCapsBeforeTheSpindle(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Limits.Marked = "550 rpm"
	a := assesstest.Of(t, in)
	assert.Equal(t, 550.0, a.Reach.TopRPM)
	assert.Equal(t, "marked limit", a.Reach.TopLabel)
	in.Machine.Limits = work.Limits{}
	assert.Zero(t, assesstest.Of(t, in).Reach.TopRPM)
}

func TestDrawingIsToScaleAndSizesWhatIsNotMeasured(t *testing.T) {
	in := plantest.Sound()
	d := assesstest.Of(t, in).Drawing
	assert.True(t, d.Motor.Guessed)
	assert.Greater(t, d.Motor.Diameter, 60.0)
	require.Len(t, d.Stages, 1)
	assert.Equal(t, 400.0, d.Stages[0].Centre)
	assert.Equal(t, 80.0, d.Stages[0].Steps[0].Driver)
	// Unloaded at 180 V: (180 − 0.418 × 8.36) ÷ 0.8545 rad/s.
	assert.InEpsilon(t, 1973, d.Stages[0].DriverTopRPM, 1e-3)
	assert.InEpsilon(t, 8.26, d.Stages[0].BeltSpeed, 1e-3, "40 mm × 206.6 rad/s")

	in.Plan.Motor.Body = motor.Body{Diameter: "102 mm", Length: "215 mm", Shaft: `5/8"`}
	d = assesstest.Of(t, in).Drawing
	assert.False(t, d.Motor.Guessed)
	assert.InEpsilon(t, 15.875, d.Motor.Shaft, 1e-9)

	in.Plan.Reduction.Stages[0].Centre = ""
	d = assesstest.Of(t, in).Drawing
	assert.False(t, d.Stages[0].CentreKnown)
	assert.Positive(t, d.Stages[0].Centre, "drawn somewhere all the same")
	in.Plan.Supply.Phases = "3"
	assert.Equal(t, 3, assesstest.Of(t, in).Drawing.Phases)
}

func TestStationsAreTitledByWhatTheyHold(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.Name, in.Plan.Motor.Name = "", ""
	titles := func(in plan.Input) (out []string) {
		for _, s := range assesstest.Of(t, in).Stations {
			out = append(out, s.Title)
		}
		return out
	}
	assert.Equal(t, []string{"Supply", "Phase-angle drive", "Direct current", "One belt", "Wheel"},
		titles(in))
	belt := in.Plan.Reduction.Stages[0]
	other := belt
	other.Kind, other.Section = reduction.PolyV, "J"
	gears := reduction.DescribedStage{Kind: reduction.Spur,
		Steps: []reduction.DescribedStep{{Driver: "20",
			Driven: "40"}}}
	for _, c := range []struct {
		stages []reduction.DescribedStage
		want   string
	}{
		{nil, "Not said yet"},
		{[]reduction.DescribedStage{belt, belt}, "Two belts"},
		{[]reduction.DescribedStage{belt, other}, "Two belts"},
		{[]reduction.DescribedStage{belt, gears}, "Two stages"},
		{[]reduction.DescribedStage{gears, gears}, "Two gear pairs"},
	} {
		in.Plan.Reduction.Stages = c.stages
		assert.Equal(t, c.want, titles(in)[3])
	}
}

func TestSpeedPlate(t *testing.T) {
	plate := assesstest.Of(t, plantest.Sound()).SpeedPlate
	require.Len(t, plate.Knob, 10)
	assert.Equal(t, 600.0, plate.MaxRPM)
	assert.True(t, plate.Limited)
	assert.InEpsilon(t, 246.25, plate.Positions[0].RPM[4], 1e-3, "half the knob, half of 492.5")
	assert.Equal(t, []line.PlateJob{{Name: "Slow", LowRPM: 60, HighRPM: 120, Position: "the only position",
		Done: true}}, plate.Jobs)

	over := plantest.Sound()
	over.Machine.Limits.Marked = "300 rpm"
	plate = assesstest.Of(t, over).SpeedPlate
	assert.Equal(t, 300.0, plate.MaxRPM)
	assert.Zero(t, plate.Positions[0].RPM[9], "no speed over the marking is printed")
	assert.Positive(t, plate.Positions[0].RPM[5])

	in := plantest.Switched()
	in.Machine.Limits.Spindle = ""
	plate = assesstest.Of(t, in).SpeedPlate
	assert.Equal(t, []float64{1}, plate.Knob)
	assert.False(t, plate.Limited)
	assert.Empty(t, assesstest.Of(t, plan.Input{Units: "metric"}).SpeedPlate.Positions)
}

// By hand for class B: 55 °C leaves 75 of 90 K, √(75/90) is 0.913, and 1500 m a twentieth less of it; the
// drive gives 1 − 15 × 2 % less the same twentieth.
func TestHotThinAirTakesFromTheReach(t *testing.T) {
	in := plantest.Sound()
	before := assesstest.Of(t, in).Reach.Positions[0].Continuous
	in.Machine.Place = work.Place{Hot: "yes", Hottest: "55 °C", Altitude: "1500 m"}
	a := assesstest.Of(t, in)
	for i, torque := range a.Reach.Positions[0].Continuous {
		assert.InEpsilon(t, 0.9129*0.95*before[i], torque, 1e-3, "all day, at every speed")
	}
	air := assesstest.Finding(a, "work.air")
	require.NotNil(t, air)
	assert.Contains(t, air.Detail, "87\u202f% of its torque all day, and the drive gives 67\u202f% of its amps")
	assert.Equal(t, working.WorkAir, air.Working)
	in.Machine.Place = work.Place{Hot: "no", Hottest: "55 °C", Altitude: "900 m"}
	assert.Equal(t, before, assesstest.Of(t, in).Reach.Positions[0].Continuous,
		"what is not asked is not read, and 900 m is nothing")
	in.Machine.Place = work.Place{Hot: "yes", Hottest: "25 °C"}
	assert.Contains(t, assesstest.Of(t, in).Entries[0].Error(),
		"machine.place.hottest: must lie between 40\u202f°C and 90\u202f°C")
	in.Machine.Place = work.Place{Altitude: "1500"}
	assert.Contains(t, assesstest.Of(t, in).Entries[0].Error(),
		"machine.place.altitude: must lie between 10\u202fm and 6000\u202fm; without a unit it is read in mm")
}

// A stepper's reach is its pull-out, which hot air does not move: nothing else is claimed.
func TestHotAirIsNotClaimedToShowInAStepper(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Stepper, Plate: motor.Plate{HoldingTorque: "1.9 N·m", Amps: "2.8 A",
		Inductance: "3.2 mH"}}
	in.Plan.Control = control.Described{Kind: control.StepperDriver, Volts: "36 V", Amps: "3 A", Fused: true}
	before := assesstest.Of(t, in).Reach.Positions[0].Continuous
	in.Machine.Place.Hot = "yes"
	a := assesstest.Of(t, in)
	assert.Equal(t, before, a.Reach.Positions[0].Continuous)
	assert.Contains(t, assesstest.Finding(a, "work.air").Detail, "does not show")
}

// Gears nobody described may be of nylon: that they carry the job is not known, nor is their guess passed off as told.
func TestGearsNobodyDescribedAreAskedFor(t *testing.T) {
	with := func(change func(*reduction.DescribedStage)) plan.Input {
		in := plantest.Sound()
		gears := reduction.DescribedStage{Kind: reduction.Spur, Guarded: true,
			OnDriving: in.Plan.Reduction.Stages[0].OnDriving,
			OnDriven:  in.Plan.Reduction.Stages[0].OnDriven, Steps: []reduction.DescribedStep{{Driver: "18",
				Driven: "90"}}}
		change(&gears)
		in.Plan.Reduction.Stages = []reduction.DescribedStage{gears}
		return in
	}
	for name, c := range map[string]struct {
		change func(*reduction.DescribedStage)
		field  string
	}{
		"nothing said": {func(*reduction.DescribedStage) {}, "reduction.stages[0].pitch"},
		"no module": {func(s *reduction.DescribedStage) { s.Material = "hardened" },
			"reduction.stages[0].pitch"},
		"no material":        {func(s *reduction.DescribedStage) { s.Pitch = "1 mm" }, "reduction.stages[0].material"},
		"face alone":         {func(s *reduction.DescribedStage) { s.Width = "40 mm" }, "reduction.stages[0].pitch"},
		"both":               {func(s *reduction.DescribedStage) { s.Pitch, s.Material = "1.5 mm", "steel" }, ""},
		"their maker's":      {func(s *reduction.DescribedStage) { s.Rated = "40 N·m" }, ""},
		"diametral pitch":    {func(s *reduction.DescribedStage) { s.Pitch, s.Material = "12 DP", "nylon" }, ""},
		"coarse and nothing": {func(s *reduction.DescribedStage) { s.Pitch = "12 mm" }, ""},
	} {
		a := assesstest.Of(t, with(c.change))
		found := assesstest.Finding(a, "reduction.teeth.0")
		if c.field == "" {
			assert.Nil(t, found, name)
			continue
		}
		require.NotNil(t, found, name)
		assert.Equal(t, c.field, found.Field, name)
		assert.NotEqual(t, judge.Yes, a.Does.Answer, name)
	}
	in := with(func(s *reduction.DescribedStage) { s.Material = "nylon" })
	in.Machine.Jobs[0].Load.Torque = "4.2 N·m"
	in.Plan.Reduction.Stages[0].Steps[0] = reduction.DescribedStep{Driver: "13", Driven: "65"}
	a := assesstest.Of(t, in)
	assert.EqualValues(t, "what the gear teeth carry, by a guess", a.Jobs[0].LimitedBy)
	assert.Contains(t, assesstest.Finding(a, "reduction.rating.0").Detail, "Taken: faces ten modules wide, module of "+
		"1.5 mm, for nobody said.")
}
