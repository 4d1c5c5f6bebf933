package verdict

import (
	"strings"

	"jiriki/core/finding"
)

// behind names the working that the figures of a finding come from.
var behind = map[string]string{
	"supply.overload": "supply.input", "supply.near-breaker": "supply.input", "supply.breaker-good": "supply.input", "supply.breaker": "supply.input", "supply.drop": "supply.drop", "supply.drop-good": "supply.drop", "supply.cable": "supply.conductor", "supply.inrush": "supply.inrush",
	"control.no-limit": "motor.stall", "control.battery-start": "motor.stall", "control.form-factor": "control.formFactor", "control.volts-low": "control.volts", "control.volts-high": "control.volts",
	"control.rotor-speed": "control.top", "control.collapse": "control.collapse", "control.resistor-burns": "control.waste", "supply.sag": "supply.sag", "work.top-speed": "reach.speed", "work.top-speed-good": "reach.speed",
	"motor.plate-power": "motor.power", "motor.peak-rating": "motor.power", "motor.slip": "motor.slip", "motor.ke-against-plate": "motor.ke",
	"motor.torque-against-plate": "motor.torque", "motor.fan-cooling": "motor.slow", "reduction.good": "reduction.keeps", "reduction.measured": "reduction.measured",
	"work.air": "work.air",
}

// WorkingBehind is the working of a finding's figures: a job's margin, a stage's geometry, or what
// stands in behind; empty when it states no computed figure.
func WorkingBehind(one finding.Finding) string {
	if one.Job != "" {
		return "job.margin." + one.Job
	}
	name, place, _ := strings.Cut(strings.TrimPrefix(one.ID, "reduction."), ".")
	switch {
	case one.Station != finding.Reduction:
	case name == "wrap":
		return "reduction.wrap." + place
	case name == "belt-speed":
		return "reduction.speed." + place + ".0"
	case name == "cone":
		return "reduction.belt." + place + ".0"
	case name == "rating":
		return "reduction.rating." + place
	}
	return behind[one.ID]
}
