package dryrun

import (
	"fmt"

	q "jiriki/core/quantity"
)

// Figure is one result as it is read, with how it was come by.
type Figure struct {
	Name   string `json:"name"`
	Value  string `json:"value"`
	Detail string `json:"detail"`
}

// figuresOf are the results as they are read.
func figuresOf(r *run, res *Results, sys q.System) []Figure {
	out := []Figure{}
	add := func(name, value, detail string) { out = append(out, Figure{name, value, detail}) }
	seconds := func(v float64) string { return seconds(v, sys) }
	celsius := func(v float64) string { return q.Show(v+zeroCelsius, q.Temperature, sys) }
	if res.ToSpeed > 0 {
		add("To speed", seconds(res.ToSpeed), "97 % of what it then keeps")
	}
	if res.MostAmps > 0 {
		detail := "at " + seconds(res.MostAmpsAt)
		if res.AtLimit > 0 {
			detail = fmt.Sprintf("held by %s for %s", res.held, seconds(res.AtLimit))
		}
		add("Most amps", q.Show(res.MostAmps, q.Current, sys), detail)
	}
	for _, c := range res.Cuts {
		switch {
		case c.Unknown:
		case c.Stalls > 0:
			add("Under "+c.Name, "stalls", "at "+seconds(c.Stalls))
		case !c.Off && c.Before > 0:
			add("Sag under "+c.Name, q.Percent(c.Sag), q.Show(c.Holds*q.RPM, q.Speed, sys)+" of "+
				q.Show(c.Before*q.RPM, q.Speed, sys))
		}
	}
	if res.StartWinding > 0 {
		add("Start winding in for", seconds(res.StartWinding), "about "+seconds(startWindingMost)+" is what it stands")
	}
	add("Winding, at the end", celsius(res.EndWinding), fmt.Sprintf("%s at the most; class %s allows %s",
		celsius(res.MostWinding), r.Motor.Insulation, celsius(r.limit)))
	if res.Stop > 0 {
		add("Stop", seconds(res.Stop), "from being asked to standing")
	}
	if res.BrakeJoules > 0 {
		add("Into the brake resistor", q.Joules(res.BrakeJoules), "in this run")
	} else if res.GivenBack > 1 {
		add("Given back to the drive", q.Joules(res.GivenBack), fmt.Sprintf("it trips at %s", q.Joules(r.busHolds())))
	}
	if r.battery > 0 {
		add("Battery left", q.Percent(res.BatteryLeft), "of what it may be asked for")
	}
	add("From the supply", q.Joules(res.Energy), "over the whole run")
	return out
}

// seconds shows a time to two figures, which is finer than what was put in.
func seconds(v float64, sys q.System) string { return q.ShowFigures(v, q.Duration, sys, 2) }
