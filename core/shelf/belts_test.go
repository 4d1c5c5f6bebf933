package shelf

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
	"jiriki/core/reduction"
)

func TestBeltsThatExistAreToldByWhereTheyFit(t *testing.T) {
	stage := &reduction.Stage{Kind: reduction.VBelt, Section: "A", Centre: 0.32,
		Steps: []reduction.Step{{Driver: 0.085, Driven: 0.205}}}
	stock := []Item{
		{Sort: Belt, Name: "from the barn", Length: "1110 mm", Wheel: Wheel{Section: "A"}},
		{Sort: Belt, Name: "wrong section", Length: "1110 mm", Wheel: Wheel{Section: "B"}},
		{Sort: Belt, Name: "cracked", State: "for-parts", Length: "1130 mm", Wheel: Wheel{Section: "A"}},
		{Sort: Pulley, Name: "no belt", Wheel: Wheel{Section: "A"}},
	}
	fits := Belts(stage, 0, stock, q.Metric)
	require.Greater(t, len(fits), 10)
	owned := 0
	for i, f := range fits {
		assert.True(t, i == 0 || f.Centre >= fits[i-1].Centre, "in order")
		length, err := q.Parse(f.Belt, q.Length)
		require.NoError(t, err)
		// Each goes round the wheels where it says.
		assert.InDelta(t, length, reduction.OpenBelt(0.085, 0.205, f.Centre/1000), 1e-4, f.Name)
		if f.Owned {
			owned++
			assert.Equal(t, "from the barn", f.Name)
		}
	}
	assert.Equal(t, 1, owned)
	assert.Empty(t, Belts(stage, 1, stock, q.Metric), "no such step")
	assert.Empty(t, Belts(&reduction.Stage{Kind: reduction.Spur}, 0, stock, q.Metric))
}
