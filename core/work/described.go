// Package work is what the machine must do: its limits and its jobs, each with a speed band,
// a torque found by some method, how long at a time and how much margin is wanted.
package work

import (
	"fmt"
	"slices"

	q "jiriki/core/quantity"
)

// Machine is the thing being retrofitted, as described by its owner.
type Machine struct {
	Name   string `json:"name" maxLength:"120" doc:"What its owner calls it"`
	Kind   string `json:"kind" enum:"lathe,wood-lathe,mill,drill,bandsaw,hacksaw,belt-sander,disc-sander,grinder,shaper,potters-wheel,mixer,crusher,extractor,conveyor,feed,fan,indexer,other," doc:"What sort of machine; chooses the drawing at the end of the line, the words for its spindle and its dangers"`
	Notes  string `json:"notes" maxLength:"4000"`
	Limits Limits `json:"limits"`
	Place  Place  `json:"place"`
	Jobs   []Job  `json:"jobs" maxItems:"40" nullable:"false"`
}

// Limits cap the spindle whatever the motor can do.
type Limits struct {
	Spindle       q.Text `json:"spindle" unit:"rpm" doc:"Fastest the spindle or its bearings may turn"`
	Marked        q.Text `json:"marked" unit:"rpm" doc:"Speed marked on the wheel, chuck or disc"`
	Diameter      q.Text `json:"diameter" unit:"mm|in" doc:"Largest diameter that turns: wheel head, drum, chuck"`
	Bearing       q.Text `json:"bearing" unit:"mm|in" doc:"Mean diameter of the spindle's bearings, where they run in grease"`
	Frame         string `json:"frame" maxLength:"60" doc:"Motor frame its bracket is drilled for, such as 80 or NEMA 56"`
	Flywheel      q.Text `json:"flywheel" unit:"kg·m²|lb·ft²" doc:"Moment of inertia of a flywheel on the spindle, such as 0.4 kg·m²"`
	Rim           string `json:"rim" enum:"cast,turned," doc:"What the largest that turns is made of: cast iron, or turned from solid steel or aluminium; by the kind of machine when empty"`
	Hangs         bool   `json:"hangs" doc:"Its load hangs, and comes down by itself when the motor lets go"`
	Held          bool   `json:"held" doc:"A brake holds a hanging load without power"`
	Covered       bool   `json:"covered" doc:"Fan blades or a grinding wheel are guarded"`
	ScrewedOn     bool   `json:"screwedOn" doc:"Chuck, wheel or pulley held by a thread that reversing would undo"`
	HeldBy        string `json:"heldBy" enum:"thread,fast," doc:"What holds chuck, wheel or disc on the spindle: a thread, which reversing or braking undoes, or something that stays"`
	NeedsReversed bool   `json:"needsReversed" doc:"The machine must run both ways"`
}

// Place is where the machine stands. An empty answer is a question not asked yet.
type Place struct {
	Wet  string `json:"wet" enum:"yes,no," doc:"Coolant, clay water, juice or weather reach the drive or motor"`
	Dust string `json:"dust" enum:"yes,no," doc:"Wood, grinding or flour dust hangs about"`
	Hot  string `json:"hot" enum:"yes,no," doc:"The air round the motor passes 40 °C"`

	Hottest  q.Text `json:"hottest" unit:"°C|°F" doc:"How hot it gets there, where it passes 40 °C"`
	Altitude q.Text `json:"altitude" unit:"m|ft|mm" doc:"Height above the sea, where it passes 1000 m"`
}

// Job is one thing the machine must do.
type Job struct {
	ID     string    `json:"id" maxLength:"40" doc:"Stable within the machine"`
	Name   string    `json:"name" maxLength:"120"`
	Cut    Cut       `json:"cut"`
	Speed  SpeedBand `json:"speed"`
	Load   Load      `json:"load"`
	Start  FromRest  `json:"start"`
	Duty   Duty      `json:"duty"`
	Fall   q.Text    `json:"fall" unit:"%|%|" doc:"How far its speed may fall from no load to this one, such as 5 %; any when empty"`
	Margin q.Text    `json:"margin" doc:"Wanted margin; by method when empty"`
	Reason string    `json:"reason" maxLength:"300" doc:"Why the margin was changed"`
}

