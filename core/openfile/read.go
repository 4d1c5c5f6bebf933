package openfile

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"reflect"
	"strconv"
	"strings"

	"jiriki/core/bounds"
	"jiriki/core/logbook"
	"jiriki/core/quantity"
	"jiriki/core/shelf"
	"jiriki/core/words"
	"jiriki/core/work"
)

// Decode reads a whole file into memory; see [Read].
func Decode(data []byte) (File, error) {
	return Gather(func(to Sink) error { return Read(bytes.NewReader(data), to) })
}

// Read reads a file strictly and sends its contents on as they come: one JSON value, no field it does
// not know, this format and a version it knows, within its bounds, which are checked before anything
// is decoded. Quantities are not judged: what was typed is kept even when it cannot be used yet. The
// error is a ReadError where the file is at fault, else the reader's or the sink's own; what was sent
// before it is then to be forgotten.
func Read(r io.Reader, to Sink) error { return read(r, to, MaxBytes) }

// read reads a file of at most so many bytes.
func read(r io.Reader, to Sink, most int64) error {
	f := &reading{from: &source{r: r, check: fileShape.Checker(), most: most}, to: to}
	f.dec = json.NewDecoder(f.from)
	if err := f.delimiter('{', "the file", "group of fields"); err != nil {
		return err
	}
	for f.dec.More() {
		if err := f.member(); err != nil {
			return err
		}
	}
	if _, err := f.dec.Token(); err != nil {
		return f.explain(err)
	}
	if err := f.checkHead(); err != nil {
		return err
	}
	if _, err := f.dec.Token(); !errors.Is(err, io.EOF) {
		if err != nil {
			return f.explain(err)
		}
		return ReadError{Where: f.from.position(f.dec.InputOffset()),
			Message: "more follows after the end of the file's content"}
	}
	return to.Name(f.name)
}

var fileShape = bounds.Of(reflect.TypeFor[File]())

// reading is a file being read.
type reading struct {
	from            *source
	dec             *json.Decoder
	to              Sink
	format, name    string
	version         json.RawMessage
	machines, parts int
}

// member reads one member of the file.
func (f *reading) member() error {
	key, err := f.dec.Token()
	if err != nil {
		return f.explain(err)
	}
	switch name, _ := key.(string); strings.ToLower(name) {
	case "format":
		if err := f.decode(&f.format, "format"); err != nil {
			return err
		}
		return f.checkFormat()
	case "version":
		if err := f.decode(&f.version, "version"); err != nil {
			return err
		}
		return f.checkVersion()
	case "name":
		return f.decode(&f.name, "name")
	case machinesList:
		return f.list(machinesList, f.machine)
	case shelfList:
		return f.list(shelfList, f.part)
	default:
		return f.unknown(name)
	}
}

func (f *reading) unknown(name string) error {
	return ReadError{Where: f.from.position(f.dec.InputOffset()), Message: fmt.Sprintf("unknown field %q", name)}
}

// list reads a list element by element; null is an empty one.
func (f *reading) list(name string, element func() error) error {
	token, err := f.dec.Token()
	if err != nil {
		return f.explain(err)
	}
	if token == nil {
		return nil
	}
	if token != json.Delim('[') {
		return f.otherKind(name, token, "list")
	}
	for f.dec.More() {
		if err := element(); err != nil {
			return err
		}
	}
	_, err = f.dec.Token()
	return f.explain(err)
}

// machine reads a machine, and passes its plans and its log on one by one. They stand after what they are of: plans
// after the machine, and the log after both.
func (f *reading) machine() error {
	where := fmt.Sprintf("machines[%d]", f.machines)
	if f.machines++; f.machines > MaxMachines {
		return ReadError{Where: "machines", Message: fmt.Sprintf("at most %d machines", MaxMachines)}
	}
	if err := f.delimiter('{', where, "group of fields"); err != nil {
		return err
	}
	m := ofMachine{reading: f, where: where}
	for f.dec.More() {
		if err := m.member(); err != nil {
			return err
		}
	}
	if _, err := f.dec.Token(); err != nil {
		return f.explain(err)
	}
	return m.begin()
}

