package slate

import (
	"strings"
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
		for _, f := range Plate(text).Fills {
			assert.Contains(t, f.Field, "motor.plate.", text)
			got[f.Field[len("motor.plate."):]] = f.Text
		}
		assert.Equal(t, want, got, text)
	}
}

// Plates as they are engraved, each with what must be read of it.
func TestPlatesAsTheyAreEngraved(t *testing.T) {
	for text, want := range map[string]map[string]q.Text{
		"1/10 hp 1550 rpm 115 V":            {"power": "1/10 hp", "speed": "1550 rpm", "volts": "115 V"},
		"1/15 HP, 3000 RPM":                 {"power": "1/15 HP", "speed": "3000 RPM"},
		"3/10 hp":                           {"power": "3/10 hp"},
		"2/1 hp 3450/1725 rpm":              {"power": "2/1 hp", "speed": "3450/1725 rpm"},
		"0.75/0.18 kW 2800/1400 rpm":        {"power": "0.75/0.18 kW", "speed": "2800/1400 rpm"},
		"1/0 hp 1000 rpm":                   {"speed": "1000 rpm"},
		"208-230/460 V 60 Hz 4.2-4.0/2.0 A": {"volts": "208-230/460 V", "hertz": "60 Hz", "amps": "4.2-4.0/2.0 A"},
		"230-240V 50Hz":                     {"volts": "230-240V", "hertz": "50Hz"},
		"220–240 V, 2800 rpm":               {"volts": "220–240 V", "speed": "2800 rpm"},
		"2.5 hp peak 130 V 6000 rpm": {"power": "2.5 hp", "powerMeans": "peak", "volts": "130 V",
			"speed": "6000 rpm"},
		"1.5 hp cont. 4000 rpm":           {"power": "1.5 hp", "powerMeans": "continuous", "speed": "4000 rpm"},
		"2.5 hp peak, 1.25 hp continuous": {"power": "1.25 hp", "powerMeans": "continuous"},
		"1 hp, 3.0 hp treadmill duty":     {"power": "1 hp"},
		"1/2 HP FR 56C SF 1.25 1725 RPM": {"power": "1/2 HP", "frame": "56C", "serviceFactor": "1.25",
			"speed": "1725 RPM"},
		"0.55 kW cos φ 0.76 IP54 ISO.KL. F": {"power": "0.55 kW", "powerFactor": "0.76", "enclosure": "IP 54",
			"insulation": "F"},
		"pf 0.8 4P 50 Hz":        {"powerFactor": "0.8", "poles": "4", "hertz": "50 Hz"},
		"6 pole 1.1 kW":          {"poles": "6", "power": "1.1 kW"},
		"1420/min 0.25 kW":       {"speed": "1420 rpm", "power": "0.25 kW"},
		"2850 min-1 1.5 kW":      {"speed": "2850 rpm", "power": "1.5 kW"},
		"1395 min⁻¹":             {"speed": "1395 rpm"},
		"n=1410 0.37 kW":         {"speed": "1410 rpm", "power": "0.37 kW"},
		"n = 940 min-1":          {"speed": "940 rpm"},
		"3~ 400 V 1.9 A":         {"kind": "induction-3", "volts": "400 V", "amps": "1.9 A"},
		"1~ 230 V 50 Hz 16 µF":   {"volts": "230 V", "hertz": "50 Hz", "capacitor": "16 µF"},
		"frame IEC 90 L, 2.2 kW": {"frame": "IEC 90 L", "power": "2.2 kW"},
		"S3 40% 0.18 kW":         {"duty": "S3 40%", "power": "0.18 kW"},
		"CLASS B INS 115V":       {"insulation": "B", "volts": "115V"},
	} {
		got := map[string]q.Text{}
		for _, f := range Plate(text).Fills {
			got[f.Field[strings.LastIndex(f.Field, ".")+1:]] = f.Text
		}
		assert.Equal(t, want, got, text)
	}
}

// A motor called by its plate has its entries, and only those.
func TestAPlateIsEnteredOnItsMotor(t *testing.T) {
	m := motor.Described{Name: "ex mangle"}
	require.NoError(t, Plate("3~ 0.18 kW cont, 905 rpm, 12 kg").Onto(&m))
	assert.Equal(t, motor.Described{Name: "ex mangle", Kind: motor.ThreePhase, Plate: motor.Plate{Power: "0.18 kW",
		PowerMeans: "continuous", Speed: "905 rpm"}}, m)
	require.NoError(t, Plate("ex mangle").Onto(&m))
	assert.Equal(t, q.Text("905 rpm"), m.Plate.Speed)
}

// What is not read of a plate is said.
func TestWhatIsNotReadOfAPlateIsSaid(t *testing.T) {
	for text, left := range map[string][]string{
		"1/0 hp 1000 rpm": {"1/0 hp"}, "0.5 hp 12 kg 1400 rpm": {"12 kg"}, "115 V 230 V": {"230 V"},
		"3/4 hp 1140 rpm": {}, "TEFC 1/2 hp 40 °C": {"40 °C"},
	} {
		assert.Equal(t, left, Plate(text).Unread, text)
	}
}

// What is read out of a line are entries the motor takes, and they come to what the plate says.
func TestWhatIsReadOffAPlateIsTaken(t *testing.T) {
	d := motor.Described{Kind: motor.ThreePhase}
	require.NoError(t, Plate("0.37 kW 2770 rpm 230/400 V 2.1/1.2 A 50 Hz").Onto(&d))
	r := q.NewReader("motor")
	m := motor.Resolve(d, r)
	require.NoError(t, r.Err())
	assert.InEpsilon(t, 370, m.Power.Value, 1e-9)
	assert.InEpsilon(t, 2770*q.RPM, m.Speed.Value, 1e-9)
	assert.True(t, m.Volts.OK() && m.Amps.OK())
}
