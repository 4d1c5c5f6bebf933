package server_test

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"fmt"
	"image"
	"image/jpeg"
	"io"
	"log/slog"
	"net/http"
	"net/http/httptest"
	"os"
	"strings"
	"testing"
	"testing/fstest"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/logbook"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/server"
	"jiriki/store"
	"jiriki/store/storetest"
)

var site = fstest.MapFS{"index.html": {Data: []byte("<!doctype html>")}, "assets/a.js": {Data: []byte("1")}}

// shop is a server on a store of its own.
type shop struct {
	t   testing.TB
	url string
}

func open(t *testing.T) shop {
	t.Helper()
	return serve(t, storetest.Open(t))
}

// served is a handler on a store.
func served(t testing.TB, s *store.Store) http.Handler {
	t.Helper()
	return server.New(server.Config{Store: s, Site: site, Log: slog.New(slog.DiscardHandler)})
}

func serve(t *testing.T, s *store.Store) shop {
	srv := httptest.NewServer(served(t, s))
	t.Cleanup(srv.Close)
	return shop{t, srv.URL}
}

// do sends a request, reads the answer into out when it is given, and returns the status.
func (s shop) do(method, path, body string, out any, header ...string) int {
	s.t.Helper()
	req, err := http.NewRequest(method, s.url+path, strings.NewReader(body))
	require.NoError(s.t, err)
	if body != "" {
		req.Header.Set("Content-Type", "application/json")
	}
	for i := 0; i+1 < len(header); i += 2 {
		if header[i] == "Host" {
			req.Host = header[i+1]
		}
		req.Header.Set(header[i], header[i+1])
	}
	res, err := http.DefaultClient.Do(req)
	require.NoError(s.t, err)
	defer func() { require.NoError(s.t, res.Body.Close()) }()
	data, err := io.ReadAll(res.Body)
	require.NoError(s.t, err)
	for _, leak := range []string{"goroutine", "SELECT", "pgx", ".go:"} {
		assert.NotContains(s.t, string(data), leak)
	}
	if out != nil {
		require.NoError(s.t, json.Unmarshal(data, out), string(data))
	}
	return res.StatusCode
}

func text(t testing.TB, v any) string {
	b, err := json.Marshal(v)
	require.NoError(t, err)
	return string(b)
}

func (s shop) withDemo() (server.Workshop, server.Sheet) {
	require.Equal(s.t, 204, s.do("POST", "/api/demo", "", nil))
	var w server.Workshop
	require.Equal(s.t, 200, s.do("GET", "/api/workshop", "", &w))
	var sheet server.Sheet
	require.Equal(s.t, 200, s.do("GET", "/api/plans/"+w.Machines[0].Plans[1].ID, "", &sheet))
	return w, sheet
}

func TestTheShedShowsEveryPlanWithItsVerdict(t *testing.T) {
	w, _ := open(t).withDemo()
	require.Len(t, w.Machines, 4)
	assert.Equal(t, "Quarry Lane shed", w.Name)
	assert.Len(t, w.Machines[0].Plans, 2)
	for _, m := range w.Machines {
		for _, p := range m.Plans {
			assert.NotEmpty(t, p.Power.Text, m.Name)
			assert.NotEmpty(t, p.Does.Text, m.Name)
			assert.Len(t, p.Stations, 5, m.Name)
			assert.NotZero(t, p.Drawing, m.Name)
		}
	}
}

func TestAssessSavesNothingAndNamesBadFields(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	in := plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan}
	var a assess.Assessment
	require.Equal(t, 200, s.do("POST", "/api/assess", text(t, in), &a))
	assert.NotEmpty(t, a.Headline)

	in.Plan.Motor.Plate.Power = "half a horse"
	require.Equal(t, 200, s.do("POST", "/api/assess", text(t, in), &a))
	require.Len(t, a.Entries, 1)
	assert.Equal(t, "motor.plate.power", a.Entries[0].Field)
	assert.Len(t, a.Stations, 5, "the rest is answered")
	assert.False(t, a.MayPower)
	var again server.Sheet
	require.Equal(t, 200, s.do("GET", "/api/plans/"+sheet.PlanID, "", &again))
	assert.Equal(t, sheet, again)
}

