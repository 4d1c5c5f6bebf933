package slate

import (
	"fmt"
	"math"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/work"
)

var motionRules = []rule{
	{
		kind: "inertia", needs: []role{mass, diameter}, without: []role{inertia}, gives: "the inertia",
		like: "14 kg disc 320 mm across",
		answer: func(a *asked) {
			m, d := a.num(mass), a.num(diameter)
			share, shape := 0.5, "disc"
			if a.has("ring", "rim of", "hoop") {
				share, shape = 1, "ring"
			}
			a.turning(
				share*m*d*d/4,
				shape,
				fmt.Sprintf("%s × %s × (%s ÷ 2)²", q.Figures(share, 3), a.show(m, q.Mass), a.show(d, q.Length)),
			)
		},
	},
	{
		kind: "inertia-made", needs: []role{diameter, thickness}, without: []role{mass, inertia},
		gives: "the weight and the inertia of a disc", like: "steel disc 300 mm by 25 mm thick",
		when: func(f *facts) bool { _, _, ok := work.DensityIn(f.text); return ok },
		answer: func(a *asked) {
			d, t := a.num(diameter), a.num(thickness)
			density, material, _ := work.DensityIn(a.text)
			m := density * math.Pi / 4 * d * d * t
			a.add(
				m,
				q.Mass,
				material+" disc",
				"m = ρ · π/4 · d² · t",
				fmt.Sprintf(
					"%s × π/4 × (%s)² × %s",
					a.show(density, q.Density),
					a.show(d, q.Length),
					a.show(t, q.Length),
				),
				source.InertiaShapes,
			)
			a.turning(m*d*d/8, "disc", fmt.Sprintf("0.5 × %s × (%s ÷ 2)²", a.show(m, q.Mass), a.show(d, q.Length)))
		},
	},
	{
		kind: "run-up", needs: []role{inertia, speed, torque}, gives: "the time to speed",
		like: "0.3 kg·m² to 280 rpm with 6 N·m",
		answer: func(a *asked) {
			a.runUp(a.num(inertia))
		},
	},
	{
		kind: "torque-for-time", needs: []role{inertia, speed, duration}, without: []role{torque},
		gives: "the torque it takes", like: "0.3 kg·m² to 280 rpm in 4 s",
		answer: func(a *asked) {
			j, n, t := a.num(inertia), a.num(speed), a.num(duration)
			a.add(j*n/t, q.Torque, "to be up to speed in that time", "T = J · ω / t",
				fmt.Sprintf("%s × %s rad/s ÷ %s", a.show(j, q.Inertia), q.Figures(n, 3), a.show(t, q.Duration)),
				source.InertiaShapes)
		},
	},
	{
		kind: "turns-timed", needs: []role{duration}, without: []role{inertia, speed, torque, power},
		gives: "the speed, with a count of turns", like: "22 turns in 15 s",
		when: func(f *facts) bool { return f.has("turn", "rev") && len(f.items) >= 2 && f.count() != nil },
		answer: func(a *asked) {
			n, t := a.count(), a.num(duration)
			a.use(n)
			a.add(2*math.Pi*number(n)/t, q.Speed, "as it was timed", "n = turns / t",
				fmt.Sprintf("%s in %s", q.Figures(number(n), 4), a.show(t, q.Duration)), source.Typed)
		},
	},
	{
		kind: "strobe", needs: []role{flashes}, gives: "the speeds it may turn at",
		like: "strobe, one image at 720 and 960", answer: answerStrobe,
	},
}

// turning adds an inertia, and how long it takes to speed where that was asked.
func (a *asked) turning(j float64, shape, put string) {
	formula := "J = ½ · m · r²"
	if shape == "ring" {
		formula = "J = m · r²"
	}
	a.add(j, q.Inertia, "inertia of the "+shape, formula, put, source.InertiaShapes)
	if a.holds(torque) && a.holds(speed) {
		a.runUp(j)
	}
	if n, ok := a.one(speed); ok {
		a.use(n)
		a.add(j*n.si*n.si/2, q.Energy, "stored at "+n.text, "E = ½ · J · ω²",
			fmt.Sprintf("½ × %s × (%s rad/s)²", a.show(j, q.Inertia), q.Figures(n.si, 3)), source.Mechanics)
	}
}

func (a *asked) runUp(j float64) {
	n, t := a.num(speed), a.num(torque)
	a.add(j*n/t, q.Duration, "from rest to speed, all of the torque going into it", "t = J · ω / T",
		fmt.Sprintf("%s × %s rad/s ÷ %s", a.show(j, q.Inertia), q.Figures(n, 3), a.show(t, q.Torque)),
		source.InertiaShapes)
}

// count is the number before turns or revs that has no unit, nil for none.
func (f *facts) count() *item {
	for i := range f.items {
		if m := &f.items[i]; m.unit == "" && m.sort == "" && (strings.HasPrefix(m.after, " turn") ||
			strings.HasPrefix(m.after, " rev")) {
			return m
		}
	}
	return nil
}

