package words

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func TestList(t *testing.T) {
	assert.Empty(t, List(nil))
	assert.Equal(t, "a choke", List([]string{"a choke"}))
	assert.Equal(t, "a choke, a fan and a motor", List([]string{"a choke", "a fan", "a motor"}))
}
