package slate

import (
	"fmt"
	"math"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/supply"
)

var electricRules = []rule{
	{
		kind: "capacitor-amps", needs: []role{farads, volts}, gives: "the amps through it, with the hertz",
		like: "12 µF at 230 V 50 Hz",
		answer: func(a *asked) {
			c, v := a.num(farads), a.num(volts)
			f, note := a.lineHertz()
			one := a.add(
				2*math.Pi*f*c*v,
				q.Current,
				"through the capacitor",
				"I = 2π · f · C · V",
				fmt.Sprintf(
					"2π × %s × %s × %s",
					a.show(f, q.Frequency),
					a.show(c, q.Capacitance),
					a.show(v, q.Voltage),
				),
				source.Mechanics,
			)
			one.Note = note
			one.offers("this motor", a.plate()...)
		},
	},
	{
		kind: "reactance", needs: []role{farads, hertz}, without: []role{volts}, gives: "its ohms",
		like: "12 µF at 50 Hz",
		answer: func(a *asked) {
			c, f := a.num(farads), a.num(hertz)
			a.add(1/(2*math.Pi*f*c), q.Resistance, "what the capacitor lets through like", "X = 1 / (2π · f · C)",
				fmt.Sprintf("1 ÷ (2π × %s × %s)", a.show(f, q.Frequency), a.show(c, q.Capacitance)), source.Mechanics)
		},
	},
	{
		kind: "farads", needs: []role{volts, amps, hertz}, gives: "the capacitor, by the amps through it",
		like: "capacitor takes 1.1 A at 230 V 50 Hz",
		when: func(f *facts) bool { return f.has("capacitor", "microfarad", "cap ") },
		answer: func(a *asked) {
			v, i, f := a.num(volts), a.num(amps), a.num(hertz)
			a.add(i/(2*math.Pi*f*v), q.Capacitance, "capacitor that lets so much through", "C = I / (2π · f · V)",
				fmt.Sprintf("%s ÷ (2π × %s × %s)", a.show(i, q.Current), a.show(f, q.Frequency), a.show(v, q.Voltage)),
				source.Mechanics)
		},
	},
	{
		kind: "synchronous", needs: []role{hertz, poleCount}, gives: "the speed of the field", like: "60 Hz 6 poles",
		answer: func(a *asked) {
			f, p := a.num(hertz), a.num(poleCount)
			if math.Mod(p, 2) != 0 {
				a.addText(
					p,
					q.Figures(p, 3)+" poles",
					"",
					"is no motor: poles come in pairs",
					"n = 120 · f / p",
					"",
					source.Mechanics,
				)
				return
			}
			a.synchronous(f, p)
		},
	},
	{
		kind: "slip", needs: []role{hertz, speed}, without: []role{poleCount, farads, torque},
		gives: "the poles and the slip", like: "50 Hz 1430 rpm",
		answer: func(a *asked) { a.synchronous(a.num(hertz), 0) },
	},
	{
		kind: "volts-per-hertz", needs: []role{volts, hertz}, without: []role{amps, farads, conductor},
		gives: "the volts it bears at other hertz", like: "24 000 rpm 400 Hz 220 V",
		when: func(f *facts) bool { return f.holds(speed) || f.holds(poleCount) },
		answer: func(a *asked) {
			v, f := a.num(volts), a.num(hertz)
			a.addText(v/f, q.Figures(v/f, 3)+"\u202fV/Hz", "", "volts for each hertz", "V / f", a.show(v, q.Voltage)+
				" ÷ "+a.show(f, q.Frequency), source.Mechanics)
			mains := 50.0
			if a.sys == q.Inch {
				mains = 60
			}
			if f > 1.5*mains {
				one := a.add(v/f*mains, q.Voltage, "is all it bears at "+a.show(mains, q.Frequency), "V · f2 / f",
					a.show(v, q.Voltage)+" × "+a.show(mains, q.Frequency)+" ÷ "+a.show(f, q.Frequency),
					source.Mechanics)
				one.Note = "Never on the line: only on an inverter that reaches its hertz, with base hertz and " +
					"volts set " +
					"to its plate."
			}
		},
	},
	{
		kind: "stall", needs: []role{ohms, volts}, gives: "the amps at a stall", like: "1.6 Ω on 48 V",
		answer: func(a *asked) {
			r, v := a.num(ohms), a.num(volts)
			i := v / r
			one := a.add(i, q.Current, "if it stalls, with nothing to hold it back", "I = V / R",
				a.show(v, q.Voltage)+" ÷ "+a.show(r, q.Resistance), source.Mechanics)
			one.Note = "All of it heat: " + q.Watts(v*v/r) + ". Fuse it, and set a current limit."
		},
	},
	{
		kind: "heat", needs: []role{ohms, amps}, without: []role{volts}, gives: "the volts and the heat",
		like: "0.9 Ω at 6 A",
		answer: func(a *asked) {
			r, i := a.num(ohms), a.num(amps)
			a.addText(i*i*r, q.Watts(i*i*r), "", "heat in it", "P = I² · R", fmt.Sprintf("%s² × %s", a.show(i,
				q.Current),
				a.show(r, q.Resistance)), source.Mechanics)
			a.add(i*r, q.Voltage, "across it", "V = I · R", a.show(i, q.Current)+" × "+a.show(r, q.Resistance),
				source.Mechanics)
		},
	},
	{
		kind: "drop", needs: []role{amps, conductor, cable}, gives: "the volts a cable loses",
		like: "9 A over 22 m of 2.5 mm² on 230 V",
		answer: func(a *asked) {
			i, area, length := a.num(amps), a.num(conductor), a.num(cable)
			three := a.threePhase()
			lost := supply.Wire{Area: area}.Drop(i, length, three)
			m, _ := a.one(conductor)
			formula, put := "ΔV = 2 · I · ρ · L / A, warm", "there and back"
			if three {
				formula, put = "ΔV = √3 · I · ρ · L / A, warm", "on three phases"
			}
			one := a.add(lost, q.Voltage, "lost in the cable", formula,
				fmt.Sprintf("%s over %s of %s, %s", a.show(i, q.Current), q.Run(length, a.sys), m.text, put),
				source.Resistivity)
			if v, ok := a.one(volts); ok {
				a.use(v)
				one.Also = q.Percent(lost/v.si) + " of " + v.text
				if lost/v.si > 0.05 {
					one.Note = "Over 5 %: a motor on the line may not start. Take a thicker one."
				}
			}
			one.offers("this cable", Fill{Field: "supply.cable", Text: a.typedLength(cable)},
				Fill{Field: "supply.wire", Text: q.Text(m.text)})
		},
	},
	{
		kind: "back-emf", needs: []role{volts, speed}, without: []role{power, torque, amps, poleCount, hertz, farads},
		gives: "what a motor makes for each turn", like: "spun at 900 rpm it makes 62 V",
		when: func(f *facts) bool { return f.has("spun", "spin", "makes", "generat", "back") },
		answer: func(a *asked) {
			v, n := a.num(volts), a.num(speed)
			k := v / n
			one := a.add(
				k,
				q.BackEMF,
				"back-EMF constant",
				"K_e = V / ω",
				a.show(v, q.Voltage)+" ÷ "+q.Figures(n, 4)+" rad/s",
				source.DCMachine,
			)
			one.Also = a.show(k, q.Torque) + " for each amp; " + q.Figures(k*1000*q.RPM, 3) + " V for 1000 rpm"
			one.offers("this reading", Fill{Field: "motor.readings[0].sort", Text: "open"},
				Fill{Field: "motor.readings[0].volts", Text: a.typed(volts)},
				Fill{Field: "motor.readings[0].speed", Text: a.typed(speed)})
		},
	},
	{
		kind: "ohms", needs: []role{volts, amps}, without: []role{power, speed, hertz, conductor},
		gives: "the ohms", like: "held still it takes 3.2 A at 4.5 V",
		when: func(f *facts) bool { return f.has(heldWords...) },
		answer: func(a *asked) {
			v, i := a.num(volts), a.num(amps)
			a.add(v/i, q.Resistance, "resistance", "R = V / I", a.show(v, q.Voltage)+" ÷ "+a.show(i, q.Current),
				source.Mechanics)
		},
	},
	{
		kind: "battery", needs: []role{energy, power}, gives: "how long a battery lasts", like: "430 Wh at 160 W",
		answer: func(a *asked) {
			e, p := a.num(energy), a.num(power)
			a.add(supply.Usable*e/p, q.Duration, "until it wants charging", "t = 0.8 · E / P",
				fmt.Sprintf("%s of %s ÷ %s", q.Percent(supply.Usable), a.show(e, q.Energy), a.show(p, q.Power)),
				source.BatteryShare)
		},
	},
}

