package line

import (
	"math"

	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// SpeedPlate is the table to hang by the machine: knob against spindle speed per position.
type SpeedPlate struct {
	MaxRPM    float64         `json:"maxRpm" doc:"Fastest the spindle may or can turn, whichever is less; 0 when not known"`
	Limited   bool            `json:"limited" doc:"MaxRPM is the machine's own limit"`
	Knob      []float64       `json:"knob" nullable:"false" doc:"Knob settings, share of full; one entry of 1 for a fixed speed"`
	Positions []PlatePosition `json:"positions" nullable:"false"`
	Jobs      []PlateJob      `json:"jobs" nullable:"false"`
}

// PlatePosition is one row of the plate.
type PlatePosition struct {
	Label    string    `json:"label"`
	Ratio    string    `json:"ratio"`
	Measured []float64 `json:"measured" nullable:"false" doc:"As it was measured at marks of the knob, between them on straight lines; 0 beyond them and over the limit; empty where nobody measured in this position"`
	RPM      []float64 `json:"rpm" nullable:"false" doc:"Spindle speed at each knob setting, light load; 0 below the slowest steady speed or over the limit"`
}

// PlateJob is a job's band and the position it is best done in.
type PlateJob struct {
	Name     string  `json:"name"`
	LowRPM   float64 `json:"lowRpm"`
	HighRPM  float64 `json:"highRpm"`
	Position string  `json:"position"`
	Done     bool    `json:"done"`
}

// knobSettings are tenths of the knob's travel. A linear knob on a drive that holds speed turns
// in proportion.
var knobSettings = []float64{0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1}

// AtKnob is the spindle speed a linear knob asks for at a share of its travel in a position, rad/s; the one speed there
// is on a motor that has but one.
func (t *Model) AtKnob(p *reduction.Position, knob float64) float64 {
	low, high := t.Span(p)
	if t.Powered.FixedSpeed() {
		return low
	}
	return high * knob
}

// measuredAt is the speed at knob settings as measured in a position, rpm; empty where it was not.
func (t *Model) measuredAt(position string, knob []float64) []float64 {
	var x, y []float64
	for _, m := range t.Control.Marks {
		if m.Position == position {
			x, y = append(x, m.Knob), append(y, m.Speed/q.RPM)
		}
	}
	out := []float64{}
	if len(x) < 2 {
		return out
	}
	through := numeric.Through(x, y, math.Min)
	for _, k := range knob {
		if k < x[0]-1e-9 || k > x[len(x)-1]+1e-9 {
			out = append(out, 0)
			continue
		}
		omega := through.At(k)
		if omega*q.RPM > t.TopSpeed*(1+1e-9) {
			omega = 0 // over what the machine allows, however it was measured
		}
		out = append(out, q.Rounded(omega))
	}
	return out
}

// SpeedPlate is the plate of the plan, its jobs in the positions they are best done in.
func (t *Model) SpeedPlate(results []Result) SpeedPlate {
	plate := SpeedPlate{Knob: []float64{}, Positions: []PlatePosition{}, Jobs: []PlateJob{}}
	if !t.Runs || len(t.Reduction.Positions) == 0 {
		return plate
	}
	plate.Knob = knobSettings
	if t.Powered.FixedSpeed() {
		plate.Knob = []float64{1}
	}
	fastest := 0.0
	for i := range t.Reduction.Positions {
		p := &t.Reduction.Positions[i]
		low, high := t.Span(p)
		row := PlatePosition{Label: p.Label, Ratio: q.Ratio(p.Ratio), RPM: make([]float64, len(plate.Knob))}
		row.Measured = t.measuredAt(p.Label, plate.Knob)
		for i, knob := range plate.Knob {
			omega := t.AtKnob(p, knob)
			if omega >= low*(1-1e-9) && omega <= t.TopSpeed {
				row.RPM[i] = q.Rounded(omega / q.RPM)
			}
		}
		fastest = max(fastest, high)
		plate.Positions = append(plate.Positions, row)
	}
	plate.Limited = t.TopSpeed < fastest
	plate.MaxRPM = q.Rounded(min(t.TopSpeed, fastest) / q.RPM)
	if !math.IsInf(t.TopSpeed, 1) {
		plate.Limited, plate.MaxRPM = true, q.Rounded(t.TopSpeed/q.RPM)
	}
	for i, f := range results {
		job := t.Machine.Jobs[i]
		if job.Missing == "" {
			plate.Jobs = append(plate.Jobs, PlateJob{Name: job.Name, LowRPM: q.Rounded(job.Low / q.RPM),
				HighRPM:  q.Rounded(job.High / q.RPM),
				Position: t.Reduction.Positions[f.Position].Label, Done: f.Outcome.Done()})
		}
	}
	return plate
}
