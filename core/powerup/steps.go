// Package powerup is the order of a plan's first power-up: what is looked at and read at each step, whether what was
// read is what it should be, and what a step waits for. A reading that fails does not tick its step, and holds what
// depends on it.
package powerup

import (
	"fmt"
	"math"

	"jiriki/core/control"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/words"
	"jiriki/core/working"
)

// What is read with the plug out [common practice]: ohms of an earth, ohms of insulation, and the volts that are still
// none.
const (
	earthOhms      = 0.5
	insulationOhms = 1e6
	voltsLeft      = 5.0
)

// What is read with the supply on [common practice]: how far a supply's volts may lie from what it is, a battery's
// above, a speed from what is reckoned, and how hot a case may be to the hand.
const (
	supplyOff   = 0.1
	chargedOver = 0.25
	speedOff    = 0.05
	handBears   = 60 + 273.15 // K
	ampsOver    = 0.1
)

// windingOff is how many times more or fewer ohms a winding may have than reckoned: read before, or guessed by its
// plate.
const (
	windingOff        = 1.5
	windingGuessedOff = 4
)

var unbounded = math.Inf(1)

// asked is one step as it is written, before it is held against what was done.
type asked struct {
	Step
	expected []judge.Expected
}

// sequence is the order of first power-up [common practice], dead checks first.
func sequence(m *line.Model, sys q.System) []asked {
	p := &powerUp{Model: m, sys: sys}
	p.dead()
	p.live()
	return p.steps
}

type powerUp struct {
	*line.Model
	sys   q.System
	steps []asked
}

func (p *powerUp) add(id, what, measure, expect string, live bool, expected ...judge.Expected) {
	p.steps = append(p.steps, asked{Step{ID: ID(id), What: what, Measure: measure, Expect: expect, Live: live,
		Reads: reads(expected)}, expected})
}

func (p *powerUp) show(v float64, d q.Dimension) string { return q.Show(v, d, p.sys) }

// dead are the checks with the plug out.
func (p *powerUp) dead() {
	mains := !p.Supply.Battery
	unplug := "Plug out and in sight. Wait as long as the drive's label says."
	if !mains {
		unplug = "Battery isolated."
	}
	p.add("unplug", unplug, "volts across what goes to the drive, and across its capacitors", "0\u202fV", false,
		judge.Expected{Of: "volts left", Dimension: q.Voltage, Low: -voltsLeft, High: voltsLeft})
	if p.onlyUnderLoad() {
		p.add("coupled", "Motor clamped down, belt on, guard shut, its work on it: bare, on all its volts, it runs "+
			"away. Nobody in the plane it turns in.", "", "", false)
	} else {
		p.add("clamp", "Motor clamped down, belt off, guard ready, nobody in the plane it turns in.", "", "", false)
	}
	if mains {
		p.add("earth", "Earth from the plug's pin to motor, frame and box.", "ohms, leads zeroed",
			"under "+p.show(earthOhms, q.Resistance), false,
			judge.Expected{Of: "ohms", Dimension: q.Resistance, Low: 0, High: earthOhms})
	}
	if mains && !p.NeedsSupplyUnit() {
		p.add("insulation", "Motor leads off the drive, each against the frame.", "insulation, 500 V tester",
			"over "+p.show(insulationOhms, q.Insulation), false,
			judge.Expected{Of: "insulation", Dimension: q.Insulation, Low: insulationOhms, High: unbounded},
			judge.Expected{Of: "the tester's volts", Dimension: q.Voltage, Low: p.Motor.Volts.Value, High: unbounded,
				Optional: true})
	}
	if p.Supply.Offered {
		p.add("conductor", "The cable's sheath, from the board to the machine.", "size of its conductors, as printed",
			p.Supply.Wire.Name+" or thicker", false, judge.Expected{Of: "a size", Low: p.Supply.Wire.Area,
				High: unbounded, Whole: wireArea})
	}
	p.winding()
	if p.HasKnob() {
		p.add("knob", "Knob turned right down, its plug off the drive.", "ohms, wiper to low end",
			"0; rising evenly to 5 or 10\u202fkΩ as it is turned up", false)
	}
	if p.Control.Limits() {
		p.add("enable", "Enable loop, its plug off the drive: closed with start on, open at each of stop and thermal "+
			"switch.", "continuity", "closed; open as each is opened", false)
	}
	p.add(settingsStep, "Settings set and ticked off; trims at their lowest.", "", "", false)
}

func wireArea(text string) (float64, error) {
	w, err := supply.ParseWire(text)
	return w.Area, err
}

