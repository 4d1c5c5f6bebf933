package trial

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"

	"jiriki/core/air"
	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/thermal"
)

const (
	thermometerOff = 0.7 // K, of a probe held to a case; one standard deviation [common practice]
	usualCaseTime  = 30 * 60.
	timeBelieved   = 0.5 // of the logarithm of the case's time, before it is measured
	zeroCelsius    = 273.15
	leastWarmUp    = 60.0 // s that readings must span
)

func warmUpTrial(e *evaluator) {
	rows := e.With(func(t *m.Taken) q.Value { return t.Time }, func(t *m.Taken) q.Value { return t.Celsius })
	d := e.draw("minutes", scale{label: "", si: 60}, "case", e.scaleOf(q.Temperature))
	off := math.Hypot(thermometerOff, e.Steps.In(q.Rise)/math.Sqrt(12))
	for _, one := range rows {
		d.point(one.Time.SI, one.Celsius.SI, off, "")
	}
	if len(rows) < 3 {
		e.wants(fmt.Sprintf("%d of at least 3 temperatures are read.", len(rows)), "The case every few minutes.",
			"Three make a curve that bends.")
		return
	}
	slices.SortStableFunc(rows, func(a, b m.Taken) int { return cmp.Compare(a.Time.SI, b.Time.SI) })
	first, last := rows[0], rows[len(rows)-1]
	if last.Time.SI-first.Time.SI < leastWarmUp {
		e.wants("The temperatures lie too near each other.", "The case some minutes later.",
			"A case takes half an hour.")
		return
	}
	if first.Celsius.SI-last.Celsius.SI > past*off {
		e.contradicts(Cooler, "It cools", fmt.Sprintf("%s at first, %s after %s: that is no warm-up. Read it from "+
			"cold, "+
			"under its load.", e.show(first.Celsius.SI, q.Temperature), e.show(last.Celsius.SI, q.Temperature),
			e.show(last.Time.SI-first.Time.SI, q.Duration)))
		return
	}
	believed := usualCaseTime
	if e.stations.Motor.Ready() {
		believed = caseTime(e)
	}
	times, kelvin := make([]float64, len(rows)), make([]float64, len(rows))
	for i, one := range rows {
		times[i], kelvin[i] = one.Time.SI-first.Time.SI, one.Celsius.SI
	}
	warmth := settlingOf(times, kelvin, off, believed, thermal.Left)
	e.out.Enough = true
	w := warmUp{e: e, Settling: warmth, first: first.Time.SI, last: last.Time.SI, lastK: last.Celsius.SI}
	d.fit(first.Time.SI, max(2*(last.Time.SI-first.Time.SI), 3*warmth.Time)+first.Time.SI, func(t float64) float64 {
		return warmth.Settles + (warmth.Start-warmth.Settles)*thermal.Left((t-first.Time.SI)/warmth.Time)
	})
	w.tell(d)
}

// Settling is where a warm-up leads: temperatures in K, Time in s, and how far out each may be nine times in ten.
type Settling struct {
	Settles, SettlesWithin float64
	Time, TimeWithin       float64
	Start                  float64
}

// How finely, and how far to either side of what is believed, a case's time is tried.
const (
	timeGrid  = 121
	timeReach = 3.2 // of timeBelieved
)

