package practice

import (
	"fmt"
	"math"
	"slices"
	"strings"

	q "jiriki/core/quantity"
)

// knobTurned is a drive's knob that may be wired in several ways.
func knobTurned(w *world) {
	kind := []string{"sound", "backwards", "open", "dead"}[w.IntN(4)]
	track, top := []float64{5000, 10000}[w.IntN(2)], math.Round(w.between(180, 420))
	w.task = fmt.Sprintf("A drive somebody else wired. Its knob has three leads; full speed should be %s with the "+
		"knob right up. Find out how "+
		"the knob is, without a surprise.", w.show(top*q.RPM, q.Speed))
	w.acts = []Act{
		{ID: "ohms", Name: "Unplugged, knob off the drive: ohms from wiper to low end",
			Ask: "with the knob at, of 10", Unit: "", Minutes: 2},
		{ID: "run", Name: "Switch on", Ask: "with the knob at, of 10", Unit: "", Minutes: 1,
			Danger: "if it is wired wrongly it starts at full speed"},
		{ID: "run-bare", Name: "Switch on, belt off, stop in hand", Ask: "with the knob at, of 10", Unit: "",
			Minutes: 3},
	}
	share := func(mark float64) float64 {
		x := min(max(mark/10, 0), 1)
		switch kind {
		case "backwards":
			return 1 - x
		case "open":
			return 1
		case "dead":
			return max(0, (x-0.28)/0.72)
		}
		return x
	}
	w.do = func(act string, mark float64) Came {
		x := min(max(mark/10, 0), 1)
		if act == "ohms" {
			switch kind {
			case "open":
				return Came{Shows: "open"}
			case "backwards":
				x = 1 - x
			}
			return Came{Shows: w.show(w.noisy(max(track*x, 3), 0.01), q.Resistance)}
		}
		came := Came{Shows: w.show(w.noisy(top*share(mark)*q.RPM, 0.01), q.Speed)}
		if act == "run" && share(mark) > 0.5 && x < 0.3 {
			came.Hurt = "full speed at a knob near nothing, belt on: nobody had tried the knob unplugged"
		}
		return came
	}
	w.blanks = []Blank{choose("knob", "The knob", "sound", "is sound", "backwards", "is wired backwards", "open",
		"has an open low end",
		"dead", "is right, and the low trim leaves a dead band")}
	w.truth = map[string]truth{"knob": {choice: kind}}
	w.best = 7
	w.bestWay = "Unplugged, ohms from wiper to the low end with the knob at nothing and right up: that tells " +
		"backwards and open. Then with the " +
		"belt off at mark 2: standing there is a dead band."
}

// order is the steps of a first power-up, to be taken in their order.
func order(w *world) {
	type step struct{ id, name, after string }
	steps := []step{
		{"unplug", "Plug out, wait, measure that nothing is left", ""}, {"clamp", "Clamp the motor down, belt " +
			"off, guard ready", "unplug"},
		{"earth", "Ohms from the plug's earth pin to the frame", "unplug"}, {"insulation",
			"Insulation, motor leads to the frame", "unplug"},
		{"knob", "Knob at nothing, trims at their lowest", "unplug"}, {"lamp", "Lamp in series, supply on, drive " +
			"not enabled", "clamp earth insulation knob"},
		{"slow", "Enabled, knob up a little: which way it turns", "lamp"}, {"full", "Right up, free: speed and amps",
			"slow"},
		{"stop", "Stop, from full speed", "full"}, {"release", "Plug out while it runs, and in again: it must " +
			"stay still", "stop"},
		{"belt", "Plug out, belt on, guard shut, slowly", "release"},
	}
	done := map[string]bool{}
	w.task = "A drive and motor wired for the first time. Take the steps in an order that hurts nobody. Nothing " +
		"is answered but the order."
	for _, i := range w.Perm(len(steps)) {
		w.acts = append(w.acts, Act{ID: steps[i].id, Name: steps[i].name, Minutes: 3})
	}
	hurts := map[string]string{"lamp": "live, before it was looked at dead", "slow": "turned before it was known " +
		"what is live",
		"full": "run up before it was tried slowly", "belt": "belted before it was tried bare and could be stopped",
		"stop": "nothing runs yet", "release": "not tried to stop first", "clamp": "hands in it with the plug in",
		"earth": "hands in it with the plug in", "insulation": "a tester on what may still be live",
		"knob": "hands in it with the plug in"}
	w.do = func(act string, _ float64) Came {
		i := slices.IndexFunc(steps, func(s step) bool { return s.id == act })
		came := Came{Shows: "as it should be"}
		for _, before := range strings.Fields(steps[i].after) {
			if !done[before] {
				came.Hurt = hurts[act]
			}
		}
		done[act] = true
		return came
	}
	w.blanks = []Blank{choose("ready", "It may go to work", "yes", "yes, every step was taken", "no", "no, not yet")}
	w.truth = map[string]truth{"ready": {choice: "yes"}}
	w.best = 33
	w.bestWay = "Dead first: plug out, clamped, earth, insulation, knob at nothing. Then live through a lamp, not " +
		"enabled; slow; full, free; stop; " +
		"power out and back; the belt last."
}

