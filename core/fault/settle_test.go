package fault

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
)

// anyLine is one of the lines of the tests, or one with half of it missing.
func anyLine(t *rapid.T) plan.Input {
	list := plantest.Sounds()
	in := list[rapid.IntRange(0, len(list)-1).Draw(t, "line")].Input
	switch rapid.IntRange(0, 5).Draw(t, "missing") {
	case 0:
		in.Plan.Control.Kind = ""
	case 1:
		in.Plan.Motor.Kind = ""
	case 2:
		in.Plan.Reduction.Stages = nil
	}
	return in
}

func anySymptom(t *rapid.T, v *view) string {
	of := v.symptoms()
	return of[rapid.IntRange(0, len(of)-1).Draw(t, "symptom")].ID
}

// Nothing is settled on the symptom alone.
func TestNothingIsSettledOnTheSymptom(t *testing.T) {
	for i, one := range plantest.Sounds() {
		if i%8 != 0 {
			continue // all of them take a minute with the race detector
		}
		for _, s := range must(t, one.Input).symptoms() {
			out, err := Judge(one.Input, Asked{Symptom: s.ID})
			require.NoError(t, err)
			assert.False(t, out.Settled, "%s, %s", one.What, s.ID)
			assert.NotNil(t, out.Next, "%s, %s: something is to be tried", one.What, s.ID)
		}
	}
}

// A test that decides and comes out sound clears its causes to under one in fifty; one read off a meter that finds what
// was to be expected settles it at once; one by eye, or a surprise, asks for a second look, and that settles it.
func TestWhatDecides(t *testing.T) {
	decides(t, "power hacksaw", "scooter motor on 24 V, a drum")
}

// decides holds every test of some lines that decides to what it says.
func decides(t *testing.T, lines ...string) {
	t.Helper()
	for _, what := range lines {
		in := lineOf(t, what)
		v := must(t, in)
		settled, once := 0, 0
		for i := range tests {
			one := &tests[i]
			for _, c := range v.possible {
				found := -1
				for k := range one.Outcomes {
					if one.Outcomes[k].says(c.ID) == decisive {
						found = k
					}
				}
				symptom := mainly(c, one)
				if found < 0 || !one.has(v) || symptom == "" {
					continue
				}
				where := what + ", " + one.ID + ", " + c.ID
				if one.Outcomes[0].ID == sound {
					out, err := Judge(in, Asked{Symptom: symptom, Done: []Done{{one.ID, sound}}})
					require.NoError(t, err, where)
					assert.Less(t, shareOf(out, c.ID), 0.02, where)
				}
				done := []Done{{one.ID, one.Outcomes[found].ID}}
				out, err := Judge(in, Asked{Symptom: symptom, Done: done})
				require.NoError(t, err, where)
				if out.Suspects[0].ID != c.ID || out.Suspects[0].Share < settledShare {
					continue // it decides for several, and another is likelier
				}
				of, _ := symptomOf(symptom)
				before, err := newSearch(v, &of, nil)
				require.NoError(t, err, where)
				atOnce := one.meter && before.belief[slices.Index(before.list, c)] >= expectedShare
				assert.Equal(t, atOnce, out.Settled, where)
				if settled++; atOnce {
					once++
				} else {
					require.NotNil(t, out.Next, where)
					out, err = Judge(in, Asked{Symptom: symptom, Done: append(done, done...)})
					require.NoError(t, err, where)
					assert.True(t, out.Settled, where+": seen twice")
				}
			}
		}
		assert.Greater(t, settled, 20, what)
		assert.Greater(t, once, 3, what)
	}
}

// mainly is a symptom a cause mostly shows that a test tells something of; empty where there is none.
func mainly(c *Cause, t *Test) string {
	for _, s := range strings.Fields(c.symptoms) {
		if id, main := strings.CutSuffix(s, "!"); main {
			if of, _ := symptomOf(id); t.tellsOf(&of) {
				return id
			}
		}
	}
	return ""
}

func shareOf(out Opinion, cause string) float64 {
	for _, s := range out.Suspects {
		if s.ID == cause {
			return s.Share
		}
	}
	return 0
}

// "Nothing to see" says little of what seldom shows.
func TestNothingToSeeSaysLittle(t *testing.T) {
	in := lineOf(t, "power hacksaw")
	before, err := Judge(in, Asked{Symptom: "hums"})
	require.NoError(t, err)
	after, err := Judge(in, Asked{Symptom: "hums", Done: []Done{{"look", sound}}})
	require.NoError(t, err)
	assert.Greater(t, shareOf(after, "start-cap"), 0.7*shareOf(before, "start-cap"))
}

