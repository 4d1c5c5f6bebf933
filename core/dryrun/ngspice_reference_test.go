package dryrun

import (
	"encoding/json"
	"os"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/script"
	"jiriki/core/working"
)

// Source: ngspice on the same armature, its rotor a capacitor; scripts/reference/armature_start.py made the file, which
// names the version.
func TestAStartWithInductanceAgreesWithNgspice(t *testing.T) {
	data, err := os.ReadFile("testdata/ngspice.json")
	require.NoError(t, err)
	var ref struct {
		MadeBy string
		Cases  []struct {
			Volts, Ohms, Henries, Ke, Inertia, Most float64
			Times, Amps, Speed                      []float64
		}
	}
	require.NoError(t, json.Unmarshal(data, &ref))
	require.Contains(t, ref.MadeBy, "ngspice")
	require.NotEmpty(t, ref.Cases)
	for _, c := range ref.Cases {
		m, s := held(t, at(0, script.On))
		dc := &m.Motor.DC
		dc.Ke.Value, dc.Resistance.Value, dc.Henries = c.Ke, c.Ohms, c.Henries
		dc.Friction.Value, dc.Friction.Standing = 0, working.Measured
		m.Supply.Volts, m.Supply.Inside, m.supply = c.Volts, 0, 1
		m.Feed.Volts = c.Volts
		m.Powered = m.Motor.On(m.Feed)
		m.rotor, m.rest = c.Inertia, 1e-12
		r, err := simulate(m, s, detail{fine: 1e-3})
		require.NoError(t, err)
		assert.InEpsilon(t, c.Most, resultsOf(r).MostAmps, 5e-3, "%+v", c)
		for i, when := range c.Times {
			k := slices.IndexFunc(r.log.rows, func(one row) bool { return one.t >= when })
			require.Positive(t, k)
			a, b := &r.log.rows[k-1], &r.log.rows[k]
			part := 0.0
			if b.t > a.t {
				part = (when - a.t) / (b.t - a.t)
			}
			assert.InDelta(t, c.Amps[i], a.amps+(b.amps-a.amps)*part, 0.01*c.Most, "amps at %g s of %+v", when, c)
			assert.InDelta(t, c.Speed[i], a.rotor+(b.rotor-a.rotor)*part, 0.004*c.Volts/c.Ke, "speed at %g s", when)
		}
		assert.Less(t, r.open(), 1e-3)
	}
}
