package build

import (
	"fmt"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/wiring"
)

// electrical are the small parts between wall and motor.
func (b *builder) electrical() {
	c := b.Circuit()
	volts := b.show(b.Supply.Volts, q.Voltage)
	if b.Control.Fused {
		b.need("fuse", "Fuse and holder, line", b.show(c.Fuse, q.Current)+", "+volts,
			"time-delay, next above what it draws")
		if b.Control.DCDrive() && b.Motor.Kind.Family() == motor.DCFamily {
			b.need("fuse-dc", "Fuse and holder, armature",
				b.show(supply.ArmatureFuse(b.Supply.Code, b.Motor.Amps.Value),
					q.Current)+", direct-current rated for "+b.show(b.Motor.Volts.Value, q.Voltage),
				"next above 1.25 × plate amps")
		}
	}
	if b.NeedsSupplyUnit() {
		b.need("unit", "Direct-current supply unit, isolated", fmt.Sprintf("%s, %s or more",
			b.show(b.Feed.Volts, q.Voltage), b.show(min(b.Feed.PeakAmps, 1.5*b.Motor.Amps.Value), q.Current)),
			"the drive's volts, and amps to start with")
	}
	if b.Control.NoVolt {
		b.need("contactor", "Contactor, no-volt release, stop and start buttons",
			b.show(max(b.InputAmps(), b.Motor.Amps.Value), q.Current)+" motor duty, coil for "+volts,
			"drops out when the power fails and stays out")
	}
	if b.HasOverloadRelay() {
		b.need("overload", "Overload relay", "set to "+b.show(b.Circuit().Overload, q.Current),
			"1.0 to 1.15 × plate amps by the code; put back by hand")
	}
	if spec, ok := b.Wiring(); ok && spec.Knob {
		b.need("knob", "Potentiometer, knob and screened cable", "5 or 10 kΩ linear", "as the drive's maker allows")
	}
	if b.Control.Choke && b.Control.Kind == control.PhaseAngle {
		b.buy = append(b.buy, b.chokePart("choke", "Choke in the armature lead"))
	}
	if b.Control.BrakeOhms > 0 {
		b.need("brake", "Brake resistor", b.show(b.Control.BrakeOhms, q.Resistance), "guarded")
	}
	if b.Control.Reverse == "switch" {
		b.need("reverse", "Reversing switch, centre off, with an extra contact", b.show(b.Motor.Amps.Value, q.Current),
			"the extra contact opens the enable")
	}
	b.capacitors()
	b.resistorParts()
	if b.Control.Lamp {
		b.need("lamp", "Indicator lamp", volts, "")
	}
	if b.Control.Fan {
		b.need("fan", "Fan with its own supply", volts, "")
	}
	if c.Fits && b.Supply.Cable > 0 {
		b.need("cable", "Cable with earth", fmt.Sprintf("%s, %s", c.Wire.Name, q.Run(b.Supply.Cable, b.in.Units)),
			"starting value: local code and a licensed electrician decide")
	}
	if b.Control.Converts() && !b.Supply.Battery {
		watts := b.InputWatts()*(1-b.DriveEfficiency()) + b.resistorWatts()
		b.need("box", "Steel box, earth bar, strain reliefs",
			fmt.Sprintf("%s of free side, or a fan of %s", supply.AreaText(supply.BoxArea(watts), b.in.Units),
				supply.FlowText(supply.FanFlow(watts), b.in.Units)), "to shed "+q.Watts(watts))
	}
}

// capacitors are those a motor's second winding goes through: what runs it, what only starts it, or both.
func (b *builder) capacitors() {
	if !b.Motor.Kind.HasCapacitor() {
		return
	}
	known := ""
	if b.Motor.Capacitor > 0 {
		known = b.show(b.Motor.Capacitor, q.Capacitance)
	}
	own := func(id, name, rating string) {
		b.take = append(b.take, Part{ID: "take." + id, Name: name, Rating: rating, Why: "comes with the motor"})
	}
	if b.Motor.Kind.HasRunCapacitor() {
		own("capacitor-run", "Run capacitor, film or oil", known)
		known = ""
	}
	if b.Motor.Kind.HasStartSwitch() {
		own("capacitor-start", "Start capacitor, and the switch that takes it out", known)
	}
}

