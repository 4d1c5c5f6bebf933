package store_test

import (
	"bytes"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/google/uuid"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/bounds"
	"jiriki/core/logbook"
	"jiriki/core/measured"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/work"
	"jiriki/store"
	"jiriki/store/storetest"
)

// written is a workshop as a file.
func written(t require.TestingT, s *store.Store) []byte {
	var out bytes.Buffer
	w := openfile.NewWriter(&out)
	require.NoError(t, s.Export(ctx, w))
	require.NoError(t, w.Close())
	return out.Bytes()
}

func gathered(t require.TestingT, s *store.Store) openfile.File {
	file, err := openfile.Gather(func(to openfile.Sink) error { return s.Export(ctx, to) })
	require.NoError(t, err)
	return file
}

// withoutIDs is a workshop without the IDs of its entries and parts, which are new in each.
func withoutIDs(f openfile.File) openfile.File {
	for _, m := range f.Machines {
		for i := range m.Log {
			m.Log[i].ID = ""
		}
	}
	for i := range f.Shelf {
		f.Shelf[i].ID = ""
	}
	return f
}

// brought is a workshop that was written out and read into an empty one.
func brought(t *testing.T, s *store.Store) openfile.File {
	t.Helper()
	there := storetest.Open(t)
	text := written(t, s)
	require.NoError(t, there.Import(ctx, func(to openfile.Sink) error {
		return openfile.Read(bytes.NewReader(text), to)
	}))
	return gathered(t, there)
}

// Whatever a workshop holds, it is the same once it was written out and read back; only entries whose IDs were no
// UUIDs,
// or given twice, have new ones.
func TestAnyWorkshopComesBack(t *testing.T) {
	from, to := storetest.Open(t), storetest.Open(t)
	rapid.Check(t, func(t *rapid.T) {
		require.NoError(t, from.Empty(ctx))
		require.NoError(t, to.Empty(ctx))
		word := rapid.StringOf(rapid.SampledFrom([]rune(`aé"\<&{}[],: ` + "\n\t\u2028😀")))
		letters := rapid.SliceOfDistinct(rapid.SampledFrom([]string{"A", "B", "C", "Y", "Z"}), rapid.ID)
		machine := rapid.Custom(func(t *rapid.T) openfile.Machine {
			m := openfile.Machine{Machine: work.Machine{Name: "x" + word.Draw(t, "name")}, Plans: []openfile.Plan{}}
			for _, l := range letters.Draw(t, "letters") {
				m.Plans = append(m.Plans, openfile.Plan{Letter: l, Plan: plan.Plan{Notes: word.Draw(t, "notes")}})
			}
			for i := range rapid.IntRange(0, 30).Draw(t, "entries") {
				m.Log = append(m.Log, logbook.Entry{Sort: logbook.Note, Title: word.Draw(t, "title"),
					ID:       rapid.SampledFrom([]string{"", "x", idA, idB, uuid.NewString()}).Draw(t, "id"),
					Plan:     rapid.SampledFrom([]string{"", "A", "C", "Q"}).Draw(t, "plan"),
					Happened: time.Unix(int64(i/3), 0).UTC()})
			}
			return m
		})
		file := openfile.File{Name: word.Draw(t, "workshop"), Machines: rapid.SliceOfN(machine, 0, 3).Draw(t,
			"machines")}
		for range rapid.IntRange(0, 2).Draw(t, "parts") {
			file.Shelf = append(file.Shelf, shelf.Item{Sort: shelf.Motor})
		}
		require.NoError(t, from.Import(ctx, file.Send))
		first := gathered(t, from)
		require.Len(t, first.Machines, len(file.Machines))
		for i, m := range first.Machines {
			require.Len(t, m.Log, len(file.Machines[i].Log))
			for k, e := range m.Log {
				given := file.Machines[i].Log[k]
				assert.Equal(t, []string{given.Title, given.Plan}, []string{e.Title, e.Plan})
				assert.NoError(t, uuid.Validate(e.ID))
			}
		}
		text := written(t, from)
		require.NoError(t, to.Import(ctx, func(sink openfile.Sink) error {
			return openfile.Read(bytes.NewReader(text), sink)
		}))
		assert.Equal(t, withoutIDs(first), withoutIDs(gathered(t, to)))
	})
}

