package work

import (
	"fmt"
	"math"
	"sort"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// readLoad fills the torque over the band by the chosen method. The inputs of the others are kept
// but not read: they are not shown, so nothing typed there may stand in the way.
func (n *Need) readLoad(j Job, r *q.Reader) {
	l := j.Load
	n.Method = r.Choice("by", l.By, ByTorque, methodWords...)
	n.Shape = Shape(r.Choice("shape", l.Shape, string(SameTorque), string(SameTorque), string(SamePower),
		string(TorqueWithN), string(PointsJoin)))
	n.readStanding(l.From, r)
	switch n.Method {
	case ByPower:
		power := readPower(l, r)
		n.missing(!power.Known, "load.power")
		n.fromPower(power.Or(0))
	case ByScale:
		n.fromScale(l.Scale, r.Under("scale"))
	case ByCutting:
		n.fromCutting(j, r.Under("cutting"))
	case ByComparable:
		n.fromComparable(l, r.Under("comparable"))
	case ByReplaced:
		n.fromReplaced(l.Replaced, r.Under("replaced"))
	case ByInertia:
		n.fromInertia(l.Inertia, r.Under("inertia"))
	case ByPull:
		t, missing := straightPull(l.Pull, r.Under("pull"))
		n.takeTorque(t, missing, "load.pull.", "worked out from the pull")
	case ByScrew:
		n.fromScrew(l, r)
	default:
		if n.Shape == PointsJoin {
			n.fromPoints(l.Points, r)
			break
		}
		torque := r.Read("torque", l.Torque, q.Torque, q.Range{Min: 1e-4, Max: 1e5})
		n.Torque = torque.SI
		n.missing(!torque.Known, "load.torque")
		n.doubtPower(torque.Or(0), readPower(l, r).Or(0))
	}
}

func readPower(l Load, r *q.Reader) q.Value {
	return r.Read("power", l.Power, q.Power, q.Range{Min: 0.1, Max: 1e5})
}

// readStanding is where a stated figure comes from and the margin that goes with it.
func (n *Need) readStanding(from string, r *q.Reader) {
	n.Found, n.Margin, n.MarginBy = working.Read, marginStated, "stated figure"
	switch r.Choice("from", from, "stated", "stated", "measured", "comparable") {
	case "measured":
		n.Found, n.Margin, n.MarginBy = working.Measured, marginMeasured, "measured"
	case "comparable":
		n.comparable = true
		n.Margin, n.MarginBy = marginComparable, "comparable machine: its maker put a margin in already"
	}
}

func (n *Need) fromPower(power float64) {
	if n.Missing != "" || power == 0 {
		return
	}
	if n.Shape == PointsJoin {
		n.Shape = SameTorque // points are torques; a power has none
	}
	n.Torque = power / n.High
	if n.Shape == SamePower {
		n.Torque = power / n.Low
	}
}

func (n *Need) fromScale(s ScalePull, r *q.Reader) {
	scale := readScale(s, r)
	n.Torque, n.Breakaway, n.Spread, n.Tangent = scale.Running, scale.Breakaway, scale.Spread, scale.Tangent
	n.Found, n.Margin, n.MarginBy = working.Measured, marginMeasured, "weighed with a spring scale"
	n.missing(scale.Missing != "", "load.scale."+scale.Missing)
	n.sameUnlessSquare()
	n.doubtPulls(scale)
}

func (n *Need) fromCutting(j Job, r *q.Reader) {
	n.Found, n.Margin, n.MarginBy = working.Computed, marginStated, "worked out from the cut"
	if n.Missing != "" {
		return
	}
	largest := 0.0
	if j.Speed.By == "surface" {
		largest = n.Largest
	}
	c, missing := cutting(j, r, n.Low, n.High, largest)
	n.missing(missing != "", missing)
	n.Cutting, n.Torque, n.Shape = c, c.Torque, SameTorque
	n.Bites = c.bites
	switch {
	case missing != "":
	case c.Sizes && c.Operation == "drilling":
		n.join(drillSizes(c.Torque, n.Low, n.High))
	case c.Sizes:
		n.Shape = SamePower
	case c.Operation == "grinding" || c.Operation == "sanding":
		// Power goes into the pass whatever the wheel's speed.
		n.Shape, n.Torque = SamePower, c.Power/n.Low
	}
}

// WithDrill is a drilling job by surface speed with another largest drill (m): its band reaches as slow as that asks.
func (n *Need) WithDrill(diameter float64) Need {
	out := *n
	times := diameter / n.Cutting.GrowsFrom
	out.Low = n.Low / times
	out.Torque = n.Torque * times * times
	out.Start.Torque = n.Start.Torque * times * times
	if out.High = max(n.High, out.Low); out.High > out.Low {
		out.join(drillSizes(out.Torque, out.Low, out.High))
	}
	return out
}

// drillSizes is the torque of drills from the largest, at low, to the smallest, at high, at one
// surface speed: with diameter squared, so with speed squared the other way.
func drillSizes(torque, low, high float64) []TorqueAtSpeed {
	points := make([]TorqueAtSpeed, 9)
	for i := range points {
		times := math.Pow(high/low, float64(i)/float64(len(points)-1))
		points[i] = TorqueAtSpeed{low * times, torque / (times * times)}
	}
	return points
}

// fromComparable goes by a like machine's own motor where that is known, else by what such machines or such work
// usually take: by the most of that band, as nobody knows where in it this one lies.
func (n *Need) fromComparable(l Load, r *q.Reader) {
	c := l.Comparable
	power := r.Read("power", c.Power, q.Power, q.Range{Min: 1, Max: 1e5})
	like, ok := findLike(c.Of)
	if c.Of != "" && !ok {
		r.Refuse("of", c.Of, "not in the list of machines")
	}
	ok = ok && like.By != likePush // a push is no torque without its screw
	n.Found, n.Margin, n.MarginBy = working.Assumed, marginComparable,
		"comparable machine: its maker put a margin in already"
	n.missing(!power.Known && !ok, "load.comparable.of")
	switch {
	case power.Known:
		n.fromPower(power.SI)
		return
	case !ok || n.Missing != "":
		return
	case like.By == likePower:
		n.fromPower(like.High)
	default:
		n.MarginBy = "a usual load: the most such work takes"
		n.sameUnlessSquare()
		n.Torque = like.High
		if like.By == likeInertia {
			n.Shape = SameTorque
			within := r.Read("within", l.Inertia.Within, q.Duration, q.Range{Min: 0.01, Max: 3600}).Or(usualWithin)
			n.Spinning = Spinning{Inertia: like.High, Within: within}
			n.Torque = like.High * n.High / within
		}
	}
	n.Usual = like.usual()
}

// usualWithin is how long a drum may take to come to speed where nobody says, s [common practice].
const usualWithin = 30

func (n *Need) fromReplaced(d Replaced, r *q.Reader) {
	points, missing := replaced(d, r)
	n.Found, n.Margin, n.MarginBy = working.Computed, marginReplaced, "the motor it had: as good as it was, no more"
	n.missing(missing != "", "load.replaced."+missing)
	if missing != "" {
		return
	}
	n.join(points)
	if n.Missing == "speed.from" {
		// Its own positions are the band.
		n.Missing, n.Low, n.High = "", points[0].Omega, points[len(points)-1].Omega
	}
	n.withinItsSpeeds(points[len(points)-1].Omega)
	n.Torque = n.TorqueAt(n.Low)
}

// withinItsSpeeds keeps a band to what the old motor reached: above its fastest position it gave nothing, and is no
// measure. Slower it would have been geared, to no less torque.
func (n *Need) withinItsSpeeds(fastest float64) {
	if n.Missing != "" || n.High <= fastest {
		return
	}
	if n.Low > fastest {
		n.Missing = "load.replaced.positions[0].driver"
		n.Doubts = append(n.Doubts, Doubt{n.Missing, "The old motor never turned it so fast",
			"Through its own pulleys it reached " + q.Show(fastest, q.Speed, q.Metric) + ", and gave nothing at the " +
				"speeds this job asks for: find its load another way."})
		return
	}
	n.High = fastest
}

func (n *Need) fromInertia(l InertiaLoad, r *q.Reader) {
	s, missing := spinning(l, r)
	n.Spinning, n.Found, n.Margin, n.MarginBy = s, working.Computed, marginStated, "worked out from inertia"
	n.missing(missing != "", "load.inertia."+missing)
	if n.Missing == "" {
		n.Torque, n.Shape = s.Inertia*n.High/s.Within+s.Friction, SameTorque
	}
}

// fromScrew goes by the push that was put in, else by what such feeds or axes usually push.
func (n *Need) fromScrew(l Load, r *q.Reader) {
	by := "worked out from the screw"
	if like, ok := findLike(l.Comparable.Of); ok && like.By == likePush && q.Blank(string(l.Screw.Force)) {
		l.Screw.Force = q.Text(q.Figures(like.High, 6) + " N")
		n.Usual, by = like.usual(), "a usual push: the most such work takes"
	}
	t, feed, missing := screw(l.Screw, n.Lead, r.Under("screw"))
	n.Feed = feed
	if n.Lead > 0 && feed.Lead > 0 && math.Abs(feed.Lead/n.Lead-1) > 0.005 {
		n.Doubts = append(n.Doubts, Doubt{"load.screw.lead", "Two leads for one screw",
			"Its speed is found with a lead of " + q.Show(n.Lead, q.Length, q.Metric) + ", its load with one of " +
				q.Show(feed.Lead, q.Length, q.Metric) + ". One turn goes one way only: put the same in both."})
	}
	n.takeTorque(t, missing, "load.screw.", by)
	if n.Usual.Is() {
		n.Margin, n.Found = marginComparable, working.Assumed
	}
}

func (n *Need) takeTorque(t float64, missing, below, by string) {
	n.Torque, n.Found, n.Margin, n.MarginBy = t, working.Computed, marginStated, by
	n.missing(missing != "", below+missing)
	n.sameUnlessSquare()
}

// sameUnlessSquare is the shape of a load found as one torque: points are for stated torques.
func (n *Need) sameUnlessSquare() {
	if n.Shape == PointsJoin {
		n.Shape = SameTorque
	}
}

func (n *Need) fromPoints(points []Point, r *q.Reader) {
	if len(points) > maxPulls {
		r.Refuse("points", fmt.Sprint(len(points)), fmt.Sprintf("at most %d points", maxPulls))
		return
	}
	var known []TorqueAtSpeed
	for i, p := range points {
		at := r.At("points", i)
		speed, torque := at.Read("speed", p.Speed, q.Speed, q.Range{Min: 0.01 * q.RPM, Max: 1e5 * q.RPM}),
			at.Read("torque", p.Torque, q.Torque, q.Range{Min: 1e-4,
				Max: 1e5})
		if speed.Known && torque.Known {
			known = append(known, TorqueAtSpeed{speed.SI, torque.SI})
		}
	}
	n.missing(len(known) < 2, fmt.Sprintf("load.points[%d].speed", min(len(known), max(len(points)-1, 0))))
	sort.SliceStable(known, func(i, k int) bool { return known[i].Omega < known[k].Omega })
	n.join(known)
	for _, p := range n.Points {
		n.Torque = max(n.Torque, p.Torque)
	}
}
