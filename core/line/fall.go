package line

import (
	"jiriki/core/work"
)

// Fall is the share of its unloaded speed that a job takes from the motor in the position it comes out best in, the
// worst over the part of its band that is reached: 0 where it is not known.
func (t *Model) Fall(job *work.Need, result *Result) float64 {
	if result.Outcome == CannotTell || !result.Outcome.Reached() {
		return 0
	}
	p, worst := &t.Reduction.Positions[result.Position], 0.0
	for _, omega := range []float64{result.Low, result.High} {
		torque := job.TorqueAt(min(max(omega, job.Low), job.High)) / (p.Ratio * p.Efficiency)
		worst = max(worst, t.Powered.Fall(torque, omega*p.Ratio))
	}
	return worst
}

// FallsTooFar reports whether a job's speed falls by more than it says may be.
func (t *Model) FallsTooFar(job *work.Need, result *Result) bool {
	return job.Fall > 0 && t.Fall(job, result) > job.Fall
}
