package motor

import (
	"fmt"
	"math"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/shaft"
	"jiriki/core/working"
)

// verdict gathers what is said of the motor by itself, in one system of units.
type verdict struct {
	*Resolved
	sys  q.System
	list []f.Finding
}

func (v *verdict) show(value float64, d q.Dimension) string { return q.Show(value, d, v.sys) }

// add says one thing more, and returns it for the working behind its figures.
func (v *verdict) add(id f.ID, level f.Level, field, title, detail string) *f.Finding {
	v.list = append(v.list, f.Finding{ID: id, Level: level, Station: f.Motor, Title: title, Detail: detail,
		Field: field})
	return &v.list[len(v.list)-1]
}

// Findings says what the plate and the bench readings give away about the motor by itself:
// what is missing, what cannot be true, and its own dangers.
func (m *Resolved) Findings(sys q.System) []f.Finding {
	v := &verdict{Resolved: m, sys: sys}
	for _, n := range m.Needs {
		v.add(f.MotorNeeds.Of(n.Field), f.Missing, "motor."+n.Field, n.Title, n.How).Holds = f.HoldsBoth
	}
	v.plateFindings()
	v.ratingFindings()
	if m.Kind.Family() == InductionFamily && m.Induction.Poles.OK() && m.Ready() {
		v.inductionFindings()
	}
	if m.Ready() {
		v.guessFindings()
		v.benchFindings()
		v.builtOnFindings()
	}
	v.kindFindings()
	v.thermalFindings()
	return v.list
}

// plateFindings hold the plate's power against its own volts and amps.
func (v *verdict) plateFindings() {
	if v.CapPower == 0 || !v.PlatePower.OK() {
		return
	}
	claimed, best := v.Power.Value, v.bestShare
	going := v.CapPower / best
	read := v.PlatePower.Value * v.SteadyShare
	if read > v.CapPower*1.005 {
		detail := fmt.Sprintf("%s is %s going in, so %s out at the very best. The lesser is used here.",
			v.goingIn(v.sys), v.show(going, q.Power), v.show(v.CapPower, q.Power))
		if hp := v.PlatePower.Value * q.Horsepower / 1000; v.typedKilowatts && hp <= v.CapPower {
			detail += fmt.Sprintf(" Was it hp on the plate? As many hp are %s.", v.show(hp, q.Power))
		}
		if v.Kind == PermanentMagnetDC && v.PowerMeans == "continuous" {
			detail += " Exercise machines and hobby tools quote a peak: if this one does, say so under Rating."
		}
		v.add(f.MotorPlatePower, f.Caution, "motor.plate.power",
			"The amps cannot carry the plate's "+v.show(v.PlatePower.Value, q.Power),
			detail).Working = working.MotorPower
	} else if eff := claimed / going; eff < 0.3*best {
		v.add(f.MotorPlateWeak, f.Caution, "motor.plate.amps", "Amps look high for the power",
			fmt.Sprintf("Only %s of what goes in would come out. Read the plate again: amps at another voltage, or a "+
				"starting figure.", q.Percent(eff)))
	}
}

// ratingFindings say what a peak, a duty class and a service factor are worth.
func (v *verdict) ratingFindings() {
	if v.PowerMeans != "continuous" && v.PlatePower.OK() {
		title := map[string]string{"peak": "Peak rating on the plate",
			"intermittent": "Rated for part of the time"}[v.PowerMeans]
		v.add(f.MotorPeakRating, f.Caution, "motor.plate.powerMeans", title,
			fmt.Sprintf("Counted as %s for hours of work, %s of the %s on the plate, and with the speed that goes "+
				"with it.", v.show(v.Power.Value, q.Power), q.Figures(v.SteadyShare, 2), v.show(v.PlatePower.Value,
				q.Power))).Working = working.MotorPower
	}
	if v.ServiceFactor > 1 {
		v.add(f.MotorServiceFactor, f.Good, "motor.plate.serviceFactor", "Service factor "+q.Figures(v.ServiceFactor,
			3),
			"Room for a bad day at rated volts and cool air. It is no margin to plan with, and none is taken from it "+
				"here.")
	}
	if v.OtherVolts > 0 {
		v.add(f.MotorLinks, f.Good, "motor.plate.links", fmt.Sprintf("Linked for %s here", v.show(v.Volts.Value,
			q.Voltage)),
			fmt.Sprintf("The plate has %s too. Look under the terminal cover that the links are set for what the "+
				"supply or drive gives; a licensed electrician changes them.", v.show(v.OtherVolts, q.Voltage)))
	}
}

