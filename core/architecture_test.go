package core_test

import (
	"encoding/json"
	"io/fs"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
	"unicode/utf8"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// rooms are the packages of the core and what of the core each may use: the arrows of the house.
// Stations do not import each other; plan resolves them together, line joins them into one model, and of
// what asks the model (verdict, remedy, search, rank, settings) none uses another.
var rooms = map[string]string{
	"quantity": "", "words": "", "source": "", "air": "", "shaft": "", "bounds": "", "wiring": "", "numeric": "",
	"thermal": "", "belief": "",
	"table":   "",
	"working": "source",
	"finding": "working",
	"work":    "air numeric quantity source working",
	"motor":   "finding numeric quantity shaft source table thermal working", "control": "numeric quantity table",
	"reduction":  "numeric quantity shaft table words",
	"supply":     "numeric quantity",
	"shelf":      "control finding motor quantity reduction working",
	"donor":      "motor",
	"identify":   "belief donor finding motor quantity",
	"script":     "quantity work",
	"instrument": "quantity",
	"measured":   "quantity table",
	"plan":       "control finding measured motor quantity reduction script shelf supply work",
	"openfile":   "bounds logbook plan quantity shelf words work",
	"logbook":    "control measured plan quantity reduction work",
	"line":       "air control motor numeric plan quantity reduction source supply wiring work",
	"drawing":    "control line quantity reduction",
	"judge":      "control finding line motor plan quantity reduction supply work working",
	"verdict":    "judge air control finding line motor plan quantity reduction supply wiring words work working",
	"remedy":     "judge control finding line motor plan quantity reduction shelf words work",
	"search":     "drawing line motor plan quantity reduction shelf words work",
	"rank":       "control line motor plan quantity reduction shelf words work",
	"settings":   "control line motor quantity source work working",
	"powerup":    "judge control line motor plan quantity reduction supply words working",
	"assess": "powerup judge air control drawing finding line measured motor numeric plan quantity reduction remedy " +
		"settings source " +
		"supply " +
		"verdict words work working",
	"trial": "powerup air assess control dryrun finding line measured motor numeric plan quantity reduction script " +
		"source " +
		"supply thermal working",
	"dryrun": "air assess control finding line motor numeric plan quantity reduction remedy script supply thermal " +
		"words work working",
	"fault": "belief control finding line motor plan quantity reduction",
	"practice": "control dryrun fault finding identify instrument line motor numeric plan quantity reduction " +
		"script supply words work",
	"build": "powerup dryrun judge assess control finding line motor plan quantity rank reduction shelf supply " +
		"wiring " +
		"words work",
	"compare": "judge assess build dryrun finding line plan quantity words",
	"slate":   "donor motor quantity reduction source supply work working",
	// What tests share.
	"plan/plantest":     "control finding motor plan quantity reduction shelf supply work",
	"assess/assesstest": "dryrun assess finding plan remedy settings working",
}

// The rule: cmd → server → {store, core}; store → core; core → nothing of ours outside core,
// and of others' only the standard library and gonum.
func TestDependencyRule(t *testing.T) {
	out, err := exec.Command("go", "list", "-json=ImportPath,Imports", "jiriki/...").Output()
	require.NoError(t, err)
	dec := json.NewDecoder(strings.NewReader(string(out)))
	checked := 0
	for dec.More() {
		var p struct {
			ImportPath string
			Imports    []string
		}
		require.NoError(t, dec.Decode(&p))
		for _, imported := range p.Imports {
			assert.True(t, allowed(p.ImportPath, imported), "%s may not import %s", p.ImportPath, imported)
			checked++
		}
	}
	assert.Greater(t, checked, 100)
	for _, one := range []struct{ from, to string }{
		{"core/motor", "core/control"}, {"core/plan", "core/line"}, {"core/line", "core/verdict"},
		{"core/openfile", "core/line"},
		{"core/remedy", "core/search"}, {"core/search", "core/rank"}, {"core/rank", "core/settings"},
		{"core/settings", "core/remedy"},
		{"core/line", "core/unheard-of"}, {"core/unheard-of", "core/line"}, {"store", "server"}, {"store", "core/line"},
		{"store", "core/assess"},
	} {
		assert.False(t, allowed("jiriki/"+one.from, "jiriki/"+one.to), "the rule itself must refuse %s to %s", one.from,
			one.to)
	}
	assert.False(t, allowed("jiriki/core/line", "github.com/labstack/echo/v5"))
	assert.False(t, allowed("jiriki/core/line", "github.com/stretchr/testify/require"))
	assert.True(t, allowed("jiriki/core/line", "jiriki/core/plan"))
	assert.True(t, allowed("jiriki/store", "jiriki/core/plan"))
}

// stored are what of the core the database holds: what a person described, nothing worked out.
const stored = "bounds donor logbook measured openfile plan quantity shelf work"

func allowed(from, to string) bool {
	room, inCore := strings.CutPrefix(from, "jiriki/core/")
	target, ours := strings.CutPrefix(to, "jiriki/")
	core, toCore := strings.CutPrefix(target, "core/")
	switch {
	case inCore && ours:
		return toCore && slices.Contains(strings.Fields(rooms[room]), core)
	case inCore:
		if strings.HasSuffix(room, "test") && (strings.HasPrefix(to, "github.com/stretchr/testify/") ||
			to == "pgregory.net/rapid") {
			return true
		}
		first, _, _ := strings.Cut(to, "/")
		return !strings.Contains(first, ".") || strings.HasPrefix(to, "gonum.org/v1/gonum/")
	case !ours:
		return true
	case strings.HasPrefix(from, "jiriki/store"), strings.HasPrefix(from, "jiriki/demo"):
		return toCore && slices.Contains(strings.Fields(stored), core) || strings.HasPrefix(target, "store")
	case strings.HasPrefix(from, "jiriki/server"):
		return !strings.HasPrefix(target, "cmd") && !strings.HasPrefix(target, "web")
	}
	return true
}

// Lines of Go end by the 120th column, a tab counting for four, as those of the interface do by its formatter;
// only a struct tag cannot be parted.
func TestLinesWrap(t *testing.T) {
	const columns, tab = 120, 4
	seen := 0
	err := filepath.WalkDir("..", func(path string, d fs.DirEntry, err error) error {
		if err != nil {
			return err
		}
		if d.IsDir() && (d.Name() == "node_modules" || d.Name() == "var") {
			return filepath.SkipDir
		}
		if !strings.HasSuffix(path, ".go") {
			return nil
		}
		text, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		seen++
		for n, line := range strings.Split(string(text), "\n") {
			wide := utf8.RuneCountInString(line) + (tab-1)*strings.Count(line, "\t")
			assert.True(t, wide <= columns || structTag.MatchString(line), "%s:%d is %d wide", path, n+1, wide)
		}
		return nil
	})
	require.NoError(t, err)
	assert.Greater(t, seen, 100)
}

var structTag = regexp.MustCompile("`\\w+:\".*`")
