package trial

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	"gonum.org/v1/gonum/interp"

	"jiriki/core/air"
	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// coolerCase is how much cooler than the winding a case is, K [common practice: 20 to 30].
const coolerCase = 25

// CapacitorVolts is what a running capacitor must be marked for, V AC, on a line of so many volts: what is usual there,
// and never less than its plate's or a tenth more than it was measured to have across it.
func CapacitorVolts(line, plate, across float64) float64 {
	return max(motor.LeastCapacitorVolts(line), plate, 1.1*across)
}

func faradsOf(t *m.Taken) q.Value { return t.Capacitor }

// SpeedBetween is the speed at a capacitor between those that were tried, by a monotone cubic (Fritsch and Butland);
// the
// ends hold beyond them. farads rise.
func SpeedBetween(farads, omega []float64, at float64) float64 {
	if len(farads) == 1 {
		return omega[0]
	}
	var curve interp.FritschButland
	if curve.Fit(farads, omega) != nil {
		return math.NaN()
	}
	return curve.Predict(min(max(at, farads[0]), farads[len(farads)-1]))
}

func capacitorTrial(e *evaluator) {
	rows := e.With(faradsOf, speedOf)
	slices.SortStableFunc(rows, func(a, b m.Taken) int { return cmp.Compare(a.Capacitor.SI, b.Capacitor.SI) })
	rows = slices.CompactFunc(rows, func(a, b m.Taken) bool { return a.Capacitor.SI == b.Capacitor.SI })
	d := e.draw("capacitor", e.scaleOf(q.Capacitance), "speed", e.scaleOf(q.Speed))
	for _, one := range rows {
		d.point(one.Capacitor.SI, one.Speed.SI, offBy(one.Speed.SI, tachometerOff, e.stepOf()), "")
	}
	if len(rows) < 2 {
		e.wants(fmt.Sprintf("%d of at least 2 capacitors are tried.", len(rows)), "The largest there is, then the "+
			"next smaller.", "")
		return
	}
	e.out.Enough = true
	c := capacitorRun{e: e, d: d, rows: rows}
	c.between()
	c.starts()
	c.volts()
	c.heat()
	c.sound()
	c.correct()
}

// capacitorRun is a set of capacitors being told, smallest first.
type capacitorRun struct {
	e    *evaluator
	d    drawing
	rows []m.Taken
}

func (c *capacitorRun) lists() (farads, omega []float64) {
	for _, one := range c.rows {
		farads, omega = append(farads, one.Capacitor.SI), append(omega, one.Speed.SI)
	}
	return farads, omega
}

func (c *capacitorRun) between() {
	e := c.e
	farads, omega := c.lists()
	n := len(farads)
	c.d.fit(farads[0], farads[n-1], func(x float64) float64 { return SpeedBetween(farads, omega, x) })
	power := math.Pow(omega[0]/omega[n-1], 3)
	e.found("Slowest of them", omega[0], within(offBy(omega[0], tachometerOff, e.stepOf()), 0), none, q.Speed,
		"as read",
		"on "+e.show(farads[0], q.Capacitance), source.Typed)
	e.found("Fastest of them", omega[n-1], within(offBy(omega[n-1], tachometerOff, e.stepOf()), 0), none, q.Speed,
		"as read",
		"on "+e.show(farads[n-1], q.Capacitance), source.Typed)
	e.foundShare("Power into the air, slowest over fastest", power, 0, none, "P ∝ n³", fmt.Sprintf("(%s / %s)³",
		e.show(omega[0],
			q.Speed),
		e.show(omega[n-1], q.Speed)), source.FanLaws)
	e.out.Headline = fmt.Sprintf("From %s on %s to %s on %s.", e.show(omega[n-1], q.Speed), e.show(farads[n-1],
		q.Capacitance),
		e.show(omega[0], q.Speed), e.show(farads[0], q.Capacitance))
	for i := 1; i < n; i++ {
		if omega[i] < omega[i-1] {
			e.say(Scattered, f.Caution, "A smaller capacitor ran faster",
				fmt.Sprintf("%s against %s. Read again once it is warm, or one of them is not what it is marked.",
					e.show(farads[i-1], q.Capacitance), e.show(farads[i], q.Capacitance)))
			return
		}
	}
	gap, at := 0.0, 0.0
	for i := 1; i < n; i++ {
		if wide := omega[i] - omega[i-1]; wide > gap {
			gap, at = wide, (farads[i]+farads[i-1])/2
		}
	}
	if gap > 0.12*omega[n-1] {
		e.out.Next = Next{Text: "About " + e.show(at, q.Capacitance) + ".", At: q.Figures(at*1e6, 2),
			Why: fmt.Sprintf("Between its neighbours it should run at %s.", e.show(SpeedBetween(farads, omega, at),
				q.Speed))}
	}
}

