// Package rank tries the shelf's motors, and the controls there are, for a machine's jobs, and puts them in
// order.
package rank

import (
	"fmt"
	"math"
	"reflect"
	"sort"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/words"
)

// Candidate is a motor from the shelf tried for a machine's jobs on the control that suits it best
// and the best single ratio there is.
type Candidate struct {
	ID        string             `json:"id" doc:"Of the part on the shelf; empty for the plan's own motor"`
	Name      string             `json:"name"`
	Kind      motor.Kind         `json:"kind"`
	KindName  string             `json:"kindName"`
	Tried     bool               `json:"tried" doc:"False when it cannot be tried; missing says why"`
	Control   control.Kind       `json:"control"`
	ControlBy string             `json:"controlBy" doc:"The control in words, and where it comes from"`
	Ratio     string             `json:"ratio"`
	RatioOf   float64            `json:"ratioOf" doc:"Motor output turns to one of the spindle"`
	JobsDone  int                `json:"jobsDone"`
	Jobs      []line.JobOutcome  `json:"jobs" nullable:"false"`
	Worst     string             `json:"worst" doc:"The job with least margin"`
	Margin    float64            `json:"margin" doc:"Its margin"`
	LimitedBy motor.Limit        `json:"limitedBy"`
	Heat      float64            `json:"heat" doc:"How much of what it can shed all day the hardest job asks, a share; 0 when not known"`
	Spread    float64            `json:"spread" doc:"How far off its torque may be, a share"`
	Cost      string             `json:"cost" doc:"Motor and a control from the shelf, with its currency; empty unless both have one"`
	Effort    []string           `json:"effort" nullable:"false" doc:"What must be made, bought or found out"`
	Against   []string           `json:"against" nullable:"false" doc:"What speaks against it for this machine's duty"`
	Missing   []string           `json:"missing" nullable:"false" doc:"What must be read or measured before it can be tried"`
	Uses      *control.Described `json:"uses,omitempty" doc:"The control it was tried on"`
	Motor     motor.Described    `json:"motor"`
	SameRatio []line.CurvePoint  `json:"sameRatio" nullable:"false" doc:"All-day torque at the spindle through the plan's own ratio"`
	SameTop   []line.CurvePoint  `json:"sameTop" nullable:"false" doc:"The same geared to reach the fastest job's speed and no more"`

	model       *line.Model
	score       float64
	price       shelf.Money // of both; unknown unless both have one
	from        string      // where the control comes from
	ControlItem *shelf.Item // the control, when it is on the shelf
}

// Ranking is the shelf's motors for a machine's jobs, best first.
type Ranking struct {
	Candidates []Candidate `json:"candidates" nullable:"false"`
	Why        []string    `json:"why" nullable:"false" doc:"Why the top one, in at most two lines"`
	TopRPM     float64     `json:"topRpm" doc:"Speed that sameTop is geared to"`
	PlanRatio  string      `json:"planRatio"`
	Units      q.Units     `json:"units"`
}

// Rank tries the plan's own motor and every motor on the shelf for the machine's jobs: on each
// control that suits it and the supply, at the best single ratio. The error is
// quantity.FieldErrors when an entry cannot be used or the input is past what is taken at once.
func Motors(in plan.Input) (Ranking, error) {
	s, err := plan.Resolve(in)
	if err == nil {
		err = s.Usable()
	}
	if err != nil {
		return Ranking{}, err
	}
	r := Ranking{Candidates: []Candidate{}, Why: []string{}, Units: q.UnitsOf(in.Units),
		TopRPM: q.Rounded(s.Machine.FastestWanted() / q.RPM)}
	if ps := s.Reduction.Positions; len(ps) > 0 {
		r.PlanRatio = q.Ratio(ps[0].Ratio)
	}
	c := &comparison{in: in, stations: s}
	if in.Plan.Motor.Kind != "" {
		r.Candidates = append(r.Candidates, c.try(shelf.Item{Sort: shelf.Motor, Motor: in.Plan.Motor}))
	}
	for _, item := range in.Shelf {
		if item.Is(shelf.Motor) && item.State != "for-parts" && !reflect.DeepEqual(item.Motor, in.Plan.Motor) {
			r.Candidates = append(r.Candidates, c.try(item))
		}
	}
	sort.SliceStable(r.Candidates, func(i, k int) bool { return r.Candidates[i].beats(r.Candidates[k]) })
	r.Why = why(r.Candidates, len(s.Machine.Jobs))
	return r, nil
}

