package dryrun

import (
	"math"
	"slices"

	"jiriki/core/line"
	"jiriki/core/numeric"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// Own is what a dry run takes a machine itself to be, with nothing on it.
type Own struct {
	Rotor   float64 // kg·m² of the rotor, at the spindle
	Wheels  float64 // kg·m² of the reduction's wheels, at the spindle
	Work    float64 // kg·m² of what turns with the spindle
	Running float64 // N·m at the spindle that keep it turning slowly; with the motor's own loss where it was let go

	Coasts script.Drag // how it was measured to coast

	Resting  float64 // N·m that start it
	Guessed  bool    // nobody gave its friction
	GuessedJ bool    // or its inertia
	Turns    float64 // of the rotor to one of the spindle
}

// OwnOf is what a model that runs is taken to be in a position, by its label.
func OwnOf(t *line.Model, position string) Own {
	s := t.Script
	s.Position = position
	m := newMachine(t, &s)
	return Own{Rotor: m.rotor * m.turns * m.turns, Wheels: m.position.Inertia, Work: m.rest - m.position.Inertia,
		Running: m.running, Coasts: m.coasts, Resting: m.resting, Guessed: m.guess.friction,
		GuessedJ: m.guess.inertia, Turns: m.turns}
}

// Slows is how fast the spindle slows down, let go, at a speed of it (rad/s) in a position, cold and with nothing on
// it,
// rad/s².
func Slows(t *line.Model, position string, omega float64) float64 {
	s := t.Script
	s.Position = position
	v := moving{machine: newMachine(t, &s), sense: 1, settled: true}
	y := make([]float64, states)
	y[spindleSpeed], y[rotorSpeed] = omega, omega*v.turns
	m := v.moment(0, y)
	gains, _ := v.together(0, &m, y)
	return -gains
}

// RunUp is how fast the spindle turns (rad/s) so many seconds after it is switched on, in a position, with work of an
// inertia (kg·m²) on it and nothing else; false where it cannot be run.
func RunUp(in plan.Input, position string, work float64, seconds []float64) ([]float64, bool) {
	_, t, err := prepare(&in)
	if err != nil || t == nil || len(seconds) == 0 {
		return nil, false
	}
	s := t.Script
	s.Position, s.Inertia = position, q.Value{SI: work, Known: true}
	s.Events = []script.Timed{{Does: script.On, Job: -1, Share: q.Value{SI: 1, Known: true}}}
	s.Ends = q.Value{SI: min(slices.Max(seconds)+0.1, script.MaxSeconds), Known: true}
	r, err := simulate(newMachine(t, &s), &s, usual)
	if err != nil {
		return nil, false
	}
	rows := r.log.rows
	times, speeds := make([]float64, len(rows)), make([]float64, len(rows))
	for i := range rows {
		times[i], speeds[i] = rows[i].t, math.Abs(rows[i].spindle)
	}
	through := numeric.Through(times, speeds, math.Max)
	out := make([]float64, len(seconds))
	for i, at := range seconds {
		out[i] = through.At(at)
	}
	return out, true
}
