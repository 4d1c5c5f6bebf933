// Package belief is how likely each of some possibilities is, what an answer teaches, and which question would tell
// most:
// Bayes' rule and entropy, as identifying a motor and finding a fault both go by.
package belief

import "math"

// Belief is how likely each possibility is, in the order they are told; it adds up to 1 once it is normalised.
type Belief []float64

// Normalise makes it add up to 1; one that adds up to nothing is left as it is.
func (b Belief) Normalise() {
	sum := 0.0
	for _, share := range b {
		sum += share
	}
	if sum <= 0 {
		return
	}
	for i := range b {
		b[i] /= sum
	}
}

// Learn is Bayes' rule: likelihood is how likely each possibility makes what was seen.
func (b Belief) Learn(likelihood func(i int) float64) {
	for i := range b {
		b[i] *= likelihood(i)
	}
	b.Normalise()
}

// Doubt is the entropy in bits: how much is left to find out.
func (b Belief) Doubt() float64 {
	bits := 0.0
	for _, share := range b {
		if share > 0 {
			bits -= share * math.Log2(share)
		}
	}
	return bits
}

// Gain is how many bits a question is expected to tell that has so many answers; likelihood is how likely a possibility
// makes one of them.
func (b Belief) Gain(answers int, likelihood func(i, answer int) float64) float64 {
	after := 0.0
	then := make(Belief, len(b))
	for a := range answers {
		chance := 0.0
		for i, share := range b {
			then[i] = share * likelihood(i, a)
			chance += then[i]
		}
		if chance > 0 {
			then.Normalise()
			after += chance * then.Doubt()
		}
	}
	return b.Doubt() - after
}
