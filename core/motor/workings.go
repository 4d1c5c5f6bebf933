package motor

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/source"
	"jiriki/core/working"
)

// workings gathers the motor's derivations in one system of units.
type workings struct {
	sys  q.System
	list []working.Working
}

func (w *workings) show(v float64, d q.Dimension) string { return q.Show(v, d, w.sys) }

func (w *workings) add(id, label string, k Known, d q.Dimension, formula, put string, src source.ID, assumes ...string) {
	if !k.OK() {
		return
	}
	w.list = append(w.list, working.Working{
		ID: "motor." + id, Station: "motor", Label: label, Value: w.show(k.Value, d), Formula: formula, Put: put,
		Assumes: append([]string{}, assumes...), Source: source.Find(src), Standing: k.Standing,
	})
}

// Workings derives each figure the motor bench shows.
func (m *Resolved) Workings(sys q.System) []working.Working {
	w := &workings{sys: sys}
	m.commonWorkings(w)
	if m.Kind == PermanentMagnetDC {
		m.dcWorkings(w)
	} else if m.Induction.Poles.OK() {
		m.inductionWorkings(w)
	}
	return w.list
}

func (m *Resolved) commonWorkings(w *workings) {
	if m.Power.OK() && m.Power != m.PlatePower {
		m.powerWorking(w)
	}
	if m.Torque.OK() {
		formula, put := "T = P / ω", fmt.Sprintf("%s ÷ %s rad/s", q.Show(m.Power.Value, q.Power, q.Metric), q.Figures(m.Speed.Value, 4))
		src := source.Mechanics
		if m.Kind == PermanentMagnetDC && m.DC.Friction.Standing != working.Computed {
			formula, src = "T = K_e·I − T_loss", source.DCMachine
			put = fmt.Sprintf("%s × %s − %s", w.show(m.DC.Ke.Value, q.BackEMF), w.show(m.Amps.Value, q.Current), w.show(m.DC.Friction.Value, q.Torque))
		}
		w.add("torque", "Rated torque", m.Torque, q.Torque, formula, put, src)
	}
	if m.Efficiency.OK() {
		w.list = append(w.list, working.Working{
			ID: "motor.efficiency", Station: "motor", Label: "Efficiency at full load", Value: q.Percent(m.Efficiency.Value),
			Formula: "η = P_out / P_in", Put: fmt.Sprintf("%s ÷ %s", q.Show(m.Power.Value, q.Power, q.Metric), q.Show(m.Power.Value/m.Efficiency.Value, q.Power, q.Metric)),
			Assumes: []string{}, Source: source.Find(source.Mechanics), Standing: m.Efficiency.Standing,
		})
	}
	if m.Amps.OK() && m.Amps.Standing == working.Assumed {
		w.add("amps", "Amps at full load", m.Amps, q.Current, "I = P / (V·η·pf·√phases)",
			fmt.Sprintf("%s at %s and the usual efficiency", w.show(m.Power.Value, q.Power), w.show(m.Volts.Value, q.Voltage)),
			source.PlateEfficient, "No amps on the plate")
	}
	if m.Speed.OK() && m.Speed.Standing != working.Read {
		w.add("speed", "Speed at full load", m.Speed, q.Speed, "ω = (V − I·R) / K_e, or 0.95 of synchronous", "from the bench readings and plate volts", source.DCMachine, "No speed on the plate")
	}
}

func (m *Resolved) powerWorking(w *workings) {
	eff := efficiencies[m.Kind]
	switch {
	case !m.PlatePower.OK():
		w.add("power", "Power to count on", m.Power, q.Power, "P = V·I·η", fmt.Sprintf("%s × %s × %g", w.show(m.Volts.Value, q.Voltage), w.show(m.Amps.Value, q.Current), eff.usual),
			source.PlateEfficient, "No power on the plate; usual efficiency taken")
	case m.Power.Standing == working.Computed:
		w.add("power", "Power to count on", m.Power, q.Power, "P ≤ V·I·η_best", fmt.Sprintf("%s in × %g", q.Show(m.CapPower/eff.best, q.Power, q.Metric), eff.best),
			source.PlateEfficient, "The plate's power is more than its amps can carry")
	default:
		w.add("power", "Power to count on", m.Power, q.Power, "P = 0.7 · P_peak", "0.7 × "+w.show(m.PlatePower.Value, q.Power), source.PeakRating)
	}
}

