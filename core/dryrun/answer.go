// Package dryrun starts a plan's machine, loads it, jams it and stops it before any metal is cut: its script run
// through time on the same model the verdict asks.
package dryrun

import (
	"cmp"
	"errors"
	"math"

	"jiriki/core/assess"
	f "jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/words"
)

// Answer is what a dry run says of a plan.
type Answer struct {
	Script   script.Described  `json:"script" doc:"As it was run: the plan's own, or the usual one for its kind of machine"`
	Usual    bool              `json:"usual" doc:"It was the usual one"`
	Position string            `json:"position" doc:"Of the reduction it was run in"`
	Steps    []int             `json:"steps" nullable:"false" doc:"Step of each of its stages there; -1 for one that is out"`
	Gear     float64           `json:"gear" doc:"Motor turns to one of its output"`
	Hertz    float64           `json:"hertz" doc:"Of the line; 0 for a battery"`
	Pairs    float64           `json:"pairs" doc:"Pairs of poles of an induction motor; 0 for any other"`
	Limit    float64           `json:"limit" doc:"Amps its current is limited to, or its drive is rated for; 0 where nothing holds it"`
	Class    float64           `json:"class" doc:"°C the winding's insulation allows"`
	Runs     bool              `json:"runs" doc:"It could be run"`
	Long     bool              `json:"long" doc:"It takes longer than a keystroke waits for: it was not run, and is to be asked for by itself"`
	Wants    assess.Next       `json:"wants" doc:"What keeps it from being run"`
	Units    q.Units           `json:"units"`
	Headline string            `json:"headline"`
	Trace    Trace             `json:"trace"`
	Events   []Event           `json:"events" nullable:"false"`
	Results  Results           `json:"results"`
	Figures  []Figure          `json:"figures" nullable:"false" doc:"The results as they are read"`
	OnTheDay OnTheDay          `json:"onTheDay"`
	Findings []f.Finding       `json:"findings" nullable:"false" doc:"Most serious first"`
	Fixes    map[f.ID][]Remedy `json:"fixes" doc:"Changes that were run, by finding"`
	Entries  []q.FieldError    `json:"entries" nullable:"false" doc:"Entries that cannot be used; the rest was run without them"`
}

// Event is something that happens in a run, whether asked for or by itself.
type Event struct {
	Seconds float64     `json:"seconds"`
	What    What        `json:"what"`
	Does    script.Does `json:"does" doc:"What the script asked for; empty for what happened by itself"`
	Words   string      `json:"words"`
	Entry   int         `json:"entry" doc:"Which of the script's events it comes from; -1 for none"`
	To      float64     `json:"to" doc:"Seconds at which what came on is off again; 0 where nothing lasts"`
	Bad     bool        `json:"bad" doc:"Nobody wants it"`
}

// stepsAtOnce is how many steps a run may take that a keystroke waits for.
const stepsAtOnce = 8000

// Of runs a plan's script, or says that it takes long. The error is quantity.FieldErrors when the input is past what is
// taken at once.
func Of(in plan.Input) (Answer, error) { return answerOf(in, detail{fine: 1, most: stepsAtOnce}) }

// Whole runs a plan's script, however long it takes. goesOn is told how much of it is done, from 0 to 1, and may stop
// it. The error is [ErrStopped], or as of [Of].
func Whole(in plan.Input, goesOn func(share float64) bool) (Answer, error) {
	return answerOf(in, detail{fine: 1, goesOn: goesOn})
}

func answerOf(in plan.Input, d detail) (Answer, error) {
	out, s, err := prepare(&in)
	if err != nil || s == nil {
		return out, err
	}
	r, err := simulate(newMachine(s, &s.Script), &s.Script, d)
	switch {
	case errors.Is(err, ErrStopped):
		return Answer{}, err
	case errors.Is(err, errNeverEnds) && d.most > 0:
		out.Long = true
		return out, nil
	case err != nil:
		return out, refused(&in)
	}
	out.tell(r, in.Units)
	if !(out.Results.open <= closes) {
		return out, refused(&in)
	}
	out.Fixes = remedies(in, &out)
	return out, nil
}

// Come is what a plan's run comes to, without what might be done about it; false where it cannot be run.
func Come(in plan.Input) (Results, bool) {
	_, t, err := prepare(&in)
	if err != nil || t == nil {
		return Results{Cuts: []Cut{}}, false
	}
	r, err := simulate(newMachine(t, &t.Script), &t.Script, usual)
	if err != nil {
		return Results{Cuts: []Cut{}}, false
	}
	return resultsOf(r), true
}

// refused is a run that cannot be worked out, or whose energy does not close, at the field that is the likeliest cause.
func refused(in *plan.Input) error {
	field, given := "script.inertia", in.Plan.Script.Inertia
	if in.Plan.Motor.Body.Rotor.Known() && !given.Known() {
		field, given = "motor.body.rotor", in.Plan.Motor.Body.Rotor
	}
	return q.FieldErrors{{Field: field, Given: string(given),
		Message: "the run cannot be worked out with this inertia; put in what turns as it was weighed or measured"}}
}

// closes is the share of the energy that moved that may be lost from the books.
const closes = 1e-3

