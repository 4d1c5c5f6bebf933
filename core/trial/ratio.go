package trial

import (
	"fmt"
	"math"
	"strings"

	"gonum.org/v1/gonum/stat"

	f "jiriki/core/finding"
	m "jiriki/core/measured"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/source"
)

// slipMost is the most a set of belts slips at work before it is worth a word, and slipLeast what no slip explains: a
// spindle faster than its wheels can turn it.
const (
	slipMost  = 0.045
	slipLeast = -0.008
)

// pairRatio is first over second of readings of two shafts, and how far it may be out.
func (e *evaluator) pairRatio(rows []m.Taken) (ratio, spread float64) {
	logs, off := make([]float64, len(rows)), 0.0
	for i, one := range rows {
		logs[i] = math.Log(one.Speed.SI / one.Second.SI)
		off = max(off, e.pairOff(one))
	}
	mean := stat.Mean(logs, nil)
	// Two readings of one tachometer are off alike; what it shows in steps is not.
	return math.Exp(mean), math.Exp(mean) * spreadOfMean(logs, off)
}

// ratiosDiffer says where pairs of one position and one load disagree by more than two tachometers do.
func (e *evaluator) ratiosDiffer(rows []m.Taken) bool {
	logs, off := make([]float64, len(rows)), 0.0
	for i, one := range rows {
		logs[i] = math.Log(one.Speed.SI / one.Second.SI)
		off = max(off, e.pairOff(one))
	}
	low, high, apart := differs(logs, off)
	if apart {
		e.contradicts(Scattered, fmt.Sprintf("The pairs do not agree: %s and %s", q.Ratio(math.Exp(logs[low])),
			q.Ratio(math.Exp(logs[high]))), fmt.Sprintf("%s and %s of one position cannot both be. Another "+
			"position, a "+
			"pick-up that counts twice, or a slip of the pen.", e.pairsPut(rows[low:low+1]),
			e.pairsPut(rows[high:high+1])))
	}
	return apart
}

// pairOff is one standard deviation of the ratio of a pair, as a share.
func (e *evaluator) pairOff(one m.Taken) float64 {
	return math.Hypot(offBy(one.Speed.SI, tachometerOff, e.stepOf())/one.Speed.SI,
		offBy(one.Second.SI, tachometerOff, e.stepOf())/one.Second.SI)
}

func turning(rows []m.Taken, state m.State) (out []m.Taken) {
	for _, one := range rows {
		if one.Speed.SI > 0 && one.Second.SI > 0 && (state == "" || one.State == state) {
			out = append(out, one)
		}
	}
	return out
}

func second(t *m.Taken) q.Value { return t.Second }

func ratioTrial(e *evaluator) {
	all := turning(e.With(speedOf, second), "")
	if len(all) == 0 {
		e.wants("No pair of speeds is read yet.", "Motor and spindle, one right after the other.", "")
		return
	}
	e.out.Enough = true
	d := e.draw("motor", e.scaleOf(q.Speed), "spindle", e.scaleOf(q.Speed))
	fastest := 0.0
	for _, one := range all {
		d.point(one.Speed.SI, one.Second.SI, 0, string(one.State))
		fastest = max(fastest, one.Speed.SI)
	}
	light := turning(all, m.Free)
	if len(light) == 0 {
		light = all
	}
	if e.ratiosDiffer(light) {
		return
	}
	ratio, spread := e.pairRatio(light)
	expected, unslipped := none, none
	if e.position != nil {
		gear := max(e.stations.Motor.Gear.Ratio, 1)
		expected, unslipped = orElse(e.position.Reckoned, e.position.Ratio)*gear, e.withoutSlip()*gear
		d.out.Reckoned = d.along(0, fastest, func(x float64) float64 { return x / expected })
	}
	e.foundRatio("Ratio", ratio, spread, expected, "i = n_motor / n_spindle", e.pairsPut(light), source.Readings,
		"each speed within 0.5 %")
	e.out.Headline = "The ratio is " + q.Ratio(ratio) + "."
	if math.IsNaN(expected) {
		e.WhyNot("The plan has no reduction yet. Put in a stage with a ratio that is known.")
		return
	}
	if e.swapped(ratio, expected) {
		return
	}
	e.judgeRatio(ratio, spread, expected, unslipped)
	e.loadedSlip(all, light, unslipped)
	e.correctRatio(light, ratio)
	if len(turning(all, m.Loaded)) == 0 {
		e.out.Next = Next{Text: "The same two at work.", Why: "What they are apart by is slip, and slip is heat " +
			"in the belt."}
	}
}

func orElse(v, other float64) float64 {
	if v > 0 {
		return v
	}
	return other
}

// withoutSlip is the ratio its wheels make while nothing slips.
func (e *evaluator) withoutSlip() float64 {
	ratio := orElse(e.position.Reckoned, e.position.Ratio)
	for i, s := range e.stations.Reduction.Stages {
		if e.position.Steps[i] != reduction.Out {
			ratio *= 1 - s.Slip
		}
	}
	return ratio
}

