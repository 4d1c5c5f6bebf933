package script

import (
	"fmt"
	"math"

	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// ending is how a machine of a kind is usually stopped, and trouble what goes wrong on its bad day [common practice].
type habit struct {
	trouble Does
	says    string  // what the trouble is called
	times   float64 // a jam's torque over the hardest job's
	seconds float64 // how long it lasts
	ends    Does
}

// habits by kind of machine; what is not here has the first.
var habits = map[string]habit{
	"":              {Jam, "A jam", 3, 2, Ramp},
	"lathe":         {Jam, "A tool that digs in", 3, 1, Ramp},
	"wood-lathe":    {Jam, "A gouge that catches", 3, 1, Ramp},
	"mill":          {Jam, "A cutter that grabs", 3, 1, Ramp},
	"drill":         {Jam, "A drill that catches as it breaks through", 2.5, 1, Ramp},
	"bandsaw":       {Jam, "A pinched blade", 2.5, 2, Coast},
	"hacksaw":       {Fails, "Power fails in the cut", 0, 3, Coast},
	"belt-sander":   {Jam, "Work pressed on hard", 2, 3, Coast},
	"disc-sander":   {Jam, "Work pressed on hard", 2, 3, Coast},
	"grinder":       {Fails, "Power fails", 0, 3, Coast},
	"shaper":        {Jam, "A tool that digs in", 2.5, 2, Ramp},
	"potters-wheel": {Jam, "Leaning in hard", 1.6, 6, Ramp},
	"mixer":         {Fails, "Power fails with the bowl full", 0, 4, Coast},
	"crusher":       {Jam, "A wedged stone", 1.4, 3, Ramp},
	"extractor":     {"", "", 0, 0, Ramp},
	"conveyor":      {Jam, "Something wedged", 3, 3, Ramp},
	"feed":          {Jam, "A carriage run into a stop", 3, 3, Ramp},
	"fan":           {Fails, "Power fails", 0, 5, Coast},
	"indexer":       {Jam, "A stop it runs against", 3, 1, Ramp},
}

// How a usual script is laid out, s.
const (
	firstCut  = 6.0
	cutLasts  = 5.0
	breather  = 2.0
	changes   = 4.0 // for another speed to be there
	mostCuts  = 3
	afterLast = 2.0
)

// Usual is the script such a machine usually brings: switched on, its jobs come on one after the other, one thing goes
// wrong, and it is stopped. fixed tells that nothing sets its speed. It is written in one system of units, as a person
// would type it.
func Usual(m *work.Resolved, fixed bool, sys q.System) Described {
	h, ok := habits[m.Kind]
	if !ok {
		h = habits[""]
	}
	rpm := func(omega float64) q.Text {
		if fixed {
			return ""
		}
		return q.Written(omega/q.RPM, "rpm")
	}
	seconds := func(at float64) q.Text { return q.Written(at, "s") }
	d := Described{Events: []Event{}}
	add := func(at float64, does Does, name string) *Event {
		d.Events = append(d.Events, Event{At: seconds(at), Does: does, Name: name})
		return &d.Events[len(d.Events)-1]
	}
	at, turns, hardest := firstCut, 0.0, 0.0
	add(0, On, "")
	for i := range m.Jobs {
		job := &m.Jobs[i]
		if job.Missing != "" || len(d.Events) > 2*mostCuts {
			continue
		}
		switch good := goodSpeed(job); {
		case turns == 0:
			turns = good
			d.Events[0].Speed = rpm(good)
		case !fixed && (turns < job.Low || turns > job.High):
			turns = good
			add(at, Knob, "").Speed = rpm(good)
			at += changes
		}
		hardest = max(hardest, job.TorqueAt(goodSpeed(job)))
		if job.Method == work.ByInertia {
			continue // bringing it up to speed is the job
		}
		cut := add(at, Cut, "")
		cut.Job, cut.Lasts = job.ID, seconds(cutLasts)
		at += cutLasts + breather
	}
	if h.trouble != "" && hardest > 0 {
		e := add(at, h.trouble, h.says)
		e.Lasts = seconds(h.seconds)
		if h.trouble == Jam {
			e.Torque = q.WrittenTorque(h.times*hardest, sys)
		}
		at += h.seconds + breather
	}
	if len(d.Events) == 1 {
		at += afterLast
	}
	add(at, h.ends, "")
	return d
}

// Ends is how such a machine is usually stopped.
func Ends(m *work.Resolved) Does {
	if h, ok := habits[m.Kind]; ok {
		return h.ends
	}
	return habits[""].ends
}

// goodSpeed is where in its band a job is tried: the middle, as ears and knobs go.
func goodSpeed(job *work.Need) float64 {
	if job.Method == work.ByInertia {
		return job.High
	}
	return math.Sqrt(job.Low * job.High)
}

// Says is what an event is called where the person gave it no name.
func (e *Timed) Says(m *work.Resolved) string {
	if e.Name != "" && !e.Ended {
		return e.Name
	}
	if e.Does == Cut && e.Job >= 0 {
		return m.Jobs[e.Job].Name
	}
	for _, h := range happenings {
		if h.Does == e.Does {
			return h.Name
		}
	}
	return fmt.Sprint(e.Does)
}
