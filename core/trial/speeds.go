package trial

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"gonum.org/v1/gonum/stat"

	"jiriki/core/control"
	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// tachometerOff is how far off a tachometer is, as a share, beside the step it shows [common practice]; one standard
// deviation.
const tachometerOff = 0.005

// asReckoned is how near a speed must come to what a plan reckons to be called the same.
const asReckoned = 0.03

// stepOf is the finest step of what reads the speed, rad/s; a pick-up's follows from its marks and its gate.
func (e *evaluator) stepOf() float64 {
	step := e.Steps.In(q.Speed)
	if e.PerTurn.Known && e.Gate.Known {
		step = max(step, 60/(e.PerTurn.SI*e.Gate.SI)*q.RPM)
	}
	return step
}

// offBy is one standard deviation of a reading v of an instrument that is so far off, as a share, and shows steps.
func offBy(v, share, step float64) float64 { return math.Hypot(share*v, step/math.Sqrt(12)) }

func speedOf(t *m.Taken) q.Value { return t.Speed }

// meanOf is the mean of readings of one thing and how far it may be out, v out by such a share and shown in such steps.
func meanOf(v []float64, share, step float64) (mean, spread, scatter float64) {
	mean = stat.Mean(v, nil)
	if len(v) > 1 {
		scatter = stat.StdDev(v, nil)
	}
	spread = spreadOfMean(v, offBy(mean, share, step))
	if scatter == 0 {
		// Readings on one step are off alike by as much as half of it.
		spread = max(spread, step/2)
	}
	return mean, spread, scatter
}

// How many readings tell by themselves how far they scatter; what part of its error an instrument makes alike in all of
// them; and how little they scatter, as a variance, where all of it is.
const (
	enough      = 3
	sharedPart  = 0.15
	allSharedAt = 0.1
)

// spreadOfMean is how far the mean of readings may be out nine times in ten, each out by off (one standard deviation):
// as they scatter, by Student's t, and by what all of them share.
func spreadOfMean(v []float64, off float64) float64 {
	n := float64(len(v))
	if n < 2 {
		return within(off, 0)
	}
	scatter := stat.StdDev(v, nil)
	shared := off * max(sharedPart, math.Sqrt(max(0, 1-scatter*scatter/(allSharedAt*off*off))))
	if n < enough {
		return within(math.Hypot(off/math.Sqrt(n), shared), 0)
	}
	return math.Hypot(within(shared, 0), within(scatter/math.Sqrt(n), len(v)-1))
}

// expectedSpeed is what the plan makes of a shaft's speed as it is told to go, rad/s; NaN where it makes nothing.
func (e *evaluator) expectedSpeed(command float64) float64 {
	if e.model == nil {
		return none
	}
	omega := e.model.AtKnob(e.position, command)
	if e.Where == m.AtMotor {
		omega *= e.turns
	}
	return omega
}

// speedBand is from where to where the plan lets a shaft turn as it is told to go: under its full load, and with
// nothing
// on it; false where it reckons nothing.
func (e *evaluator) speedBand(command float64) (loaded, free float64, ok bool) {
	if e.model == nil {
		return 0, 0, false
	}
	loaded, free = e.expectedSpeed(command), e.model.Top(e.position)
	if !e.model.Powered.FixedSpeed() {
		free *= command
	}
	if e.Where == m.AtMotor {
		free *= e.turns
	}
	return loaded, max(loaded, free), !math.IsInf(free, 0)
}

// reckonedBand writes the speeds the plan lets the shaft turn at, from its full load to none, in place of the nearest
// of them, which would look as if it had been foretold.
func (e *evaluator) reckonedBand() {
	loaded, free, ok := e.speedBand(e.Command.Or(1))
	one := &e.out.Figures[len(e.out.Figures)-1]
	if !ok || one.Reckoned == "" {
		return
	}
	one.Reckoned = q.SpeedRange(loaded, free, e.sys)
	if one.Measured > 0.98*loaded && one.Measured < 1.02*free {
		one.Off = ""
	}
}

