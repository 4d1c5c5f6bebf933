package reduction

import (
	"testing"

	"github.com/stretchr/testify/assert"

	q "jiriki/core/quantity"
)

// Source: ANSI B29.1 and ISO 606, from memory; a diametral pitch is as many teeth to an inch of diameter.
func TestPitchesAsTheyAreCalled(t *testing.T) {
	for _, c := range []struct {
		kind  Kind
		typed q.Text
		pitch float64
	}{
		{Chain, "25", 6.35e-3}, {Chain, "#35", 9.525e-3}, {Chain, "40", 12.7e-3}, {Chain, "ANSI 41", 12.7e-3},
		{Chain, "50", 15.875e-3}, {Chain, "60", 19.05e-3}, {Chain, "05B", 8e-3}, {Chain, "06B", 9.525e-3},
		{Chain, "08b", 12.7e-3}, {Chain, "10A", 15.875e-3}, {Chain, "12.7 mm", 12.7e-3}, {Chain, `1/2"`, 12.7e-3},
		{Spur, "16 DP", 25.4e-3 / 16}, {Spur, "20dp", 1.27e-3}, {Spur, "1.5 mm", 1.5e-3}, {Worm, "24 DP", 25.4e-3 / 24},
	} {
		r := q.NewReader("")
		s := Stage{Kind: c.kind}
		v := s.readPitch(c.typed, r)
		assert.NoError(t, r.Err(), c.typed)
		assert.True(t, v.Known, c.typed)
		assert.InEpsilon(t, c.pitch, v.SI, 1e-9, c.typed)
	}
	for kind, typed := range map[Kind]q.Text{Chain: "00B", Spur: "0 DP", Toothed: "16 DP"} {
		r := q.NewReader("")
		s := Stage{Kind: kind}
		s.readPitch(typed, r)
		assert.Error(t, r.Err(), typed)
	}
}
