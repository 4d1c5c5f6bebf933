package store

import (
	"context"
	"crypto/md5"
	"database/sql"
	"errors"
	"strings"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"jiriki/core/logbook"
)

// LogEntry is an entry as it is saved.
type LogEntry struct {
	logbook.Entry
	Version int
}

type logRow struct {
	ID        string                   `db:"id"`
	Happened  time.Time                `db:"happened"`
	Version   int                      `db:"version"`
	Letter    string                   `db:"letter"`
	Described described[logbook.Entry] `db:"described"`
	Pictures  string                   `db:"pictures"`
}

func (r logRow) entry() LogEntry {
	e := r.Described.V.Whole()
	e.ID, e.Happened, e.Plan = r.ID, r.Happened.UTC(), r.Letter
	e.Pictures = strings.Fields(r.Pictures)
	return LogEntry{e, r.Version}
}

const logColumns = `e.id, e.happened, e.version, coalesce(p.letter, '') AS letter, e.described,
	coalesce((SELECT string_agg(id::text, ' ' ORDER BY place) FROM log_picture
		WHERE entry_id = e.id AND deleted_at IS NULL), '') AS pictures`

// LogFilter is which entries are wanted: those that hold a text, of some sorts, before one of them.
type LogFilter struct {
	Search string
	Sorts  []string
	Most   int
	Offset int
}

