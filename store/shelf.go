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
	entries, err := s.shelfRows(ctx)
	out := make([]shelf.Item, len(entries))
	for i, e := range entries {
		out[i] = e.item()
	}
	return out, err
}

func (s *Store) shelfRows(ctx context.Context) ([]shelfRow, error) {
	var rows []shelfRow
	err := s.db.SelectContext(ctx, &rows, `SELECT id, version, described FROM shelf_item WHERE deleted_at IS NULL ORDER BY place`)
	return rows, away(err)
}

// ShelfEntries returns the parts on hand with their versions and pictures.
func (s *Store) ShelfEntries(ctx context.Context) ([]ShelfEntry, error) {
	rows, err := s.shelfRows(ctx)
	if err != nil {
		return nil, err
	}
	var pictures []struct {
		ID     string `db:"id"`
		ItemID string `db:"item_id"`
	}
	if err := s.db.SelectContext(ctx, &pictures, `SELECT id, item_id FROM shelf_picture WHERE deleted_at IS NULL ORDER BY place`); err != nil {
		return nil, away(err)
	}
	of := map[string][]string{}
	for _, p := range pictures {
		of[p.ItemID] = append(of[p.ItemID], p.ID)
	}
	out := make([]ShelfEntry, len(rows))
	for i, r := range rows {
		out[i] = ShelfEntry{r.item(), r.Version, of[r.ID]}
	}
	return out, nil
}

// AddShelfItem puts a part on the shelf.
func (s *Store) AddShelfItem(ctx context.Context, item shelf.Item) (id string, err error) {
	err = s.db.GetContext(ctx, &id, `INSERT INTO shelf_item (described) VALUES ($1) RETURNING id`, kept(item))
	return id, away(err)
}

// kept is an item as it is saved: its ID is the row's.
func kept(item shelf.Item) described[shelf.Item] {
	item.ID = ""
	return described[shelf.Item]{item}
}

// SaveShelfItem saves a part as it was changed from the version read. One that was changed
// elsewhere in the meantime gives ErrStale and what is saved now.
func (s *Store) SaveShelfItem(ctx context.Context, id string, version int, item shelf.Item) (ShelfEntry, error) {
	var now ShelfEntry
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		var row shelfRow
		if err := tx.GetContext(ctx, &row, `SELECT id, version, described FROM shelf_item WHERE id = $1 AND deleted_at IS NULL FOR UPDATE`, id); err != nil {
			return err
		}
		now = ShelfEntry{Item: row.item(), Version: row.Version}
		item.ID = id
		if same(now.Item, item) {
			return nil
		}
		if row.Version != version {
			return ErrStale
		}
		now.Item = item
		return tx.GetContext(ctx, &now.Version, `UPDATE shelf_item SET described = $2, version = version + 1 WHERE id = $1 RETURNING version`, id, kept(item))
	})
	return now, err
}

// DeleteShelfItem takes a part off the shelf; RestoreShelfItem puts it back.
func (s *Store) DeleteShelfItem(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_item SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestoreShelfItem undoes DeleteShelfItem.
func (s *Store) RestoreShelfItem(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_item SET deleted_at = NULL WHERE id = $1`, id)
}
