package storetest

import (
	"fmt"
	"slices"

	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/openfile"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/demo"
)

// Large makes a workshop of a size out of the demo's machines and parts: no two plans and no two motors
// the same, names shared by many. The same every time.
func Large(machines, plans, parts int) (openfile.File, error) {
	from, err := demo.Workshop()
	if err != nil {
		return from, err
	}
	out := openfile.File{Format: from.Format, Version: from.Version, Name: "Large shed", Machines: []openfile.Machine{}, Shelf: []shelf.Item{}}
	for i := range machines {
		m := from.Machines[i%len(from.Machines)]
		m.Machine.Name = fmt.Sprintf("%s %d", m.Machine.Name, i/len(from.Machines)+1)
		these := make([]line.Plan, plans)
		for k := range these {
			p := m.Plans[k%len(m.Plans)]
			p.Motor = nudged(p.Motor, i*plans+k)
			these[k] = p
		}
		out.Machines = append(out.Machines, openfile.Machine{Machine: m.Machine, Plans: these})
	}
	for i := range parts {
		item := from.Shelf[i%len(from.Shelf)]
		switch {
		case item.Is(shelf.Motor):
			item.Motor = nudged(item.Motor, i)
		case item.Is(shelf.Pulley) && item.Wheel.Diameter.Known():
			item.Wheel.Diameter = q.Text(fmt.Sprintf("%d mm", 50+i%350))
		}
		out.Shelf = append(out.Shelf, item)
	}
	return out, nil
}

// nudged is a motor with a little more or less of plate amps, by which no two are alike.
func nudged(m motor.Described, i int) motor.Described {
	if v, err := q.Parse(m.Plate.Amps, q.Current); err == nil {
		m.Plate.Amps = q.Text(fmt.Sprintf("%.4f A", v*(1+float64(i%997)/10_000)))
	}
	m.Origin = fmt.Sprintf("%s, no. %d", m.Origin, i)
	m.Readings = slices.Clone(m.Readings)
	return m
}