// limit is what the shaft may not pass, rad/s, by the machine and by what turns with it; +Inf where nobody said.
func (e *evaluator) limit() float64 {
	limit, _ := e.stations.Machine.TopSpeed()
	if e.Where == m.AtMotor {
		if e.turns == 0 {
			return math.Inf(1)
		}
		limit *= e.turns
	}
	return limit
}

// overLimit says where a measured speed passes what the machine allows.
func (e *evaluator) overLimit(omega float64) {
	if limit := e.limit(); omega > limit {
		e.say(PastLimit, f.Stop, "It turns faster than the machine may",
			fmt.Sprintf("%s measured, %s allowed. Switch it off, and do not use it until trim, hertz or ratio hold "+
				"it under.", e.show(omega, q.Speed), e.show(limit, q.Speed)))
	}
}

// inBand reports whether a speed is one the plan lets the shaft turn at.
func (e *evaluator) inBand(omega float64) bool {
	loaded, free, ok := e.speedBand(e.Command.Or(1))
	return ok && omega > 0.98*loaded && omega < 1.02*free
}

// nearestIn is the place in the band that is nearest a speed; NaN where nothing is reckoned.
func (e *evaluator) nearestIn(omega float64) float64 {
	loaded, free, ok := e.speedBand(e.Command.Or(1))
	if !ok {
		return none
	}
	return min(max(omega, loaded), free)
}

func (e *evaluator) shaft() string {
	if e.Where == m.AtMotor {
		return "motor"
	}
	return "spindle"
}

func speedTrial(e *evaluator) {
	rows := e.With(speedOf)
	if len(rows) == 0 {
		e.wants("No speed is read yet.", "The "+e.shaft()+"'s speed, three times.", "Three readings show how far "+
			"they scatter.")
		return
	}
	v := make([]float64, len(rows))
	for i := range rows {
		v[i] = rows[i].Speed.SI
	}
	e.oneSpeed(v, e.stepOf(), tachometerOff)
	if len(rows) < 3 {
		e.out.Next = Next{Text: "The same once more.", Why: "Three readings show how far they scatter."}
	}
	e.WhyNot("A speed by itself changes no figure of the plan. Two of them make a ratio, several a speed plate.")
	e.trimFrom(v)
}

// WhyNot says why nothing of the plan is changed.
func (e *evaluator) WhyNot(why string) { e.out.WhyNone = why }

// oneSpeed lays readings of one speed beside what the plan makes of it.
func (e *evaluator) oneSpeed(v []float64, step, share float64) {
	mean, spread, scatter := meanOf(v, share, step)
	expected := e.nearestIn(mean)
	e.out.Enough = true
	e.found(capital(e.shaft())+" speed", mean, spread, expected, q.Speed, "n = Σ n_i / N",
		fmt.Sprintf("%d readings, from %s to %s", len(v), e.show(slices.Min(v), q.Speed), e.show(slices.Max(v),
			q.Speed)),
		source.Readings, "the instrument is within 0.5 %")
	d := e.draw("reading", bare, e.shaft()+" speed", e.scaleOf(q.Speed))
	for i, one := range v {
		d.point(float64(i+1), one, offBy(one, share, step), "")
	}
	if !math.IsNaN(expected) {
		d.out.Reckoned = d.along(0.5, float64(len(v))+0.5, func(float64) float64 { return expected })
	}
	if len(v) > 2 && scatter > 0.02*mean {
		e.say(Scattered, f.Caution, "The readings scatter by "+q.Percent(scatter/mean),
			"More than an instrument does: the speed hunts, or the pick-up misses marks.")
	}
	e.reckonedBand()
	e.compareSpeed(mean, spread, expected)
	e.out.Headline = "It turns at " + e.show(mean, q.Speed) + "."
}

