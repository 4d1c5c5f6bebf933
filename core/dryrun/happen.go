package dryrun

import (
	"math"

	"jiriki/core/script"
)

// Why is what keeps a control off.
type Why string

// What can put it off by itself.
const (
	NotTripped   Why = ""
	OverAmps     Why = "overload"    // the drive's amps for too long
	OverVolts    Why = "over-volts"  // what a fast stop gave back
	BreakerTrip  Why = "breaker"     // at the supply
	RelayTrip    Why = "relay"       // the overload relay
	LostStep     Why = "lost-step"   // a stepper no longer follows
	BatteryEmpty Why = "battery"     // what it is given to use is used
	WindingHot   Why = "winding-hot" // the protector in the winding opened
)

// happen does what the clock says: the end of a ramp, and the script's events.
func (r *run) happen(t float64) {
	changed := false
	do := func(what func()) {
		if !changed {
			copy(r.y, r.ode.State())
			r.catch(t)
		}
		what()
		changed = true
	}
	if t >= r.arrives-within {
		do(func() { r.arrive(t) })
	}
	for r.next < len(r.script.Events) && r.script.Events[r.next].At <= t+within {
		e := &r.script.Events[r.next]
		do(func() { r.event(t, e) })
		r.next++
	}
	if changed {
		r.goOn(t)
	}
}

// arrive ends a ramp.
func (r *run) arrive(t float64) {
	r.set, r.rate, r.arrives = r.target, 0, math.Inf(1)
	switch {
	case r.turnover:
		r.turnover, r.backwards = false, !r.backwards
		r.turnTo(t, r.wants)
	case r.ramping && r.Control.SetsHertz() && math.Abs(r.y[rotorSpeed]) > letsGo*r.full:
		// Its limit did not let it follow: the drive stretches the ramp, and lets go once it all but stands.
		r.stretched = true
	case r.ramping:
		r.ramping = false
		r.off(t)
	}
}

// event does one of the script's.
func (r *run) event(t float64, e *script.Timed) {
	r.log.event(t, e)
	switch e.Does {
	case script.On:
		r.tripped, r.wants = NotTripped, r.share(t, e)
		r.latched = true
		r.switchOn(t)
	case script.Knob:
		if r.wants = r.share(t, e); r.fed.On && !r.ramping {
			r.turnTo(t, r.wants)
		}
	case script.Cut:
		r.putOn(t, e)
	case script.Free:
		r.takeOff(e)
	case script.Jam:
		r.jam = e.Torque.Or(jamTimes * r.hardest())
		r.jamEntry = e.Entry
	case script.Fails:
		r.powerOn = false
		r.off(t) // the start button stays as it was
	case script.Returns:
		r.comeBack(t)
	case script.Reverse:
		r.reverse(t, e)
	case script.Ramp:
		r.latched = false
		r.rampDown(t, 1)
	case script.Coast:
		r.latched = false
		r.off(t)
	case script.Brake:
		r.latched = false
		r.brake(t)
	case script.Stop:
		r.latched = false
		r.off(t)
		r.fed.Brake = r.brakeOhms()
	}
}

// jamTimes is how many times the hardest job's torque a jam takes where nobody says [common practice].
const jamTimes = 3

// hardest is the most torque a job of the machine takes, N·m.
func (r *run) hardest() float64 {
	most := r.running
	for i := range r.Machine.Jobs {
		if job := &r.Machine.Jobs[i]; job.Missing == "" {
			most = max(most, job.TorqueAt(math.Sqrt(job.Low*job.High)))
		}
	}
	return most
}

// share is what the control is asked for by an event, 0 to 1.
func (r *run) share(t float64, e *script.Timed) float64 {
	share := e.Share.Or(1)
	if e.Speed.Known {
		share = r.Powered.SetFor(e.Speed.SI * r.turns)
	}
	if e.Hertz.Known {
		if of, ok := r.Powered.SetForHertz(e.Hertz.SI); ok {
			share = of
		}
	}
	if share > 1+1e-3 {
		r.log.outOfReach(t, e)
	}
	return min(max(share, 0), 1)
}

// switchOn powers the motor where there is power and nothing keeps it off.
func (r *run) switchOn(t float64) {
	if !r.powerOn || r.hot || r.tripped != NotTripped || r.fed.On {
		if r.fed.On {
			r.ramping, r.turnover, r.stretched = false, false, false
			r.turnTo(t, r.wants)
		}
		return
	}
	r.fed.On, r.fed.Brake = true, 0
	r.ramping, r.turnover, r.stretched = false, false, false
	// A drive catches what turns already.
	r.set = min(r.Powered.SetFor(max(r.y[rotorSpeed]*r.way(), 0)), 1)
	if r.stuck && !r.slipping {
		r.set = 0
	}
	r.turnTo(t, r.wants)
	r.log.add(t, Powered)
}

