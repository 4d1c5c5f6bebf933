// Package bounds holds JSON against the limits of the type it is meant for, byte by byte and before
// any of it is decoded: a few characters of text can decode into a thousand times their size.
package bounds

import (
	"bytes"
	"fmt"
	"reflect"
	"strconv"
	"strings"
)

// Bounds on what names none of its own.
const (
	UsualMost = 200     // elements of a list
	Deepest   = 24      // lists and groups within each other
	MostBlank = 1 << 16 // spaces and line ends in a row, which a decoder holds on to
	PartBytes = 4 << 20 // one machine, plan, entry or part of the shelf in a file, or one member of a request
	// BlankShare is how many spaces and line ends outside of texts count for one byte: what is set out for reading is
	// no
	// longer than the same in one line, and yet not without bounds.
	BlankShare = 16
)

// Shape is what a JSON value may hold. The nil Shape is a value whose type says nothing of it.
type Shape struct {
	fields map[string]*Shape // members of a group, by their names in small letters
	elem   *Shape            // what a list is of
	most   int               // elements of the list
	parts  bool              // each of them is a part with a length of its own
}

// Of returns the shape of a type: its lists hold as many elements as the field's maxItems says, and each is a part of
// its
// own where the field's tag says parts:"each".
func Of(t reflect.Type) *Shape {
	switch t.Kind() {
	case reflect.Pointer:
		return Of(t.Elem())
	case reflect.Slice:
		return &Shape{elem: Of(t.Elem()), most: UsualMost}
	case reflect.Map:
		return nil
	case reflect.Struct:
		s := &Shape{fields: map[string]*Shape{}}
		s.addFields(t)
		return s
	}
	return &Shape{}
}

func (s *Shape) addFields(t reflect.Type) {
	for i := range t.NumField() {
		f := t.Field(i)
		name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
		switch {
		case f.Anonymous && name == "":
			s.addFields(f.Type)
			continue
		case !f.IsExported() || name == "-":
			continue
		case name == "":
			name = f.Name
		}
		shape := Of(f.Type)
		if most, err := strconv.Atoi(f.Tag.Get("maxItems")); err == nil {
			shape.most = most
		}
		if shape != nil {
			shape.parts = f.Tag.Get("parts") == "each"
		}
		s.fields[strings.ToLower(name)] = shape
	}
}

// Error says which limit is passed, where, and at which byte.
type Error struct {
	Path    string // such as machine.jobs; empty for the whole
	Offset  int64  // of the byte at which it is certain
	Message string
}

func (e Error) Error() string {
	if e.Path == "" {
		return e.Message
	}
	return e.Path + ": " + e.Message
}

// Checker is told JSON as it comes, in pieces of any size. It does not look whether the JSON is well
// formed: its decoder does.
type Checker struct {
	root     *Shape
	open     []frame
	offset   int64
	part     int64 // bytes since the last member or element of the whole began
	blank    int   // spaces in a row
	key      []byte
	inString bool
	inKey    bool
	escaped  bool
}

// frame is a list or group that is open.
type frame struct {
	shape *Shape
	list  bool
	named bool   // a group whose member's value is awaited
	key   string // that member's name
	at    int    // place of the element in its list
}

// Checker returns one for a value of the shape.
func (s *Shape) Checker() *Checker { return &Checker{root: s} }

// Check holds a whole text against the shape; the error is an [Error].
func (s *Shape) Check(text []byte) error {
	_, err := s.Checker().Write(text)
	return err
}

// longestKey is how much of a member's name is kept; longer ones are no field's.
const longestKey = 64

// Write looks at the next piece. The error, an [Error], comes before what is too much is all there.
func (c *Checker) Write(piece []byte) (int, error) {
	for i := 0; i < len(piece); i++ {
		if c.inString {
			n, closed := c.text(piece[i:])
			if err := c.count(n); err != nil {
				return i, err
			}
			if i += n - 1; closed && c.inKey {
				top := &c.open[len(c.open)-1]
				top.key, c.inKey = strings.ToLower(string(c.key)), false
			}
			continue
		}
		if err := c.structure(piece[i]); err != nil {
			return i, err
		}
		if err := c.count(1); err != nil {
			return i, err
		}
	}
	return len(piece), nil
}

