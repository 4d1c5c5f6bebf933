package plan_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// What cannot be used is named and taken as not there; the rest is resolved.
func TestAPlanIsResolvedWithoutWhatCannotBeUsed(t *testing.T) {
	in := plan.Input{Units: q.Metric, Machine: work.Machine{Jobs: []work.Job{{ID: "a",
		Speed: work.SpeedBand{From: "60"}}}}}
	in.Plan.Supply.Volts, in.Plan.Supply.Cable = "230 V", "25"
	in.Plan.Motor = motor.Described{Kind: motor.PermanentMagnetDC, Plate: motor.Plate{Power: "half a horse",
		Speed: "1750 rpm"}}
	in.Plan.Prices = []plan.Price{{Part: "box", Cost: "a lot"}}
	s, err := plan.Resolve(in)
	require.NoError(t, err)
	assert.Equal(t, 230.0, s.Supply.Volts)
	assert.InEpsilon(t, 1750*q.RPM, s.Motor.Speed.Value, 1e-12)
	for _, field := range []string{"supply.cable", "motor.plate.power", "prices[0].cost"} {
		assert.True(t, s.Refuses(field), field)
	}
	assert.False(t, s.Refuses("supply.volts"))
	assert.Len(t, s.Entries, 3)
}

// What is too long to be taken at once is refused whole.
func TestAPlanHasItsBounds(t *testing.T) {
	for field, in := range map[string]plan.Input{
		"units":  {Units: "cubits"},
		"checks": {Units: q.Metric, Plan: plan.Plan{Checks: make([]plan.Check, 201)}},
		"prices": {Units: q.Inch, Plan: plan.Plan{Prices: make([]plan.Price, 201)}},
		"shelf":  {Units: q.Metric, Shelf: make([]shelf.Item, plan.MaxShelf+1)},
	} {
		_, err := plan.Resolve(in)
		var refused q.FieldErrors
		require.ErrorAs(t, err, &refused, field)
		assert.Len(t, refused, 1)
		assert.Equal(t, field, refused[0].Field)
	}
	_, err := plan.Resolve(plan.Input{Units: q.Metric, Shelf: make([]shelf.Item, plan.MaxShelf)})
	assert.NoError(t, err)
}

func TestAWholePlanHasListsWhereNoneWereGiven(t *testing.T) {
	p := plan.Plan{Reduction: reduction.Described{Stages: []reduction.DescribedStage{{Kind: reduction.VBelt}}}}
	whole := p.Whole()
	assert.NotNil(t, whole.Prices)
	assert.NotNil(t, whole.Checks)
	assert.NotNil(t, whole.Motor.Readings)
	assert.NotNil(t, whole.Reduction.Stages[0].Steps)
	assert.Nil(t, p.Reduction.Stages[0].Steps, "the one it came from is left as it was")
}
