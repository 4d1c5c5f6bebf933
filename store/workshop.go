package store

import (
	"context"

	"github.com/jmoiron/sqlx"

	"jiriki/core/openfile"
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
