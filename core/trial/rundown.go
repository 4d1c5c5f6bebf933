package trial

import (
	"fmt"
	"math"
	"slices"

	"jiriki/core/dryrun"
	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/source"
	"jiriki/core/working"
)

// clockOff is how far off a time by hand is, s [common practice]; a pick-up's own clock is not.
const clockOff = 0.1

// coast is one spin-down: speed in rad/s against seconds, and how far out each speed may be.
type coast struct {
	t, omega, off []float64
	disc          bool
}

// coasts are the spin-downs of a trial: a time that does not rise begins another.
func (e *evaluator) coasts() (out []coast) {
	var last m.Taken
	for _, one := range e.With(speedOf, func(t *m.Taken) q.Value { return t.Time }) {
		if one.State == m.RunningUp {
			continue
		}
		disc := one.State == m.WithDisc
		if len(out) == 0 || one.Time.SI <= last.Time.SI || disc != out[len(out)-1].disc {
			out = append(out, coast{disc: disc})
		}
		c := &out[len(out)-1]
		c.t, c.omega = append(c.t, one.Time.SI), append(c.omega, one.Speed.SI)
		last = one
	}
	for i := range out {
		out[i].weigh(e.stepOf(), e.PerTurn.Known)
	}
	return out
}

// weigh says how far out each speed may be: the instrument, and how fast it fell while a hand read the clock.
func (c *coast) weigh(step float64, counted bool) {
	c.off = make([]float64, len(c.t))
	for i := range c.t {
		before, after := max(i-1, 0), min(i+1, len(c.t)-1)
		slope := 0.0
		if c.t[after] > c.t[before] && !counted {
			slope = (c.omega[after] - c.omega[before]) / (c.t[after] - c.t[before])
		}
		// Near standstill an instrument's share of the speed is nothing; it still does not read finer than this.
		c.off[i] = math.Hypot(math.Hypot(offBy(c.omega[i], tachometerOff, step), clockOff*slope), 1e-3*c.omega[0])
	}
}

// drag is a deceleration a + b·ω + c·ω², rad/s².
type drag struct{ a, b, c float64 }

func (d drag) at(omega float64) float64 { return d.a + d.b*omega + d.c*omega*omega }

// after is the speed some seconds after it was omega; 0 once it stands. By fourth-order Runge–Kutta in steps so short
// that the curve does not show them.
func (d drag) after(omega, seconds, share float64) float64 {
	n := int(math.Ceil(seconds*share*d.at(max(omega, 0))/max(omega, 1e-9)*20)) + 4
	n = min(n, 400)
	h := seconds / float64(n)
	slope := func(w float64) float64 { return -share * d.at(max(w, 0)) }
	for range n {
		if omega <= 0 {
			return 0
		}
		k1 := slope(omega)
		k2 := slope(omega + h/2*k1)
		k3 := slope(omega + h/2*k2)
		k4 := slope(omega + h*k3)
		omega += h / 6 * (k1 + 2*k2 + 2*k3 + k4)
	}
	return max(omega, 0)
}

// coasted is what spin-downs come to.
type coasted struct {
	fit     numeric.Fitted
	top     float64 // rad/s, the fastest
	parted  bool    // a disc told inertia from drag
	begin   int     // where the speeds at the start of each stand among the constants
	inertia func(x []float64) float64
}

func (c *coasted) drag(x []float64) drag {
	return drag{math.Exp(x[0]) * c.top, math.Exp(x[1]), math.Exp(x[2]) / c.top}
}

// wide is how little is believed before of a constant of drag, as a logarithm: a factor of ten either way.
const wide = 2.3

