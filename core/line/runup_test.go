package line

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/work"
)

// spun is the sound plan with a ring to bring up to speed.
func spun(rotor q.Text) plan.Input {
	in := plantest.Sound()
	in.Plan.Motor.Body.Rotor = rotor
	in.Machine.Jobs[0].Speed = work.SpeedBand{From: "60", To: "300"}
	ring := work.Part{Shape: "ring", Diameter: "0.9 m", Inside: "0.8 m", Mass: "1 kg"}
	in.Machine.Jobs[0].Load = work.Load{By: work.ByInertia, Inertia: work.InertiaLoad{
		Within: "2 s", Friction: "0.5 N·m", Parts: []work.Part{ring},
	}}
	return in
}

// What turns besides the work: the rotor, as many times as the square of its turns, and the wheels. By hand,
// half-filled iron discs 16 mm wide: ½·m·r² is 2.32e-4 kg·m² for 80 mm, which turns 3.5 times as fast, and 0.0348 for
// 280 mm.
func TestRotorAndWheelsTurnToo(t *testing.T) {
	m := modelOf(t, spun("10 kg·cm²"))
	p := &m.Reduction.Positions[0]
	assert.InEpsilon(t, 0.03476+p.Ratio*p.Ratio*2.316e-4, p.Inertia, 2e-3)
	assert.InEpsilon(t, p.Ratio*p.Ratio*1e-3+p.Inertia, m.OwnInertia(p), 1e-12)

	result := m.Best(&m.Machine.Jobs[0], m.Reduction.Positions)
	omega := 300 * q.RPM
	assert.InEpsilon(t, m.OwnInertia(p)*omega/2, result.Own, 1e-9)
	ring := (0.4*0.4 + 0.45*0.45) / 2
	assert.InEpsilon(t, (ring+m.OwnInertia(p))*omega/2+0.5, result.Needed, 1e-6)

	heavy := modelOf(t, spun("400 kg·cm²"))
	slower := heavy.Best(&heavy.Machine.Jobs[0], heavy.Reduction.Positions)
	assert.Less(t, slower.Margin, result.Margin)
	assert.Greater(t, heavy.TimeToSpeed(ring, 0.5, omega*0.7, p), m.TimeToSpeed(ring, 0.5, omega*0.7, p))
	steady := modelOf(t, plantest.Sound())
	assert.Zero(t, steady.Best(&steady.Machine.Jobs[0], steady.Reduction.Positions).Own, "a load held turns nothing up")
}

// Where nobody gave it the rotor goes by its body, half as thick and two fifths as long, of steel; without a body by
// its torque [common practice].
func TestARotorNobodyMeasured(t *testing.T) {
	in := spun("")
	in.Plan.Motor.Body.Diameter, in.Plan.Motor.Body.Length = "102 mm", "215 mm"
	assert.InEpsilon(t, math.Pi/32*7850*0.4*0.215*math.Pow(0.051, 4), modelOf(t, in).Motor.Rotor.Value, 1e-9)
	m := modelOf(t, spun(""))
	assert.InEpsilon(t, 5e-4*m.Motor.Torque.Value, m.Motor.Rotor.Value, 1e-9)
}

// Each kind of wheel has its width, and a belt more adds its groove.
func TestWheelsByTheirKind(t *testing.T) {
	inertia := func(s reduction.DescribedStage) float64 {
		in := plantest.Sound()
		s.Steps = []reduction.DescribedStep{{Driver: "20", Driven: "60"}}
		if !s.Kind.Toothed() {
			s.Steps = []reduction.DescribedStep{{Driver: "80 mm", Driven: "240 mm"}}
		}
		in.Plan.Reduction.Stages = []reduction.DescribedStage{s}
		m := modelOf(t, in)
		require.Len(t, m.Reduction.Positions, 1)
		return m.Reduction.Positions[0].Inertia
	}
	one := inertia(reduction.DescribedStage{Kind: reduction.VBelt})
	assert.InEpsilon(t, 2*one, inertia(reduction.DescribedStage{Kind: reduction.VBelt, Count: "2"}), 1e-9)
	// At one ratio all are as their faces: 16 mm for a V belt, 2.5 mm a rib, what is given for a flat one.
	ribs := inertia(reduction.DescribedStage{Kind: reduction.PolyV, Count: "8"})
	assert.InEpsilon(t, 20.0/16*one, ribs, 0.01)
	assert.InEpsilon(t, 2*inertia(reduction.DescribedStage{Kind: reduction.Flat, Width: "20 mm"}),
		inertia(reduction.DescribedStage{Kind: reduction.Flat, Width: "40 mm"}), 1e-9)
	gears := inertia(reduction.DescribedStage{Kind: reduction.Spur, Pitch: "2 mm"})
	assert.InEpsilon(t, gears, inertia(reduction.DescribedStage{Kind: reduction.Spur, Pitch: "2 mm", Width: "20 mm"}),
		1e-9, "ten modules wide")
	chain := inertia(reduction.DescribedStage{Kind: reduction.Chain, Pitch: "12.7 mm"})
	double := inertia(reduction.DescribedStage{Kind: reduction.Chain, Pitch: "12.7 mm", Count: "2"})
	assert.InEpsilon(t, 2*chain, double, 1e-9)
}
