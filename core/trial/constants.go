package trial

import (
	"fmt"
	"math"
	"slices"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// readingSorts are the trials whose rows are a motor's bench readings, and which sort they are.
var readingSorts = map[m.Kind]string{m.Open: "open", m.Ohms: "resistance", m.FreeRun: "free", m.LockedAt: "locked"}

// asReadings are the rows of a trial as the motor's own readings, as they were typed.
func (e *evaluator) asReadings() []motor.Reading {
	sort := readingSorts[e.Kind]
	var out []motor.Reading
	for _, one := range e.Readings {
		d := e.written.Readings[one.Entry]
		whole := map[m.Kind]bool{m.Open: one.Volts.Known && one.Speed.Known, m.Ohms: one.Ohms.Known,
			m.FreeRun: one.Amps.Known || one.Speed.Known, m.LockedAt: one.Volts.Known && one.Amps.Known}
		if !whole[e.Kind] {
			continue
		}
		r := motor.Reading{Sort: sort, Note: "trial, " + e.written.On}
		switch e.Kind {
		case m.Ohms:
			r.Ohms = e.atTwenty(one.Ohms.SI, d.Ohms)
		case m.LockedAt:
			r.Volts, r.Amps = d.Volts, d.Amps
		default:
			r.Volts, r.Amps, r.Speed = d.Volts, d.Amps, d.Speed
		}
		out = append(out, r)
	}
	return out
}

// copperRise is how ohms rise for each kelvin.
const copperRise = 0.0039

// atTwenty is a resistance as it would read at 20 °C, where the shop's temperature is known; as typed where there is
// nothing to put right.
func (e *evaluator) atTwenty(ohms float64, typed q.Text) q.Text {
	switch {
	case e.Air.Known:
		ohms /= 1 + copperRise*(e.Air.SI-zeroCelsius-20)
	case e.Leads.SI == 0:
		return typed
	}
	return q.WrittenTo(ohms, 4, "Ω")
}

// leadsMatter is the share of a winding's ohms from which those of the leads are asked for.
const leadsMatter = 0.02

// leadsRead is up to what a meter's own leads read by themselves, Ω [common practice].
const leadsRead = 0.4

// withLeads is the spread of a winding's ohms: where nobody said what the leads read, it may be theirs.
func (e *evaluator) withLeads(spread float64) float64 {
	if e.Kind != m.Ohms || e.Leads.Known {
		return spread
	}
	return math.Hypot(spread, leadsRead)
}

func constantsTrial(e *evaluator) {
	rows := e.asReadings()
	if len(rows) == 0 {
		e.wants("Nothing is read yet.", capital(e.Kind.Profile().About)+".", "")
		return
	}
	e.out.Enough = true
	e.drawConstants()
	d := e.in.Plan.Motor.Whole()
	added := e.written.Used == ""
	if added {
		d.Readings = append(slices.Clone(d.Readings), rows...)
	}
	switch e.Kind {
	case m.Ohms:
		e.ohms()
	case m.LockedAt:
		e.lockedOhms()
	}
	after := motor.Resolve(d, q.NewReader(""))
	e.constants(&after, rows)
	switch {
	case len(d.Readings) > motor.MostReadings:
		e.WhyNot(fmt.Sprintf("The motor holds %d readings at the most; take some out.", motor.MostReadings))
	case added:
		e.out.Correction = &Correction{Label: "Add them to the motor's readings", Motor: &d,
			Detail: "Its constants are then fitted to these too; the plate stays beside them."}
	default:
		e.WhyNot("They are in the motor's readings already.")
	}
	if s := after.Fit.Suggest(); s.Sort != "" {
		e.out.Next = Next{Text: nextReading[s.Sort], Why: "It would narrow the " + s.Of + " most."}
	}
}

// nextReading is what to read next, by its sort.
var nextReading = map[string]string{"open": "Open volts at a known speed.", "resistance": "Winding ohms at " +
	"another shaft position.",
	"free": "A free run: volts, amps and speed.", "loaded": "A run under a brake.", "locked": "Locked rotor at " +
		"low volts.",
	"spin-down": "A spin-down of the motor alone."}

// ohms tells the mean of the windings' readings by itself.
func (e *evaluator) ohms() {
	var v []float64
	for _, one := range e.With(func(t *m.Taken) q.Value { return t.Ohms }) {
		v = append(v, one.Ohms.SI)
	}
	mean, spread, _ := meanOf(v, 0.02, e.Steps.In(q.Resistance))
	if !e.Leads.Known && leadsRead > leadsMatter*mean {
		e.say(LeadsUntold, f.Missing, "What do the meter's own leads read?", fmt.Sprintf("Held together, up to %s: "+
			"zero them, or put in what they show. Until then that much of these ohms may be theirs.",
			e.show(leadsRead, q.Resistance)))
	}
	e.found("Ohms, mean", mean, e.withLeads(spread), none, q.Resistance, "R = Σ R_i / N",
		fmt.Sprintf("%d positions, %s to %s",
			len(v),
			e.show(slices.Min(v), q.Resistance), e.show(slices.Max(v), q.Resistance)), source.Readings)
	e.tooManyOhms(slices.Min(v), "The least of them")
	if len(v) > 1 && slices.Max(v) > 1.5*slices.Min(v) {
		e.say(Scattered, f.Caution, "The ohms differ by "+q.Percent(slices.Max(v)/slices.Min(v)-1)+" round the turn",
			"Brushes that do not sit, a dirty commutator, or a bar with an open coil. Clean it and read again; "+
				"least of them "+
				"is nearest the truth.")
	}
}

// constants sets the fit with the trial's readings beside what the plan has without them.
func (e *evaluator) constants(after *motor.Resolved, rows []motor.Reading) {
	family := after.Kind.Family()
	if family != motor.DCFamily && family != motor.SeriesFamily || after.Fit.Readings == 0 {
		e.headlineOfRows(rows)
		return
	}
	before := e.stations.Motor.DC
	fit := after.Fit
	label := "V·s"
	if family == motor.SeriesFamily {
		label, before.Ke.Value, before.Resistance.Value = "N·m/A²", 0, e.stations.Motor.Series.Resistance.Value
	}
	plain := func(unit string) func(float64) string {
		return func(v float64) string { return q.Figures(v, 3) + q.ThinSpace + unit }
	}
	put := fmt.Sprintf("%d readings together", fit.Readings)
	shared := sharedMeters
	if e.Kind == m.FreeRun {
		shared *= 2 // volts and amps of two meters
	}
	tell := func(name string, c motor.Estimate, shared, expected float64, show func(float64) string) {
		if !c.Found() {
			return
		}
		spread := math.Hypot(within(c.Spread*c.Value, numeric.Degrees(fit.Spare)),
			within(shared*c.Value, 0))
		if name == ohmsFigure {
			spread = e.withLeads(max(spread, e.Steps.In(q.Resistance)/2))
		}
		e.foundBy(name, c.Value, spread, reckonedIf(expected > 0, expected), show,
			"V = K·ω + I·R, T = K·I − T_loss, by least squares", put, source.DCMachine)
	}
	tell("Back-EMF constant", fit.Ke, shared, before.Ke.Value, plain(label))
	tell(ohmsFigure, fit.R, sharedMeters, before.Resistance.Value, func(v float64) string {
		return e.show(v,
			q.Resistance)
	})
	tell("Torque lost inside", fit.Loss, 2.5*sharedMeters, before.Friction.Value, func(v float64) string {
		return e.show(v, q.Torque)
	})
	e.judgeConstants(fit, before)
}

// sharedMeters is what meters are off by alike in all of a trial's readings, as a share [common practice]; one standard
// deviation.
const sharedMeters = 0.003

// ohmsFigure is what a resistance is told as: it is never surer than half a step of its meter.
const ohmsFigure = "Resistance"

func (e *evaluator) judgeConstants(fit motor.Fit, before motor.DC) {
	if fit.Misfit > 2 {
		e.say(Scattered, f.Caution, "The readings do not agree with each other",
			fmt.Sprintf("They are off by %s times what meters and hands usually are. One was misread, or the "+
				"magnets are weak.",
				q.Figures(fit.Misfit, 2)))
	}
	switch ke, expected := fit.Ke, before.Ke.Value; {
	case !ke.Found() || expected == 0:
		e.out.Headline = fmt.Sprintf("%d readings taken.", fit.Readings)
	case agrees(ke.Value, within(ke.Spread*ke.Value, numeric.Degrees(fit.Spare)), expected, 0.05):
		e.say(AsReckoned, f.Good, "The motor is as the plan has it", fmt.Sprintf("K %s measured, %s reckoned.",
			q.Figures(ke.Value, 3),
			q.Figures(expected, 3)))
		e.out.Headline = "The motor is as the plan has it."
	case ke.Value < expected:
		e.say(WeakMotor, f.Caution, "It turns faster for its volts than reckoned, and pulls less for its amps",
			fmt.Sprintf("K %s measured, %s reckoned. A plate of another winding, or magnets gone weak.",
				q.Figures(ke.Value, 3),
				q.Figures(expected, 3)))
	default:
		e.say(StrongMotor, f.Good, "It turns slower for its volts than reckoned, and pulls more for its amps",
			fmt.Sprintf("K %s measured, %s reckoned. It falls short of its plate's speed on these volts.",
				q.Figures(ke.Value, 3),
				q.Figures(expected, 3)))
	}
}

func (e *evaluator) headlineOfRows(rows []motor.Reading) {
	e.out.Headline = fmt.Sprintf("%d readings taken.", len(rows))
	if len(rows) == 1 {
		e.out.Headline = "One reading taken."
	}
	if z := e.ohmsHeld(); e.Kind == m.LockedAt && len(z) > 0 {
		mean, spread, _ := meanOf(z, math.Sqrt2*meterOff, 0)
		e.found("Volts for each amp, held", mean, spread, none, q.Resistance, "Z = V / I",
			fmt.Sprintf("%d readings", len(z)), source.Readings)
	}
}

// ohmsHeld are volts for each amp of the readings with the rotor held, Ω.
func (e *evaluator) ohmsHeld() (z []float64) {
	for _, one := range e.With(voltsOf, ampsOf) {
		if one.Amps.SI > 0 {
			z = append(z, one.Volts.SI/one.Amps.SI)
		}
	}
	return z
}

func (e *evaluator) lockedOhms() {
	if z := e.ohmsHeld(); len(z) > 0 {
		e.tooManyOhms(slices.Min(z), "Volts for each amp, held")
	}
}

func (e *evaluator) drawConstants() {
	switch e.Kind {
	case m.Open:
		d := e.draw("speed", e.scaleOf(q.Speed), "volts", e.scaleOf(q.Voltage))
		most := 0.0
		for _, one := range e.With(speedOf, voltsOf) {
			d.point(one.Speed.SI, one.Volts.SI, meterOff*one.Volts.SI, "")
			most = max(most, one.Speed.SI)
		}
		if ke := e.stations.Motor.DC.Ke; ke.OK() && most > 0 {
			d.out.Reckoned = d.along(0, most, func(w float64) float64 { return ke.Value * w })
		}
	case m.FreeRun:
		d := e.draw("volts", e.scaleOf(q.Voltage), "speed", e.scaleOf(q.Speed))
		for _, one := range e.With(speedOf, voltsOf) {
			d.point(one.Volts.SI, one.Speed.SI, 0, "")
		}
	case m.LockedAt:
		d := e.draw("amps", e.scaleOf(q.Current), "volts", e.scaleOf(q.Voltage))
		most := 0.0
		for _, one := range e.With(voltsOf, ampsOf) {
			d.point(one.Amps.SI, one.Volts.SI, 0, "")
			most = max(most, one.Amps.SI)
		}
		if r := e.stations.Motor.DC.Resistance; r.OK() && most > 0 {
			d.out.Reckoned = d.along(0, most, func(a float64) float64 { return r.Value * a })
		}
	case m.Ohms:
		d := e.draw("position", bare, "ohms", e.scaleOf(q.Resistance))
		for i, one := range e.With(func(t *m.Taken) q.Value { return t.Ohms }) {
			d.point(float64(i+1), one.Ohms.SI, math.Max(0.02*one.Ohms.SI, 0), "")
		}
	}
}

func voltsOf(t *m.Taken) q.Value { return t.Volts }
func ampsOf(t *m.Taken) q.Value  { return t.Amps }
