package quantity

import (
	"math"
	"strconv"
	"strings"
)

// ThinSpace stands between a number and its unit, and keeps them on one line.
const ThinSpace = "\u202f"

// Show writes an SI value in the system's unit with three significant figures, a thin space
// and a true minus sign. A power of a kilowatt or more is shown in kW, a long time in minutes
// or hours. A value that is not finite is shown as a dash.
func Show(v float64, d Dimension, s System) string { return ShowFigures(v, d, s, 3) }

// ShowFigures is [Show] with a chosen number of significant figures (1 to 12).
func ShowFigures(v float64, d Dimension, s System, figures int) string {
	label, si := Unit(d, s)
	switch {
	case d == Power && s != Inch && math.Abs(v) >= 999.5:
		label, si = "kW", 1000
	case d == Speed && math.Abs(v) >= 999.5*RPM:
		// A tachometer and a plate read four figures here.
		figures = max(figures, 4)
	case d == Duration && math.Abs(v) >= 5400:
		label, si = "h", 3600
	case d == Duration && math.Abs(v) >= 120:
		label, si = "min", 60
	}
	number := Figures(v/si, figures)
	switch label {
	case "":
		return number
	case "°":
		return number + label
	}
	return number + ThinSpace + label
}

// Percent shows a share (0.45) as a whole or three-figure per cent ("45 %").
func Percent(share float64) string { return Figures(share*100, 2) + ThinSpace + "%" }

// Figures writes a number to so many significant figures, without an exponent, trailing
// zeros after the point taken off, thousands from 10 000 up set apart by a thin space.
func Figures(v float64, figures int) string {
	if math.IsNaN(v) || math.IsInf(v, 0) {
		return "—"
	}
	if v == 0 {
		return "0"
	}
	// Rounded to its figures first, so that 9.996 knows it has become 10.
	scientific := strconv.FormatFloat(math.Abs(v), 'e', figures-1, 64)
	mantissa, exponent, _ := strings.Cut(scientific, "e")
	power, _ := strconv.Atoi(exponent)
	text := plainDigits(mantissa, power)
	if strings.Contains(text, ".") {
		text = strings.TrimRight(strings.TrimRight(text, "0"), ".")
	}
	text = groupThousands(text)
	if v < 0 {
		return "−" + text
	}
	return text
}

// plainDigits moves the point of a mantissa such as 1.75 by a power of ten, without an exponent.
func plainDigits(mantissa string, power int) string {
	digits := strings.Replace(mantissa, ".", "", 1)
	switch {
	case power < 0:
		return "0." + strings.Repeat("0", -power-1) + digits
	case power >= len(digits)-1:
		return digits + strings.Repeat("0", power-len(digits)+1)
	}
	return digits[:power+1] + "." + digits[power+1:]
}

func groupThousands(text string) string {
	whole, part, _ := strings.Cut(text, ".")
	if len(whole) < 5 {
		return text
	}
	var b strings.Builder
	for i, digit := range whole {
		if i > 0 && (len(whole)-i)%3 == 0 {
			b.WriteString(ThinSpace)
		}
		b.WriteRune(digit)
	}
	if part != "" {
		b.WriteString("." + part)
	}
	return b.String()
}
