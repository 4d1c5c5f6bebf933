package practice

import (
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/fault"
	f "jiriki/core/finding"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

const seeds = 40

// worldOf is the hidden side of an exercise, for tests to hold the bench against.
func worldOf(t testing.TB, id string, seed uint32) map[string]truth {
	t.Helper()
	w := hidden(id, seed)
	require.NotNil(t, w)
	return w.truth
}

func at(t testing.TB, asked Asked) Bench {
	t.Helper()
	b, err := At(asked)
	require.NoError(t, err)
	return b
}

// truly are the answers that are right.
func truly(truths map[string]truth) (out []Answer) {
	for id, one := range truths {
		given := q.Text(one.choice)
		if one.choice == "" {
			given = q.Text(strconv.FormatFloat(one.figure, 'g', -1, 64) + " " + one.unit)
		}
		out = append(out, Answer{id, given})
	}
	return out
}

func TestThereAreADozenExercisesAtLeast(t *testing.T) {
	assert.GreaterOrEqual(t, len(Exercises()), 12)
	seen := map[string]bool{}
	for _, e := range Exercises() {
		assert.False(t, seen[e.ID])
		seen[e.ID] = true
	}
}

// Of every exercise and seed: what is true is marked right, anything else is not, every act comes to something, and the
// same asked again is the same.
func TestBenchesAreFairAndRepeat(t *testing.T) {
	for _, e := range Exercises() {
		for seed := range uint32(seeds) {
			b := at(t, Asked{Exercise: e.ID, Seed: seed})
			require.NotEmpty(t, b.Task, e.ID)
			require.NotEmpty(t, b.Acts, e.ID)
			require.NotEmpty(t, b.Blanks, e.ID)
			truths := worldOf(t, e.ID, seed)
			require.Len(t, truths, len(b.Blanks), e.ID)
			right := at(t, Asked{Exercise: e.ID, Seed: seed, Answers: truly(truths)})
			assert.True(t, right.Mark.Right, "%s %d: %+v", e.ID, seed, right.Mark)
			assert.NotEmpty(t, right.Mark.Better, "%s: nothing was measured, so it was guessed", e.ID)
			for _, blank := range b.Blanks {
				wrong := q.Text("1e6")
				if blank.Unit == "" {
					for _, c := range blank.Choices {
						if c.ID != truths[blank.ID].choice {
							wrong = q.Text(c.ID)
						}
					}
				}
				out := at(t, Asked{Exercise: e.ID, Seed: seed, Answers: []Answer{{blank.ID, wrong}}})
				assert.False(t, out.Mark.Right, "%s: %s %s", e.ID, blank.ID, wrong)
				assert.NotEqual(t, f.Good, out.Mark.Level, "no good mark for what is wrong")
			}
			var deeds []Deed
			for _, a := range b.Acts {
				deeds = append(deeds, Deed{a.ID, "3"})
			}
			asked := Asked{Exercise: e.ID, Seed: seed, Deeds: deeds}
			once, again := at(t, asked), at(t, asked)
			assert.Equal(t, once, again, "%s repeats by its seed", e.ID)
			for i, c := range once.Came {
				assert.NotEmpty(t, c.Shows, "%s: %s", e.ID, deeds[i].Act)
				assert.NotContains(t, c.Shows, "NaN")
				assert.NotContains(t, c.Shows, "—")
			}
		}
	}
}

func TestSeedsDiffer(t *testing.T) {
	for _, e := range Exercises() {
		different := map[string]bool{}
		for seed := range uint32(seeds) {
			b := at(t, Asked{Exercise: e.ID, Seed: seed})
			different[b.Task+fmt.Sprint(b.Acts, worldOf(t, e.ID, seed))] = true
		}
		assert.GreaterOrEqual(t, len(different), 3, e.ID)
	}
}

// What hurts is marked as such however right the answer, and only what hurts.
func TestWhatHurtsIsAStop(t *testing.T) {
	for _, c := range []struct {
		exercise string
		deeds    []Deed
		hurts    bool
	}{
		{"leads", []Deed{{"rb", ""}, {"plug", ""}}, true}, {"leads", []Deed{{"rb", ""}, {"rw", ""}, {"bw", ""}}, false},
		{"capacitor", []Deed{{"measure", ""}}, true}, {"capacitor", []Deed{{"discharge", ""}, {"measure", ""}}, false},
		{"capacitor", []Deed{{"discharge", ""}, {"warm", ""}, {"measure", ""}}, true}, {"capacitor", []Deed{{"short",
			""}}, true},
		{"fuse", []Deed{{"bridge", ""}}, true}, {"fuse", []Deed{{"plate", ""}}, false},
		{"constants", []Deed{{"locked", "120 V"}}, true}, {"constants", []Deed{{"locked", "0.5"}}, false},
		{"order", []Deed{{"lamp", ""}}, true}, {"order", []Deed{{"unplug", ""}, {"earth", ""}}, false},
		{"order", []Deed{{"unplug", ""}, {"belt", ""}}, true}, {"start", []Deed{{"again", ""}, {"again", ""},
			{"again", ""}}, true},
		{"fault", []Deed{{"volts-in", ""}}, true}, {"fault", []Deed{{"by-hand", ""}}, false},
	} {
		out := at(t, Asked{Exercise: c.exercise, Seed: 5, Deeds: c.deeds, Answers: truly(worldOf(t, c.exercise, 5))})
		assert.Equal(t, c.hurts, len(out.Mark.Hurts) > 0, "%s %v: %v", c.exercise, c.deeds, out.Mark.Hurts)
		if c.hurts {
			assert.Equal(t, f.Stop, out.Mark.Level, c.exercise)
		}
	}
	// The whole order, taken as it should be, hurts nobody.
	var deeds []Deed
	for _, id := range strings.Fields("unplug clamp earth insulation knob lamp slow full stop release belt") {
		deeds = append(deeds, Deed{id, ""})
	}
	out := at(t, Asked{Exercise: "order", Seed: 3, Deeds: deeds, Answers: []Answer{{"ready", "yes"}}})
	assert.Equal(t, "Right", out.Mark.Title)
	// A knob wired backwards, tried with the belt on, is a full start.
	for seed := range uint32(seeds) {
		if worldOf(t, "knob", seed)["knob"].choice == "backwards" {
			out := at(t, Asked{Exercise: "knob", Seed: seed, Deeds: []Deed{{"run", "0"}}, Answers: []Answer{{"knob",
				"backwards"}}})
			assert.Equal(t, f.Stop, out.Mark.Level)
		}
	}
}

// numberIn is the first number of a text as it is shown.
func numberIn(t testing.TB, text string) float64 {
	t.Helper()
	clean := strings.NewReplacer("\u202f", " ", "−", "-").Replace(text)
	for _, field := range strings.Fields(clean) {
		if v, err := strconv.ParseFloat(strings.TrimSuffix(field, ","), 64); err == nil {
			return v
		}
	}
	t.Fatalf("no number in %q", text)
	return 0
}

// solve answers an exercise from what the bench shows alone, as its "better" tells to.
var solve = map[string]func(t *testing.T, seed uint32) ([]Deed, []Answer){
	"constants": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"open", "2500"}, {"ohms", ""}, {"ohms", ""}, {"ohms", ""}, {"free", "40"}, {"free", "45"}}
		b := at(t, Asked{Exercise: "constants", Seed: seed, Deeds: deeds})
		ke := numberIn(t, b.Came[0].Shows) / (2500 * q.RPM)
		ohms := (numberIn(t, b.Came[1].Shows) + numberIn(t, b.Came[2].Shows) + numberIn(t, b.Came[3].Shows)) / 3
		loss := ke * (numberIn(t, b.Came[4].Shows) + numberIn(t, b.Came[5].Shows)) / 2
		return deeds, []Answer{{"ke", text(ke)}, {"ohms", text(ohms)}, {"loss", text(loss)}}
	},
	"leads": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"rb", ""}, {"rw", ""}, {"bw", ""}}
		b := at(t, Asked{Exercise: "leads", Seed: seed, Deeds: deeds})
		rb, rw, bw := numberIn(t, b.Came[0].Shows), numberIn(t, b.Came[1].Shows), numberIn(t, b.Came[2].Shows)
		switch max(rb, rw, bw) {
		case rb: // white is common
			return deeds, []Answer{{"common", "white"}, {"start", higher("red", rw, "black", bw)}}
		case rw:
			return deeds, []Answer{{"common", "black"}, {"start", higher("red", rb, "white", bw)}}
		}
		return deeds, []Answer{{"common", "red"}, {"start", higher("black", rb, "white", rw)}}
	},
	"strobe": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		task := at(t, Asked{Exercise: "strobe", Seed: seed}).Task
		fastest := numberIn(t, task[strings.Index(task, "than")+4:])
		var deeds []Deed
		// As a hand turns the dial: down by half a hundredth at a time, until one image stands.
		for rate := fastest; rate > 300; rate *= 0.9985 {
			look := at(t, Asked{Exercise: "strobe", Seed: seed, Deeds: []Deed{{"flash", text(rate)}}})
			if strings.HasPrefix(look.Came[0].Shows, "one image standing") {
				deeds = append(deeds, Deed{"flash", text(rate)}, Deed{"flash", text(2 * rate)})
				return deeds, []Answer{{"rpm", text(rate)}}
			}
		}
		t.Fatal("nothing stood")
		return nil, nil
	},
	"settle": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		var deeds []Deed
		for range 18 {
			deeds = append(deeds, Deed{"wait", ""})
		}
		b := at(t, Asked{Exercise: "settle", Seed: seed, Deeds: deeds})
		read := func(i int) float64 { _, after, _ := strings.Cut(b.Came[i].Shows, ": "); return numberIn(t, after) }
		mean := func(i int) float64 { return (read(i-1) + read(i) + read(i+1)) / 3 }
		a, m, z := mean(2), mean(9), mean(16)
		return deeds, []Answer{{"settles", text((a*z - m*m) / (a + z - 2*m))}}
	},
	"fuse": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"plate", ""}}
		b := at(t, Asked{Exercise: "fuse", Seed: seed, Deeds: deeds})
		plate := numberIn(t, b.Came[0].Shows)
		for _, c := range b.Blanks[0].Choices {
			if v := numberIn(t, c.Name); v >= 1.25*plate {
				return deeds, []Answer{{"fuse", q.Text(c.ID)}}
			}
		}
		return deeds, nil
	},
	"plate": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"free", "180"}}
		b := at(t, Asked{Exercise: "plate", Seed: seed, Deeds: deeds})
		parts := strings.Split(b.Task, ",")
		hp, volts, amps := numberIn(t, strings.SplitN(parts[0], ": ", 2)[1]), numberIn(t, parts[1]), numberIn(t,
			parts[2])
		speed, free := numberIn(t, parts[3]), numberIn(t, b.Came[0].Shows)
		answer := "none"
		switch {
		case hp*q.Horsepower > 0.95*volts*amps:
			answer = "power"
		case free/speed > 1.3 || free/speed < 0.95:
			answer = "speed"
		}
		return deeds, []Answer{{"lie", q.Text(answer)}}
	},
	"two": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"weigh", ""}}
		b := at(t, Asked{Exercise: "two", Seed: seed, Deeds: deeds})
		need := 0.2 * numberIn(t, b.Came[0].Shows)
		_, rest, _ := strings.Cut(b.Task, "through ")
		ratio := numberIn(t, rest)
		holds := func(mark string) float64 {
			_, plate, _ := strings.Cut(b.Task, mark)
			power, speed, _ := strings.Cut(plate, " at ")
			watts := numberIn(t, power)
			if strings.Contains(strings.SplitN(power, ";", 2)[0], "kW") {
				watts *= 1000
			}
			return watts / (numberIn(t, speed) * q.RPM)
		}
		if a, bb := holds("A, "), holds("B, "); a*ratio >= need && bb*ratio < need {
			return deeds, []Answer{{"which", "a"}}
		}
		return deeds, []Answer{{"which", "b"}}
	},
	"capacitor": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"discharge", ""}, {"measure", ""}, {"warm", ""}, {"discharge", ""}, {"measure", ""}}
		b := at(t, Asked{Exercise: "capacitor", Seed: seed, Deeds: deeds})
		_, after, _ := strings.Cut(b.Task, "marked ")
		marked := numberIn(t, after)
		if strings.Contains(b.Came[1].Shows, "open") {
			return deeds, []Answer{{"cap", "open"}}
		}
		switch cold, warm := numberIn(t, b.Came[1].Shows), numberIn(t, b.Came[4].Shows); {
		case cold < 0.8*marked:
			return deeds, []Answer{{"cap", "low"}}
		case warm < 0.8*marked:
			return deeds, []Answer{{"cap", "warm"}}
		}
		return deeds, []Answer{{"cap", "sound"}}
	},
	"start": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"scale", ""}, {"wheels", ""}, {"plate", ""}, {"socket", ""}}
		b := at(t, Asked{Exercise: "start", Seed: seed, Deeds: deeds})
		pull := numberIn(t, b.Came[0].Shows)
		_, wheels, _ := strings.Cut(b.Came[1].Shows, "so ")
		ratio := numberIn(t, wheels)
		if strings.HasPrefix(wheels, "1\u202f:") {
			_, to, _ := strings.Cut(wheels, ":")
			ratio = 1 / numberIn(t, to)
		}
		switch volts := numberIn(t, b.Came[3].Shows); {
		case volts < 0.85*230:
			return deeds, []Answer{{"why", "volts"}}
		case ratio < 1:
			return deeds, []Answer{{"why", "ratio"}}
		case pull > 15:
			return deeds, []Answer{{"why", "load"}}
		}
		return deeds, nil
	},
	"knob": func(t *testing.T, seed uint32) ([]Deed, []Answer) {
		deeds := []Deed{{"ohms", "0"}, {"ohms", "10"}, {"run-bare", "2"}}
		b := at(t, Asked{Exercise: "knob", Seed: seed, Deeds: deeds})
		if strings.Contains(b.Came[0].Shows, "open") {
			return deeds, []Answer{{"knob", "open"}}
		}
		switch low, high := numberIn(t, b.Came[0].Shows), numberIn(t, b.Came[1].Shows); {
		case low > high:
			return deeds, []Answer{{"knob", "backwards"}}
		case numberIn(t, b.Came[2].Shows) < 1:
			return deeds, []Answer{{"knob", "dead"}}
		}
		return deeds, []Answer{{"knob", "sound"}}
	},
}

