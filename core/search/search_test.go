package search

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

func searching() Input { return Input{Input: plantest.FarApart()} }

func searched(t testing.TB, in Input) Result {
	t.Helper()
	out, err := Search(in, nil)
	require.NoError(t, err)
	return out
}

// withPulleys puts so many pulleys on the shelf and takes only those.
func withPulleys(n int, in Input) Input {
	in.Shelf = nil
	for i := range n {
		in.Shelf = append(in.Shelf, shelf.Item{ID: fmt.Sprint(i), Sort: shelf.Pulley,
			Wheel: shelf.Wheel{Diameter: q.Text(fmt.Sprintf("%d mm", 76+5*i)),
				Section: "A"}})
	}
	in.Ask.FromShelf = true
	return in
}

func sixJobs() Input {
	in := searching()
	for i := range 3 {
		in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: fmt.Sprint(i), Name: fmt.Sprint("Job ", i),
			Speed: work.SpeedBand{From: q.Text(fmt.Sprint(30 + 30*i)), To: q.Text(fmt.Sprint(50 + 40*i))},
			Load: work.Load{Torque: q.Text(fmt.Sprintf("%d N·m",
				6-i))}})
	}
	return in
}

// The quality bar: two stages over 60 pulley sizes on each of four shafts for 6 jobs in at most
// 300 ms and 64 MB.
func BenchmarkSearchTwoStage(b *testing.B) {
	in := withPulleys(60, sixJobs())
	in.Ask.Stages = 2
	b.ReportAllocs()
	for b.Loop() {
		out, err := Search(in, nil)
		if err != nil || len(out.Found) == 0 {
			b.Fatal(err, out)
		}
		b.ReportMetric(float64(out.Tried), "tried")
	}
}

// The quality bar: one stage in at most 5 ms.
func BenchmarkSearchOneStage(b *testing.B) {
	in := withPulleys(60, sixJobs())
	in.Ask.Stages = 1
	b.ReportAllocs()
	for b.Loop() {
		if _, err := Search(in, nil); err != nil {
			b.Fatal(err)
		}
	}
}

// What trying everything one by one takes, on 12 pulleys, beside the search on as many.
func BenchmarkSearchTwelve(b *testing.B) {
	in := withPulleys(12, sixJobs())
	for b.Loop() {
		if _, err := Search(in, nil); err != nil {
			b.Fatal(err)
		}
	}
}

func BenchmarkBruteForceTwelve(b *testing.B) {
	in := withPulleys(12, sixJobs())
	s, err := plan.Resolve(in.Input)
	if err != nil {
		b.Fatal(err)
	}
	t := line.New(s)
	bounds, err := in.Ask.bounds(t, in.Shelf, q.Metric)
	if err != nil {
		b.Fatal(err)
	}
	l := &searcher{Model: t, bounds: bounds}
	l.fastest = t.Powered.Top()
	for b.Loop() {
		brute(l)
	}
}

// What keeps the machine's limit by itself is not said to need a trim, and what is said not to does keep it.
func TestATrimIsAskedForOnlyWhereTheLimitIsPassed(t *testing.T) {
	in := searching()
	in.Machine.Limits.Spindle = "2000 rpm"
	s, err := plan.Resolve(in.Input)
	require.NoError(t, err)
	bounds, err := in.Ask.bounds(line.New(s), nil, q.Metric)
	require.NoError(t, err)
	l := &searcher{Model: line.New(s), bounds: bounds}
	g := l.gradesOver(0.5, 8, bounds.families[0])
	for i, trims := range g.trim {
		ratio := math.Exp(g.low + float64(i)*gradeSpacing)
		p := reduction.Position{Ratio: ratio, Unslipped: ratio * (1 - bounds.families[0].Blank.Slip)}
		assert.Equal(t, l.Top(&p) > l.TopSpeed*(1+line.SpeedTolerance), trims, "%.2f", ratio)
	}
	assert.True(t, g.trim[0])
	assert.False(t, g.trim[len(g.trim)-1])
}

// Toothed wheels are bought by their teeth, belts by their length in the units asked for.
func TestShoppingNamesPartsAsTheyAreSold(t *testing.T) {
	in := searching()
	in.Ask.Kinds, in.Ask.Stages, in.Units = []string{"toothed-5"}, 1, q.Inch
	in.Machine.Limits.Spindle = ""
	out := searched(t, in)
	require.NotEmpty(t, out.Found)
	buy := strings.Join(out.Found[0].Buy, "; ")
	assert.Regexp(t, `toothed pulleys \d+ teeth, \d+ teeth; toothed belt [\d.]+\x{202f}in`, buy)
}

