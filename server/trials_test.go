package server_test

import (
	"bytes"
	"context"
	"encoding/binary"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"math"
	"net/http"
	"strings"
	"testing"
	"time"

	"github.com/coder/websocket"
	"github.com/coder/websocket/wsjson"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/measured"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	"jiriki/core/work"
	"jiriki/server"
	"jiriki/store/storetest"
)

// said sends a body and reads the answer into v; it returns the status.
func (s shop) said(method, path, contentType string, body []byte, v any) int {
	s.t.Helper()
	request, err := http.NewRequestWithContext(s.t.Context(), method, s.url+path, bytes.NewReader(body))
	require.NoError(s.t, err)
	request.Header.Set("Content-Type", contentType)
	answer, err := http.DefaultClient.Do(request)
	require.NoError(s.t, err)
	defer func() { _ = answer.Body.Close() }()
	data, err := io.ReadAll(answer.Body)
	require.NoError(s.t, err)
	if v != nil && len(data) > 0 {
		require.NoError(s.t, json.Unmarshal(data, v), string(data))
	}
	return answer.StatusCode
}

func inJSON(t testing.TB, v any) []byte {
	t.Helper()
	data, err := json.Marshal(v)
	require.NoError(t, err)
	return data
}

func TestATrialIsWorkedOut(t *testing.T) {
	s := open(t)
	in := plantest.Sound()
	in.Plan.Trials = []measured.Trial{{Kind: measured.Ratio, Readings: []measured.Reading{{Speed: "1600",
		Second: "452"}}}}
	var out struct{ Headline string }
	body := map[string]any{"units": "metric", "machine": in.Machine, "plan": in.Plan, "trial": 0}
	require.Equal(t, 200, s.said("POST", "/api/trial", "application/json", inJSON(t, body), &out))
	assert.Contains(t, out.Headline, "The ratio is")
	body["trial"] = 7
	assert.Equal(t, 422, s.said("POST", "/api/trial", "application/json", inJSON(t, body), nil))

	var table struct {
		Readings []measured.Reading
	}
	asked := map[string]any{"kind": "knob", "text": "knob;rpm\n1;24,5\n", "as": []string{}}
	require.Equal(t, 200, s.said("POST", "/api/trial/table", "application/json", inJSON(t, asked), &table))
	assert.Equal(t, measured.Reading{Mark: "1", Speed: "24.5 rpm"}, table.Readings[0])
	asked["text"] = "soup"
	assert.Equal(t, 422, s.said("POST", "/api/trial/table", "application/json", inJSON(t, asked), nil))
}

func TestAFaultAndAnExerciseAreAnswered(t *testing.T) {
	s := open(t)
	in := plantest.Sound()
	body := map[string]any{"units": "metric", "machine": in.Machine, "plan": in.Plan,
		"asked": map[string]any{"symptom": "sparks", "words": "", "done": []any{}}}
	var opinion struct{ Next struct{ Danger string } }
	require.Equal(t, 200, s.said("POST", "/api/fault", "application/json", inJSON(t, body), &opinion))
	assert.Equal(t, "dead", opinion.Next.Danger)
	body["asked"] = map[string]any{"symptom": "soup", "words": "", "done": []any{}}
	assert.Equal(t, 422, s.said("POST", "/api/fault", "application/json", inJSON(t, body), nil))

	var list []struct{ ID string }
	require.Equal(t, 200, s.said("GET", "/api/practice", "application/json", nil, &list))
	assert.GreaterOrEqual(t, len(list), 12)
	var bench struct{ Came []struct{ Shows string } }
	asked := map[string]any{"exercise": "leads", "seed": 7, "deeds": []any{map[string]any{"act": "rb", "figure": ""}},
		"answers": []any{}}
	require.Equal(t, 200, s.said("POST", "/api/practice", "application/json", inJSON(t, asked), &bench))
	assert.Contains(t, bench.Came[0].Shows, "Ω")
	asked["exercise"] = "soup"
	assert.Equal(t, 422, s.said("POST", "/api/practice", "application/json", inJSON(t, asked), nil))
	assert.Equal(t, 200, s.said("GET", "/api/practice/bench?seed=3&knob=0.5&seconds=9&flash=500&pulls=2", "", nil, nil))
	for _, odd := range []string{"seconds=NaN", "seconds=-Inf", "knob=nan", "flash=+Inf"} {
		assert.Equal(t, 422, s.said("GET", "/api/practice/bench?seed=3&"+odd, "", nil, nil), odd)
	}
}

