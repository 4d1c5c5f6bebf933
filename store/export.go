package store

import (
	"context"
	"strings"

	"github.com/jmoiron/sqlx"

	"jiriki/core/openfile"
	"jiriki/core/work"
)

// Export sends the whole workshop to a sink, as it stands at one moment, row by row.
func (s *Store) Export(ctx context.Context, to openfile.Sink) error {
	return s.reading(ctx, func(tx *sqlx.Tx) error {
		var name string
		if err := tx.GetContext(ctx, &name, `SELECT name FROM workshop`); err != nil {
			return away(err)
		}
		if err := to.Name(name); err != nil {
			return err
		}
		var machines []string
		if err := tx.SelectContext(ctx, &machines,
			`SELECT id FROM machine WHERE deleted_at IS NULL ORDER BY place`); err != nil {
			return away(err)
		}
		for _, id := range machines {
			if err := exportMachine(ctx, tx, id, to); err != nil {
				return err
			}
		}
		return exportShelf(ctx, tx, to)
	})
}

func exportMachine(ctx context.Context, tx *sqlx.Tx, id string, to openfile.Sink) error {
	var machine described[work.Machine]
	if err := tx.GetContext(ctx, &machine, `SELECT described FROM machine WHERE id = $1`, id); err != nil {
		return away(err)
	}
	if err := to.Machine(machine.V.Whole()); err != nil {
		return err
	}
	if err := eachRow(ctx, tx, func(r planRow) error {
		return to.Plan(openfile.Plan{Letter: r.Letter, Plan: r.plan().Described})
	}, `SELECT `+planColumns+` FROM plan WHERE machine_id = $1 AND deleted_at IS NULL ORDER BY letter`,
		id); err != nil {
		return err
	}
	return eachRow(ctx, tx, func(r logRow) error { return to.Entry(r.entry().Entry) }, `SELECT `+logColumns+
		` FROM log_entry e LEFT JOIN plan p ON p.id = e.plan_id
		WHERE e.machine_id = $1 AND e.deleted_at IS NULL ORDER BY e.happened, e.place`, id)
}

func exportShelf(ctx context.Context, tx *sqlx.Tx, to openfile.Sink) error {
	type withPictures struct {
		shelfRow
		Pictures string `db:"pictures"`
	}
	return eachRow(ctx, tx, func(r withPictures) error {
		item := r.item()
		if r.Pictures != "" {
			item.Pictures = strings.Fields(r.Pictures)
		}
		return to.Part(item)
	}, `SELECT id, version, described, coalesce((SELECT string_agg(id::text, ' '
		ORDER BY place) FROM shelf_picture WHERE item_id = shelf_item.id AND deleted_at IS NULL), '') AS pictures
		FROM shelf_item WHERE deleted_at IS NULL ORDER BY place`)
}

// eachRow gives each row of a query on as it comes.
func eachRow[T any](ctx context.Context, from sqlx.QueryerContext, each func(T) error, query string,
	args ...any) error {
	rows, err := from.QueryxContext(ctx, query, args...)
	if err != nil {
		return away(err)
	}
	defer func() { _ = rows.Close() }()
	for rows.Next() {
		var row T
		if err := rows.StructScan(&row); err != nil {
			return away(err)
		}
		if err := each(row); err != nil {
			return err
		}
	}
	return away(rows.Err())
}

// Pictures tells every picture of the workshop, of the log and of the shelf, one at a time.
func (s *Store) Pictures(ctx context.Context, each func(id string, jpeg []byte) error) error {
	type picture struct {
		ID   string `db:"id"`
		JPEG []byte `db:"jpeg"`
	}
	return s.reading(ctx, func(tx *sqlx.Tx) error {
		return eachRow(ctx, tx, func(p picture) error { return each(p.ID, p.JPEG) },
			`SELECT p.id, p.jpeg FROM log_picture p JOIN log_entry e ON e.id = p.entry_id
		JOIN machine m ON m.id = e.machine_id
		WHERE p.deleted_at IS NULL AND e.deleted_at IS NULL AND m.deleted_at IS NULL
		UNION ALL SELECT p.id, p.jpeg FROM shelf_picture p JOIN shelf_item i ON i.id = p.item_id
		WHERE p.deleted_at IS NULL AND i.deleted_at IS NULL`)
	})
}
