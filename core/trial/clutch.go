package trial

import (
	"cmp"
	"fmt"
	"math"
	"slices"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// clutchSlipMost is the slip a clutch at work is worth a word past: nothing of it is speed control, all of it is heat.
const clutchSlipMost = 0.03

func clutchTrial(e *evaluator) {
	all := turning(e.With(speedOf, second), "")
	if len(all) == 0 {
		e.wants("No pair of speeds is read yet.", "Motor and output, one right after the other, at work.", "")
		return
	}
	e.out.Enough = true
	d := e.draw("motor", e.scaleOf(q.Speed), "output", e.scaleOf(q.Speed))
	fastest := 0.0
	for _, one := range all {
		d.point(one.Speed.SI, one.Second.SI, 0, string(one.State))
		fastest = max(fastest, one.Speed.SI)
	}
	solid, put := 1.0, "taken to be one to one: nobody held it solid"
	if held := turning(all, m.Locked); len(held) > 0 {
		solid, _ = e.pairRatio(held)
		put = "held solid, " + e.pairsPut(held)
	}
	d.out.Reckoned = d.along(0, fastest, func(x float64) float64 { return x / solid })
	e.foundRatio("Ratio held solid", solid, 0, none, "i = n_motor / n_out", put, source.Readings)
	rows := turning(all, m.Loaded)
	if len(rows) == 0 {
		e.out.Headline = "Nothing was read at work yet."
		e.out.Next = Next{Text: "Both speeds at work.", Why: "A clutch slips under its load, not before."}
		e.WhyNot("What slips is read at work.")
		return
	}
	rows = e.slipsMost(rows)
	ratio, spread := e.pairRatio(rows)
	slip := 1 - solid/ratio
	spread *= solid / ratio
	if slip < -spread/ratio {
		e.contradicts(Swapped, "The output is read faster than what drives it",
			fmt.Sprintf("%s, where held solid it is "+
				"%s. No clutch does that: the two columns are swapped, or one was misread.", e.pairsPut(rows),
				q.Ratio(solid)))
		return
	}
	e.foundShare("Slip at work", slip, spread/ratio, none, "s = 1 − i_solid / i", e.pairsPut(rows),
		source.Readings)
	e.out.Headline = fmt.Sprintf("It slips by %s at work.", q.Percent(max(slip, 0)))
	heatOf := func(one m.Taken) float64 { return one.Torque.Or(0) * max(one.Speed.SI/solid-one.Second.SI, 0) }
	worst := slices.MaxFunc(rows, func(a, b m.Taken) int { return cmp.Compare(heatOf(a), heatOf(b)) })
	heat := heatOf(worst)
	if worst.Torque.Known {
		e.found("Heat in the clutch", heat, 0, none, q.Power, "P = T · Δω", fmt.Sprintf("%s × %s",
			e.show(worst.Torque.SI, q.Torque),
			e.show(worst.Speed.SI/solid-worst.Second.SI, q.Speed)), source.Mechanics)
	} else {
		e.out.Next = Next{Text: "The torque it carried.", Why: "Slip times torque is the heat in it."}
	}
	if slip > clutchSlipMost+spread/ratio {
		e.say(ClutchSlips, f.Caution, fmt.Sprintf("It slips by %s at work", q.Percent(slip)),
			"All of that is heat in its shoes. Let the motor turn faster, gear it lower, or lessen the load; a "+
				"clutch is no way "+
				"to set a speed.")
	} else {
		e.say(AsReckoned, f.Good, "It holds", "No more slip at work than the tachometer tells.")
	}
	e.correctClutch(worst)
}

// slipsMost are the pairs that slip as much as the one that slips most does: those at another load, or with its lever
// another way, are said and not averaged in.
func (e *evaluator) slipsMost(rows []m.Taken) []m.Taken {
	logs, off := make([]float64, len(rows)), 0.0
	for i, one := range rows {
		logs[i] = math.Log(one.Speed.SI / one.Second.SI)
		off = max(off, e.pairOff(one))
	}
	low, high, apart := differs(logs, off)
	if !apart {
		return rows
	}
	e.say(Scattered, f.Caution, "It slips differently from one reading to the next",
		fmt.Sprintf("%s and %s: another load, "+
			"or its lever on and off. The one that slips most counts.", e.pairsPut(rows[low:low+1]),
			e.pairsPut(rows[high:high+1])))
	var most []m.Taken
	for i := range rows {
		if logs[high]-logs[i] <= past*math.Sqrt2*off {
			most = append(most, rows[i])
		}
	}
	return most
}

func (e *evaluator) correctClutch(worst m.Taken) {
	if !e.stations.Motor.Clutch.Fitted {
		e.WhyNot("The plan's motor has no clutch: say that it has, and it can be taken in.")
		return
	}
	typed := e.written.Readings[worst.Entry]
	d := e.in.Plan.Motor
	d.Clutch.Motor, d.Clutch.Output, d.Clutch.Torque = typed.Speed, typed.Second, typed.Torque
	e.out.Correction = &Correction{Label: "Let the clutch slip like this", Motor: &d, Detail: "Its two speeds and " +
		"torque, as measured."}
}
