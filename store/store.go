// Package store keeps the workshop in PostgreSQL: machines, their plans and the shelf, each as
// its owner described it.
package store

import (
	"context"
	"database/sql"
	"database/sql/driver"
	"embed"
	"encoding/json"
	"errors"
	"fmt"
	"io/fs"
	"maps"
	"net"
	"slices"
	"strconv"
	"strings"
	"sync/atomic"
	"time"

	"jiriki/core/bounds"
	"jiriki/core/openfile"

	"github.com/jackc/pgx/v5"
	"github.com/jackc/pgx/v5/pgconn"
	"github.com/jackc/pgx/v5/stdlib"
	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
	"github.com/pressly/goose/v3/lock"
)

//go:embed migrations/*.sql
var migrations embed.FS

// Errors of the store. Others are wrapped from the database.
var (
	ErrNotFound = errors.New("not found")
	ErrStale    = errors.New("changed elsewhere since it was read")
	ErrFull     = errors.New("no room for another")
	ErrTooMany  = errors.New("more than a workshop holds")
	ErrAway     = errors.New("the database is not answering")
	ErrText     = errors.New("holds a character that cannot be kept")
	ErrLong     = errors.New("longer than is kept")
	ErrBusy     = errors.New("the database is busy")
	ErrNoRoom   = errors.New("the database takes nothing at present")
	ErrNewer    = errors.New("a newer program keeps this workshop")
)

// Migrations are the steps that bring the schema up to date.
func Migrations() fs.FS {
	dir, err := fs.Sub(migrations, "migrations")
	if err != nil {
		panic(err) // the folder is built in
	}
	return dir
}

// Store is a workshop's database.
type Store struct {
	db        *sqlx.DB
	config    *pgx.ConnConfig
	documents int // version of documents up to which they are known
	migrated  atomic.Bool
	tried     atomic.Int64 // when it was last tried whether there is room, by Unix time
	refused   atomic.Bool  // the last thing to be saved was not taken, by a database that answers
}

// How long a statement waits for what somebody else holds, and how long it takes; then the database is said to be busy,
// and others go on. Files that are written out, and migrations, take what they take.
const (
	lockTime      = "3s"
	statementTime = "3s"
	takesItsTime  = `SET LOCAL statement_timeout = 0`
)

// Open connects to url. It does not wait for the database: a call while it is away answers
// ErrAway and works again once it is back.
func Open(url string) (*Store, error) { return open(url, openfile.Version) }

// open connects as a program that knows documents up to a version.
func open(url string, documents int) (*Store, error) {
	config, err := pgx.ParseConfig(url)
	if err != nil {
		return nil, fmt.Errorf("database address: %w", err)
	}
	config.RuntimeParams["lock_timeout"] = lockTime
	config.RuntimeParams["statement_timeout"] = statementTime
	config.RuntimeParams["jiriki.documents"] = strconv.Itoa(documents)
	db := sqlx.NewDb(stdlib.OpenDB(*config), "pgx")
	db.SetMaxOpenConns(8)
	db.SetMaxIdleConns(4)
	return &Store{db: db, config: config, documents: documents}, nil
}

// Close ends the connections.
func (s *Store) Close() error { return s.db.Close() }

// Ping reports whether the database answers, was brought up to date and takes what is saved; ErrAway when not.
func (s *Store) Ping(ctx context.Context) error {
	if err := s.db.PingContext(ctx); err != nil || !s.migrated.Load() {
		return errors.Join(ErrAway, err)
	}
	var readOnly bool
	if err := s.db.GetContext(ctx, &readOnly, `SELECT current_setting('transaction_read_only')::boolean`); err != nil {
		return away(err)
	}
	if readOnly {
		return errors.Join(ErrNoRoom, ErrAway)
	}
	last := s.tried.Load()
	if s.refused.Load() || time.Since(time.Unix(last, 0)) > roomEvery && s.tried.CompareAndSwap(last,
		time.Now().Unix()) {
		err := s.within(ctx, hasRoom)
		if code(err) == "42501" {
			return nil // it may make no tables of its own, and cannot try
		}
		return err
	}
	return nil
}

