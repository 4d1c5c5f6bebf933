package work

import (
	"math"

	q "jiriki/core/quantity"
)

// Bites is how a cut comes and goes while the spindle turns: a tooth at a time, or a turning tool over a gap. The zero
// Bites is a cut that is whole.
type Bites struct {
	Ratio float64 // the most torque over the mean, > 1; 0 where the cut is whole
	Angle float64 // rad of the spindle for which it is over the mean at a time
}

// biteSteps is how finely a turn between two teeth is looked at.
const biteSteps = 256

// milled are the bites of a cutter of z teeth that is in by part of its diameter (rad of engagement, from where a tooth
// meets no chip): a tooth's torque goes with its chip, f_z·sin φ, to the power 1 − m_c, as Kienzle has it.
func milled(teeth, engaged, exponent float64) Bites {
	between := 2 * math.Pi / teeth
	most, sum := 0.0, 0.0
	torques := make([]float64, biteSteps)
	for i := range torques {
		for angle := between * float64(i) / biteSteps; angle < engaged; angle += between {
			torques[i] += math.Pow(math.Sin(angle), 1-exponent)
		}
		most, sum = max(most, torques[i]), sum+torques[i]
	}
	return bitesOf(torques, most, sum/biteSteps, between)
}

// bitesOf is a torque over one tooth after another.
func bitesOf(torques []float64, most, mean, between float64) Bites {
	if mean == 0 || most/mean < 1.01 {
		return Bites{}
	}
	over := 0
	for _, torque := range torques {
		if torque > mean {
			over++
		}
	}
	return Bites{Ratio: most / mean, Angle: between * float64(over) / float64(len(torques))}
}

// usualContact is the share of a turn a turning tool is in the work where nobody says [common practice].
const usualContact = 0.5

// interrupted are the bites of a turning tool broken off so often in a turn, and the mean of its torque over the torque
// in the cut.
func interrupted(c CuttingLoad, r *q.Reader) (b Bites, mean float64) {
	bites := r.Read("bites", c.Bites, q.Number, q.Range{Min: 1, Max: 100})
	contact := r.Read("contact", c.Contact, q.Number, q.Range{Min: 0.02, Max: 1})
	if !bites.Known && !contact.Known {
		return Bites{}, 1
	}
	share := contact.Or(usualContact)
	if share > 0.99 {
		return Bites{}, 1
	}
	return Bites{Ratio: 1 / share, Angle: 2 * math.Pi * share / bites.Or(1)}, share
}

// InTheBite is the torque (N·m) the motor must give while the cut is at its most, turning at omega (rad/s) with so much
// inertia (kg·m² at the spindle) that may lose a share of its speed: what turns gives J·ω²·share over the bite, and
// never more than all that is over the mean.
func (n *Need) InTheBite(omega, inertia, share float64) float64 {
	mean := n.TorqueAt(omega)
	peak := mean * n.Bites.Ratio
	return max(mean, peak-inertia*omega*omega*share/n.Bites.Angle)
}
