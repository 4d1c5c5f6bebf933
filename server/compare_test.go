package server_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/compare"
	"jiriki/core/plan/plantest"
)

func TestPlansBesideEachOther(t *testing.T) {
	s := open(t)
	one := compare.Named{Name: "A", Input: plantest.Sound()}
	two := compare.Named{Name: "B", Input: plantest.Sound()}
	two.Input.Plan.Supply.Earthed = false
	var b compare.Beside
	body := map[string]any{"plans": []compare.Named{one, two}}
	require.Equal(t, 200, s.do("POST", "/api/compare", text(t, body), &b))
	require.Len(t, b.Sides, 2)
	assert.True(t, b.Sides[0].MayPower)
	assert.False(t, b.Sides[1].MayPower)
	body["plans"] = []compare.Named{one, one, one, one}
	assert.Equal(t, 413, s.do("POST", "/api/compare", text(t, body), nil), "more than three")
	two.Input.Units = "cubits"
	assert.Equal(t, 422, s.do("POST", "/api/compare", text(t, map[string]any{"plans": []compare.Named{two}}), nil))
}
