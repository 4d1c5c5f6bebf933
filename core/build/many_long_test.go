//go:build long

package build_test

import (
	"math"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/build"
	"jiriki/core/control"
	"jiriki/core/finding"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
)

// Of a series of plans that is always the same: each is whole, makes no power from nothing, is built where and only
// where it may be powered, has remedies that keep their word, moves by little where a figure does, and does no worse
// with a stronger motor.
func TestTenThousandPlans(t *testing.T) {
	const plans, shares = 10_000, 4
	var judged [shares]counts
	t.Run("share", func(t *testing.T) {
		for share := range shares {
			t.Run(strconv.Itoa(share), func(t *testing.T) {
				t.Parallel()
				for n := share; n < plans; n += shares {
					judged[share].look(t, n)
				}
			})
		}
	})
	var all counts
	for _, c := range judged {
		all.done += c.done
		all.powered += c.powered
		all.speeds += c.speeds
		all.remedies += c.remedies
		all.nudged += c.nudged
		all.stronger += c.stronger
	}
	t.Logf("%+v", all)
	assert.Greater(t, all.done, 3000, "jobs done")
	assert.Greater(t, all.powered, 3000/started, "plans that may be powered, of those started")
	assert.Greater(t, all.speeds, 30_000, "speeds at which power is held against what goes in")
	assert.Greater(t, all.remedies, 2000, "remedies taken")
	assert.Greater(t, all.nudged, 1500, "jobs with one figure moved")
	assert.Greater(t, all.stronger, 1500, "jobs with a stronger motor")
}

// counts are how many of each were looked at, for it must not be few.
type counts struct{ done, powered, speeds, remedies, nudged, stronger int }

func (c *counts) look(t *testing.T, n int) {
	in := plantest.Varied(n)
	a := assesstest.Unstarted(t, in)
	assesstest.CheckWhole(t, a)
	for i := range a.Jobs {
		if a.Jobs[i].Outcome.Done() {
			c.done++
		}
	}
	if n%started == 0 {
		c.built(t, n, in)
	}
	if len(a.Entries) > 0 {
		return
	}
	c.energy(t, n, in)
	c.remedied(t, n, in, a)
	if n%3 == 0 {
		c.nudge(t, n, in, a)
		c.strengthen(t, n, in)
	}
}

// started is of how many plans one is started and stopped too, and built: it takes as long as all the rest.
const started = 4

// built looks that what is built is what may be powered.
func (c *counts) built(t *testing.T, n int, in plan.Input) {
	a := assesstest.Of(t, in)
	assesstest.CheckWhole(t, a)
	b, err := build.Plan(in)
	require.NoError(t, err)
	assert.Equal(t, a.MayPower, b.MayPower, n)
	assert.Equal(t, a.MayPower, b.Blocked == "", n)
	assert.False(t, a.MayPower && len(a.Entries) > 0, n)
	if a.MayPower {
		c.powered++
	}
}

// energy holds what the spindle gives for ever, at speeds all along, against what goes in.
func (c *counts) energy(t *testing.T, n int, in plan.Input) {
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	m := line.New(s)
	if !m.Runs {
		return
	}
	for i := range m.Reduction.Positions {
		p := &m.Reduction.Positions[i]
		low, high := m.Span(p)
		for k := range 5 {
			omega := low * math.Pow(high/low, float64(k)/4)
			torque := m.Steady(omega, 1, p).Torque
			if m.Powered.FixedSpeed() {
				at, _ := m.Powered.RunsAt(func(float64) float64 { return torque / p.Ratio / p.Efficiency })
				omega = min(omega, at/p.Ratio)
			}
			c.speeds++
			assert.LessOrEqual(t, torque*omega, m.InputWatts()*(1+1e-6), "%d: position %d", n, i)
		}
	}
}

// worse fails where what was offered makes something worse: a stop that was not there, but for the guard of a belt that
// is put in, or a job that is done no more.
func worse(t *testing.T, n int, label string, before, after assess.Assessment) {
	t.Helper()
	known := map[finding.ID]bool{}
	for _, one := range before.Findings {
		known[one.ID] = known[one.ID] || one.Level == finding.Stop
	}
	for _, one := range after.Findings {
		if one.Level == finding.Stop && !one.Short && !one.Dry {
			guard := strings.HasPrefix(string(one.ID), string(finding.ReductionGuard))
			assert.True(t, known[one.ID] || guard, "%d: %s brings %s", n, label, one.Title)
		}
	}
	for i := range before.Jobs {
		assert.False(t, before.Jobs[i].Outcome.Done() && !after.Jobs[i].Outcome.Done(), "%d: %s loses %s", n, label,
			before.Jobs[i].Name)
	}
}

