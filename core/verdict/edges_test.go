package verdict_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Where a finding begins is a figure: just short of it there is none, just past it there is, each figure
// [common practice] unless said otherwise.
func TestFindingsBeginWhereTheyShould(t *testing.T) {
	set := func(from plan.Input, field func(*plan.Input) *q.Text) func(q.Text) plan.Input {
		return func(v q.Text) plan.Input {
			in := from
			in.Plan.Reduction.Stages = append([]reduction.DescribedStage(nil), in.Plan.Reduction.Stages...)
			stage := &in.Plan.Reduction.Stages[0]
			stage.Steps = append([]reduction.DescribedStep(nil), stage.Steps...)
			*field(&in) = v
			return in
		}
	}
	changed := func(from plan.Input, change func(*plan.Input)) plan.Input {
		change(&from)
		return from
	}
	unlimited := changed(plantest.Sound(), func(in *plan.Input) { in.Plan.Control.LimitAmps = "" })
	wide := changed(plantest.Sound(), func(in *plan.Input) {
		in.Machine.Limits.Spindle = ""
		in.Plan.Reduction.Stages[0].Centre = "900 mm"
	})
	geared := changed(wide, func(in *plan.Input) { in.Plan.Reduction.Stages[0].Steps[0].Driven = "80 mm" })
	pitched := changed(plantest.Sound(), func(in *plan.Input) { in.Plan.Reduction.Stages[0].Measured = "pitch" })
	twoPoles := changed(plantest.Inverted(), func(in *plan.Input) {
		in.Plan.Motor.Plate.Speed, in.Machine.Limits.Spindle = "2800 rpm", ""
	})
	fourPoles := changed(plantest.Inverted(), func(in *plan.Input) { in.Machine.Limits.Spindle = "" })
	low := changed(plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Earthed = false })
	screwed := changed(plantest.Sound(), func(in *plan.Input) {
		in.Plan.Control.Amps = "10 A"
		in.Plan.Motor.Body.Shaft = "16 mm"
		in.Plan.Reduction.Stages[0].OnDriving.Held = "screw"
	})
	coned := changed(plantest.Sound(), func(in *plan.Input) {
		in.Plan.Reduction.Stages[0].Steps = append(in.Plan.Reduction.Stages[0].Steps,
			reduction.DescribedStep{Driver: "180 mm"})
	})
	thin := changed(plantest.Sound(), func(in *plan.Input) { in.Plan.Supply.Wire = "1.5 mm²" })
	started := changed(plantest.Switched(), func(in *plan.Input) { in.Plan.Supply.Wire = "1.5 mm²" })
	measured := changed(plantest.Sound(), func(in *plan.Input) {
		in.Plan.Reduction.Speeds.Motor = "1750 rpm"
	})
	cable := func(in *plan.Input) *q.Text { return &in.Plan.Supply.Cable }
	limit := func(in *plan.Input) *q.Text { return &in.Plan.Control.LimitAmps }
	topHertz := func(in *plan.Input) *q.Text { return &in.Plan.Control.TopHertz }
	driver := func(in *plan.Input) *q.Text { return &in.Plan.Reduction.Stages[0].Steps[0].Driver }
	for what, c := range map[string]struct {
		id          finding.ID
		with        func(q.Text) plan.Input
		short, past q.Text
		level       finding.Level
	}{
		"limit, 3 × plate amps": {"control.limit-high", set(plantest.Sound(), limit), "8.3 A", "8.5 A",
			finding.Stop},
		"limit, plate amps": {"control.limit-low", set(plantest.Sound(), limit), "2.81 A", "2.79 A",
			finding.Caution},
		"drive, plate amps": {"control.amps-short", set(unlimited,
			func(in *plan.Input) *q.Text { return &in.Plan.Control.Amps }), "2.79 A", "2.75 A", finding.Stop},
		"volts, 1.15 × the plate's": {"control.volts-high", set(changed(plantest.Sound(), func(in *plan.Input) {
			in.Plan.Supply.Volts = "240 V"
		}), func(in *plan.Input) *q.Text { return &in.Plan.Control.Volts }), "206 V", "208 V", finding.Caution},
		"volts, 1.5 × the plate's": {"control.volts-high", set(changed(plantest.Sound(), func(in *plan.Input) {
			in.Plan.Supply.Volts = "320 V"
		}), func(in *plan.Input) *q.Text { return &in.Plan.Control.Volts }), "269 V", "271 V", finding.Stop},
		"volts, 0.97 of the plate's": {"control.volts-low", set(plantest.Sound(),
			func(in *plan.Input) *q.Text { return &in.Plan.Control.Volts }), "175 V", "174 V", finding.Caution},
		"base hertz, 0.9 of the plate's": {"control.overflux", set(plantest.Inverted(),
			func(in *plan.Input) *q.Text { return &in.Plan.Control.BaseHertz }), "45.1 Hz", "44.5 Hz", finding.Caution},
		"base hertz, a quarter more flux": {"control.overflux", set(plantest.Inverted(),
			func(in *plan.Input) *q.Text { return &in.Plan.Control.BaseHertz }), "40.1 Hz", "39.9 Hz", finding.Stop},
		"start switch, 0.8 of plate hertz": {"control.start-switch", set(plantest.OneOut(),
			func(in *plan.Input) *q.Text { return &in.Plan.Control.LowHertz }), "40 Hz", "39.9 Hz", finding.Stop},
		"one phase out, plate hertz": {"control.over-plate-hertz", set(plantest.OneOut(), topHertz),
			"50.4 Hz", "50.6 Hz", finding.Stop},
		"rotor of four poles, 2 × plate": {"control.rotor-speed", set(fourPoles, topHertz), "93.7 Hz", "94 Hz",
			finding.Stop},
		"rotor of two poles, 1.5 × plate": {"control.rotor-speed", set(twoPoles, topHertz), "70.3 Hz", "70.5 Hz",
			finding.Stop},
		"trim, the plate's": {"control.over-plate", set(plantest.Sound(),
			func(in *plan.Input) *q.Text { return &in.Plan.Control.TopTrim }), "100.4 %", "101 %", finding.Caution},
		"belt, 25 m/s": {"reduction.belt-speed.0", set(wide, driver), "241 mm", "244 mm", finding.Caution},
		"belt, 33 m/s": {"reduction.belt-speed.0", set(wide, driver), "318 mm", "321 mm", finding.Stop},
		"wrap, 120°": {"reduction.wrap.0.0", set(plantest.Sound(),
			func(in *plan.Input) *q.Text { return &in.Plan.Reduction.Stages[0].Centre }), "202 mm", "198 mm",
			finding.Caution},
		"smallest pulley of section A, 75 mm": {"reduction.bend.0.0", set(pitched, driver), "74.8 mm", "74 mm",
			finding.Caution},
		"set screw, 5 N·m": {"reduction.screw.driving.0", set(screwed, limit), "6.2 A", "6.4 A", finding.Caution},
		"bearing in grease, 250 000 mm·rpm": {"work.bearing", set(geared,
			func(in *plan.Input) *q.Text { return &in.Machine.Limits.Bearing }), "126 mm", "128 mm", finding.Caution},
		"touch, 50 V [IEC 61140, from memory]": {"supply.earth", set(low,
			func(in *plan.Input) *q.Text { return &in.Plan.Supply.Volts }), "50 V", "51 V", finding.Stop},
		"cable, 5 % at full load":  {"supply.drop", set(thin, cable), "125 m", "130 m", finding.Caution},
		"cable, 15 % at the start": {"supply.drop", set(started, cable), "95 m", "102 m", finding.Caution},
		"one belt on every step, 0.4 %": {"reduction.cone.0", set(coned,
			func(in *plan.Input) *q.Text { return &in.Plan.Reduction.Stages[0].Steps[1].Driven }), "199 mm", "199.5 mm",
			finding.Caution},
		"ratio measured, 3 % off": {"reduction.measured", set(measured,
			func(in *plan.Input) *q.Text { return &in.Plan.Reduction.Speeds.Spindle }), "507 rpm", "509 rpm",
			finding.Caution},
		"belt, 0.9 of its rating": {"reduction.rating.0", set(plantest.Sound(),
			func(in *plan.Input) *q.Text { return &in.Machine.Jobs[0].Load.Torque }), "16.5 N·m", "17 N·m",
			finding.Caution},
	} {
		short := assesstest.Finding(assesstest.Of(t, c.with(c.short)), c.id)
		past := assesstest.Finding(assesstest.Of(t, c.with(c.past)), c.id)
		assert.True(t, short == nil || short.Level != c.level, "%s: %s is not past it yet: %+v", what, c.short, short)
		if assert.NotNil(t, past, "%s: %s is past it", what, c.past) {
			assert.Equal(t, c.level, past.Level, what)
		}
	}
}
