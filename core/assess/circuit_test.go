package assess_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/line"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/supply"
	"jiriki/core/working"
)

// Every conductor the workings name carries the breaker named beside it, and heat and flow follow the watts.
func TestTheCircuitHoldsTogether(t *testing.T) {
	for name, in := range map[string]plan.Input{"dc": plantest.Sound(), "inverter": plantest.Inverted(),
		"switch": plantest.Switched()} {
		for _, code := range []supply.Code{supply.IEC, supply.NEC} {
			in.Plan.Supply.Code = code
			s, err := plan.Resolve(in)
			require.NoError(t, err)
			tr := line.New(s)
			c := tr.Circuit()
			assert.True(t, c.Fits, name)
			assert.GreaterOrEqual(t, c.Wire.Carries(s.Supply.Code, s.Supply.Three), c.WireFor, "%s %s", name, code)
			assert.GreaterOrEqual(t, c.Breaker, tr.InputAmps(), "%s %s", name, code)
			assert.GreaterOrEqual(t, c.Fuse, tr.InputAmps())
			known := map[working.ID]bool{}
			for _, w := range assesstest.Of(t, in).Workings {
				known[w.ID] = true
			}
			assert.True(t, known["supply.breaker"] && known["supply.conductor"], name)
			assert.Equal(t, tr.Control.Converts(), known["supply.box"], name)
		}
	}
}
