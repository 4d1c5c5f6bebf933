package rank

import (
	"fmt"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

func onShelf(id string, m motor.Described) shelf.Item {
	m.Name = id
	return shelf.Item{ID: id, Sort: shelf.Motor, State: "works", Motor: m}
}

func dcMotor(power, speed, amps q.Text) motor.Described {
	return motor.Described{Kind: motor.PermanentMagnetDC, ThermalSwitch: "none",
		Plate: motor.Plate{Power: power, Speed: speed, Volts: "180 V", Amps: amps,
			Cooling: "closed"}}
}

func ranked(t testing.TB, in plan.Input) Ranking {
	t.Helper()
	r, err := Motors(in)
	require.NoError(t, err)
	return r
}

func TestRankingPutsTheMotorThatDoesMostFirst(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs[0].Load.Torque = "9 N·m"
	in.Plan.Control.Choke = true
	in.Shelf = []shelf.Item{
		onShelf("weak", dcMotor("1/8 hp", "1750 rpm", "0.8 A")), onShelf("strong", dcMotor("3/4 hp", "1750 rpm",
			"4.1 A")),
		onShelf("no plate", motor.Described{Kind: motor.PermanentMagnetDC}),
		{ID: "scrap", State: "for-parts", Motor: dcMotor("5 hp", "1750", "25 A")},
		{ID: "wheel", Sort: shelf.Pulley},
	}
	r := ranked(t, in)
	var names []string
	for _, c := range r.Candidates {
		names = append(names, c.Name)
	}
	assert.Equal(t, []string{"strong", "Scrubber", "weak", "no plate"}, names,
		"the plan's own motor stands among them; scrap and pulleys do not")
	top := r.Candidates[0]
	assert.Equal(t, 1, top.JobsDone)
	assert.Equal(t, "the plan's own", top.ControlBy[len(top.ControlBy)-len("the plan's own"):])
	assert.Len(t, r.Why, 2)
	assert.Contains(t, r.Why[0], "strong does the job at")
	last := r.Candidates[3]
	assert.False(t, last.Tried)
	assert.NotEmpty(t, last.Missing)
	require.NotEmpty(t, top.SameTop)
	assert.InEpsilon(t, 120, top.SameTop[len(top.SameTop)-1].RPM, 1e-3, "geared to the fastest speed a job asks for")
	assert.InEpsilon(t, 1750/3.55, top.SameRatio[len(top.SameRatio)-1].RPM, 0.02, "through the plan's own belt")
}

// The ratio offered is the best there is: no finer comb of ratios does better.
func TestRankingFindsTheBestRatio(t *testing.T) {
	in := plantest.Sound()
	in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: "fast", Name: "Fast",
		Speed: work.SpeedBand{From: "200", To: "400"},
		Load:  work.Load{Torque: "1.2 N·m"}})
	in.Shelf = []shelf.Item{onShelf("hoist", dcMotor("3/4 hp", "1750 rpm", "4.1 A"))}
	for _, c := range ranked(t, in).Candidates {
		margin := math.Inf(1)
		for i, job := range c.model.Machine.Jobs {
			margin = min(margin, c.model.Best(&c.model.Machine.Jobs[i], []reduction.Position{{Ratio: c.RatioOf,
				Efficiency: c.model.Reduction.Positions[0].Efficiency}}).Worth(job.Margin))
			assert.Equal(t, c.Jobs[i].Name, job.Name)
		}
		best, bestDone := 0.0, 0
		for k := range 4000 {
			ratio := 0.2 * math.Pow(300/0.2, float64(k)/3999)
			worst, done := math.Inf(1), 0
			for i, job := range c.model.Machine.Jobs {
				f := c.model.Best(&c.model.Machine.Jobs[i], []reduction.Position{{Ratio: ratio,
					Efficiency: c.model.Reduction.Positions[0].Efficiency}})
				worst = min(worst, f.Worth(job.Margin))
				if f.Outcome.Done() {
					done++
				}
			}
			if _, high := c.model.Powered.Span(); high/ratio <= c.model.TopSpeed &&
				(done > bestDone || done == bestDone &&
					worst > best) {
				best, bestDone = worst, done
			}
		}
		assert.Equal(t, bestDone, c.JobsDone, c.Name)
		assert.GreaterOrEqual(t, margin, best*0.985, "%s: within what the speed tolerance makes", c.Name)
	}
}

func TestRankingTakesAControlThatIsOnHand(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control = control.Described{}
	in.Plan.Motor = motor.Described{}
	m := onShelf("hoist", dcMotor("3/4 hp", "1750 rpm", "4.1 A"))
	m.Cost = "£35"
	small := shelf.Item{ID: "small", Sort: shelf.Control, Cost: "5",
		Control: control.Described{Name: "Small drive", Kind: control.PhaseAngle,
			Amps: "2 A"}}
	large := shelf.Item{ID: "large", Sort: shelf.Control, Cost: "25",
		Control: control.Described{Name: "Large drive", Kind: control.PhaseAngle,
			Amps: "10 A"}}
	in.Shelf = []shelf.Item{m, small, large}
	top := ranked(t, in).Candidates[0]
	assert.Equal(t, "Large drive, on the shelf", top.ControlBy)
	assert.Equal(t, "£60", top.Cost)
	in.Shelf = in.Shelf[:2]
	top = ranked(t, in).Candidates[0]
	assert.Empty(t, top.Cost, "nobody knows yet what the drive will cost")
	assert.Contains(t, top.Effort[0], "buy a PWM drive", "a PWM drive heats it least")
	assert.Equal(t, "4.1 A", string(q.Written(4.1, "A")))
	assert.Equal(t, "1400 rpm", string(q.Written(1404, "rpm")), "no exponent")
}

