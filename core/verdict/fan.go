package verdict

import (
	f "jiriki/core/finding"
)

// fanFindings hold a choice of capacitors to the one load it is fit for.
func (v *verdict) fanFindings() {
	v.fanOnlyFinding("Smaller capacitors are for the motor's own fan")
	if len(v.Motor.Trials) < 2 {
		v.add(f.ControlFanTrials, f.Missing, "motor.readings", "Speeds on the capacitors",
			"Run it on each capacitor you have and write down speed and how often it starts: each as a bench reading.")
	}
}

// fanOnlyFinding cautions against slowing anything but a fan by weakening its motor.
func (v *verdict) fanOnlyFinding(title string) {
	if v.Machine.Kind != "fan" {
		v.add(f.ControlFanOnly, f.Caution, "control.kind", title,
			"A fan's load falls off with speed squared. Any other load stalls such a motor, and stalled it burns.")
	}
}
