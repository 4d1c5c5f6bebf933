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

func (v *verdict) ampsFindings() {
	c, m := v.Control, v.Motor
	if c.Kind == control.Contactor && v.Feed.Kind == motor.DirectCurrent {
		v.add(f.ControlBatteryStart, f.Caution, "control.kind", v.show(v.Powered.StallAmps(),
			q.Current)+" at every start",
			"Switched straight on, nothing but its own resistance holds the current back: contacts, fuse and battery "+
				"must bear it, belts and gears take the blow. A PWM drive starts it gently.").Working =
			working.MotorStall
	}
	if !c.Limits() {
		return
	}
	amps := m.Amps.Value
	rated := line.RatedAmps(&v.Stations)
	v.onePhaseFinding(rated)
	if c.Amps > 0 && rated < amps*0.995 {
		if c.LimitAmps > 0 && c.LimitAmps <= rated*control.PeakShare {
			v.add(f.ControlAmpsShort, f.Caution, "control.amps", "Drive smaller than the motor",
				fmt.Sprintf("%s against %s on the plate. It will work, with %s of the motor's torque.",
					v.show(rated, q.Current), v.show(amps, q.Current),
					q.Percent(rated/amps))).Fix = f.Fix{Sort: f.CurrentLimit}
		} else {
			title, held := "Drive too small and no limit set", "nothing to hold the current back"
			if c.LimitAmps > 0 {
				title = "Drive too small and its limit set past it"
				held = "a limit of " + v.show(c.LimitAmps, q.Current)
			}
			v.add(f.ControlAmpsShort, f.Stop, "control.amps", title,
				fmt.Sprintf("%s drive, %s motor, %s. Set the current limit within the drive, or use a larger one.",
					v.show(rated, q.Current), v.show(amps, q.Current), held)).Fix = f.Fix{Sort: f.CurrentLimit}
		}
	}
	switch limit := c.LimitAmps; {
	case limit == 0 && c.DCDrive():
		one := v.add(f.ControlNoLimit, f.Caution, "control.limitAmps", v.show(v.Powered.StallAmps(),
			q.Current)+" if it stalls with no limit",
			fmt.Sprintf("Set the drive's current limit to %s or less.", v.show(line.UsualLimit(&v.Stations),
				q.Current)))
		one.Working, one.Fix = working.MotorStall, f.Fix{Sort: f.CurrentLimit}
	case judge.LimitTooHigh(limit, amps):
		title, hurts := "Current limit burns the motor", "A jam at that heats its winding nine times as fast as its "+
			"rated load does, and nothing lets go. Set "
		if m.Kind.Magnets() {
			title, hurts = "Current limit can weaken the magnets", "A jam at that weakens them for good, and a motor "+
				"with weak magnets overspeeds. Set "
		}
		usual := line.UsualLimit(&v.Stations)
		if m.Kind == motor.Stepper {
			usual = amps
		}
		v.add(f.ControlLimitHigh, f.Stop, "control.limitAmps", title,
			fmt.Sprintf("%s is 3 × plate amps or more. %s%s.", v.show(limit, q.Current), hurts,
				v.show(usual, q.Current))).Fix = f.Fix{Sort: f.CurrentLimit}
	case limit > 0 && limit < amps:
		v.add(f.ControlLimitLow, f.Caution, "control.limitAmps", "Current limit under plate amps",
			fmt.Sprintf("At %s the motor gives less than its rated torque. 1.5 × plate amps is usual: %s.",
				v.show(limit, q.Current), v.show(1.5*amps, q.Current)))
	}
	if v.Feed.FormFactor > 1.3 {
		v.add(f.ControlFormFactor, f.Caution, "control.choke", "Rough current heats the motor",
			fmt.Sprintf("Without a choke the motor heats as if it drew %s times its amps, so it holds %s of its "+
				"torque all day. A choke in the armature lead brings most of that back.",
				q.Figures(v.Feed.FormFactor, 2), q.Percent(v.roughShare()))).Working = working.ControlFormFactor
	}
}

// roughShare is what a form factor leaves of the rated torque all day: its amps pull by their average, and what is lost
// inside takes as much of them as ever.
func (v *verdict) roughShare() float64 {
	rated, lost := v.Motor.Torque.Value, v.Motor.DC.Friction.Value
	return ((rated+lost)/v.Feed.FormFactor - lost) / rated
}

// onePhaseFinding looks at an inverter made for three phases in but fed by one.
func (v *verdict) onePhaseFinding(rated float64) {
	c := v.Control
	if !c.ThreeIn || v.Supply.Three || c.Amps == 0 {
		return
	}
	v.add(f.ControlOnePhaseIn, f.Caution, "control.fed", "Made for three phases, fed by one",
		fmt.Sprintf("Its input draws √3 times as much and its capacitors work harder: count on half its rating, %s "+
			"of %s. Size it at twice the motor's amps, and take its phase-loss trip out if its maker allows it.",
			v.show(rated, q.Current), v.show(c.Amps, q.Current)))
}
