package store

import (
	"context"
	"errors"
	"time"
)

// Instrument may send readings under its token.
type Instrument struct {
	Token   string    `db:"token"`
	Name    string    `db:"name"`
	Created time.Time `db:"created_at"`
}

// MaxInstruments is how many a workshop has.
const MaxInstruments = 30

// Instruments returns those there are, in the order they came.
func (s *Store) Instruments(ctx context.Context) ([]Instrument, error) {
	out := []Instrument{}
	err := s.db.SelectContext(ctx, &out, `SELECT token, name, created_at FROM instrument ORDER BY place`)
	return out, away(err)
}

// Instrument returns the one with a token.
func (s *Store) Instrument(ctx context.Context, token string) (Instrument, error) {
	var out Instrument
	err := s.db.GetContext(ctx, &out, `SELECT token, name, created_at FROM instrument WHERE token = $1`, token)
	return out, away(err)
}

// AddInstrument lets one in; ErrFull where there are too many.
func (s *Store) AddInstrument(ctx context.Context, token, name string) error {
	return away(changeFull(s.changeOne(ctx, `INSERT INTO instrument (token, name)
		SELECT $1, $2 WHERE (SELECT count(*) FROM instrument) < $3`, token, name, MaxInstruments)))
}

// changeFull turns an insert that found no room into ErrFull.
func changeFull(err error) error {
	if errors.Is(err, ErrNotFound) {
		return ErrFull
	}
	return err
}

// DeleteInstrument lets one in no more.
func (s *Store) DeleteInstrument(ctx context.Context, token string) error {
	return s.changeOne(ctx, `DELETE FROM instrument WHERE token = $1`, token)
}
