// Package trial works out what was measured on the bench: what each kind of trial comes to with its spread, what the
// plan reckons for the same, the difference by name, what to read next, and the change to the plan that lets the
// measurement in.
package trial

import (
	"math"
	"slices"

	"gonum.org/v1/gonum/stat/distuv"

	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/line"
	m "jiriki/core/measured"
	"jiriki/core/motor"
	"jiriki/core/numeric"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/script"
	"jiriki/core/source"
	"jiriki/core/supply"
	"jiriki/core/working"
)

// Answer is what a trial comes to.
type Answer struct {
	Kind        m.Kind         `json:"kind"`
	Enough      bool           `json:"enough" doc:"There are readings enough to work it out"`
	Headline    string         `json:"headline" doc:"What it comes to, or what is still wanted"`
	Figures     []Figure       `json:"figures" nullable:"false"`
	Said        []Said         `json:"said" nullable:"false" doc:"Most serious first"`
	Curve       Curve          `json:"curve"`
	Next        Next           `json:"next"`
	Correction  *Correction    `json:"correction,omitempty" doc:"The change that lets it into the plan"`
	WhyNone     string         `json:"whyNone" doc:"Why there is no such change, where there is none"`
	Reckons     bool           `json:"reckons" doc:"The plan runs, so that something could be reckoned"`
	Contradicts bool           `json:"contradicts" doc:"What was read cannot be: nothing is made of it"`
	Entries     []q.FieldError `json:"entries" nullable:"false" doc:"Entries of the trial that cannot be used; the rest was worked out"`
}

// Figure is one thing found, beside what the plan reckons.
type Figure struct {
	Name     string          `json:"name"`
	Value    string          `json:"value" doc:"As measured, with its unit"`
	Spread   string          `json:"spread" doc:"How far it may be out nine times in ten, such as ± 6 rpm; empty for what is exact"`
	Reckoned string          `json:"reckoned" doc:"What the plan makes of it; empty where it makes nothing"`
	Off      string          `json:"off" doc:"Measured against reckoned, such as +4 %"`
	Measured float64         `json:"measured" doc:"SI"`
	Within   float64         `json:"within" doc:"Nine times in ten it is no further out than this, SI"`
	Expected float64         `json:"expected" doc:"SI; 0 where nothing is reckoned"`
	Working  working.Working `json:"working"`
}

// Said is one sentence of what a trial found.
type Said struct {
	Difference Difference `json:"difference"`
	Level      f.Level    `json:"level" enum:"stop,missing,caution,good"`
	Title      string     `json:"title"`
	Detail     string     `json:"detail"`
}

// Next is the reading that would tell most now.
type Next struct {
	Text string `json:"text" doc:"What to read; empty where nothing more is needed"`
	Why  string `json:"why"`
	At   string `json:"at" doc:"What to put in the column that is chosen, as typed; empty for none"`
}

// Correction is one change of the plan: whichever part is set takes the place of the plan's when the person takes it.
type Correction struct {
	Label     string               `json:"label" doc:"Short enough for a button"`
	Detail    string               `json:"detail" doc:"What changes, and what is kept beside it"`
	Control   *control.Described   `json:"control,omitempty"`
	Motor     *motor.Described     `json:"motor,omitempty"`
	Reduction *reduction.Described `json:"reduction,omitempty"`
	Supply    *supply.Described    `json:"supply,omitempty"`
	Script    *script.Described    `json:"script,omitempty"`
	Checks    []plan.Check         `json:"checks,omitempty"`
}

// Difference names what sets the measurement apart from the reckoning.
type Difference string

