package assess

import (
	"math"

	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/remedy"
	"jiriki/core/words"
	"jiriki/core/work"
)

// JobResult is how one job comes out, with what would lift it.
type JobResult struct {
	ID          string            `json:"id"`
	Name        string            `json:"name"`
	Outcome     line.Outcome      `json:"outcome" enum:"does,just,short,falls,too-slow,too-fast,cannot-tell"`
	Margin      float64           `json:"margin" doc:"Least available ÷ needed over the band; 0 when not known"`
	Likely      float64           `json:"likely" doc:"Where it cannot be told yet, the margin as far as it is known: by the middle of a usual load, by the motor as guessed; 0 where nothing can be said"`
	Least       float64           `json:"least" doc:"Where its load is a usual one, the least of it as a share of what is drawn; 1 else"`
	Wanted      float64           `json:"wanted" doc:"Margin wanted"`
	WantedBy    string            `json:"wantedBy" doc:"Where the wanted margin comes from"`
	Short       string            `json:"short" doc:"The outcome in a few words, for the chart"`
	Start       string            `json:"start" doc:"How it starts, in a few words; empty where that cannot be told"`
	StartMargin float64           `json:"startMargin" doc:"Torque at rest ÷ what it takes to start it; 0 where nothing holds it back or it cannot be told"`
	Fall        float64           `json:"fall" doc:"Share of its unloaded speed the motor loses under it"`
	Position    string            `json:"position" doc:"The position it results best in"`
	LimitedBy   motor.Limit       `json:"limitedBy"`
	RPM         []float64         `json:"rpm" nullable:"false" doc:"The band, rising"`
	Needed      []float64         `json:"needed" nullable:"false" doc:"N·m at each rpm"`
	Ceiling     []line.CurvePoint `json:"ceiling" nullable:"false" doc:"What its own minutes on and off allow over what is reached of its band, in the position it comes out best in"`
	CeilingIs   string            `json:"ceilingIs" doc:"How long at a time that is, in a few words"`
	Breakaway   float64           `json:"breakaway" doc:"N·m it takes to start it; 0 where nothing holds it back"`
	Baseline    []line.CurvePoint `json:"baseline" nullable:"false" doc:"What the machine's old motor gave in each of its positions, where the job goes by it"`
	NoHelp      string            `json:"noHelp" doc:"Said where nothing that was tried lifts it"`
	Remedies    []remedy.Remedy   `json:"remedies" nullable:"false"`
}

func jobResult(t *line.Model, i int, result line.Result, sys q.System) JobResult {
	job := &t.Machine.Jobs[i]
	r := JobResult{
		ID: job.ID, Name: job.Name, Outcome: result.Outcome, Margin: q.Rounded(result.Margin), Wanted: job.Margin,
		WantedBy: job.MarginBy, Least: 1,
		LimitedBy: result.Available.By, Short: shortText(t, job, result), RPM: []float64{}, Needed: []float64{},
		Ceiling: []line.CurvePoint{}, CeilingIs: job.Duty.Says(), Baseline: []line.CurvePoint{},
		Remedies: []remedy.Remedy{},
	}
	if result.Outcome != line.CannotTell && len(t.Reduction.Positions) > 1 {
		r.Position = t.Reduction.Positions[result.Position].Label
	}
	if job.Missing != "" {
		return r
	}
	if job.Usual.Is() {
		r.Least = q.Rounded(job.Usual.Least)
	}
	r.Likely = likely(t, job, result)
	r.Breakaway = q.Rounded(job.Start.Torque)
	if result.Outcome != line.CannotTell {
		r.Ceiling = t.Ceiling(job, &result)
		r.Start, r.StartMargin, r.Fall = result.StartText(), q.Rounded(
			result.StartMargin,
		), q.Rounded(
			t.Fall(job, &result),
		)
	}
	if job.Method == work.ByReplaced {
		for _, p := range job.Points {
			r.Baseline = append(r.Baseline, line.CurvePoint{RPM: q.Rounded(p.Omega / q.RPM),
				Torque: q.Rounded(p.Torque)})
		}
	}
	points := 2
	if job.Shape != work.SameTorque {
		points = 16
	}
	r.RPM, r.Needed = make([]float64, points), make([]float64, points)
	for k := range points {
		omega := job.Low * math.Pow(job.High/job.Low, float64(k)/float64(points-1))
		r.RPM[k], r.Needed[k] = q.Rounded(omega/q.RPM), q.Rounded(job.TorqueAt(omega))
	}
	return r
}

// likely is the margin of a job that cannot be told yet, as far as it is known.
func likely(t *line.Model, job *work.Need, result line.Result) float64 {
	if result.Outcome != line.CannotTell {
		return 0
	}
	if job.Usual.Is() {
		result = t.Taking(job, job.Usual.Likely, t.Reduction.Positions)
	}
	if !result.Outcome.Reached() {
		return 0
	}
	return q.Rounded(result.Margin)
}

// likelyText is a margin that is not certain, in a few words.
func likelyText(margin float64) string {
	if margin < 1 {
		return "short by " + q.Percent(1-margin)
	}
	figures := 2
	if margin < 1.1 {
		figures = 3 // ×1.04 is not ×1
	}
	return "×" + q.Figures(margin, figures)
}

// noHelpText says in a line that nothing lifts a job, of all that was tried.
func noHelpText(tried []string) string {
	if len(tried) == 0 {
		return "Nothing here can be changed to lift it."
	}
	return "Tried " + words.List(tried) + ": none lifts it."
}

// nothingLeft is the margin under which a share that is lacking would read as all of it.
const nothingLeft = 0.02

// shortText is what the chart writes beside a job.
func shortText(t *line.Model, job *work.Need, result line.Result) string {
	switch result.Outcome {
	case line.Does:
		return "×" + q.Figures(result.Margin, 2) + " to spare"
	case line.JustDoes:
		return "just, ×" + q.Figures(result.Margin, 3)
	case line.FallsShort:
		if result.Starting {
			return "will not start it"
		}
		if result.Margin < nothingLeft {
			return "no torque left at its speed"
		}
		return "short by " + q.Percent(1-result.Margin)
	case line.FallsOff:
		return "its speed falls by " + q.Percent(t.Fall(job, &result))
	case line.TooSlow:
		return "not fast enough"
	case line.TooFast:
		return "not slow enough"
	}
	if margin := likely(t, job, result); margin > 0 && job.Usual.Is() {
		return "likely " + likelyText(margin)
	}
	return "not judged yet"
}
