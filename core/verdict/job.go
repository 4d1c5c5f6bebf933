package verdict

import (
	"fmt"
	"math"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/words"
	"jiriki/core/work"
	"jiriki/core/working"
)

// jobFindings say how a job comes out, in a sentence or two.
func (v *verdict) jobFindings(i int, result line.Result) {
	job := &v.Machine.Jobs[i]
	level, field := f.Good, jobField(i, "load")
	var title, detail string
	available := result.Available
	switch result.Outcome {
	case line.CannotTell:
		v.guessFinding(i, &result)
		v.wheelFinding(i)
		v.loadFinding(i, &result)
		return
	case line.Does:
		title = job.Name
		detail = v.show(available.Torque, q.Torque) + " to be had " + v.where(job, result) + ", " +
			v.show(result.Needed, q.Torque) + " wanted: ×" + q.Figures(result.Margin, 3) + ", held by " +
			string(available.By) + ". " + words.Capital(result.StartText()) + "."
	case line.JustDoes:
		level, title = f.Caution, job.Name+": just does it"
		detail = "×" + q.Figures(result.Margin, 3) + " " + v.where(job, result) + ", ×" + q.Figures(job.Margin, 3) +
			" was wanted (" + job.MarginBy + "). Held by " + string(available.By) + ". " +
			words.Capital(result.StartText()) + "."
	case line.FallsShort:
		level, title = f.Stop, v.shortTitle(job, result)
		detail = v.show(available.Torque, q.Torque) + " " + v.where(job, result) + ", " +
			v.show(result.Needed, q.Torque) + " wanted. Held by " + string(available.By) + "."
	case line.FallsOff:
		level, field = f.Stop, jobField(i, "fall")
		title = job.Name + ": the speed falls by " + q.Percent(v.Fall(job, &result)) + " under it"
		detail = q.Percent(job.Fall) + " is what the job allows. " + v.steadier()
	case line.TooSlow, line.TooFast:
		level = f.Stop
		title, detail = v.speedShort(job, result)
		field = jobField(i, "speed.to")
		if result.Outcome == line.TooFast {
			field = jobField(i, "speed.from")
		}
		if v.Powered.FixedSpeed() && !job.AnySpeed {
			field = jobField(i, "speed.cover")
		}
	}
	one := v.add(f.WorkJob.Of(job.ID), level, field, title, detail)
	one.Job, one.Working, one.Short = job.ID, working.JobMargin.Of(job.ID), level == f.Stop
}

// guessFinding says that a job hangs on a guess at the motor, and what settles it.
func (v *verdict) guessFinding(i int, result *line.Result) {
	if !judge.HangsOnGuess(v.Model, result) {
		return
	}
	job, share := &v.Machine.Jobs[i], v.Motor.Spread
	one := v.add(f.WorkGuess.Of(job.ID), f.Missing, "motor.readings",
		job.Name+": only if the motor is what it seems",
		"Its torque may be "+q.Percent(share)+" less than taken: the margin is ×"+q.Figures(result.Margin, 3)+
			" or ×"+q.Figures(result.Margin*(1-share), 3)+". A bench reading settles it.")
	one.Job, one.Holds, one.Working = job.ID, f.HoldsJobs, working.JobMargin.Of(job.ID)
}

// wheelFinding says that a job's speed goes by a wheel nobody measured.
func (v *verdict) wheelFinding(i int) {
	job := &v.Machine.Jobs[i]
	if !job.UsualWheel || job.Missing != "" {
		return
	}
	one := v.add(f.WorkWheel.Of(job.ID), f.Missing, "machine.limits.diameter", job.Name+": measure its wheel",
		"Its speed goes by a wheel of the usual size, "+v.show(job.Largest, q.Length)+" across: "+
			v.show(job.Low, q.Speed)+". Another size is another speed.")
	one.Job, one.Holds = job.ID, f.HoldsJobs
}

// loadFinding says that a job hangs on a load that is only a usual one, and how to find its own.
func (v *verdict) loadFinding(i int, result *line.Result) {
	job := &v.Machine.Jobs[i]
	if !job.Usual.Is() || result.Margin == 0 || result.Outcome.Done() || !v.HangsOnLoad(job, v.Reduction.Positions) {
		return
	}
	least := v.Taking(job, job.Usual.Least, v.Reduction.Positions)
	one := v.add(f.WorkUsual.Of(job.ID), f.Missing, jobField(i, "load.by"), job.Name+": weigh its load",
		"Its load is a usual one ("+words.LowerFirst(job.Usual.Of)+"): ×"+q.Figures(result.Margin,
			3)+" by the most of "+
			"it, ×"+q.Figures(least.Margin, 3)+" by the least. A spring scale at a known radius tells its own.")
	one.Job, one.Holds, one.Working = job.ID, f.HoldsJobs, working.JobMargin.Of(job.ID)
}

