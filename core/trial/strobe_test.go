package trial

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	m "jiriki/core/measured"
	"jiriki/core/numeric"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
)

func seen(rpm float64, images int) Seen {
	return Seen{Flash: rpm * q.RPM, Images: images, Off: strobeOff}
}

// Whatever was truly seen of a speed, with rates as far out as they may be, is never taken for another and called sure:
// the true one is always among those that fit.
func TestAStrobeIsNeverSureOfAnotherSpeed(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		n := rapid.Float64Range(100, 12000).Draw(t, "rpm") * q.RPM
		fastest := n * rapid.Float64Range(1.02, 6).Draw(t, "fastest")
		var list []Seen
		for range rapid.IntRange(1, 5).Draw(t, "sightings") {
			b := rapid.IntRange(1, 4).Draw(t, "images")
			a := rapid.IntRange(1, 9).Filter(func(a int) bool { return numeric.GCD(a, b) == 1 }).Draw(t, "turns")
			off := rapid.Float64Range(-0.003, 0.003).Draw(t, "off")
			list = append(list, Seen{Flash: n * float64(b) / float64(a) * (1 + off), Images: b, Off: strobeOff})
		}
		speeds := TrueSpeeds(list, fastest)
		found := false
		for _, c := range speeds {
			found = found || math.Abs(c.Omega/n-1) < 0.01
		}
		assert.True(t, found, "%v rpm is among %v", n/q.RPM, speeds)
		if len(speeds) == 1 {
			assert.InEpsilon(t, n, speeds[0].Omega, 0.01)
		}
	})
}

func TestSightingsTellSpeedsApart(t *testing.T) {
	for _, c := range []struct {
		what    string
		list    []Seen
		fastest float64
		want    []float64
	}{
		{"one image says only a whole part", []Seen{seen(700, 1)}, 2200, []float64{700, 1400, 2100}},
		{"two at twice the rate rule out the even ones", []Seen{seen(700, 1), seen(1400, 2)}, 2200, []float64{700,
			2100}},
		{"and one at twice the rate is the double", []Seen{seen(700, 1), seen(1400, 1)}, 2200, []float64{1400}},
		{"neighbouring rates of one image", []Seen{seen(900, 1), seen(600, 1)}, 2000, []float64{1800}},
		{"what fits nothing", []Seen{seen(900, 1), seen(640, 1)}, 2000, nil},
		{"three images", []Seen{seen(1500, 3), seen(500, 1)}, 1200, []float64{500, 1000}},
	} {
		var got []float64
		for _, s := range TrueSpeeds(c.list, c.fastest*q.RPM) {
			got = append(got, math.Round(s.Omega/q.RPM))
		}
		assert.ElementsMatch(t, c.want, got, c.what)
	}
	// A creeping image turns by as much as it creeps.
	crept := Seen{Flash: 1000 * q.RPM, Images: 1, Drift: 4 * q.RPM, Off: strobeOff}
	got := TrueSpeeds([]Seen{crept}, 1500*q.RPM)
	require.Len(t, got, 1)
	assert.InDelta(t, 1004, got[0].Omega/q.RPM, 1e-9)
}

// The next rate to try always tells at least two of the speeds apart.
func TestTheNextRateTells(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := rapid.Float64Range(200, 3000).Draw(t, "rate") * q.RPM
		list := []Seen{{Flash: f, Images: 1, Off: strobeOff}}
		speeds := TrueSpeeds(list, f*rapid.Float64Range(2.05, 5).Draw(t, "times"))
		at, shows := TryNext(speeds, list)
		require.Positive(t, at)
		kinds := map[int]bool{}
		for i := range speeds {
			kinds[shows[i]] = true
			assert.Equal(t, imagesAt(speeds[i].Omega, at), shows[i])
		}
		assert.Greater(t, len(kinds), 1)
	})
}

func TestAStrobeTrialSaysWhatToTry(t *testing.T) {
	in := plan.Input{Units: "metric"}
	in.Plan.Trials = []m.Trial{{Kind: m.Strobe, Fastest: "1700 rpm", Readings: []m.Reading{{Flash: "800"}}}}
	out := of(t, in)
	assert.True(t, saysOf(out, ManySpeeds))
	assert.NotEmpty(t, out.Next.At)
	in.Plan.Trials[0].Readings = append(in.Plan.Trials[0].Readings, m.Reading{Flash: "1600", Images: "2"})
	out = of(t, in)
	assert.Contains(t, out.Headline, "800")
	f, ok := out.figure("Spindle speed")
	require.True(t, ok)
	assert.InEpsilon(t, 800*q.RPM, f.Measured, 1e-6)
	in.Plan.Trials[0].Readings = []m.Reading{{Flash: "800"}, {Flash: "930"}}
	assert.True(t, saysOf(of(t, in), NoSpeed))
}

func of(t testing.TB, in plan.Input) Answer {
	t.Helper()
	out, err := Of(in, 0)
	require.NoError(t, err)
	return out
}

func saysOf(a Answer, d Difference) bool {
	for _, s := range a.Said {
		if s.Difference == d {
			return true
		}
	}
	return false
}
