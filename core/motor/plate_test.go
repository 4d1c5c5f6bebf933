package motor

import (
	"encoding/json"
	"math"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	f "jiriki/core/finding"
	q "jiriki/core/quantity"
	"jiriki/core/working"
)

// Each finding of a plate, against a plate that lies and one that does not.
func TestPlatesThatLie(t *testing.T) {
	for id, c := range map[string]struct {
		sound func() Described
		lie   func(*Described)
		level f.Level
	}{
		"plate-power":    {scrubber, func(d *Described) { d.Plate.Power = "2.5 hp"; d.Plate.Amps = "8 A" }, f.Caution},
		"plate-weak":     {scrubber, func(d *Described) { d.Plate.Amps = "20 A" }, f.Caution},
		"peak-rating":    {scrubber, func(d *Described) { d.Plate.PowerMeans = "peak" }, f.Caution},
		"slip":           {conveyor, func(d *Described) { d.Plate.Speed = "1496 rpm" }, f.Caution},
		"hertz":          {conveyor, func(d *Described) { d.Plate.Hertz = "" }, f.Missing},
		"service-factor": {conveyor, func(d *Described) { d.Plate.ServiceFactor = "1.15" }, f.Good},
		"links":          {conveyor, func(d *Described) { d.Plate.Volts = "230/400 V" }, f.Good},
		"protector":      {conveyor, func(d *Described) { d.Plate.Protector = "self-reset" }, f.Caution},
		"needs.plate.speed": {conveyor, func(d *Described) { d.Plate.Speed, d.Plate.Poles = "1520 rpm", "4" },
			f.Missing},
		"thermal-unknown": {conveyor, func(d *Described) { d.ThermalSwitch = "" }, f.Caution},
		"ohms-jump": {scrubber, func(d *Described) {
			d.Readings = []Reading{{Sort: "resistance", Ohms: "7"}, {Sort: "resistance", Ohms: "10"}}
		}, f.Caution},
		"misfit": {scrubber, func(d *Described) {
			d.Readings = []Reading{{Sort: "open", Volts: "74 V", Speed: "820"},
				{Sort: "open", Volts: "60 V",
					Speed: "820"}}
		}, f.Caution},
		"ke-against-plate": {scrubber, func(d *Described) {
			d.Readings = []Reading{{Sort: "open", Volts: "50 V",
				Speed: "820"}}
		}, f.Caution},
		"torque-against-plate": {scrubber, func(d *Described) {
			d.Readings = []Reading{{Sort: "open", Volts: "50 V", Speed: "820"}, {Sort: "free", Amps: "0.5 A"}}
		}, f.Caution},
	} {
		d := c.sound()
		assert.False(t, has(resolved(t, d), f.ID("motor."+id), c.level), "%s on a sound plate", id)
		c.lie(&d)
		assert.True(t, has(resolved(t, d), f.ID("motor."+id), c.level), id)
	}
	for kind, id := range map[Kind]string{WoundDC: "field-loss", CapacitorStart: "start-circuit",
		SplitPhase:     "start-circuit",
		PermanentSplit: "stored-charge"} {
		d, _ := specimen(kind)
		assert.True(t, has(resolved(t, d), f.ID("motor."+id), f.Caution), id)
	}
}

// Kilowatts typed where the plate had horsepower: the amps give it away, and the words say so.
func TestKilowattsForHorsepower(t *testing.T) {
	d := conveyor()
	d.Plate.Power = "1.1 kW"
	words := ""
	for _, one := range resolved(t, d).Findings(q.Metric) {
		if one.ID == "motor.plate-power" {
			words = one.Detail
		}
	}
	assert.Contains(t, words, "As many hp are 820", "900 W is the most its amps carry")
}

func TestAFanMotorMaySlipMore(t *testing.T) {
	d, _ := specimen(PermanentSplit)
	d.Plate.Speed = "1250 rpm"
	assert.False(t, has(resolved(t, d), "motor.slip", f.Caution))
	d.Kind = CapacitorStart
	assert.True(t, has(resolved(t, d), "motor.slip", f.Caution))
}