func (m *Resolved) dcWorkings(w *workings) {
	dc := m.DC
	volts, amps := w.show(m.Volts.Value, q.Voltage), w.show(m.Amps.Value, q.Current)
	switch dc.Ke.Standing {
	case working.Measured:
		w.add("ke", "Back-EMF constant", dc.Ke, q.BackEMF, "K_e = V_open / ω", "on the bench; the plate makes it "+w.show(dc.PlateKe, q.BackEMF), source.DCMachine)
	case working.Computed:
		w.add("ke", "Back-EMF constant", dc.Ke, q.BackEMF, "K_e = (V − I·R) / ω",
			fmt.Sprintf("(%s − %s × %s) ÷ %s rad/s", volts, amps, w.show(dc.Resistance.Value, q.Resistance), q.Figures(m.Speed.Value, 4)), source.DCMachine)
	}
	switch dc.Resistance.Standing {
	case working.Measured:
		w.add("resistance", "Armature resistance", dc.Resistance, q.Resistance, "R as measured", "on the bench; the plate alone would give "+w.show(dc.PlateR, q.Resistance), source.Typed)
	case working.Computed:
		w.add("resistance", "Armature resistance", dc.Resistance, q.Resistance, "R = (V − K_e·ω) / I",
			fmt.Sprintf("(%s − %s × %s rad/s) ÷ %s", volts, w.show(dc.Ke.Value, q.BackEMF), q.Figures(m.Speed.Value, 4), amps), source.DCMachine)
	case working.Assumed:
		w.add("resistance", "Armature resistance", dc.Resistance, q.Resistance, "R = ½·(V·I − P) / I²",
			fmt.Sprintf("½ × (%s × %s − %s) ÷ (%s)²", volts, amps, q.Show(m.Power.Value, q.Power, q.Metric), amps), source.LossSplit, "Not measured: take the leads off and read it at several shaft positions")
	}
	w.add("friction", "Torque lost inside", dc.Friction, q.Torque, "T_loss = K_e·I_0, or K_e·I − P/ω",
		fmt.Sprintf("%s × amps, less the torque at the shaft", w.show(dc.Ke.Value, q.BackEMF)), source.DCMachine)
	if dc.Resistance.OK() && dc.Resistance.Value > 0 {
		w.add("stall", "Stall current at plate volts", Known{m.Volts.Value / dc.Resistance.Value, working.Computed}, q.Current, "I = V / R",
			fmt.Sprintf("%s ÷ %s", volts, w.show(dc.Resistance.Value, q.Resistance)), source.DCMachine, "Standing still there is no back-EMF, so only the winding holds the current back")
	}
}

func (m *Resolved) inductionWorkings(w *workings) {
	ind := m.Induction
	sync := synchronous(m.Hertz.Value, ind.Poles.Value)
	w.list = append(w.list, working.Working{
		ID: "motor.poles", Station: "motor", Label: "Poles", Value: q.Figures(ind.Poles.Value, 2), Formula: "p ≤ 120·f / n",
		Put:     fmt.Sprintf("120 × %s ÷ %s, taken down to an even number", w.show(m.Hertz.Value, q.Frequency), w.show(m.Speed.Value, q.Speed)),
		Assumes: []string{}, Source: source.Find(source.Synchronous), Standing: ind.Poles.Standing,
	}, working.Working{
		ID: "motor.slip", Station: "motor", Label: "Slip at full load", Value: q.Percent(ind.Slip), Formula: "s = 1 − n / n_sync",
		Put:     fmt.Sprintf("1 − %s ÷ %s", w.show(m.Speed.Value, q.Speed), w.show(sync, q.Speed)),
		Assumes: []string{}, Source: source.Find(source.Synchronous), Standing: working.Computed,
	})
	w.add("synchronous", "Synchronous speed", Known{sync, working.Computed}, q.Speed, "n_sync = 120·f / p",
		fmt.Sprintf("120 × %s ÷ %g", w.show(m.Hertz.Value, q.Frequency), ind.Poles.Value), source.Synchronous)
	if !m.Torque.OK() {
		return
	}
	w.add("breakdown", "Breakdown torque", Known{ind.Breakdown * m.Torque.Value, working.Assumed}, q.Torque, "T_b = k_b · T_rated",
		fmt.Sprintf("%g × %s, at %s slip", ind.Breakdown, w.show(m.Torque.Value, q.Torque), q.Percent(math.Min(ind.BreakdownSlip, 1))), source.Breakdown)
	w.add("start", "Starting torque on the line", Known{ind.Start * m.Torque.Value, working.Assumed}, q.Torque, "T_start = k_s · T_rated",
		fmt.Sprintf("%g × %s", ind.Start, w.show(m.Torque.Value, q.Torque)), source.StartMultiple)
}
