package store_test

import (
	"testing"
	"time"

	"github.com/jmoiron/sqlx"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/openfile"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/store"
	"jiriki/store/storetest"
)

// What an older program does not know it would drop: it neither starts on newer documents nor goes on writing once a
// newer program has kept them, and the database holds it to that, and whoever names no version.
func TestAnOlderProgramCannotHarmNewerDocuments(t *testing.T) {
	url := storetest.URL(t)
	program := func(documents int) *store.Store {
		s, err := store.OpenKnowing(url, documents)
		require.NoError(t, err)
		t.Cleanup(func() { require.NoError(t, s.Close()) })
		return s
	}
	now := program(openfile.Version)
	require.NoError(t, now.Migrate(ctx))
	machine, plans, err := now.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{}})
	require.NoError(t, err)

	older := program(openfile.Version - 1)
	err = older.Migrate(ctx)
	require.ErrorIs(t, err, store.ErrNewer)
	assert.ErrorContains(t, err, "start a Jiriki that knows version 2")
	require.ErrorIs(t, older.Ping(ctx), store.ErrAway)

	newer := program(openfile.Version + 1)
	require.NoError(t, newer.Migrate(ctx))
	require.NoError(t, newer.Migrate(ctx), "again")
	for name, err := range map[string]error{
		"rename":   now.RenameMachine(ctx, machine, "Lathe"),
		"delete":   now.DeletePlan(ctx, plans[0]),
		"add":      func() error { _, _, err := now.AddMachine(ctx, work.Machine{}.Whole(), nil); return err }(),
		"an entry": now.AddEntry(ctx, machine, entry(idA, "Oiled", time.Now())),
		"a part":   func() error { _, err := now.AddShelfItems(ctx, []shelf.Item{{}}); return err }(),
		"import":   now.Import(ctx, openfile.File{Machines: []openfile.Machine{{}}}.Send),
	} {
		assert.ErrorIs(t, err, store.ErrNewer, name)
	}
	sheet, err := now.Sheet(ctx, plans[0])
	require.NoError(t, err, "it may still be read")
	assert.Equal(t, "Wheel", sheet.Machine.Described.Name)
	require.NoError(t, newer.RenameMachine(ctx, machine, "Lathe"))

	nobody, err := sqlx.Open("pgx", url)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, nobody.Close()) })
	_, err = nobody.Exec(`UPDATE plan SET described = '{}'`)
	assert.ErrorContains(t, err, "documents here are of version 3, the program knows 0")
}
