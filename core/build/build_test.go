package build_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/build"
	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/supply"
	"jiriki/core/wiring"
)

func built(t testing.TB, in plan.Input) build.Build {
	t.Helper()
	b, err := build.Plan(in)
	require.NoError(t, err)
	return b
}

func partNames(b build.Bill) string {
	var names []string
	for _, p := range b.Parts {
		names = append(names, p.Name+" "+p.Rating)
	}
	return strings.Join(names, "; ")
}

func TestBuildSheetTakesFromTheShelfAndBuysTheRest(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control.Name = "Drive, 5 A"
	in.Plan.Reduction.Stages[0].Centre, in.Plan.Reduction.Stages[0].Belt = "", "1400 mm"
	in.Shelf = []shelf.Item{
		{ID: "m", Sort: shelf.Motor, Motor: in.Plan.Motor, Cost: "15", Place: "Under the bench"},
		{ID: "c", Sort: shelf.Control, Control: in.Plan.Control, Cost: "25"},
		{ID: "p", Sort: shelf.Pulley, Name: "Turned pulley", Wheel: shelf.Wheel{Diameter: "80 mm", Section: "A"},
			Cost: "4"},
		{ID: "b", Sort: shelf.Belt, Name: "Belt", Length: "1400 mm", Wheel: shelf.Wheel{Section: "A"}},
	}
	b := built(t, in)
	require.Len(t, b.Take.Parts, 4)
	assert.Equal(t, "44", b.Take.Cost)
	assert.Equal(t, 3, b.Take.Priced, "the belt has no cost")
	assert.Contains(t, partNames(b.Buy), "Driven pulley 280 mm")
	assert.Contains(t, partNames(b.Buy), "Fuse and holder, line")
	assert.NotContains(t, partNames(b.Buy), "Driving pulley")
	in.Plan.Prices = []plan.Price{{Part: "buy.wheel.0.driven", Cost: "£8.50"}}
	assert.Equal(t, "£8.50", built(t, in).Buy.Cost)
	in.Plan.Prices[0].Cost = "a lot"
	assert.Empty(t, built(t, in).Buy.Cost)
	a := assesstest.Of(t, in)
	assert.Equal(t, "prices[0].cost", a.Entries[0].Field)
	assert.True(t, a.MayPower, "a price that cannot be read hurts nobody")
}

// A belt on hand is taken when it is within half a percent of the length needed.
func TestABeltOnHandFitsWithinHalfAPercent(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Reduction.Stages[0].Centre, in.Plan.Reduction.Stages[0].Belt = "", "1400 mm"
	for length, fits := range map[q.Text]bool{"1406 mm": true, "1394 mm": true, "1407.5 mm": false,
		"1392.5 mm": false} {
		in.Shelf = []shelf.Item{{ID: "b", Sort: shelf.Belt, Name: "The belt", Length: length,
			Wheel: shelf.Wheel{Section: "A"}}}
		assert.Equal(t, fits, strings.Contains(partNames(built(t, in).Take), "The belt"), length)
	}
}

func TestBuildSheetSaysWhatToMake(t *testing.T) {
	in := plantest.Sound()
	stage := &in.Plan.Reduction.Stages[0]
	stage.Guarded = false
	stage.OnDriving = reduction.DescribedFit{Shaft: "16 mm", Bore: "19 mm", Held: "key"}
	in.Plan.Motor.Plate.Frame, in.Machine.Limits.Frame = "71", "80"
	var made []string
	for _, m := range built(t, in).Make {
		made = append(made, m.What)
	}
	all := strings.Join(made, "; ")
	assert.Contains(t, all, "guard")
	assert.Contains(t, all, "sleeve, 16\u202fmm inside, 19\u202fmm outside")
	assert.Contains(t, all, "5\u202fmm × 5\u202fmm key")
	assert.Contains(t, all, "from frame 71 to the bracket's 80")
	frame := assesstest.Finding(assesstest.Of(t, in), "motor.frame")
	require.NotNil(t, frame)
	assert.Contains(t, frame.Detail, "pack it up by 9\u202fmm")
	in.Plan.Motor.Plate.Frame, in.Machine.Limits.Frame = "56C", "NEMA 56"
	assert.Nil(t, assesstest.Finding(assesstest.Of(t, in), "motor.frame-good"), "nobody has seen its feet")
	made = made[:0]
	for _, m := range built(t, in).Make {
		made = append(made, m.What)
	}
	assert.Contains(t, strings.Join(made, "; "), "bored for the face of 56C")
}

