package reduction

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
)

// Source: AGMA 6034 as in Shigley, sections 13-11 and 15-6, from memory; factors by hand.
func TestWormFactors(t *testing.T) {
	assert.InDelta(t, 720+10.37*8, wormMaterial(2), 1e-9)
	assert.Equal(t, 1000.0, wormMaterial(4))
	assert.InDelta(t, 0.82, wormRatio(20), 1e-9)
	assert.InDelta(t, 0.0107*math.Sqrt(5445), wormRatio(50), 1e-9)
	assert.InDelta(t, 1.1483-0.526, wormRatio(80), 1e-3)
	assert.InDelta(t, 0.659, wormRubbing(0), 1e-9)
	assert.InEpsilon(t, wormRubbing(699), wormRubbing(701), 0.05, "the two forms meet")
	// 43.2·2^1.7 is 140.4 in², at rest 0.13 of it and 100 °F: 1825 ft·lbf/min, 41.2 W.
	assert.InEpsilon(t, 41.2, wormSpill(2*inch, 0), 2e-3)
	assert.InEpsilon(t, 41.2*(1450.0/6494+0.13)/0.13, wormSpill(2*inch, 1450*2*math.Pi/60), 2e-3)
}

// By hand: one start of ten modules of 2 mm on forty teeth. Wheel 80 mm, worm 20 mm, centres 1.9685 in: C_s 799.1, D
// 3.1496 in to the 0.8 is 2.504, face two thirds of 0.7874 in, C_m 0.8174 at 40, C_v 0.659 at rest: 566 lbf.
func TestAWormsWear(t *testing.T) {
	s := resolved(t, DescribedStage{Kind: Worm, Pitch: "2 mm", Steps: pair("1", "40")}).Stages[0]
	pull := s.Steps[0].Pull
	assert.InEpsilon(t, 566*4.4482, pull.Carries(0), 0.01)
	last := math.Inf(1)
	for _, v := range []float64{0, 0.01, 0.05, 0.1, 0.2, 0.5, 1, 2} {
		now := pull.Carries(v)
		assert.LessOrEqual(t, now, last*(1+1e-9), "what it carries never grows with speed")
		assert.Positive(t, now)
		last = now
	}
	// Heat binds at speed: what is lost on the way is what the box sheds.
	v := 1.0
	lost := pull.Carries(v) * v * (1/s.Efficiency - 1)
	assert.LessOrEqual(t, lost, wormSpill(0.05, 2*40/0.08*v)*(1+1e-9))
	narrow := resolved(t, DescribedStage{Kind: Worm, Pitch: "2 mm", Width: "5 mm", Steps: pair("1", "40")}).Stages[0]
	assert.Less(t, narrow.Steps[0].Pull.Carries(0), pull.Carries(0))
}

// Curved flanks carry two and a half times straight ones.
func TestCurvedTeethCarryMore(t *testing.T) {
	belt := DescribedStage{Kind: Toothed, Pitch: "5 mm", Width: "15 mm", Centre: "300 mm", Steps: pair("20", "60")}
	straight := resolved(t, belt).Stages[0].Steps[0].Pull.Carries(0)
	belt.Teeth = "curved"
	assert.InEpsilon(t, 2.5*straight, resolved(t, belt).Stages[0].Steps[0].Pull.Carries(0), 1e-9)
}

// A wheel that stands out bends its shaft: a V belt pulls its shafts together by 1.5 times its effective pull, so at
// 60 mm out with 100 mm of wheel the moment is 1.8 times the torque.
func TestAWheelOutFromItsBearingBendsTheShaft(t *testing.T) {
	stage := DescribedStage{Kind: VBelt, Section: "A", Centre: "400 mm", Steps: pair("80 mm", "100 mm"),
		OnDriven: DescribedFit{Shaft: "20 mm"}}
	s := resolved(t, stage).Stages[0]
	assert.InEpsilon(t, 30, s.Aside(0.1), 1e-9)
	plain := s.OnDriven.Bears(s.Aside(0.1))
	stage.OnDriven.Out = "60 mm"
	s = resolved(t, stage).Stages[0]
	assert.InEpsilon(t, plain/math.Hypot(1.5*1.8, 1), s.OnDriven.Bears(s.Aside(0.1)), 1e-9)
	assert.Zero(t, (&Stage{Kind: Direct}).Aside(0.03))
}