func (v *verdict) inductionFindings() {
	poles, hertz := v.Induction.Poles.Value, v.Hertz.Value
	sync := synchronous(hertz, poles)
	if s, most := v.Induction.Slip, v.Kind.Profile().mostSlip; s < 0.005 || s > most {
		v.add(f.MotorSlip, f.Caution, "motor.plate.speed", "Slip of "+q.Percent(s)+" is suspicious",
			fmt.Sprintf("%g poles at %s turn at %s; such a motor loaded runs 0.5 %% to %s under that. Check poles, "+
				"hertz and speed.",
				poles, v.show(hertz, q.Frequency), v.show(sync, q.Speed), q.Percent(most))).Working = working.MotorSlip
	}
	if v.Hertz.Standing == working.Assumed {
		v.add(f.MotorHertz, f.Missing, "motor.plate.hertz", "Hertz not on the plate",
			v.show(hertz, q.Frequency)+" is assumed from the speed. It sets speed and volts, so read it if you can.")
	}
	switch {
	case v.Kind.HasRunCapacitor():
		v.capacitorFindings()
	case v.Kind == CapacitorStart:
		v.startCapacitorFinding()
	}
}

// How far a run capacitor's own reactive power may be from the shaft's, VAr a watt [common practice]: small fans are at
// the top, good motors at the bottom, and there is no more than this between them.
const (
	leastReactive = 0.15
	mostReactive  = 5.0
)

// How far a start capacitor's reactive power may be from the shaft's, VAr a watt [common practice]: most have about
// three.
const (
	leastStarting = 0.8
	mostStarting  = 10.0
)

// startCapacitorFinding stops a start capacitor that cannot be this motor's.
func (v *verdict) startCapacitorFinding() {
	v.capacitorFar(leastStarting, mostStarting, "Too few do not start it, and standing still it burns",
		"Too many burn its start winding, and the switch that takes it out")
}

// capacitorSizeFinding stops a run capacitor that cannot be this motor's: too many microfarads burn the second winding,
// too few do not start it.
func (v *verdict) capacitorSizeFinding() {
	v.capacitorFar(leastReactive, mostReactive, "Too few do not start it, and standing still it burns",
		"Too many burn the second winding")
}

// capacitorFar stops a capacitor of less or more than so many VAr for each watt of the shaft.
func (v *verdict) capacitorFar(least, most float64, tooFew, tooMany string) {
	if v.Capacitor == 0 || v.Power.Value == 0 {
		return
	}
	perFarad := 2 * math.Pi * v.Hertz.Value * v.Volts.Value * v.Volts.Value
	share := v.Capacitor * perFarad / v.Power.Value
	if share >= least && share <= most {
		return
	}
	what := tooMany
	if share < least {
		what = tooFew
	}
	v.add(f.MotorCapacitorFar, f.Stop, "motor.plate.capacitor", "Capacitor far off for this motor",
		fmt.Sprintf("%s on %s: such motors have between %s and %s. %s. Go by the old one's marking or the plate.",
			v.show(v.Capacitor, q.Capacitance), v.show(v.Power.Value, q.Power),
			v.show(least*v.Power.Value/perFarad, q.Capacitance),
			v.show(most*v.Power.Value/perFarad, q.Capacitance), what))
}

// LeastCapacitorVolts is the least AC volts a run capacitor may be marked for on a line of so many volts: 250 V up to
// 127 V; on 220 to 240 V, where 370 to 450 V are usual, the least of those; above, twice the line [common practice].
func LeastCapacitorVolts(line float64) float64 {
	switch {
	case line <= 127:
		return 250
	case line <= 250:
		return 370
	}
	return 2 * line
}

// capacitorFindings look at a run capacitor's rating and a fan's trials.
func (v *verdict) capacitorFindings() {
	v.capacitorSizeFinding()
	if v.CapacitorSort == "electrolytic" {
		v.add(f.MotorCapacitorSort, f.Stop, "motor.plate.capacitorSort", "An electrolytic cannot stay in circuit",
			"It is made for the second or two of a start: left in, it heats and bursts. Fit a film or oil capacitor "+
				"marked for alternating current.")
	}
	if least := LeastCapacitorVolts(v.Volts.Value); v.CapacitorAC > 0 && v.CapacitorAC < least {
		v.add(f.MotorCapacitorVolts, f.Stop, "motor.plate.capacitorVolts", "Capacitor marked for too few volts",
			fmt.Sprintf("It sees more than the line: on %s fit one marked %s AC or more, film or oil, never an "+
				"electrolytic. One marked for less can burst.", v.show(v.Volts.Value, q.Voltage),
				v.show(least, q.Voltage)))
	}
	if v.OffField > 0 {
		v.add(f.MotorTrialFast, f.Caution, "motor.readings", "Faster than its field turns",
			fmt.Sprintf("%s was read on a capacitor, and with %s poles on %s the field turns %s: an induction motor "+
				"stays under that. The reading is left out. Read the tachometer again; if it ran on another "+
				"frequency, put that on the plate.", v.show(v.OffField, q.Speed), q.Figures(v.Induction.Poles.Value, 2),
				v.show(v.Hertz.Value, q.Frequency), v.show(v.Synchronous(), q.Speed)))
	}
	for _, t := range v.Trials {
		if t.Starts < 1 {
			v.add(f.MotorFanStarts, f.Caution, "motor.readings", "Does not start every time on "+v.show(t.Farads,
				q.Capacitance),
				fmt.Sprintf("%s of the starts succeeded. A fan that hums and stands still burns; take the next "+
					"larger capacitor.", q.Percent(t.Starts)))
			return
		}
	}
}

