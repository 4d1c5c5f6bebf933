package line

import (
	"fmt"
	"math"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// JobResult is how one job fares, with what would lift it.
type JobResult struct {
	ID       string       `json:"id"`
	Name     string       `json:"name"`
	Outcome  outcome      `json:"outcome" enum:"does,just,short,too-slow,too-fast,cannot-tell"`
	Margin   float64      `json:"margin" doc:"Least available ÷ needed over the band; 0 when not known"`
	Wanted   float64      `json:"wanted" doc:"Margin wanted"`
	WantedBy string       `json:"wantedBy" doc:"Where the wanted margin comes from"`
	Short    string       `json:"short" doc:"The outcome in a few words, for the chart"`
	Position string       `json:"position" doc:"The position it fares best in"`
	HeldBy   motor.Bound  `json:"heldBy"`
	RPM      []float64    `json:"rpm" nullable:"false" doc:"The band, rising"`
	Needed   []float64    `json:"needed" nullable:"false" doc:"N·m at each rpm"`
	Baseline []CurvePoint `json:"baseline" nullable:"false" doc:"What the machine's old motor gave in each of its positions, where the job goes by it"`
	Remedies []Remedy     `json:"remedies" nullable:"false"`
}

func (t *train) jobResult(i int, fare fare, sys q.System) JobResult {
	job := &t.Machine.Jobs[i]
	r := JobResult{
		ID: job.ID, Name: job.Name, Outcome: fare.outcome, Margin: tidy(fare.margin), Wanted: job.Margin, WantedBy: job.MarginBy,
		HeldBy: fare.held.By, Short: shortText(job, fare), RPM: []float64{}, Needed: []float64{}, Baseline: []CurvePoint{}, Remedies: []Remedy{},
	}
	if fare.outcome != cannotJudge && len(t.Reduction.Positions) > 1 {
		r.Position = t.Reduction.Positions[fare.position].Label
	}
	if job.Missing != "" {
		return r
	}
	if job.Method == work.ByReplaced {
		for _, p := range job.Points {
			r.Baseline = append(r.Baseline, CurvePoint{tidy(p.Omega / q.RPM), tidy(p.Torque)})
		}
	}
	points := 2
	if job.Shape != work.SameTorque {
		points = 16
	}
	for k := range points {
		omega := job.Low * math.Pow(job.High/job.Low, float64(k)/float64(points-1))
		r.RPM, r.Needed = append(r.RPM, tidy(omega/q.RPM)), append(r.Needed, tidy(job.TorqueAt(omega)))
	}
	return r
}

// shortText is what the chart writes beside a job.
func shortText(job *work.Need, fare fare) string {
	switch fare.outcome {
	case doesIt:
		return "×" + q.Figures(fare.margin, 2) + " to spare"
	case justDoes:
		return "just, ×" + q.Figures(fare.margin, 3)
	case fallsShort:
		return "short by " + q.Percent(1-fare.margin)
	case tooSlow:
		return "not fast enough"
	case tooFast:
		return "not slow enough"
	}
	return "not judged yet"
}

// jobFindings says how a job fares in a sentence or two.
func (t *train) jobFindings(i int, fare fare, sys q.System) []f.Finding {
	job := &t.Machine.Jobs[i]
	one := f.Finding{ID: "work.job." + job.ID, Station: f.Work, Field: fmt.Sprintf("machine.jobs[%d].load", i), Job: job.ID}
	torque := func(v float64) string { return q.Show(v, q.Torque, sys) }
	speed := func(v float64) string { return q.Show(v, q.Speed, sys) }
	switch fare.outcome {
	case cannotJudge:
		return nil
	case doesIt:
		one.Level, one.Title = f.Good, job.Name
		one.Detail = fmt.Sprintf("%s to be had %s, %s wanted: ×%s, held by %s.", torque(fare.held.Torque), where(job, fare, speed), torque(fare.needed), q.Figures(fare.margin, 3), fare.held.By)
	case justDoes:
		one.Level, one.Title = f.Caution, job.Name+": just does it"
		one.Detail = fmt.Sprintf("×%s %s, ×%s was wanted (%s). Held by %s.", q.Figures(fare.margin, 3), where(job, fare, speed), q.Figures(job.Margin, 3), job.MarginBy, fare.held.By)
	case fallsShort:
		one.Level, one.Short = f.Stop, true
		one.Title = t.shortTitle(job, fare, sys)
		one.Detail = fmt.Sprintf("%s %s, %s wanted. Held by %s.", torque(fare.held.Torque), where(job, fare, speed), torque(fare.needed), fare.held.By)
	case tooSlow, tooFast:
		one.Level, one.Short = f.Stop, true
		one.Title, one.Detail = t.speedShort(job, fare, speed)
		one.Field = fmt.Sprintf("machine.jobs[%d].speed.to", i)
		if fare.outcome == tooFast {
			one.Field = fmt.Sprintf("machine.jobs[%d].speed.from", i)
		}
		if t.model.FixedSpeed() && !job.AnySpeed {
			one.Field = fmt.Sprintf("machine.jobs[%d].speed.cover", i)
		}
	}
	out := []f.Finding{one}
	if spread := t.Motor.Spread; fare.outcome.done() && shownSpread(spread) > 0 && fare.margin*(1-spread) < 1 {
		out = append(out, f.Finding{
			ID: "work.guess." + job.ID, Level: f.Caution, Station: f.Work, Job: job.ID, Field: "motor.readings", Title: job.Name + ": only if the motor is what it seems",
			Detail: fmt.Sprintf("Its torque may be %s less than taken, and then the margin is ×%s. A bench reading settles it.", q.Percent(spread), q.Figures(fare.margin*(1-spread), 3)),
		})
	}
	return out
}

// where says at which speed, and for how long, the margin was taken.
func where(job *work.Need, fare fare, speed func(float64) string) string {
	if fare.starting {
		return "to break it away"
	}
	how := "all day at "
	switch job.Duty.Kind {
	case "cycle":
		how = fmt.Sprintf("for %s in every %s at ", q.Show(job.Duty.On, q.Duration, q.Metric), q.Show(job.Duty.On+job.Duty.Off, q.Duration, q.Metric))
	case "seconds":
		how = "for some seconds at "
	}
	return how + speed(fare.omega)
}

// shortTitle names the speeds over which the torque is not enough.
func (t *train) shortTitle(job *work.Need, fare fare, sys q.System) string {
	if fare.starting {
		return job.Name + ": will not break it away"
	}
	p := &t.Reduction.Positions[fare.position]
	const tried = 24
	overload := overload(job.Duty)
	from, to := math.Inf(1), 0.0
	for k := range tried {
		omega := fare.low * math.Pow(fare.high/fare.low, float64(k)/(tried-1))
		if t.heldFor(job, omega, overload, p).Torque < job.TorqueAt(omega) {
			from, to = math.Min(from, omega), math.Max(to, omega)
		}
	}
	switch {
	case from <= fare.low && to >= fare.high*0.99:
		return job.Name + ": short of torque"
	case from <= fare.low:
		return fmt.Sprintf("%s: short below %s", job.Name, q.Show(to, q.Speed, sys))
	case to >= fare.high*0.99:
		return fmt.Sprintf("%s: short above %s", job.Name, q.Show(from, q.Speed, sys))
	}
	return fmt.Sprintf("%s: short between %s and %s", job.Name, q.Show(from, q.Speed, sys), q.Show(to, q.Speed, sys))
}

func (t *train) speedShort(job *work.Need, fare fare, speed func(float64) string) (title, detail string) {
	p := &t.Reduction.Positions[fare.position]
	low, high := t.span(p)
	if t.model.FixedSpeed() && !job.AnySpeed {
		return job.Name + ": one speed cannot cover a band",
			fmt.Sprintf("On the line this motor gives %s here and nothing between. If one speed in the band will do, say so on the job; else more steps, or a drive.", speed(low))
	}
	if stretches := t.together(job); len(stretches) > 1 {
		names := make([]string, len(stretches))
		for i, s := range stretches {
			names[i] = s.position
		}
		return job.Name + ": no one position reaches it all",
			fmt.Sprintf("Between them %s do. Make it a job for each, or let the band be as wide as one position gives: %s to %s.", strings.Join(names, " and "), speed(fare.low), speed(fare.high))
	}
	if fare.outcome == tooSlow {
		by := "geared too low or trimmed"
		if t.top < high {
			by = "the machine's own limit"
		}
		return job.Name + ": not fast enough", fmt.Sprintf("Tops out at %s, %s wanted; held by %s.", speed(math.Min(high, t.top)), speed(job.High), by)
	}
	return job.Name + ": not slow enough", fmt.Sprintf("Slowest steady speed %s, %s wanted. Gear it down, or steady the drive with a tachometer.", speed(low), speed(job.Low))
}
