package slate

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
)

func TestAPlateIsReadOutOfOneLine(t *testing.T) {
	for text, want := range map[string]map[string]q.Text{
		"3/4 hp, 1140 rpm, 115 V, 11 A": {"power": "3/4 hp", "speed": "1140 rpm", "volts": "115 V", "amps": "11 A"},
		"0.37 kW 2770 rpm 230/400 V 2.1/1.2 A 50 Hz": {"power": "0.37 kW", "speed": "2770 rpm", "volts": "230/400 V",
			"amps": "2.1/1.2 A", "hertz": "50 Hz"},
		"HP 1/3 RPM 1140 VOLTS 115 AMPS 6.4": {"power": "1/3 hp", "speed": "1140 rpm", "volts": "115 V",
			"amps": "6.4 A"},
		"90 V DC, 6.2 A, 4150 rpm": {"volts": "90 V DC", "amps": "6.2 A", "speed": "4150 rpm"},
		"1 ph 230 V 4.4 A 1410 rpm 16 µF 4 pole": {"volts": "230 V", "amps": "4.4 A", "speed": "1410 rpm",
			"capacitor": "16 µF", "poles": "4"},
		"a motor with no plate": {},
		"180 mm wheel":          {},
	} {
		got := map[string]q.Text{}
		for _, f := range Plate(text) {
			assert.Contains(t, f.Field, "motor.plate.", text)
			got[f.Field[len("motor.plate."):]] = f.Text
		}
		assert.Equal(t, want, got, text)
	}
}

// What is read out of a line are entries the motor takes, and they come to what the plate says.
func TestWhatIsReadOffAPlateIsTaken(t *testing.T) {
	entries := map[string]q.Text{}
	for _, f := range Plate("0.37 kW 2770 rpm 230/400 V 2.1/1.2 A 50 Hz") {
		entries[f.Field[len("motor.plate."):]] = f.Text
	}
	written, err := json.Marshal(entries)
	require.NoError(t, err)
	var plate motor.Plate
	require.NoError(t, json.Unmarshal(written, &plate))
	r := q.NewReader("motor")
	m := motor.Resolve(motor.Described{Kind: motor.ThreePhase, Plate: plate}, r)
	require.NoError(t, r.Err())
	assert.InEpsilon(t, 370, m.Power.Value, 1e-9)
	assert.InEpsilon(t, 2770*q.RPM, m.Speed.Value, 1e-9)
	assert.True(t, m.Volts.OK() && m.Amps.OK())
}
