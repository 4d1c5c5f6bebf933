package work

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/working"
)

func need(t *testing.T, j Job) *Need {
	t.Helper()
	j.ID = "a"
	r := q.NewReader("machine")
	m := Resolve(Machine{Jobs: []Job{j}}, r)
	require.NoError(t, r.Err())
	return &m.Jobs[0]
}

func refusals(j Job) q.FieldErrors {
	j.ID = "a"
	r := q.NewReader("machine")
	Resolve(Machine{Jobs: []Job{j}}, r)
	errs, _ := r.Err().(q.FieldErrors)
	return errs
}

var someBand = SpeedBand{From: "20", To: "60"}

// Common practice, no source: 4.2 lbf at 45 mm is 0.84 N·m.
func TestSpringScaleReference(t *testing.T) {
	n := need(t, Job{Speed: someBand, Load: Load{By: "scale", Scale: ScalePull{Radius: "45 mm",
		Running: []q.Text{"4.2 lb"}}}})
	assert.InEpsilon(t, 0.84, n.Torque, 2e-3)
	assert.Equal(t, working.Measured, n.Found)
	assert.Equal(t, 1.25, n.Margin)
}

func TestSpringScaleKeepsPeakApartFromMean(t *testing.T) {
	n := need(t, Job{Speed: someBand, Load: Load{By: "scale", Scale: ScalePull{
		Radius: "0.1 m", Angle: "60", Running: []q.Text{"10 N", "14 N", ""}, Breakaway: []q.Text{"18 N", "20 N"},
		Own: "2 N",
	}}})
	arm := 0.1 * math.Sin(math.Pi/3)
	assert.InEpsilon(t, 10*arm, n.Torque, 1e-12, "mean of 8 and 12 N, the scale's own weight off")
	assert.InEpsilon(t, 18*arm, n.Breakaway, 1e-12, "the largest")
	assert.InEpsilon(t, 0.5, n.Spread, 1e-12)
	assert.False(t, n.Tangent, "60° is not square")
	assert.True(t, need(t, Job{Speed: someBand, Load: Load{By: "scale",
		Scale: ScalePull{Radius: "0.1 m", Angle: "80°",
			Running: []q.Text{"10 N"}}}}).Tangent)
	errs := refusals(Job{Speed: someBand, Load: Load{By: "scale", Scale: ScalePull{Radius: "0.1 m",
		Running: []q.Text{"1 N"},
		Own:     "2 N"}}})
	require.Len(t, errs, 1)
	assert.Equal(t, "machine.jobs[0].load.scale.running[0]", errs[0].Field)
}

func TestSurfaceSpeedGivesTheBand(t *testing.T) {
	n := need(t, Job{Speed: SpeedBand{By: "surface", Surface: "30 m/min", DiameterFrom: "10 mm", DiameterTo: "60 mm"},
		Load: Load{Torque: "1 N·m"}})
	assert.InEpsilon(t, 30/(math.Pi*0.060), n.Low/q.RPM, 1e-9)
	assert.InEpsilon(t, 30/(math.Pi*0.010), n.High/q.RPM, 1e-9)
	assert.NotEmpty(t, refusals(Job{Speed: SpeedBand{By: "surface", Surface: "30 m/min", DiameterFrom: "60 mm",
		DiameterTo: "10 mm"}}))
}

// Derived: dividing watts by turns a second gives work per turn, 2π too much torque. 1800 W at
// 20 rev/s is 14.3 N·m, not 90; and 14.3 N·m is 1.43 kN at 10 mm.
func TestTheTwoPiTrap(t *testing.T) {
	n := need(t, Job{Speed: SpeedBand{From: "20 rev/s"}, Load: Load{By: "power", Power: "1800 W"}})
	assert.InEpsilon(t, 14.3, n.Torque, 2e-3)
	assert.InEpsilon(t, 90, n.Torque*2*math.Pi, 1e-9)
	assert.InEpsilon(t, 1430, n.Torque/0.010, 2e-3)
}

