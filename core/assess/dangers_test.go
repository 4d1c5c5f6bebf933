package assess_test

import (
	"flag"
	"fmt"
	"os"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess"
	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/plan/plantest"
)

func TestNoSoundPlanIsStopped(t *testing.T) {
	sounds := plantest.Sounds()
	assert.GreaterOrEqual(t, len(sounds), 90)
	for _, one := range sounds {
		a := assesstest.Of(t, one.Input)
		for _, f := range a.Findings {
			assert.NotEqual(t, finding.Stop, f.Level, "%s: %s, %s: %s", one.What, f.ID, f.Title, f.Detail)
			assert.False(t, f.Entry, "%s: %s, %s: %s", one.What, f.ID, f.Title, f.Detail)
		}
		assert.True(t, a.MayPower, "%s: %s", one.What, a.Power.Text)
		assert.Equal(t, judge.Yes, a.Power.Answer, one.What)
		assert.Empty(t, a.Power.Hangs, one.What)
		assert.Equal(t, len(a.Jobs), a.JobsDone, "%s: %s", one.What, a.Does.Text)
	}
}

func TestDangerousPlansAreStoppedForTheirReason(t *testing.T) {
	dangers := plantest.Dangers()
	assert.GreaterOrEqual(t, len(dangers), 90)
	for _, one := range dangers {
		a := assesstest.Of(t, one.Input)
		assert.False(t, a.MayPower, one.What)
		assert.Equal(t, judge.No, a.Power.Answer, one.What)
		assert.Contains(t, stops(a), one.Stop, one.What)
		one.Clear(&one.Input)
		a = assesstest.Of(t, one.Input)
		assert.True(t, a.MayPower, "%s, cleared: %v, %s", one.What, stops(a), a.Power.Text)
	}
}

// What may be sound or not, for one entry that is not there, is not known yet; and the answer names the entry.
func TestABlankThatDecidesIsAskedFor(t *testing.T) {
	for _, one := range plantest.Blanks() {
		a := assesstest.Of(t, one.Input)
		assert.Equal(t, judge.Unknown, a.Power.Answer, "%s: %s", one.What, a.Power.Text)
		assert.False(t, a.MayPower, one.What)
		fields := []string{}
		for _, h := range a.Power.Hangs {
			fields = append(fields, h.Field)
		}
		assert.Contains(t, fields, one.Asks, one.What)
	}
}

// stops are the findings that forbid power.
func stops(a assess.Assessment) []finding.ID {
	var out []finding.ID
	for _, f := range a.Findings {
		if f.Level == finding.Stop && !f.Short {
			out = append(out, f.ID)
		}
	}
	return out
}

var published = flag.String("dangers", "", "write the table of dangers there instead of reading it")

// The table stands where people read: docs/dangers.md is made from it.
func TestTheTableOfDangersIsPublished(t *testing.T) {
	var page strings.Builder
	page.WriteString(dangersHead)
	for _, one := range plantest.Dangers() {
		stop := assesstest.Finding(assesstest.Of(t, one.Input), one.Stop)
		require.NotNil(t, stop, one.What)
		fmt.Fprintf(&page, "| %s | %s | `%s` |\n", one.What, stop.Title, stop.Field)
	}
	page.WriteString("\nAnd these may be sound or not; one entry decides, and it is not there, so that it is not " +
		"known yet whether they may be powered:\n\n| what is not there | asked for at |\n|---|---|\n")
	for _, one := range plantest.Blanks() {
		fmt.Fprintf(&page, "| %s | `%s` |\n", one.What, one.Asks)
	}
	page.WriteString("\nAnd these are sound, none of them to be stopped:\n\n")
	for _, one := range plantest.Sounds() {
		fmt.Fprintf(&page, "- %s\n", one.What)
	}
	if *published != "" {
		require.NoError(t, os.WriteFile(*published, []byte(page.String()), 0o644))
		return
	}
	written, err := os.ReadFile("../../docs/dangers.md")
	require.NoError(t, err)
	assert.Equal(t, page.String(), string(written), "run make types")
}

const dangersHead = `# Dangers

Made by make types from the table in core/plan/plantest, and checked with every test run. Each plan is a sound one
changed in one thing; it is stopped for the reason named, and the field named is where it is put right.

| what is dangerous | stopped as | put right at |
|---|---|---|
`
