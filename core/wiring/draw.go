package wiring

// Loops, as the drawing and the list group wires.
const (
	MainLine    = "Supply to motor"
	EarthLine   = "Earth"
	Release     = "No-volt release"
	Enable      = "Enable"
	Command     = "Speed command"
	Reverse     = "Reverse"
	FieldSupply = "Field"
	Feedback    = "Tachometer and sensors"
	Besides     = "Lamp and fan"
)

// Draw draws up the wiring of a spec.
func Draw(s Spec) Diagram {
	d := &Diagram{spec: s, Devices: []Device{}, Wires: []Wire{}}
	lines := d.supply()
	lines = d.protect(lines)
	d.leads = d.control(d.unit(lines))
	if s.Motor == TwoSpeeds {
		d.leads = d.selector(d.leads)
	}
	d.motor(d.leads)
	d.enable()
	d.command()
	d.besides(lines)
	d.earth()
	return *d
}

// supply puts in what comes out of the wall and returns the ends of its live lines, return last.
func (d *Diagram) supply() []string {
	switch d.spec.Phases {
	case ThreePhase:
		d.add("X0", "Three-phase supply", "supply", MainLine, t("L1", "L2", "L3", "PE")...)
		return []string{"X0:L1", "X0:L2", "X0:L3"}
	case TwoHots:
		d.add("X0", "Single-phase supply, two hot lines", "supply", MainLine, t("L1", "L2", "PE")...)
		return []string{"X0:L1", "X0:L2"}
	case Battery:
		d.add("G1", "Battery", "battery", MainLine, t("+", "−")...)
		return []string{"G1:+", "G1:−"}
	}
	d.add("X0", "Single-phase supply", "supply", MainLine, t("L", "N", "PE")...)
	return []string{"X0:L", "X0:N"}
}

// protect puts isolator, fuse and the contactor of a no-volt release in the lines.
func (d *Diagram) protect(lines []string) []string {
	isolator := "Isolator, or plug and socket"
	if d.spec.Phases == Battery {
		isolator = "Battery isolator"
	}
	lines = d.poles("Q1", isolator, "isolator", lines, len(lines))
	if d.spec.Fused {
		fused := len(lines)
		if d.spec.Phases == OnePhase || d.spec.Phases == Battery {
			fused = 1 // the live side; a neutral is never fused alone
		}
		lines = d.poles("F1", "Line fuse", "fuse", lines, fused)
	}
	if d.spec.NoVolt {
		d.release(lines)
		lines = d.poles("K1", "Contactor of the no-volt release", "contactor", lines, len(lines))
		if d.spec.Overload {
			lines = d.poles("F3", "Overload relay, set to the plate's amps", "overload", lines, len(lines))
			d.extend("F3", t("95", "96")...)
		}
	} else if d.spec.Control == Switch {
		lines = d.poles("S1", "Switch", "switch", lines, len(lines))
	}
	return lines
}

// poles puts a device with so many poles in the lines and returns their ends past it.
func (d *Diagram) poles(id, name, kind string, lines []string, count int) []string {
	out := append([]string(nil), lines...)
	var terminals []Terminal
	for i := range count {
		in, through := string(rune('1'+2*i)), string(rune('2'+2*i))
		terminals = append(terminals, Terminal{Name: in}, Terminal{Name: through})
		d.wire(Power, MainLine, lines[i], id+":"+in, "")
		d.passes(id, in, through)
		out[i] = id + ":" + through
	}
	if kind == "contactor" {
		terminals = append(terminals, t("A1", "A2", "13", "14")...)
		d.passes(id, "13", "14")
	}
	d.add(id, name, kind, MainLine, terminals...)
	return out
}

