package reduction

import "math"

// Friction and pressure angle of a greased worm [common practice].
const (
	wormFriction = 0.07
	wormPressure = 20 * math.Pi / 180
)

// WormEfficiency returns the efficiency of a worm driving its wheel at a lead angle (rad), by
//
//	η = (cos φ − μ·tan λ) / (cos φ + μ·cot λ)
//
// with pressure angle φ 20° and friction μ 0.07 for steel on greased bronze [common practice].
// Source of the formula: Shigley, section 13-17, from memory.
func WormEfficiency(lead float64) float64 { return wormEfficiency(lead, wormFriction, wormPressure) }

func wormEfficiency(lead, friction, pressure float64) float64 {
	tan := math.Tan(lead)
	return (math.Cos(pressure) - friction*tan) / (math.Cos(pressure) + friction/tan)
}

// wormAcross is a worm's pitch diameter in modules, the usual proportion [common practice].
const wormAcross = 10

// wormLead is the lead angle of a worm of so many starts of the usual proportion.
func wormLead(starts float64) float64 { return math.Atan(starts / wormAcross) }

// HoldsItself reports whether a worm keeps less than half, so that its wheel cannot drive it back.
func (s Stage) HoldsItself() bool { return s.Kind == Worm && s.Efficiency < 0.5 }

// What AGMA 6034 has for a worm of hardened steel on a wheel of bronze, in inches and pounds [Shigley, section 15-6 on,
// from memory]: tangential load on the wheel W = C_s·D^0.8·F·C_m·C_v.
const (
	poundForce   = 4.4482216152605 // N
	castBronze   = 1000.0          // C_s of sand-cast bronze, centres over 3 in
	smallCentres = 3.0             // in
	fastRubbing  = 700.0           // ft/min, where C_v changes its form
	faceOfWorm   = 2.0 / 3         // of the worm's diameter, the most of the face that counts
)

// wormMaterial is C_s at centres c, in.
func wormMaterial(c float64) float64 {
	if c <= smallCentres {
		return min(720+10.37*c*c*c, castBronze)
	}
	return castBronze
}

// wormRatio is C_m at a ratio.
func wormRatio(m float64) float64 {
	switch {
	case m <= 20:
		m = max(m, 3)
		return 0.02*math.Sqrt(-m*m+40*m-76) + 0.46
	case m <= 76:
		return 0.0107 * math.Sqrt(-m*m+56*m+5145)
	}
	return max(1.1483-0.00658*m, 0.1)
}

// wormRubbing is C_v at a rubbing speed, ft/min.
func wormRubbing(v float64) float64 {
	if v < fastRubbing {
		return 0.659 * math.Exp(-0.0011*v)
	}
	return 13.31 * math.Pow(v, -0.571)
}

// wormSpill is the power (W) a closed box without a fan sheds at 55 K over the room, by its centres and the worm's
// speed: A = 43.2·C^1.7 in², h = n/6494 + 0.13 ft·lbf/(min·in²·°F), 100 °F.
func wormSpill(centre, omega float64) float64 {
	const footPoundMinute = 0.0225970 // W
	area := 43.2 * math.Pow(centre/inch, 1.7)
	return (omega*60/(2*math.Pi)/6494 + 0.13) * area * 100 * footPoundMinute
}

// wormPull is what a worm's wheel carries at its rim against the rim's speed: the lesser of what wear and heat allow.
func wormPull(worm, wheel, face, ratio, lead, efficiency float64) Pull {
	centre := (worm + wheel) / 2
	width := min(face, faceOfWorm*worm)
	wear := wormMaterial(centre/inch) * math.Pow(wheel/inch, 0.8) * width / inch * wormRatio(ratio) * poundForce
	// Heat: W_rim·v·(1/η − 1) ≤ spill at the worm's speed, which is the rim's by the ratio.
	lost := 1/efficiency - 1
	still, perSpeed := wormSpill(centre, 0)/lost, 0.0
	perSpeed = (wormSpill(centre, 2*ratio/wheel) - wormSpill(centre, 0)) / lost
	return Pull{form: wormForm, level: wear, square: 1 / footMinute / math.Sin(lead), fatigue: still, warm: perSpeed}
}