// Log returns a machine's entries, those that happened last first.
func (s *Store) Log(ctx context.Context, machineID string, f LogFilter) ([]LogEntry, error) {
	var rows []logRow
	like := "%" + strings.NewReplacer(`\`, `\\`, `%`, `\%`, `_`, `\_`).Replace(strings.ToLower(f.Search)) + "%"
	err := s.db.SelectContext(ctx, &rows, `SELECT `+logColumns+` FROM log_entry e LEFT JOIN plan p ON p.id = e.plan_id
		WHERE e.machine_id = $1 AND e.deleted_at IS NULL
		AND (cardinality($2::text[]) = 0 OR e.described ->> 'sort' = ANY($2))
		AND lower(concat_ws(' ', e.described ->> 'title', e.described ->> 'detail', e.described ->> 'item')) LIKE $3
		ORDER BY e.happened DESC, e.place DESC LIMIT $4 OFFSET $5`, machineID, orEmpty(f.Sorts), like, f.Most, f.Offset)
	out := make([]LogEntry, len(rows))
	for i, r := range rows {
		out[i] = r.entry()
	}
	return out, away(err)
}

func orEmpty(list []string) []string {
	if list == nil {
		return []string{}
	}
	return list
}

// EachEntry gives a machine's entries on as they are read, those that happened last first.
func (s *Store) EachEntry(ctx context.Context, machineID string, each func(logbook.Entry) error) error {
	return s.reading(ctx, func(tx *sqlx.Tx) error {
		return eachRow(ctx, tx, func(r logRow) error { return each(r.entry().Entry) }, `SELECT `+logColumns+`
			FROM log_entry e LEFT JOIN plan p ON p.id = e.plan_id
			WHERE e.machine_id = $1 AND e.deleted_at IS NULL ORDER BY e.happened DESC, e.place DESC`, machineID)
	})
}

// LogOfUse returns the entries that hours and upkeep follow from, and the first of all.
func (s *Store) LogOfUse(ctx context.Context, machineID string) ([]logbook.Entry, error) {
	var rows []logRow
	err := s.db.SelectContext(ctx, &rows, `SELECT e.id, e.happened, e.version, '' AS letter, e.described, '' AS pictures
		FROM log_entry e WHERE e.machine_id = $1 AND e.deleted_at IS NULL AND (e.described ->> 'sort' = 'upkeep'
		OR e.described ->> 'hours' <> '' OR e.happened = (SELECT min(happened) FROM log_entry
			WHERE machine_id = $1 AND deleted_at IS NULL)) ORDER BY e.happened`, machineID)
	out := make([]logbook.Entry, len(rows))
	for i, r := range rows {
		out[i] = r.entry().Entry
	}
	return out, away(err)
}

// LastEntries are the entries of the whole workshop that happened last, with the machine each is of.
func (s *Store) LastEntries(ctx context.Context, most int) ([]LogEntry, []string, error) {
	var rows []struct {
		logRow
		Machine string `db:"machine"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT `+logColumns+`, m.described ->> 'name' AS machine FROM log_entry e
		JOIN machine m ON m.id = e.machine_id AND m.deleted_at IS NULL LEFT JOIN plan p ON p.id = e.plan_id
		WHERE e.deleted_at IS NULL ORDER BY e.happened DESC, e.place DESC LIMIT $1`, most)
	out, machines := make([]LogEntry, len(rows)), make([]string, len(rows))
	for i, r := range rows {
		out[i], machines[i] = r.entry(), r.Machine
	}
	return out, machines, away(err)
}

// AddEntry writes an entry. One that the machine has under its ID already is left as it is: it was sent twice; where
// another machine has it, this one is kept under a new one. ErrFull where the log is full, ErrNotFound where there is
// no
// such machine.
func (s *Store) AddEntry(ctx context.Context, machineID string, e logbook.Entry) error {
	return s.within(ctx, func(tx *sqlx.Tx) error { return addEntry(ctx, tx, machineID, e) })
}

func addEntry(ctx context.Context, tx *sqlx.Tx, machineID string, e logbook.Entry) error {
	// The machine is held, so that two sent at once are counted one after the other.
	if err := tx.GetContext(ctx, new(string), `SELECT id FROM machine WHERE id = $1 AND deleted_at IS NULL`+held,
		machineID); err != nil {
		return err
	}
	var of string
	err := tx.GetContext(ctx, &of, `SELECT machine_id FROM log_entry WHERE id = $1`, e.ID)
	switch {
	case err == nil && of == machineID:
		return nil // sent twice
	case err == nil:
		e.ID = uuid.NewString()
	case !errors.Is(err, sql.ErrNoRows):
		return err
	}
	if err := logHasRoom(ctx, tx, machineID); err != nil {
		return err
	}
	_, err = tx.ExecContext(ctx, `INSERT INTO log_entry (id, machine_id, plan_id, happened, described)
		VALUES ($1, $2, (SELECT id FROM plan WHERE machine_id = $2 AND letter = $3), $4, $5)`, e.ID, machineID, e.Plan,
		e.Happened, keptEntry(e))
	return err
}

// logHasRoom returns ErrFull where people have written as many entries as a log takes. What the program writes itself
// does not count: there is one entry for a check or trial, and one an hour. To tell them apart takes longer than to
// count, so that is done only where it matters.
func logHasRoom(ctx context.Context, tx *sqlx.Tx, machineID string) error {
	var n int
	for _, written := range []string{"", ` AND NOT coalesce((described ->> 'itself')::boolean, false)`} {
		if err := tx.GetContext(ctx, &n, `SELECT count(*) FROM log_entry WHERE machine_id = $1 AND deleted_at IS NULL`+
			written, machineID); err != nil || n < logbook.MostEntries {
			return err
		}
	}
	return ErrFull
}

// keptEntry is an entry as it is saved: what the row has in columns of its own is left out.
func keptEntry(e logbook.Entry) described[logbook.Entry] {
	e.ID, e.Plan, e.Happened, e.Pictures = "", "", time.Time{}, nil
	return described[logbook.Entry]{e.Whole()}
}

// Entry returns one entry.
func (s *Store) Entry(ctx context.Context, id string) (LogEntry, error) {
	return entry(ctx, s.db, id, "")
}

func entry(ctx context.Context, q sqlx.QueryerContext, id, lock string) (LogEntry, error) {
	var row logRow
	err := sqlx.GetContext(ctx, q, &row, `SELECT `+logColumns+` FROM log_entry e LEFT JOIN plan p ON p.id = e.plan_id
		WHERE e.id = $1 AND e.deleted_at IS NULL`+lock, id)
	return row.entry(), away(err)
}

// SaveEntry saves an entry as it was changed from the version read; ErrStale with what is saved now where it was
// changed
// elsewhere in the meantime.
func (s *Store) SaveEntry(ctx context.Context, id string, version int, e logbook.Entry) (LogEntry, error) {
	var now LogEntry
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		var err error
		if now, err = entry(ctx, tx, id, held+" OF e"); err != nil {
			return err
		}
		if now.Version != version {
			return ErrStale
		}
		e.Itself = now.Itself // who wrote it is not the person's to say
		text, err := over(ctx, tx, "log_entry", id, keptEntry(e))
		if err != nil {
			return err
		}
		_, err = tx.ExecContext(ctx, `UPDATE log_entry SET described = $2, happened = $3, version = version + 1
			WHERE id = $1`, id, text, e.Happened)
		if err == nil {
			now, err = entry(ctx, tx, id, "")
		}
		return err
	})
	return now, err
}

// DeleteEntry strikes an entry out; RestoreEntry brings it back.
func (s *Store) DeleteEntry(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE log_entry SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestoreEntry undoes DeleteEntry.
func (s *Store) RestoreEntry(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE log_entry SET deleted_at = NULL WHERE id = $1`, id)
}