func TestSavingKeepsEvenWhatCannotBeUsedYet(t *testing.T) {
	s := open(t)
	w, sheet := s.withDemo()
	sheet.Plan.Motor.Plate.Power = "half a horse"
	change := server.SheetChange{PlanVersion: sheet.PlanVersion, MachineVersion: sheet.MachineVersion, Plan: sheet.Plan,
		Machine: sheet.Machine}
	require.Equal(t, 200, s.do("PUT", "/api/plans/"+sheet.PlanID, text(t, change), nil))
	var again server.Sheet
	require.Equal(t, 200, s.do("GET", "/api/plans/"+sheet.PlanID, "", &again))
	assert.Equal(t, "half a horse", string(again.Plan.Motor.Plate.Power))
	require.Equal(t, 200, s.do("GET", "/api/workshop", "", &w))
	assert.Contains(t, w.Machines[0].Plans[1].Power.Text, "cannot be used")
	assert.Len(t, w.Machines[0].Plans[1].Stations, 5, "its row stays")

	change.Plan.Motor.Plate.Power = "1 hp"
	var stale struct {
		huma.ErrorModel
		Current server.Sheet
	}
	require.Equal(t, 409, s.do("PUT", "/api/plans/"+sheet.PlanID, text(t, change), &stale))
	assert.Equal(t, "half a horse", string(stale.Current.Plan.Motor.Plate.Power))
	assert.Equal(t, 2, stale.Current.PlanVersion)
}

func TestMachinesAndPlansComeAndGo(t *testing.T) {
	s := open(t)
	var added struct{ ID, PlanID string }
	require.Equal(t, 201, s.do("POST", "/api/machines", `{"name":"Lathe","kind":"lathe"}`, &added))
	assert.Equal(t, 422, s.do("POST", "/api/machines", `{"name":"  ","kind":"lathe"}`, nil))
	assert.Equal(t, 422, s.do("POST", "/api/machines", `{"name":"x","kind":"spaceship"}`, nil))
	machine, plan := "/api/machines/"+added.ID, "/api/plans/"+added.PlanID
	assert.Equal(t, 204, s.do("PUT", machine+"/name", `{"name":"Old lathe"}`, nil))
	assert.Equal(t, 422, s.do("PUT", machine+"/name", `{"name":" "}`, nil))
	assert.Equal(t, 204, s.do("PUT", plan+"/name", `{"name":"Try one"}`, nil))
	assert.Equal(t, 201, s.do("POST", plan+"/copy", `{"name":"Try two"}`, nil))
	assert.Equal(t, 201, s.do("POST", machine+"/plans", "", nil))
	assert.Equal(t, 201, s.do("POST", machine+"/copy", `{"name":"Second lathe"}`, nil))
	var w server.Workshop
	require.Equal(t, 200, s.do("GET", "/api/workshop?units=inch", "", &w))
	require.Len(t, w.Machines, 2)
	assert.Equal(t, "Old lathe", w.Machines[0].Name)
	require.Len(t, w.Machines[0].Plans, 3)
	assert.Equal(t, "Try two", w.Machines[0].Plans[1].Name)

	for _, path := range []string{machine, plan} {
		assert.Equal(t, 204, s.do("DELETE", path, "", nil))
		assert.Equal(t, 404, s.do("DELETE", path, "", nil))
		assert.Equal(t, 204, s.do("POST", path+"/restore", "", nil))
	}
	assert.Equal(t, 404, s.do("GET", "/api/plans/00000000-0000-0000-0000-000000000000", "", nil))
	assert.Equal(t, 422, s.do("GET", "/api/plans/not-an-id", "", nil))
}

func TestFilesGoOutAndComeBackWholeOrNotAtAll(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	var file, one openfile.File
	require.Equal(t, 200, s.do("GET", "/api/export", "", &file))
	require.Equal(t, 200, s.do("GET", "/api/plans/"+sheet.PlanID+"/export", "", &one))
	require.Len(t, one.Machines, 1)
	require.Len(t, one.Machines[0].Plans, 1)

	var got struct{ Machines, Plans, Parts int }
	require.Equal(t, 200, s.do("POST", "/api/import", text(t, one), &got))
	assert.Equal(t, 1, got.Machines)
	var before server.Workshop
	require.Equal(t, 200, s.do("GET", "/api/workshop", "", &before))
	require.Len(t, before.Machines, 5)

	bad := one
	bad.Machines = append(append([]openfile.Machine{}, one.Machines...), one.Machines...)
	bad.Machines[1].Plans = append([]openfile.Plan{}, one.Machines[0].Plans...)
	bad.Machines[1].Plans[0].Motor.Kind = "steam"
	var problem huma.ErrorModel
	require.Equal(t, 422, s.do("POST", "/api/import", text(t, bad), &problem))
	assert.Equal(t, "machines[1].plans[0].motor.kind", problem.Errors[0].Location)
	for _, body := range []string{text(t, file)[:3000], `{"format":"jiriki","version":99}`, "[]", "\x00",
		`{"format":"jiriki","version":1,"name":"\u0000"}`} {
		assert.Equal(t, 422, s.do("POST", "/api/import", body, &problem), "%.40s", body)
		assert.NotEmpty(t, problem.Errors, "%.40s", body)
	}
	long := fmt.Sprintf("POST /api/import HTTP/1.1\r\nHost: localhost\r\nContent-Type: "+
		"application/json\r\nContent-Length: %d\r\n\r\n{", openfile.MaxBytes+1)
	assert.Equal(t, 413, raw(t, s.url, long).StatusCode, "told before it is sent")
	var after server.Workshop
	require.Equal(t, 200, s.do("GET", "/api/workshop", "", &after))
	assert.Equal(t, before, after, "nothing was changed")
}

