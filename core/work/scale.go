package work

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
)

// Pull is a weighing worked out: torques in N·m.
type Pull struct {
	Running   float64 // mean of the pulls that keep it moving
	Breakaway float64 // the most that was needed to start it; 0 when not weighed
	Spread    float64 // widest running pull over the narrowest, less one
	Tangent   bool    // the pull was within 15° of square to the radius
	Missing   string  // field still to fill, below the scale
}

// readScale turns pulls at a radius into torque, T = F·r·sin(angle). The peak that breaks it
// away is kept apart from the mean that keeps it moving.
func readScale(s ScalePull, r *q.Reader) Pull {
	radius := r.Read("radius", s.Radius, q.Length, q.Range{Min: 1e-3, Max: 5})
	angle := r.Read("angle", s.Angle, q.Angle, q.Range{Min: math.Pi / 18, Max: 17 * math.Pi / 18}).Or(math.Pi / 2)
	own := r.Read("own", s.Own, q.Force, q.Range{Min: 0, Max: 1000}).Or(0)
	running, breakaway := readPulls("running", s.Running, own, r), readPulls("breakaway", s.Breakaway, own, r)
	p := Pull{Tangent: math.Abs(angle-math.Pi/2) < 15*math.Pi/180}
	if !radius.Known {
		p.Missing = "radius"
		return p
	}
	if len(running) == 0 {
		p.Missing = "running[0]"
		return p
	}
	arm := radius.SI * math.Sin(angle)
	least, most, sum := math.Inf(1), 0.0, 0.0
	for _, f := range running {
		least, most, sum = min(least, f), max(most, f), sum+f
	}
	p.Running = sum / float64(len(running)) * arm
	p.Spread = most/least - 1
	for _, f := range breakaway {
		p.Breakaway = max(p.Breakaway, f*arm)
	}
	return p
}

// readPulls reads the filled-in pulls in newtons, each less the scale's own weight.
func readPulls(field string, pulls []q.Text, own float64, r *q.Reader) []float64 {
	if len(pulls) > maxPulls {
		r.Refuse(field, fmt.Sprint(len(pulls)), fmt.Sprintf("at most %d pulls", maxPulls))
		return nil
	}
	var out []float64
	for i, t := range pulls {
		name := fmt.Sprintf("%s[%d]", field, i)
		v := r.Read(name, t, q.Force, q.Range{Min: 0.01, Max: 50e3})
		if !v.Known {
			continue
		}
		if v.SI <= own {
			r.Refuse(name, string(t), "the pull is less than the scale's own weight")
			continue
		}
		out = append(out, v.SI-own)
	}
	return out
}
