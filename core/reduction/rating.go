package reduction

import (
	"math"

	"jiriki/core/numeric"
)

const (
	inch       = 0.0254
	footMinute = 0.3048 / 60       // m/s
	horsepower = 745.6998715822702 // W
)

// Pull is the effective pull (N) a step's belt, chain or gears carry for ever, against their speed v (m/s): a
// relation with its factors worked out, so that a reach or a search may ask it thousands of times. The zero
// Pull is not rated.
type Pull struct {
	form                   pullForm
	level, square, fatigue float64
	warm                   float64 // N that heat allows at any speed, of a worm
	slowest                float64 // m/s: below it the pull is taken as there
}

type pullForm int

const (
	notRated  pullForm = iota
	beltForm           // level − square·v² − fatigue·ln v
	chainForm          // the lesser of level·v^−0.1, its plates, and square·v^−2.5, its rollers
	gearForm           // level·square / (square + v)
	wormForm           // the lesser of level·C_v(square·v), its wear, and fatigue/v + warm, its heat
)

// Rated reports whether anything is known of it.
func (p *Pull) Rated() bool { return p.form != notRated }

// Carries returns the pull at speed v (m/s ≥ 0), N ≥ 0; +Inf for what is not rated.
func (p *Pull) Carries(v float64) float64 {
	v = max(v, p.slowest)
	switch p.form {
	case beltForm:
		pull := p.level - p.square*v*v
		if p.fatigue != 0 {
			pull -= p.fatigue * math.Log(v)
		}
		return max(pull, 0)
	case chainForm:
		return min(p.level*math.Pow(v, -0.1), p.square/(v*v*math.Sqrt(v)))
	case gearForm:
		return p.level * p.square / (p.square + v)
	case wormForm:
		wear := p.level * wormRubbing(p.square*v)
		if v == 0 {
			return wear
		}
		return min(wear, p.fatigue/v+p.warm)
	}
	return math.Inf(1)
}

// OverloadShare is how far past its rating a belt, chain or gear pulls for some seconds before it slips,
// jumps or bends [common practice].
const OverloadShare = 1.5

// pullOf is what a stage's step carries; the zero Pull for what is not rated here.
func (s *Stage) pullOf(step Step) Pull {
	small := min(step.Driver, step.Driven)
	wrap, length := step.Wrap, step.Length
	switch s.Kind {
	case VBelt, LinkBelt:
		if _, tabled := classical[s.Section]; tabled {
			factor := s.Count * wrapFactorV(math.Abs(step.Driven-step.Driver)/s.Centre) * lengthFactor(s.Section,
				length)
			return classicalPull(s.Section, small, factor)
		}
		return s.gripPull(ribPull[s.Section].at(small), wrap)
	case PolyV:
		return s.gripPull(ribPull[s.Section].at(small), wrap)
	case Flat:
		grip := gripFactor(flatGrip, wrap)
		return Pull{form: beltForm, level: s.Width * flatPull * grip, square: s.Width * flatMass * grip}
	case Toothed:
		meshed := min(math.Floor(wrap/(2*math.Pi)*small*math.Pi/s.Pitch)/6, 1)
		if s.Curved {
			meshed *= curvedCarries
		}
		return Pull{form: beltForm, level: s.Width * toothedPull(s.Pitch) * meshed,
			square: s.Width * toothedMass(s.Pitch) * meshed}
	case Chain:
		return chainPull(s.Pitch, s.teeth(small), strandFactor(s.Count))
	case Worm:
		return wormPull(step.Driver, step.Driven, s.Width, step.Ratio, s.Lead, s.Efficiency)
	case Spur:
		// The pinion's teeth are the thinner at the root.
		teeth := min(step.Counts[0], step.Counts[1])
		still := ToothBears(s.Pitch, s.Width, teeth, gearStress[s.Material], 0)
		return Pull{form: gearForm, level: still, square: barth}
	}
	return Pull{}
}

// gripPull is the pull of so many belts or ribs, less what centrifugal force takes of it.
func (s *Stage) gripPull(each, wrap float64) Pull {
	grip, mass := gripFactor(vGrip, wrap), sections[s.Section].mass
	return Pull{form: beltForm, level: s.Count * each * grip, square: s.Count * mass * grip}
}

// Friction at the pulley in the capstan relation T1/T2 = e^(μθ), the groove's angle counted in for
// V and poly-V [Shigley, section 17-3, from memory; flat from common practice].
const (
	vGrip    = 0.5123
	flatGrip = 0.5
)

// gripFactor is the share of its pull at half a turn of wrap that a belt keeps at another wrap:
// (1 − e^(−μθ)) / (1 − e^(−μπ)).
func gripFactor(mu, wrap float64) float64 { return math.Expm1(-mu*wrap) / math.Expm1(-mu*math.Pi) }

// rib is the pull of one belt or rib, N: straight in 1/d, as bending takes its share.
type rib struct{ level, bending float64 }

