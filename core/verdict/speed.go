package verdict

import (
	"fmt"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/judge"
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
	if v.Control.DCDrive() && v.Control.TopTrim > 1.005 && !v.pastLimit() {
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

// pastLimit reports whether the spindle can pass the machine's limit.
func (v *verdict) pastLimit() bool { return v.Fastest() > v.TopSpeed*(1+line.SpeedTolerance) }

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

func (v *verdict) topSpeedFindings() {
	v.fasterFinding()
	limit, field := v.Machine.TopSpeed()
	if field == "" || !v.Runs || len(v.Reduction.Positions) == 0 {
		return
	}
	fastest := v.Fastest()
	if !v.pastLimit() {
		v.add(f.WorkTopSpeedGood, f.Good, field, "Stays under the machine's limit",
			fmt.Sprintf("Tops out at %s with no load, limit %s.", v.show(fastest, q.Speed),
				v.show(limit, q.Speed))).Working = working.ReachSpeed
		return
	}
	what := "the spindle's limit"
	if field == "machine.limits.marked" {
		what = "the speed marked on wheel, chuck or disc"
	}
	fix, where := v.slowerWays(limit)
	one := v.add(f.WorkTopSpeed, f.Stop, where, "Can turn faster than "+what,
		fmt.Sprintf("%s with no load, against %s. Bursting stress goes with the square of speed. %s",
			v.show(fastest, q.Speed), v.show(limit, q.Speed), fix))
	one.Working, one.Fix = working.ReachSpeed, f.Fix{Sort: f.TopSpeed}
}

// slowerWays are what brings the spindle under a speed (rad/s), and where that is entered.
func (v *verdict) slowerWays(limit float64) (fix, where string) {
	fix, where = "Gear it down, or keep the belt off that step.", "reduction.stages[0].steps[0].driven"
	if len(v.Reduction.Positions) == 1 {
		fix = "Gear it down."
	}
	switch {
	case v.Control.Kind == control.StepperDriver:
		fix = "Gear it down, or let its source send no more pulses than that."
	case v.Feed.Kind == motor.VariableHertz:
		fix = "Gear it down or lower the top hertz to " + v.show(v.Feed.TopHertz*limit/v.Fastest(), q.Frequency) + "."
		where = "control.topHertz"
	case v.Control.DCDrive():
		trim, _ := v.TrimUnder(limit)
		fix, where = "Gear it down or set the top-speed trim to "+q.Percent(trim)+".", "control.topTrim"
	}
	return fix, where
}

// fasterFinding stops a cutter, or what carries a chuck, that would turn faster than it is known ever to have turned.
func (v *verdict) fasterFinding() {
	if !judge.FasterThanEver(v.Model) {
		return
	}
	proven := v.Machine.Proven()
	fix, _ := v.slowerWays(proven)
	v.add(f.WorkFasterThanEver, f.Stop, "machine.limits.spindle", "Faster than it ever turned",
		fmt.Sprintf("Its old motor and pulleys turned it at %s, and this plan reaches %s with no load. Nobody knows "+
			"that its bearings, chuck and wheels bear that. Put in the speed they are made for, or stay at the old "+
			"one: "+
			"%s", v.show(proven, q.Speed), v.show(v.Fastest(), q.Speed), fix)).Working = working.ReachSpeed
}
