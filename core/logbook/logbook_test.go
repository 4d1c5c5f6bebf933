package logbook

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	m "jiriki/core/measured"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

func saved() Saved {
	in := plantest.Sound()
	return Saved{Machine: in.Machine, Plan: in.Plan.Whole()}
}

func keys(list []Change) (out []string) {
	for _, c := range list {
		out = append(out, c.Key)
	}
	return out
}

func TestWhatWasSavedIsWrittenDown(t *testing.T) {
	names := Names{"setting.limit": {Name: "Current limit 4 A"}, "power.earth": {Name: "Earth from the plug's pin"}}
	before, after := saved(), saved()
	assert.Empty(t, Changes(before, after, names), "what is the same says nothing")

	after.Plan.Checks = []plan.Check{{ID: "setting.limit"}, {ID: "power.earth", Measured: "0.2 Ω"}, {ID: "buy.fuse"}}
	got := Changes(before, after, names)
	require.Equal(t, []string{"check.buy.fuse", "check.power.earth", "check.setting.limit"}, keys(got))
	assert.Equal(t, Entry{Sort: PowerUp, Title: "Earth from the plug's pin", Detail: "0.2 Ω"}, got[1].Entry)
	assert.Equal(t, Setting, got[2].Entry.Sort)
	assert.Equal(t, Fitted, got[0].Entry.Sort)
	back := Changes(after, before, names)
	require.Len(t, back, 3)
	for _, c := range back {
		assert.True(t, c.Gone, "a tick that is taken back strikes its entry out")
	}

	after = saved()
	after.Plan.Motor.Plate.Speed, after.Plan.Supply.Breaker = "1700 rpm", "16 A"
	got = Changes(before, after, nil)
	require.Equal(t, []string{"plan"}, keys(got))
	assert.Equal(t, "supply, motor", got[0].Entry.Detail)
	joined := got[0].Join(Entry{Sort: Plan, Detail: "motor, reduction"})
	assert.Equal(t, "motor, reduction, supply", joined.Detail)
}

// What fails in the power-up is written down as failed and stays so; half a figure is none.
func TestAFailedReadingIsWrittenDownAsFailed(t *testing.T) {
	reading := func(text string, open bool) Saved {
		s := saved()
		s.Plan.Checks = []plan.Check{{ID: "power.earth", Measured: text, Open: open}}
		return s
	}
	bad := Names{"power.earth": {Name: "Earth", Failed: "900 Ω is not right"}}
	good := Names{"power.earth": {Name: "Earth"}}
	got := Changes(saved(), reading("900 Ω", true), bad)
	require.Equal(t, []string{"check.power.earth", "check.power.earth.failed"}, keys(got))
	assert.True(t, got[0].Gone, "no tick stands beside it")
	assert.Equal(t, Entry{Sort: PowerUp, Title: "Failed: Earth", Detail: "900 Ω is not right"}, got[1].Entry)

	got = Changes(reading("900 Ω", true), reading("0.2 Ω", false), good)
	require.Equal(t, []string{"check.power.earth"}, keys(got), "what failed stays")
	assert.Equal(t, "0.2 Ω", got[0].Entry.Detail)

	got = Changes(reading("2", true), reading("230 V", false), good)
	require.Equal(t, []string{"check.power.earth", "check.power.earth.failed"}, keys(got))
	assert.False(t, got[0].Gone)
	assert.True(t, got[1].Gone, "2 was half of 230 V")
	for _, c := range Changes(saved(), reading("0.2 Ω", true), good) {
		assert.True(t, c.Gone, "read, and not ticked off")
	}
}

func TestTrialsAreWrittenDown(t *testing.T) {
	before, after := saved(), saved()
	after.Plan.Trials = []m.Trial{{ID: "a", Kind: m.Knob}}
	assert.Empty(t, Changes(before, after, nil), "a trial without a reading is none yet")
	after.Plan.Trials[0].Readings = []m.Reading{{Mark: "1"}, {Mark: "2"}}
	got := Changes(before, after, nil)
	require.Equal(t, []string{"trial.a"}, keys(got))
	assert.Equal(t, "2 readings", got[0].Entry.Detail)
	used := saved()
	used.Plan.Trials = []m.Trial{{ID: "a", Kind: m.Knob, Used: "2026-11-02", Readings: after.Plan.Trials[0].Readings}}
	got = Changes(after, used, nil)
	assert.Contains(t, keys(got), "let.a")
	got = Changes(used, after, nil)
	for _, c := range got {
		if c.Key == "let.a" {
			assert.True(t, c.Gone, "undone, it is struck out")
		}
	}
	for _, c := range Changes(used, before, nil) {
		assert.True(t, c.Gone)
	}
}

