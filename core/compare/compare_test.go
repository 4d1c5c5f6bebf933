package compare

import (
	"encoding/json"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

func beside(t *testing.T, plans ...plan.Input) Beside {
	t.Helper()
	list := make([]Named, len(plans))
	for i, p := range plans {
		list[i] = Named{Name: string(rune('A' + i)), Input: p}
	}
	b, err := Plans(list)
	require.NoError(t, err)
	return b
}

func (b *Beside) row(t *testing.T, label string) Row {
	t.Helper()
	for _, r := range b.Rows {
		if r.Label == label {
			return r
		}
	}
	require.Fail(t, "no row", label)
	return Row{}
}

func TestWhereTwoPlansDifferStandsFirst(t *testing.T) {
	weak, strong := plantest.Short(), plantest.Short()
	strong.Plan.Motor.Plate.Power, strong.Plan.Motor.Plate.Amps = "2 hp", "12 A"
	strong.Plan.Control.Amps, strong.Plan.Control.LimitAmps = "20 A", ""
	b := beside(t, weak, strong)
	jobs := b.row(t, "Jobs")
	assert.True(t, jobs.Differs && jobs.Cells[1].Better && !jobs.Cells[0].Better, "%+v", jobs)
	assert.Contains(t, b.Headline, "B does more jobs")
	same := false
	for _, r := range b.Rows {
		assert.Len(t, r.Cells, 2)
		assert.False(t, same && r.Differs, "what differs comes first")
		same = same || !r.Differs
	}
	assert.True(t, same)
}

func TestTheSamePlanIsNoBetterThanItself(t *testing.T) {
	b := beside(t, plantest.Sound(), plantest.Sound(), plantest.Sound())
	for _, r := range b.Rows {
		assert.False(t, r.Differs, r.Label)
		for _, c := range r.Cells {
			assert.False(t, c.Better, r.Label)
		}
	}
	assert.Contains(t, b.Headline, "as many jobs")
	assert.NotContains(t, b.Headline, "more to spare")
}

func TestWhatMustNotBePoweredIsSaid(t *testing.T) {
	bare := plantest.Sound()
	bare.Plan.Supply.Earthed = false
	b := beside(t, plantest.Sound(), bare)
	power := b.row(t, "May it be powered?")
	assert.Equal(t, "yes", power.Cells[0].Text)
	assert.True(t, power.Cells[0].Better)
	assert.Regexp(t, "^no: .+", power.Cells[1].Text)
	assert.Contains(t, b.Headline, "B must not be powered yet")
	dangers := b.row(t, "Dangers")
	assert.True(t, dangers.Cells[0].Better)
}

// What is not known of one makes none better.
func TestNothingIsBetterThanWhatIsNotKnown(t *testing.T) {
	b := beside(t, plantest.Sound(), plan.Input{Units: q.Metric, Machine: plantest.Sound().Machine})
	for _, label := range []string{"Speed lost under load", "Starts"} {
		for _, c := range b.row(t, label).Cells {
			assert.False(t, c.Better, label)
		}
	}
	text, err := json.Marshal(b)
	require.NoError(t, err)
	assert.NotRegexp(t, `NaN|\bInf|%!`, string(text))
	one := beside(t, plantest.Sound())
	assert.Contains(t, one.Headline, "Nothing stands beside A")
	none := beside(t)
	assert.Empty(t, none.Rows)
}
