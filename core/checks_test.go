package core_test

import (
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// The figures by which the engineering is checked belong to its tests. Were one a preset, a hint, a figure of the
// demo or of the handbook, what was typed in and what was worked out could agree for no reason.
func TestNoFigureOfACheckStandsOutsideTests(t *testing.T) {
	checks := regexp.MustCompile(strings.Join([]string{
		`\b15\x{202f}? ?µF`, `\b1130 ?rpm`, `\b970 ?rpm`, `"900", "1250"`, `\b1250 ?rpm`, `\b4\.2 lb`,
		`\b2\.5 ?hp`, `\b82 A\b`, `\b125 V\b`, `\b128 V\b`, `\b59\.7\b`, `\b18\.75 kW`, `\b1710\b`, `\b41\.7 N`,
		`\b113\.8\b`, `\b42\.4 in`, `\b3390\b`, `\b14\.3 N`, `\b1\.43 kN`,
	}, "|"))
	looked := 0
	for _, root := range []string{"../core", "../demo", "../server", "../store", "../cmd", "../web/src", "../docs",
		"../README.md"} {
		err := filepath.WalkDir(root, func(path string, d fs.DirEntry, err error) error {
			if err != nil || d.IsDir() && d.Name() != "testdata" {
				return err
			}
			if d.IsDir() {
				return filepath.SkipDir
			}
			if strings.HasSuffix(path, "_test.go") || strings.HasSuffix(path, ".test.ts") ||
				strings.HasSuffix(path, ".png") || strings.HasSuffix(path, ".woff2") {
				return nil
			}
			text, err := os.ReadFile(path)
			if err != nil {
				return err
			}
			looked++
			for n, line := range strings.Split(string(text), "\n") {
				assert.False(t, checks.MatchString(line), "%s:%d holds %q", path, n+1, checks.FindString(line))
			}
			return nil
		})
		require.NoError(t, err)
	}
	assert.Greater(t, looked, 300)
}
