package shelf

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
)

func TestPriceReadsMoneyAsTyped(t *testing.T) {
	for text, want := range map[q.Text]float64{"12": 12, "£12.50": 12.5, " 30 € ": 30, "$5": 5, "0": 0} {
		p := Item{Cost: text}.Price()
		assert.True(t, p.Known, text)
		assert.Equal(t, want, p.Amount, text)
	}
	for _, text := range []q.Text{"", "a pint", "-3"} {
		assert.False(t, Item{Cost: text}.Price().Known, text)
	}
}

func TestAPartIsCheckedByItsSort(t *testing.T) {
	for _, c := range []struct {
		item  Item
		field string
	}{
		{Item{Motor: motor.Described{Plate: motor.Plate{Power: "a lot"}}}, "motor.plate.power"},
		{Item{Sort: Control, Control: control.Described{Kind: control.PhaseAngle, Volts: "soup"}}, "control.volts"},
		{Item{Sort: Pulley, Wheel: Wheel{Diameter: "9 km"}}, "wheel.diameter"},
		{Item{Sort: Belt, Length: "long"}, "length"},
		{Item{Cost: "cheap"}, "cost"},
		{Item{State: "haunted"}, "state"},
		{Item{Sort: "anvil"}, "sort"},
	} {
		fields := c.item.Known(q.Metric).Entries
		require.Len(t, fields, 1, c.field)
		assert.Equal(t, c.field, fields[0].Field)
		assert.NotEmpty(t, fields[0].Message)
	}
}

func TestWhatAPartComesTo(t *testing.T) {
	known := Item{Motor: motor.Described{Kind: motor.PermanentMagnetDC,
		Plate: motor.Plate{Power: "1/2 hp", Speed: "1750", Volts: "180 V",
			Amps: "2.8 A"},
		Readings: []motor.Reading{{Sort: "open", Volts: "74.4 V", Speed: "820"}}}}.Known(q.Metric)
	assert.NotEmpty(t, known.Workings)
	assert.NotEmpty(t, known.Findings, "nobody has looked for its thermal switch")
	assert.Len(t, known.Bench.Constants, 4)
	assert.Empty(t, Item{Sort: Belt, Length: "1080 mm"}.Known(q.Inch).Workings)
}

func TestNamesAndOlderItems(t *testing.T) {
	assert.Equal(t, "Hoist", Item{Motor: motor.Described{Name: "Hoist"}}.Called())
	assert.Equal(t, "Drive", Item{Sort: Control, Control: control.Described{Name: "Drive"}}.Called())
	assert.Equal(t, "Part without a name", Item{Sort: Belt}.Called())
	old := Item{Motor: motor.Described{Name: "Old"}}
	assert.True(t, old.Is(Motor))
	assert.Equal(t, Motor, old.Whole().Sort)
	assert.NotNil(t, old.Whole().Motor.Readings)
}

func TestALabelSaysWhatIsMostWorthKnowing(t *testing.T) {
	for says, item := range map[string]Item{
		"½ hp, 1750 rpm, 180 V, 2.8 A": {Motor: motor.Described{Plate: motor.Plate{Power: "½ hp", Speed: "1750 rpm",
			Volts: "180 V", Amps: "2.8 A"}}},
		"2 N·m":                   {Motor: motor.Described{Plate: motor.Plate{HoldingTorque: "2 N·m"}}},
		"180 V, 5 A":              {Sort: Control, Control: control.Described{Volts: "180 V", Amps: "5 A"}},
		"24 teeth, L, bore 12 mm": {Sort: Pulley, Wheel: Wheel{Teeth: "24", Section: "L", Bore: "12 mm"}},
		"A, 1080 mm":              {Sort: Belt, Wheel: Wheel{Section: "A"}, Length: "1080 mm"},
		"":                        {Sort: Other, Length: "1080 mm"},
	} {
		assert.Equal(t, says, item.Label().Says)
	}
	l := Item{ID: "7", Name: "\u200b"}.Label()
	assert.Equal(t, Label{ID: "7", Sort: Motor, State: "untested", Name: "Part without a name"}, l)
}
