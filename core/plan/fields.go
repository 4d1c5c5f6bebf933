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
func Fields() []string { return pathsOf(walkPlan) }

// PartFields are those of a part on the shelf.
func PartFields() []string { return pathsOf(walkPart) }

// FieldUnit is a field with the tag that says what a bare number in it is taken in: see [quantity.BareUnits].
type FieldUnit struct{ Path, Unit string }

// Units are the fields of a machine and its plan that have a unit.
func Units() []FieldUnit { return unitsOf(walkPlan) }

// PartUnits are those of a part on the shelf.
func PartUnits() []FieldUnit { return unitsOf(walkPart) }

type visit func(path, unit string)

func walkPlan(see visit) {
	walkFields(reflect.TypeFor[Plan](), "", "", see)
	see("machine", "")
	walkFields(reflect.TypeFor[work.Machine](), "machine", "", see)
}

func walkPart(see visit) { walkFields(reflect.TypeFor[shelf.Item](), "", "", see) }

func pathsOf(walk func(visit)) (paths []string) {
	walk(func(path, _ string) { paths = append(paths, path) })
	return paths
}

func unitsOf(walk func(visit)) (found []FieldUnit) {
	walk(func(path, unit string) {
		if unit != "" {
			found = append(found, FieldUnit{path, unit})
		}
	})
	return found
}

// walkFields sees what is below a type's own path, by the names its fields have in the open file.
func walkFields(t reflect.Type, at, unit string, see visit) {
	switch t.Kind() {
	case reflect.Slice:
		see(at+"[n]", unit)
		walkFields(t.Elem(), at+"[n]", unit, see)
	case reflect.Struct:
		for i := range t.NumField() {
			field := t.Field(i)
			name, _, _ := strings.Cut(field.Tag.Get("json"), ",")
			if name == "" || name == "-" {
				continue
			}
			path := strings.TrimPrefix(at+"."+name, ".")
			see(path, field.Tag.Get("unit"))
			walkFields(field.Type, path, field.Tag.Get("unit"), see)
		}
	}
}
