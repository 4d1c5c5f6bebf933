package verdict

import (
	"fmt"
	"math"

	"jiriki/core/control"
	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/work"
)

// mainsOver is how many times a motor's volts a supply has from which it counts as the mains to it [common practice].
const mainsOver = 2

// isolationFinding stops what comes into touch with the mains through a control: signals from elsewhere on a drive
// whose common is live, and a motor for a few volts on whatever can put the mains on it, trimmed or not.
func (v *verdict) isolationFinding() {
	c := v.Control
	if !v.Lethal() || v.Supply.Battery || v.NeedsSupplyUnit() {
		return
	}
	if c.DCDrive() && c.FromElsewhere() && !c.Isolated {
		v.add(f.ControlNotIsolated, f.Stop, "control.isolated", "Its signal side is live",
			"Such a drive's common is joined to the mains: what is wired to it, a computer and the hand on it, is "+
				"too. Put an isolator made for it between, and tick that it is there. Local code and a licensed "+
				"electrician decide.")
	}
	volts := v.Motor.Volts.Value
	few := volts > 0 && volts <= supply.ExtraLowVolts && v.Supply.Volts > mainsOver*volts
	kept := c.Isolated && c.Volts > 0 && c.Volts <= supply.ExtraLowVolts
	if !few || kept || c.Kind == "" {
		return
	}
	field, way := "control.kind", "Use a supply of its own volts: a transformer with two windings or a supply "+
		"unit, and "+
		"a drive for those volts."
	switch c.Kind {
	case control.VariableTransformer, control.PhaseAngle:
		field, way = "control.isolated", "Put an isolating transformer to its own volts before it, and put in the "+
			"most "+
			"it then gives; or use another supply."
	case control.Chopper, control.BrushlessDrive:
		field, way = "control.volts", "Use a drive for the motor's own volts on a supply unit, and put in its volts."
	}
	v.add(f.ControlLowVolts, f.Stop, field, "A motor for a few volts, joined to the mains",
		"This control can put the mains on its leads, however it is trimmed, and they stand at mains volts against "+
			"earth; insulation for "+v.show(volts, q.Voltage)+" was not made for that. "+way+" Local code and a "+
			"licensed electrician decide.")
}

// arcs is the direct volts over which a contact made for alternating current may not let go of its arc [common
// practice].
const arcs = 30

// contactFinding looks at contacts that open direct current: a switch from a battery, one behind a drive, one that
// crosses the leads over.
func (v *verdict) contactFinding() {
	c := v.Control
	field, volts := "", v.Motor.Volts.Value
	switch {
	case c.Kind == control.Contactor && v.Supply.Battery:
		field, volts = "control.dcRated", v.Supply.Volts
	case !v.Motor.Kind.Brushed() || !c.Direct():
		return
	case c.SwitchAfter, c.Reverse == "switch":
		field = "control.dcRated"
	}
	if field == "" || c.DCRated || v.Supply.Volts == 0 {
		return
	}
	level, lethal := f.Caution, ""
	if volts > arcs {
		level = f.Stop
	}
	if volts > supply.ExtraLowVolts {
		lethal = " These volts kill. Local code and a licensed electrician decide."
	}
	v.add(f.ControlContacts, level, field, "Contacts not known to be rated for direct current",
		fmt.Sprintf("A contact made for alternating current holds the arc of %s and burns, and then nothing stops the "+
			"motor. Use contacts and fuses marked for these direct volts, and tick it.%s", v.show(volts, q.Voltage),
			lethal))
}

// pauseFinding stops a console that goes on at its speed where hands reach in meanwhile: a pause is not off.
func (v *verdict) pauseFinding() {
	if !v.Control.Pauses {
		return
	}
	level := f.Caution
	if work.FindKind(v.Machine.Kind).TakesHand() {
		level = f.Stop
	}
	v.add(f.ControlPauses, level, "control.pauses", "Paused is not off",
		"It goes on at the speed it had at a touch, while a tool or belt is being changed. Fit a stop that latches "+
			"and takes the power off, start only from zero, and take the pause out.")
}

// chops is how far over its peak a drive lets its direct volts rise before its brake resistor comes in [common
// practice].
const chops = 1.2

// brakeFinding holds a brake resistor against what the drive's brake switch bears.
func (v *verdict) brakeFinding() {
	c := v.Control
	if c.BrakeOhms == 0 || !v.Runs || c.Amps == 0 || v.Supply.Battery {
		return
	}
	volts := chops * math.Sqrt2 * v.Supply.Volts
	least := volts / (control.PeakShare * c.Amps)
	if c.BrakeOhms >= least*0.995 {
		return
	}
	v.add(f.ControlBrakeOhms, f.Stop, "control.brakeOhms", "Brake resistor too small for its drive",
		fmt.Sprintf("At the %s it brakes at, %s draw %s, more than the drive bears for a moment: its brake switch "+
			"burns, "+
			"and nothing brakes. Not under %s, and its maker's least where that is more.", v.show(volts, q.Voltage),
			v.show(c.BrakeOhms, q.Resistance), v.show(volts/c.BrakeOhms, q.Current), v.show(least, q.Resistance)))
}

// inputFinding holds what the drive's plate takes in against the supply.
func (v *verdict) inputFinding() {
	c, s := v.Control, v.Supply
	if !v.DrivenFromMains() {
		return
	}
	const title = "The drive is not made for this supply"
	if span := c.Input.Volts; !span.Takes(s.Volts) {
		what := "At too many its capacitors and rectifier burst as it is plugged in; at too few it trips or starves."
		if span.High < supply.ExtraLowVolts && s.Lethal() {
			what = "A drive for so few volts bursts on the mains, and puts them on all that is wired to it."
		}
		v.add(f.ControlInput, f.Stop, "control.inputVolts", title,
			fmt.Sprintf("%s on its plate, %s at the socket. %s Read the volts at its terminals L and N or L1, L2, L3. "+
				"Local code and a licensed electrician decide.", c.Input.Given, v.show(s.Volts, q.Voltage), what))
		return
	}
	if span := c.Input.Hertz; span.High > 0 && (s.Hertz < span.Low*0.95 || s.Hertz > span.High*1.05) {
		v.add(f.ControlInput, f.Stop, "control.inputHertz", title,
			fmt.Sprintf("Its plate takes %s to %s Hz, and the supply has %s.", q.Figures(span.Low, 3),
				q.Figures(span.High, 3),
				v.show(s.Hertz, q.Frequency)))
	}
}