func (e *evaluator) compareSpeed(mean, spread, expected float64) {
	e.overLimit(mean)
	switch {
	case math.IsNaN(expected) || expected == 0:
	case agrees(mean, spread, expected, asReckoned):
		loaded, free, _ := e.speedBand(e.Command.Or(1))
		e.say(AsReckoned, f.Good, "As reckoned", fmt.Sprintf("%s measured; by its load the plan lets it turn at %s.",
			e.show(mean, q.Speed), q.SpeedRange(loaded, free, e.sys)))
	case e.inBand(mean / 2), e.inBand(2 * mean):
		e.say(CountsTwice, f.Caution, "Twice or half of what is reckoned",
			"That is what a pick-up reads that sees a second mark in each turn, or counts every other. Look at "+
				"the shaft "+
				"before you believe it.")
	case mean > expected:
		e.say(TooFast, f.Caution, fmt.Sprintf("Faster than reckoned by %s", signed(mean/expected-1)),
			"The trim, a diameter or the volts are not what the plan has. Hold the marked speed of what turns "+
				"against it.")
	default:
		e.say(TooSlow, f.Caution, fmt.Sprintf("Slower than reckoned by %s",
			strings.TrimPrefix(signed(mean/expected-1), "−")),
			"A trim, slip, a diameter or the volts are not what the plan has. Two speeds, motor and spindle, tell "+
				"which "+
				"end it is.")
	}
}

// trimFrom is the correction of a full-speed reading: the trim that makes it, on a control that sets volts.
func (e *evaluator) trimFrom(v []float64) {
	if e.model == nil || !e.model.Control.DCDrive() || e.Command.Or(1) < 0.995 || !(e.stations.Motor.Speed.Value > 0) {
		return
	}
	mean := stat.Mean(v, nil)
	rotor := mean
	if e.Where != m.AtMotor {
		rotor *= e.turns
	}
	share := rotor / e.stations.Motor.Speed.Value
	if share < 0.05 || share > 1.5 {
		return
	}
	c := e.in.Plan.Control
	c.TopTrim = q.Text(q.Figures(100*share, 3) + " %")
	if c.TopTrim == e.in.Plan.Control.TopTrim {
		return
	}
	e.out.Correction = &Correction{Label: "Top speed is " + e.show(mean, q.Speed),
		Detail:  fmt.Sprintf("Sets the top trim to %s of plate speed, as measured.", c.TopTrim),
		Control: &c}
}

func earTrial(e *evaluator) {
	rows := e.With(speedOf)
	if len(rows) == 0 {
		e.wants("Nothing is heard yet.", "Four seconds of it, unloaded and steady.",
			"The shaft's turns a second stand in the sound, under its hum.")
		return
	}
	v, step := make([]float64, len(rows)), 0.0
	for i := range rows {
		v[i] = rows[i].Speed.SI
		step = max(step, rows[i].Spread.Or(0))
	}
	e.oneSpeed(v, step*math.Sqrt(12)/1.645, 0)
	e.WhyNot("A speed by itself changes no figure of the plan. Take it at a mark of the knob, and it goes on the " +
		"speed plate.")
}

// deadSpeed is the share of its fastest below which a spindle counts as standing.
const deadSpeed = 0.01

// knobOff is how far off a knob stands from its mark, of its travel [common practice]; one standard deviation. At its
// stops it is not.
const knobOff = 0.01

// atMark is what was read at one mark of the knob: the mean where it was read more than once.
type atMark struct {
	knob, omega, off float64
	n                int
}