// beats puts more jobs done first, then what the machine's duty has less against, then the larger worst margin
// against what is wanted, then the motor that is better known, then the cheaper.
func (c Candidate) beats(o Candidate) bool {
	switch {
	case c.Tried != o.Tried:
		return c.Tried
	case c.JobsDone != o.JobsDone:
		return c.JobsDone > o.JobsDone
	case len(c.Against) != len(o.Against):
		return len(c.Against) < len(o.Against)
	case math.Abs(c.score-o.score) > 0.02*max(c.score, o.score):
		return c.score > o.score
	case c.Spread != o.Spread:
		return c.Spread < o.Spread
	case c.bulk() != o.bulk() && c.bulk() > 0 && o.bulk() > 0:
		return c.bulk() > o.bulk() // of one plate the larger body stays cooler
	}
	return c.price.Known && (!o.price.Known || c.price.Beside(o.price) && c.price.Amount < o.price.Amount)
}

// bulk is the space its body takes, m³; 0 where it was not measured.
func (c *Candidate) bulk() float64 {
	if c.model == nil {
		return 0
	}
	return c.model.Motor.Body.Diameter * c.model.Motor.Body.Diameter * c.model.Motor.Body.Length
}

// cost adds up motor and control where both have a cost.
func (c *Candidate) cost(item shelf.Item) {
	price := item.Price()
	if item.ID == "" {
		price = shelf.Money{Known: true}
	}
	switch c.from {
	case shelved:
		price = price.And(c.ControlItem.Price())
	case toBuy:
		price = shelf.Money{}
	}
	c.price = price
	if price.Amount > 0 {
		c.Cost = price.String()
	}
}

// why says in at most two lines what puts the top one first.
func why(list []Candidate, jobs int) []string {
	out := []string{}
	if len(list) == 0 || !list[0].Tried || jobs == 0 {
		return out
	}
	top := list[0]
	first := fmt.Sprintf("%s does %s at %s", top.Name, words.Jobs(top.JobsDone, jobs), top.Ratio)
	if top.Worst != "" {
		first += fmt.Sprintf("; its tightest is %s at ×%s, held by %s", top.Worst, q.Figures(top.Margin, 3),
			top.LimitedBy)
	}
	out = append(out, first+".")
	if len(list) < 2 || !list[1].Tried {
		return out
	}
	second := list[1]
	switch {
	case top.JobsDone > second.JobsDone:
		out = append(out, fmt.Sprintf("%s, next, does %s.", second.Name, words.Count(second.JobsDone)))
	case len(top.Against) < len(second.Against):
		out = append(out, fmt.Sprintf("%s, next, does as many, but %s.", second.Name, words.List(second.Against)))
	case second.Margin > 0 && top.Margin > second.Margin*1.02:
		out = append(out, fmt.Sprintf("%s, next, does as many with less to spare: ×%s on %s.", second.Name,
			q.Figures(second.Margin, 3), second.Worst))
	case top.Spread < second.Spread:
		out = append(out, fmt.Sprintf("%s would do as well, but may be out by %s.", second.Name,
			q.Percent(second.Spread)))
	case top.price.Known && second.price.Known && top.price.Beside(second.price) &&
		top.price.Amount < second.price.Amount:
		out = append(out, fmt.Sprintf("%s would do as well and costs %s more.", second.Name,
			shelf.Money{Amount: second.price.Amount - top.price.Amount, Mark: second.price.Mark, Known: true}))
	default:
		out = append(out, fmt.Sprintf("%s is about as good.", second.Name))
	}
	return out
}

// BestOf is the best of the plan's own motor and the shelf's whose kind is of a sort; false when none of
// them can be tried.
func BestOf(in plan.Input, s plan.Stations, sort func(motor.Kind) bool) (best Candidate, ok bool) {
	c := &comparison{in: in, stations: s}
	consider := func(item shelf.Item) {
		if m := motor.Resolve(item.Motor, q.NewReader("")); !sort(m.Kind) || !m.Ready() {
			return
		}
		if one := c.try(item); one.Tried && (!ok || one.beats(best)) {
			best, ok = one, true
		}
	}
	consider(shelf.Item{Sort: shelf.Motor, Motor: in.Plan.Motor})
	for _, item := range in.Shelf {
		if item.Is(shelf.Motor) && item.State != "for-parts" {
			consider(item)
		}
	}
	return best, ok
}