// fitCoasts lays one drag, and with a disc one inertia, through all spin-downs at once.
func fitCoasts(list []coast, disc float64) (coasted, bool) {
	out := coasted{}
	rows, longest := 0, 0.0
	with, without := false, false
	for _, c := range list {
		out.top = max(out.top, c.omega[0])
		longest = max(longest, c.t[len(c.t)-1]-c.t[0])
		rows += len(c.t)
		with, without = with || c.disc, without || !c.disc
	}
	out.parted = with && without && disc > 0
	if out.top <= 0 || longest <= 0 {
		return out, false
	}
	guess := math.Log(1 / (3 * longest))
	start := []float64{guess, guess - 1, guess - 1}
	believed := append([]float64(nil), start...)
	if out.parted {
		start = append(start, 0)
		believed = append(believed, 0)
	}
	out.begin = len(start)
	for _, c := range list {
		start = append(start, c.omega[0])
	}
	out.inertia = func(x []float64) float64 { return disc * math.Exp(x[3]) }
	fit, ok := numeric.LeastSquares(start, rows+len(believed), func(x, r []float64) {
		d, at := out.drag(x), 0
		for i, c := range list {
			share := 1.0
			if c.disc && out.parted {
				j := math.Exp(x[3])
				share = j / (j + 1)
			}
			omega, now := x[out.begin+i], c.t[0]
			for k := range c.t {
				omega, now = d.after(omega, c.t[k]-now, share), c.t[k]
				r[at] = (omega - c.omega[k]) / c.off[k]
				at++
			}
		}
		for i, b := range believed {
			r[at] = (x[i] - b) / wide
			at++
		}
	})
	if ok {
		fit.Without(len(believed))
	}
	out.fit = fit
	return out, ok
}

func runDownTrial(e *evaluator) {
	list := e.coasts()
	ups := e.upRows()
	rows := 0
	for _, c := range list {
		rows += len(c.t)
	}
	d := e.draw("seconds", bare, e.shaft()+" speed", e.scaleOf(q.Speed))
	for _, one := range e.With(speedOf, func(t *m.Taken) q.Value { return t.Time }) {
		d.point(one.Time.SI, one.Speed.SI, 0, string(one.State))
	}
	switch {
	case rows < 4 && len(ups) < 3:
		e.wants(fmt.Sprintf("%d of at least 4 speeds are read.", rows), "Speed every few seconds, from full down "+
			"to rest.",
			"How it falls parts dry drag from what grows with speed.")
		return
	case rows < 4:
		e.runUp(d, ups)
		return
	}
	if e.rises(list) {
		return
	}
	disc := e.Disc.Or(0)
	if both := withAndWithout(list); both && disc > 0 && !e.discTells(list) {
		if e.out.Contradicts {
			return
		}
		e.say(Scattered, f.Missing, "The disc hardly changed how it coasts",
			"So its inertia is not told: a disc of about "+
				"the inertia that turns already tells it best.")
		disc = 0
	}
	fitted, ok := fitCoasts(list, disc)
	if !ok {
		e.wants("The speeds do not fall.", "Speeds in the order they were read, each later than the last.", "")
		return
	}
	e.out.Enough = true
	c := coastTrial{e: e, d: d, list: list, coasted: fitted}
	c.tell()
	if len(ups) >= 3 {
		e.runUp(d, ups)
	}
}

// coastTrial is spin-downs being told.
type coastTrial struct {
	e    *evaluator
	d    drawing
	list []coast
	coasted
}

// withAndWithout reports whether it was let go with a disc on, and without one.
func withAndWithout(list []coast) bool {
	with, without := false, false
	for _, c := range list {
		with, without = with || c.disc, without || !c.disc
	}
	return with && without
}

// reckonedInertia is what the plan takes to turn with the shaft, kg·m²; the motor by itself where it is read at that.
func (e *evaluator) reckonedInertia() (inertia float64, ok bool) {
	if e.model == nil {
		return 0, false
	}
	if e.Where == m.AtMotor {
		return e.stations.Motor.Rotor.Value, e.stations.Motor.Rotor.Value > 0
	}
	own := dryrun.OwnOf(e.model, e.position.Label)
	return own.Rotor + own.Wheels + own.Work, true
}

