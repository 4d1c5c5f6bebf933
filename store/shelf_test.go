package store_test

import (
	"testing"

	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/openfile"
	"jiriki/core/shelf"
	"jiriki/store"
	"jiriki/store/storetest"
)

func TestAShelfItemIsSavedAgainstItsVersion(t *testing.T) {
	s := storetest.Open(t)
	id, err := s.AddShelfItem(ctx, shelf.Item{ID: "whatever", Cost: `£12 "or so"`})
	require.NoError(t, err)
	entry, err := s.ShelfEntry(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, id, entry.Item.ID, "its ID is the row's")
	mine, theirs := entry.Item, entry.Item
	theirs.Place, mine.Place = "theirs", "mine"
	now, err := s.SaveShelfItem(ctx, id, 1, theirs)
	require.NoError(t, err)
	assert.Equal(t, 2, now.Version)
	now, err = s.SaveShelfItem(ctx, id, 1, mine)
	require.ErrorIs(t, err, store.ErrStale)
	assert.Equal(t, "theirs", now.Item.Place)
	_, err = s.SaveShelfItem(ctx, "00000000-0000-0000-0000-000000000000", 1, mine)
	assert.ErrorIs(t, err, store.ErrNotFound)
}

func TestPicturesBelongToAPart(t *testing.T) {
	s := storetest.Open(t)
	id, err := s.AddShelfItem(ctx, shelf.Item{})
	require.NoError(t, err)
	first, err := s.AddPicture(ctx, id, []byte("large"), []byte("small"))
	require.NoError(t, err)
	second, err := s.AddPicture(ctx, id, []byte("another"), []byte("one"))
	require.NoError(t, err)
	entry, err := s.ShelfEntry(ctx, id)
	require.NoError(t, err)
	assert.Equal(t, []string{first, second}, entry.Pictures, "in the order they came")
	for thumbnail, want := range map[bool]string{false: "large", true: "small"} {
		got, err := s.Picture(ctx, first, thumbnail)
		require.NoError(t, err)
		assert.Equal(t, want, string(got))
	}
	require.NoError(t, s.DeletePicture(ctx, first))
	_, err = s.Picture(ctx, first, false)
	assert.ErrorIs(t, err, store.ErrNotFound)
	require.NoError(t, s.RestorePicture(ctx, first))
	for range 10 {
		_, err = s.AddPicture(ctx, id, []byte("x"), []byte("x"))
		require.NoError(t, err)
	}
	_, err = s.AddPicture(ctx, id, []byte("x"), []byte("x"))
	assert.ErrorIs(t, err, store.ErrFull)
	require.NoError(t, s.DeleteShelfItem(ctx, id))
	_, err = s.AddPicture(ctx, id, []byte("x"), []byte("x"))
	assert.ErrorIs(t, err, store.ErrNotFound, "what is off the shelf takes no more")
}

// One state of the shelf is told from another by what is on it, and by nothing else.
func TestTheShelfsDigestFollowsWhatIsOnIt(t *testing.T) {
	s := storetest.Open(t)
	digest := func() string {
		d, err := s.ShelfDigest(ctx)
		require.NoError(t, err)
		return d
	}
	bare := digest()
	id, err := s.AddShelfItem(ctx, shelf.Item{Place: "loft"}.Whole())
	require.NoError(t, err)
	one := digest()
	assert.NotEqual(t, bare, one)
	entry, err := s.ShelfEntry(ctx, id)
	require.NoError(t, err)
	moved := entry.Item
	moved.Place = "cellar"
	now, err := s.SaveShelfItem(ctx, id, 1, moved)
	require.NoError(t, err)
	assert.NotEqual(t, one, digest())
	_, err = s.SaveShelfItem(ctx, id, now.Version, entry.Item)
	require.NoError(t, err)
	assert.Equal(t, one, digest())
	require.NoError(t, s.DeleteShelfItem(ctx, id))
	assert.Equal(t, bare, digest())
}

// A workshop kept by the version before has its motors, their readings and its saw afterwards.
func TestAnOlderWorkshopIsBroughtUpToDate(t *testing.T) {
	url := storetest.URL(t)
	db, err := sqlx.Open("pgx", url)
	require.NoError(t, err)
	defer func() { require.NoError(t, db.Close()) }()
	provider, err := goose.NewProvider(goose.DialectPostgres, db.DB, store.Migrations())
	require.NoError(t, err)
	_, err = provider.UpTo(ctx, 1)
	require.NoError(t, err)
	_, err = db.Exec(`INSERT INTO shelf_motor (described) VALUES ('{"name":"Old","kind":"pm-dc",
	"bench":{"openVolts":"74.4 V","spunSpeed":"820"}}')`)
	require.NoError(t, err)
	_, err = db.Exec(`INSERT INTO machine (described) VALUES ('{"name":"Old saw","kind":"saw","jobs":[]}')`)
	require.NoError(t, err)

	s, err := store.Open(url)
	require.NoError(t, err)
	defer func() { require.NoError(t, s.Close()) }()
	require.NoError(t, s.Migrate(ctx))
	list, err := s.Shelf(ctx)
	require.NoError(t, err)
	require.Len(t, list, 1)
	assert.Equal(t, "Old", list[0].Called())
	assert.Equal(t, []motor.Reading{{Sort: "open", Volts: "74.4 V", Speed: "820"}}, list[0].Motor.Readings)
	saw, err := openfile.Gather(func(to openfile.Sink) error { return s.Export(ctx, to) })
	require.NoError(t, err)
	assert.Equal(t, "hacksaw", saw.Machines[0].Machine.Kind)

	_, err = provider.DownTo(ctx, 1)
	require.NoError(t, err, "and back again")
	var name string
	require.NoError(t, db.Get(&name, `SELECT described ->> 'name' FROM shelf_motor`))
	assert.Equal(t, "Old", name)
}
