package line

import (
	"fmt"
	"math"
	"reflect"
	"sort"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// Contender is a motor from the shelf tried for a machine's jobs on the control that suits it best
// and the best single ratio there is.
type Contender struct {
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
	Jobs      []ContenderJob     `json:"jobs" nullable:"false"`
	Worst     string             `json:"worst" doc:"The job with least margin"`
	Margin    float64            `json:"margin" doc:"Its margin"`
	HeldBy    motor.Bound        `json:"heldBy"`
	Heat      float64            `json:"heat" doc:"How much of what it can shed all day the hardest job asks, a share; 0 when not known"`
	Spread    float64            `json:"spread" doc:"How far off its torque may be, a share"`
	Cost      float64            `json:"cost" doc:"Motor and a control from the shelf, in the money they were typed in"`
	Costed    bool               `json:"costed" doc:"Both have a cost"`
	Effort    []string           `json:"effort" nullable:"false" doc:"What must be made, bought or found out"`
	Missing   []string           `json:"missing" nullable:"false" doc:"What must be read or measured before it can be tried"`
	Uses      *control.Described `json:"uses,omitempty" doc:"The control it was tried on"`
	Motor     motor.Described    `json:"motor"`
	SameRatio []CurvePoint       `json:"sameRatio" nullable:"false" doc:"All-day torque at the spindle through the plan's own ratio"`
	SameTop   []CurvePoint       `json:"sameTop" nullable:"false" doc:"The same geared to reach the fastest job's speed and no more"`

	train *train
	score float64
	from  string      // where the control comes from
	drive *shelf.Item // the control, when it is on the shelf
}

// ContenderJob is how one job fares with a contender.
type ContenderJob struct {
	Name    string  `json:"name"`
	Outcome outcome `json:"outcome" enum:"does,just,short,too-slow,too-fast,cannot-tell"`
	Margin  string  `json:"margin"`
}

// CurvePoint is a torque at a spindle speed.
type CurvePoint struct {
	RPM    float64 `json:"rpm"`
	Torque float64 `json:"torque" doc:"N·m"`
}

// Ranking is the shelf's motors for a machine's jobs, best first.
type Ranking struct {
	Contenders []Contender `json:"contenders" nullable:"false"`
	Why        []string    `json:"why" nullable:"false" doc:"Why the top one, in at most two lines"`
	TopRPM     float64     `json:"topRpm" doc:"Speed that sameTop is geared to"`
	PlanRatio  string      `json:"planRatio"`
	Units      Units       `json:"units"`
}

// The ratios tried: geometric steps over what one to three stages reach, then finer about the best.
const (
	leastRatio, mostRatio = 0.2, 300.0
	coarseRatios          = 40
	fineRatios            = 8
	curvePoints           = 40
	contenderKeeps        = 0.93 // what one belt or two keep, where the plan has no reduction [common practice]
)

// Rank tries the plan's own motor and every motor on the shelf for the machine's jobs: on each
// control that suits it and the supply, at the best single ratio. The error is
// quantity.FieldErrors when a field of machine or supply cannot be used.
func Rank(in Input) (Ranking, error) {
	s, err := resolve(in)
	if err != nil {
		return Ranking{}, err
	}
	r := Ranking{Contenders: []Contender{}, Why: []string{}, Units: units(in.Units), TopRPM: tidy(fastestWanted(s) / q.RPM)}
	if ps := s.reduction.Positions; len(ps) > 0 {
		r.PlanRatio = ratioText(ps[0].Ratio)
	}
	c := &contest{in: in, s: s}
	if in.Plan.Motor.Kind != "" {
		r.Contenders = append(r.Contenders, c.contend(shelf.Item{Sort: shelf.Motor, Motor: in.Plan.Motor}))
	}
	for _, item := range in.Shelf {
		if item.Is(shelf.Motor) && item.State != "for-parts" && !reflect.DeepEqual(item.Motor, in.Plan.Motor) {
			r.Contenders = append(r.Contenders, c.contend(item))
		}
	}
	sort.SliceStable(r.Contenders, func(i, k int) bool { return r.Contenders[i].beats(r.Contenders[k]) })
	r.Why = why(r.Contenders, len(s.machine.Jobs))
	return r, nil
}

// fastestWanted is the fastest speed a job asks for, within the machine's limit; rad/s.
func fastestWanted(s stations) float64 {
	fastest := 0.0
	for _, job := range s.machine.Jobs {
		if job.Missing == "" {
			fastest = math.Max(fastest, job.High)
		}
	}
	limit, _ := s.machine.TopSpeed()
	return math.Min(fastest, limit)
}

// contest tries motors against one machine.
type contest struct {
	in Input
	s  stations
}

// beats puts more jobs done first, then the larger worst margin against what is wanted, then the
// motor that is better known, then the cheaper.
func (c Contender) beats(o Contender) bool {
	switch {
	case c.Tried != o.Tried:
		return c.Tried
	case c.JobsDone != o.JobsDone:
		return c.JobsDone > o.JobsDone
	case math.Abs(c.score-o.score) > 0.02*math.Max(c.score, o.score):
		return c.score > o.score
	case c.Spread != o.Spread:
		return c.Spread < o.Spread
	}
	return c.Costed && (!o.Costed || c.Cost < o.Cost)
}

// contend tries one motor.
func (c *contest) contend(item shelf.Item) Contender {
	reader := q.NewReader("motor")
	m := motor.Resolve(item.Motor, reader)
	out := Contender{
		ID: item.ID, Name: item.Called(), Kind: m.Kind, KindName: m.Kind.Profile().Name, Motor: item.Motor.Whole(), Spread: shownSpread(m.Spread),
		Jobs: []ContenderJob{}, Effort: []string{}, Missing: []string{}, SameRatio: []CurvePoint{}, SameTop: []CurvePoint{},
	}
	if fields, bad := reader.Err().(q.FieldErrors); bad {
		out.Missing = append(out.Missing, "An entry cannot be used: "+fields[0].Error())
		return out
	}
	for _, n := range m.Needs {
		out.Missing = append(out.Missing, n.Title)
	}
	if !m.Ready() {
		return out
	}
	best := c.bestDrive(m)
	if best == nil {
		out.Missing = append(out.Missing, "A control and supply that suit it: "+m.Kind.Profile().Suits)
		return out
	}
	out.take(*best)
	out.price(item)
	c.effort(item, m, &out)
	c.curves(&out)
	return out
}

// driven is a motor on one control at its best ratio.
type driven struct {
	train    *train
	control  control.Described
	from     string // where the control comes from
	item     *shelf.Item
	position reduction.Position
	fares    []fare
	score    float64
	done     int
}

// bestDrive tries each control that suits the motor and the supply.
func (c *contest) bestDrive(m motor.Resolved) *driven {
	var best *driven
	for _, kind := range control.Drives(string(m.Kind)) {
		d := c.drive(m, kind)
		if d == nil {
			continue
		}
		if best == nil || d.beats(*best) {
			best = d
		}
	}
	return best
}

// beats prefers more jobs done, then a control that is on hand, then the larger worst margin.
func (d driven) beats(o driven) bool {
	switch {
	case d.done != o.done:
		return d.done > o.done
	case (d.from == toBuy) != (o.from == toBuy):
		return o.from == toBuy
	}
	return d.score > o.score*1.001
}

// Where a control comes from.
const (
	toBuy   = "to be bought"
	onHand  = "the plan's own"
	shelved = "on the shelf"
	justOn  = "on or off"
)

// drive is the motor on one kind of control: the plan's own where it is of that kind and large
// enough, else one from the shelf, else one to be bought for the motor.
func (c *contest) drive(m motor.Resolved, kind control.Kind) *driven {
	d := &driven{control: control.Described{Kind: kind}, from: toBuy}
	switch plan := c.in.Plan.Control; {
	case plan.Kind == kind && c.fits(plan, m):
		d.control, d.from = plan, onHand
	default:
		for i := range c.in.Shelf {
			item := &c.in.Shelf[i]
			if item.Is(shelf.Control) && item.Control.Kind == kind && item.State != "for-parts" && c.fits(item.Control, m) {
				d.control, d.from, d.item = item.Control, shelved, item
				break
			}
		}
	}
	if kind == control.PhaseAngle || kind == control.Chopper || kind == control.BrushlessDrive || kind == control.Inverter {
		d.control.LimitAmps = typed(1.5*m.Amps.Value, "A")
	}
	if kind == control.Contactor {
		d.from = justOn
	}
	s := c.s
	s.motor, s.control = m, control.Resolve(d.control, q.NewReader(""))
	d.train = newTrain(s)
	if !d.train.runs {
		return nil
	}
	d.seek(c.keeps())
	return d
}

// fits reports whether a control is rated for the motor's amps, or says nothing of them.
func (c *contest) fits(d control.Described, m motor.Resolved) bool {
	r := control.Resolve(d, q.NewReader(""))
	return r.Amps == 0 || r.Amps >= 0.995*m.Amps.Value
}

func (c *contest) keeps() float64 {
	if ps := c.s.reduction.Positions; len(ps) > 0 {
		return ps[0].Keeps
	}
	return contenderKeeps
}

// seek finds the single ratio that does most jobs with the largest worst margin: geometric steps
// over all there is, then finer about the best. A ratio that lets the spindle pass its limit is
// passed over while any keeps it.
func (d *driven) seek(keeps float64) {
	step := math.Pow(mostRatio/leastRatio, 1/float64(coarseRatios-1))
	ratio := leastRatio
	for range coarseRatios {
		d.try(ratio, keeps)
		ratio *= step
	}
	// Where a job's own speeds put the ratio exactly: its top at the motor's top.
	low, high := d.train.model.Span()
	for _, job := range d.train.machine.Jobs {
		if job.Missing == "" {
			d.try(high/job.High, keeps)
			d.try(low/job.Low, keeps)
		}
	}
	if !math.IsInf(d.train.top, 1) {
		d.try(high/d.train.top, keeps)
	}
	centre := d.position.Ratio
	for k := 1; k <= fineRatios; k++ {
		shift := math.Pow(step, float64(k)/fineRatios)
		d.try(centre*shift, keeps)
		d.try(centre/shift, keeps)
	}
}

func (d *driven) try(ratio, keeps float64) {
	if !(ratio >= leastRatio/2 && ratio <= mostRatio*2) {
		return
	}
	p := reduction.Position{Label: "one ratio", Ratio: ratio, Keeps: keeps}
	fares := make([]fare, len(d.train.machine.Jobs))
	done, score := 0, math.Inf(1)
	for i, job := range d.train.machine.Jobs {
		fares[i] = d.train.best(job, []reduction.Position{p})
		if fares[i].outcome.done() {
			done++
		}
		if job.Missing == "" {
			score = math.Min(score, fares[i].worth(job.Margin))
		}
	}
	if _, high := d.train.span(p); high > d.train.top*(1+speedTolerance) {
		score *= 0.5 // held by the trim, if need be
	}
	if math.IsInf(score, 1) {
		score = 0
	}
	if d.fares == nil || done > d.done || done == d.done && score > d.score {
		d.position, d.fares, d.done, d.score = p, fares, done, score
	}
}

// worth is a fare's margin against the one wanted; a band not reached counts by how near it comes.
func (f fare) worth(wanted float64) float64 {
	switch f.outcome {
	case tooSlow, tooFast:
		return 0.01 * math.Min(f.margin/wanted, 1)
	}
	return f.margin / wanted
}

func (c *Contender) take(d driven) {
	c.Tried, c.train, c.score = true, d.train, d.score
	c.Control, c.ControlBy, c.Uses, c.from, c.drive = d.control.Kind, controlNames[d.control.Kind]+", "+d.from, &d.control, d.from, d.item
	if d.item != nil {
		c.ControlBy = d.item.Called() + ", " + shelved
	}
	c.Ratio, c.RatioOf, c.JobsDone = ratioText(d.position.Ratio), tidy(d.position.Ratio), d.done
	worst := math.Inf(1)
	for i, job := range d.train.machine.Jobs {
		f := d.fares[i]
		c.Jobs = append(c.Jobs, ContenderJob{job.Name, f.outcome, marginText(f)})
		if job.Missing != "" {
			continue
		}
		if worth := f.worth(job.Margin); worth < worst {
			worst, c.Worst, c.Margin, c.HeldBy = worth, job.Name, tidy(f.margin), f.held.By
		}
		if job.Duty.Kind == "continuous" {
			if held := d.train.steady(f.omega, 1, d.position); held.Torque > 0 {
				c.Heat = math.Max(c.Heat, tidy(f.needed/held.Torque))
			}
		}
	}
}

// cost adds up motor and control where both have a cost.
func (c *Contender) price(item shelf.Item) {
	price := item.Price()
	if item.ID == "" {
		price = q.Value{Known: true}
	}
	switch c.from {
	case shelved:
		drive := c.drive.Price()
		price = q.Value{SI: price.SI + drive.SI, Known: price.Known && drive.Known}
	case toBuy:
		price.Known = false
	}
	c.Cost, c.Costed = tidy(price.SI), price.Known
}

// effort lists what using the motor would take besides bolting it on.
func (c *contest) effort(item shelf.Item, m motor.Resolved, out *Contender) {
	say := func(words string) { out.Effort = append(out.Effort, words) }
	if out.from == toBuy {
		say("buy a " + noun(controlNames[out.Control]) + " for " + q.Show(m.Amps.Value, q.Current, c.in.Units))
	}
	if old := c.s.motor.Body.Shaft; item.ID != "" && old > 0 && m.Body.Shaft > 0 && math.Abs(old-m.Body.Shaft) > 1e-4 {
		say(fmt.Sprintf("bore or sleeve the pulley: its shaft is %s, the plan's %s", q.Show(m.Body.Shaft, q.Length, c.in.Units), q.Show(old, q.Length, c.in.Units)))
	}
	if old := c.s.motor.Body.Diameter; item.ID != "" && old > 0 && m.Body.Diameter > 1.15*old {
		say(fmt.Sprintf("make room: %s across against %s", q.Show(m.Body.Diameter, q.Length, c.in.Units), q.Show(old, q.Length, c.in.Units)))
	}
	switch item.State {
	case "needs-work":
		say("put it right first")
	case "untested", "":
		if item.ID != "" {
			say("try it on the bench first")
		}
	}
	if m.Thermal == "unknown" {
		say("look for its thermal switch")
	}
	if m.Spread >= 0.1 {
		say("measure it: its torque may be out by " + q.Percent(m.Spread))
	}
	if stages := stagesFor(out.RatioOf); stages > 1 {
		say(fmt.Sprintf("%d stages for %s", stages, out.Ratio))
	}
}

// stagesFor is how many belt stages a ratio usually takes: one reaches about 5 : 1 [common practice].
func stagesFor(ratio float64) int {
	return int(math.Ceil(math.Log(math.Max(ratio, 1/ratio)) / math.Log(5.2)))
}

// curves draws the all-day torque through the plan's ratio and geared to the fastest job's speed.
func (c *contest) curves(out *Contender) {
	if ps := c.s.reduction.Positions; len(ps) > 0 {
		out.SameRatio = out.train.curve(reduction.Position{Ratio: ps[0].Ratio, Keeps: ps[0].Keeps})
	}
	_, high := out.train.model.Span()
	if top := fastestWanted(c.s); top > 0 && high > 0 {
		out.SameTop = out.train.curve(reduction.Position{Ratio: high / top, Keeps: c.keeps()})
	}
}

func (t *train) curve(p reduction.Position) []CurvePoint {
	low, high := t.span(p)
	if !(low > 0 && high >= low) {
		return []CurvePoint{}
	}
	points := make([]CurvePoint, curvePoints)
	for i := range points {
		omega := low * math.Pow(high/low, float64(i)/(curvePoints-1))
		points[i] = CurvePoint{tidy(omega / q.RPM), tidy(t.steady(omega, 1, p).Torque)}
	}
	return points
}

// why says in at most two lines what puts the top one first.
func why(list []Contender, jobs int) []string {
	out := []string{}
	if len(list) == 0 || !list[0].Tried || jobs == 0 {
		return out
	}
	top := list[0]
	first := fmt.Sprintf("%s does %s at %s", top.Name, share(top.JobsDone, jobs), top.Ratio)
	if top.Worst != "" {
		first += fmt.Sprintf("; its tightest is %s at ×%s, held by %s", top.Worst, q.Figures(top.Margin, 3), top.HeldBy)
	}
	out = append(out, first+".")
	if len(list) < 2 || !list[1].Tried {
		return out
	}
	second := list[1]
	switch {
	case top.JobsDone > second.JobsDone:
		out = append(out, fmt.Sprintf("%s, next, does %s.", second.Name, countWord(second.JobsDone)))
	case second.Margin > 0 && top.Margin > second.Margin*1.02:
		out = append(out, fmt.Sprintf("%s, next, does as many with less to spare: ×%s on %s.", second.Name, q.Figures(second.Margin, 3), second.Worst))
	case top.Spread < second.Spread:
		out = append(out, fmt.Sprintf("%s would do as well, but may be out by %s.", second.Name, q.Percent(second.Spread)))
	case top.Costed && second.Costed && top.Cost < second.Cost:
		out = append(out, fmt.Sprintf("%s would do as well and costs %s more.", second.Name, q.Figures(second.Cost-top.Cost, 4)))
	default:
		out = append(out, fmt.Sprintf("%s is about as good.", second.Name))
	}
	return out
}

// share says how many of the jobs are done.
func share(done, jobs int) string {
	switch {
	case jobs == 1 && done == 1:
		return "the job"
	case done == jobs && jobs == 2:
		return "both jobs"
	case done == jobs:
		return "all " + countWord(jobs) + " jobs"
	}
	return countWord(done) + " of " + countWord(jobs) + " jobs"
}

// noun puts a name inside a sentence: its first letter small, unless it is an abbreviation.
func noun(name string) string {
	if len(name) > 1 && name[1] >= 'A' && name[1] <= 'Z' {
		return name
	}
	return lowerFirst(name)
}