// What is tried is put in the plan as it stands: it has to be one that can be saved, its limit one the drive bears.
func TestAControlTriedCanBePutInThePlan(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Control = control.Described{}
	drive := shelf.Item{ID: "drive", Sort: shelf.Control,
		Control: control.Described{Name: "Drive", Kind: control.PhaseAngle, Amps: "4.5 A"}}
	in.Shelf = append(fiftyMotors(), onShelf("hoist", dcMotor("3/4 hp", "1750 rpm", "4.1 A")), drive)
	seen := 0
	for _, c := range ranked(t, in).Candidates {
		if c.Uses != nil {
			assert.NotNil(t, c.Uses.Marks, c.Name)
		}
		if c.Uses != nil && c.Uses.Name == "Drive" && c.Name == "hoist" {
			seen++
			assert.Equal(t, "4.5 A", string(c.Uses.LimitAmps))
		}
	}
	assert.Equal(t, 1, seen)
	tried, err := Controls(in)
	require.NoError(t, err)
	for _, c := range tried.Tried {
		assert.NotNil(t, c.Uses.Marks, c.Name)
	}
}

// A guess ranks behind the same motor measured.
func TestAMeasuredMotorBeatsTheSameGuessed(t *testing.T) {
	in := plantest.Sound()
	in.Plan.Motor = motor.Described{}
	guessed := dcMotor("1/2 hp", "", "2.8 A")
	guessed.Body.Diameter = "102 mm"
	measured := dcMotor("1/2 hp", "2200 rpm", "2.8 A")
	in.Shelf = []shelf.Item{onShelf("guessed", guessed), onShelf("measured", measured)}
	r := ranked(t, in)
	assert.Equal(t, "measured", r.Candidates[0].Name)
	assert.Positive(t, r.Candidates[1].Spread)
	assert.Contains(t, fmt.Sprint(r.Candidates[1].Effort), "measure it")
}

func TestEveryKindOnTheShelfIsTriedOrSaysWhatItLacks(t *testing.T) {
	in := plantest.Sound()
	in.Shelf = fiftyMotors()
	in.Plan.Supply.Phases = "1"
	kinds := map[motor.Kind]bool{}
	for _, c := range ranked(t, in).Candidates {
		assert.True(t, c.Tried != (len(c.Missing) > 0), c.Name)
		if c.Tried {
			kinds[c.Kind] = true
			assert.Len(t, c.Jobs, len(in.Machine.Jobs))
		}
	}
	assert.GreaterOrEqual(t, len(kinds), 9)
}

// fiftyMotors is a full shelf of many kinds, some read, some measured, some guessed.
func fiftyMotors() []shelf.Item {
	var out []shelf.Item
	for i := range 50 {
		size := 1 + 0.13*float64(i)
		plate := motor.Plate{Power: q.Text(fmt.Sprintf("%.0f W", 150*size)), Speed: "1425 rpm", Volts: "230 V",
			Amps: q.Text(fmt.Sprintf("%.2f A", 1.4*size)), Hertz: "50 Hz",
			PowerFactor: "0.72"}
		m := motor.Described{Kind: motor.Profiles()[i%13].Kind, Plate: plate, ThermalSwitch: "none"}
		switch m.Kind.Family() {
		case motor.DCFamily:
			m.Plate = motor.Plate{Power: plate.Power, Speed: "2600 rpm", Volts: "180 V",
				Amps: q.Text(fmt.Sprintf("%.2f A",
					1.1*size))}
			m.Readings = []motor.Reading{{Sort: "open", Volts: "62 V", Speed: "1000 rpm"},
				{Sort: "resistance", Ohms: q.Text(fmt.Sprintf("%.2f Ω", 9/size))}}
		case motor.SeriesFamily:
			m.Plate.Speed = "11000 rpm"
		case motor.StepperFamily:
			m.Plate = motor.Plate{HoldingTorque: "2 N·m", Amps: "3 A", Inductance: "3 mH", Volts: "36 V"}
		}
		out = append(out, onShelf(fmt.Sprintf("motor %d", i), m))
	}
	return out
}

// The quality bar: 50 motors over 6 jobs within 250 ms.
func BenchmarkRank(b *testing.B) {
	in := plantest.Sound()
	in.Machine.Jobs = nil
	for i := range 6 {
		in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: fmt.Sprint(i), Name: fmt.Sprint("Job ", i),
			Speed: work.SpeedBand{From: q.Text(fmt.Sprint(30 + 40*i)), To: q.Text(fmt.Sprint(90 + 60*i))},
			Load: work.Load{Torque: q.Text(fmt.Sprintf("%d N·m",
				9-i))}})
	}
	in.Shelf = fiftyMotors()
	if r := ranked(b, in); len(r.Candidates) != 51 {
		b.Fatal("the benchmark must rank the whole shelf")
	}
	b.ReportAllocs()
	for b.Loop() {
		if _, err := Motors(in); err != nil {
			b.Fatal(err)
		}
	}
}
