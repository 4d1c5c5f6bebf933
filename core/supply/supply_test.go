package supply

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

func TestHertzIsAssumedOnlyWhereThereIsAny(t *testing.T) {
	for _, c := range []struct {
		d       Described
		hertz   float64
		assumed bool
	}{
		{Described{Volts: "120 V"}, 60, true},
		{Described{Volts: "230 V"}, 50, true},
		{Described{Volts: "120 V", Phases: "3"}, 50, true},
		{Described{Volts: "120 V", Hertz: "50"}, 50, false},
		{Described{Volts: "24 V", Phases: "dc"}, 0, false},
	} {
		r := q.NewReader("supply")
		s := Resolve(c.d, r)
		require.NoError(t, r.Err())
		assert.Equal(t, c.hertz, s.Hertz, "%+v", c.d)
		assert.Equal(t, c.assumed, s.AssumedHertz, "%+v", c.d)
	}
	r := q.NewReader("supply")
	Resolve(Described{Phases: "2", Volts: "5 kV"}, r)
	assert.ErrorContains(t, r.Err(), "supply.phases")
	assert.ErrorContains(t, r.Err(), "supply.volts")
}
