package line

import (
	"math"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
)

// The ratios tried: geometric steps over what one to three stages reach, then finer about the best.
const (
	leastRatio, mostRatio = 0.2, 300.0
	coarseRatios          = 40
	fineRatios            = 8
	contenderKeeps        = 0.93 // what one belt or two keep, where the plan has no reduction [common practice]
)

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
	switch planned := c.in.Plan.Control; {
	case planned.Kind == kind && c.fits(planned, m):
		d.control, d.from = planned, onHand
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
	s.Motor, s.Control = m, control.Resolve(d.control, q.NewReader(""))
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
	if ps := c.s.Reduction.Positions; len(ps) > 0 {
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
	for _, job := range d.train.Machine.Jobs {
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
	positions := []reduction.Position{p}
	fares := make([]fare, len(d.train.Machine.Jobs))
	done, score := 0, math.Inf(1)
	for i := range d.train.Machine.Jobs {
		job := &d.train.Machine.Jobs[i]
		fares[i] = d.train.best(job, positions)
		if fares[i].outcome.done() {
			done++
		}
		if job.Missing == "" {
			score = math.Min(score, fares[i].worth(job.Margin))
		}
	}
	if _, high := d.train.span(&p); high > d.train.top*(1+speedTolerance) {
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