// A plan with an open stop cannot be powered, whatever its wiring; a fault in the wiring keeps it too.
func TestAnOpenStopBlocksThePowerUp(t *testing.T) {
	b := built(t, plantest.Sound())
	assert.True(t, b.MayPower, b.Blocked)
	live := 0
	for _, s := range b.PowerUp {
		if s.Live {
			live++
		}
	}
	assert.Greater(t, live, 4)
	assert.False(t, b.PowerUp[0].Live, "dead checks come first")
	in := plantest.Sound()
	in.Plan.Supply.Earthed = false
	b = built(t, in)
	assert.False(t, b.MayPower)
	assert.NotEmpty(t, b.Blocked)
	in = plantest.Switched()
	in.Plan.Control.NoVolt = false // nothing is left to read the thermal switch
	b = built(t, in)
	assert.False(t, b.MayPower)
	assert.Contains(t, b.Blocked, "Thermal switch")
}

// Every demo plan and each sort of control is wired without a fault, and told how to power up.
func TestEveryPlanIsWired(t *testing.T) {
	stepping := plantest.Sound()
	stepping.Plan.Motor = motor.Described{Kind: motor.Stepper, Plate: motor.Plate{HoldingTorque: "1.9 N·m",
		Amps: "2.8 A", Inductance: "3.2 mH",
		Volts: "36 V"}}
	stepping.Plan.Control = control.Described{Kind: control.StepperDriver, Volts: "36 V", Amps: "3 A", Fused: true}
	for _, in := range append(plantest.Demo(t), plantest.Sound(), plantest.Inverted(), plantest.Switched(), stepping) {
		b := built(t, in)
		require.True(t, b.Wiring.Known, in.Plan.Name)
		for _, c := range b.Wiring.Checks {
			assert.True(t, c.OK, "%s: %s %s", in.Plan.Name, c.Title, c.Detail)
		}
		assert.NotEmpty(t, b.PowerUp)
		assert.Len(t, b.Approaches, 3)
	}
	assert.Contains(t, partNames(built(t, stepping).Buy), "supply unit, isolated 36\u202fV, 4.2\u202fA or more",
		"1.5 × plate amps to start with")
}

// The choke is judged by what it is for: put into the plan with the armature's own inductance known to
// be next to nothing, it brings the form factor to what a choke is counted on for.
func TestHomemadeDriveBesideABoughtOne(t *testing.T) {
	h := built(t, plantest.Sound()).Homemade
	require.NotNil(t, h)
	_, rating, listed := strings.Cut(partNames(h.Parts), "Choke in the armature lead 2.8\u202fA, ")
	require.True(t, listed)
	henries, _, _ := strings.Cut(rating, ";")
	in := plantest.Sound()
	in.Plan.Control.Choke, in.Plan.Control.Henries = true, q.Text(strings.ReplaceAll(henries, "\u202f", " "))
	in.Plan.Motor.Plate.Inductance = "0.01 mH"
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	assert.InDelta(t, control.ChokedForm, line.New(s).Feed.FormFactor, 0.01, henries)
	assert.Contains(t, partNames(h.Parts), "8.4\u202fA, 600\u202fV")
	assert.Contains(t, partNames(h.Parts), "Varistor and snubber 276\u202fV rms", "1.2 × the line")
	assert.Contains(t, partNames(h.Parts), "Ammeter 0–4.2\u202fA")
	assert.Len(t, h.Bought.Parts, 1)
	assert.Contains(t, h.Says, "buy")
	assert.Nil(t, built(t, plantest.Inverted()).Homemade)
}

func TestSchoolsTakeTheBestOfTheirSort(t *testing.T) {
	in := plantest.Sound()
	in.Shelf = []shelf.Item{{ID: "three", Sort: shelf.Motor, Motor: plantest.Inverted().Plan.Motor, Cost: "20"},
		{ID: "drive", Sort: shelf.Control, Control: control.Described{Name: "Inverter", Kind: control.Inverter,
			Amps: "5 A"}, Cost: "60"}}
	approaches := built(t, in).Approaches
	require.Len(t, approaches, 3)
	assert.Equal(t, "Scrubber", approaches[0].Motor)
	assert.Equal(t, "Conveyor", approaches[1].Motor)
	assert.Equal(t, "80", approaches[1].Bill.Cost)
	assert.False(t, approaches[2].Tried, "no single-phase motor anywhere")
}