func TestAVerdictThatChangedKeepsWhatItWas(t *testing.T) {
	a, b, c := Judged{"Yes.", "2 of 3."}, Judged{"Yes.", "3 of 3."}, Judged{"No, one stop.", "3 of 3."}
	_, changed := VerdictChange(a, a)
	assert.False(t, changed)
	first, changed := VerdictChange(a, b)
	require.True(t, changed)
	then, _ := VerdictChange(b, c)
	joined := then.Join(first.Entry)
	assert.Equal(t, "2 of 3. Power: Yes.", joined.Before)
	assert.Equal(t, "Power: No, one stop.", joined.Detail)
}

func day(text string) time.Time {
	at, err := time.Parse("2006-01-02", text)
	if err != nil {
		panic(err)
	}
	return at
}

func dueOf(t *testing.T, in plan.Input, list []Entry, now string) map[string]Due {
	t.Helper()
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	out := map[string]Due{}
	for _, d := range DueOf(&s, list, day(now)) {
		out[d.Item] = d
	}
	return out
}

func TestUpkeepIsDueByHoursOrMonths(t *testing.T) {
	list := []Entry{
		{Happened: day("2026-01-10"), Sort: Note},
		{Happened: day("2026-02-01"), Sort: Hours, Hours: "30 h"},
		{Happened: day("2026-03-01"), Sort: Upkeep, Item: "belts"},
		{Happened: day("2026-03-20"), Sort: Hours, Hours: "45"},
		{Happened: day("2026-03-21"), Sort: Note, Hours: "soup"},
	}
	assert.InDelta(t, 75*3600, RunHours(list), 1e-9, "a bare number is hours, and nonsense none")
	got := dueOf(t, plantest.Sound(), list, "2026-04-01")
	assert.Equal(t, Soon, got["belts"].State)
	assert.InDelta(t, 45, got["belts"].Run, 1e-9, "since they were last done")
	assert.Equal(t, "2026-03-01", got["belts"].Since)
	assert.Equal(t, NotKnown, got["brushes"].State, "nobody wrote it down as done")
	got = dueOf(t, plantest.Sound(), list, "2026-09-10")
	assert.Equal(t, IsDue, got["belts"].State, "six months are over")
	assert.Equal(t, IsDue, got["stop"].State)
	// Only what the line has.
	assert.NotContains(t, dueOf(t, plantest.Inverted(), list, "2026-04-01"), "brushes")
	assert.Contains(t, dueOf(t, plantest.Switched(), list, "2026-04-01"), "switch")
	assert.NotContains(t, got, "battery")
	assert.Empty(t, dueOf(t, plantest.Sound(), nil, "2026-04-01")["belts"].Since)
}

func TestEntriesAreChecked(t *testing.T) {
	ok := Entry{Sort: Note, Happened: day("2026-11-02"), Title: "Oiled"}
	for _, c := range []struct {
		what  string
		entry func(e *Entry)
		field string
	}{
		{"sound", func(*Entry) {}, ""},
		{"a sort there is not", func(e *Entry) { e.Sort = "soup" }, "sort"},
		{"nothing said", func(e *Entry) { e.Title = " " }, "title"},
		{"a picture says enough", func(e *Entry) { e.Title, e.Pictures = "", []string{"x"} }, ""},
		{"no hours", func(e *Entry) { e.Sort = Hours }, "hours"},
		{"hours that are none", func(e *Entry) { e.Hours = "soup" }, "hours"},
		{"no day", func(e *Entry) { e.Happened = time.Time{} }, "happened"},
	} {
		e := ok
		c.entry(&e)
		r := q.NewReader("")
		e.Check(r)
		field, refused := r.Refused()
		assert.Equal(t, c.field != "", refused, c.what)
		assert.Equal(t, c.field, field, c.what)
	}
}
