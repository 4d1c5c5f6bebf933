package assess

import (
	"fmt"
	"math"
	"strconv"

	"jiriki/core/air"
	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/numeric"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/source"
	"jiriki/core/words"
	"jiriki/core/work"
	"jiriki/core/working"
)

// derivations gathers workings in one system of units.
type derivations struct {
	*line.Model
	sys  q.System
	list []working.Working
}

func (d *derivations) show(v float64, dim q.Dimension) string { return q.Show(v, dim, d.sys) }

func (d *derivations) add(id working.ID, label, value, formula, substituted string,
	src *source.Source, assumes ...string,
) {
	d.list = append(d.list, working.Derive(id, label, value, formula, substituted, src, assumes...))
}

// How many workings there usually are: of a line with its settings, of each step of a stage, of each job.
const (
	workingsOfALine = 48
	workingsOfAStep = 3
	workingsOfAJob  = 5
)

// workings derives every figure the sheet shows, supply to work.
func workings(t *line.Model, sys q.System, results []line.Result, loads []line.BeltLoad) []working.Working {
	stages := t.Reduction.Stages
	room := workingsOfALine + len(t.Reduction.Positions) + workingsOfAJob*len(t.Machine.Jobs)
	for i := range stages {
		room += workingsOfAStep * len(stages[i].Steps)
	}
	d := &derivations{Model: t, sys: sys, list: make([]working.Working, 0, room)}
	if t.Runs {
		d.supply()
		d.circuit()
		d.control()
		d.otherControls()
	}
	d.list = append(d.list, t.Motor.Workings(sys)...)
	if t.Runs && t.Control.Adjusts() {
		d.slowEnd()
	}
	if t.Runs && t.Powered.FixedSpeed() && t.Motor.Kind.Family() == motor.SeriesFamily {
		available := t.Powered.Breakaway()
		d.add(working.MotorStart, "Starting torque on the line", d.show(available.Torque, q.Torque),
			"T = k·I² − T_loss, at most at 3 × rated amps",
			d.show(t.Powered.StallAmps(), q.Current)+" stalled", source.SeriesMotor,
			"Held by "+string(available.By))
	}
	d.reduction()
	d.ratings(loads)
	if t.Runs && len(t.Reduction.Positions) > 0 {
		d.air()
		d.reach()
	}
	for i := range t.Machine.Jobs {
		d.job(&t.Machine.Jobs[i], results[i])
	}
	return d.list
}

func (d *derivations) supply() {
	m, s := d.Motor, d.Model.Supply
	d.add(working.SupplyInput, "Input amps at full load", d.show(d.InputAmps(), q.Current),
		"I = P·(share + 1/η_motor − 1) / (η_drive·V·pf·√phases)",
		q.Percent(d.FullShare())+" of the plate's "+q.Show(m.Power.Value, q.Power, q.Metric)+" at "+
			q.Percent(m.Efficiency.Value)+", from "+d.show(s.Sagged(m.Amps.Value), q.Voltage),
		source.InputAmps)
	if s.Battery && s.Inside > 0 {
		d.add(working.SupplySag, "Volts left at the motor's rated amps", d.show(s.Sagged(m.Amps.Value), q.Voltage),
			"V = V_rest − I·R_inside",
			d.show(s.Volts, q.Voltage)+" − "+d.show(m.Amps.Value, q.Current)+" × "+
				d.show(s.Inside, q.Resistance),
			source.Mechanics)
	}
	if lasts := s.Lasts(d.InputAmps()); lasts > 0 {
		d.add(working.SupplyLasts, "Lasts at full load", d.show(lasts, q.Duration), "t = 0.8·E / (V·I)",
			"0.8 × "+d.show(s.Holds, q.Energy)+" ÷ ("+d.show(s.Volts, q.Voltage)+" × "+
				d.show(d.InputAmps(), q.Current)+")",
			source.BatteryShare)
	}
}

