package instrument

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	q "jiriki/core/quantity"
)

func TestLinesAreRead(t *testing.T) {
	for _, c := range []struct {
		text  string
		word  Word
		value float64
		clock float64
	}{
		{"rpm 1234.5", "rpm", 1234.5, math.NaN()}, {"  VOLTS:  121.3  @12.25\r", "volts", 121.3, 12.25},
		{"celsius -4 7", "celsius", -4, 7}, {"newton 1.86e1", "newton", 18.6, math.NaN()},
	} {
		got, err := Parse(c.text)
		require.NoError(t, err, c.text)
		assert.Equal(t, c.word, got.Word)
		assert.InDelta(t, c.value, got.Value, 0)
		if math.IsNaN(c.clock) {
			assert.True(t, math.IsNaN(got.Clock))
		} else {
			assert.InDelta(t, c.clock, got.Clock, 0)
		}
	}
	got, err := Parse("amps 3 @2026-11-27T14:02:03Z")
	require.NoError(t, err)
	assert.True(t, got.HasDay)
	assert.Equal(t, 14, got.At.Hour())
	for text, want := range map[string]error{"": ErrBlank, "# hello": ErrBlank, "furlongs 3": ErrWord, "rpm": ErrNumber,
		"rpm fast": ErrNumber, "rpm NaN": ErrNumber, "rpm 1e400": ErrNumber, "rpm 3 @noon": ErrTime,
		"rpm " + string(make([]byte, 200)): ErrLong} {
		_, err := Parse(text)
		assert.ErrorIs(t, err, want, text)
	}
}

func TestALineComesBackAsItWasWritten(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		l := Line{Word: rapid.SampledFrom(channels).Draw(t, "channel").Word,
			Value: q.Rounded(rapid.Float64Range(-1e6, 1e6).Draw(t, "value")), Clock: math.NaN()}
		if rapid.Bool().Draw(t, "timed") {
			l.Clock = math.Round(rapid.Float64Range(0, 1e5).Draw(t, "clock")*1000) / 1000
		}
		got, err := Parse(l.Write())
		require.NoError(t, err)
		assert.InDelta(t, l.Value, got.Value, math.Abs(l.Value)*1e-6)
		assert.Equal(t, math.IsNaN(l.Clock), math.IsNaN(got.Clock))
	})
}

func FuzzParse(f *testing.F) {
	for _, s := range []string{"rpm 12", "volts 3 @4", "celsius 5 @2026-11-27T14:02:03Z", "# x", ""} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, text string) {
		if l, err := Parse(text); err == nil {
			assert.False(t, math.IsNaN(l.Value) || math.IsInf(l.Value, 0))
			_, err := q.Parse(l.Typed(), mustChannel(l.Word).Is)
			require.NoError(t, err, l.Typed())
		}
	})
}

func mustChannel(w Word) Channel { c, _ := channelOf(w); return c }
