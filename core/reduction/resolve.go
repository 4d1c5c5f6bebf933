package reduction

import (
	"fmt"
	"math"
	"strings"

	q "jiriki/core/quantity"
)

// Resolved is a reduction with its stages and every position they can be set to.
type Resolved struct {
	Stages    []Stage
	Positions []Position
	Missing   string // field still to fill; empty when the reduction can be used
}

// Stage is one pair of shafts, resolved. Lengths in metres.
type Stage struct {
	Kind     Kind
	Section  string
	Steps    []Step
	Centre   float64 // 0 when neither centre nor belt is known
	Belt     float64 // pitch length; 0 likewise
	FromBelt bool    // Centre was worked out from a belt length
	Keeps    float64 // efficiency
	Slip     float64 // share of speed lost
	ScrewOn  bool
	Guarded  bool
}

// Step is one pair on a stage. Diameters are pitch diameters in metres.
type Step struct {
	Driver, Driven float64
	Ratio          float64 // driver speed over driven speed, slip included
	Wrap           float64 // on the small pulley, rad; π when the centre is not known
	Length         float64 // belt this step needs on the stage's centre, m; 0 unknown
	Teeth          bool    // Driver and Driven were given as teeth
}

// Position is one setting of every stage.
type Position struct {
	Label string
	Steps []int   // chosen step of each stage
	Ratio float64 // motor speed over spindle speed
	Keeps float64 // efficiency of the whole train
}

// stageFacts are what a kind keeps and slips [common practice].
var stageFacts = map[Kind]struct{ keeps, slip float64 }{
	Direct: {1, 0}, VBelt: {0.95, 0.015}, PolyV: {0.96, 0.01}, Toothed: {0.98, 0}, Chain: {0.97, 0}, Spur: {0.98, 0},
}

// sectionFacts: offset from outside to pitch radius, and the smallest pitch diameter the
// section bends round, metres [from memory].
var sectionFacts = map[string]struct{ offset, smallest float64 }{
	"Z": {2.5e-3, 50e-3}, "A": {3.3e-3, 75e-3}, "B": {4.2e-3, 125e-3}, "J": {-1.2e-3, 20e-3},
}

// Smallest returns the smallest pitch diameter a section should bend round, metres, or 0.
func Smallest(section string) float64 { return sectionFacts[section].smallest }

// PitchOffset returns how far a section's pitch line lies inside the rim, metres (negative:
// outside).
func PitchOffset(section string) float64 { return sectionFacts[section].offset }

// Belted reports whether the stage has a belt that slips, wraps and flexes.
func (s Stage) Belted() bool { return s.Kind == VBelt || s.Kind == PolyV || s.Kind == Toothed }

// Bounds on one reduction.
const (
	maxStages    = 6
	maxSteps     = 6
	maxPositions = 24
)

// Resolve reads a described reduction, refusing on r what cannot be used. No stages at all is a
// motor coupled straight to the spindle.
func Resolve(d Described, r *q.Reader) Resolved {
	var out Resolved
	if len(d.Stages) > maxStages {
		r.Refuse("stages", fmt.Sprint(len(d.Stages)), fmt.Sprintf("at most %d stages", maxStages))
		return out
	}
	count := 1
	for i, ds := range d.Stages {
		at := r.Under(fmt.Sprintf("stages[%d]", i))
		s, missing := resolveStage(ds, at)
		if missing != "" && out.Missing == "" {
			out.Missing = fmt.Sprintf("stages[%d].%s", i, missing)
		}
		out.Stages = append(out.Stages, s)
		if count *= max(len(s.Steps), 1); count > maxPositions {
			at.Refuse("steps", fmt.Sprint(len(ds.Steps)), fmt.Sprintf("more than %d belt positions in all", maxPositions))
			return out
		}
	}
	if out.Missing == "" && r.Err() == nil {
		out.Positions = positions(out.Stages)
	}
	return out
}