// What an instrument sends comes out of the stream as it came, and under a token nobody made nothing is taken.
func TestInstrumentsAreHeard(t *testing.T) {
	s := open(t)
	var made struct {
		ID    int64
		Token string
	}
	require.Equal(t, 201, s.said("POST", "/api/instruments", "application/json", []byte(`{"name":"tacho"}`), &made))
	var list []map[string]any
	require.Equal(t, 200, s.said("GET", "/api/instruments", "", nil, &list))
	assert.Equal(t, []map[string]any{{"id": float64(made.ID), "name": "tacho"}}, list, "its token is told once")
	heard := hear(t, s)
	var sent struct {
		Taken   int
		Refused []struct{ Line int }
	}
	path := "/api/instruments/" + made.Token + "/readings"
	require.Equal(t, 200, s.said("POST", path, "text/plain", []byte("rpm 617.5 @2.5\n# so\nfurlongs 3\n"), &sent))
	assert.Equal(t, 1, sent.Taken)
	assert.Equal(t, 3, sent.Refused[0].Line)
	value := heard(1)[0]
	assert.Equal(t, "tacho", value.Name)
	assert.Equal(t, "617.5 rpm", value.Typed)
	assert.InDelta(t, 2.5, *value.Clock, 0)
	assert.Equal(t, 404, s.said("POST", "/api/instruments/"+strings.Repeat("a", 20)+"/readings", "text/plain",
		[]byte("rpm 1"), nil))
	assert.Equal(t, 413, s.said("POST", path, "text/plain", make([]byte, 1<<20), nil))
	assert.Equal(t, 204, s.said("DELETE", fmt.Sprint("/api/instruments/", made.ID), "", nil, nil))
	assert.Equal(t, 404, s.said("POST", path, "text/plain", []byte("rpm 1"), nil))
}

// hear listens, and returns how to wait for so many values.
func hear(t *testing.T, s shop) func(n int) []server.LiveValue {
	t.Helper()
	ctx, stop := context.WithTimeout(t.Context(), 90*time.Second)
	t.Cleanup(stop)
	socket, _, err := websocket.Dial(ctx, strings.Replace(s.url, "http", "ws", 1)+"/api/live", nil)
	require.NoError(t, err)
	t.Cleanup(func() { _ = socket.CloseNow() })
	socket.SetReadLimit(8 << 20)
	return func(n int) (out []server.LiveValue) {
		for len(out) < n {
			var batch []server.LiveValue
			require.NoError(t, wsjson.Read(ctx, socket, &batch))
			out = append(out, batch...)
		}
		return out
	}
}

// What is answered as taken arrives, all of it and in order, at five thousand readings a second; several listen.
func TestWhatIsTakenArrivesInOrder(t *testing.T) {
	s := open(t)
	var made struct{ Token string }
	require.Equal(t, 201, s.said("POST", "/api/instruments", "application/json", []byte(`{"name":"adc"}`), &made))
	const listeners, batches, each = 5, 40, 1000
	var all []func(int) []server.LiveValue
	for range listeners {
		all = append(all, hear(t, s))
	}
	sent := make(chan error, 1)
	go func() {
		defer close(sent)
		for b := range batches {
			var lines strings.Builder
			for i := range each {
				fmt.Fprintf(&lines, "volts %d\n", b*each+i)
			}
			res, err := http.Post(s.url+"/api/instruments/"+made.Token+"/readings", "text/plain",
				strings.NewReader(lines.String()))
			if err != nil {
				sent <- err
				return
			}
			var said struct{ Taken, Missed int }
			err = errors.Join(json.NewDecoder(res.Body).Decode(&said), res.Body.Close())
			if err != nil || said.Taken != each || said.Missed != 0 {
				sent <- fmt.Errorf("batch %d: %+v %w", b, said, err)
				return
			}
		}
	}()
	for _, heard := range all {
		for i, v := range heard(batches * each) {
			require.InDelta(t, i, v.Value, 0)
		}
	}
	require.NoError(t, <-sent)
}

// One that listens and does not keep up costs nobody anything; how much it missed is said to who sends.
func TestOneThatIsTooSlowIsSaid(t *testing.T) {
	s := open(t)
	var made struct{ Token string }
	require.Equal(t, 201, s.said("POST", "/api/instruments", "application/json", []byte(`{"name":"adc"}`), &made))
	hear(t, s) // and never reads
	lines := []byte(strings.Repeat("volts 1\n", 2000))
	var said struct{ Taken, Missed int }
	for range 200 {
		require.Equal(t, 200, s.said("POST", "/api/instruments/"+made.Token+"/readings", "text/plain", lines, &said))
		require.Equal(t, 2000, said.Taken)
		if said.Missed > 0 {
			assert.Equal(t, 2000, said.Missed)
			return
		}
	}
	t.Fatal("nothing was ever missed")
}

