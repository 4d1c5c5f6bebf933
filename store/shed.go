package store

import (
	"context"

	"github.com/jmoiron/sqlx"

	"jiriki/core/plan"
	"jiriki/core/work"
)

// ShedMachine is a machine as the shed lists it, with its plans by letter.
type ShedMachine struct {
	ID, Name, Kind string
	Digest         string // of what is described; the same for the same
	Plans          []ShedPlan
}

// ShedPlan is a plan as the shed lists it.
type ShedPlan struct {
	ID, Letter, Name string
	Digest           string
}

// Shed returns the machines in the order they were added, without their descriptions.
func (s *Store) Shed(ctx context.Context) ([]ShedMachine, error) {
	var rows []struct {
		ID         string  `db:"id"`
		Name       string  `db:"name"`
		Kind       string  `db:"kind"`
		Digest     string  `db:"digest"`
		PlanID     *string `db:"plan_id"`
		Letter     string  `db:"letter"`
		PlanName   string  `db:"plan_name"`
		PlanDigest string  `db:"plan_digest"`
	}
	err := s.db.SelectContext(ctx, &rows, `SELECT m.id, coalesce(m.described ->> 'name', '') AS name,
		coalesce(m.described ->> 'kind', '') AS kind, m.digest,
			p.id AS plan_id, coalesce(p.letter, '') AS letter, coalesce(p.described ->> 'name',
				'') AS plan_name, coalesce(p.digest, '') AS plan_digest
		FROM machine m LEFT JOIN plan p ON p.machine_id = m.id AND p.deleted_at IS NULL
		WHERE m.deleted_at IS NULL ORDER BY m.place, p.letter`)
	if err != nil {
		return nil, away(err)
	}
	out := []ShedMachine{}
	for _, r := range rows {
		if n := len(out); n == 0 || out[n-1].ID != r.ID {
			out = append(out, ShedMachine{ID: r.ID, Name: r.Name, Kind: r.Kind, Digest: r.Digest})
		}
		if m := &out[len(out)-1]; r.PlanID != nil {
			m.Plans = append(m.Plans, ShedPlan{ID: *r.PlanID, Letter: r.Letter, Name: r.PlanName, Digest: r.PlanDigest})
		}
	}
	return out, nil
}

// Described is a plan and its machine as they were described, with their digests.
type Described struct {
	PlanID                    string
	Plan                      plan.Plan
	Machine                   work.Machine
	PlanDigest, MachineDigest string
}

// EachDescribed calls with the named plans one by one, in no order, until it is done or with fails.
func (s *Store) EachDescribed(ctx context.Context, planIDs []string, with func(Described) error) error {
	type row struct {
		ID            string                  `db:"id"`
		Plan          described[plan.Plan]    `db:"plan"`
		Machine       described[work.Machine] `db:"machine"`
		PlanDigest    string                  `db:"plan_digest"`
		MachineDigest string                  `db:"machine_digest"`
	}
	return s.reading(ctx, func(tx *sqlx.Tx) error {
		return eachRow(ctx, tx, func(r row) error {
			return with(Described{PlanID: r.ID, Plan: r.Plan.V.Whole(), Machine: r.Machine.V.Whole(),
				PlanDigest: r.PlanDigest, MachineDigest: r.MachineDigest})
		}, `SELECT p.id, p.described AS plan, m.described AS machine,
			p.digest AS plan_digest, m.digest AS machine_digest
			FROM plan p JOIN machine m ON m.id = p.machine_id WHERE p.id = ANY ($1::uuid[])`, planIDs)
	})
}