func resolveStage(d DescribedStage, r *q.Reader) (s Stage, missing string) {
	s.Kind = Kind(r.Choice("kind", string(d.Kind), string(VBelt), string(Direct), string(VBelt), string(PolyV), string(Toothed), string(Chain), string(Spur)))
	s.Keeps, s.Slip = stageFacts[s.Kind].keeps, stageFacts[s.Kind].slip
	s.ScrewOn, s.Guarded = d.ScrewOn, d.Guarded
	if s.Kind == Direct {
		s.Steps = []Step{{Driver: 0.03, Driven: 0.03, Ratio: 1, Wrap: math.Pi}}
		return s, ""
	}
	s.Section = section(s.Kind, r.Choice("section", d.Section, "", "Z", "A", "B", "J"))
	outside := r.Choice("measured", d.Measured, "pitch", "pitch", "outside") == "outside"
	pitch := r.Read("pitch", d.Pitch, q.Length, q.Range{Min: 0.2e-3, Max: 0.1})
	centre := r.Read("centre", d.Centre, q.Length, q.Range{Min: 5e-3, Max: 10})
	belt := r.Read("belt", d.Belt, q.Length, q.Range{Min: 50e-3, Max: 30})
	if len(d.Steps) > maxSteps {
		r.Refuse("steps", fmt.Sprint(len(d.Steps)), fmt.Sprintf("at most %d steps", maxSteps))
		return s, ""
	}
	for i, ds := range d.Steps {
		at := r.Under(fmt.Sprintf("steps[%d]", i))
		step, lacking := s.resolveStep(ds, at, outside, pitch)
		if lacking != "" && missing == "" {
			missing = fmt.Sprintf("steps[%d].%s", i, lacking)
		}
		s.Steps = append(s.Steps, step)
	}
	if len(d.Steps) == 0 {
		return s, "steps[0].driver"
	}
	if missing == "" {
		s.place(d, centre, belt, r)
	}
	return s, missing
}

func section(kind Kind, given string) string {
	switch {
	case kind == PolyV:
		return "J"
	case kind != VBelt:
		return ""
	case given == "" || given == "J":
		return "A"
	}
	return given
}

// resolveStep reads a pair. Toothed stages count teeth; their pitch diameters follow from the
// pitch, or from 5 mm (belt), 12.7 mm (chain) and module 1.5 (gear) for the drawing when none
// is given.
func (s Stage) resolveStep(d DescribedStep, r *q.Reader, outside bool, pitch q.Value) (Step, string) {
	var step Step
	if s.Kind == Toothed || s.Kind == Chain || s.Kind == Spur {
		teeth := q.Range{Min: 5, Max: 400}
		a, b := readTeeth("driver", d.Driver, r, teeth), readTeeth("driven", d.Driven, r, teeth)
		if !a.Known || !b.Known {
			return step, lacking(a)
		}
		step.Teeth = true
		step.Driver, step.Driven = s.pitchDiameter(a.SI, pitch), s.pitchDiameter(b.SI, pitch)
		step.Ratio = b.SI / a.SI
		return step, ""
	}
	sizes := q.Range{Min: 5e-3, Max: 3}
	a, b := r.Read("driver", d.Driver, q.Length, sizes), r.Read("driven", d.Driven, q.Length, sizes)
	if !a.Known || !b.Known {
		return step, lacking(a)
	}
	step.Driver, step.Driven = a.SI, b.SI
	if outside {
		offset := 2 * sectionFacts[s.Section].offset
		step.Driver, step.Driven = a.SI-offset, b.SI-offset
		if step.Driver < 2e-3 || step.Driven < 2e-3 {
			r.Refuse("driver", string(d.Driver), "too small outside for a belt of section "+s.Section)
			return step, ""
		}
	}
	step.Ratio = step.Driven / step.Driver / (1 - s.Slip)
	return step, ""
}

func lacking(driver q.Value) string {
	if driver.Known {
		return "driven"
	}
	return "driver"
}

