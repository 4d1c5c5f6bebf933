package server

import (
	"crypto/sha256"
	"encoding/json"
	"sync"

	"jiriki/core/assess"
	"jiriki/core/dryrun"
	f "jiriki/core/finding"
	"jiriki/core/plan"
	"jiriki/core/script"
)

// mostStarts is how many starts and stops are kept.
const mostStarts = 1024

// starts keeps what the usual start and stop of plans came to, by a digest of what they follow from, so that a key that
// changes nothing of it does not run it again.
type starts struct {
	mu   sync.Mutex
	kept map[[sha256.Size]byte]started
}

// started is what one came to; ok is false where it cannot be run.
type started struct {
	found []f.Finding
	ok    bool
}

// assess is the whole answer to a plan, its usual start and stop with it.
func (s *starts) assess(in plan.Input) (assess.Assessment, error) {
	a, err := assess.Assess(in)
	if err != nil {
		return a, err
	}
	if one := s.of(in); one.ok {
		a.Started(one.found)
	}
	return a, nil
}

func (s *starts) of(in plan.Input) started {
	key, err := startsFrom(in)
	if err != nil {
		found, ok := dryrun.StartAndStop(in)
		return started{found, ok}
	}
	s.mu.Lock()
	one, known := s.kept[key]
	s.mu.Unlock()
	if known {
		return one
	}
	one.found, one.ok = dryrun.StartAndStop(in)
	s.mu.Lock()
	defer s.mu.Unlock()
	if s.kept == nil || len(s.kept) >= mostStarts {
		s.kept = map[[sha256.Size]byte]started{}
	}
	s.kept[key] = one
	return one
}

// startsFrom is a digest of what a start and stop follow from.
func startsFrom(in plan.Input) ([sha256.Size]byte, error) {
	p := in.Plan
	in.Plan = plan.Plan{Supply: p.Supply, Control: p.Control, Motor: p.Motor, Reduction: p.Reduction,
		Script: script.Described{Inertia: p.Script.Inertia, Friction: p.Script.Friction, Sticks: p.Script.Sticks}}
	in.Shelf, in.Motors = nil, nil
	data, err := json.Marshal(in)
	return sha256.Sum256(data), err
}