// The differences there are.
const (
	AsReckoned  Difference = "as-reckoned"
	Lags        Difference = "lags"          // it starts later than it stops
	DeadBand    Difference = "dead-band"     // the knob does nothing at its low end
	Backwards   Difference = "backwards"     // and the wrong way round
	SlowEnd     Difference = "slow-end"      // it does not go as slow as reckoned
	TopSpeed    Difference = "top-speed"     // or as fast, or faster
	Bent        Difference = "bent"          // speed does not go in proportion to the knob
	PastLimit   Difference = "past-limit"    // faster than the machine may turn
	TooFast     Difference = "too-fast"      // faster than reckoned
	TooSlow     Difference = "too-slow"      // slower
	CountsTwice Difference = "counts-twice"  // a pick-up sees two marks in a turn, or every other
	Slips       Difference = "slips"         // more than a belt should
	WrongWheel  Difference = "wrong-wheel"   // no slip makes such a ratio
	Scattered   Difference = "scattered"     // the readings do not agree with each other
	OneSpeed    Difference = "one-speed"     // only one true speed fits
	ManySpeeds  Difference = "many-speeds"   // several true speeds fit
	NoSpeed     Difference = "no-speed"      // none does
	Stiffer     Difference = "stiffer"       // it takes more to turn than reckoned
	Easier      Difference = "easier"        // or less
	NotSquare   Difference = "not-square"    // the pull was not square to its radius
	Heavier     Difference = "heavier"       // more inertia
	Lighter     Difference = "lighter"       // less
	RampSetsIt  Difference = "ramp-sets-it"  // the drive's ramp decides, not the inertia
	WeakMotor   Difference = "weak-motor"    // less torque for its amps
	StrongMotor Difference = "strong-motor"  // more
	Hotter      Difference = "hotter"        // settles hotter
	Cooler      Difference = "cooler"        // settles cooler
	PastClass   Difference = "past-class"    // hotter than its insulation bears
	Overloaded  Difference = "overloaded"    // slips more than at its rated load
	Poles       Difference = "poles"         // not the poles it was taken for
	SoftSupply  Difference = "soft-supply"   // sags more than reckoned
	StiffSupply Difference = "stiff-supply"  // sags less
	LowOhms     Difference = "low-ohms"      // insulation
	Sound       Difference = "sound"         // insulation again
	NotStarting Difference = "not-starting"  // some capacitor leaves it standing
	LowVolts    Difference = "low-volts"     // a capacitor marked for too few
	ClutchSlips Difference = "clutch-slips"  //
	OneRating   Difference = "one-rating"    // of a coil
	ManyRatings Difference = "many-ratings"  //
	NeverActed  Difference = "never-acted"   //
	LeadsUntold Difference = "leads-untold"  // nobody said what the meter's own leads read
	OpenCircuit Difference = "open-circuit"  // more ohms than a sound winding has
	Swapped     Difference = "swapped"       // two columns, or two leads
	TooFewVolts Difference = "too-few-volts" // a tester that tests nothing
	HeldTooLong Difference = "held-too-long" // a coil given more than it bears
)

// within is what a standard deviation is widened by so that nine times in ten the truth lies inside; dof is how many
// readings told the deviation itself, 0 where it comes from the instrument.
func within(sigma float64, dof int) float64 {
	if dof <= 0 {
		return sigma * distuv.UnitNormal.Quantile(0.95)
	}
	return sigma * distuv.StudentsT{Nu: float64(dof), Sigma: 1}.Quantile(0.95)
}

// spreadIn is a standard deviation out of a fit so widened.
func spreadIn(fit *numeric.Fitted, sigma float64) float64 { return within(sigma, fit.Degrees()) }

// evaluator works one trial out.
type evaluator struct {
	m.Resolved
	in      plan.Input
	index   int
	written *m.Trial
	sys     q.System
	out     *Answer

	model    *line.Model // nil where the plan does not run
	stations *plan.Stations
	position *reduction.Position // the trial's, or the first; nil where there is none
	turns    float64             // of the rotor to one of the spindle; 0 where not known
}

