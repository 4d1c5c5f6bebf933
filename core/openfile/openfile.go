// Package openfile is Jiriki's open file: a whole workshop or a single plan as documented JSON,
// every quantity as it was typed.
package openfile

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"

	"jiriki/core/line"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Format and Version are written into every file. A reader refuses other formats and newer
// versions; version 1 is the first.
const (
	Format  = "jiriki"
	Version = 1
)

// MaxBytes is the largest file that is read.
const MaxBytes = 8 << 20

// Bounds on what one file may hold.
const (
	MaxMachines = 200
	MaxPlans    = 26
	MaxShelf    = 500
)

// File is a workshop, or the part of one that was exported.
type File struct {
	Format   string       `json:"format" enum:"jiriki" doc:"Always jiriki"`
	Version  int          `json:"version" minimum:"1" maximum:"1" doc:"Version of this layout"`
	Name     string       `json:"name" maxLength:"120" doc:"Name of the workshop"`
	Machines []Machine    `json:"machines" maxItems:"200" nullable:"false"`
	Shelf    []shelf.Item `json:"shelf" maxItems:"500" nullable:"false"`
}

// Machine is a machine with its plans.
type Machine struct {
	Machine work.Machine `json:"machine"`
	Plans   []line.Plan  `json:"plans" maxItems:"26" nullable:"false"`
}

// ReadError says what is wrong with a file and where.
type ReadError struct {
	Where   string // "line 12, column 7" or a path such as machines[0].plans[2]; may be empty
	Message string
}

func (e ReadError) Error() string {
	if e.Where == "" {
		return e.Message
	}
	return e.Where + ": " + e.Message
}

// Decode reads a file strictly: one JSON value, no field it does not know, this format and a
// version it knows, within its bounds. The error is a ReadError. Quantities are not judged:
// what was typed is kept even when it cannot be used yet.
func Decode(data []byte) (File, error) {
	if len(data) > MaxBytes {
		return File{}, ReadError{Message: fmt.Sprintf("the file is larger than %d MB", MaxBytes>>20)}
	}
	if err := checkHead(data); err != nil {
		return File{}, err
	}
	var f File
	dec := json.NewDecoder(bytes.NewReader(data))
	dec.DisallowUnknownFields()
	if err := dec.Decode(&f); err != nil {
		return File{}, explain(data, dec.InputOffset(), err)
	}
	if _, err := dec.Token(); !errors.Is(err, io.EOF) {
		return File{}, ReadError{Where: position(data, dec.InputOffset()), Message: "more follows after the end of the file's content"}
	}
	if err := f.checkBounds(); err != nil {
		return File{}, err
	}
	return f.whole(), nil
}

// Encode writes a file, indented for reading.
func Encode(f File) ([]byte, error) {
	var b bytes.Buffer
	enc := json.NewEncoder(&b)
	enc.SetEscapeHTML(false)
	enc.SetIndent("", "  ")
	err := enc.Encode(f.whole())
	return b.Bytes(), err
}

// whole fills in the lists a file may leave out.
func (f File) whole() File {
	machines := make([]Machine, len(f.Machines))
	for i, m := range f.Machines {
		machines[i] = Machine{Machine: m.Machine.Whole(), Plans: make([]line.Plan, len(m.Plans))}
		for k, p := range m.Plans {
			machines[i].Plans[k] = p.Whole()
		}
	}
	f.Machines = machines
	items := make([]shelf.Item, len(f.Shelf))
	for i, item := range f.Shelf {
		items[i] = item.Whole()
	}
	f.Shelf = items
	return f
}

// checkHead looks at format and version first, so that a newer file is told apart from a broken one.
func checkHead(data []byte) error {
	var head struct {
		Format  string          `json:"format"`
		Version json.RawMessage `json:"version"`
	}
	if err := json.Unmarshal(data, &head); err != nil {
		return explain(data, 0, err)
	}
	if head.Format != Format {
		return ReadError{Where: "format", Message: fmt.Sprintf("this is not a Jiriki file: format must be %q", Format)}
	}
	if v := string(head.Version); v != fmt.Sprint(Version) {
		if v == "" {
			v = "missing"
		}
		return ReadError{Where: "version", Message: fmt.Sprintf("version is %.40s; this Jiriki reads version %d", v, Version)}
	}
	return nil
}

func (f File) checkBounds() error {
	if len(f.Machines) > MaxMachines {
		return ReadError{Where: "machines", Message: fmt.Sprintf("at most %d machines", MaxMachines)}
	}
	if len(f.Shelf) > MaxShelf {
		return ReadError{Where: "shelf", Message: fmt.Sprintf("at most %d parts", MaxShelf)}
	}
	for i, m := range f.Machines {
		where := fmt.Sprintf("machines[%d]", i)
		if len(m.Plans) > MaxPlans {
			return ReadError{Where: where + ".plans", Message: fmt.Sprintf("at most %d plans", MaxPlans)}
		}
		if strings.TrimSpace(m.Machine.Name) == "" {
			return ReadError{Where: where + ".machine.name", Message: "a machine needs a name"}
		}
	}
	return nil
}

// explain turns a decoding error into words with a place.
func explain(data []byte, offset int64, err error) ReadError {
	var syntax *json.SyntaxError
	var kind *json.UnmarshalTypeError
	switch {
	case errors.As(err, &syntax):
		if strings.Contains(syntax.Error(), "unexpected end") {
			return ReadError{Where: position(data, int64(len(data))), Message: "the file breaks off here"}
		}
		return ReadError{Where: position(data, syntax.Offset), Message: "not well-formed JSON: " + syntax.Error()}
	case errors.As(err, &kind):
		return ReadError{Where: position(data, kind.Offset), Message: fmt.Sprintf("%s holds a %s where a %s belongs", kind.Field, kind.Value, plainKind(kind.Type.Kind().String()))}
	case errors.Is(err, io.ErrUnexpectedEOF), errors.Is(err, io.EOF):
		return ReadError{Where: position(data, int64(len(data))), Message: "the file breaks off here"}
	}
	return ReadError{Where: position(data, offset), Message: strings.TrimPrefix(err.Error(), "json: ")}
}

func plainKind(kind string) string {
	switch kind {
	case "struct", "map":
		return "group of fields"
	case "slice":
		return "list"
	case "bool":
		return "true or false"
	case "string":
		return "text"
	}
	return "number"
}

// position turns a byte offset into line and column, counted from 1.
func position(data []byte, offset int64) string {
	offset = min(max(offset, 0), int64(len(data)))
	before := data[:offset]
	row := bytes.Count(before, []byte("\n")) + 1
	column := len(before) - (bytes.LastIndexByte(before, '\n') + 1)
	return fmt.Sprintf("line %d, column %d", row, max(column, 1))
}
