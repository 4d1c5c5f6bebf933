package slate

import (
	"fmt"
	"math"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// usual is what a motor of a small shop machine keeps, where nothing is said [common practice].
const usual = 0.75

// most is what no small motor keeps more than of what goes into it, 746 W to 1 hp [common practice].
const most = 0.9

var powerRules = []rule{
	{
		kind: "torque", needs: []role{power, speed}, gives: "the torque", like: "1.4 hp at 2850 rpm",
		answer: func(a *asked) {
			p, n := a.num(power), a.num(speed)
			t := a.add(p/n, q.Torque, "torque", "T = P / ω", a.show(p, q.Power)+" ÷ "+q.Figures(n, 4)+" rad/s",
				source.Mechanics)
			if m, _ := a.one(speed); turns(m) {
				t.Note = fmt.Sprintf("Watts over turns a second would be %s: 2π too many. A turn is 2π radians.",
					a.show(p/(n/(2*math.Pi)), q.Torque))
			}
			t.offers("this motor", a.plate()...)
		},
	},
	{
		kind: "constant-torque", needs: []role{power}, gives: "its power at another speed, at the same torque",
		like: "0.75 kW constant torque at a third of the speed",
		when: func(f *facts) bool { return f.has("constant torque", "same torque") && f.shareOfSpeed() > 0 },
		answer: func(a *asked) {
			p, share := a.num(power), a.shareOfSpeed()
			for _, m := range a.all(speed) {
				a.use(m)
			}
			a.add(p*share, q.Power, "at that speed, the torque as it was", "P = T · ω, so P₂ = P · n₂ / n",
				a.show(p, q.Power)+" × "+q.Figures(share, 3), source.Mechanics)
		},
	},
	{
		kind: "power", needs: []role{torque, speed}, gives: "the power", like: "12 N·m at 240 rpm",
		answer: func(a *asked) {
			t, n := a.num(torque), a.num(speed)
			one := a.add(t*n, q.Power, "power", "P = T · ω", a.show(t, q.Torque)+" × "+q.Figures(n, 4)+" rad/s",
				source.Mechanics)
			job := []Fill{{Field: "machine.jobs[0].load.by", Text: "torque"},
				{Field: "machine.jobs[0].load.torque", Text: a.typed(torque)},
				{Field: "machine.jobs[0].speed.from", Text: a.typed(speed)},
				{Field: "machine.jobs[0].speed.to", Text: a.typed(speed)}}
			one.offers("this job", job...)
		},
	},
	{
		kind: "speed", needs: []role{torque, power}, without: []role{speed}, gives: "the speed",
		like: "750 W and 5 N·m",
		answer: func(a *asked) {
			t, p := a.num(torque), a.num(power)
			a.add(p/t, q.Speed, "speed at which that power makes that torque", "ω = P / T",
				a.show(p, q.Power)+" ÷ "+a.show(t, q.Torque), source.Mechanics)
		},
	},
	{
		kind: "torque-at-arm", needs: []role{force, radius}, gives: "the torque", like: "5 kg at 180 mm",
		answer: func(a *asked) {
			f, r := a.num(force), a.num(radius)
			one := a.add(
				f*r,
				q.Torque,
				"torque of the pull",
				"T = F · r",
				a.show(f, q.Force)+" × "+a.show(r, q.Length),
				source.Mechanics,
			)
			one.offers("this load", Fill{Field: "machine.jobs[0].load.by", Text: "torque"},
				Fill{Field: "machine.jobs[0].load.torque", Text: a.typed(force) + " at " + a.typed(radius)})
			if m, ok := a.one(speed); ok {
				a.use(m)
				one.Fills = append(one.Fills, Fill{Field: "machine.jobs[0].speed.from", Text: a.typed(speed)},
					Fill{Field: "machine.jobs[0].speed.to", Text: a.typed(speed)})
				a.add(f*r*m.si, q.Power, "power it takes", "P = F · r · ω", a.show(f*r, q.Torque)+" × "+
					q.Figures(m.si, 4)+" rad/s", source.Mechanics)
			}
		},
	},
	{
		kind: "force", needs: []role{torque, radius}, without: []role{force}, gives: "the force at that radius",
		like: "40 N·m on a 200 mm lever",
		answer: func(a *asked) {
			t, r := a.num(torque), a.num(radius)
			a.add(t/r, q.Force, "force at that radius", "F = T / r", a.show(t, q.Torque)+" ÷ "+a.show(r, q.Length),
				source.Mechanics)
		},
	},
	{
		kind: "out-of-plate", needs: []role{volts, amps}, without: []role{conductor, cable},
		gives: "the most that can come out of the motor", like: "110 V 6.5 A, plate says 1 hp",
		when:   func(f *facts) bool { return !f.has(heldWords...) },
		answer: answerPlate,
	},
	{
		kind: "amps", needs: []role{power, volts}, without: []role{amps}, gives: "the amps", like: "1.1 kW on 230 V",
		answer: func(a *asked) {
			p, v := a.num(power), a.num(volts)
			root, put := 1.0, ""
			if a.threePhase() {
				root, put = math.Sqrt(3), " × √3"
			}
			if a.has("heater", "kettle", "element", "lamp", "bulb", "oven", "toaster", "resistor", "iron") {
				a.add(p/(v*root), q.Current, "taken by it: what only heats takes no more than its watts", "I = P / V",
					a.show(p, q.Power)+" ÷ "+a.show(v, q.Voltage)+put, source.Mechanics)
				return
			}
			one := a.add(
				p/(usual*v*root),
				q.Current,
				"taken at that power, about",
				"I = P / (η · V), a motor keeping 75 %",
				fmt.Sprintf(
					"%s ÷ (75 %% × %s%s)",
					a.show(p, q.Power),
					a.show(v, q.Voltage),
					put,
				),
				source.PlateEfficient,
			)
			one.Note = "A guess: the plate's own amps go before it."
			one.offers("this motor", a.plate()...)
		},
	},
}

// answerPlate holds volts and amps against a plate.
func answerPlate(a *asked) {
	v, i := a.num(volts), a.num(amps)
	root, put := 1.0, ""
	if a.threePhase() {
		root, put = math.Sqrt(3), " × √3"
	}
	formula := "P ≤ 0.9 · V · I"
	if m, ok := a.one(factor); ok && m.si <= 1 {
		a.use(m)
		root *= m.si
		put += " × " + q.Figures(m.si, 3)
		formula = "P ≤ 0.9 · V · I · cos φ"
	}
	in := v * i * root
	one := a.add(most*in, q.Power, "the most that can come out", formula,
		fmt.Sprintf("90 %% of %s × %s%s = %s", a.show(v, q.Voltage), a.show(i, q.Current), put, a.show(in, q.Power)),
		source.PlateEfficient)
	one.offers("this motor", a.plate()...)
	if m, ok := a.one(power); ok {
		a.use(m)
		switch share := m.si / in; {
		case share > 1:
			one.Note = fmt.Sprintf("%s is more than goes in. That power is a peak, or a sale's.", m.text)
		case share > most:
			one.Note = fmt.Sprintf(
				"%s would be %s of what goes in: no small motor keeps that.",
				m.text,
				q.Percent(share),
			)
		default:
			one.Note = fmt.Sprintf("%s is %s of what goes in, which a motor can keep.", m.text, q.Percent(share))
		}
	}
	a.add(in, q.Power, "goes in", strings.Replace(formula, "≤ 0.9 ·", "=", 1), a.show(v, q.Voltage)+" × "+a.show(i,
		q.Current)+put, source.Mechanics)
}

// heldWords tell that a motor was held, so that its volts and amps are of its ohms.
var heldWords = []string{"held", "locked", "stall", "still", "resist", "ohm"}

// partsOf are parts of a whole as they are said.
var partsOf = map[string]float64{"half": 1. / 2, "third": 1. / 3, "quarter": 1. / 4, "fifth": 1. / 5, "sixth": 1. / 6,
	"eighth": 1. / 8, "tenth": 1. / 10}

// shareOfSpeed is what part of its speed a question asks about: in words, or the second of two speeds over the first;
// 0 where it does not say.
func (f *facts) shareOfSpeed() float64 {
	for word, share := range partsOf {
		if strings.Contains(" "+f.text, " "+word) && f.has("speed", "rpm") {
			return share
		}
	}
	if all := f.all(speed); len(all) == 2 && all[0].si > 0 {
		return all[1].si / all[0].si
	}
	return 0
}

// threePhase reports whether the question speaks of three phases.
func (f *facts) threePhase() bool {
	return f.has("three phase", "three-phase", "3 phase", "3-phase", "3ph")
}

// turns reports whether a speed was given in turns a second.
func turns(m *item) bool {
	switch m.unit {
	case "rev/s", "rps", "r/s", "turns/s":
		return true
	}
	return false
}

// typed is how a role's figure was typed.
func (a *asked) typed(as role) q.Text {
	m, ok := a.one(as)
	if !ok {
		return ""
	}
	return q.Text(m.text)
}