// brute is every one- and two-stage reduction and cone within the bounds, judged one by one, with
// only what another beats in every respect taken out at the end.
func brute(l *searcher) []candidate {
	all, cones := newFront(), newFront()
	for _, f := range l.families {
		for _, p := range l.pairs(f) {
			l.bruteOffer(all, [][]*pair{{p}}, p.log)
			if !l.cones || f.Stage.Kind.Toothed() {
				continue
			}
			for _, c := range l.matching(p) {
				l.bruteOffer(cones, [][]*pair{c[:]}, c[0].log, c[1].log)
			}
		}
		for _, other := range l.families {
			if l.stages < 2 {
				continue
			}
			for _, p := range l.pairs(f) {
				for _, s := range l.pairs(other) {
					l.bruteOffer(all, [][]*pair{{p}, {s}}, p.log+s.log)
				}
			}
		}
	}
	needless := all.doneWithoutChange()
	for _, f := range l.families {
		for _, other := range l.families {
			if l.stages < 2 || !l.cones {
				continue
			}
			for _, p := range l.pairs(f) {
				for _, c := range l.conesOf(l.pairs(other)) {
					for _, stages := range [][][]*pair{{{p}, c[:]}, {c[:], {p}}} {
						if done, _, _ := l.bruteGrade(stages, p.log+c[0].log, p.log+c[1].log); !needless(done) {
							l.bruteOffer(cones, stages, p.log+c[0].log, p.log+c[1].log)
						}
					}
				}
			}
		}
	}
	for _, c := range cones.cells {
		all.offer(c)
	}
	return all.undominated()
}

// bruteGrade judges the positions afresh, on the ratios the grid would look them up at.
func (l *searcher) bruteGrade(stages [][]*pair, logs ...float64) (done uint64, worst int16, trim bool) {
	keeps, grip := 1.0, 1.0
	for _, s := range stages {
		keeps *= s[0].family.Blank.Efficiency
		grip *= 1 - s[0].family.Blank.Slip
	}
	g := &grades{jobs: len(l.Machine.Jobs), done: make([]uint64, len(logs)), trim: make([]bool, len(logs)),
		steps: make([]int16, len(logs)*len(l.Machine.Jobs)), worst: make([]int16,
			len(logs))}
	places := make([]int, len(logs))
	for i, log := range logs {
		nearest := math.Floor(log/gradeSpacing+0.5) * gradeSpacing
		positions := slices.Clone(l.keptPositions)
		for k := range positions {
			positions[k].Ratio *= math.Exp(nearest)
			positions[k].Unslipped *= math.Exp(nearest) * grip
			positions[k].Efficiency *= keeps
		}
		l.grade(g, i, positions)
		if places[i] = i; g.done[i] == 0 {
			return 0, 0, false
		}
	}
	return g.joined(places)
}

// bruteOffer judges a reduction as it truly comes out. Where its ratio lies so near the edge of a job's speeds that
// the grid has it otherwise, it is left out: that near nobody can tell.
func (l *searcher) bruteOffer(all *front, stages [][]*pair, logs ...float64) {
	done, _, trim := l.bruteGrade(stages, logs...)
	c, ok := l.judged(stages)
	if !ok || c.done&^done != 0 || trim && !c.trim {
		return
	}
	all.offer(c)
}

// The search answers exactly what trying everything answers, on cases small enough to try everything.
func TestSearchEqualsBruteForce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := searching()
		in.Plan = plantest.OneOf(t, "plan", plantest.Sound(), plantest.Inverted(), plantest.Switched()).Plan
		in.Ask = Ask{
			Kinds: rapid.SampledFrom([][]string{{"v-A"}, {"poly-v-J"}, {"v-A", "poly-v-J"}, {"v-Z"}, {"chain-12.7"},
				{"toothed-5"}}).Draw(t, "kinds"),
			Stages:    rapid.IntRange(1, 2).Draw(t, "stages"),
			Cones:     rapid.Bool().Draw(t, "cones"),
			FromShelf: true,
			CentreMax: q.Text(fmt.Sprintf("%d mm", rapid.IntRange(200, 700).Draw(t, "room"))),
		}
		for i := range rapid.IntRange(2, 6).Draw(t, "wheels") {
			in.Shelf = append(in.Shelf, shelf.Item{ID: fmt.Sprint(i), Sort: shelf.Pulley, Wheel: shelf.Wheel{
				Diameter: q.Text(fmt.Sprintf("%d mm", rapid.IntRange(40, 400).Draw(t, "size"))),
				Teeth: q.Text(fmt.Sprint(rapid.IntRange(10, 90).Draw(t,
					"teeth"))),
				Section: "A J Z 5 12.7",
			}})
		}
		if rapid.Bool().Draw(t, "belt") {
			in.Shelf = append(in.Shelf, shelf.Item{ID: "belt", Sort: shelf.Belt, Length: "1080 mm",
				Wheel: shelf.Wheel{Section: "A J"}})
		}
		in.Machine.Jobs[0].Load.Torque = q.Text(fmt.Sprintf("%d N·m", rapid.IntRange(1, 30).Draw(t, "torque")))
		if rapid.Bool().Draw(t, "no limit") {
			in.Machine.Limits.Spindle = ""
		}
		s, err := plan.Resolve(in.Input)
		require.NoError(t, err)
		tr := line.New(s)
		b, err := in.Ask.bounds(tr, in.Shelf, q.Metric)
		require.NoError(t, err)
		l := &searcher{Model: tr, bounds: b}
		l.fastest = tr.Powered.Top()
		want, got := brute(l), l.all().undominated()
		// A cone of three steps is looked at only where two leave a job over: not what is compared here.
		got = slices.DeleteFunc(got, func(c candidate) bool { return c.changes > 1 })
		for _, one := range want {
			assert.True(t, slices.ContainsFunc(got, func(c candidate) bool {
				return one.done&^c.done == 0 && c.changes <= one.changes && c.worst >= one.worst && c.buy <= one.buy &&
					len(c.stages) <= len(one.stages) && (!c.trim || one.trim)
			}), "nothing as good as %b, %d steps, %d to buy", one.done, one.worst, one.buy)
		}
		for _, one := range got {
			judged, ok := l.judged(one.stages)
			require.True(t, ok)
			assert.Equal(t, judged.cell(), one.cell(), "what is said of it is what it does")
			assert.Equal(t, judged.worst, one.worst)
		}
	})
}

