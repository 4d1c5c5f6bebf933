package store

import (
	"context"

	"jiriki/core/line"
	"jiriki/core/motor"
)

type shelfRow struct {
	ID        string                     `db:"id"`
	Described described[motor.Described] `db:"described"`
}

// Shelf returns the motors on hand in the order they came.
func (s *Store) Shelf(ctx context.Context) ([]line.ShelfMotor, error) {
	var rows []shelfRow
	if err := s.db.SelectContext(ctx, &rows, `SELECT id, described FROM shelf_motor WHERE deleted_at IS NULL ORDER BY place`); err != nil {
		return nil, away(err)
	}
	out := make([]line.ShelfMotor, len(rows))
	for i, r := range rows {
		out[i] = line.ShelfMotor{ID: r.ID, Motor: r.Described.V}
	}
	return out, nil
}

// AddShelfMotor puts a motor on the shelf.
func (s *Store) AddShelfMotor(ctx context.Context, m motor.Described) (id string, err error) {
	err = s.db.GetContext(ctx, &id, `INSERT INTO shelf_motor (described) VALUES ($1) RETURNING id`, described[motor.Described]{m})
	return id, away(err)
}

// DeleteShelfMotor takes a motor off the shelf; RestoreShelfMotor puts it back.
func (s *Store) DeleteShelfMotor(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_motor SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestoreShelfMotor undoes DeleteShelfMotor.
func (s *Store) RestoreShelfMotor(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_motor SET deleted_at = NULL WHERE id = $1`, id)
}
