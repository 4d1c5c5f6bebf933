package motor

import (
	"math"

	"jiriki/core/numeric"
)

// RoughShares are the shares of plate speed at which form factors are worked out.
var RoughShares = [...]float64{0.1, 0.25, 0.5, 0.75, 1}

// Rough are the form factors of a rectified current at [RoughShares] of plate speed, each at the rms of plate amps.
type Rough [len(RoughShares)]float64

// at is the form factor at a share of plate speed, straight between those that are known and even past them.
func (r *Rough) at(share float64) float64 {
	last := len(RoughShares) - 1
	for i := range last {
		if from, to := RoughShares[i], RoughShares[i+1]; share < to {
			part := max(share-from, 0) / (to - from)
			return r[i] + part*(r[i+1]-r[i])
		}
	}
	return r[last]
}

// formAt is the form factor at a share of plate speed.
func (f *Feed) formAt(share float64) float64 {
	if f.Rough == nil {
		return f.FormFactor
	}
	return f.Rough.at(share)
}

// crest is the highest of the volts an armature sees when no more than so many on average are asked of a rectified
// line nothing watches: the crest of the sine, or where it is fired past the crest, the sine there. From the average
// of a half-controlled bridge, √2·V·(1 + cos α)/π.
func (f *Feed) crest(volts float64) float64 {
	if !f.Cut {
		return volts * math.Pi / 2
	}
	peak := math.Sqrt2 * f.Rectified
	cosine := math.Pi*volts/peak - 1
	if cosine >= 0 {
		return peak
	}
	return peak * math.Sqrt(1-min(cosine*cosine, 1))
}

// climbsTo is the back-EMF at which a rectified sine of a crest (V), its current in pulses, still drives so many amps
// through so many ohms: with the load off an armature climbs far past the average of the volts, for current only ever
// flows into it. Inductance, which holds it lower, is not counted on.
func climbsTo(crest, amps, ohms float64) float64 {
	angle := numeric.Last(0, math.Pi/2, 1e-6, func(angle float64) bool {
		return crest/math.Pi*(2*math.Cos(angle)-math.Sin(angle)*(math.Pi-2*angle)) > amps*ohms
	})
	return crest * math.Sin(angle)
}
