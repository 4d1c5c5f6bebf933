package script

import (
	"fmt"
	"math"
	"slices"
	"strings"

	q "jiriki/core/quantity"
	"jiriki/core/work"
)

// Bounds of a script: longer is a working day, and more events are a mistake.
const (
	MaxEvents  = 60
	MaxSeconds = 600
)

// Resolved is a script ready to be run, its events in order of time. SI; what is not Known was not said.
type Resolved struct {
	Events                 []Timed
	Position               string
	Inertia, Friction      q.Value
	Sticks                 q.Value
	Coasts                 Drag
	Volts, Air, Warm, Ends q.Value
}

// Drag is a torque at the spindle that holds back what coasts, by its speed. SI.
type Drag struct {
	Known           bool
	Dry, Grows, Air float64 // N·m, N·m·s, N·m·s²
}

// At is the drag at a spindle speed (rad/s), N·m.
func (d *Drag) At(omega float64) float64 {
	omega = math.Abs(omega)
	return d.Dry + (d.Grows+d.Air*omega)*omega
}

func (d *Coasted) resolve(r *q.Reader) Drag {
	if d == nil {
		return Drag{}
	}
	torques := q.Range{Min: 0, Max: 1e5}
	dry, grows := r.Read("dry", d.Dry, q.Torque, torques), r.Read("grows", d.Grows, q.Torque, torques)
	air, at := r.Read("air", d.Air, q.Torque, torques), r.Read("at", d.At, q.Speed, q.Range{Min: 1e-3, Max: 1e4})
	if !dry.Known || (grows.Known || air.Known) && !at.Known {
		return Drag{}
	}
	per := 0.0
	if at.Known {
		per = 1 / at.SI
	}
	return Drag{Known: true, Dry: dry.SI, Grows: grows.SI * per, Air: air.SI * per * per}
}

// Timed is an event at its time.
type Timed struct {
	At     float64 // s
	Does   Does
	Name   string
	Entry  int     // which of the described events it comes from
	Job    int     // of the machine, for a cut; -1 for none
	Speed  q.Value // rad/s at the spindle
	Hertz  q.Value
	Share  q.Value // of full speed
	Torque q.Value // N·m at the spindle
	Ended  bool    // it is the end of an entry that lasts so long
}

// Resolve reads a described script for a machine, refusing on r what cannot be used. A script without events is an
// empty one: the usual is put in its place before.
func Resolve(d Described, m *work.Resolved, r *q.Reader) Resolved {
	celsius := q.Range{Min: 233.15, Max: 493.15}
	s := Resolved{
		Position: d.Position,
		Inertia:  r.Read("inertia", d.Inertia, q.Inertia, q.Range{Min: 1e-7, Max: 1e4}),
		Friction: r.Read("friction", d.Friction, q.Torque, q.Range{Min: 0, Max: 1e5}),
		Sticks:   r.Read("sticks", d.Sticks, q.Torque, q.Range{Min: 0, Max: 1e5}),
		Coasts:   d.Coasted.resolve(r.Under("coasted")),
		Volts:    r.Read("volts", d.Volts, q.Voltage, q.Range{Min: 3, Max: 1000}),
		Air:      r.Read("air", d.Air, q.Temperature, q.Range{Min: 233.15, Max: 343.15}),
		Warm:     r.Read("warm", d.Warm, q.Temperature, celsius),
		Ends:     r.Read("lasts", d.Lasts, q.Duration, q.Range{Min: 0.1, Max: MaxSeconds}),
	}
	if len(d.Events) > MaxEvents {
		r.Refuse("events", fmt.Sprint(len(d.Events)), fmt.Sprintf("at most %d can be run", MaxEvents))
		return s
	}
	for i, e := range d.Events {
		s.add(e, i, m, r.At("events", i))
	}
	slices.SortStableFunc(s.Events, func(a, b Timed) int {
		switch {
		case a.At < b.At || a.At == b.At && a.Ended && !b.Ended:
			return -1
		case a.At > b.At || b.Ended && !a.Ended:
			return 1
		}
		return 0
	})
	return s
}

// add reads one event, and the end it brings with it.
func (s *Resolved) add(e Event, entry int, m *work.Resolved, r *q.Reader) {
	times := q.Range{Min: 0, Max: MaxSeconds}
	at, lasts := r.Read("at", e.At, q.Duration, times), r.Read("lasts", e.Lasts, q.Duration, times)
	does := Does(r.Choice("does", string(e.Does), "", "on", "knob", "cut", "free", "jam", "fails", "returns", "reverse",
		"ramp", "coast", "brake", "stop"))
	t := Timed{At: at.SI, Does: does, Name: e.Name, Entry: entry, Job: -1}
	ends := Does("")
	switch does {
	case On, Knob, Reverse:
		t.readSpeed(e.Speed, r)
	case Cut, Jam:
		t.Torque = r.Read("torque", e.Torque, q.Torque, q.Range{Min: 1e-4, Max: 1e5})
		ends = Free
		if does == Cut && e.Job != "" {
			if t.Job = slices.IndexFunc(m.Jobs, func(n work.Need) bool { return n.ID == e.Job }); t.Job < 0 {
				r.Refuse("job", e.Job, "the machine has no such job any more; choose another")
				return
			}
		}
	case Fails:
		ends = Returns
	case "":
		return // a row that is still empty
	}
	if !at.Known {
		if !e.At.Known() {
			r.Refuse("at", "", "put in when it happens, such as 6 s")
		}
		return
	}
	s.Events = append(s.Events, t)
	if lasts.Known && ends != "" {
		s.Events = append(s.Events, Timed{At: t.At + lasts.SI, Does: ends, Entry: entry, Job: t.Job, Ended: true})
	}
}

// readSpeed reads how fast an event asks to turn: at the spindle, in hertz, or as a part of full speed.
func (t *Timed) readSpeed(written q.Text, r *q.Reader) {
	text := q.Text(strings.TrimSpace(string(written)))
	if !text.Known() {
		t.Share = q.Value{SI: 1, Known: true}
		return
	}
	switch unit := strings.ToLower(string(text)); {
	case strings.HasSuffix(unit, "hz"):
		t.Hertz = r.Read("speed", text, q.Frequency, q.Range{Min: 0.1, Max: 600})
	case strings.HasSuffix(unit, "%"):
		t.Share = r.Read("speed", text, q.Number, q.Range{Min: 0, Max: 1})
	default:
		t.Speed = r.Read("speed", text, q.Speed, q.Range{Min: 0, Max: 1e5 * q.RPM})
	}
}

// Last is when the last of its events happens, s.
func (s *Resolved) Last() float64 {
	last := 0.0
	for _, e := range s.Events {
		last = math.Max(last, e.At)
	}
	return last
}
