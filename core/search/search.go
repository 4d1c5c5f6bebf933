// Package search finds the best reductions there are for a plan's motor and the machine's jobs, within bounds,
// from the shelf and from standard sizes, trying all of them.
package search

import (
	"errors"
	"fmt"
	"slices"
	"strings"

	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// SearchAsk bounds a search for a reduction. Within its bounds everything is tried.
type Ask struct {
	Kinds     []string `json:"kinds" maxItems:"3" nullable:"false" enum:"v-Z,v-A,v-B,poly-v-J,poly-v-K,toothed-5,chain-12.7" doc:"What may run between the wheels; what the plan and the shelf have when empty"`
	Stages    int      `json:"stages" minimum:"0" maximum:"2" doc:"Most stages to put in; 2 when 0"`
	Cones     bool     `json:"cones" doc:"Look at cones of two and three steps too"`
	Keep      int      `json:"keep" minimum:"0" maximum:"6" doc:"How many of the plan's stages at the spindle's end stay as they are"`
	CentreMin q.Text   `json:"centreMin" unit:"mm|in" doc:"Least distance between shafts"`
	CentreMax q.Text   `json:"centreMax" unit:"mm|in" doc:"Most distance between shafts; 700 mm, or what the plan has, when empty"`
	Largest   q.Text   `json:"largest" unit:"mm|in" doc:"Largest wheel there is room for; 400 mm, or what plan and shelf have, when empty"`
	FromShelf bool     `json:"fromShelf" doc:"Only wheels that are on the shelf"`
}

// SearchInput is a plan and the bounds within which to look for its reduction.
type Input struct {
	plan.Input
	Ask Ask `json:"ask"`
}

// SearchResult is the best there is within the bounds, and what each answer gives up.
type Result struct {
	Found   []Found    `json:"found" nullable:"false" doc:"Best first; none is worse than another in every respect"`
	Now     *Found     `json:"now,omitempty" doc:"The plan's reduction as it stands"`
	Nearest []Found    `json:"nearest" nullable:"false" doc:"Where none does a job: what comes nearest, with what holds each job"`
	Widen   []Widening `json:"widen" nullable:"false" doc:"Where not all jobs are done: the bounds to widen for more"`
	Within  Within     `json:"within" doc:"The bounds that were kept"`
	Simpler *Found     `json:"simpler,omitempty" doc:"The best with one stage less than the first, or coupled straight"`
	Why     string     `json:"why" doc:"Why not simpler"`
	Untold  string     `json:"untold" doc:"What must be known before anything can be looked for; empty when all is"`
	Tried   int        `json:"tried" doc:"How many reductions were looked at"`
	LeftOut int        `json:"leftOut" doc:"Sizes of wheel that were not tried, being too many: those that lie closest to others"`
	Wide    Wide       `json:"wide"`
	Cone    Cone       `json:"cone"`
	Units   q.Units    `json:"units"`
}

// ErrStopped is returned by [Search] when it was told to stop.
var ErrStopped = errors.New("the search was stopped")

// Progress is told how much of a search is done, from 0 to 1; it returns false to stop it.
type Progress func(share float64) bool

// Search finds the best one- and two-stage reductions and cones for the plan's motor and the
// machine's jobs: from the shelf and from standard sizes, exhaustively within the bounds. The error
// is quantity.FieldErrors when an entry cannot be used or the input is past what is taken at once, or
// [ErrStopped].
func Search(in Input, progress Progress) (Result, error) {
	s, err := plan.Resolve(in.Input)
	if err == nil {
		err = s.Usable()
	}
	if err != nil {
		return Result{}, err
	}
	t := line.New(s)
	if len(in.Ask.Kinds) == 0 {
		in.Ask.Kinds = usualKinds(t, in.Shelf)
	}
	bounds, err := in.Ask.bounds(t, in.Shelf, in.Units)
	if err != nil {
		return Result{}, err
	}
	out := Result{Found: []Found{}, Nearest: []Found{}, Widen: []Widening{}, Within: Within{Kinds: in.Ask.Kinds,
		CentreMax: q.Show(bounds.centreMax, q.Length, in.Units), Largest: q.Show(bounds.largest, q.Length,
			in.Units)}, Units: q.UnitsOf(in.Units), Wide: wide(t),
		Cone: coneOrBelt(t, in.Units)}
	switch {
	case len(s.Machine.Jobs) == 0:
		out.Untold = "Put in a job first."
	case !slices.ContainsFunc(s.Machine.Jobs, func(j work.Need) bool { return j.Missing == "" }):
		out.Untold = "Fill in a job first: how fast, against how much."
	case !t.Runs:
		out.Untold = "Motor, supply and a control that suits them come first: nothing can be judged without."
	}
	if out.Untold != "" {
		return out, nil
	}
	l := &searcher{Model: t, bounds: bounds, progress: halfOf(progress, 0)}
	l.fastest = t.Powered.Top()
	front := l.all()
	if l.stopped {
		return Result{}, ErrStopped
	}
	out.Tried, out.LeftOut = l.tried, bounds.leftOut
	answers := &presenter{in: in.Input, now: t, bounds: bounds}
	out.Found = answers.showAll(front.best())
	if len(out.Found) == 0 {
		out.Nearest = l.nearest(in.Input)
	}
	l.progress = halfOf(progress, 0.5)
	if done := bestDone(out.Found); done < judgedJobs(t) {
		if out.Widen, err = l.widen(in, done); err != nil {
			return Result{}, err
		}
	}
	if len(in.Plan.Reduction.Stages) > 0 && len(t.Reduction.Positions) > 0 {
		now := answers.asItIs()
		out.Now = &now
	}
	out.Simpler, out.Why = answers.simpler(front)
	return out, nil
}

// halfOf tells one half of the work as such: the search, and after it the looking past its bounds.
func halfOf(progress Progress, from float64) Progress {
	if progress == nil {
		return nil
	}
	return func(share float64) bool { return progress(from + share/2) }
}

// bestDone is how many jobs the best of those found does.
func bestDone(found []Found) int {
	if len(found) == 0 {
		return 0
	}
	return found[0].JobsDone
}

// judgedJobs is how many of the jobs can be judged.
func judgedJobs(t *line.Model) (n int) {
	for i := range t.Machine.Jobs {
		if t.Machine.Jobs[i].Missing == "" {
			n++
		}
	}
	return n
}

// bounds are a search's limits, resolved. Lengths in metres.
type bounds struct {
	families             []*shelf.Family
	units                q.System // that sizes are to be had in
	stages               int
	cones                bool
	fromShelf            bool
	kept                 []reduction.Stage    // at the spindle's end
	keptPositions        []reduction.Position // of those alone
	centreMin, centreMax float64
	largest              float64
	fastBelt             float64 // m/s past which no belt is let run
	leftOut              int     // sizes of wheel there were too many of
}

// Usual bounds of a bench-top machine [common practice].
const (
	usualCentreMax = 0.7
	usualLargest   = reduction.UsualLargest
)

// mostWheels bounds the sizes of one family, and so how long a search takes: with the square of the
// square for two stages, faster still with a cone beside a pair. Where there are more, those that lie
// closest to others are left out, and the answer says so.
const (
	mostWheels      = 80
	mostConedWheels = 40
)

func (a Ask) bounds(t *line.Model, stock []shelf.Item, units q.System) (bounds, error) {
	r := q.NewReader("ask")
	centreMax, largest := roomFor(t, stock)
	sizes := q.Range{Min: 10e-3, Max: 5}
	b := bounds{
		units: units, fastBelt: fastestOf(t),
		stages: a.Stages, cones: a.Cones, fromShelf: a.FromShelf,
		centreMin: r.Read("centreMin", a.CentreMin, q.Length, sizes).Or(0),
		centreMax: r.Read("centreMax", a.CentreMax, q.Length, sizes).Or(centreMax),
		largest:   r.Read("largest", a.Largest, q.Length, sizes).Or(largest),
	}
	if b.stages == 0 {
		b.stages = 2
	}
	if b.stages < 1 || b.stages > 2 {
		r.Refuse("stages", fmt.Sprint(a.Stages), "one or two stages are looked for")
	}
	if b.centreMin > b.centreMax {
		r.Refuse("centreMax", string(a.CentreMax), "must not be less than the least distance")
	}
	kinds := a.Kinds
	if len(kinds) == 0 {
		kinds = usualKinds(t, stock)
	}
	for i, name := range kinds {
		f, ok := shelf.NewFamily(name, stock, b.largest, a.FromShelf, units)
		if !ok {
			r.Refuse(fmt.Sprintf("kinds[%d]", i), name, "must be one of "+strings.Join(shelf.FamilyNames(), ", "))
			continue
		}
		if !a.FromShelf {
			fitOwn(&f, name, t)
		}
		most := mostWheels
		if a.Cones && b.stages == 2 {
			most = mostConedWheels
		}
		b.leftOut += f.Thin(most)
		b.families = append(b.families, &f)
	}
	stages := t.Reduction.Stages
	if a.Keep < 0 || a.Keep > len(stages) {
		r.Refuse("keep", fmt.Sprint(a.Keep), "there are not so many stages to keep")
	} else if t.Reduction.Missing == "" {
		b.kept = stages[len(stages)-a.Keep:]
	}
	b.keptPositions = reduction.Positions(b.kept)
	return b, r.Err()
}

// searcher goes through everything within its bounds.
type searcher struct {
	*line.Model
	bounds
	progress Progress
	room     room
	fastest  float64 // of the motor unloaded, rad/s
	tried    int
	stopped  bool
}

// goesOn tells how far a part of the search is and reports whether to go on.
func (l *searcher) goesOn(share float64) bool {
	if l.progress != nil && !l.progress(min(share, 1)) {
		l.stopped = true
	}
	return !l.stopped
}

// all looks at everything within the bounds and returns what is not beaten in every respect.
func (l *searcher) all() *front {
	all := newFront()
	pairs := make([][]*pair, len(l.families))
	for i, f := range l.families {
		pairs[i] = l.pairs(f)
	}
	// What changes no belt comes first: a cone behind or before a pair is only looked at for more.
	var runs, coned []func(share func(float64) bool)
	for i := range l.families {
		runs = append(runs, func(share func(float64) bool) { l.oneStage(all, pairs[i], share) })
		if l.cones {
			coned = append(coned, func(share func(float64) bool) { l.oneCone(all, pairs[i], share) })
		}
		for k := range l.families {
			if l.stages < 2 {
				continue
			}
			runs = append(runs, func(share func(float64) bool) { l.twoStage(all, pairs[i], pairs[k], share) })
			if l.cones {
				coned = append(coned, func(share func(float64) bool) {
					l.twoStageCone(all, pairs[i], l.conesOf(pairs[k]), share)
				})
			}
		}
	}
	runs = append(runs, coned...)
	for n, run := range runs {
		run(func(share float64) bool { return l.goesOn((float64(n) + share) / float64(len(runs))) })
		if l.stopped {
			break
		}
	}
	return all
}
