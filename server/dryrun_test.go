package server_test

import (
	"encoding/json"
	"strings"
	"testing"

	"github.com/danielgtaylor/huma/v2"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/dryrun"
	"jiriki/core/plan"
	"jiriki/core/script"
	"jiriki/server"
)

// runOf is a demo plan as a dry run takes it.
func runOf(sheet server.Sheet) server.DryRunInput {
	return server.DryRunInput{Input: plan.Input{Units: "metric", Machine: sheet.Machine, Plan: sheet.Plan}}
}

func TestADryRunAnswers(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	in := runOf(sheet)
	var a dryrun.Answer
	require.Equal(t, 200, s.do("POST", "/api/dryrun", text(t, in), &a))
	require.True(t, a.Runs)
	assert.False(t, a.Usual, "the demo has scripts of its own")
	assert.NotEmpty(t, a.Trace.Seconds)
	assert.LessOrEqual(t, len(a.Trace.Seconds), dryrun.MostPoints)
	assert.Len(t, a.Trace.Amps, len(a.Trace.Seconds))
	assert.Len(t, a.Trace.CaseC, len(a.Trace.Seconds))

	in.Script = &script.Described{Events: []script.Event{{At: "0 s", Does: script.On},
		{At: "4 s", Does: script.Coast}}}
	require.Equal(t, 200, s.do("POST", "/api/dryrun", text(t, in), &a))
	assert.Len(t, a.Script.Events, 2, "another script in place of the plan's own")

	in.Script.Events[1].At = "soup"
	require.Equal(t, 200, s.do("POST", "/api/dryrun", text(t, in), &a))
	require.Len(t, a.Entries, 1)
	assert.Equal(t, "script.events[1].at", a.Entries[0].Field)

	var day dryrun.Day
	require.Equal(t, 200, s.do("POST", "/api/day", text(t, in), &day))
	assert.True(t, day.Runs)
	assert.Len(t, day.WindingC, len(day.Hours))
}

func TestDrawsStreamTheirResult(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	in := runOf(sheet)
	events := s.stream(t.Context(), "/api/draws", text(t, in))
	last := events[len(events)-1]
	require.Equal(t, "result", last.name)
	var d dryrun.Draws
	require.NoError(t, json.Unmarshal([]byte(last.data), &d))
	assert.Equal(t, dryrun.UsualDraws, d.Of)
	assert.NotEmpty(t, d.Band.Seconds)
	for _, e := range events[:len(events)-1] {
		assert.Equal(t, "progress", e.name)
	}
	in.Units = "cubits"
	events = s.stream(t.Context(), "/api/draws", text(t, in))
	require.Len(t, events, 1)
	require.Equal(t, "problem", events[0].name)
	var problem huma.ErrorModel
	require.NoError(t, json.Unmarshal([]byte(events[0].data), &problem))
	assert.Equal(t, "units", problem.Errors[0].Location)
}

// A script is run however long it takes, with the same result, and a nonsensical one is said as it is at once.
func TestAWholeRunStreamsItsResult(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	in := runOf(sheet)
	var at, whole dryrun.Answer
	require.Equal(t, 200, s.do("POST", "/api/dryrun", text(t, in), &at))
	events := s.stream(t.Context(), "/api/dryrun/whole", text(t, in))
	last := events[len(events)-1]
	require.Equal(t, "result", last.name)
	require.NoError(t, json.Unmarshal([]byte(last.data), &whole))
	assert.Equal(t, at, whole)
	in.Units = "cubits"
	events = s.stream(t.Context(), "/api/dryrun/whole", text(t, in))
	require.Equal(t, "problem", events[0].name)
}

// A body that is no script at all still gets an answer, never a 500.
func TestStrangeScriptsGetAnAnswer(t *testing.T) {
	s := open(t)
	_, sheet := s.withDemo()
	many := runOf(sheet)
	for range script.MaxEvents + 5 {
		many.Plan.Script.Events = append(many.Plan.Script.Events, script.Event{At: "1 s", Does: script.On})
	}
	heavy := runOf(sheet)
	heavy.Plan.Script.Inertia, heavy.Plan.Script.Friction = "1e-7 kg·m²", "1e5 N·m"
	for _, body := range []string{`{}`, `{"draws":-4}`, `{"draws":100000}`, `{"units":"metric"}`,
		`{"units":"metric","plan":{"script":{"events":[{}]}}}`,
		`{"units":"inch","script":{"lasts":"1 week","events":[{"does":"fly","at":"1 " +
			"s"}]}}`, text(t, many), text(t, heavy),
		strings.Replace(text(t, runOf(sheet)), `"36 s"`, `"-36 s"`, 1)} {
		for _, path := range []string{"/api/dryrun", "/api/dryrun/whole", "/api/day", "/api/draws"} {
			assert.Less(t, s.do("POST", path, body, nil), 500, "%s %.80s", path, body)
		}
	}
}
