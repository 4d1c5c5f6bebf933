package reduction

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/shaft"
)

// chainPower is the lesser of what plates and rollers last for, W.
func chainPower(pitch, teeth, revs float64) float64 {
	plates, rollers := chainWatts(pitch, teeth, revs)
	return min(plates, rollers)
}

// Source: Shigley's Mechanical Engineering Design, table 17-12, from memory: every point of classical A
// and B belts, at 1000 to 5000 ft/min. The table is rounded to a hundredth.
func TestClassicalBeltRatings(t *testing.T) {
	power := func(section string, inches, feet float64) float64 {
		pull := classicalPull(section, inches*inch, 1)
		return pull.Carries(feet*footMinute) * feet * footMinute / horsepower
	}
	for section, rows := range map[string]map[float64][]float64{
		"A": {2.6: {0.47, 0.62, 0.53, 0.15}, 3.0: {0.66, 1.01, 1.12, 0.93, 0.38}, 3.4: {0.81, 1.31, 1.57, 1.53, 1.12},
			3.8: {0.93, 1.55, 1.92, 2.00,
				1.71},
			4.2: {1.03, 1.74, 2.20, 2.38, 2.19}, 4.6: {1.11, 1.89, 2.44, 2.69, 2.58},
			5.0: {1.17, 2.03, 2.64, 2.96, 2.89}, 9.0: {1.17, 2.03, 2.64, 2.96,
				2.89}},
		"B": {4.2: {1.07, 1.58, 1.68, 1.26, 0.22}, 4.6: {1.27, 1.99, 2.29, 2.08, 1.24},
			5.0: {1.44, 2.33, 2.80, 2.76, 2.10}, 5.4: {1.59, 2.62, 3.24, 3.34,
				2.82},
			5.8: {1.72, 2.87, 3.61, 3.85, 3.45}, 6.2: {1.82, 3.09, 3.94, 4.28, 4.00},
			6.6: {1.92, 3.29, 4.23, 4.67, 4.48}, 7.0: {2.01, 3.46, 4.49, 5.01,
				4.90}},
	} {
		for inches, row := range rows {
			for i, hp := range row {
				assert.InDelta(t, hp, power(section, inches, 1000*float64(i+1)), 0.021, "%s %g in at %d ft/min",
					section, inches, 1000*(i+1))
			}
		}
	}
	// A 2.6 in pulley carries nothing at 5000 ft/min; half the smallest pulley carries half.
	assert.Zero(t, power("A", 2.6, 5000))
	assert.InEpsilon(t, power("A", 2.6, 1000)/2, power("A", 1.3, 1000), 1e-9)
	// Slower it pulls more, since it is bent less often, but no more below where tables begin.
	slow := classicalPull("A", 3*inch, 1)
	assert.Greater(t, slow.Carries(1), slow.Carries(5))
	assert.InEpsilon(t, slow.Carries(0), slow.Carries(slowestRated), 1e-12)
	// By hand at 0.5 m/s, 0.0984 of 1000 ft/min: 1.9416 − 3.7971 ÷ 3 + 0.38243 × 1.0069 is 1.061 hp per 1000 ft/min,
	// 156
	// N.
	assert.InDelta(t, 155.7, slow.Carries(0.5), 0.5)
}

// Source: Shigley, tables 17-13 and 17-14, from memory: the same belt with wrap and length factors, on
// a stage. 3.4 in and 9 in at 12 in: (D − d)/C 0.467, K1 0.935; the belt is 44 in, K2 0.90.
func TestBeltStageCarriesByTheTable(t *testing.T) {
	r := q.NewReader("reduction")
	s := Resolve(Described{Stages: []DescribedStage{{Kind: VBelt, Section: "A", Centre: "12 in", Count: "2",
		Steps: []DescribedStep{{"3.4 in", "9 in"}}}}}, 0, 1,
		r).Stages[0]
	require.NoError(t, r.Err())
	assert.InDelta(t, 44, s.Belt/inch, 0.6)
	v := 2000 * footMinute
	assert.InEpsilon(t, 2*0.9333*0.90*1.31*horsepower/v, s.Steps[0].Pull.Carries(v), 5e-3)
}