// Cut is what is cut, how and with what: it gives the usual surface speed and the specific
// cutting force.
type Cut struct {
	Operation string `json:"operation" enum:"turning,drilling,milling,sawing,sanding,grinding,"`
	Material  string `json:"material" maxLength:"40" doc:"ID in the catalogue's materials"`
	Tool      string `json:"tool" enum:"hss,carbide,"`
}

// SpeedBand is how fast the spindle must turn.
type SpeedBand struct {
	By           string `json:"by" enum:"rpm,surface,timed,travel," doc:"Given at the spindle; from surface speed and diameters; from turns counted against a clock; from travel and lead"`
	From         q.Text `json:"from" unit:"rpm"`
	To           q.Text `json:"to" unit:"rpm"`
	Surface      q.Text `json:"surface" unit:"m/min|ft/min" doc:"Surface speed, such as 30 m/min; the usual one for the cut when empty"`
	DiameterFrom q.Text `json:"diameterFrom" unit:"mm|in" doc:"Smallest diameter worked"`
	DiameterTo   q.Text `json:"diameterTo" unit:"mm|in" doc:"Largest diameter worked"`
	Turns        q.Text `json:"turns" doc:"Turns counted by hand"`
	Time         q.Text `json:"time" unit:"s" doc:"Time they took"`
	FactorFrom   q.Text `json:"factorFrom" doc:"Slowest wished, as a factor of that; 1 when empty"`
	FactorTo     q.Text `json:"factorTo" doc:"Fastest wished, as a factor of that"`
	TravelFrom   q.Text `json:"travelFrom" unit:"mm/min|in/min|m/min" doc:"Slowest travel, such as 20 mm/min"`
	TravelTo     q.Text `json:"travelTo" unit:"mm/min|in/min|m/min"`
	Main         q.Text `json:"main" unit:"rpm" doc:"Speed of the spindle that a feed for each of its turns goes by, where the travel is given as 0.1 mm/rev"`
	Lead         q.Text `json:"lead" unit:"mm|in" doc:"Travel in one turn: a screw's lead, a drum's girth"`
	Cover        string `json:"cover" enum:"all,any," doc:"all: every speed in the band is wanted; any: one speed somewhere in it will do"`
}

// Load is the torque or power over the band and how it was found. Each method keeps its own
// inputs, so that trying another loses nothing.
type Load struct {
	By         string       `json:"by" enum:"torque,power,scale,cutting,comparable,replaced,inertia,pull,screw,"`
	Torque     q.Text       `json:"torque" unit:"N·m|lbf·ft"`
	Power      q.Text       `json:"power" unit:"W|hp" doc:"Power at the spindle"`
	Shape      string       `json:"shape" enum:"torque,power,square,points," doc:"Over the band: same torque, same power, torque with speed squared, or points joined"`
	Points     []Point      `json:"points" maxItems:"20" nullable:"false"`
	From       string       `json:"from" enum:"stated,measured,comparable," doc:"Where a stated figure comes from; sets the usual margin"`
	Scale      ScalePull    `json:"scale"`
	Cutting    CuttingLoad  `json:"cutting"`
	Comparable Comparable   `json:"comparable"`
	Replaced   Replaced     `json:"replaced"`
	Inertia    InertiaLoad  `json:"inertia"`
	Pull       StraightPull `json:"pull"`
	Screw      Screw        `json:"screw"`
}

// Point is a torque wanted at a speed.
type Point struct {
	Speed  q.Text `json:"speed" unit:"rpm"`
	Torque q.Text `json:"torque" unit:"N·m|lbf·ft"`
}