func (d *derivations) control() {
	c, line := d.Model.Control, d.Model.Supply.Volts
	switch c.Kind {
	case control.PhaseAngle:
		if d.Feed.Kind == motor.CutSine {
			d.add(working.ControlVolts, "Most volts out", d.show(d.Feed.Volts, q.Voltage),
				"V_ac ≤ the line, and the regulator's rating", d.show(line, q.Voltage)+" at the socket",
				source.Mechanics)
			break
		}
		d.add(working.ControlVolts, "Most volts out", d.show(d.Feed.Volts, q.Voltage),
			"V_dc ≤ (2√2/π)·V_ac, and the drive's rating",
			"0.9 × "+d.show(line, q.Voltage)+" is "+d.show(control.PhaseAngleAverage(line), q.Voltage),
			source.PhaseAngle)
	case control.Chopper, control.BrushlessDrive:
		if d.Model.Supply.Battery {
			d.add(working.ControlVolts, "Most volts out", d.show(d.Feed.Volts, q.Voltage),
				"V_dc ≤ V_battery, and the drive's rating", d.show(line, q.Voltage)+" at the battery",
				source.Mechanics)
			break
		}
		d.add(working.ControlVolts, "Most volts out", d.show(d.Feed.Volts, q.Voltage),
			"V_dc ≤ √2·V_ac, and the drive's rating",
			"1.414 × "+d.show(line, q.Voltage)+" is "+d.show(line*math.Sqrt2, q.Voltage),
			source.Chopper)
	case control.Inverter, control.SinglePhaseInverter:
		d.add(working.ControlBase, "Base hertz", d.show(d.Feed.BaseHertz, q.Frequency),
			"f_base = f_plate · V_inverter / V_plate, at most f_plate unless set",
			d.show(d.Feed.BaseHertz, q.Frequency)+" at "+d.show(d.Feed.BaseVolts, q.Voltage)+" on "+
				words.A(d.show(d.Motor.Volts.Value, q.Voltage))+" motor",
			source.VoltsPerHertz,
			fmt.Sprintf("For each hertz the plate has %s V, and %s V are set",
				q.Figures(d.Motor.Volts.Value/d.Motor.Hertz.Value, 3), q.Figures(d.Feed.BaseVolts/d.Feed.BaseHertz, 3)))
	}
	if !c.DCDrive() && !c.SetsHertz() {
		return
	}
	low, high := d.Powered.RotorSpan()
	d.add(working.ControlSlowest, "Slowest steady motor speed", d.show(low, q.Speed), "n_min = share · n_full",
		q.Percent(d.Feed.Slowest)+" of "+d.show(low/d.Feed.Slowest, q.Speed), source.SlowestSpeed)
	d.add(working.ControlTop, "Top motor speed", d.show(high, q.Speed),
		"least of trim · n_plate, volts ÷ K_e, or top hertz", q.Percent(high/d.Motor.Speed.Value)+" of "+
			d.show(d.Motor.Speed.Value, q.Speed),
		source.TrimPractice, d.topAssumes(high)...)
	if d.Feed.FormFactor > 1 {
		d.formFactor()
	}
}

// topAssumes says how far an inverter's top speed lies under the field's.
func (d *derivations) topAssumes(loaded float64) []string {
	if !d.Model.Control.SetsHertz() {
		return nil
	}
	field := d.Powered.RotorTop()
	return []string{fmt.Sprintf("Synchronous %s at %s; loaded it slips %s", d.show(field, q.Speed),
		d.show(d.Feed.TopHertz, q.Frequency), d.show(field-loaded, q.Speed))}
}

// formFactor derives how much more the rough current heats: from the firing angle where the
// inductance is known, else the usual figure.
func (d *derivations) formFactor() {
	figures := d.show(d.Motor.Torque.Value, q.Torque) + " ÷ " + q.Figures(d.Feed.FormFactor, 3) + " is " +
		d.show(d.Motor.Torque.Value/d.Feed.FormFactor, q.Torque)
	src, assumes := source.FormFactor, []string{}
	if d.Feed.Rough != nil {
		src = source.BridgeWave
		for _, share := range []float64{0.25, 1} {
			a, _ := line.ArmatureAt(&d.Stations, share)
			alpha, wave := a.Wave()
			flows := "stops between firings"
			if wave.Continuous {
				flows = "never stops"
			}
			assumes = append(assumes, fmt.Sprintf("At %s of plate speed %s: fired at %s against %s of back-EMF, "+
				"through %s and %s, it averages %s and %s; the current "+
				"%s", q.Percent(share), q.Figures(wave.FormFactor, 3),
				d.show(alpha, q.Angle), d.show(a.EMF, q.Voltage), d.show(a.Ohms, q.Resistance),
				d.show(a.Henries, q.Inductance), d.show(a.EMF+wave.Average*a.Ohms, q.Voltage),
				d.show(wave.Average, q.Current), flows))
		}
	}
	d.add(working.ControlFormFactor, "Form factor", q.Figures(d.Feed.FormFactor, 3),
		"I_rms / I_average; continuous torque ÷ form factor", figures, src, assumes...)
}

