package rank

import (
	"cmp"
	"math"
	"slices"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/words"
)

// ControlTried is one control tried on the plan's motor and reduction.
type ControlTried struct {
	Name      string            `json:"name"`
	Kind      control.Kind      `json:"kind"`
	From      string            `json:"from" doc:"The plan's own, on the shelf, or to be bought"`
	Why       string            `json:"why" doc:"What it does with this motor"`
	Also      bool              `json:"also" doc:"It works, but is not what one would choose"`
	JobsDone  int               `json:"jobsDone"`
	Jobs      []line.JobOutcome `json:"jobs" nullable:"false"`
	Worst     string            `json:"worst"`
	Margin    float64           `json:"margin"`
	LimitedBy motor.Limit       `json:"limitedBy"`
	Speeds    string            `json:"speeds" doc:"Slowest steady and fastest at the spindle"`
	Form      float64           `json:"form" doc:"Form factor: how much more its current heats"`
	Holds     string            `json:"holds" doc:"How the speed holds under load"`
	Cost      string            `json:"cost" doc:"With its currency; empty where none was typed"`
	Curve     []line.CurvePoint `json:"curve" nullable:"false" doc:"All-day torque at the spindle through the plan's first position"`
	Uses      control.Described `json:"uses"`
}

// ControlRefused is one that does not work with the plan's motor on its supply.
type ControlRefused struct {
	Kind control.Kind `json:"kind"`
	Name string       `json:"name"`
	Why  string       `json:"why" doc:"Why not, and what does"`
}

// ControlsTried are the controls that work with the plan's motor, on one reach, and those that do not.
type ControlsTried struct {
	Tried   []ControlTried   `json:"tried" nullable:"false" doc:"Those one would choose first, then by jobs done and worst margin"`
	Refused []ControlRefused `json:"refused" nullable:"false"`
	Units   q.Units          `json:"units"`
}

// Controls tries every control that works with the plan's motor and supply: the plan's own, those on
// the shelf, and one of each sort to be bought for it; the rest it refuses with the reason. The error is
// quantity.FieldErrors when an entry cannot be used or the input is past what is taken at once.
func Controls(in plan.Input) (ControlsTried, error) {
	s, err := plan.Resolve(in)
	if err == nil {
		err = s.Usable()
	}
	if err != nil {
		return ControlsTried{}, err
	}
	out := ControlsTried{Tried: []ControlTried{}, Refused: []ControlRefused{}, Units: q.UnitsOf(in.Units)}
	if !s.Motor.Ready() {
		return out, nil
	}
	usual := line.Drives(s.Motor.Kind)
	for _, profile := range control.Profiles() {
		k := profile.Kind
		s.Control.Kind = k
		if ok, why := line.Suits(&s); !ok {
			out.Refused = append(out.Refused, ControlRefused{Kind: k, Name: profile.Name, Why: why})
			continue
		}
		for _, c := range offersOf(in, k, s.Motor) {
			if tried, ok := tryControl(in, s, c); ok {
				tried.Also = !slices.Contains(usual, k)
				out.Tried = append(out.Tried, tried)
			}
		}
	}
	slices.SortStableFunc(out.Tried, func(a, b ControlTried) int {
		return cmp.Or(cmp.Compare(flag(a.Also), flag(b.Also)), cmp.Compare(b.JobsDone, a.JobsDone),
			cmp.Compare(b.Margin, a.Margin))
	})
	return out, nil
}

func flag(b bool) int {
	if b {
		return 1
	}
	return 0
}

// offer is a control to try, and where it comes from.
type offer struct {
	d    control.Described
	from string
	item *shelf.Item
}

// offersOf are the controls of a kind there are: the plan's, the shelf's, else one to be bought.
func offersOf(in plan.Input, kind control.Kind, m motor.Resolved) []offer {
	var out []offer
	if in.Plan.Control.Kind == kind {
		out = append(out, offer{in.Plan.Control, onHand, nil})
	}
	for i := range in.Shelf {
		item := &in.Shelf[i]
		if item.Is(shelf.Control) && item.Control.Kind == kind && item.State != "for-parts" &&
			item.Control.Name != in.Plan.Control.Name {
			out = append(out, offer{item.Control, shelved, item})
		}
	}
	if len(out) > 0 {
		return out
	}
	d := control.Described{Kind: kind, Fused: true, Enclosed: true, NoVolt: true, ZeroStart: true}
	from := toBuy
	switch kind {
	case control.Contactor:
		from = justOn
	case control.SinglePhaseInverter:
		d.LowHertz = q.Written(line.StartSwitchFloor*m.Hertz.Value, "Hz")
	case control.SeriesResistor:
		// One that halves the speed at rated amps.
		d.Ohms = q.Written(m.Volts.Value/2/m.Amps.Value, "Ω")
	}
	return append(out, offer{d, from, nil})
}

func tryControl(in plan.Input, s plan.Stations, c offer) (ControlTried, bool) {
	if c.from != onHand && c.d.LimitAmps == "" {
		// Another control comes with the limit it would be set to.
		if r := control.Resolve(control.Described{Kind: c.d.Kind}, q.NewReader("")); r.DCDrive() || r.SetsHertz() {
			c.d = limited(c.d, s)
		}
	}
	s.Control = control.Resolve(c.d, q.NewReader(""))
	t := line.New(s)
	if !t.Runs || len(t.Reduction.Positions) == 0 {
		return ControlTried{}, false
	}
	name := words.Named(c.d.Name, c.d.Kind.Profile().Name)
	_, why := line.Suits(&s)
	out := ControlTried{Name: name, Kind: c.d.Kind, From: c.from, Why: why, Jobs: []line.JobOutcome{},
		Form: q.Rounded(t.Feed.FormFactor), Holds: holds(t, in.Units), Uses: c.d.Whole(),
		Curve: t.Curve(&t.Reduction.Positions[0])}
	low, high := math.Inf(1), 0.0
	for i := range t.Reduction.Positions {
		l, h := t.Span(&t.Reduction.Positions[i])
		low, high = min(low, l), max(high, h)
	}
	out.Speeds = q.SpeedRange(low, min(high, t.TopSpeed), in.Units)
	worst := math.Inf(1)
	for i, f := range t.Results() {
		job := &t.Machine.Jobs[i]
		out.Jobs = append(out.Jobs, t.Told(job, f, t.Reduction.Positions))
		if f.Outcome.Done() {
			out.JobsDone++
		}
		if worth := f.Worth(job.Margin); job.Missing == "" && worth < worst {
			worst, out.Worst, out.Margin, out.LimitedBy = worth, job.Name, q.Rounded(f.Margin), f.Available.By
		}
	}
	if c.item != nil {
		out.Cost = c.item.Price().String()
	}
	return out, true
}

// holds says how the speed holds under load: as the control does, but a series motor without a tachometer goes by
// its load whatever feeds it.
func holds(t *line.Model, sys q.System) string {
	if t.Motor.Kind.Family() != motor.SeriesFamily || t.Control.Tacho {
		return t.Control.Kind.Profile().Holds
	}
	light := min(t.Motor.LightSpeed(0.1), t.Powered.RotorTop())
	return "falls from " + q.Show(light, q.Speed, sys) + " lightly loaded to " +
		q.Show(min(t.Motor.LightSpeed(1), light), q.Speed, sys) + " at full load, as a series motor does"
}
