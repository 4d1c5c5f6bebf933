package plan

import (
	"reflect"
	"strings"

	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Fields are the paths of all there is to enter, groups and lists with it, of a machine and its plan as the
// entries that cannot be used are named: "motor.plate.speed", "machine.jobs[n].speed.from". One of a list is
// written [n].
func Fields() []string {
	paths := fieldsOf(reflect.TypeFor[Plan](), "", nil)
	return fieldsOf(reflect.TypeFor[work.Machine](), "machine", append(paths, "machine"))
}

// PartFields are those of a part on the shelf.
func PartFields() []string { return fieldsOf(reflect.TypeFor[shelf.Item](), "", nil) }

// fieldsOf appends the paths below a type's own, by the names its fields have in the open file.
func fieldsOf(t reflect.Type, at string, paths []string) []string {
	switch t.Kind() {
	case reflect.Slice:
		paths = append(paths, at+"[n]")
		return fieldsOf(t.Elem(), at+"[n]", paths)
	case reflect.Struct:
		for i := range t.NumField() {
			field := t.Field(i)
			name, _, _ := strings.Cut(field.Tag.Get("json"), ",")
			if name == "" || name == "-" {
				continue
			}
			path := strings.TrimPrefix(at+"."+name, ".")
			paths = fieldsOf(field.Type, path, append(paths, path))
		}
	}
	return paths
}