// resistorWatts is what a resistor in series makes of heat at plate amps, W; 0 without one.
func (b *builder) resistorWatts() float64 {
	if b.Control.Kind != control.SeriesResistor {
		return 0
	}
	return b.Motor.Amps.Value * b.Motor.Amps.Value * b.Control.Ohms
}

// resistorParts are what a resistor in series needs round it.
func (b *builder) resistorParts() {
	watts := b.resistorWatts()
	if watts == 0 {
		return
	}
	b.need("resistor", "Wire-wound resistor", b.show(b.Control.Ohms, q.Resistance)+", "+b.show(watts, q.Power),
		"I²·R at plate amps, all of it heat")
	b.need("cage", "Perforated steel cage for the resistor", "open to the air above and below",
		"it glows if it is shut in; nothing that burns near it")
	if b.Motor.Kind.Family() == motor.DCFamily && !b.Supply.Battery {
		b.need("bridge", "Bridge rectifier on a heat sink", b.show(1.5*b.Motor.Amps.Value, q.Current)+", "+
			b.show(2*b.Supply.Volts, q.Voltage)+" or more", "the motor takes direct current")
	}
}

// chokePart is the choke in the armature lead: as typed, or what smooths the current as far as a choke
// is counted on for.
func (b *builder) chokePart(id, name string) Part {
	rating, why := b.show(b.Motor.Amps.Value, q.Current), "smoother current heats the motor less"
	if henries, ok := line.SmoothingChoke(&b.Stations); b.Control.Henries > 0 {
		rating += ", " + b.show(b.Control.Henries, q.Inductance)
	} else if ok && henries > 0 {
		rating += ", " + q.Figures(henries*1000, 2) + "\u202fmH"
		why = fmt.Sprintf("brings the form factor to %s at plate amps and a quarter of plate speed",
			q.Figures(control.ChokedForm, 3))
		if b.Motor.DC.Henries == 0 {
			why += "; less by the armature's own, which is not measured"
		}
	}
	return b.part(id, name, rating, why)
}

func (b *builder) wiring() Wiring {
	spec, ok := b.Wiring()
	if !ok {
		return Wiring{Diagram: wiring.Diagram{Devices: []wiring.Device{}, Wires: []wiring.Wire{}},
			Checks: []wiring.Verdict{}}
	}
	d, checks := wiring.Looked(spec)
	d.Colour(b.colours())
	b.sizes(d.Wires)
	return Wiring{Diagram: d, Checks: checks, Known: true}
}

// colours are those of the rules the supply goes by.
func (b *builder) colours() wiring.Colours {
	if b.Supply.Code != supply.NEC {
		return wiring.EuropeanColours
	}
	return wiring.AmericanColours
}

// finest are the least conductors of a drive's own few volts, and of its signals [common practice].
var finest = map[supply.Code][2]string{supply.IEC: {"0.75\u202fmm²", "0.5\u202fmm²"}, supply.NEC: {"18\u202fAWG",
	"20\u202fAWG"}}

// sizes puts on each wire the conductor it wants: what the breaker asks for up to the control, what the motor's amps
// ask for after it, and a loop at the supply's volts as thick as what feeds it, since the same fuse guards it.
func (b *builder) sizes(wires []wiring.Wire) {
	circuit := b.Circuit()
	fed, output, earth := "", "", ""
	if circuit.Fits {
		fed = circuit.Wire.Name
		earth = circuit.EarthWire.Name
	}
	amps := b.Motor.Amps.Value
	if circuit.Code == supply.NEC {
		amps *= 1.25
	}
	if wire, ok := supply.Thinnest(circuit.Code, amps, b.ThreeOut()); ok && b.Motor.Amps.Value > 0 {
		output = wire.Name
		if wire.Area > circuit.EarthWire.Area && circuit.Fits {
			earth = wire.Name
		}
		if b.Powered.FixedSpeed() && circuit.Fits && circuit.Wire.Area > wire.Area {
			output = fed // nothing stands between that guards a thinner one
		}
	}
	for i := range wires {
		w := &wires[i]
		switch {
		case w.Role == wiring.Power, w.Role == wiring.Loop && w.Loop == wiring.Release:
			w.Size = fed
		case w.Role == wiring.Output:
			w.Size = output
		case w.Role == wiring.Earth:
			w.Size = earth
		case w.Role == wiring.Loop:
			w.Size = finest[circuit.Code][0]
		case w.Role == wiring.Signal:
			w.Size = finest[circuit.Code][1]
		}
	}
}
