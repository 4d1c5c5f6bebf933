package store

import (
	"context"

	"github.com/jmoiron/sqlx"

	"jiriki/core/line"
	"jiriki/core/openfile"
)

// WorkshopName returns the workshop's name, empty until one is given.
func (s *Store) WorkshopName(ctx context.Context) (name string, err error) {
	err = s.db.GetContext(ctx, &name, `SELECT name FROM workshop`)
	return name, away(err)
}

// Untouched reports whether the workshop never held a machine or a motor, deleted ones counted.
func (s *Store) Untouched(ctx context.Context) (untouched bool, err error) {
	err = s.db.GetContext(ctx, &untouched, `SELECT NOT EXISTS (SELECT FROM machine) AND NOT EXISTS (SELECT FROM shelf_item)`)
	return untouched, away(err)
}

// Export returns the whole workshop as an open file.
func (s *Store) Export(ctx context.Context) (openfile.File, error) {
	f := openfile.File{Format: openfile.Format, Version: openfile.Version, Machines: []openfile.Machine{}}
	var err error
	if f.Name, err = s.WorkshopName(ctx); err != nil {
		return f, err
	}
	machines, err := s.Machines(ctx)
	if err != nil {
		return f, err
	}
	plans, err := s.Plans(ctx)
	if err != nil {
		return f, err
	}
	for _, m := range machines {
		one := openfile.Machine{Machine: m.Described, Plans: []line.Plan{}}
		for _, p := range plans {
			if p.MachineID == m.ID {
				one.Plans = append(one.Plans, p.Described)
			}
		}
		f.Machines = append(f.Machines, one)
	}
	f.Shelf, err = s.Shelf(ctx)
	return f, err
}

// Import adds a file's machines, plans and shelf to the workshop, all or nothing. The
// workshop takes the file's name if it has none yet.
func (s *Store) Import(ctx context.Context, f openfile.File) error {
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := tx.ExecContext(ctx, `UPDATE workshop SET name = $1 WHERE name = ''`, f.Name); err != nil {
			return err
		}
		for _, m := range f.Machines {
			if _, _, err := addMachine(ctx, tx, m.Machine, m.Plans); err != nil {
				return err
			}
		}
		for _, one := range f.Shelf {
			if _, err := tx.ExecContext(ctx, `INSERT INTO shelf_item (described) VALUES ($1)`, kept(one)); err != nil {
				return err
			}
		}
		return nil
	})
}
