package server_test

import (
	"archive/zip"
	"bytes"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
	"os"
	"strings"
	"testing"
	"time"

	"github.com/jmoiron/sqlx"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/openfile"
	"jiriki/server"
	"jiriki/store"
	"jiriki/store/storetest"
)

const importHead = "POST /api/import HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"

// begins sends the beginning of a request and leaves its connection open.
func begins(t *testing.T, url, request string) net.Conn {
	t.Helper()
	conn, err := net.Dial("tcp", strings.TrimPrefix(url, "http://"))
	require.NoError(t, err)
	t.Cleanup(func() { _ = conn.Close() })
	_, err = io.WriteString(conn, request)
	require.NoError(t, err)
	return conn
}

// Who sends a file a byte at a time holds no lane and no transaction: others search, export and import meanwhile.
func TestASlowFileHoldsUpNobody(t *testing.T) {
	url := storetest.URL(t)
	s, err := store.Open(url)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, s.Close()) })
	require.NoError(t, s.Migrate(t.Context()))
	srv := httptest.NewServer(server.New(server.Config{Store: s, Log: slog.New(slog.DiscardHandler),
		BodyTime: time.Minute}))
	t.Cleanup(srv.Close)
	for range 8 {
		begins(t, srv.URL, importHead+"Content-Length: 4000\r\n\r\n{\"format\":")
	}
	for range 3 {
		res, err := http.Get(srv.URL + "/api/export")
		require.NoError(t, err)
		file, err := io.ReadAll(res.Body)
		require.NoError(t, err)
		require.NoError(t, res.Body.Close())
		require.Equal(t, 200, res.StatusCode)
		res, err = http.Post(srv.URL+"/api/import", "application/json", bytes.NewReader(file))
		require.NoError(t, err)
		require.NoError(t, res.Body.Close())
		assert.Equal(t, 200, res.StatusCode)
	}
	db, err := sqlx.Open("pgx", url)
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, db.Close()) })
	var within int
	require.NoError(t, db.Get(&within, `SELECT count(*) FROM pg_stat_activity WHERE datname = current_database()
		AND state LIKE 'idle in transaction%'`))
	assert.Zero(t, within)
}

func TestAFileMustComeOnInTimeAndWithinItsBound(t *testing.T) {
	srv := httptest.NewServer(server.New(server.Config{Store: storetest.Open(t), Log: slog.New(slog.DiscardHandler),
		BodyTime: 300 * time.Millisecond}))
	t.Cleanup(srv.Close)
	assert.Equal(t, 408, raw(t, srv.URL, importHead+"Content-Length: 4000\r\n\r\n{").StatusCode)
	assert.Equal(t, 400, raw(t, srv.URL, importHead+"Transfer-Encoding: chunked\r\n\r\nzz\r\n").StatusCode)
	long := raw(t, srv.URL, fmt.Sprintf("%sContent-Length: %d\r\n\r\n{", importHead, openfile.MaxBytes+1))
	assert.Equal(t, 413, long.StatusCode)
	lines := strings.Repeat("rpm 100\n", 40_000)
	res, err := http.Post(srv.URL+"/api/instruments/none/readings", "text/plain", strings.NewReader(lines))
	require.NoError(t, err)
	said, err := io.ReadAll(res.Body)
	require.NoError(t, err)
	require.NoError(t, res.Body.Close())
	assert.Equal(t, 413, res.StatusCode)
	assert.Contains(t, string(said), "At most 256 KB are taken.")
}

func TestAServerWithoutAPlaceForFilesSaysSo(t *testing.T) {
	srv := httptest.NewServer(server.New(server.Config{Store: storetest.Open(t), Log: slog.New(slog.DiscardHandler)}))
	t.Cleanup(srv.Close)
	t.Setenv("TMPDIR", t.TempDir()+"/gone")
	res, err := http.Post(srv.URL+"/api/import", "application/json", strings.NewReader("{}"))
	require.NoError(t, err)
	said, err := io.ReadAll(res.Body)
	require.NoError(t, err)
	require.NoError(t, res.Body.Close())
	assert.Equal(t, 503, res.StatusCode)
	assert.Contains(t, string(said), "TMPDIR")
}

// A file that was put by has no name: nothing of it is left, however the program ends.
func TestNothingOfAFileIsLeft(t *testing.T) {
	dir := t.TempDir()
	t.Setenv("TMPDIR", dir)
	srv := httptest.NewServer(server.New(server.Config{Store: storetest.Open(t), Log: slog.New(slog.DiscardHandler)}))
	t.Cleanup(srv.Close)
	conn := begins(t, srv.URL, importHead+"Content-Length: 4000\r\n\r\n{\"format\":")
	res, err := http.Post(srv.URL+"/api/import", "application/json", strings.NewReader("nonsense"))
	require.NoError(t, err)
	require.NoError(t, res.Body.Close())
	assert.Equal(t, 422, res.StatusCode)
	left, err := os.ReadDir(dir)
	require.NoError(t, err)
	assert.Empty(t, left)
	require.NoError(t, conn.Close())
}

// zipOf is a zip of names, each with a little in it.
func zipOf(t *testing.T, names ...string) []byte {
	t.Helper()
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, name := range names {
		w, err := z.CreateHeader(&zip.FileHeader{Name: name, Method: zip.Store})
		require.NoError(t, err)
		if !strings.HasSuffix(name, "/") {
			_, err = io.WriteString(w, "x")
			require.NoError(t, err)
		}
	}
	require.NoError(t, z.Close())
	return out.Bytes()
}

// A zip of a million names is refused before they are read, whatever it says of itself.
func TestAZipsNamesAreBounded(t *testing.T) {
	to := storetest.Open(t)
	refused := func(file []byte, says string) {
		t.Helper()
		_, err := server.Import(t.Context(), to, bytes.NewReader(file))
		var read openfile.ReadError
		require.ErrorAs(t, err, &read)
		assert.Equal(t, says, read.Message)
	}
	many := make([]string, 60_000)
	for i := range many {
		many[i] = fmt.Sprintf("pictures/00000000-0000-4000-8000-%012d.jpg", i)
	}
	few := zipOf(t, "other.txt")
	lots := zipOf(t, many...)
	refused(lots, "the zip holds too many names")
	lies := bytes.Clone(lots)
	copy(lies[len(lies)-14:], few[len(few)-14:len(few)-6]) // a directory of one name, it says
	refused(lies, "the zip holds too many names")
	refused(few, "the zip holds no workshop.json")
	refused(zipOf(t, "workshop.json/"), "the zip holds no workshop.json")
	refused(few[:len(few)-1], "the zip is broken")
	refused([]byte("PK\x03\x04 and nothing more"), "the zip is broken")
}