// answerStrobe says which speeds are seen so: at a rate f with b images the shaft turns at a·f/b, a and b without a
// common part.
func answerStrobe(a *asked) {
	rates := a.all(flashes)
	if each := a.imagesEach(rates); each != nil {
		a.answerLooks(rates, each)
		return
	}
	seen := 1.0
	if m, ok := a.one(imageCount); ok && whole(m) && number(m) <= mostImages {
		a.use(m)
		seen = number(m)
	}
	a.use(rates...)
	if len(rates) == 1 {
		f := rates[0].si
		var list []string
		for k := 1.0; len(list) < 5; k++ {
			if apartFrom(k, seen) {
				list = append(list, q.Figures(k*f/seen/q.RPM, 4))
			}
		}
		one := a.add(f/seen, q.Speed, "or a whole number of times that", "n = a · f / b",
			fmt.Sprintf("%s flashes a minute, %g seen", q.Figures(f/q.RPM, 4), seen), source.Strobe)
		one.Also = "it may turn at " + strings.Join(list, ", ") + " … rpm"
		one.Note = "Turn the rate up till one image stands for the last time: that is its speed."
		return
	}
	slices.SortFunc(rates, func(a, b *item) int { return int(math.Copysign(1, b.si-a.si)) })
	high, low := rates[0].si, rates[1].si
	if high-low < 1e-6*high {
		return
	}
	// Neighbouring rates at which one image stands are n/k and n/(k+1).
	n := high * low / (high - low) / seen
	k := n * seen / high
	one := a.add(n, q.Speed, "if nothing stood between these two rates", "n = f1 · f2 / (f1 − f2)",
		fmt.Sprintf("%s × %s ÷ %s", q.Figures(high/q.RPM, 4), q.Figures(low/q.RPM, 4), q.Figures((high-low)/q.RPM, 4)),
		source.Strobe)
	if off := math.Abs(k - math.Round(k)); off > 0.1 {
		one.Note = "The two do not fit one speed well: a rate was misread, or another stood between."
	}
}

// mostImages is as many standing images as can be counted.
const mostImages = 12

// imagesEach is how many images were seen at each of several rates, in their order; nil where that is not said of all.
func (f *facts) imagesEach(rates []*item) []float64 {
	if len(rates) < 2 {
		return nil
	}
	var each []float64
	for i := range f.items {
		m := &f.items[i]
		if m.role == imageCount && i > 0 && f.items[i-1].role == flashes && whole(m) && number(m) <= mostImages {
			each = append(each, number(m))
		}
	}
	if len(each) != len(rates) {
		return nil
	}
	return each
}

// answerLooks says which speeds fit several looks, each at a rate with its own count of images, and where to look
// next: at the next speed that fits, one image stands only if it turns so fast.
func (a *asked) answerLooks(rates []*item, each []float64) {
	a.use(rates...)
	for i := range a.items {
		if a.items[i].role == imageCount {
			a.use(&a.items[i])
		}
	}
	var fit []float64
	put := make([]string, len(rates))
	for i := range rates {
		put[i] = fmt.Sprintf("%s seen as %g", q.Figures(rates[i].si/q.RPM, 4), each[i])
	}
	const turns = 24 // of a flash, past which nobody looks
	for k := 1.0; k <= turns*each[0] && len(fit) < 4; k++ {
		n := k * rates[0].si / each[0]
		if apartFrom(k, each[0]) && fits(n, rates, each) {
			fit = append(fit, n)
		}
	}
	said := strings.Join(put, ", ")
	if len(fit) == 0 {
		one := a.addText(rates[0].si, "no speed", "", "is seen like that at all of these rates", "n = a · f / b", said,
			source.Strobe)
		one.Note = "A rate or a count was misread: look again."
		return
	}
	one := a.add(fit[0], q.Speed, "the slowest that is seen so at all of them", "n = a · f / b, the same n for each",
		said, source.Strobe)
	if len(fit) > 1 {
		list := make([]string, len(fit)-1)
		for i, n := range fit[1:] {
			list[i] = q.Figures(n/q.RPM, 4)
		}
		one.Also = "or, if it can turn so fast, " + strings.Join(list, ", ") + " … rpm"
		one.Note = "Look at " + list[0] + " next: one image there only if it turns so fast."
	}
}

// fits reports whether a speed is seen at each rate as so many images: at f it makes b of them where it turns a·f/b, a
// and b without a common part.
func fits(n float64, rates []*item, each []float64) bool {
	const near = 0.004 // as a rate is set by hand
	for i, r := range rates {
		k := n * each[i] / r.si
		if a := math.Round(k); a < 1 || math.Abs(k-a) > near*a || !apartFrom(a, each[i]) {
			return false
		}
	}
	return true
}

// apartFrom reports whether two whole numbers have no common part.
func apartFrom(a, b float64) bool {
	for b != 0 {
		a, b = b, math.Mod(a, b)
	}
	return a == 1
}
