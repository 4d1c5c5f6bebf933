package core_test

import (
	"encoding/json"
	"os/exec"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// stations do not import each other; plan resolves them together and line joins them.
var stations = []string{"work", "motor", "control", "reduction", "supply"}

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
	assert.False(t, allowed("jiriki/core/motor", "jiriki/core/control"), "the rule itself must refuse")
	assert.False(t, allowed("jiriki/core/line", "github.com/labstack/echo/v5"))
	assert.False(t, allowed("jiriki/store", "jiriki/server"))
	assert.False(t, allowed("jiriki/store", "jiriki/core/line"))
	assert.False(t, allowed("jiriki/core/openfile", "jiriki/core/line"))
	assert.False(t, allowed("jiriki/core/plan", "jiriki/core/line"))
	assert.True(t, allowed("jiriki/core/line", "jiriki/core/plan"))
}

func allowed(from, to string) bool {
	ours := strings.HasPrefix(to, "jiriki/")
	// What is kept and what is written in files is a plan as described: nothing there is worked out.
	if to == "jiriki/core/line" && (strings.HasPrefix(from, "jiriki/store") || describes[from]) {
		return false
	}
	switch {
	case strings.HasPrefix(from, "jiriki/core"):
		if !ours {
			first, _, _ := strings.Cut(to, "/")
			return !strings.Contains(first, ".") || strings.HasPrefix(to, "gonum.org/v1/gonum/")
		}
		return strings.HasPrefix(to, "jiriki/core/") && !(isStation(from) && isStation(to))
	case strings.HasPrefix(from, "jiriki/store"), strings.HasPrefix(from, "jiriki/demo"):
		return !ours || strings.HasPrefix(to, "jiriki/core/") || strings.HasPrefix(to, "jiriki/store")
	case strings.HasPrefix(from, "jiriki/server"):
		return !strings.HasPrefix(to, "jiriki/cmd") && !strings.HasPrefix(to, "jiriki/web")
	}
	return true
}

// describes are the packages of the core that hold what a person describes.
var describes = map[string]bool{"jiriki/core/plan": true, "jiriki/core/openfile": true, "jiriki/core/shelf": true}

func isStation(path string) bool {
	for _, s := range stations {
		if path == "jiriki/core/"+s {
			return true
		}
	}
	return false
}
