package work

import (
	"math"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

func TestTimedAndTravelledBands(t *testing.T) {
	n := need(t, Job{Speed: SpeedBand{By: "timed", Turns: "30", Time: "40 s", FactorFrom: "0.5", FactorTo: "2"},
		Load: Load{Torque: "1 N·m"}})
	assert.InEpsilon(t, 22.5, n.Low/q.RPM, 1e-9, "30 turns in 40 s is 45 rpm")
	assert.InEpsilon(t, 90, n.High/q.RPM, 1e-9)
	n = need(t, Job{Speed: SpeedBand{By: "travel", TravelFrom: "20 mm/min", TravelTo: "200 mm/min", Lead: "3 mm"},
		Load: Load{Torque: "1 N·m"}})
	assert.InEpsilon(t, 20./3, n.Low/q.RPM, 1e-9)
	assert.InEpsilon(t, 200./3, n.High/q.RPM, 1e-9)
	for field, s := range map[string]SpeedBand{
		"speed.turns": {By: "timed"}, "speed.time": {By: "timed", Turns: "3"}, "speed.travelFrom": {By: "travel"},
		"speed.lead": {By: "travel",
			TravelTo: "1 mm/min"},
	} {
		assert.Equal(t, field, need(t, Job{Speed: s, Load: Load{Torque: "1 N·m"}}).Missing)
	}
	for _, s := range []SpeedBand{
		{From: "60", To: "20"}, {By: "timed", Turns: "3", Time: "1 s", FactorFrom: "2", FactorTo: "1"},
		{By: "travel", TravelFrom: "9 mm/min", TravelTo: "1 mm/min",
			Lead: "1 mm"},
		{By: "travel", TravelFrom: "1e-5 mm/min", Lead: "40 m"},
	} {
		assert.NotEmpty(t, refusals(Job{Speed: s, Load: Load{Torque: "1 N·m"}}), "%+v", s)
	}
}

func TestPointsAreJoinedAndHoldBeyondTheirEnds(t *testing.T) {
	n := need(t, Job{Speed: SpeedBand{From: "50", To: "400"}, Load: Load{Shape: "points",
		Points: []Point{{"300", "2 N·m"}, {"100", "8 N·m"}, {"",
			""}}}})
	for rpm, torque := range map[float64]float64{50: 8, 100: 8, 200: 5, 300: 2, 400: 2} {
		assert.InEpsilon(t, torque, n.TorqueAt(rpm*q.RPM), 1e-9, "%v rpm", rpm)
	}
	assert.Equal(t, "load.points[0].speed", need(t, Job{Speed: someBand, Load: Load{Shape: "points"}}).Missing)
}

func cut(operation, material string, c CuttingLoad) Job {
	return Job{Cut: Cut{Operation: operation, Material: material, Tool: "hss"}, Speed: SpeedBand{From: "300 rpm"},
		Load: Load{By: ByCutting,
			Cutting: c}}
}

func TestEveryOperationAsksForWhatItLacksAndCuts(t *testing.T) {
	for _, c := range []struct {
		operation string
		whole     CuttingLoad
		first     string // the first blank asked for
	}{
		{"turning", CuttingLoad{Diameter: "60 mm", Depth: "1 mm", Feed: "0.1 mm"}, "load.cutting.diameter"},
		{"drilling", CuttingLoad{Diameter: "10 mm", Feed: "0.15 mm"}, "load.cutting.diameter"},
		{"milling", CuttingLoad{Diameter: "12 mm", Depth: "4 mm", Width: "5 mm", PerTooth: "0.05 mm", Teeth: "4"},
			"load.cutting.diameter"},
		{"sawing", CuttingLoad{Diameter: "350 mm", Width: "0.9 mm", PerTooth: "0.02 mm", Teeth: "10", Length: "40 mm"},
			"load.cutting.diameter"},
		{"grinding", CuttingLoad{Diameter: "150 mm", Depth: "0.02 mm", Width: "15 mm", Travel: "5 m/min"},
			"load.cutting.diameter"},
		{"sanding", CuttingLoad{Diameter: "300 mm", Depth: "0.05 mm", Width: "50 mm", Travel: "1 m/min"},
			"load.cutting.diameter"},
	} {
		assert.Equal(t, c.first, need(t, cut(c.operation, "plain-steel", CuttingLoad{})).Missing, c.operation)
		assert.Equal(t, "cut.material", need(t, cut(c.operation, "", c.whole)).Missing, c.operation)
		n := need(t, cut(c.operation, "plain-steel", c.whole))
		require.Empty(t, n.Missing, c.operation)
		assert.Positive(t, n.Torque, c.operation)
		assert.InEpsilon(t, n.Cutting.Power, n.TorqueAt(n.High)*n.High, 1e-9,
			"%s: power at the spindle is power in the cut", c.operation)
		assert.Positive(t, n.Cutting.Removal, c.operation)
		assert.Equal(t, 1.5, n.Margin, c.operation)
	}
	assert.Equal(t, "load.cutting.specific", need(t, cut("turning", "wood",
		CuttingLoad{Diameter: "60 mm", Depth: "1 mm",
			Feed: "0.1 mm"})).Missing)
	assert.NotEmpty(t, refusals(cut("milling", "brass", CuttingLoad{Diameter: "12 mm", Depth: "4 mm", Width: "15 mm",
		PerTooth: "0.05 mm",
		Teeth:    "4"})))
}

// Turning down at one surface speed keeps the power and lets the torque fall with diameter.
func TestTurningAtOneSurfaceSpeedKeepsItsPower(t *testing.T) {
	n := need(t, Job{Cut: Cut{"turning", "plain-steel", "hss"}, Speed: SpeedBand{By: "surface", DiameterFrom: "20 mm",
		DiameterTo: "80 mm"},
		Load: Load{By: ByCutting, Cutting: CuttingLoad{Depth: "1 mm", Feed: "0.1 mm"}}})
	assert.True(t, n.UsualSurface)
	assert.InEpsilon(t, 0.5, n.Surface, 1e-9, "30 m/min for plain steel")
	assert.InEpsilon(t, n.TorqueAt(n.Low)*n.Low, n.TorqueAt(n.High)*n.High, 1e-9)
	assert.InEpsilon(t, 4, n.TorqueAt(n.Low)/n.TorqueAt(n.High), 1e-9)
}

// Drills at one surface speed: half the diameter turns twice as fast on a quarter of the torque.
func TestSmallerDrillsTakeLess(t *testing.T) {
	n := need(t, Job{Cut: Cut{"drilling", "plain-steel", "hss"}, Speed: SpeedBand{By: "surface", DiameterFrom: "5 mm",
		DiameterTo: "10 mm"}, Load: Load{By: ByCutting,
		Cutting: CuttingLoad{Feed: "0.15 mm"}}})
	assert.InEpsilon(t, 2, n.High/n.Low, 1e-9)
	assert.InEpsilon(t, 4, n.TorqueAt(n.Low)/n.TorqueAt(n.High), 1e-9)
	alone := need(t, cut("drilling", "plain-steel", CuttingLoad{Diameter: "5 mm", Feed: "0.15 mm"}))
	assert.InEpsilon(t, alone.Torque, n.TorqueAt(n.High), 1e-9, "the small one by itself")
	assert.InEpsilon(t, n.TorqueAt(n.Low)*n.Low, n.Cutting.Power, 1e-9, "power where it is most, with the largest")
}

// The largest cut is the cut whose torque is the spare times as much.
func TestLargestCutTakesJustTheSpareTorque(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		spare := rapid.Float64Range(0.2, 8).Draw(t, "spare")
		operation := rapid.SampledFrom([]string{"turning", "drilling", "milling", "sawing", "grinding"}).Draw(t,
			"operation")
		blanks := CuttingLoad{Diameter: "40 mm", Depth: "1 mm", Feed: "0.1 mm", Width: "5 mm", PerTooth: "0.04 mm",
			Teeth: "6", Length: "30 mm",
			Travel: "4 m/min"}
		resolve := func() Need {
			return Resolve(Machine{Jobs: []Job{func() Job {
				j := cut(operation, "grey-iron", blanks)
				j.ID = "a"
				return j
			}()}}, q.NewReader("")).Jobs[0]
		}
		before := resolve()
		larger := q.Text(q.ShowFigures(before.Cutting.Largest(spare), q.Length, q.Metric, 12))
		switch before.Cutting.Grows {
		case "depth":
			blanks.Depth = larger
		case "diameter":
			blanks.Diameter = larger
		case "length":
			blanks.Length = larger
		}
		assert.InEpsilon(t, spare, resolve().Torque/before.Torque, 1e-6, operation)
	})
}

