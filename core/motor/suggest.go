package motor

import (
	"math"

	"gonum.org/v1/gonum/mat"
)

// Suggestion is the reading that would narrow the constants most.
type Suggestion struct {
	Sort    string  // sort of reading; empty when none would help by much
	Of      string  // the constant it narrows most
	Narrows float64 // its spread after over before, a share
}

// worthReading is how much another reading must narrow the constants in all, as a logarithm, to
// be asked for.
const worthReading = 0.35

// Suggest tries each sort of reading where it would usually be taken and returns the one that
// narrows the constants most; inertia counts only once somebody has begun on it.
func (f Fit) Suggest() Suggestion {
	if f.Readings == 0 {
		return Suggestion{}
	}
	law, c, before := fitLaws[f.family], exponents(f.x), spreads(f.info)
	idle, omega, loaded := c[atLoss]/c[atKe], 180.0, 6.0
	if f.family == SeriesFamily {
		idle, omega, loaded = math.Sqrt(c[atLoss]/c[atKe]), 800, 3
	}
	full := loaded * idle
	candidates := []struct {
		sort string
		t    readings
	}{
		{"open", readings{open: []run{{volts: c[atKe] * omega, omega: omega}}}},
		{"resistance", readings{ohms: []float64{c[atR]}}},
		{"free", readings{free: []run{{volts: law.volts(c, idle, omega), amps: idle, omega: omega, torque: 0}}}},
		{"loaded", readings{loaded: []run{{volts: law.volts(c, full, omega), amps: full, omega: omega,
			torque: law.torque(c,
				full) - c[atLoss]}}}},
		{"spin-down", readings{coasts: []coast{{omega, omega / 2, c[atJ] * omega / 2 / c[atLoss]}}}},
	}
	best, gained := Suggestion{}, worthReading
	for _, candidate := range candidates {
		if candidate.sort == "open" && !law.open || candidate.sort == "spin-down" && !f.coasting {
			continue
		}
		more := mat.NewSymDense(constants, nil)
		more.CopySym(f.info)
		for _, e := range candidate.t.equations(law) {
			addInformation(more, gradient(e, c, e(c)))
		}
		after := spreads(more)
		total, most, of := 0.0, 0.0, 0
		for i := range constants {
			if i == atJ && !f.coasting {
				continue
			}
			gain := math.Log(before[i] / after[i])
			total += gain
			if gain > most {
				most, of = gain, i
			}
		}
		if total > gained {
			gained, best = total, Suggestion{candidate.sort, constantNames[of], after[of] / before[of]}
		}
	}
	return best
}
