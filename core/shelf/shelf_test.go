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
		assert.Equal(t, want, p.SI, text)
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
		_, err := c.item.Known(q.Metric)
		var fields q.FieldErrors
		require.ErrorAs(t, err, &fields, c.field)
		assert.Equal(t, c.field, fields[0].Field)
		assert.NotEmpty(t, fields[0].Message)
	}
}

func TestWhatAPartComesTo(t *testing.T) {
	known, err := Item{Motor: motor.Described{Kind: motor.PermanentMagnetDC, Plate: motor.Plate{Power: "1/2 hp", Speed: "1750", Volts: "180 V", Amps: "2.8 A"},
		Readings: []motor.Reading{{Sort: "open", Volts: "74.4 V", Speed: "820"}}}}.Known(q.Metric)
	require.NoError(t, err)
	assert.NotEmpty(t, known.Workings)
	assert.NotEmpty(t, known.Findings, "nobody has looked for its thermal switch")
	assert.Len(t, known.Bench.Constants, 4)
	plain, err := Item{Sort: Belt, Length: "1080 mm"}.Known(q.Inch)
	require.NoError(t, err)
	assert.Empty(t, plain.Workings)
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