// Of works out one of a plan's trials, by its place in the list. The error is quantity.FieldErrors when the input is
// past what is taken at once, or has no such trial.
func Of(in plan.Input, index int) (Answer, error) {
	out := Answer{Figures: []Figure{}, Said: []Said{}, Entries: []q.FieldError{}, Curve: emptyCurve()}
	if index < 0 || index >= len(in.Plan.Trials) {
		return out, q.FieldErrors{{Field: "trials", Message: "there is no such trial"}}
	}
	s, err := plan.Resolve(in)
	if err != nil {
		return out, err
	}
	written := in.Plan.Trials[index].Whole()
	r := q.NewReader("")
	e := &evaluator{in: in, index: index, written: &written, sys: in.Units, out: &out,
		Resolved: m.Resolve(written, r.At("trials", index))}
	if refused, ok := r.Err().(q.FieldErrors); ok {
		out.Entries = refused
	}
	out.Kind = written.Kind
	e.meet(s)
	work, known := works[written.Kind]
	if !known {
		out.Headline = "Choose what is measured."
		return out, nil
	}
	work(e)
	e.finish()
	return out, nil
}

// meet joins the plan into the model that is asked for what to expect.
func (e *evaluator) meet(s plan.Stations) {
	e.stations = &s
	t := line.New(s)
	e.stations = &t.Stations
	if len(t.Reduction.Positions) > 0 {
		e.position = &t.Reduction.Positions[0]
		for i := range t.Reduction.Positions {
			if p := &t.Reduction.Positions[i]; p.Label == e.Position {
				e.position = p
			}
		}
		e.turns = e.position.Ratio * max(t.Motor.Gear.Ratio, 1)
	}
	if t.Runs && e.position != nil && len(s.Unusable()) == 0 {
		e.model, e.out.Reckons = t, true
		if share, ok := t.Powered.SetForHertz(e.Asked.SI); ok && e.Asked.Known {
			e.Command = q.Value{SI: share, Known: true}
		}
	}
}

// works are the kinds, each with what works it out.
var works map[m.Kind]func(*evaluator)

func init() {
	works = map[m.Kind]func(*evaluator){
		m.Speed: speedTrial, m.Knob: knobTrial, m.Ratio: ratioTrial, m.Strobe: strobeTrial, m.Ear: earTrial,
		m.Pull: pullTrial, m.Brake: brakeTrial, m.RunUpDown: runDownTrial, m.VoltsUp: voltsUpTrial,
		m.Clutch: clutchTrial, m.Capacitors: capacitorTrial, m.WarmUp: warmUpTrial, m.Open: constantsTrial,
		m.Ohms: constantsTrial, m.FreeRun: constantsTrial, m.LockedAt: constantsTrial, m.Slip: slipTrial,
		m.Sag: sagTrial, m.Insulation: insulationTrial,
	}
}

// wants ends a trial that has not readings enough.
func (e *evaluator) wants(headline, next, why string) {
	e.out.Headline, e.out.Next = headline, Next{Text: next, Why: why}
}

// say adds what was found.
func (e *evaluator) say(d Difference, level f.Level, title, detail string) {
	e.out.Said = append(e.out.Said, Said{d, level, title, detail})
}

// said reports whether a difference was said.
func (e *evaluator) said(d Difference) bool {
	return slices.ContainsFunc(e.out.Said, func(one Said) bool { return one.Difference == d })
}

// finish sorts what was said, and gives the trial a headline of its worst where it has none.
func (e *evaluator) finish() {
	sortSaid(e.out.Said)
	if e.out.Contradicts {
		e.refuse()
		return
	}
	if e.out.Headline == "" && len(e.out.Said) > 0 {
		e.out.Headline = e.out.Said[0].Title + "."
	}
	if !e.out.Enough {
		e.out.Correction = nil
	}
	if e.out.Correction != nil {
		e.out.WhyNone = ""
	}
}