func TestComparableMachineBringsItsOwnMargin(t *testing.T) {
	n := need(t, Job{Speed: SpeedBand{From: "300", To: "600"}, Load: Load{By: ByComparable,
		Comparable: Comparable{Of: "lathe-300"}}})
	assert.InEpsilon(t, 1500, n.Torque*n.High, 1e-9, "the larger of the usual motors, at the top of the band")
	assert.Equal(t, 1.0, n.Margin)
	assert.False(t, n.Stacked())
	n = need(t, Job{Speed: SpeedBand{From: "300"}, Load: Load{By: ByComparable, Comparable: Comparable{Power: "1 hp"}},
		Margin: "1.5"})
	assert.InEpsilon(t, q.Horsepower, n.Torque*n.High, 1e-9)
	assert.True(t, n.Stacked(), "a second margin on a maker's own")
	assert.True(t, need(t, Job{Speed: someBand, Load: Load{Torque: "1 N·m", From: "comparable"},
		Margin: "2"}).Stacked())
	assert.False(t, need(t, Job{Speed: someBand, Load: Load{Torque: "1 N·m"}, Margin: "2"}).Stacked())
	assert.NotEmpty(t, refusals(Job{Load: Load{By: ByComparable, Comparable: Comparable{Of: "time-machine"}}}))
}