// marks are readings by mark, rising.
func (e *evaluator) marks(full float64, rows []m.Taken) []atMark {
	by := map[float64][]float64{}
	for _, one := range rows {
		by[one.Mark.SI/full] = append(by[one.Mark.SI/full], one.Speed.SI)
	}
	out := make([]atMark, 0, len(by))
	for knob, list := range by {
		mean := stat.Mean(list, nil)
		out = append(out, atMark{knob, mean, offBy(mean, tachometerOff, e.stepOf()), len(list)})
	}
	slices.SortFunc(out, func(a, b atMark) int { return cmp.Compare(a.knob, b.knob) })
	for i := range out {
		if out[i].knob > 0 && out[i].knob < 1 {
			slope := (out[min(i+1, len(out)-1)].omega - out[max(i-1, 0)].omega) /
				(out[min(i+1, len(out)-1)].knob - out[max(i-1, 0)].knob)
			if !math.IsNaN(slope) && !math.IsInf(slope, 0) {
				out[i].off = math.Hypot(out[i].off, knobOff*slope)
			}
		}
	}
	return out
}

// ways splits readings into those to which the knob was turned up, and down; all of them as the first where it was not
// turned both ways over three marks at least.
func (e *evaluator) ways() (up, down []m.Taken) {
	rows := e.With(func(t *m.Taken) q.Value { return t.Mark }, speedOf)
	for i, one := range rows {
		if i > 0 && one.Mark.SI < rows[i-1].Mark.SI {
			down = append(down, one)
			continue
		}
		up = append(up, one)
	}
	if len(up) < leastMarks || len(down) < leastMarks {
		return rows, nil
	}
	return up, down
}

// leastMarks is how many marks make more than a line whatever the truth.
const leastMarks = 3

func knobTrial(e *evaluator) {
	full := e.Full.Or(10)
	up, down := e.ways()
	all, falling := e.marks(full, up), e.marks(full, down)
	d := e.draw("knob", scale{si: 1 / full}, e.shaft()+" speed", e.scaleOf(q.Speed))
	if e.model != nil && !e.model.Powered.FixedSpeed() {
		d.out.Reckoned = d.along(0, 1, e.expectedSpeed)
	}
	for _, one := range all {
		d.point(one.knob, one.omega, one.off, "")
	}
	for _, one := range falling {
		d.point(one.knob, one.omega, one.off, "down")
	}
	if len(all) < leastMarks {
		e.wants(fmt.Sprintf("%d of at least 3 marks are read.", len(all)), "Three marks at least, the low end and "+
			"full among them.",
			"Two make a line whatever the truth.")
		e.out.Next.At = markText(missingMark(all, full), full)
		return
	}
	fastest := 0.0
	for _, one := range all {
		fastest = max(fastest, one.omega)
	}
	turns := func(list []atMark) []atMark {
		return slices.DeleteFunc(slices.Clone(list), func(one atMark) bool { return one.omega < deadSpeed*fastest })
	}
	turning := turns(all)
	if len(turning) < 2 {
		e.wants("It turns at one mark only.", "A mark on either side of where it begins to turn.", "")
		return
	}
	e.out.Enough = true
	fit, ok := lineThrough(turning)
	if !ok {
		e.wants("The marks lie on each other.", "Marks further apart.", "")
		e.out.Enough = false
		return
	}
	k := knob{e: e, d: d, full: full, all: all, turning: turning, fit: fit}
	k.judge()
	if turning := turns(falling); len(turning) > 1 {
		k.lags(knob{e: e, d: d, full: full, all: falling, turning: turning})
	}
	k.correct()
	e.out.Next = k.next()
}

// lineThrough is speed as a straight line of the knob, ω = x[0] + x[1]·knob.
func lineThrough(list []atMark) (numeric.Fitted, bool) {
	first, last := list[0], list[len(list)-1]
	slope := (last.omega - first.omega) / (last.knob - first.knob)
	return numeric.LeastSquares([]float64{first.omega - slope*first.knob, slope}, len(list), func(x, out []float64) {
		for i, one := range list {
			out[i] = (x[0] + x[1]*one.knob - one.omega) / (one.off / math.Sqrt(float64(one.n)))
		}
	})
}

// knob is a knob trial being judged.
type knob struct {
	e       *evaluator
	d       drawing
	full    float64
	all     []atMark
	turning []atMark
	fit     numeric.Fitted
}

