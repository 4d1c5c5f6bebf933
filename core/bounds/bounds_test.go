package bounds_test

import (
	"encoding/json"
	"fmt"
	"reflect"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"jiriki/core/bounds"
	"jiriki/core/plan"
)

type inner struct {
	Names []string `json:"names" maxItems:"3"`
	Note  string   `json:"note"`
}

type outer struct {
	inner
	Parts []inner        `json:"parts" maxItems:"2"`
	Each  []inner        `json:"each" maxItems:"9" parts:"each"`
	Deep  *inner         `json:"deep"`
	Any   map[string]any `json:"any"`
}

var shape = bounds.Of(reflect.TypeFor[outer]())

func TestEachListHoldsWhatItsFieldSays(t *testing.T) {
	for text, path := range map[string]string{
		`{"names":["a","b","c"],"parts":[{},{"names":[]}]}`:            "",
		`{"parts":[{},{},{}]}`:                                         "parts",
		`{"PARTS":[{},{},{}]}`:                                         "parts",
		`{"parts":[{"names":["a"]},{"names":["a","b","c","d"]}]}`:      "parts[1].names",
		`{"deep":{"note":"],[,{\"}","names":["[","\\","c",",",",,"]}}`: "deep.names",
		// of another kind: the decoder's to refuse
		`{"names":[[1,2,3,4,5],[],[]]}`:                                      "",
		`{"any":{"x":[1,2,3,4]},"other":[1,2,3,4]}`:                          "",
		`{"other":[` + strings.Repeat("{},", bounds.UsualMost) + `{}]}`:      "other",
		`{"par\u0074s":[` + strings.Repeat("{},", bounds.UsualMost) + `{}]}`: `par\u0074s`,
	} {
		err := shape.Check([]byte(text))
		if path == "" {
			assert.NoError(t, err, text)
			continue
		}
		var passed bounds.Error
		require.ErrorAs(t, err, &passed, text)
		assert.Equal(t, path, passed.Path)
		assert.Contains(t, passed.Message, "at most")
	}
}

func TestDepthAndLengthAreBounded(t *testing.T) {
	assert.NoError(t, shape.Check([]byte(strings.Repeat("[", bounds.Deepest))))
	assert.ErrorContains(t, shape.Check([]byte(strings.Repeat("[", bounds.Deepest+1))), "24 deep")
	long := `{"deep":{"note":"` + strings.Repeat("x", bounds.PartBytes) + `"}}`
	assert.ErrorContains(t, shape.Check([]byte(long)), "deep.note: longer than 4 MB")
	assert.ErrorContains(t, shape.Check([]byte(`{"note":"`+strings.Repeat("x", bounds.PartBytes+1))),
		"longer than 4 MB")
	blank := strings.Repeat(" \n", bounds.MostBlank/2)
	assert.NoError(t, shape.Check([]byte(blank+"{"+blank+`"note"`+blank+":"+blank+`"`+blank+blank+`"}`)))
	assert.ErrorContains(t, shape.Check([]byte(`{"note":`+blank+" ")), "65536 spaces and line ends in a row")
	// What is set out for reading is no longer than in one line, and yet bounded.
	rows := func(space string) string {
		return `{"deep":{"any":[` + strings.Repeat("{},", 150) + strings.Repeat(space+`{`+space+`},`, 1) + `{}]}}`
	}
	assert.NoError(t, shape.Check([]byte(rows(blank[1:]))))
	spread := `{"deep":{` + strings.Repeat(blank[:1600]+`"x":0,`+blank[:1600], 30_000)
	assert.ErrorContains(t, shape.Check([]byte(spread)), "longer than 4 MB")
	assert.NoError(t, shape.Check([]byte(spread[:10*bounds.PartBytes])))
	// Each part of the whole has its own length, and so has each of a list of parts within one.
	half := `{"note":"` + strings.Repeat("x", bounds.PartBytes/2) + `"}`
	assert.NoError(t, shape.Check([]byte(`{"parts":[`+half+`,`+half+`],"deep":`+half+`}`)))
	each := bounds.Of(reflect.TypeFor[[]outer]())
	assert.NoError(t, each.Check([]byte(`[{"each":[`+half+`,`+half+`,`+half+`]}]`)))
	assert.ErrorContains(t, each.Check([]byte(`[{"parts":[`+half+`,`+half+`]}]`)), "longer than 4 MB")
}

