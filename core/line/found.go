package line

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// Found is a reduction a search came upon, truly worked out.
type Found struct {
	Label    string              `json:"label" doc:"Ratios and stages, such as 11.2 : 1, two belts"`
	Ratios   []string            `json:"ratios" nullable:"false" doc:"Per position"`
	Jobs     []ContenderJob      `json:"jobs" nullable:"false"`
	JobsDone int                 `json:"jobsDone"`
	Worst    string              `json:"worst" doc:"The job with least margin"`
	Margin   float64             `json:"margin" doc:"Its margin"`
	HeldBy   motor.Bound         `json:"heldBy"`
	Top      string              `json:"top" doc:"Fastest the spindle turns"`
	Trims    bool                `json:"trims" doc:"Geared so that only a trim of the drive keeps the machine's limit"`
	Changes  int                 `json:"changes" doc:"Belt positions to move between"`
	Buy      []string            `json:"buy" nullable:"false" doc:"What is not on the shelf"`
	OnHand   []string            `json:"onHand" nullable:"false" doc:"What is"`
	GivesUp  string              `json:"givesUp" doc:"What it loses against the first answer, or lacks"`
	Bands    []Band              `json:"bands" nullable:"false" doc:"Speeds at the spindle per position"`
	Stages   []StageDrawing      `json:"stages" nullable:"false"`
	Plan     reduction.Described `json:"plan" doc:"To put into the plan"`

	worth float64 // the least margin against the one wanted, over the jobs reached
	parts int     // to buy
}

// Band is the speeds of one position.
type Band struct {
	Label   string  `json:"label"`
	LowRPM  float64 `json:"lowRpm"`
	HighRPM float64 `json:"highRpm"`
}

// shower works out what a search found and puts it in words.
type shower struct {
	in     plan.Input
	now    *train
	bounds bounds
	first  *Found
}

