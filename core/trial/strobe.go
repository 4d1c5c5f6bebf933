package trial

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// Seen is a rate of flashes (rad/s) at which a mark stood, or crept by Drift (rad/s, with the turning positive), seen
// Images times. Off is one standard deviation of the rate, as a share.
type Seen struct {
	Flash  float64
	Images int
	Drift  float64
	Off    float64
}

// turnsBy are the speeds (rad/s) at which this is seen up to a fastest one: n = a·f/b + drift, a and b without a common
// part. With b images a turn of 1/b looks the same.
func (s Seen) turnsBy(fastest float64, see func(n float64)) {
	for a := 1; ; a++ {
		n := float64(a)*s.Flash/float64(s.Images) + s.Drift
		if n > fastest {
			return
		}
		if n > 0 && numeric.GCD(a, s.Images) == 1 {
			see(n)
		}
	}
}

// turns is how many turns, a, go by in b flashes at a speed: the whole number without a part in common with b that is
// nearest. It is blind where a rate this far off can no longer tell a from its neighbours, or there is none.
func (s Seen) turns(n float64) (a float64, blind bool) {
	exact := (n - s.Drift) * float64(s.Images) / s.Flash
	if !(exact > 0) || exact*s.Off > blindPast {
		return 0, true
	}
	best := math.Inf(1)
	for try := math.Max(1, math.Round(exact)-2); try <= math.Round(exact)+2; try++ {
		if off := math.Abs(try - exact); off < best && numeric.GCD(int(try), s.Images) == 1 {
			a, best = try, off
		}
	}
	return a, false
}

// misfit is how far a speed is from one at which this is seen, in standard deviations of the rate; 0 where it says
// nothing of such a speed.
func (s Seen) misfit(n float64) float64 {
	a, blind := s.turns(n)
	if blind {
		if n <= s.Drift {
			return math.Inf(1)
		}
		return 0
	}
	return math.Abs((n-s.Drift)*float64(s.Images)/a/s.Flash-1) / s.Off
}

// Candidate is a speed (rad/s) that fits all that was seen, one standard deviation of it, and how well it fits.
type Candidate struct {
	Omega, Spread, Misfit float64
}

// Limits of the search for a speed.
const (
	fitsWithin = 3.0   // standard deviations for each sighting
	strobeOff  = 0.002 // of a rate, a hand on the dial included [common practice]
	blindPast  = 0.15  // of a turn a rate's error makes up, past which it tells no whole turns apart
)

// TrueSpeeds are the speeds up to a fastest one that fit everything that was seen, the best first. Every speed there is
// that could have been seen so is among them: whoever reads one alone may be sure, up to that fastest.
func TrueSpeeds(list []Seen, fastest float64) []Candidate {
	if len(list) == 0 {
		return nil
	}
	// The highest rate has the fewest speeds to try.
	highest := slices.MaxFunc(list, func(a, b Seen) int {
		return cmp.Compare(a.Flash/float64(a.Images), b.Flash/float64(b.Images))
	})
	var out []Candidate
	highest.turnsBy(fastest*(1+fitsWithin*highest.Off), func(n float64) {
		if c, ok := refine(list, n); ok {
			out = append(out, c)
		}
	})
	slices.SortStableFunc(out, func(a, b Candidate) int { return cmp.Compare(a.Misfit, b.Misfit) })
	return out
}

// refine moves a speed to where it fits all of the list best, and says whether it does.
func refine(list []Seen, n float64) (Candidate, bool) {
	weights, sum := 0.0, 0.0
	for _, s := range list {
		a, blind := s.turns(n)
		if blind {
			continue
		}
		here, off := a*s.Flash/float64(s.Images)+s.Drift, s.Off*a*s.Flash/float64(s.Images)
		weights, sum = weights+1/(off*off), sum+here/(off*off)
	}
	if weights == 0 {
		return Candidate{}, false
	}
	out := Candidate{Omega: sum / weights, Spread: 1 / math.Sqrt(weights)}
	for _, s := range list {
		out.Misfit = max(out.Misfit, s.misfit(out.Omega))
	}
	return out, out.Misfit <= fitsWithin
}