// code is the database's own for an error; empty where it is not of the database.
func code(err error) string {
	var pg *pgconn.PgError
	if !errors.As(err, &pg) {
		return ""
	}
	return pg.Code
}

// roomEvery is how often it is tried whether there is room to save.
const roomEvery = 10 * time.Second

// hasRoom saves what is there, and takes some room on the database's disk for as long as that takes.
func hasRoom(tx *sqlx.Tx) error {
	for _, try := range []string{`UPDATE document_version SET version = version`,
		`CREATE TEMPORARY TABLE room ON COMMIT DROP AS
			SELECT string_agg(md5(n::text), '') FROM generate_series(1, 8000) n`} {
		if _, err := tx.Exec(try); err != nil {
			return err
		}
	}
	return nil
}

// Migrate brings the schema up to date. The error is ErrNewer where a program has kept the workshop that knows more
// of its documents than this one: it would drop what it does not know.
func (s *Store) Migrate(ctx context.Context) error {
	if err := s.mayKeep(ctx); err != nil {
		return err
	}
	locker, err := lock.NewPostgresSessionLocker()
	if err != nil {
		return fmt.Errorf("migrations: %w", err)
	}
	patient := *s.config
	patient.RuntimeParams = maps.Clone(patient.RuntimeParams)
	patient.RuntimeParams["statement_timeout"] = "0"
	db := stdlib.OpenDB(patient)
	defer func() { _ = db.Close() }()
	// Of several programs started at once one brings it up to date, and the rest find it so.
	provider, err := goose.NewProvider(goose.DialectPostgres, db, Migrations(), goose.WithSessionLocker(locker))
	if err != nil {
		return fmt.Errorf("migrations: %w", err)
	}
	if _, err = provider.Up(ctx); err != nil {
		return away(err)
	}
	// The higher version stays, should two have got here at once.
	if _, err := s.db.ExecContext(ctx, `UPDATE document_version SET version = $1 WHERE version < $1`,
		s.documents); err != nil {
		return away(err)
	}
	if err := s.mayKeep(ctx); err != nil {
		return err
	}
	s.migrated.Store(true)
	return nil
}

// mayKeep reports whether the documents of the workshop are of a version this program knows.
func (s *Store) mayKeep(ctx context.Context) error {
	var there bool
	if err := s.db.GetContext(ctx, &there, `SELECT to_regclass('document_version') IS NOT NULL`); err != nil || !there {
		return away(err)
	}
	var kept int
	if err := s.db.GetContext(ctx, &kept, `SELECT version FROM document_version`); err != nil {
		return away(err)
	}
	if kept > s.documents {
		return fmt.Errorf("%w: its documents are of version %d, and this one knows version %d; nothing was changed, "+
			"start a Jiriki that knows version %d", ErrNewer, kept, s.documents, kept)
	}
	return nil
}

// held locks a row that is about to be changed, or counted under, against others that would do so; what merely names
// the row, as an entry names its plan, is let by. A machine is held before its plans, and they before the log.
const held = " FOR NO KEY UPDATE"

// mostTries is how often work is begun again that the database gave up for another's sake.
const mostTries = 5

// within runs work in one transaction, undone whole when it fails. Work that the database gives up for another's sake
// is done again, before anyone hears of it; so what it gives out it sets anew each time.
func (s *Store) within(ctx context.Context, work func(*sqlx.Tx) error) error {
	for try := 1; ; try++ {
		err := s.once(ctx, work)
		if try == mostTries || !givenUp(err) && !lost(err) {
			return err
		}
	}
}

// givenUp reports whether the database ended a transaction so that others could go on: a serialization failure or a
// deadlock. Begun again it has every chance.
func givenUp(err error) bool {
	return slices.Contains([]string{"40001", "40P01"}, code(err))
}

// errUnbegun is a transaction that never began: nothing of it was done.
var errUnbegun = errors.New("not begun")

// lost reports whether a connection turned out to be dead as it was taken up, as after the database was started anew:
// the next is a fresh one.
func lost(err error) bool {
	var connect *pgconn.ConnectError
	return errors.Is(err, errUnbegun) && !errors.As(err, &connect)
}

