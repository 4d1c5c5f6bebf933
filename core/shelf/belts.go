package shelf

import (
	"math"
	"slices"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// BeltFit is a belt that goes round the wheels of a step at some distance between their shafts.
type BeltFit struct {
	Centre float64 `json:"centre" doc:"Distance between the shafts it fits, mm"`
	Belt   q.Text  `json:"belt" doc:"Its pitch length as an entry of the stage"`
	Name   string  `json:"name"`
	Owned  bool    `json:"owned" doc:"It lies on the shelf"`
}

// How far from where the shafts stand belts are looked for, as shares of that distance.
const (
	nearestFit  = 0.5
	farthestFit = 1.7
)

// Belts are those that fit a step of a stage near where its shafts stand, the nearest together first: belts on the
// shelf, and belts there are to buy. Owned ones stand in place of bought ones of their length.
func Belts(s *reduction.Stage, step int, stock []Item, sys q.System) []BeltFit {
	fits := []BeltFit{}
	if step < 0 || step >= len(s.Steps) || !(s.Centre > 0) {
		return fits
	}
	on := s.Steps[step]
	add := func(length float64, belt q.Text, name string, owned bool) {
		centre, ok := reduction.CentreFor(on.Driver, on.Driven, length)
		if ok && centre >= nearestFit*s.Centre && centre <= farthestFit*s.Centre {
			fits = append(fits, BeltFit{q.Rounded(centre * 1000), belt, name, owned})
		}
	}
	var owned []float64
	for i := range stock {
		item := &stock[i]
		if !item.Is(Belt) || item.State == "for-parts" || item.Wheel.Section != s.Section || s.Section == "" {
			continue
		}
		if length, err := q.Parse(item.Length, q.Length); err == nil && length > 0 {
			add(length, item.Length, item.Called(), true)
			owned = append(owned, length)
		}
	}
	between := func(share float64) float64 {
		centre := max(share*s.Centre, (on.Driver+on.Driven)/2)
		return reduction.OpenBelt(on.Driver, on.Driven, centre)
	}
	for _, made := range s.MadeBelts(between(nearestFit), between(farthestFit)) {
		same := func(length float64) bool { return math.Abs(length-made.Length) < 1e-3 }
		if !slices.ContainsFunc(owned, same) {
			add(made.Length, q.WrittenLength(made.Length*1000, sys), made.Name, false)
		}
	}
	slices.SortStableFunc(fits, func(a, b BeltFit) int { return int(math.Copysign(1, a.Centre-b.Centre)) })
	return fits
}
