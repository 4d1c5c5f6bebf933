package reduction

import (
	"fmt"
	"math"
)

// Made is a belt or chain as it is sold.
type Made struct {
	Length float64 // pitch length, m
	Name   string
}

// insideToPitch is what is added to a classical belt's inside length, which names it in whole inches, for its pitch
// length, m [Shigley, table 17-11, from memory; Z common practice].
var insideToPitch = map[string]float64{"Z": 22e-3, "A": 1.3 * 25.4e-3, "B": 1.8 * 25.4e-3}

// shortest and longest of those, in.
const (
	shortestInside = 16
	longestInside  = 200
)

// MadeBelts are the belts or chains there are for a stage between two pitch lengths (m), shorter first: classical and
// ribbed ones by the whole inch, toothed ones by the tooth, chains by two links. None where it is cut and joined to any
// length, as flat and link belts are.
func (s *Stage) MadeBelts(from, to float64) []Made {
	step, base, name := 0.0, 0.0, ""
	switch s.Kind {
	case VBelt:
		step, base, name = 25.4e-3, insideToPitch[s.Section], s.Section+" %.0f"
	case PolyV:
		step, name = 25.4e-3, s.Section+", %.0f in"
	case Toothed:
		step, name = s.Pitch, "%.0f teeth"
	case Chain:
		step, name = 2*s.Pitch, "%.0f links"
	}
	if step <= 0 {
		return nil
	}
	var out []Made
	for n := math.Ceil((from - base) / step); base+n*step <= to; n++ {
		count := n
		if s.Kind == Chain {
			count = 2 * n
		}
		inches := s.Kind == VBelt || s.Kind == PolyV
		if n <= 0 || inches && (n < shortestInside || n > longestInside) {
			continue
		}
		out = append(out, Made{base + n*step, fmt.Sprintf(name, count)})
	}
	return out
}
