package supply

import (
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
)

// Code is the family of wiring rules whose starting values are shown.
type Code string

// The two families.
const (
	IEC Code = "iec"
	NEC Code = "nec"
)

// copper is the resistivity of copper at 20 °C, Ω·m, and warm is how much more it is in a loaded
// cable at 70 °C [IEC 60228 and the temperature coefficient 0.00393 per K, from memory].
const (
	copper = 1.72e-8
	warm   = 1 + 0.00393*50
)

// Wire is a conductor size as it is called, with its section in m².
type Wire struct {
	Name string
	Area float64
}

// AWGDiameter returns the diameter (m) of a solid wire by American gauge, 0 for 1/0 and below zero
// for thicker: 0.127 mm · 92^((36 − n)/39). Source: ASTM B258.
func AWGDiameter(n float64) float64 { return 0.127e-3 * math.Pow(92, (36-n)/39) }

// AWG returns the wire of an American gauge.
func AWG(n int) Wire {
	d := AWGDiameter(float64(n))
	return Wire{fmt.Sprintf("%d AWG", n), math.Pi / 4 * d * d}
}

// ParseWire reads a conductor size: "2.5 mm²", "2.5", "14 AWG", "AWG 14" or "#14". A bare number
// means square millimetres.
func ParseWire(text string) (Wire, error) {
	clean := strings.ToLower(strings.ReplaceAll(strings.TrimSpace(text), ",", "."))
	gauge := strings.Contains(clean, "awg") || strings.HasPrefix(clean, "#")
	for _, cut := range []string{"awg", "#", "mm²", "mm2", "mm^2", "sq", "mm"} {
		clean = strings.ReplaceAll(clean, cut, "")
	}
	v, err := strconv.ParseFloat(strings.TrimSpace(clean), 64)
	switch {
	case err != nil || math.IsNaN(v):
		return Wire{}, fmt.Errorf("write it as 2.5 mm² or 14 AWG")
	case gauge && (v != math.Trunc(v) || v < 0 || v > 30):
		return Wire{}, fmt.Errorf("gauges from 0 to 30 AWG are known")
	case gauge:
		return AWG(int(v)), nil
	case v < 0.2 || v > 120:
		return Wire{}, fmt.Errorf("must lie between 0.2 and 120 mm²")
	}
	return Wire{strconv.FormatFloat(v, 'g', -1, 64) + "\u202fmm²", v * 1e-6}, nil
}

// Resistance returns the ohms of one conductor over a length (m), warm from its load.
func (w Wire) Resistance(length float64) float64 { return copper * warm * length / w.Area }

// Drop returns the volts lost over a run of a length (m) one way at a current (A): there and back on
// one phase, √3 times one way on three.
func (w Wire) Drop(amps, length float64, three bool) float64 {
	if three {
		return math.Sqrt(3) * amps * w.Resistance(length)
	}
	return 2 * amps * w.Resistance(length)
}

// carrying is a wire of a code's table with what it carries with two of its conductors loaded and with three, A.
type carrying struct {
	wire       Wire
	two, three float64
}

func (c carrying) amps(three bool) float64 {
	if three {
		return c.three
	}
	return c.two
}

// tables of copper in conduit or trunking: IEC 60364-5-52, PVC, method B1, two and three loaded conductors, from
// the 1.5 mm² its table 52.2 begins at;
// NEC table 310.16 at 60 °C with the limits of 240.4(D) on 14, 12 and 10 AWG, the same for up to three [from memory].
var tables = map[Code][]carrying{
	IEC: {{mm2(1.5), 17.5, 15.5}, {mm2(2.5), 24, 21}, {mm2(4), 32, 28}, {mm2(6), 41, 36}, {mm2(10), 57, 50},
		{mm2(16), 76, 68}, {mm2(25), 101, 89}, {mm2(35), 125, 110}, {mm2(50), 151, 134}},
	NEC: {{AWG(14), 15, 15}, {AWG(12), 20, 20}, {AWG(10), 30, 30}, {AWG(8), 40, 40}, {AWG(6), 55, 55},
		{AWG(4), 70, 70}, {AWG(3), 85, 85}, {AWG(2), 95, 95}, {AWG(1), 110, 110}, {AWG(0), 125, 125}},
}

