// Package practice is a bench to learn on: machines made up from a seed, whose figures nobody sees, and instruments
// with
// noise to find them by. What was done, what it cost and what would have been better is marked. The same seed always
// makes
// the same machine, and the same acts in the same order always read the same.
package practice

import (
	"fmt"
	"math"
	"math/rand/v2"
	"slices"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
)

// Act is something that can be done on a bench.
type Act struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Ask     string  `json:"ask" doc:"What figure it needs, such as flashes a minute; empty for none"`
	Unit    string  `json:"unit" doc:"Of that figure"`
	Minutes float64 `json:"minutes" doc:"What it takes"`
	Danger  string  `json:"danger" doc:"What can hurt in it; empty for nothing"`
}

// Deed is an act that was done, with its figure as it was typed.
type Deed struct {
	Act    string `json:"act" maxLength:"40"`
	Figure q.Text `json:"figure"`
}

// Came is what came of a deed.
type Came struct {
	Name  string `json:"name"`
	Shows string `json:"shows" doc:"What was read or seen"`
	Hurt  string `json:"hurt" doc:"What it did to who did it; empty for nothing"`
}

// Blank is what is to be answered: a figure, or one of some choices.
type Blank struct {
	ID      string   `json:"id"`
	Label   string   `json:"label"`
	Unit    string   `json:"unit" doc:"Of a figure; empty for a choice"`
	Choices []Choice `json:"choices" nullable:"false"`
}

// Choice is one of several answers.
type Choice struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// Answer is what was answered to one blank.
type Answer struct {
	ID    string `json:"id" maxLength:"40"`
	Given q.Text `json:"given"`
}

// Asked is an exercise at work: which, of which seed, what was done, and what was answered once it is.
type Asked struct {
	Exercise string   `json:"exercise" maxLength:"40"`
	Seed     uint32   `json:"seed"`
	Deeds    []Deed   `json:"deeds" maxItems:"80" nullable:"false"`
	Answers  []Answer `json:"answers" maxItems:"20" nullable:"false" doc:"Empty while it is being worked on"`
}

// Bench is what stands before the person.
type Bench struct {
	Exercise Named          `json:"exercise"`
	Task     string         `json:"task" doc:"What is known, and what to find"`
	Acts     []Act          `json:"acts" nullable:"false"`
	Came     []Came         `json:"came" nullable:"false" doc:"Of the deeds, in order"`
	Blanks   []Blank        `json:"blanks" nullable:"false"`
	Minutes  float64        `json:"minutes" doc:"Gone so far"`
	Mark     *Mark          `json:"mark,omitempty" doc:"Once it was answered"`
	Entries  []q.FieldError `json:"entries" nullable:"false"`
}

// Named is an exercise as it is offered.
type Named struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	About string `json:"about"`
}

// Mark is how it went.
type Mark struct {
	Right  bool         `json:"right"`
	Level  f.Level      `json:"level" enum:"stop,missing,caution,good"`
	Title  string       `json:"title"`
	Parts  []MarkedPart `json:"parts" nullable:"false" doc:"Each answer beside the truth"`
	Cost   string       `json:"cost" doc:"What it took"`
	Better string       `json:"better" doc:"What would have been better; empty where nothing would"`
	Hurts  []string     `json:"hurts" nullable:"false" doc:"What could have hurt, or did"`
}

// MarkedPart is one answer beside the truth.
type MarkedPart struct {
	Name  string `json:"name"`
	Given string `json:"given"`
	Truth string `json:"truth"`
	Right bool   `json:"right"`
}

// world is a machine of an exercise: what is hidden, and what comes of each act.
type world struct {
	*rand.Rand // for noise; the hidden figures were drawn before
	named      Named
	sys        q.System
	task       string
	acts       []Act
	blanks     []Blank
	// do is what comes of an act with its figure in the unit asked for; NaN where none was asked.
	do func(act string, figure float64) Came
	// truth of a blank: a figure with how far off it may be as a share, or a choice.
	truth map[string]truth
	// best is how many minutes the shortest sound way takes, and what it is.
	best    float64
	bestWay string
}

type truth struct {
	figure, within float64
	unit           string
	choice         string
	scale          float64 // where an answer may be off by so much of this instead of itself; 0 for itself
}

// between is a figure drawn between two.
func (w *world) between(low, high float64) float64 { return low + (high-low)*w.Float64() }

// noisy is a reading that is off by a share, one standard deviation.
func (w *world) noisy(v, share float64) float64 { return v * (1 + share*w.NormFloat64()) }

func (w *world) show(v float64, d q.Dimension) string { return q.Show(v, d, w.sys) }

// exercise is one kind of practice.
type exercise struct {
	Named
	make func(w *world)
}

// Exercises are all there are, in the order they are offered.
func Exercises() []Named {
	out := make([]Named, len(exercises()))
	for i, e := range exercises() {
		out[i] = e.Named
	}
	return out
}

// hidden makes the machine of an exercise; nil where there is no such exercise.
func hidden(id string, seed uint32) *world {
	i := slices.IndexFunc(exercises(), func(e exercise) bool { return e.ID == id })
	if i < 0 {
		return nil
	}
	e := exercises()[i]
	w := &world{Rand: rand.New(rand.NewPCG(uint64(seed), uint64(i))), named: e.Named, sys: q.Metric,
		truth: map[string]truth{}}
	e.make(w)
	return w
}

