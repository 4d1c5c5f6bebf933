package quantity

import (
	"fmt"
	"math"
	"strconv"
)

// Run shows a run of cable in metres or feet.
func Run(m float64, sys System) string {
	if sys == Inch {
		return Figures(m/0.3048, 3) + ThinSpace + "ft"
	}
	return Figures(m, 3) + ThinSpace + "m"
}

// Rounded keeps five significant figures, which is finer than any reading; what is not finite is 0.
func Rounded(v float64) float64 {
	if v == 0 || math.IsNaN(v) || math.IsInf(v, 0) {
		return 0
	}
	scale := math.Pow10(4 - int(math.Floor(math.Log10(math.Abs(v)))))
	if math.IsInf(scale, 1) || math.IsInf(v*scale, 0) {
		return 0 // smaller than any figure is shown
	}
	return math.Round(v*scale) / scale
}

// Written writes a figure as a person would type it: three figures, and never an exponent.
func Written(v float64, unit string) Text { return WrittenTo(v, 3, unit) }

// WrittenTo is [Written] with so many figures.
func WrittenTo(v float64, figures int, unit string) Text {
	rounded, _ := strconv.ParseFloat(strconv.FormatFloat(v, 'e', figures-1, 64), 64)
	return Text(strconv.FormatFloat(rounded, 'f', -1, 64) + " " + unit)
}

// SpeedRange shows two speeds (rad/s), or one where they are close.
func SpeedRange(low, high float64, sys System) string {
	if high < low*1.1 {
		return Show(low, Speed, sys)
	}
	return Figures(low/RPM, 3) + "–" + Show(high, Speed, sys)
}

// WrittenLength writes a length in millimetres as a person would: to a tenth of one, or to a thousandth of an inch.
func WrittenLength(mm float64, sys System) Text {
	if sys == Inch {
		return Text(fmt.Sprintf("%g in", math.Round(mm/25.4*1000)/1000))
	}
	return Text(fmt.Sprintf("%g mm", math.Round(mm*10)/10))
}

// WrittenTorque writes a torque (N·m) as a person would type it.
func WrittenTorque(torque float64, sys System) Text {
	label, si := Unit(Torque, sys)
	return Written(torque/si, label)
}

// Joules writes an energy in motion, which watt-hours would make too small to read.
func Joules(v float64) string {
	if v >= 1000 {
		return Figures(v/1000, 3) + ThinSpace + "kJ"
	}
	return Figures(v, 3) + ThinSpace + "J"
}