// settlingOf lays θ = θ_∞ + (θ_0 − θ_∞)·left(t/τ) through temperatures (K, each out by off) at times (s), left being
// what
// is left of the way: that of the two bodies a motor is judged by. The two
// temperatures are found by linear least squares for each of many τ, and every τ is kept by how well it then fits and
// how far it is from what is believed: before it gets there a warm-up hardly tells τ, and a single best one would make
// its end look surer than it is.
func settlingOf(times, kelvin []float64, off, believed float64, left func(times float64) float64) Settling {
	var list []tauFit
	least := math.Inf(1)
	for i := range timeGrid {
		z := timeReach * (2*float64(i)/(timeGrid-1) - 1)
		one := fitForTau(times, kelvin, off, believed*math.Exp(timeBelieved*z), left)
		if one.misfit < least {
			least = one.misfit
		}
		one.believed = z * z
		list = append(list, one)
	}
	// Readings that scatter by more than the instrument tell less than it would.
	widen := 1.0
	if spare := float64(len(times) - 3); spare > 0 {
		widen = max(1, least/spare)
	}
	best, sum := 0, 0.0
	for i := range list {
		one := &list[i]
		one.weight = math.Exp(-(one.misfit-least)/(2*widen)-one.believed/2) * one.volume
		one.sigma *= math.Sqrt(widen)
		sum += one.weight
		if one.weight > list[best].weight {
			best = i
		}
	}
	below := func(x float64) float64 {
		part := 0.0
		for _, one := range list {
			part += one.weight / sum * distuv.Normal{Mu: one.settles, Sigma: one.sigma}.CDF(x)
		}
		return part
	}
	quicker := func(tau float64) float64 {
		part := 0.0
		for _, one := range list {
			if one.tau <= tau {
				part += one.weight / sum
			}
		}
		return part
	}
	out := Settling{Start: list[best].start}
	out.Settles = numeric.Last(list[best].settles-400, list[best].settles+800, 1e-3,
		func(x float64) bool { return below(x) < 0.5 })
	for _, one := range list {
		if out.Time = one.tau; quicker(one.tau) >= 0.5 {
			break
		}
	}
	// As far to either side as holds nine tenths.
	out.SettlesWithin = numeric.Last(0, 1200, 1e-3, func(w float64) bool {
		return below(out.Settles+w)-below(out.Settles-w) < nineTenths
	})
	out.TimeWithin = numeric.Last(0, list[len(list)-1].tau, 1, func(w float64) bool {
		return quicker(out.Time+w)-quicker(out.Time-w) < nineTenths
	})
	return out
}

const nineTenths = 0.9

// tauFit is a warm-up fitted for one time constant.
type tauFit struct {
	tau, settles, start, sigma, misfit, believed, weight float64

	volume float64 // of both temperatures that fit it as well, 1/√det
}

// fitForTau finds both temperatures for one τ, and one standard deviation of the end.
func fitForTau(times, kelvin []float64, off, tau float64, left func(times float64) float64) tauFit {
	// θ = θ_∞·(1 − e) + θ_0·e
	var aa, ab, bb, ay, by float64
	for i, t := range times {
		e := left(t / tau)
		a, b := 1-e, e
		aa, ab, bb, ay, by = aa+a*a, ab+a*b, bb+b*b, ay+a*kelvin[i], by+b*kelvin[i]
	}
	det := aa*bb - ab*ab
	out := tauFit{tau: tau, settles: (ay*bb - by*ab) / det, start: (by*aa - ay*ab) / det,
		sigma:  off * math.Sqrt(bb/det),
		volume: 1 / math.Sqrt(det)}
	for i, t := range times {
		e := left(t / tau)
		miss := (out.settles*(1-e) + out.start*e - kelvin[i]) / off
		out.misfit += miss * miss
	}
	return out
}

// warmUp is a warm-up being told.
type warmUp struct {
	Settling
	e           *evaluator
	first, last float64
	lastK       float64
}

func (w *warmUp) tell(d drawing) {
	e, settles, time, spread := w.e, w.Settles, w.Time, w.SettlesWithin
	start := e.Air.Or(w.Start)
	load := e.Command.Or(math.NaN())
	expected := none
	if e.model != nil && e.Command.Known {
		expected = start + w.reckonedRise(load)
	}
	e.found("Case settles at", settles, spread, expected, q.Temperature,
		"θ = θ_∞ + (θ_0 − θ_∞) · what is left of the way after t/τ, of winding and case",
		fmt.Sprintf("%s at the start, %s after %s", e.show(w.Start, q.Temperature),
			e.show(w.lastK, q.Temperature), e.show(w.last-w.first, q.Duration)), source.WarmUp)
	e.found("Its time", time, w.TimeWithin, w.reckonedTime(), q.Duration, "τ, two thirds of the way",
		"every τ by how well it fits",
		source.WarmUp)
	winding := start + thermal.WindingRise(settles-start)
	limit, class := w.limit()
	e.found("Winding then, about", winding, thermal.WindingRise(spread), none, q.Temperature,
		"θ_w = θ_air + (θ_case − θ_air) / 0.68", fmt.Sprintf("%s over the air", q.Figures(settles-start,
			3)+q.ThinSpace+"K"),
		source.WarmUp, "the case has two thirds of the winding's rise")
	d.mark(w.last, settles, "settles at "+e.show(settles, q.Temperature), winding > limit)
	e.out.Headline = fmt.Sprintf("It will settle at %s, give or take %s K.", e.show(settles, q.Temperature),
		q.Figures(spread, 2))
	w.judge(winding, thermal.WindingRise(spread), limit, class)
	w.compare(settles, spread, expected)
	w.correct(start, settles, time, load)
	if w.last-w.first < time {
		e.out.Next = Next{Text: fmt.Sprintf("The case in another %s.", e.show(time/2, q.Duration)),
			Why: fmt.Sprintf("It is %s of the way; the spread is ± %s K now.",
				q.Percent((w.lastK-w.Start)/(settles-w.Start)),
				q.Figures(spread, 2))}
	}
}