func text(v float64) q.Text { return q.Text(strconv.FormatFloat(v, 'g', 6, 64)) }

func higher(a string, ra float64, b string, rb float64) q.Text {
	if ra > rb {
		return q.Text(a)
	}
	return q.Text(b)
}

// Each of these can be answered from what the bench shows alone, without a hurt, on nearly every seed: noise may take
// one
// now and then.
func TestExercisesCanBeSolved(t *testing.T) {
	for id, how := range solve {
		right := 0
		for seed := range uint32(seeds) {
			deeds, answers := how(t, seed)
			out := at(t, Asked{Exercise: id, Seed: seed, Deeds: deeds, Answers: answers})
			require.Empty(t, out.Mark.Hurts, "%s %d", id, seed)
			if out.Mark.Right {
				right++
			} else {
				t.Logf("%s %d: %+v", id, seed, out.Mark.Parts)
			}
		}
		assert.GreaterOrEqual(t, right, seeds*9/10, id)
	}
}

// A machine that is said not to start does not, in the dry run it comes from.
func TestWhatDoesNotStartDoesNot(t *testing.T) {
	for seed := range uint32(seeds) {
		task := at(t, Asked{Exercise: "start", Seed: seed}).Task
		assert.True(t, strings.Contains(task, "does not start") || strings.Contains(task, "not up to speed") ||
			strings.Contains(task, "goes off"), task)
	}
}

func TestWhatIsAskedIsChecked(t *testing.T) {
	_, err := At(Asked{Exercise: "soup"})
	require.Error(t, err)
	_, err = At(Asked{Exercise: "leads", Deeds: []Deed{{"soup", ""}}})
	require.Error(t, err)
	b := at(t, Asked{Exercise: "strobe", Deeds: []Deed{{"flash", "soup"}}})
	require.Len(t, b.Entries, 1)
	assert.Equal(t, "deeds[0].figure", b.Entries[0].Field)
	// The hidden fault is one its line can have.
	for seed := range uint32(seeds) {
		assert.True(t, slices.ContainsFunc(fault.Suspects(plantest.Switched(), "hums"), func(c fault.Cause) bool {
			return c.ID == worldOf(t, "fault", seed)["cause"].choice
		}))
	}
	assert.False(t, math.IsNaN(b.Minutes))
}
