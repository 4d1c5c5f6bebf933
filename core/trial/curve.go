package trial

import (
	"cmp"
	"slices"

	q "jiriki/core/quantity"
)

// Curve is a trial as it is drawn, in the units it is read in.
type Curve struct {
	X        Axis    `json:"x"`
	Y        Axis    `json:"y"`
	Measured []Point `json:"measured" nullable:"false" doc:"In the order they were taken"`
	Fitted   []Line  `json:"fitted" nullable:"false" doc:"What was laid through them"`
	Reckoned []Point `json:"reckoned" nullable:"false" doc:"What the plan makes of the same, rising in x"`
	Marks    []Mark  `json:"marks" nullable:"false" doc:"Places worth a word"`
}

// Axis is what is drawn along a side; without a name nothing is drawn.
type Axis struct {
	Name string `json:"name"`
	Unit string `json:"unit"`
}

// Line is points to be joined, rising in x.
type Line struct {
	Points []Point `json:"points" nullable:"false"`
}

// Point is one place, with how far its y may be out.
type Point struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Spread float64 `json:"spread" doc:"0 for none to draw"`
	Note   string  `json:"note" doc:"What it was, where there are several sorts"`
}

// Mark is a word at a place.
type Mark struct {
	X     float64 `json:"x"`
	Y     float64 `json:"y"`
	Words string  `json:"words"`
	Bad   bool    `json:"bad"`
}

func emptyCurve() Curve {
	return Curve{Measured: []Point{}, Fitted: []Line{}, Reckoned: []Point{}, Marks: []Mark{}}
}

// scale puts SI into what an axis is read in.
type scale struct {
	label string
	si    float64
	zero  float64
}

func (e *evaluator) scaleOf(d q.Dimension) scale {
	label, si := q.Unit(d, e.sys)
	s := scale{label: label, si: si}
	if d == q.Temperature {
		s.zero = 273.15
		if label == "°F" {
			s.zero = 459.67 * 5 / 9
		}
	}
	return s
}

// bare is an axis of plain numbers.
var bare = scale{si: 1}

func (s scale) of(v float64) float64 { return q.Rounded(finite(v/s.si - s.zero/s.si)) }

// drawing is a curve as it is put together, in SI.
type drawing struct {
	x, y scale
	out  *Curve
}

func (e *evaluator) draw(xName string, x scale, yName string, y scale) drawing {
	c := &e.out.Curve
	c.X, c.Y = Axis{xName, x.label}, Axis{yName, y.label}
	return drawing{x, y, c}
}

func (d drawing) point(x, y, spread float64, note string) {
	d.out.Measured = append(d.out.Measured, Point{d.x.of(x), d.y.of(y), q.Rounded(finite(spread / d.y.si)), note})
}

func (d drawing) mark(x, y float64, words string, bad bool) {
	d.out.Marks = append(d.out.Marks, Mark{d.x.of(x), d.y.of(y), words, bad})
}

// steps is how many points a drawn line has.
const steps = 60

// fit adds a line that was laid through the readings.
func (d drawing) fit(from, to float64, y func(x float64) float64) {
	d.out.Fitted = append(d.out.Fitted, Line{d.along(from, to, y)})
}

// along is a line from one x to another.
func (d drawing) along(from, to float64, y func(x float64) float64) []Point {
	out := make([]Point, 0, steps+1)
	for i := range steps + 1 {
		x := from + (to-from)*float64(i)/steps
		out = append(out, Point{X: d.x.of(x), Y: d.y.of(y(x))})
	}
	return out
}

// sortSaid puts the most serious first, keeping the order they were said in.
func sortSaid(list []Said) {
	slices.SortStableFunc(list, func(a, b Said) int { return cmp.Compare(a.Level.Rank(), b.Level.Rank()) })
}