func TestSchemaAcceptsTheDemoAndIsCurrent(t *testing.T) {
	schema, err := server.Schema()
	require.NoError(t, err)
	committed, err := os.ReadFile("../docs/open-file.schema.json")
	require.NoError(t, err)
	assert.Equal(t, string(committed), string(schema), "run make types")
	data, err := os.ReadFile("../demo/quarry-lane.json")
	require.NoError(t, err)
	added, err := server.Import(t.Context(), storetest.Open(t), bytes.NewReader(data))
	require.NoError(t, err)
	assert.Equal(t, 4, added.Machines)
}

func TestOnlyOurOwnNameAndOriginAreServed(t *testing.T) {
	s := open(t)
	assert.Equal(t, 421, s.do("GET", "/api/workshop", "", nil, "Host", "shed.example"))
	assert.Equal(t, 421, s.do("GET", "/", "", nil, "Host", "127.0.0.1.shed.example"))
	assert.Equal(t, 200, s.do("GET", "/api/workshop", "", nil, "Host", "localhost:7420"))
	assert.Equal(t, 403, s.do("POST", "/api/demo", "", nil, "Origin", "http://shed.example"))
	assert.Equal(t, 403, s.do("POST", "/api/demo", "", nil, "Origin", "null"))
	assert.Equal(t, 403, s.do("POST", "/api/demo", "", nil, "Sec-Fetch-Site", "cross-site"))
	assert.Equal(t, 204, s.do("POST", "/api/demo", "", nil, "Origin", s.url, "Sec-Fetch-Site", "same-origin"))
}

func TestHeadersAllowNoForeignOrInlineScript(t *testing.T) {
	s := open(t)
	res, err := http.Get(s.url + "/")
	require.NoError(t, err)
	require.NoError(t, res.Body.Close())
	policy := res.Header.Get("Content-Security-Policy")
	assert.Contains(t, policy, "default-src 'none'")
	assert.Contains(t, policy, "script-src 'self';")
	assert.Contains(t, policy, "frame-ancestors 'none'")
	assert.Equal(t, "nosniff", res.Header.Get("X-Content-Type-Options"))
	assert.Equal(t, "no-cache", res.Header.Get("Cache-Control"))
	assert.Equal(t, 404, s.do("GET", "/nowhere", "", nil))
	assert.Equal(t, 404, s.do("GET", "/assets/", "", nil))
	assert.Equal(t, 404, s.do("GET", "/api/nowhere", "", nil))
}

func TestHugeAndStrangeBodiesGetAnAnswer(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	assert.Equal(t, 413, s.do("POST", "/api/assess", `{"units":"`+strings.Repeat("x", 2<<20)+`"}`, nil))
	for _, body := range []string{"", "{", "null", "[]", `{"units":7}`} {
		status := s.do("POST", "/api/assess", body, nil)
		assert.True(t, status >= 400 && status < 500, "%q got %d", body, status)
	}
	assert.Equal(t, 200, s.do("POST", "/api/assess", `{"units":"metric","machine":null,"plan":null,"shelf":null}`, nil),
		"nothing known yet is a plan too")
	var problem huma.ErrorModel
	crowd := `{"units":"metric","machine":{"jobs":[` + strings.TrimSuffix(strings.Repeat(`{},`, 41), ",") + `]}}`
	require.Equal(t, 413, s.do("POST", "/api/assess", crowd, &problem))
	assert.Contains(t, problem.Detail, "machine.jobs: at most 40")
	sheet.Plan.Notes = "a\u0000b"
	change := server.SheetChange{PlanVersion: 1, MachineVersion: 1, Plan: sheet.Plan, Machine: sheet.Machine}
	assert.Equal(t, 422, s.do("PUT", "/api/plans/"+sheet.PlanID, text(t, change), nil), "PostgreSQL keeps no NUL")
}

