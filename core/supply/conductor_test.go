package supply

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

func TestParseWire(t *testing.T) {
	for text, area := range map[string]float64{"2.5 mm²": 2.5, "2,5": 2.5, "1.5mm2": 1.5, "14 AWG": 2.081,
		"AWG 12": 3.309, "#10": 5.261} {
		w, err := ParseWire(text)
		require.NoError(t, err, text)
		assert.InEpsilon(t, area, w.Area*1e6, 1e-3, text)
	}
	for _, text := range []string{"thick", "-3", "400", "14.5 AWG", "99 AWG", "NaN", ""} {
		_, err := ParseWire(text)
		assert.Error(t, err, text)
	}
	r := q.NewReader("supply")
	Resolve(Described{Volts: "230 V", Wire: "bell wire"}, r)
	assert.ErrorContains(t, r.Err(), "supply.wire")
}

// By hand: 8 A over 25 m of 1.5 mm², there and back, 50 m × 1.72e-8 × 1.1965 / 1.5e-6 = 0.686 Ω; 5.5 V.
func TestDropOverACableRun(t *testing.T) {
	w, err := ParseWire("1.5")
	require.NoError(t, err)
	assert.InEpsilon(t, 5.49, w.Drop(8, 25, false), 1e-3)
	assert.InEpsilon(t, 5.49*1.7321/2, w.Drop(8, 25, true), 1e-3)
}

// A thicker wire never loses more volts nor carries less.
func TestThickerNeverLosesMore(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		thin := rapid.Float64Range(0.5e-6, 60e-6).Draw(t, "thin")
		thick := thin * rapid.Float64Range(1, 4).Draw(t, "more")
		a, b := Wire{"", thin}, Wire{"", thick}
		assert.GreaterOrEqual(t, a.Drop(10, 20, false), b.Drop(10, 20, false))
		for _, code := range []Code{IEC, NEC} {
			for _, three := range []bool{false, true} {
				assert.LessOrEqual(t, a.Carries(code, three), b.Carries(code, three))
				assert.LessOrEqual(t, a.Carries(code, true), a.Carries(code, false))
			}
		}
	})
}

func TestSixtyHertzTakesTheOtherCode(t *testing.T) {
	for _, c := range []struct {
		d    Described
		code Code
	}{{Described{Volts: "230 V", Hertz: "50 Hz"}, IEC}, {Described{Volts: "120 V"}, NEC},
		{Described{Volts: "240 V", Hertz: "60 Hz"}, NEC}, {Described{Volts: "240 V", Hertz: "60 Hz", Code: IEC}, IEC},
		{Described{Volts: "24 V", Phases: "dc"},
			IEC}} {
		r := q.NewReader("supply")
		assert.Equal(t, c.code, Resolve(c.d, r).Code)
		require.NoError(t, r.Err())
	}
}

// By hand: 60 W through 5.5 W/m²K at 15 K is 0.727 m²; by air 60 / (1200 × 15) = 12 m³/h.
func TestBoxCooling(t *testing.T) {
	assert.InEpsilon(t, 0.727, BoxArea(60), 1e-3)
	assert.InEpsilon(t, 12, FanFlow(60)*3600, 1e-9)
}

// The fuse in an armature lead is the usual size next above 1.25 × plate amps [common practice].
func TestArmatureFuse(t *testing.T) {
	for amps, fuse := range map[float64]float64{2.8: 4, 3.2: 4, 3.3: 6, 8: 10, 8.1: 13} {
		assert.Equal(t, fuse, ArmatureFuse(IEC, amps), "%v A", amps)
	}
	assert.Equal(t, 6.0, ArmatureFuse(NEC, 4.8))
	assert.Equal(t, 10.0, ArmatureFuse(NEC, 4.9))
}
