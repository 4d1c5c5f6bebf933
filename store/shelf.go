package store

import (
	"context"

	"github.com/jmoiron/sqlx"

	"jiriki/core/shelf"
)

// ShelfEntry is a part on the shelf as it is saved, with its pictures in the order they came.
type ShelfEntry struct {
	Item     shelf.Item
	Version  int
	Pictures []string // IDs
}

type shelfRow struct {
	ID        string                `db:"id"`
	Version   int                   `db:"version"`
	Described described[shelf.Item] `db:"described"`
}

func (r shelfRow) item() shelf.Item {
	item := r.Described.V.Whole()
	item.ID = r.ID
	return item
}

// Shelf returns the parts on hand in the order they came.
func (s *Store) Shelf(ctx context.Context) ([]shelf.Item, error) {
	var rows []shelfRow
	err := s.db.SelectContext(ctx, &rows,
		`SELECT id, version, described FROM shelf_item WHERE deleted_at IS NULL ORDER BY place`)
	out := make([]shelf.Item, len(rows))
	for i, r := range rows {
		out[i] = r.item()
	}
	return out, away(err)
}

// ShelfDigest tells one state of the shelf from another: what is on it, in which order.
func (s *Store) ShelfDigest(ctx context.Context) (digest string, err error) {
	err = s.db.GetContext(ctx, &digest,
		`SELECT md5(coalesce(string_agg(id::text || digest, '' ORDER BY place), '')) FROM shelf_item
			WHERE deleted_at IS NULL`)
	return digest, away(err)
}

// ShelfEntry returns one part that is on the shelf.
func (s *Store) ShelfEntry(ctx context.Context, id string) (ShelfEntry, error) {
	return shelfEntry(ctx, s.db, id, "")
}

func shelfEntry(ctx context.Context, q sqlx.QueryerContext, id, lock string) (ShelfEntry, error) {
	var row shelfRow
	if err := sqlx.GetContext(ctx, q, &row,
		`SELECT id, version, described FROM shelf_item WHERE id = $1 AND deleted_at IS NULL`+lock,
		id); err != nil {
		return ShelfEntry{}, away(err)
	}
	out := ShelfEntry{Item: row.item(), Version: row.Version, Pictures: []string{}}
	err := sqlx.SelectContext(ctx, q, &out.Pictures,
		`SELECT id FROM shelf_picture WHERE item_id = $1 AND deleted_at IS NULL ORDER BY place`, id)
	return out, away(err)
}

// AddShelfItem puts a part on the shelf.
func (s *Store) AddShelfItem(ctx context.Context, item shelf.Item) (id string, err error) {
	ids, err := s.AddShelfItems(ctx, []shelf.Item{item})
	if err != nil {
		return "", err
	}
	return ids[0], nil
}

// AddShelfItems puts parts on the shelf, all or none.
func (s *Store) AddShelfItems(ctx context.Context, items []shelf.Item) (ids []string, err error) {
	ids = make([]string, len(items))
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		for i, item := range items {
			if err := tx.GetContext(ctx, &ids[i], `INSERT INTO shelf_item (described) VALUES ($1) RETURNING id`,
				kept(item)); err != nil {
				return err
			}
		}
		return withinBounds(ctx, tx)
	})
	return ids, err
}

// kept is an item as it is saved: its ID is the row's.
func kept(item shelf.Item) described[shelf.Item] {
	item.ID, item.Pictures = "", nil
	return described[shelf.Item]{item}
}

// SaveShelfItem saves a part as it was changed from the version read. One that was changed
// elsewhere in the meantime gives ErrStale and what is saved now.
func (s *Store) SaveShelfItem(ctx context.Context, id string, version int, item shelf.Item) (ShelfEntry, error) {
	var now ShelfEntry
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		var err error
		if now, err = shelfEntry(ctx, tx, id, held); err != nil {
			return err
		}
		item.ID, item.Pictures = id, nil
		if same(now.Item, item) {
			return nil
		}
		if now.Version != version {
			return ErrStale
		}
		now.Item = item
		text, err := over(ctx, tx, "shelf_item", id, kept(item))
		if err != nil {
			return err
		}
		return tx.GetContext(ctx, &now.Version,
			`UPDATE shelf_item SET described = $2, version = version + 1 WHERE id = $1 RETURNING version`,
			id, text)
	})
	return now, err
}

// DeleteShelfItem takes a part off the shelf; RestoreShelfItem puts it back.
func (s *Store) DeleteShelfItem(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_item SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestoreShelfItem undoes DeleteShelfItem.
func (s *Store) RestoreShelfItem(ctx context.Context, id string) error {
	return s.restore(ctx, `UPDATE shelf_item SET deleted_at = NULL WHERE id = $1`, id)
}