// slowEnd is what the motor holds at the low end of its speeds, where its own fan fails it.
func (d *derivations) slowEnd() {
	slow := d.SlowSpeed()
	available := d.Powered.Steady(slow, 1)
	gear := ""
	if g := d.Motor.Gear; g.Sort != "none" {
		gear = " × " + q.Figures(g.Ratio, 3) + " × " + q.Percent(g.Efficiency)
	}
	d.add(working.MotorSlow, "Torque held all day at "+d.show(slow, q.Speed), d.show(available.Torque, q.Torque),
		"T = (T_rated · cooling(n) + T_loss) / form factor − T_loss, within the other limits",
		d.show(d.Motor.Torque.Value, q.Torque)+" × "+
			q.Percent(motor.Cooling(d.Motor.Cooling, slow*d.Motor.Gear.Ratio/d.Motor.Speed.Value))+" ÷ "+
			q.Figures(d.Feed.FormFactor, 3)+gear,
		source.FanCooling, "Held by "+string(available.By))
}

func (d *derivations) reduction() {
	turns := d.Runs && len(d.Model.Reduction.Positions) > 0
	for i := range d.Model.Reduction.Stages {
		s := &d.Model.Reduction.Stages[i]
		if s.Kind.Bare() {
			continue
		}
		for k := range s.Steps {
			if s.Steps[k].Ratio > 0 {
				d.step(i, k, s, &s.Steps[k])
			}
		}
		if turns {
			d.aside(i, s)
		}
	}
	for i := range d.Model.Reduction.Positions {
		p := &d.Model.Reduction.Positions[i]
		if p.Reckoned > 0 {
			d.add(working.ReductionRatio.At(i), "Ratio, "+p.Label, q.Ratio(p.Ratio), "as measured",
				"by its wheels "+q.Ratio(p.Reckoned)+": "+d.ratioPut(p), source.BeltSlip)
			continue
		}
		d.add(working.ReductionRatio.At(i), "Ratio, "+p.Label, q.Ratio(p.Ratio), "i = ∏ (driven / driver) / (1 − slip)",
			d.ratioPut(p), source.BeltSlip)
	}
	if m, ok := d.MeasuredRatio(); ok {
		d.add(working.ReductionMeasured, "Ratio as measured", q.Ratio(m.Measured),
			"i = n_motor / n_spindle; slip = 1 − i_without slip / i",
			d.show(d.Model.Reduction.Measured.Motor, q.Speed)+" ÷ "+
				d.show(d.Model.Reduction.Measured.Spindle, q.Speed)+"; "+q.Ratio(m.WithoutSlip)+
				" without slip, so "+q.Percent(max(m.Slip, 0))+" slips",
			source.Mechanics)
	}
	if len(d.Model.Reduction.Positions) > 0 {
		d.add(working.ReductionEfficiency, "What the stages keep", q.Percent(d.Model.Reduction.Positions[0].Efficiency),
			"η = ∏ η_stage", d.keepsPut(), source.BeltEfficiency)
	}
}

// aside is what a stage pulls its two shafts together with at the motor's rated torque, which their bearings bear.
func (d *derivations) aside(i int, s *reduction.Stage) {
	torque := d.Motor.Torque.Value * d.Motor.Gear.Ratio * d.Motor.Gear.Efficiency
	for n := range i {
		before := &d.Model.Reduction.Stages[n]
		torque *= before.Steps[0].Ratio * before.Efficiency
	}
	if s.Kind == reduction.Worm {
		d.acrossWorm(i, s, torque)
		return
	}
	pull := s.Aside(s.Steps[0].Driver) * torque
	bends := []string{}
	if out := s.OnDriving.Out; out > 0 {
		bends = append(bends, "Standing out by "+d.show(out, q.Length)+" it bends the driving shaft with "+
			d.show(pull*out, q.Torque))
	}
	d.add(working.ReductionAside.At(i), "Pull on both shafts and their bearings"+d.OfStage(i), d.show(pull, q.Force),
		"F = k·2T / d, both sides of the belt or the teeth", d.show(torque, q.Torque)+" over ⌀ "+
			d.show(s.Steps[0].Driver, q.Length), source.ShaftCode, bends...)
}

