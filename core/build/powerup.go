package build

import (
	"fmt"

	"jiriki/core/control"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
)

// PowerUpStep is one step of the first power-up, with what must be measured at it.
type PowerUpStep struct {
	ID      string `json:"id" doc:"By which it is ticked off"`
	What    string `json:"what"`
	Measure string `json:"measure" doc:"What is read, and where; empty when nothing is"`
	Expect  string `json:"expect" doc:"What it should read"`
	Live    bool   `json:"live" doc:"The supply is on: not to be ticked while a stop is open"`
}

// powerUp is the order of first power-up [common practice], dead checks first.
func (b *builder) powerUp(sys q.System) []PowerUpStep {
	p := &powerUp{Model: b.Model, sys: sys}
	p.dead()
	p.live()
	return p.steps
}

type powerUp struct {
	*line.Model
	sys   q.System
	steps []PowerUpStep
}

func (p *powerUp) add(id, what, measure, expect string, live bool) {
	p.steps = append(p.steps, PowerUpStep{ID: "power." + id, What: what, Measure: measure, Expect: expect, Live: live})
}

func (p *powerUp) show(v float64, d q.Dimension) string { return q.Show(v, d, p.sys) }

// dead are the checks with the plug out.
func (p *powerUp) dead() {
	mains := !p.Supply.Battery
	unplug := "Plug out and in sight. Wait as long as the drive's label says."
	if !mains {
		unplug = "Battery isolated."
	}
	p.add("unplug", unplug, "volts across what goes to the drive, and across its capacitors", "0\u202fV", false)
	p.add("clamp", "Motor clamped down, belt off, guard ready, nobody in the plane it turns in.", "", "", false)
	if mains {
		p.add("earth", "Earth from the plug's pin to motor, frame and box.", "ohms, leads zeroed", "under 0.5\u202fΩ",
			false)
	}
	if mains && !p.NeedsSupplyUnit() {
		p.add("insulation", "Motor leads off the drive, each against the frame.", "insulation, 500 V tester",
			"over 1\u202fMΩ", false)
	}
	if p.Supply.Offered {
		p.add("conductor", "The cable's sheath, from the board to the machine.", "size of its conductors, as printed",
			p.Supply.Wire.Name+" or thicker", false)
	}
	if p.Motor.Kind.Family() == motor.DCFamily {
		p.add("winding", "Across the motor's leads, the shaft turned a little between readings.", "ohms",
			"about "+p.show(p.Motor.DC.Resistance.Value, q.Resistance), false)
	}
	if p.HasKnob() {
		p.add("knob", "Knob turned right down, its plug off the drive.", "ohms, wiper to low end",
			"0; rising evenly to 5 or 10\u202fkΩ as it is turned up", false)
	}
	if p.Control.Limits() {
		p.add("enable", "Enable loop, its plug off the drive: closed with start on, open at each of stop and thermal "+
			"switch.", "continuity", "closed; open as each is opened", false)
	}
	p.add("settings", "Settings set and ticked off; trims at their lowest.", "", "", false)
}

// live are the steps with the supply on.
func (p *powerUp) live() {
	in := p.Supply.Volts
	if p.NeedsSupplyUnit() {
		in = p.Feed.Volts
		p.add("unit", "Supply unit on by itself, its output off the drive.", "volts and which lead is plus",
			p.show(in, q.Voltage)+" direct", true)
	}
	lamp := "through a lamp in series or a current limit, one hand only"
	if p.Powered.FixedSpeed() || p.Control.Kind == control.Contactor {
		lamp = "one hand only, stop in reach"
	}
	off := "motor not enabled"
	if !p.Control.Limits() {
		off = "its switch off"
	}
	measure, expect := "volts at the control's input", p.show(in, q.Voltage)
	if p.Supply.TwoHots() && !p.NeedsSupplyUnit() {
		measure, expect = "volts between the two hot lines, and of each against earth",
			p.show(in, q.Voltage)+", and "+p.show(in/2, q.Voltage)+" each: both are live, neither is a neutral"
	}
	p.add("on", "Supply on, "+lamp+", "+off+".", measure, expect, true)
	switch {
	case p.Powered.FixedSpeed(), p.Control.Kind == control.Contactor:
		p.fixed()
	case p.Control.Kind == control.StepperDriver:
		p.stepping()
	case p.Control.Kind == control.VariableTransformer:
		p.dialled()
	case p.Control.Kind == control.CapacitorSet:
		p.onCapacitors()
	case p.Control.Kind == control.SeriesResistor:
		p.resisted()
	default:
		p.adjustable()
	}
	stop := "Stop, from full speed."
	if p.runsAway() {
		stop = "Stop, while it turns slowly."
	}
	p.add("stop", stop, "seconds to standstill", "it stops, and stays stopped", true)
	if p.Control.NoVolt {
		p.add("no-volt", "Supply off while it runs, and on again.", "", "it stays still until started", true)
	}
	if p.Motor.Thermal == "wired" {
		p.add("thermal", "A lead of the thermal switch off, dead; supply on and start.", "", "it will not run", true)
	}
	if len(p.Reduction.Positions) > 0 && len(p.Reduction.Stages) > 0 {
		at := &p.Reduction.Positions[0]
		p.add("belt", "Plug out. Belt on, guard shut. Supply on, run it "+p.belted(at)+".", "spindle speed",
			"up to "+p.show(min(p.Top(at), p.TopSpeed), q.Speed), true)
	}
	p.add("warm", "Under its own work for half an hour.", "case temperature, amps",
		"no hotter than the hand bears for some seconds; under "+p.show(p.Motor.Amps.Value, q.Current), true)
}