// prepare resolves an input and puts the usual script in place of none. The model is nil where it cannot run, and the
// answer then says what is wanted.
func prepare(in *plan.Input) (Answer, *line.Model, error) {
	out := Answer{Events: []Event{}, Figures: []Figure{}, Findings: []f.Finding{}, Entries: []q.FieldError{},
		Fixes: map[f.ID][]Remedy{}, Script: in.Plan.Script.Whole(), Results: Results{Cuts: []Cut{}},
		Trace: traceOf(nil, MostPoints), Steps: []int{}}
	s, err := plan.Resolve(*in)
	if err != nil {
		return out, nil, err
	}
	t := line.New(s)
	out.Entries = append(out.Entries, s.Entries...)
	if !t.Runs || len(t.Reduction.Positions) == 0 || len(s.Unusable()) > 0 {
		a, err := assess.Assess(*in)
		out.Wants = a.Next
		return out, nil, err
	}
	if len(in.Plan.Script.Events) == 0 {
		out.Usual = true
		out.Script.Events = script.Usual(&t.Machine, t.Powered.FixedSpeed(), in.Units).Events
		t.Script = script.Resolve(out.Script, &t.Machine, q.NewReader("script"))
	}
	return out, t, nil
}

// tell puts a run in an answer.
func (out *Answer) tell(r *run, sys q.System) {
	out.Runs, out.Position, out.Steps = true, r.label, r.position.Steps
	out.Units = q.UnitsOf(sys)
	out.Pairs = r.Motor.Induction.Poles.Value / 2
	if !r.Supply.Battery {
		out.Hertz = r.Supply.Hertz
	}
	out.Gear, out.Class = r.Motor.Gear.Ratio, r.limit
	if amps := min(r.Feed.LimitAmps, r.Feed.PeakAmps); !math.IsInf(amps, 1) {
		out.Limit = amps
	}
	out.judge(r, sys)
	out.Trace = traceOf(r.log.rows, MostPoints)
	out.Events = eventsOf(r, out.Script.Events)
	out.Figures = figuresOf(r, &out.Results, sys)
	out.OnTheDay = onTheDay(r.machine, r.script, sys)
}

// judge puts what a run comes to in an answer, and what is found in it.
func (out *Answer) judge(r *run, sys q.System) {
	out.Results = resultsOf(r)
	out.Findings = findingsOf(r, &out.Results, sys)
	out.Headline = headline(out, sys)
}

// headline is how it went, in a sentence or two: how it starts, and the worst that happens.
func headline(out *Answer, sys q.System) string {
	says := ""
	for _, one := range out.Findings {
		if one.ID == f.DryStarts || one.ID == f.DryNoStart {
			says = words.Sentence(one.Title)
		}
		if one.ID == f.DryNoStart {
			return says
		}
	}
	for _, one := range out.Findings {
		if one.Level == f.Stop && one.ID != f.DryNoStart {
			return says + " " + words.Sentence(one.Title)
		}
	}
	held, cuts := 0, 0
	for _, c := range out.Results.Cuts {
		if cuts++; c.Stalls == 0 && !c.Off && !c.Unknown && c.Holds > 0 {
			held++
		}
	}
	switch {
	case cuts == 0:
		return says
	case held == cuts:
		return says + " Nothing stalls in these " + q.ShowFigures(out.Results.Lasts, q.Duration, sys, 2) + "."
	}
	for _, one := range out.Findings {
		if one.Level == f.Caution || one.Level == f.Missing {
			return says + " " + words.Sentence(one.Title)
		}
	}
	return says
}

// itselfWords are what a run does by itself, as it is told.
var itselfWords = map[What]string{
	Leaves: "starts to turn", Stands: "stands", Slips: "slips", Grips: "takes hold again",
	StartsItself: "starts by itself", WindingOut: "start winding out", WindingIn: "start winding in",
}

// whyWords are what trips, as it is told.
var whyWords = map[Why]string{
	OverAmps: "drive trips, overload", OverVolts: "drive trips, over-volts", BreakerTrip: "breaker trips",
	RelayTrip: "overload relay opens", LostStep: "loses step", BatteryEmpty: "battery used", WindingHot: "protector " +
		"opens",
}

// eventsOf is what happened, in order.
func eventsOf(r *run, written []script.Event) []Event {
	out := []Event{}
	for _, e := range r.log.events {
		one := Event{Seconds: q.Rounded(e.t), What: e.what, Entry: -1}
		switch e.what {
		case Asked:
			if e.e.Ended {
				continue
			}
			one.Words, one.Entry, one.Does = e.e.Says(&r.Machine), e.e.Entry, e.e.Does
			if written := written[e.e.Entry].Speed; e.e.Does == script.Knob && e.e.Name == "" {
				one.Words += " " + cmp.Or(string(written), "full")
			}
		case Trips:
			one.Words, one.Bad = whyWords[e.why], true
		default:
			if one.Words = itselfWords[e.what]; one.Words == "" {
				continue
			}
			one.Bad = e.what == StartsItself || e.what == Slips
		}
		out = append(out, one)
	}
	for i := range out {
		for _, e := range r.script.Events {
			if e.Ended && e.Entry == out[i].Entry {
				out[i].To = e.At
			}
		}
	}
	return out
}