func TestPairsOnAPlate(t *testing.T) {
	d := conveyor()
	d.Plate.Volts, d.Plate.Amps = "230/400 V", "3.3/1.9 A"
	m := resolved(t, d)
	assert.Equal(t, []float64{230, 3.3, 400}, []float64{m.Volts.Value, m.Amps.Value, m.OtherVolts})
	d.Plate.Links = "high"
	m = resolved(t, d)
	assert.Equal(t, []float64{400, 1.9, 230}, []float64{m.Volts.Value, m.Amps.Value, m.OtherVolts})
	d.Plate.Volts, d.Plate.Amps = "400/230", "1.9/3.3"
	assert.Equal(t, 1.9, resolved(t, d).Amps.Value, "whichever way round it is engraved")

	d = conveyor()
	d.Plate.Hertz, d.Plate.Speed, d.Plate.Power, d.Plate.Amps = "50/60 Hz", "1400/1690 rpm", "0.75/0.9 kW", "3.6 A"
	m = resolved(t, d)
	assert.InEpsilon(t, 1400*q.RPM, m.Speed.Value, 1e-9)
	d.Plate.Column = "second"
	m = resolved(t, d)
	assert.Equal(t, 60.0, m.Hertz.Value)
	assert.InEpsilon(t, 1690*q.RPM, m.Speed.Value, 1e-9)
	assert.InEpsilon(t, 900, m.Power.Value, 1e-9)

	for text, one := range map[q.Text]bool{"3/4 hp": true, "1/3 hp": true, "0.75/0.9 kW": false, "1/2 hp": true,
		"2/4 hp": false, "4/5 hp": true, "180 W": false, "3/2 hp": false,
		"10/20 A": false} {
		assert.Equal(t, one, fraction(text), text)
	}
	d = conveyor()
	d.Plate.Power, d.Plate.Volts, d.Plate.Amps = "1/2 hp", "6/12 V", "5/10 A"
	m = resolved(t, d)
	assert.Equal(t, []float64{6, 10}, []float64{m.Volts.Value, m.Amps.Value})
	assert.InEpsilon(t, q.Horsepower/2, m.PlatePower.Value, 1e-9)
}

// Plates give ranges: the upper volts stand, with the amps that go with them.
func TestRangesOnAPlate(t *testing.T) {
	for volts, want := range map[q.Text][2]float64{"210-225/450 V": {225, 450}, "210-225 V": {225, 0},
		"220–240 V": {240, 0}, "105 to 120 V": {120, 0}, "105-115/210-230 V": {115, 230}, "115/210-230 V": {115, 230}} {
		d := conveyor()
		d.Plate.Volts, d.Plate.Amps = volts, "3.9-3.7/1.9 A"
		if want[1] == 0 {
			d.Plate.Amps = "3.9-3.7 A"
		}
		m := resolved(t, d)
		assert.Equal(t, []float64{want[0], want[1], 3.7}, []float64{m.Volts.Value, m.OtherVolts, m.Amps.Value}, volts)
	}
	d := conveyor()
	d.Plate.Hertz, d.Plate.Speed = "50-60 Hz", "1400-1690 rpm"
	m := resolved(t, d)
	assert.Equal(t, 50.0, m.Hertz.Value)
	assert.InEpsilon(t, 1400*q.RPM, m.Speed.Value, 1e-9)
	d = d.Whole()
	d.Plate.Power = "1-1/2 hp"
	assert.InEpsilon(t, 1.5*q.Horsepower, resolved(t, d).PlatePower.Value, 1e-9)
}

// The two bodies solved by SciPy's expm: after half an hour from cold the winding has 0.678 of its rise, and S2 30 min
// gives √0.678 of its power all day; S3 40 % √0.4.
func TestDutyClasses(t *testing.T) {
	for duty, share := range map[string]float64{"S2 30 min": 0.823, "30 min": 0.823, "S3 40 %": 0.632, "S1": 1,
		"continuous": 1, "": 1, "S2": 1} {
		assert.InEpsilon(t, share, steadyShare(duty), 1e-3, duty)
	}
	d := scrubber()
	d.Plate.PowerMeans, d.Plate.Duty = "intermittent", "S3 40 %"
	assert.InEpsilon(t, 0.632*q.Horsepower/2, resolved(t, d).Power.Value, 1e-3)
	d.Plate.Duty = "hobby"
	assert.InEpsilon(t, 0.7*q.Horsepower/2, resolved(t, d).Power.Value, 1e-9)
}

