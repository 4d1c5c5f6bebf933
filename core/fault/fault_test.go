package fault

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

// Every name in the tables is one there is, every cause shows something and some test speaks of it, and every test says
// what is unplugged first.
func TestTheTablesHoldTogether(t *testing.T) {
	assert.GreaterOrEqual(t, len(causes), 110)
	ids, spoken := map[string]bool{}, map[string]bool{}
	for _, c := range causes {
		assert.False(t, ids[c.ID], "%s comes twice", c.ID)
		ids[c.ID] = true
		assert.NotEmpty(t, c.Mend+c.Replace, c.ID)
		assert.NotEmpty(t, c.Part, c.ID)
		assert.Contains(t, c.symptoms, "!", "%s mostly shows something", c.ID)
		for _, s := range strings.Fields(c.symptoms) {
			_, known := symptomOf(strings.TrimSuffix(s, "!"))
			assert.True(t, known, "%s shows %s", c.ID, s)
		}
		ids["@"+string(c.Station)] = true
	}
	seen := map[string]bool{}
	for i := range tests {
		one := &tests[i]
		assert.False(t, seen[one.ID], one.ID)
		seen[one.ID] = true
		require.GreaterOrEqual(t, len(one.Outcomes), 2, one.ID)
		for _, id := range strings.Fields(one.symptoms) {
			_, known := symptomOf(id)
			assert.True(t, known, "%s is made for %s", one.ID, id)
		}
		for _, o := range one.Outcomes {
			for c := range o.strengths {
				assert.True(t, ids[c], "%s %s: %s", one.ID, o.ID, c)
				spoken[c] = true
			}
		}
		told := one.told(must(t, plantest.Sound()))
		assert.Equal(t, one.Danger == Question, told.Expect == "", one.ID)
		assert.Equal(t, one.Danger != Question, one.Outcomes[0].ID == sound || one.Outcomes[0].strengths == nil, one.ID)
		switch one.Danger {
		case Question:
			assert.Equal(t, unasked, told.First, one.ID)
		case Dead:
			assert.Contains(t, told.First, "Pull the plug", one.ID)
		case Watched:
			assert.Contains(t, told.First, "nothing opened", one.ID)
		case Live:
			assert.Contains(t, told.First, "unplugged", one.ID)
		default:
			t.Errorf("%s has no danger", one.ID)
		}
	}
	var unspoken []string
	for _, c := range causes {
		if !spoken[c.ID] {
			unspoken = append(unspoken, c.ID)
		}
	}
	assert.Empty(t, unspoken, "no test speaks of these")
	for _, s := range symptoms {
		n := 0
		for i := range causes {
			if hasWord(causes[i].symptoms, s.ID+"!") {
				n++
			}
		}
		assert.Positive(t, n, "nothing mostly shows %s", s.ID)
	}
}

func plans() map[string]plan.Input {
	battery := plantest.Sound()
	battery.Plan.Supply.Phases, battery.Plan.Supply.Volts = "dc", "24 V"
	return map[string]plan.Input{"magnet motor": plantest.Sound(), "inverter": plantest.Inverted(),
		"line":        plantest.Switched(),
		"transformer": plantest.Transformed(), "battery": battery, "nothing yet": {Units: q.Metric}}
}

// Nobody is sent to a live terminal first, nor at all while a dead test would tell as much for what it costs.
func TestDeadAndUnpluggedComesFirst(t *testing.T) {
	for name, in := range plans() {
		for _, s := range symptoms {
			out, err := Judge(in, Asked{Symptom: s.ID})
			require.NoError(t, err)
			if out.Next != nil {
				assert.NotEqual(t, Live, out.Next.Danger, "%s, %s: %s", name, s.ID, out.Next.ID)
			}
		}
	}
}

func TestSymptomsAreKnownByTheirWords(t *testing.T) {
	for words, want := range map[string]string{
		"it just hums and doesn't turn": "hums", "sparking at the brushes": "sparks", "breaker trips as soon as I " +
			"switch it on": "trips-now",
		"I get a tingle off the frame": "tingle", "goes full speed even with the knob at zero": "full-at-zero",
		"belt screeches when it starts": "squeal", "bogs down in a heavy cut": "sags",
		"starts on its own when the power comes back": "starts-itself",
		"burning smell": "smell", "runs backwards": "wrong-way", "vibrates badly at 800 rpm": "shakes",
		"drive shows overvoltage when stopping": "over-volts",
	} {
		got := match(words, symptoms)
		require.NotEmpty(t, got, words)
		var ids []string
		for _, s := range got {
			ids = append(ids, s.ID)
		}
		assert.Contains(t, ids[:min(3, len(ids))], want, words)
	}
	assert.Empty(t, match("xyzzy", symptoms))
	assert.Empty(t, match("", symptoms))
}

