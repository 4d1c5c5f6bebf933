package dryrun

import (
	"math"
	"slices"

	q "jiriki/core/quantity"
)

// MostPoints is how many points a trace has at the most.
const MostPoints = 2000

// Trace is what a run was like, point by point; every list is as long as the others.
type Trace struct {
	Seconds    []float64 `json:"seconds" nullable:"false"`
	MotorRPM   []float64 `json:"motorRpm" nullable:"false"`
	SpindleRPM []float64 `json:"spindleRpm" nullable:"false"`
	Amps       []float64 `json:"amps" nullable:"false" doc:"As a meter in the motor's lead shows"`
	Torque     []float64 `json:"torque" nullable:"false" doc:"N·m at the motor's own shaft"`
	Volts      []float64 `json:"volts" nullable:"false" doc:"At the motor's terminals"`
	WindingC   []float64 `json:"windingC" nullable:"false"`
	CaseC      []float64 `json:"caseC" nullable:"false"`
	Watts      []float64 `json:"watts" nullable:"false" doc:"Into the motor and what its current passes"`
	Passed     []float64 `json:"passed" nullable:"false" doc:"N·m that reach the spindle through the reduction"`
}

// traceOf thins rows to so many points: of each stretch of them it keeps the first, and where speed and current are
// least and most.
func traceOf(rows []row, most int) Trace {
	which := kept(rows, most)
	list := func() []float64 { return make([]float64, 0, len(which)) }
	t := Trace{list(), list(), list(), list(), list(), list(), list(), list(), list(),
		list()}
	for _, i := range which {
		one := &rows[i]
		t.Seconds = append(t.Seconds, math.Round(one.t*1e4)/1e4)
		t.MotorRPM = append(t.MotorRPM, q.Rounded(one.rotor/q.RPM))
		t.SpindleRPM = append(t.SpindleRPM, q.Rounded(one.spindle/q.RPM))
		t.Amps = append(t.Amps, q.Rounded(one.amps))
		t.Torque = append(t.Torque, q.Rounded(one.torque))
		t.Volts = append(t.Volts, q.Rounded(one.volts))
		t.WindingC = append(t.WindingC, q.Rounded(one.winding))
		t.CaseC = append(t.CaseC, q.Rounded(one.casing))
		t.Watts = append(t.Watts, q.Rounded(one.in))
		t.Passed = append(t.Passed, q.Rounded(one.passed))
	}
	return t
}

// ofStretch is how many points a stretch keeps at the most.
const ofStretch = 5

// kept are the rows a trace keeps, rising.
func kept(rows []row, most int) []int {
	n := len(rows)
	if n <= most {
		all := make([]int, n)
		for i := range all {
			all[i] = i
		}
		return all
	}
	var out []int
	stretches := most/ofStretch - 1
	for s := range stretches {
		from, to := s*n/stretches, (s+1)*n/stretches
		pick := [ofStretch]int{from, from, from, from, from}
		for i := from; i < to; i++ {
			if rows[i].spindle < rows[pick[1]].spindle {
				pick[1] = i
			}
			if rows[i].spindle > rows[pick[2]].spindle {
				pick[2] = i
			}
			if rows[i].amps < rows[pick[3]].amps {
				pick[3] = i
			}
			if rows[i].amps > rows[pick[4]].amps {
				pick[4] = i
			}
		}
		slices.Sort(pick[:])
		for k, i := range pick {
			if k == 0 || i != pick[k-1] {
				out = append(out, i)
			}
		}
	}
	if out[len(out)-1] != n-1 {
		out = append(out, n-1)
	}
	return out
}
