package server_test

import (
	"bufio"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
	"strings"
	"sync"
	"testing"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/rank"
	"jiriki/core/shelf"
	"jiriki/server"
	"jiriki/store/storetest"
)

// raw sends bytes as they are and reads one answer.
func raw(t *testing.T, url, request string) *http.Response {
	t.Helper()
	conn, err := net.Dial("tcp", strings.TrimPrefix(url, "http://"))
	require.NoError(t, err)
	t.Cleanup(func() { _ = conn.Close() })
	_, err = io.WriteString(conn, request)
	require.NoError(t, err)
	res, err := http.ReadResponse(bufio.NewReader(conn), nil)
	require.NoError(t, err)
	return res
}

const head = "POST /api/assess HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"

func TestWhatComesInPiecesOrNotAtAllIsAnswered(t *testing.T) {
	srv := httptest.NewServer(server.New(server.Config{Store: storetest.Open(t), Log: slog.New(slog.DiscardHandler),
		BodyTime: 300 * time.Millisecond}))
	t.Cleanup(srv.Close)
	assert.Equal(t, 400, raw(t, srv.URL, head+"Transfer-Encoding: chunked\r\n\r\nzz\r\n{}\r\n0\r\n\r\n").StatusCode,
		"chunks that are none")
	slow := raw(t, srv.URL, head+"Content-Length: 4000\r\n\r\n{\"units\":")
	assert.Equal(t, 408, slow.StatusCode, "half a body, and nothing more")
	var problem huma.ErrorModel
	require.NoError(t, json.NewDecoder(slow.Body).Decode(&problem))
	assert.Equal(t, "The request did not come whole in time.", problem.Detail)
}

func TestOddIDsMethodsAndNames(t *testing.T) {
	s := open(t)
	const id = "123e4567-e89b-12d3-a456-426614174000"
	for _, odd := range []string{"urn:uuid:" + id, "{" + id + "}", strings.ReplaceAll(id, "-", ""), id + "0", "%00"} {
		for _, path := range []string{"/api/plans/", "/api/shelf/", "/api/pictures/"} {
			status := s.do("GET", path+odd, "", nil)
			assert.True(t, status == 422 || status == 404, "%s%s got %d", path, odd, status)
		}
	}
	for path, want := range map[string]int{"/": 200, "/api/workshop": 200, "/api/plans/" + id: 404, "/nowhere": 404} {
		res, err := http.Head(s.url + path)
		require.NoError(t, err)
		body, err := io.ReadAll(res.Body)
		require.NoError(t, err)
		require.NoError(t, res.Body.Close())
		assert.Equal(t, want, res.StatusCode, path)
		assert.Empty(t, body)
	}
	var made struct{ ID string }
	require.Equal(t, 201, s.do("POST", "/api/machines", `{"name":"Lathe","kind":"lathe"}`, &made))
	for _, blank := range []string{`\u200b`, `\ufeff \u2060`, `\u3164`, `\u2800`, `\u0301`} {
		body := `{"name":"` + blank + `","kind":"lathe"}`
		assert.Equal(t, 422, s.do("POST", "/api/machines", body, nil), blank)
		assert.Equal(t, 422, s.do("PUT", "/api/machines/"+made.ID+"/name", `{"name":"`+blank+`"}`, nil), blank)
		assert.Equal(t, 422, s.do("POST", "/api/machines/"+made.ID+"/copy", `{"name":"`+blank+`"}`, nil), blank)
	}
}

// A little text that would decode into a thousand times its size is refused before it is.
func TestBodiesAreHeldAgainstTheirLimitsBeforeTheyAreDecoded(t *testing.T) {
	s := open(t)
	many := strings.TrimSuffix(strings.Repeat("{},", 300_000), ",")
	for body, says := range map[string]string{
		`{"units":"metric","machine":{"jobs":[` + many + `]}}`: "machine.jobs: at most 40",
		`{"units":"metric","shelf":[` + many + `]}`:            "shelf: at most 200",
		`{"units":"metric","plan":{"reduction":{"stages":[{"steps":[` +
			many: "plan.reduction.stages[0].steps: at most 6",
		strings.Repeat(`[`, 900_000):                 "24 deep",
		`{"x":"` + strings.Repeat("y", 1<<20) + `"}`: "At most 1 MB",
	} {
		for _, path := range []string{"/api/assess", "/api/rank", "/api/build"} {
			var problem huma.ErrorModel
			require.Equal(t, 413, s.do("POST", path, body, &problem), says)
			assert.Contains(t, problem.Detail, says)
		}
	}
	var problem huma.ErrorModel
	require.Equal(t, 422, s.do("POST", "/api/import",
		`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"x","jobs":[`+many+`]}}]}`, &problem))
	assert.Contains(t, problem.Errors[0].Message, "at most 40")
	// What cannot be read is not sent back.
	var short struct{ Errors []struct{ Value any } }
	require.Less(t, s.do("POST", "/api/assess", `{"units":"metric","plan":7}`, &short), 500)
	for _, e := range short.Errors {
		assert.Nil(t, e.Value)
	}
}

// More than can run and wait is sent away with a word when to come again, and everything that is taken
// is answered.
func TestACrowdIsAnsweredOrSentAway(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	body := text(t, plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan})
	var mu sync.Mutex
	got := map[int]int{}
	var wg sync.WaitGroup
	for range 64 {
		wg.Go(func() {
			res, err := http.Post(s.url+"/api/rank", "application/json", strings.NewReader(body))
			if !assert.NoError(t, err) {
				return
			}
			defer func() { _ = res.Body.Close() }()
			_, _ = io.Copy(io.Discard, res.Body)
			mu.Lock()
			defer mu.Unlock()
			got[res.StatusCode]++
			if res.StatusCode == 503 {
				assert.Equal(t, "1", res.Header.Get("Retry-After"))
			}
		})
	}
	wg.Wait()
	assert.Equal(t, 64, got[200]+got[503], got)
	assert.Positive(t, got[200])
	assert.Positive(t, got[503], "one at a time, four waiting")
	assert.Equal(t, 200, s.do("POST", "/api/assess", body, nil), "and the rest goes on")
}

// The shelf is read where it lies: a plan does not carry it, and a part put on it is tried at once.
func TestTheShelfIsReadWhereItLies(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	assert.NotContains(t, text(t, sheet), `"shelf"`)
	in := plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan}
	named := func(in plan.Input) (names []string) {
		var r rank.Ranking
		require.Equal(t, 200, s.do("POST", "/api/rank", text(t, in), &r))
		for _, c := range r.Candidates {
			names = append(names, c.Name)
		}
		return names
	}
	assert.Len(t, named(in), 10)
	spare := shelf.Item{Motor: sheet.Plan.Motor}.Whole()
	spare.Motor.Name = "Spare"
	var made struct{ ID string }
	require.Equal(t, 201, s.do("POST", "/api/shelf", text(t, spare), &made))
	assert.Contains(t, named(in), "Spare")
	require.Equal(t, 204, s.do("DELETE", "/api/shelf/"+made.ID, "", nil))
	assert.NotContains(t, named(in), "Spare")
	in.Shelf = []shelf.Item{spare}
	assert.Len(t, named(in), 2, "parts that are brought along are all there are")
	body := fmt.Sprintf(`{"units":"metric","machine":%s,"plan":%s,"shelf":[]}`, text(t, sheet.Machine),
		text(t, sheet.Plan))
	var r rank.Ranking
	require.Equal(t, 200, s.do("POST", "/api/rank", body, &r))
	assert.Len(t, r.Candidates, 1, "and none, when none are")
}
