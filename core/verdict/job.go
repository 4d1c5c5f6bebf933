package verdict

import (
	"fmt"
	"math"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/line"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// JobFindings says how a job results in a sentence or two.
func JobFindings(t *line.Model, i int, result line.Result, sys q.System) []f.Finding {
	job := &t.Machine.Jobs[i]
	one := f.Finding{ID: "work.job." + job.ID, Station: f.Work, Field: fmt.Sprintf("machine.jobs[%d].load", i), Job: job.ID}
	torque := func(v float64) string { return q.Show(v, q.Torque, sys) }
	speed := func(v float64) string { return q.Show(v, q.Speed, sys) }
	switch result.Outcome {
	case line.CannotTell:
		return nil
	case line.Does:
		one.Level, one.Title = f.Good, job.Name
		one.Detail = fmt.Sprintf("%s to be had %s, %s wanted: ×%s, held by %s.", torque(result.Available.Torque), where(job, result, speed), torque(result.Needed), q.Figures(result.Margin, 3), result.Available.By)
	case line.JustDoes:
		one.Level, one.Title = f.Caution, job.Name+": just does it"
		one.Detail = fmt.Sprintf("×%s %s, ×%s was wanted (%s). Held by %s.", q.Figures(result.Margin, 3), where(job, result, speed), q.Figures(job.Margin, 3), job.MarginBy, result.Available.By)
	case line.FallsShort:
		one.Level, one.Short = f.Stop, true
		one.Title = shortTitle(t, job, result, sys)
		one.Detail = fmt.Sprintf("%s %s, %s wanted. Held by %s.", torque(result.Available.Torque), where(job, result, speed), torque(result.Needed), result.Available.By)
	case line.TooSlow, line.TooFast:
		one.Level, one.Short = f.Stop, true
		one.Title, one.Detail = speedShort(t, job, result, speed)
		one.Field = fmt.Sprintf("machine.jobs[%d].speed.to", i)
		if result.Outcome == line.TooFast {
			one.Field = fmt.Sprintf("machine.jobs[%d].speed.from", i)
		}
		if t.Powered.FixedSpeed() && !job.AnySpeed {
			one.Field = fmt.Sprintf("machine.jobs[%d].speed.cover", i)
		}
	}
	out := []f.Finding{one}
	if spread := t.Motor.Spread; result.Outcome.Done() && line.ShownSpread(spread) > 0 && result.Margin*(1-spread) < 1 {
		out = append(out, f.Finding{
			ID: "work.guess." + job.ID, Level: f.Caution, Station: f.Work, Job: job.ID, Field: "motor.readings", Title: job.Name + ": only if the motor is what it seems",
			Detail: fmt.Sprintf("Its torque may be %s less than taken, and then the margin is ×%s. A bench reading settles it.", q.Percent(spread), q.Figures(result.Margin*(1-spread), 3)),
		})
	}
	return out
}

// where says at which speed, and for how long, the margin was taken.
func where(job *work.Need, result line.Result, speed func(float64) string) string {
	if result.Starting {
		return "to break it away"
	}
	how := "all day at "
	switch job.Duty.Kind {
	case "cycle":
		how = fmt.Sprintf("for %s in every %s at ", q.Show(job.Duty.On, q.Duration, q.Metric), q.Show(job.Duty.On+job.Duty.Off, q.Duration, q.Metric))
	case "seconds":
		how = "for some seconds at "
	}
	return how + speed(result.Omega)
}

// shortTitle names the speeds over which the torque is not enough.
func shortTitle(t *line.Model, job *work.Need, result line.Result, sys q.System) string {
	if result.Starting {
		return job.Name + ": will not break it away"
	}
	p := &t.Reduction.Positions[result.Position]
	const tried = 24
	overload := line.DutyOverload(job.Duty)
	from, to := math.Inf(1), 0.0
	for k := range tried {
		omega := result.Low * math.Pow(result.High/result.Low, float64(k)/(tried-1))
		if t.AvailableFor(job, omega, overload, p).Torque < job.TorqueAt(omega) {
			from, to = math.Min(from, omega), math.Max(to, omega)
		}
	}
	switch {
	case from <= result.Low && to >= result.High*0.99:
		return job.Name + ": short of torque"
	case from <= result.Low:
		return fmt.Sprintf("%s: short below %s", job.Name, q.Show(to, q.Speed, sys))
	case to >= result.High*0.99:
		return fmt.Sprintf("%s: short above %s", job.Name, q.Show(from, q.Speed, sys))
	}
	return fmt.Sprintf("%s: short between %s and %s", job.Name, q.Show(from, q.Speed, sys), q.Show(to, q.Speed, sys))
}

func speedShort(t *line.Model, job *work.Need, result line.Result, speed func(float64) string) (title, detail string) {
	p := &t.Reduction.Positions[result.Position]
	low, high := t.Span(p)
	if t.Powered.FixedSpeed() && !job.AnySpeed {
		return job.Name + ": one speed cannot cover a band",
			fmt.Sprintf("On the line this motor gives %s here and nothing between. If one speed in the band will do, say so on the job; else more steps, or a drive.", speed(low))
	}
	if stretches := t.Together(job); len(stretches) > 1 {
		names := make([]string, len(stretches))
		for i, s := range stretches {
			names[i] = s.Position
		}
		return job.Name + ": no one position reaches it all",
			fmt.Sprintf("Between them %s do. Make it a job for each, or let the band be as wide as one position gives: %s to %s.", strings.Join(names, " and "), speed(result.Low), speed(result.High))
	}
	if result.Outcome == line.TooSlow {
		by := "geared too low or trimmed"
		if t.TopSpeed < high {
			by = "the machine's own limit"
		}
		return job.Name + ": not fast enough", fmt.Sprintf("Tops out at %s, %s wanted; held by %s.", speed(math.Min(high, t.TopSpeed)), speed(job.High), by)
	}
	return job.Name + ": not slow enough", fmt.Sprintf("Slowest steady speed %s, %s wanted. Gear it down, or steady the drive with a tachometer.", speed(low), speed(job.Low))
}