// A plan that was deleted keeps its letter for its entries, and nobody else gets them.
func TestLettersInALogOutliveTheirPlans(t *testing.T) {
	s := storetest.Open(t)
	machine, plans, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{Name: "one"},
		{Name: "two"}, {Name: "three"}})
	require.NoError(t, err)
	for i, letter := range []string{"A", "B", "C"} {
		e := entry(uuid.NewString(), "of "+letter, time.Unix(int64(i), 0))
		e.Plan = letter
		require.NoError(t, s.AddEntry(ctx, machine, e))
	}
	require.NoError(t, s.DeletePlan(ctx, plans[1]))

	there := storetest.Open(t)
	require.NoError(t, there.Import(ctx, func(to openfile.Sink) error { return s.Export(ctx, to) }))
	m := gathered(t, there).Machines[0]
	require.Len(t, m.Plans, 2)
	assert.Equal(t, []string{"A", "C"}, []string{m.Plans[0].Letter, m.Plans[1].Letter})
	assert.Equal(t, "three", m.Plans[1].Name)
	for _, e := range m.Log {
		assert.Equal(t, "of "+e.Plan, e.Title)
	}
	shed, err := there.Shed(ctx)
	require.NoError(t, err)
	_, err = there.AddPlan(ctx, shed[0].ID, plan.Plan{Name: "four"})
	require.NoError(t, err)
	m = gathered(t, there).Machines[0]
	assert.Equal(t, "D", m.Plans[2].Letter, "a new plan has no entries yet")
}

// A log of many years and long words is written out and read back: it is not one part of the file.
func TestALongLogComesBack(t *testing.T) {
	s := storetest.Open(t)
	long := strings.Repeat("words and more words ", 190)
	file := openfile.File{Machines: []openfile.Machine{{Machine: work.Machine{Name: "Wheel"},
		Plans: []openfile.Plan{{}}}}}
	for i := range 1500 {
		file.Machines[0].Log = append(file.Machines[0].Log, entry(uuid.NewString(), fmt.Sprint(i),
			time.Unix(int64(i), 0)))
		file.Machines[0].Log[i].Detail = long
	}
	require.NoError(t, s.Import(ctx, file.Send))
	require.Greater(t, len(written(t, s)), bounds.PartBytes)
	assert.Equal(t, withoutIDs(gathered(t, s)), withoutIDs(brought(t, s)))
}

// A plan that is kept can be read back, however it is set out in the file; one that could not be is not kept.
func TestNoPlanIsKeptThatCannotComeBack(t *testing.T) {
	s := storetest.Open(t)
	_, plans, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), []plan.Plan{{}})
	require.NoError(t, err)
	save := func(long int) error {
		p := plan.Plan{Trials: make([]measured.Trial, 60)}
		for i := range p.Trials {
			p.Trials[i].Readings = make([]measured.Reading, 120)
			for k := range p.Trials[i].Readings {
				p.Trials[i].Readings[k].Speed = q.Text(strings.Repeat("9", long))
			}
		}
		now, err := s.Sheet(ctx, plans[0])
		require.NoError(t, err)
		_, err = s.SaveSheet(ctx, plans[0], now.Plan.Version, now.Machine.Version, p.Whole(),
			now.Machine.Described, nil)
		return err
	}
	kept := 0
	for n := 50; n < 1000; n += 50 {
		if err := save(n); err != nil {
			require.ErrorIs(t, err, store.ErrLong)
			break
		}
		kept = n
	}
	require.Greater(t, kept, 100)
	assert.Greater(t, len(written(t, s)), bounds.PartBytes)
	assert.Equal(t, withoutIDs(gathered(t, s)), withoutIDs(brought(t, s)))
}

// What another machine has under an ID is not lost for it, and who wrote an entry is not for a person to say.
func TestAnEntryIsKeptWhoeverHasItsID(t *testing.T) {
	s := storetest.Open(t)
	one, _, err := s.AddMachine(ctx, work.Machine{Name: "Wheel"}.Whole(), nil)
	require.NoError(t, err)
	two, _, err := s.AddMachine(ctx, work.Machine{Name: "Lathe"}.Whole(), nil)
	require.NoError(t, err)
	require.NoError(t, s.AddEntry(ctx, one, entry(idA, "of the wheel", time.Unix(0, 0))))
	require.NoError(t, s.AddEntry(ctx, two, entry(idA, "of the lathe", time.Unix(0, 0))))
	list, err := s.Log(ctx, two, all())
	require.NoError(t, err)
	require.Len(t, list, 1)
	assert.Equal(t, "of the lathe", list[0].Title)
	list[0].Itself = true
	saved, err := s.SaveEntry(ctx, list[0].ID, list[0].Version, list[0].Entry)
	require.NoError(t, err)
	assert.False(t, saved.Itself)
}

