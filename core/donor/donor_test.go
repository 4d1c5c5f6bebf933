package donor

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
)

func TestEveryDonorIsFit(t *testing.T) {
	regions := map[string]bool{}
	for _, r := range Regions {
		regions[r.ID] = true
	}
	seen, kinds := map[string]bool{}, map[motor.Kind]bool{}
	for _, d := range All() {
		assert.False(t, seen[d.ID], d.ID)
		seen[d.ID] = true
		require.NotEmpty(t, d.Holds, d.ID)
		assert.NotEmpty(t, d.Expect, d.ID)
		assert.NotEmpty(t, d.Take, d.ID)
		assert.NotEmpty(t, d.Hurts, "%s: opening anything can hurt", d.ID)
		for _, in := range d.In {
			assert.True(t, regions[in.Region], in.Region)
			assert.NotEmpty(t, in.Holds)
		}
		for _, k := range d.Holds {
			assert.NotEmpty(t, k.Profile().Name, "%s holds %s", d.ID, k)
			kinds[k] = true
		}
	}
	for _, p := range motor.Profiles() {
		assert.True(t, kinds[p.Kind], "no donor holds a %s", p.Name)
	}
}

func TestRegionsDiffer(t *testing.T) {
	d, err := Find("washing-machine")
	require.NoError(t, err)
	assert.Equal(t, motor.Universal, d.HoldsIn("europe")[0])
	assert.Equal(t, motor.SplitPhase, d.HoldsIn("north-america")[0])
	assert.Equal(t, d.Holds, d.HoldsIn("elsewhere"))
	_, err = Find("spaceship")
	assert.Error(t, err)
}
