package openfile

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"strings"

	"jiriki/core/shelf"
)

// Writer is a [Sink] that writes a file as its contents come, indented for reading. The name comes
// first, then machines, then parts. Close ends the file; until then it is no whole one.
type Writer struct {
	w    io.Writer
	list string // the list that is open
	n    int    // elements in it so far
}

// NewWriter returns a Writer to w.
func NewWriter(w io.Writer) *Writer { return &Writer{w: w} }

// Name begins the file.
func (w *Writer) Name(name string) error {
	text, err := encoded(name)
	if err != nil {
		return err
	}
	_, err = fmt.Fprintf(w.w, "{\n  \"format\": %q,\n  \"version\": %d,\n  \"name\": %s,\n", Format, Version, text)
	return err
}

// Machine adds a machine.
func (w *Writer) Machine(m Machine) error { return w.element("machines", m.whole()) }

// Part adds a part of the shelf.
func (w *Writer) Part(item shelf.Item) error { return w.element("shelf", item.Whole()) }

func (w *Writer) element(list string, v any) error {
	if err := w.upTo(list); err != nil {
		return err
	}
	text, err := encoded(v)
	if err != nil {
		return err
	}
	before := ",\n    "
	if w.n == 0 {
		before = "\n    "
	}
	w.n++
	_, err = io.WriteString(w.w, before+text)
	return err
}

// encoded is a value as it stands in a file, two levels in.
func encoded(v any) (string, error) {
	var b bytes.Buffer
	enc := json.NewEncoder(&b)
	enc.SetEscapeHTML(false)
	enc.SetIndent("    ", "  ")
	err := enc.Encode(v)
	return strings.TrimSuffix(b.String(), "\n"), err
}

// upTo closes the lists before the one named, and opens that.
func (w *Writer) upTo(list string) error {
	if w.list == list {
		return nil
	}
	text := ""
	if w.list == "" {
		text, w.list = `  "machines": [`, "machines"
	}
	if w.list == "machines" && list != "machines" {
		text += w.closed() + ",\n  \"shelf\": ["
		w.list = "shelf"
	}
	w.n = 0
	_, err := io.WriteString(w.w, text)
	return err
}

func (w *Writer) closed() string {
	if w.n == 0 {
		return "]"
	}
	return "\n  ]"
}

// Close ends the file.
func (w *Writer) Close() error {
	if err := w.upTo("shelf"); err != nil {
		return err
	}
	_, err := io.WriteString(w.w, w.closed()+"\n}\n")
	return err
}

// Encode writes a whole file.
func Encode(f File) ([]byte, error) {
	var b bytes.Buffer
	w := NewWriter(&b)
	if err := f.Send(w); err != nil {
		return nil, err
	}
	err := w.Close()
	return b.Bytes(), err
}
