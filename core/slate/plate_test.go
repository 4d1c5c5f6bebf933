package slate

import (
	"testing"

	"github.com/stretchr/testify/assert"

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

// What is read out of a line is an entry the motor takes.
func TestWhatIsReadOffAPlateIsTaken(t *testing.T) {
	r := q.NewReader("motor")
	motor.Resolve(motor.Described{Kind: motor.ThreePhase, Plate: motor.Plate{Power: "0.37 kW", Speed: "2770 rpm",
		Volts: "230/400 V", Amps: "2.1/1.2 A", Hertz: "50 Hz"}}, r)
	assert.NoError(t, r.Err())
}
