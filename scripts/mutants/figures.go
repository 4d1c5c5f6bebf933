package main

import (
	"fmt"
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
)

// change is one place of the core written otherwise.
type change struct{ file, from, to string }

func (c change) String() string {
	return fmt.Sprintf("%s: %s → %s", c.file, strings.Join(strings.Fields(c.from), " "),
		strings.Join(strings.Fields(c.to), " "))
}

// unseen are named figures no answer depends on by so little as a tenth: how finely something is drawn or
// sampled, how many are kept, how much is read, how far is looked, how much room is made beforehand.
var unseen = []string{
	"UsualMost", "Deepest", "longestKey", "curvePoints", "twistPoints", "reachPoints", "reachPointsAll", "points",
	"bandSamples", "anySamples", "mostLookedAt", "coarseRatios", "fineRatios", "placesALevel", "gradeSpacing",
	"gradeStep", "capSlack", "maxText", "settled",
	"mostHenries", "mostLines", "onHandWorth", "curves", "usualBindings", "workingsOfALine", "workingsOfAStep",
	"workingsOfAJob", "noise",
	"Out", "notReached", // marks
}

// figures are the numbers that have a name at the top of a package of the core, each changed by a tenth, whole
// ones by one at least.
func figures(dir string) ([]change, error) {
	var out []change
	err := filepath.WalkDir(filepath.Join(dir, "core"), func(path string, d fs.DirEntry, err error) error {
		if err != nil || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
			return err
		}
		source, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		set := token.NewFileSet()
		file, err := parser.ParseFile(set, path, source, 0)
		if err != nil {
			return err
		}
		name, err := filepath.Rel(dir, path)
		if err != nil {
			return err
		}
		for _, d := range file.Decls {
			if g, ok := d.(*ast.GenDecl); ok && g.Tok == token.CONST {
				out = append(out, inGroup(g, name, source, set)...)
			}
		}
		return nil
	})
	return out, err
}

func inGroup(g *ast.GenDecl, file string, source []byte, set *token.FileSet) []change {
	var out []change
	for _, s := range g.Specs {
		spec := s.(*ast.ValueSpec)
		if len(spec.Names) != 1 || len(spec.Values) != 1 || slices.Contains(unseen, spec.Names[0].Name) {
			continue
		}
		literal := first(spec.Values[0])
		if literal == nil {
			continue
		}
		// From the name to the figure, so that it is found once.
		at, from, to := set.Position(literal.Pos()).Offset, set.Position(spec.Pos()).Offset,
			set.Position(literal.End()).Offset
		out = append(out, change{
			file: file, from: string(source[from:to]), to: string(source[from:at]) + tenthMore(literal),
		})
	}
	return out
}

// first is the leftmost number of an expression; nil without one.
func first(e ast.Expr) (found *ast.BasicLit) {
	ast.Inspect(e, func(n ast.Node) bool {
		if l, ok := n.(*ast.BasicLit); ok && found == nil && (l.Kind == token.INT || l.Kind == token.FLOAT) {
			found = l
		}
		return found == nil
	})
	return found
}

func tenthMore(l *ast.BasicLit) string {
	if n, err := strconv.Atoi(l.Value); err == nil {
		return strconv.Itoa(n + max(1, n/10))
	}
	v, err := strconv.ParseFloat(l.Value, 64)
	if err != nil {
		panic(err) // a literal the parser took for a number
	}
	return strconv.FormatFloat(1.1*v, 'g', -1, 64)
}
