package store_test

import (
	"sync"
	"testing"
	"time"

	"github.com/jmoiron/sqlx"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/work"
	"jiriki/store"
	"jiriki/store/storetest"
)

// other is somebody else's connection to a database.
type other struct {
	t  *testing.T
	db *sqlx.DB
}

func besides(t *testing.T, url string) other {
	db, err := sqlx.Open("pgx", url)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, db.Close()) })
	return other{t, db}
}

// holds locks rows in a transaction of its own, until it is rolled back.
func (o other) holds(query string, args ...any) *sqlx.Tx {
	tx, err := o.db.Beginx()
	require.NoError(o.t, err)
	_, err = tx.Exec(query, args...)
	require.NoError(o.t, err)
	return tx
}

// waits returns once somebody waits for a lock.
func (o other) waits() {
	require.Eventually(o.t, func() bool {
		var n int
		err := o.db.Get(&n, `SELECT count(*) FROM pg_stat_activity WHERE datname = current_database()
			AND wait_event_type = 'Lock'`)
		return err == nil && n > 0
	}, 10*time.Second, 5*time.Millisecond)
}

// opened is a store, somebody else on its database, and a machine with a plan to save.
func opened(t *testing.T) (*store.Store, other, store.Sheet) {
	url := storetest.URL(t)
	s, err := store.Open(url)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	require.NoError(t, s.Migrate(ctx))
	_, plans, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{}})
	require.NoError(t, err)
	sheet, err := s.Sheet(ctx, plans[0])
	require.NoError(t, err)
	return s, besides(t, url), sheet
}

// saves changes the plan's name and writes an entry with it.
func saves(s *store.Store, sheet store.Sheet, name string) error {
	now, err := s.Sheet(ctx, sheet.Plan.ID)
	if err != nil {
		return err
	}
	now.Plan.Described.Name = name
	_, err = s.SaveSheet(ctx, now.Plan.ID, now.Plan.Version, now.Machine.Version, now.Plan.Described,
		now.Machine.Described, func(store.Sheet, store.Sheet) []logbook.Change {
			return []logbook.Change{{Key: "plan.name", Entry: logbook.Entry{Sort: "change", Title: name, Plan: "A"}}}
		})
	return err
}

// Machine, plan, log: in that order everywhere, or two would wait for each other for ever. What merely names a plan, as
// an entry does, is let by while it is held.
func TestAMachineIsHeldBeforeItsPlans(t *testing.T) {
	s, o, sheet := opened(t)
	first := o.holds(`SELECT 1 FROM machine WHERE id = $1 FOR UPDATE`, sheet.Machine.ID)
	done := make(chan error)
	go func() { done <- saves(s, sheet, "Saved") }()
	o.waits()
	_, err := first.Exec(`SELECT 1 FROM plan WHERE id = $1 FOR UPDATE NOWAIT`, sheet.Plan.ID)
	require.NoError(t, err, "who waits for the machine holds no plan")
	require.NoError(t, first.Rollback())
	require.NoError(t, <-done)

	named := o.holds(`SELECT 1 FROM plan WHERE id = $1 FOR KEY SHARE`, sheet.Plan.ID)
	require.NoError(t, saves(s, sheet, "Saved beside an entry"))
	require.NoError(t, named.Rollback())
}

// What the database gives up for another's sake is begun again, and nobody hears of it; only what it gives up each
// time is
// said to be busy.
func TestWorkGivenUpForAnothersSakeIsDoneAgain(t *testing.T) {
	s, o, sheet := opened(t)
	for _, statement := range []string{`CREATE SEQUENCE tries`,
		`CREATE FUNCTION give_up() RETURNS trigger LANGUAGE plpgsql AS $$ DECLARE n bigint := nextval('tries'); BEGIN
			IF n = 1 THEN RAISE EXCEPTION 'a deadlock' USING ERRCODE = '40P01'; END IF;
			IF n = 2 OR n > 3 THEN RAISE EXCEPTION 'cannot be serialized' USING ERRCODE = '40001'; END IF;
			RETURN NEW; END $$`,
		`CREATE TRIGGER give_up BEFORE UPDATE ON plan FOR EACH ROW EXECUTE FUNCTION give_up()`} {
		_, err := o.db.Exec(statement)
		require.NoError(t, err)
	}
	require.NoError(t, saves(s, sheet, "Saved after all"))
	now, err := s.Sheet(ctx, sheet.Plan.ID)
	require.NoError(t, err)
	assert.Equal(t, "Saved after all", now.Plan.Described.Name)
	log, err := s.Log(ctx, sheet.Machine.ID, all())
	require.NoError(t, err)
	assert.Len(t, log, 1, "once")
	assert.ErrorIs(t, saves(s, sheet, "Never"), store.ErrBusy)
}

// Who cannot have a lock in time is told that the database is busy, and others go on.
func TestALockThatIsNotToBeHadIsBusy(t *testing.T) {
	s, o, sheet := opened(t)
	held := o.holds(`LOCK TABLE plan IN ACCESS EXCLUSIVE MODE`)
	_, err := s.Sheet(ctx, sheet.Plan.ID)
	require.ErrorIs(t, err, store.ErrBusy)
	require.NoError(t, held.Rollback())
	require.NoError(t, saves(s, sheet, "Saved"))
}

