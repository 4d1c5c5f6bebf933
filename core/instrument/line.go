// Package instrument reads what instruments say: one line a reading, a word and a number, with an optional time. The
// format is described in docs/instruments.md.
package instrument

import (
	"errors"
	"fmt"
	"math"
	"strconv"
	"strings"
	"time"

	q "jiriki/core/quantity"
)

// Word names what a line tells.
type Word string

// Channel is a word of the lines: what it measures, and its unit.
type Channel struct {
	Word Word        `json:"word"`
	Name string      `json:"name" doc:"As it is shown"`
	Unit string      `json:"unit" doc:"A number alone is in this"`
	Is   q.Dimension `json:"-"`
}

// channels are the words there are.
var channels = []Channel{
	{"rpm", "speed", "rpm", q.Speed}, {"rpm2", "the other shaft", "rpm", q.Speed}, {"volts", "volts", "V", q.Voltage},
	{"amps", "amps", "A", q.Current}, {"celsius", "temperature", "°C", q.Temperature}, {"newton", "pull", "N", q.Force},
	{"db", "sound", "dB", q.Sound}, {"hertz", "hertz", "Hz", q.Frequency}, {"ohms", "ohms", "Ω", q.Resistance},
}

// Channels returns the words there are, in the order they are told.
func Channels() []Channel { return channels }

// Line is a reading as an instrument sent it. Value is in the unit of its word.
type Line struct {
	Word   Word
	Value  float64
	Clock  float64 // s on the instrument's own clock; NaN where it sent none
	At     time.Time
	HasDay bool // At was sent
}

// Bounds of what is sent at once.
const (
	MostLine  = 120
	MostLines = 2000
)

// Errors of a line.
var (
	ErrBlank  = errors.New("nothing stands there")
	ErrWord   = errors.New("not a word of these lines")
	ErrNumber = errors.New("no number after the word")
	ErrTime   = errors.New("the time is neither seconds nor a date with a time")
	ErrLong   = errors.New("longer than a line may be")
)

// Parse reads one line: "rpm 1234.5", "volts 121.3 @12.25" with seconds on the instrument's clock, or
// "celsius 41 @2026-11-27T14:02:03Z". A blank line and one that begins with # are ErrBlank. The value is finite.
func Parse(text string) (Line, error) {
	if len(text) > MostLine {
		return Line{}, ErrLong
	}
	fields := strings.Fields(text)
	if len(fields) == 0 || strings.HasPrefix(fields[0], "#") {
		return Line{}, ErrBlank
	}
	out := Line{Word: Word(strings.ToLower(strings.TrimSuffix(fields[0], ":"))), Clock: math.NaN()}
	if _, known := channelOf(out.Word); !known {
		return Line{}, fmt.Errorf("“%s”: %w", short(fields[0]), ErrWord)
	}
	if len(fields) < 2 {
		return Line{}, ErrNumber
	}
	v, err := strconv.ParseFloat(fields[1], 64)
	if err != nil || math.IsNaN(v) || math.IsInf(v, 0) || math.Abs(v) > mostValue {
		return Line{}, fmt.Errorf("“%s”: %w", short(fields[1]), ErrNumber)
	}
	out.Value = v
	if len(fields) > 2 {
		if err := out.readTime(fields[2]); err != nil {
			return Line{}, err
		}
	}
	return out, nil
}

// mostValue is past what any instrument reads.
const mostValue = 1e9

func (l *Line) readTime(text string) error {
	text = strings.TrimPrefix(text, "@")
	if seconds, err := strconv.ParseFloat(text, 64); err == nil && !math.IsNaN(seconds) && !math.IsInf(seconds, 0) {
		l.Clock = seconds
		return nil
	}
	at, err := time.Parse(time.RFC3339Nano, text)
	if err != nil {
		return ErrTime
	}
	l.At, l.HasDay = at, true
	return nil
}

func short(s string) string {
	if runes := []rune(s); len(runes) > 20 {
		return string(runes[:20]) + "…"
	}
	return s
}

func channelOf(w Word) (Channel, bool) {
	for _, c := range channels {
		if c.Word == w {
			return c, true
		}
	}
	return Channel{}, false
}

// Write is the line as an instrument sends it.
func (l Line) Write() string {
	out := string(l.Word) + " " + strconv.FormatFloat(l.Value, 'g', 7, 64)
	if !math.IsNaN(l.Clock) {
		out += " @" + strconv.FormatFloat(l.Clock, 'f', -1, 64)
	}
	return out
}

// Typed is the reading as a person would type it: "1234.5 rpm".
func (l Line) Typed() q.Text {
	c, _ := channelOf(l.Word)
	return q.WrittenTo(l.Value, 6, c.Unit)
}

// Unit is what the line's number is in.
func (l Line) Unit() string {
	c, _ := channelOf(l.Word)
	return c.Unit
}
