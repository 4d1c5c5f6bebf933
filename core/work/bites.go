package work

import (
	"math"

	"jiriki/core/numeric"
	q "jiriki/core/quantity"
)

// Bites is how a cut comes and goes while the spindle turns: a tooth at a time, or a turning tool over a gap. The zero
// Bites is a cut that is whole.
type Bites struct {
	Ratio float64 // the most torque over the mean, > 1; 0 where the cut is whole
	Angle float64 // rad of the spindle for which it is over the mean at a time
	Apart float64 // rad of the spindle from one bite to the next
	sharp float64 // how sharply it rises: see At
	rms   float64 // root mean square over the mean
}

// bites are so much over the mean, for an angle, so far apart.
func bites(ratio, angle, apart float64) Bites {
	sharp := numeric.Last(0, 1e4, 1e-6, func(n float64) bool { return meanCosine(n) > 1/ratio })
	return Bites{Ratio: ratio, Angle: angle, Apart: apart, sharp: sharp, rms: ratio * math.Sqrt(meanCosine(2*sharp))}
}

// meanCosine is the mean of cos²ⁿ over a turn, Γ(n+½)/(√π·Γ(n+1)).
func meanCosine(n float64) float64 {
	above, _ := math.Lgamma(n + 0.5)
	below, _ := math.Lgamma(n + 1)
	return math.Exp(above-below) / math.SqrtPi
}

// At is the torque over its mean after the spindle has turned so far (rad): bites of the same mean and the same most as
// the cut's own, shaped Ratio·cos²ⁿ, which rises and falls without a jump.
func (b *Bites) At(turned float64) float64 {
	return b.Ratio * math.Pow(math.Abs(math.Cos(math.Pi*turned/b.Apart)), 2*b.sharp)
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
	return bites(most/mean, between*float64(over)/float64(len(torques)), between)
}

// usualContact is the share of a turn a turning tool is in the work where nobody says [common practice].
const usualContact = 0.5

// interrupted are the bites of a turning tool broken off so often in a turn, and the mean of its torque over the torque
// in the cut.
func interrupted(c CuttingLoad, r *q.Reader) (b Bites, mean float64) {
	count := r.Read("bites", c.Bites, q.Number, q.Range{Min: 1, Max: 100})
	contact := r.Read("contact", c.Contact, q.Number, q.Range{Min: 0.02, Max: 1})
	if !count.Known && !contact.Known {
		return Bites{}, 1
	}
	share := contact.Or(usualContact)
	if share > 0.99 {
		return Bites{}, 1
	}
	return bites(1/share, 2*math.Pi*share/count.Or(1), 2*math.Pi/count.Or(1)), share
}

// InTheBite is the torque (N·m) the motor must give while the cut is at its most, turning at omega (rad/s) with so much
// inertia (kg·m² at the spindle) that may lose a share of its speed: what turns gives J·ω²·share over the bite, and
// never more than all that is over the mean.
func (n *Need) InTheBite(omega, inertia, share float64) float64 {
	mean := n.TorqueAt(omega)
	peak := mean * n.Bites.Ratio
	return max(mean, peak-inertia*omega*omega*share/n.Bites.Angle)
}

// Heats is the torque (N·m), held steadily, that heats the motor as the cut does: the root mean square of what it must
// give in and between its bites, and the mean only where what turns carries them whole. As [Need.InTheBite].
func (n *Need) Heats(omega, inertia, share float64) float64 {
	mean := n.TorqueAt(omega)
	if n.Bites.Ratio <= 1 || mean == 0 {
		return mean
	}
	left := (n.InTheBite(omega, inertia, share) - mean) / (mean * (n.Bites.Ratio - 1))
	return mean * math.Sqrt(1+left*left*(n.Bites.rms*n.Bites.rms-1))
}
