package server_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/slate"
	"jiriki/core/work"
	"jiriki/server"
)

func TestTheSlateAnswers(t *testing.T) {
	s := open(t)
	var reply slate.Reply
	require.Equal(t, 200, s.do("POST", "/api/slate", `{"text":"1.3 hp at 2700 rpm","units":"inch"}`, &reply))
	require.NotEmpty(t, reply.Answers)
	assert.Equal(t, slate.Kind("torque"), reply.Answers[0].Kind)
	assert.Contains(t, reply.Answers[0].Text, "lbf·ft")
	require.Equal(t, 200, s.do("POST", "/api/slate", `{"text":"good day","units":"metric"}`, &reply))
	assert.Empty(t, reply.Answers)
	assert.NotEmpty(t, reply.Unread)
	assert.Equal(t, 422, s.do("POST", "/api/slate", `{"text":"`+strings.Repeat("1", 301)+`","units":"metric"}`, nil))
	assert.Equal(t, 422, s.do("POST", "/api/slate", `{"text":"2 hp","units":"cubits"}`, nil))
}

// The first screen's example is a whole plan that can be judged, and is put in no workshop.
func TestTheExampleIsOneToPlayWith(t *testing.T) {
	s := open(t)
	var one struct {
		Machine work.Machine `json:"machine"`
		Plan    plan.Plan    `json:"plan"`
	}
	require.Equal(t, 200, s.do("GET", "/api/example", "", &one))
	assert.NotEmpty(t, one.Machine.Jobs)
	assert.Len(t, one.Plan.Reduction.Stages, 1, "one belt to drag")
	var shed server.Workshop
	require.Equal(t, 200, s.do("GET", "/api/workshop", "", &shed))
	assert.Empty(t, shed.Machines)
}