// Torque collapses with speed through a series resistor as the straight line says: by hand, 180 V of
// 207 V rectified, K_e 0.866 V·s, R 7.6 Ω.
func TestSeriesResistorCollapses(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor.Readings = []motor.Reading{{Sort: "open", Volts: "74.4 V", Speed: "820 rpm"},
		{Sort: "resistance",
			Ohms: "7.6 Ω"}}
	in.Plan.Control = control.Described{Kind: control.SeriesResistor, Ohms: "60 Ω", Watts: "600 W", Fused: true,
		Enclosed: true, NoVolt: true}
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	tr := line.New(s)
	dc, omega := tr.Motor.DC, 100.0
	want := dc.Ke.Value*(tr.Feed.Volts-dc.Ke.Value*omega)/(dc.Resistance.Value+60) - dc.Friction.Value
	assert.InEpsilon(t, want, tr.Powered.Peak(omega).Torque, 1e-9)
	assert.Equal(t, motor.ResistorTakes, tr.Powered.Peak(omega).By)
	light, full := tr.ResistorSpeeds()
	assert.Greater(t, light, 1.5*full, "no steady speed under a changing load")
	require.NotNil(t, assesstest.Finding(assesstest.Of(t, in), "control.collapse"))
	in.Plan.Control.Watts = "100 W"
	burns := assesstest.Finding(assesstest.Of(t, in), "control.resistor-burns")
	require.NotNil(t, burns)
	assert.Contains(t, burns.Detail, q.Show(2.8*2.8*60, q.Power, q.Metric))
}

// A stepper's driver is never wired to the mains, and is told how to power up without a knob.
func TestALowVoltDriveGetsItsSupplyUnit(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{Kind: motor.Stepper, Plate: motor.Plate{HoldingTorque: "1.9 N·m", Amps: "2.8 A",
		Inductance: "3.2 mH"}}
	in.Plan.Control = control.Described{Kind: control.StepperDriver, Volts: "36 V", Amps: "3 A", Fused: true}
	in.Plan.Reduction.Stages = []reduction.DescribedStage{{Kind: reduction.Worm, Pitch: "1.5 mm",
		Steps:   []reduction.DescribedStep{{Driver: "1", Driven: "60"}},
		Guarded: true}}
	b := built(t, in)
	assert.Contains(t, partNames(b.Buy), "Direct-current supply unit, isolated 36\u202fV")
	assert.Contains(t, partNames(b.Buy), "Worm 1 start, module 1.5\u202fmm; Worm wheel 60 teeth, module 1.5\u202fmm")
	steps := ""
	for _, s := range b.PowerUp {
		steps += s.ID + " " + s.Expect + "; "
	}
	assert.Contains(t, steps, "power.unit 36\u202fV direct")
	assert.Contains(t, steps, "power.on 36\u202fV")
	assert.NotContains(t, steps, "power.knob")
	for _, w := range b.Wiring.Wires {
		assert.NotEqual(t, "A1:L", w.To, "mains on a driver for 36 V")
	}
	in.Plan.Motor, in.Plan.Control = plantest.Sound().Plan.Motor, control.Described{Kind: control.Chopper,
		Volts: "24 V", Amps: "20 A",
		Fused: true}
	in.Plan.Motor.Plate.Volts, in.Plan.Motor.Plate.Amps = "24 V", "20 A"
	assert.Contains(t, partNames(built(t, in).Buy), "supply unit")
	in.Plan.Control.Volts = "180 V"
	assert.NotContains(t, partNames(built(t, in).Buy), "supply unit")
}