func TestWhatIsAskedIsChecked(t *testing.T) {
	in := plantest.Sound()
	for _, asked := range []Asked{{Symptom: "soup"}, {Symptom: "dead", Done: []Done{{"soup", ""}}},
		{Symptom: "dead", Done: []Done{{"look", "soup"}}},
		{Symptom: "dead", Done: []Done{{"look", ""}, {"look", ""}, {"look", ""}, {"look", ""}}}} {
		_, err := Judge(in, asked)
		assert.Error(t, err, "%+v", asked)
	}
	out, err := Judge(in, Asked{Words: "dead"})
	require.NoError(t, err)
	assert.Nil(t, out.Chosen)
	assert.NotEmpty(t, out.Matched)
	// A plan that changed since refuses nothing: what was made for another symptom, for what the line has not, or
	// came out as it cannot on this line stands among what was tried, and teaches nothing.
	fresh, err := Judge(in, Asked{Symptom: "dead"})
	require.NoError(t, err)
	for _, d := range []Done{{"coasts", "slows"}, {"battery", "flat"}, {"links", "top"}} {
		stale, err := Judge(in, Asked{Symptom: "dead", Done: []Done{d}})
		require.NoError(t, err, d.Test)
		assert.Len(t, stale.Made, 1, d.Test)
		for i := range fresh.Suspects {
			assert.Equal(t, fresh.Suspects[i].ID, stale.Suspects[i].ID, d.Test)
			assert.InDelta(t, fresh.Suspects[i].Share, stale.Suspects[i].Share, 1e-12, d.Test)
		}
	}
	// What could not be told teaches nothing.
	a, err := Judge(in, Asked{Symptom: "sparks"})
	require.NoError(t, err)
	b, err := Judge(in, Asked{Symptom: "sparks", Done: []Done{{a.Next.ID, ""}}})
	require.NoError(t, err)
	for i := range a.Suspects {
		assert.Equal(t, a.Suspects[i].ID, b.Suspects[i].ID)
		assert.InDelta(t, a.Suspects[i].Share, b.Suspects[i].Share, 1e-9)
	}
	assert.NotEqual(t, a.Next.ID, b.Next.ID)
}

// Figures are the plan's own.
func TestExpectationsAreOfThisPlan(t *testing.T) {
	in := plantest.Sound()
	v, err := newView(in)
	require.NoError(t, err)
	assert.Contains(t, testOf("amps").told(v).Expect, "2.8\u202fA")
	assert.Contains(t, testOf("volts-in").told(v).Expect, "230\u202fV")
	assert.Contains(t, testOf("winding-ohms").told(v).Expect, v.show(v.Motor.DC.Resistance.Value, q.Resistance))
	// And only what the line has is asked about.
	assert.False(t, testOf("brushes").has(must(t, plantest.Inverted())))
	assert.True(t, testOf("start-cap").has(must(t, plantest.Switched())))
	assert.False(t, testOf("battery").has(v))
}

func must(t *testing.T, in plan.Input) *view {
	t.Helper()
	v, err := newView(in)
	require.NoError(t, err)
	return v
}

// What the plan knows counts: a release that is there or not, a brake resistor, the length of the lead, the breaker.
func TestWhatThePlanKnowsCounts(t *testing.T) {
	share := func(in plan.Input, symptom, cause string) float64 {
		out, err := Judge(in, Asked{Symptom: symptom})
		require.NoError(t, err)
		return shareOf(out, cause)
	}
	with := func(what string, change func(p *plan.Plan)) plan.Input {
		in := plantest.Copied(lineOf(t, what))
		change(&in.Plan)
		return in
	}
	const saw, lathe = "power hacksaw", "lathe, 2.2 kW"
	free := with(saw, func(p *plan.Plan) { p.Control.NoVolt = false })
	assert.Zero(t, share(lineOf(t, saw), "starts-itself", "no-release"))
	assert.Greater(t, share(free, "starts-itself", "no-release"), 0.3)
	braked := with(lathe, func(p *plan.Plan) { p.Control.BrakeOhms = "100 Ω" })
	assert.Zero(t, share(lineOf(t, lathe), "over-volts", "brake-resistor"))
	assert.Greater(t, share(braked, "over-volts", "brake-resistor"), 0.15)
	long := with(saw, func(p *plan.Plan) { p.Supply.Extension = true })
	short := with(saw, func(p *plan.Plan) { p.Supply.Cable = "4 m" })
	assert.Greater(t, share(long, "slow-start", "long-lead"), 2*share(lineOf(t, saw), "slow-start", "long-lead"))
	assert.Less(t, share(short, "slow-start", "long-lead"), share(lineOf(t, saw), "slow-start", "long-lead")/2)
	small := with(saw, func(p *plan.Plan) { p.Supply.Breaker = "4 A" })
	assert.Greater(t, share(small, "trips-now", "weak-breaker"), 1.5*share(lineOf(t, saw), "trips-now", "weak-breaker"))
}
