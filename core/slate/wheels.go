package slate

import (
	"fmt"
	"math"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/source"
)

var wheelRules = []rule{
	{
		kind: "ratio", needs: []role{speedPair}, gives: "the ratio and the pulleys nearest to it",
		like: "2850 → 480 rpm",
		answer: func(a *asked) {
			from, to := a.two(speedPair)
			ratio := from / to
			one := a.addText(ratio, q.Ratio(ratio), "", "ratio", "i = n1 / n2", a.show(from, q.Speed)+" ÷ "+
				a.show(to, q.Speed), source.Mechanics)
			a.nearest(one, ratio)
		},
	},
	{
		kind: "other-wheel", needs: []role{speedPair, diameter}, gives: "the other wheel",
		like: "900 rpm → 260 rpm with a 90 mm pulley on the motor",
		answer: func(a *asked) {
			fast, slow := a.two(speedPair)
			d := a.num(diameter)
			m, _ := a.one(diameter)
			if onSpindle(m) {
				a.add(d*slow/fast, q.Length, "pulley on the motor", "d1 = d2 · n2 / n1",
					a.show(d, q.Length)+" × "+a.show(slow, q.Speed)+" ÷ "+a.show(fast, q.Speed), source.Mechanics)
				return
			}
			a.add(d*fast/slow, q.Length, "pulley on the machine", "d2 = d1 · n1 / n2",
				a.show(d, q.Length)+" × "+a.show(fast, q.Speed)+" ÷ "+a.show(slow, q.Speed), source.Mechanics)
		},
	},
	{
		kind: "ratio-known", needs: []role{ratioKnown}, without: []role{wheelPair, toothPair, speedPair},
		gives: "the pulleys nearest to it", like: "3.5 to 1 at 1425 rpm",
		answer: func(a *asked) {
			ratio := a.num(ratioKnown)
			one := a.addText(ratio, q.Ratio(ratio), "", "ratio", "i = n1 / n2", a.taken[0].text, source.Mechanics)
			a.nearest(one, ratio)
			a.driven(ratio)
		},
	},
	{
		kind: "pulleys", needs: []role{wheelPair}, gives: "the ratio", like: "75 mm : 240 mm at 1425 rpm",
		answer: func(a *asked) {
			driver, driven := a.two(wheelPair)
			ratio := driven / driver
			one := a.addText(ratio, q.Ratio(ratio), "", "ratio of the wheels", "i = d2 / d1",
				a.show(driven, q.Length)+" ÷ "+a.show(driver, q.Length), source.Mechanics)
			one.offers(
				"these pulleys",
				a.pulleys()...)
			a.driven(ratio)
		},
	},
	{
		kind: "teeth", needs: []role{toothPair}, gives: "the ratio", like: "18 : 54 teeth",
		answer: func(a *asked) {
			driver, driven := a.two(toothPair)
			a.addText(driven/driver, q.Ratio(driven/driver), "", "ratio of the teeth", "i = z2 / z1",
				fmt.Sprintf("%s ÷ %s", q.Figures(driven, 4), q.Figures(driver, 4)), source.Mechanics).
				offers("these wheels",
					stage(reduction.Spur, a.pairs[toothPair].a.number, a.pairs[toothPair].b.number)...)
			a.driven(driven / driver)
			if m, ok := a.one(moduleSize); ok {
				a.use(m)
				a.add(m.si*(driver+driven)/2, q.Length, "between the gears' shafts", "C = m · (z1 + z2) / 2",
					fmt.Sprintf("%s × (%s + %s) ÷ 2", a.show(m.si, q.Length), q.Figures(driver, 4),
						q.Figures(driven, 4)), source.Mechanics)
			}
		},
	},
	{
		kind: "belt", needs: []role{wheelPair, centre}, without: []role{beltLength},
		gives: "the belt's length and its wrap", like: "75 : 240 mm on 400 mm centres",
		answer: func(a *asked) {
			d1, d2 := a.two(wheelPair)
			c := a.num(centre)
			if 2*c <= math.Abs(d2-d1) || 2*c <= (d1+d2)/2 {
				a.add(c, q.Length, "between the shafts is too near", "C > (d1 + d2) / 2",
					a.show(d1, q.Length)+" and "+a.show(d2, q.Length)+" would touch", source.BeltLength)
				return
			}
			a.add(reduction.OpenBelt(d1, d2, c), q.Length, "belt, along its pitch line",
				"L = 2√(C² − (R−r)²) + π(R+r) + 2(R−r)·asin((R−r)/C)",
				fmt.Sprintf("C %s, ⌀ %s and %s", a.show(c, q.Length), a.show(d1, q.Length), a.show(d2, q.Length)),
				source.BeltLength).offers("this belt", append(stage(
				reduction.VBelt,
				a.sizeOf(a.pairs[wheelPair].a),
				a.sizeOf(
					a.pairs[wheelPair].b,
				),
			), Fill{Field: "reduction.stages[0].centre", Text: a.typedLength(centre)})...)
			wrap := a.add(reduction.Wrap(d1, d2, c), q.Angle, "round the small wheel", "θ = π − 2·asin((D−d)/2C)",
				fmt.Sprintf("(%s − %s) over 2 × %s", a.show(max(d1, d2), q.Length), a.show(min(d1, d2), q.Length),
					a.show(c, q.Length)), source.Wrap)
			if !reduction.WrapsEnough(d1, d2, c) {
				wrap.Note = "Under 120° a belt slips early: move the shafts apart, or take it in two stages."
			}
		},
	},
	{
		kind: "centre", needs: []role{wheelPair, beltLength}, gives: "how far apart the shafts stand",
		like: "75 : 240 mm, belt 1250 mm",
		answer: func(a *asked) {
			d1, d2 := a.two(wheelPair)
			length := a.num(beltLength)
			c, ok := reduction.CentreFor(d1, d2, length)
			if !ok {
				a.add(length, q.Length, "of belt is too short for these wheels", "L > π(d1 + d2)/2",
					a.show(d1, q.Length)+" and "+a.show(d2, q.Length), source.BeltLength)
				return
			}
			a.add(c, q.Length, "between the shafts", "L(C) solved for C",
				fmt.Sprintf("L %s, ⌀ %s and %s", a.show(length, q.Length), a.show(d1, q.Length), a.show(d2, q.Length)),
				source.BeltLength).offers("this belt", append(stage(
				reduction.VBelt,
				a.sizeOf(a.pairs[wheelPair].a),
				a.sizeOf(
					a.pairs[wheelPair].b,
				),
			), Fill{Field: "reduction.stages[0].belt", Text: a.typedLength(beltLength)})...)
		},
	},
	{
		kind: "rim", needs: []role{diameter, speed}, without: []role{thickness, mass, surface},
		gives: "the speed of the rim", like: "180 mm wheel at 2850 rpm",
		answer: func(a *asked) {
			d, n := a.num(diameter), a.num(speed)
			says := "at the rim"
			if a.has("belt", "pulley", "sheave") {
				says = "belt speed"
			}
			one := a.add(reduction.BeltSpeed(d, n), q.SurfaceSpeed, says, "v = π · d · n",
				fmt.Sprintf("π × %s × %s turns/s", a.show(d, q.Length), q.Figures(n/(2*math.Pi), 3)), source.BeltSpeed)
			if a.has("wheel", "disc", "disk", "grind", "blade", "chuck") {
				one.Note = "Never over the speed marked on it."
				one.offers(
					"this wheel",
					Fill{Field: "machine.limits.diameter", Text: a.typedLength(diameter)},
				)
			}
			p, powered := a.one(power)
			t, twisted := a.one(torque)
			switch {
			case powered:
				a.use(p)
				a.add(p.si/n/(d/2), q.Force, "at the rim", "F = P / (ω · r)",
					a.show(p.si/n, q.Torque)+" ÷ "+a.show(d/2, q.Length), source.Mechanics)
			case twisted:
				a.use(t)
				a.add(
					t.si/(d/2),
					q.Force,
					"at the rim",
					"F = T / r",
					a.show(t.si, q.Torque)+" ÷ "+a.show(d/2, q.Length),
					source.Mechanics,
				)
			}
		},
	},
	{
		kind: "surface", needs: []role{surface, diameter}, gives: "the speed to turn at",
		like: "25 m/min on a 40 mm bar",
		answer: func(a *asked) {
			v, d := a.num(surface), a.num(diameter)
			n := v / (d / 2)
			one := a.add(n, q.Speed, "speed for that surface speed", "n = v / (π · d)",
				a.show(v, q.SurfaceSpeed)+" over π × "+a.show(d, q.Length), source.Mechanics)
			one.offers("this job", Fill{Field: "machine.jobs[0].speed.by", Text: "surface"},
				Fill{Field: "machine.jobs[0].speed.surface", Text: a.typed(surface)},
				Fill{Field: "machine.jobs[0].speed.diameterFrom", Text: a.typedLength(diameter)},
				Fill{Field: "machine.jobs[0].speed.diameterTo", Text: a.typedLength(diameter)})
		},
	},
	{
		kind: "screw", needs: []role{lead, feedPerTurn, speed}, gives: "the speed of the screw",
		like: "12 TPI, 0.05 mm/rev at 300 rpm",
		answer: func(a *asked) {
			l, f, n := a.num(lead), a.num(feedPerTurn), a.num(speed)
			a.add(n*f/l, q.Speed, "speed of the screw", "n_screw = n · f / lead",
				fmt.Sprintf("%s × %s ÷ %s", a.show(n, q.Speed), a.fine(f), a.fine(l)), source.Mechanics)
			a.addText(l/f, q.Ratio(l/f), "", "spindle turns for one of the screw", "i = lead / f",
				a.fine(l)+" ÷ "+a.fine(f), source.Mechanics)
		},
	},
	{
		kind: "travel", needs: []role{lead, speed}, without: []role{feedPerTurn}, gives: "how fast the nut travels",
		like: "lead 5 mm at 200 rpm",
		answer: func(a *asked) {
			l, n := a.num(lead), a.num(speed)
			v := l * n / (2 * math.Pi)
			metric, imperial := q.Figures(v*60e3, 3)+" mm/min", q.Figures(v*60/inch, 3)+" in/min"
			if a.sys == q.Inch {
				metric, imperial = imperial, metric
			}
			a.addText(
				v,
				metric,
				imperial,
				"travel",
				"v = lead · n",
				a.fine(l)+" × "+a.show(n, q.Speed),
				source.Mechanics,
			)
		},
	},
}

