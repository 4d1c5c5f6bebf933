package motor

import (
	"math"

	"jiriki/core/working"
)

// A rotor against the body round it [common practice]: half its diameter, two fifths of its length, of steel; and where
// the body is not known, so many kg·m² for each N·m of rated torque.
const (
	rotorAcross  = 0.5
	rotorAlong   = 0.4
	steel        = 7850 // kg/m³
	perTorque    = 5e-4 // s²
	leastRotor   = 0.01 // of that
	leastInertia = 1e-8 // kg·m², of a motor as small as a thumb
)

// guessRotor takes the rotor's inertia from the body, a cylinder π·ρ·l·d⁴/32, or from the torque, where nobody gave it.
func (m *Resolved) guessRotor() {
	if m.Rotor.OK() {
		return
	}
	across, along := rotorAcross*m.Body.Diameter, rotorAlong*m.Body.Length
	j := math.Pi / 32 * steel * along * math.Pow(across, 4)
	if usual := max(perTorque*m.Torque.Value, leastInertia); j < leastRotor*usual {
		j = usual // no body, or one that could not make its torque
	}
	m.Rotor = Known{j, working.Assumed}
}
