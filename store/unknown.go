package store

import (
	"bytes"
	"context"
	"encoding/json"
	"reflect"
	"strings"

	"github.com/jmoiron/sqlx"
)

// Fields of a document that this program does not know are kept as they stand: whoever wrote them reads them again.
// They
// go along with the group they are in; of a list's groups, with the one of the same ID, or else of the same place while
// the list is as long as it was.

// over is a description as it is to be saved over the one a row has, which is held: with what of that is not known
// here.
func over[T any](ctx context.Context, tx *sqlx.Tx, table, id string, now described[T]) (string, error) {
	text, err := now.text()
	if err != nil {
		return "", err
	}
	var was string
	if err := tx.GetContext(ctx, &was, `SELECT described FROM `+table+` WHERE id = $1`, id); err != nil {
		return "", err
	}
	strict := json.NewDecoder(strings.NewReader(was))
	strict.DisallowUnknownFields()
	if strict.Decode(new(T)) == nil {
		return text, nil
	}
	return string(carried(reflect.TypeFor[T](), json.RawMessage(was), json.RawMessage(text))), nil
}

// carried is now with what of was the type does not know.
func carried(t reflect.Type, was, now json.RawMessage) json.RawMessage {
	for t.Kind() == reflect.Pointer {
		t = t.Elem()
	}
	switch t.Kind() {
	case reflect.Struct:
		return carriedGroup(t, was, now)
	case reflect.Slice:
		return carriedList(t.Elem(), was, now)
	}
	return now
}

func carriedGroup(t reflect.Type, was, now json.RawMessage) json.RawMessage {
	var before, after map[string]json.RawMessage
	if json.Unmarshal(was, &before) != nil || json.Unmarshal(now, &after) != nil || before == nil || after == nil {
		return now
	}
	known := map[string]reflect.Type{}
	addFields(t, known)
	changed := false
	for name, value := range before {
		of, isKnown := known[strings.ToLower(name)]
		switch {
		case !isKnown:
			after[name], changed = value, true
		case after[name] != nil:
			if part := carried(of, value, after[name]); !bytes.Equal(part, after[name]) {
				after[name], changed = part, true
			}
		}
	}
	return encodedIf(changed, after, now)
}

func carriedList(of reflect.Type, was, now json.RawMessage) json.RawMessage {
	var before, after []json.RawMessage
	if json.Unmarshal(was, &before) != nil || json.Unmarshal(now, &after) != nil {
		return now
	}
	byID := map[string]json.RawMessage{}
	for _, one := range before {
		byID[idOf(one)] = one
	}
	changed := false
	for i, one := range after {
		from, id := json.RawMessage(nil), idOf(one)
		if id != "" {
			from = byID[id]
		} else if len(before) == len(after) {
			from = before[i]
		}
		if part := carried(of, from, one); !bytes.Equal(part, one) {
			after[i], changed = part, true
		}
	}
	return encodedIf(changed, after, now)
}

// idOf is the ID a group carries; empty where it has none, or is no group.
func idOf(value json.RawMessage) string {
	var group struct{ ID string }
	_ = json.Unmarshal(value, &group)
	return group.ID
}

// encodedIf is v as JSON where it was changed, else what there was.
func encodedIf(changed bool, v any, was json.RawMessage) json.RawMessage {
	if !changed {
		return was
	}
	text, err := json.Marshal(v)
	if err != nil {
		return was
	}
	return text
}

// addFields collects the fields a type knows, by their names in small letters.
func addFields(t reflect.Type, known map[string]reflect.Type) {
	for i := range t.NumField() {
		f := t.Field(i)
		name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
		switch {
		case f.Anonymous && name == "" && f.Type.Kind() == reflect.Struct:
			addFields(f.Type, known)
		case f.IsExported() && name != "-":
			if name == "" {
				name = f.Name
			}
			known[strings.ToLower(name)] = f.Type
		}
	}
}
