package trial

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// meterOff is how far off a meter is, as a share [common practice]; one standard deviation.
const meterOff = 0.015

// braked is one step of a brake: speed in rad/s and torque in N·m at the shaft it was on.
type braked struct {
	m.Taken
	omega, torque, off float64
}

func (e *evaluator) brakeRows() []braked {
	arm := e.Radius.SI + e.Rope.Or(0)/2
	var out []braked
	for _, one := range e.With(speedOf, func(t *m.Taken) q.Value { return t.Force }) {
		slack := one.Slack.Or(0)
		off := math.Hypot(offBy(one.Force.SI, scaleOff, e.Steps.In(q.Force)),
			offBy(slack, scaleOff, e.Steps.In(q.Force)))
		out = append(out, braked{one, one.Speed.SI, max(one.Force.SI-slack, 0) * arm, off * arm})
	}
	return out
}

func brakeTrial(e *evaluator) {
	if !e.Radius.Known {
		e.wants("The radius of the drum is wanted.", "The drum's radius, to its rim.",
			"A pull is no torque without it.")
		return
	}
	rows := e.brakeRows()
	if len(rows) == 0 {
		e.wants("Nothing is braked yet.", "Both scales and the speed, the rope just dragging.", "")
		return
	}
	e.out.Enough = true
	d := e.draw(e.shaft()+" speed", e.scaleOf(q.Speed), "torque", e.scaleOf(q.Torque))
	best := rows[0]
	low, high := math.Inf(1), 0.0
	for _, one := range rows {
		d.point(one.omega, one.torque, one.off, "")
		low, high = min(low, one.omega), max(high, one.omega)
		if one.torque > best.torque {
			best = one
		}
	}
	e.reachAlong(d, low, high)
	e.found("Most torque held", best.torque, within(best.off, 0), e.heldAt(best.omega), q.Torque,
		"T = (F1 − F2) · (r + d/2)",
		fmt.Sprintf("(%s − %s) × %s", e.show(best.Force.SI, q.Force), e.show(best.Slack.Or(0), q.Force),
			e.show(e.Radius.SI+e.Rope.Or(0)/2, q.Length)), source.RopeBrake, "reckoned is what it holds for some "+
			"seconds")
	power := best.torque * best.omega
	e.found("Power there", power, within(best.off*best.omega, 0), none, q.Power, "P = T · ω",
		fmt.Sprintf("%s × %s", e.show(best.torque, q.Torque), e.show(best.omega, q.Speed)), source.Mechanics)
	e.out.Headline = fmt.Sprintf("It holds %s at %s: %s.", e.show(best.torque, q.Torque), e.show(best.omega, q.Speed),
		e.show(power, q.Power))
	e.efficiency(rows)
	e.torquePerAmp(rows)
	e.correctBrake(rows)
	if len(rows) < 4 {
		e.out.Next = Next{Text: "A tighter rope, up to the plate's amps.", Why: "Four steps make a curve."}
	}
}

// toMotor carries speed and torque of the shaft that was braked to the rotor.
func (e *evaluator) toMotor(omega, torque float64) (rotor, shaft float64, ok bool) {
	if e.Where == m.AtMotor {
		return omega, torque, true
	}
	if e.position == nil || e.turns == 0 {
		return 0, 0, false
	}
	keeps := e.position.Efficiency * orElse(e.stations.Motor.Gear.Efficiency, 1)
	return omega * e.turns, torque / (e.turns * keeps), true
}

// heldAt is what the plan says is held for some seconds at a speed of the shaft, N·m.
func (e *evaluator) heldAt(omega float64) float64 {
	if e.model == nil {
		return none
	}
	if e.Where == m.AtMotor {
		return reckonedIf(true, e.model.Powered.Peak(omega/max(e.stations.Motor.Gear.Ratio, 1)).Torque)
	}
	return reckonedIf(true, e.model.Peak(omega, e.position).Torque)
}

func (e *evaluator) reachAlong(d drawing, low, high float64) {
	if e.model == nil || e.Where == m.AtMotor || !(high > 0) {
		return
	}
	if low > 0.98*high {
		low = 0.8 * high
	}
	d.out.Reckoned = d.along(low, high, func(omega float64) float64 {
		return e.model.Steady(omega, 1, e.position).Torque
	})
}

