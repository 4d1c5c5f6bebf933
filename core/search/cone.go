package search

import (
	"math"

	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
)

// Cone sets the machine's cone, or any reduction of several positions, beside one belt with the same motor: practice
// disagrees on which to keep.
type Cone struct {
	Ways []Way `json:"ways" nullable:"false" doc:"The positions there are, then the best single ratio; empty where the plan has but one position"`
}

// Way is one of the two.
type Way struct {
	Name    string              `json:"name"`
	Speeds  string              `json:"speeds" doc:"From the slowest to the fastest, whatever is changed over"`
	Slow    string              `json:"slow" doc:"Torque all day at the slowest speed a job asks for, or as near as it comes"`
	Jobs    int                 `json:"jobs" doc:"Jobs done"`
	Changes int                 `json:"changes" doc:"Positions the jobs need besides the first"`
	Buy     string              `json:"buy" doc:"What it takes that is not there"`
	Curves  [][]line.CurvePoint `json:"curves" nullable:"false" doc:"All-day torque, a curve for each position"`
}

// singleRatios is how many ratios are looked at for the best single one, over what one to three stages reach.
const singleRatios = 300

// coneOrBelt is worked out for plans of more than one position.
func coneOrBelt(t *line.Model, sys q.System) Cone {
	out := Cone{Ways: []Way{}}
	positions, slow := t.Reduction.Positions, t.Machine.SlowestWanted()
	if !t.Runs || len(positions) < 2 || slow == 0 {
		return out
	}
	kept := wayOf(t, positions, slow, sys)
	kept.Name, kept.Buy = "as it is, "+words.Count(len(positions))+" positions", "nothing, it is there"
	single := bestSingle(t)
	one := wayOf(t, []reduction.Position{single}, slow, sys)
	one.Name, one.Buy = "one ratio, "+q.Ratio(single.Ratio), "two wheels and a belt"
	out.Ways = []Way{kept, one}
	return out
}

// wayOf is what positions give the machine's jobs.
func wayOf(t *line.Model, positions []reduction.Position, slow float64, sys q.System) Way {
	w := Way{Curves: [][]line.CurvePoint{}}
	used := map[int]bool{}
	for i := range t.Machine.Jobs {
		result := t.Best(&t.Machine.Jobs[i], positions)
		if result.Outcome.Done() {
			w.Jobs++
			used[result.Position] = true
		}
	}
	w.Changes = max(len(used)-1, 0)
	low, high, torque := math.Inf(1), 0.0, 0.0
	for i := range positions {
		from, to := t.Span(&positions[i])
		low, high = min(low, from), max(high, to)
		w.Curves = append(w.Curves, t.Curve(&positions[i]))
	}
	at := min(max(slow, low), high)
	for i := range positions {
		from, to := t.Span(&positions[i])
		if at >= from*(1-line.ReachTolerance) && at <= to*(1+line.ReachTolerance) {
			torque = max(torque, t.Steady(at, 1, &positions[i]).Torque)
		}
	}
	w.Speeds = q.SpeedRange(low, min(high, t.TopSpeed), sys)
	w.Slow = q.Show(torque, q.Torque, sys) + " at " + q.Show(at, q.Speed, sys)
	return w
}

// bestSingle is the one ratio that does most jobs, and of those the one with most to spare in the job that has least.
// One that could turn the spindle past its limit is left out where nothing trims it.
func bestSingle(t *line.Model) reduction.Position {
	var best reduction.Position
	most, spare := -1, 0.0
	for i := range singleRatios {
		ratio := leastSingle * math.Pow(mostSingle/leastSingle, float64(i)/(singleRatios-1))
		p := reduction.Position{Ratio: ratio, Unslipped: ratio, Efficiency: line.UsualEfficiency}
		if t.Powered.FixedSpeed() && t.Top(&p) > t.TopSpeed*(1+line.SpeedTolerance) {
			continue
		}
		done, worst := 0, math.Inf(1)
		for j := range t.Machine.Jobs {
			job := &t.Machine.Jobs[j]
			result := t.Best(job, []reduction.Position{p})
			if result.Outcome.Done() {
				done++
			}
			if job.Missing == "" {
				worst = min(worst, result.Worth(job.Margin))
			}
		}
		if done > most || done == most && worst > spare {
			best, most, spare = p, done, worst
		}
	}
	return best
}

// The single ratios looked at lie between these.
const leastSingle, mostSingle = 0.2, 300.0
