package motor

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Findings says what the plate and the bench readings give away about the motor by itself:
// what is missing, what cannot be true, and its own dangers.
func (m *Resolved) Findings(sys q.System) []f.Finding {
	var out []f.Finding
	add := func(id string, level f.Level, field, title, detail string) {
		out = append(out, f.Finding{ID: "motor." + id, Level: level, Station: f.Motor, Title: title, Detail: detail, Field: "motor." + field})
	}
	for _, n := range m.Needs {
		add("needs."+n.Field, f.Missing, n.Field, n.Title, n.How)
	}
	m.plateFindings(sys, add)
	if m.Ready() {
		m.benchFindings(sys, add)
	}
	switch m.Thermal {
	case "left-out":
		add("thermal-left-out", f.Stop, "thermalSwitch", "Thermal switch left out",
			"Wire the thin pair into the enable or the control feed. It is there because this motor can cook itself.")
	case "unknown":
		add("thermal-unknown", f.Caution, "thermalSwitch", "Thermal switch not looked for",
			"A thin extra pair with continuity is a thermal switch. Keep it, and wire it into the enable.")
	}
	return out
}

type adder func(id string, level f.Level, field, title, detail string)

func (m *Resolved) plateFindings(sys q.System, add adder) {
	show := func(v float64, d q.Dimension) string { return q.Show(v, d, sys) }
	if m.CapPower > 0 && m.PlatePower.OK() {
		claimed := m.PlatePower.Value
		best := efficiencies[m.Kind].best
		if claimed > m.CapPower*1.005 {
			add("plate-power", f.Caution, "plate.power", "The amps cannot carry the plate's "+show(claimed, q.Power),
				fmt.Sprintf("%s × %s is %s going in, so %s out at the very best. The lesser is used here.",
					show(m.Volts.Value, q.Voltage), show(m.Amps.Value, q.Current), show(m.CapPower/best, q.Power), show(m.CapPower, q.Power)))
		} else if eff := claimed / (m.CapPower / best); eff < 0.3 {
			add("plate-weak", f.Caution, "plate.amps", "Amps look high for the power",
				fmt.Sprintf("Only %s of what goes in would come out. Read the plate again: amps at another voltage, or a starting figure.", q.Percent(eff)))
		}
	}
	if m.PowerIsPeak && m.PlatePower.OK() {
		add("peak-rating", f.Caution, "plate.powerMeans", "Peak rating on the plate",
			fmt.Sprintf("Counted as %s for hours of work, 0.7 of the %s on the plate.", show(m.Power.Value, q.Power), show(m.PlatePower.Value, q.Power)))
	}
	if m.Kind == PermanentMagnetDC || !m.Induction.Poles.OK() || !m.Ready() {
		return
	}
	sync := synchronous(m.Hertz.Value, m.Induction.Poles.Value)
	if s := m.Induction.Slip; s < 0.005 || s > 0.13 {
		add("slip", f.Caution, "plate.speed", "Slip of "+q.Percent(s)+" is suspicious",
			fmt.Sprintf("%g poles at %s turn at %s; a loaded motor runs 0.5 to 13 %% under that. Check poles, hertz and speed.",
				m.Induction.Poles.Value, show(m.Hertz.Value, q.Frequency), show(sync, q.Speed)))
	}
	if m.Hertz.Standing == working.Assumed {
		add("hertz", f.Missing, "plate.hertz", "Hertz not on the plate", show(m.Hertz.Value, q.Frequency)+" is assumed from the speed. It sets speed and volts, so read it if you can.")
	}
}

func (m *Resolved) benchFindings(sys q.System, add adder) {
	if m.Kind != PermanentMagnetDC {
		return
	}
	dc := m.DC
	if dc.Ke.Standing == working.Measured && math.Abs(dc.Ke.Value/dc.PlateKe-1) > 0.15 {
		add("ke-against-plate", f.Caution, "bench.openVolts", "Bench and plate disagree on speed for volts",
			fmt.Sprintf("Measured %s, the plate makes it %s. The reading is used. Check the tachometer, then doubt the plate.",
				q.Show(dc.Ke.Value, q.BackEMF, sys), q.Show(dc.PlateKe, q.BackEMF, sys)))
	}
	if plate := m.Power.Value / m.Speed.Value; m.Torque.Value < 0.85*plate {
		add("torque-against-plate", f.Caution, "bench.noLoadAmps", "Readings give less torque than the plate",
			fmt.Sprintf("%s at plate amps against %s. The reading is used: look at brushes, bearings and magnets.",
				q.Show(m.Torque.Value, q.Torque, sys), q.Show(plate, q.Torque, sys)))
	}
}
