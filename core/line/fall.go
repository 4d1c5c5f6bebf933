package line

import (
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// Fall is the share of its unloaded speed that a job takes from the motor in the position it comes out best in, the
// worst over the part of its band that is reached: 0 where it is not known.
func (t *Model) Fall(job *work.Need, result *Result) float64 {
	if result.Outcome == CannotTell || !result.Outcome.Reached() {
		return 0
	}
	return t.fallIn(job, &t.Reduction.Positions[result.Position], result)
}

// fallIn is [Model.Fall] in a position, of this reduction or another.
func (t *Model) fallIn(job *work.Need, p *reduction.Position, result *Result) float64 {
	worst := 0.0
	for _, omega := range []float64{result.Low, result.High} {
		torque := job.TorqueAt(min(max(omega, job.Low), job.High)) / (p.Ratio * p.Efficiency)
		worst = max(worst, t.Powered.Fall(torque, omega*p.Ratio))
	}
	return worst
}
