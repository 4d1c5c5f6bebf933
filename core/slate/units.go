package slate

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// shownIn are the units a figure by itself is turned into.
var shownIn = map[q.Dimension][]struct {
	label string
	unit  q.Text
}{
	q.Power:        {{"W", "W"}, {"hp", "hp"}, {"metric hp", "PS"}},
	q.Torque:       {{"N·m", "N·m"}, {"lbf·ft", "lbf·ft"}, {"lbf·in", "lbf·in"}, {"kgf·m", "kgf·m"}},
	q.Length:       {{"mm", "mm"}, {"in", "in"}},
	q.Speed:        {{"rpm", "rpm"}, {"rad/s", "rad/s"}, {"turns/s", "rev/s"}},
	q.SurfaceSpeed: {{"m/min", "m/min"}, {"m/s", "m/s"}, {"ft/min", "ft/min"}},
	q.Force:        {{"N", "N"}, {"kgf", "kgf"}, {"lbf", "lbf"}},
	q.Mass:         {{"kg", "kg"}, {"lb", "lb"}},
	q.Inertia:      {{"kg·m²", "kg·m²"}, {"lb·ft²", "lb·ft²"}},
	q.Temperature:  {{"°C", "°C"}, {"°F", "°F"}},
	q.Pressure:     {{"N/mm²", "N/mm²"}, {"psi", "psi"}},
	q.Energy:       {{"Wh", "Wh"}, {"kJ", "kJ"}},
	q.Duration:     {{"s", "s"}, {"min", "min"}},
}

var unitRules = []rule{
	{
		kind: "conductor", needs: []role{conductor}, without: []role{amps, cable},
		gives: "its size in the other system",
		like:  "12 AWG", when: alone,
		answer: func(a *asked) {
			area := a.num(conductor)
			gauge := 36 - 39*math.Log(math.Sqrt(4*area/math.Pi)/0.127e-3)/math.Log(92)
			a.addText(area, q.Figures(area*1e6, 3)+" mm²", fmt.Sprintf("%.0f AWG nearest", gauge), "section",
				"d = 0.127 mm · 92^((36 − n)/39)", a.items[0].text, source.Conductor)
		},
	},
	{
		kind: "lead", needs: []role{lead}, without: []role{speed}, gives: "the lead in the other system",
		like: "12 TPI",
		when: alone,
		answer: func(a *asked) {
			l := a.num(lead)
			a.addText(l, q.Figures(l*1000, 4)+" mm", q.Figures(inch/l, 4)+" to the inch", "pitch", "25.4 mm / n",
				a.items[0].text, source.Mechanics)
		},
	},
	{
		kind: "convert", gives: "the same in other units", like: "25 lbf·ft",
		when: func(f *facts) bool { return alone(f) && len(f.items[0].dims) > 0 && f.items[0].role != none },
		answer: func(a *asked) {
			m := &a.items[0]
			a.use(m)
			for _, d := range m.dims {
				a.convert(m, d)
			}
		},
	},
}

// alone reports whether a question is one number.
func alone(f *facts) bool { return len(f.items) == 1 }

// convert adds a figure in every unit of a dimension but its own.
func (a *asked) convert(m *item, d q.Dimension) {
	if !a.value(m, d) {
		return
	}
	v := m.si
	for _, to := range shownIn[d] {
		zero, errZero := q.Parse("0 "+to.unit, d)
		one, errOne := q.Parse("1 "+to.unit, d)
		text := q.Figures((v-zero)/(one-zero), 4)
		if errZero != nil || errOne != nil || text == q.Figures(number(m), 4) {
			continue
		}
		answer := a.addText(v, text+"\u202f"+to.label, "", "is "+m.text, "", m.text, source.Mechanics)
		if d == q.Length && to.label == "in" {
			answer.Also = fraction(v / inch)
		}
	}
}

// fraction is the nearest sixty-fourth of an inch, where a rule shows it.
func fraction(inches float64) string {
	parts := math.Round(inches * 64)
	if parts == 0 || inches > 100 {
		return ""
	}
	whole, over, under := math.Floor(parts/64), math.Mod(parts, 64), 64.0
	for over > 0 && math.Mod(over, 2) == 0 {
		over, under = over/2, under/2
	}
	size := ""
	switch {
	case over == 0:
		size = fmt.Sprintf(`%g"`, whole)
	case whole == 0:
		size = fmt.Sprintf(`%g/%g"`, over, under)
	default:
		size = fmt.Sprintf(`%g-%g/%g"`, whole, over, under)
	}
	off := (inches - parts/64) * inch * 1000
	if math.Abs(off) < 0.005 {
		return size
	}
	return fmt.Sprintf("%s nearest, %s mm off", size, q.Figures(math.Abs(off), 2))
}