// cords are flexible leads, fit for a machine's own lead but not laid as a circuit [IEC 60245 and NEC
// 400.5, from memory].
var cords = map[Code][]carrying{
	IEC: {{mm2(0.75), 6, 6}, {mm2(1), 10, 10}, {mm2(1.25), 13, 13}},
	NEC: {{AWG(18), 10, 7}, {AWG(16), 13, 10}},
}

func mm2(v float64) Wire { return Wire{strconv.FormatFloat(v, 'g', -1, 64) + "\u202fmm²", v * 1e-6} }

// Carries returns what a wire carries by a code's table, A, with two of its conductors loaded or with three, that of
// the
// nearest size not thicker; 0 when it is thinner than any.
func (w Wire) Carries(code Code, three bool) float64 {
	amps := 0.0
	for _, c := range slices.Concat(cords[code], tables[code]) {
		if w.Area >= c.wire.Area*0.97 {
			amps = c.amps(three)
		}
	}
	return amps
}

// Thinnest returns the thinnest wire of a code's table that carries so many amps, with two of its conductors loaded or
// with three; false past its end.
func Thinnest(code Code, amps float64, three bool) (Wire, bool) {
	for _, c := range tables[code] {
		if c.amps(three) >= amps {
			return c.wire, true
		}
	}
	return Wire{}, false
}

// breakers are the usual ratings of breakers and fuses [IEC 60898 and NEC 240.6, from memory].
var breakers = map[Code][]float64{
	IEC: {2, 3, 4, 6, 10, 13, 16, 20, 25, 32, 40, 50, 63, 80, 100, 125},
	NEC: {1, 3, 6, 10, 15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125},
}

// StandardAbove returns the least usual rating not under so many amps, or the amps themselves past
// the largest.
func StandardAbove(code Code, amps float64) float64 {
	for _, b := range breakers[code] {
		if b >= amps*0.999 {
			return b
		}
	}
	return amps
}

// Circuit is what a code's starting values ask for on a motor's circuit.
type Circuit struct {
	Code      Code
	WireFor   float64 // A the conductor is sized for
	Wire      Wire
	Fits      bool    // a wire of the table carries it
	Fuse      float64 // A, time-delay fuse
	Breaker   float64 // A, inverse-time breaker; for IEC of C or D characteristic where it starts on the line
	Overload  float64 // A the overload trip is set to, for a motor on the line
	EarthWire Wire
}

// On returns the starting values for input amps by a code. fitted is the breaker there is, 0 when it
// is not known; motorAmps are the plate's, for the overload trip; three is for three loaded conductors.
//
//	NEC: conductor 125 % (430.22, 430.122 for a drive), time-delay fuse 175 %, breaker 250 % (430.52)
//	IEC: I_b ≤ I_n ≤ I_z (60364-4-43), the breaker next above the load
//
// Both from memory: local code and a licensed electrician decide.
func On(code Code, amps, fitted, motorAmps float64, drive, three bool) Circuit {
	c := Circuit{Code: code, Overload: 1.15 * motorAmps}
	if code == NEC {
		c.WireFor = 1.25 * amps
		c.Fuse, c.Breaker = StandardAbove(code, 1.75*amps), StandardAbove(code, 2.5*amps)
		if drive {
			// A drive protects the motor itself; its maker's fuse rating comes first.
			c.Fuse, c.Breaker = StandardAbove(code, 1.25*amps), StandardAbove(code, 1.25*amps)
		}
	} else {
		c.Fuse, c.Breaker = StandardAbove(code, 1.25*amps), StandardAbove(code, 1.1*amps)
		// The cable must bear whatever the breaker lets through: the one that is there, if it is larger.
		c.WireFor, c.Overload = max(max(c.Breaker, fitted), amps), motorAmps
	}
	c.Wire, c.Fits = Thinnest(code, c.WireFor, three)
	c.EarthWire = c.Wire
	return c
}

// ArmatureFuse returns the rating (A) of the fuse in a direct-current motor's armature lead: the usual
// size next above 1.25 × plate amps, quick enough for the drive [common practice].
func ArmatureFuse(code Code, motorAmps float64) float64 { return StandardAbove(code, 1.25*motorAmps) }
