package store

import (
	"context"
	"database/sql"
	"time"

	"github.com/google/uuid"
	"github.com/jmoiron/sqlx"

	"jiriki/core/logbook"
	"jiriki/core/openfile"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Import adds to the workshop what fill sends: all of it or, when fill fails, nothing. The workshop
// takes the name sent if it has none yet.
func (s *Store) Import(ctx context.Context, fill func(openfile.Sink) error) error {
	return s.once(ctx, func(tx *sqlx.Tx) error {
		to := &importing{ctx: ctx, tx: tx, entries: map[string]string{}, parts: map[string]string{}}
		if err := fill(to); err != nil {
			return err
		}
		if err := to.writeEntries(); err != nil {
			return err
		}
		return withinBounds(ctx, tx)
	})
}

// importing is a sink into one transaction.
type importing struct {
	ctx            context.Context
	tx             *sqlx.Tx
	machine        string            // the last one's ID
	plans          map[string]string // its plans' IDs by letter
	waiting        []logbook.Entry   // to be written together
	entries, parts map[string]string // whose a picture is, by the picture's ID in the file
}

// PictureSink is a [openfile.Sink] that takes pictures too, each after what it belongs to.
type PictureSink interface {
	openfile.Sink
	// Picture keeps a picture that an entry or a part names by this ID; one that none names is left out.
	Picture(id string, jpeg, thumbnail []byte) error
}

// Picture keeps a picture of what came before.
func (i *importing) Picture(id string, jpeg, thumbnail []byte) error {
	if err := i.writeEntries(); err != nil {
		return err
	}
	if entry, ok := i.entries[id]; ok {
		return addLogPicture(i.ctx, i.tx, entry, uuid.NewString(), jpeg, thumbnail)
	}
	part, ok := i.parts[id]
	if !ok {
		return nil
	}
	_, err := i.tx.ExecContext(i.ctx, `INSERT INTO shelf_picture (item_id, jpeg, thumbnail) VALUES ($1, $2, $3)`,
		part, jpeg, thumbnail)
	return err
}

// Name names the workshop, if nobody has.
func (i *importing) Name(name string) error {
	_, err := i.tx.ExecContext(i.ctx, `UPDATE workshop SET name = $1 WHERE name = ''`, name)
	return err
}

// Machine adds a machine.
func (i *importing) Machine(m work.Machine) error {
	if err := i.writeEntries(); err != nil {
		return err
	}
	i.plans = map[string]string{}
	return i.tx.GetContext(i.ctx, &i.machine, `INSERT INTO machine (described) VALUES ($1) RETURNING id`,
		described[work.Machine]{m})
}

// Plan adds a plan under its letter, or under the next that is free: to files of version 1 letters were told by order.
func (i *importing) Plan(p openfile.Plan) error {
	letter := p.Letter
	if _, taken := i.plans[letter]; taken || letter == "" {
		var used []string
		for l := range i.plans {
			used = append(used, l)
		}
		var free bool
		if letter, free = freeLetter(used); !free {
			return ErrFull
		}
	}
	return i.addPlan(letter, p.Plan, sql.NullTime{})
}

func (i *importing) addPlan(letter string, p plan.Plan, deleted sql.NullTime) error {
	var id string
	err := i.tx.GetContext(i.ctx, &id, `INSERT INTO plan (machine_id, letter, described, deleted_at)
		VALUES ($1, $2, $3, $4) RETURNING id`, i.machine, letter, described[plan.Plan]{p}, deleted)
	i.plans[letter] = id
	return err
}

// entriesAtOnce is how many entries of a log are written together.
const entriesAtOnce = 500

// Entry adds an entry to the last machine's log.
func (i *importing) Entry(e logbook.Entry) error {
	if i.waiting = append(i.waiting, e); len(i.waiting) < entriesAtOnce {
		return nil
	}
	return i.writeEntries()
}

// writeEntries writes the entries that wait, each under a new ID: that of the file may be in this workshop already, or
// none. A letter that none of the machine's plans has is that of a plan which was deleted: it stays taken, so that no
// later plan gets its entries.
func (i *importing) writeEntries() error {
	if len(i.waiting) == 0 {
		return nil
	}
	var ids, plans, texts []string
	var happened []time.Time
	for _, e := range i.waiting {
		plan, err := i.planUnder(e.Plan)
		if err != nil {
			return err
		}
		text, err := keptEntry(e).text()
		if err != nil {
			return err
		}
		id := uuid.NewString()
		ids, plans, happened, texts = append(ids, id), append(plans, plan), append(happened, e.Happened),
			append(texts, text)
		for _, picture := range e.Pictures {
			i.entries[picture] = id
		}
	}
	i.waiting = i.waiting[:0]
	_, err := i.tx.ExecContext(i.ctx, `INSERT INTO log_entry (id, machine_id, plan_id, happened, described)
		SELECT id, $1, nullif(plan, '')::uuid, happened, described::jsonb
		FROM unnest($2::uuid[], $3::text[], $4::timestamptz[], $5::text[])
			WITH ORDINALITY AS e (id, plan, happened, described, at) ORDER BY at`,
		i.machine, ids, plans, happened, texts)
	return err
}

// planUnder is the ID of the machine's plan of a letter, empty for none.
func (i *importing) planUnder(letter string) (string, error) {
	if len(letter) != 1 || letter < "A" || letter > "Z" {
		return "", nil
	}
	if _, known := i.plans[letter]; !known {
		gone := sql.NullTime{Time: time.Now(), Valid: true}
		if err := i.addPlan(letter, plan.Plan{}.Whole(), gone); err != nil {
			return "", err
		}
	}
	return i.plans[letter], nil
}

// Part adds a part to the shelf.
func (i *importing) Part(item shelf.Item) error {
	var id string
	err := i.tx.GetContext(i.ctx, &id, `INSERT INTO shelf_item (described) VALUES ($1) RETURNING id`, kept(item))
	for _, picture := range item.Pictures {
		i.parts[picture] = id
	}
	return err
}