// ScalePull is a weighing with a spring scale.
type ScalePull struct {
	Radius    q.Text   `json:"radius" unit:"mm|in" doc:"Where the scale was hooked, from the axis"`
	Angle     q.Text   `json:"angle" unit:"°" doc:"Between pull and radius; 90° when empty"`
	Running   []q.Text `json:"running" unit:"kg|lb|N" maxItems:"20" nullable:"false" doc:"Pulls that keep it moving under the job"`
	Breakaway []q.Text `json:"breakaway" unit:"kg|lb|N" maxItems:"20" nullable:"false" doc:"Pulls that just start it"`
	Own       q.Text   `json:"own" unit:"kg|lb|N" doc:"The scale's own weight when it hangs in the pull"`
}

// CuttingLoad is the cut itself. Which fields count goes by the operation.
type CuttingLoad struct {
	Depth    q.Text `json:"depth" unit:"mm|in" doc:"Depth of cut: turning, milling; per pass in grinding"`
	Feed     q.Text `json:"feed" unit:"mm|in" doc:"Feed per turn: turning, drilling"`
	Diameter q.Text `json:"diameter" unit:"mm|in" doc:"Work turned, drill, cutter, saw wheel or disc, or a hacksaw's stroke"`
	Width    q.Text `json:"width" unit:"mm|in" doc:"Width of the cutter's engagement, saw kerf, or grinding width"`
	PerTooth q.Text `json:"perTooth" unit:"mm|in" doc:"Chip per tooth: milling, sawing"`
	Teeth    q.Text `json:"teeth" doc:"Teeth of the cutter, or teeth per inch of the saw"`
	Length   q.Text `json:"length" unit:"mm|in" doc:"How much work the saw is in at once"`
	Travel   q.Text `json:"travel" unit:"m/min|ft/min" doc:"How fast the work passes the grinding wheel"`
	Bites    q.Text `json:"bites" doc:"Turning: how often in a turn the cut is broken off, as by a keyway or a square; whole when empty"`
	Contact  q.Text `json:"contact" unit:"%|%|" doc:"Turning: share of the turn that the tool is in the work; half when empty"`
	Specific q.Text `json:"specific" unit:"N/mm²|psi" doc:"Specific cutting force at 1 mm chip, where you know better than the table"`
}

// Comparable is a like machine whose maker has already chosen a motor.
type Comparable struct {
	Of    string `json:"of" maxLength:"40" doc:"ID in the catalogue's comparable machines"`
	Power q.Text `json:"power" unit:"W|hp" doc:"Its motor, where you know it"`
}

// Replaced is the motor the machine had, through its own pulleys.
type Replaced struct {
	Power      q.Text         `json:"power" unit:"W|hp"`
	Speed      q.Text         `json:"speed" unit:"rpm"`
	Efficiency q.Text         `json:"keeps" unit:"%|%|" doc:"What its reduction kept; 95 % when empty"`
	Positions  []ReplacedPair `json:"positions" maxItems:"12" nullable:"false" doc:"Its belt positions; driven straight when empty"`
}

// ReplacedPair is one position of the old reduction, by pulley diameters or teeth.
type ReplacedPair struct {
	Driver q.Text `json:"driver" unit:"mm|in"`
	Driven q.Text `json:"driven" unit:"mm|in"`
}

// InertiaLoad is a mass to bring up to speed in a wished time.
type InertiaLoad struct {
	Parts    []Part `json:"parts" maxItems:"20" nullable:"false"`
	Within   q.Text `json:"within" unit:"s" doc:"Time from rest to the top of the band"`
	Friction q.Text `json:"friction" unit:"N·m|lbf·ft" doc:"Torque that keeps it turning"`
}

