package reduction

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

func TestAWormHasItsRatioAndEfficiency(t *testing.T) {
	s := resolved(t, DescribedStage{Kind: Worm, Pitch: "2 mm", Lead: "10°", Steps: pair("2", "40")}).Stages[0]
	assert.Equal(t, 20.0, s.Steps[0].Ratio)
	assert.InEpsilon(t, WormEfficiency(10*math.Pi/180), s.Efficiency, 1e-9)
	assert.InEpsilon(t, (20e-3+80e-3)/2, s.Centre, 1e-9, "ten modules of worm, forty teeth of wheel")
	assert.False(t, s.HoldsItself())
	single := resolved(t, DescribedStage{Kind: Worm, Steps: pair("1", "40")}).Stages[0]
	assert.InEpsilon(t, WormEfficiency(math.Atan(0.1)), single.Efficiency, 1e-9,
		"a lead of one in ten where none is given")
	assert.NotEmpty(t, refusals(DescribedStage{Kind: Worm, Lead: "80°", Steps: pair("1", "40")}))
}

func TestFlatAndLinkBeltsSlipAndCarry(t *testing.T) {
	flat := resolved(t, DescribedStage{Kind: Flat, Width: "50 mm", Centre: "600 mm",
		Steps: pair("100 mm",
			"300 mm")}).Stages[0]
	assert.InEpsilon(t, 3/0.975, flat.Steps[0].Ratio, 1e-9)
	// By hand: 6 N for each of 50 mm, less for a wrap of π − 2·asin(200/1200) = 2.807 rad.
	grip := (1 - math.Exp(-0.5*2.8067)) / (1 - math.Exp(-0.5*math.Pi))
	assert.InEpsilon(t, 300*grip, flat.Steps[0].Pull.Carries(0), 1e-3)
	assert.InEpsilon(t, (300-0.05*1.5*400)*grip, flat.Steps[0].Pull.Carries(20), 1e-3,
		"75 g a metre flung out at 20 m/s")
	link := resolved(t, DescribedStage{Kind: LinkBelt, Section: "Z", Steps: pair("63 mm", "200 mm"),
		Centre: "300 mm"}).Stages[0]
	assert.Equal(t, "Z", link.Section)
	assert.Equal(t, "A", resolved(t, DescribedStage{Kind: LinkBelt, Section: "J",
		Steps: pair("80 mm", "200 mm")}).Stages[0].Section,
		"no link belt has ribs")
}

func TestABackGearIsInOrOutAsOne(t *testing.T) {
	gears := DescribedStage{Kind: Spur, Steps: pair("20", "60"), Bypass: true}
	r := resolved(t, DescribedStage{Kind: VBelt, Steps: pair("80 mm", "160 mm"), Centre: "300 mm"}, gears, gears)
	require.Len(t, r.Positions, 2)
	assert.Equal(t, "direct", r.Positions[0].Label)
	assert.Equal(t, "low", r.Positions[1].Label)
	assert.InEpsilon(t, 9, r.Positions[1].Ratio/r.Positions[0].Ratio, 1e-9)
	assert.InEpsilon(t, 0.98*0.98, r.Positions[1].Efficiency/r.Positions[0].Efficiency, 1e-9)
	cone := DescribedStage{Kind: VBelt, Steps: []DescribedStep{{"75 mm", "200 mm"}, {"120 mm", "160 mm"}},
		Centre: "400 mm"}
	both := resolved(t, cone, gears)
	require.Len(t, both.Positions, 4)
	assert.Equal(t, "step 1, direct", both.Positions[0].Label)
	assert.Equal(t, "step 2, low", both.Positions[3].Label)
}

func TestTheNextShaftIsTheOneBefore(t *testing.T) {
	r := q.NewReader("reduction")
	d := DescribedStage{Kind: VBelt, Steps: pair("80 mm", "160 mm"), Centre: "300 mm",
		OnDriven: DescribedFit{Shaft: "25 mm"}}
	out := Resolve(Described{Stages: []DescribedStage{d, {Kind: VBelt, Steps: pair("80 mm", "160 mm"),
		Centre: "300 mm"}}}, 14e-3, 1,
		r)
	require.NoError(t, r.Err())
	assert.Equal(t, 14e-3, out.Stages[0].OnDriving.Shaft, "the motor's own")
	assert.Equal(t, 25e-3, out.Stages[1].OnDriving.Shaft)
	assert.Zero(t, out.Stages[1].OnDriven.Shaft)
}

func TestWhatIsMissingIsTakenAndSaid(t *testing.T) {
	for kind, words := range map[Kind]string{PolyV: "ribs", Flat: "40 mm", Toothed: "Pitch", Chain: "12.7"} {
		steps := pair("20", "60")
		if !kind.Toothed() {
			steps = pair("80 mm", "160 mm")
		}
		assert.Contains(t, resolved(t, DescribedStage{Kind: kind, Steps: steps, Centre: "400 mm"}).Stages[0].Assumed,
			words, kind)
	}
	full := resolved(t, DescribedStage{Kind: PolyV, Count: "8", Steps: pair("60 mm", "148 mm"),
		Centre: "300 mm"}).Stages[0]
	assert.Empty(t, full.Assumed)
	assert.Equal(t, 8.0, full.Count)
}

