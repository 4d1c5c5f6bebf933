// Package storetest gives each test a database of its own on the throw-away cluster.
package storetest

import (
	"context"
	"fmt"
	"net/url"
	"os"
	"sync/atomic"
	"testing"

	"github.com/jmoiron/sqlx"
	"github.com/stretchr/testify/require"

	"jiriki/store"
)

var made atomic.Int64

// URL makes an empty database, dropped when the test ends, and returns its address.
func URL(t testing.TB) string {
	t.Helper()
	base := os.Getenv("TEST_DATABASE_URL")
	require.NotEmpty(t, base, "these tests need a PostgreSQL: run make test, or set TEST_DATABASE_URL to "+
		"scripts/postgres.sh start NAME")
	admin, err := sqlx.Open("pgx", base)
	require.NoError(t, err)
	name := fmt.Sprintf("t%d_%d", os.Getpid(), made.Add(1))
	_, err = admin.Exec("CREATE DATABASE " + name)
	require.NoError(t, err)
	t.Cleanup(func() {
		_, err := admin.Exec("DROP DATABASE " + name + " WITH (FORCE)")
		require.NoError(t, err)
		require.NoError(t, admin.Close())
	})
	u, err := url.Parse(base)
	require.NoError(t, err)
	u.Path = "/" + name
	return u.String()
}

// Open returns a migrated store on a database of its own.
func Open(t testing.TB) *store.Store {
	t.Helper()
	s, err := store.Open(URL(t))
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	require.NoError(t, s.Migrate(context.Background()))
	return s
}