// Rates a common strobe has, rad/s [common practice]: none other is asked for.
const (
	slowestFlash = 100 * q.RPM
	fastestFlash = 10000 * q.RPM
)

// TryNext is the rate (rad/s) that would tell most of several speeds apart, and how many images each of them would then
// show (0 for none that stand). It is 0 where no rate within a strobe's reach does.
func TryNext(speeds []Candidate, tried []Seen) (flash float64, shows []int) {
	best := 0.0
	for _, c := range speeds {
		for _, share := range []float64{1, 2, 0.5, 2. / 3, 1.5, 3} {
			at := c.Omega * share
			if at < slowestFlash || at > fastestFlash || slices.ContainsFunc(tried, func(s Seen) bool {
				return math.Abs(s.Flash/at-1) < 0.01
			}) {
				continue
			}
			look := make([]int, len(speeds))
			kinds := map[int]int{}
			for i := range speeds {
				look[i] = imagesAt(speeds[i].Omega, at)
				kinds[look[i]]++
			}
			// The fewest speeds that stay together, counted over all of them, and a picture that stands.
			told := 0.0
			for _, n := range kinds {
				p := float64(n) / float64(len(speeds))
				told -= p * math.Log(p)
			}
			if told > best+1e-9 {
				best, flash, shows = told, at, look
			}
		}
	}
	return flash, shows
}

// mostImages is how many images an eye still counts.
const mostImages = 6

// imagesAt is how many images stand of a mark turning at n under flashes at f; 0 where none does.
func imagesAt(n, f float64) int {
	for b := 1; b <= mostImages; b++ {
		a := math.Round(n * float64(b) / f)
		if a >= 1 && math.Abs(n*float64(b)/f/a-1) < 0.002 && numeric.GCD(int(a), b) == 1 {
			return b
		}
	}
	return 0
}

func strobeTrial(e *evaluator) {
	var list []Seen
	step := e.Steps.In(q.Speed)
	for _, row := range e.With(func(t *m.Taken) q.Value { return t.Flash }) {
		list = append(list, Seen{Flash: row.Flash.SI, Images: int(row.Images.Or(1)), Drift: row.Drift.Or(0),
			Off: math.Hypot(strobeOff, step/math.Sqrt(12)/row.Flash.SI)})
	}
	if len(list) == 0 {
		e.wants("Nothing stands yet.", "From the fastest flashes down: the first rate at which one image stands.",
			"It is the speed, or twice or three times that of something slower.")
		return
	}
	fastest, from := e.fastest()
	speeds := TrueSpeeds(list, fastest)
	e.drawStrobe(list, speeds)
	switch {
	case len(speeds) == 0:
		e.out.Enough = true
		e.out.Headline = "No speed up to " + e.show(fastest, q.Speed) + " is seen so."
		e.say(NoSpeed, f.Caution, "The sightings do not fit one speed",
			"A rate was misread, images were miscounted, or the speed moved between them. Read the rates again, "+
				"quickly one "+
				"after the other.")
		e.WhyNot("There is no one speed to take in.")
		return
	case len(speeds) == 1:
		e.surely(speeds[0], list, fastest, from)
		return
	}
	e.out.Enough = true
	names := make([]string, 0, len(speeds))
	for i := range min(len(speeds), 5) {
		names = append(names, q.Figures(speeds[i].Omega/q.RPM, 4))
	}
	more := ""
	if len(speeds) > 5 {
		more = fmt.Sprintf(" or %d others", len(speeds)-5)
	}
	e.out.Headline = fmt.Sprintf("Not sure yet: %s%s rpm all look like this.", strings.Join(names, ", "), more)
	expected := e.expectedSpeed(e.Command.Or(1))
	likely := ""
	if i := nearest(speeds, expected); i >= 0 {
		likely = fmt.Sprintf(" The plan reckons %s, nearest %s; that is no proof.", e.show(expected, q.Speed),
			e.show(speeds[i].Omega, q.Speed))
	}
	e.say(ManySpeeds, f.Missing, fmt.Sprintf("%d speeds fit", len(speeds)),
		"A mark stands at its speed and at each whole part of it."+likely)
	if at, shows := TryNext(speeds, list); at > 0 {
		e.out.Next = Next{Text: fmt.Sprintf("Try %s flashes a minute.", q.Figures(at/q.RPM, 4)),
			Why: lookOf(speeds, shows), At: q.Figures(at/q.RPM, 4)}
	}
	e.WhyNot("There is no one speed yet.")
}

