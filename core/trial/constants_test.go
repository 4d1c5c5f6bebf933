package trial

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	m "jiriki/core/measured"
	q "jiriki/core/quantity"
)

// A meter reads its own leads too: what they read by themselves comes off, and until somebody says it, that much of a
// winding's ohms may be theirs.
func TestAMetersLeadsAreNoPartOfAWinding(t *testing.T) {
	ohms := func(leads q.Text, read ...q.Text) m.Trial {
		out := m.Trial{Kind: m.Ohms, Leads: leads}
		for _, r := range read {
			out.Readings = append(out.Readings, m.Reading{Ohms: r})
		}
		return out
	}
	for name, c := range map[string]struct {
		trial        m.Trial
		mean, within float64 // Ω; the least it may be out
		asked        bool
	}{
		"not said":         {ohms("", "1.5", "1.52", "1.48"), 1.5, 0.4, true},
		"zeroed":           {ohms("0", "1.5", "1.52", "1.48"), 1.5, 0, false},
		"read":             {ohms("0.3 Ω", "1.5", "1.52", "1.48"), 1.2, 0, false},
		"read in mΩ":       {ohms("120 mΩ", "0.92", "0.92"), 0.8, 0, false},
		"of a large motor": {ohms("", "0.5", "0.5"), 0.5, 0.4, true},
		"of a fine wire":   {ohms("", "60", "61"), 60.5, 0.4, false},
	} {
		in := unplated()
		in.Plan.Trials = []m.Trial{c.trial}
		out, err := Of(in, 0)
		require.NoError(t, err, name)
		mean, ok := out.figure("Ohms, mean")
		require.True(t, ok, name)
		assert.InDelta(t, c.mean, mean.Measured, 1e-9, name)
		assert.GreaterOrEqual(t, mean.Within, c.within, name)
		if c.within == 0 {
			assert.Less(t, mean.Within, 0.2, name)
		}
		assert.Equal(t, c.asked, saysOf(out, LeadsUntold), name)
	}
	in := unplated()
	in.Plan.Trials = []m.Trial{ohms("0.4", "1.5", "1.5", "0.3")}
	out, err := Of(in, 0)
	require.NoError(t, err)
	require.Len(t, out.Entries, 1)
	assert.Equal(t, "trials[0].readings[2].ohms", out.Entries[0].Field)
	in.Plan.Trials[0].Readings = in.Plan.Trials[0].Readings[:2]
	out, err = Of(in, 0)
	require.NoError(t, err)
	readings := out.Correction.Motor.Readings
	assert.Equal(t, q.Text("1.1 Ω"), readings[len(readings)-1].Ohms, "let in without its leads")
}
