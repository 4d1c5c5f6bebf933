package work

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/working"
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

// Beside its torque a job shows its power, bare and with its margin, in both families of units.
func TestAJobShowsItsPower(t *testing.T) {
	for shape, watts := range map[Shape]float64{SameTorque: 12.5664, SamePower: 6.2832, TorqueWithN: 12.5664} {
		r := q.NewReader("machine")
		m := Resolve(Machine{Jobs: []Job{{ID: "a", Margin: "2", Speed: SpeedBand{From: "60 rpm", To: "120 rpm"},
			Load: Load{Torque: "1 N·m", Shape: string(shape)}}}}, r)
		require.NoError(t, r.Err())
		got, _ := m.Jobs[0].MostPower()
		assert.InEpsilon(t, watts, got, 1e-4, shape)
		found := false
		for _, w := range m.Jobs[0].Workings(q.Inch) {
			if w.ID == working.JobWatts.Of("a") {
				found = true
				assert.Contains(t, w.Value, "W")
				assert.Contains(t, w.Value, "hp")
				assert.Contains(t, w.Assumes[0], q.Show(2*watts, q.Power, q.Metric))
			}
		}
		assert.True(t, found, shape)
	}
}