// found adds a figure; expected is NaN where the plan reckons nothing, sigma what the figure's own working says of how
// far out it may be.
func (e *evaluator) found(name string, v, spread, expected float64, d q.Dimension, formula, put string,
	src *source.Source, assumes ...string,
) {
	show := func(v float64) string { return e.show(v, d) }
	if d == q.Temperature {
		// What two temperatures differ by has no zero of its own, and no share of one.
		rise := func(v float64) string { return q.ShowFigures(v, q.Rise, e.sys, 2) }
		e.put(name, v, spread, expected, ways{show, rise, func(v, expected float64) string {
			if math.Abs(v-expected) < 0.5 {
				return "the same"
			}
			return sign(v-expected) + rise(math.Abs(v-expected))
		}}, formula, put, src, assumes)
		return
	}
	coarse := func(v float64) string { return q.ShowFigures(v, d, e.sys, 2) }
	e.put(name, v, spread, expected, ways{show, coarse, shareOff}, formula, put, src, assumes)
}

// foundBy is found with a way of writing of its own.
func (e *evaluator) foundBy(name string, v, spread, expected float64, show func(float64) string, formula, put string,
	src *source.Source, assumes ...string,
) {
	e.put(name, v, spread, expected, ways{show, show, shareOff}, formula, put, src, assumes)
}

// foundShare is found of a share, which is off by so many points and not by a share of itself.
func (e *evaluator) foundShare(name string, v, spread, expected float64, formula, put string, src *source.Source,
	assumes ...string,
) {
	e.put(name, v, spread, expected, ways{q.Percent, q.Percent, func(float64, float64) string { return "" }}, formula,
		put,
		src, assumes)
}

// foundRatio is found of a ratio of two speeds.
func (e *evaluator) foundRatio(name string, v, spread, expected float64, formula, put string, src *source.Source,
	assumes ...string,
) {
	e.put(name, v, spread, expected, ways{q.Ratio, func(v float64) string { return q.Figures(v, 2) }, shareOff},
		formula, put,
		src, assumes)
}

// ways are how a figure is written: itself, how far out it may be, and how far it is from what is expected.
type ways struct {
	value, spread func(float64) string
	off           func(v, expected float64) string
}

func shareOff(v, expected float64) string {
	if off := v/expected - 1; expected != 0 && math.Abs(off) < 10 {
		return signed(off)
	}
	return ""
}

func (e *evaluator) put(name string, v, spread, expected float64, w ways, formula, put string, src *source.Source,
	assumes []string,
) {
	one := Figure{Name: name, Value: w.value(v), Measured: finite(v), Within: finite(spread),
		Working: working.Derive(working.Trial.Of(name), name, w.value(v), formula, put, src, assumes...)}
	one.Working.Standing = working.Measured
	if spread > 0 && !math.IsInf(spread, 0) {
		one.Spread = "± " + w.spread(round2(spread))
	}
	if !math.IsNaN(expected) && !math.IsInf(expected, 0) {
		one.Expected, one.Reckoned, one.Off = expected, w.value(expected), w.off(v, expected)
	}
	e.out.Figures = append(e.out.Figures, one)
}

func sign(v float64) string {
	if v < 0 {
		return "−"
	}
	return "+"
}

// none is the expectation of a plan that makes none.
var none = math.NaN()

// agrees reports whether a measurement is within its own spread of what is expected, or within share of it: what an
// instrument and a plate are trusted to.
func agrees(v, spread, expected, share float64) bool {
	return math.Abs(v-expected) <= max(spread, share*math.Abs(expected))
}

func finite(v float64) float64 {
	if math.IsNaN(v) || math.IsInf(v, 0) {
		return 0
	}
	return v
}

func round2(v float64) float64 {
	if v == 0 {
		return 0
	}
	scale := math.Pow(10, 1-math.Floor(math.Log10(math.Abs(v))))
	return math.Round(v*scale) / scale
}

// signed writes a share with its sign: "+4 %", "−12 %".
func signed(share float64) string {
	text := q.Figures(math.Abs(share)*100, 2) + q.ThinSpace + "%"
	switch {
	case math.Abs(share) < 5e-4:
		return "the same"
	case share < 0:
		return "−" + text
	}
	return "+" + text
}

func (e *evaluator) show(v float64, d q.Dimension) string { return q.Show(v, d, e.sys) }
