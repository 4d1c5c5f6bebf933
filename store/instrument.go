package store

import (
	"context"
	"errors"
	"time"
)

// Instrument may send readings under its token.
type Instrument struct {
	ID      int64     `db:"place"`
	Token   string    `db:"token"`
	Name    string    `db:"name"`
	Created time.Time `db:"created_at"`
}

// MaxInstruments is how many a workshop has.
const MaxInstruments = 30

// Instruments returns those there are, in the order they came.
func (s *Store) Instruments(ctx context.Context) ([]Instrument, error) {
	out := []Instrument{}
	err := s.db.SelectContext(ctx, &out, `SELECT place, token, name, created_at FROM instrument ORDER BY place`)
	return out, away(err)
}

// Instrument returns the one with a token.
func (s *Store) Instrument(ctx context.Context, token string) (Instrument, error) {
	var out Instrument
	err := s.db.GetContext(ctx, &out, `SELECT place, token, name, created_at FROM instrument WHERE token = $1`, token)
	return out, away(err)
}

// AddInstrument lets one in; ErrFull where there are too many.
func (s *Store) AddInstrument(ctx context.Context, token, name string) (id int64, err error) {
	err = away(s.db.GetContext(ctx, &id, `INSERT INTO instrument (token, name)
		SELECT $1, $2 WHERE (SELECT count(*) FROM instrument) < $3 RETURNING place`, token, name, MaxInstruments))
	if errors.Is(err, ErrNotFound) {
		err = ErrFull
	}
	return id, err
}

// DeleteInstrument lets one in no more.
func (s *Store) DeleteInstrument(ctx context.Context, id int64) error {
	return s.changeOne(ctx, `DELETE FROM instrument WHERE place = $1`, id)
}
