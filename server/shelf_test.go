package server_test

import (
	"bytes"
	"image"
	"image/jpeg"
	"io"
	"net/http"
	"strings"
	"testing"

	"github.com/danielgtaylor/huma/v2"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/finding"
	"jiriki/core/identify"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/rank"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/server"
)

func TestAPartGoesOnTheShelfIsChangedAndComesOff(t *testing.T) {
	s := open(t)
	var made struct{ ID string }
	item := shelf.Item{Sort: shelf.Motor, Cost: "£12", Motor: motor.Described{Name: "Hoist",
		Kind: motor.PermanentMagnetDC}}.Whole()
	require.Equal(t, 201, s.do("POST", "/api/shelf", text(t, item), &made))
	var list []shelf.Label
	require.Equal(t, 200, s.do("GET", "/api/shelf", "", &list))
	require.Len(t, list, 1)
	assert.Equal(t, made.ID, list[0].ID)
	assert.Equal(t, "Hoist", list[0].Name)
	require.Equal(t, 200, s.do("GET", "/api/shelf?sort=belt", "", &list))
	assert.Empty(t, list)
	var opened server.ShelfEntry
	require.Equal(t, 200, s.do("GET", "/api/shelf/"+made.ID, "", &opened))
	assert.Equal(t, 1, opened.Version)

	changed := opened.Item
	changed.Place = "Under the bench"
	body := func(version int) string { return text(t, map[string]any{"version": version, "item": changed}) }
	var entry server.ShelfEntry
	require.Equal(t, 200, s.do("PUT", "/api/shelf/"+made.ID, body(1), &entry))
	assert.Equal(t, 2, entry.Version)
	assert.Equal(t, 200, s.do("PUT", "/api/shelf/"+made.ID, body(1), nil), "the same again is no conflict")
	changed.Place = "Elsewhere"
	var stale struct{ Current server.ShelfEntry }
	require.Equal(t, 409, s.do("PUT", "/api/shelf/"+made.ID, body(1), &stale))
	assert.Equal(t, "Under the bench", stale.Current.Item.Place, "what is saved now comes with it")
	assert.Equal(t, 404, s.do("PUT", "/api/shelf/00000000-0000-0000-0000-000000000000", body(1), nil))
	assert.Equal(t, 422, s.do("PUT", "/api/shelf/nonsense", body(1), nil))

	var known shelf.Known
	check := func(power string) string {
		changed.Motor.Plate = motor.Plate{Speed: "1750", Volts: "180 V", Amps: "2.8 A"}
		return strings.Replace(text(t, map[string]any{"units": "metric", "item": changed}), `"power":""`,
			`"power":"`+power+`"`, 1)
	}
	require.Equal(t, 200, s.do("POST", "/api/shelf/check", check("1/2 hp"), &known))
	assert.NotEmpty(t, known.Workings)
	require.Equal(t, 200, s.do("POST", "/api/shelf/check", check("plenty"), &known))
	assert.Equal(t, "motor.plate.power", known.Entries[0].Field)

	require.Equal(t, 204, s.do("DELETE", "/api/shelf/"+made.ID, "", nil))
	require.Equal(t, 200, s.do("GET", "/api/shelf", "", &list))
	assert.Empty(t, list)
	require.Equal(t, 204, s.do("POST", "/api/shelf/"+made.ID+"/restore", "", nil))
}

func photo(t *testing.T) []byte {
	t.Helper()
	var b bytes.Buffer
	require.NoError(t, jpeg.Encode(&b, image.NewGray(image.Rect(0, 0, 900, 600)), nil))
	return b.Bytes()
}