func (p *powerUp) belted(at *reduction.Position) string {
	if len(p.Reduction.Positions) > 1 {
		return "on " + at.Label
	}
	return "slowly, then up"
}

// runsAway reports whether the motor must not run at full volts without its load: brushes and field in
// series.
func (p *powerUp) runsAway() bool { return p.Motor.Kind.Family() == motor.SeriesFamily }

func (p *powerUp) fixed() {
	low, high := p.Powered.RotorSpan()
	p.add("bump", "Bump it: on and off at once.", "which way it turns", "the way the machine wants", true)
	if p.runsAway() {
		return
	}
	p.add("free", "Run it free.", "speed and amps", fmt.Sprintf("%s, under %s", q.SpeedRange(low, high, p.sys),
		p.show(p.Motor.Amps.Value, q.Current)), true)
}

func (p *powerUp) stepping() {
	_, high := p.Powered.RotorSpan()
	p.add("still", "Enabled, no pulses.", "shaft, by hand", "holds; drive and motor no more than warm", true)
	p.add("slow", "A few steps a second.", "which way it turns, steps in one turn",
		fmt.Sprintf("the way the machine wants; %g times the microsteps set", p.Motor.Steps.PerTurn), true)
	p.add("top", "Faster, by its ramp.", "fastest speed at which it loses none", "under "+p.show(high, q.Speed), true)
}

// adjustable are the steps of a drive whose speed is dialled.
func (p *powerUp) adjustable() {
	low, high := p.Powered.RotorSpan()
	command := "knob"
	if !p.HasKnob() {
		command = "speed command"
	}
	p.add("zero", "Enabled with the "+command+" right down.", "motor", "still, or at its slowest: not full speed", true)
	slow := max(low, high/10)
	expect := p.show(slow, q.Speed)
	if p.Motor.Kind.Family() == motor.DCFamily && p.Control.Kind != control.BrushlessDrive {
		expect += ", about " + p.show(p.Motor.DC.Ke.Value*slow, q.Voltage)
	}
	p.add("slow", words.Capital(command)+" up a little.", "which way it turns, speed, volts on the motor",
		"the way the machine wants; "+expect+" at a tenth", true)
	if p.runsAway() {
		p.add("down", words.Capital(command)+" down again, and no further up than that: without its load it runs away.",
			"", "slows; does not trip", true)
		return
	}
	p.add("top", words.Capital(command)+" right up, the trim crept up.", "speed and amps, free", p.topSpeed(), true)
	p.add("down", words.Capital(command)+" down again.", "", "slows by the ramp; does not trip", true)
}

// dialled are the steps of a variable transformer, which nothing ramps or limits.
func (p *powerUp) dialled() {
	p.add("zero", "Switched on with the dial at nothing.", "motor", "still", true)
	p.add("slow", "Dial up a little.", "which way it turns, volts and amps on the motor",
		"the way the machine wants; amps fall as it picks up", true)
	if p.runsAway() {
		return
	}
	p.add("top", "Dial up until the motor has its plate's volts, and mark it there.", "speed and amps, free",
		p.topSpeed(), true)
}

// onCapacitors are the steps of a fan on its run capacitors.
func (p *powerUp) onCapacitors() {
	p.add("bump", "On and off at once, on the largest capacitor.", "which way it turns", "the way the machine wants",
		true)
	p.add("top", "Run on the largest capacitor.", "speed and amps", p.topSpeed(), true)
	p.add("slow", "Each smaller one in turn: off, discharged through a resistor, changed, on.",
		"speed, and starts of ten", "slower each time; ten starts of ten, warm and cold", true)
}

// resisted are the steps of a motor behind a resistor.
func (p *powerUp) resisted() {
	high := p.Powered.RotorTop()
	p.add("bump", "On and off at once, all of the resistor in.", "which way it turns", "the way the machine wants",
		true)
	if p.runsAway() {
		return
	}
	p.add("top", "Run it free for a minute.", "speed, volts on the motor, heat of the resistor",
		"up to "+p.show(high, q.Speed)+" free; slower with every load", true)
}

// topSpeed is what it turns with no load: the one top speed that the machine's limit is held against.
func (p *powerUp) topSpeed() string {
	return p.show(p.Powered.RotorTop(), q.Speed) + ", well under " + p.show(p.Motor.Amps.Value, q.Current)
}
