package search

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"jiriki/core/drawing"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
)

// Found is a reduction a search came upon, truly worked out.
type Found struct {
	Label     string              `json:"label" doc:"Ratios and stages, such as 11.2 : 1, two belts"`
	Ratios    []string            `json:"ratios" nullable:"false" doc:"Per position"`
	Jobs      []line.JobOutcome   `json:"jobs" nullable:"false"`
	JobsDone  int                 `json:"jobsDone"`
	Worst     string              `json:"worst" doc:"The job with least margin"`
	Margin    float64             `json:"margin" doc:"Its margin"`
	LimitedBy motor.Limit         `json:"limitedBy"`
	Top       string              `json:"top" doc:"Fastest the spindle turns"`
	Trims     bool                `json:"trims" doc:"Geared so that only a trim of the drive keeps the machine's limit"`
	Changes   int                 `json:"changes" doc:"Belt positions to move between"`
	Buy       []string            `json:"buy" nullable:"false" doc:"What is not on the shelf"`
	OnHand    []string            `json:"onHand" nullable:"false" doc:"What is"`
	GivesUp   string              `json:"givesUp" doc:"What it loses against the first answer, or lacks"`
	Not       string              `json:"not,omitempty" doc:"Why it is not among those found, though it comes near"`
	Bands     []Band              `json:"bands" nullable:"false" doc:"Speeds at the spindle per position"`
	Stages    []drawing.Stage     `json:"stages" nullable:"false"`
	Plan      reduction.Described `json:"plan" doc:"To put into the plan"`

	worth float64       // the least margin against the one wanted, over the jobs reached
	parts int           // to buy
	held  []motor.Limit // what holds each job
}

// Band is the speeds of one position.
type Band struct {
	Label   string  `json:"label"`
	LowRPM  float64 `json:"lowRpm"`
	HighRPM float64 `json:"highRpm"`
}

// presenter works out what a search found and puts it in words.
type presenter struct {
	in     plan.Input
	now    *line.Model
	bounds bounds
	first  *Found
}

// showAll works candidates out and puts them in order by what they truly give, belts and all.
func (s *presenter) showAll(candidates []candidate) []Found {
	out := []Found{}
	for _, c := range candidates {
		out = append(out, s.show(c))
	}
	slices.SortStableFunc(out, func(a, b Found) int {
		return cmp.Or(cmp.Compare(b.JobsDone, a.JobsDone), cmp.Compare(a.Changes, b.Changes),
			cmp.Compare(worthStep(b.worth), worthStep(a.worth)), cmp.Compare(a.parts, b.parts))
	})
	if len(out) > 0 {
		s.first = &out[0]
	}
	for i := range out {
		out[i].GivesUp = s.givesUp(out[i])
	}
	return out
}

// show works a candidate out.
func (s *presenter) show(c candidate) Found {
	d := reduction.Described{Stages: []reduction.DescribedStage{}}
	for _, steps := range c.stages {
		d.Stages = append(d.Stages, described(steps, s.in.Units))
	}
	planned := s.in.Plan.Reduction.Stages
	d.Stages = append(d.Stages, planned[len(planned)-len(s.bounds.kept):]...)
	out := s.work(d)
	out.Changes, out.parts = c.changes, c.buy
	out.Buy, out.OnHand = shopping(c, s.in.Units)
	return out
}

// asItIs is the plan's own reduction.
func (s *presenter) asItIs() Found {
	out := s.work(s.in.Plan.Reduction)
	out.Changes = len(s.now.Reduction.Positions) - 1
	out.GivesUp = s.givesUp(out)
	return out
}

