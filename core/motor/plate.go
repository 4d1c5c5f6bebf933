package motor

import (
	"math"
	"regexp"
	"strconv"
	"strings"

	q "jiriki/core/quantity"
)

// pairForm is two numbers on a plate with one unit after them, such as 230/400 V or 3.3/1.9.
var pairForm = regexp.MustCompile(`^\s*(\d+(?:[.,]\d+)?)\s*/\s*(\d+(?:[.,]\d+)?)\s*([^\d/]*)$`)

// pair splits a plate entry of two figures, keeping the unit with each.
func pair(t q.Text) (first, second q.Text, ok bool) {
	if !strings.Contains(string(t), "/") {
		return t, t, false // most entries are one figure, and the form is slow to say so
	}
	m := pairForm.FindStringSubmatch(string(t))
	if m == nil {
		return t, t, false
	}
	unit := strings.TrimSpace(m[3])
	return q.Text(m[1] + " " + unit), q.Text(m[2] + " " + unit), true
}

// fraction reports whether what looks like a pair is one figure, as in "3/4 hp": whole numbers in
// lowest terms, over a two, three, four, six, eight and so on.
func fraction(t q.Text) bool {
	m := pairForm.FindStringSubmatch(string(t))
	if m == nil {
		return false
	}
	over, errOver := strconv.Atoi(m[1])
	under, errUnder := strconv.Atoi(m[2])
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
// time and S3 for a share of it, by first-order heating; 1 for S1 or words that say nothing.
func steadyShare(duty string) float64 {
	number := func(m []string) float64 {
		v, _ := strconv.ParseFloat(m[1], 64)
		return v
	}
	if m := cyclic.FindStringSubmatch(duty); m != nil {
		return math.Sqrt(math.Min(math.Max(number(m)/100, 0.01), 1))
	}
	m := shortTime.FindStringSubmatch(duty)
	if m == nil {
		m = minutes.FindStringSubmatch(duty)
	}
	if m == nil {
		return 1
	}
	return math.Sqrt(-math.Expm1(-math.Max(number(m), 1) * 60 / HeatingTime))
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