// reckonedSlowing is how fast the plan lets the shaft slow at a speed of it, let go, rad/s².
func (e *evaluator) reckonedSlowing(omega float64) float64 {
	if e.Where == m.AtMotor {
		return e.model.Powered.At(omega, &motor.Fed{}).Drag / e.stations.Motor.Rotor.Value
	}
	return dryrun.Slows(e.model, e.position.Label, omega)
}

func (c *coastTrial) tell() {
	e, x := c.e, c.fit.X
	drags := c.drag(x)
	for i, one := range c.list {
		share := 1.0
		if one.disc && c.parted {
			share = math.Exp(x[3]) / (math.Exp(x[3]) + 1)
		}
		c.d.fit(one.t[0], one.t[len(one.t)-1], func(t float64) float64 {
			return drags.after(x[c.begin+i], t-one.t[0], share)
		})
	}
	reckonedJ, known := e.reckonedInertia()
	top := x[c.begin]
	rest := c.restTime(x)
	reckonedRest := none
	if known {
		reckonedRest = e.drawReckoned(c.d, c.list[0], top)
	}
	e.found("Coasts to rest", rest, spreadIn(&c.fit, c.fit.SpreadOf(c.restTime)), reckonedRest, q.Duration,
		"dω/dt = −(a + b·ω + c·ω²)", fmt.Sprintf("from %s", e.show(top, q.Speed)), source.SpinDown)
	inertia, from := 0.0, ""
	switch {
	case c.parted:
		inertia = c.inertia(x)
		spread := spreadIn(&c.fit, c.fit.SpreadOf(c.inertia))
		e.found("Inertia at the "+e.shaft(), inertia, spread, reckonedIf(known, reckonedJ), q.Inertia,
			"J = J_disc · α_with / (α_without − α_with)", fmt.Sprintf("disc of %s", e.show(e.Disc.SI, q.Inertia)),
			source.SpinDown)
		c.judgeInertia(inertia, spread, reckonedJ, known)
	case known:
		inertia, from = reckonedJ, "with the inertia the plan has, "+e.show(reckonedJ, q.Inertia)
	}
	if inertia > 0 {
		reckonedT := none
		if known {
			reckonedT = reckonedJ * e.reckonedSlowing(0.1*top)
		}
		c.tellDrag(inertia, from, reckonedT, known)
	}
	e.out.Headline = c.headline(rest, inertia)
	c.correct(inertia)
	if !c.parted {
		e.out.Next = Next{Text: "Once more with a disc of known inertia on it.",
			Why: "One spin-down tells drag and inertia only together; a second, heavier, parts them."}
	}
}

// drawReckoned draws how the plan lets it coast beside a spin-down, and returns how long that takes from a speed, s;
// NaN
// where it does not stop by itself.
func (e *evaluator) drawReckoned(d drawing, beside coast, top float64) float64 {
	slowest := e.reckonedSlowing(0.01 * top)
	if !(slowest > 0) {
		return none
	}
	share := func(omega float64) float64 { return e.reckonedSlowing(omega) }
	t, omega := beside.t[0], beside.omega[0]
	const steps = 60
	h := (beside.t[len(beside.t)-1] - t) / steps
	for range steps + 1 {
		d.out.Reckoned = append(d.out.Reckoned, Point{X: d.x.of(t), Y: d.y.of(omega)})
		half := max(omega-h/2*share(omega), 0)
		t, omega = t+h, max(omega-h*share(max(half, 1e-3*top)), 0)
	}
	return numeric.Integral(0, top, func(w float64) float64 { return 1 / share(max(w, 1e-6*top)) })
}

// restTime is how long it takes to stand still: ∫ dω / (a + b·ω + c·ω²), s.
func (c *coasted) restTime(x []float64) float64 {
	d := c.drag(x)
	return numeric.Integral(0, x[c.begin], func(w float64) float64 { return 1 / d.at(w) })
}

