package judge_test

import (
	"flag"
	"fmt"
	"os"
	"reflect"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/assess/assesstest"
	"jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

var index = regexp.MustCompile(`\[\d+\]`)

// blanked is a plan without one of its texts or ticks, and which.
type blanked struct {
	path string
	in   plan.Input
}

// blanks is a plan once without each text that is in its machine's limits and place, and in its four stations.
func blanks(in plan.Input) []blanked {
	var out []blanked
	var walk func(at func(*plan.Input) reflect.Value, path string)
	walk = func(at func(*plan.Input) reflect.Value, path string) {
		v := at(&in)
		switch v.Kind() {
		case reflect.Struct:
			for i := range v.NumField() {
				name, _, _ := strings.Cut(v.Type().Field(i).Tag.Get("json"), ",")
				if v.Type().Field(i).IsExported() {
					walk(func(in *plan.Input) reflect.Value { return at(in).Field(i) }, path+"."+name)
				}
			}
		case reflect.Slice:
			for i := range v.Len() {
				walk(func(in *plan.Input) reflect.Value { return at(in).Index(i) }, fmt.Sprintf("%s[%d]", path, i))
			}
		case reflect.String, reflect.Bool:
			if !v.IsZero() {
				without := plantest.Copied(in)
				at(&without).SetZero()
				out = append(out, blanked{path, without})
			}
		}
	}
	for path, at := range map[string]func(*plan.Input) reflect.Value{
		"machine.limits": func(in *plan.Input) reflect.Value { return reflect.ValueOf(&in.Machine.Limits).Elem() },
		"machine.place":  func(in *plan.Input) reflect.Value { return reflect.ValueOf(&in.Machine.Place).Elem() },
		"supply":         func(in *plan.Input) reflect.Value { return reflect.ValueOf(&in.Plan.Supply).Elem() },
		"control":        func(in *plan.Input) reflect.Value { return reflect.ValueOf(&in.Plan.Control).Elem() },
		"motor":          func(in *plan.Input) reflect.Value { return reflect.ValueOf(&in.Plan.Motor).Elem() },
		"reduction":      func(in *plan.Input) reflect.Value { return reflect.ValueOf(&in.Plan.Reduction).Elem() },
	} {
		walk(at, path)
	}
	return out
}

// What the answer hangs on and is blank makes no yes, and no good mark at its station; and a no becomes at most not
// known: blanking the reason for a stop must not make a yes of it.
func TestBlankingNeverMakesAYes(t *testing.T) {
	// A blank that says that what is dangerous is not there takes the danger away; the answer says what was taken.
	var declared []string
	for _, row := range judge.Table() {
		if strings.HasPrefix(row.Blank, "taken as") {
			declared = append(declared, row.Field)
		}
	}
	asked, no, tried := 0, 0, 0
	for _, one := range plantest.Dangers() {
		if assesstest.Of(t, one.Input).Power.Answer != judge.No {
			continue
		}
		for _, b := range blanks(one.Input) {
			a := assesstest.Of(t, b.in)
			no++
			if a.Power.Answer == judge.Yes {
				assert.Contains(t, declared, index.ReplaceAllString(b.path, "[]"), "%s without %s", one.What, b.path)
			}
		}
	}
	for _, one := range plantest.Sounds() {
		for _, b := range blanks(one.Input) {
			a := assesstest.Of(t, b.in)
			tried++
			for _, f := range a.Findings {
				if f.Level != finding.Missing || !f.Holds.Power() {
					continue
				}
				asked++
				assert.NotEqual(t, judge.Yes, a.Power.Answer, "%s without %s", one.What, b.path)
				for _, good := range a.Findings {
					assert.False(t, good.Level == finding.Good && good.Station == f.Station && good.Job == "",
						"%s without %s: %s", one.What, b.path, good.Title)
				}
			}
			assert.Equal(t, a.MayPower, a.Power.Answer == judge.Yes)
			assert.False(t, a.Power.Mark == finding.Good && !a.MayPower)
			assert.False(t, a.Does.Mark == finding.Good && a.Does.Answer != judge.Yes, one.What)
		}
	}
	assert.Greater(t, asked, 500)
	assert.Greater(t, no, 2000)
	assert.Greater(t, tried, 1500)
}

// A plan that has nothing in it is known to be nothing.
func TestAnEmptyPlanIsNotKnown(t *testing.T) {
	a := assesstest.Of(t, plan.Input{Units: q.Metric})
	assert.Equal(t, judge.Unknown, a.Power.Answer)
	assert.Equal(t, judge.Unknown, a.Does.Answer)
	assert.NotEmpty(t, a.Power.Hangs)
	assert.Empty(t, a.Power.Taken, "nothing is taken for granted before there is a yes")
	for _, s := range a.Stations {
		assert.NotEqual(t, finding.Good, s.Mark, s.Station)
	}
}

// What is asked for is named once, at a field there is.
func TestEveryRowOfTheTableNamesAField(t *testing.T) {
	seen := map[string]bool{}
	for _, row := range judge.Table() {
		assert.NotEmpty(t, row.Entry)
		assert.NotEmpty(t, row.On, row.Entry)
		assert.NotEmpty(t, row.Blank, row.Entry)
		assert.False(t, seen[row.Entry], row.Entry)
		seen[row.Entry] = true
		assert.Contains(t, plan.Fields(), strings.ReplaceAll(row.Field, "[]", "[n]"))
	}
}

var published = flag.String("answers", "", "write the table of what the answers hang on there instead of reading it")

// The table stands where people read: docs/answers.md is made from it.
func TestTheTableOfAnswersIsPublished(t *testing.T) {
	var page strings.Builder
	page.WriteString(head)
	for _, row := range judge.Table() {
		fmt.Fprintf(&page, "| %s | `%s` | %s | %s |\n", row.Entry, row.Field, row.On, row.Blank)
	}
	if *published != "" {
		require.NoError(t, os.WriteFile(*published, []byte(page.String()), 0o644))
		return
	}
	written, err := os.ReadFile("../../docs/answers.md")
	require.NoError(t, err)
	assert.Equal(t, page.String(), string(written), "run make types")
}

const head = `# What the answers hang on

Made by make types from the table in core/judge, and checked with every test run. "May it be powered?" and "Does it do
the jobs?" are answered by yes, no or not known yet. A yes needs every entry here that counts for such a plan; one that
is blank makes it not known yet, unless the table says what a blank is taken as, and then the answer says so too. A stop
that is seen makes it no, whatever else is blank. How the plan usually starts and stops is run through as well.

| entry | where | on which plans | where it is blank |
|---|---|---|---|
`
