package server_test

import (
	"bufio"
	"context"
	"encoding/json"
	"net/http"
	"strings"
	"testing"

	"github.com/danielgtaylor/huma/v2"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/build"
	"jiriki/core/plan"
	"jiriki/core/rank"
	"jiriki/core/reduction"
	"jiriki/core/search"
	"jiriki/server"
)

// event is one of a stream's.
type event struct{ name, data string }

// stream posts a body and reads the events that come back.
func (s shop) stream(ctx context.Context, path, body string) []event {
	s.t.Helper()
	req, err := http.NewRequestWithContext(ctx, http.MethodPost, s.url+path, strings.NewReader(body))
	require.NoError(s.t, err)
	req.Header.Set("Content-Type", "application/json")
	res, err := http.DefaultClient.Do(req)
	require.NoError(s.t, err)
	defer func() { _ = res.Body.Close() }()
	require.Equal(s.t, http.StatusOK, res.StatusCode)
	require.Equal(s.t, "text/event-stream", res.Header.Get("Content-Type"))
	var out []event
	var now event
	lines := bufio.NewScanner(res.Body)
	lines.Buffer(nil, 4<<20)
	for lines.Scan() {
		switch name, value, _ := strings.Cut(lines.Text(), ": "); name {
		case "event":
			now.name = value
		case "data":
			now.data = value
		case "":
			out, now = append(out, now), event{}
		}
	}
	return out
}

func searchOf(sheet server.Sheet) search.Input {
	return search.Input{Input: plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan},
		Ask: search.Ask{Kinds: []string{"v-A"},
			Cones: true}}
}

func TestASearchStreamsItsResult(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	events := s.stream(t.Context(), "/api/search", text(t, searchOf(sheet)))
	require.NotEmpty(t, events)
	last := events[len(events)-1]
	require.Equal(t, "result", last.name)
	var result search.Result
	require.NoError(t, json.Unmarshal([]byte(last.data), &result))
	assert.NotEmpty(t, result.Found)
	assert.Positive(t, result.Tried)
	for _, e := range events[:len(events)-1] {
		assert.Equal(t, "progress", e.name)
	}
}

func TestASearchNamesTheFieldItCannotUse(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	in := searchOf(sheet)
	in.Ask.Largest = "as big as you like"
	events := s.stream(t.Context(), "/api/search", text(t, in))
	require.Len(t, events, 1)
	require.Equal(t, "problem", events[0].name)
	var problem huma.ErrorModel
	require.NoError(t, json.Unmarshal([]byte(events[0].data), &problem))
	assert.Equal(t, "ask.largest", problem.Errors[0].Location)
}

// A body that is no plan at all still gets an answer, never a 500.
func TestStrangeSearchesGetAnAnswer(t *testing.T) {
	s := open(t)
	for _, body := range []string{`{}`, `{"ask":{"stages":99}}`,
		`{"units":"metric","ask":{"kinds":["v-A","v-A","v-A"],"keep":-3}}`,
		`{"units":"metric","plan":{"reduction":{"stages":[{}]}},"ask":{"keep":1}}`} {
		for _, path := range []string{"/api/search", "/api/build", "/api/controls", "/api/assess", "/api/belts"} {
			assert.Less(t, s.do("POST", path, body, nil), 500, "%s %s", path, body)
		}
	}
}

func TestBuildAndControlsAnswer(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	in := plan.Input{Units: "inch", Machine: sheet.Machine, Plan: sheet.Plan}
	var build build.Build
	require.Equal(t, 200, s.do("POST", "/api/build", text(t, in), &build))
	assert.True(t, build.Wiring.Known)
	assert.NotEmpty(t, build.PowerUp)
	var tried rank.ControlsTried
	require.Equal(t, 200, s.do("POST", "/api/controls", text(t, in), &tried))
	assert.NotEmpty(t, tried.Tried)
	in.Plan.Control.Ohms, in.Plan.Control.Kind = "much", "resistor"
	in.Machine.Limits.Spindle = "2000 rpm" // nothing trims it
	require.Equal(t, 200, s.do("POST", "/api/build", text(t, in), &build))
	assert.False(t, build.MayPower)
	assert.Contains(t, build.Blocked, "“much” cannot be used")
}

// What a search gives is put into a plan, saved and read again as it was.
func TestAFoundReductionIsSavedWithItsPlan(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	events := s.stream(t.Context(), "/api/search", text(t, searchOf(sheet)))
	var result search.Result
	require.NoError(t, json.Unmarshal([]byte(events[len(events)-1].data), &result))
	changed := sheet.Plan
	changed.Reduction = result.Found[0].Plan
	changed.Checks = append(changed.Checks, plan.Check{ID: "power.unplug", On: "2026-11-25", Measured: "0 V"})
	changed.Prices = []plan.Price{{Part: "buy.box", Cost: "£16"}}
	body := map[string]any{"plan": changed, "machine": sheet.Machine, "planVersion": sheet.PlanVersion,
		"machineVersion": sheet.MachineVersion}
	require.Equal(t, 200, s.do("PUT", "/api/plans/"+sheet.PlanID, text(t, body), nil))
	var again struct{ Plan plan.Plan }
	require.Equal(t, 200, s.do("GET", "/api/plans/"+sheet.PlanID, "", &again))
	assert.Equal(t, changed.Reduction.Stages[0].Steps, again.Plan.Reduction.Stages[0].Steps)
	assert.Equal(t, changed.Checks, again.Plan.Checks)
	assert.Equal(t, changed.Prices, again.Plan.Prices)
	assert.Equal(t, reduction.VBelt, again.Plan.Reduction.Stages[0].Kind)
}