// follow writes the entries that follow from a plan that was saved. Those of one key take each other's place: a check's
// and a trial's for good, what may change with every key within the hour.
func follow(ctx context.Context, tx *sqlx.Tx, p Plan, changes []logbook.Change, now time.Time) error {
	for _, c := range changes {
		key := c.Key
		if c.Together {
			key += now.UTC().Format("@2006-01-02T15")
		}
		id := entryID(p.ID, key)
		if c.Gone {
			if _, err := tx.ExecContext(ctx, `UPDATE log_entry SET deleted_at = now() WHERE id = $1`, id); err != nil {
				return err
			}
			continue
		}
		e := c.Entry
		var old described[logbook.Entry]
		err := tx.GetContext(ctx, &old, `SELECT described FROM log_entry WHERE id = $1 AND deleted_at IS NULL`, id)
		switch {
		case err == nil:
			e = c.Join(old.V)
		case !errors.Is(away(err), ErrNotFound):
			return err
		}
		e.Itself = true
		if _, err := tx.ExecContext(ctx, `INSERT INTO log_entry (id, machine_id, plan_id, happened, described)
			VALUES ($1, $2, $3, $4, $5) ON CONFLICT (id) DO UPDATE SET described = excluded.described,
			happened = excluded.happened, version = log_entry.version + 1, deleted_at = NULL`,
			id, p.MachineID, p.ID, now, keptEntry(e)); err != nil {
			return err
		}
	}
	return nil
}

// entryID names the entry of a key of a plan, as a UUID. It keeps no secret, and stays as it is: by it a workshop of
// years finds the entry a check or a trial has already.
func entryID(planID, key string) string {
	return uuid.UUID(md5.Sum([]byte(planID + "\x00" + key))).String()
}

// AddLogPicture keeps a picture of an entry under an ID made where it was taken: one that is sent twice is kept once.
// ErrFull where the entry has twelve.
func (s *Store) AddLogPicture(ctx context.Context, entryID, id string, jpeg, thumbnail []byte) error {
	return s.within(ctx, func(tx *sqlx.Tx) error { return addLogPicture(ctx, tx, entryID, id, jpeg, thumbnail) })
}

func addLogPicture(ctx context.Context, tx *sqlx.Tx, entryID, id string, jpeg, thumbnail []byte) error {
	if err := tx.GetContext(ctx, new(string), `SELECT id FROM log_entry WHERE id = $1 AND deleted_at IS NULL`+held,
		entryID); err != nil {
		return err
	}
	var n int
	if err := tx.GetContext(ctx, &n, `SELECT count(*) FROM log_picture WHERE entry_id = $1 AND deleted_at IS NULL AND
		id <> $2`,
		entryID, id); err != nil {
		return err
	}
	if n >= maxPictures {
		return ErrFull
	}
	_, err := tx.ExecContext(ctx, `INSERT INTO log_picture (id, entry_id, jpeg, thumbnail) VALUES ($1, $2, $3, $4)
		ON CONFLICT (id) DO NOTHING`, id, entryID, jpeg, thumbnail)
	return err
}

// LogPicture returns a picture of the log, or its thumbnail, as JPEG.
func (s *Store) LogPicture(ctx context.Context, id string, thumbnail bool) (jpeg []byte, err error) {
	column := "jpeg"
	if thumbnail {
		column = "thumbnail"
	}
	err = s.db.GetContext(ctx, &jpeg, `SELECT `+column+` FROM log_picture WHERE id = $1 AND deleted_at IS NULL`, id)
	return jpeg, away(err)
}