// At is the bench of an exercise as it stands after what was done. The error is quantity.FieldErrors where there is no
// such exercise or act. Figures are metric: meters read so.
func At(asked Asked) (Bench, error) {
	w := hidden(asked.Exercise, asked.Seed)
	if w == nil {
		return Bench{}, q.FieldErrors{{Field: "exercise", Given: asked.Exercise, Message: "there is no such exercise"}}
	}
	out := Bench{Exercise: w.named, Task: w.task, Acts: w.acts, Came: []Came{}, Blanks: w.blanks,
		Entries: []q.FieldError{}}
	r := q.NewReader("")
	for k, d := range asked.Deeds {
		at := slices.IndexFunc(w.acts, func(a Act) bool { return a.ID == d.Act })
		if at < 0 {
			return Bench{}, q.FieldErrors{{Field: fmt.Sprintf("deeds[%d]", k), Given: d.Act,
				Message: "this cannot be done here"}}
		}
		out.Minutes += w.acts[at].Minutes
		came := w.did(&w.acts[at], d, r.At("deeds", k))
		out.Came = append(out.Came, came)
	}
	if len(asked.Answers) > 0 {
		out.Mark = w.mark(asked, out)
	}
	if err, ok := r.Err().(q.FieldErrors); ok {
		out.Entries = err
	}
	return out, nil
}

// did does a deed. Each reading has noise of its own, the same whenever it comes at the same place in the list.
func (w *world) did(a *Act, d Deed, r *q.Reader) Came {
	figure := math.NaN()
	if a.Ask != "" {
		v, err := plain(d.Figure, a.Unit)
		if err != nil {
			r.Refuse("figure", string(d.Figure), "write a number, in "+a.Unit)
			return Came{Name: a.Name, Shows: "nothing: no figure was set"}
		}
		figure = v
	}
	came := w.do(a.ID, figure)
	came.Name = a.Name
	if a.Ask != "" {
		came.Name = fmt.Sprintf("%s, %s%s%s", a.Name, q.Figures(figure, 4), q.ThinSpace, a.Unit)
	}
	return came
}

// plain reads a number that may carry its own unit behind it.
func plain(text q.Text, unit string) (float64, error) {
	if v, err := q.Parse(text, q.Number); err == nil {
		return v, nil
	}
	for d := q.Number; d <= q.Insulation; d++ {
		label, si := q.Unit(d, q.Metric)
		if label != unit {
			continue
		}
		v, err := q.Parse(text, d)
		if d == q.Temperature {
			v -= 273.15
		}
		return v / si, err
	}
	return 0, q.ErrNumber
}

// mark holds the answers against the truth, and what was done against the shortest sound way.
func (w *world) mark(asked Asked, b Bench) *Mark {
	m := &Mark{Right: true, Parts: []MarkedPart{}, Hurts: []string{}}
	for _, blank := range w.blanks {
		given := q.Text("")
		for _, a := range asked.Answers {
			if a.ID == blank.ID {
				given = a.Given
			}
		}
		part := w.hold(blank, given)
		m.Right = m.Right && part.Right
		m.Parts = append(m.Parts, part)
	}
	for _, c := range b.Came {
		if c.Hurt != "" {
			m.Hurts = append(m.Hurts, c.Name+": "+c.Hurt)
		}
	}
	m.Cost = fmt.Sprintf("%d acts, %s minutes on the bench", len(b.Came), q.Figures(b.Minutes, 3))
	switch {
	case len(m.Hurts) > 0:
		m.Level, m.Title = f.Stop, "That could have hurt"
	case !m.Right:
		m.Level, m.Title = f.Caution, "Not right yet"
	case len(b.Came) == 0 && w.best > 0:
		m.Level, m.Title = f.Caution, "Right, and guessed: nothing was measured"
	case b.Minutes > 1.5*w.best && w.best > 0:
		m.Level, m.Title = f.Good, "Right, the long way"
	default:
		m.Level, m.Title = f.Good, "Right"
	}
	if b.Minutes > 1.2*w.best || !m.Right || len(m.Hurts) > 0 || len(b.Came) == 0 {
		m.Better = w.bestWay
	}
	return m
}

func (w *world) hold(blank Blank, given q.Text) MarkedPart {
	t := w.truth[blank.ID]
	part := MarkedPart{Name: blank.Label, Given: string(given)}
	if t.choice != "" {
		for _, c := range blank.Choices {
			if c.ID == t.choice {
				part.Truth = c.Name
			}
			if c.ID == string(given) {
				part.Given = c.Name
			}
		}
		part.Right = string(given) == t.choice
		return part
	}
	part.Truth = q.Figures(t.figure, 3) + q.ThinSpace + t.unit
	v, err := plain(given, t.unit)
	size := t.figure
	if t.scale > 0 {
		size = t.scale
	}
	part.Right = err == nil && math.Abs(v-t.figure) <= t.within*math.Abs(size)
	return part
}
