package source

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestEveryEntryIsWhole(t *testing.T) {
	seen := map[ID]bool{}
	for _, s := range register {
		assert.False(t, seen[s.ID], "%s twice", s.ID)
		seen[s.ID] = true
		assert.NotEmpty(t, s.Title, s.ID)
		assert.Contains(t, []Status{Derived, Published, FromMemory, Common, AsTyped}, s.Status, s.ID)
		assert.Contains(t, Markdown(), string(s.ID))
	}
	assert.Greater(t, len(seen), 30)
}
