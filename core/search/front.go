package search

import (
	"cmp"
	"slices"
)

// candidate is a reduction a search came upon: its stages motor end first, each with its steps.
type candidate struct {
	stages  [][]*pair // per stage, per step
	done    uint64    // jobs done, a bit each
	worst   int16     // the least margin against the one wanted, in steps
	trim    bool      // the top speed must be trimmed to keep the machine's limit
	buy     int       // parts not on hand
	changes int       // belts to move from job to job
	size    float64   // centre distances together, m
}

// front holds the best candidate for each set of jobs, number of parts to buy, of stages and of belt
// changes, with and without a trim.
type front struct{ cells map[cell]candidate }

type cell struct {
	done                 uint64
	trim                 bool
	buy, stages, changes int
}

func newFront() *front { return &front{map[cell]candidate{}} }

func (c candidate) cell() cell {
	return cell{done: c.done, trim: c.trim, buy: c.buy, stages: len(c.stages), changes: c.changes}
}

// outranks reports whether a candidate of the same cell is better: by its worst margin, then by taking
// less room.
func outranks(worst int16, size float64, than *candidate) bool {
	return than.stages == nil || worst > than.worst || worst == than.worst && size < than.size-1e-9
}

func (f *front) offer(c candidate) {
	if kept := f.cells[c.cell()]; outranks(c.worst, c.size, &kept) {
		f.cells[c.cell()] = c
	}
}

// doneWithoutChange returns whether some reduction held so far does a set of jobs without a belt
// change.
func (f *front) doneWithoutChange() func(done uint64) bool {
	known := map[uint64]bool{}
	return func(done uint64) bool {
		does, ok := known[done]
		if !ok {
			for c := range f.cells {
				does = does || c.changes == 0 && done&^c.done == 0
			}
			known[done] = does
		}
		return does
	}
}

// dominates reports whether c is at least as good as o in every respect: jobs, changes, margin,
// parts, stages, and whether the machine's limit is kept without a trim.
func (c candidate) dominates(o candidate) bool {
	return o.done&^c.done == 0 && c.changes <= o.changes && c.worst >= o.worst && c.buy <= o.buy &&
		len(c.stages) <= len(o.stages) &&
		(!c.trim || o.trim) && c.cell() != o.cell()
}

// mostShown is how many answers are worth reading.
const mostShown = 8

// best are the candidates that nothing dominates, best first: jobs done, belt changes, worst margin,
// parts to buy, room taken.
func (f *front) best() []candidate {
	out := f.undominated()
	return out[:min(len(out), mostShown)]
}

func (f *front) undominated() []candidate {
	var out []candidate
	for _, c := range f.cells {
		if !f.beaten(c) {
			out = append(out, c)
		}
	}
	slices.SortFunc(out, func(a, b candidate) int {
		return cmp.Or(
			cmp.Compare(count(b.done), count(a.done)), cmp.Compare(a.changes, b.changes), cmp.Compare(b.worst, a.worst),
			cmp.Compare(a.buy, b.buy), cmp.Compare(len(a.stages), len(b.stages)), cmp.Compare(a.size, b.size),
			cmp.Compare(b.done, a.done),
		)
	})
	return out
}

func (f *front) beaten(c candidate) bool {
	for _, o := range f.cells {
		if o.dominates(c) {
			return true
		}
	}
	return false
}
