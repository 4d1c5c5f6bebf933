package wiring

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"
)

// pairs are the motors each control has leads for.
var pairs = map[Control][]Motor{
	DCDrive: {Armature, WithField, Series}, Inverter: {ThreeLeads}, OneOut: {TwoWindings, OneWinding},
	Brushless: {HallMotor, ThreeLeads},
	Stepper:   {StepperMotor},
	Switch:    {TwoWindings, ThreeLeads, Series, OneWinding, TwoSpeeds}, Transformer: {Armature, Series, OneWinding},
	Resistor: {Armature,
		Series},
}

func drawSpec(t *rapid.T) Spec {
	controls := []Control{DCDrive, Inverter, OneOut, Brushless, Stepper, Switch, Transformer, Resistor}
	flag := func(name string) bool { return rapid.Bool().Draw(t, name) }
	s := Spec{Control: rapid.SampledFrom(controls).Draw(t, "control"), Phases: OnePhase, Fused: true, Earthed: true}
	s.Motor = rapid.SampledFrom(pairs[s.Control]).Draw(t, "motor")
	switch {
	case s.Control == Switch && s.Motor == ThreeLeads, s.Control == Inverter && flag("three in"):
		s.Phases = ThreePhase
	case s.Control == DCDrive || s.Control == Brushless || s.Control == Stepper || s.Control == Resistor &&
		s.Motor == Armature:
		s.Phases = rapid.SampledFrom([]Phases{OnePhase, Battery}).Draw(t, "supply")
	}
	if s.Phases == OnePhase && flag("two hots") {
		s.Phases = TwoHots
	}
	s.NoVolt, s.Thermal, s.Knob, s.Momentary = flag("no-volt"), flag("thermal"), flag("knob"), flag("momentary")
	s.Choke, s.BrakeResistor, s.Tachometer, s.Lamp, s.Fan, s.Capacitor = flag("choke"), flag("brake"), flag("tacho"),
		flag("lamp"), flag("fan"), flag("capacitor")
	s.Unit = s.Phases != ThreePhase && (s.Control == Stepper || (s.Control == DCDrive || s.Control == Brushless) &&
		flag("unit"))
	s.Overload = s.Control == Switch && s.NoVolt && flag("overload")
	s.ReverseInput = s.Control == Inverter && flag("reverse input")
	s.ReverseSwitch = s.Motor.TurnedBySwitch() && flag("reverse switch")
	if (s.Thermal || s.ReverseSwitch) && !s.electronic() {
		s.NoVolt = true
	}
	return s
}

func failing(d Diagram) []string {
	var out []string
	for _, v := range d.Check() {
		if !v.OK {
			out = append(out, v.ID)
		}
	}
	return out
}

// Whatever is wired, as long as it is fused, earthed and has something to read its thermal switch, holds
// together; and no wire can be left out of it unnoticed.
func TestWhatIsDrawnHoldsTogether(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		d := Draw(drawSpec(t))
		assert.Empty(t, failing(d))
		ids := map[string]bool{}
		for _, device := range d.Devices {
			assert.False(t, ids[device.ID], device.ID)
			ids[device.ID] = true
			for _, terminal := range device.Terminals {
				name := device.ID + ":" + terminal.Name
				assert.False(t, ids[name], name)
				ids[name] = true
			}
		}
		lost := rapid.IntRange(0, len(d.Wires)-1).Draw(t, "wire taken off")
		without := d
		without.Wires = slices.Delete(slices.Clone(d.Wires), lost, lost+1)
		assert.NotEmpty(t, failing(without), "%+v", d.Wires[lost])
	})
}

func full() Spec {
	return Spec{Phases: OnePhase, Control: DCDrive, Motor: Armature, Fused: true, Earthed: true, NoVolt: true,
		Thermal: true, Knob: true, ReverseSwitch: true, Choke: true, Tachometer: true, Lamp: true,
		Fan: true}
}

// What is wired wrong is told by name.
func TestFaultsAreFound(t *testing.T) {
	rewire := func(from, to, newTo string) func(*Diagram) {
		return func(d *Diagram) {
			for i := range d.Wires {
				if d.Wires[i].From == from && d.Wires[i].To == to {
					d.Wires[i].To = newTo
					return
				}
			}
			t.Fatalf("no wire %s to %s", from, to)
		}
	}
	for id, change := range map[string]func(*Diagram){
		"thermal": func(d *Diagram) { d.wire(Loop, Enable, "M1:T1", "M1:T2", "bridged") },
		"enable":  func(d *Diagram) { d.wire(Loop, Enable, "A1:COM", "A1:EN", "bridged") },
		"release": func(d *Diagram) { d.wire(Loop, Release, "F1:2", "K1:A1", "past the stop") },
		"reverse": func(d *Diagram) { d.wire(Loop, Enable, "S4:7", "S4:8", "bridged") },
		"knob": func(d *Diagram) {
			rewire("A1:0REF", "R1:1", "R1:3")(d)
			rewire("A1:+REF", "R1:3", "R1:1")(d)
		},
		"screens": func(d *Diagram) {
			for i := range d.Wires {
				d.Wires[i].Screened = false
			}
		},
		"fuse":     func(d *Diagram) { d.wire(Power, MainLine, "X0:L", "A1:L", "past the fuse") },
		"earth":    rewire("PE:1", "M1:PE", "A1:PE"),
		"floating": rewire("A1:0REF", "R1:1", "R1:9"),
	} {
		d := Draw(full())
		require.Empty(t, failing(d))
		change(&d)
		assert.Contains(t, failing(d), id)
	}
}

