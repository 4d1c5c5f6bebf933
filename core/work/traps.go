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

// TurnsForRadians reports whether a torque at a speed (rad/s) is what comes of dividing a power
// by turns instead of radians: 2π too much.
func TurnsForRadians(torque, omega, power float64) bool {
	return power > 0 && omega > 0 && near(torque*omega/power, 2*math.Pi, 0.012)
}

// doubtTurns looks for the 2π slip between a stated torque and a power typed for the same job.
func (n *Need) doubtTurns(torque, power float64) {
	for _, omega := range []float64{n.Low, n.High} {
		if torque > 0 && n.Missing == "" && TurnsForRadians(torque, omega, power) {
			n.Doubts = append(n.Doubts, TurnsDoubt(power, omega))
			return
		}
	}
}

// TurnsDoubt is what to say of it, power in W and speed in rad/s.
func TurnsDoubt(power, omega float64) Doubt {
	return Doubt{
		Field: "load.torque", Title: "Divided by turns?",
		Words: fmt.Sprintf("%s at %s is %s, not %s: divide watts by radians a second, 6.28 to a turn.",
			q.Show(power, q.Power, q.Metric), q.Show(omega, q.Speed, q.Metric), q.Show(power/omega, q.Torque, q.Metric), q.Show(2*math.Pi*power/omega, q.Torque, q.Metric)),
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
		{q.StdGravity, "One reading is 9.8 × another. Newtons and kilograms mixed? A bare number here is newtons; write 7.6 kg."},
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
			fmt.Sprintf("%s from the axis, and the largest that turns is %s across. A bare number is millimetres: check cm, mm and inches.",
				q.Show(radius, q.Length, q.Metric), q.Show(diameter, q.Length, q.Metric))})
	}
	if radius > 0 && radius*9.5 < widest && radius*10 <= widest*1.02 && radius < 0.02 {
		n.Doubts = append(n.Doubts, Doubt{"load.scale.radius", "Centimetres?",
			fmt.Sprintf("%s from the axis of something %s across. A bare number is millimetres: did you mean %s cm?",
				q.Show(radius, q.Length, q.Metric), q.Show(diameter, q.Length, q.Metric), q.Figures(radius*1000, 3))})
	}
}