// work assesses the plan with another reduction.
func (s *presenter) work(d reduction.Described) Found {
	st := s.now.Stations
	st.Reduction = reduction.Resolve(d, st.Motor.Body.Shaft, st.Motor.Gear.Ratio, q.NewReader(""))
	t := line.New(st)
	out := Found{Plan: d, Ratios: []string{}, Jobs: []line.JobOutcome{}, Buy: []string{}, OnHand: []string{},
		Bands: []Band{}, Stages: drawing.Of(t).Stages}
	top, worst := 0.0, math.Inf(1)
	for i := range t.Reduction.Positions {
		p := &t.Reduction.Positions[i]
		low, high := t.Span(p)
		top = max(top, t.Top(p))
		out.Ratios = append(out.Ratios, q.Ratio(p.Ratio))
		out.Bands = append(out.Bands, Band{p.Label, q.Rounded(low / q.RPM), q.Rounded(high / q.RPM)})
	}
	out.Trims = top > t.TopSpeed*(1+line.SpeedTolerance)
	out.Top = q.Show(min(top, t.TopSpeed), q.Speed, s.in.Units)
	for i, f := range t.Results() {
		job := &t.Machine.Jobs[i]
		out.held = append(out.held, f.Available.By)
		out.Jobs = append(out.Jobs, t.Told(job, f, t.Reduction.Positions))
		if f.Outcome.Done() {
			out.JobsDone++
		}
		if job.Missing != "" || !f.Outcome.Reached() {
			continue
		}
		if worth := f.Margin / job.Margin; worth < worst {
			worst, out.worth, out.Worst, out.Margin, out.LimitedBy = worth, worth, job.Name, q.Rounded(f.Margin),
				f.Available.By
		}
	}
	out.Label = t.Reduction.ShortRatios() + ", " + words.Noun(t.Reduction.Title())
	return out
}

// givesUp says what an answer loses against the first, or what the first itself leaves undone.
func (s *presenter) givesUp(c Found) string {
	var lost []string
	for i, job := range c.Jobs {
		if !job.Outcome.Done() && job.Outcome != line.CannotTell && (s.first == nil || c.Label == s.first.Label ||
			s.first.Jobs[i].Outcome.Done()) {
			lost = append(lost, job.Name+" "+strings.TrimPrefix(job.Margin, "not known"))
		}
	}
	switch {
	case len(lost) > 0:
		return "Leaves out " + strings.Join(lost, ", ")
	case c.Trims:
		return "The drive's top speed must be trimmed to keep the machine's limit"
	case s.first == nil || c.Label == s.first.Label:
		return ""
	case c.Changes > s.first.Changes:
		return "The belt is moved between jobs"
	case c.Margin < s.first.Margin*0.99 && c.Margin > 0:
		return fmt.Sprintf("Less to spare: ×%s on %s", q.Figures(c.Margin, 3), c.Worst)
	}
	return ""
}

// simpler is the best with one stage less than the first answer, and why it is not the first.
func (s *presenter) simpler(f *front) (*Found, string) {
	if s.first == nil {
		return nil, ""
	}
	kept := len(s.bounds.kept)
	if len(s.first.Plan.Stages) == kept+1 {
		without := reduction.Described{Stages: s.in.Plan.Reduction.Stages[len(s.in.Plan.Reduction.Stages)-kept:]}
		if kept == 0 {
			without.Stages = []reduction.DescribedStage{{Kind: reduction.Direct}}
		}
		direct := s.work(without)
		direct.GivesUp = s.givesUp(direct)
		return &direct, s.why(direct, "Without it")
	}
	var one *candidate
	for _, c := range f.cells {
		if len(c.stages) == 1 && c.changes == 0 && (one == nil || ahead(c, *one)) {
			one = &c
		}
	}
	if one == nil {
		return nil, "No single stage within these bounds does any of the jobs."
	}
	shown := s.show(*one)
	shown.GivesUp = s.givesUp(shown)
	return &shown, s.why(shown, "With one stage")
}

// ahead puts two candidates in the order they are shown.
func ahead(a, b candidate) bool {
	if n, m := count(a.done), count(b.done); n != m {
		return n > m
	}
	return a.worst > b.worst || a.worst == b.worst && (a.buy < b.buy || a.buy == b.buy && a.size < b.size)
}

func (s *presenter) why(c Found, lead string) string {
	text := fmt.Sprintf("%s the best is %s: it does %s", lead, c.Label, words.Jobs(c.JobsDone, len(c.Jobs)))
	if c.Worst != "" {
		text += fmt.Sprintf(", ×%s at the tightest (%s)", q.Figures(c.Margin, 3), c.Worst)
	}
	return text + "."
}