// release is the contactor's coil: held by its own contact, let go by the stop, the thermal switch
// where nothing else reads it, or a power cut.
func (d *Diagram) release(lines []string) {
	d.add("S2", "Stop, latching, red", "stop", Release, t("11", "12")...)
	d.passes("S2", "11", "12")
	d.add("S3", "On, green", "start", Release, t("13", "14")...)
	d.passes("S3", "13", "14")
	d.chain(Loop, Release, lines[0], "S2:11", "S2:12", "S3:13", "S3:14", "K1:A1")
	d.wire(Loop, Release, "S3:13", "K1:13", "holds itself in")
	d.wire(Loop, Release, "K1:14", "S3:14", "")
	ends := []string{"K1:A2"}
	if d.spec.Overload {
		d.passes("F3", "95", "96")
		ends = append(ends, "F3:95", "F3:96")
	}
	if d.spec.Thermal && !d.spec.electronic() {
		// With no drive to read it the thermal switch lets the contactor go.
		ends = append(ends, "M1:T1", "M1:T2")
	}
	if d.spec.ReverseSwitch && !d.spec.electronic() {
		ends = append(ends, "S4:7", "S4:8") // in its middle place it lets the contactor go
	}
	d.chain(Loop, Release, append(ends, lines[len(lines)-1])...)
}

// unit puts a supply unit between the mains and a control made for a few volts of direct current.
func (d *Diagram) unit(lines []string) []string {
	if !d.spec.hasUnit() {
		return lines
	}
	d.add("U1", "Direct-current supply unit, isolated from the mains", "unit", MainLine, t("L", "N", "PE", "+", "−")...)
	d.wire(Power, MainLine, lines[0], "U1:L", "")
	d.wire(Power, MainLine, lines[1], "U1:N", "")
	d.passes("U1", "L", "+")
	d.passes("U1", "N", "−")
	return []string{"U1:+", "U1:−"}
}

// hasUnit reports whether a supply unit is needed: a battery is one already.
func (s Spec) hasUnit() bool { return s.Unit && s.Phases != Battery }

// control puts in the drive and returns the ends that go to the motor.
func (d *Diagram) control(lines []string) []string {
	feed := func(id string, names ...string) {
		for i, line := range lines {
			d.wire(Power, MainLine, line, id+":"+names[i], "")
		}
	}
	in := map[Phases][]string{OnePhase: {"L", "N"}, TwoHots: {"L1", "L2"}, ThreePhase: {"L1", "L2", "L3"},
		Battery: {"V+", "V−"}}[d.spec.Phases]
	if d.spec.hasUnit() {
		in = []string{"V+", "V−"}
	}
	box := func(name, kind string, out ...string) []string {
		terminals := t(in...)
		if d.spec.Phases != Battery {
			terminals = append(terminals, Terminal{Name: "PE"})
		}
		terminals = append(terminals, t(out...)...)
		d.add("A1", name, kind, MainLine, terminals...)
		feed("A1", in...)
		ends := make([]string, len(out))
		for i, o := range out {
			ends[i] = "A1:" + o
		}
		return ends
	}
	switch d.spec.Control {
	case DCDrive:
		return d.inArmature(box("Direct-current drive", "drive", "A+", "A−"))
	case Inverter:
		ends := box("Inverter", "drive", "U", "V", "W")
		d.brake()
		return ends
	case OneOut:
		return box("Single-phase inverter", "drive", "U", "V")
	case Brushless:
		ends := box("Brushless controller", "drive", "U", "V", "W")
		d.brake()
		return ends
	case Stepper:
		return box("Stepper driver", "drive", "A+", "A−", "B+", "B−")
	case Transformer:
		return d.bridged(d.through("T1", "Variable transformer", "transformer", lines))
	case Resistor:
		if d.spec.Phases == Battery {
			return d.inArmature(d.seriesResistor(lines))
		}
		return d.bridged(d.seriesResistor(lines))
	}
	return lines
}

// through puts a two-wire device in the lines.
func (d *Diagram) through(id, name, kind string, lines []string) []string {
	d.add(id, name, kind, MainLine, t("1", "2", "3", "4")...)
	d.wire(Power, MainLine, lines[0], id+":1", "")
	d.wire(Power, MainLine, lines[1], id+":2", "")
	d.passes(id, "1", "3")
	d.passes(id, "2", "4")
	return []string{id + ":3", id + ":4"}
}

func (d *Diagram) seriesResistor(lines []string) []string {
	d.add("R2", "Series resistor, in free air", "resistor", MainLine, t("1", "2")...)
	d.passes("R2", "1", "2")
	d.wire(Power, MainLine, lines[0], "R2:1", "")
	return []string{"R2:2", lines[1]}
}