func TestWithoutItsDatabaseTheServerSaysSoAndStillAssesses(t *testing.T) {
	away, err := store.Open("postgres://jiriki@127.0.0.1:1/none?sslmode=disable&connect_timeout=2")
	require.NoError(t, err)
	t.Cleanup(func() { require.NoError(t, away.Close()) })
	s := serve(t, away)
	var problem huma.ErrorModel
	assert.Equal(t, 503, s.do("GET", "/api/workshop", "", &problem))
	assert.Contains(t, problem.Detail, "database is not answering")
	assert.Equal(t, 503, s.do("GET", "/api/health", "", nil))
	_, sheet := open(t).withDemo()
	in := plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan}
	assert.Equal(t, 200, s.do("POST", "/api/assess", text(t, in), nil))
}

func TestTimeoutsAreSet(t *testing.T) {
	h := server.HTTP("127.0.0.1:0", http.NotFoundHandler())
	assert.NotZero(t, h.ReadHeaderTimeout)
	assert.NotZero(t, h.ReadTimeout)
	assert.NotZero(t, h.WriteTimeout)
	assert.NotZero(t, h.IdleTimeout)
}

// A zip of the workshop brings its pictures back, those of the log and of the shelf, into another workshop and into the
// same once more.
func TestAZipBringsPicturesBack(t *testing.T) {
	from, ctx := storetest.Open(t), t.Context()
	machine, _, err := from.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{plan.Plan{}.Whole()})
	require.NoError(t, err)
	part, err := from.AddShelfItem(ctx, shelf.Item{Name: "Pulley"}.Whole())
	require.NoError(t, err)
	var drawn bytes.Buffer
	require.NoError(t, jpeg.Encode(&drawn, image.NewGray(image.Rect(0, 0, 64, 48)), nil))
	const entry, shot = "00000000-0000-4000-8000-00000000000a", "00000000-0000-4000-8000-00000000000b"
	require.NoError(t, from.AddEntry(ctx, machine, logbook.Entry{ID: entry, Happened: time.Now(), Sort: logbook.Note,
		Title: "Look"}))
	require.NoError(t, from.AddLogPicture(ctx, entry, shot, drawn.Bytes(), drawn.Bytes()))
	_, err = from.AddPicture(ctx, part, drawn.Bytes(), drawn.Bytes())
	require.NoError(t, err)

	s := httptest.NewServer(server.New(server.Config{Store: from, Log: slog.New(slog.DiscardHandler)}))
	defer s.Close()
	answer, err := http.Get(s.URL + "/api/export.zip")
	require.NoError(t, err)
	zipped, err := io.ReadAll(answer.Body)
	require.NoError(t, answer.Body.Close())
	require.NoError(t, err)
	require.Equal(t, "application/zip", answer.Header.Get("Content-Type"))

	to := storetest.Open(t)
	for round := 1; round <= 2; round++ {
		added, err := server.Import(ctx, to, bytes.NewReader(zipped))
		require.NoError(t, err)
		assert.Equal(t, 1, added.Machines)
	}
	last, _, err := to.LastEntries(ctx, 10)
	require.NoError(t, err)
	require.Len(t, last, 2)
	for _, e := range last {
		require.Len(t, e.Pictures, 1)
		got, err := to.LogPicture(ctx, e.Pictures[0], false)
		require.NoError(t, err)
		_, err = jpeg.Decode(bytes.NewReader(got))
		require.NoError(t, err)
	}
	first, err := to.FirstPictures(ctx)
	require.NoError(t, err)
	assert.Len(t, first, 2)

	for what, bad := range map[string][]byte{"cut off": zipped[:len(zipped)/2], "no file in it": emptyZip(t)} {
		_, err := server.Import(ctx, to, bytes.NewReader(bad))
		var fault openfile.ReadError
		assert.ErrorAs(t, err, &fault, what)
	}
}

func emptyZip(t *testing.T) []byte {
	t.Helper()
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	_, err := z.Create("letter.txt")
	require.NoError(t, err)
	require.NoError(t, z.Close())
	return out.Bytes()
}