func TestTheMotorItHadIsABaselineThroughItsOwnPulleys(t *testing.T) {
	n := need(t, Job{Load: Load{By: ByReplaced, Replaced: Replaced{Power: "250 W", Speed: "1425 rpm",
		Positions: []ReplacedPair{{"75 mm", "255 mm"}, {"110 mm", "228 mm"},
			{}}}}})
	require.Len(t, n.Points, 2)
	slow, fast := 1425*75./255*q.RPM, 1425*110./228*q.RPM
	assert.InEpsilon(t, slow, n.Low, 1e-9, "its own positions are the band where none is given")
	assert.InEpsilon(t, fast, n.High, 1e-9)
	assert.InEpsilon(t, 250*0.95/slow, n.TorqueAt(slow), 1e-9)
	assert.InEpsilon(t, 250*0.95/fast, n.TorqueAt(fast), 1e-9)
	straight := need(t, Job{Load: Load{By: ByReplaced, Replaced: Replaced{Power: "250 W", Speed: "1425"}}})
	assert.InEpsilon(t, 250/(1425*q.RPM), straight.TorqueAt(straight.Low), 1e-9, "driven straight nothing is lost")
	assert.Equal(t, "load.replaced.positions[0].driven", need(t,
		Job{Speed: someBand, Load: Load{By: ByReplaced, Replaced: Replaced{Power: "250 W", Speed: "1425",
			Positions: []ReplacedPair{{Driver: "75 mm"}}}}}).Missing)
}