// Part is one rotating part.
type Part struct {
	Name     string `json:"name" maxLength:"60"`
	Shape    string `json:"shape" enum:"disc,ring,bar,load," doc:"disc or cylinder; ring or drum; bar turned about its middle; a mass carried at a radius"`
	Diameter q.Text `json:"diameter" unit:"mm|in" doc:"Outside; a bar's length; twice the radius a load is carried at"`
	Inside   q.Text `json:"inside" unit:"mm|in" doc:"Inside diameter of a ring"`
	Length   q.Text `json:"length" unit:"mm|in" doc:"Along the axis; a bar's thickness both ways is taken as small"`
	Mass     q.Text `json:"mass" unit:"kg|lb" doc:"As weighed; from size and material when empty"`
	Material string `json:"material" enum:"steel,iron,aluminium,brass,wood,water,concrete,"`
	Count    q.Text `json:"count" doc:"How many alike; 1 when empty"`
	Turns    q.Text `json:"turns" doc:"Its speed as a factor of the spindle's; 1 when empty"`
}

// StraightPull is a rope, chain, belt or wheel that pulls in a straight line.
type StraightPull struct {
	Force    q.Text `json:"force" unit:"N|lbf"`
	Diameter q.Text `json:"diameter" unit:"mm|in" doc:"Of the drum, sprocket or wheel"`
}

// Screw is a screw that pushes, such as a feed.
type Screw struct {
	Force      q.Text   `json:"force" unit:"N|lbf"`
	Lead       q.Text   `json:"lead" unit:"mm|in"`
	Efficiency q.Text   `json:"keeps" unit:"%|%|" doc:"Efficiency of the screw; 30 % for a plain thread when empty"`
	Feed       bool     `json:"feed" doc:"It feeds a tool or table beside a turning spindle"`
	Mains      []q.Text `json:"mains" unit:"rpm" maxItems:"12" nullable:"false" doc:"Speeds of that main spindle"`
	Geared     bool     `json:"geared" doc:"A geared box stays in mesh behind it"`
}

// Duty is how long at a time.
type Duty struct {
	Kind string `json:"kind" enum:"continuous,cycle,seconds," doc:"continuous; minutes on and off; or seconds, such as breaking away"`
	On   q.Text `json:"on" unit:"s" doc:"Time on in each cycle; bare numbers are seconds"`
	Off  q.Text `json:"off" unit:"s"`
}

// Whole returns the machine with empty lists in place of absent ones, as an open file or a
// fresh machine may leave them out.
// Older files call the only saw there was a saw; it was a hacksaw.
func (m Machine) Whole() Machine {
	if m.Kind == "saw" {
		m.Kind = "hacksaw"
	}
	jobs := make([]Job, len(m.Jobs))
	copy(jobs, m.Jobs)
	for i := range jobs {
		l := &jobs[i].Load
		l.Points = whole(l.Points)
		l.Scale.Running, l.Scale.Breakaway = whole(l.Scale.Running), whole(l.Scale.Breakaway)
		l.Replaced.Positions, l.Inertia.Parts, l.Screw.Mains = whole(l.Replaced.Positions), whole(l.Inertia.Parts),
			whole(l.Screw.Mains)
	}
	m.Jobs = tellApart(jobs)
	return m
}

// tellApart gives jobs without an ID of their own one, in a copy: what is said of each must be told from
// what is said of the others.
func tellApart(jobs []Job) []Job {
	apart := true
	for i := range jobs {
		named := func(j Job) bool { return j.ID == jobs[i].ID }
		apart = apart && jobs[i].ID != "" && !slices.ContainsFunc(jobs[:i], named)
	}
	if apart {
		return jobs
	}
	jobs = slices.Clone(jobs)
	seen := map[string]bool{}
	for i := range jobs {
		for n := i + 1; jobs[i].ID == "" || seen[jobs[i].ID]; n++ {
			jobs[i].ID = fmt.Sprintf("job-%d", n)
		}
		seen[jobs[i].ID] = true
	}
	return jobs
}

func whole[T any](list []T) []T {
	if list == nil {
		return []T{}
	}
	return list
}
