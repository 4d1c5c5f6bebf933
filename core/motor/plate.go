package motor

import (
	"math"
	"regexp"
	"strconv"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/thermal"
)

// pair splits a plate entry of two figures with one unit after them, such as 230/400 V or 3.3/1.9, keeping the
// unit with each.
func pair(t q.Text) (first, second q.Text, ok bool) {
	over, under, unit, ok := twoFigures(t)
	if !ok {
		return t, t, false
	}
	return q.Text(over + " " + unit), q.Text(under + " " + unit), true
}

// twoFigures are the plain figures over and under a stroke, and the unit after them.
func twoFigures(t q.Text) (over, under, unit string, ok bool) {
	left, right, ok := strings.Cut(string(t), "/")
	if !ok {
		return "", "", "", false
	}
	over, rest := leadingFigure(strings.TrimSpace(left))
	under, unit = leadingFigure(strings.TrimSpace(right))
	ok = over != "" && rest == "" && under != "" && !strings.ContainsAny(unit, "/0123456789")
	return over, under, strings.TrimSpace(unit), ok
}

// leadingFigure is the plain number a text begins with, such as 3.3, and what follows; "" where it begins with
// none.
func leadingFigure(s string) (figure, rest string) {
	end := leadingDigits(s)
	if end > 0 && end < len(s) && (s[end] == '.' || s[end] == ',') {
		if more := leadingDigits(s[end+1:]); more > 0 {
			end += 1 + more
		}
	}
	return s[:end], s[end:]
}

// leadingDigits is how many digits a text begins with.
func leadingDigits(s string) int {
	return len(s) - len(strings.TrimLeft(s, "0123456789"))
}

// fraction reports whether what looks like a pair is one figure, as in "3/4 hp": whole numbers in
// lowest terms, over a two, three, four, six, eight and so on.
func fraction(t q.Text) bool {
	first, second, _, _ := twoFigures(t)
	over, errOver := strconv.Atoi(first)
	under, errUnder := strconv.Atoi(second)
	if errOver != nil || errUnder != nil || over >= under {
		return false
	}
	switch under {
	case 2, 3, 4, 5, 6, 8, 16, 32, 64:
		return commonDivisor(over, under) == 1
	}
	return false
}

func commonDivisor(a, b int) int {
	for b != 0 {
		a, b = b, a%b
	}
	return a
}

// pointOf takes from the ranges on a plate one point it is rated at: the upper volts with the fewer amps. Two hertz
// have two speeds, which stand for a pair; a speed by itself is the most.
func (p Plate) pointOf() Plate {
	p.Volts, p.Amps = p.Volts.Ranges("$2"), p.Amps.Ranges("$2")
	speed := "$2"
	if hertz := p.Hertz.Ranges("$1/$2"); hertz != p.Hertz {
		p.Hertz, speed = hertz, "$1/$2"
	}
	p.Speed = p.Speed.Ranges(speed)
	return p
}

// settings chooses from the pairs on a plate what its links and its supply make of it. Lower volts
// go with higher amps; amps are a pair wherever volts are. Nobody engraves volts, hertz or speed
// as a fraction, but power is.
func (p Plate) settings() Plate {
	a, b, two := pair(p.Volts)
	if two {
		p.Volts = lower(a, b, q.Voltage, p.Links != "high")
	}
	if a, b, ok := pair(p.Amps); ok && (two || !fraction(p.Amps)) {
		p.Amps = lower(a, b, q.Current, p.Links == "high")
	}
	for _, t := range []*q.Text{&p.Hertz, &p.Speed, &p.Power} {
		if a, b, ok := pair(*t); ok && (t != &p.Power || !fraction(*t)) {
			*t = a
			if p.Column == "second" {
				*t = b
			}
		}
	}
	return p
}

// lower is the lower of two, or the higher.
func lower(a, b q.Text, d q.Dimension, low bool) q.Text {
	x, errX := q.Parse(a, d)
	y, errY := q.Parse(b, d)
	if errX != nil || errY != nil || (x <= y) == low {
		return a
	}
	return b
}

var (
	shortTime = regexp.MustCompile(`(?i)\bS2\b\D*(\d+(?:\.\d+)?)\s*min`)
	cyclic    = regexp.MustCompile(`(?i)\bS3\b\D*(\d+(?:\.\d+)?)\s*%`)
	minutes   = regexp.MustCompile(`(?i)^\s*(\d+(?:\.\d+)?)\s*min`)
)

// steadyShare is how much of its rated power a motor of a duty class gives all day: S2 for a
// time from cold and S3 for a share of it, as winding and case warm; 1 for S1 or words that say nothing.
func steadyShare(duty string) float64 {
	number := func(m []string) float64 {
		v, _ := strconv.ParseFloat(m[1], 64)
		return v
	}
	if m := cyclic.FindStringSubmatch(duty); m != nil {
		return math.Sqrt(min(max(number(m)/100, 0.01), 1))
	}
	m := shortTime.FindStringSubmatch(duty)
	if m == nil {
		m = minutes.FindStringSubmatch(duty)
	}
	if m == nil {
		return 1
	}
	cold := thermal.State{}
	return math.Sqrt(thermal.Of(caseTime).After(cold, 1, 1, max(number(m), 1)*60).Winding)
}

// bodyClass is what a permanent-magnet motor's body tells of a plate without a speed
// [common practice]: the speed such motors are made for, and how far off that may be.
type bodyClass struct {
	from, to float64 // m across
	name     string
	speed    float64 // rad/s
	spread   float64
}

var bodyClasses = []bodyClass{
	{
		from:   0.076,
		to:     0.0945,
		name:   "small high-speed class: minutes at a time, drilling",
		speed:  4000 * q.RPM,
		spread: 0.35,
	},
	{from: 0.0945, to: 0.135, name: "large class, fit for hours of work", speed: 2200 * q.RPM, spread: 0.35},
}

// class is the body's class, or false when it was not measured or fits none.
func (m *Resolved) class() (bodyClass, bool) {
	for _, c := range bodyClasses {
		if m.Body.Diameter >= c.from && m.Body.Diameter < c.to {
			return c, true
		}
	}
	return bodyClass{}, false
}
