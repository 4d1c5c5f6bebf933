package wiring

// electronic reports whether there is a drive with an enable of its own.
func (s Spec) electronic() bool {
	switch s.Control {
	case DCDrive, Inverter, OneOut, Brushless, Stepper:
		return true
	}
	return false
}

// enable is the loop that lets the drive run: stop, thermal switch, the reversing switch's own contact
// and the start switch, all in series; any one of them opening stops it by its ramp.
func (d *Diagram) enable() {
	if !d.spec.electronic() {
		return
	}
	d.extend("A1", Terminal{Name: "EN", Says: "enable"}, Terminal{Name: "COM", Says: "control common"})
	at := "A1:COM"
	through := func(from, to string) {
		d.wire(Loop, Enable, at, from, "")
		at = to
	}
	d.add("S5", "Stop, second contact or a button of its own", "stop", Enable, t("21", "22")...)
	d.passes("S5", "21", "22")
	through("S5:21", "S5:22")
	if d.spec.Thermal {
		through("M1:T1", "M1:T2")
	}
	if d.spec.ReverseSwitch {
		through("S4:7", "S4:8")
	}
	if d.spec.Momentary {
		d.add("S1", "Start, springs back", "start", Enable, t("13", "14")...)
		d.passes("S1", "13", "14")
		through("S1:13", "S1:14")
		d.wire(Loop, Enable, at, "A1:EN", "three-wire: the drive remembers")
	} else {
		d.add("S1", "Run switch, stays where it is put", "switch", Enable, t("1", "2")...)
		d.passes("S1", "1", "2")
		through("S1:1", "S1:2")
		d.wire(Loop, Enable, at, "A1:EN", "")
	}
	if d.spec.ReverseInput {
		d.extend("A1", Terminal{Name: "REV", Says: "reverse"})
		d.add("S6", "Forward and reverse", "switch", Reverse, t("1", "2")...)
		d.passes("S6", "1", "2")
		d.wire(Loop, Reverse, "A1:COM", "S6:1", "")
		d.wire(Loop, Reverse, "S6:2", "A1:REV", "the drive ramps down before it turns back")
	}
}

// command is the knob, its wiper in the middle and its low end on common.
func (d *Diagram) command() {
	if !d.spec.electronic() {
		return
	}
	if d.spec.Control == Stepper {
		d.pulses()
		return
	}
	d.extend("A1", Terminal{Name: "+REF", Says: "knob, high end"}, Terminal{Name: "IN", Says: "speed in"},
		Terminal{Name: "0REF",
			Says: "knob, low end"})
	if d.spec.Knob {
		d.add("R1", "Speed knob, 5 or 10 kΩ linear", "knob", Command, t("1", "2", "3")...)
		d.wire(Signal, Command, "A1:0REF", "R1:1", "low end: slow")
		d.wire(Signal, Command, "R1:2", "A1:IN", "wiper, the middle")
		d.wire(Signal, Command, "A1:+REF", "R1:3", "high end: fast")
		return
	}
	d.spare("A1", "+REF")
	d.add("X1", "Speed signal from elsewhere", "terminals", Command, t("1", "2")...)
	d.wire(Signal, Command, "X1:1", "A1:IN", "")
	d.wire(Signal, Command, "X1:2", "A1:0REF", "")
}

// pulses are a stepper's steps and their direction.
func (d *Diagram) pulses() {
	d.extend("A1", Terminal{Name: "STEP", Says: "a pulse is a step"}, Terminal{Name: "DIR", Says: "which way"},
		Terminal{Name: "SG",
			Says: "signal common"})
	d.add("X1", "Source of pulses", "terminals", Command, t("STEP", "DIR", "SG")...)
	for _, name := range []string{"STEP", "DIR", "SG"} {
		d.wire(Signal, Command, "X1:"+name, "A1:"+name, "")
	}
}

func (d *Diagram) spare(id, name string) {
	for i := range d.Devices {
		for k := range d.Devices[i].Terminals {
			if d.Devices[i].ID == id && d.Devices[i].Terminals[k].Name == name {
				d.Devices[i].Terminals[k].Spare = true
			}
		}
	}
}

// besides are tachometer, lamp and fan.
func (d *Diagram) besides(lines []string) {
	if d.spec.Tachometer && d.spec.electronic() && d.spec.Motor != HallMotor {
		d.add("B1", "Tachometer on the motor's shaft", "tacho", Feedback, t("1", "2")...)
		d.extend("A1", t("T+", "T−")...)
		d.wire(Signal, Feedback, "B1:1", "A1:T+", "swapped it runs away: try it with the belt off")
		d.wire(Signal, Feedback, "B1:2", "A1:T−", "")
	}
	back := lines[len(lines)-1]
	if d.spec.Lamp {
		d.add("H1", "Lamp: it is on", "lamp", Besides, t("1", "2")...)
		d.wire(Power, Besides, lines[0], "H1:1", "")
		d.wire(Power, Besides, "H1:2", back, "")
	}
	if d.spec.Fan {
		d.add("M2", "Fan with its own supply", "fan", Besides, t("1", "2")...)
		d.wire(Power, Besides, lines[0], "M2:1", "runs whenever it is switched on, however slowly the motor turns")
		d.wire(Power, Besides, "M2:2", back, "")
	}
}

// earth joins frame, box and motor to the supply's earth, each by a wire of its own to one point.
func (d *Diagram) earth() {
	if !d.spec.Earthed || d.spec.Phases == Battery {
		return
	}
	d.add("PE", "Earth bar in the box", "earth", EarthLine, t("1")...)
	d.wire(Earth, EarthLine, "X0:PE", "PE:1", "first, and the last to come off")
	d.wire(Earth, EarthLine, "PE:1", "M1:PE", "")
	if d.spec.electronic() {
		d.wire(Earth, EarthLine, "PE:1", "A1:PE", "")
	}
	if d.spec.hasUnit() {
		d.wire(Earth, EarthLine, "PE:1", "U1:PE", "")
	}
	d.add("W0", "Machine frame and box", "frame", EarthLine, t("PE")...)
	d.wire(Earth, EarthLine, "PE:1", "W0:PE", "under a bolt of its own, paint scraped off")
}
