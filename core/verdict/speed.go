package verdict

import (
	"fmt"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

func (v *verdict) speedFindings() {
	m := v.Motor
	if m.Cooling == "own-fan" && (v.Control.DCDrive() || v.Control.SetsHertz()) && v.worksSlowly() {
		v.add(f.MotorFanCooling, f.Caution, "motor.plate.cooling", "Self-cooled fan",
			fmt.Sprintf("Under %s the motor cannot shed its rated heat. A fan with its own supply puts that right; "+
				"never run it with the fan taken off.", v.show(m.Speed.Value/2, q.Speed))).Working = working.MotorSlow
	}
	if v.Control.DCDrive() && v.Control.TopTrim > 1.005 {
		v.add(f.ControlOverPlate, f.Caution, "control.topTrim", "Trimmed over plate speed",
			"Bearings, balance and brushes were judged at plate speed. Ask the maker, or stay at 100 %.")
	}
	if v.Feed.Kind == motor.VariableHertz {
		high := v.Powered.RotorTop()
		allowed := line.RotorAllowance(m)
		if over := high / m.Speed.Value; over > allowed*1.005 {
			one := v.add(f.ControlRotorSpeed, f.Stop, "control.topHertz", "Rotor spun past what it was built for",
				fmt.Sprintf("%s is %s × plate speed. Bearings, balance and rotor bars set %g × for this motor unless "+
					"its maker allows more.", v.show(high, q.Speed), q.Figures(over, 3), allowed))
			one.Working, one.Fix = working.ControlTop, f.Fix{Sort: f.RotorSpeed}
		}
	}
}

// worksSlowly reports whether a job makes the motor turn below half its plate speed.
func (v *verdict) worksSlowly() bool {
	for _, job := range v.Machine.Jobs {
		for i := range v.Reduction.Positions {
			p := &v.Reduction.Positions[i]
			if job.Missing == "" && job.Low*p.Ratio*v.Motor.Gear.Ratio < 0.5*v.Motor.Speed.Value {
				return true
			}
		}
	}
	return false
}

// fastest is how fast the spindle can turn with no load, in whichever position, rad/s.
func (v *verdict) fastest() float64 {
	fastest := 0.0
	for i := range v.Reduction.Positions {
		fastest = max(fastest, v.Top(&v.Reduction.Positions[i]))
	}
	return fastest
}

func (v *verdict) topSpeedFindings() {
	limit, field := v.Machine.TopSpeed()
	if field == "" || !v.Runs || len(v.Reduction.Positions) == 0 {
		return
	}
	fastest := v.fastest()
	if fastest <= limit*(1+line.SpeedTolerance) {
		v.add(f.WorkTopSpeedGood, f.Good, field, "Stays under the machine's limit",
			fmt.Sprintf("Tops out at %s with no load, limit %s.", v.show(fastest, q.Speed),
				v.show(limit, q.Speed))).Working = working.ReachSpeed
		return
	}
	what := "the spindle's limit"
	if field == "machine.limits.marked" {
		what = "the speed marked on wheel, chuck or disc"
	}
	fix := "Gear it down, or keep the belt off that step."
	if len(v.Reduction.Positions) == 1 {
		fix = "Gear it down."
	}
	if v.Control.Kind == control.StepperDriver {
		fix = "Gear it down, or let its source send no more pulses than that."
	}
	where := "reduction.stages[0].steps[0].driven"
	if v.Control.DCDrive() || v.Control.SetsHertz() {
		trim, _ := v.TrimUnderLimit()
		fix, where = "Gear it down or set the top-speed trim to "+q.Percent(trim)+".", "control.topTrim"
		if v.Feed.Kind == motor.VariableHertz {
			fix, where = "Gear it down or lower the top hertz to "+v.show(v.Feed.TopHertz*limit/fastest,
				q.Frequency)+".", "control.topHertz"
		}
	}
	one := v.add(f.WorkTopSpeed, f.Stop, where, "Can turn faster than "+what,
		fmt.Sprintf("%s with no load, against %s. Bursting stress goes with the square of speed. %s",
			v.show(fastest, q.Speed), v.show(limit, q.Speed), fix))
	one.Working, one.Fix = working.ReachSpeed, f.Fix{Sort: f.TopSpeed}
}