func TestPicturesAreTakenShownAndTakenAway(t *testing.T) {
	s := open(t)
	var made struct{ ID string }
	require.Equal(t, 201, s.do("POST", "/api/shelf", text(t, shelf.Item{}.Whole()), &made))
	var picture struct{ ID string }
	add := func(data string) int {
		return s.do("POST", "/api/shelf/"+made.ID+"/pictures", data, nil, "Content-Type", "application/octet-stream")
	}
	require.Equal(t, 201, s.do("POST", "/api/shelf/"+made.ID+"/pictures", string(photo(t)), &picture, "Content-Type",
		"application/octet-stream"))
	for query, width := range map[string]int{"": 900, "?thumbnail=true": 320} {
		res, err := http.Get(s.url + "/api/pictures/" + picture.ID + query)
		require.NoError(t, err)
		data, err := io.ReadAll(res.Body)
		require.NoError(t, err)
		require.NoError(t, res.Body.Close())
		assert.Equal(t, "image/jpeg", res.Header.Get("Content-Type"))
		config, err := jpeg.DecodeConfig(bytes.NewReader(data))
		require.NoError(t, err)
		assert.Equal(t, width, config.Width)
	}
	var problem huma.ErrorModel
	require.Equal(t, 422, s.do("POST", "/api/shelf/"+made.ID+"/pictures", "not a picture", &problem, "Content-Type",
		"application/octet-stream"))
	assert.Contains(t, problem.Detail, "not a JPEG, PNG or WebP")
	assert.Equal(t, 413, add(strings.Repeat("x", 11<<20)))
	assert.Equal(t, 404, s.do("POST", "/api/shelf/00000000-0000-0000-0000-000000000000/pictures", string(photo(t)), nil,
		"Content-Type", "application/octet-stream"))

	var entry server.ShelfEntry
	require.Equal(t, 204, s.do("DELETE", "/api/pictures/"+picture.ID, "", nil))
	require.Equal(t, 200, s.do("GET", "/api/shelf/"+made.ID, "", &entry))
	assert.Empty(t, entry.Pictures)
	require.Equal(t, 404, s.do("GET", "/api/pictures/"+picture.ID, "", nil))
	require.Equal(t, 204, s.do("POST", "/api/pictures/"+picture.ID+"/restore", "", nil))
	for range 11 {
		require.Equal(t, 201, add(string(photo(t))))
	}
	assert.Equal(t, 409, add(string(photo(t))), "twelve are enough")
}

func TestIdentificationOverHTTP(t *testing.T) {
	s := open(t)
	var o identify.Opinion
	require.Equal(t, 200, s.do("POST", "/api/identify", `{"donor":"","region":"europe","seen":[]}`, &o))
	require.NotNil(t, o.Next)
	require.Equal(t, 200, s.do("POST", "/api/identify",
		`{"donor":"treadmill","region":"europe","seen":[{"clue":"brushes","answer":"yes"},{"clue":"stator",
		"answer":"magnets"}]}`, &o))
	assert.Equal(t, motor.PermanentMagnetDC, o.Ranking[0].Kind)
	assert.Equal(t, 422, s.do("POST", "/api/identify",
		`{"donor":"","region":"","seen":[{"clue":"aura","answer":"blue"}]}`, nil))

	var sorted identify.Sorted
	require.Equal(t, 200, s.do("POST", "/api/leads",
		`{"readings":[{"a":"1","b":"2","ohms":"18"},{"a":"2","b":"3","ohms":"14"},{"a":"1","b":"3",
		"ohms":"4.2"}],"thin":[]}`, &sorted))
	assert.Contains(t, sorted.Verdict, "3 is common")
	assert.Equal(t, 422, s.do("POST", "/api/leads", `{"readings":[{"a":"1","b":"1","ohms":"18"}],"thin":[]}`, nil))

	var list []finding.Finding
	require.Equal(t, 200, s.do("POST", "/api/capacitor", text(t,
		identify.CapacitorCheck{Use: "run", Volts: "250 V", Line: "230 V"}), &list))
	assert.Equal(t, finding.Stop, list[1].Level)
	assert.Equal(t, 422, s.do("POST", "/api/capacitor", text(t, identify.CapacitorCheck{Marked: "lots"}), nil))
}

func TestTheCatalogueAndTheRanking(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	var c server.Catalogue
	require.Equal(t, 200, s.do("GET", "/api/catalogue", "", &c))
	assert.Len(t, c.Motors, 13)
	assert.NotEmpty(t, c.Machines)
	assert.NotEmpty(t, c.Donors)
	assert.Equal(t, "phase-angle", c.Motors[0].Controls[0].Control)

	in := plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan}
	var r rank.Ranking
	require.Equal(t, 200, s.do("POST", "/api/rank", text(t, in), &r))
	assert.Len(t, r.Candidates, 10, "nine from the shelf and the plan's own")
	assert.NotEmpty(t, r.Why)
	in.Machine.Jobs[0].Speed.From = "slowly"
	jobs := len(in.Machine.Jobs)
	require.Equal(t, 200, s.do("POST", "/api/rank", text(t, in), &r))
	assert.Len(t, r.Candidates[0].Jobs, jobs)
	assert.Less(t, r.Candidates[0].JobsDone, jobs, "a job that cannot be read is not done")
}

// A machine of a kind comes with such a machine's usual jobs.
func TestANewMachineBringsItsUsualJobs(t *testing.T) {
	s := open(t)
	var made struct{ PlanID string }
	require.Equal(t, 201, s.do("POST", "/api/machines", `{"name":"Big lathe","kind":"lathe"}`, &made))
	var sheet server.Sheet
	require.Equal(t, 200, s.do("GET", "/api/plans/"+made.PlanID, "", &sheet))
	assert.Len(t, sheet.Machine.Jobs, len(work.FindKind("lathe").Jobs))
	assert.Equal(t, 422, s.do("POST", "/api/machines", `{"name":"Odd","kind":"time machine"}`, nil))
}
