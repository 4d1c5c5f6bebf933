package store

import "context"

// OpenKnowing is [Open] for a program that knows documents up to another version.
var OpenKnowing = open

// Empty takes all out of a store.
func (s *Store) Empty(ctx context.Context) error {
	_, err := s.db.ExecContext(ctx, `TRUNCATE machine, plan, log_entry, log_picture, shelf_item, shelf_picture;
		UPDATE workshop SET name = ''`)
	return err
}