// lags sets how it goes with the knob turned down beside how it goes with it turned up.
func (k *knob) lags(down knob) {
	e := k.e
	starts, startsWithin := k.deadBelow()
	keeps, keepsWithin := down.deadBelow()
	mark := func(v float64) string { return "knob " + markText(v, k.full) }
	e.foundBy("Starts at, turned up", starts, startsWithin, none, mark, "a + b · knob = 0",
		"where it comes down to nothing, of the marks turned up to", source.Readings)
	e.foundBy("Keeps to, turned down", keeps, keepsWithin, none, mark, "a + b · knob = 0",
		"where it comes down to nothing, of the marks turned down to", source.Readings)
	if late := starts - keeps; late > math.Hypot(startsWithin, keepsWithin) {
		e.say(Lags, f.Caution, fmt.Sprintf("It starts at knob %s and goes on down to %s", markText(starts, k.full),
			markText(keeps, k.full)), "What just starts it takes so much more than what keeps it going, or the "+
			"knob has "+
			"play. Start it from above its mark, and set the low trim by where it starts.")
	}
}

func markText(share, full float64) string { return q.Figures(share*full, 3) }

func (k *knob) judge() {
	e, x := k.e, k.fit.X
	last := k.turning[len(k.turning)-1]
	fastest := slices.MaxFunc(k.turning, func(a, b atMark) int { return cmp.Compare(a.omega, b.omega) })
	e.overLimit(fastest.omega)
	span := k.turning[len(k.turning)-1].omega - k.turning[0].omega
	if x[1] < 0 && math.Abs(span) > 0.1*math.Abs(x[0]) {
		e.say(Backwards, f.Stop, "The knob is wired backwards",
			"It goes slower as it is turned up, so that at “zero” it starts at full speed. Unplug it, and swap "+
				"the two "+
				"outer leads of the knob before it is switched on again.")
		e.out.Headline = "The knob is wired backwards: full speed at its low end."
		return
	}
	dead, spread := k.deadBelow()
	top := x[0] + x[1]
	topSpread := spreadIn(&k.fit, k.fit.SpreadOf(func(x []float64) float64 { return x[0] + x[1] }))
	if math.Abs(last.knob-1) < 1e-9 {
		top, topSpread = last.omega, within(last.off, 0)
	}
	name := capital(e.shaft()) + " at full knob"
	if last.knob < judgedFrom {
		name = "Full knob, drawn on from " + markText(last.knob, k.full)
	}
	e.found(name, top, topSpread, e.expectedSpeed(1), q.Speed,
		"ω = a + b · knob, by least squares",
		fmt.Sprintf("%s and %s for each mark, over %d marks", e.show(x[0], q.Speed), e.show(x[1]/k.full, q.Speed),
			len(k.turning)), source.Readings)
	k.slowEnd(dead, spread)
	k.straight()
	if last.knob >= judgedFrom {
		k.topEnd(top, topSpread)
	}
	k.headline(dead)
}

// judgedFrom is the share of the knob up to which it must have been read for its full end to be judged: further off, a
// straight line drawn on is no measurement.
const judgedFrom = 0.8

// deadBelow is where the knob begins to do something, as a share: where the line through the two slowest marks that
// turn
// comes down to nothing, which is never below one that was read to stand nor above one that turned.
func (k *knob) deadBelow() (share, spread float64) {
	a, b := k.turning[0], k.turning[1]
	low := 0.0
	for _, one := range k.all {
		if one.knob < a.knob {
			low = one.knob
		}
	}
	slope := (b.omega - a.omega) / (b.knob - a.knob)
	if slope <= 0 {
		return low, (a.knob - low) / 2
	}
	at := func(a, b float64) float64 { return k.turning[0].knob - a*(k.turning[1].knob-k.turning[0].knob)/(b-a) }
	share = at(a.omega, b.omega)
	da, db := at(a.omega+a.off, b.omega)-share, at(a.omega, b.omega+b.off)-share
	spread = within(math.Hypot(da, db), 0)
	if share < low || share > a.knob {
		share, spread = min(max(share, low), a.knob), (a.knob-low)/2
	}
	return share, spread
}

