// Package measured is what was measured on the bench, as a person wrote it down: trials, each of a kind, with how it
// was set up and its readings in the order they were taken. What they come to is worked out in package trial.
package measured

import q "jiriki/core/quantity"

// Bounds of a plan's trials.
const (
	MaxTrials   = 60
	MaxReadings = 120
)

// Trial is one thing measured, as it was set up, every quantity as typed. Which fields count goes by the kind: see
// [Profile].
type Trial struct {
	ID         string    `json:"id" maxLength:"40" doc:"Stable within the plan"`
	Kind       Kind      `json:"kind" enum:"speed,knob,ratio,strobe,ear,pull,brake,run-down,volts-up,clutch,capacitors,warm-up,open,ohms,free,locked,slip,sag,insulation,"`
	On         string    `json:"on" maxLength:"20" doc:"The day it was done, as 2026-11-25"`
	Part       string    `json:"part" maxLength:"120" doc:"What was measured, where it is not the plan's own machine"`
	Where      Shaft     `json:"where" enum:"spindle,motor," doc:"Which shaft; the spindle when empty"`
	Position   string    `json:"position" maxLength:"60" doc:"Belt position by its label; the first when empty"`
	Volts      q.Text    `json:"volts" unit:"V" doc:"Volts there on the day"`
	Air        q.Text    `json:"air" unit:"°C|°F" doc:"How warm the shop was"`
	Command    q.Text    `json:"command" doc:"What the drive was told, as a part of full, or the hertz on its display; full when empty"`
	Full       q.Text    `json:"full" doc:"The mark at the knob's end; 10 when empty"`
	Fastest    q.Text    `json:"fastest" unit:"rpm" doc:"What it cannot turn faster than; from the plan when empty"`
	Radius     q.Text    `json:"radius" unit:"mm|in" doc:"Where the scale pulls, from the axis; a brake's drum to its rim"`
	Rope       q.Text    `json:"rope" unit:"mm|in" doc:"Thickness of the brake's rope or band"`
	Angle      q.Text    `json:"angle" unit:"°" doc:"Between pull and radius; 90° when empty"`
	Own        q.Text    `json:"own" unit:"kg|lb|N" doc:"The scale's own weight where it hangs in the pull"`
	Disc       q.Text    `json:"disc" unit:"kg·m²|lb·ft²" doc:"Moment of inertia of the disc that was added"`
	Current    string    `json:"current" enum:"ac,dc," doc:"What was put on it: alternating or direct"`
	Rated      q.Text    `json:"rated" unit:"V" doc:"Volts marked on the capacitor"`
	Class      string    `json:"class" enum:"A,E,B,F,H," doc:"Insulation class of the winding; the plan's when empty"`
	Tested     q.Text    `json:"tested" unit:"V" doc:"Volts of the insulation tester"`
	Leads      q.Text    `json:"leads,omitempty" unit:"Ω" doc:"What the meter shows with its leads held together; 0 where they were zeroed, not known when empty"`
	Instrument string    `json:"instrument" maxLength:"80" doc:"What it was read with"`
	Resolution q.Text    `json:"resolution" doc:"Finest step the instrument shows, in the unit of what it reads"`
	PerTurn    q.Text    `json:"perTurn" doc:"Magnets, marks or slots a pick-up counts in one turn"`
	Gate       q.Text    `json:"gate" unit:"s" doc:"How long it counts for"`
	Note       string    `json:"note" maxLength:"1000"`
	Used       string    `json:"used" maxLength:"20" doc:"The day it was let into the plan; empty while it was not"`
	Readings   []Reading `json:"readings" maxItems:"120" nullable:"false" doc:"In the order they were taken"`
}

// Shaft is one whose speed is meant.
type Shaft string

// The shafts that can be measured at.
const (
	Spindle Shaft = "spindle"
	AtMotor Shaft = "motor"
)

// Reading is one line of a trial's table. What is empty is left out of a file: a trial may have many.
type Reading struct {
	ID        string `json:"id,omitempty" maxLength:"40" doc:"Stable within the trial"`
	Mark      q.Text `json:"mark,omitempty" doc:"Where the knob stood"`
	Speed     q.Text `json:"speed,omitempty" unit:"rpm"`
	Second    q.Text `json:"second,omitempty" unit:"rpm" doc:"Of the other shaft, at the same time"`
	Volts     q.Text `json:"volts,omitempty" unit:"V"`
	Amps      q.Text `json:"amps,omitempty" unit:"A"`
	Hertz     q.Text `json:"hertz,omitempty" unit:"Hz"`
	Ohms      q.Text `json:"ohms,omitempty" unit:"Ω"`
	Megohms   q.Text `json:"megohms,omitempty" unit:"MΩ"`
	Force     q.Text `json:"force,omitempty" unit:"kg|lb|N"`
	Slack     q.Text `json:"slack,omitempty" unit:"kg|lb|N" doc:"On the slack side of a brake"`
	Torque    q.Text `json:"torque,omitempty" unit:"N·m|lbf·ft"`
	Time      q.Text `json:"time,omitempty" unit:"s" doc:"Since it began"`
	Celsius   q.Text `json:"celsius,omitempty" unit:"°C|°F"`
	Capacitor q.Text `json:"capacitor,omitempty" unit:"µF"`
	Starts    string `json:"starts,omitempty" maxLength:"20" doc:"How often it started, such as 9 of 10"`
	Sound     q.Text `json:"sound,omitempty" unit:"dB"`
	Flash     q.Text `json:"flash,omitempty" unit:"rpm" doc:"Flashes a minute"`
	Images    q.Text `json:"images,omitempty" doc:"How many stand there"`
	Drift     q.Text `json:"drift,omitempty" unit:"rpm" doc:"How fast the image creeps, forwards positive; 0 when empty"`
	Spread    q.Text `json:"spread,omitempty" unit:"rpm" doc:"How sure a speed by ear is"`
	Current   string `json:"current,omitempty" enum:"ac,dc," doc:"What was put on it: alternating or direct; the trial's when empty"`
	State     State  `json:"state,omitempty" enum:"starts,keeps,up,down,disc,locked,free,loaded,nothing,hums,acts,turns," doc:"What it did, or how it was"`
	At        string `json:"at,omitempty" maxLength:"20" doc:"The time of day"`
	Note      string `json:"note,omitempty" maxLength:"120"`
}

// State is what was seen, or how the machine was, as a reading was taken.
type State string

// The states of the kinds that have some.
const (
	JustStarts State = "starts" // a pull that just starts it
	KeepsGoing State = "keeps"  // a pull that keeps it going
	RunningUp  State = "up"     // under power, gathering speed
	RunDown    State = "down"   // let go
	WithDisc   State = "disc"   // let go, a known disc on it
	Locked     State = "locked" // clutch held solid
	Free       State = "free"   // nothing on it
	Loaded     State = "loaded" // at work
	Nothing    State = "nothing"
	Hums       State = "hums"
	Acts       State = "acts" // a coil that pulls in
	Turns      State = "turns"
)

// Whole returns the trial with an empty list in place of an absent one.
func (t Trial) Whole() Trial {
	if t.Readings == nil {
		t.Readings = []Reading{}
	}
	return t
}
