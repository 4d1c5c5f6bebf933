package openfile

import (
	"encoding/json"
	"errors"
	"io"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

func demoFile(t testing.TB) []byte {
	data, err := os.ReadFile("../../demo/quarry-lane.json")
	require.NoError(t, err)
	return data
}

func TestDecodeOfEncodeIsTheSame(t *testing.T) {
	file, err := Decode(demoFile(t))
	require.NoError(t, err)
	require.Len(t, file.Machines, 4)
	data, err := Encode(file)
	require.NoError(t, err)
	again, err := Decode(data)
	require.NoError(t, err)
	assert.Equal(t, file, again)
	assert.NotContains(t, string(data), "null", "lists are empty, never null")
}

func TestBadFilesSayWhatAndWhere(t *testing.T) {
	good := `{"format":"jiriki","version":1,"machines":[{"machine":{"name":"Lathe"}}]}`
	_, err := Decode([]byte(good))
	require.NoError(t, err)
	for _, c := range []struct{ data, where, message string }{
		{"", "line 1", "breaks off"},
		{"hello", "line 1, column 1", "not well-formed"},
		{good[:50], "line 1", "breaks off"},
		{strings.Replace(good, "\"machines\"", "\n\"machines\":[]}garbage", 1), "line 2", "not well-formed"},
		{good + "{}", "line 1", "more follows"},
		{`{"format":"other","version":1}`, "format", "not a Jiriki file"},
		{`{"format":"jiriki"}`, "version", "missing"},
		{`{"format":"jiriki","version":3}`, "version", "version 3, and this Jiriki reads up to version 2"},
		{`{"format":"jiriki","version":1000000,"wheels":[]}`, "version", "read it with a newer one"},
		{`{"format":"jiriki","version":0}`, "version", "version is 0"},
		{`{"format":"jiriki","version":"1"}`, "version", "this Jiriki reads versions 1 to 2"},
		{`{"format":"jiriki","version":1,"wheels":[]}`, "line 1", `unknown field "wheels"`},
		{`{"format":"jiriki","version":1,"machines":{}}`, "line 1", "list belongs"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"name":7}}]}`, "line 1", "text belongs"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"name":" "}}]}`, "machines[0].machine.name",
			"needs a name"},
		{`{"format":"jiriki","version":1,"machines":[` + strings.Repeat(`{"machine":{"name":"x"}},`, 1000) +
			`{"machine":{"name":"x"}}]}`, "machines", "at most 1000"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"\u200b\u2060"}}]}`, "machines[0].machine.name",
			"needs a name"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"jobs":[` + strings.Repeat(`{},`, 40) + `{}]}}]}`,
			"machines[0].machine.jobs", "at most 40"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"x"},"plans":[{"notes":"` +
			strings.Repeat("x", 5<<20) + `"}]}]}`,
			"machines[0].plans[0].notes", "longer than 4 MB"},
		{`{"format":"jiriki","version":1,"machines":[null]}`, "line 1", "machines[0] holds a null where a group"},
		{`{"format":"jiriki","version":1,"machines":[{"plans":[],"machine":{"name":"x"}}]}`, "machines[0].machine.name",
			"needs a name"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"x"},"log":[],"plans":[]}]}`, "line 1",
			"a machine stands before its plans, and they before its log"},
		{`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"x"},"log":[{"plan":7}]}]}`, "line 1",
			"machines[0].log[0].plan holds a number"},
		{`{"format":"jiriki","version":1,"machines":[` + strings.Repeat("[", 40), "machines", "deep"},
		{strings.Repeat(" ", 1<<17), "", "in a row"},
	} {
		_, err := Decode([]byte(c.data))
		var read ReadError
		require.ErrorAs(t, err, &read, "%.60s", c.data)
		assert.Contains(t, read.Where, c.where, "%.60s", c.data)
		assert.Contains(t, read.Message, c.message, "%.60s", c.data)
	}
}

// What is too much is refused before it is decoded, and before the rest of it is read.
func TestALimitIsToldBeforeTheRestIsRead(t *testing.T) {
	long := strings.NewReader(`{"format":"jiriki","version":1,"machines":[` +
		strings.Repeat(`{"machine":{"name":"x"}},`, 1e6))
	size := long.Len()
	err := Read(long, &gathered{})
	assert.ErrorContains(t, err, "machines: at most 1000")
	assert.Less(t, size-long.Len(), 1<<20)
}

type readerFunc func([]byte) (int, error)

func (f readerFunc) Read(p []byte) (int, error) { return f(p) }

func TestAFileHasALength(t *testing.T) {
	text := `{"format":"jiriki","version":1,"machines":[` +
		strings.Repeat(`{"machine":{"name":"Lathe","notes":"`+strings.Repeat("x", 1<<19)+`"}},`, 5)
	assert.EqualError(t, read(strings.NewReader(text), &gathered{}, 2<<20), "the file is larger than 2 MB")
	assert.Equal(t, 2<<30, MaxBytes)
}

// A connection that breaks is not a fault of the file.
func TestAReadersOwnErrorIsPassedOn(t *testing.T) {
	broken := errors.New("broken")
	for _, head := range []string{"", `{"format":"jiriki","version":1,"machines":[{"machine":`} {
		err := Read(io.MultiReader(strings.NewReader(head), readerFunc(func([]byte) (int, error) { return 0, broken })),
			&gathered{})
		assert.ErrorIs(t, err, broken)
	}
}

func TestTheHeadMayStandAnywhere(t *testing.T) {
	f, err := Decode([]byte(`{"machines":[{"machine":{"name":"Lathe"}}],"name":"Shed",
	"shelf":null,"version":1,"format":"jiriki"}`))
	require.NoError(t, err)
	assert.Equal(t, "Shed", f.Name)
	_, err = Decode([]byte("{\n\"machines\":[{\"machine\":{\"name\":\"Lathe\"}},\n\n {\"machine\":{\"nome\":\"x\"}}]}"))
	assert.ErrorContains(t, err, "line 4, column")
}

func TestATruncationAnywhereIsRefused(t *testing.T) {
	data := []byte(strings.TrimSpace(string(demoFile(t))))
	for cut := 0; cut < len(data); cut += 97 {
		_, err := Decode(data[:cut])
		assert.ErrorAs(t, err, new(ReadError), "cut at %d", cut)
	}
}

func FuzzDecode(f *testing.F) {
	f.Add([]byte(`{"format":"jiriki","version":1,"machines":[{"machine":{"name":"x"},"plans":[{}]}]}`))
	f.Add([]byte("{\n\"shelf\":[{\"sort\":\"belt\",\"length\":\"1 " +
		"m\"}],\"name\":\"y\",\"version\":1,\"format\":\"jiriki\"}"))
	f.Fuzz(func(t *testing.T, data []byte) {
		file, err := Decode(data)
		if err != nil {
			assert.ErrorAs(t, err, new(ReadError))
			return
		}
		out, err := Encode(file)
		require.NoError(t, err)
		assert.True(t, json.Valid(out))
		again, err := Decode(out)
		require.NoError(t, err)
		assert.Equal(t, file, again)
	})
}
