// Package work is what the machine must do: its limits and its jobs, each with a speed band,
// a torque found by some method, how long at a time and how much margin is wanted.
package work

import q "jiriki/core/quantity"

// Machine is the thing being retrofitted, as described by its owner.
type Machine struct {
	Name   string `json:"name" maxLength:"120" doc:"What its owner calls it"`
	Kind   string `json:"kind" enum:"potters-wheel,lathe,drill,mill,grinder,saw,crusher,extractor,other," doc:"What sort of machine; chooses the drawing at the end of the line and the words for its spindle"`
	Notes  string `json:"notes" maxLength:"4000"`
	Limits Limits `json:"limits"`
	Jobs   []Job  `json:"jobs" maxItems:"40" nullable:"false"`
}

// Limits cap the spindle whatever the motor can do.
type Limits struct {
	Spindle       q.Text `json:"spindle" doc:"Fastest the spindle or its bearings may turn"`
	Marked        q.Text `json:"marked" doc:"Speed marked on the wheel, chuck or disc"`
	Diameter      q.Text `json:"diameter" doc:"Largest diameter that turns: wheel head, drum, chuck"`
	ScrewedOn     bool   `json:"screwedOn" doc:"Chuck, wheel or pulley held by a thread that reversing would undo"`
	NeedsReversed bool   `json:"needsReversed" doc:"The machine must run both ways"`
}

// Job is one thing the machine must do.
type Job struct {
	ID     string    `json:"id" maxLength:"40" doc:"Stable within the machine"`
	Name   string    `json:"name" maxLength:"120"`
	Speed  SpeedBand `json:"speed"`
	Load   Load      `json:"load"`
	Duty   Duty      `json:"duty"`
	Margin q.Text    `json:"margin" doc:"Wanted margin; by method when empty"`
	Reason string    `json:"reason" maxLength:"300" doc:"Why the margin was changed"`
}

// SpeedBand is how fast the spindle must turn.
type SpeedBand struct {
	By           string `json:"by" enum:"rpm,surface," doc:"Given at the spindle, or from surface speed and diameters"`
	From         q.Text `json:"from"`
	To           q.Text `json:"to"`
	Surface      q.Text `json:"surface" doc:"Surface speed, such as 30 m/min"`
	DiameterFrom q.Text `json:"diameterFrom" doc:"Smallest diameter worked"`
	DiameterTo   q.Text `json:"diameterTo" doc:"Largest diameter worked"`
	Cover        string `json:"cover" enum:"all,any," doc:"all: every speed in the band is wanted; any: one speed somewhere in it will do"`
}

// Load is the torque or power over the band and how it was found.
type Load struct {
	By     string    `json:"by" enum:"torque,power,scale," doc:"Stated torque, stated power, or weighed with a spring scale"`
	Torque q.Text    `json:"torque"`
	Power  q.Text    `json:"power" doc:"Power at the spindle"`
	Scale  ScalePull `json:"scale"`
	Shape  string    `json:"shape" enum:"torque,power,square," doc:"Over the band: same torque, same power, or torque with speed squared"`
	From   string    `json:"from" enum:"stated,measured,comparable," doc:"Where a stated figure comes from; sets the usual margin"`
}

// ScalePull is a weighing with a spring scale.
type ScalePull struct {
	Radius    q.Text   `json:"radius" doc:"Where the scale was hooked, from the axis"`
	Angle     q.Text   `json:"angle" doc:"Between pull and radius; 90° when empty"`
	Running   []q.Text `json:"running" maxItems:"20" nullable:"false" doc:"Pulls that keep it moving under the job"`
	Breakaway []q.Text `json:"breakaway" maxItems:"20" nullable:"false" doc:"Pulls that just start it"`
	Own       q.Text   `json:"own" doc:"The scale's own weight when it hangs in the pull"`
}

// Duty is how long at a time.
type Duty struct {
	Kind string `json:"kind" enum:"continuous,cycle,seconds," doc:"continuous; minutes on and off; or seconds, such as breaking away"`
	On   q.Text `json:"on" doc:"Time on in each cycle; bare numbers are seconds"`
	Off  q.Text `json:"off"`
}

// Whole returns the machine with empty lists in place of absent ones, as an open file or a
// fresh machine may leave them out.
func (m Machine) Whole() Machine {
	jobs := make([]Job, len(m.Jobs))
	copy(jobs, m.Jobs)
	for i := range jobs {
		jobs[i].Load.Scale.Running = whole(jobs[i].Load.Scale.Running)
		jobs[i].Load.Scale.Breakaway = whole(jobs[i].Load.Scale.Breakaway)
	}
	m.Jobs = jobs
	return m
}

func whole(pulls []q.Text) []q.Text {
	if pulls == nil {
		return []q.Text{}
	}
	return pulls
}
