package server_test

import (
	"bytes"
	"context"
	"fmt"
	"net/http"
	"net/http/httptest"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/search"
	"jiriki/core/shelf"
	"jiriki/demo"
	"jiriki/server"
	"jiriki/store"
	"jiriki/store/storetest"
)

// What a workshop may well grow to.
const (
	manyMachines = 300
	manyPlans    = 3
	manyParts    = 1000
)

func large(t testing.TB, s *store.Store, machines, parts int) {
	t.Helper()
	file, err := largeFile(machines, manyPlans, parts)
	require.NoError(t, err)
	require.NoError(t, s.Import(context.Background(), file.Send))
}

// largeFile makes a workshop of a size out of the demo's machines and parts: no two plans and no two motors
// the same, names shared by many. The same every time.
func largeFile(machines, plans, parts int) (openfile.File, error) {
	from, err := demo.Workshop()
	if err != nil {
		return from, err
	}
	out := openfile.File{Format: from.Format, Version: from.Version, Name: "Large shed", Machines: []openfile.Machine{},
		Shelf: []shelf.Item{}}
	for i := range machines {
		m := from.Machines[i%len(from.Machines)]
		m.Machine.Name = fmt.Sprintf("%s %d", m.Machine.Name, i/len(from.Machines)+1)
		these := make([]openfile.Plan, plans)
		for k := range these {
			p := m.Plans[k%len(m.Plans)]
			p.Motor = nudged(p.Motor, i*plans+k)
			p.Letter = ""
			these[k] = p
		}
		out.Machines = append(out.Machines, openfile.Machine{Machine: m.Machine, Plans: these})
	}
	for i := range parts {
		item := from.Shelf[i%len(from.Shelf)]
		switch {
		case item.Is(shelf.Motor):
			item.Motor = nudged(item.Motor, i)
		case item.Is(shelf.Pulley) && item.Wheel.Diameter.Known():
			item.Wheel.Diameter = q.Text(fmt.Sprintf("%d mm", 50+i%350))
		}
		out.Shelf = append(out.Shelf, item)
	}
	return out, nil
}

// nudged is a motor with a little more or less of plate amps, by which no two are alike.
func nudged(m motor.Described, i int) motor.Described {
	if v, err := q.Parse(m.Plate.Amps, q.Current); err == nil {
		m.Plate.Amps = q.Text(fmt.Sprintf("%.4f A", v*(1+float64(i%997)/10_000)))
	}
	m.Origin = fmt.Sprintf("%s, no. %d", m.Origin, i)
	m.Readings = slices.Clone(m.Readings)
	return m
}

// Everything works with a large workshop: out in a file and in again, the shed, a plan, and whatever goes
// through the shelf.
func TestALargeWorkshopWorks(t *testing.T) {
	kept := storetest.Open(t)
	// Under the race detector a third of the machines is long enough; the journeys go through all of them.
	const machines = manyMachines / 3
	large(t, kept, machines, manyParts)
	s := serve(t, kept)

	file := s.get("/api/export")
	assert.Greater(t, len(file), 4<<20)
	again := open(t)
	var added struct{ Machines, Plans, Parts int }
	require.Equal(t, 200, again.do("POST", "/api/import", string(file), &added))
	assert.Equal(t, []int{machines, machines * manyPlans, manyParts}, []int{added.Machines, added.Plans, added.Parts})
	back, err := openfile.Decode(again.get("/api/export"))
	require.NoError(t, err)
	sent, err := openfile.Decode(file)
	require.NoError(t, err)
	for i := range back.Shelf {
		back.Shelf[i].ID = sent.Shelf[i].ID // the store gives its own
	}
	assert.Equal(t, sent, back)

	var w server.Workshop
	require.Equal(t, 200, s.do("GET", "/api/workshop", "", &w))
	require.Len(t, w.Machines, machines)
	assert.Len(t, w.Shelf, manyParts)
	for _, m := range w.Machines {
		for _, p := range m.Plans {
			require.NotEmpty(t, p.Does.Text)
			require.Len(t, p.Stations, 5)
		}
	}
	sheet := s.get("/api/plans/" + w.Machines[1].Plans[0].ID)
	assert.Less(t, len(sheet), 64<<10, "a plan does not carry the shelf")
	var opened server.Sheet
	require.Equal(t, 200, s.do("GET", "/api/plans/"+w.Machines[1].Plans[0].ID, "", &opened))
	in := plan.Input{Units: "metric", Machine: opened.Machine, Plan: opened.Plan}
	for path, body := range map[string]any{
		"/api/assess": in, "/api/rank": in, "/api/build": in, "/api/controls": in,
	} {
		assert.Equal(t, 200, s.do("POST", path, text(t, body), nil), path)
	}
	events := s.stream(t.Context(), "/api/search", text(t, search.Input{Input: in,
		Ask: search.Ask{Kinds: []string{"v-A"}}}))
	assert.Equal(t, "result", events[len(events)-1].name, events[len(events)-1].data)
	labels := s.get("/api/shelf?sort=motor")
	assert.Less(t, len(labels), 512<<10)
	assert.Equal(t, strings.Count(string(labels), `"id"`), countOf(w, shelf.Motor))
}

