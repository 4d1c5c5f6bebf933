package shelf

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	q "jiriki/core/quantity"
)

func TestSeveralPulleysAreNamedInOneLine(t *testing.T) {
	for _, c := range []struct {
		sort, text string
		sys        q.System
		want       []string // section, size
	}{
		{Pulley, "A: 65 85 105 145", q.Metric, []string{"A 65 mm", "A 85 mm", "A 105 mm", "A 145 mm"}},
		{Pulley, "A: 2 1/2, 3, 4 1/2", q.Inch, []string{"A 2 1/2 in", "A 3 in", "A 4 1/2 in"}},
		{Pulley, "PJ: 50 mm, 3 in", q.Metric, []string{"PJ 50 mm", "PJ 3 in"}},
		{Pulley, "08B: 15 21 38 teeth", q.Metric, []string{"08B 15 teeth", "08B 21 teeth", "08B 38 teeth"}},
		{Belt, "A: 950 1120 mm", q.Inch, []string{"A 950 mm", "A 1120 mm"}},
		{Pulley, "cast one from the barn", q.Metric, []string{"cast one from the barn"}},
		{Motor, "A: from the mill", q.Metric, []string{"A: from the mill"}},
	} {
		items, err := Named(c.sort, c.text, c.sys)
		require.NoError(t, err, c.text)
		var got []string
		for _, item := range items {
			got = append(got, item.Called())
			assert.True(t, item.Is(c.sort))
		}
		assert.Equal(t, c.want, got, c.text)
	}
	items, err := Named(Pulley, "A: 65 85", q.Metric)
	require.NoError(t, err)
	assert.Equal(t, Wheel{Diameter: "65 mm", Section: "A"}, items[0].Wheel)
	items, err = Named(Belt, "A: 950", q.Metric)
	require.NoError(t, err)
	assert.Equal(t, q.Text("950 mm"), items[0].Length)
	assert.Equal(t, "A", items[0].Wheel.Section)
}

func TestALineThatNamesNothingIsRefused(t *testing.T) {
	for text, says := range map[string]string{
		"":                                "What is it called?",
		" ":                               "What is it called?",
		"A: sixty":                        "is no size",
		"A: 65 -3":                        "is no size",
		"A: 65, 85 furlongs":              "is no size",
		"A: " + strings.Repeat("65 ", 61): "at most 60",
	} {
		_, err := Named(Pulley, text, q.Metric)
		var refused q.FieldErrors
		require.ErrorAs(t, err, &refused, text)
		assert.Equal(t, "text", refused[0].Field)
		assert.Contains(t, refused[0].Message, says, text)
	}
	_, err := Named(Other, strings.Repeat("a", 121), q.Metric)
	assert.Error(t, err)
}
