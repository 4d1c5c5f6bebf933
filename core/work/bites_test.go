package work

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

// One tooth in half the diameter, its torque as its chip: sin φ from 0 to a right angle, then nothing. Derived: the
// most is 1, the mean of a turn 1/(2π), so 2π to one; it is over that mean from arcsin(1/2π) on.
func TestAFlyCutterBitesOnceATurn(t *testing.T) {
	b := milled(1, math.Pi/2, 0)
	assert.InEpsilon(t, 2*math.Pi, b.Ratio, 0.02)
	assert.InEpsilon(t, math.Pi/2-math.Asin(1/(2*math.Pi)), b.Angle, 0.03)
}

// Teeth enough to be always in the cut make it whole; fewer bite harder.
func TestMoreTeethBiteLess(t *testing.T) {
	assert.Zero(t, milled(60, math.Pi, 0.17).Ratio)
	last := math.Inf(1)
	for _, teeth := range []float64{1, 2, 3, 4, 6, 8} {
		ratio := milled(teeth, 1.2, 0.17).Ratio
		if ratio == 0 {
			break
		}
		assert.Less(t, ratio, last, teeth)
		last = ratio
	}
}

// A square bar turned to a round: the tool is in for a part of the turn, and heats by the mean.
func TestTurningOverAGap(t *testing.T) {
	turned := Job{ID: "a", Cut: Cut{Operation: "turning", Material: "plain-steel"},
		Speed: SpeedBand{From: "200", To: "200"}, Load: Load{By: ByCutting, Cutting: CuttingLoad{Depth: "1 mm",
			Feed: "0.12 mm/rev", Diameter: "60 mm"}}}
	whole := need(t, turned)
	assert.Zero(t, whole.Bites.Ratio)
	turned.Load.Cutting.Bites, turned.Load.Cutting.Contact = "4", "40 %"
	n := need(t, turned)
	assert.InEpsilon(t, 0.4*whole.Torque, n.Torque, 1e-9)
	assert.InEpsilon(t, 2.5, n.Bites.Ratio, 1e-9)
	assert.InEpsilon(t, 2*math.Pi*0.4/4, n.Bites.Angle, 1e-9)
	turned.Load.Cutting.Contact = ""
	assert.InEpsilon(t, 2, need(t, turned).Bites.Ratio, 1e-9, "half, where nobody says")

	// With nothing turning the motor gives it all; a flywheel gives J·ω²·share over the bite, never more than there is.
	omega := 200 * q.RPM
	assert.InEpsilon(t, whole.Torque, n.InTheBite(omega, 0, 0.05), 1e-9)
	gives := 0.01 * omega * omega * 0.05 / n.Bites.Angle
	assert.InEpsilon(t, max(whole.Torque-gives, n.Torque), n.InTheBite(omega, 0.01, 0.05), 1e-9)
	assert.InEpsilon(t, n.Torque, n.InTheBite(omega, 100, 0.05), 1e-9)
}

// Leads in threads to an inch, travel for each turn of another spindle.
func TestScrewsAsTheyAreCalled(t *testing.T) {
	feed := Job{ID: "a", Speed: SpeedBand{By: "travel", TravelFrom: "0.1 mm/rev", TravelTo: "0.2 mm/rev",
		Main: "300 rpm", Lead: "8 TPI"}, Load: Load{By: ByScrew, Screw: Screw{Force: "400 N"}}}
	n := need(t, feed)
	assert.InEpsilon(t, 25.4e-3/8, n.Feed.Lead, 1e-9)
	assert.InEpsilon(t, 300*q.RPM*0.1/(25.4/8), n.Low, 1e-9)
	assert.InEpsilon(t, 300*q.RPM*0.2/(25.4/8), n.High, 1e-9)
	feed.Speed.Main = ""
	m := Resolve(Machine{Jobs: []Job{feed}}, q.NewReader(""))
	assert.Equal(t, "speed.main", m.Jobs[0].Missing)
	feed.Speed.Lead = "0 TPI"
	r := q.NewReader("")
	Resolve(Machine{Jobs: []Job{feed}}, r)
	assert.Error(t, r.Err())
}

// What pulls at the rim, and how fast it goes by: 6 N·m at 40 mm from the axis is 150 N, 100 rpm at 80 mm 0.419 m/s.
func TestForceAndSpeedAtTheRim(t *testing.T) {
	m := Resolve(Machine{Limits: Limits{Diameter: "80 mm"}, Jobs: []Job{{ID: "a", Name: "Head",
		Speed: SpeedBand{From: "50", To: "100"}, Load: Load{Torque: "6 N·m"}}}}, q.NewReader(""))
	var found bool
	for _, w := range m.Jobs[0].Workings(q.Metric) {
		if w.ID == "job.rim.a" {
			found = true
			assert.Contains(t, w.Value, "150\u202fN")
			assert.Contains(t, w.Value, "33.7\u202flbf")
			assert.Contains(t, w.Assumes[0], "0.209–0.419\u202fm/s")
			assert.Contains(t, w.Assumes[0], "25.1\u202fm/min")
			assert.Contains(t, w.Assumes[0], "82.5\u202fft/min")
		}
	}
	assert.True(t, found)
}

// A cut of bites heats by its root mean square, and by its mean only where what turns carries the bites whole.
func TestBitesHeatByTheirRootMeanSquare(t *testing.T) {
	n := Need{Low: 20, High: 20, Torque: 5, Bites: bites(4, 0.5, 2*math.Pi)}
	mean, square := 0.0, 0.0
	const steps = 20000
	for i := range steps {
		torque := 5 * n.Bites.At(2*math.Pi*float64(i)/steps)
		mean, square = mean+torque/steps, square+torque*torque/steps
	}
	require.InEpsilon(t, 5, mean, 1e-4)
	assert.InEpsilon(t, math.Sqrt(square), n.Heats(20, 0, 0.03), 1e-4, "nothing turns with it")
	assert.InEpsilon(t, 5, n.Heats(20, 1e6, 0.03), 1e-9, "a flywheel carries it")
	half := n.Heats(20, 15*n.Bites.Angle/(20*20*0.03)/2, 0.03)
	assert.Greater(t, half, 5*1.05)
	assert.Less(t, half, math.Sqrt(square)*0.95)
	whole := Need{Low: 20, High: 20, Torque: 5}
	assert.Equal(t, 5.0, whole.Heats(20, 0, 0.03))
}
