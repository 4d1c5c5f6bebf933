package store

import (
	"context"
	"database/sql"
	"strings"

	"github.com/jmoiron/sqlx"

	"jiriki/core/logbook"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// WorkshopName returns the workshop's name, empty until one is given.
func (s *Store) WorkshopName(ctx context.Context) (name string, err error) {
	err = s.db.GetContext(ctx, &name, `SELECT name FROM workshop`)
	return name, away(err)
}

// Untouched reports whether the workshop never held a machine or a motor, deleted ones counted.
func (s *Store) Untouched(ctx context.Context) (untouched bool, err error) {
	err = s.db.GetContext(ctx, &untouched,
		`SELECT NOT EXISTS (SELECT FROM machine) AND NOT EXISTS (SELECT FROM shelf_item)`)
	return untouched, away(err)
}

// Export sends the whole workshop to a sink, as it stands at one moment.
func (s *Store) Export(ctx context.Context, to openfile.Sink) error {
	tx, err := s.db.BeginTxx(ctx, &sql.TxOptions{Isolation: sql.LevelRepeatableRead, ReadOnly: true})
	if err != nil {
		return away(err)
	}
	defer func() { _ = tx.Rollback() }()
	var name string
	if err := tx.GetContext(ctx, &name, `SELECT name FROM workshop`); err != nil {
		return away(err)
	}
	if err := to.Name(name); err != nil {
		return err
	}
	if err := exportMachines(ctx, tx, to); err != nil {
		return err
	}
	return exportShelf(ctx, tx, to)
}

func exportMachines(ctx context.Context, tx *sqlx.Tx, to openfile.Sink) error {
	logs, err := exportLogs(ctx, tx)
	if err != nil {
		return err
	}
	rows, err := tx.QueryxContext(ctx, `SELECT m.id, m.described AS machine, coalesce(p.described, 'null') AS plan
		FROM machine m LEFT JOIN plan p ON p.machine_id = m.id AND p.deleted_at IS NULL
		WHERE m.deleted_at IS NULL ORDER BY m.place, p.letter`)
	if err != nil {
		return away(err)
	}
	defer func() { _ = rows.Close() }()
	id, one := "", openfile.Machine{}
	for rows.Next() {
		var row struct {
			ID      string                  `db:"id"`
			Machine described[work.Machine] `db:"machine"`
			Plan    described[*plan.Plan]   `db:"plan"`
		}
		if err := rows.StructScan(&row); err != nil {
			return away(err)
		}
		if row.ID != id {
			if id != "" {
				if err := to.Machine(one); err != nil {
					return err
				}
			}
			id, one = row.ID, openfile.Machine{Machine: row.Machine.V.Whole(), Plans: []plan.Plan{},
				Log: append([]logbook.Entry{}, logs[row.ID]...)}
		}
		if row.Plan.V != nil {
			one.Plans = append(one.Plans, row.Plan.V.Whole())
		}
	}
	if err := rows.Err(); err != nil || id == "" {
		return away(err)
	}
	return to.Machine(one)
}

// exportLogs are the logs of all machines by their ID, each in the order it happened.
func exportLogs(ctx context.Context, tx *sqlx.Tx) (map[string][]logbook.Entry, error) {
	rows, err := tx.QueryxContext(ctx, `SELECT e.machine_id, `+logColumns+` FROM log_entry e
		LEFT JOIN plan p ON p.id = e.plan_id WHERE e.deleted_at IS NULL ORDER BY e.machine_id, e.happened, e.place`)
	if err != nil {
		return nil, away(err)
	}
	defer func() { _ = rows.Close() }()
	out := map[string][]logbook.Entry{}
	for rows.Next() {
		var row struct {
			logRow
			MachineID string `db:"machine_id"`
		}
		if err := rows.StructScan(&row); err != nil {
			return nil, away(err)
		}
		out[row.MachineID] = append(out[row.MachineID], row.entry().Entry)
	}
	return out, away(rows.Err())
}

func exportShelf(ctx context.Context, tx *sqlx.Tx, to openfile.Sink) error {
	rows, err := tx.QueryxContext(ctx, `SELECT id, version, described, coalesce((SELECT string_agg(id::text, ' '
		ORDER BY place) FROM shelf_picture WHERE item_id = shelf_item.id AND deleted_at IS NULL), '') AS pictures
		FROM shelf_item WHERE deleted_at IS NULL ORDER BY place`)
	if err != nil {
		return away(err)
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		var row struct {
			shelfRow
			Pictures string `db:"pictures"`
		}
		if err := rows.StructScan(&row); err != nil {
			return away(err)
		}
		item := row.item()
		if row.Pictures != "" {
			item.Pictures = strings.Fields(row.Pictures)
		}
		if err := to.Part(item); err != nil {
			return err
		}
	}
	return away(rows.Err())
}

// Import adds to the workshop what fill sends: all of it or, when fill fails, nothing. The workshop
// takes the name sent if it has none yet.
func (s *Store) Import(ctx context.Context, fill func(openfile.Sink) error) error {
	return s.once(ctx, func(tx *sqlx.Tx) error {
		if err := fill(&importing{ctx: ctx, tx: tx, entries: map[string]string{}, parts: map[string]string{}}); err !=
			nil {
			return err
		}
		return withinBounds(ctx, tx)
	})
}

// withinBounds looks that the workshop holds no more than a file can carry, or what was exported could
// not be brought back: ErrTooMany when it does.
func withinBounds(ctx context.Context, q sqlx.QueryerContext) error {
	var now struct {
		Machines int `db:"machines"`
		Parts    int `db:"parts"`
	}
	err := sqlx.GetContext(ctx, q, &now, `SELECT (SELECT count(*) FROM machine WHERE deleted_at IS NULL) AS machines,
		(SELECT count(*) FROM shelf_item WHERE deleted_at IS NULL) AS parts`)
	if err == nil && (now.Machines > openfile.MaxMachines || now.Parts > openfile.MaxShelf) {
		err = ErrTooMany
	}
	return err
}

// importing is a sink into one transaction.
type importing struct {
	ctx            context.Context
	tx             *sqlx.Tx
	entries, parts map[string]string // whose a picture is, by the picture's ID in the file
}

// PictureSink is a [openfile.Sink] that takes pictures too, each after what it belongs to.
type PictureSink interface {
	openfile.Sink
	// Picture keeps a picture that an entry or a part names by this ID; one that none names is left out.
	Picture(id string, jpeg, thumbnail []byte) error
}

// Picture keeps a picture of what came before.
func (i *importing) Picture(id string, jpeg, thumbnail []byte) error {
	if entry, ok := i.entries[id]; ok {
		var known bool
		if err := i.tx.GetContext(i.ctx, &known, `SELECT EXISTS (SELECT FROM log_picture WHERE id = $1)`, id); err !=
			nil {
			return err
		}
		if known {
			id = entryID(entry, id)
		}
		return addLogPicture(i.ctx, i.tx, entry, id, jpeg, thumbnail)
	}
	part, ok := i.parts[id]
	if !ok {
		return nil
	}
	_, err := i.tx.ExecContext(i.ctx, `INSERT INTO shelf_picture (item_id, jpeg, thumbnail) VALUES ($1, $2, $3)`,
		part, jpeg, thumbnail)
	return err
}

func (i *importing) Name(name string) error {
	_, err := i.tx.ExecContext(i.ctx, `UPDATE workshop SET name = $1 WHERE name = ''`, name)
	return err
}

func (i *importing) Machine(m openfile.Machine) error {
	id, _, err := addMachine(i.ctx, i.tx, m.Machine, m.Plans)
	if err != nil {
		return err
	}
	for _, e := range m.Log {
		// An entry that is in this workshop already, from an earlier reading of the same file, gets an ID of its own.
		var known bool
		if err := i.tx.GetContext(i.ctx, &known, `SELECT EXISTS (SELECT FROM log_entry WHERE id = $1)`, e.ID); err !=
			nil {
			return err
		}
		if known {
			e.ID = entryID(id, e.ID)
		}
		if err := addEntry(i.ctx, i.tx, id, e); err != nil {
			return err
		}
		for _, picture := range e.Pictures {
			i.entries[picture] = e.ID
		}
	}
	return nil
}

func (i *importing) Part(item shelf.Item) error {
	var id string
	err := i.tx.GetContext(i.ctx, &id, `INSERT INTO shelf_item (described) VALUES ($1) RETURNING id`, kept(item))
	for _, picture := range item.Pictures {
		i.parts[picture] = id
	}
	return err
}

// Pictures tells every picture of the workshop, of the log and of the shelf, one at a time.
func (s *Store) Pictures(ctx context.Context, each func(id string, jpeg []byte) error) error {
	rows, err := s.db.QueryxContext(ctx, `SELECT p.id, p.jpeg FROM log_picture p JOIN log_entry e ON e.id = p.entry_id
		JOIN machine m ON m.id = e.machine_id
		WHERE p.deleted_at IS NULL AND e.deleted_at IS NULL AND m.deleted_at IS NULL
		UNION ALL SELECT p.id, p.jpeg FROM shelf_picture p JOIN shelf_item i ON i.id = p.item_id
		WHERE p.deleted_at IS NULL AND i.deleted_at IS NULL`)
	if err != nil {
		return away(err)
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		var id string
		var jpeg []byte
		if err := rows.Scan(&id, &jpeg); err != nil {
			return away(err)
		}
		if err := each(id, jpeg); err != nil {
			return err
		}
	}
	return away(rows.Err())
}