func TestSearchKeepsTheStagesItIsToldTo(t *testing.T) {
	in := searching()
	in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, reduction.DescribedStage{Kind: reduction.Spur,
		Steps: []reduction.DescribedStep{{Driver: "20",
			Driven: "60"}}})
	in.Ask = Ask{Keep: 1, Stages: 1}
	out := searched(t, in)
	require.NotEmpty(t, out.Found)
	for _, f := range out.Found {
		require.Len(t, f.Plan.Stages, 2)
		assert.Equal(t, reduction.Spur, f.Plan.Stages[1].Kind)
	}
	require.NotNil(t, out.Simpler)
	assert.Len(t, out.Simpler.Plan.Stages, 1, "the gears alone")
}

func TestSearchPrefersTheShelf(t *testing.T) {
	in := searching()
	in.Shelf = []shelf.Item{
		{ID: "p", Sort: shelf.Pulley, Name: "Turned pulley", Wheel: shelf.Wheel{Diameter: "80 mm", Section: "A"}},
		{ID: "b", Sort: shelf.Belt, Name: "Belt", Length: "1120 mm", Wheel: shelf.Wheel{Section: "A"}},
	}
	var onHand []string
	for _, f := range searched(t, in).Found {
		onHand = append(onHand, f.OnHand...)
	}
	assert.Contains(t, strings.Join(onHand, "; "), "turned pulley 80 mm")
	in.Shelf = nil
	for _, f := range searched(t, in).Found {
		assert.Empty(t, f.OnHand)
	}
}

func TestSearchStopsWhenTold(t *testing.T) {
	calls := 0
	_, err := Search(searching(), func(float64) bool { calls++; return calls < 2 })
	assert.ErrorIs(t, err, ErrStopped)
}

func TestSearchRefusesBoundsItCannotUse(t *testing.T) {
	in := searching()
	in.Ask = Ask{Kinds: []string{"rope"}, Stages: 3, CentreMin: "500 mm", CentreMax: "400 mm", Keep: 4, Largest: "wide"}
	_, err := Search(in, nil)
	for _, field := range []string{"ask.kinds[0]", "ask.stages", "ask.centreMax", "ask.keep", "ask.largest"} {
		assert.ErrorContains(t, err, field)
	}
}

// With nothing to go on there is nothing to find, and no error.
func TestSearchWithoutJobsOrMotorIsEmpty(t *testing.T) {
	in := searching()
	in.Machine.Jobs = nil
	assert.Empty(t, searched(t, in).Found)
	in = searching()
	in.Plan.Motor.Kind = ""
	assert.Empty(t, searched(t, in).Found)
}

// A gear at the slow end gives back the torque that electronics alone lose: more than the ratio of
// the gears where the motor's own fan slows with it.
func TestGearsGiveBackWhatElectronicsLose(t *testing.T) {
	w := searched(t, searching()).Wide
	require.Len(t, w.Geared, 2)
	assert.Greater(t, w.Gain, 230.0/20/4)
	assert.NotEmpty(t, w.Alone)
}

// Where nothing can be judged yet nothing was looked for, and it is said what comes first, not that no motor will do.
func TestASearchWithoutAMotorSaysWhatComesFirst(t *testing.T) {
	in := plantest.Sounds()[0].Input
	in.Plan.Motor.Plate = motor.Plate{}
	r, err := Search(Input{Input: in, Ask: Ask{}}, nil)
	require.NoError(t, err)
	assert.Empty(t, r.Found)
	assert.Contains(t, r.Untold, "Motor")
	in.Machine.Jobs = nil
	r, err = Search(Input{Input: in, Ask: Ask{}}, nil)
	require.NoError(t, err)
	assert.Contains(t, r.Untold, "job")
	r, err = Search(Input{Input: plantest.Sounds()[0].Input, Ask: Ask{}}, nil)
	require.NoError(t, err)
	assert.Empty(t, r.Untold)
}