func TestPullAndScrew(t *testing.T) {
	n := need(t, Job{Speed: someBand, Load: Load{By: ByPull, Pull: StraightPull{Force: "40 kg", Diameter: "120 mm"}}})
	assert.InEpsilon(t, 40*q.StdGravity*0.06, n.Torque, 1e-9)
	n = need(t, Job{Speed: SpeedBand{From: "10", To: "60"}, Load: Load{By: ByScrew,
		Screw: Screw{Force: "500 N", Lead: "3 mm", Feed: true, Mains: []q.Text{"120 rpm", "",
			"600 rpm"}}}})
	assert.InEpsilon(t, 500*0.003/(2*math.Pi*0.3), n.Torque, 1e-9)
	require.Len(t, n.Feed.Mains, 2)
	assert.InEpsilon(t, 0.0015, n.Feed.PerTurn(60*q.RPM, 120*q.RPM), 1e-9,
		"60 rpm of a 3 mm screw beside 120 rpm is 1.5 mm a turn")
	assert.Equal(t, "load.pull.force", need(t, Job{Speed: someBand, Load: Load{By: ByPull}}).Missing)
	assert.Equal(t, "load.screw.lead", need(t, Job{Speed: someBand,
		Load: Load{By: ByScrew,
			Screw: Screw{Force: "1 N"}}}).Missing)
}

// A ball screw that pushes P = F·v: what goes in at the screw is what comes out over efficiency.
func TestScrewConservesPower(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		keeps := rapid.Float64Range(0.1, 1).Draw(t, "keeps")
		torque, feed, _ := screw(Screw{Force: "800 N", Lead: "5 mm", Efficiency: q.Text(q.Figures(keeps, 12))},
			0, q.NewReader(""))
		omega := 37.0
		assert.InEpsilon(t, 800*feed.PerTurn(omega, 2*math.Pi), torque*omega*keeps, 1e-9)
	})
}

func TestInertiaOfPartsAtTheSpindle(t *testing.T) {
	with := func(parts ...Part) *Need {
		return need(t, Job{Speed: SpeedBand{To: "300 rpm"}, Load: Load{By: ByInertia,
			Inertia: InertiaLoad{Parts: parts, Within: "20 s",
				Friction: "0.4 N·m"}}})
	}
	n := with(Part{Shape: "disc", Diameter: "400 mm", Mass: "10 kg"})
	assert.InEpsilon(t, 0.5*10*0.04, n.Spinning.Inertia, 1e-9)
	assert.InEpsilon(t, 0.2*300*q.RPM/20+0.4, n.Torque, 1e-9)
	assert.InEpsilon(t, 0.5*10*(0.04+0.0225), with(Part{Shape: "ring", Diameter: "400 mm", Inside: "300 mm",
		Mass: "10 kg"}).Spinning.Inertia,
		1e-9)
	assert.InEpsilon(t, 3*1.2*1.2/12, with(Part{Shape: "bar", Diameter: "1.2 m", Mass: "3 kg"}).Spinning.Inertia, 1e-9)
	assert.InEpsilon(t, 4*2*0.25, with(Part{Shape: "load", Diameter: "1 m", Mass: "2 kg", Count: "4"}).Spinning.Inertia,
		1e-9)
	assert.InEpsilon(t, 0.2/25, with(Part{Diameter: "400 mm", Mass: "10 kg", Turns: "0.2"}).Spinning.Inertia, 1e-9,
		"a fifth of the speed, a twenty-fifth of the inertia")
	assert.InEpsilon(t, math.Pi*0.04*0.05*7850, 2*with(Part{Diameter: "400 mm", Length: "50 mm"}).Spinning.Inertia/0.04,
		1e-9, "steel by its size")
	assert.Equal(t, "load.inertia.parts[0].mass", with(Part{Shape: "bar", Diameter: "1 m"}).Missing)
	assert.Equal(t, "load.inertia.parts", with().Missing)
	assert.NotEmpty(t, refusals(Job{Speed: someBand, Load: Load{By: ByInertia,
		Inertia: InertiaLoad{Parts: []Part{{Shape: "ring", Diameter: "30 mm", Inside: "40 mm",
			Mass: "1 kg"}}}}}))
}

