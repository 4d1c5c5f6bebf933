package server

import (
	"context"
	"errors"
	"sync"

	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/shelf"
	"jiriki/store"
)

// stock is the workshop's shelf as it was last read, with its motors resolved: reading a thousand parts
// anew takes longer than what is asked of them. It is read again when what is on the shelf changed.
type stock struct {
	mu   sync.Mutex
	last onHand
}

// onHand is one state of the shelf.
type onHand struct {
	digest string
	items  []shelf.Item
	motors []motor.Resolved
}

// now returns the shelf as it is; while the database is away, as it last was.
func (s *stock) now(ctx context.Context, from *store.Store) (onHand, error) {
	if from == nil {
		return onHand{}, nil
	}
	digest, err := from.ShelfDigest(ctx)
	s.mu.Lock()
	defer s.mu.Unlock()
	if errors.Is(err, store.ErrAway) {
		return s.last, nil
	}
	if err != nil || digest == s.last.digest {
		return s.last, err
	}
	items, err := from.Shelf(ctx)
	if err != nil {
		return s.last, err
	}
	s.last = onHand{digest, items, shelf.Motors(items)}
	return s.last, nil
}

// stocked puts the workshop's shelf into what is asked, unless it brings parts of its own.
func (a *api) stocked(ctx context.Context, in *plan.Input) error {
	if in.Shelf != nil {
		return nil
	}
	hand, err := a.stock.now(ctx, a.store)
	in.Shelf, in.Motors = hand.items, hand.motors
	return err
}
