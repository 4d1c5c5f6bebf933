package trial

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"gonum.org/v1/gonum/stat/distuv"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// usualRatings are the volts coils and small motors are made for.
var usualRatings = []float64{12, 24, 48, 120, 230}

// Where in its rated volts a coil pulls in, and a motor first turns [common practice].
var (
	pullsInAt = distuv.Normal{Mu: 0.67, Sigma: 0.08}
	turnsAt   = distuv.LogNormal{Mu: math.Log(0.1), Sigma: 0.55}
)

// Rating is a rating a part may be made for, and how likely it is of the usual ones.
type Rating struct {
	Volts, Share float64
}

// RatingsOf are the usual ratings by how likely each is of a part that did nothing up to one voltage and acted at
// another, the likeliest first. turned is whether it is a motor that turned.
func RatingsOf(idle, acted float64, turned bool) []Rating {
	below := pullsInAt.CDF
	if turned {
		below = turnsAt.CDF
	}
	out := make([]Rating, len(usualRatings))
	sum := 0.0
	for i, volts := range usualRatings {
		// A meter is a little off, so an interval is never a point.
		share := below(acted/volts*1.01) - below(idle/volts*0.99)
		out[i] = Rating{volts, share + 1e-6}
		sum += out[i].Share
	}
	for i := range out {
		out[i].Share /= sum
	}
	slices.SortStableFunc(out, func(a, b Rating) int { return cmp.Compare(b.Share, a.Share) })
	return out
}

// Where a rating is sure enough to be named alone, and where it is still worth naming.
const (
	sureRating  = 0.9
	worthRating = 0.05
)

// onDirect reports whether direct current was put on it at a reading.
func (e *evaluator) onDirect(one *m.Taken) bool {
	if one.Current == "" {
		return e.Direct
	}
	return one.Current == "dc"
}

func voltsUpTrial(e *evaluator) {
	rows := e.With(voltsOf)
	slices.SortStableFunc(rows, func(a, b m.Taken) int { return cmp.Compare(a.Volts.SI, b.Volts.SI) })
	levels := map[m.State]float64{m.Nothing: 0, m.Hums: 1, m.Acts: 2, m.Turns: 2}
	d := e.draw("volts", e.scaleOf(q.Voltage), "0 nothing, 1 hums, 2 acts", bare)
	idle, acted, hums, turned, direct := 0.0, math.Inf(1), 0.0, false, e.Direct
	for _, one := range rows {
		d.point(one.Volts.SI, levels[one.State], 0, string(one.State))
		switch one.State {
		case m.Acts, m.Turns:
			if one.Volts.SI < acted {
				acted, turned, direct = one.Volts.SI, one.State == m.Turns, e.onDirect(&one)
			}
		case m.Hums:
			if hums == 0 {
				hums = one.Volts.SI
			}
		}
	}
	for _, one := range rows {
		// What alternating volts did not move direct ones may, and the other way round.
		if one.State != m.Acts && one.State != m.Turns && one.Volts.SI < acted && e.onDirect(&one) == direct {
			idle = max(idle, one.Volts.SI)
		}
	}
	switch {
	case len(rows) == 0:
		e.wants("Nothing is tried yet.", "A few volts, and what it does.", "")
		return
	case math.IsInf(acted, 1):
		e.neverActed(idle, hums)
		return
	}
	e.out.Enough = true
	e.found("First acts at", acted, 0, none, q.Voltage, "as seen", fmt.Sprintf("nothing at %s", e.show(idle,
		q.Voltage)), source.Typed)
	ratings := RatingsOf(idle, acted, turned)
	e.rating(ratings, acted, direct)
	e.WhyNot("It is a part by itself: write its rating on it, and put it on the shelf.")
	if acted > 1.25*idle && ratings[0].Share < sureRating {
		between := (acted + idle) / 2
		e.out.Next = Next{Text: "About " + e.show(between, q.Voltage) + ".", At: q.Figures(between, 2),
			Why: "Where between the last two it begins tells the ratings apart."}
	}
	highest := rows[len(rows)-1].Volts.SI
	if ratings[0].Share > sureRating && highest > 1.15*ratings[0].Volts {
		e.say(HeldTooLong, f.Caution, "It was given more than it is made for",
			fmt.Sprintf("%s where %s is likely. Feel it, unplugged.", e.show(highest, q.Voltage),
				e.show(ratings[0].Volts, q.Voltage)))
	}
}

func (e *evaluator) rating(ratings []Rating, acted float64, direct bool) {
	best := ratings[0]
	shares := make([]string, 0, len(ratings))
	var worth []string
	for _, one := range ratings {
		if one.Share >= worthRating {
			worth = append(worth, q.Figures(one.Volts, 3))
			shares = append(shares, fmt.Sprintf("%s %s", e.show(one.Volts, q.Voltage), q.Percent(one.Share)))
		}
	}
	e.foundBy("Likely rating", best.Volts, 0, none, func(v float64) string { return e.show(v, q.Voltage) },
		"share of its rating at which such a part begins to act", strings.Join(shares, ", "), source.CoilVolts)
	on := "alternating"
	if direct {
		on = "direct"
	}
	if best.Share > sureRating {
		e.out.Headline = fmt.Sprintf("Made for about %s, on %s current.", e.show(best.Volts, q.Voltage), on)
		e.say(OneRating, f.Good, "One usual rating fits", fmt.Sprintf("It acts at %s of it. Of the usual ratings; "+
			"read on it what you can.",
			q.Percent(acted/best.Volts)))
		return
	}
	e.out.Headline = fmt.Sprintf("Made for %s V: not told apart yet.", strings.Join(worth, " or "))
	e.say(ManyRatings, f.Missing, fmt.Sprintf("%d usual ratings fit", len(worth)),
		"Take it for the lower until you know: given the higher a coil of the lower burns.")
}

func (e *evaluator) neverActed(idle, hums float64) {
	e.out.Enough = true
	e.out.Headline = fmt.Sprintf("It did nothing up to %s.", e.show(idle, q.Voltage))
	detail := "An open coil does nothing at any volts: try its ohms, unplugged."
	if hums > 0 {
		e.out.Headline = fmt.Sprintf("It hums from %s and does not act.", e.show(hums, q.Voltage))
		detail = "A coil made for direct current only hums on alternating, and so does one that sticks."
	}
	e.say(NeverActed, f.Missing, "It has not acted yet", detail)
	e.WhyNot("Nothing is known of it yet.")
	e.out.Next = Next{Text: "A few volts more, for a second.", At: q.Figures(math.Ceil(1.2*max(idle, 1)), 3),
		Why: "In small steps, and off in between."}
}