// slowEnd is what the knob does at its low end: nothing, or never less than some speed.
func (k *knob) slowEnd(dead, spread float64) {
	e := k.e
	low := k.all[0]
	lowest := e.expectedSpeed(0)
	if e.model != nil {
		slow, _ := e.model.Span(e.position)
		lowest = slow
		if e.Where == m.AtMotor {
			lowest *= e.turns
		}
	}
	switch {
	case low.omega > 0 && low.knob < 1e-9:
		e.found("Slowest, knob at nothing", low.omega, within(low.off, 0), lowest, q.Speed, "as read", "as read",
			source.Typed)
		if !math.IsNaN(lowest) && low.omega < 0.9*lowest {
			e.say(SlowEnd, f.Caution, "Slower than it runs steadily",
				fmt.Sprintf("%s at the low end; below %s it stalls under a load. Raise the low trim.",
					e.show(low.omega, q.Speed), e.show(lowest, q.Speed)))
		}
	case dead > max(spread, 0.02):
		e.foundBy("Dead below", dead, spread, none, func(v float64) string { return "knob " + markText(v, k.full) },
			"a + b · knob = 0", "where the straight line comes down to nothing", source.Readings)
		e.say(DeadBand, f.Caution, "The knob is dead below "+markText(dead, k.full),
			"Raise the low-speed trim until the "+e.shaft()+" just turns with the knob at nothing, unless the "+
				"drive will "+
				"only start from a knob at zero: then leave a little of it.")
		k.d.mark(dead, 0, "dead until "+markText(dead, k.full), true)
	default:
		e.say(AsReckoned, f.Good, "No dead band", "It turns from the low end up.")
	}
}

// bendMost is how far off its straight line, of full speed, a linear knob may be.
const bendMost = 0.05

// straight holds the readings to the line laid through them.
func (k *knob) straight() {
	e, x := k.e, k.fit.X
	worst, at := 0.0, 0.0
	for _, one := range k.turning {
		if off := math.Abs(one.omega-x[0]-x[1]*one.knob) - 2*one.off; off > worst {
			worst, at = off, one.knob
		}
	}
	k.d.fit(k.turning[0].knob, k.turning[len(k.turning)-1].knob, func(knob float64) float64 {
		return through(k.turning, knob)
	})
	if worst > bendMost*(x[0]+x[1]) {
		e.say(Bent, f.Caution, "Speed does not go in proportion to the knob",
			fmt.Sprintf("Furthest off at %s. A knob with a logarithmic track does that, or one that is worn; a "+
				"linear one is "+
				"asked for.", markText(at, k.full)))
	}
}

func through(list []atMark, knob float64) float64 {
	xs, ys := make([]float64, len(list)), make([]float64, len(list))
	for i, one := range list {
		xs[i], ys[i] = one.knob, one.omega
	}
	l := numeric.Through(xs, ys, math.Max)
	return l.At(knob)
}

func (k *knob) topEnd(top, spread float64) {
	e := k.e
	expected := e.expectedSpeed(1)
	if math.IsNaN(expected) {
		return
	}
	if agrees(top, spread, expected, asReckoned) {
		e.say(AsReckoned, f.Good, "Full knob is as reckoned",
			fmt.Sprintf("%s measured, %s reckoned.", e.show(top, q.Speed), e.show(expected, q.Speed)))
		return
	}
	title := "Full knob is slower than reckoned"
	if top > expected {
		title = "Full knob is faster than reckoned"
	}
	e.say(TopSpeed, f.Caution, title, fmt.Sprintf("%s measured, %s reckoned, %s. Set the top trim for the speed the "+
		"plan is made for.",
		e.show(top, q.Speed), e.show(expected, q.Speed), signed(top/expected-1)))
}

