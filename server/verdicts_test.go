package server

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/demo"
	"jiriki/store/storetest"
)

// A second look works nothing out; a changed shelf only what tried it, a changed plan only that.
func TestVerdictsAreKeptByWhatTheyFollowFrom(t *testing.T) {
	s := storetest.Open(t)
	file, err := demo.Workshop()
	require.NoError(t, err)
	require.NoError(t, s.Import(t.Context(), file.Send))
	shed, err := s.Shed(t.Context())
	require.NoError(t, err)
	hand := onHand{digest: "as it was", items: file.Shelf, motors: shelf.Motors(file.Shelf)}
	var v verdicts
	first, err := v.of(t.Context(), s, hand, quantity.Metric, shed)
	require.NoError(t, err)
	require.Len(t, first, 5)
	tried := 0
	for _, one := range first {
		if one.shelf != "" {
			tried++
		}
	}
	assert.Equal(t, 3, tried, "those that fall short try the shelf")

	// Without a store nothing can be worked out, and nothing need be.
	second, err := v.of(t.Context(), nil, hand, quantity.Metric, shed)
	require.NoError(t, err)
	assert.Equal(t, first, second)

	kept := len(v.kept)
	hand.digest = "another"
	third, err := v.of(t.Context(), s, hand, quantity.Metric, shed)
	require.NoError(t, err)
	assert.Len(t, v.kept, kept, "the same plans, no more")
	for id, one := range third {
		if first[id].shelf == "" {
			assert.Equal(t, first[id], one)
		} else {
			assert.Equal(t, "another", one.shelf)
		}
	}

	require.NoError(t, s.RenamePlan(t.Context(), shed[0].Plans[0].ID, "Otherwise"))
	changed, err := s.Shed(t.Context())
	require.NoError(t, err)
	require.NotEqual(t, shed[0].Plans[0].Digest, changed[0].Plans[0].Digest)
	fourth, err := v.of(t.Context(), s, hand, quantity.Metric, changed)
	require.NoError(t, err)
	assert.Len(t, fourth, 5)
	assert.Len(t, v.kept, kept, "what no plan follows from is forgotten")

	// A plan that changes between the list and its verdict has the verdict on what it is.
	require.NoError(t, s.RenamePlan(t.Context(), shed[0].Plans[0].ID, "Otherwise again"))
	fifth, err := (&verdicts{}).of(t.Context(), s, hand, quantity.Metric, changed)
	require.NoError(t, err)
	assert.NotEmpty(t, fifth[shed[0].Plans[0].ID].Stations)
}
