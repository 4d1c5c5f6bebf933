package table_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/table"
)

type animal struct {
	kind string
	legs int
}

func kindOf(a animal) string { return a.kind }

func TestAKindIsFoundByName(t *testing.T) {
	animals := table.Of(kindOf, animal{"spider", 8}, animal{"hen", 2})
	assert.Equal(t, []string{"spider", "hen"}, animals.Names(), "as they are offered")
	hen, known := animals.Of("hen")
	assert.True(t, known)
	assert.Equal(t, 2, hen.legs)
	nothing, known := animals.Of("unicorn")
	assert.False(t, known)
	assert.Zero(t, *nothing)

	all := animals.All()
	all[1].legs = 3
	hen, _ = animals.Of("hen")
	assert.Equal(t, 2, hen.legs, "what is given out is a copy")
}

func TestAKindComesOnce(t *testing.T) {
	assert.Panics(t, func() { table.Of(kindOf, animal{"hen", 2}, animal{"hen", 3}) })
}