// It is told as soon as it is certain, not when all of it has come.
func TestItIsToldBeforeTheRestHasCome(t *testing.T) {
	c := shape.Checker()
	_, err := c.Write([]byte(`{"parts":[{},{}`))
	require.NoError(t, err)
	_, err = c.Write([]byte(`,`))
	assert.Error(t, err)
}

// Whatever the pieces, it says the same; and it passes just the lists that are short enough.
func TestAnyTextInAnyPieces(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		word := rapid.SampledFrom([]string{``, `x`, `"`, `\`, `[{`, `}],`, `é`})
		list := func(label string, most int) []string { return rapid.SliceOfN(word, 0, most).Draw(t, label) }
		value := outer{inner: inner{Names: list("names", 5), Note: word.Draw(t, "note")}}
		within := len(value.Names) <= 3
		for i := range rapid.IntRange(0, 3).Draw(t, "parts") {
			part := inner{Names: list(fmt.Sprint("part", i), 4), Note: word.Draw(t, "partnote")}
			value.Parts = append(value.Parts, part)
			within = within && len(part.Names) <= 3
		}
		within = within && len(value.Parts) <= 2
		text, err := json.Marshal(value)
		require.NoError(t, err)
		assert.Equal(t, within, shape.Check(text) == nil, string(text))
		c := shape.Checker()
		for len(text) > 0 && err == nil {
			n := rapid.IntRange(1, len(text)).Draw(t, "piece")
			_, err = c.Write(text[:n])
			text = text[n:]
		}
		assert.Equal(t, within, err == nil)
	})
}

// Every list of what is asked and kept says how long it may be.
func TestAPlanOfEveryListTooLongIsPassedByNone(t *testing.T) {
	for _, path := range []string{`machine":{"jobs`, `plan":{"checks`, `plan":{"prices`, `shelf`,
		`plan":{"motor":{"readings`,
		`plan":{"reduction":{"stages`} {
		text := `{"` + path + `":[` + strings.Repeat("{},", bounds.UsualMost) + `{}]`
		assert.Error(t, bounds.Of(reflect.TypeFor[plan.Input]()).Check([]byte(text)), path)
	}
}

// However strange the text, it is held against the limits without a fault, and in any two pieces alike.
func FuzzCheck(f *testing.F) {
	f.Add([]byte(`{"names":["a","b"],"parts":[{"note":"\\""},{}]}`), 7)
	f.Add([]byte(`]]}{"parts":[[[,:,"`), 1)
	f.Fuzz(func(t *testing.T, text []byte, cut int) {
		whole := shape.Check(text)
		c := shape.Checker()
		cut = min(max(cut, 0), len(text))
		_, err := c.Write(text[:cut])
		if err == nil {
			_, err = c.Write(text[cut:])
		}
		assert.Equal(t, whole == nil, err == nil)
		var value outer
		if whole == nil && json.Unmarshal(text, &value) == nil {
			assert.LessOrEqual(t, len(value.Parts), 2)
			assert.LessOrEqual(t, len(value.Names), 3)
		}
	})
}

func BenchmarkCheck(b *testing.B) {
	text := []byte(`{"parts":[` + strings.Repeat(`{"names":["one","two"],"note":"as long as a field"},`, 1) +
		`{}],"note":"` + strings.Repeat("words ", 2500) + `"}`)
	b.SetBytes(int64(len(text)))
	for b.Loop() {
		if err := shape.Check(text); err != nil {
			b.Fatal(err)
		}
	}
}
