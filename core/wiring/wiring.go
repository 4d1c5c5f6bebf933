// Package wiring draws up what connects to what between supply, control and motor: devices with
// their terminals, a terminal-to-terminal list, and whether the whole holds together. Terminal names
// are general ones; a maker's own come on its sheet. Local code and a licensed electrician decide.
package wiring

import "strconv"

// Phases is what comes out of the wall.
type Phases string

// The supplies.
const (
	OnePhase   Phases = "1" // a live line and a neutral
	TwoHots    Phases = "2" // two live lines and no neutral: 240 V in North America, two lines of three phases
	ThreePhase Phases = "3"
	Battery    Phases = "dc"
)

// Control is what stands between, by the terminals it has.
type Control string

// The controls.
const (
	DCDrive     Control = "dc-drive"    // armature out, knob and enable in
	Inverter    Control = "inverter"    // three phases out
	OneOut      Control = "inverter-1"  // one phase out
	Brushless   Control = "brushless"   // three leads out, Hall sensors in
	Stepper     Control = "stepper"     // two phases out, pulses in
	Switch      Control = "switch"      // the contactor alone
	Transformer Control = "transformer" // with a bridge for direct current
	Resistor    Control = "resistor"    // in series, with a bridge for direct current
)

// Motor is a motor by the leads it has.
type Motor string

// The motors.
const (
	Armature     Motor = "armature"       // two leads
	WithField    Motor = "armature-field" // two and a field of its own
	Series       Motor = "series"         // brushes and field in series
	ThreeLeads   Motor = "three-phase"
	TwoWindings  Motor = "two-windings" // single-phase with a start or second winding
	OneWinding   Motor = "one-winding"  // shaded pole
	TwoSpeeds    Motor = "two-speeds"   // a fast and a slow winding, one fed at a time
	HallMotor    Motor = "hall"
	StepperMotor Motor = "stepper"
)

// TurnedBySwitch reports whether a switch in its leads can make the motor turn the other way.
func (m Motor) TurnedBySwitch() bool {
	switch m {
	case OneWinding, TwoSpeeds, HallMotor, StepperMotor:
		return false
	}
	return true
}

// Spec is what is to be wired.
type Spec struct {
	Phases        Phases
	Control       Control
	Motor         Motor
	Unit          bool // the control takes a few volts of direct current, from a supply unit on the mains
	Fused         bool
	NoVolt        bool
	Overload      bool // a relay set to the plate's amps lets the no-volt release go
	Thermal       bool // the motor has a thermal switch and it is wired
	Knob          bool // a potentiometer sets the speed
	Momentary     bool // start and stop by buttons that spring back
	ReverseSwitch bool // centre-off, in the motor's leads
	ReverseInput  bool // by the drive's own input
	Capacitor     bool
	StartsOnTwo   bool // one capacitor runs it, a second beside it only starts it
	Choke         bool
	BrakeResistor bool
	Tachometer    bool
	Lamp          bool
	Fan           bool
	Earthed       bool
}

// Device is a part with its terminals.
type Device struct {
	ID        string     `json:"id" doc:"As on the drawing, such as A1"`
	Name      string     `json:"name"`
	Kind      string     `json:"kind" doc:"Chooses how it is drawn"`
	Loop      string     `json:"loop" doc:"The loop it is drawn in"`
	Terminals []Terminal `json:"terminals" nullable:"false"`
}

// Terminal is one place for a wire.
type Terminal struct {
	Name  string `json:"name"`
	Says  string `json:"says" doc:"What it is for"`
	Spare bool   `json:"spare" doc:"May stay empty"`
}

// Role is what a wire carries.
type Role string

// What wires carry.
const (
	Power  Role = "power"  // the supply's volts
	Output Role = "output" // from control to motor
	Earth  Role = "earth"
	Loop   Role = "loop"   // contacts in series: enable, release
	Signal Role = "signal" // knob, tachometer, sensors: screened, away from power
)

// Wire joins two terminals, each as device:terminal.
type Wire struct {
	N        int    `json:"n" doc:"Its number on the list"`
	From     string `json:"from"`
	To       string `json:"to"`
	Role     Role   `json:"role" enum:"power,output,earth,loop,signal"`
	Loop     string `json:"loop" doc:"Which loop or line of the drawing it belongs to"`
	Screened bool   `json:"screened"`
	Colour   string `json:"colour" doc:"By the family of rules; local code decides"`
	Size     string `json:"size" doc:"Conductor it wants at least; empty where that is not known"`
	Note     string `json:"note"`
}

// Contact is a closed path inside a device, from terminal to terminal.
type Contact struct{ Device, From, To string }

// Break names a contact that is open, as "F1:1".
func (c Contact) Break() string { return c.Device + ":" + c.From }

// Break names a wire that is off, as "#12".
func (w *Wire) Break() string { return "#" + strconv.Itoa(w.N) }

// Contacts are the closed paths inside its devices.
func (d *Diagram) Contacts() []Contact { return d.contacts }

// MotorEnds are the ends that feed the motor, each beside the motor's terminal it goes to, both as device:terminal.
func (d *Diagram) MotorEnds() [][2]string {
	out := make([][2]string, 0, len(d.leads))
	for i, name := range motorTerminals[d.spec.Motor] {
		out = append(out, [2]string{d.leads[i], "M1:" + name})
	}
	return out
}

// Diagram is a wired-up plan.
type Diagram struct {
	Devices []Device `json:"devices" nullable:"false"`
	Wires   []Wire   `json:"wires" nullable:"false"`

	contacts []Contact
	leads    []string // ends that go to the motor's leads, in their order
	spec     Spec
}

func (d *Diagram) add(id, name, kind, loop string, terminals ...Terminal) {
	d.Devices = append(d.Devices, Device{ID: id, Name: name, Kind: kind, Loop: loop, Terminals: terminals})
}

// passes says that a device joins two of its terminals while all is well.
func (d *Diagram) passes(device, from, to string) {
	d.contacts = append(d.contacts, Contact{device, from, to})
}

func (d *Diagram) wire(role Role, loop, from, to, note string) {
	d.Wires = append(d.Wires, Wire{N: len(d.Wires) + 1, From: from, To: to, Role: role, Loop: loop,
		Screened: role == Signal, Note: note})
}

// t names terminals plainly.
func t(names ...string) []Terminal {
	out := make([]Terminal, len(names))
	for i, n := range names {
		out[i] = Terminal{Name: n}
	}
	return out
}

// chain wires devices in series, from terminal to terminal.
func (d *Diagram) chain(role Role, loop string, stops ...string) {
	for i := 0; i+1 < len(stops); i += 2 {
		d.wire(role, loop, stops[i], stops[i+1], "")
	}
}