// acrossWorm is what a worm and its wheel push on each other at a torque on the worm: round the wheel, which is
// thrust along
// the worm, and across the worm, which is thrust along the wheel's shaft.
func (d *derivations) acrossWorm(i int, s *reduction.Stage, torque float64) {
	step := &s.Steps[0]
	out := torque * step.Ratio * s.Efficiency
	d.add(working.ReductionAside.At(i), "Push at the wheel, and thrust along the worm"+d.OfStage(i),
		d.show(2*out/step.Driven, q.Force), "F = 2T_wheel / D, T_wheel = T · i · η",
		d.show(out, q.Torque)+" over ⌀ "+d.show(step.Driven, q.Length), source.Mechanics,
		"The worm's bearings must take it along the shaft")
	d.add(working.ReductionAside.At(i, 1), "Push across the worm, and thrust along the wheel's shaft"+d.OfStage(i),
		d.show(2*torque/step.Driver, q.Force), "F = 2T / d", d.show(torque, q.Torque)+" over ⌀ "+
			d.show(step.Driver, q.Length), source.Mechanics)
}

func (d *derivations) step(i, k int, s *reduction.Stage, step *reduction.Step) {
	nth := "stage " + strconv.Itoa(i+1)
	if len(s.Steps) > 1 {
		nth += " step " + strconv.Itoa(k+1)
	}
	driver, driven := d.show(step.Driver, q.Length), d.show(step.Driven, q.Length)
	if step.Length > 0 {
		centre, large, small := d.show(s.Centre, q.Length), driven, driver
		if step.Driver > step.Driven {
			large, small = driver, driven
		}
		d.add(working.ReductionBelt.At(i, k), "Belt length, "+nth, d.show(step.Length, q.Length),
			"L = 2√(C² − (R−r)²) + π(R+r) + 2(R−r)·asin((R−r)/C)",
			"C "+centre+", ⌀ "+driver+" and "+driven, source.BeltLength)
		d.add(working.ReductionWrap.At(i, k), "Wrap on the small wheel, "+nth, d.show(step.Wrap, q.Angle),
			"θ = π − 2·asin((D−d)/2C)", "("+large+" − "+small+") over 2 × "+centre, source.Wrap)
	}
	if d.Runs && len(d.Model.Reduction.Positions) > 0 && s.Belted() {
		omega := d.FastestDriver(i)
		d.add(working.ReductionSpeed.At(i, k), "Belt speed, "+nth, d.show(reduction.BeltSpeed(step.Driver, omega),
			q.SurfaceSpeed), "v = ω·d/2", d.show(omega, q.Speed)+" × "+driver+" ÷ 2", source.BeltSpeed)
	}
}

