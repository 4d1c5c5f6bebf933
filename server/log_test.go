package server_test

import (
	"encoding/csv"
	"net/http"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/work"
	"jiriki/server"
	"jiriki/store"
	"jiriki/store/storetest"
)

// A spreadsheet takes nothing that a person wrote for a formula, however it begins, and every entry is in the file.
func TestTheLogAsCSV(t *testing.T) {
	kept := storetest.Open(t)
	machine, _, err := kept.AddMachine(t.Context(), work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{}})
	require.NoError(t, err)
	s := serve(t, kept)
	titles := []string{"=1+1", "+1", "-1", "@x", "\t=1", "\r=1", "\n=1", "＝1", "＋1", "－1", "＠x", "plain", "über",
		"1-1"}
	for i, title := range titles {
		require.NoError(t, kept.AddEntry(t.Context(), machine, logbook.Entry{ID: uuid.NewString(), Sort: logbook.Note,
			Happened: time.Unix(int64(-i), 0), Title: title}))
	}
	res, err := http.Get(s.url + "/api/machines/" + machine + "/log.csv")
	require.NoError(t, err)
	defer func() { _ = res.Body.Close() }()
	rows, err := csv.NewReader(res.Body).ReadAll()
	require.NoError(t, err)
	require.Len(t, rows, 1+len(titles))
	for i, title := range titles {
		want := title
		if i < 11 {
			want = "'" + title
		}
		assert.Equal(t, want, rows[i+1][3], "%q", title)
	}
}

// The log of a machine that is not there is none, not an empty one.
func TestTheLogOfNoMachine(t *testing.T) {
	s := open(t)
	for _, path := range []string{"/log", "/log.csv"} {
		assert.Equal(t, 404, s.said("GET", "/api/machines/"+uuid.NewString()+path, "", nil, nil), path)
	}
}

// Who wrote an entry is not for a person to say.
func TestNobodyClaimsWhatWroteItself(t *testing.T) {
	kept := storetest.Open(t)
	machine, _, err := kept.AddMachine(t.Context(), work.Machine{Name: "Wheel"}.Whole(), nil)
	require.NoError(t, err)
	s := serve(t, kept)
	e := logbook.Entry{ID: uuid.NewString(), Sort: logbook.Note, Happened: time.Unix(0, 0).UTC(), Title: "by hand",
		Itself: true}.Whole()
	require.Equal(t, 204, s.said("POST", "/api/machines/"+machine+"/log", "application/json", inJSON(t, e), nil))
	var now server.LogEntry
	require.Equal(t, 200, s.said("PUT", "/api/log/"+e.ID, "application/json",
		inJSON(t, server.LogEntry{Entry: e, Version: 1}), &now))
	assert.False(t, now.Itself)
	for range 2 {
		e.ID = ""
		require.Equal(t, 204, s.said("POST", "/api/machines/"+machine+"/log", "application/json", inJSON(t, e), nil))
	}
	list, err := kept.Log(t.Context(), machine, store.LogFilter{Most: 10})
	require.NoError(t, err)
	assert.Len(t, list, 3, "each that comes without an ID is one of its own")
	e.ID = "soup"
	assert.Equal(t, 422, s.said("POST", "/api/machines/"+machine+"/log", "application/json", inJSON(t, e), nil))
}
