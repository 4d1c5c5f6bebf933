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

func TestWhatBeganASentenceGoesInsideOne(t *testing.T) {
	assert.Equal(t, "guard the belt", LowerFirst("Guard the belt"))
	assert.Equal(t, "“Much” cannot be used", LowerFirst("“Much” cannot be used"))
	assert.Equal(t, "über", LowerFirst("Über"))
	assert.Empty(t, LowerFirst("")+Capital(""))
}

func TestJobsAreCountedAsTheyAreSaid(t *testing.T) {
	for said, n := range map[string][2]int{"the job": {1, 1}, "no job": {0, 1}, "none of three jobs": {0, 3},
		"both jobs": {2, 2}, "all four jobs": {4, 4}, "two of three jobs": {2, 3}} {
		assert.Equal(t, said, Jobs(n[0], n[1]))
	}
}
