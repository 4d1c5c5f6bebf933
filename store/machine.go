package store

import (
	"context"
	"time"

	"github.com/jmoiron/sqlx"

	"jiriki/core/plan"
	"jiriki/core/work"
)

// Machine is a saved machine.
type Machine struct {
	ID        string
	Version   int
	Described work.Machine
	Updated   time.Time
}

type machineRow struct {
	ID        string                  `db:"id"`
	Version   int                     `db:"version"`
	Described described[work.Machine] `db:"described"`
	Updated   time.Time               `db:"updated_at"`
}

func (r machineRow) machine() Machine {
	return Machine{ID: r.ID, Version: r.Version, Described: r.Described.V.Whole(), Updated: r.Updated}
}

// AddMachine saves a machine with its first plans, lettered from A, and returns the IDs.
func (s *Store) AddMachine(ctx context.Context, m work.Machine, plans []plan.Plan) (id string, planIDs []string,
	err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if id, planIDs, err = addMachine(ctx, tx, m, plans); err != nil {
			return err
		}
		return withinBounds(ctx, tx)
	})
	return id, planIDs, err
}

func addMachine(ctx context.Context, tx *sqlx.Tx, m work.Machine, plans []plan.Plan) (string, []string, error) {
	var id string
	if err := tx.GetContext(ctx, &id, `INSERT INTO machine (described) VALUES ($1) RETURNING id`,
		described[work.Machine]{m}); err != nil {
		return "", nil, err
	}
	ids := make([]string, len(plans))
	for i, p := range plans {
		if err := tx.GetContext(ctx, &ids[i],
			`INSERT INTO plan (machine_id, letter, described) VALUES ($1, $2, $3) RETURNING id`,
			id, letterAt(i), described[plan.Plan]{p}); err != nil {
			return "", nil, err
		}
	}
	return id, ids, nil
}

// HasMachine returns ErrNotFound where there is no such machine, or it is deleted.
func (s *Store) HasMachine(ctx context.Context, id string) error {
	return away(s.db.GetContext(ctx, new(string), `SELECT id FROM machine WHERE id = $1 AND deleted_at IS NULL`, id))
}

// RenameMachine changes a machine's name and nothing else.
func (s *Store) RenameMachine(ctx context.Context, id, name string) error {
	return s.changeOne(ctx,
		`UPDATE machine SET described = jsonb_set(described, '{name}', to_jsonb($2::text)),
			version = version + 1, updated_at = now() WHERE id = $1 AND deleted_at IS NULL`,
		id, name)
}

// DeleteMachine hides a machine with its plans; RestoreMachine brings them back.
func (s *Store) DeleteMachine(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE machine SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestoreMachine undoes DeleteMachine.
func (s *Store) RestoreMachine(ctx context.Context, id string) error {
	return s.restore(ctx, `UPDATE machine SET deleted_at = NULL WHERE id = $1`, id)
}

// CopyMachine saves a second machine like the first, with copies of its plans, under name.
func (s *Store) CopyMachine(ctx context.Context, id, name string) (newID string, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		var row machineRow
		if err := tx.GetContext(ctx, &row,
			`SELECT id, version, described, updated_at FROM machine WHERE id = $1 AND deleted_at IS NULL`,
			id); err != nil {
			return err
		}
		var plans []described[plan.Plan]
		if err := tx.SelectContext(ctx, &plans,
			`SELECT described FROM plan WHERE machine_id = $1 AND deleted_at IS NULL ORDER BY letter`,
			id); err != nil {
			return err
		}
		row.Described.V.Name = name
		copies := make([]plan.Plan, len(plans))
		for i, p := range plans {
			copies[i] = p.V
		}
		if newID, _, err = addMachine(ctx, tx, row.Described.V, copies); err != nil {
			return err
		}
		return withinBounds(ctx, tx)
	})
	return newID, err
}

// changeOne runs an update that must touch a row.
func (s *Store) changeOne(ctx context.Context, query string, args ...any) error {
	return s.noted(away(changeOne(ctx, s.db, query, args...)))
}

func changeOne(ctx context.Context, e sqlx.ExecerContext, query string, args ...any) error {
	result, err := e.ExecContext(ctx, query, args...)
	if err != nil {
		return err
	}
	if n, err := result.RowsAffected(); err != nil {
		return err
	} else if n == 0 {
		return ErrNotFound
	}
	return nil
}

// restore runs an update that brings something back, if there is still room for it.
func (s *Store) restore(ctx context.Context, query, id string) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if err := changeOne(ctx, tx, query, id); err != nil {
			return err
		}
		return withinBounds(ctx, tx)
	})
}
