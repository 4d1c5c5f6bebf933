package verdict

import (
	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	"jiriki/core/work"
)

// alwaysFindings are the cautions said of every plan of their sort [common practice].
func (v *verdict) alwaysFindings() {
	if !v.Runs {
		return
	}
	say := func(id f.ID, field, title, detail string) { v.add(id, f.Caution, field, title, detail).Always = true }
	how := "knob at zero, through the current limit or a lamp in series"
	if v.Powered.FixedSpeed() {
		how = "with a stop in reach"
	}
	say(f.MotorFirstPower, "motor.plate.power", "The first power-up",
		"Motor clamped, belt off, "+how+". One hand only, and stand aside of the plane it turns in.")
	say(f.WorkHands, "machine.kind", "Hands, hair and sleeves",
		"No gloves and nothing loose near what turns. Guards on before the belt goes on, and a stop within reach of "+
			"where you stand.")
	if work.FindKind(v.Machine.Kind).Cutter {
		say(f.WorkEyes, "machine.kind", "Eyes, ears and breath",
			"Goggles always, ears covered when it is loud, and a mask or extraction for dust and fume.")
	}
	say(f.WorkOthers, "machine.kind", "Who else is there",
		"Children and lookers-on well back, and never in the plane it turns in. Plug out, or locked off, when you "+
			"leave it.")
	if v.Control.Converts() && v.Lethal() && !v.Supply.Battery {
		say(f.ControlMeters, "control.enclosed", "Meters near the drive",
			"Only one made for mains, of true rms, its leads whole. The clip of a scope on the mains' earth is a "+
				"short circuit across the drive: never measure so.")
	}
	if v.Motor.Cooling == "own-fan" && v.Motor.Kind != motor.Stepper {
		say(f.MotorOwnFan, "motor.plate.cooling", "Its own fan takes fingers",
			"It turns as long as the shaft does. Keep its cowl on, or cover it so that air passes and no finger does.")
	}
	if v.Control.Tacho && v.Control.Kind != control.BrushlessDrive && v.Lethal() && !v.Supply.Battery {
		say(f.ControlTachoDisplay, "control.feedback", "A display of its speed has its own supply",
			"Fed from the drive, or sharing its tachometer's leads, it stands at mains volts and upsets the speed. "+
				"Give "+
				"it a supply and a pickup of its own.")
	}
	for i, d := range work.FindKind(v.Machine.Kind).Dangers {
		say(f.WorkDanger.At(i), "machine.kind", d.Title, d.Words)
	}
	if what := work.FindKind(v.Machine.Kind).Throws; what != "" {
		say(f.ControlChips, "control.enclosed", "Keep "+what+" off the drive",
			"What gets in shorts terminals and blocks its cooling. Mount it away from the spray and from vibration.")
	}
	if work.FindKind(v.Machine.Kind).Dusty && v.Motor.Kind.Brushed() {
		say(f.MotorSparks, "motor.plate.cooling", "Brushes spark",
			"Grinding dust, wood dust and vapour can catch. Keep the commutator out of the dust, or use a motor "+
				"without brushes.")
	}
}