func (w *warmUp) limit() (kelvin float64, class string) {
	class = orWord(w.e.stations.Motor.Insulation, "B")
	return air.Limit[class], class
}

func orWord(a, b string) string {
	if a != "" {
		return a
	}
	return b
}

// reckonedRise is how far over the air the plan lets the case settle at a share of rated load, K.
func (w *warmUp) reckonedRise(load float64) float64 {
	limit, _ := w.limit()
	rise := thermal.CaseRise(limit - air.Rated)
	if w.e.stations.Motor.CaseRise > 0 {
		rise = w.e.stations.Motor.CaseRise
	}
	return rise * ratedHeat(w.e.stations.Motor.Kind, load)
}

func (w *warmUp) reckonedTime() float64 {
	if !w.e.stations.Motor.Ready() {
		return none
	}
	return caseTime(w.e)
}

// caseTime is how long the plan lets the case take for two thirds of its way, s.
func caseTime(e *evaluator) float64 {
	b := e.stations.Motor.Bodies()
	return (b.Case + b.Winding) / b.Outside
}

func (w *warmUp) judge(winding, spread, limit float64, class string) {
	e := w.e
	says := fmt.Sprintf("Winding about %s, class %s bears %s.", e.show(winding, q.Temperature), class, e.show(limit,
		q.Temperature))
	switch {
	case winding > limit:
		e.say(PastClass, f.Stop, "It settles past its class", says+" Stop before it gets there: rest it, load it "+
			"less, or blow "+
			"air over it.")
	case winding+spread > limit:
		e.say(PastClass, f.Caution, "It may settle past its class", says+" Read on, a hand on the switch.")
	case w.e.stations.Motor.Insulation == "":
		e.say(AsReckoned, f.Good, "Within class "+class, says)
	default:
		e.say(AsReckoned, f.Good, "Within its class", says)
	}
}

func (w *warmUp) compare(settles, spread, expected float64) {
	e := w.e
	if math.IsNaN(expected) {
		return
	}
	detail := fmt.Sprintf("%s measured, %s reckoned at this load.", e.show(settles, q.Temperature), e.show(expected,
		q.Temperature))
	switch {
	case math.Abs(settles-expected) <= max(spread, 5):
		e.say(AsReckoned, f.Good, "It warms as reckoned", detail)
	case settles > expected:
		e.say(Hotter, f.Caution, "It gets hotter than reckoned", detail+" Dirt in its air, no fan, rough current, "+
			"or more load than "+
			"was thought.")
	default:
		e.say(Cooler, f.Good, "It stays cooler than reckoned", detail)
	}
}

// correct lets the case's time into the motor, and its rise where the load was told.
func (w *warmUp) correct(start, settles, time, load float64) {
	e := w.e
	d := e.in.Plan.Motor
	d.Body.CaseTime = q.WrittenTo(time/60, 3, "min")
	detail := "How fast its case warms, as measured."
	if heat := ratedHeat(e.stations.Motor.Kind, load); e.Command.Known && heat > 0.05 && settles > start {
		d.Body.CaseRise = q.WrittenTo((settles-start)/heat, 3, "K")
		detail = "How fast its case warms and how far it would at rated load, as measured. Dry run and working " +
			"day go by them."
	} else {
		e.out.Next = Next{Text: "What load it did, of rated.", Why: "With it the rise at rated load follows, and " +
			"goes into the plan."}
	}
	if time < 60 || time > 6*3600 {
		e.WhyNot("Such a time is no motor's case. Read on for longer.")
		return
	}
	e.out.Correction = &Correction{Label: "Let the motor warm like this", Detail: detail, Motor: &d}
}
