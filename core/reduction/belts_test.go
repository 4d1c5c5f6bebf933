package reduction

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestBeltsAreMadeInSteps(t *testing.T) {
	near := func(s Stage, from, to float64) (names []string, lengths []float64) {
		for _, m := range s.MadeBelts(from, to) {
			names, lengths = append(names, m.Name), append(lengths, m.Length)
		}
		return names, lengths
	}
	names, lengths := near(Stage{Kind: VBelt, Section: "A"}, 1.00, 1.06)
	assert.Equal(t, []string{"A 39", "A 40"}, names)
	assert.InDeltaSlice(t, []float64{1.02362, 1.04902}, lengths, 1e-9, "inside and 1.3 in")
	names, lengths = near(Stage{Kind: Toothed, Pitch: 5e-3}, 0.4995, 0.5105)
	assert.Equal(t, []string{"100 teeth", "101 teeth", "102 teeth"}, names)
	assert.InDeltaSlice(t, []float64{0.5, 0.505, 0.51}, lengths, 1e-9)
	names, _ = near(Stage{Kind: Chain, Pitch: 12.7e-3}, 1.0, 1.05)
	assert.Equal(t, []string{"80 links", "82 links"}, names, "whole pairs of links join")
	names, _ = near(Stage{Kind: PolyV, Section: "J"}, 0.9, 0.93)
	assert.Equal(t, []string{"J, 36 in"}, names)
	for _, joined := range []Kind{Flat, LinkBelt, Spur} {
		assert.Empty(t, (&Stage{Kind: joined}).MadeBelts(0.5, 2), joined)
	}
	assert.Empty(t, (&Stage{Kind: VBelt, Section: "A"}).MadeBelts(0, 0.3), "none so short")
	assert.Empty(t, (&Stage{Kind: Toothed}).MadeBelts(0.5, 1), "no pitch, no belt")
}