// onSpindle reports whether a wheel is said to be the machine's and not the motor's, by the last word before it that
// tells, else by what follows.
func onSpindle(m *item) bool {
	machine, motor := []string{"spindle", "machine", "driven", "lathe", "work"}, []string{"motor", "driver", "driving"}
	last := func(words []string, in string) int {
		at := -1
		for _, w := range words {
			at = max(at, strings.LastIndex(in, " "+w+" "))
		}
		return at
	}
	for _, words := range []string{m.after, m.before} {
		if on, off := last(machine, words), last(motor, words); on != off {
			return on > off
		}
	}
	return false
}

// nearest says which pulleys make a ratio, or that no one pair of them does.
func (a *asked) nearest(one *Answer, ratio float64) {
	driver, driven := nearestPulleys(ratio, a.sys)
	if off := driven / driver / ratio; off > 1.03 || off < 0.97 {
		one.Also = "no one pair of pulleys makes it: two stages of " + q.Ratio(math.Sqrt(ratio)) + " each"
		return
	}
	one.Also = fmt.Sprintf("pulleys nearest: %s to %s, %s", a.show(driver/1000, q.Length),
		a.show(driven/1000, q.Length), q.Ratio(driven/driver))
	one.offers("these pulleys", stage(
		reduction.VBelt, q.WrittenLength(driver, a.sys), q.WrittenLength(driven, a.sys))...)
}

