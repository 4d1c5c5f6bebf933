package build

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/supply"
	"jiriki/core/words"
)

// Homemade sets a drive built at home beside one that is bought.
type Homemade struct {
	Parts  Bill   `json:"parts"`
	Bought Bill   `json:"bought"`
	Says   string `json:"says" doc:"What the one gives that the other does not"`
}

// What the parts of a home-built drive are rated at against what they meet [common practice].
const (
	blockingShare = 2.5 // repetitive peak volts over the line's rms
	surgeShare    = 3.0 // module amps over plate amps, for the stall
)

// homemade is a bridge and phase-angle module for a brushed motor on the mains; nil for anything else.
func (b *builder) homemade() *Homemade {
	if b.Control.Kind != control.PhaseAngle || b.Supply.Battery || b.Motor.Kind.Family() != motor.DCFamily {
		return nil
	}
	amps, line := b.Motor.Amps.Value, b.Supply.Volts
	block := b.show(math.Ceil(blockingShare*line/100)*100, q.Voltage)
	surge := b.show(surgeShare*amps, q.Current)
	armature := supply.ArmatureFuse(b.Supply.Code, amps)
	parts := []Part{
		b.part("home.bridge", "Bridge rectifier on a heat sink", surge+", "+block,
			fmt.Sprintf("3 × plate amps for a stall; %g × the line", blockingShare)),
		b.part("home.module", "Phase-angle module with its trigger", surge+", "+block,
			"the same; its suppression with it"),
		b.part("home.freewheel", "Freewheel diode across the motor", surge+", "+block,
			"carries the current between firings"),
		b.part("home.ac-choke", "Choke in the line", b.show(b.InputAmps(), q.Current)+", 1 to 3\u202fmH",
			"keeps its hash off the mains and the radio"),
		b.chokePart("home.dc-choke", "Choke in the armature lead"),
		b.part("home.fuse", "Fuses, line and armature", b.show(b.Circuit().Fuse, q.Current)+" and "+b.show(armature,
			q.Current)+", quick for the module", "it dies before a slow fuse does"),
		b.part("home.varistor", "Varistor and snubber", b.show(1.2*line, q.Voltage)+" rms",
			"across the line and the module"),
		b.part("home.meter", "Ammeter", "0–"+b.show(1.5*amps, q.Current),
			"there is nothing else to tell of an overload"),
		b.part("home.knob", "Potentiometer", "as the module asks, insulated shaft", "it may be live: no metal knob"),
		b.part("home.fan", "Fan or heat sink", q.Watts(2*amps)+" to shed", "about 2 V across what conducts"),
		b.part("home.box", "Steel box, earthed", "", "everything in it is at line volts"),
	}
	bought := []Part{b.part("control", words.Named(b.in.Plan.Control.Name, "Phase-angle drive"),
		b.show(amps, q.Current)+" or more", "with current limit, ramps, IR compensation and enable")}
	for _, p := range b.take {
		if p.Name == b.in.Plan.Control.Name {
			bought = []Part{p}
		}
	}
	return &Homemade{bill(parts), bill(bought), "Default: buy one. A bought drive limits the current, ramps, holds " +
		"its speed under load and has an enable; built at home it has none of that unless you build it in, and " +
		"everything in the box is at line volts. Built, each part can be had and mended."}
}
