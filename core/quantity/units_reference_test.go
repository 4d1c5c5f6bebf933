package quantity

import (
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// Source: GNU units; the fixture's first line names the version, scripts/reference/gnu_units.sh
// makes it again.
func TestConversionsAgreeWithGNUUnits(t *testing.T) {
	data, err := os.ReadFile("testdata/gnu_units.tsv")
	require.NoError(t, err)
	lines := strings.Split(strings.TrimSpace(string(data)), "\n")
	require.Contains(t, lines[0], "GNU Units version")
	require.Greater(t, len(lines), 20)
	for _, line := range lines[1:] {
		cells := strings.Split(line, "\t")
		require.Len(t, cells, 3, line)
		want, err := strconv.ParseFloat(cells[2], 64)
		require.NoError(t, err, line)
		got, err := Parse(Text(cells[0]), dimensionNamed(t, cells[1]))
		require.NoError(t, err, line)
		assert.InEpsilon(t, want, got, 1e-10, line)
	}
}

func dimensionNamed(t *testing.T, name string) Dimension {
	for i, n := range dimensionNames {
		if n == name {
			return Dimension(i)
		}
	}
	t.Fatalf("no dimension named %q", name)
	return 0
}