// bridged makes direct current of two lines for a motor with magnets; a series motor takes them as
// they are.
func (d *Diagram) bridged(lines []string) []string {
	if d.spec.Motor != Armature && d.spec.Motor != WithField {
		return lines
	}
	d.add("V1", "Bridge rectifier, on metal", "bridge", MainLine, t("~1", "~2", "+", "−")...)
	d.wire(Power, MainLine, lines[0], "V1:~1", "")
	d.wire(Power, MainLine, lines[1], "V1:~2", "")
	return d.inArmature([]string{"V1:+", "V1:−"})
}

// inArmature puts fuse and choke in the armature lead.
func (d *Diagram) inArmature(ends []string) []string {
	one := func(id, name, kind string) {
		d.add(id, name, kind, MainLine, t("1", "2")...)
		d.passes(id, "1", "2")
		d.wire(Output, MainLine, ends[0], id+":1", "")
		ends = []string{id + ":2", ends[1]}
	}
	if d.spec.Fused {
		one("F2", "Armature fuse, direct-current rated", "fuse")
	}
	if d.spec.Choke {
		one("L1", "Choke", "choke")
	}
	return ends
}

func (d *Diagram) brake() {
	if !d.spec.BrakeResistor {
		return
	}
	d.add("R3", "Brake resistor, guarded: it runs hot", "resistor", MainLine, t("1", "2")...)
	d.extend("A1", t("R+", "R−")...)
	d.wire(Output, MainLine, "A1:R+", "R3:1", "take the jumper out first")
	d.wire(Output, MainLine, "A1:R−", "R3:2", "")
}

// extend gives a device more terminals.
func (d *Diagram) extend(id string, more ...Terminal) {
	for i := range d.Devices {
		if d.Devices[i].ID == id {
			d.Devices[i].Terminals = append(d.Devices[i].Terminals, more...)
		}
	}
}

// motorTerminals by the leads a motor has.
var motorTerminals = map[Motor][]string{
	Armature: {"A1", "A2"}, WithField: {"A1", "A2"}, Series: {"1", "2"}, OneWinding: {"1", "2"},
	TwoSpeeds: {"C", "F", "S"}, ThreeLeads: {"U1", "V1", "W1"}, TwoWindings: {"U1",
		"U2"},
	HallMotor: {"U", "V", "W"}, StepperMotor: {"A+", "A−", "B+", "B−"},
}

// motor puts in the motor, through a reversing switch where there is one.
func (d *Diagram) motor(leads []string) {
	names := motorTerminals[d.spec.Motor]
	terminals := t(names...)
	if d.spec.Earthed && d.spec.Phases != Battery {
		terminals = append(terminals, Terminal{Name: "PE", Says: "frame"})
	}
	if d.spec.Thermal {
		terminals = append(terminals, Terminal{Name: "T1", Says: "thermal switch"}, Terminal{Name: "T2",
			Says: "thermal switch"})
		d.passes("M1", "T1", "T2")
	}
	kind := "motor"
	if d.spec.Motor == Armature || d.spec.Motor == WithField {
		kind = "dc-motor"
	}
	d.add("M1", "Motor", kind, MainLine, terminals...)
	if d.spec.ReverseSwitch {
		d.reversingSwitch()
		switch d.spec.Motor {
		case TwoWindings: // turned about in its second winding
		case Series:
			d.brushes()
		default:
			leads = append(d.crossed(leads[0], leads[1]), leads[2:]...)
		}
	}
	for i, name := range names {
		d.wire(Output, MainLine, leads[i], "M1:"+name, "")
	}
	switch d.spec.Motor {
	case WithField:
		d.extend("A1", t("F+", "F−")...)
		d.extend("M1", t("F1", "F2")...)
		d.wire(Output, FieldSupply, "A1:F+", "M1:F1", "before the armature, always: without its field it runs away")
		d.wire(Output, FieldSupply, "A1:F−", "M1:F2", "")
	case TwoWindings:
		d.secondWinding()
	case HallMotor:
		hall := t("H+", "H0", "Ha", "Hb", "Hc")
		d.extend("A1", hall...)
		d.extend("M1", hall...)
		for _, h := range hall {
			d.wire(Signal, Feedback, "A1:"+h.Name, "M1:"+h.Name, "")
		}
	}
}

