package dryrun

import (
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// OnTheDay is what the day was taken to be, with what was guessed.
type OnTheDay struct {
	Inertia  Taken `json:"inertia"`
	Friction Taken `json:"friction"`
	Sticks   Taken `json:"sticks"`
	Volts    Taken `json:"volts"`
	Air      Taken `json:"air"`
}

// Taken is a figure that was used, as it is read, and what would stand there had the script not given it.
type Taken struct {
	Value   string `json:"value"`
	Without string `json:"without" doc:"What is reckoned or guessed where the script gives none"`
	Guessed bool   `json:"guessed" doc:"Without the script it is a guess"`
}

// onTheDay sets what a machine was run with beside what it is without the script's own figures.
func onTheDay(m *machine, s *script.Resolved, sys q.System) OnTheDay {
	bare := newMachine(m.Model, &script.Resolved{Position: m.label})
	taken := func(of func(*machine) float64, d q.Dimension, guessed bool) Taken {
		return Taken{q.Show(of(m), d, sys), q.Show(of(bare), d, sys), guessed}
	}
	return OnTheDay{
		Inertia:  taken(func(m *machine) float64 { return m.rest - m.position.Inertia }, q.Inertia, bare.guess.inertia),
		Friction: taken(func(m *machine) float64 { return m.running }, q.Torque, bare.guess.friction),
		// Once its friction is told, what starts it is told too.
		Sticks: taken(func(m *machine) float64 { return m.resting }, q.Torque, bare.guess.friction),
		Volts:  taken(func(m *machine) float64 { return m.supply * m.Supply.Volts }, q.Voltage, false),
		Air:    taken(func(m *machine) float64 { return m.ambient + zeroCelsius }, q.Temperature, false),
	}
}