// What another program wrote into a document and this one does not know is there after a save, wherever it stood.
func TestFieldsThatAreNotKnownAreKept(t *testing.T) {
	s := storetest.Open(t)
	p := plan.Plan{Name: "one", Trials: []measured.Trial{{ID: "x"}, {ID: "y"}}}.Whole()
	machine, plans, err := s.AddMachine(ctx, work.Machine{Name: "Wheel", Jobs: []work.Job{{Name: "a"},
		{Name: "b"}}}.Whole(),
		[]plan.Plan{p})
	require.NoError(t, err)
	part, err := s.AddShelfItem(ctx, shelf.Item{Sort: shelf.Motor})
	require.NoError(t, err)
	require.NoError(t, s.AddEntry(ctx, machine, entry(idA, "one", time.Unix(0, 0))))
	for _, change := range []string{
		`UPDATE plan SET described = jsonb_set(jsonb_set(jsonb_set(described, '{later}', '{"deep":[1,"two"]}'),
			'{motor,hum}', '"loud"'), '{trials,1,mood}', '"good"')`,
		`UPDATE machine SET described = jsonb_set(described, '{jobs,1,colour}', '"red"')`,
		`UPDATE shelf_item SET described = jsonb_set(described, '{motor,hum}', '"low"')`,
		`UPDATE log_entry SET described = jsonb_set(described, '{weather}', '"wet"')`,
	} {
		require.NoError(t, s.Exec(ctx, change))
	}

	now, err := s.Sheet(ctx, plans[0])
	require.NoError(t, err)
	changed, m := now.Plan.Described, now.Machine.Described
	changed.Name, m.Jobs[0].Name = "two", "c"
	// The second trial is the first now.
	changed.Trials = []measured.Trial{changed.Trials[1], {ID: "z"}, changed.Trials[0]}
	_, err = s.SaveSheet(ctx, plans[0], now.Plan.Version, now.Machine.Version, changed, m, nil)
	require.NoError(t, err)
	item, err := s.ShelfEntry(ctx, part)
	require.NoError(t, err)
	item.Item.Motor.Name = "named"
	_, err = s.SaveShelfItem(ctx, part, item.Version, item.Item)
	require.NoError(t, err)
	_, err = s.SaveEntry(ctx, idA, 1, entry(idA, "two", time.Unix(0, 0)))
	require.NoError(t, err)

	for query, want := range map[string]string{
		`SELECT described ->> 'name' FROM plan`:                          "two",
		`SELECT described #>> '{later,deep,1}' FROM plan`:                "two",
		`SELECT described #>> '{motor,hum}' FROM plan`:                   "loud",
		`SELECT described #>> '{trials,0,mood}' FROM plan`:               "good",
		`SELECT described #>> '{jobs,0,name}' FROM machine`:              "c",
		`SELECT described #>> '{jobs,1,colour}' FROM machine`:            "red",
		`SELECT described #>> '{motor,hum}' FROM shelf_item`:             "low",
		`SELECT described #>> '{motor,name}' FROM shelf_item`:            "named",
		`SELECT described ->> 'weather' FROM log_entry`:                  "wet",
		`SELECT described ->> 'title' FROM log_entry`:                    "two",
		`SELECT coalesce(described #>> '{trials,2,mood}', '') FROM plan`: "",
	} {
		got, err := s.One(ctx, query)
		require.NoError(t, err, query)
		assert.Equal(t, want, got, query)
	}
}

// A log holds so many entries that people wrote, and none that wrote itself takes their place.
func TestALogIsFullOfWhatPeopleWrote(t *testing.T) {
	s := storetest.Open(t)
	file := openfile.File{Machines: []openfile.Machine{{Machine: work.Machine{Name: "Wheel"}}}}
	for i := range logbook.MostEntries {
		e := entry("", "", time.Unix(int64(i), 0))
		e.Itself = i == 0
		file.Machines[0].Log = append(file.Machines[0].Log, e)
	}
	require.NoError(t, s.Import(ctx, file.Send))
	shed, err := s.Shed(ctx)
	require.NoError(t, err)
	require.NoError(t, s.AddEntry(ctx, shed[0].ID, entry(idA, "the last", time.Unix(0, 0))))
	require.ErrorIs(t, s.AddEntry(ctx, shed[0].ID, entry(idB, "one more", time.Unix(0, 0))), store.ErrFull)
	require.NoError(t, s.AddEntry(ctx, shed[0].ID, entry(idA, "the last", time.Unix(0, 0))), "sent twice")
}

// The entry of a check is found by the same ID in every version of this program, or it would be written a second time.
func TestTheNameOfAnEntryStays(t *testing.T) {
	assert.Equal(t, "b561e481-88a6-e528-03da-13e0021a5304", store.EntryID("plan", "check.x"))
}