// A fuse in the return would blow and leave the machine live.
func TestAFusedReturnIsAFault(t *testing.T) {
	for _, spec := range []Spec{
		full(), {Phases: Battery, Control: DCDrive, Motor: Armature, Fused: true},
		{Phases: OnePhase, Control: Switch, Motor: Series, Fused: true, Earthed: true},
	} {
		d := Draw(spec)
		require.Empty(t, failing(d))
		for i := range d.Wires {
			for _, end := range []*string{&d.Wires[i].From, &d.Wires[i].To} {
				if *end == "Q1:4" {
					*end = "F1:4"
				}
			}
		}
		d.wire(Power, MainLine, "Q1:4", "F1:3", "the return")
		d.passes("F1", "3", "4")
		assert.Contains(t, failing(d), "fuse", "%+v", spec)
	}
	one, three := fuseTerminals(Draw(full())), fuseTerminals(Draw(Spec{Phases: ThreePhase, Control: Switch,
		Motor: ThreeLeads, Fused: true, Earthed: true}))
	assert.Equal(t, 2, one, "one pole, in the live side")
	assert.Equal(t, 6, three, "a pole in each line")
	hot := full()
	hot.Phases = TwoHots
	assert.Equal(t, 4, fuseTerminals(Draw(hot)), "both lines are live, and both are fused")
	d := Draw(hot)
	assert.NotContains(t, failing(d), "fuse")
	d.wire(Power, MainLine, "X0:L2", "A1:L2", "past the fuse")
	assert.Contains(t, failing(d), "fuse", "the second line past its fuse is no return")
	for _, device := range d.Devices {
		for _, terminal := range device.Terminals {
			assert.NotEqual(t, "N", terminal.Name, device.ID)
		}
	}
}

func fuseTerminals(d Diagram) int {
	for _, device := range d.Devices {
		if device.ID == "F1" {
			return len(device.Terminals)
		}
	}
	return 0
}

// A drive for a few volts never meets the mains, and mains on it is told of.
func TestLowVoltDriveIsFedByItsUnit(t *testing.T) {
	d := Draw(Spec{Phases: OnePhase, Control: Stepper, Motor: StepperMotor, Unit: true, Fused: true, Earthed: true})
	require.Empty(t, failing(d))
	for _, w := range d.Wires {
		assert.False(t, w.From == "F1:2" && w.To != "U1:L", "%s goes to %s", w.From, w.To)
	}
	d.wire(Power, MainLine, "F1:2", "A1:V+", "past the unit")
	assert.Contains(t, failing(d), "unit")
	assert.False(t, Draw(Spec{Phases: Battery, Control: DCDrive, Motor: Armature, Unit: true}).has("U1"),
		"a battery needs none")
}

func TestWithoutWhatItNeedsADiagramSaysSo(t *testing.T) {
	s := full()
	s.Fused = false
	assert.Contains(t, failing(Draw(s)), "fuse")
	s = full()
	s.Earthed = false
	assert.Contains(t, failing(Draw(s)), "earth")
	s = Spec{Phases: OnePhase, Control: Switch, Motor: TwoWindings, Fused: true, Earthed: true, Thermal: true}
	assert.Contains(t, failing(Draw(s)), "thermal", "nothing reads it")
	s = Spec{Phases: OnePhase, Control: Switch, Motor: Series, Fused: true, Earthed: true, ReverseSwitch: true}
	assert.Contains(t, failing(Draw(s)), "reverse")
}

// A motor with a field of its own has it fed; a two-winding motor has its capacitor in the right winding.
func TestWindingsAreFed(t *testing.T) {
	s := full()
	s.Motor = WithField
	d := Draw(s)
	assert.True(t, d.closed().reaches("A1:F+", "M1:F1"))
	d = Draw(Spec{Phases: OnePhase, Control: Switch, Motor: TwoWindings, Fused: true, Earthed: true, NoVolt: true,
		Capacitor: true})
	assert.True(t, d.needs("M1:U1", "M1:Z1", "C1"))
}

// A contact or a wire that is broken parts what hangs on it alone, and nothing else.
func TestWhatIsBrokenParts(t *testing.T) {
	d := Draw(Spec{Phases: OnePhase, Control: Switch, Motor: TwoWindings, Fused: true, Earthed: true, NoVolt: true,
		Capacitor: true})
	assert.Equal(t, "C1", d.Contacts()[slices.IndexFunc(d.Contacts(), func(c Contact) bool {
		return c.Break() == "C1:1"
	})].Device)
	assert.True(t, d.Conducts("X0:L", "M1:U1"))
	for _, broken := range []string{"F1:1", "K1:1", "Q1:1", "F1"} {
		assert.False(t, d.Conducts("X0:L", "M1:U1", broken), broken)
	}
	assert.True(t, d.Conducts("X0:L", "M1:U1", "K1:13"), "its own contact only holds it in")
	assert.True(t, d.Conducts("M1:U1", "M1:Z1"))
	assert.False(t, d.Conducts("M1:U1", "M1:Z1", "C1:1"))
	// Each end feeds its own terminal of the motor, and is parted from it by the wire between them.
	ends := d.MotorEnds()
	assert.Len(t, ends, 2)
	assert.Equal(t, []string{"M1:U1", "M1:U2"}, []string{ends[0][1], ends[1][1]})
	for _, w := range d.Wires {
		if w.From == ends[1][0] && w.To == ends[1][1] {
			assert.True(t, d.Conducts(ends[1][0], ends[1][1]))
			assert.False(t, d.Conducts(ends[1][0], ends[1][1], w.Break()), w.Break())
			return
		}
	}
	t.Error("no wire from an end to the motor")
}