func countOf(w server.Workshop, sort string) int {
	n := 0
	for _, l := range w.Shelf {
		if l.Sort == sort {
			n++
		}
	}
	return n
}

// get returns an answer whole.
func (s shop) get(path string) []byte {
	s.t.Helper()
	res, err := http.Get(s.url + path)
	require.NoError(s.t, err)
	defer func() { require.NoError(s.t, res.Body.Close()) }()
	require.Equal(s.t, 200, res.StatusCode)
	var b bytes.Buffer
	_, err = b.ReadFrom(res.Body)
	require.NoError(s.t, err)
	return b.Bytes()
}

// BenchmarkLarge measures what a person waits for with a large workshop.
func BenchmarkLarge(b *testing.B) {
	kept := storetest.Open(b)
	large(b, kept, manyMachines, manyParts)
	h := served(b, kept)
	srv := httptest.NewServer(h)
	b.Cleanup(srv.Close)
	get := func(b *testing.B, path string) []byte {
		b.Helper()
		return shop{b, srv.URL}.get(path)
	}
	var w server.Workshop
	require.Equal(b, 200, shop{b, srv.URL}.do("GET", "/api/workshop", "", &w))
	// The plan whose shelf is tried: it falls short.
	var short *server.ShedPlan
	for i := range w.Machines {
		for k := range w.Machines[i].Plans {
			if p := &w.Machines[i].Plans[k]; short == nil && p.Does.Mark == finding.Stop {
				short = p
			}
		}
	}
	require.NotNil(b, short)
	var sheet server.Sheet
	require.Equal(b, 200, shop{b, srv.URL}.do("GET", "/api/plans/"+short.ID, "", &sheet))
	body := text(b, plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan})
	post := func(b *testing.B, path string) {
		b.Helper()
		require.Equal(b, 200, shop{b, srv.URL}.do("POST", path, body, nil))
	}
	b.Run("shed", func(b *testing.B) {
		for b.Loop() {
			get(b, "/api/workshop")
		}
	})
	b.Run("shed-first-look", func(b *testing.B) {
		for b.Loop() {
			fresh := httptest.NewServer(served(b, kept))
			shop{b, fresh.URL}.get("/api/workshop")
			fresh.Close()
		}
	})
	b.Run("plan-opened", func(b *testing.B) {
		for b.Loop() {
			get(b, "/api/plans/"+short.ID)
			post(b, "/api/assess")
			get(b, "/api/shelf")
		}
	})
	for _, path := range []string{"assess", "rank", "build", "controls"} {
		b.Run(path, func(b *testing.B) {
			for b.Loop() {
				post(b, "/api/"+path)
			}
		})
	}
	file := get(b, "/api/export")
	b.Run("export", func(b *testing.B) {
		b.SetBytes(int64(len(file)))
		for b.Loop() {
			get(b, "/api/export")
		}
	})
	b.Run("import", func(b *testing.B) {
		b.SetBytes(int64(len(file)))
		for b.Loop() {
			b.StopTimer()
			into := storetest.Open(b)
			b.StartTimer()
			_, err := server.Import(context.Background(), into, bytes.NewReader(file))
			require.NoError(b, err)
		}
	})
}