func (d *derivations) ratioPut(p *reduction.Position) string {
	text := ""
	for i := range d.Model.Reduction.Stages {
		s := &d.Model.Reduction.Stages[i]
		if p.Steps[i] == reduction.Out || s.Kind == reduction.Direct {
			continue
		}
		step := &s.Steps[p.Steps[i]]
		if text != "" {
			text += " × "
		}
		if s.Kind == reduction.Given {
			text += q.Figures(step.Ratio, 3) + " given"
			continue
		}
		if step.Teeth {
			text += fmt.Sprintf("%g ÷ %g", step.Counts[1], step.Counts[0])
			continue
		}
		text += q.Figures(step.Driven*1000, 4) + " ÷ " + q.Figures(step.Driver*1000, 4)
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
	for i, s := range d.Model.Reduction.Stages {
		if i > 0 {
			text += " × "
		}
		text += q.Percent(s.Efficiency)
	}
	if text == "" {
		return "no stages: nothing lost"
	}
	return text
}

// air is what hot or thin air leaves of the motor's torque; nothing to say in the air plates mean.
func (d *derivations) air() {
	m := d.Model.Machine
	if !line.ThinsAir(m) {
		return
	}
	hottest := max(m.Air, air.Rated)
	d.add(working.WorkAir, "What the air leaves of its torque", q.Percent(line.AirShare(&d.Stations)),
		"√((T_class − T_air) / (T_class − 40 °C)) × (1 − 1 % for each 100 m past 1000)",
		"class "+d.Motor.Insulation+", "+d.show(hottest, q.Temperature)+", "+q.Run(m.Altitude, d.sys),
		source.AirRating,
		"A drive gives "+q.Percent(air.Drive(m.Air, m.Altitude))+" of its amps there")
}

func (d *derivations) reach() {
	p := &d.Model.Reduction.Positions[0]
	low, high := d.Span(p)
	middle := max(low, high/2)
	available := d.Steady(middle, 1, p)
	d.add(working.ReachTorque, "Torque at the spindle", d.show(available.Torque, q.Torque), "T = T_motor · i · η",
		d.show(available.Torque/(p.Ratio*p.Efficiency), q.Torque)+" × "+q.Figures(p.Ratio, 3)+" × "+
			q.Percent(p.Efficiency)+" at "+d.show(middle, q.Speed),
		source.Mechanics, "All day, first position; held by "+string(available.By))
	d.add(working.ReachSpeed, "Speeds at the spindle", q.SpeedRange(low, high, d.sys), "n = n_motor / i",
		q.SpeedRange(low*p.Ratio, high*p.Ratio, d.sys)+" ÷ "+q.Figures(p.Ratio, 3), source.Mechanics,
		"First position")
	burst := d.Steady(middle, d.Burst(), p)
	d.add(working.ReachBurst, "Torque for five minutes in fifteen", d.show(burst.Torque, q.Torque),
		"T ÷ √θ, θ the winding's share of its rated rise at the end of each pull",
		"at most ×"+q.Figures(d.Burst(), 3)+" of all day at "+d.show(middle, q.Speed),
		source.Heating, "Held by "+string(burst.By))
	peak := d.Peak(middle, p)
	d.add(working.ReachPeak, "Torque for some seconds", d.show(peak.Torque, q.Torque),
		"least of drive peak, current limit, magnets or breakdown, volts", "at "+d.show(middle, q.Speed),
		source.DrivePeak, "Held by "+string(peak.By))
}

func (d *derivations) job(job *work.Need, result line.Result) {
	d.list = append(d.list, job.Workings(d.sys)...)
	if result.Outcome == line.CannotTell {
		return
	}
	assumes := []string{"×" + q.Figures(job.Margin, 3) + " wanted: " + job.MarginBy,
		"Held by " + string(result.Available.By)}
	if result.Own > 0 {
		assumes = append(assumes, d.show(result.Own, q.Torque)+" of what is needed brings the motor's rotor and the "+
			"wheels up to speed")
	}
	d.add(working.JobMargin.Of(job.ID), job.Name+": margin", result.MarginText(),
		"margin = least of T_held / T_needed over the band",
		d.show(result.Available.Torque, q.Torque)+" ÷ "+d.show(result.Needed, q.Torque)+" at "+
			d.show(result.Omega, q.Speed), source.JobMargins, assumes...)
	if result.Outcome.Reached() {
		d.fall(job, &result)
		d.bites(job, &result)
		d.goesBy(job, &result)
	}
	d.jobOnThisPlan(job, result)
}

// goesBy is how fast the surface of what turns, or is worked, goes by as far as this plan reaches, against the old
// motor where the job goes by it.
func (d *derivations) goesBy(job *work.Need, result *line.Result) {
	if job.Largest == 0 {
		return
	}
	old := []string{}
	if n := len(job.Points); job.Method == work.ByReplaced && n > 0 {
		old = append(old, "The old motor drove it at "+work.SpeedsAt(job.Points[0].Omega*job.Largest/2,
			job.Points[n-1].Omega*job.Largest/2))
	}
	d.add(working.JobGoesBy.Of(job.ID), job.Name+": goes by at", work.SpeedsAt(result.Low*job.Largest/2,
		result.High*job.Smallest/2), "v = π·d·n", d.show(result.Low, q.Speed)+" at ⌀ "+d.show(job.Largest, q.Length)+
		", "+d.show(result.High, q.Speed)+" at ⌀ "+d.show(job.Smallest, q.Length), source.Mechanics, old...)
}

// bites are what a cut that comes and goes asks at its most, and what turns gives of it.
func (d *derivations) bites(job *work.Need, result *line.Result) {
	if job.Bites.Ratio == 0 {
		return
	}
	p := &d.Model.Reduction.Positions[result.Position]
	omega := result.Low
	most := job.TorqueAt(omega) * job.Bites.Ratio
	d.add(working.JobBites.Of(job.ID), job.Name+": most torque in a bite", d.show(most, q.Torque),
		"T_most = ratio · T_mean; what turns gives J·ω·Δω over the bite",
		"×"+q.Figures(job.Bites.Ratio, 3)+" of "+d.show(job.TorqueAt(omega), q.Torque)+", over "+
			d.show(job.Bites.Angle, q.Angle)+" at a time", source.Mechanics,
		d.show(d.OwnInertia(p)+d.Model.Machine.Flywheel, q.Inertia)+" of rotor, wheels and flywheel turn with it")
}

// fall is how far the speed falls from no load to a job.
func (d *derivations) fall(job *work.Need, result *line.Result) {
	formula, figures := "n_loaded against n_free, at one setting of the control", ""
	switch {
	case d.Feed.Held > 0:
		figures = "the control watches it"
	case d.Motor.Kind.Family() == motor.DCFamily:
		formula, figures = "(I − I_free)·R / (K_e·ω + (I − I_free)·R)", d.show(d.Motor.DC.Resistance.Value+d.Feed.Ohms,
			q.Resistance)+" and "+d.show(d.Motor.DC.Ke.Value, q.BackEMF)
	case d.Motor.Kind.Family() == motor.InductionFamily:
		formula, figures = "slip at this load", q.Percent(d.Motor.Induction.Slip)+" at rated torque"
	case d.Motor.Kind.Family() == motor.SeriesFamily:
		figures = "a series motor's speed goes with its load"
	}
	allowed := "Any fall is allowed"
	if job.Fall > 0 {
		allowed = "At most " + q.Percent(job.Fall) + " is allowed"
	}
	d.add(working.JobFall.Of(job.ID), job.Name+": speed falls under "+
		"it", q.Percent(d.Fall(job, result)), formula, figures,
		source.SpeedFall, allowed)
}

// largest is how far the input of a cut that may grow can grow, m; 0 where none does. A drill at one surface speed
// turns
// slower the larger it is, so that it is tried, from the smallest this plan turns fast enough for; the torque of every
// other cut grows evenly.
func (d *derivations) largest(job *work.Need, result line.Result) float64 {
	c := job.Cutting
	if !c.Squared || job.Largest == 0 {
		return c.Largest(result.Margin / job.Margin)
	}
	does := func(times float64) bool {
		larger := job.WithDrill(times * c.GrowsFrom)
		r := d.Best(&larger, d.Model.Reduction.Positions)
		return r.Outcome.Reached() && r.Margin >= job.Margin
	}
	fastest := 0.0
	for i := range d.Model.Reduction.Positions {
		_, high := d.Span(&d.Model.Reduction.Positions[i])
		fastest = max(fastest, high)
	}
	smallest := max(job.Low/job.High, job.Low/fastest)
	if !does(smallest) {
		return 0
	}
	const most, within = 10, 1e-6 // shares of the drill there is
	return c.GrowsFrom * numeric.Last(smallest, most, within, does)
}

// jobOnThisPlan is what this plan's reach makes of the job's own sums: the largest cut it would
// carry, the time it takes to speed.
func (d *derivations) jobOnThisPlan(job *work.Need, result line.Result) {
	switch {
	case job.Method == work.ByCutting && !result.Starting && result.Margin > 0 && !math.IsInf(result.Margin, 0):
		c, largest := job.Cutting, d.largest(job, result)
		if largest == 0 {
			break
		}
		d.add(working.JobLargest.Of(job.ID), job.Name+": largest "+c.Grows+" this plan carries",
			q.ShowDown(largest, q.Length, d.sys),
			c.Grows+" at which the margin is as wanted", "from "+d.show(c.GrowsFrom, q.Length)+" at ×"+
				q.Figures(result.Margin, 3)+" to ×"+q.Figures(job.Margin, 3)+", the rest of the cut as it is",
			source.Kienzle)
	case job.Method == work.ByInertia:
		p := &d.Model.Reduction.Positions[result.Position]
		top := min(job.High, result.High)
		seconds := d.TimeToSpeed(job.Spinning.Inertia, job.Spinning.Friction, top, p)
		text := "never"
		if !math.IsInf(seconds, 0) {
			text = d.show(seconds, q.Duration)
		}
		d.add(working.JobRunUp.Of(job.ID), job.Name+": time to "+d.show(top, q.Speed), text,
			"t = ∫ J·dω / (T_peak(ω) − T_friction)",
			"over the torque there is for some seconds, "+d.show(job.Spinning.Within, q.Duration)+" wanted",
			source.Mechanics, d.show(d.OwnInertia(p), q.Inertia)+" of it are the motor's rotor and the wheels, at "+
				"the spindle")
	}
}