func TestASoundIsListenedTo(t *testing.T) {
	kept := storetest.Open(t)
	in := plantest.Sound()
	_, plans, err := kept.AddMachine(t.Context(), in.Machine, []plan.Plan{in.Plan.Whole()})
	require.NoError(t, err)
	s := serve(t, kept)
	const turns, rate = 21.0, 8000.0
	var samples bytes.Buffer
	for i := range int(4 * rate) {
		at := 2 * math.Pi * float64(i) / rate
		v := 0.3*math.Sin(100*at) + 0.1*math.Sin(turns*at) + 0.06*math.Sin(2*turns*at) + 0.05*math.Sin(3*turns*at) +
			0.02*math.Sin(float64(i*i%9973))
		require.NoError(t, binary.Write(&samples, binary.LittleEndian, float32(v)))
	}
	var heard struct{ Speed float64 }
	path := "/api/plans/" + plans[0] + "/listen?rate=8000&where=motor"
	require.Equal(t, 200, s.said("POST", path, "application/octet-stream", samples.Bytes(), &heard))
	assert.InEpsilon(t, turns, heard.Speed, 0.005)
	assert.Equal(t, 422, s.said("POST", path, "application/octet-stream", samples.Bytes()[:400], nil))
	for _, rate := range []string{"NaN", "Inf", "-Inf", "1e400", "0.001", "4000", "400001", "-1"} {
		assert.Equal(t, 422, s.said("POST", strings.Replace(path, "8000", rate, 1), "application/octet-stream",
			samples.Bytes(), nil), rate)
	}
	assert.Equal(t, 422, s.said("POST", path, "application/octet-stream", make([]byte, 200_000), nil), "silence")
	assert.Equal(t, 422, s.said("POST", strings.Replace(path, "rate=8000&", "", 1), "application/octet-stream",
		samples.Bytes(), nil))
}

func TestTheLogOverHTTP(t *testing.T) {
	kept := storetest.Open(t)
	machine, plans, err := kept.AddMachine(t.Context(), work.Machine{Name: "Wheel"}.Whole(),
		[]plan.Plan{plan.Plan{}.Whole()})
	require.NoError(t, err)
	s := serve(t, kept)
	entry := map[string]any{"id": "00000000-0000-4000-8000-00000000000a", "happened": "2026-11-02T09:30:00Z",
		"sort": "hours",
		"plan": "A", "title": "=Ran", "detail": "", "hours": "2.5 h", "item": "", "itself": true, "before": "",
		"pictures": []any{}}
	path := "/api/machines/" + machine + "/log"
	for range 2 {
		require.Equal(t, 204, s.said("POST", path, "application/json", inJSON(t, entry), nil))
	}
	var log struct {
		Entries []struct {
			Title   string
			Itself  bool
			Version int
		}
		Hours float64
		Due   []struct{ Item string }
	}
	require.Equal(t, 200, s.said("GET", path+"?plan="+plans[0], "", nil, &log))
	require.Len(t, log.Entries, 1, "sent twice, kept once")
	assert.False(t, log.Entries[0].Itself, "what is sent was written by hand, whatever it says")
	assert.InDelta(t, 2.5, log.Hours, 1e-9)
	assert.NotEmpty(t, log.Due)
	entry["hours"] = "soup"
	assert.Equal(t, 422, s.said("POST", path, "application/json", inJSON(t, entry), nil))
	entry["hours"], entry["id"] = "1 h", "soup"
	assert.Equal(t, 422, s.said("POST", path, "application/json", inJSON(t, entry), nil))
	entry["id"], entry["version"] = "00000000-0000-4000-8000-00000000000a", 1
	require.Equal(t, 200, s.said("PUT", "/api/log/00000000-0000-4000-8000-00000000000a", "application/json", inJSON(t,
		entry), nil))
	assert.Equal(t, 409, s.said("PUT", "/api/log/00000000-0000-4000-8000-00000000000a", "application/json", inJSON(t,
		entry), nil))
	answer, err := http.Get(s.url + path + ".csv")
	require.NoError(t, err)
	text, err := io.ReadAll(answer.Body)
	require.NoError(t, err)
	require.NoError(t, answer.Body.Close())
	assert.Contains(t, string(text), "'=Ran", "no spreadsheet takes it for a formula")

	// A save writes itself down.
	var sheet map[string]any
	require.Equal(t, 200, s.said("GET", "/api/plans/"+plans[0], "", nil, &sheet))
	described, _ := sheet["plan"].(map[string]any)
	supply, _ := described["supply"].(map[string]any)
	supply["volts"] = "230 V"
	change := map[string]any{"planVersion": 1, "machineVersion": 1, "plan": described, "machine": sheet["machine"]}
	require.Equal(t, 200, s.said("PUT", "/api/plans/"+plans[0], "application/json", inJSON(t, change), nil))
	require.Equal(t, 200, s.said("GET", path+"?search=supply", "", nil, &log))
	require.NotEmpty(t, log.Entries)
	assert.Equal(t, "Plan changed", log.Entries[0].Title)
	assert.True(t, log.Entries[0].Itself)
}
