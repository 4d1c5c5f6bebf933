package openfile

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"strings"

	"jiriki/core/logbook"
	"jiriki/core/shelf"
	"jiriki/core/work"
)

// Writer is a [Sink] that writes a file as its contents come, indented for reading. The name comes first, then
// machines,
// each with its plans and then its log, then parts. Close ends the file; until then it is no whole one.
type Writer struct {
	w    io.Writer
	open []list // the lists that are open, each in an element of the one before it
}

// list is one that is being written.
type list struct {
	name string
	n    int // elements in it so far
}

// Names of the lists, and of a machine's own, in the order they stand.
const (
	machinesList = "machines"
	plansList    = "plans"
	logList      = "log"
	shelfList    = "shelf"
)

// NewWriter returns a Writer to w.
func NewWriter(w io.Writer) *Writer { return &Writer{w: w} }

// Name begins the file.
func (w *Writer) Name(name string) error {
	text, err := encoded(name, 1)
	if err != nil {
		return err
	}
	_, err = fmt.Fprintf(w.w, "{\n  \"format\": %q,\n  \"version\": %d,\n  \"name\": %s", Format, Version, text)
	return errors.Join(err, w.begin(machinesList))
}

// Machine adds a machine.
func (w *Writer) Machine(m work.Machine) error {
	if err := w.backTo(machinesList); err != nil {
		return err
	}
	text, err := encoded(m.Whole(), 3)
	if err != nil {
		return err
	}
	if err := w.element("{\n      \"machine\": " + text); err != nil {
		return err
	}
	return w.begin(plansList)
}

// Plan adds a plan to the machine before it.
func (w *Writer) Plan(p Plan) error {
	text, err := encoded(p.whole(), 4)
	return errors.Join(err, w.element(text))
}

// Entry adds an entry to the log of the machine before it.
func (w *Writer) Entry(e logbook.Entry) error {
	if err := w.upTo(logList); err != nil {
		return err
	}
	text, err := encoded(e.Whole(), 4)
	return errors.Join(err, w.element(text))
}

// Part adds a part of the shelf.
func (w *Writer) Part(item shelf.Item) error {
	if err := w.upTo(shelfList); err != nil {
		return err
	}
	text, err := encoded(item.Whole(), 2)
	return errors.Join(err, w.element(text))
}

// encoded is a value as it stands in a file, so many levels in.
func encoded(v any, deep int) (string, error) {
	var b bytes.Buffer
	enc := json.NewEncoder(&b)
	enc.SetEscapeHTML(false)
	enc.SetIndent(strings.Repeat("  ", deep), "  ")
	err := enc.Encode(v)
	return strings.TrimSuffix(b.String(), "\n"), err
}

// margin is the line end and the spaces before what stands in the innermost open list, or so many levels further out.
func (w *Writer) margin(out int) string {
	return "\n" + strings.Repeat("  ", 2*len(w.open)-out)
}

// element adds what is written already to the innermost list.
func (w *Writer) element(text string) error {
	last := &w.open[len(w.open)-1]
	before := ","
	if last.n == 0 {
		before = ""
	}
	last.n++
	_, err := io.WriteString(w.w, before+w.margin(0)+text)
	return err
}

// begin opens a list as the next member of what is open.
func (w *Writer) begin(name string) error {
	w.open = append(w.open, list{name: name})
	_, err := fmt.Fprintf(w.w, ",%s%q: [", w.margin(1), name)
	return err
}

// end closes the innermost list.
func (w *Writer) end() error {
	last, text := w.open[len(w.open)-1], "]"
	if last.n > 0 {
		text = w.margin(1) + text
	}
	w.open = w.open[:len(w.open)-1]
	_, err := io.WriteString(w.w, text)
	return err
}

// backTo closes what stands in the last element of a list, each machine's with both of its own.
func (w *Writer) backTo(name string) error {
	for w.open[len(w.open)-1].name != name {
		if err := w.upTo(logList); err != nil {
			return err
		}
		if err := w.end(); err != nil {
			return err
		}
		if _, err := io.WriteString(w.w, w.margin(0)+"}"); err != nil {
			return err
		}
	}
	return nil
}

// upTo opens a list that stands after the one that is open, and closes that.
func (w *Writer) upTo(name string) error {
	if w.open[len(w.open)-1].name == name {
		return nil
	}
	if name == shelfList {
		if err := w.backTo(machinesList); err != nil {
			return err
		}
	}
	return errors.Join(w.end(), w.begin(name))
}

// Close ends the file, which has begun with its name.
func (w *Writer) Close() error {
	if err := w.upTo(shelfList); err != nil {
		return err
	}
	if err := w.end(); err != nil {
		return err
	}
	_, err := io.WriteString(w.w, "\n}\n")
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