func (e *evaluator) pairsPut(rows []m.Taken) string {
	parts := make([]string, 0, len(rows))
	for i, one := range rows {
		if i == 3 {
			parts = append(parts, fmt.Sprintf("and %d more", len(rows)-3))
			break
		}
		parts = append(parts, e.show(one.Speed.SI, q.Speed)+" / "+e.show(one.Second.SI, q.Speed))
	}
	return strings.Join(parts, ", ")
}

func (e *evaluator) judgeRatio(ratio, spread, expected, unslipped float64) {
	slip, unsure := 1-unslipped/ratio, spread/ratio
	e.foundShare("Slip", slip, unsure, 1-unslipped/expected, "s = 1 − i_wheels / i", fmt.Sprintf("1 − %s / %s",
		q.Figures(unslipped, 4), q.Figures(ratio, 4)), source.Readings)
	switch {
	case slip < slipLeast-unsure || slip > slipMost+unsure:
		e.say(WrongWheel, f.Caution, fmt.Sprintf("The wheels do not make %s", q.Ratio(ratio)),
			e.suspects(ratio/unslipped, slip))
	case math.Abs(ratio/expected-1) <= max(unsure, 0.01):
		e.say(AsReckoned, f.Good, "Ratio is right", fmt.Sprintf("%s measured, %s from the wheels: slip %s.",
			q.Ratio(ratio),
			q.Ratio(expected), q.Percent(max(slip, 0))))
	default:
		e.say(Slips, f.Good, "Ratio is right but for its slip", fmt.Sprintf("%s measured, %s reckoned: slip %s.",
			q.Ratio(ratio),
			q.Ratio(expected), q.Percent(max(slip, 0))))
	}
}

// suspects says what each wheel would have to be if it alone were taken for the wrong size.
func (e *evaluator) suspects(factor, slip float64) string {
	var parts []string
	for i, s := range e.stations.Reduction.Stages {
		step := e.position.Steps[i]
		if step == reduction.Out || s.Kind == reduction.Direct || s.Kind == reduction.Given || step >= len(s.Steps) {
			continue
		}
		one := s.Steps[step]
		if one.Teeth {
			parts = append(parts, fmt.Sprintf("stage %d: %s teeth for %s driving, or %s for %s driven", i+1,
				q.Figures(one.Counts[0]/factor, 3), q.Figures(one.Counts[0], 3), q.Figures(one.Counts[1]*factor, 3),
				q.Figures(one.Counts[1], 3)))
			continue
		}
		driver, driven := one.Driver, one.Driven
		parts = append(parts, fmt.Sprintf("stage %d: %s for %s driving, or %s for %s driven", i+1,
			e.show(driver/factor, q.Length), e.show(driver, q.Length), e.show(driven*factor, q.Length),
			e.show(driven, q.Length)))
	}
	what := "No slip makes it: the spindle goes faster than its wheels can turn it."
	if slip > 0 {
		what = fmt.Sprintf("It would be %s slip, more than a sound belt has.", q.Percent(slip))
	}
	if len(parts) == 0 {
		return what
	}
	return what + " If one wheel was taken for the wrong size, it is " + strings.Join(parts, "; ") + "."
}

// loadedSlip is what is lost between free and at work.
func (e *evaluator) loadedSlip(all, light []m.Taken, unslipped float64) {
	loaded := turning(all, m.Loaded)
	if len(loaded) == 0 {
		return
	}
	ratio, spread := e.pairRatio(loaded)
	free, _ := e.pairRatio(light)
	slip := 1 - unslipped/ratio
	e.foundShare("Slip at work", slip, spread/ratio, none, "s = 1 − i_wheels / i_work", e.pairsPut(loaded),
		source.Readings)
	if slip > slipMost && ratio > free*1.01 {
		e.say(Slips, f.Caution, fmt.Sprintf("It slips by %s at work", q.Percent(slip)),
			"Tighten the belt, clean it of oil, or give it more wrap: what slips heats and wears the belt, and it "+
				"may come off.")
	}
}

func (e *evaluator) correctRatio(light []m.Taken, ratio float64) {
	if len(e.in.Plan.Reduction.Stages) == 0 {
		return
	}
	at := -1
	for i := range e.stations.Reduction.Positions {
		if &e.stations.Reduction.Positions[i] == e.position {
			at = i
		}
	}
	best := light[0]
	for _, one := range light {
		if one.Speed.SI > best.Speed.SI {
			best = one // the faster, the finer
		}
	}
	r := e.in.Plan.Reduction
	r.Speeds = reduction.MeasuredSpeeds{Motor: q.WrittenTo(best.Speed.SI/q.RPM, 5, "rpm"),
		Spindle: q.WrittenTo(best.Speed.SI/ratio/q.RPM, 5, "rpm"), Position: at}
	e.out.Correction = &Correction{Label: "Let the measured ratio rule",
		Detail: "In this position; what the wheels make stays beside it.", Reduction: &r}
}