// winding reads a brushed motor's armature, and a field that has leads of its own.
func (p *powerUp) winding() {
	if p.Motor.Kind.Family() != motor.DCFamily {
		return
	}
	ohms := p.Motor.DC.Resistance
	off := float64(windingOff)
	if ohms.Standing == working.Assumed {
		off = windingGuessedOff
	}
	p.add("winding", "Across the motor's leads, the shaft turned a little between readings.", "ohms",
		"about "+p.show(ohms.Value, q.Resistance), false,
		judge.Expected{Of: "ohms", Dimension: q.Resistance, Low: ohms.Value / off, High: ohms.Value * off})
	if p.Motor.Kind == motor.WoundDC {
		p.add("field-ohms", "Across the field's leads, off the drive.", "ohms",
			"many times the armature's "+p.show(ohms.Value, q.Resistance)+", and never open", false,
			judge.Expected{Of: "ohms", Dimension: q.Resistance, Low: 2 * ohms.Value, High: mostFieldOhms})
	}
}

// What a field winding has at the most, Ω, and draws at the least, A [common practice].
const (
	mostFieldOhms  = 10e3
	leastFieldAmps = 0.02
)

// live are the steps with the supply on.
func (p *powerUp) live() {
	in := p.Supply.Volts
	if p.NeedsSupplyUnit() {
		in = p.Feed.Volts
		p.add("unit", "Supply unit on by itself, its output off the drive.", "volts and which lead is plus",
			p.show(in, q.Voltage)+" direct", true, p.supplyVolts(in))
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
	expected := []judge.Expected{p.supplyVolts(in)}
	if p.Supply.TwoHots() && !p.NeedsSupplyUnit() {
		measure, expect = "volts between the two hot lines, and of each against earth",
			p.show(in, q.Voltage)+", and "+p.show(in/2, q.Voltage)+" each: both are live, neither is a neutral"
		half := p.supplyVolts(in / 2)
		expected = append(expected, half, half)
	}
	p.add("on", "Supply on, "+lamp+", "+off+".", measure, expect, true, expected...)
	if p.Motor.Kind == motor.WoundDC {
		p.add("field", "Field on by itself, the armature's leads off the drive.", "volts and amps of the field",
			"what its plate gives, and amps that do not fall to nothing: without its field it runs away", true,
			judge.Expected{Of: "amps of the field", Dimension: q.Current, Low: leastFieldAmps, High: unbounded})
	}
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
	if len(p.Reduction.Positions) > 0 && len(p.Reduction.Stages) > 0 && !p.onlyUnderLoad() {
		at := &p.Reduction.Positions[0]
		top := min(p.Top(at), p.TopSpeed)
		hook := ""
		if p.Machine.Hangs {
			hook = ", nothing hanging on it"
		}
		p.add("belt", "Plug out. Belt on, guard shut"+hook+". Supply on, run it "+p.belted(at)+".", "spindle speed",
			"up to "+p.show(top, q.Speed), true, p.upTo("speed", q.Speed, min(top*(1+speedOff), p.TopSpeed)))
	}
	p.holds()
	p.add("warm", "Under its own work for half an hour.", "case temperature, amps",
		"no hotter than the hand bears for some seconds; under "+p.show(p.Motor.Amps.Value, q.Current), true,
		p.upTo("temperature", q.Temperature, handBears), p.upTo("amps", q.Current, p.Motor.Amps.Value))
}

// holds proves what holds a hanging load, before it is trusted with one.
func (p *powerUp) holds() {
	switch {
	case !p.Machine.Hangs:
	case p.Machine.Held:
		p.add("brake", "A light load a hand's breadth over the ground, nobody under it. Supply off: its brake alone "+
			"holds it. Then the same with its own load.", "how far it comes down in a minute", "nothing", true)
	default:
		p.add("brake", "A light load a hand's breadth over the ground, nobody under it. Supply off: the reduction "+
			"alone holds it. Then the same with its own load.", "how far it comes down in a minute", "nothing", true)
	}
}

// supplyVolts is what a supply of so many volts must read.
func (p *powerUp) supplyVolts(volts float64) judge.Expected {
	over := supplyOff
	if p.Supply.Battery {
		over = chargedOver
	}
	return judge.Expected{Of: "volts", Asked: p.show(volts, q.Voltage), Dimension: q.Voltage,
		Low: volts * (1 - supplyOff), High: volts * (1 + over)}
}

// upTo is what may be read up to a value, and need not be.
func (p *powerUp) upTo(of string, d q.Dimension, most float64) judge.Expected {
	return judge.Expected{Of: of, Asked: "up to " + q.ShowDown(most, d, p.sys), Dimension: d, Low: math.Inf(-1),
		High: most, Optional: true}
}

// free are speed and amps of a motor with nothing on it.
func (p *powerUp) free(top float64) []judge.Expected {
	return []judge.Expected{p.upTo("speed", q.Speed, top*(1+speedOff)),
		p.upTo("amps", q.Current, p.Motor.Amps.Value*(1+ampsOver))}
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

// onlyUnderLoad reports whether it must be coupled to its work before it is first switched on: a motor that runs away,
// on a control that gives it all the volts at once.
func (p *powerUp) onlyUnderLoad() bool {
	return p.runsAway() && (p.Powered.FixedSpeed() || p.Control.Kind == control.Contactor ||
		p.Control.Kind == control.SeriesResistor)
}

func (p *powerUp) fixed() {
	low, high := p.Powered.RotorSpan()
	p.add("bump", "Bump it: on and off at once.", "which way it turns", "the way the machine wants", true)
	if p.onlyUnderLoad() {
		p.add("loaded", "Run it under its work.", "amps", "under "+p.show(p.Motor.Amps.Value, q.Current), true,
			p.upTo("amps", q.Current, p.Motor.Amps.Value))
		return
	}
	p.add("free", "Run it free.", "speed and amps", fmt.Sprintf("%s, under %s", q.SpeedRange(low, high, p.sys),
		p.show(p.Motor.Amps.Value, q.Current)), true, p.free(p.Powered.RotorTop())...)
}

func (p *powerUp) stepping() {
	_, high := p.Powered.RotorSpan()
	p.add("still", "Enabled, no pulses.", "shaft, by hand", "holds; drive and motor no more than warm", true)
	p.add("slow", "A few steps a second.", "which way it turns, steps in one turn",
		fmt.Sprintf("the way the machine wants; %g times the microsteps set", p.Motor.Steps.PerTurn), true)
	p.add("top", "Faster, by its ramp.", "fastest speed at which it loses none", "under "+p.show(high, q.Speed), true)
}

// What share of full speed a drive may make with its knob right down, and with it up a little, before it is wired wrong
// [common practice].
const (
	atNothing = 0.2
	upALittle = 0.4
)

// adjustable are the steps of a drive whose speed is dialled.
func (p *powerUp) adjustable() {
	low, high := p.Powered.RotorSpan()
	command := "knob"
	if !p.HasKnob() {
		command = "speed command"
	}
	p.add("zero", "Enabled with the "+command+" right down.", "motor", "still, or at its slowest: not full speed", true,
		p.upTo("speed", q.Speed, max(low, high*atNothing)))
	slow := max(low, high/10)
	expect := p.show(slow, q.Speed)
	if p.Motor.Kind.Family() == motor.DCFamily && p.Control.Kind != control.BrushlessDrive {
		expect += ", about " + p.show(p.Motor.DC.Ke.Value*slow, q.Voltage)
	}
	p.add("slow", words.Capital(command)+" up a little.", "which way it turns, speed, volts on the motor",
		"the way the machine wants; "+expect+" at a tenth", true, p.upTo("speed", q.Speed, max(low, high*upALittle)),
		p.upTo("volts", q.Voltage, p.Motor.Volts.Value*upALittle))
	if p.runsAway() {
		p.add("down", words.Capital(command)+" down again, and no further up than that: without its load it runs away.",
			"", "slows; does not trip", true)
		return
	}
	p.add("top", words.Capital(command)+" right up, the trim crept up.", "speed and amps, free", p.topSpeed(), true,
		p.free(p.Powered.RotorTop())...)
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
		p.topSpeed(), true, p.free(p.Powered.RotorTop())...)
}

// onCapacitors are the steps of a fan on its run capacitors.
func (p *powerUp) onCapacitors() {
	p.add("bump", "On and off at once, on the largest capacitor.", "which way it turns", "the way the machine wants",
		true)
	p.add("top", "Run on the largest capacitor.", "speed and amps", p.topSpeed(), true,
		p.free(p.Powered.RotorTop())...)
	p.add("slow", "Each smaller one in turn: off, discharged through a resistor, changed, on.",
		"speed, and starts of ten", "slower each time; ten starts of ten, warm and cold", true)
}

// resisted are the steps of a motor behind a resistor.
func (p *powerUp) resisted() {
	high := p.Powered.RotorTop()
	p.add("bump", "On and off at once, all of the resistor in.", "which way it turns", "the way the machine wants",
		true)
	if p.onlyUnderLoad() {
		p.add("loaded", "Run it under its work for a minute.", "volts on the motor, heat of the resistor",
			"slower with every load", true)
		return
	}
	p.add("top", "Run it free for a minute.", "speed, volts on the motor, heat of the resistor",
		"up to "+p.show(high, q.Speed)+" free; slower with every load", true, p.upTo("speed", q.Speed,
			high*(1+speedOff)))
}

// topSpeed is what it turns with no load: the one top speed that the machine's limit is held against.
func (p *powerUp) topSpeed() string {
	return p.show(p.Powered.RotorTop(), q.Speed) + ", well under " + p.show(p.Motor.Amps.Value, q.Current)
}
