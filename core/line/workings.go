package line

import (
	"fmt"
	"math"
	"strings"

	"jiriki/core/air"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/source"
	"jiriki/core/work"
	"jiriki/core/working"
)

// derivations gathers workings in one system of units.
type derivations struct {
	*train
	sys  q.System
	list []working.Working
}

func (d *derivations) show(v float64, dim q.Dimension) string { return q.Show(v, dim, d.sys) }

func (d *derivations) add(id, station, label, value, formula, put string, src source.ID, assumes ...string) {
	d.list = append(d.list, working.Working{
		ID: id, Station: station, Label: label, Value: value, Formula: formula, Put: put,
		Assumes: append([]string{}, assumes...), Source: source.Find(src), Standing: working.Computed,
	})
}

// workings derives every figure the sheet shows, supply to work.
func (t *train) workings(sys q.System, fares []fare, strains []strain) []working.Working {
	d := &derivations{train: t, sys: sys, list: make([]working.Working, 0, 112)}
	if t.runs {
		d.supply()
		d.circuit()
		d.control()
		d.ways()
	}
	d.list = append(d.list, t.Motor.Workings(sys)...)
	if t.runs && t.Control.Adjusts() {
		d.slowEnd()
	}
	if t.runs && t.model.FixedSpeed() && t.Motor.Kind.Family() == motor.SeriesFamily {
		held := t.model.Breakaway()
		d.add("motor.start", "motor", "Starting torque on the line", d.show(held.Torque, q.Torque), "T = k·I² − T_loss, at most at 3 × rated amps",
			fmt.Sprintf("%s stalled", d.show(t.model.StallAmps(), q.Current)), source.SeriesMotor, "Held by "+string(held.By))
	}
	d.reduction()
	d.ratings(strains)
	if t.runs && len(t.Reduction.Positions) > 0 {
		d.air()
		d.reach()
	}
	for i := range t.Machine.Jobs {
		d.job(&t.Machine.Jobs[i], fares[i])
	}
	return d.list
}

// behind names the working that the figures of a finding come from.
var behind = map[string]string{
	"supply.overload": "supply.input", "supply.near-breaker": "supply.input", "supply.breaker-good": "supply.input", "supply.breaker": "supply.input", "supply.drop": "supply.drop", "supply.drop-good": "supply.drop", "supply.cable": "supply.conductor", "supply.inrush": "supply.inrush",
	"control.no-limit": "motor.stall", "control.battery-start": "motor.stall", "control.form-factor": "control.formFactor", "control.volts-low": "control.volts", "control.volts-high": "control.volts",
	"control.rotor-speed": "control.top", "control.collapse": "control.collapse", "control.resistor-burns": "control.waste", "supply.sag": "supply.sag", "work.top-speed": "reach.speed", "work.top-speed-good": "reach.speed",
	"motor.plate-power": "motor.power", "motor.peak-rating": "motor.power", "motor.slip": "motor.slip", "motor.ke-against-plate": "motor.ke",
	"motor.torque-against-plate": "motor.torque", "motor.fan-cooling": "motor.slow", "reduction.good": "reduction.keeps", "reduction.measured": "reduction.measured",
	"work.air": "work.air",
}