// starts is the least capacitor that started it every time.
func (c *capacitorRun) starts() {
	e := c.e
	least, failed := math.Inf(1), 0.0
	for _, one := range c.rows {
		switch {
		case one.Tried == 0:
		case one.Started < one.Tried:
			failed = max(failed, one.Capacitor.SI)
		default:
			least = min(least, one.Capacitor.SI)
		}
	}
	if failed > 0 {
		e.say(NotStarting, f.Stop, fmt.Sprintf("On %s it does not start every time", e.show(failed, q.Capacitance)),
			"Left standing under power it burns. Take none as small.")
		for i := range c.rows {
			if one := &c.rows[i]; one.Capacitor.SI <= failed {
				c.d.mark(one.Capacitor.SI, one.Speed.SI, "does not always start", true)
			}
		}
		if least < failed {
			least = math.Inf(1)
			for _, one := range c.rows {
				if one.Capacitor.SI > failed && one.Tried > 0 {
					least = min(least, one.Capacitor.SI)
				}
			}
		}
	}
	if !math.IsInf(least, 1) {
		e.found("Least that starts it", least, 0, none, q.Capacitance, "every start of those tried", "as counted",
			source.Typed)
	}
	if failed == 0 && math.IsInf(least, 1) {
		e.out.Next = Next{Text: "Ten starts on the smallest.", Why: "A fan that hums and stands burns its winding."}
	}
}

func (c *capacitorRun) volts() {
	e := c.e
	line := orElse(e.Volts.Or(0), e.stations.Supply.Volts)
	across := 0.0
	for _, one := range c.rows {
		across = max(across, one.Volts.Or(0))
	}
	if line == 0 && across == 0 {
		return
	}
	asked := CapacitorVolts(line, e.stations.Motor.CapacitorAC, across)
	e.found("Capacitor marked for", asked, 0, none, q.Voltage, "the least usual on such a line, the plate's, and "+
		"over what was measured across it",
		fmt.Sprintf("line %s, across it %s", e.show(line, q.Voltage), e.show(across, q.Voltage)), source.FanLaws)
	if e.Rated.Known && e.Rated.SI < asked {
		e.say(LowVolts, f.Stop, "The capacitor is marked for too few volts",
			fmt.Sprintf("%s marked, %s asked for. It may burst.", e.show(e.Rated.SI, q.Voltage), e.show(asked,
				q.Voltage)))
	}
}

func (c *capacitorRun) heat() {
	e := c.e
	class := orWord(e.Class, orWord(e.stations.Motor.Insulation, "A"))
	most, on := 0.0, 0.0
	for _, one := range c.rows {
		if one.Celsius.Known && one.Celsius.SI > most {
			most, on = one.Celsius.SI, one.Capacitor.SI
		}
	}
	if most == 0 {
		return
	}
	limit := air.Limit[class] - coolerCase
	e.found("Hottest case", most, within(thermometerOff, 0), limit, q.Temperature, "as read", "on "+e.show(on,
		q.Capacitance),
		source.AirRating, "reckoned is what class "+class+" allows a case, 25 K under the winding")
	if most > limit {
		e.say(PastClass, f.Stop, "Its case is hotter than class "+class+" allows",
			fmt.Sprintf("%s on %s, %s allowed.", e.show(most, q.Temperature), e.show(on, q.Capacitance), e.show(limit,
				q.Temperature)))
		return
	}
	e.say(AsReckoned, f.Good, "No case is hotter than class "+class+" allows", fmt.Sprintf("%s, %s allowed.",
		e.show(most, q.Temperature), e.show(limit, q.Temperature)))
}

// sound sets the quietest beside the loudest, as speeds make it.
func (c *capacitorRun) sound() {
	e := c.e
	var heard []m.Taken
	for _, one := range c.rows {
		if one.Sound.Known {
			heard = append(heard, one)
		}
	}
	if len(heard) < 2 {
		return
	}
	low, high := heard[0], heard[len(heard)-1]
	reckoned := -motor.FanQuieter(low.Speed.SI / high.Speed.SI)
	e.foundBy("Quieter by", high.Sound.SI-low.Sound.SI, within(1.5, 0), reckoned, func(v float64) string {
		return q.Figures(v, 2) + q.ThinSpace + "dB"
	}, "50 · log10(n2 / n1)", fmt.Sprintf("50 × log10(%s / %s)", e.show(high.Speed.SI, q.Speed), e.show(low.Speed.SI,
		q.Speed)),
		source.FanLaws)
}

func (c *capacitorRun) correct() {
	e := c.e
	if !e.stations.Motor.Kind.HasRunCapacitor() {
		e.WhyNot("The plan's motor has no capacitor it runs on.")
		return
	}
	d := e.in.Plan.Motor.Whole()
	d.Readings = slices.DeleteFunc(slices.Clone(d.Readings),
		func(r motor.Reading) bool { return r.Sort == "capacitor" })
	for _, one := range c.rows {
		typed := e.written.Readings[one.Entry]
		d.Readings = append(d.Readings, motor.Reading{Sort: "capacitor", Capacitor: typed.Capacitor, Speed: typed.Speed,
			Starts: typed.Starts, Note: "trial, " + e.written.On})
	}
	if len(d.Readings) > motor.MostReadings {
		e.WhyNot(fmt.Sprintf("The motor holds %d readings at the most; take some out.", motor.MostReadings))
		return
	}
	e.out.Correction = &Correction{Label: "Let the fan have these speeds", Motor: &d,
		Detail: "In place of capacitors tried before; speeds between them follow."}
}