// exactly is how near its field a speed must be to be it: nearer than any figure is typed.
const exactly = 1e-9

// lineHertz are the hertz of the question, or the system's usual ones.
func (a *asked) lineHertz() (f float64, note string) {
	if _, ok := a.one(hertz); ok {
		return a.num(hertz), ""
	}
	if a.sys == q.Inch {
		return 60, "Taken at 60 Hz: none were said."
	}
	return 50, "Taken at 50 Hz: none were said."
}

// synchronous adds the field's speed and what a motor slips behind it; poles 0 for those that fit the speed.
func (a *asked) synchronous(f, p float64) {
	n, turning := a.one(speed)
	if turning {
		a.use(n)
	}
	if p == 0 {
		p = motor.NearestPoles(f, n.si)
	}
	field := 4 * math.Pi * f / p
	one := a.add(field, q.Speed, fmt.Sprintf("the field turns, %g poles", p), "n = 120 · f / p",
		fmt.Sprintf("120 × %s ÷ %g", a.show(f, q.Frequency), p), source.Mechanics)
	one.offers("this motor", a.plate()...)
	if !turning {
		return
	}
	slip := 1 - n.si/field
	if math.Abs(slip) < exactly {
		slip = 0
	}
	two := a.addText(slip, q.Percent(slip), "", "slip at "+n.text, "s = 1 − n / n_field",
		"1 − "+a.show(n.si, q.Speed)+" ÷ "+a.show(field, q.Speed), source.Mechanics)
	switch {
	case slip < 0:
		two.Note = "Faster than its field: no induction motor does that by itself. Read it again."
	case slip > 0.15:
		two.Note = "More than induction motors slip under their load: another number of poles, or a fan motor."
	}
}