// Derived: P(hp) = T(lbf·ft)·n / 5252.
func TestHorsepowerIdentity(t *testing.T) {
	n := need(t, Job{Speed: SpeedBand{From: "1750 rpm"}, Load: Load{By: "power", Power: "1 hp"}})
	_, poundFoot := q.Unit(q.Torque, q.Inch)
	assert.InEpsilon(t, 5252./1750, n.Torque/poundFoot, 1e-4)
}

func TestShapesOverTheBand(t *testing.T) {
	at := func(shape string) *Need {
		return need(t, Job{Speed: SpeedBand{From: "100", To: "200"}, Load: Load{Torque: "8 N·m", Shape: shape}})
	}
	assert.Equal(t, 8.0, at("torque").TorqueAt(150*q.RPM))
	assert.InEpsilon(t, 8*100./150, at("power").TorqueAt(150*q.RPM), 1e-12)
	assert.InEpsilon(t, 8*.25, at("square").TorqueAt(100*q.RPM), 1e-12)
}

func TestMarginsByMethod(t *testing.T) {
	at := func(from string, margin q.Text) *Need {
		return need(t, Job{Speed: someBand, Load: Load{Torque: "8 N·m", From: from}, Margin: margin,
			Reason: "old bearings"})
	}
	assert.Equal(t, 1.5, at("", "").Margin)
	assert.Equal(t, 1.25, at("measured", "").Margin)
	assert.Equal(t, 1.0, at("comparable", "").Margin, "its maker put one in already")
	assert.Equal(t, 2.0, at("comparable", "2").Margin)
	assert.Contains(t, at("comparable", "2").MarginBy, "old bearings")
}

func TestWhatIsNotFilledInIsNamed(t *testing.T) {
	assert.Equal(t, "speed.from", need(t, Job{Load: Load{Torque: "1 N·m"}}).Missing)
	assert.Equal(t, "load.torque", need(t, Job{Speed: someBand}).Missing)
	assert.Equal(t, "load.power", need(t, Job{Speed: someBand, Load: Load{By: "power"}}).Missing)
	assert.Equal(t, "load.scale.radius", need(t, Job{Speed: someBand, Load: Load{By: "scale"}}).Missing)
	assert.Equal(t, "load.scale.running[0]", need(t, Job{Speed: someBand,
		Load: Load{By: "scale",
			Scale: ScalePull{Radius: "10 mm"}}}).Missing)
	assert.Equal(t, "speed.surface", need(t, Job{Speed: SpeedBand{By: "surface", DiameterTo: "1 mm"}}).Missing)
	one := need(t, Job{Speed: SpeedBand{To: "95"}, Load: Load{Torque: "1 N·m"}})
	assert.Equal(t, one.Low, one.High, "one speed is a band of one")
}

func TestTopSpeedIsTheLeastLimit(t *testing.T) {
	r := q.NewReader("machine")
	m := Resolve(Machine{Limits: Limits{Spindle: "3000", Marked: "2850"}}, r)
	omega, field := m.TopSpeed()
	assert.InEpsilon(t, 2850*q.RPM, omega, 1e-12)
	assert.Equal(t, "machine.limits.marked", field)
	omega, field = Resolve(Machine{}, r).TopSpeed()
	assert.True(t, math.IsInf(omega, 1))
	assert.Empty(t, field)
}

func TestJobsAreGivenIDsOfTheirOwn(t *testing.T) {
	r := q.NewReader("")
	m := Resolve(Machine{Jobs: []Job{{ID: "a"}, {ID: "a"}, {}, {ID: "job-2"}}}, r)
	require.NoError(t, r.Err())
	var ids []string
	for _, j := range m.Jobs {
		ids = append(ids, j.ID)
	}
	assert.Equal(t, []string{"a", "job-2", "job-3", "job-4"}, ids)
}