// selector feeds the fast winding or the slow one, never both.
func (d *Diagram) selector(ends []string) []string {
	d.add("S7", "Two-speed switch, one or the other", "switch", MainLine, t("1", "2", "3")...)
	d.passes("S7", "1", "2")
	d.wire(Output, MainLine, ends[0], "S7:1", "")
	return []string{ends[1], "S7:2", "S7:3"}
}

// secondWinding is the start or second winding beside the main one, through its capacitor.
func (d *Diagram) secondWinding() {
	d.extend("M1", t("Z1", "Z2")...)
	from := "M1:U1"
	if d.spec.Capacitor {
		name := "Capacitor, discharge it through a resistor"
		if d.spec.StartsOnTwo {
			name = "Run capacitor, film or oil; discharge it through a resistor"
		}
		d.add("C1", name, "capacitor", MainLine, t("1", "2")...)
		d.passes("C1", "1", "2")
		d.wire(Output, MainLine, from, "C1:1", "")
		if d.spec.StartsOnTwo {
			d.add("C2", "Start capacitor, discharge it through a resistor", "capacitor", MainLine, t("1", "2")...)
			d.passes("C2", "1", "2")
			d.wire(Output, MainLine, from, "C2:1", "")
			d.wire(Output, MainLine, "C2:2", "C1:2", "through the motor's own start switch: never left in")
		}
		from = "C1:2"
	}
	if d.spec.ReverseSwitch {
		// Both windings turned about turn the same way: only the second is crossed over.
		ends := d.crossed(from, "M1:U2")
		d.wire(Output, Reverse, ends[0], "M1:Z1", d.startSwitch())
		d.wire(Output, Reverse, "M1:Z2", ends[1], "")
		return
	}
	d.wire(Output, MainLine, from, "M1:Z1", d.startSwitch())
	d.wire(Output, MainLine, "M1:Z2", "M1:U2", "swap Z1 and Z2 to reverse")
}

// startSwitch says what the second winding's lead goes through.
func (d *Diagram) startSwitch() string {
	if d.spec.StartsOnTwo {
		return "stays in while it runs"
	}
	return "through the motor's own start switch, where it has one"
}

// brushes brings a series motor's brush leads out between the halves of its field: with field and brushes both
// turned about it would turn the same way.
func (d *Diagram) brushes() {
	d.extend("M1", Terminal{Name: "3", Says: "field"}, Terminal{Name: "4", Says: "brush"},
		Terminal{Name: "5", Says: "brush"}, Terminal{Name: "6", Says: "field, or a joint"})
	for _, c := range [][2]string{{"1", "3"}, {"4", "5"}, {"6", "2"}} {
		d.passes("M1", c[0], c[1])
	}
	ends := d.crossed("M1:3", "M1:6")
	d.wire(Output, Reverse, ends[0], "M1:4", "")
	d.wire(Output, Reverse, "M1:5", ends[1], "")
}

// reversingSwitch has a middle place that is off: two poles crossed over, and a third that opens the enable, or
// lets the contactor go, while it stands in the middle.
func (d *Diagram) reversingSwitch() {
	d.add("S4", "Reversing switch, centre off", "reverse", MainLine, t("1", "2", "3", "4", "5", "6", "7", "8")...)
	for _, c := range [][2]string{{"1", "2"}, {"4", "5"}, {"7", "8"}} {
		d.passes("S4", c[0], c[1])
	}
}

// crossed leads two ends through the reversing switch and returns where they come out.
func (d *Diagram) crossed(one, other string) []string {
	d.wire(Output, Reverse, one, "S4:1", "")
	d.wire(Output, Reverse, other, "S4:4", "")
	d.wire(Output, Reverse, "S4:1", "S4:6", "crossed over")
	d.wire(Output, Reverse, "S4:4", "S4:3", "crossed over")
	return []string{"S4:2", "S4:5"}
}
