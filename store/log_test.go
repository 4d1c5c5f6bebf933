package store_test

import (
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/work"
	"jiriki/store"
	"jiriki/store/storetest"
)

func entry(id, title string, at time.Time) logbook.Entry {
	return logbook.Entry{ID: id, Happened: at, Sort: logbook.Note, Plan: "A", Title: title}
}

const (
	idA = "00000000-0000-4000-8000-00000000000a"
	idB = "00000000-0000-4000-8000-00000000000b"
)

func all() store.LogFilter { return store.LogFilter{Most: 100} }

func TestAnEntrySentTwiceIsKeptOnce(t *testing.T) {
	s := storetest.Open(t)
	machine, _, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{}})
	require.NoError(t, err)
	at := time.Date(2026, 11, 2, 9, 30, 0, 0, time.UTC)
	require.NoError(t, s.AddEntry(ctx, machine, entry(idA, "Oiled the bearing", at)))
	require.NoError(t, s.AddEntry(ctx, machine, entry(idA, "another", at)))
	require.NoError(t, s.AddEntry(ctx, machine, entry(idB, "50 % slip", at.Add(time.Hour))))
	list, err := s.Log(ctx, machine, all())
	require.NoError(t, err)
	require.Len(t, list, 2)
	assert.Equal(t, "50 % slip", list[0].Title, "the last first")
	assert.Equal(t, "Oiled the bearing", list[1].Title)
	assert.Equal(t, "A", list[1].Plan)
	assert.Equal(t, at, list[1].Happened)
	assert.ErrorIs(t, s.AddEntry(ctx, idB, entry(idB, "", at)), store.ErrNotFound)

	found, err := s.Log(ctx, machine, store.LogFilter{Search: "OILED", Most: 10})
	require.NoError(t, err)
	assert.Len(t, found, 1)
	found, err = s.Log(ctx, machine, store.LogFilter{Search: "0 %", Most: 10})
	require.NoError(t, err)
	assert.Len(t, found, 1, "a sign is searched for as itself")
	found, err = s.Log(ctx, machine, store.LogFilter{Sorts: []string{"hours"}, Most: 10})
	require.NoError(t, err)
	assert.Empty(t, found)

	require.NoError(t, s.DeleteEntry(ctx, idA))
	list, err = s.Log(ctx, machine, all())
	require.NoError(t, err)
	assert.Len(t, list, 1)
	require.NoError(t, s.RestoreEntry(ctx, idA))
	now, err := s.Entry(ctx, idA)
	require.NoError(t, err)
	now.Title = "Oiled both"
	changed, err := s.SaveEntry(ctx, idA, now.Version, now.Entry)
	require.NoError(t, err)
	assert.Equal(t, "Oiled both", changed.Title)
	stale, err := s.SaveEntry(ctx, idA, now.Version, now.Entry)
	require.ErrorIs(t, err, store.ErrStale)
	assert.Equal(t, "Oiled both", stale.Title)
}

func TestASaveWritesWhatFollows(t *testing.T) {
	s := storetest.Open(t)
	machine, plans, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{}})
	require.NoError(t, err)
	tick := logbook.Change{Key: "check.x", Entry: logbook.Entry{Sort: logbook.Fitted, Title: "Fuse"}}
	save := func(version int, name string, changes ...logbook.Change) {
		_, err := s.SaveSheet(ctx, plans[0], version, 1, plan.Plan{Name: name}, work.Machine{Name: "Wheel"}.Whole(),
			func(before, now store.Sheet) []logbook.Change {
				assert.NotEqual(t, before.Plan.Described.Name, now.Plan.Described.Name)
				return changes
			})
		require.NoError(t, err)
	}
	changed := func(detail string) logbook.Change {
		return logbook.Change{Key: "plan", Together: true, Entry: logbook.Entry{Sort: logbook.Plan,
			Title:  "Plan changed",
			Detail: detail}}
	}
	save(1, "one", tick, changed("motor"))
	save(2, "two", tick, changed("supply"))
	list, err := s.Log(ctx, machine, all())
	require.NoError(t, err)
	require.Len(t, list, 2, "of one key one entry within the hour: %+v", list)
	for _, e := range list {
		assert.True(t, e.Itself)
		if e.Sort == logbook.Plan {
			assert.Equal(t, "motor, supply", e.Detail)
		}
	}
	tick.Gone = true
	save(3, "three", tick)
	list, err = s.Log(ctx, machine, all())
	require.NoError(t, err)
	assert.Len(t, list, 1)
}

func TestPicturesOfTheLog(t *testing.T) {
	s := storetest.Open(t)
	machine, _, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), nil)
	require.NoError(t, err)
	require.NoError(t, s.AddEntry(ctx, machine, entry(idA, "Look", time.Now())))
	require.NoError(t, s.AddLogPicture(ctx, idA, idB, []byte("jpeg"), []byte("small")))
	require.NoError(t, s.AddLogPicture(ctx, idA, idB, []byte("other"), []byte("other")), "sent twice")
	got, err := s.LogPicture(ctx, idB, false)
	require.NoError(t, err)
	assert.Equal(t, "jpeg", string(got))
	small, err := s.LogPicture(ctx, idB, true)
	require.NoError(t, err)
	assert.Equal(t, "small", string(small))
	e, err := s.Entry(ctx, idA)
	require.NoError(t, err)
	assert.Equal(t, []string{idB}, e.Pictures)
	assert.ErrorIs(t, s.AddLogPicture(ctx, idB, idA, nil, nil), store.ErrNotFound)
}

func TestInstrumentsHaveTokens(t *testing.T) {
	s := storetest.Open(t)
	id, err := s.AddInstrument(ctx, "abc", "tacho")
	require.NoError(t, err)
	one, err := s.Instrument(ctx, "abc")
	require.NoError(t, err)
	assert.Equal(t, "tacho", one.Name)
	assert.Equal(t, id, one.ID)
	_, err = s.Instrument(ctx, "abd")
	require.ErrorIs(t, err, store.ErrNotFound)
	for i := range store.MaxInstruments - 1 {
		_, err := s.AddInstrument(ctx, string(rune('A'+i)), "")
		require.NoError(t, err)
	}
	_, err = s.AddInstrument(ctx, "more", "")
	require.ErrorIs(t, err, store.ErrFull)
	require.NoError(t, s.DeleteInstrument(ctx, id))
	require.ErrorIs(t, s.DeleteInstrument(ctx, id), store.ErrNotFound)
}
