package quantity

import (
	"bytes"
	"math"
	"strconv"
)

// ThinSpace stands between a number and its unit, and keeps them on one line.
const ThinSpace = "\u202f"

// Show writes an SI value in the system's unit with three significant figures, a thin space
// and a true minus sign. A power of a kilowatt or more is shown in kW, ten metres or more in metres or
// feet, a long time in minutes or hours. A value that is not finite is shown as a dash.
func Show(v float64, d Dimension, s System) string { return ShowFigures(v, d, s, 3) }

// Watts writes power that is heat: in watts whatever the system, as nobody reckons heat in horsepower.
func Watts(v float64) string { return Show(v, Power, Metric) }

// ShowDown writes a quantity to three figures rounded towards nothing, for a most that must hold when it is typed
// back in.
func ShowDown(v float64, d Dimension, s System) string {
	_, si := Unit(d, s)
	x := math.Abs(v) / si
	if x == 0 || math.IsInf(x, 0) || math.IsNaN(x) {
		return Show(v, d, s)
	}
	scale := math.Pow10(2 - int(math.Floor(math.Log10(x))))
	return Show(math.Copysign(math.Floor(x*scale+noise)/scale*si, v), d, s)
}

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
	case d == Length && math.Abs(v) >= 9.995:
		if label, si = "m", 1; s == Inch {
			label, si = "ft", foot
		}
	case d == Temperature:
		v -= zeroOf(label)
	}
	var room [48]byte
	out := AppendFigures(room[:0], v/si, figures)
	if label != "" && label != "°" {
		out = append(out, ThinSpace...)
	}
	return string(append(out, label...))
}

// Percent shows a share (0.45) as per cent in two figures ("45 %"), and in three near and past the whole
// ("99.7 %", "104 %"): what is a little off the whole must not be shown as it.
func Percent(share float64) string {
	figures := 2
	if math.Abs(share) >= 0.995 {
		figures = 3
	}
	var room [24]byte
	return string(append(AppendFigures(room[:0], share*100, figures), ThinSpace+"%"...))
}

// Ratio writes a speed ratio (driver over driven) as "7.29 : 1", or "1 : 1.5" when it gears up, kept
// on one line.
func Ratio(ratio float64) string {
	const to = ThinSpace + ":" + ThinSpace
	if ratio < 1 {
		return "1" + to + Figures(1/ratio, 3)
	}
	return Figures(ratio, 3) + to + "1"
}

// Figures writes a number to so many significant figures, without an exponent, trailing
// zeros after the point taken off, thousands from 10 000 up set apart by a thin space.
func Figures(v float64, figures int) string {
	var room [32]byte
	return string(AppendFigures(room[:0], v, figures))
}

// AppendFigures appends what [Figures] writes.
func AppendFigures(out []byte, v float64, figures int) []byte {
	if math.IsNaN(v) || math.IsInf(v, 0) {
		return append(out, "—"...)
	}
	if v == 0 {
		return append(out, '0')
	}
	var room [32]byte
	digits, power := significant(room[:0], math.Abs(v), figures)
	if v < 0 {
		out = append(out, "−"...)
	}
	out = appendWhole(out, digits, power)
	part := digits[min(max(power+1, 0), len(digits)):]
	for len(part) > 0 && part[len(part)-1] == '0' {
		part = part[:len(part)-1]
	}
	if len(part) > 0 {
		out = append(out, '.')
		for range -power - 1 {
			out = append(out, '0')
		}
		out = append(out, part...)
	}
	return out
}

// significant appends v > 0 rounded to so many digits, and says which power of ten the first stands for. It is
// rounded first, so that 9.996 to three digits knows it has become 10.
func significant(room []byte, v float64, figures int) (digits []byte, power int) {
	if whole, power, sure := scaled(v, figures); sure {
		return strconv.AppendUint(room, whole, 10), power
	}
	scientific := strconv.AppendFloat(room, v, 'e', figures-1, 64) // d.dd…e±dd
	mark := bytes.IndexByte(scientific, 'e')
	for _, digit := range scientific[mark+2:] {
		power = 10*power + int(digit-'0')
	}
	if scientific[mark+1] == '-' {
		power = -power
	}
	return append(scientific[:1], scientific[min(2, mark):mark]...), power
}

// tens are the powers of ten that ordinary figures lie between, from a thousandth.
var tens = [...]float64{1e-3, 1e-2, 1e-1, 1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6}

// leastTen is the power of the first of tens.
const leastTen = -3

// noise is more than a binary number is off from the decimal one it stands for, with five digits before its point.
const noise = 1e-9

// scaled is how most figures are shown: v as a whole number of so many digits, a half rounded up as a person does,
// so that 3.175 mm is 3.18 though no binary number is quite 3.175. It is not sure where v is out of the ordinary.
func scaled(v float64, figures int) (whole uint64, power int, sure bool) {
	if figures > 5 || v < tens[0] || v >= tens[len(tens)-1] {
		return 0, 0, false
	}
	at := 0
	for v >= tens[at+1] {
		at++
	}
	power = at + leastTen
	if up := figures - 1 - power; up >= 0 {
		v *= math.Pow10(up)
	} else {
		v /= math.Pow10(-up)
	}
	whole = uint64(v + 0.5 + noise)
	if whole == uint64(math.Pow10(figures)) {
		whole, power = whole/10, power+1
	}
	return whole, power, true
}

// appendWhole appends the digits before the point of d.dd… × 10^power, thousands apart from five
// digits up.
func appendWhole(out, digits []byte, power int) []byte {
	if power < 0 {
		return append(out, '0')
	}
	if power < 4 && power < len(digits) {
		return append(out, digits[:power+1]...)
	}
	for i := range power + 1 {
		if left := power + 1 - i; power >= 4 && i > 0 && left%3 == 0 {
			out = append(out, ThinSpace...)
		}
		if i < len(digits) {
			out = append(out, digits[i])
		} else {
			out = append(out, '0')
		}
	}
	return out
}