func (c *coastTrial) tellDrag(inertia float64, from string, reckoned float64, known bool) {
	e := c.e
	of := func(omega float64) func(x []float64) float64 {
		return func(x []float64) float64 {
			j := inertia
			if c.parted {
				j = c.inertia(x)
			}
			return j * c.drag(x).at(omega)
		}
	}
	x, top := c.fit.X, c.fit.X[c.begin]
	assumes := []string{}
	if from != "" {
		assumes = append(assumes, from)
	}
	slow, fast := of(0.1*top), of(top)
	e.found("Drag, slow", slow(x), spreadIn(&c.fit, c.fit.SpreadOf(slow)), reckonedIf(known, reckoned), q.Torque,
		"T = J · (a + b·ω + c·ω²)",
		"at a tenth of "+e.show(top, q.Speed), source.SpinDown, assumes...)
	e.found("Drag, at full speed", fast(x), spreadIn(&c.fit, c.fit.SpreadOf(fast)), reckonedIf(known, reckoned),
		q.Torque,
		"T = J · (a + b·ω + c·ω²)", "at "+e.show(top, q.Speed), source.SpinDown, assumes...)
	if !known || !(reckoned > 0) {
		return
	}
	spread := spreadIn(&c.fit, c.fit.SpreadOf(slow))
	detail := fmt.Sprintf("%s measured, %s reckoned.", e.show(slow(x), q.Torque), e.show(reckoned, q.Torque))
	switch {
	case agrees(slow(x), spread, reckoned, 0.15):
		e.say(AsReckoned, f.Good, "It drags as reckoned", detail)
	case slow(x) > reckoned:
		e.say(Stiffer, f.Caution, "It drags more than reckoned", detail)
	default:
		e.say(Easier, f.Good, "It drags less than reckoned",
			detail+" So it coasts longer: keep guards shut until it stands.")
	}
	if grown := fast(x) / slow(x); grown > 2 {
		e.say(Stiffer, f.Caution, fmt.Sprintf("Drag grows ×%s with speed", q.Figures(grown, 2)),
			"Air or grease: fan blades, belts flapping, too much grease in the bearings.")
	}
}

func (c *coastTrial) judgeInertia(inertia, spread, reckoned float64, known bool) {
	e := c.e
	if !known {
		return
	}
	detail := fmt.Sprintf("%s measured, %s reckoned.", e.show(inertia, q.Inertia), e.show(reckoned, q.Inertia))
	switch {
	case agrees(inertia, spread, reckoned, 0.1):
		e.say(AsReckoned, f.Good, "Its inertia is as reckoned", detail)
	case inertia > reckoned:
		e.say(Heavier, f.Caution, "More turns than reckoned", detail+" It takes longer to start, and to stop.")
	default:
		e.say(Lighter, f.Good, "Less turns than reckoned", detail)
	}
}

func (c *coastTrial) headline(rest, inertia float64) string {
	e := c.e
	says := fmt.Sprintf("It coasts to rest in %s", e.show(rest, q.Duration))
	if c.parted {
		says += fmt.Sprintf("; %s turns", e.show(inertia, q.Inertia))
	}
	return says + "."
}

