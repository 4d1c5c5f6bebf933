package line

import (
	"jiriki/core/control"
	"jiriki/core/motor"
	"jiriki/core/wiring"
)

// Wiring is what the plan wires; false while supply, control and motor do not make a whole.
func (t *Model) Wiring() (wiring.Spec, bool) {
	c, m := t.Control, t.Motor
	s := wiring.Spec{
		Phases: wiring.OnePhase, Fused: c.Fused, NoVolt: c.NoVolt, Thermal: m.Thermal == "wired",
		Momentary:    c.Momentary,
		Knob:         t.HasKnob(),
		ReverseInput: c.Reverse == "drive",
		Capacitor:    m.Kind.HasCapacitor(), StartsOnTwo: m.Kind == motor.CapacitorRun,
		Choke: c.Choke && c.Kind == control.PhaseAngle,
		Unit:  t.NeedsSupplyUnit(), Overload: t.HasOverloadRelay(), BrakeResistor: c.BrakeOhms > 0, Tachometer: c.Tacho,
		Lamp: c.Lamp, Fan: c.Fan,
		Earthed: t.Supply.Earthed,
	}
	switch {
	case t.Supply.Battery:
		s.Phases = wiring.Battery
	case t.Supply.Three:
		s.Phases = wiring.ThreePhase
	case t.Supply.TwoHots():
		s.Phases = wiring.TwoHots
	}
	s.Control, s.Motor = wiring.Control(c.Kind.Profile().Terminals), wiring.Motor(m.Kind.Profile().Leads)
	s.ReverseSwitch = c.Reverse == "switch" && s.Motor.TurnedBySwitch()
	if s.Control == "" || s.Motor == "" {
		return s, false
	}
	// A drive for one phase on a three-phase supply takes two of its lines.
	if s.Phases == wiring.ThreePhase && s.Control != wiring.Inverter && (s.Control != wiring.Switch ||
		m.Kind != motor.ThreePhase) {
		s.Phases = wiring.TwoHots
	}
	return s, t.Runs
}
