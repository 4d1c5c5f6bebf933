package dryrun

import (
	"math"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// Results is what a run comes to. Zero is what did not happen, or is not known.
type Results struct {
	Lasts        float64 `json:"lasts" doc:"Seconds the whole run took"`
	Started      bool    `json:"started" doc:"It turned at all"`
	ToSpeed      float64 `json:"toSpeed" doc:"Seconds from switching on to 97 % of the speed it then comes to"`
	NotUp        bool    `json:"notUp" doc:"It was still gaining speed when a load came on, or it was set otherwise or stopped"`
	MostAmps     float64 `json:"mostAmps" doc:"Of the motor"`
	MostAmpsAt   float64 `json:"mostAmpsAt" doc:"Seconds from the start"`
	AtLimit      float64 `json:"atLimit" doc:"Seconds its current was held by a limit or a rating"`
	Cuts         []Cut   `json:"cuts" nullable:"false"`
	StartWinding float64 `json:"startWinding" doc:"Seconds the start winding was in at a time, the longest"`
	Stop         float64 `json:"stop" doc:"Seconds from the last stop asked for to standing still; 0 while it still turns at the end"`
	StillTurns   bool    `json:"stillTurns" doc:"It still turns at the end of the run"`
	BrakeJoules  float64 `json:"brakeJoules" doc:"Into the brake resistor"`
	GivenBack    float64 `json:"givenBack" doc:"Joules the drive's capacitors held at the most, over what they hold at rest"`
	MostWinding  float64 `json:"mostWinding" doc:"°C"`
	EndWinding   float64 `json:"endWinding" doc:"°C"`
	EndCase      float64 `json:"endCase" doc:"°C"`
	BatteryLeft  float64 `json:"batteryLeft" doc:"Share of what a battery may be asked for; 1 without a battery"`
	Energy       float64 `json:"energy" doc:"Joules from the supply"`
	Bears        float64 `json:"bears" doc:"Most torque over what belts, teeth, shafts and keys bear for some seconds"`

	open    float64 // share by which the energy does not close
	slipped float64 // s a belt or clutch slipped
	braking float64 // N·m at the spindle the motor braked with at the most
	held    motor.Limit
}

// Cut is how one load came out.
type Cut struct {
	Entry   int     `json:"entry" doc:"Which of the script's events"`
	Name    string  `json:"name"`
	Job     string  `json:"job" doc:"ID of the job, if it is one's"`
	From    float64 `json:"from" doc:"Seconds"`
	To      float64 `json:"to" doc:"Seconds"`
	Before  float64 `json:"before" doc:"Spindle rpm before it came on"`
	Least   float64 `json:"least" doc:"Spindle rpm at the least while it was on"`
	Holds   float64 `json:"holds" doc:"Spindle rpm as it ended"`
	Sag     float64 `json:"sag" doc:"Share of the speed before that is gone as it ends"`
	Stalls  float64 `json:"stalls" doc:"Seconds at which it stood; 0 where it went on turning"`
	AtLimit float64 `json:"atLimit" doc:"Seconds held by a limit of current"`
	Amps    float64 `json:"amps" doc:"The most while it was on"`
	Torque  float64 `json:"torque" doc:"N·m at the spindle, as it came on"`
	Slips   float64 `json:"slips" doc:"Seconds belt or clutch slipped"`
	Unknown bool    `json:"unknown" doc:"What it takes is not known, and nothing came on"`
	Off     bool    `json:"off" doc:"The motor was off before it ended"`

	by  motor.Limit
	job int
}

// resultsOf reads a run.
func resultsOf(r *run) Results {
	rows := r.log.rows
	last := &rows[len(rows)-1]
	out := Results{Lasts: last.t, Cuts: []Cut{}, EndWinding: last.winding, EndCase: last.casing, BatteryLeft: 1,
		Energy: r.y[drained], BrakeJoules: r.y[braked] + r.y[burnt], StillTurns: math.Abs(last.spindle) > 0}
	if r.battery > 0 {
		out.BatteryLeft = 1 - r.y[drained]/r.battery
	}
	for i := range rows {
		one := &rows[i]
		lasts := 0.0
		if i+1 < len(rows) {
			lasts = rows[i+1].t - one.t
		}
		if amps := math.Abs(one.amps); amps > out.MostAmps {
			out.MostAmps, out.MostAmpsAt = amps, one.t
		}
		if heldByAmps(one.by) {
			out.AtLimit += lasts
			out.held = one.by
		}
		if one.slips && one.on {
			out.slipped += lasts
		}
		out.MostWinding = max(out.MostWinding, one.winding)
		out.Bears = max(out.Bears, one.bears)
		if one.on && one.torque*one.rotor < 0 {
			out.braking = max(out.braking, math.Abs(one.torque)*r.turns/r.keeps)
		}
		out.GivenBack = max(out.GivenBack, one.bus)
		out.Started = out.Started || !one.stuck
	}
	out.ToSpeed, out.NotUp = r.toSpeed()
	out.StartWinding = r.startWinding()
	out.Stop = r.stopTook()
	for i := range r.script.Events {
		if e := &r.script.Events[i]; !e.Ended && (e.Does == script.Cut || e.Does == script.Jam) {
			out.Cuts = append(out.Cuts, r.cutOf(e))
		}
	}
	out.open = r.open()
	return out
}

// heldByAmps reports whether a limit is one of current.
func heldByAmps(by motor.Limit) bool { return by == motor.CurrentLimit || by == motor.DriveAmps }

// open is how far the energy that went in is from where it went, a share of all that moved.
func (r *run) open() float64 {
	y := r.y
	lost := y[spent]
	// Less than a hundredth of a second of rated power is nothing to weigh by.
	moved := lost + r.turning(y) + math.Abs(r.loses) + 0.01*r.Motor.Power.Value
	stored := r.turning(y)
	if !r.settled {
		stored += r.Motor.DC.Henries * y[current] * y[current] / 2
	}
	return math.Abs(y[entered]-stored-lost-r.loses) / moved
}

// nearly is the share of its speed at which it counts as up to it.
const nearly = 0.97

// How far back it is looked whether a speed still grows, s, and by how much in that time it then does.
const (
	gainsOver = 0.5
	gainsBy   = 0.01
)

// toSpeed is how long the first start took, s, to the speed it comes to before it is loaded, set otherwise or put off.
// still tells that it was gaining speed when that happened; then there is no time.
func (r *run) toSpeed() (took float64, still bool) {
	from, until, _ := r.firstStart()
	if from < 0 {
		return 0, false
	}
	rows := r.log.rows
	last := -1
	for i := range rows {
		if one := &rows[i]; one.t >= from && one.t <= until && one.on {
			last = i
		}
	}
	if last < 0 || rows[last].spindle == 0 {
		return 0, false
	}
	kept := math.Abs(rows[last].spindle)
	for i := last; i >= 0 && rows[i].t >= from; i-- {
		if back := rows[last].t - rows[i].t; back >= gainsOver || rows[i].t <= from {
			still = 1-math.Abs(rows[i].spindle)/kept > gainsBy
			break
		}
	}
	if still {
		return 0, true
	}
	for i := range rows {
		one := &rows[i]
		if one.t < from || math.Abs(one.spindle) < nearly*kept {
			continue
		}
		// Between the last row that was slower and this one speed goes about evenly.
		took := one.t - from
		if i > 0 && rows[i-1].t >= from {
			before, now := math.Abs(rows[i-1].spindle), math.Abs(one.spindle)
			took -= (one.t - rows[i-1].t) * (now - nearly*kept) / (now - before)
		}
		return took, false
	}
	return 0, false
}

// firstStart is from when the motor first has power until something comes on, sets it otherwise or puts it off, s, and
// what that was; from is under 0 where it never has power.
func (r *run) firstStart() (from, until float64, by *script.Timed) {
	from, until = -1.0, math.Inf(1)
	for _, e := range r.log.events {
		switch {
		case e.what == Powered && from < 0:
			from = e.t
		case from >= 0 && e.t > from && e.t < until && (e.what == Asked || e.what == Unpowered):
			until, by = e.t, e.e
		}
	}
	return from, until, by
}

// startWinding is how long the start winding had power at a time, at the most, s; 0 where nothing takes it out.
func (r *run) startWinding() (longest float64) {
	if !r.single {
		return 0
	}
	since := math.Inf(1)
	for i := range r.log.rows {
		one := &r.log.rows[i]
		if !one.on || !one.starts {
			since = math.Inf(1)
			continue
		}
		since = min(since, one.t)
		longest = max(longest, one.t-since)
	}
	return longest
}

// stops are the events that ask it to stop.
func stops(d script.Does) bool {
	return d == script.Ramp || d == script.Coast || d == script.Brake || d == script.Stop
}

// askedToStop reports whether the script asks it to stop.
func (r *run) askedToStop() bool {
	for _, e := range r.script.Events {
		if stops(e.Does) {
			return true
		}
	}
	return false
}

// stopTook is how long the last stop took, s; 0 where it did not come to rest or none was asked for.
func (r *run) stopTook() float64 {
	asked := math.Inf(1)
	for _, e := range r.script.Events {
		if stops(e.Does) {
			asked = e.At
		}
	}
	for _, e := range r.log.events {
		if e.what == Stands && e.t >= asked {
			return e.t - asked
		}
	}
	return 0
}

// cutOf is how one load came out.
func (r *run) cutOf(e *script.Timed) Cut {
	c := Cut{Entry: e.Entry, Name: e.Says(&r.Machine), From: e.At, To: e.At, job: e.Job, Torque: e.Torque.Or(0)}
	if e.Job >= 0 {
		c.Job, c.Unknown = r.Machine.Jobs[e.Job].ID, r.Machine.Jobs[e.Job].Missing != ""
	}
	least, turned := math.Inf(1), false
	for i := range r.log.rows {
		one := &r.log.rows[i]
		omega := math.Abs(one.spindle)
		if one.t <= e.At && one.entry != e.Entry {
			c.Before = omega
			continue
		}
		if one.entry != e.Entry || one.t < e.At {
			continue
		}
		lasts := 0.0
		if i+1 < len(r.log.rows) {
			lasts = r.log.rows[i+1].t - one.t
		}
		turned = turned || omega > 0
		if one.on && one.stuck && c.Stalls == 0 {
			c.Stalls = one.t
		}
		if heldByAmps(one.by) {
			c.AtLimit, c.by = c.AtLimit+lasts, one.by
		} else if one.by != "" && c.by == "" {
			c.by = one.by
		}
		if one.slips {
			c.Slips += lasts
		}
		c.Amps = max(c.Amps, math.Abs(one.amps))
		least, c.Holds, c.To, c.Off = min(least, omega), omega, one.t, !one.on
	}
	if !math.IsInf(least, 1) {
		c.Least = least
	}
	if c.Before > 0 && !c.Off {
		c.Sag = max(1-c.Holds/c.Before, 0)
	}
	for _, v := range []*float64{&c.Before, &c.Least, &c.Holds} {
		*v /= q.RPM
	}
	if c.Torque == 0 && e.Job >= 0 && r.Machine.Jobs[e.Job].Missing == "" {
		job := &r.Machine.Jobs[e.Job]
		c.Torque = job.TorqueAt(max(c.Before*q.RPM, job.Low))
	}
	return c
}