// By hand: a shaft 3 mm smaller than its bore wants a sleeve of 1.5 mm; 1 mm is a shim; a larger shaft is
// bored for, as far as the hub bears it.
func TestWhatMustBeMadeToFit(t *testing.T) {
	for _, c := range []struct {
		fit  Fit
		says string
	}{
		{Fit{Shaft: 16e-3, Bore: 19e-3}, "Turn a sleeve"}, {Fit{Shaft: 18e-3, Bore: 19e-3}, "shim"},
		{Fit{Shaft: 19e-3, Bore: 16e-3}, "Bore the wheel out"},
		{Fit{Shaft: 40e-3, Bore: 16e-3}, "Turn the shaft's end down"},
		{Fit{Shaft: 16e-3, Bore: 19e-3, Held: "key"}, "Turn a sleeve"},
	} {
		made := c.fit.ToMake(q.Metric)
		require.NotEmpty(t, made, "%+v", c.fit)
		assert.Contains(t, made[0].What, c.says)
		assert.Equal(t, c.fit.Held == "key", len(made) == 2, "a keyway with it")
	}
	assert.Empty(t, Fit{Shaft: 16e-3, Bore: 16e-3, Held: "key"}.ToMake(q.Metric), "what fits has its keyway")
	assert.Empty(t, Fit{Shaft: 16e-3}.ToMake(q.Metric))
}

// The driven pulley found for a belt takes that belt, whatever the other pulley and the centres.
func TestDrivenForUndoesOpenBelt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d1, d2 := rapid.Float64Range(0.02, 0.6).Draw(t, "d1"), rapid.Float64Range(0.02, 0.6).Draw(t, "d2")
		c := (d1 + d2) / 2 * rapid.Float64Range(1.02, 6).Draw(t, "apart")
		back, ok := DrivenFor(d1, c, OpenBelt(d1, d2, c))
		require.True(t, ok)
		assert.InEpsilon(t, d2, back, 1e-6)
	})
	_, ok := DrivenFor(0.1, 0.3, 0.2)
	assert.False(t, ok, "too short for any")
}

// A position passes no more than its weakest part: adding a shaft or a second stage never lifts what it
// carries, an overload lifts a belt but never a shaft, and more wrap never carries less.
func TestThePositionIsAsStrongAsItsWeakestPart(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		driver, driven := rapid.Float64Range(80, 200).Draw(t, "driver"), rapid.Float64Range(80, 400).Draw(t, "driven")
		stage := DescribedStage{Kind: rapid.SampledFrom([]Kind{VBelt, LinkBelt, PolyV, Flat}).Draw(t, "kind"),
			Steps: []DescribedStep{{mm(driver), mm(driven)}},
			Centre: mm(rapid.Float64Range(420, 900).Draw(t,
				"centre"))}
		shafted := stage
		shafted.OnDriven = DescribedFit{Shaft: mm(rapid.Float64Range(5, 40).Draw(t, "shaft")), Held: "key",
			Hub: "20 mm"}
		omega := rapid.Float64Range(0, 200).Draw(t, "omega")
		carries := func(overload float64, stages ...DescribedStage) float64 {
			r := q.NewReader("")
			out := Resolve(Described{Stages: stages}, 0, 1, r)
			require.NoError(t, r.Err())
			most, _ := out.Positions[0].Carries(omega, overload)
			return most
		}
		plain := carries(1, stage)
		assert.LessOrEqual(t, carries(1, shafted), plain)
		// Past its speed a belt carries nothing, overload or not.
		assert.InDelta(t, OverloadShare*plain, carries(OverloadShare, stage), 1e-9*plain)
		assert.LessOrEqual(t, carries(1, stage, DescribedStage{Kind: VBelt, Steps: pair("80 mm", "80 mm"),
			Centre: "400 mm"}), max(carries(1, DescribedStage{Kind: VBelt, Steps: pair("80 mm", "80 mm"),
			Centre: "400 mm"}),
			0)+1e-9)
		apart := stage
		apart.Centre = mm(2000)
		// A longer belt also lasts longer, so both factors go the same way.
		assert.GreaterOrEqual(t, carries(1, apart)*(1+1e-9), plain)
	})
}

// Thrown outward by its own mass, a belt that runs fast enough pulls nothing, and never less than nothing.
func TestABeltPastItsSpeedPullsNothing(t *testing.T) {
	r := q.NewReader("")
	s := Resolve(Described{Stages: []DescribedStage{{Kind: VBelt, Section: "A", Steps: pair("84 mm", "375 mm"),
		Centre: "660 mm"}}}, 0, 1,
		r)
	require.NoError(t, r.Err())
	pull := s.Stages[0].Steps[0].Pull
	// By hand at 10 m/s: 0.629 hp for 1000 ft/min is 92.4 N, times 0.936 for the wrap and 1.05 for the length.
	assert.InDelta(t, 90.8, pull.Carries(10), 0.3)
	assert.Positive(t, pull.Carries(29))
	assert.Zero(t, pull.Carries(32))
	for _, overload := range []float64{1, OverloadShare} {
		most, by := s.Positions[0].Carries(175, overload)
		assert.Zero(t, most)
		assert.NotEmpty(t, by)
	}
}

