package trial

import (
	"math"
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	m "jiriki/core/measured"
	q "jiriki/core/quantity"
)

// A coil or motor whose rating is known, its volts walked up in steps: its rating is among those named in nine of ten,
// and
// one that is named alone is it in nine of ten.
func TestRatingsComeBack(t *testing.T) {
	const draws = 400
	named, alone, right := 0, 0, 0
	for seed := range uint64(draws) {
		b := &bench{Rand: rand.New(rand.NewPCG(seed, 15))}
		truth := usualRatings[b.IntN(len(usualRatings))]
		acts, state := truth*(0.67+0.08*b.NormFloat64()), m.Acts
		if b.IntN(3) == 0 {
			acts, state = truth*0.1*math.Exp(0.55*b.NormFloat64()), m.Turns
		}
		tr := m.Trial{Kind: m.VoltsUp}
		for volts := 0.5; volts < 300; volts *= b.between(1.1, 1.5) {
			if volts >= acts {
				tr.Readings = append(tr.Readings, m.Reading{Volts: text(volts, "V"), State: state})
				break
			}
			tr.Readings = append(tr.Readings, m.Reading{Volts: text(volts, "V"), State: m.Nothing})
		}
		idle, acted := 0.0, 0.0
		for _, r := range tr.Readings {
			v, err := q.Parse(r.Volts, q.Voltage)
			require.NoError(t, err)
			if r.State == m.Nothing {
				idle = v
			} else {
				acted = v
			}
		}
		ratings := RatingsOf(idle, acted, state == m.Turns)
		for _, r := range ratings {
			if r.Volts == truth && r.Share >= worthRating {
				named++
			}
		}
		if ratings[0].Share > sureRating {
			alone++
			if ratings[0].Volts == truth {
				right++
			}
		}
	}
	t.Logf("named %d of %d; alone %d, right %d", named, draws, alone, right)
	assert.GreaterOrEqual(t, named, draws*90/100)
	assert.GreaterOrEqual(t, right, alone*90/100)
	assert.Positive(t, alone)
}