// driven adds what a motor's speed and torque become behind a ratio.
func (a *asked) driven(ratio float64) {
	if n, ok := a.one(speed); ok {
		a.use(n)
		a.add(n.si/ratio, q.Speed, "at the driven shaft, before slip", "n2 = n1 / i", a.show(n.si, q.Speed)+" ÷ "+
			q.Figures(ratio, 4), source.Mechanics)
	}
	if t, ok := a.one(torque); ok {
		a.use(t)
		a.add(t.si*ratio, q.Torque, "at the driven shaft, before losses", "T2 = T1 · i", a.show(t.si, q.Torque)+" × "+
			q.Figures(ratio, 4), source.Mechanics)
	}
}

// nearestPulleys are the two preferred sizes (mm) whose ratio lies nearest, the smaller ones where several do.
func nearestPulleys(ratio float64, sys q.System) (driver, driven float64) {
	best := math.Inf(1)
	sizes := reduction.PulleySizes(sys)
	for _, one := range sizes {
		for _, two := range sizes {
			if off := math.Abs(math.Log(two / one / ratio)); one >= 63 && two >= 63 && off < best-1e-4 {
				best, driver, driven = off, one, two
			}
		}
	}
	return driver, driven
}

// pulleys are the entries of a stage with the two wheels of the question, and more.
func (a *asked) pulleys(more ...Fill) []Fill {
	p := a.pairs[wheelPair]
	return append(stage(
		reduction.VBelt, a.sizeOf(p.a), a.sizeOf(p.b)), more...)
}

// stage are the entries of one stage.
func stage(kind reduction.Kind, driver, driven q.Text) []Fill {
	return []Fill{{Field: "reduction.stages[0].kind", Text: q.Text(kind)},
		{Field: "reduction.stages[0].steps[0].driver", Text: driver},
		{Field: "reduction.stages[0].steps[0].driven", Text: driven}}
}

// sizeOf is a length as typed, with its unit where it was left to the person's system or to the other of a pair.
func (a *asked) sizeOf(m *item) q.Text {
	unit := m.unit
	if unit == "" {
		unit = "mm"
		if a.sys == q.Inch {
			unit = "in"
		}
	}
	return m.number + q.Text(" "+unit)
}

func (a *asked) typedLength(as role) q.Text {
	m, _ := a.one(as)
	return a.sizeOf(m)
}

// fine is a small length with what it is.
func (a *asked) fine(v float64) string {
	if a.sys == q.Inch {
		return q.Figures(v/inch, 3) + " in"
	}
	return q.Figures(v*1000, 3) + " mm"
}