// text passes over the inside of a string and reports how far, and whether it is closed.
func (c *Checker) text(piece []byte) (n int, closed bool) {
	for n < len(piece) {
		if c.escaped {
			c.keep(piece[n : n+1])
			c.escaped = false
			n++
			continue
		}
		stop := bytes.IndexAny(piece[n:], `"\`)
		if stop < 0 {
			c.keep(piece[n:])
			return len(piece), false
		}
		c.keep(piece[n : n+stop])
		n += stop + 1
		if piece[n-1] == '"' {
			c.inString = false
			return n, true
		}
		c.keep(piece[n-1 : n])
		c.escaped = true
	}
	return n, false
}

func (c *Checker) keep(piece []byte) {
	if c.inKey && len(c.key) <= longestKey {
		c.key = append(c.key, piece[:min(len(piece), longestKey+1-len(c.key))]...)
	}
}

// structure takes a byte outside of strings.
func (c *Checker) structure(b byte) error {
	var top *frame
	if len(c.open) > 0 {
		top = &c.open[len(c.open)-1]
	}
	if b <= ' ' {
		if c.blank++; c.blank > MostBlank {
			return c.fail(fmt.Sprintf("at most %d spaces and line ends in a row are taken", MostBlank))
		}
		return nil
	}
	c.blank = 0
	switch b {
	case '"':
		c.inString = true
		if top != nil && !top.list && !top.named {
			c.inKey, c.key = true, c.key[:0]
		}
	case ':':
		if top != nil {
			top.named = true
		}
	case ',':
		if top == nil {
			break
		}
		top.named = false
		if top.list {
			if top.at++; top.at >= top.most() {
				c.open = c.open[:len(c.open)-1]
				return c.fail(fmt.Sprintf("at most %d are taken", top.most()))
			}
		}
	case '{', '[':
		if len(c.open) >= Deepest {
			return c.fail(fmt.Sprintf("lists and groups are at most %d deep", Deepest))
		}
		c.open = append(c.open, frame{shape: c.valueShape(), list: b == '['})
	case '}', ']':
		if top != nil {
			c.open = c.open[:len(c.open)-1]
		}
	}
	return nil
}

func (f *frame) most() int {
	if f.shape == nil || f.shape.most == 0 {
		return UsualMost
	}
	return f.shape.most
}

// valueShape is the shape of the value that begins here.
func (c *Checker) valueShape() *Shape {
	if len(c.open) == 0 {
		return c.root
	}
	top := &c.open[len(c.open)-1]
	if top.shape == nil {
		return nil
	}
	if top.list {
		return top.shape.elem
	}
	return top.shape.fields[top.key]
}

// count adds n bytes to the part that is being read.
func (c *Checker) count(n int) error {
	c.offset += int64(n)
	if !c.inString && c.between() {
		c.part = 0
		return nil
	}
	if c.blank > 0 && c.blank%BlankShare != 0 {
		return nil
	}
	if c.part += int64(n); c.part > PartBytes {
		return c.fail(fmt.Sprintf("longer than %d MB", PartBytes>>20))
	}
	return nil
}

// between reports whether this is no part's: outside of the whole's members, or between the elements of a list of
// parts.
func (c *Checker) between() bool {
	if len(c.open) < 2 {
		return true
	}
	top := &c.open[len(c.open)-1]
	return top.list && (len(c.open) == 2 || top.shape != nil && top.shape.parts)
}

// fail names what is open.
func (c *Checker) fail(message string) error {
	var path strings.Builder
	for _, f := range c.open {
		if f.list {
			fmt.Fprintf(&path, "[%d]", f.at)
		} else if f.key != "" {
			if path.Len() > 0 {
				path.WriteByte('.')
			}
			path.WriteString(f.key)
		}
	}
	return Error{Path: path.String(), Offset: c.offset, Message: message}
}
