package line

import (
	"fmt"

	"jiriki/core/reduction"
)

// FastestDriver is the fastest that a stage's driving shaft turns over all positions, rad/s.
func (t *Model) FastestDriver(stage int) float64 {
	high := t.Powered.Top()
	fastest := 0.0
	for i := range t.Reduction.Positions {
		p := &t.Reduction.Positions[i]
		if p.Steps[stage] == reduction.Out {
			continue
		}
		omega := high
		for i := range stage {
			omega /= t.Reduction.Stages[i].RatioAt(p.Steps[i])
		}
		fastest = max(fastest, omega)
	}
	return fastest
}

// BeltLoad is how hard a job works a stage's belt or chain at the worst.
type BeltLoad struct {
	Share float64 // of what it carries
	Job   string
	Pull  float64 // N needed
	Rated float64 // N it carries there
	Speed float64 // m/s
	Omega float64 // rad/s of the driven wheel
	Step  reduction.Step
	Brief bool // for some seconds, or to break it away: it may pull past its rating
	Count int  // 0 when no job says
}

// BeltLoads are what the jobs, each in its best position, ask of every stage's belt.
func (t *Model) BeltLoads(results []Result) []BeltLoad {
	out := make([]BeltLoad, len(t.Reduction.Stages))
	for j, result := range results {
		if result.Outcome == CannotTell || !result.Outcome.Reached() {
			continue
		}
		p := &t.Reduction.Positions[result.Position]
		torque, omega := result.Needed-result.Own, result.Omega
		for i := len(t.Reduction.Stages) - 1; i >= 0; i-- {
			if p.Steps[i] == reduction.Out {
				continue
			}
			s := t.Reduction.Stages[i]
			step := s.Steps[p.Steps[i]]
			if step.Pull.Rated() && step.Driven > 0 {
				now := BeltLoad{Job: t.Machine.Jobs[j].Name, Brief: result.Starting ||
					t.Machine.Jobs[j].Duty.Kind == "seconds", Pull: 2 * torque / step.Driven,
					Speed: omega * step.Driven / 2, Omega: omega, Step: step,
					Count: 1}
				now.Rated = step.Pull.Carries(now.Speed)
				if now.Brief {
					now.Rated *= reduction.OverloadShare
				}
				if now.Share = now.Pull / now.Rated; out[i].Count == 0 || now.Share > out[i].Share {
					out[i] = now
				}
			}
			torque /= step.Ratio * s.Efficiency
			omega *= step.Ratio
		}
	}
	return out
}

// OfStage names a stage among several.
func (t *Model) OfStage(stage int) string {
	if len(t.Reduction.Stages) < 2 {
		return ""
	}
	return fmt.Sprintf(" of stage %d", stage+1)
}

// twistPoints is how many speeds a shaft's most torque is looked for at.
const twistPoints = 8

// Twist is the most torque the motor's peak brings to a stage's two shafts, over its speeds and the
// positions, as far as belts before it slip first.
func (t *Model) Twist(stage int) (driving, driven float64) {
	low, high := t.Powered.Span()
	most := t.Powered.Breakaway().Torque
	for k := range twistPoints {
		most = max(most, t.Powered.Peak(low+(high-low)*float64(k)/(twistPoints-1)).Torque)
	}
	for i := range t.Reduction.Positions {
		p := &t.Reduction.Positions[i]
		torque := most
		for n, s := range t.Reduction.Stages[:stage+1] {
			before := torque
			if p.Steps[n] != reduction.Out {
				torque *= s.Steps[p.Steps[n]].Ratio * s.Efficiency
				if pull := s.Steps[p.Steps[n]].Pull; pull.Rated() && s.Slips() {
					torque = min(torque, reduction.OverloadShare*pull.Carries(0)*s.Steps[p.Steps[n]].Driven/2)
				}
			}
			if n == stage {
				driving, driven = max(driving, before), max(driven, torque)
			}
		}
	}
	return driving, driven
}
