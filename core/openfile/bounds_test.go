package openfile

import (
	"reflect"
	"strconv"
	"testing"

	"github.com/stretchr/testify/assert"
)

// What is told of a bound and what is held are one figure.
func TestBoundsAreThoseOfTheFields(t *testing.T) {
	most := func(of any, field string) int {
		f, ok := reflect.TypeOf(of).FieldByName(field)
		assert.True(t, ok, field)
		n, err := strconv.Atoi(f.Tag.Get("maxItems"))
		assert.NoError(t, err)
		return n
	}
	assert.Equal(t, MaxMachines, most(File{}, "Machines"))
	assert.Equal(t, MaxShelf, most(File{}, "Shelf"))
	assert.Equal(t, MaxPlans, most(Machine{}, "Plans"))
}