// readTeeth reads a whole number of teeth; "24 t" and "24 teeth" are numbers too.
func readTeeth(field string, t q.Text, r *q.Reader, allowed q.Range) q.Value {
	v := r.Read(field, bareTeeth(t), q.Number, allowed)
	if v.Known && v.SI != math.Trunc(v.SI) {
		r.Refuse(field, string(t), "teeth come in whole numbers")
		v.Known = false
	}
	return v
}

func bareTeeth(t q.Text) q.Text {
	return q.Text(strings.TrimSpace(strings.TrimRight(strings.ToLower(strings.TrimSpace(string(t))), "teh ")))
}

// Teeth returns the tooth count typed, or 0 when it is none.
func Teeth(t q.Text) float64 {
	n, err := q.Parse(bareTeeth(t), q.Number)
	if err != nil {
		return 0
	}
	return n
}

func (s Stage) pitchDiameter(teeth float64, pitch q.Value) float64 {
	switch s.Kind {
	case Chain:
		return pitch.Or(12.7e-3) / math.Sin(math.Pi/teeth)
	case Spur:
		return pitch.Or(1.5e-3) * teeth
	}
	return pitch.Or(5e-3) * teeth / math.Pi
}

// place finds centre, belt and wrap from whichever of centre and belt length is given. The
// first step sets them; the others show the length they would need.
func (s *Stage) place(d DescribedStage, centre, belt q.Value, r *q.Reader) {
	first := s.Steps[0]
	switch {
	case s.Kind == Spur:
		s.Centre = (first.Driver + first.Driven) / 2
	case centre.Known:
		s.Centre = centre.SI
		for i, step := range s.Steps {
			// Pulleys may not touch; gears are the only pair that do.
			if least := (step.Driver + step.Driven) / 2; s.Centre <= least {
				r.Refuse("centre", string(d.Centre), fmt.Sprintf("the pulleys of step %d would touch: more than %s is needed", i+1, q.Show(least, q.Length, q.Metric)))
				s.Centre = 0
				return
			}
		}
	case belt.Known:
		c, ok := CentreFor(first.Driver, first.Driven, belt.SI)
		if !ok {
			r.Refuse("belt", string(d.Belt), fmt.Sprintf("too short to go round both pulleys: more than %s is needed", q.Show(shortestBelt(first.Driver, first.Driven), q.Length, q.Metric)))
			return
		}
		s.Centre, s.FromBelt = c, true
	}
	for i := range s.Steps {
		step := &s.Steps[i]
		step.Wrap = math.Pi
		if s.Centre == 0 || s.Kind == Spur {
			continue
		}
		if s.Centre > math.Abs(step.Driven-step.Driver)/2 {
			step.Wrap = Wrap(step.Driver, step.Driven, s.Centre)
			step.Length = OpenBelt(step.Driver, step.Driven, s.Centre)
		}
	}
	if s.Centre > 0 && s.Kind != Spur {
		s.Belt = s.Steps[0].Length
	}
}

// positions are all the combinations of steps, fastest spindle last.
func positions(stages []Stage) []Position {
	all := []Position{{Ratio: 1, Keeps: 1}}
	for _, s := range stages {
		var next []Position
		for _, p := range all {
			for i, step := range s.Steps {
				next = append(next, Position{
					Steps: append(append([]int(nil), p.Steps...), i),
					Ratio: p.Ratio * step.Ratio, Keeps: p.Keeps * s.Keeps,
				})
			}
		}
		all = next
	}
	for i := range all {
		all[i].Label = label(stages, all[i])
	}
	return all
}

// label names a position by the steps that can be moved: "step 2", or "A2 B1" with two cones.
func label(stages []Stage, p Position) string {
	var parts []string
	for i, s := range stages {
		if len(s.Steps) > 1 {
			parts = append(parts, fmt.Sprintf("%c%d", 'A'+i, p.Steps[i]+1))
		}
	}
	switch len(parts) {
	case 0:
		return "the only position"
	case 1:
		return "step " + parts[0][1:]
	}
	return strings.Join(parts, " ")
}
