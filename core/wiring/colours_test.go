package wiring

import (
	"testing"

	"github.com/stretchr/testify/assert"
)

func coloured(s Spec, c Colours) map[string]string {
	d := Draw(s)
	d.Colour(c)
	out := map[string]string{}
	for _, w := range d.Wires {
		out[w.From+" "+w.To] = w.Colour
	}
	return out
}

func TestEachWireHasTheColourOfWhatItCarries(t *testing.T) {
	s := Spec{Phases: OnePhase, Control: DCDrive, Motor: Armature, Fused: true, NoVolt: true, Knob: true, Earthed: true}
	europe := coloured(s, EuropeanColours)
	assert.Equal(t, "brown", europe["X0:L Q1:1"])
	assert.Equal(t, "light blue", europe["X0:N Q1:3"])
	assert.Equal(t, "brown", europe["Q1:2 F1:1"], "through the isolator it is the same line")
	assert.Equal(t, "green and yellow", europe["X0:PE PE:1"])
	america := coloured(s, AmericanColours)
	assert.Equal(t, "black", america["X0:L Q1:1"])
	assert.Equal(t, "white", america["X0:N Q1:3"])
	assert.Equal(t, "green or bare", america["X0:PE PE:1"])
	s.Phases = TwoHots
	assert.Equal(t, "black", coloured(s, AmericanColours)["X0:L1 Q1:1"])
	assert.Equal(t, "red", coloured(s, AmericanColours)["X0:L2 Q1:3"], "240 V has no neutral")
}

// No wire goes without a colour, whatever is wired; none but an earth has earth's colour, and none but a neutral the
// neutral's.
func TestNoWireGoesWithoutAColour(t *testing.T) {
	for _, c := range []Colours{EuropeanColours, AmericanColours} {
		for _, phases := range []Phases{OnePhase, TwoHots, ThreePhase, Battery} {
			for _, s := range []Spec{
				{Control: DCDrive, Motor: Armature, Fused: true, NoVolt: true, Thermal: true, Knob: true, Earthed: true,
					ReverseSwitch: true, BrakeResistor: true, Lamp: true, Fan: true, Tachometer: true, Choke: true},
				{Control: Inverter, Motor: ThreeLeads, Fused: true, NoVolt: true, Momentary: true, Earthed: true},
				{Control: Switch, Motor: TwoWindings, Fused: true, NoVolt: true, Overload: true, Capacitor: true},
				{Control: Transformer, Motor: Armature, Fused: true, Earthed: true},
				{Control: Brushless, Motor: HallMotor, Unit: true, Knob: true, Earthed: true},
				{Control: Resistor, Motor: Series, Fused: true},
			} {
				s.Phases = phases
				d := Draw(s)
				d.Colour(c)
				for _, w := range d.Wires {
					assert.NotEmpty(t, w.Colour, "%s %s: %s to %s", phases, s.Control, w.From, w.To)
					assert.Equal(t, w.Role == Earth, w.Colour == c.earth, "%s to %s", w.From, w.To)
				}
			}
		}
	}
}

// Diagrams are drawn up once and shared: what one plan's colours are is nothing to another's.
func TestColoursOfOnePlanAreNotAnothers(t *testing.T) {
	s := Spec{Phases: OnePhase, Control: DCDrive, Motor: Armature, Fused: true, Earthed: true}
	europe, _ := Looked(s)
	europe.Colour(EuropeanColours)
	america, _ := Looked(s)
	america.Colour(AmericanColours)
	assert.Equal(t, "brown", europe.Wires[0].Colour)
	assert.Equal(t, "black", america.Wires[0].Colour)
	plain, _ := Looked(s)
	assert.Empty(t, plain.Wires[0].Colour)
}