// correct lets the inertia into the motor or the dry run, and the drag with it.
func (c *coastTrial) correct(inertia float64) {
	e := c.e
	if e.motorLosesMore(inertia, c) {
		return
	}
	if inertia <= 0 || e.model == nil {
		e.WhyNot("Without the inertia of what turns, known or told by a disc, a spin-down says nothing the plan " +
			"can use.")
		return
	}
	x := c.fit.X
	if e.Where == m.AtMotor {
		if !c.parted {
			e.WhyNot("The rotor's inertia is told apart from its drag by a second spin-down with a disc.")
			return
		}
		d := e.in.Plan.Motor.Whole()
		d.Body.Rotor = q.WrittenTo(inertia, 4, "kg·m²")
		if e.written.Used == "" {
			d.Readings = append(slices.Clone(d.Readings), c.spinDownOf())
		}
		if len(d.Readings) > motor.MostReadings {
			e.WhyNot(fmt.Sprintf("The motor holds %d readings at the most; take some out.", motor.MostReadings))
			return
		}
		e.out.Correction = &Correction{Label: "Let the motor have this rotor", Motor: &d,
			Detail: "Its inertia and its own loss, in place of what its body and its plate say."}
		return
	}
	own := dryrun.OwnOf(e.model, e.position.Label)
	s := e.in.Plan.Script
	if c.parted {
		rest := inertia - own.Rotor - own.Wheels
		if rest <= 0 {
			e.say(Lighter, f.Caution, "Rotor and wheels alone are reckoned to more than turned",
				"So the guess at the rotor, or a wheel's size, is too heavy. Spin the motor down by itself.")
			e.WhyNot("What turned is less than the plan takes rotor and wheels alone to be.")
			return
		}
		s.Inertia = q.WrittenTo(rest, 4, "kg·m²")
	}
	drags, top := c.drag(x), x[c.begin]
	torque := func(v float64) q.Text { return q.WrittenTo(inertia*v, 4, "N·m") }
	s.Coasted = &script.Coasted{Dry: torque(drags.a), Grows: torque(drags.b * top), Air: torque(drags.c * top * top),
		At: q.WrittenTo(top/q.RPM, 4, "rpm")}
	e.out.Correction = &Correction{Label: "Let the dry run have it", Script: &s,
		Detail: "It then coasts as it did: the drag of motor, reduction and machine together, in place of what was " +
			"guessed."}
}

// spinDownOf is a spin-down of the motor by itself as a reading of it, under the one drag that lets it coast to rest in
// the same time.
func (c *coastTrial) spinDownOf() motor.Reading {
	x, top := c.fit.X, c.fit.X[c.begin]
	return motor.Reading{Sort: "spin-down", Speed: q.WrittenTo(top/q.RPM, 4, "rpm"),
		ToSpeed: q.WrittenTo(slowEnough*top/q.RPM, 4, "rpm"), Time: q.WrittenTo((1-slowEnough)*c.restTime(x), 4, "s"),
		Note: "trial, " + c.e.written.On}
}

// slowEnough is the part of its full speed down to which a motor's own spin-down is timed.
const slowEnough = 0.05

// motorLosesMore says where what the motor by itself was measured to lose is more than all that holds it back: two
// trials of one thing, of which one is wrong.
func (e *evaluator) motorLosesMore(inertia float64, c *coastTrial) bool {
	if e.model == nil || e.Where == m.AtMotor || inertia <= 0 {
		return false
	}
	loss := e.stations.Motor.DC.Friction
	if e.stations.Motor.Kind.Family() == motor.SeriesFamily {
		loss = e.stations.Motor.Series.Friction
	}
	of := func(x []float64) float64 { return inertia * c.drag(x).at(x[c.begin]) }
	all, spread := of(c.fit.X), spreadIn(&c.fit, c.fit.SpreadOf(of))
	lost := loss.Value * e.turns
	off := within(e.stations.Motor.Fit.Loss.Spread, 0) * lost
	if loss.Standing != working.Measured || lost-off <= all+spread {
		return false
	}
	e.say(Stiffer, f.Missing, "Which of the two is right?", fmt.Sprintf("By its free run the motor alone takes %s "+
		"at the "+
		"spindle; by this spin-down all of it together takes %s. Do one of them again, or take the readings of the "+
		"free "+
		"run out of the motor; then this can be taken in.", e.show(lost, q.Torque), e.show(all, q.Torque)))
	e.WhyNot("It and the motor's free run cannot both be so: choose which.")
	return true
}

// upRows are the readings of a run-up, from switching on.
func (e *evaluator) upRows() (out []m.Taken) {
	for _, one := range e.With(speedOf, func(t *m.Taken) q.Value { return t.Time }) {
		if one.State == m.RunningUp {
			out = append(out, one)
		}
	}
	return out
}

