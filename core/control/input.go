package control

import (
	"regexp"

	q "jiriki/core/quantity"
)

// Input is what a drive's plate says it takes in; zero where it does not say.
type Input struct {
	Volts Span   // rms of a line, or direct volts
	Hertz Span   // of a line; from a battery it means nothing
	Given string // its volts as typed
}

// Span is a figure with a low and a high end, which are the same for a single one.
type Span struct{ Low, High float64 }

// ends are the two ends of a range or a pair with their unit: 200-240 V, 100 V/240 V, 50/60 Hz.
var ends = regexp.MustCompile(`^\s*([\d.,]+)\s*[A-Za-z]*\s*(?:[-–−/…]|to|\.\.)\s*([\d.,]+)\s*(\D*)$`)

func readInput(d Described, r *q.Reader) Input {
	return Input{Volts: readSpan("inputVolts", d.InputVolts, q.Voltage, q.Range{Min: 3, Max: 1000}, r),
		Hertz: readSpan("inputHertz", d.InputHertz, q.Frequency, q.Range{Min: 10, Max: 400}, r),
		Given: string(d.InputVolts)}
}

func readSpan(field string, text q.Text, as q.Dimension, within q.Range, r *q.Reader) Span {
	two := ends.FindStringSubmatch(string(text))
	if two == nil {
		one := r.Read(field, text, as, within).Or(0)
		return Span{one, one}
	}
	low := r.Read(field, q.Text(two[1]+" "+two[3]), as, within)
	high := r.Read(field, q.Text(two[2]+" "+two[3]), as, within)
	if !low.Known || !high.Known {
		return Span{}
	}
	return Span{min(low.SI, high.SI), max(low.SI, high.SI)}
}

// takes is how far past its plate's volts a supply may be: a tenth, as supplies are [common practice].
const takes = 0.1

// Takes reports whether a drive made for so much takes a supply's volts.
func (s Span) Takes(volts float64) bool {
	return s.High == 0 || volts >= s.Low*(1-takes) && volts <= s.High*(1+takes)
}
