// Package script is what happens in a dry run, event by event: as a person describes it, as such a machine usually
// brings it, and resolved.
package script

import q "jiriki/core/quantity"

// Described is a script as a person entered it, every quantity as typed. Without events it is the usual one of the
// machine's kind.
type Described struct {
	Events   []Event  `json:"events" maxItems:"60" nullable:"false" doc:"What happens, in any order; the usual for the kind of machine when empty"`
	Position string   `json:"position" maxLength:"60" doc:"Position of the reduction it runs in, by its label; the one its first cut comes out best in when empty"`
	Inertia  q.Text   `json:"inertia" unit:"kg·m²|lb·ft²" doc:"Moment of inertia of what turns with the spindle, the work with it, such as 0.4 kg·m²; from the machine when empty"`
	Friction q.Text   `json:"friction" unit:"N·m|lbf·ft" doc:"Torque that keeps the empty machine turning; guessed from its jobs when empty"`
	Coasted  *Coasted `json:"coasted,omitempty" doc:"How it was measured to coast; in place of its friction"`
	Sticks   q.Text   `json:"sticks" unit:"N·m|lbf·ft" doc:"Torque that just starts the empty machine; its friction, or twice what was guessed, when empty"`
	Volts    q.Text   `json:"volts" unit:"V" doc:"Volts at the socket or battery on the day; those of the supply when empty"`
	Air      q.Text   `json:"air" unit:"°C|°F" doc:"How warm the shop is; 20 °C when empty"`
	Warm     q.Text   `json:"warm" unit:"°C|°F" doc:"How hot the winding is at the start; as the shop when empty"`
	Lasts    q.Text   `json:"lasts" unit:"s" doc:"When the run ends; once all is still when empty"`
}

// Coasted is what holds the whole line back at the spindle while it coasts with the motor let go, the motor's own loss
// and the reduction's in it: a part that is the same at every speed, and two that are so much at one speed and grow
// with
// it, in proportion and with its square.
type Coasted struct {
	Dry   q.Text `json:"dry" unit:"N·m|lbf·ft" doc:"At every speed"`
	Grows q.Text `json:"grows" unit:"N·m|lbf·ft" doc:"In proportion to speed, so much at the speed below"`
	Air   q.Text `json:"air" unit:"N·m|lbf·ft" doc:"With the square of speed, so much at the speed below"`
	At    q.Text `json:"at" unit:"rpm" doc:"Spindle speed"`
}

// Event is one thing that happens.
type Event struct {
	At     q.Text `json:"at" unit:"s" doc:"When, from the start"`
	Does   Does   `json:"does" enum:"on,knob,cut,free,jam,fails,returns,reverse,ramp,coast,brake,stop,"`
	Name   string `json:"name" maxLength:"80" doc:"What the person calls it"`
	Job    string `json:"job" maxLength:"40" doc:"cut: ID of the job whose load comes on"`
	Speed  q.Text `json:"speed" unit:"rpm" doc:"on, knob, reverse: spindle speed asked for, or hertz, or a part of full speed; full when empty"`
	Torque q.Text `json:"torque" unit:"N·m|lbf·ft" doc:"cut, jam: at the spindle; a cut has its job's when empty"`
	Lasts  q.Text `json:"lasts" unit:"s" doc:"cut, jam, fails: how long; until something else ends it when empty"`
}

// Does is what an event does.
type Does string

// What can happen.
const (
	On      Does = "on"      // the start button, or the switch
	Knob    Does = "knob"    // the speed asked for changes
	Cut     Does = "cut"     // a job's load comes on
	Free    Does = "free"    // hands off: no load but its own friction
	Jam     Does = "jam"     // a stone, a grab, a drill breaking through
	Fails   Does = "fails"   // the power goes
	Returns Does = "returns" // and comes back
	Reverse Does = "reverse" // the other way round is asked for
	Ramp    Does = "ramp"    // the stop button: the control ramps down where it can
	Coast   Does = "coast"   // the motor is let go
	Brake   Does = "brake"   // stopped as fast as the control can
	Stop    Does = "stop"    // the emergency stop: power off, and the brake on where there is one
)

// Happening is a kind of event as it is offered.
type Happening struct {
	Does  Does   `json:"does"`
	Name  string `json:"name"`
	Sized string `json:"sized" enum:"speed,torque,job," doc:"What its size is"`
	Lasts bool   `json:"lasts" doc:"It may end by itself"`
}

// Happenings returns the kinds of event in the order they are offered.
func Happenings() []Happening { return happenings }

var happenings = []Happening{
	{On, "Switch on", "speed", false}, {Knob, "Knob to", "speed", false}, {Cut, "A cut comes on", "job", true},
	{Free, "Hands off", "", false}, {Jam, "A jam", "torque", true}, {Fails, "Power fails", "", true},
	{Returns, "Power comes back", "", false}, {Reverse, "Reverse asked for", "speed", false},
	{Ramp, "Stop, ramped", "", false}, {Coast, "Switched off, coasts", "", false},
	{Brake, "Stop, braked", "", false}, {Stop, "Emergency stop", "", false},
}

// Whole returns the script with an empty list in place of an absent one.
func (d Described) Whole() Described {
	if d.Events == nil {
		d.Events = []Event{}
	}
	return d
}
