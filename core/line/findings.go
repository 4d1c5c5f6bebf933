package line

import (
	"fmt"
	"math"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// verdict gathers findings in one system of units.
type verdict struct {
	*train
	sys  q.System
	list []f.Finding
}

func (v *verdict) show(value float64, d q.Dimension) string { return q.Show(value, d, v.sys) }

func (v *verdict) add(station f.Station, id string, level f.Level, field, title, detail string) {
	v.list = append(v.list, f.Finding{ID: string(station) + "." + id, Level: level, Station: station, Title: title, Detail: detail, Field: field})
}

// Voltages [common practice]: above extra-low voltage a touch can kill.
const extraLowVolts = 50

// extraLowDirect is the same for smooth direct current [IEC 61140, from memory].
const extraLowDirect = 60

// judge gathers everything there is to say about the plan except how its jobs fare.
func (t *train) judge(sys q.System) []f.Finding {
	v := &verdict{train: t, sys: sys, list: make([]f.Finding, 0, 40)}
	v.supplyFindings()
	v.controlFindings()
	v.list = append(v.list, t.Motor.Findings(sys)...)
	v.list = append(v.list, t.reductionFindings(sys)...)
	v.workFindings()
	v.alwaysFindings()
	return v.list
}

// sparks are the machines round which a sparking commutator can set dust alight.
var sparks = map[string]bool{"grinder": true, "belt-sander": true, "disc-sander": true, "mixer": true}

// alwaysFindings are the cautions said of every plan of their sort [common practice].
func (v *verdict) alwaysFindings() {
	if !v.runs {
		return
	}
	say := func(station f.Station, id, field, title, detail string) {
		v.list = append(v.list, f.Finding{ID: string(station) + "." + id, Level: f.Caution, Station: station, Title: title, Detail: detail, Field: field, Always: true})
	}
	how := "knob at zero, through the current limit or a lamp in series"
	if v.model.FixedSpeed() {
		how = "with a stop in reach"
	}
	say(f.Motor, "first-power", "motor.plate.power", "The first power-up", "Motor clamped, belt off, "+how+". One hand only, and stand aside of the plane it turns in.")
	say(f.Work, "hands", "machine.kind", "Hands, hair and sleeves", "No gloves and nothing loose near what turns. Guards on before the belt goes on, and a stop within reach of where you stand.")
	for i, d := range work.FindKind(v.Machine.Kind).Dangers {
		say(f.Work, fmt.Sprintf("danger-%d", i), "machine.kind", d.Title, d.Words)
	}
	if what := work.FindKind(v.Machine.Kind).Throws; what != "" {
		say(f.Control, "chips", "control.enclosed", "Keep "+what+" off the drive", "What gets in shorts terminals and blocks its cooling. Mount it away from the spray and from vibration.")
	}
	if sparks[v.Machine.Kind] && v.Motor.Kind.Brushed() {
		say(f.Motor, "sparks", "motor.plate.cooling", "Brushes spark", "Grinding dust, wood dust and vapour can catch. Keep the commutator out of the dust, or use a motor without brushes.")
	}
}

func (v *verdict) supplyFindings() {
	s := v.Supply
	if s.Volts == 0 {
		v.add(f.Supply, "volts", f.Missing, "supply.volts", "Volts at the socket", "Read the meter or the distribution board: 120 V, 230 V, 400 V three-phase.")
		return
	}
	if s.AssumedHertz {
		v.add(f.Supply, "hertz", f.Missing, "supply.hertz", "Hertz of the supply", v.show(s.Hertz, q.Frequency)+" is assumed from the volts.")
	}
	if s.Volts > extraLowVolts && !s.Earthed {
		v.add(f.Supply, "earth", f.Stop, "supply.earthed", "Frame not earthed",
			"Earth the machine's frame, the motor and the drive box before power goes near it. Local code and a licensed electrician decide how.")
	}
	if !v.runs {
		return
	}
	amps := v.inputAmps()
	if sagged := s.Sagged(v.Motor.Amps.Value); s.Battery && sagged < 0.9*s.Volts {
		v.add(f.Supply, "sag", f.Caution, "supply.inside", "The battery sags under load",
			fmt.Sprintf("%s left of %s at the motor's rated amps, so it is slower then. Shorter, thicker leads, or a larger battery.", v.show(sagged, q.Voltage), v.show(s.Volts, q.Voltage)))
	}
	switch {
	case s.Breaker == 0:
		v.add(f.Supply, "breaker", f.Missing, "supply.breaker", "Breaker of the circuit", fmt.Sprintf("The plan draws %s at full load. Read the rating off the breaker or fuse.", v.show(amps, q.Current)))
	case amps > s.Breaker:
		v.add(f.Supply, "overload", f.Stop, "supply.breaker", "Draws more than the breaker carries",
			fmt.Sprintf("%s at full load on a %s breaker. Never fit a larger one to the same wire: use another circuit, or less motor.", v.show(amps, q.Current), v.show(s.Breaker, q.Current)))
	case amps > 0.8*s.Breaker:
		v.add(f.Supply, "near-breaker", f.Caution, "supply.breaker", "Close to what the breaker carries",
			fmt.Sprintf("%s at full load on %s. It may trip after a while.", v.show(amps, q.Current), v.show(s.Breaker, q.Current)))
	default:
		v.add(f.Supply, "breaker-good", f.Good, "supply.breaker", "Breaker has room", fmt.Sprintf("Draws %s at full load, breaker %s.", v.show(amps, q.Current), v.show(s.Breaker, q.Current)))
	}
	v.circuitFindings()
	if inrush := v.model.StallAmps(); v.model.FixedSpeed() && s.Breaker > 0 && inrush > 3*s.Breaker {
		v.add(f.Supply, "inrush", f.Caution, "supply.breaker", "May trip at the start",
			fmt.Sprintf("Switched straight on it draws about %s for a moment. A slow (C or D type, time-delay) breaker of the same rating is meant for motors; a licensed electrician fits it.", v.show(inrush, q.Current)))
	}
}

// Power factor and efficiency on the input side [common practice].
const (
	driveEfficiency = 0.95
	drivePF         = 0.7
	inverterPF      = 0.62
)

// fullShare is the most the feed lets the motor give all day, as a share of its plate's power:
// short of volts it cannot reach its speed, and with volts and hertz past the plate's it gives more.
func (t *train) fullShare() float64 {
	switch volts := t.Motor.Volts.Value; {
	case !(volts > 0):
	case t.feed.Way == motor.VariableHertz:
		return t.feed.BaseVolts / volts * math.Min(1, t.feed.TopHertz/t.feed.BaseHertz)
	case t.feed.Way == motor.DirectCurrent:
		return math.Min(1, t.feed.Volts/volts)
	}
	return 1
}

// inputAmps is the supply current at the most the motor gives all day: that, and what it loses at
// its rated amps, which a lower speed does not spare.
func (t *train) inputAmps() float64 {
	if t.feed.Way == motor.CutSine {
		return t.Motor.Amps.Value // in series with the line, at full load all of it
	}
	factor, root := drivePF, 1.0
	switch {
	case t.Supply.Battery:
		factor = 1
	case t.Control.SetsHertz():
		factor = inverterPF
		if t.Supply.Three && t.Control.Kind == control.Inverter {
			root = math.Sqrt(3)
		}
	case !t.Control.Converts():
		factor = t.Motor.PowerFactor.Value
		if t.Motor.Kind == motor.ThreePhase {
			root = math.Sqrt(3)
		}
	}
	return t.inputWatts() / (t.Supply.Sagged(t.Motor.Amps.Value) * factor * root)
}

// inputWatts is the power drawn from the supply then.
func (t *train) inputWatts() float64 {
	return t.Motor.Power.Value * (t.fullShare() + 1/t.Motor.Efficiency.Value - 1) / t.keepsInDrive()
}

// keepsInDrive is the control's own efficiency.
func (t *train) keepsInDrive() float64 {
	if t.Control.Converts() {
		return driveEfficiency
	}
	return 1
}

func (v *verdict) controlFindings() {
	c, m := v.Control, v.Motor
	if c.Kind == "" {
		v.add(f.Control, "kind", f.Missing, "control.kind", "What will control it?", "Choose a drive or a plain switch that suits this motor.")
		return
	}
	ok, why := suits(v.Stations)
	if !ok {
		v.add(f.Control, "suits", f.Stop, "control.kind", "This control does not suit the motor", why)
		return
	}
	if c.Kind == control.Contactor && m.Kind == motor.ThreePhase && !v.Supply.Three && v.Supply.Volts > 0 {
		v.add(f.Control, "phases", f.Stop, "control.kind", "Three-phase motor on a single-phase switch",
			"On one phase it hums, will not start, and burns. Use a single-phase-input inverter.")
		return
	}
	if v.runs {
		v.add(f.Control, "suits-good", f.Good, "control.kind", "Control suits the motor", why)
		v.voltsFindings()
		v.ampsFindings()
		v.speedFindings()
		v.otherWaysFindings()
	}
	v.safetyFindings()
}

func (v *verdict) voltsFindings() {
	c, m, have := v.Control, v.Motor, v.feed.Volts
	share := have / m.Volts.Value
	switch v.feed.Way {
	case motor.DirectCurrent, motor.CutSine:
		switch {
		case share < 0.97:
			v.add(f.Control, "volts-low", f.Caution, "control.volts", "Reaches "+q.Percent(share)+" of plate speed",
				fmt.Sprintf("%s at most out of this drive for a %s motor. Torque is untouched; top speed is lower.", v.show(have, q.Voltage), v.show(m.Volts.Value, q.Voltage)))
		case share > 1.15 && !c.Trimmed:
			field := "control.topTrim"
			if !c.DCDrive() {
				field = "control.kind"
			}
			v.add(f.Control, "volts-high", f.Caution, field, "Drive can give more than the motor's volts",
				fmt.Sprintf("%s out for a %s motor. %s", v.show(have, q.Voltage), v.show(m.Volts.Value, q.Voltage), v.keepsVoltsDown()))
		}
	case motor.VariableHertz:
		if share < 0.9 {
			v.add(f.Control, "volts-low", f.Caution, "motor.plate.volts", "Motor wired for more volts than the inverter has",
				fmt.Sprintf("%s out for %s windings: torque weakens from %s up. If the plate shows two voltages, set the links for the lower one.",
					v.show(have, q.Voltage), v.show(m.Volts.Value, q.Voltage), v.show(v.feed.BaseHertz, q.Frequency)))
		}
		if rated := m.Volts.Value / m.Hertz.Value; c.BaseHertz > 0 && v.feed.Volts/c.BaseHertz > 1.1*rated && c.BaseHertz < 0.9*m.Hertz.Value*share {
			v.add(f.Control, "overflux", f.Caution, "control.baseHertz", "Base hertz set low for these volts",
				"The iron saturates and the motor heats. Set it to the plate's hertz.")
		}
	case motor.OnTheLine:
		v.lineVoltsFindings(share)
	case motor.Capacitors:
		v.lineVoltsFindings(share)
		v.fanFindings()
	}
}

// keepsVoltsDown says what holds a control with volts to spare to the motor's own.
func (v *verdict) keepsVoltsDown() string {
	switch v.Control.Kind {
	case control.SeriesResistor:
		return "The resistor only drops the rest while current flows: lightly loaded the motor sees nearly all of it."
	case control.VariableTransformer:
		return "Put a meter on the motor, mark the dial where it reads the plate's volts, and fit a stop there."
	}
	return "Set the top-speed trim before the belt goes on."
}

// fanFindings hold a choice of capacitors to the one load it is fit for.
func (v *verdict) fanFindings() {
	v.fanOnlyFinding("Smaller capacitors are for the motor's own fan")
	if len(v.Motor.Trials) < 2 {
		v.add(f.Control, "fan-trials", f.Missing, "motor.readings", "Speeds on the capacitors", "Run it on each capacitor you have and write down speed and how often it starts: each as a bench reading.")
	}
}

// fanOnlyFinding cautions against slowing anything but a fan by weakening its motor.
func (v *verdict) fanOnlyFinding(title string) {
	if v.Machine.Kind != "fan" {
		v.add(f.Control, "fan-only", f.Caution, "control.kind", title, "A fan's load falls off with speed squared. Any other load stalls such a motor, and stalled it burns.")
	}
}

func (v *verdict) lineVoltsFindings(share float64) {
	m, hertz := v.Motor, v.Supply.Hertz
	if v.Supply.Battery {
		return
	}
	if math.Abs(share-1) > 0.1 {
		level := f.Caution
		if math.Abs(share-1) > 0.25 {
			level = f.Stop
		}
		v.add(f.Supply, "line-volts", level, "supply.volts", "Plate volts and socket volts differ",
			fmt.Sprintf("%s at the socket, %s on the plate. Torque goes with the square; too much burns, too little stalls.", v.show(v.Supply.Volts, q.Voltage), v.show(m.Volts.Value, q.Voltage)))
	}
	if m.Kind.Family() != motor.InductionFamily {
		return
	}
	if turns := hertz / m.Hertz.Value; math.Abs(turns-1) > 0.05 {
		detail := fmt.Sprintf("A %s plate on %s turns %s as fast: about %s for its %s.", v.show(m.Hertz.Value, q.Frequency), v.show(hertz, q.Frequency), q.Percent(turns), v.show(turns*m.Speed.Value, q.Speed), v.show(m.Speed.Value, q.Speed))
		if turns < 1 {
			detail += fmt.Sprintf(" It also wants its volts lower by as much, %s in place of %s, or it runs hot.", v.show(turns*m.Volts.Value, q.Voltage), v.show(m.Volts.Value, q.Voltage))
		}
		v.add(f.Supply, "line-hertz", f.Caution, "supply.hertz", "Plate hertz and supply hertz differ", detail)
	}
}

func (v *verdict) ampsFindings() {
	c, m := v.Control, v.Motor
	if c.Kind == control.Contactor && v.feed.Way == motor.DirectCurrent {
		v.add(f.Control, "battery-start", f.Caution, "control.kind", v.show(v.model.StallAmps(), q.Current)+" at every start",
			"Switched straight on, nothing but its own resistance holds the current back: contacts, fuse and battery must bear it, belts and gears take the blow. A PWM drive starts it gently.")
	}
	if !c.Limits() {
		return
	}
	amps := m.Amps.Value
	rated := ratedAmps(v.Stations)
	v.onePhaseFinding(rated)
	if c.Amps == 0 {
		v.add(f.Control, "amps", f.Missing, "control.amps", "Amps the drive can give for ever", fmt.Sprintf("Read its plate. The motor asks for %s.", v.show(amps, q.Current)))
	} else if rated < amps*0.995 {
		if c.LimitAmps > 0 && c.LimitAmps <= rated*control.PeakShare {
			v.add(f.Control, "amps-short", f.Caution, "control.amps", "Drive smaller than the motor",
				fmt.Sprintf("%s against %s on the plate. It will work, with %s of the motor's torque.", v.show(rated, q.Current), v.show(amps, q.Current), q.Percent(rated/amps)))
		} else {
			v.add(f.Control, "amps-short", f.Stop, "control.amps", "Drive too small and no limit set",
				fmt.Sprintf("%s drive, %s motor, nothing to hold the current back. Set the current limit within the drive, or use a larger one.", v.show(rated, q.Current), v.show(amps, q.Current)))
		}
	}
	switch limit := c.LimitAmps; {
	case limit == 0 && c.DCDrive():
		v.add(f.Control, "no-limit", f.Caution, "control.limitAmps", v.show(v.model.StallAmps(), q.Current)+" if it stalls with no limit",
			fmt.Sprintf("Set the drive's current limit to %s or less.", v.show(1.5*amps, q.Current)))
	case limit > 3*amps && m.Kind.Magnets():
		v.add(f.Control, "limit-high", f.Caution, "control.limitAmps", "Current limit can weaken the magnets",
			fmt.Sprintf("%s is over 3 × plate amps. Set %s.", v.show(limit, q.Current), v.show(1.5*amps, q.Current)))
	case limit > 0 && limit < amps:
		v.add(f.Control, "limit-low", f.Caution, "control.limitAmps", "Current limit under plate amps",
			fmt.Sprintf("At %s the motor gives less than its rated torque. 1.5 × plate amps is usual: %s.", v.show(limit, q.Current), v.show(1.5*amps, q.Current)))
	}
	if v.feed.FormFactor > 1.3 {
		v.add(f.Control, "form-factor", f.Caution, "control.choke", "Rough current heats the motor",
			fmt.Sprintf("Without a choke the motor heats as if it drew %s times its amps, so it holds %s of its torque all day. A choke in the armature lead brings most of that back.",
				q.Figures(v.feed.FormFactor, 2), q.Percent(1/v.feed.FormFactor)))
	}
}

func (v *verdict) speedFindings() {
	m := v.Motor
	if m.Cooling == "own-fan" && (v.Control.DCDrive() || v.Control.SetsHertz()) && v.worksSlowly() {
		v.add(f.Motor, "fan-cooling", f.Caution, "motor.plate.cooling", "Self-cooled fan",
			fmt.Sprintf("Under %s the motor cannot shed its rated heat. A fan with its own supply puts that right; never run it with the fan taken off.", v.show(m.Speed.Value/2, q.Speed)))
	}
	if v.Control.DCDrive() && v.Control.TopTrim > 1.005 {
		v.add(f.Control, "over-plate", f.Caution, "control.topTrim", "Trimmed over plate speed",
			"Bearings, balance and brushes were judged at plate speed. Ask the maker, or stay at 100 %.")
	}
	if v.feed.Way == motor.VariableHertz {
		_, high := v.model.RotorSpan()
		allowed := rotorAllowance(m)
		if over := high / m.Speed.Value; over > allowed*1.005 {
			v.add(f.Control, "rotor-speed", f.Stop, "control.topHertz", "Rotor spun past what it was built for",
				fmt.Sprintf("%s is %s × plate speed. Bearings, balance and rotor bars set %g × for this motor unless its maker allows more.", v.show(high, q.Speed), q.Figures(over, 2), allowed))
		}
	}
}

// worksSlowly reports whether a job makes the motor turn below half its plate speed.
func (v *verdict) worksSlowly() bool {
	for _, job := range v.Machine.Jobs {
		for i := range v.Reduction.Positions {
			p := &v.Reduction.Positions[i]
			if job.Missing == "" && job.Low*p.Ratio*v.Motor.Gear.Ratio < 0.5*v.Motor.Speed.Value {
				return true
			}
		}
	}
	return false
}

func (v *verdict) safetyFindings() {
	c := v.Control
	mains := v.Supply.Volts > extraLowVolts
	if mains && v.lowVolts() {
		v.add(f.Control, "supply-unit", f.Caution, "control.volts", "Needs a supply unit between it and the mains",
			fmt.Sprintf("The drive takes %s. The unit must keep mains and output apart; its mains side is lethal, and its capacitors hold a charge. Local code and a licensed electrician decide.", v.show(v.feed.Volts, q.Voltage)))
	} else if mains && (c.DCDrive() || c.Direct() && v.Motor.Kind.Brushed()) {
		where := "leads"
		if v.Motor.Kind.Brushed() {
			where = "brushes"
		}
		v.add(f.Motor, "lethal", f.Caution, "control.enclosed", "Lethal voltage on the "+where,
			"Rectified or cut mains. Unplug, wait, and measure before touching. Fuse, earth, cover every terminal. Local code and a licensed electrician decide.")
		if !c.Fused || !c.Enclosed {
			field, what := "control.fused", "no fuse"
			if c.Fused {
				field, what = "control.enclosed", "no enclosure"
			}
			v.add(f.Control, "bare-mains", f.Stop, field, "Mains-fed direct current with "+what+" noted",
				"Fuse both the line and the armature; put the drive in an earthed, closed box with strain relief.")
		}
	}
	if c.SetsHertz() && mains {
		v.add(f.Control, "stored-charge", f.Caution, "control.enclosed", "Drive stays live after unplugging",
			"Its capacitors hold a lethal charge. Unplug, wait the time on its label, and measure before touching. Local code and a licensed electrician decide.")
	}
	if c.Kind == control.VariableTransformer {
		v.add(f.Control, "from-nothing", f.Caution, "control.kind", "Switch on only from nothing", "A variable transformer left turned up starts the motor at full speed, and nothing holds its current. Turn it right down each time, and fuse what comes out of it.")
	}
	if c.DCDrive() && !c.ZeroStart {
		v.add(f.Control, "zero-start", f.Caution, "control.zeroStart", "Can start at full speed",
			"Without a zero-start interlock it comes on wherever the knob was left. Keep the interlock; people resent it until the day it matters.")
	}
	if mains && !c.NoVolt {
		v.add(f.Control, "no-volt", f.Caution, "control.noVolt", "Restarts by itself after a power cut",
			"Fit a no-volt release, and a stop within reach of where you stand.")
	}
	v.reverseFindings()
}

func (v *verdict) reverseFindings() {
	screwed := v.Machine.ScrewedOn
	field := "machine.limits.screwedOn"
	for i, s := range v.Reduction.Stages {
		if s.ScrewOn {
			screwed, field = true, fmt.Sprintf("reduction.stages[%d].screwOn", i)
		}
	}
	reverses := v.Control.Reverse != "none"
	switch {
	case reverses && screwed:
		v.add(f.Control, "reverse-screwed", f.Stop, field, "Reverse with a screwed-on chuck or pulley",
			"Reversing, or braking hard, unscrews it at speed. Pin or clamp it, or take the reverse out.")
	case reverses:
		v.add(f.Control, "reverse", f.Caution, "control.reverse", "Reverse only at standstill",
			"Drive off, shaft still, then the switch. Reversed while turning it draws about twice its stall current.")
	case v.Machine.Reversed && v.Motor.Kind == motor.ShadedPole:
		v.add(f.Motor, "cannot-reverse", f.Caution, "machine.limits.needsReversed", "A shaded-pole motor cannot be reversed",
			"Its copper bands set the way it turns. Use another motor, or turn it end for end in its frame.")
	case v.Machine.Reversed:
		v.add(f.Control, "reverse-wanted", f.Caution, "control.reverse", "The machine must run both ways", "No reverse is planned on the control.")
	}
}
