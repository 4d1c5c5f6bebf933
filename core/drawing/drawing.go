// Package drawing is a plan's line to scale, as the interface draws it.
package drawing

import (
	"math"

	"jiriki/core/control"
	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// Drawing is what the line and the reduction bench draw to scale. Lengths in millimetres.
type Drawing struct {
	Phases    int          `json:"phases" doc:"Waves out of the wall: 1 or 3, or 0 from a battery"`
	Control   control.Kind `json:"control"`
	Motor     Motor        `json:"motor"`
	Stages    []Stage      `json:"stages" nullable:"false"`
	Tool      string       `json:"tool" doc:"The machine's kind: what stands at the end of the line"`
	ToolMM    float64      `json:"toolMm" doc:"Largest diameter that turns; 0 when not known"`
	SpeedsTop []float64    `json:"speedsTop" nullable:"false" doc:"Spindle's top speed per position, rpm"`
}

// Motor is the motor's outside. Guessed tells that it was sized from power.
type Motor struct {
	Kind     string  `json:"kind"`
	Diameter float64 `json:"diameter"`
	Length   float64 `json:"length"`
	Shaft    float64 `json:"shaft"`
	Guessed  bool    `json:"guessed"`
	Family   string  `json:"family"`
	Gearbox  string  `json:"gearbox" doc:"Sort of gearbox built on, or none"`
	Clutch   bool    `json:"clutch"`
}

// Stage is one pair of shafts.
type Stage struct {
	Kind         reduction.Kind `json:"kind"`
	Section      string         `json:"section"`
	Steps        []Step         `json:"steps" nullable:"false"`
	Centre       float64        `json:"centre" doc:"Shaft distance; a drawn guess when centreKnown is false"`
	CentreKnown  bool           `json:"centreKnown"`
	Direction    float64        `json:"direction" doc:"Where the driven shaft lies from the driving one, degrees, up is positive"`
	Meshed       bool           `json:"meshed" doc:"The wheels touch, so their sizes set the distance"`
	Bypass       bool           `json:"bypass" doc:"Can be put out of mesh"`
	Belt         float64        `json:"belt" doc:"Pitch length; 0 when not known"`
	DriverTopRPM float64        `json:"driverTopRpm" doc:"Fastest the driving shaft turns; 0 when not known"`
	BeltSpeed    float64        `json:"beltSpeed" doc:"m/s at that speed on the first step"`
	Guarded      bool           `json:"guarded"`
}

// Step is a pair of wheels by pitch diameter.
type Step struct {
	Driver  float64 `json:"driver"`
	Driven  float64 `json:"driven"`
	Ratio   float64 `json:"ratio"`
	WrapDeg float64 `json:"wrapDeg" doc:"On the small wheel; 180 when the centres are not known"`
	Length  float64 `json:"length" doc:"Belt this step needs; 0 when not known"`
}

// Of is the drawing of a plan, as far as it is known.
func Of(t *line.Model) Drawing {
	d := Drawing{Phases: 1, Control: t.Control.Kind, Tool: t.Machine.Kind, ToolMM: q.Rounded(t.Machine.Diameter * 1000),
		Stages: []Stage{}, SpeedsTop: []float64{}}
	switch {
	case t.Supply.Three:
		d.Phases = 3
	case t.Supply.Battery:
		d.Phases = 0
	}
	d.Motor = motorDrawing(t)
	for i, s := range t.Reduction.Stages {
		d.Stages = append(d.Stages, stageDrawing(t, i, s))
	}
	if t.Runs {
		for i := range t.Reduction.Positions {
			p := &t.Reduction.Positions[i]
			_, high := t.Span(p)
			d.SpeedsTop = append(d.SpeedsTop, q.Rounded(high/q.RPM))
		}
	}
	return d
}

// motorDrawing sizes the body from power where it was not measured: a motor's volume goes with
// its torque, so a fixed shape goes with its cube root [common practice].
func motorDrawing(t *line.Model) Motor {
	m := t.Motor
	d := Motor{Kind: string(m.Kind), Family: string(m.Kind.Family()), Gearbox: m.Gear.Sort, Clutch: m.Clutch.Fitted,
		Diameter: m.Body.Diameter * 1000, Length: m.Body.Length * 1000,
		Shaft: m.Body.Shaft * 1000}
	guess := 100.0
	if m.Torque.OK() && m.Torque.Value > 0 {
		guess = min(max(85*math.Cbrt(m.Torque.Value), 40), 400)
	}
	if d.Diameter == 0 {
		d.Diameter, d.Guessed = guess, true
	}
	if d.Length == 0 {
		d.Length, d.Guessed = 1.7*d.Diameter, true
	}
	if d.Shaft == 0 {
		d.Shaft, d.Guessed = 0.15*d.Diameter, true
	}
	d.Diameter, d.Length, d.Shaft = q.Rounded(d.Diameter), q.Rounded(d.Length), q.Rounded(d.Shaft)
	return d
}

func stageDrawing(t *line.Model, i int, s reduction.Stage) Stage {
	kind := s.Kind
	if s.Kind.Bare() {
		kind = reduction.Direct // drawn as what couples two shafts
	}
	d := Stage{Kind: kind, Section: s.Section, Steps: []Step{}, Centre: q.Rounded(s.Centre * 1000),
		CentreKnown: s.Centre > 0, Belt: q.Rounded(s.Belt * 1000),
		Guarded:   s.Guarded,
		Direction: q.Rounded(s.Direction * 180 / math.Pi), Meshed: s.Meshed(), Bypass: s.Bypass}
	largest := 0.0
	for _, step := range s.Steps {
		largest = max(largest, step.Driver+step.Driven)
		d.Steps = append(d.Steps, Step{
			Driver: q.Rounded(step.Driver * 1000), Driven: q.Rounded(step.Driven * 1000), Ratio: q.Rounded(step.Ratio),
			WrapDeg: q.Rounded(step.Wrap * 180 / math.Pi), Length: q.Rounded(step.Length * 1000),
		})
	}
	if !d.CentreKnown {
		d.Centre = q.Rounded(largest * 0.8 * 1000)
	}
	if t.Runs && len(t.Reduction.Positions) > 0 && len(s.Steps) > 0 {
		omega := t.FastestDriver(i)
		d.DriverTopRPM = q.Rounded(omega / q.RPM)
		d.BeltSpeed = q.Rounded(reduction.BeltSpeed(s.Steps[0].Driver, omega))
	}
	return d
}