// Every wheel, belt and chain to be bought is named and sized as a shop sells it.
func TestWheelsAndBeltsAreNamedAsTheyAreSold(t *testing.T) {
	for _, c := range []struct {
		stage reduction.DescribedStage
		says  string
	}{
		{reduction.DescribedStage{Kind: reduction.Chain, Pitch: "12.7 mm", Centre: "400 mm",
			Steps: []reduction.DescribedStep{{Driver: "12",
				Driven: "48"}}},
			"Driving sprocket 12 teeth, 12.7\u202fmm pitch; Driven sprocket 48 teeth, 12.7\u202fmm pitch; Chain 96 " +
				"links of 12.7\u202fmm"},
		{reduction.DescribedStage{Kind: reduction.Spur, Pitch: "2 mm",
			Steps: []reduction.DescribedStep{{Driver: "20",
				Driven: "50"}}},
			"Driving gear 20 teeth, module 2\u202fmm; Driven gear 50 teeth, module 2\u202fmm"},
		{reduction.DescribedStage{Kind: reduction.Worm, Pitch: "2 mm",
			Steps: []reduction.DescribedStep{{Driver: "2",
				Driven: "40"}}},
			"Worm 2 starts, module 2\u202fmm; Worm wheel 40 teeth, module 2\u202fmm"},
		{reduction.DescribedStage{Kind: reduction.Toothed, Pitch: "5 mm", Centre: "200 mm",
			Steps: []reduction.DescribedStep{{Driver: "20",
				Driven: "60"}}},
			"Driving pulley 20 teeth, 5\u202fmm pitch; Driven pulley 60 teeth, 5\u202fmm pitch; Toothed belt " +
				"605\u202fmm pitch length"},
		{reduction.DescribedStage{Kind: reduction.Flat, Centre: "500 mm",
			Steps: []reduction.DescribedStep{{Driver: "100 mm",
				Driven: "100 mm"}}},
			"Driving pulley 100 mm; Driven pulley 100 mm; Flat belt 1310\u202fmm pitch length"},
		{reduction.DescribedStage{Kind: reduction.LinkBelt, Section: "A", Centre: "500 mm",
			Steps: []reduction.DescribedStep{{Driver: "100 mm",
				Driven: "100 mm"}}},
			"Driving pulley 100 mm; Driven pulley 100 mm; A link belt 1310\u202fmm pitch length"},
	} {
		in := plantest.Sound()
		in.Plan.Reduction.Stages = []reduction.DescribedStage{c.stage}
		assert.Contains(t, partNames(built(t, in).Buy), c.says)
	}
}

// What a control must be good for goes by what it is.
func TestTheControlIsRatedByItsSort(t *testing.T) {
	rating := func(in plan.Input) string {
		in.Plan.Control.Origin = ""
		for _, p := range built(t, in).Buy.Parts {
			if p.ID == "buy.control" {
				return p.Rating
			}
		}
		return "none"
	}
	assert.Equal(t, "2.8\u202fA or more, 180\u202fV", rating(plantest.Sound()))
	assert.Equal(t, "20\u202fΩ, 157\u202fW", rating(plantest.Resisted()), "2.8² × 20")
	assert.Equal(t, "2.8\u202fA at 230\u202fV", rating(plantest.Transformed()))
	assert.Empty(t, rating(plantest.Switched()))
}

// A wire's conductor is never thinner than what guards it lets through: on the line the motor's leads are as thick as
// the supply's, and a release at the supply's volts too.
func TestEachWireHasAConductorThatBearsWhatGuardsIt(t *testing.T) {
	for _, sound := range plantest.Sounds() {
		b, err := build.Plan(sound.Input)
		require.NoError(t, err)
		s, err := plan.Resolve(sound.Input)
		require.NoError(t, err)
		fixed := line.New(s).Powered.FixedSpeed()
		var fed supply.Wire
		for _, w := range b.Wiring.Wires {
			if w.Role == wiring.Power && w.Size != "" {
				fed, err = supply.ParseWire(w.Size)
				require.NoError(t, err)
			}
		}
		for _, w := range b.Wiring.Wires {
			if fed.Area == 0 || w.Size == "" {
				continue
			}
			wire, err := supply.ParseWire(w.Size)
			require.NoError(t, err, w.Size)
			guarded := w.Role == wiring.Earth || w.Role == wiring.Loop && w.Loop == wiring.Release ||
				w.Role == wiring.Output && fixed
			if guarded {
				assert.GreaterOrEqual(t, wire.Area, fed.Area*0.999, "%s: %s to %s", sound.What, w.From, w.To)
			}
			assert.NotEmpty(t, w.Colour, sound.What)
		}
	}
}