func (r rib) at(d float64) float64 { return max(r.level-r.bending/d, 0) }

// ribPull by section: a Z belt, and one rib of poly-V [fitted to makers' tables, from memory].
var ribPull = map[string]rib{"Z": {121.5, 3.8}, "J": {42, 0.446}, "K": {106, 2.33}, "L": {217, 10.4}}

// Flat belts: pull and mass per metre of width [common practice, a light single-ply belt].
const (
	flatPull = 6000.0 // N
	flatMass = 1.5    // kg/m for a metre of width
)

// curvedCarries is how many times a straight-flanked toothed belt's pull one with curved flanks carries [common
// practice: several].
const curvedCarries = 2.5

// toothedPull is the working pull of a toothed belt, N per metre of width by pitch, taken from the
// nearest inch pitch not above it [ISO 5295 classes XL, L and H, from memory].
func toothedPull(pitch float64) float64 {
	switch {
	case pitch >= 12.5e-3:
		return 27600
	case pitch >= 9.5e-3:
		return 9620
	case pitch >= 5e-3:
		return 5280
	}
	return 5280 * pitch / 5.08e-3
}

// toothedMass is kg/m for a metre of width [common practice: thickness goes with pitch].
func toothedMass(pitch float64) float64 { return 460 * pitch }

// vRating is the published form of a classical V belt's rating: power over belt speed, in hp per
// 1000 ft/min, is a − b/d − c·v² − e·log10 v, with d the small pulley's pitch diameter in inches and v in
// 1000 ft/min. The terms are what the belt pulls, what bending takes, what centrifugal force takes,
// and fatigue by how often it is bent.
type vRating struct {
	a, b, c, e     float64
	smallest, most float64 // in; over the most it is rated as there, under the smallest it falls with diameter
}

// classical is fitted to every point of Shigley, Mechanical Engineering Design, table 17-12 [from
// memory], which it gives within 0.02 hp for A and 0.01 hp for B, about what the table is rounded to.
var classical = map[string]vRating{
	"A": {a: 1.9416, b: 3.7971, c: 0.013333, e: 0.38243, smallest: 2.6, most: 5.0},
	"B": {a: 3.4303, b: 9.8342, c: 0.022707, e: 0.68194, smallest: 4.2, most: 7.0},
}

// slowestRated is the belt speed (m/s) where makers' tables begin; below it the pull is taken as
// there [common practice].
const slowestRated = 0.5

// classicalPull is the pull of so many classical V belts over a small pulley of pitch diameter d (m).
func classicalPull(name string, d, factor float64) Pull {
	c := classical[name]
	inches := min(max(d/inch, c.smallest), c.most)
	factor *= min(d/inch/c.smallest, 1) * horsepower / (1000 * footMinute)
	const thousands = 1000 * footMinute // m/s in one of the relation's 1000 ft/min
	return Pull{
		form: beltForm, slowest: slowestRated,
		level:   factor * (c.a - c.b/inches + c.e*math.Log10(thousands)),
		square:  factor * c.c / (thousands * thousands),
		fatigue: factor * c.e / math.Ln10,
	}
}

// wrapFactors is K_1 for V belts on two grooved pulleys by (D − d)/C [Shigley, table 17-13, from memory].
var wrapFactors = numeric.Through(
	[]float64{0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.1, 1.2, 1.3, 1.4, 1.5},
	[]float64{1, 0.99, 0.97, 0.96, 0.94, 0.93, 0.91, 0.89, 0.87, 0.85, 0.82, 0.80, 0.77, 0.73, 0.70, 0.65}, math.Max)

// wrapFactorV is K_1 at (D − d)/C; 1 when the centres are not known.
func wrapFactorV(spread float64) float64 {
	if math.IsInf(spread, 0) || math.IsNaN(spread) {
		return 1
	}
	return wrapFactors.At(spread)
}

// lengthFactors is K_2 by the belt's length in inches: level over the lengths each row of the table holds, straight
// from one row to the next [Shigley, table 17-14, from memory].
var lengthFactors = map[string]numeric.Line{
	"A": numeric.Through([]float64{35, 38, 46, 48, 55, 60, 75, 78, 90, 96, 112, 120},
		[]float64{0.85, 0.90, 0.90, 0.95, 0.95, 1.00, 1.00, 1.05, 1.05, 1.10, 1.10, 1.15}, math.Max),
	"B": numeric.Through([]float64{46, 48, 60, 62, 75, 78, 97, 105, 120, 128, 144, 158, 180, 195},
		[]float64{0.85, 0.90, 0.90, 0.95, 0.95, 1.00, 1.00, 1.05, 1.05, 1.10, 1.10, 1.15, 1.15, 1.20}, math.Max),
}

// lengthFactor is K_2; 1 when the length is not known.
func lengthFactor(name string, length float64) float64 {
	factors, ok := lengthFactors[name]
	if length == 0 || !ok {
		return 1
	}
	return factors.At(length / inch)
}
