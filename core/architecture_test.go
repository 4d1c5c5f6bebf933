package core_test

import (
	"encoding/json"
	"os/exec"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// rooms are the packages of the core and what of the core each may use: the arrows of the house.
// Stations do not import each other; plan resolves them together, line joins them into one model, and of
// what asks the model (verdict, remedy, search, rank, settings) none uses another.
var rooms = map[string]string{
	"quantity": "", "words": "", "source": "", "air": "", "shaft": "", "bounds": "", "wiring": "",
	"working":   "source",
	"finding":   "working",
	"work":      "air quantity source working",
	"motor":     "finding quantity shaft source working",
	"control":   "quantity",
	"reduction": "quantity shaft words",
	"supply":    "quantity",
	"shelf":     "control finding motor quantity reduction working",
	"donor":     "motor",
	"identify":  "donor finding motor quantity",
	"plan":      "control finding motor quantity reduction shelf supply work",
	"openfile":  "bounds plan quantity shelf work",
	"line":      "air control motor plan quantity reduction source supply wiring work",
	"drawing":   "control line quantity reduction",
	"verdict":   "air control finding line motor plan quantity reduction wiring words work working",
	"remedy":    "control finding line motor plan quantity reduction shelf work",
	"search":    "drawing line motor plan quantity reduction shelf words work",
	"rank":      "control line motor plan quantity reduction shelf words",
	"settings":  "control line motor quantity source work working",
	"assess":    "air control drawing finding line motor plan quantity reduction remedy settings source supply verdict words work working",
	"build":     "assess control finding line motor plan quantity rank reduction shelf supply wiring words",
	// What tests share.
	"plan/plantest":     "control motor plan quantity reduction shelf supply work",
	"assess/assesstest": "assess finding plan settings working",
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
		{"core/motor", "core/control"}, {"core/plan", "core/line"}, {"core/line", "core/verdict"}, {"core/openfile", "core/line"},
		{"core/remedy", "core/search"}, {"core/search", "core/rank"}, {"core/rank", "core/settings"}, {"core/settings", "core/remedy"},
		{"core/line", "core/unheard-of"}, {"core/unheard-of", "core/line"}, {"store", "server"}, {"store", "core/line"}, {"store", "core/assess"},
	} {
		assert.False(t, allowed("jiriki/"+one.from, "jiriki/"+one.to), "the rule itself must refuse %s to %s", one.from, one.to)
	}
	assert.False(t, allowed("jiriki/core/line", "github.com/labstack/echo/v5"))
	assert.False(t, allowed("jiriki/core/line", "github.com/stretchr/testify/require"))
	assert.True(t, allowed("jiriki/core/line", "jiriki/core/plan"))
	assert.True(t, allowed("jiriki/store", "jiriki/core/plan"))
}

// stored are what of the core the database holds: what a person described, nothing worked out.
const stored = "bounds donor openfile plan quantity shelf work"

func allowed(from, to string) bool {
	room, inCore := strings.CutPrefix(from, "jiriki/core/")
	target, ours := strings.CutPrefix(to, "jiriki/")
	core, toCore := strings.CutPrefix(target, "core/")
	switch {
	case inCore && ours:
		return toCore && slices.Contains(strings.Fields(rooms[room]), core)
	case inCore:
		if strings.HasSuffix(room, "test") && (strings.HasPrefix(to, "github.com/stretchr/testify/") || to == "pgregory.net/rapid") {
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
