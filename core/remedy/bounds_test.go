package remedy

import (
	"reflect"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/work"
)

// A job that is made of another is one that can be saved.
func TestNamesAndIDsFitTheirFields(t *testing.T) {
	for field, most := range map[string]int{"Name": maxName, "ID": maxID} {
		f, ok := reflect.TypeOf(work.Job{}).FieldByName(field)
		assert.True(t, ok, field)
		assert.Equal(t, strconv.Itoa(most), f.Tag.Get("maxLength"), field)
	}
}