// lookOf says what would be seen of each speed.
func lookOf(speeds []Candidate, shows []int) string {
	var parts []string
	for i := range min(len(speeds), 4) {
		what := "nothing stands"
		switch shows[i] {
		case 0:
		case 1:
			what = "one image"
		default:
			what = fmt.Sprintf("%d images", shows[i])
		}
		parts = append(parts, what+" at "+q.Figures(speeds[i].Omega/q.RPM, 4))
	}
	return capital(strings.Join(parts, ", ")) + " rpm."
}

func nearest(speeds []Candidate, omega float64) int {
	at, best := -1, math.Inf(1)
	for i, c := range speeds {
		if off := math.Abs(math.Log(c.Omega / omega)); off < best {
			at, best = i, off
		}
	}
	return at
}

// fastest is what the shaft cannot pass: as typed, or half as much again as the plan's top speed, or what no shed
// turns.
func (e *evaluator) fastest() (omega float64, from string) {
	if e.Fastest.Known {
		return e.Fastest.SI, "as you say"
	}
	if e.model != nil {
		top := e.model.Top(e.position)
		if e.Where == m.AtMotor {
			top *= e.turns
		}
		if top > 0 && !math.IsInf(top, 0) {
			return 1.5 * top, "half as much again as the plan can make"
		}
	}
	return 60000 * q.RPM, "faster than anything in a shed"
}

func (e *evaluator) surely(c Candidate, list []Seen, fastest float64, from string) {
	e.out.Enough = true
	expected := e.nearestIn(c.Omega)
	put := make([]string, len(list))
	for i, s := range list {
		put[i] = fmt.Sprintf("%s with %d", q.Figures(s.Flash/q.RPM, 4), s.Images)
	}
	e.found(capital(e.shaft())+" speed", c.Omega, within(c.Spread, 0), expected, q.Speed,
		"n = a · f / b, a and b without a common part", strings.Join(put, ", "), source.Strobe,
		"it does not turn faster than "+e.show(fastest, q.Speed)+", "+from)
	e.out.Headline = fmt.Sprintf("It turns at %s.", e.show(c.Omega, q.Speed))
	e.say(OneSpeed, f.Good, "One speed fits", fmt.Sprintf("No other up to %s (%s) is seen so.", e.show(fastest,
		q.Speed), from))
	e.reckonedBand()
	e.compareSpeed(c.Omega, within(c.Spread, 0), expected)
	e.WhyNot("A speed by itself changes no figure of the plan. Take it at a mark of the knob, and it goes on the " +
		"speed plate.")
	e.trimFrom([]float64{c.Omega})
}

// drawStrobe shows each sighting at its rate, and the rates at which the found speed stands.
func (e *evaluator) drawStrobe(list []Seen, speeds []Candidate) {
	d := e.draw("flashes a minute", e.scaleOf(q.Speed), "images", bare)
	d.out.X.Unit = ""
	for _, s := range list {
		d.point(s.Flash, float64(s.Images), 0, "")
	}
	if len(speeds) == 1 {
		for b := 1; b <= 4; b++ {
			d.mark(speeds[0].Omega*float64(b), float64(b), fmt.Sprintf("%d", b), false)
		}
	}
}
