package line

import (
	"math"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

// reachPoints is how many speeds of each position are worked out, and the most in all.
const (
	reachPoints    = 200
	reachPointsAll = 800
)

// Reach is the torque–speed envelope at the spindle. Its slices are of equal length within a
// position, speeds rising; rpm and N·m.
type Reach struct {
	Positions []PositionReach `json:"positions" nullable:"false"`
	TopRPM    float64         `json:"topRpm" doc:"Fastest the machine allows; 0 without a limit"`
	TopLabel  string          `json:"topLabel"`
}

// PositionReach is the reach of one belt or gear setting.
type PositionReach struct {
	Label        string    `json:"label"`
	Ratio        float64   `json:"ratio"`
	Efficiency   float64   `json:"efficiency"`
	Fixed        bool      `json:"fixed" doc:"Runs near one speed only: the thin band from full load to no load"`
	LowRPM       float64   `json:"lowRpm"`
	HighRPM      float64   `json:"highRpm"`
	RPM          []float32 `json:"rpm" nullable:"false"`
	Continuous   []float32 `json:"continuous" nullable:"false" doc:"N·m for ever"`
	Intermittent []float32 `json:"intermittent" nullable:"false" doc:"N·m for 5 minutes in 15"`
	Peak         []float32 `json:"peak" nullable:"false" doc:"N·m for seconds"`
	Spread       float64   `json:"spread" doc:"How far off the torque may be either way, a share; 0 for a motor that is known"`
	Limits       []Binding `json:"limits" nullable:"false" doc:"What binds, over which speeds"`
	RunUp        []float32 `json:"runUp" nullable:"false" doc:"On the line: N·m from standstill, at runUpRpm"`
	RunUpRPM     []float32 `json:"runUpRpm" nullable:"false"`
}

// Binding names what binds each limit from one speed on, up to the next Holding.
type Binding struct {
	FromRPM      float64     `json:"fromRpm"`
	Continuous   motor.Limit `json:"continuous"`
	Intermittent motor.Limit `json:"intermittent"`
	Peak         motor.Limit `json:"peak"`
}

// Burst is the overload of five minutes in fifteen.
func (t *Model) Burst() float64 { return t.Motor.Overload(5*60, 10*60) }

// Reach is the envelope of every position; empty while the plan does not run.
func (t *Model) Reach() Reach {
	r := Reach{Positions: []PositionReach{}}
	if omega, field := t.Machine.TopSpeed(); field != "" {
		r.TopRPM, r.TopLabel = q.Rounded(omega/q.RPM), "spindle limit"
		if field == "machine.limits.marked" {
			r.TopLabel = "marked limit"
		}
	}
	if !t.Runs {
		return r
	}
	points := min(reachPoints, reachPointsAll/max(len(t.Reduction.Positions), 1))
	r.Positions = make([]PositionReach, len(t.Reduction.Positions))
	room := make([]float32, curves*points*len(r.Positions))
	// A ratio only moves speeds and torques, so that what the motor gives is worked out once for every position.
	gives := t.gives(points)
	for i := range r.Positions {
		p := &t.Reduction.Positions[i]
		r.Positions[i] = t.emptyReach(p, points, room[curves*points*i:])
		r.Positions[i].fill(p, gives)
		if r.Positions[i].Fixed {
			t.runUp(p, &r.Positions[i])
		}
	}
	return r
}

// given is what the motor gives at a speed of its output (rad/s): torques (N·m), and what binds there, the same
// for all speeds on end at which the same binds.
type given struct {
	omega                          float64
	continuous, intermittent, peak float64
	by                             *Binding
}

// gives is what the motor gives at so many speeds of its output, each as many times the one before.
func (t *Model) gives(points int) []given {
	out := make([]given, points)
	step := math.Pow(t.fast/t.slow, 1/float64(points-1))
	omega := t.slow
	by, burst := &Binding{}, t.Burst()
	for k := range out {
		if k == points-1 {
			omega = t.fast
		}
		continuous, intermittent, peak := t.Powered.Limits(omega, burst)
		if by.differs(continuous.By, intermittent.By, peak.By) {
			by = &Binding{Continuous: continuous.By, Intermittent: intermittent.By, Peak: peak.By}
		}
		out[k] = given{omega: omega, continuous: continuous.Torque, intermittent: intermittent.Torque,
			peak: peak.Torque, by: by}
		omega *= step
	}
	return out
}

// curves is how many slices of one length a position's reach has.
const curves = 4

// usualBindings is how often what binds usually changes from the slowest speed to the fastest, and once more.
const usualBindings = 4

// emptyReach is a position's reach with its curves of so many points laid out in a room for them.
func (t *Model) emptyReach(p *reduction.Position, points int, room []float32) PositionReach {
	low, high := t.Span(p)
	curve := func(i int) []float32 { return room[i*points : (i+1)*points : (i+1)*points] }
	return PositionReach{
		Label: p.Label, Ratio: q.Rounded(p.Ratio), Efficiency: q.Rounded(p.Efficiency), Fixed: t.Powered.FixedSpeed(),
		Spread: ShownSpread(t.Motor.Spread), LowRPM: q.Rounded(low / q.RPM), HighRPM: q.Rounded(high / q.RPM),
		Limits: make([]Binding, 0, usualBindings), RunUp: []float32{}, RunUpRPM: []float32{},
		RPM: curve(0), Continuous: curve(1), Intermittent: curve(2), Peak: curve(3),
	}
}

// fill sets the curves to what reaches the spindle of what the motor gives.
func (r *PositionReach) fill(p *reduction.Position, gives []given) {
	gain := p.Ratio * p.Efficiency
	var last *Binding // of the speed before, where belts and shafts bear all the motor gives
	for k := range gives {
		m := &gives[k]
		omega := m.omega / p.Ratio
		r.RPM[k] = float32(omega / q.RPM)
		continuous := motor.Limited{Torque: m.continuous * gain, By: m.by.Continuous}
		intermittent := motor.Limited{Torque: m.intermittent * gain, By: m.by.Intermittent}
		peak := motor.Limited{Torque: m.peak * gain, By: m.by.Peak}
		by := m.by
		// continuous ≤ intermittent, so what bears the one bears the other.
		if !p.Surely(intermittent.Torque, omega, 1) {
			continuous, intermittent, by = borne(p, continuous, omega, 1), borne(p, intermittent, omega, 1), nil
		}
		if !p.Surely(peak.Torque, omega, reduction.OverloadShare) {
			peak, by = borne(p, peak, omega, reduction.OverloadShare), nil
		}
		r.Continuous[k], r.Intermittent[k], r.Peak[k] = float32(continuous.Torque), float32(intermittent.Torque),
			float32(peak.Torque)
		if by == nil || by != last {
			r.binds(omega, continuous.By, intermittent.By, peak.By)
		}
		last = by
	}
}

// binds notes what binds from a speed of the spindle (rad/s) on, where that is another than before.
func (r *PositionReach) binds(omega float64, continuous, intermittent, peak motor.Limit) {
	if n := len(r.Limits); n == 0 || r.Limits[n-1].differs(continuous, intermittent, peak) {
		r.Limits = append(r.Limits, Binding{FromRPM: q.Rounded(omega / q.RPM), Continuous: continuous,
			Intermittent: intermittent, Peak: peak})
	}
}

// ShownSpread is a spread worth drawing as a band: under a tenth a plate is taken at its word.
func ShownSpread(share float64) float64 {
	if share < 0.1 {
		return 0
	}
	return q.Rounded(share)
}

func (b *Binding) differs(continuous, intermittent, peak motor.Limit) bool {
	return b.Continuous != continuous || b.Intermittent != intermittent || b.Peak != peak
}

// runUp draws a line-fed motor's own curve from near standstill to synchronous.
func (t *Model) runUp(p *reduction.Position, out *PositionReach) {
	const points = 60
	_, high := t.Span(p)
	for i := range points {
		omega := high * float64(i+1) / points
		out.RunUpRPM = append(out.RunUpRPM, float32(omega/q.RPM))
		out.RunUp = append(out.RunUp, float32(t.Powered.RunUp(omega*p.Ratio)*p.Ratio*p.Efficiency))
	}
}