// Where two that decide contradict each other one of them is asked again, and nothing is settled before that.
func TestContradictionsAreAskedAgain(t *testing.T) {
	in := lineOf(t, "potter's wheel, ½ hp at 180 V")
	done := []Done{{"belt", "slack"}, {"belt", sound}}
	out, err := Judge(in, Asked{Symptom: "squeal", Done: done})
	require.NoError(t, err)
	assert.False(t, out.Settled)
	found := Asked{Symptom: "wrong-way", Done: []Done{{"diagram", "crossed"}}}
	out, err = Judge(in, found)
	require.NoError(t, err)
	assert.False(t, out.Settled, "seen once")
	require.NotNil(t, out.Next)
	assert.Equal(t, "diagram", out.Next.ID)
	assert.Equal(t, seenOnce, out.Next.Again)
	saw := lineOf(t, "power hacksaw")
	out, err = Judge(saw, Asked{Symptom: "hums", Done: []Done{{"start-cap", "low"}, {"start-cap", sound}}})
	require.NoError(t, err)
	assert.False(t, out.Settled)
	out, err = Judge(saw, Asked{Symptom: "dead", Done: []Done{{"stop-button", "latched"}, {"stop-button", "latched"}}})
	require.NoError(t, err)
	assert.True(t, out.Settled)
	// The capacitor reads low, and yet the motor starts by itself without its belt: one of the two is asked again.
	against := []Done{{"start-cap", "low"}, {"spin-start", sound}}
	out, err = Judge(saw, Asked{Symptom: "hums", Done: against[:1]})
	require.NoError(t, err)
	assert.True(t, out.Settled)
	out, err = Judge(saw, Asked{Symptom: "hums", Done: against})
	require.NoError(t, err)
	assert.Equal(t, "start-cap", out.Suspects[0].ID)
	assert.False(t, out.Settled)
	require.NotNil(t, out.Next)
	assert.Equal(t, contradicts, out.Next.Again)
	out, err = Judge(saw, Asked{Symptom: "hums", Done: append(against, Done{"start-cap", "low"})})
	require.NoError(t, err)
	assert.True(t, out.Settled, "told twice against once")
}

// Nothing is asked for that has something switched on where that was said to be left off, or where what was found
// forbids it; and no meter goes on what is live while something dead would tell.
func TestNothingForbiddenIsAskedFor(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		in := anyLine(t)
		v, err := newView(in)
		require.NoError(t, err)
		symptom := anySymptom(t, v)
		of, _ := symptomOf(symptom)
		asked, off := Asked{Symptom: symptom}, of.off
		for range 8 {
			out, err := Judge(in, asked)
			require.NoError(t, err)
			assert.Equal(t, off, out.Off != "", symptom)
			all := out.Left
			if out.Next != nil {
				all = append([]Test{*out.Next}, all...)
			}
			for _, one := range all {
				assert.False(t, off && one.Danger.powered(), "%s is asked for with %s", one.ID, symptom)
			}
			if out.Next == nil {
				break
			}
			if out.Next.Danger == Live {
				for _, one := range out.Left {
					assert.Equal(t, Live, one.Danger, "%s first", one.ID)
				}
			}
			told := out.Next.Outcomes
			k := rapid.IntRange(-1, len(told)-1).Draw(t, "came")
			d := Done{Test: out.Next.ID}
			if k >= 0 {
				d.Outcome, off = told[k].ID, off || told[k].off
			}
			asked.Done = append(asked.Done, d)
			sum := 0.0
			for _, s := range out.Suspects {
				sum += s.Share
			}
			assert.LessOrEqual(t, sum, 1.001)
		}
	})
}

// What can hurt when it is switched on, by its name.
func TestFindingsThatKeepItOff(t *testing.T) {
	for _, one := range []struct{ on, symptom, test, outcome string }{
		{"power hacksaw", "hums", "insulation", "none"}, {"power hacksaw", "hums", "insulation", "low"},
		{"power hacksaw", "hums", "earth-ohms", "open"}, {"power hacksaw", "hums", "by-hand", "stuck"},
		{"power hacksaw", "hums", "winding-ohms", "short"}, {"power hacksaw", "dead", "look", "wet"},
		{"potter's wheel, ½ hp at 180 V", "full-at-zero", "knob-ohms", "open"},
		{"potter's wheel, ½ hp at 180 V", "full-at-zero", "bridge", "short"},
		{"potter's wheel, ½ hp at 180 V", "dead", "contacts", "welded"},
		{"wound field on a lathe", "over-amps", "winding-ohms", "field"},
		{"hub motor on 36 V, a mixer", "hunts", "sensors", "open"},
	} {
		out, err := Judge(lineOf(t, one.on), Asked{Symptom: one.symptom, Done: []Done{{one.test, one.outcome}}})
		require.NoError(t, err, one.test)
		assert.NotEmpty(t, out.Off, "%s %s", one.test, one.outcome)
	}
	for _, id := range []string{"trips-now", "fuse", "tingle", "starts-itself", "keeps-turning", "smell"} {
		of, _ := symptomOf(id)
		assert.True(t, of.off, id)
		assert.Regexp(t, "[Ll]eave it off|Do not use it", of.Stop, id)
	}
}