// workingBehind is the working of a finding's figures: a job's margin, a stage's geometry, or what
// stands in behind; empty when it states no computed figure.
func workingBehind(one finding.Finding) string {
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

func (d *derivations) supply() {
	m, s := d.Motor, d.train.Supply
	d.add("supply.input", "supply", "Input amps at full load", d.show(d.inputAmps(), q.Current), "I = P·(share + 1/η_motor − 1) / (η_drive·V·pf·√phases)",
		fmt.Sprintf("%s of the plate's %s at %s, from %s", q.Percent(d.fullShare()), q.Show(m.Power.Value, q.Power, q.Metric), q.Percent(m.Efficiency.Value), d.show(s.Sagged(m.Amps.Value), q.Voltage)), source.InputAmps)
	if s.Battery && s.Inside > 0 {
		d.add("supply.sag", "supply", "Volts left at the motor's rated amps", d.show(s.Sagged(m.Amps.Value), q.Voltage), "V = V_rest − I·R_inside",
			fmt.Sprintf("%s − %s × %s", d.show(s.Volts, q.Voltage), d.show(m.Amps.Value, q.Current), d.show(s.Inside, q.Resistance)), source.Mechanics)
	}
	if lasts := s.Lasts(d.inputAmps()); lasts > 0 {
		d.add("supply.lasts", "supply", "Lasts at full load", d.show(lasts, q.Duration), "t = 0.8·E / (V·I)",
			fmt.Sprintf("0.8 × %s ÷ (%s × %s)", d.show(s.Holds, q.Energy), d.show(s.Volts, q.Voltage), d.show(d.inputAmps(), q.Current)), source.BatteryShare)
	}
}

func (d *derivations) control() {
	c, line := d.train.Control, d.train.Supply.Volts
	switch c.Kind {
	case control.PhaseAngle:
		if d.feed.Way == motor.CutSine {
			d.add("control.volts", "control", "Most volts out", d.show(d.feed.Volts, q.Voltage), "V_ac ≤ the line, and the regulator's rating", d.show(line, q.Voltage)+" at the socket", source.Mechanics)
			break
		}
		d.add("control.volts", "control", "Most volts out", d.show(d.feed.Volts, q.Voltage), "V_dc ≤ (2√2/π)·V_ac, and the drive's rating",
			fmt.Sprintf("0.9 × %s is %s", d.show(line, q.Voltage), d.show(control.PhaseAngleAverage(line), q.Voltage)), source.PhaseAngle)
	case control.Chopper, control.BrushlessDrive:
		if d.train.Supply.Battery {
			d.add("control.volts", "control", "Most volts out", d.show(d.feed.Volts, q.Voltage), "V_dc ≤ V_battery, and the drive's rating", d.show(line, q.Voltage)+" at the battery", source.Mechanics)
			break
		}
		d.add("control.volts", "control", "Most volts out", d.show(d.feed.Volts, q.Voltage), "V_dc ≤ √2·V_ac, and the drive's rating",
			fmt.Sprintf("1.414 × %s is %s", d.show(line, q.Voltage), d.show(line*math.Sqrt2, q.Voltage)), source.Chopper)
	case control.Inverter, control.SinglePhaseInverter:
		d.add("control.base", "control", "Base hertz", d.show(d.feed.BaseHertz, q.Frequency), "f_base = f_plate · V_inverter / V_plate, at most f_plate unless set",
			fmt.Sprintf("%s at %s on a %s motor", d.show(d.feed.BaseHertz, q.Frequency), d.show(d.feed.BaseVolts, q.Voltage), d.show(d.Motor.Volts.Value, q.Voltage)), source.VoltsPerHertz)
	}
	if !c.DCDrive() && !c.SetsHertz() {
		return
	}
	low, high := d.model.RotorSpan()
	d.add("control.slowest", "control", "Slowest steady motor speed", d.show(low, q.Speed), "n_min = share · n_full", fmt.Sprintf("%s of %s", q.Percent(d.feed.Slowest), d.show(low/d.feed.Slowest, q.Speed)), source.SlowestSpeed)
	d.add("control.top", "control", "Top motor speed", d.show(high, q.Speed), "least of trim · n_plate, volts ÷ K_e, or top hertz", fmt.Sprintf("%s of %s", q.Percent(high/d.Motor.Speed.Value), d.show(d.Motor.Speed.Value, q.Speed)), source.TrimSchools)
	if d.feed.FormFactor > 1 {
		d.formFactor()
	}
}

// formFactor derives how much more the rough current heats: from the firing angle where the
// inductance is known, else the usual figure.
func (d *derivations) formFactor() {
	put := fmt.Sprintf("%s ÷ %s is %s", d.show(d.Motor.Torque.Value, q.Torque), q.Figures(d.feed.FormFactor, 3), d.show(d.Motor.Torque.Value/d.feed.FormFactor, q.Torque))
	src, assumes := source.FormFactor, []string{}
	if _, ok := armatureWave(d.Stations, d.feed); ok {
		m := d.Motor
		emf := waveEMF(m)
		alpha, wave, _ := control.FiringFor(m.Amps.Value, d.train.Supply.Volts, d.train.Supply.Hertz, emf, m.DC.Resistance.Value, m.DC.Henries+d.train.Control.Henries)
		src = source.BridgeWave
		flows := "stops between firings"
		if wave.Continuous {
			flows = "never stops"
		}
		assumes = append(assumes, fmt.Sprintf("Fired at %s against %s of back-EMF, through %s and %s, where the bridge averages %s; the current %s", d.show(alpha, q.Angle), d.show(emf, q.Voltage), d.show(m.DC.Resistance.Value, q.Resistance), d.show(m.DC.Henries+d.train.Control.Henries, q.Inductance), d.show(control.HalfControlledAverage(d.train.Supply.Volts, alpha), q.Voltage), flows))
	}
	d.add("control.formFactor", "control", "Form factor", q.Figures(d.feed.FormFactor, 3), "I_rms / I_average; continuous torque ÷ form factor", put, src, assumes...)
}

// slowEnd is what the motor holds at the low end of its speeds, where its own fan fails it.
func (d *derivations) slowEnd() {
	slow := d.slowSpeed()
	held := d.model.Steady(slow, 1)
	gear := ""
	if g := d.Motor.Gear; g.Sort != "none" {
		gear = fmt.Sprintf(" × %s × %s", q.Figures(g.Ratio, 3), q.Percent(g.Keeps))
	}
	d.add("motor.slow", "motor", "Torque held all day at "+d.show(slow, q.Speed), d.show(held.Torque, q.Torque), "T = T_rated · cooling(n) / form factor, within the other limits",
		fmt.Sprintf("%s × %s ÷ %s", d.show(d.Motor.Torque.Value, q.Torque), q.Percent(motor.Cooling(d.Motor.Cooling, slow*d.Motor.Gear.Ratio/d.Motor.Speed.Value)), q.Figures(d.feed.FormFactor, 3))+gear,
		source.FanCooling, "Held by "+string(held.By))
}

func (d *derivations) reduction() {
	for i, s := range d.train.Reduction.Stages {
		if s.Kind == reduction.Direct {
			continue
		}
		for k, step := range s.Steps {
			if step.Ratio > 0 {
				d.step(i, k, s, step)
			}
		}
	}
	for i := range d.train.Reduction.Positions {
		p := &d.train.Reduction.Positions[i]
		d.add(fmt.Sprintf("reduction.ratio.%d", i), "reduction", "Ratio, "+p.Label, q.Ratio(p.Ratio), "i = ∏ (driven / driver) / (1 − slip)", d.ratioPut(p), source.BeltSlip)
	}
	if m, ok := d.measuredRatio(); ok {
		d.add("reduction.measured", "reduction", "Ratio as measured", q.Ratio(m.measured), "i = n_motor / n_spindle; slip = 1 − i_without slip / i",
			fmt.Sprintf("%s ÷ %s; %s without slip, so %s slips", d.show(d.train.Reduction.Measured.Motor, q.Speed), d.show(d.train.Reduction.Measured.Spindle, q.Speed), q.Ratio(m.bare), q.Percent(math.Max(m.slip, 0))), source.Mechanics)
	}
	if len(d.train.Reduction.Positions) > 0 {
		d.add("reduction.keeps", "reduction", "What the stages keep", q.Percent(d.train.Reduction.Positions[0].Keeps), "η = ∏ η_stage", d.keepsPut(), source.BeltEfficiency)
	}
}

func (d *derivations) step(i, k int, s reduction.Stage, step reduction.Step) {
	id := func(name string) string { return fmt.Sprintf("reduction.%s.%d.%d", name, i, k) }
	nth := fmt.Sprintf("stage %d", i+1)
	if len(s.Steps) > 1 {
		nth += fmt.Sprintf(" step %d", k+1)
	}
	if step.Length > 0 {
		d.add(id("belt"), "reduction", "Belt length, "+nth, d.show(step.Length, q.Length), "L = 2√(C² − (R−r)²) + π(R+r) + 2(R−r)·asin((R−r)/C)",
			fmt.Sprintf("C %s, ⌀ %s and %s", d.show(s.Centre, q.Length), d.show(step.Driver, q.Length), d.show(step.Driven, q.Length)), source.BeltLength)
		d.add(id("wrap"), "reduction", "Wrap on the small wheel, "+nth, d.show(step.Wrap, q.Angle), "θ = π − 2·asin((D−d)/2C)",
			fmt.Sprintf("(%s − %s) over 2 × %s", d.show(math.Max(step.Driver, step.Driven), q.Length), d.show(math.Min(step.Driver, step.Driven), q.Length), d.show(s.Centre, q.Length)), source.Wrap)
	}
	if d.runs && s.Belted() {
		omega := d.fastestDriver(i)
		d.add(id("speed"), "reduction", "Belt speed, "+nth, d.show(reduction.BeltSpeed(step.Driver, omega), q.SurfaceSpeed), "v = ω·d/2",
			fmt.Sprintf("%s × %s ÷ 2", d.show(omega, q.Speed), d.show(step.Driver, q.Length)), source.BeltSpeed)
	}
}

func (d *derivations) ratioPut(p *reduction.Position) string {
	text := ""
	for i, s := range d.train.Reduction.Stages {
		if p.Steps[i] == reduction.Out {
			continue
		}
		step := s.Steps[p.Steps[i]]
		if text != "" {
			text += " × "
		}
		if step.Teeth {
			text += fmt.Sprintf("%g ÷ %g", step.Counts[1], step.Counts[0])
			continue
		}
		text += fmt.Sprintf("%s ÷ %s", q.Figures(step.Driven*1000, 4), q.Figures(step.Driver*1000, 4))
		if s.Slip > 0 {
			text += ", slip " + q.Percent(s.Slip)
		}
	}
	if text == "" {
		return "no stages in between: 1"
	}
	return text
}

func (d *derivations) keepsPut() string {
	text := ""
	for i, s := range d.train.Reduction.Stages {
		if i > 0 {
			text += " × "
		}
		text += q.Percent(s.Keeps)
	}
	if text == "" {
		return "no stages: nothing lost"
	}
	return text
}

// air is what hot or thin air leaves of the motor's torque; nothing to say in the air plates mean.
func (d *derivations) air() {
	m := d.train.Machine
	if !airTakes(m) {
		return
	}
	hottest := math.Max(m.Air, air.Rated)
	d.add("work.air", "work", "What the air leaves of its torque", q.Percent(inAir(d.Stations)), "√((T_class − T_air) / (T_class − 40 °C)) × (1 − 1 % for each 100 m past 1000)",
		fmt.Sprintf("class %s, %s, %s", d.Motor.Insulation, d.show(hottest, q.Temperature), length(m.Altitude, d.sys)), source.AirRating,
		fmt.Sprintf("A drive gives %s of its amps there", q.Percent(air.Drive(m.Air, m.Altitude))))
}

func (d *derivations) reach() {
	p := &d.train.Reduction.Positions[0]
	low, high := d.span(p)
	middle := math.Max(low, high/2)
	held := d.steady(middle, 1, p)
	d.add("reach.torque", "work", "Torque at the spindle", d.show(held.Torque, q.Torque), "T = T_motor · i · η",
		fmt.Sprintf("%s × %s × %s at %s", d.show(held.Torque/(p.Ratio*p.Keeps), q.Torque), q.Figures(p.Ratio, 3), q.Percent(p.Keeps), d.show(middle, q.Speed)),
		source.Mechanics, "All day, first position; held by "+string(held.By))
	d.add("reach.speed", "work", "Speeds at the spindle", speedRange(low, high, d.sys), "n = n_motor / i",
		fmt.Sprintf("%s ÷ %s", speedRange(low*p.Ratio, high*p.Ratio, d.sys), q.Figures(p.Ratio, 3)), source.Mechanics, "First position")
	burst := d.steady(middle, usualBurst, p)
	d.add("reach.burst", "work", "Torque for five minutes in fifteen", d.show(burst.Torque, q.Torque), "T·√((1 − e^(−(on+off)/τ)) / (1 − e^(−on/τ)))",
		fmt.Sprintf("at most ×%s of all day at %s", q.Figures(usualBurst, 3), d.show(middle, q.Speed)), source.Heating, "Held by "+string(burst.By))
	peak := d.peak(middle, p)
	d.add("reach.peak", "work", "Torque for some seconds", d.show(peak.Torque, q.Torque), "least of drive peak, current limit, magnets or breakdown, volts", "at "+d.show(middle, q.Speed), source.DrivePeak, "Held by "+string(peak.By))
}

func (d *derivations) job(job *work.Need, fare fare) {
	d.list = append(d.list, job.Workings(d.sys)...)
	if fare.outcome == cannotJudge {
		return
	}
	d.add("job.margin."+job.ID, "work", job.Name+": margin", marginText(fare), "margin = least of T_held / T_needed over the band",
		fmt.Sprintf("%s ÷ %s at %s", d.show(fare.held.Torque, q.Torque), d.show(fare.needed, q.Torque), d.show(fare.omega, q.Speed)), source.JobMargins,
		fmt.Sprintf("×%s wanted: %s", q.Figures(job.Margin, 3), job.MarginBy), "Held by "+string(fare.held.By))
	d.jobOnThisPlan(job, fare)
}

// jobOnThisPlan is what this plan's reach makes of the job's own sums: the largest cut it would
// carry, the time it takes to speed.
func (d *derivations) jobOnThisPlan(job *work.Need, fare fare) {
	switch {
	case job.Method == work.ByCutting && !fare.starting && fare.margin > 0 && !math.IsInf(fare.margin, 0):
		c := job.Cutting
		d.add("job.largest."+job.ID, "work", job.Name+": largest "+c.Grows+" this plan carries", d.show(c.Largest(fare.margin/job.Margin), q.Length),
			c.Grows+" × margin / margin wanted", fmt.Sprintf("%s × %s ÷ %s, the rest of the cut as it is", d.show(c.GrowsFrom, q.Length), q.Figures(fare.margin, 3), q.Figures(job.Margin, 3)), source.Kienzle)
	case job.Method == work.ByInertia:
		p := &d.train.Reduction.Positions[fare.position]
		top := math.Min(job.High, fare.high)
		seconds := d.timeToSpeed(job.Spinning.Inertia, job.Spinning.Friction, top, p)
		text := "never"
		if !math.IsInf(seconds, 0) {
			text = d.show(seconds, q.Duration)
		}
		d.add("job.run-up."+job.ID, "work", job.Name+": time to "+d.show(top, q.Speed), text, "t = ∫ J·dω / (T_peak(ω) − T_friction)",
			fmt.Sprintf("over the torque there is for some seconds, %s wanted", d.show(job.Spinning.Within, q.Duration)), source.Mechanics)
	}
}
