package work

import (
	"fmt"
	"sort"

	q "jiriki/core/quantity"
)

// oldReduction is what the old motor's pulleys are taken to have kept [common practice].
const oldReduction = 0.95

// TorqueAtSpeed is a point of a load or of the old motor's baseline: rad/s and N·m at the spindle.
type TorqueAtSpeed struct{ Omega, Torque float64 }

// replaced is the old motor's rated torque through each of its own positions, slowest first.
func replaced(d Replaced, r *q.Reader) (points []TorqueAtSpeed, missing string) {
	power := r.Read("power", d.Power, q.Power, q.Range{Min: 1, Max: 1e5})
	speed := r.Read("speed", d.Speed, q.Speed, q.Range{Min: 10 * q.RPM, Max: 6e4 * q.RPM})
	efficiency := r.Read("keeps", d.Efficiency, q.Number, q.Range{Min: 0.1, Max: 1}).Or(oldReduction)
	if len(d.Positions) > maxPositions {
		r.Refuse("positions", fmt.Sprint(len(d.Positions)), fmt.Sprintf("at most %d positions", maxPositions))
		return nil, "positions"
	}
	switch {
	case !power.Known:
		return nil, "power"
	case !speed.Known:
		return nil, "speed"
	}
	sizes := q.Range{Min: 1e-3, Max: 5}
	for i, p := range d.Positions {
		at := r.At("positions", i)
		driver, driven := at.Read("driver", p.Driver, q.Length, sizes), at.Read("driven", p.Driven, q.Length, sizes)
		switch {
		case !driver.Known && !driven.Known:
			continue // a blank row
		case !driver.Known:
			return nil, fmt.Sprintf("positions[%d].driver", i)
		case !driven.Known:
			return nil, fmt.Sprintf("positions[%d].driven", i)
		}
		omega := speed.SI * driver.SI / driven.SI
		points = append(points, TorqueAtSpeed{omega, power.SI * efficiency / omega})
	}
	if len(points) == 0 {
		points = []TorqueAtSpeed{{speed.SI, power.SI / speed.SI}}
	}
	sort.Slice(points, func(i, j int) bool { return points[i].Omega < points[j].Omega })
	return points, ""
}