// A doubt is raised where the numbers show the slip, and only there.
func TestUnitTrapsAreSeenOnlyWhereTheNumbersShowThem(t *testing.T) {
	doubts := func(m Machine, j Job) int {
		j.ID = "a"
		m.Jobs = []Job{j}
		return len(Resolve(m, q.NewReader("")).Jobs[0].Doubts)
	}
	turns := func(torque q.Text) Job {
		return Job{Speed: SpeedBand{From: "20 rev/s"}, Load: Load{Torque: torque, Power: "1800 W"}}
	}
	assert.Equal(t, 1, doubts(Machine{}, turns("90 N·m")), "1800 W at 20 rev/s is 14.3, not 90")
	assert.Zero(t, doubts(Machine{}, turns("14.3 N·m")))
	assert.Zero(t, doubts(Machine{}, turns("60 N·m")), "wrong, but not by that slip")
	for torque, title := range map[q.Text]string{"10.7 N·m": "Kilowatts for horsepower?",
		"19.2 N·m": "Horsepower for kilowatts?", "140.4 N·m": "Kilograms for newtons?",
		"14.3 N·cm": "Centimetres for metres?"} {
		j := turns(torque)
		j.ID = "a"
		slips := Resolve(Machine{Jobs: []Job{j}}, q.NewReader("")).Jobs[0].Doubts
		require.Len(t, slips, 1, torque)
		assert.Equal(t, title, slips[0].Title)
		assert.Contains(t, slips[0].Words, "14.3", "what it should be")
	}
	weighed := func(radius q.Text, pulls ...q.Text) Job {
		return Job{Speed: someBand, Load: Load{By: ByScale, Scale: ScalePull{Radius: radius, Running: pulls}}}
	}
	assert.Equal(t, 1, doubts(Machine{}, weighed("160 mm", "7.6 kg", "7.6")), "a bare number is newtons")
	assert.Equal(t, 1, doubts(Machine{}, weighed("160 mm", "7.6 kg", "7.6 lb")))
	assert.Zero(t, doubts(Machine{}, weighed("160 mm", "7.6 kg", "6.1 kg")))
	wheel := Machine{Limits: Limits{Diameter: "340 mm"}}
	assert.Equal(t, 1, doubts(wheel, weighed("16", "7.6 kg")), "16 mm on a wheel 340 mm across: centimetres")
	assert.Equal(t, 1, doubts(wheel, weighed("1.6 m", "7.6 kg")))
	assert.Zero(t, doubts(wheel, weighed("160 mm", "7.6 kg")))
	assert.Zero(t, doubts(wheel, weighed("250 mm", "7.6 kg")), "a bar held across the wheel")
}

func TestEachMethodShowsItsWorking(t *testing.T) {
	for _, k := range Kinds(q.Metric) {
		m := Start("x", k.ID, q.Metric)
		assert.Equal(t, len(k.Jobs), len(m.Jobs))
		r := q.NewReader("machine")
		resolved := Resolve(m, r)
		require.NoError(t, r.Err(), k.ID)
		for i := range resolved.Jobs {
			n := &resolved.Jobs[i]
			assert.NotEmpty(t, n.ID, k.ID)
			if n.Missing != "" {
				continue
			}
			kinds := map[string]bool{}
			for _, w := range n.Workings(q.Metric) {
				kinds[strings.Split(string(w.ID), ".")[1]] = true
				assert.NotEmpty(t, w.Source.Title, w.ID)
				assert.Equal(t, working.Computed, w.Standing)
			}
			assert.True(t, kinds["torque"], "%s %s", k.ID, n.Name)
			if n.Method == ByCutting {
				assert.True(t, kinds["removal"] && kinds["power"])
			}
		}
	}
	assert.Equal(t, "other", FindKind("nonsense").ID)
	assert.Contains(t, removal(1e-6), "in³/min")
}
