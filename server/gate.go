package server

import (
	"context"
	"runtime"
	"sync/atomic"

	"github.com/danielgtaylor/huma/v2"
)

// gate bounds the work in flight: so many run, so many wait, and the rest is sent away at once. An
// answer that is given is then given in time, however many ask.
type gate struct {
	running chan struct{}
	waiting atomic.Int32
	most    int32
}

func newGate(running, waiting int) *gate {
	return &gate{running: make(chan struct{}, running), most: int32(waiting)}
}

// enter waits for a place. ok is false when too many wait already or ctx ends first; else leave gives
// the place back.
func (g *gate) enter(ctx context.Context) (leave func(), ok bool) {
	leave = func() { <-g.running }
	select {
	case g.running <- struct{}{}:
		return leave, true
	default:
	}
	if g.waiting.Add(1) > g.most {
		g.waiting.Add(-1)
		return nil, false
	}
	defer g.waiting.Add(-1)
	select {
	case g.running <- struct{}{}:
		return leave, true
	case <-ctx.Done():
		return nil, false
	}
}

// lane is how long an operation may be expected to take: what answers a keystroke does not wait for
// what goes through the whole shelf.
type lane string

const (
	quick lane = "quick"
	keyed lane = "keyed" // what a keystroke waits for: worked out, with next to nothing asked of the database
	timed lane = "timed" // a dry run: what a keystroke waits for too, and some times as long
	long  lane = "long"  // a search, a ranking, a file, a picture: seconds of work, or megabytes
	open  lane = "open"  // never waits: whether the server is there
)

// gates are how much runs and waits in each lane. Quick work is half waiting for the database, so more
// of it runs than there are processors. Of what keystrokes wait for as much runs as there are: more would
// only take turns, and some come late who came first. Dry runs leave half of the processors to the rest of them. Long
// work leaves a processor for the rest, and one at a time
// bounds its memory.
func gates() map[lane]*gate {
	processors := runtime.GOMAXPROCS(0)
	return map[lane]*gate{quick: newGate(2*processors, 32), keyed: newGate(processors, 32),
		timed: newGate(max(processors/2, 1), 16), long: newGate(1, 4)}
}

// inLane puts an operation into a lane; an operation is quick unless told.
func inLane(l lane, op huma.Operation) huma.Operation {
	op.Metadata = map[string]any{"lane": l}
	return op
}

func laneOf(op *huma.Operation) lane {
	if l, ok := op.Metadata["lane"].(lane); ok {
		return l
	}
	return quick
}
