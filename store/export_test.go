package store

import "context"

// OpenKnowing is [Open] for a program that knows documents up to another version.
var OpenKnowing = open

// EntryID is the ID of the entry a plan's key has.
var EntryID = entryID

// Exec runs a statement as a program that knows the documents.
func (s *Store) Exec(ctx context.Context, statement string) error {
	_, err := s.db.ExecContext(ctx, statement)
	return err
}

// One is the one text a query gives.
func (s *Store) One(ctx context.Context, query string) (text string, err error) {
	err = s.db.GetContext(ctx, &text, query)
	return text, err
}

// Empty takes all out of a store.
func (s *Store) Empty(ctx context.Context) error {
	return s.Exec(ctx, `TRUNCATE machine, plan, log_entry, log_picture, shelf_item, shelf_picture;
		UPDATE workshop SET name = ''`)
}
