package reduction

import "math"

// What wheels are made like where nobody says [common practice]: cast iron, half of it webs and holes.
const (
	wheelDensity = 7200 // kg/m³
	wheelFilled  = 0.5
	usualFace    = 20e-3 // m
	vGroove      = 16e-3 // m of face for each V belt
	ribPitch     = 2.5e-3
	chainFace    = 8e-3
	modulesWide  = 10
)

// face is how wide the stage's wheels are, m.
func (s *Stage) face() float64 {
	switch count := max(s.Count, 1); {
	case s.Kind == VBelt || s.Kind == LinkBelt:
		return vGroove * count
	case s.Kind == PolyV:
		return ribPitch * count
	case s.Kind == Chain:
		return chainFace * count
	case s.Width > 0:
		return s.Width
	case s.Meshed() && s.Pitch > 0:
		return modulesWide * s.Pitch
	}
	return usualFace
}

// wheelInertia is a wheel's moment of inertia on its own shaft, kg·m², half of a disc's: ½·m·r².
func wheelInertia(diameter, face float64) float64 {
	r := diameter / 2
	return wheelFilled * wheelDensity * math.Pi * face * r * r * r * r / 2
}