// runUp finds the inertia with which a dry run of the plan comes to speed as this did, by Gauss–Newton in its
// logarithm.
func (e *evaluator) runUp(d drawing, ups []m.Taken) {
	if e.model == nil || e.Where == m.AtMotor {
		if !e.out.Enough {
			e.wants("A run-up is laid over a dry run, and there is none.", "Let it go from full speed, and read "+
				"it down.",
				"A spin-down asks nothing of the motor's torque.")
		}
		return
	}
	times, omega, off := make([]float64, len(ups)), make([]float64, len(ups)), make([]float64, len(ups))
	fastest := 0.0
	for i, one := range ups {
		times[i], omega[i] = one.Time.SI, one.Speed.SI
		fastest = max(fastest, omega[i])
	}
	for i := range ups {
		off[i] = math.Hypot(offBy(omega[i], tachometerOff, e.stepOf()), 0.02*fastest)
	}
	own := dryrun.OwnOf(e.model, e.position.Label)
	start := func(work float64) ([]float64, bool) {
		return dryrun.RunUp(e.in, e.position.Label, work, times)
	}
	const nudge = 0.05
	log, spread, told := math.Log(max(own.Work, 1e-6)), math.Inf(1), false
	for range 15 {
		here, ok := start(math.Exp(log))
		there, ok2 := start(math.Exp(log + nudge))
		if !ok || !ok2 {
			break
		}
		top, bottom := 0.0, 0.0
		for i := range here {
			slope := (there[i] - here[i]) / nudge / off[i]
			top += slope * (omega[i] - here[i]) / off[i]
			bottom += slope * slope
		}
		if bottom < 1e-9 {
			break
		}
		spread = 1 / math.Sqrt(bottom)
		step := max(-1, min(1, top/bottom))
		log, told = log+step, spread < 0.3
		if math.Abs(step) < 1e-4 {
			break
		}
	}
	reckoned, ok := start(own.Work)
	if ok && len(d.out.Reckoned) == 0 {
		for i := range times {
			d.out.Reckoned = append(d.out.Reckoned, Point{X: d.x.of(times[i]), Y: d.y.of(reckoned[i])})
		}
	}
	e.out.Enough = true
	if !told {
		e.say(RampSetsIt, f.Good, "The run-up tells little of the inertia",
			"The drive's own ramp decides how fast it comes to speed. Let it go and read it down: that does tell.")
		if e.out.Headline == "" {
			e.out.Headline = "The drive's ramp decides how it comes to speed."
			e.WhyNot("Its run-up follows the ramp that is set, whatever turns.")
		}
		return
	}
	work := math.Exp(log)
	total := own.Rotor + own.Wheels + work
	e.found("Inertia by the run-up", total, within(spread*work, 0), own.Rotor+own.Wheels+own.Work, q.Inertia,
		"the J with which a dry run comes to speed so", fmt.Sprintf("%d speeds", len(ups)), source.Mechanics,
		"the motor gives the torque the plan says")
	if e.out.Headline == "" {
		e.out.Headline = fmt.Sprintf("By its run-up %s turns.", e.show(total, q.Inertia))
	}
	if e.out.Correction == nil {
		s := e.in.Plan.Script
		s.Inertia = q.WrittenTo(work, 3, "kg·m²")
		e.out.Correction = &Correction{Label: "Let the dry run have it", Script: &s,
			Detail: "Inertia by the run-up, as far as " +
				"the motor's torque is what the plan says."}
	}
}

// ratedHeat is the share of its rated heat a motor makes at a share of its rated load: amps squared.
func ratedHeat(k motor.Kind, load float64) float64 {
	if k.Family() == motor.InductionFamily {
		// Its field is there without a load: about a third of the heat, common practice.
		return 1./3 + 2./3*load*load
	}
	return load * load
}
