package trial

import (
	"fmt"
	"math"

	"gonum.org/v1/gonum/stat"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/numeric"
	"jiriki/core/plan"
	"jiriki/core/powerup"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

func hertzOf(t *m.Taken) q.Value { return t.Hertz }

func slipTrial(e *evaluator) {
	rows := e.With(hertzOf, speedOf)
	if len(rows) == 0 {
		e.wants("No hertz and speed are read yet.", "Hertz and the motor's speed at the same moment.", "")
		return
	}
	e.out.Enough = true
	d := e.draw("hertz", e.scaleOf(q.Frequency), "motor speed", e.scaleOf(q.Speed))
	fastest := 0
	for i, one := range rows {
		d.point(one.Hertz.SI, one.Speed.SI, offBy(one.Speed.SI, tachometerOff, e.stepOf()), "")
		if one.Speed.SI/one.Hertz.SI > rows[fastest].Speed.SI/rows[fastest].Hertz.SI {
			fastest = i
		}
	}
	// The least loaded reading is nearest its field, and tells the poles.
	poles := motor.NearestPoles(rows[fastest].Hertz.SI, rows[fastest].Speed.SI)
	if e.noSuchSlip(rows, poles) {
		return
	}
	field := func(hertz float64) float64 { return 4 * math.Pi * hertz / poles }
	d.out.Reckoned = d.along(0, stat.Mean(hertzes(rows), nil)*1.2, field)
	last := rows[len(rows)-1]
	sync := field(last.Hertz.SI)
	slip, spread := 1-last.Speed.SI/sync, within(offBy(last.Speed.SI, tachometerOff, e.stepOf())/sync, 0)
	e.foundBy("Poles", poles, 0, reckonedIf(e.stations.Motor.Induction.Poles.OK(),
		e.stations.Motor.Induction.Poles.Value),
		func(v float64) string { return q.Figures(v, 2) }, "p = 120 · f / n, the next even number below",
		fmt.Sprintf("120 × %s / %s", e.show(rows[fastest].Hertz.SI, q.Frequency), e.show(rows[fastest].Speed.SI,
			q.Speed)),
		source.Synchronous)
	e.found("Its field turns at", sync, 0, none, q.Speed, "n_s = 120 · f / p", fmt.Sprintf("120 × %s / %s",
		e.show(last.Hertz.SI, q.Frequency), q.Figures(poles, 2)), source.Synchronous)
	e.foundShare("Slip", slip, spread, none, "s = 1 − n / n_s", fmt.Sprintf("1 − %s / %s",
		e.show(last.Speed.SI, q.Speed),
		e.show(sync, q.Speed)), source.Synchronous)
	e.out.Headline = fmt.Sprintf("%s poles, %s slip.", q.Figures(poles, 2), q.Percent(slip))
	e.loadBySlip(last, sync, slip, spread)
	e.correctPoles(poles)
	if len(rows) < 2 {
		e.out.Next = Next{Text: "The same at work.", Why: "Slip over its rated slip is how loaded it is."}
	}
}

// noSuchSlip says where a speed at such hertz is none an induction motor turns at: past its plate's field, or further
// behind every field than its kind slips.
func (e *evaluator) noSuchSlip(rows []m.Taken, poles float64) bool {
	mo := &e.stations.Motor
	most := mostSlip(mo.Kind)
	for _, one := range rows {
		off := within(offBy(one.Speed.SI, tachometerOff, e.stepOf()), 0)
		if known := mo.Induction.Poles; known.OK() && mo.Kind.Family() == motor.InductionFamily {
			field := 4 * math.Pi * one.Hertz.SI / known.Value
			behind := 1 - one.Speed.SI*poles/(4*math.Pi*one.Hertz.SI)
			if over := one.Speed.SI/field - 1; over > off/field && behind > most {
				e.contradicts(Overloaded, fmt.Sprintf("%s over the field of its %s poles", q.Percent(over),
					q.Figures(known.Value, 2)), fmt.Sprintf("%s at %s. By itself no induction motor passes its "+
					"field of "+
					"%s: the tachometer or the hertz are misread.", e.show(one.Speed.SI, q.Speed),
					e.show(one.Hertz.SI, q.Frequency), e.show(field, q.Speed)))
				return true
			}
		}
		field := 4 * math.Pi * one.Hertz.SI / poles
		if slip := 1 - one.Speed.SI/field; slip-off/field > most {
			e.contradicts(Overloaded, fmt.Sprintf("No induction motor slips by %s", q.Percent(slip)), fmt.Sprintf(
				"%s at %s is no speed of %s poles, nor of any other count. The tachometer or the hertz are "+
					"misread, or "+
					"it was read at another shaft.", e.show(one.Speed.SI, q.Speed), e.show(one.Hertz.SI, q.Frequency),
				q.Figures(poles, 2)))
			return true
		}
	}
	return false
}

func hertzes(rows []m.Taken) []float64 {
	out := make([]float64, len(rows))
	for i := range rows {
		out[i] = rows[i].Hertz.SI
	}
	return out
}

// loadBySlip is the load as slip over rated slip, in revolutions: an inverter's rated slip is the same at every hertz.
func (e *evaluator) loadBySlip(last m.Taken, sync, slip, spread float64) {
	mo := &e.stations.Motor
	if mo.Kind.Family() != motor.InductionFamily || !mo.Speed.OK() || !mo.Hertz.OK() || !mo.Induction.Poles.OK() {
		return
	}
	rated := mo.Synchronous() - mo.Speed.Value
	if rated <= 0 || motor.NearestPoles(last.Hertz.SI, last.Speed.SI) != mo.Induction.Poles.Value {
		return
	}
	load := (sync - last.Speed.SI) / rated
	e.foundShare("Load, of rated", load, spread*sync/rated, none, "load = (n_s − n) / (n_s − n_plate)",
		fmt.Sprintf("%s / %s", e.show(sync-last.Speed.SI, q.Speed), e.show(rated, q.Speed)), source.Synchronous,
		"slip goes with load, as it does up to rated")
	switch {
	case slip < -spread:
		e.say(Overloaded, f.Caution, "Faster than its field",
			"A motor is only so when its load drives it, or hertz or speed were misread.")
	case load-spread*sync/rated > 1.1:
		e.say(Overloaded, f.Caution, fmt.Sprintf("Loaded to %s of its rating", q.Percent(load)),
			"It heats with the square of that. Read its amps and its case.")
	case load > 0:
		e.say(AsReckoned, f.Good, fmt.Sprintf("Loaded to %s of its rating", q.Percent(load)), "By its slip.")
	}
}

func (e *evaluator) correctPoles(poles float64) {
	mo := &e.stations.Motor
	if mo.Kind.Family() != motor.InductionFamily {
		e.WhyNot("Only an induction motor slips behind a field.")
		return
	}
	known := mo.Induction.Poles
	if known.OK() && known.Value != poles {
		e.say(Poles, f.Caution, fmt.Sprintf("It has %s poles, not %s", q.Figures(poles, 2), q.Figures(known.Value, 2)),
			"So its speed at these hertz is another. Look at the plate again.")
	}
	if e.in.Plan.Motor.Plate.Poles.Known() && known.Value == poles {
		e.WhyNot("The plan has these poles already.")
		return
	}
	d := e.in.Plan.Motor
	d.Plate.Poles = q.Text(q.Figures(poles, 2))
	e.out.Correction = &Correction{Label: "Let the motor have its poles", Motor: &d, Detail: q.Figures(poles,
		2) + " poles, as its speed says."}
}

// voltsFlicker is how far a socket's volts wander from one reading to the next [common practice]; one standard
// deviation, V.
const voltsFlicker = 0.3

func sagTrial(e *evaluator) {
	rows := e.With(voltsOf, ampsOf)
	if len(rows) < 2 || mostAmps(rows)-leastAmps(rows) < 0.5 {
		e.wants("Volts free and loaded are wanted.", "Volts with nothing on, and with some amps on.",
			"A heater's amps do; the more, the surer.")
		return
	}
	d := e.draw("amps", e.scaleOf(q.Current), "volts", e.scaleOf(q.Voltage))
	// Both readings are one meter's: its own error is in both alike, what it shows in steps is not.
	off := math.Hypot(e.Steps.In(q.Voltage)/math.Sqrt(12), voltsFlicker)
	for _, one := range rows {
		d.point(one.Amps.SI, one.Volts.SI, off, "")
	}
	fit, ok := numeric.LeastSquares([]float64{rows[0].Volts.SI, 0.5}, len(rows), func(x, r []float64) {
		for i, one := range rows {
			r[i] = (x[0] - x[1]*one.Amps.SI - one.Volts.SI) / math.Hypot(off, x[1]*meterOff*one.Amps.SI)
		}
	})
	if !ok {
		e.wants("The volts do not tell how they fall.", "Volts with more amps on.", "")
		return
	}
	e.out.Enough = true
	d.fit(0, mostAmps(rows)*1.2, func(a float64) float64 { return fit.X[0] - fit.X[1]*a })
	z, spread := fit.X[1], spreadIn(&fit, fit.Spread(1))
	reckoned, assumes := e.reckonedSag()
	e.found("Falls for each amp", z, spread, reckoned, q.Resistance, "Z = (V_free − V_loaded) / I",
		fmt.Sprintf("%d readings, %s free", len(rows), e.show(fit.X[0], q.Voltage)), source.Readings,
		assumes...)
	e.out.Headline = fmt.Sprintf("It falls %s for each amp.", e.show(z, q.Voltage))
	if z < -spread {
		e.contradicts(Swapped, "The volts rise under the load", "A supply does not do that. Volts and amps of two "+
			"readings "+
			"are swapped, or something else was switched off between them.")
		return
	}
	if z <= spread {
		e.say(StiffSupply, f.Good, "It hardly sags", "Less than the meter tells.")
		e.WhyNot("The sag is less than the meter tells.")
		return
	}
	e.atStart(z)
	if !math.IsNaN(reckoned) {
		switch {
		case z > 3*reckoned+spread:
			if e.stations.Supply.Battery {
				e.say(SoftSupply, f.Caution, "The battery sags more than reckoned", "Old, cold or half empty, or "+
					"a lead or terminal "+
					"in between. Feel for a warm one.")
				break
			}
			e.say(SoftSupply, f.Caution, "It sags more than its cable does", "A long street, a loose terminal, or "+
				"an extension lead in "+
				"between. A terminal that is warm is loose: have it seen to.")
		case z < 0.5*reckoned-spread:
			e.say(StiffSupply, f.Good, "It sags less than reckoned", "The cable is shorter or thicker than it was "+
				"taken for.")
		}
	}
	s := e.in.Plan.Supply
	s.Inside = q.WrittenTo(z, 3, "Ω")
	e.out.Correction = &Correction{Label: "Let the supply have it", Supply: &s,
		Detail: "Starts and heavy cuts then go by the volts that are left, in place of the cable alone."}
}

// reckonedSag is what the plan lets the volts fall by for each amp; NaN where it says nothing.
func (e *evaluator) reckonedSag() (ohms float64, assumes []string) {
	switch s := e.stations.Supply; {
	case s.Battery && s.Inside > 0:
		return s.Inside, nil
	case !s.Battery && s.Wire.Area > 0 && s.Cable > 0:
		return s.Wire.Drop(1, s.Cable, s.Three), []string{"reckoned is the cable alone, without the street's own"}
	}
	return none, nil
}

func mostAmps(rows []m.Taken) float64 {
	most := 0.0
	for _, one := range rows {
		most = max(most, one.Amps.SI)
	}
	return most
}

func leastAmps(rows []m.Taken) float64 {
	least := math.Inf(1)
	for _, one := range rows {
		least = min(least, one.Amps.SI)
	}
	return least
}

// atStart is what a start on the line takes of the volts.
func (e *evaluator) atStart(z float64) {
	if e.model == nil || !e.model.Powered.FixedSpeed() || e.stations.Supply.Battery {
		return
	}
	lost := z * motor.StartAmps(&e.stations.Motor) / e.stations.Supply.Volts
	e.foundShare("Lost as it starts", lost, 0, none, "Z · I_start / V", fmt.Sprintf("%s × %s / %s", e.show(z,
		q.Resistance),
		e.show(motor.StartAmps(&e.stations.Motor), q.Current), e.show(e.stations.Supply.Volts, q.Voltage)),
		source.Inrush)
	if lost > 0.15 {
		e.say(SoftSupply, f.Caution, fmt.Sprintf("A start loses %s of the volts", q.Percent(lost)),
			fmt.Sprintf("Starting torque falls to %s. It may hum and not start under its load.",
				q.Percent((1-lost)*(1-lost))))
	}
}

// Ohms to the frame: what is sound, and under which nothing is powered [IEEE 43, from memory].
const (
	soundOhms   = 5e6
	leastOhms   = 1e6
	ohmsHalveBy = 10.0 // K
)

// atForty is what ohms to the frame would be at 40 °C.
func atForty(ohms, kelvin float64) float64 {
	return ohms * math.Pow(0.5, (40+zeroCelsius-kelvin)/ohmsHalveBy)
}

func insulationTrial(e *evaluator) {
	rows := e.With(func(t *m.Taken) q.Value { return t.Megohms })
	if len(rows) == 0 {
		e.wants("Nothing is read yet.", "Motor leads, joined, against the frame, for a minute.", "")
		return
	}
	e.out.Enough = true
	least := math.Inf(1)
	d := e.draw("reading", bare, "to the frame", e.scaleOf(q.Insulation))
	for i, one := range rows {
		least = min(least, one.Megohms.SI)
		d.point(float64(i+1), one.Megohms.SI, 0, "")
	}
	d.out.Reckoned = d.along(0.5, float64(len(rows))+0.5, func(float64) float64 { return soundOhms })
	show := func(v float64) string { return e.show(v, q.Insulation) }
	e.foundBy("To the frame, least", least, 0, none, show, "as read", "as read", source.Typed)
	judged := least
	if e.Air.Known {
		// Only a colder winding is read down; a warmer one stands as it reads.
		if judged = min(least, atForty(least, e.Air.SI)); judged < least {
			e.foundBy("The same at 40 °C", judged, 0, none, show, "R · ½^((40 − θ) / 10)",
				fmt.Sprintf("%s at %s", show(least),
					e.show(e.Air.SI, q.Temperature)), source.InsulationOhms)
		}
	}
	tells := e.testerTells()
	switch {
	case least < leastOhms:
		e.say(LowOhms, f.Stop, "Do not power it", show(least)+" to the frame. Damp or dirty windings, or one that "+
			"touches: dry it warm for a day and test again. If it stays low it is a rewind, or scrap.")
		e.WhyNot("A winding under 1 MΩ passes no step.")
	case !tells:
		e.WhyNot("So few volts test no insulation, or nobody wrote down how many it was.")
	case judged < soundOhms:
		e.say(LowOhms, f.Caution, "Low: dry it first", show(judged)+" where 5 MΩ is sound. Warm and dry for a "+
			"day, then test again; an earth-fault device ahead of it whatever it reads.")
		e.tickInsulation(show(least))
	default:
		e.say(Sound, f.Good, "Sound", show(least)+" to the frame, where 5 MΩ is asked for.")
		e.tickInsulation(show(least))
	}
	e.out.Headline = show(least) + " to the frame."
}

// leastTester is the least a tester of insulation puts on a winding, V: a multimeter's few volts find nothing [common
// practice].
const leastTester = 50

// testerTells reports whether the tester puts at least the volts on the winding that it runs on; it says why not.
func (e *evaluator) testerTells() bool {
	wanted := math.Max(leastTester, e.stations.Motor.Volts.Value)
	switch {
	case !e.Tested.Known:
		e.say(TooFewVolts, f.Missing, "With how many volts was it tested?",
			"A tester of 500 V finds what breaks down at "+
				"mains volts; a multimeter's few volts find nothing.")
	case e.Tested.SI < wanted:
		e.say(TooFewVolts, f.Missing, fmt.Sprintf("%s test no insulation", e.show(e.Tested.SI, q.Voltage)), fmt.Sprintf(
			"It runs on more: what breaks down at %s is not found. Use a tester of 500 V; until then this says "+
				"nothing "+
				"good.", e.show(wanted, q.Voltage)))
	default:
		return true
	}
	return false
}

// tickInsulation is the correction: the step of the first power-up is taken, with what was read.
func (e *evaluator) tickInsulation(read string) {
	step := powerup.ID(powerup.InsulationStep)
	var checks []plan.Check
	for _, c := range e.in.Plan.Checks {
		if c.ID != step {
			checks = append(checks, c)
		}
	}
	checks = append(checks, plan.Check{ID: step, On: e.written.On, Measured: read + " at " + e.show(e.Tested.SI,
		q.Voltage)})
	e.out.Correction = &Correction{Label: "Tick it off in the power-up", Checks: checks, Detail: "With what was read."}
}
