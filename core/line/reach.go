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
	Keeps        float64   `json:"keeps"`
	Fixed        bool      `json:"fixed" doc:"Runs near one speed only: the thin band from full load to no load"`
	LowRPM       float64   `json:"lowRpm"`
	HighRPM      float64   `json:"highRpm"`
	RPM          []float32 `json:"rpm" nullable:"false"`
	Continuous   []float32 `json:"continuous" nullable:"false" doc:"N·m for ever"`
	Intermittent []float32 `json:"intermittent" nullable:"false" doc:"N·m for 5 minutes in 15"`
	Peak         []float32 `json:"peak" nullable:"false" doc:"N·m for seconds"`
	Spread       float64   `json:"spread" doc:"How far off the torque may be either way, a share; 0 for a motor that is known"`
	Held         []Holding `json:"held" nullable:"false" doc:"What binds, over which speeds"`
	RunUp        []float32 `json:"runUp" nullable:"false" doc:"On the line: N·m from standstill, at runUpRpm"`
	RunUpRPM     []float32 `json:"runUpRpm" nullable:"false"`
}

// Holding names what binds each limit from one speed on, up to the next Holding.
type Holding struct {
	FromRPM      float64     `json:"fromRpm"`
	Continuous   motor.Bound `json:"continuous"`
	Intermittent motor.Bound `json:"intermittent"`
	Peak         motor.Bound `json:"peak"`
}

// usualBurst is the overload of five minutes in fifteen.
var usualBurst = motor.Overload(5*60, 10*60)

func (t *train) reach() Reach {
	r := Reach{Positions: []PositionReach{}}
	if omega, field := t.Machine.TopSpeed(); field != "" {
		r.TopRPM, r.TopLabel = tidy(omega/q.RPM), "spindle limit"
		if field == "machine.limits.marked" {
			r.TopLabel = "marked limit"
		}
	}
	if !t.runs {
		return r
	}
	points := min(reachPoints, reachPointsAll/max(len(t.Reduction.Positions), 1))
	for i := range t.Reduction.Positions {
		p := &t.Reduction.Positions[i]
		r.Positions = append(r.Positions, t.positionReach(p, points))
	}
	return r
}

func (t *train) positionReach(p *reduction.Position, points int) PositionReach {
	low, high := t.span(p)
	out := PositionReach{
		Label: p.Label, Ratio: tidy(p.Ratio), Keeps: tidy(p.Keeps), Fixed: t.model.FixedSpeed(),
		Spread: shownSpread(t.Motor.Spread), LowRPM: tidy(low / q.RPM), HighRPM: tidy(high / q.RPM), Held: []Holding{}, RunUp: []float32{}, RunUpRPM: []float32{},
		RPM: make([]float32, points), Continuous: make([]float32, points), Intermittent: make([]float32, points), Peak: make([]float32, points),
	}
	step := math.Pow(high/low, 1/float64(points-1))
	omega := low
	for i := range points {
		if i == points-1 {
			omega = high
		}
		c, b, k := t.model.Limits(omega*p.Ratio, usualBurst)
		long, brief := carried(omega, p, 1), carried(omega, p, reduction.OverloadShare)
		c, b, k = at(c, p, long), at(b, p, long), at(k, p, brief)
		out.RPM[i], out.Continuous[i], out.Intermittent[i], out.Peak[i] = float32(omega/q.RPM), float32(c.Torque), float32(b.Torque), float32(k.Torque)
		now := Holding{0, c.By, b.By, k.By}
		if n := len(out.Held); n == 0 || out.Held[n-1].differs(now) {
			now.FromRPM = tidy(omega / q.RPM)
			out.Held = append(out.Held, now)
		}
		omega *= step
	}
	if out.Fixed {
		t.runUp(p, high, &out)
	}
	return out
}

// shownSpread is a spread worth drawing as a band: under a tenth a plate is taken at its word.
func shownSpread(share float64) float64 {
	if share < 0.1 {
		return 0
	}
	return tidy(share)
}

func (h Holding) differs(o Holding) bool {
	return h.Continuous != o.Continuous || h.Intermittent != o.Intermittent || h.Peak != o.Peak
}

// runUp draws a line-fed motor's own curve from near standstill to synchronous.
func (t *train) runUp(p *reduction.Position, high float64, out *PositionReach) {
	const points = 60
	for i := range points {
		omega := high * float64(i+1) / points
		out.RunUpRPM = append(out.RunUpRPM, float32(omega/q.RPM))
		out.RunUp = append(out.RunUp, float32(t.model.RunUp(omega*p.Ratio)*p.Ratio*p.Keeps))
	}
}

// tidy keeps five significant figures, which is finer than any reading; what is not finite is 0.
func tidy(v float64) float64 {
	if v == 0 || math.IsNaN(v) || math.IsInf(v, 0) {
		return 0
	}
	scale := math.Pow10(4 - int(math.Floor(math.Log10(math.Abs(v)))))
	return math.Round(v*scale) / scale
}