// efficiency is what comes out at the shaft over what goes into the motor, at its best.
func (e *evaluator) efficiency(rows []braked) {
	best, off, put := 0.0, 0.0, ""
	for _, one := range rows {
		if in := one.Volts.SI * one.Amps.SI; in > 0 {
			if share := one.torque * one.omega / in; share > best {
				best, off = share, math.Sqrt(one.off*one.off/(one.torque*one.torque)+2*meterOff*meterOff)
				put = fmt.Sprintf("%s × %s / (%s × %s)", e.show(one.torque, q.Torque), e.show(one.omega, q.Speed),
					e.show(one.Volts.SI, q.Voltage), e.show(one.Amps.SI, q.Current))
			}
		}
	}
	if best == 0 {
		return
	}
	expected := none
	if e.model != nil && e.stations.Motor.Efficiency.OK() {
		expected = e.stations.Motor.Efficiency.Value
		if e.Where != m.AtMotor {
			expected *= e.position.Efficiency * orElse(e.stations.Motor.Gear.Efficiency, 1)
		}
	}
	assumes := "volts times amps is the power that goes in"
	if !e.stations.Motor.Kind.Brushed() {
		assumes += "; on alternating current that is more than the true watts"
	}
	e.foundShare("Efficiency", best, within(off*best, 0), expected, "η = T · ω / (V · I)", put,
		source.Mechanics, assumes)
	if best > 1 {
		e.contradicts(Scattered, "More comes out than goes in", fmt.Sprintf("%s. A scale, the drum's radius or a "+
			"meter "+
			"is wrong: no motor does that. Rectified current needs a true-rms meter.", put))
	}
}

// torquePerAmp lays torque against amps: its slope is the motor's constant, whatever it loses.
func (e *evaluator) torquePerAmp(rows []braked) {
	var list []braked
	for _, one := range rows {
		if one.Amps.SI > 0 {
			list = append(list, one)
		}
	}
	known := e.stations.Motor.Kind.Family() == motor.DCFamily && e.stations.Motor.DC.Ke.OK()
	if len(list) < 3 || !known {
		return
	}
	fit, ok := numeric.LeastSquares([]float64{0, e.stations.Motor.DC.Ke.Value}, len(list), func(x, out []float64) {
		for i, one := range list {
			_, shaft, _ := e.toMotor(one.omega, one.torque)
			_, off, _ := e.toMotor(one.omega, one.off)
			out[i] = (x[1]*one.Amps.SI - x[0] - shaft) / math.Hypot(off, x[1]*meterOff*one.Amps.SI)
		}
	})
	if !ok {
		return
	}
	k, spread := fit.X[1], spreadIn(&fit, fit.Spread(1))
	expected := e.stations.Motor.DC.Ke.Value
	e.foundBy("Torque for each amp", k, spread, expected, func(v float64) string {
		return q.Figures(v, 3) + q.ThinSpace + "N·m/A"
	}, "T = K · I − T_loss", fmt.Sprintf("by least squares over %d steps", len(list)), source.DCMachine)
	detail := fmt.Sprintf("%s N·m for each amp measured, %s reckoned.", q.Figures(k, 3), q.Figures(expected, 3))
	switch {
	case agrees(k, spread, expected, 0.05):
		e.say(AsReckoned, f.Good, "Torque for its amps is as reckoned", detail)
	case k < expected:
		e.say(WeakMotor, f.Caution, "Less torque for its amps than reckoned",
			detail+" Weakened magnets do that, or rough current: its meter counts amps that make no torque.")
	default:
		e.say(StrongMotor, f.Good, "More torque for its amps than reckoned", detail)
	}
}

func (e *evaluator) correctBrake(rows []braked) {
	d := e.in.Plan.Motor.Whole()
	list := append([]motor.Reading(nil), d.Readings...)
	added := 0
	for _, one := range rows {
		rotor, shaft, ok := e.toMotor(one.omega, one.torque)
		if !ok || one.torque == 0 {
			continue
		}
		reading := motor.Reading{Sort: "loaded", Speed: q.WrittenTo(rotor/q.RPM, 4, "rpm"),
			Torque: q.WrittenTo(shaft, 4, "N·m"), Note: "brake, " + e.written.On}
		if one.Volts.Known {
			reading.Volts = e.written.Readings[one.Entry].Volts
		}
		if one.Amps.Known {
			reading.Amps = e.written.Readings[one.Entry].Amps
		}
		list, added = append(list, reading), added+1
	}
	switch {
	case added == 0:
		e.WhyNot("The brake was on the spindle, and how many times the motor turns for it is not known.")
		return
	case len(list) > motor.MostReadings:
		e.WhyNot(fmt.Sprintf("The motor holds %d readings at the most; take some out.", motor.MostReadings))
		return
	}
	d.Readings = list
	e.out.Correction = &Correction{Label: "Add them to the motor's readings", Motor: &d,
		Detail: "The motor's constants are then fitted to these too; the plate stays beside them."}
}