// remedied takes each remedy: it gives the margin it promised, and makes nothing worse.
func (c *counts) remedied(t *testing.T, n int, in plan.Input, a assess.Assessment) {
	for _, fixes := range a.Fixes {
		for _, r := range fixes {
			worse(t, n, r.Label, a, assesstest.Unstarted(t, assesstest.Taken(in, r)))
		}
	}
	for i, job := range a.Jobs {
		for _, r := range job.Remedies {
			if r.Jobs != nil {
				continue // there are more jobs after it
			}
			after := assesstest.Unstarted(t, assesstest.Taken(in, r))
			got := after.Jobs[i]
			c.remedies++
			worse(t, n, r.Label, a, after)
			assert.Equal(t, r.Does, got.Outcome.Done(), "%d: %s", n, r.Label)
			assert.Equal(t, r.JobsDone, after.JobsDone, "%d: %s", n, r.Label)
			if !got.Outcome.Reached() || got.Outcome == line.CannotTell {
				continue
			}
			margin, err := strconv.ParseFloat(r.Margin[len("×"):], 64)
			require.NoError(t, err, r.Margin)
			assert.InEpsilon(t, margin, got.Margin, 0.0051, "%d: %s", n, r.Label)
		}
	}
}

// nudge makes one figure a thousandth larger. Where a margin moves by more than one in a hundred and no other limit,
// position or outcome comes of it, it must be steep there and not torn: in halves of the thousandth, and halves of
// those, the move shrinks.
func (c *counts) nudge(t *testing.T, n int, in plan.Input, a assess.Assessment) {
	var paths []string
	for _, f := range plantest.Figures(&in) {
		if !f.Whole() {
			paths = append(paths, f.Path)
		}
	}
	if len(paths) == 0 {
		return
	}
	path := paths[n%len(paths)]
	after := assesstest.Unstarted(t, times(in, 1.001, path))
	for i := range a.Jobs {
		from, to := a.Jobs[i], after.Jobs[i]
		if !alike(from, to) {
			continue
		}
		c.nudged++
		low, high := 1.0, 1.001
		for moved(from, to) > 0.01 && high-low > 1e-7 {
			middle := assesstest.Unstarted(t, times(in, (low+high)/2, path)).Jobs[i]
			if !alike(from, middle) {
				from = to // another limit holds in between
			} else if moved(from, middle) > moved(middle, to) {
				to, high = middle, (low+high)/2
			} else {
				from, low = middle, (low+high)/2
			}
		}
		assert.LessOrEqual(t, moved(from, to), 0.01, "%d: %s: %v to %v, %s", n, path, from.Margin, to.Margin,
			from.LimitedBy)
	}
}

func alike(a, b assess.JobResult) bool {
	return a.LimitedBy == b.LimitedBy && a.Position == b.Position && a.Outcome.Reached() == b.Outcome.Reached()
}

func moved(a, b assess.JobResult) float64 {
	if a.Margin == b.Margin {
		return 0
	}
	return math.Abs(math.Log(a.Margin / b.Margin))
}

// ofMotor are the limits on the line that are the motor's own.
var ofMotor = []motor.Limit{motor.MotorHeat, motor.FanSlowed, motor.LineVolts, motor.BreakdownHeld, motor.StartTorque}

// strengthen gives the plan a motor of a quarter more power and amps: no job is done worse. What it runs on is taken
// large, and a motor on the line turns a hair faster, where a belt carries a hair less.
func (c *counts) strengthen(t *testing.T, n int, in plan.Input) {
	if in.Plan.Motor.Plate.Power == "" || in.Plan.Control.Kind == control.SeriesResistor {
		return // a resistor's ohms go with the motor
	}
	in = plantest.Copied(in)
	in.Plan.Motor.Readings = nil
	if in.Plan.Control.Amps != "" {
		in.Plan.Control.Amps, in.Plan.Control.LimitAmps = "900 A", ""
	}
	const plate = ".Plan.Motor.Plate."
	weak, strong := assesstest.Unstarted(t, in), assesstest.Unstarted(t, times(in, 1.25, plate+"Power",
		plate+"Amps", plate+"Torque"))
	for i := range weak.Jobs {
		from, to := weak.Jobs[i], strong.Jobs[i]
		c.stronger++
		if !in.Plan.Control.Kind.Profile().Adjusts && !slices.Contains(ofMotor, to.LimitedBy) {
			continue
		}
		assert.GreaterOrEqual(t, to.Margin, from.Margin*0.998, "%d: %s", n, to.LimitedBy)
	}
}

// times is a plan with some of its figures so many times as large.
func times(in plan.Input, k float64, paths ...string) plan.Input {
	out := plantest.Copied(in)
	for _, f := range plantest.Figures(&out) {
		for _, path := range paths {
			if f.Path == path {
				f.Times(k)
			}
		}
	}
	return out
}
