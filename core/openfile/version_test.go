package openfile

import (
	"crypto/sha256"
	"fmt"
	"os"
	"reflect"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
)

// fieldsOf are the paths of all that a document may hold, each with what it is.
func fieldsOf(t reflect.Type, path string, out *[]string) {
	switch t.Kind() {
	case reflect.Pointer, reflect.Slice, reflect.Array:
		fieldsOf(t.Elem(), path+"[]", out)
	case reflect.Struct:
		if t.PkgPath() == "time" {
			*out = append(*out, path+" time")
			return
		}
		for i := range t.NumField() {
			f := t.Field(i)
			name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
			switch {
			case name == "-" || !f.IsExported():
			case f.Anonymous && name == "":
				fieldsOf(f.Type, path, out)
			default:
				fieldsOf(f.Type, path+"."+name, out)
			}
		}
	default:
		*out = append(*out, path+" "+t.Kind().String())
	}
}

// A field more or less is another version of the documents: a program that does not know it would refuse it or drop it.
// When this fails, raise Version and add its line; the line of a version that was given out stays as it is.
func TestTheVersionRisesWithTheFields(t *testing.T) {
	var fields []string
	fieldsOf(reflect.TypeFor[File](), "", &fields)
	slices.Sort(fields)
	assert.Greater(t, len(fields), 300)
	known, err := os.ReadFile("testdata/versions.txt")
	require.NoError(t, err)
	line := fmt.Sprintf("%d %x", Version, sha256.Sum256([]byte(strings.Join(fields, "\n"))))
	lines := strings.Split(strings.TrimSpace(string(known)), "\n")
	assert.Equal(t, line, lines[len(lines)-1], "raise Version and add its line")
	for i, one := range lines {
		assert.True(t, strings.HasPrefix(one, fmt.Sprintf("%d ", i+2)), "each version has one line: %s", one)
	}
}
