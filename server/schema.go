package server

import (
	"path"
	"reflect"
	"strings"

	"github.com/danielgtaylor/huma/v2"
)

// schemaName names a type in the API and the open file: types of the core carry their package,
// so that a motor and a supply can both be Described.
func schemaName(t reflect.Type, hint string) string {
	name := huma.DefaultSchemaNamer(t, hint)
	for t.Kind() == reflect.Pointer || t.Kind() == reflect.Slice {
		t = t.Elem()
	}
	pkg := t.PkgPath()
	if !strings.HasPrefix(pkg, "jiriki/core/") {
		return name
	}
	base := path.Base(pkg)
	station := strings.ToUpper(base[:1]) + base[1:]
	if strings.HasPrefix(name, station) {
		return name
	}
	return station + name
}