// fuseChoice is a fuse to be chosen for a motor.
func fuseChoice(w *world) {
	plate := math.Round(10*w.between(1.8, 9)) / 10
	sizes := []float64{2, 3.15, 4, 5, 6.3, 8, 10, 12.5, 16, 20, 25}
	least, most := 1.25*plate, 1.75*plate
	right := ""
	blank := Blank{ID: "fuse", Label: "Time-delay fuse"}
	for _, a := range sizes {
		id := q.Figures(a, 4)
		blank.Choices = append(blank.Choices, Choice{id, id + q.ThinSpace + "A"})
		if right == "" && a >= least && a <= most {
			right = id
		}
	}
	w.task = "A motor for a saw, alone on its own wire. Choose the line's time-delay fuse: one that lets it start " +
		"and still goes before " +
		"the wire does. The wire bears twice the motor's amps."
	w.acts = []Act{
		{ID: "plate", Name: "Read its plate", Minutes: 1}, {ID: "running", Name: "Clamp meter at work, box shut",
			Minutes: 5},
		{ID: "start", Name: "Clamp meter as it starts, box shut", Minutes: 3}, {ID: "bridge",
			Name: "Bridge the fuse to try", Minutes: 1, Danger: "nothing then goes"},
	}
	w.do = func(act string, _ float64) Came {
		switch act {
		case "plate":
			return Came{Shows: w.show(plate, q.Current) + " on its plate"}
		case "running":
			return Came{Shows: w.show(w.noisy(plate*0.8, 0.03), q.Current)}
		case "bridge":
			return Came{Shows: "it starts", Hurt: "with the fuse bridged the wire is the fuse"}
		}
		return Came{Shows: w.show(w.noisy(plate*6, 0.05), q.Current) + " for half a second"}
	}
	w.blanks = []Blank{blank}
	w.truth = map[string]truth{"fuse": {choice: right}}
	w.best = 1
	w.bestWay = fmt.Sprintf("The plate's amps decide, not what it draws today. A quarter more at least, three "+
		"quarters at most: between %s and "+
		"%s, the smallest made. The start is what the delay is for. A starting value: the local code decides.",
		w.show(least, q.Current), w.show(most, q.Current))
}

// capacitor is a start capacitor of which it is to be told whether it has gone.
func capacitor(w *world) {
	marked := []float64{60, 80, 100, 130, 160}[w.IntN(5)]
	kind := []string{"sound", "low", "open", "warm"}[w.IntN(4)]
	emptied, warmed := false, false
	w.task = fmt.Sprintf("A motor that hums and will not start. Its start capacitor is marked %s. Is it the "+
		"capacitor?", w.show(marked*1e-6, q.Capacitance))
	w.acts = []Act{
		{ID: "discharge", Name: "Unplugged: discharge it through a resistor", Minutes: 2},
		{ID: "short", Name: "Discharge it with a screwdriver", Minutes: 0.5, Danger: "a bang, metal in the eye, " +
			"and a capacitor spoilt"},
		{ID: "measure", Name: "Its leads off: µF on a meter", Minutes: 2, Danger: "it may still hold its charge"},
		{ID: "warm", Name: "Ten starts with another motor, to warm it", Minutes: 15},
		{ID: "swap", Name: "Another capacitor in its place", Minutes: 10},
	}
	w.do = func(act string, _ float64) Came {
		switch act {
		case "discharge":
			emptied = true
			return Came{Shows: "empty"}
		case "short":
			emptied = true
			return Came{Shows: "a bang", Hurt: "metal in the eye; a resistor of some kilohms does it quietly"}
		case "warm":
			warmed, emptied = true, false
			return Came{Shows: "warm, and charged again"}
		case "swap":
			if !emptied {
				return Came{Shows: "a shock", Hurt: "it still held its charge"}
			}
			if kind == "sound" {
				return Came{Shows: "it still hums: it is not the capacitor"}
			}
			return Came{Shows: "it starts"}
		}
		if !emptied {
			return Came{Shows: "the meter is dead", Hurt: "it still held its charge: the meter had it, or you"}
		}
		v := marked
		switch {
		case kind == "open":
			return Came{Shows: "nothing: open"}
		case kind == "low", kind == "warm" && warmed:
			v *= 0.45
		}
		return Came{Shows: w.show(w.noisy(v, 0.02)*1e-6, q.Capacitance)}
	}
	w.blanks = []Blank{choose("cap", "The capacitor", "sound", "is sound: look elsewhere", "low",
		"has lost most of it", "open", "is open",
		"warm", "reads right cold and fails warm")}
	w.truth = map[string]truth{"cap": {choice: kind}}
	w.best = 4
	if kind == "warm" || kind == "sound" {
		w.best = 21
	}
	w.bestWay = "Unplugged, discharged through a resistor, its leads off, measured. Right cold proves little: " +
		"warm it, discharge it again and measure " +
		"once more, or put another in its place."
}