// turnTo ramps to what is asked for, or sets it at once where the control has no ramp.
func (r *run) turnTo(t, share float64) { r.turnWithin(t, share, r.ramp) }

func (r *run) turnWithin(t, share, ramp float64) {
	now := r.setAt(t)
	r.set, r.from, r.target = now, t, share
	if ramp == 0 || now == share {
		r.set, r.rate, r.arrives = share, 0, math.Inf(1)
		return
	}
	r.rate = math.Copysign(1/ramp, share-now)
	r.arrives = t + math.Abs(share-now)*ramp
}

// rampDown stops by the ramp, faster by some times, where the control has one.
func (r *run) rampDown(t, faster float64) {
	if r.ramp == 0 || !r.fed.On {
		r.off(t)
		return
	}
	r.ramping, r.turnover, r.stretched = true, false, false
	if r.turnWithin(t, 0, r.ramp/faster); math.IsInf(r.arrives, 1) {
		r.arrive(t)
	}
}

// brakeFaster is how many times as fast as by its ramp a drive stops that is asked to brake [common practice].
const brakeFaster = 5

// brake stops as fast as the control can: a drive by a short ramp, a DC armature on its resistor.
func (r *run) brake(t float64) {
	if ohms := r.brakeOhms(); ohms > 0 || !r.Control.SetsHertz() {
		r.off(t)
		r.fed.Brake = ohms
		return
	}
	r.rampDown(t, brakeFaster)
}

// brakeOhms are across a DC armature that is braked; 0 where there is no such resistor.
func (r *run) brakeOhms() float64 {
	if !r.Control.DCDrive() {
		return 0
	}
	return r.Control.BrakeOhms
}

// off lets the motor go.
func (r *run) off(t float64) {
	if r.fed.On {
		r.fed.On = false
		r.log.add(t, Unpowered)
	}
	r.set, r.rate, r.arrives, r.ramping, r.turnover = 0, 0, math.Inf(1), false, false
	r.stretched = false
}

// comeBack is the power back at the socket: what was on starts by itself, unless something keeps it off.
func (r *run) comeBack(t float64) {
	r.powerOn = true
	if r.latched && !r.staysOff {
		r.switchOn(t)
		r.log.add(t, StartsItself)
	}
	if r.staysOff {
		r.latched = false
	}
}

// trip puts the motor off until it is switched on again.
func (r *run) trip(t float64, why Why) {
	r.tripped = why
	r.log.trips(t, why)
	r.off(t)
}

// opens is the protector in the winding, which lets the motor go until it is cooler or somebody resets it.
func (r *run) opens(t float64) {
	r.hot = true
	r.log.trips(t, WindingHot)
	r.off(t)
}

// closes is a protector that resets by itself: what is still switched on starts.
func (r *run) closes(t float64) {
	r.hot = false
	if r.latched && r.powerOn {
		r.switchOn(t)
		r.log.add(t, StartsItself)
	}
}

// reverse asks for the other way round.
func (r *run) reverse(t float64, e *script.Timed) {
	r.wants = r.share(t, e)
	switch {
	case r.Control.Reverse == "none":
		r.log.add(t, NoReverse)
	case r.single && !r.starts && r.fed.On:
		r.log.add(t, KeepsTurning) // its start winding is out: it runs on as it was
	case r.Control.Reverse == "drive" && r.fed.On && r.ramp > 0:
		r.turnover, r.ramping = true, false
		if r.turnWithin(t, 0, r.ramp); math.IsInf(r.arrives, 1) {
			r.arrive(t)
		}
	default:
		r.backwards = !r.backwards
		r.log.add(t, Plugged)
		if r.fed.On {
			r.set = 0
			r.turnTo(t, r.wants)
		}
	}
}

// putOn brings a cut on.
func (r *run) putOn(t float64, e *script.Timed) {
	r.jobEntry, r.torque = e.Entry, e.Torque.Or(0)
	r.job, r.biting = nil, false
	if e.Job < 0 {
		r.jam, r.jamEntry, r.jobEntry, r.torque = r.torque, e.Entry, -1, 0
		return
	}
	job := &r.Machine.Jobs[e.Job]
	if job.Missing != "" {
		return
	}
	r.job, r.onSince = job, t
	if b := &job.Bites; b.Ratio > 0 {
		turning := math.Abs(r.y[spindleSpeed])
		r.biting = turning > 0 && turning/b.Apart <= felt
		r.y[angle] = b.Apart / 2
	}
}

// takeOff ends what is on: all of it, or what one entry brought.
func (r *run) takeOff(e *script.Timed) {
	if !e.Ended || e.Entry == r.jobEntry {
		r.job, r.torque, r.biting, r.jobEntry = nil, 0, false, -1
	}
	if !e.Ended || e.Entry == r.jamEntry {
		r.jam, r.jamEntry = 0, -1
	}
}
