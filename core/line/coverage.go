package line

import (
	"math"
	"slices"

	q "jiriki/core/quantity"
)

// Coverage is how the positions' speeds lie beside each other on the ruler.
type Coverage struct {
	Holes    []Gap   `json:"holes" nullable:"false" doc:"Speeds within the jobs' bands that no position reaches"`
	Overlaps []Gap   `json:"overlaps" nullable:"false" doc:"Speeds that two neighbouring positions both reach"`
	Covered  float64 `json:"covered" doc:"Share of the jobs' bands that is reached, on a log scale; 0 without jobs"`
}

// Gap is a stretch of speeds, with how far its ends lie apart.
type Gap struct {
	FromRPM float64 `json:"fromRpm"`
	ToRPM   float64 `json:"toRpm"`
	Share   float64 `json:"share" doc:"To over from, less one"`
}

type band struct{ low, high float64 } // rad/s

// Coverage lays the positions' bands against each other and the jobs'.
func (t *Model) Coverage() Coverage {
	c := Coverage{Holes: []Gap{}, Overlaps: []Gap{}}
	if !t.Runs {
		return c
	}
	var reached, wanted []band
	for i := range t.Reduction.Positions {
		low, high := t.Span(&t.Reduction.Positions[i])
		if high = min(high, t.TopSpeed); high > low {
			reached = append(reached, band{low, high})
		}
	}
	for _, job := range t.Machine.Jobs {
		if job.Missing == "" && job.High > job.Low && !job.AnySpeed {
			wanted = append(wanted, band{job.Low, job.High})
		}
	}
	byLow := func(a, b band) int { return int(math.Copysign(1, a.low-b.low)) }
	slices.SortFunc(reached, byLow)
	for i := 1; i < len(reached); i++ {
		if over := min(reached[i-1].high, reached[i].high); over > reached[i].low {
			c.Overlaps = append(c.Overlaps, gap(reached[i].low, over))
		}
	}
	all, lost := 0.0, 0.0
	for _, w := range merged(wanted) {
		all += math.Log(w.high / w.low)
		at := w.low
		for _, r := range merged(reached) {
			if r.high <= at || r.low >= w.high {
				continue // it touches nothing of what is left
			}
			if r.low > at*(1+ReachTolerance) {
				c.Holes, lost = append(c.Holes, gap(at, r.low)), lost+math.Log(r.low/at)
			}
			at = max(at, min(r.high, w.high))
		}
		if at < w.high*(1-ReachTolerance) {
			c.Holes, lost = append(c.Holes, gap(at, w.high)), lost+math.Log(w.high/at)
		}
	}
	if all > 0 {
		c.Covered = q.Rounded(1 - lost/all)
	}
	return c
}

func gap(from, to float64) Gap {
	return Gap{q.Rounded(from / q.RPM), q.Rounded(to / q.RPM), q.Rounded(to/from - 1)}
}

// merged joins bands that touch.
func merged(bands []band) []band {
	var out []band
	slices.SortFunc(bands, func(a, b band) int { return int(math.Copysign(1, a.low-b.low)) })
	for _, b := range bands {
		if n := len(out); n > 0 && b.low <= out[n-1].high {
			out[n-1].high = max(out[n-1].high, b.high)
			continue
		}
		out = append(out, b)
	}
	return out
}
