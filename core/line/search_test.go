package line

import (
	"encoding/json"
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// searching is the sound plan with a few jobs far apart.
func searching() SearchInput {
	in := SearchInput{Input: sound()}
	in.Machine.Jobs = []work.Job{
		{ID: "slow", Name: "Slow", Speed: work.SpeedBand{From: "20", To: "60"}, Load: work.Load{Torque: "9 N·m", From: "measured"}},
		{ID: "mid", Name: "Middling", Speed: work.SpeedBand{From: "70", To: "125"}, Load: work.Load{Torque: "5 N·m", From: "measured"}},
		{ID: "fast", Name: "Fast", Speed: work.SpeedBand{From: "110", To: "230"}, Load: work.Load{Torque: "2.1 N·m", From: "measured"}},
	}
	in.Machine.Limits.Spindle = "300 rpm"
	return in
}

func searched(t testing.TB, in SearchInput) SearchResult {
	t.Helper()
	out, err := Search(in, nil)
	require.NoError(t, err)
	return out
}

// withPulleys puts so many pulleys on the shelf and takes only those.
func withPulleys(n int, in SearchInput) SearchInput {
	in.Shelf = nil
	for i := range n {
		in.Shelf = append(in.Shelf, shelf.Item{ID: fmt.Sprint(i), Sort: shelf.Pulley, Wheel: shelf.Wheel{Diameter: q.Text(fmt.Sprintf("%d mm", 76+5*i)), Section: "A"}})
	}
	in.Ask.FromShelf = true
	return in
}

func sixJobs() SearchInput {
	in := searching()
	for i := range 3 {
		in.Machine.Jobs = append(in.Machine.Jobs, work.Job{ID: fmt.Sprint(i), Name: fmt.Sprint("Job ", i),
			Speed: work.SpeedBand{From: q.Text(fmt.Sprint(30 + 30*i)), To: q.Text(fmt.Sprint(50 + 40*i))}, Load: work.Load{Torque: q.Text(fmt.Sprintf("%d N·m", 6-i))}})
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
	t := newTrain(s)
	bounds, err := in.Ask.bounds(t, in.Shelf)
	if err != nil {
		b.Fatal(err)
	}
	l := &searcher{train: t, bounds: bounds}
	_, l.fastest = t.model.Span()
	for b.Loop() {
		brute(l)
	}
}

func TestSearchFindsWhatThePlanLacks(t *testing.T) {
	in := searching()
	now := assessed(t, in.Input)
	out := searched(t, in)
	require.NotEmpty(t, out.Found)
	best := out.Found[0]
	assert.Greater(t, best.JobsDone, now.JobsDone)
	assert.NotEmpty(t, best.Buy)
	in.Plan.Reduction = best.Plan
	taken := assessed(t, in.Input)
	assert.Equal(t, best.JobsDone, taken.JobsDone, "taking the answer gives what it said")
	assert.NotNil(t, found(taken, "reduction.guard.0"), "new belts are not guarded yet")
	assert.NotEmpty(t, out.Why)
	require.NotNil(t, out.Now)
	assert.Equal(t, now.JobsDone, out.Now.JobsDone)
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
			if !l.cones || f.stage.Kind.Toothed() {
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
func (l *searcher) bruteGrade(stages [][]*pair, logs ...float64) (done uint64, worst int8, trim bool) {
	keeps := 1.0
	for _, s := range stages {
		keeps *= s[0].family.blank.Keeps
	}
	g := &grades{jobs: len(l.Machine.Jobs), done: make([]uint64, len(logs)), trim: make([]bool, len(logs)), steps: make([]int8, len(logs)*len(l.Machine.Jobs)), worst: make([]int8, len(logs))}
	places := make([]int, len(logs))
	for i, log := range logs {
		nearest := math.Floor(log/gradeSpacing+0.5) * gradeSpacing
		positions := slices.Clone(l.keptPositions)
		for k := range positions {
			positions[k].Ratio *= math.Exp(nearest)
			positions[k].Keeps *= keeps
		}
		l.grade(g, i, positions)
		if places[i] = i; g.done[i] == 0 {
			return 0, 0, false
		}
	}
	return g.joined(places)
}

func (l *searcher) bruteOffer(all *front, stages [][]*pair, logs ...float64) {
	done, worst, trim := l.bruteGrade(stages, logs...)
	if done == 0 || !l.carriedBy(done, stages) {
		return
	}
	c := candidate{stages: stages, done: done, trim: trim, worst: worst, buy: partsOf(stages), changes: len(logs) - 1}
	for _, s := range stages {
		c.size += s[0].centre
	}
	all.offer(c)
}

// The search answers exactly what trying everything answers, on cases small enough to try everything.
func TestSearchEqualsBruteForce(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := searching()
		in.Plan = oneOf(t, "plan", sound(), inverted(), switched()).Plan
		in.Ask = SearchAsk{
			Kinds:     rapid.SampledFrom([][]string{{"v-A"}, {"poly-v-J"}, {"v-A", "poly-v-J"}, {"v-Z"}, {"chain-12.7"}, {"toothed-5"}}).Draw(t, "kinds"),
			Stages:    rapid.IntRange(1, 2).Draw(t, "stages"),
			Cones:     rapid.Bool().Draw(t, "cones"),
			FromShelf: true,
			CentreMax: q.Text(fmt.Sprintf("%d mm", rapid.IntRange(200, 700).Draw(t, "room"))),
		}
		for i := range rapid.IntRange(2, 6).Draw(t, "wheels") {
			in.Shelf = append(in.Shelf, shelf.Item{ID: fmt.Sprint(i), Sort: shelf.Pulley, Wheel: shelf.Wheel{
				Diameter: q.Text(fmt.Sprintf("%d mm", rapid.IntRange(40, 400).Draw(t, "size"))), Teeth: q.Text(fmt.Sprint(rapid.IntRange(10, 90).Draw(t, "teeth"))),
				Section: "A J Z 5 12.7",
			}})
		}
		if rapid.Bool().Draw(t, "belt") {
			in.Shelf = append(in.Shelf, shelf.Item{ID: "belt", Sort: shelf.Belt, Length: "1080 mm", Wheel: shelf.Wheel{Section: "A J"}})
		}
		in.Machine.Jobs[0].Load.Torque = q.Text(fmt.Sprintf("%d N·m", rapid.IntRange(1, 30).Draw(t, "torque")))
		if rapid.Bool().Draw(t, "no limit") {
			in.Machine.Limits.Spindle = ""
		}
		s, err := plan.Resolve(in.Input)
		require.NoError(t, err)
		tr := newTrain(s)
		b, err := in.Ask.bounds(tr, in.Shelf)
		require.NoError(t, err)
		l := &searcher{train: tr, bounds: b}
		_, l.fastest = tr.model.Span()
		want, got := brute(l), l.all().undominated()
		// A cone of three steps is looked at only where two leave a job over: not what is compared here.
		got = slices.DeleteFunc(got, func(c candidate) bool { return c.changes > 1 })
		require.Equal(t, len(want), len(got))
		for i := range want {
			assert.Equal(t, want[i].cell(), got[i].cell())
			assert.Equal(t, want[i].worst, got[i].worst)
			assert.InDelta(t, want[i].size, got[i].size, 1e-9)
		}
	})
}

// What the search gives keeps its own bounds, judged afresh by the assessment.
func TestSearchKeepsItsBounds(t *testing.T) {
	in := searching()
	in.Ask = SearchAsk{Cones: true, Kinds: []string{"v-A", "poly-v-J"}, CentreMax: "420 mm", Largest: "300 mm"}
	for _, f := range searched(t, in).Found {
		taken := in.Input
		taken.Plan.Reduction = f.Plan
		a := assessed(t, taken)
		for _, one := range a.Findings {
			assert.NotContains(t, one.ID, "reduction.wrap", f.Label)
			assert.NotContains(t, one.ID, "reduction.bend", f.Label)
			assert.NotContains(t, one.ID, "reduction.belt-speed", f.Label)
			assert.NotContains(t, one.ID, "reduction.cone", f.Label)
		}
		for _, s := range a.Drawing.Stages {
			assert.LessOrEqual(t, s.Centre, 420.1)
			for _, step := range s.Steps {
				assert.LessOrEqual(t, max(step.Driver, step.Driven), 300.1)
			}
		}
	}
}

func TestSearchKeepsTheStagesItIsToldTo(t *testing.T) {
	in := searching()
	in.Plan.Reduction.Stages = append(in.Plan.Reduction.Stages, reduction.DescribedStage{Kind: reduction.Spur, Steps: []reduction.DescribedStep{{Driver: "20", Driven: "60"}}})
	in.Ask = SearchAsk{Keep: 1, Stages: 1}
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
	in.Ask = SearchAsk{Kinds: []string{"rope"}, Stages: 3, CentreMin: "500 mm", CentreMax: "400 mm", Keep: 4, Largest: "wide"}
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

// No bounds, jobs or shelf, however strange, make a search or a build sheet fail otherwise than by
// naming a field, nor give a figure that is none.
func FuzzSearch(f *testing.F) {
	f.Add("80 mm", "280 mm", "400 mm", "60", "2 N·m", "v-A", "700 mm", uint8(2), true)
	f.Add("12", "300 mm", "", "0", "", "chain-12.7", "10 in", uint8(1), false)
	f.Add("-1", "1e308 m", "∞", "NaN", "1e-300", "rope", "0", uint8(9), true)
	f.Fuzz(func(t *testing.T, driver, driven, centre, speed, torque, kind, room string, stages uint8, cones bool) {
		in := searching()
		in.Plan.Reduction.Stages[0].Steps = []reduction.DescribedStep{{Driver: q.Text(driver), Driven: q.Text(driven)}}
		in.Plan.Reduction.Stages[0].Centre = q.Text(centre)
		in.Machine.Jobs = in.Machine.Jobs[:1]
		in.Machine.Jobs[0].Speed.To, in.Machine.Jobs[0].Load.Torque = q.Text(speed), q.Text(torque)
		in.Shelf = []shelf.Item{{ID: "p", Sort: shelf.Pulley, Wheel: shelf.Wheel{Diameter: q.Text(driver), Teeth: q.Text(driven), Section: kind}}, {ID: "b", Sort: shelf.Belt, Length: q.Text(centre), Wheel: shelf.Wheel{Section: "A"}}}
		in.Ask = SearchAsk{Kinds: []string{kind}, Stages: int(stages), Cones: cones, CentreMax: q.Text(room)}
		out, err := Search(in, nil)
		var fields q.FieldErrors
		if err != nil {
			require.ErrorAs(t, err, &fields)
			return
		}
		_, err = json.Marshal(out)
		require.NoError(t, err, "a figure that is no number")
		for _, found := range out.Found {
			assert.LessOrEqual(t, found.JobsDone, len(in.Machine.Jobs))
			taken := in.Input
			taken.Plan.Reduction = found.Plan
			_, err := PlanBuild(taken)
			require.NoError(t, err)
		}
	})
}