// once runs work in one transaction, undone whole when it fails, for what cannot be done again.
func (s *Store) once(ctx context.Context, work func(*sqlx.Tx) error) error {
	tx, err := s.db.BeginTxx(ctx, nil)
	if err != nil {
		return errors.Join(errUnbegun, away(err))
	}
	if err := work(tx); err != nil {
		return s.noted(errors.Join(away(err), ignoreDone(tx.Rollback())))
	}
	return s.noted(away(tx.Commit()))
}

// noted keeps in mind whether the database takes what is saved.
func (s *Store) noted(err error) error {
	if err == nil || errors.Is(err, ErrNoRoom) {
		s.refused.Store(err != nil)
	}
	return err
}

// reading runs work that only reads, as it stands at one moment, however long it takes.
func (s *Store) reading(ctx context.Context, work func(*sqlx.Tx) error) error {
	tx, err := s.db.BeginTxx(ctx, &sql.TxOptions{Isolation: sql.LevelRepeatableRead, ReadOnly: true})
	if err != nil {
		return away(err)
	}
	defer func() { _ = tx.Rollback() }()
	if _, err := tx.ExecContext(ctx, takesItsTime); err != nil {
		return away(err)
	}
	return work(tx)
}

func ignoreDone(err error) error {
	if errors.Is(err, sql.ErrTxDone) || errors.Is(err, driver.ErrBadConn) {
		return nil
	}
	return away(err)
}

// away marks errors that mean the database cannot be reached, and turns an empty result into
// ErrNotFound.
func away(err error) error {
	if err == nil {
		return nil
	}
	if errors.Is(err, sql.ErrNoRows) {
		return ErrNotFound
	}
	var network net.Error
	var connect *pgconn.ConnectError
	var pg *pgconn.PgError
	switch {
	case errors.As(err, &connect), errors.As(err, &network), errors.Is(err, driver.ErrBadConn),
		errors.Is(err, net.ErrClosed):
		return errors.Join(ErrAway, err)
	case errors.As(err, &pg) && pg.Code == "57014" && strings.Contains(pg.Message, "statement timeout"):
		return errors.Join(ErrBusy, ErrAway, err)
	case errors.As(err, &pg) && (pg.Code == "25006" || pg.Code == "53100"):
		// It only reads, or its disk is full.
		return errors.Join(ErrNoRoom, ErrAway, err)
	case errors.As(err, &pg) && (pg.Code[:2] == "57" || pg.Code[:2] == "08" || pg.Code[:2] == "53"):
		// Operator intervention, connection failure or out of resources.
		return errors.Join(ErrAway, err)
	case givenUp(err), errors.As(err, &pg) && pg.Code == "55P03":
		// Given up as often as it was tried, or a lock that was not to be had in time.
		return errors.Join(ErrBusy, ErrAway, err)
	case errors.As(err, &pg) && pg.Code == "JK001":
		return errors.Join(ErrNewer, err)
	case errors.As(err, &pg) && (pg.Code == "42P01" || pg.Code == "42703"):
		// A table or column that is not there: it is back, and not brought up to date yet.
		return errors.Join(ErrAway, err)
	case errors.As(err, &pg) && (pg.Code == "22P05" || pg.Code == "22021"):
		// A NUL, or bytes that are no text.
		return errors.Join(ErrText, err)
	case pgconn.SafeToRetry(err), pgconn.Timeout(err):
		return errors.Join(ErrAway, err)
	}
	return err
}

// described carries a description in and out of a jsonb column.
type described[T any] struct{ V T }

// mostKept is how long a description may be, in bytes: a little less than a file's reader takes, so that what goes out
// comes back.
const mostKept = bounds.PartBytes - 1<<12

// Value writes the description as JSON.
func (d described[T]) Value() (driver.Value, error) { return d.text() }

// text is the description as JSON. The error is ErrLong where it is longer than is kept.
func (d described[T]) text() (string, error) {
	b, err := json.Marshal(d.V)
	if len(b) > mostKept {
		return "", ErrLong
	}
	return string(b), err
}

// Scan reads the description back.
func (d *described[T]) Scan(src any) error {
	switch b := src.(type) {
	case []byte:
		return json.Unmarshal(b, &d.V)
	case string:
		return json.Unmarshal([]byte(b), &d.V)
	}
	return fmt.Errorf("cannot read a description from %T", src)
}