// showAll works candidates out and puts them in order by what they truly give, belts and all.
func (s *shower) showAll(candidates []candidate) []Found {
	out := []Found{}
	for _, c := range candidates {
		out = append(out, s.show(c))
	}
	slices.SortStableFunc(out, func(a, b Found) int {
		return cmp.Or(cmp.Compare(b.JobsDone, a.JobsDone), cmp.Compare(a.Changes, b.Changes), cmp.Compare(worthStep(b.worth), worthStep(a.worth)), cmp.Compare(a.parts, b.parts))
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
func (s *shower) show(c candidate) Found {
	d := reduction.Described{Stages: []reduction.DescribedStage{}}
	for _, steps := range c.stages {
		d.Stages = append(d.Stages, described(steps))
	}
	planned := s.in.Plan.Reduction.Stages
	d.Stages = append(d.Stages, planned[len(planned)-len(s.bounds.kept):]...)
	out := s.work(d)
	out.Changes, out.parts = c.changes, c.buy
	out.Buy, out.OnHand = shopping(c, s.in.Units)
	return out
}

// asItIs is the plan's own reduction.
func (s *shower) asItIs() Found {
	out := s.work(s.in.Plan.Reduction)
	out.Changes = len(s.now.Reduction.Positions) - 1
	out.GivesUp = s.givesUp(out)
	return out
}

// work assesses the plan with another reduction.
func (s *shower) work(d reduction.Described) Found {
	st := s.now.Stations
	st.Reduction = reduction.Resolve(d, st.Motor.Body.Shaft, q.NewReader(""))
	t := newTrain(st)
	out := Found{Plan: d, Ratios: []string{}, Jobs: []ContenderJob{}, Buy: []string{}, OnHand: []string{}, Bands: []Band{}, Stages: t.drawing().Stages}
	top, worst := 0.0, math.Inf(1)
	for i := range t.Reduction.Positions {
		p := &t.Reduction.Positions[i]
		low, high := t.span(p)
		top = math.Max(top, high)
		out.Ratios = append(out.Ratios, q.Ratio(p.Ratio))
		out.Bands = append(out.Bands, Band{p.Label, tidy(low / q.RPM), tidy(high / q.RPM)})
	}
	out.Trims = top > t.top*(1+speedTolerance)
	out.Top = q.Show(math.Min(top, t.top), q.Speed, s.in.Units)
	for i, f := range t.fares() {
		job := &t.Machine.Jobs[i]
		out.Jobs = append(out.Jobs, ContenderJob{job.Name, f.outcome, marginText(f)})
		if f.outcome.done() {
			out.JobsDone++
		}
		if job.Missing != "" || !f.outcome.reached() {
			continue
		}
		if worth := f.margin / job.Margin; worth < worst {
			worst, out.worth, out.Worst, out.Margin, out.HeldBy = worth, worth, job.Name, tidy(f.margin), f.held.By
		}
	}
	out.Label = t.shortRatios() + ", " + noun(t.reductionTitle())
	return out
}

// shortRatios writes the ratios of all positions in a few characters: "11.0 and 4.5 : 1".
func (t *train) shortRatios() string {
	var ratios []string
	for _, p := range t.Reduction.Positions {
		ratios = append(ratios, q.Ratio(p.Ratio))
	}
	if len(ratios) == 0 {
		return "no ratio yet"
	}
	if len(ratios) > 3 {
		return ratios[0] + " to " + ratios[len(ratios)-1]
	}
	return strings.Join(ratios, " and ")
}

// shopping parts what a candidate takes into what must be bought and what is on hand, sizes of a sort
// together; a part on hand serves once.
func shopping(c candidate, units q.System) (buy, onHand []string) {
	var toBuy, have parcel
	used := map[*shelf.Item]bool{}
	place := func(item *shelf.Item, sort, size string) {
		if item == nil || used[item] {
			toBuy.add(sort, size)
			return
		}
		used[item] = true
		have.add(noun(item.Called()), size)
	}
	for _, steps := range c.stages {
		first := steps[0]
		wheel, belt := soldAs(first.family.blank)
		if len(steps) > 1 {
			toBuy.add("pair of cones with "+countWord(len(steps))+" steps, turned to fit", "")
		} else {
			teeth := ""
			if first.family.stage.Kind.Toothed() {
				teeth = " teeth"
			}
			place(first.driver.item, wheel, string(first.driver.text)+teeth)
			place(first.driven.item, wheel, string(first.driven.text)+teeth)
		}
		size := q.Show(reduction.OpenBelt(first.driver.size, first.driven.size, first.centre), q.Length, units)
		if first.belt != nil {
			size = string(first.belt.Length)
		}
		place(first.belt, belt, size)
	}
	return toBuy.words(), have.words()
}

// parcel gathers parts by sort.
type parcel struct {
	sorts []string
	sizes map[string][]string
}

func (p *parcel) add(sort, size string) {
	if p.sizes == nil {
		p.sizes = map[string][]string{}
	}
	if _, known := p.sizes[sort]; !known {
		p.sorts = append(p.sorts, sort)
	}
	p.sizes[sort] = append(p.sizes[sort], size)
}

func (p *parcel) words() []string {
	out := []string{}
	for _, sort := range p.sorts {
		sizes := p.sizes[sort]
		if len(sizes) > 1 {
			sort += "s"
		}
		out = append(out, strings.TrimSpace(sort+" "+strings.Join(sizes, ", ")))
	}
	return out
}

// soldAs names a stage's wheels and what runs over them.
func soldAs(s reduction.Stage) (wheel, belt string) {
	switch s.Kind {
	case reduction.Chain:
		return "sprocket", "chain"
	case reduction.Toothed:
		return "toothed pulley", "toothed belt"
	case reduction.PolyV:
		return "poly-V pulley", "poly-V " + s.Section + " belt"
	case reduction.Flat:
		return "flat pulley", "flat belt"
	case reduction.LinkBelt:
		return "pulley", s.Section + " link belt"
	}
	return "pulley", s.Section + " belt"
}

// givesUp says what an answer loses against the first, or what the first itself leaves undone.
func (s *shower) givesUp(c Found) string {
	var lost []string
	for i, job := range c.Jobs {
		if !job.Outcome.done() && job.Outcome != cannotJudge && (s.first == nil || c.Label == s.first.Label || s.first.Jobs[i].Outcome.done()) {
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
func (s *shower) simpler(f *front) (*Found, string) {
	if s.first == nil {
		return nil, ""
	}
	kept := len(s.bounds.kept)
	if len(s.first.Plan.Stages) == kept+1 {
		direct := s.work(reduction.Described{Stages: s.in.Plan.Reduction.Stages[len(s.in.Plan.Reduction.Stages)-kept:]})
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

func (s *shower) why(c Found, lead string) string {
	text := fmt.Sprintf("%s the best is %s: it does %s", lead, c.Label, share(c.JobsDone, len(c.Jobs)))
	if c.Worst != "" {
		text += fmt.Sprintf(", ×%s at the tightest (%s)", q.Figures(c.Margin, 3), c.Worst)
	}
	return text + "."
}