// guessFindings say what the figures rest on when the plate was silent.
func (v *verdict) guessFindings() {
	if v.Guess != "" {
		detail := fmt.Sprintf("By its body it is of the %s. Torque may be out by %s either way, so the reach is "+
			"drawn as a band. Spin it and read the volts at its open leads: that ends the guessing.", v.Guess,
			q.Percent(v.Spread))
		if d := v.Body.Shaft; d > 0 {
			detail += fmt.Sprintf(" Its %s shaft would bear at most %s.", v.show(d, q.Length),
				v.show(shaft.Bears(d, shaft.Keyed), q.Torque))
		}
		v.add(f.MotorGuess, f.Caution, "motor.plate.speed", "Speed is a guess from the body", detail)
	}
	if d := v.Body.Shaft; d > 0 && v.Torque.Value > shaft.Bears(d, shaft.Keyed) {
		v.add(f.MotorShaftThin, f.Caution, "motor.body.shaft", "Shaft looks thin for the torque",
			fmt.Sprintf("%s would twist a keyed %s shaft past what it bears, %s. Plate or calliper is wrong.",
				v.show(v.Torque.Value, q.Torque), v.show(d, q.Length), v.show(shaft.Bears(d, shaft.Keyed), q.Torque)))
	}
}

// benchFindings hold the readings against the plate and against each other.
func (v *verdict) benchFindings() {
	if v.OhmsSpread > 0.3 {
		v.add(f.MotorOhmsJump, f.Caution, "motor.readings",
			"Resistance jumps by "+q.Percent(v.OhmsSpread)+" as it turns",
			"Clean the commutator, seat the brushes and turn it a little between readings. If one place stays high, "+
				"a coil is open there.")
	}
	if v.Fit.Misfit > 2.5 {
		v.add(f.MotorMisfit, f.Caution, "motor.readings", "Readings do not agree with each other",
			fmt.Sprintf("They are %s times as far apart as meters and hands explain. One of them is wrong: unit, "+
				"meter range, or volts read while it was still speeding up.", q.Figures(v.Fit.Misfit, 2)))
	}
	v.energyFindings()
	if v.Kind.Family() != DCFamily {
		return
	}
	dc := v.DC
	if dc.Ke.Standing == working.Measured && v.Guess == "" && v.Speed.Standing == working.Read &&
		math.Abs(dc.Ke.Value/dc.PlateKe-1) > 0.15 {
		v.add(f.MotorKeAgainstPlate, f.Caution, "motor.readings", "Bench and plate disagree on speed for volts",
			fmt.Sprintf("Measured %s, the plate makes it %s. The reading is used. Check the tachometer, then doubt "+
				"the plate.",
				v.show(dc.Ke.Value, q.BackEMF), v.show(dc.PlateKe, q.BackEMF))).Working = working.MotorKe
	}
	if plate := v.Power.Value / v.Speed.Value; v.Torque.Value < 0.85*plate {
		v.add(f.MotorTorqueAgainstPlate, f.Caution, "motor.readings", "Readings give less torque than the plate",
			fmt.Sprintf("%s at plate amps against %s. The reading is used: look at brushes, bearings and magnets.",
				v.show(v.Torque.Value, q.Torque), v.show(plate, q.Torque))).Working = working.MotorTorque
	}
}

// slack is how far a balance of readings and plate may be out before it is said [common practice].
const slack = 1.02

