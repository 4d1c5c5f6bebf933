package motor

import (
	"fmt"

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

func (w *workings) add(id working.ID, label string, k Known, d q.Dimension, formula, substituted string,
	src *source.Source, assumes ...string,
) {
	if !k.OK() || k.Value < 0 {
		return // nothing that is measured of a motor is under nothing
	}
	one := working.Derive(id, label, w.show(k.Value, d), formula, substituted, src, assumes...)
	one.Standing = k.Standing
	w.list = append(w.list, one)
}

// Workings derives each figure the motor bench shows.
func (m *Resolved) Workings(sys q.System) []working.Working {
	w := &workings{sys: sys, list: make([]working.Working, 0, 12)}
	m.commonWorkings(w)
	switch m.Kind.Family() {
	case DCFamily:
		m.dcWorkings(w)
	case SeriesFamily:
		m.seriesWorkings(w)
	case StepperFamily:
		m.stepperWorkings(w)
	case InductionFamily:
		if m.Induction.Poles.OK() {
			m.inductionWorkings(w)
		}
		m.fanWorkings(w)
	}
	m.outputWorkings(w)
	return w.list
}

func (m *Resolved) commonWorkings(w *workings) {
	if m.Power.OK() && m.Power.Value != m.PlatePower.Value && m.Kind != Stepper {
		m.powerWorking(w)
	}
	if m.Torque.OK() && m.Kind != Stepper {
		formula, figures := "T = P / ω", q.Show(m.Power.Value, q.Power, q.Metric)+" ÷ "+
			q.Figures(m.Speed.Value, 4)+" rad/s"
		src, assumes := source.Mechanics, []string{}
		if made := m.DC.Ke.Value*m.Amps.Value - m.DC.Friction.Value; m.Kind.Family() == DCFamily &&
			m.DC.Friction.Standing != working.Computed &&
			m.Torque.Value == made {
			formula, src = "T = K_e·I − T_loss", source.DCMachine
			figures = w.show(m.DC.Ke.Value, q.BackEMF) + " × " + w.show(m.Amps.Value, q.Current) + " − " +
				w.show(m.DC.Friction.Value, q.Torque)
		}
		if m.Spread >= 0.1 {
			assumes = append(assumes, "May be out by "+q.Percent(m.Spread)+": between "+
				w.show(m.Torque.Value*(1-m.Spread), q.Torque)+" and "+
				w.show(m.Torque.Value*(1+m.Spread), q.Torque))
		}
		w.add(working.MotorTorque, "Rated torque", m.Torque, q.Torque, formula, figures, src, assumes...)
	}
	if m.Efficiency.OK() && m.Kind != Stepper {
		one := working.Derive(working.MotorEfficiency, "Efficiency at full load", q.Percent(m.Efficiency.Value),
			"η = P_out / P_in", q.Show(m.Power.Value, q.Power, q.Metric)+" ÷ "+
				q.Show(m.Power.Value/m.Efficiency.Value, q.Power, q.Metric), source.Mechanics)
		one.Standing = m.Efficiency.Standing
		w.list = append(w.list, one)
	}
	if m.Amps.OK() && m.Amps.Standing == working.Assumed {
		w.add(working.MotorAmps, "Amps at full load", m.Amps, q.Current, "I = P / (√phases·V·pf·η)",
			w.show(m.Power.Value, q.Power)+" at "+w.show(m.Volts.Value, q.Voltage)+" and the usual efficiency",
			source.PlateEfficient, "No amps on the plate")
	}
	m.speedWorking(w)
}

func (m *Resolved) speedWorking(w *workings) {
	switch {
	case !m.Speed.OK() || m.Speed.Standing == working.Read || m.Kind == Stepper:
	case m.Guess != "":
		w.add(working.MotorSpeed, "Speed at full load", m.Speed, q.Speed, "by the body's class",
			w.show(m.Body.Diameter, q.Length)+" across: "+m.Guess, source.BodyClass,
			"A guess until it is measured")
	default:
		w.add(working.MotorSpeed, "Speed at full load", m.Speed, q.Speed, "ω = (V − I·R) / K_e, or 0.95 of synchronous",
			"from the bench readings and plate volts", source.DCMachine, "No speed on the plate")
	}
}

// goingIn writes what the motor takes at its plate's amps, as "√3 × 400 V × 3.4 A × 0.83".
func (m *Resolved) goingIn(sys q.System) string {
	words := q.Show(m.Volts.Value, q.Voltage, sys) + " × " + q.Show(m.Amps.Value, q.Current, sys)
	if m.rootPhases() > 1 {
		words = "√3 × " + words
	}
	if m.PowerFactor.OK() {
		words += " × " + q.Figures(m.PowerFactor.Value, 2)
	}
	return words
}

func (m *Resolved) powerWorking(w *workings) {
	eff := m.Kind.Profile()
	switch {
	case !m.PlatePower.OK():
		w.add(working.MotorPower, "Power to count on", m.Power, q.Power, "P = √phases·V·I·pf·η",
			fmt.Sprintf("%s × %s", m.goingIn(w.sys), q.Figures(eff.usual, 3)),
			source.PlateEfficient, "No power on the plate; usual efficiency taken")
	case m.Power.Standing == working.Computed:
		w.add(working.MotorPower, "Power to count on", m.Power, q.Power, "P ≤ √phases·V·I·pf·η_best",
			fmt.Sprintf("%s × %s", m.goingIn(w.sys), q.Figures(m.bestShare, 2)),
			source.PlateEfficient, "The plate's power is more than its amps can carry")
	case m.PowerMeans == "intermittent" && m.SteadyShare != peakShare:
		w.add(working.MotorPower, "Power to count on", m.Power, q.Power, "P·√(1 − e^(−t/τ)) for S2, P·√share for S3",
			q.Figures(m.SteadyShare, 2)+" × "+w.show(m.PlatePower.Value, q.Power), source.Heating)
	default:
		w.add(working.MotorPower, "Power to count on", m.Power, q.Power, "P = 0.7 · P_peak",
			"0.7 × "+w.show(m.PlatePower.Value, q.Power), source.PeakRating)
	}
}

// spread writes how far off a fitted constant may be.
func spread(e Estimate) string {
	if !e.Found() {
		return ""
	}
	return ", give or take " + q.Percent(e.Spread)
}

func (m *Resolved) seriesWorkings(w *workings) {
	s := m.Series
	w.add(working.MotorK, "Torque for amps squared", s.K, q.Number, "k = (V·pf/I − R) / ω",
		"N·m/A²; at "+w.show(m.Amps.Value, q.Current)+" and "+w.show(m.Speed.Value, q.Speed)+
			spread(m.Fit.Ke), source.SeriesMotor)
	w.add(working.MotorResistance, "Armature and field resistance", s.Resistance, q.Resistance,
		"R as measured, or ½·(V·pf·I − P) / I²", "half of the plate's loss where it was not measured"+spread(m.Fit.R),
		source.LossSplit)
	w.add(working.MotorReactance, "Reactance on alternating current", s.Reactance, q.Resistance, "X = V·√(1 − pf²) / I",
		w.show(m.Volts.Value, q.Voltage)+", "+w.show(m.Amps.Value, q.Current)+", power factor "+
			q.Figures(m.PowerFactor.Value, 2), source.SeriesMotor)
	w.add(working.MotorFriction, "Torque lost inside", s.Friction, q.Torque, "T_loss = k·I² − P/ω",
		"at plate load"+spread(m.Fit.Loss), source.SeriesMotor)
	if !m.Ready() {
		return
	}
	for _, share := range []float64{1, 0.5, 0.25} {
		w.add(working.MotorSpeedAt.Of(q.Figures(share*100, 3)), "Speed at "+q.Percent(share)+" of its torque",
			Known{m.LightSpeed(share), working.Computed}, q.Speed,
			"ω = (√((V/I)² − X²) − R) / k, I = √((T + T_loss)/k)", "on "+w.show(m.Volts.Value, q.Voltage),
			source.SeriesMotor)
	}
}

func (m *Resolved) stepperWorkings(w *workings) {
	s := m.Steps
	if len(s.Curve) > 0 {
		w.add(working.MotorTorque, "Pull-out torque, slow", m.Torque, q.Torque, "as measured or printed",
			fmt.Sprintf("%d points, down to %s at %s", len(s.Curve), w.show(s.Curve[len(s.Curve)-1].Torque, q.Torque),
				w.show(m.Speed.Value, q.Speed)),
			source.Typed)
		return
	}
	w.add(working.MotorTorque, "Pull-out torque, slow", m.Torque, q.Torque, "T = 0.7 · T_hold",
		"0.7 × "+w.show(s.Holding.Value, q.Torque), source.StepperTorque,
		"Without a curve: put in the pull-out at a few speeds")
	if s.Henries > 0 && m.Amps.OK() {
		corner := (&stepperLaw{m, Feed{Volts: m.DriverVolts}}).corner()
		w.add(working.MotorCorner, "Torque falls from", Known{corner, working.Computed}, q.Speed,
			"n = V / (2·L·I) steps a second", fmt.Sprintf("%s, %s, %s, %g steps a turn",
				w.show(m.DriverVolts, q.Voltage), w.show(s.Henries, q.Inductance), w.show(m.Amps.Value, q.Current),
				s.PerTurn), source.StepperCorner,
			"Higher driver volts move it up in proportion")
	}
}

// fanWorkings are a fan's speeds on its capacitors, with what becomes of power and sound.
func (m *Resolved) fanWorkings(w *workings) {
	if len(m.Trials) == 0 {
		return
	}
	top := m.Trials[len(m.Trials)-1].Omega
	for i, t := range m.Trials {
		share := t.Omega / top
		w.add(working.MotorFan.At(i), "On "+w.show(t.Farads, q.Capacitance), Known{t.Omega, working.Measured}, q.Speed,
			"power goes with n³, sound with 50·log10(n)",
			q.Percent(FanPower(share))+" of the power, "+q.Figures(FanQuieter(share), 2)+
				" dB against the largest; starts "+q.Percent(t.Starts),
			source.FanLaws)
	}
}

// outputWorkings are what comes out of a gearbox, and what is coasted with.
func (m *Resolved) outputWorkings(w *workings) {
	if g := m.Gear; g.Sort != "none" && m.Torque.OK() {
		w.add(working.MotorGearSpeed, "Speed at the gearbox", Known{m.Speed.Value / g.Ratio, working.Computed}, q.Speed,
			"n / i", w.show(m.Speed.Value, q.Speed)+" ÷ "+q.Figures(g.Ratio, 4), source.Mechanics)
		figures := w.show(m.Torque.Value, q.Torque) + " × " + q.Figures(g.Ratio, 4) + " × " + q.Percent(g.Efficiency)
		if m.GearTorque() == g.Limit {
			figures += ", held to its rating"
		}
		w.add(working.MotorGearTorque, "Torque at the gearbox", Known{m.GearTorque(), working.Computed}, q.Torque,
			"T·i·η", figures, source.GearboxEfficiency)
	}
	if j := m.Fit.Inertia; j.Found() {
		w.add(working.MotorInertia, "Rotor's inertia", j.known(), q.Inertia, "J = T_loss·Δt / Δω",
			"from coasting down"+spread(j), source.DCMachine)
	}
}

func (m *Resolved) dcWorkings(w *workings) {
	dc := m.DC
	volts, amps := w.show(m.Volts.Value, q.Voltage), w.show(m.Amps.Value, q.Current)
	switch dc.Ke.Standing {
	case working.Measured:
		w.add(working.MotorKe, "Back-EMF constant", dc.Ke, q.BackEMF, "K_e = V_open / ω",
			"on the bench"+spread(m.Fit.Ke)+"; the plate makes it "+w.show(dc.PlateKe, q.BackEMF), source.DCMachine)
	case working.Computed:
		w.add(working.MotorKe, "Back-EMF constant", dc.Ke, q.BackEMF, "K_e = (V − I·R) / ω",
			"("+volts+" − "+amps+" × "+w.show(dc.Resistance.Value, q.Resistance)+") ÷ "+
				q.Figures(m.Speed.Value, 4)+" rad/s",
			source.DCMachine)
	}
	switch dc.Resistance.Standing {
	case working.Measured:
		w.add(working.MotorResistance, "Armature resistance", dc.Resistance, q.Resistance, "R as measured",
			"on the bench"+spread(m.Fit.R)+"; the plate alone would give "+w.show(dc.PlateR, q.Resistance),
			source.Typed)
	case working.Computed:
		w.add(working.MotorResistance, "Armature resistance", dc.Resistance, q.Resistance, "R = (V − K_e·ω) / I",
			"("+volts+" − "+w.show(dc.Ke.Value, q.BackEMF)+" × "+q.Figures(m.Speed.Value, 4)+" rad/s) ÷ "+
				amps, source.DCMachine)
	case working.Assumed:
		w.add(working.MotorResistance, "Armature resistance", dc.Resistance, q.Resistance, "R = ½·(V·I − P) / I²",
			"½ × ("+volts+" × "+amps+" − "+q.Show(m.Power.Value, q.Power, q.Metric)+") ÷ ("+amps+")²",
			source.LossSplit, "Not measured: take the leads off and read it at several shaft positions")
	}
	w.add(working.MotorFriction, "Torque lost inside", dc.Friction, q.Torque, "T_loss = K_e·I_0, or K_e·I − P/ω",
		w.show(dc.Ke.Value, q.BackEMF)+" × amps, less the torque at the shaft"+spread(m.Fit.Loss),
		source.DCMachine)
	if dc.Resistance.OK() && dc.Resistance.Value > 0 {
		w.add(working.MotorStall, "Stall current at plate volts", Known{m.Volts.Value / dc.Resistance.Value,
			working.Computed}, q.Current, "I = V / R",
			volts+" ÷ "+w.show(dc.Resistance.Value, q.Resistance), source.DCMachine,
			"Standing still there is no back-EMF, so only the winding holds the current back")
	}
}

func (m *Resolved) inductionWorkings(w *workings) {
	ind := m.Induction
	sync := synchronous(m.Hertz.Value, ind.Poles.Value)
	poles := working.Derive(working.MotorPoles, "Poles", q.Figures(ind.Poles.Value, 2), "p ≤ 120·f / n",
		"120 × "+w.show(m.Hertz.Value, q.Frequency)+" ÷ "+w.show(m.Speed.Value, q.Speed)+
			", taken down to an even number", source.Synchronous)
	poles.Standing = ind.Poles.Standing
	w.list = append(w.list, poles, working.Derive(working.MotorSlip, "Slip at full load", q.Percent(ind.Slip),
		"s = 1 − n / n_sync", "1 − "+w.show(m.Speed.Value, q.Speed)+" ÷ "+w.show(sync, q.Speed), source.Synchronous))
	w.add(working.MotorSynchronous, "Synchronous speed", Known{sync, working.Computed}, q.Speed, "n_sync = 120·f / p",
		fmt.Sprintf("120 × %s ÷ %g", w.show(m.Hertz.Value, q.Frequency), ind.Poles.Value), source.Synchronous)
	if !m.Torque.OK() {
		return
	}
	w.add(working.MotorBreakdown, "Breakdown torque", Known{ind.Breakdown * m.Torque.Value, working.Assumed}, q.Torque,
		"T_b = k_b · T_rated",
		fmt.Sprintf("%s × %s, at %s slip", q.Figures(ind.Breakdown, 3), w.show(m.Torque.Value, q.Torque),
			q.Percent(min(ind.BreakdownSlip, 1))),
		source.Breakdown)
	w.add(working.MotorStart, "Starting torque on the line", Known{ind.Start * m.Torque.Value, working.Assumed},
		q.Torque, "T_start = k_s · T_rated",
		fmt.Sprintf("%s × %s", q.Figures(ind.Start, 3), w.show(m.Torque.Value, q.Torque)), source.StartMultiple)
}
