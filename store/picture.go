package store

import (
	"context"

	"github.com/jmoiron/sqlx"
)

// maxPictures is how many pictures one part may have.
const maxPictures = 12

// RoomForPicture looks whether a part is there and can take another picture: ErrNotFound or ErrFull when
// not.
func (s *Store) RoomForPicture(ctx context.Context, itemID string) error {
	return away(room(ctx, s.db, itemID, ""))
}

func room(ctx context.Context, q sqlx.QueryerContext, itemID, lock string) error {
	if err := sqlx.GetContext(ctx, q, new(string),
		`SELECT id FROM shelf_item WHERE id = $1 AND deleted_at IS NULL`+lock,
		itemID); err != nil {
		return err
	}
	var n int
	if err := sqlx.GetContext(ctx, q, &n,
		`SELECT count(*) FROM shelf_picture WHERE item_id = $1 AND deleted_at IS NULL`,
		itemID); err != nil {
		return err
	}
	if n >= maxPictures {
		return ErrFull
	}
	return nil
}

// AddPicture keeps a picture of a part with its thumbnail, both JPEG.
func (s *Store) AddPicture(ctx context.Context, itemID string, jpeg, thumbnail []byte) (id string, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if err := room(ctx, tx, itemID, held); err != nil {
			return err
		}
		return tx.GetContext(ctx, &id,
			`INSERT INTO shelf_picture (item_id, jpeg, thumbnail) VALUES ($1, $2, $3) RETURNING id`,
			itemID, jpeg, thumbnail)
	})
	return id, err
}

// Picture returns a picture, or its thumbnail, as JPEG.
func (s *Store) Picture(ctx context.Context, id string, thumbnail bool) (jpeg []byte, err error) {
	query := `SELECT jpeg FROM shelf_picture WHERE id = $1 AND deleted_at IS NULL`
	if thumbnail {
		query = `SELECT thumbnail FROM shelf_picture WHERE id = $1 AND deleted_at IS NULL`
	}
	err = s.db.GetContext(ctx, &jpeg, query, id)
	return jpeg, away(err)
}

// FirstPictures returns the ID of each part's first picture, by the part's ID.
func (s *Store) FirstPictures(ctx context.Context) (map[string]string, error) {
	var rows []struct {
		ItemID string `db:"item_id"`
		ID     string `db:"id"`
	}
	err := s.db.SelectContext(ctx, &rows,
		`SELECT DISTINCT ON (item_id) item_id, id FROM shelf_picture WHERE deleted_at IS NULL ORDER BY item_id, place`)
	out := map[string]string{}
	for _, r := range rows {
		out[r.ItemID] = r.ID
	}
	return out, away(err)
}

// DeletePicture takes a picture away; RestorePicture brings it back.
func (s *Store) DeletePicture(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_picture SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestorePicture undoes DeletePicture.
func (s *Store) RestorePicture(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE shelf_picture SET deleted_at = NULL WHERE id = $1`, id)
}
