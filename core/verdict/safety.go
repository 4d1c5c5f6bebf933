package verdict

import (
	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/wiring"
	"jiriki/core/work"
)

func (v *verdict) safetyFindings() {
	c := v.Control
	mains := v.Lethal()
	unit := mains && v.NeedsSupplyUnit()
	direct := mains && !unit && (c.DCDrive() || (c.Direct() || v.Supply.Battery) && v.Motor.Kind.Brushed())
	if unit {
		takes := ""
		if volts := v.DriveVolts(); volts > 0 {
			takes = "The drive takes " + v.show(volts, q.Voltage) + ". "
		}
		v.add(f.ControlSupplyUnit, f.Caution, "control.volts", "Needs a supply unit between it and the mains",
			takes+"The unit must keep mains and output apart; its mains side is lethal, and its capacitors hold a "+
				"charge. Local code and a licensed electrician decide.")
	}
	if direct {
		v.directFindings()
	}
	if mains && !c.Enclosed && !direct && !(unit && c.DCDrive()) {
		v.add(f.ControlOpenBox, f.Stop, "control.enclosed", "No enclosure noted",
			"Its terminals are live while it is plugged in. Put it in an earthed, closed box with strain relief. "+
				"Local code and a licensed electrician decide.")
	}
	v.isolationFinding()
	if c.SetsHertz() && mains {
		v.add(f.ControlStoredCharge, f.Caution, "control.enclosed", "Drive stays live after unplugging",
			"Its capacitors hold a lethal charge. Unplug, wait the time on its label, and measure before touching. "+
				"Local code and a licensed electrician decide.")
	}
	if c.Kind == control.VariableTransformer {
		v.add(f.ControlFromNothing, f.Caution, "control.kind", "Switch on only from nothing",
			"A variable transformer left turned up starts the motor at full speed, and nothing holds its current. "+
				"Turn it right down each time, and fuse what comes out of it.")
	}
	if c.DCDrive() && !c.ZeroStart {
		v.add(f.ControlZeroStart, f.Caution, "control.zeroStart", "Can start at full speed",
			"Without a zero-start interlock it comes on wherever the knob was left, and into an armature that "+
				"still turns "+
				"or capacitors still charged it trips or burns: start again only from standstill, some seconds "+
				"after. Keep "+
				"the interlock; people resent it until the day it matters.")
	}
	if mains && !v.Supply.Battery && !c.NoVolt {
		level := f.Caution
		if work.FindKind(v.Machine.Kind).TakesHand() {
			level = f.Stop
		}
		v.add(f.ControlNoVolt, level, "control.noVolt", "Restarts by itself after a power cut",
			"Fit a no-volt release, and a stop within reach of where you stand.")
	}
	v.pauseFinding()
	v.brakeFinding()
	v.inputFinding()
	if v.Supply.Battery && !c.Fused {
		v.add(f.SupplyBatteryFuse, f.Stop, "control.fused", "Battery with no fuse noted",
			"A battery drives hundreds of amps into a short: wires glow before anyone finds a switch. Put a fuse at "+
				"the battery, rated for direct current.")
	}
	v.afterFindings()
	v.reverseFindings()
	v.contactFinding()
}

// directFindings are of lethal direct current on a motor's leads, from the mains or from cells.
func (v *verdict) directFindings() {
	c := v.Control
	where, what, title := "leads", "Rectified or cut mains. Unplug, wait", "Mains-fed direct current with "
	if v.Motor.Kind.Brushed() {
		where = "brushes"
	}
	if v.Supply.Battery {
		what, title = "Direct volts past 50. Isolate the battery, wait", "Lethal direct current with "
	}
	v.add(f.MotorLethal, f.Caution, "control.enclosed", "Lethal voltage on the "+where, what+", and measure before "+
		"touching. Fuse, earth, cover every terminal. Local code and a licensed electrician decide.")
	switch {
	case !c.Fused && !v.Supply.Battery: // a battery's has a stop of its own
		v.add(f.ControlBareMains, f.Stop, "control.fused", title+"no fuse noted",
			"Fuse both the line and the armature; put the drive in an earthed, closed box with strain relief. Local "+
				"code and a licensed electrician decide.")
	case !c.Enclosed:
		v.add(f.ControlBareMains, f.Stop, "control.enclosed", title+"no enclosure noted",
			"Put it in an earthed, closed box with strain relief, and fuse both the line and the armature. Local code "+
				"and a licensed electrician decide.")
	}
}

// afterFindings are of what hangs on a drive besides its motor.
func (v *verdict) afterFindings() {
	c := v.Control
	if c.SwitchAfter && c.Converts() {
		detail := "Opened while it runs it can destroy the drive. Lead a contact of it through the enable, so that " +
			"the drive is off before it opens."
		v.add(f.ControlSwitchAfter, f.Caution, "control.switchAfter", "A switch between drive and motor", detail)
	}
	if c.Shared && c.Converts() {
		v.add(f.ControlShared, f.Caution, "control.shared", "Two motors on one drive",
			"Its current limit guards the sum and neither of them: each needs an overload relay of its own, and "+
				"neither may be switched in while the drive runs. The figures here are for this motor alone.")
	}
}

// protectorFinding makes a stop of a protector that resets by itself where what takes a hand would start with it.
func (v *verdict) protectorFinding() {
	if !work.FindKind(v.Machine.Kind).TakesHand() {
		return
	}
	for i := range v.list {
		if one := &v.list[i]; one.ID == f.MotorProtector {
			one.Level = f.Stop
		}
	}
}

func (v *verdict) reverseFindings() {
	screwed := v.Machine.ScrewedOn
	field := "machine.limits.screwedOn"
	for i, s := range v.Reduction.Stages {
		if s.ScrewOn {
			screwed, field = true, stageField(i, "screwOn")
		}
	}
	reverses := v.Control.Reverse != "none"
	if v.Control.BrakeOhms > 0 && screwed {
		v.add(f.ControlBrakeScrewed, f.Stop, field, "Brake with a screwed-on chuck or pulley",
			"A brake resistor stops the spindle faster than what is screwed to it, which spins off and flies. Pin or "+
				"clamp it, or let the spindle coast.")
	}
	switch {
	case reverses && screwed:
		v.add(f.ControlReverseScrewed, f.Stop, field, "Reverse with a screwed-on chuck or pulley",
			"Reversing, or braking hard, unscrews it at speed. Pin or clamp it, or take the reverse out.")
	case v.Control.Reverse == "switch" && !wiring.Motor(v.Motor.Kind.Profile().Leads).TurnedBySwitch():
		v.add(f.ControlReverseDead, f.Stop, "control.reverse", "A switch in its leads does not reverse this motor",
			v.Motor.Kind.Profile().Reverses+" Crossed over, its leads only stall or burn it. Choose another way, or "+
				"none.")
	case reverses:
		v.add(f.ControlReverse, f.Caution, "control.reverse", "Reverse only at standstill",
			"Drive off, shaft still, then the switch. Reversed while turning it draws about twice its stall current.")
	case v.Machine.Reversed && v.Motor.Kind == motor.ShadedPole:
		v.add(f.MotorCannotReverse, f.Caution, "machine.limits.needsReversed", "A shaded-pole motor cannot be reversed",
			"Its copper bands set the way it turns. Use another motor, or turn it end for end in its frame.")
	case v.Machine.Reversed:
		v.add(f.ControlReverseWanted, f.Caution, "control.reverse", "The machine must run both ways",
			"No reverse is planned on the control.")
	}
}
