package reduction

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/shaft"
)

// Source: Shigley's Mechanical Engineering Design, table 17-12, from memory: classical A and B belts.
func TestClassicalBeltRatings(t *testing.T) {
	power := func(section string, inches, feet float64) float64 {
		pull := classicalPull(section, inches*inch, 1)
		return pull.Carries(feet*footMinute) * feet * footMinute
	}
	for _, c := range []struct {
		section string
		inches  float64
		fpm     float64
		hp      float64
	}{
		{"A", 2.6, 1000, 0.47}, {"A", 3.0, 3000, 1.12}, {"A", 3.8, 2000, 1.55}, {"A", 4.6, 4000, 2.69}, {"A", 5.0, 5000, 2.89}, {"A", 9.0, 3000, 2.64},
		{"B", 4.2, 1000, 1.07}, {"B", 5.4, 3000, 3.24}, {"B", 7.0, 4000, 5.01},
	} {
		assert.InEpsilon(t, c.hp*horsepower, power(c.section, c.inches, c.fpm), 1e-9, "%+v", c)
	}
	// Between rows evenly, below the table by constant pull.
	assert.InEpsilon(t, (0.66+0.81)/2*horsepower, power("A", 3.2, 1000), 1e-9)
	assert.InEpsilon(t, 0.47*horsepower/2, power("A", 2.6, 500), 1e-9)
	assert.InEpsilon(t, 0.47*horsepower/2, power("A", 1.3, 1000), 1e-9, "half its smallest pulley")
}

// Source: Shigley, tables 17-13 and 17-14, from memory: the same belt with wrap and length factors, on
// a stage. 3.4 in and 9 in at 12 in: (D − d)/C 0.467, K1 0.935; the belt is 44 in, K2 0.90.
func TestBeltStageCarriesByTheTable(t *testing.T) {
	r := q.NewReader("reduction")
	s := Resolve(Described{Stages: []DescribedStage{{Kind: VBelt, Section: "A", Centre: "12 in", Count: "2", Steps: []DescribedStep{{"3.4 in", "9 in"}}}}}, 0, r).Stages[0]
	require.NoError(t, r.Err())
	assert.InDelta(t, 44, s.Belt/inch, 0.6)
	v := 2000 * footMinute
	assert.InEpsilon(t, 2*0.9333*0.90*1.31*horsepower/v, s.Steps[0].Pull.Carries(v), 2e-3)
}

// Source: power ratings of single-strand roller chain with a 17-tooth sprocket, from memory: number 40
// 0.37 hp at 50, 5.48 at 1000 rpm; number 25 0.09 hp at 100 rpm.
func TestChainRatings(t *testing.T) {
	for _, c := range []struct{ pitch, rpm, hp, within float64 }{{0.5, 50, 0.37, 0.01}, {0.5, 200, 1.29, 0.01}, {0.5, 1000, 5.48, 0.01}, {0.25, 100, 0.086, 0.01}} {
		assert.InEpsilon(t, c.hp*horsepower, ChainPower(c.pitch*inch, 17, c.rpm/60), c.within, "%+v", c)
	}
	// Past their peak the rollers set the limit: it falls with speed.
	assert.Less(t, ChainPower(0.5*inch, 17, 6000./60), ChainPower(0.5*inch, 17, 2000./60))
}

// Worked by hand on the published formula: 17 and 34 teeth at 30 pitches, 60 + 25.5 + 17²/(4π²·30).
func TestChainLength(t *testing.T) {
	assert.InDelta(t, 60+25.5+289/(4*math.Pi*math.Pi*30), ChainLength(17, 34, 30), 1e-12)
	assert.Equal(t, 100.0, ChainLength(20, 20, 40), "alike: two runs and one sprocket")
	// Against the exact belt round the pitch circles it is within half a pitch.
	p := 12.7e-3
	a, b := p/math.Sin(math.Pi/17), p/math.Sin(math.Pi/34)
	assert.InDelta(t, OpenBelt(a, b, 30*p)/p, ChainLength(17, 34, 30), 0.5)
}

// Derived: without friction a worm loses nothing, and it holds itself about where the friction angle
// passes the lead angle.
func TestWormEfficiency(t *testing.T) {
	assert.InDelta(t, 1, wormKeeps(0.2, 0, wormPressure), 1e-12)
	friction := math.Atan(wormFriction / math.Cos(wormPressure))
	assert.InDelta(t, 0.5, WormKeeps(friction), 0.01)
	assert.Less(t, WormKeeps(3*math.Pi/180), 0.5)
	assert.Greater(t, WormKeeps(20*math.Pi/180), 0.75)
	// Shigley, table 13-6 [from memory]: with friction 0.05 at 20° a lead of 10° keeps 0.761, of 30° 0.892... within a hundredth.
	assert.InDelta(t, 0.761, wormKeeps(10*math.Pi/180, 0.05, wormPressure), 0.01)
	assert.InDelta(t, 0.888, wormKeeps(30*math.Pi/180, 0.05, wormPressure), 0.01)
}

// Source: the ASME code's shafting stresses, from memory. By hand, T = 41 MPa · π · 0.02³ / 16 = 64.4 N·m.
func TestShaftExample(t *testing.T) {
	assert.InEpsilon(t, 64.4, Fit{Shaft: 20e-3, Held: "key"}.Bears(), 1e-3)
	assert.InEpsilon(t, shaft.Plain, 16*Fit{Shaft: 20e-3}.Bears()/(math.Pi*20e-3*20e-3*20e-3), 1e-9)
}

// Source: ISO 5295 working pulls, from memory: class L carries 244 N on an inch of width.
func TestToothedPull(t *testing.T) {
	assert.InEpsilon(t, 244.46, toothedPull(9.525e-3)*25.4e-3, 2e-3)
}
