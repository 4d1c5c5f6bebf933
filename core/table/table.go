// Package table is a list of kinds with what is known of each: the one place a kind is described in, kept in the
// order the kinds are offered and looked up by name.
package table

import "fmt"

// Table holds one profile P for each kind K.
type Table[K ~string, P any] struct {
	profiles []P
	byKind   map[K]*P
	names    []string
	none     P
}

// Of makes a table of profiles in the order they are offered; kindOf tells whose each is. It panics where a kind
// comes twice.
func Of[K ~string, P any](kindOf func(P) K, profiles ...P) *Table[K, P] {
	t := &Table[K, P]{profiles: profiles, byKind: make(map[K]*P, len(profiles))}
	for i := range profiles {
		kind := kindOf(profiles[i])
		if t.byKind[kind] != nil {
			panic(fmt.Sprintf("table: %q comes twice", kind))
		}
		t.byKind[kind] = &profiles[i]
		t.names = append(t.names, string(kind))
	}
	return t
}

// All returns the profiles in the order they are offered.
func (t *Table[K, P]) All() []P { return append([]P(nil), t.profiles...) }

// Names returns the kinds in the order they are offered; nobody may change it.
func (t *Table[K, P]) Names() []string { return t.names }

// Of returns what is known of a kind, which nobody may change, and whether it is one; the zero profile for none.
func (t *Table[K, P]) Of(kind K) (profile *P, known bool) {
	if p, ok := t.byKind[kind]; ok {
		return p, true
	}
	return &t.none, false
}
