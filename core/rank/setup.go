package rank

import (
	"math"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// The ratios tried: geometric steps over what one to three stages reach, then finer about the best.
const (
	leastRatio, mostRatio = 0.2, 300.0
	coarseRatios          = 40
	fineRatios            = 8
)

// setup is a motor on one control at its best ratio.
type setup struct {
	model    *line.Model
	control  control.Described
	from     string // where the control comes from
	item     *shelf.Item
	position reduction.Position
	results  []line.Result
	score    float64
	done     int
}

// best tries each control that suits the motor and the supply.
func (c *comparison) best(m motor.Resolved) *setup {
	var best *setup
	for _, kind := range line.Drives(m.Kind) {
		d := c.on(m, kind)
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
func (d setup) beats(o setup) bool {
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

// on is the motor on one kind of control: the plan's own where it is of that kind and large
// enough, else one from the shelf, else one to be bought for the motor.
func (c *comparison) on(m motor.Resolved, kind control.Kind) *setup {
	d := &setup{control: control.Described{Kind: kind}, from: toBuy}
	switch planned := c.in.Plan.Control; {
	case planned.Kind == kind && c.fits(planned, m):
		d.control, d.from = planned, onHand
	default:
		for i := range c.in.Shelf {
			item := &c.in.Shelf[i]
			if item.Is(shelf.Control) && item.Control.Kind == kind && item.State != "for-parts" &&
				c.fits(item.Control,
					m) {
				d.control, d.from, d.item = item.Control, shelved, item
				break
			}
		}
	}
	if kind == control.Contactor {
		d.from = justOn
	}
	s := c.stations
	s.Motor = m
	if kind == control.PhaseAngle || kind == control.Chopper || kind == control.BrushlessDrive ||
		kind == control.Inverter {
		d.control = limited(d.control, s)
	}
	s.Control = control.Resolve(d.control, q.NewReader(""))
	d.model = line.New(s)
	if !d.model.Runs {
		return nil
	}
	d.seek(c.efficiency())
	return d
}

// limited is a control with its current limit where it is usually set for the motor of s.
func limited(d control.Described, s plan.Stations) control.Described {
	s.Control = control.Resolve(d, q.NewReader(""))
	d.LimitAmps = q.Written(line.UsualLimit(&s), "A")
	return d
}

// fits reports whether a control is rated for the motor's amps, or says nothing of them.
func (c *comparison) fits(d control.Described, m motor.Resolved) bool {
	r := control.Resolve(d, q.NewReader(""))
	return r.Amps == 0 || r.Amps >= 0.995*m.Amps.Value
}

func (c *comparison) efficiency() float64 {
	if ps := c.stations.Reduction.Positions; len(ps) > 0 {
		return ps[0].Efficiency
	}
	return line.UsualEfficiency
}

// seek finds the single ratio that does most jobs with the largest worst margin: geometric steps
// over all there is, then finer about the best. A ratio that lets the spindle pass its limit is
// passed over while any keeps it.
func (d *setup) seek(efficiency float64) {
	step := math.Pow(mostRatio/leastRatio, 1/float64(coarseRatios-1))
	ratio := leastRatio
	for range coarseRatios {
		d.try(ratio, efficiency)
		ratio *= step
	}
	// Where a job's own speeds put the ratio exactly: its top at the motor's top.
	low, high := d.model.Powered.Span()
	for _, job := range d.model.Machine.Jobs {
		if job.Missing == "" {
			d.try(high/job.High, efficiency)
			d.try(low/job.Low, efficiency)
		}
	}
	if !math.IsInf(d.model.TopSpeed, 1) {
		d.try(d.model.Powered.Top()/d.model.TopSpeed, efficiency)
	}
	centre := d.position.Ratio
	for k := 1; k <= fineRatios; k++ {
		shift := math.Pow(step, float64(k)/fineRatios)
		d.try(centre*shift, efficiency)
		d.try(centre/shift, efficiency)
	}
}

func (d *setup) try(ratio, efficiency float64) {
	if !(ratio >= leastRatio/2 && ratio <= mostRatio*2) {
		return
	}
	p := reduction.Position{Label: "one ratio", Ratio: ratio, Efficiency: efficiency}
	positions := []reduction.Position{p}
	results := make([]line.Result, len(d.model.Machine.Jobs))
	done, score := 0, math.Inf(1)
	for i := range d.model.Machine.Jobs {
		job := &d.model.Machine.Jobs[i]
		results[i] = d.model.Best(job, positions)
		if results[i].Outcome.Done() {
			done++
		}
		if job.Missing == "" {
			score = min(score, results[i].Worth(job.Margin))
		}
	}
	if d.model.Top(&p) > d.model.TopSpeed*(1+line.SpeedTolerance) {
		score *= 0.5 // held by the trim, if need be
	}
	if math.IsInf(score, 1) {
		score = 0
	}
	if d.results == nil || done > d.done || done == d.done && score > d.score {
		d.position, d.results, d.done, d.score = p, results, done, score
	}
}