// ofMachine is a machine being read.
type ofMachine struct {
	*reading
	where          string
	machine        work.Machine
	begun, logged  bool // it is passed on, and its log is begun
	plans, entries int
}

// begin passes the machine on, before what is its own.
func (m *ofMachine) begin() error {
	if m.begun {
		return nil
	}
	m.begun = true
	if quantity.Blank(m.machine.Name) {
		return ReadError{Where: m.where + ".machine.name", Message: "a machine needs a name"}
	}
	return m.to.Machine(m.machine.Whole())
}

// member reads one member of a machine.
func (m *ofMachine) member() error {
	key, err := m.dec.Token()
	if err != nil {
		return m.explain(err)
	}
	name, _ := key.(string)
	switch name = strings.ToLower(name); {
	case name == "machine" && !m.begun:
		return m.decode(&m.machine, m.where+".machine")
	case name == plansList && !m.logged:
		if err := m.begin(); err != nil {
			return err
		}
		return m.list(name, m.plan)
	case name == logList:
		m.logged = true
		if err := m.begin(); err != nil {
			return err
		}
		return m.list(name, m.entry)
	case name == "machine", name == plansList:
		return ReadError{Where: m.from.position(m.dec.InputOffset()), Message: "a machine stands before its plans, " +
			"and " +
			"they before its log"}
	}
	return m.unknown(name)
}

func (m *ofMachine) plan() error {
	if m.plans++; m.plans > MaxPlans {
		return ReadError{Where: m.where + ".plans", Message: fmt.Sprintf("at most %d plans", MaxPlans)}
	}
	var p Plan
	if err := m.decode(&p, fmt.Sprintf("%s.plans[%d]", m.where, m.plans-1)); err != nil {
		return err
	}
	return m.to.Plan(p.whole())
}

func (m *ofMachine) entry() error {
	m.entries++
	var e logbook.Entry
	if err := m.decode(&e, fmt.Sprintf("%s.log[%d]", m.where, m.entries-1)); err != nil {
		return err
	}
	return m.to.Entry(e.Whole())
}

func (f *reading) part() error {
	if f.parts++; f.parts > MaxShelf {
		return ReadError{Where: "shelf", Message: fmt.Sprintf("at most %d parts", MaxShelf)}
	}
	var item shelf.Item
	if err := f.decode(&item, fmt.Sprintf("shelf[%d]", f.parts-1)); err != nil {
		return err
	}
	return f.to.Part(item.Whole())
}

// decode reads the next value strictly into v.
func (f *reading) decode(v any, where string) error {
	var raw json.RawMessage
	if err := f.dec.Decode(&raw); err != nil {
		return f.explain(err)
	}
	began := f.dec.InputOffset() - int64(len(raw))
	strict := json.NewDecoder(bytes.NewReader(raw))
	strict.DisallowUnknownFields()
	err := strict.Decode(v)
	if err == nil {
		return nil
	}
	var kind *json.UnmarshalTypeError
	if errors.As(err, &kind) {
		place := where
		if kind.Field != "" {
			place += "." + kind.Field
		}
		return ReadError{Where: f.from.position(began + kind.Offset),
			Message: fmt.Sprintf("%s holds %s where %s belongs", place, words.A(kind.Value),
				words.A(plainKind(kind.Type.Kind().String())))}
	}
	return ReadError{Where: f.from.position(began + strict.InputOffset()),
		Message: strings.TrimPrefix(err.Error(),
			"json: ")}
}

func (f *reading) delimiter(want json.Delim, what, kind string) error {
	token, err := f.dec.Token()
	if err != nil {
		return f.explain(err)
	}
	if token != want {
		return f.otherKind(what, token, kind)
	}
	return nil
}