// energyFindings name what cannot be true together: heat and shaft power of more than goes in, or more volts made
// at the plate's speed than there are.
func (v *verdict) energyFindings() {
	ohms, inStep := v.DC.Resistance, v.Volts.Value
	if v.Kind.Family() == SeriesFamily {
		ohms, inStep = v.Series.Resistance, v.Volts.Value*v.PowerFactor.Value
	}
	amps := v.Amps.Value
	if heat, in := amps*amps*ohms.Value, inStep*amps; ohms.Standing == working.Measured && v.PlatePower.OK() &&
		heat+v.Power.Value > in*slack {
		v.add(f.MotorEnergy, f.Caution, "motor.readings", "Resistance and plate cannot both be true",
			fmt.Sprintf("At plate amps %s burn %s in the winding; with %s at the shaft that is more than the %s going "+
				"in. Read the ohms again, leads off and brushes seated, and then doubt the plate.",
				v.show(ohms.Value, q.Resistance), q.Watts(heat), v.show(v.Power.Value, q.Power),
				v.show(in, q.Power))).Working = working.MotorResistance
	}
	ke := v.DC.Ke
	if made := ke.Value * v.Speed.Value; ke.Standing == working.Measured && v.Speed.Standing == working.Read &&
		made > v.Volts.Value*slack {
		v.add(f.MotorMadeVolts, f.Caution, "motor.readings", "Volts and speed cannot both be true",
			fmt.Sprintf("By the reading it makes %s of its own at the plate's %s, and is given %s there: it could not "+
				"turn so fast. Spin it again with another meter, and then doubt the plate.", v.show(made, q.Voltage),
				v.show(v.Speed.Value, q.Speed), v.show(v.Volts.Value, q.Voltage))).Working = working.MotorKe
	}
}

// builtOnFindings are those of a gearbox or clutch that comes with the motor.
func (v *verdict) builtOnFindings() {
	g := v.Gear
	if g.HoldsItself() {
		v.add(f.MotorWormHolds, f.Caution, "motor.gearbox.sort", "A worm that loses this much holds its load",
			"It cannot be driven backwards: a heavy wheel behind it cannot coast, and stopping at once can strip it.")
	}
	if c := v.Clutch; c.Fitted {
		detail := fmt.Sprintf("It takes hold from %s and carries rated torque only from %s. Below that it slips, and "+
			"slip is heat.", v.show(c.Engages, q.Speed), v.show(c.Locks, q.Speed))
		if c.SlipHot > 0 {
			detail += fmt.Sprintf(" As measured it loses %s of the speed: %s into the clutch.", q.Percent(c.Slip),
				v.show(c.SlipHot, q.Power))
		}
		detail += " Old linings can be asbestos: no brush and no air line on their dust."
		v.add(f.MotorClutch, f.Caution, "motor.clutch.fitted", "A centrifugal clutch is no way to set a speed", detail)
	}
}

// kindFindings are the dangers that go with a kind of motor [common practice].
func (v *verdict) kindFindings() {
	switch v.Kind {
	case Universal:
		words := "Without a load it climbs until it bursts. Never run it with the belt off; " +
			"first power-up at low volts."
		if v.Ready() {
			words = fmt.Sprintf("%s at full load, %s at a quarter of it, and more with the belt off, until it "+
				"bursts. Never run it bare; first power-up at low volts.",
				v.show(v.Speed.Value, q.Speed), v.show(v.LightSpeed(0.25), q.Speed))
		}
		v.add(f.MotorRunsAway, f.Caution, "motor.kind", "Runs away without a load", words)
	case WoundDC:
		v.add(f.MotorFieldLoss, f.Caution, "motor.kind", "Never lose its field",
			"With armature fed and field open it runs away or burns. Interlock the drive's enable with the field's "+
				"current.")
	case Stepper:
		v.add(f.MotorLosesSteps, f.Caution, "motor.kind", "Loses steps without a word",
			"Overloaded it stalls and the controller never knows. Keep twice the torque in hand, and never unplug it "+
				"live: that kills the driver.")
	case SplitPhase, CapacitorStart, CapacitorRun, TwoSpeed:
		v.add(f.MotorStartCircuit, f.Caution, "motor.plate.capacitor", "Its start winding is for seconds",
			"A start switch that hangs, or a start capacitor left in circuit, burns it or bursts. It must click out "+
				"as it comes up to speed. Discharge capacitors through a resistor before touching; an oil one from "+
				"before about 1985 may hold PCB.")
	case PermanentSplit:
		v.add(f.MotorStoredCharge, f.Caution, "motor.plate.capacitor", "Capacitor holds a charge",
			"Unplug, then discharge it through a resistor before touching. One of oil from before about 1985 may hold "+
				"PCB: never open it.")
	}
}

func (v *verdict) thermalFindings() {
	switch v.Thermal {
	case "left-out":
		v.add(f.MotorThermalLeftOut, f.Stop, "motor.thermalSwitch", "Thermal switch left out",
			"Wire the thin pair into the enable or the control feed. It is there because this motor can cook itself.")
	case "unknown":
		v.add(f.MotorThermalUnknown, f.Caution, "motor.thermalSwitch", "Thermal switch not looked for",
			"A thin extra pair with continuity is a thermal switch. Keep it, and wire it into the enable.")
	}
	if v.Protector == "self-reset" {
		v.add(f.MotorProtector, f.Caution, "motor.plate.protector", "Its protector resets by itself",
			"When it has cooled the machine starts again on its own, and a no-volt release does not catch it: the "+
				"protector opens inside the motor. Fit one that is reset by hand, or lead it into the release.")
	}
}
