package work

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

// A machine just made has something to be judged by: no job of a kind waits for a first figure.
func TestEveryKindBringsJobsThatCanBeWeighedUp(t *testing.T) {
	for _, sys := range []q.System{q.Metric, q.Inch} {
		for _, kind := range Kinds(sys) {
			if kind.ID == "other" {
				continue
			}
			r := q.NewReader("machine")
			m := Resolve(Start("It", kind.ID, sys), r)
			_, refused := r.Refused()
			require.False(t, refused, kind.ID)
			require.NotEmpty(t, m.Jobs, kind.ID)
			for _, job := range m.Jobs {
				assert.Empty(t, job.Missing, "%s: %s", kind.ID, job.Name)
				assert.Positive(t, job.Torque, "%s: %s", kind.ID, job.Name)
				assert.True(t, job.Usual.Is() || job.Method == ByCutting, "%s: %s brings a load that looks known",
					kind.ID, job.Name)
			}
		}
	}
}

func TestAUsualLoadIsTakenAtItsMost(t *testing.T) {
	of := func(id string) Job {
		return Job{Speed: SpeedBand{From: "100", To: "200"}, Load: Load{By: ByComparable,
			Comparable: Comparable{Of: id}}}
	}
	clay := need(t, of("centring-clay"))
	like, _ := findLike("centring-clay")
	assert.Equal(t, like.High, clay.Torque)
	assert.InEpsilon(t, like.Low/like.High, clay.Usual.Least, 1e-12)
	assert.Equal(t, 1.0, clay.Margin, "the most such work takes needs no margin on top")
	lathe := need(t, of("lathe-300"))
	assert.True(t, lathe.Usual.Is(), "of a motor such machines carry, its own is not known")
	drum := need(t, of("drum-full"))
	held, _ := findLike("drum-full")
	assert.InEpsilon(t, held.High*200*q.RPM/usualWithin, drum.Torque, 1e-12)
	assert.Equal(t, held.High, drum.Spinning.Inertia)

	known := of("lathe-300")
	known.Load.Comparable.Power = "900 W"
	assert.False(t, need(t, known).Usual.Is(), "its own motor is known")
	known.Load = Load{By: ByTorque, Torque: "3 N·m"}
	assert.False(t, need(t, known).Usual.Is())
}

func TestAUsualPushGivesWayToOneThatIsPutIn(t *testing.T) {
	feed := Job{Speed: SpeedBand{From: "20", To: "60"}, Load: Load{By: ByScrew, Screw: Screw{Lead: "3 mm", Feed: true},
		Comparable: Comparable{Of: "feed-push"}}}
	usual := need(t, feed)
	require.True(t, usual.Usual.Is())
	like, _ := findLike("feed-push")
	assert.InEpsilon(t, like.High*0.003/(2*math.Pi*0.3), usual.Torque, 1e-9)
	feed.Load.Screw.Force = "40 N"
	own := need(t, feed)
	assert.False(t, own.Usual.Is())
	assert.InEpsilon(t, usual.Torque*40/like.High, own.Torque, 1e-9)
	pushed := Job{Speed: someBand, Load: Load{By: ByComparable, Comparable: Comparable{Of: "feed-push"}}}
	assert.Equal(t, "load.comparable.of", need(t, pushed).Missing, "a push is no torque without a screw")
}

func TestTheMiddleOfAUsualLoadLiesWithinIt(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		like := rapid.SampledFrom(likes).Draw(t, "like")
		u := like.usual()
		require.Greater(t, u.Least, 0.0)
		require.Less(t, u.Least, u.Likely)
		require.Less(t, u.Likely, 1.0)
		assert.InEpsilon(t, u.Likely*u.Likely, u.Least, 1e-12)
	})
	for _, l := range Likes(q.Inch) {
		assert.Regexp(t, `^\S+.* to \S+`, l.Says, l.ID)
	}
}

// What turns a wheel goes by that wheel: its own where it was measured, else a usual one, and that is told.
func TestASurfaceSpeedGoesByTheWheel(t *testing.T) {
	machine := func(diameter q.Text) Resolved {
		m := Start("It", "grinder", q.Metric)
		m.Limits.Diameter = diameter
		return Resolve(m, q.NewReader("machine"))
	}
	usual, own := machine("").Jobs[0], machine("200 mm").Jobs[0]
	assert.True(t, usual.UsualWheel)
	assert.InEpsilon(t, 0.15, usual.Largest, 1e-9)
	assert.False(t, own.UsualWheel)
	assert.InEpsilon(t, 0.2, own.Largest, 1e-9)
	assert.InEpsilon(t, usual.Low*0.15/0.2, own.Low, 1e-9)
	lathe := Resolve(Machine{Kind: "lathe", Jobs: []Job{{Speed: SpeedBand{By: "surface", Surface: "30 m/min"},
		Load: Load{Torque: "3 N·m"}}}}, q.NewReader("machine")).Jobs[0]
	assert.Equal(t, "speed.diameterTo", lathe.Missing, "what a lathe turns has no usual size")
}