// steadier says what would hold the speed better.
func (v *verdict) steadier() string {
	switch c := v.Control; {
	case v.Motor.Kind.Family() == motor.SeriesFamily:
		return "A series motor's speed goes with its load: a drive with a tachometer holds it, or take a motor of " +
			"another sort."
	case c.DCDrive():
		return "A drive that watches armature volts holds it within 2 %, one with a tachometer within 1 %."
	case c.Direct():
		return "Nothing watches the speed here: a drive does."
	case c.SetsHertz():
		return "Vector control makes up for the slip; a larger motor slips less."
	}
	return "A larger motor, or one with less slip on its plate, falls less."
}

// where says at which speed, and for how long, the margin was taken.
func (v *verdict) where(job *work.Need, result line.Result) string {
	if result.Starting {
		return "at rest"
	}
	if result.Biting {
		return "in the bite at " + v.show(result.Omega, q.Speed)
	}
	how := "all day at "
	switch job.Duty.Kind {
	case "cycle":
		how = "for " + q.Show(job.Duty.On, q.Duration, q.Metric) + " in every " +
			q.Show(job.Duty.On+job.Duty.Off, q.Duration, q.Metric) + " at "
	case "seconds":
		how = "for some seconds at "
	}
	if v.Powered.FixedSpeed() {
		return how + v.show(result.Omega, q.Speed) + ", where it runs under this load"
	}
	return how + v.show(result.Omega, q.Speed)
}

// shortTitle names the speeds over which the torque is not enough.
func (v *verdict) shortTitle(job *work.Need, result line.Result) string {
	if result.Starting {
		return job.Name + ": will not start it"
	}
	if result.Biting {
		return job.Name + ": stalls in the bite"
	}
	p := &v.Reduction.Positions[result.Position]
	const tried = 24
	overload := v.DutyOverload(job.Duty)
	from, to := math.Inf(1), 0.0
	omega, step := result.Low, math.Pow(result.High/result.Low, 1.0/(tried-1))
	for k := range tried {
		if k > 0 {
			omega *= step
		}
		if v.AvailableFor(job, omega, overload, p).Torque < job.TorqueAt(omega) {
			from, to = min(from, omega), max(to, omega)
		}
	}
	switch {
	case from <= result.Low && to >= result.High*0.99:
		return job.Name + ": short of torque"
	case from <= result.Low:
		return job.Name + ": short below " + v.show(to, q.Speed)
	case to >= result.High*0.99:
		return job.Name + ": short above " + v.show(from, q.Speed)
	}
	return job.Name + ": short between " + v.show(from, q.Speed) + " and " + v.show(to, q.Speed)
}

func (v *verdict) speedShort(job *work.Need, result line.Result) (title, detail string) {
	speed := func(omega float64) string { return v.show(omega, q.Speed) }
	p := &v.Reduction.Positions[result.Position]
	low, high := v.Span(p)
	if v.Powered.FixedSpeed() && !job.AnySpeed {
		return job.Name + ": one speed cannot cover a band",
			fmt.Sprintf("On the line this motor gives %s here and nothing between. If one speed in the band will do, "+
				"say so on the job; else more steps, or a drive.", speed(low))
	}
	if v.Powered.FixedSpeed() {
		way := "Gear it down"
		if result.Outcome == line.TooSlow {
			way = "Gear it up"
		}
		return job.Name + ": not the speed it wants",
			fmt.Sprintf("Under this load it runs at %s; %s to %s is wanted. %s.", speed(result.Omega), speed(job.Low),
				speed(job.High), way)
	}
	if stretches := v.Together(job); len(stretches) > 1 {
		names := make([]string, len(stretches))
		for i, s := range stretches {
			names[i] = s.Position
		}
		return job.Name + ": no one position reaches it all",
			fmt.Sprintf("Between them %s do. Make it a job for each, or ask for no more than one position "+
				"gives: %s to %s.", strings.Join(names, " and "), speed(result.Low), speed(result.High))
	}
	if result.Outcome == line.TooSlow {
		by := "the gearing"
		switch {
		case v.TopSpeed < high:
			by = "the machine's own limit"
		case v.Feed.TopTrim > 0 && v.Feed.TopTrim < 1:
			by = "the drive's trim to " + q.Percent(v.Feed.TopTrim)
		}
		return job.Name + ": not fast enough", "Tops out at " + speed(min(high,
			v.TopSpeed)) + " under load, " + speed(job.High) +
			" wanted; held by " + by + "."
	}
	return job.Name + ": not slow enough", fmt.Sprintf("Slowest steady speed %s, %s wanted. Gear it down, or steady "+
		"the drive with a tachometer.", speed(low), speed(job.Low))
}