func TestABrakedRunGivesTheMissingPower(t *testing.T) {
	d := conveyor()
	d.Plate.Power, d.Plate.Amps = "", ""
	assert.False(t, resolved(t, d).Ready())
	// At 1450 rpm half the plate's slip carries half the torque.
	d.Readings = []Reading{{Sort: "loaded", Speed: "1450 rpm", Torque: "2.56 N·m"}}
	m := resolved(t, d)
	require.True(t, m.Ready())
	assert.InEpsilon(t, 750, m.Power.Value, 0.01)
}

// Files made before readings were a list held one of each sort.
func TestOlderFilesKeepTheirReadings(t *testing.T) {
	var d Described
	require.NoError(t, json.Unmarshal([]byte(`{"kind":"pm-dc","bench":{"openVolts":"74.4 V",
	"spunSpeed":"820 rpm","resistance":"7.6 Ω","noLoadAmps":"0.4 A","noLoadSpeed":"","noLoadVolts":"180 V"}}`), &d))
	assert.Equal(t, []Reading{{Sort: "open", Volts: "74.4 V", Speed: "820 rpm"}, {Sort: "resistance", Ohms: "7.6 Ω"},
		{Sort: "free", Volts: "180 V", Amps: "0.4 A"}}, d.Whole().Readings)
	assert.Equal(t, d.Whole().Readings, d.Whole().Whole().Readings, "once")
	text, err := json.Marshal(d.Whole())
	require.NoError(t, err)
	assert.NotContains(t, string(text), "openVolts")
}

func TestBadReadingsAreRefusedAtTheirField(t *testing.T) {
	for field, one := range map[string]Reading{
		"motor.readings[0].volts":   {Sort: "open", Volts: "seven", Speed: "820"},
		"motor.readings[0].toSpeed": {Sort: "spin-down", Speed: "500", ToSpeed: "900", Time: "2 s"},
		"motor.readings[0].starts":  {Sort: "capacitor", Starts: "mostly"},
		"motor.readings[0].sort":    {Sort: "vibes"},
	} {
		r := q.NewReader("motor")
		Resolve(Described{Kind: PermanentMagnetDC, Readings: []Reading{one}}, r)
		require.ErrorContains(t, r.Err(), field)
	}
}

// What the amps carry is written so that a person can do the sum and get the figure beside it.
func TestThePowerGoingInCanBeWorkedOutFromItsWords(t *testing.T) {
	for _, kind := range []Kind{PermanentMagnetDC, Universal, ThreePhase, CapacitorStart} {
		d, _ := specimen(kind)
		d.Plate.Power = ""
		for _, claimed := range []q.Text{"", "30 kW"} {
			d.Plate.Power = claimed
			m := resolved(t, d)
			var put string
			for _, w := range m.Workings(q.Metric) {
				if w.ID == "motor.power" {
					put = w.Substituted
				}
			}
			require.NotEmpty(t, put, "%s %q", kind, claimed)
			product := 1.0
			for _, factor := range strings.Split(put, " × ") {
				if factor == "√3" {
					product *= math.Sqrt(3)
					continue
				}
				number, _, _ := strings.Cut(factor, q.ThinSpace)
				v, err := strconv.ParseFloat(number, 64)
				require.NoError(t, err, put)
				product *= v
			}
			assert.InEpsilon(t, m.Power.Value, product, 0.01, "%s: %s", kind, put)
		}
	}
}

// Before anyone said what kind it is, its power is the plate's, and no working makes it of volts and amps.
func TestAPlateWithoutAKindHasNoWorkingOfItsPower(t *testing.T) {
	m := resolved(t, Described{Plate: Plate{Power: "3/5 hp", Speed: "1680 rpm", Volts: "118 V", Amps: "9 A"}})
	for _, w := range m.Workings(q.Metric) {
		assert.NotEqual(t, working.MotorPower, w.ID)
		assert.NotRegexp(t, `× 0$`, w.Substituted, w.Label)
	}
}
