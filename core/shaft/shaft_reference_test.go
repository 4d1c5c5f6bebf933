package shaft

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Source: Shigley, example 7-6, from memory: a 3/8 in key on a 1 7/16 in shaft passing 4200 lbf·in,
// yield 65 kpsi, safety 2.8. Shear asks for 1.16 in, crushing for 1.34 in.
func TestKeyExample(t *testing.T) {
	const psi, lbfin = 6894.757, 0.1129848
	d := 1.4375 * inch
	key, ok := KeyFor(d)
	require.True(t, ok)
	assert.InEpsilon(t, 0.375*inch, key.Width, 1e-9)
	stress := 0.577 * 65000 / 2.8 * psi
	assert.InEpsilon(t, 4200*lbfin, key.Bears(d, 1.34*inch, stress), 0.01)
}

// Source: DIN 6885 and ASME B17.1, from memory.
func TestStandardKeys(t *testing.T) {
	for d, want := range map[float64]Key{10e-3: {3e-3, 3e-3}, 16e-3: {5e-3, 5e-3}, 19e-3: {6e-3, 6e-3},
		24e-3: {8e-3, 7e-3}, 0.625 * inch: {0.1875 * inch, 0.1875 * inch}, 1.125 * inch: {0.25 * inch,
			0.25 * inch}} {
		key, ok := KeyFor(d)
		require.True(t, ok, d)
		assert.InDelta(t, want.Width, key.Width, 1e-9, "%v", d)
		assert.InDelta(t, want.Height, key.Height, 1e-9, "%v", d)
	}
	_, ok := KeyFor(0.2)
	assert.False(t, ok)
}

// What keeps a shaft and a key whole, by hand: 55 MPa · π · 0.02³ / 16 without a keyway, and 61 MPa over 6 mm by
// 30 mm of key at a radius of 10 mm.
func TestStressesByHand(t *testing.T) {
	assert.InDelta(t, 64.4, Bears(0.02, Keyed), 0.05)
	assert.InDelta(t, 86.4, Bears(0.02, Plain), 0.05)
	key, ok := KeyFor(0.02)
	require.True(t, ok)
	assert.InDelta(t, 61e6, KeyShear, 1)
	assert.InDelta(t, 61e6*min(6e-3, 6e-3/(2*0.577))*0.03*0.01, key.Bears(0.02, 0.03, KeyShear), 0.1)
}

// Source: ASME code for transmission shafting, from memory: √((1.5·M)² + (1.0·T)²). By hand: a shaft bent as much as it
// is twisted bears 1/1.803 of the torque.
func TestBendingWithTorsion(t *testing.T) {
	assert.Equal(t, 1.0, WithBending(0))
	assert.InEpsilon(t, 1.8028, WithBending(1), 1e-4)
	assert.InEpsilon(t, 3.1623, WithBending(2), 1e-4)
}
