package motor

import (
	"regexp"
	"strings"
)

// Frame is a standard frame's mounting: how high its shaft stands over its feet, the feet's bolt holes, and its shaft,
// millimetres. Those of inch frames are exact to what they are in inches.
type Frame struct {
	Name     string
	Height   float64 // shaft centre over the feet
	Across   float64 // between bolt holes, across the shaft
	Along    float64 // between bolt holes, along the shaft
	Shaft    float64 // diameter
	ShaftOut float64 // length of the shaft
	Inch     bool    // of NEMA: its sizes are of inches
	Faced    bool    // made to be bolted on by its face: it may have no feet
	Threaded bool    // its shaft is a thread for a pump's wheel: no keyed wheel goes on
}

// mmPerInch is exact.
const mmPerInch = 25.4

// inchFrame is a frame by its sizes in inches.
func inchFrame(name string, height, across, along, shaft, shaftOut float64) Frame {
	return Frame{Name: "NEMA " + name, Height: height * mmPerInch, Across: across * mmPerInch, Along: along * mmPerInch,
		Shaft: shaft * mmPerInch, ShaftOut: shaftOut * mmPerInch, Inch: true}
}

// frames by name: metric IEC 60072 shaft heights and inch NEMA MG 1 frames [from memory].
var frames = []Frame{
	{Name: "56", Height: 56, Across: 90, Along: 71, Shaft: 9, ShaftOut: 20},
	{Name: "63", Height: 63, Across: 100, Along: 80, Shaft: 11, ShaftOut: 23},
	{Name: "71", Height: 71, Across: 112, Along: 90, Shaft: 14, ShaftOut: 30},
	{Name: "80", Height: 80, Across: 125, Along: 100, Shaft: 19, ShaftOut: 40},
	{Name: "90S", Height: 90, Across: 140, Along: 100, Shaft: 24, ShaftOut: 50},
	{Name: "90L", Height: 90, Across: 140, Along: 125, Shaft: 24, ShaftOut: 50},
	{Name: "100S", Height: 100, Across: 160, Along: 112, Shaft: 28, ShaftOut: 60},
	{Name: "100L", Height: 100, Across: 160, Along: 140, Shaft: 28, ShaftOut: 60},
	{Name: "112S", Height: 112, Across: 190, Along: 114, Shaft: 28, ShaftOut: 60},
	{Name: "112M", Height: 112, Across: 190, Along: 140, Shaft: 28, ShaftOut: 60},
	{Name: "132S", Height: 132, Across: 216, Along: 140, Shaft: 38, ShaftOut: 80},
	{Name: "132M", Height: 132, Across: 216, Along: 178, Shaft: 38, ShaftOut: 80},
	{Name: "160M", Height: 160, Across: 254, Along: 210, Shaft: 42, ShaftOut: 110},
	inchFrame("42", 2.625, 3.5, 1.6875, 0.375, 1.125),
	inchFrame("48", 3, 4.25, 2.75, 0.5, 1.5),
	inchFrame("56", 3.5, 4.875, 3, 0.625, 1.875),
	inchFrame("56J", 3.5, 4.875, 3, 0.625, 2.4375),
	inchFrame("143T", 3.5, 5.5, 4, 0.875, 2.25),
	inchFrame("145T", 3.5, 5.5, 5, 0.875, 2.25),
	inchFrame("182", 4.5, 7.5, 4.5, 0.875, 2.25),
	inchFrame("184", 4.5, 7.5, 5.5, 0.875, 2.25),
	inchFrame("182T", 4.5, 7.5, 4.5, 1.125, 2.75),
	inchFrame("184T", 4.5, 7.5, 5.5, 1.125, 2.75),
}

func frameNamed(name string) (Frame, bool) {
	for _, f := range frames {
		if f.Name == name {
			return f, true
		}
	}
	return Frame{}, false
}

var (
	// flanged are the mountings of IEC 60034-7 that have a flange or face and no feet [from memory].
	flanged = regexp.MustCompile(`\bB(5|14)\b`)
	// otherFigures are figures of a plate that are no frame: with a unit, or a mounting, a duty or a protection before.
	otherFigures = regexp.MustCompile(`\d+(?:[.,/]\d+)*\s*(?:%|(?:V|HZ|W|KW|HP|RPM|KG|UF|MF|MFD|MM)\b)|` +
		`\d+(?:[.,/]\d+)*\s+A\b|\d[.,]\d+\s*A\b|\b(?:IP|IM|S|B|V)\s?\d+\b`)
	// frameSize is a number of a frame's with the letters that follow it.
	frameSize = regexp.MustCompile(`(?:^|[^0-9A-Z.,/])[A-Z]{0,3}?` +
		`(42|48|56|63|71|80|90|100|112|132|160|143|145|182|184)` +
		`(?:\s?-?\s?([SLM])|([A-Z]{0,3}))(?:[^0-9A-Z.,/]|[.,](?:[^0-9]|$)|$)`)
)

// FindFrame returns the frame a plate or a bracket names, such as "80", "IEC 90 L", "B3 71" or "NEMA 56"; false when
// none is recognised. A bare 56 is the metric one where the plate is on 50 Hz, the inch one where it is on 60 Hz. A
// letter C behind an inch frame's number is a face.
func FindFrame(text string, hertz float64) (Frame, bool) {
	upper := strings.ToUpper(text)
	faced := flanged.MatchString(upper)
	bare := otherFigures.ReplaceAllString(upper, " ; ")
	for _, found := range frameSize.FindAllStringSubmatch(bare, -1) {
		number, letters := found[1], found[2]+found[3]
		inch := strings.Contains(upper, "NEMA") || hertz > 55 && !strings.Contains(upper, "IEC")
		if f, ok := metricFrame(number, letters); ok && !(inch && number == "56") {
			f.Faced = faced
			return f, true
		}
		if f, ok := inchFrameOf(number, letters, inch); ok {
			f.Faced = f.Faced || faced
			return f, true
		}
	}
	return Frame{}, false
}

// metricFrame is an IEC frame by its number and the letters of its length; a maker's own a or b behind it says which
// stack of iron is in it.
func metricFrame(number, letters string) (Frame, bool) {
	switch letters {
	case "", "A", "B", "G", "S", "L", "M", "LA", "LB", "SA", "SB", "LX", "MA", "MB":
	default:
		return Frame{}, false
	}
	length := strings.TrimRight(letters, "ABGX")
	for _, name := range []string{number + length, number + "S", number + "L", number + "M"} {
		if name == number+"S" && length == "" && (number == "100" || number == "112") {
			continue // without a letter the usual one
		}
		if f, ok := frameNamed(name); ok && (length == "" || name == number+length) {
			return f, true
		}
	}
	return Frame{}, false
}

// inchFrameOf is a NEMA frame by its number and letters.
func inchFrameOf(number, letters string, inch bool) (Frame, bool) {
	face := strings.Contains(letters, "C")
	size := number
	switch {
	case number == "56" && strings.HasPrefix(letters, "J"):
		f, ok := frameNamed("NEMA 56J")
		f.Faced, f.Threaded = true, true
		return f, ok
	case strings.HasPrefix(letters, "T"), number == "143", number == "145":
		size += "T"
	}
	switch rest := strings.NewReplacer("T", "", "C", "", "H", "", "Z", "", "Y", "", "N", "").Replace(letters); {
	case rest != "":
		return Frame{}, false
	case number == "56" && letters == "" && !inch:
		return Frame{}, false
	}
	f, ok := frameNamed("NEMA " + size)
	f.Faced = face
	return f, ok
}
