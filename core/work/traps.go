package work

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
)

// A doubt is only raised where the numbers really show the slip: two of them in the very ratio
// that the mix-up makes.

// near tells a ratio within a share of what a slip would make it.
func near(ratio, slip, within float64) bool { return math.Abs(ratio/slip-1) < within }

// powerSlips are what mixing units up does to a torque against a power typed for the same job:
// torque × speed over power is 1 where nothing was mixed up.
var powerSlips = []struct {
	ratio  float64
	title  string
	advice string
}{
	{2 * math.Pi, "Divided by turns?", "Divide watts by radians a second, 6.28 to a turn."},
	{q.Horsepower / 1000, "Kilowatts for horsepower?", "One hp is 0.746 kW: was the power on the plate in hp?"},
	{1000 / q.Horsepower, "Horsepower for kilowatts?", "One kW is 1.34 hp: was the power on the plate in kW?"},
	{9.80665, "Kilograms for newtons?", "A kilogram pulls with 9.81 N: a torque in kgf·m is 9.81 times as many N·m."},
	{1 / 9.80665, "Kilograms for newtons?", "A kilogram pulls with 9.81 N: was the torque in kgf·m?"},
	{0.01, "Centimetres for metres?", "100 N·cm is 1 N·m."},
	{100, "Centimetres for metres?", "100 N·cm is 1 N·m."},
}

// slipWithin is how near two typed figures must come to a slip's ratio: as near as rounding to
// three figures leaves them.
const slipWithin = 0.006

// doubtPower looks for a slip in units between a stated torque and a power typed for the same job,
// at either end of the band.
func (n *Need) doubtPower(torque, power float64) {
	if torque <= 0 || power <= 0 || n.Missing != "" {
		return
	}
	for _, omega := range []float64{n.Low, n.High} {
		for _, slip := range powerSlips {
			if near(torque*omega/power, slip.ratio, slipWithin) {
				n.Doubts = append(n.Doubts, Doubt{"load.torque", slip.title, fmt.Sprintf("%s at %s is %s, not %s. %s",
					q.Show(power, q.Power, q.Metric), q.Show(omega, q.Speed, q.Metric),
					q.Show(power/omega, q.Torque, q.Metric), q.Show(torque, q.Torque, q.Metric), slip.advice)})
				return
			}
		}
	}
}

// doubtPulls looks for one reading of a scale in other units than the rest: kilograms left as
// newtons, or pounds as kilograms. Readings of one pull do not differ so exactly by chance.
func (n *Need) doubtPulls(p Pull) {
	ratio := p.Spread + 1
	for _, slip := range []struct {
		ratio float64
		words string
	}{
		{q.StdGravity, "One reading is 9.8 × another. Newtons and kilograms mixed? A bare number here is newtons; " +
			"write 7.6 kg."},
		{2.2046, "One reading is 2.2 × another. Pounds and kilograms mixed? Write the unit with each."},
	} {
		if near(ratio, slip.ratio, 0.02) {
			n.Doubts = append(n.Doubts, Doubt{"load.scale.running[0]", "Units mixed?", slip.words})
		}
	}
}

// doubtRadius looks for a scale hooked farther out than anything turns: centimetres or inches
// taken for another unit. diameter is the machine's largest, m, or 0.
func (n *Need) doubtRadius(s ScalePull, diameter float64) {
	radius, err := q.Parse(s.Radius, q.Length)
	if n.Method != ByScale || err != nil || diameter == 0 {
		return
	}
	widest := diameter / 2
	if radius > 4*widest && (radius/10 <= widest || radius/25.4 <= widest || radius/100 <= widest) {
		n.Doubts = append(n.Doubts, Doubt{"load.scale.radius", "Hooked outside the machine?",
			fmt.Sprintf("%s from the axis, and the largest that turns is %s across. A bare number is millimetres: "+
				"check cm, mm and inches.",
				q.Show(radius, q.Length, q.Metric), q.Show(diameter, q.Length, q.Metric))})
	}
	if radius > 0 && radius*9.5 < widest && radius*10 <= widest*1.02 && radius < 0.02 {
		n.Doubts = append(n.Doubts, Doubt{"load.scale.radius", "Centimetres?",
			fmt.Sprintf("%s from the axis of something %s across. A bare number is millimetres: did you mean %s cm?",
				q.Show(radius, q.Length, q.Metric), q.Show(diameter, q.Length, q.Metric), q.Figures(radius*1000, 3))})
	}
}