// headline says from where on it goes as reckoned.
func (k *knob) headline(dead float64) {
	e := k.e
	last := k.turning[len(k.turning)-1]
	says := fmt.Sprintf("%s at knob %s", e.show(last.omega, q.Speed), markText(last.knob, k.full))
	if dead > 0.02 {
		says = "The knob is dead below " + markText(dead, k.full)
	}
	if e.model == nil || e.model.Powered.FixedSpeed() {
		e.out.Headline = says + "."
		return
	}
	from := math.NaN()
	for i := len(k.turning) - 1; i >= 0; i-- {
		one := k.turning[i]
		if !agrees(one.omega, within(one.off, 0), e.expectedSpeed(one.knob), asReckoned) {
			break
		}
		from = one.knob
	}
	switch {
	case math.IsNaN(from):
		says += "; it goes otherwise than reckoned."
	case from <= k.turning[0].knob && dead <= 0.02:
		says = "The knob goes as reckoned from end to end."
	default:
		says += fmt.Sprintf("; from %s up it turns as reckoned.", markText(from, k.full))
	}
	e.out.Headline = says
}

func (k *knob) correct() {
	e := k.e
	if e.model == nil {
		e.WhyNot("The plan does not run yet, so it has no speed plate.")
		return
	}
	if e.model.Powered.FixedSpeed() {
		e.WhyNot("The plan's motor has one speed: it has no knob.")
		return
	}
	if k.fit.X[1] < 0 {
		e.WhyNot("A knob that is wired backwards is mended first.")
		return
	}
	c := e.in.Plan.Control
	c.Marks = slices.DeleteFunc(slices.Clone(c.Marks),
		func(one control.Mark) bool { return one.Position == e.position.Label })
	for _, one := range k.all {
		omega := one.omega
		if e.Where == m.AtMotor {
			omega /= e.turns
		}
		c.Marks = append(c.Marks, control.Mark{Knob: q.Text(q.Figures(100*one.knob, 3) + " %"),
			Speed: q.WrittenTo(omega/q.RPM, 4, "rpm"), Position: e.position.Label})
	}
	e.out.Correction = &Correction{Label: "Use these on the speed plate",
		Detail: "Keeps what was reckoned beside it.", Control: &c}
}

// next is the mark that tells most: the ends, then the widest gap.
func (k *knob) next() Next {
	last := k.all[len(k.all)-1]
	if last.knob < 0.95 {
		x := k.fit.X
		far := spreadIn(&k.fit, k.fit.SpreadOf(func(x []float64) float64 { return x[0] + x[1] }))
		return Next{Text: "Knob " + markText(1, k.full) + ".", At: markText(1, k.full),
			Why: fmt.Sprintf("It settles the top-speed trim: %s now.", q.SpeedRange(x[0]+x[1]-far, x[0]+x[1]+far,
				k.e.sys))}
	}
	missing := missingMark(k.all, k.full)
	if math.IsNaN(missing) {
		return Next{}
	}
	return Next{Text: "Knob " + markText(missing, k.full) + ".", At: markText(missing, k.full),
		Why: "The widest stretch that nobody read."}
}

// widestGap is the stretch of the knob, as a share, that is worth a reading in its middle.
const widestGap = 0.25

// missingMark is the mark that would be read next, as a share of the knob: its ends, then the middle of the widest gap;
// NaN where none is wide.
func missingMark(all []atMark, full float64) float64 {
	if len(all) == 0 || all[0].knob > 0.15 {
		return 1 / full
	}
	if all[len(all)-1].knob < 0.95 {
		return 1
	}
	gap, at := 0.0, math.NaN()
	for i := 1; i < len(all); i++ {
		if wide := all[i].knob - all[i-1].knob; wide > gap {
			gap, at = wide, (all[i].knob+all[i-1].knob)/2
		}
	}
	if gap < widestGap {
		return math.NaN()
	}
	return math.Round(at*full) / full
}

func capital(s string) string { return strings.ToUpper(s[:1]) + s[1:] }
