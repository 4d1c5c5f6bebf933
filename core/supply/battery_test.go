package supply

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

func TestABatterySagsAndLasts(t *testing.T) {
	r := q.NewReader("supply")
	s := Resolve(Described{Volts: "24 V", Phases: "dc", Inside: "60 mΩ", Holds: "400 Wh"}, r)
	require.NoError(t, r.Err())
	assert.InEpsilon(t, 23.4, s.Sagged(10), 1e-9)
	assert.InEpsilon(t, 0.8*400./240*3600, s.Lasts(10), 1e-9, "four fifths of 400 Wh at 240 W")
	assert.Zero(t, s.Lasts(0))
	mains := Resolve(Described{Volts: "230 V", Inside: "1 Ω", Holds: "1 kWh"}, r)
	assert.Equal(t, 230.0, mains.Sagged(10), "a wall does not sag here")
	assert.Zero(t, mains.Lasts(10))
	Resolve(Described{Volts: "24 V", Phases: "dc", Holds: "plenty"}, r)
	assert.ErrorContains(t, r.Err(), "supply.holds")
}
