package work

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// The motor it had gave nothing above the speeds it ran at: a job is held against it only up to there.
func TestTheOldMotorGaveNothingAboveItsSpeeds(t *testing.T) {
	need := func(from, to q.Text) Need {
		r := q.NewReader("machine")
		m := Resolve(Machine{Jobs: []Job{{ID: "a", Speed: SpeedBand{From: from, To: to}, Load: Load{By: ByReplaced,
			Replaced: Replaced{Power: "400 W", Speed: "1400 rpm", Positions: []ReplacedPair{
				{Driver: "80 mm", Driven: "240 mm"}, {Driver: "120 mm", Driven: "200 mm"}}}}}}}, r)
		require.NoError(t, r.Err())
		return m.Jobs[0]
	}
	within := need("500 rpm", "800 rpm")
	assert.InEpsilon(t, 500*q.RPM, within.Low, 1e-9)
	assert.InEpsilon(t, 800*q.RPM, within.High, 1e-9)
	wider := need("100 rpm", "2000 rpm")
	assert.InEpsilon(t, 100*q.RPM, wider.Low, 1e-9)
	assert.InEpsilon(t, 840*q.RPM, wider.High, 1e-9)
	above := need("900 rpm", "2000 rpm")
	assert.NotEmpty(t, above.Missing, "it cannot be judged by what the old motor never did")
	require.Len(t, above.Doubts, 1)
	assert.Contains(t, above.Doubts[0].Words, "840")
}

// A job has one screw: its lead is put in once, and two that differ are said.
func TestAJobHasOneLead(t *testing.T) {
	need := func(speed, load q.Text) Need {
		r := q.NewReader("machine")
		m := Resolve(Machine{Jobs: []Job{{ID: "a",
			Speed: SpeedBand{By: "travel", TravelFrom: "20 mm/min", TravelTo: "100 mm/min", Lead: speed},
			Load:  Load{By: ByScrew, Screw: Screw{Force: "400 N", Lead: load}}}}}, r)
		require.NoError(t, r.Err())
		return m.Jobs[0]
	}
	once, twice := need("4 mm", ""), need("4 mm", "4 mm")
	assert.Empty(t, once.Missing)
	assert.Equal(t, twice.Torque, once.Torque)
	assert.Empty(t, twice.Doubts)
	apart := need("4 mm", "5 mm")
	require.Len(t, apart.Doubts, 1)
	assert.Contains(t, apart.Doubts[0].Title, "Two leads")
}
