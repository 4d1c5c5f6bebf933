package verdict

import (
	f "jiriki/core/finding"
)

// fanFindings hold a choice of capacitors to the one load it is fit for.
func (v *verdict) fanFindings() {
	v.fanOnlyFinding("Smaller capacitors are for the motor's own fan")
}

// fanOnlyFinding cautions against slowing anything but a fan by weakening its motor.
func (v *verdict) fanOnlyFinding(title string) {
	if v.Machine.Kind != "fan" {
		v.add(f.ControlFanOnly, f.Caution, "control.kind", title,
			"A fan's load falls off with speed squared. Any other load stalls such a motor, and stalled it burns.")
	}
}
