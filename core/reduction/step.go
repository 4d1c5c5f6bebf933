package reduction

import (
	"math"
	"strings"

	q "jiriki/core/quantity"
)

// resolveStep reads a pair. Toothed wheels are counted in teeth; their pitch diameters follow from
// the stage's pitch. A worm is drawn ten modules across.
func (s Stage) resolveStep(d DescribedStep, r *q.Reader, outside bool) (Step, string) {
	var step Step
	if s.Kind.Toothed() {
		most, least := 400.0, 5.0
		if s.Kind == Worm {
			least = 1
		}
		a, b := readTeeth("driver", d.Driver, r, q.Range{Min: least, Max: most}),
			readTeeth("driven", d.Driven, r, q.Range{Min: 5,
				Max: most})
		if !a.Known || !b.Known {
			return step, lacking(a)
		}
		step.Teeth, step.Counts = true, [2]float64{a.SI, b.SI}
		step.Driver, step.Driven = s.PitchDiameter(a.SI), s.PitchDiameter(b.SI)
		if s.Kind == Worm {
			step.Driver = wormAcross * s.Pitch
		}
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
		step.Driver = a.SI - 2*PitchOffset(s.Section, InInches(d.Driver))
		step.Driven = b.SI - 2*PitchOffset(s.Section, InInches(d.Driven))
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

// PitchDiameter returns the pitch diameter (m) of a wheel of so many teeth on the stage's pitch.
func (s Stage) PitchDiameter(teeth float64) float64 {
	switch s.Kind {
	case Chain:
		return s.Pitch / math.Sin(math.Pi/teeth)
	case Toothed:
		return s.Pitch * teeth / math.Pi
	}
	return s.Pitch * teeth
}

// teeth undoes PitchDiameter.
func (s Stage) teeth(diameter float64) float64 {
	switch s.Kind {
	case Chain:
		return math.Round(math.Pi / math.Asin(min(s.Pitch/diameter, 1)))
	case Toothed:
		return math.Round(math.Pi * diameter / s.Pitch)
	}
	return math.Round(diameter / s.Pitch)
}