// What a stage carries never grows with speed, whatever runs between its wheels: what is borne at the top speed
// is borne at all others.
func TestNothingCarriesMoreWhenFaster(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		stage := DescribedStage{Kind: rapid.SampledFrom([]Kind{VBelt, LinkBelt, PolyV, Flat, Toothed, Chain,
			Spur}).Draw(t, "kind"),
			Centre: "900 mm"}
		if sections := map[Kind][]string{VBelt: {"Z", "A", "B"}, LinkBelt: {"A", "B"},
			PolyV: {"J", "K", "L"}}[stage.Kind]; sections != nil {
			stage.Section = rapid.SampledFrom(sections).Draw(t, "section")
		}
		if stage.Kind.Toothed() {
			stage.Steps = pair(q.Text(fmt.Sprint(rapid.IntRange(10, 40).Draw(t, "teeth"))), "60")
		} else {
			stage.Steps = pair(mm(rapid.Float64Range(60, 200).Draw(t, "driver")), "300 mm")
		}
		r := q.NewReader("")
		s := Resolve(Described{Stages: []DescribedStage{stage}}, 0, 1, r)
		require.NoError(t, r.Err())
		p := &s.Positions[0]
		before := math.Inf(1)
		p.LookTo(400)
		for omega := 0.0; omega <= 400; omega += 5 {
			most, _ := p.Carries(omega, 1)
			assert.LessOrEqual(t, most, before*(1+1e-12))
			for _, overload := range []float64{1, OverloadShare} {
				bears, _ := p.Carries(omega, overload)
				assert.False(t, p.Surely(bears+1e-6, omega, overload), "never sure of more than is borne")
				assert.False(t, p.Surely(0, 401, overload), "nor past where it was looked to")
			}
			before = most
		}
	})
}

func mm(v float64) q.Text { return q.Text(q.ShowFigures(v/1000, q.Length, q.Metric, 9)) }

func TestMeasuredSpeedsAreReadTogether(t *testing.T) {
	r := q.NewReader("reduction")
	d := Described{Stages: []DescribedStage{{Kind: VBelt, Steps: pair("80 mm", "160 mm")}},
		Speeds: MeasuredSpeeds{Motor: "1450", Spindle: "700 rpm",
			Position: 7}}
	m := Resolve(d, 0, 1, r).Measured
	require.NoError(t, r.Err())
	assert.InEpsilon(t, 1450*q.RPM, m.Motor, 1e-9)
	assert.Zero(t, m.Position, "there is only one")
	d.Speeds.Spindle = ""
	assert.Zero(t, Resolve(d, 0, 1, r).Measured, "one speed tells nothing")
	d.Speeds.Spindle = "slow"
	Resolve(d, 0, 1, r)
	assert.ErrorContains(t, r.Err(), "reduction.speeds.spindle")
}

// Gears carry more with more teeth, a wider face, a coarser module or a harder metal, and less the faster they
// turn; nylon is the first to strip.
func TestWhatGearTeethCarry(t *testing.T) {
	carries := func(stage DescribedStage, v float64) float64 {
		stage.Kind = Spur
		r := q.NewReader("")
		s := Resolve(Described{Stages: []DescribedStage{stage}}, 0, 1, r).Stages[0]
		require.NoError(t, r.Err())
		return s.Steps[0].Pull.Carries(v)
	}
	plain := DescribedStage{Pitch: "1.5 mm", Width: "12 mm", Steps: pair("20", "60")}
	change := func(do func(*DescribedStage)) DescribedStage {
		s := plain
		do(&s)
		return s
	}
	for v := 0.0; v < 30; v += 3 {
		base := carries(plain, v)
		assert.Greater(t, carries(change(func(s *DescribedStage) { s.Steps = pair("30", "60") }), v), base)
		assert.Greater(t, carries(change(func(s *DescribedStage) { s.Width = "15 mm" }), v), base)
		assert.Greater(t, carries(change(func(s *DescribedStage) { s.Pitch = "2 mm" }), v), base)
		assert.Greater(t, carries(change(func(s *DescribedStage) { s.Material = "hardened" }), v), base)
		assert.Less(t, carries(change(func(s *DescribedStage) { s.Material = "nylon" }), v), base/4)
		assert.Equal(t, base, carries(change(func(s *DescribedStage) { s.Steps = pair("60", "20") }), v),
			"the pinion is the weaker, whichever drives")
		assert.Less(t, carries(plain, v+3), base)
	}
	assert.Less(t, carries(change(func(s *DescribedStage) { s.Steps = pair("8", "60") }), 0),
		carries(change(func(s *DescribedStage) { s.Steps = pair("12", "60") }), 0))
}