func (f *reading) otherKind(what string, token json.Token, want string) error {
	kinds := map[string]string{"json.Delim": "group or list", "string": "string", "float64": "number", "bool": "bool",
		"<nil>": "null"}
	return ReadError{Where: f.from.position(f.dec.InputOffset()),
		Message: fmt.Sprintf("%s holds %s where %s belongs", what, words.A(kinds[fmt.Sprintf("%T", token)]),
			words.A(want))}
}

// checkHead looks that format and version were there; both are looked at as soon as they come, so that
// a newer file is told apart from a broken one.
func (f *reading) checkHead() error {
	if err := f.checkFormat(); err != nil {
		return err
	}
	return f.checkVersion()
}

func (f *reading) checkFormat() error {
	if f.format != Format {
		return ReadError{Where: "format", Message: fmt.Sprintf("this is not a Jiriki file: format must be %q", Format)}
	}
	return nil
}

func (f *reading) checkVersion() error {
	v := string(f.version)
	switch n, err := strconv.Atoi(v); {
	case v == "":
		v = "missing"
	case err == nil && n > Version:
		return ReadError{Where: "version", Message: fmt.Sprintf("the file is of version %d, and this Jiriki reads up "+
			"to version %d: read it with a newer one", n, Version)}
	case err == nil && n >= 1:
		return nil
	}
	return ReadError{Where: "version", Message: fmt.Sprintf("version is %.40s; this Jiriki reads versions 1 to %d", v,
		Version)}
}

// explain turns an error of reading on into words with a place.
func (f *reading) explain(err error) error {
	var syntax *json.SyntaxError
	switch {
	case err == nil:
		return nil
	case f.from.err != nil:
		return f.from.err
	case errors.As(err, &syntax):
		if strings.Contains(syntax.Error(), "unexpected end") {
			return ReadError{Where: f.from.position(f.from.read), Message: "the file breaks off here"}
		}
		return ReadError{Where: f.from.position(syntax.Offset), Message: "not well-formed JSON: " + syntax.Error()}
	case errors.Is(err, io.ErrUnexpectedEOF), errors.Is(err, io.EOF):
		return ReadError{Where: f.from.position(f.from.read), Message: "the file breaks off here"}
	}
	return ReadError{Where: f.from.position(f.dec.InputOffset()), Message: strings.TrimPrefix(err.Error(), "json: ")}
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

// source is a file's bytes on their way to the decoder: held against the bounds, and their lines
// counted.
type source struct {
	r     io.Reader
	check *bounds.Checker
	read  int64
	most  int64
	lines []uint32 // where each line after the first begins
	err   error    // why it ended early, if it did
}

// mostLines is how many lines are counted; a place beyond them is told by its byte.
const mostLines = 1 << 21

func (s *source) Read(p []byte) (int, error) {
	if s.err != nil {
		return 0, s.err
	}
	n, err := s.r.Read(p)
	if err != nil && !errors.Is(err, io.EOF) {
		s.err = err
	}
	for i, b := range p[:n] {
		if b == '\n' && len(s.lines) < mostLines {
			s.lines = append(s.lines, uint32(s.read)+uint32(i)+1)
		}
	}
	s.read += int64(n)
	if s.read > s.most {
		s.err = ReadError{Message: fmt.Sprintf("the file is larger than %d MB", s.most>>20)}
		return 0, s.err
	}
	if _, over := s.check.Write(p[:n]); over != nil {
		var passed bounds.Error
		errors.As(over, &passed)
		s.err = ReadError{Where: passed.Path, Message: passed.Message + " (" + s.position(passed.Offset) + ")"}
		return 0, s.err
	}
	return n, err
}

// position turns a byte offset into line and column, counted from 1.
func (s *source) position(offset int64) string {
	offset = min(max(offset, 0), s.read)
	row, began := 1, int64(0)
	for i, at := range s.lines {
		if int64(at) > offset {
			break
		}
		row, began = i+2, int64(at)
	}
	if row > mostLines {
		return fmt.Sprintf("byte %d", offset)
	}
	return fmt.Sprintf("line %d, column %d", row, max(offset-began, 1))
}
