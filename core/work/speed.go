package work

import (
	"math"
	"strings"

	q "jiriki/core/quantity"
)

// readSpeed fills the band at the spindle by whichever method was chosen.
func (n *Need) readSpeed(j Job, r *q.Reader, turning q.Range) {
	s := j.Speed
	n.AnySpeed = r.Choice("cover", s.Cover, "all", "all", "any") == "any"
	var low, high q.Value
	switch r.Choice("by", s.By, "rpm", "rpm", "surface", "timed", "travel") {
	case "surface":
		low, high = n.surfaceBand(j, r)
	case "timed":
		low, high = n.timedBand(s, r)
	case "travel":
		low, high = n.travelBand(s, r)
	default:
		low, high = r.Read("from", s.From, q.Speed, turning), r.Read("to", s.To, q.Speed, turning)
		if low.Known && high.Known && low.SI > high.SI {
			r.Refuse("to", string(s.To), "the band ends below where it starts")
		}
		n.missing(!low.Known && !high.Known, "speed.from")
	}
	n.Low, n.High = low.Or(high.Or(0)), high.Or(low.Or(0))
	if n.Low > 0 && (n.Low < turning.Min || n.High > turning.Max) {
		r.Refuse("by", s.By, "that makes "+q.Show(n.High, q.Speed, q.Metric)+", which no spindle does; check the units")
		n.Low, n.High = 0, 0
		n.missing(true, "speed.by")
	}
}

// surfaceBand is n = v/(π·d) at the largest and smallest diameter worked.
func (n *Need) surfaceBand(j Job, r *q.Reader) (low, high q.Value) {
	s := j.Speed
	v := r.Read("surface", s.Surface, q.SurfaceSpeed, q.Range{Min: 1e-4, Max: 200})
	if usual, ok := UsualSurfaceSpeed(j.Cut); !v.Known && ok {
		v, n.UsualSurface = q.Value{SI: usual, Known: true}, true
	}
	n.Surface = v.Or(0)
	diameters := q.Range{Min: 1e-4, Max: 20}
	small, large := r.Read("diameterFrom", s.DiameterFrom, q.Length, diameters),
		r.Read("diameterTo", s.DiameterTo, q.Length, diameters)
	if v.Known && large.Known {
		low = q.Value{SI: 2 * v.SI / large.SI, Known: true}
	}
	if v.Known && small.Known {
		high = q.Value{SI: 2 * v.SI / small.SI, Known: true}
	}
	if small.Known && large.Known && small.SI > large.SI {
		r.Refuse("diameterTo", string(s.DiameterTo), "the largest diameter is smaller than the smallest")
	}
	if !small.Known && !large.Known && n.wheel.of > 0 {
		large = q.Value{SI: n.wheel.of, Known: true}
		low, n.UsualWheel = q.Value{SI: 2 * v.SI / n.wheel.of, Known: v.Known}, !n.wheel.known
	}
	n.missing(!v.Known, "speed.surface")
	n.missing(!small.Known && !large.Known, "speed.diameterTo")
	n.Smallest, n.Largest = small.Or(large.SI), large.Or(small.SI)
	return low, high
}

// timedBand is turns over seconds, times the wished factors.
func (n *Need) timedBand(s SpeedBand, r *q.Reader) (low, high q.Value) {
	turns := r.Read("turns", s.Turns, q.Number, q.Range{Min: 0.1, Max: 1e5})
	seconds := r.Read("time", s.Time, q.Duration, q.Range{Min: 0.1, Max: 3600})
	factors := q.Range{Min: 0.01, Max: 100}
	from, to := r.Read("factorFrom", s.FactorFrom, q.Number, factors), r.Read("factorTo", s.FactorTo, q.Number, factors)
	if from.Known && to.Known && from.SI > to.SI {
		r.Refuse("factorTo", string(s.FactorTo), "the band ends below where it starts")
	}
	n.missing(!turns.Known, "speed.turns")
	n.missing(!seconds.Known, "speed.time")
	if !turns.Known || !seconds.Known {
		return low, high
	}
	n.ByHand = turns.SI / seconds.SI * 60 * q.RPM
	first := from.Or(min(1, to.Or(1)))
	return q.Value{SI: n.ByHand * first, Known: true}, q.Value{SI: n.ByHand * max(to.Or(first), first), Known: true}
}

// travels reads how fast it travels: a speed, or so far for each turn of another spindle, whose speed is then asked
// for.
func (n *Need) travels(s SpeedBand, r *q.Reader) (from, to q.Value) {
	travels := q.Range{Min: 1e-7, Max: 50}
	aTurn := strings.Contains(string(s.TravelFrom)+string(s.TravelTo), "/rev")
	if !aTurn {
		return r.Read("travelFrom", s.TravelFrom, q.SurfaceSpeed, travels),
			r.Read("travelTo", s.TravelTo, q.SurfaceSpeed, travels)
	}
	feeds := q.Range{Min: 1e-7, Max: 1}
	from, to = r.ReadFeed("travelFrom", s.TravelFrom, feeds), r.ReadFeed("travelTo", s.TravelTo, feeds)
	main := r.Read("main", s.Main, q.Speed, q.Range{Min: 0.01 * q.RPM, Max: 100e3 * q.RPM})
	n.missing(!main.Known, "speed.main")
	from.SI *= main.SI / (2 * math.Pi)
	to.SI *= main.SI / (2 * math.Pi)
	from.Known, to.Known = from.Known && main.Known, to.Known && main.Known
	return from, to
}

// travelBand is travel over lead.
func (n *Need) travelBand(s SpeedBand, r *q.Reader) (low, high q.Value) {
	from, to := n.travels(s, r)
	lead := r.ReadPerInch("lead", s.Lead, q.Range{Min: 1e-5, Max: 50}, threads...)
	if from.Known && to.Known && from.SI > to.SI {
		r.Refuse("travelTo", string(s.TravelTo), "the band ends below where it starts")
	}
	n.missing(!from.Known && !to.Known, "speed.travelFrom")
	n.missing(!lead.Known, "speed.lead")
	if !lead.Known {
		return low, high
	}
	n.Lead = lead.SI
	turn := func(v q.Value) q.Value { return q.Value{SI: v.SI * 60 * q.RPM / lead.SI, Known: v.Known} }
	return turn(from), turn(to)
}
