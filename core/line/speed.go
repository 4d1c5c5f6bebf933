package line

import (
	"math"

	"jiriki/core/motor"
	"jiriki/core/numeric"
	"jiriki/core/work"
)

// Stretch is the part of a job's band that one position takes, up to a speed.
type Stretch struct {
	Position string
	To       float64 // rad/s
}

// Together are the fewest positions that reach all of a job's band between them, slowest first; nil
// where some of it is left out.
func (t *Model) Together(job *work.Need) []Stretch {
	var stretches []Stretch
	for at := job.Low; at < job.High*(1-ReachTolerance); {
		furthest, name := at, ""
		for i := range t.Reduction.Positions {
			p := &t.Reduction.Positions[i]
			low, high := t.Span(p)
			if high = min(high, t.TopSpeed); low <= at*(1+ReachTolerance) && high > furthest {
				furthest, name = high, p.Label
			}
		}
		if name == "" {
			return nil
		}
		at, stretches = furthest, append(stretches, Stretch{name, min(furthest, job.High)})
	}
	return stretches
}

// Fastest is how fast the spindle can turn with no load, in whichever position, rad/s, before the machine's own limit:
// the one top speed that limits, rims, belts and bearings are held against. 0 where nothing turns it.
func (t *Model) Fastest() float64 {
	fastest := 0.0
	if !t.Runs {
		return fastest
	}
	for i := range t.Reduction.Positions {
		fastest = max(fastest, t.Top(&t.Reduction.Positions[i]))
	}
	return fastest
}

// TrimUnderLimit is [Model.TrimUnder] the machine's own limit.
func (t *Model) TrimUnderLimit() (share float64, needed bool) { return t.TrimUnder(t.TopSpeed) }

// TrimUnder is the most a control that sets volts may be trimmed to for the spindle to keep a speed (rad/s) in every
// position, as a share of the plate in whole hundredths; false where nothing need hold it.
func (t *Model) TrimUnder(limit float64) (share float64, needed bool) {
	fastest := t.Fastest()
	if !t.Control.DCDrive() || fastest <= limit*(1+SpeedTolerance) {
		return 0, false
	}
	share = t.Feed.TopShare(t.Motor.Volts.Value) * limit / fastest
	if t.Feed.Rectified > 0 {
		share = t.trimWatchingNothing(share, limit/fastest)
	}
	return math.Floor(100*share) / 100, true
}

// trimWatchingNothing is the trim under a limit of a drive that holds neither speed nor volts: what an armature climbs
// to without its load hardly falls until the firing angle is past the crest.
func (t *Model) trimWatchingNothing(most, slower float64) float64 {
	allowed := t.Powered.RotorTop() * slower
	return numeric.Last(0, most, 1e-3, func(share float64) bool {
		feed := t.Feed
		feed.TopTrim, feed.Trimmed = share, true
		return t.Motor.On(feed).RotorTop() <= allowed
	})
}

// Overspeeds reports whether the plan can pass the machine's limit or what the rotor bears.
func (t *Model) Overspeeds() bool {
	if t.Fastest() > t.TopSpeed*(1+SpeedTolerance) {
		return true
	}
	high := t.Powered.RotorTop()
	return t.Motor.Kind.Family() == motor.InductionFamily && high > RotorAllowance(t.Motor)*t.Motor.Speed.Value*1.005
}

// RotorAllowance is how far past plate speed an induction rotor may be spun [common practice].
func RotorAllowance(m motor.Resolved) float64 {
	if m.Induction.Poles.Value == 2 {
		return 1.5
	}
	return 2
}

// SlowSpeed is a quarter of the motor's top speed, or the slowest it runs: where the low end of
// an adjustable motor is judged.
func (t *Model) SlowSpeed() float64 {
	low, high := t.Powered.Span()
	return max(low, high/4)
}