// Source: power ratings of single-strand roller chain with a 17-tooth sprocket, from memory: number 40
// 0.37 hp at 50, 5.48 at 1000 rpm; number 25 0.09 hp at 100 rpm.
func TestChainRatings(t *testing.T) {
	for _, c := range []struct{ pitch, rpm, hp, within float64 }{{0.5, 50, 0.37, 0.01}, {0.5, 200, 1.29, 0.01},
		{0.5, 1000, 5.48, 0.01},
		{0.25, 100, 0.086, 0.01}} {
		assert.InEpsilon(t, c.hp*horsepower, chainPower(c.pitch*inch, 17, c.rpm/60), c.within, "%+v", c)
	}
	// Past their peak the rollers set the limit: it falls with speed.
	assert.Less(t, chainPower(0.5*inch, 17, 6000./60), chainPower(0.5*inch, 17, 2000./60))
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
	assert.InDelta(t, 1, wormEfficiency(0.2, 0, wormPressure), 1e-12)
	friction := math.Atan(wormFriction / math.Cos(wormPressure))
	assert.InDelta(t, 0.5, WormEfficiency(friction), 0.01)
	assert.Less(t, WormEfficiency(3*math.Pi/180), 0.5)
	// By hand with friction 0.07 at 20°: (0.93969 − 0.07 × 0.10033) ÷ (0.93969 + 0.07 ÷ 0.10033).
	assert.InDelta(t, 0.5696, WormEfficiency(0.1), 1e-4)
	assert.Greater(t, WormEfficiency(20*math.Pi/180), 0.75)
	// Shigley, table 13-6 [from memory]: with friction 0.05 at 20° a lead of 10° keeps 0.761, of 30° 0.892... within a
	// hundredth.
	assert.InDelta(t, 0.761, wormEfficiency(10*math.Pi/180, 0.05, wormPressure), 0.01)
	assert.InDelta(t, 0.888, wormEfficiency(30*math.Pi/180, 0.05, wormPressure), 0.01)
}

// Source: the ASME code's shafting stresses, from memory. By hand, T = 41 MPa · π · 0.02³ / 16 = 64.4 N·m.
func TestShaftExample(t *testing.T) {
	assert.InEpsilon(t, 64.4, Fit{Shaft: 20e-3, Held: "key"}.Bears(0), 1e-3)
	assert.InEpsilon(t, shaft.Plain, 16*Fit{Shaft: 20e-3}.Bears(0)/(math.Pi*20e-3*20e-3*20e-3), 1e-9)
}

// Source: ISO 5295 working pulls, from memory: class L carries 244 N on an inch of width.
func TestToothedPull(t *testing.T) {
	assert.InEpsilon(t, 244.46, toothedPull(9.525e-3)*25.4e-3, 2e-3)
}

// Source: Shigley, example 14-1, from memory: a cut gear of 16 teeth, 8 diametral pitch, 1½ in face, at
// 1200 rpm and 10 kpsi bears 365 lbf at the pitch line, 6.95 hp.
func TestGearToothAgainstTheWorkedExample(t *testing.T) {
	const poundForce, kpsi = 4.4482216152605, 6.894757293168e6
	v := math.Pi * 2 * inch * 1200 / 60
	force := ToothBears(inch/8, 1.5*inch, 16, 10*kpsi, v)
	assert.InEpsilon(t, 365*poundForce, force, 3e-3)
	assert.InEpsilon(t, 6.95*horsepower, force*v, 3e-3)
}

// Source: Shigley, table 17-14, from memory. Between its rows the factor goes over evenly: a shaft moved by less
// than half a millimetre never changes what a belt carries by a hundredth.
func TestLengthFactors(t *testing.T) {
	for section, rows := range map[string]map[float64]float64{
		"A": {30: 0.85, 42: 0.90, 52: 0.95, 68: 1, 85: 1.05, 105: 1.10, 140: 1.15},
		"B": {40: 0.85, 55: 0.90, 70: 0.95, 90: 1, 112: 1.05, 136: 1.10, 170: 1.15, 240: 1.20},
	} {
		for inches, factor := range rows {
			assert.InDelta(t, factor, lengthFactor(section, inches*inch), 1e-12, "%s %v", section, inches)
		}
		for length := 0.5; length < 6; length += 0.0008 {
			assert.InEpsilon(t, lengthFactor(section, length), lengthFactor(section, length+0.0008), 0.003)
		}
	}
	assert.Equal(t, 1.0, lengthFactor("Z", 1))
	assert.Equal(t, 1.0, lengthFactor("A", 0))
}
