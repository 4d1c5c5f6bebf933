package plan_test

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
)

var (
	indices = regexp.MustCompile(`\[\d+\]`)
	fields  = plan.Fields()
)

func isField(path string) bool { return slices.Contains(fields, indices.ReplaceAllString(path, "[n]")) }

func TestFieldsAreNamedAsTheOpenFileNamesThem(t *testing.T) {
	for _, path := range []string{"motor.plate.speed", "machine.jobs[0].speed.from",
		"machine.jobs[12].load.scale.running[3]", "reduction.stages[1].steps[0].driver", "supply.earthed", "control",
		"machine.limits"} {
		assert.True(t, isField(path), path)
	}
	for _, path := range []string{"motor.plate.sped", "machine.job[0]", "machine.jobs[x].load", "", "motor.plate.",
		"plan.motor", "units",
		"shelf"} {
		assert.False(t, isField(path), path)
	}
	assert.Greater(t, len(plan.Fields()), 200)
	assert.Contains(t, plan.PartFields(), "wheel.diameter")
}

// pathForm is a text in the code that can only be meant as a field: a station and what lies below it.
const place = `(\[(\d+|%d)\])?`

var pathForm = regexp.MustCompile(`^(supply|control|motor|reduction|machine)` + place + `(\.[a-zA-Z]+` + place + `)+$`)

// Every path written in the core names a field. The IDs of findings and workings look alike and are constants of
// their own files.
func TestEveryPathInTheCodeNamesAField(t *testing.T) {
	checked := 0
	err := filepath.WalkDir("..", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") ||
			d.Name() == "ids.go" {
			return err
		}
		set := token.NewFileSet()
		file, err := parser.ParseFile(set, path, nil, parser.SkipObjectResolution)
		if err != nil {
			return err
		}
		ast.Inspect(file, func(n ast.Node) bool {
			text, below := "", ""
			switch n := n.(type) {
			case *ast.BasicLit:
				if n.Kind == token.STRING {
					text, _ = strconv.Unquote(n.Value)
				}
			case *ast.CallExpr:
				// What is written below a job or a stage.
				name, ok := n.Fun.(*ast.Ident)
				if !ok || len(n.Args) != 2 {
					return true
				}
				if below = map[string]string{"jobField": "machine.jobs[0].",
					"stageField": "reduction.stages[0]."}[name.Name]; below == "" {
					return true
				}
				if literal, ok := n.Args[1].(*ast.BasicLit); ok {
					text, _ = strconv.Unquote(literal.Value)
					text = below + text
				}
			}
			if !pathForm.MatchString(text) {
				return true
			}
			assert.True(t, isField(strings.ReplaceAll(text, "%d", "0")), "%s: %s names no field",
				set.Position(n.Pos()), text)
			checked++
			return true
		})
		return nil
	})
	require.NoError(t, err)
	assert.Greater(t, checked, 120)
}

// What a bare number is taken in is a unit, of one dimension in both systems, and a part of the tag for files is too.
func TestTheUnitBesideAFieldIsOne(t *testing.T) {
	units := append(plan.Units(), plan.PartUnits()...)
	assert.Greater(t, len(units), 120)
	for _, f := range units {
		metric, inch, kept := q.BareUnits(f.Unit)
		same := func(d q.Dimension) bool {
			for _, unit := range []string{metric, inch, kept} {
				if _, err := q.Parse(q.Text("1 "+unit), d); err != nil {
					return false
				}
			}
			return true
		}
		assert.True(t, slices.ContainsFunc(q.Dimensions(metric), same), "%s: %s", f.Path, f.Unit)
	}
}

// The units beside the blanks are taken there: each figure of the table of sound plans is typed anew in each.
func TestTheUnitBesideAFieldIsTakenThere(t *testing.T) {
	tried := map[string]bool{}
	for _, sound := range plantest.Sounds() {
		for i, f := range plantest.Figures(&sound.Input) {
			// Wheels that are counted have teeth and no size; the interface leaves the unit away there.
			if f.Unit == "" || f.Whole() && strings.Contains(f.Path, ".Steps.") {
				continue
			}
			metric, inch, kept := q.BareUnits(f.Unit)
			for _, unit := range []string{metric, inch, kept} {
				in := plantest.Copied(sound.Input)
				plantest.Figures(&in)[i].Typed(q.Text("1 " + unit))
				s, err := plan.Resolve(in)
				require.NoError(t, err)
				for _, refused := range s.Entries {
					assert.NotContains(t, refused.Message, "unit", "%s: %s", f.Path, unit)
				}
			}
			tried[f.Path] = true
		}
	}
	assert.Greater(t, len(tried), 40)
}