// Connections that died unseen are found dead as they are taken up: a save takes another.
func TestASaveSucceedsAfterTheConnectionsDied(t *testing.T) {
	s, o, sheet := opened(t)
	for range 3 {
		_, err := o.db.Exec(`SELECT pg_terminate_backend(pid) FROM pg_stat_activity
			WHERE datname = current_database() AND pid <> pg_backend_pid()`)
		require.NoError(t, err)
		now := sheet
		now.Plan.Described.Name += "."
		now, err = s.SaveSheet(ctx, now.Plan.ID, now.Plan.Version, now.Machine.Version, now.Plan.Described,
			now.Machine.Described, nil)
		require.NoError(t, err)
		sheet = now
	}
}

func TestSeveralProgramsBringADatabaseUpToDateAtOnce(t *testing.T) {
	url := storetest.URL(t)
	errs := make([]error, 4)
	var all sync.WaitGroup
	for i := range errs {
		s, err := store.Open(url)
		require.NoError(t, err)
		t.Cleanup(func() { require.NoError(t, s.Close()) })
		all.Go(func() { errs[i] = s.Migrate(ctx) })
	}
	all.Wait()
	for _, err := range errs {
		assert.NoError(t, err)
	}
}

// A statement that takes too long is given up for the others' sake; what writes a file out takes what it takes.
func TestAStatementThatTakesTooLongIsBusy(t *testing.T) {
	s, o, sheet := opened(t)
	for _, statement := range []string{
		`CREATE FUNCTION dawdle() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN PERFORM pg_sleep(4); RETURN NEW; END $$`,
		`CREATE TRIGGER dawdle BEFORE UPDATE ON plan FOR EACH ROW EXECUTE FUNCTION dawdle()`} {
		_, err := o.db.Exec(statement)
		require.NoError(t, err)
	}
	assert.ErrorIs(t, saves(s, sheet, "Never"), store.ErrBusy)
	assert.NoError(t, s.Ping(ctx))
}

// A database that only reads, or has no room, is not one to work with: that is said by its health, and by everything
// that is to be saved; once it takes something again all is well.
func TestADatabaseThatTakesNothingSaysSo(t *testing.T) {
	s, o, sheet := opened(t)
	set := func(statement string) {
		_, err := o.db.Exec(statement)
		require.NoError(t, err)
		_, err = o.db.Exec(`SELECT pg_terminate_backend(pid) FROM pg_stat_activity
			WHERE datname = current_database() AND pid <> pg_backend_pid()`)
		require.NoError(t, err)
		for range 10 { // the dead ones are found out
			_, _ = s.Sheet(ctx, sheet.Plan.ID)
		}
	}
	var name string
	require.NoError(t, o.db.Get(&name, `SELECT current_database()`))
	set(`ALTER DATABASE ` + name + ` SET default_transaction_read_only = on`)
	assert.ErrorIs(t, saves(s, sheet, "Never"), store.ErrNoRoom)
	assert.ErrorIs(t, s.AddEntry(ctx, sheet.Machine.ID, entry(idA, "", time.Unix(0, 0))), store.ErrNoRoom)
	assert.ErrorIs(t, s.RenameMachine(ctx, sheet.Machine.ID, "Never"), store.ErrNoRoom)
	assert.ErrorIs(t, s.Ping(ctx), store.ErrNoRoom)
	_, err := s.Sheet(ctx, sheet.Plan.ID)
	assert.NoError(t, err, "it can be read")
	set(`SET default_transaction_read_only = off; ALTER DATABASE ` + name + ` RESET default_transaction_read_only`)
	require.NoError(t, s.Ping(ctx))
	require.NoError(t, saves(s, sheet, "Saved"))

	for _, statement := range []string{
		`CREATE FUNCTION full_disk() RETURNS trigger LANGUAGE plpgsql AS $$
			BEGIN RAISE EXCEPTION 'could not extend file' USING ERRCODE = '53100'; END $$`,
		`CREATE TRIGGER full_disk BEFORE UPDATE ON plan FOR EACH ROW EXECUTE FUNCTION full_disk()`,
		`CREATE TRIGGER full_disk BEFORE UPDATE ON document_version FOR EACH ROW EXECUTE FUNCTION full_disk()`} {
		_, err := o.db.Exec(statement)
		require.NoError(t, err)
	}
	assert.ErrorIs(t, saves(s, sheet, "Never"), store.ErrNoRoom)
	assert.ErrorIs(t, s.Ping(ctx), store.ErrNoRoom)
	for _, table := range []string{"plan", "document_version"} {
		_, err := o.db.Exec(`DROP TRIGGER full_disk ON ` + table)
		require.NoError(t, err)
	}
	assert.NoError(t, s.Ping(ctx))
	require.NoError(t, saves(s, sheet, "Saved again"))
	var left int
	require.NoError(t, o.db.Get(&left, `SELECT count(*) FROM pg_class WHERE relname = 'room'`))
	assert.Zero(t, left, "nothing is left of a try")
}

// A database where the program may make no tables of its own, not even for a moment, is one to work with all the same.
func TestADatabaseWithoutTemporaryTables(t *testing.T) {
	s, o, sheet := opened(t)
	_, err := o.db.Exec(`CREATE FUNCTION refused() RETURNS trigger LANGUAGE plpgsql AS $$
		BEGIN RAISE EXCEPTION 'permission denied' USING ERRCODE = '42501'; END $$;
		CREATE TRIGGER refused BEFORE UPDATE ON document_version FOR EACH ROW EXECUTE FUNCTION refused()`)
	require.NoError(t, err)
	assert.NoError(t, s.Ping(ctx))
	assert.NoError(t, saves(s, sheet, "Saved"))
}
