package store

import (
	"context"
	"time"

	"github.com/jmoiron/sqlx"

	"jiriki/core/logbook"
	"jiriki/core/plan"
	"jiriki/core/work"
)

// Plan is a saved plan.
type Plan struct {
	ID        string
	MachineID string
	Letter    string // A, B, C …
	Version   int
	Described plan.Plan
	Updated   time.Time
}

type planRow struct {
	ID        string               `db:"id"`
	MachineID string               `db:"machine_id"`
	Letter    string               `db:"letter"`
	Version   int                  `db:"version"`
	Described described[plan.Plan] `db:"described"`
	Updated   time.Time            `db:"updated_at"`
}

func (r planRow) plan() Plan {
	return Plan{ID: r.ID, MachineID: r.MachineID, Letter: r.Letter, Version: r.Version,
		Described: r.Described.V.Whole(), Updated: r.Updated}
}

const planColumns = `id, machine_id, letter, version, described, updated_at`

// maxPlans is one per letter.
const maxPlans = 26

func letterAt(i int) string { return string(rune('A' + i)) }

// PlanName is what a list says of a plan.
type PlanName struct {
	ID     string `db:"id"`
	Letter string `db:"letter"`
	Name   string `db:"name"`
}

// PlansOf returns the plans of a machine, by letter.
func (s *Store) PlansOf(ctx context.Context, machineID string) ([]PlanName, error) {
	out := []PlanName{}
	err := s.db.SelectContext(ctx, &out, `SELECT id, letter, coalesce(described ->> 'name', '') AS name
		FROM plan WHERE machine_id = $1 AND deleted_at IS NULL ORDER BY letter`, machineID)
	return out, away(err)
}

// Sheet is a plan with its machine, as one screen shows them.
type Sheet struct {
	Plan    Plan
	Machine Machine
}

// Sheet returns a plan that is not deleted with its machine.
func (s *Store) Sheet(ctx context.Context, planID string) (Sheet, error) {
	return sheet(ctx, s.db, planID, "")
}

func sheet(ctx context.Context, q sqlx.ExtContext, planID, lock string) (Sheet, error) {
	// The machine goes first here as everywhere, so that no two wait for each other.
	var machine machineRow
	if err := sqlx.GetContext(ctx, q, &machine,
		`SELECT id, version, described, updated_at FROM machine WHERE deleted_at IS NULL
			AND id = (SELECT machine_id FROM plan WHERE id = $1)`+lock,
		planID); err != nil {
		return Sheet{}, away(err)
	}
	var plan planRow
	if err := sqlx.GetContext(ctx, q, &plan,
		`SELECT `+planColumns+` FROM plan WHERE id = $1 AND deleted_at IS NULL`+lock,
		planID); err != nil {
		return Sheet{}, away(err)
	}
	return Sheet{plan.plan(), machine.machine()}, nil
}

// SaveSheet saves a plan and its machine as they were changed from the versions read. A part
// that is the same as what is saved needs no version; a part that was changed elsewhere in the
// meantime gives ErrStale and what is saved now, and nothing is written. What follows tells of what was saved before
// and
// now is written into the machine's log; nil for nothing.
func (s *Store) SaveSheet(ctx context.Context, planID string, planVersion, machineVersion int, p plan.Plan,
	m work.Machine, follows func(before, now Sheet) []logbook.Change) (Sheet, error) {
	var now Sheet
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		var err error
		if now, err = sheet(ctx, tx, planID, held); err != nil {
			return err
		}
		planSame, machineSame := same(now.Plan.Described, p), same(now.Machine.Described, m)
		if !planSame && now.Plan.Version != planVersion || !machineSame && now.Machine.Version != machineVersion {
			return ErrStale
		}
		before := now
		if !planSame {
			text, err := over(ctx, tx, "plan", planID, described[plan.Plan]{p})
			if err != nil {
				return err
			}
			if err := tx.GetContext(ctx, &now.Plan.Version,
				`UPDATE plan SET described = $2, version = version + 1, updated_at = now()
					WHERE id = $1 RETURNING version`,
				planID, text); err != nil {
				return err
			}
			now.Plan.Described = p
		}
		if !machineSame {
			text, err := over(ctx, tx, "machine", now.Machine.ID, described[work.Machine]{m})
			if err != nil {
				return err
			}
			if err := tx.GetContext(ctx, &now.Machine.Version,
				`UPDATE machine SET described = $2, version = version + 1, updated_at = now()
					WHERE id = $1 RETURNING version`,
				now.Machine.ID, text); err != nil {
				return err
			}
			now.Machine.Described = m
		}
		if follows == nil || planSame && machineSame {
			return nil
		}
		return follow(ctx, tx, now.Plan, follows(before, now), time.Now())
	})
	return now, err
}

// same compares two descriptions by what would be saved.
func same[T any](a, b T) bool {
	x, errX := described[T]{a}.Value()
	y, errY := described[T]{b}.Value()
	return errX == nil && errY == nil && x == y
}

// AddPlan saves a plan for a machine under the first letter that was never used for it.
func (s *Store) AddPlan(ctx context.Context, machineID string, p plan.Plan) (id string, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if err := tx.GetContext(ctx, new(string),
			`SELECT id FROM machine WHERE id = $1 AND deleted_at IS NULL`+held,
			machineID); err != nil {
			return err
		}
		var letters []string
		if err := tx.SelectContext(ctx, &letters, `SELECT letter FROM plan WHERE machine_id = $1`,
			machineID); err != nil {
			return err
		}
		letter, ok := freeLetter(letters)
		if !ok {
			return ErrFull
		}
		return tx.GetContext(ctx, &id,
			`INSERT INTO plan (machine_id, letter, described) VALUES ($1, $2, $3) RETURNING id`,
			machineID, letter, described[plan.Plan]{p})
	})
	return id, err
}

func freeLetter(used []string) (string, bool) {
	taken := map[string]bool{}
	for _, l := range used {
		taken[l] = true
	}
	for i := range maxPlans {
		if !taken[letterAt(i)] {
			return letterAt(i), true
		}
	}
	return "", false
}

// RenamePlan changes a plan's name and nothing else.
func (s *Store) RenamePlan(ctx context.Context, id, name string) error {
	return s.changeOne(ctx,
		`UPDATE plan SET described = jsonb_set(described, '{name}', to_jsonb($2::text)), version = version + 1,
			updated_at = now() WHERE id = $1 AND deleted_at IS NULL`,
		id, name)
}

// DeletePlan hides a plan; RestorePlan brings it back under its letter.
func (s *Store) DeletePlan(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE plan SET deleted_at = now() WHERE id = $1 AND deleted_at IS NULL`, id)
}

// RestorePlan undoes DeletePlan.
func (s *Store) RestorePlan(ctx context.Context, id string) error {
	return s.changeOne(ctx, `UPDATE plan SET deleted_at = NULL WHERE id = $1`, id)
}
