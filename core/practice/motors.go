package practice

import (
	"fmt"
	"math"

	"jiriki/core/numeric"
	q "jiriki/core/quantity"
)

func figure(id, label, unit string) Blank {
	return Blank{ID: id, Label: label, Unit: unit, Choices: []Choice{}}
}

func choose(id, label string, pairs ...string) Blank {
	b := Blank{ID: id, Label: label}
	for i := 0; i < len(pairs); i += 2 {
		b.Choices = append(b.Choices, Choice{pairs[i], pairs[i+1]})
	}
	return b
}

// constants is a magnet motor whose constants are to be found in the fewest readings.
func constants(w *world) {
	ke, ohms, loss := w.between(0.25, 0.95), w.between(0.6, 6), w.between(0.04, 0.16)
	volts := math.Round(ke*180/6) * 6
	w.task = fmt.Sprintf("A magnet motor off a treadle conversion, marked about %s and nothing else. Find its "+
		"back-EMF constant, "+
		"its resistance and the torque it loses inside.", w.show(volts, q.Voltage))
	w.acts = []Act{
		{ID: "ohms", Name: "Ohms across its leads, at another shaft position", Minutes: 2},
		{ID: "open", Name: "Spin it with a drill, leads open", Ask: "at", Unit: "rpm", Minutes: 5},
		{ID: "free", Name: "Run it free", Ask: "on", Unit: "V", Minutes: 4, Danger: "clamped down, nothing on " +
			"its shaft"},
		{ID: "locked", Name: "Hold the rotor", Ask: "on", Unit: "V", Minutes: 4, Danger: "low volts, seconds"},
	}
	w.do = func(act string, v float64) Came {
		switch act {
		case "ohms":
			// Brushes add a little that moves as it turns.
			return Came{Shows: w.show(w.noisy(ohms, 0.05), q.Resistance)}
		case "open":
			if v < 0 || v > 6000 {
				return Came{Shows: "the drill does not go so fast"}
			}
			return Came{Shows: w.show(w.noisy(ke*v*q.RPM, 0.01), q.Voltage)}
		case "free":
			amps := loss / ke
			omega := (v - amps*ohms) / ke
			switch {
			case omega <= 0:
				return Came{Shows: "it does not turn"}
			case v > 1.3*volts:
				return Came{Shows: "it races", Hurt: "past its volts a motor throws its windings"}
			}
			return Came{Shows: fmt.Sprintf("%s, %s", w.show(w.noisy(amps, 0.03), q.Current), w.show(w.noisy(omega,
				0.01), q.Speed))}
		}
		amps := v / ohms
		if amps > 12 {
			return Came{Shows: w.show(amps, q.Current) + ", and a smell", Hurt: "a held rotor at such amps burns " +
				"in seconds; begin at a volt or two"}
		}
		return Came{Shows: w.show(w.noisy(amps, 0.04), q.Current)}
	}
	w.blanks = []Blank{figure("ke", "Back-EMF constant", "V·s"), figure("ohms", "Resistance", "Ω"), figure("loss",
		"Torque lost inside", "N·m")}
	w.truth = map[string]truth{"ke": {figure: ke, within: 0.05, unit: "V·s"}, "ohms": {figure: ohms, within: 0.1,
		unit: "Ω"},
		"loss": {figure: loss, within: 0.12, unit: "N·m"}}
	w.best = 13
	w.bestWay = "Spun open once: volts over rad/s is the constant. Ohms at two positions. One free run: its amps " +
		"times the " +
		"constant is what it loses inside. Four readings, thirteen minutes."
}

// strobeLight is a shaft whose speed is to be found by flashes.
func strobeLight(w *world) {
	rpm := math.Round(w.between(420, 2600))
	fastest := math.Round(rpm*w.between(1.2, 2.6)/50) * 50
	w.task = fmt.Sprintf("A spindle with one mark on it. It cannot turn faster than %s. What does it turn at?",
		w.show(fastest*q.RPM, q.Speed))
	w.acts = []Act{{ID: "flash", Name: "Flash", Ask: "at", Unit: "a minute", Minutes: 1,
		Danger: "what stands still is turning"}}
	w.do = func(_ string, f float64) Came {
		if !(f >= 30 && f <= 20000) {
			return Came{Shows: "the strobe goes from 30 to 20 000"}
		}
		return Came{Shows: seenAt(rpm, f)}
	}
	w.blanks = []Blank{figure("rpm", "It turns at", "rpm")}
	w.truth = map[string]truth{"rpm": {figure: rpm, within: 0.01, unit: "rpm"}}
	w.best = 8
	w.bestWay = "From the fastest it can turn, downwards: the first rate at which one image stands is its speed. " +
		"Then twice that must " +
		"show two."
}

// seenAt is what an eye sees of one mark: how many images stand, or how they creep.
func seenAt(rpm, f float64) string {
	for b := 1; b <= 5; b++ {
		turns := rpm * float64(b) / f
		a := math.Round(turns)
		if a < 1 || numeric.GCD(int(a), b) != 1 {
			continue
		}
		creep := (turns - a) * f / float64(b) // rpm of the image
		images := "one image"
		if b > 1 {
			images = fmt.Sprintf("%d images", b)
		}
		switch {
		case math.Abs(creep) < 0.0015*rpm:
			return images + " standing"
		case math.Abs(creep) < 0.012*rpm && creep > 0:
			return fmt.Sprintf("%s creeping forwards, about %s turns a minute", images, q.Figures(math.Abs(creep), 2))
		case math.Abs(creep) < 0.012*rpm:
			return fmt.Sprintf("%s creeping backwards, about %s turns a minute", images, q.Figures(math.Abs(creep), 2))
		}
	}
	return "a blur"
}

// plateLies is a plate of which one figure may be untrue.
func plateLies(w *world) {
	hp := []float64{0.5, 0.75, 1, 1.5}[w.IntN(4)]
	speed, volts := w.between(1700, 4200), 180.0
	efficiency := w.between(0.74, 0.82)
	watts := hp * q.Horsepower
	amps := watts / volts / efficiency
	lie := []string{"none", "power", "speed"}[w.IntN(3)]
	printedHP, printedSpeed := hp, speed
	switch lie {
	case "power":
		printedHP = hp * w.between(1.8, 2.6) // a peak sold as what it gives all day
	case "speed":
		printedSpeed = speed * []float64{0.5, 1.8}[w.IntN(2)]
	}
	printedHP = math.Round(printedHP*4) / 4
	printedSpeed = math.Round(printedSpeed/50) * 50
	w.task = fmt.Sprintf("A magnet motor's plate: %s hp, %s V DC, %s A, %s rpm. One of its figures may be untrue. "+
		"Which?",
		q.Figures(printedHP, 3), q.Figures(volts, 3), q.Figures(amps, 2), q.Figures(printedSpeed, 4))
	ke := volts * 0.88 / (speed * q.RPM)
	w.acts = []Act{
		{ID: "free", Name: "Run it free", Ask: "on", Unit: "V", Minutes: 4, Danger: "clamped down, nothing on " +
			"its shaft"},
		{ID: "brake", Name: "Brake it to its plate's amps on its plate's volts", Minutes: 12,
			Danger: "a rope brake, seconds at a time"},
		{ID: "ohms", Name: "Ohms across its leads", Minutes: 2},
	}
	w.do = func(act string, v float64) Came {
		switch act {
		case "free":
			if v > 1.3*volts {
				return Came{Shows: "it races", Hurt: "past its volts a motor throws its windings"}
			}
			return Came{Shows: w.show(w.noisy(max(v-2, 0)/ke, 0.01), q.Speed)}
		case "brake":
			return Came{Shows: fmt.Sprintf("%s at %s", w.show(w.noisy(watts/(speed*q.RPM), 0.03), q.Torque),
				w.show(w.noisy(speed*q.RPM, 0.01), q.Speed))}
		}
		return Came{Shows: w.show(w.noisy(volts*0.12/amps, 0.05), q.Resistance)}
	}
	w.blanks = []Blank{choose("lie", "What is untrue", "none", "nothing: the plate can be true", "power",
		"the power: the amps cannot carry it",
		"speed", "the speed")}
	w.truth = map[string]truth{"lie": {choice: lie}}
	w.best = 4
	w.bestWay = "Volts times amps is what goes in: three quarters of it, about, comes out. That settles the power " +
		"without a tool. One free " +
		"run on its plate's volts turns a little faster than its loaded speed: that settles the speed."
}

// threeLeads is a single-phase motor's winding to be sorted by ohms.
func threeLeads(w *world) {
	run := w.between(1.5, 9)
	start := run * w.between(2.2, 4.5)
	names := []string{"red", "black", "white"}
	order := w.Perm(3) // common, run, start
	at := map[string]int{"common": order[0], "run": order[1], "start": order[2]}
	pair := func(a, b int) float64 {
		sum := 0.0
		for _, i := range []int{a, b} {
			switch i {
			case at["run"]:
				sum += run
			case at["start"]:
				sum += start
			}
		}
		return sum
	}
	w.task = "Three leads out of a single-phase motor: red, black and white. Which is common, and which goes to " +
		"the start winding?"
	w.acts = []Act{
		{ID: "rb", Name: "Ohms, red to black", Minutes: 1}, {ID: "rw", Name: "Ohms, red to white", Minutes: 1},
		{ID: "bw", Name: "Ohms, black to white", Minutes: 1},
		{ID: "frame", Name: "Ohms, red to the frame", Minutes: 1},
		{ID: "plug", Name: "Plug it in and try", Minutes: 2, Danger: "nothing is known of it yet"},
	}
	pairs := map[string][2]int{"rb": {0, 1}, "rw": {0, 2}, "bw": {1, 2}}
	w.do = func(act string, _ float64) Came {
		switch act {
		case "frame":
			return Came{Shows: "open: over 20\u202fMΩ"}
		case "plug":
			return Came{Shows: "a bang", Hurt: "leads nobody has sorted, on mains: the fuse was quicker than you " +
				"this time"}
		}
		p := pairs[act]
		return Came{Shows: w.show(w.noisy(pair(p[0], p[1]), 0.01), q.Resistance)}
	}
	leads := []string{"red", names[0], "black", names[1], "white", names[2]}
	w.blanks = []Blank{choose("common", "Common", leads...), choose("start", "To the start winding", leads...)}
	w.truth = map[string]truth{"common": {choice: names[at["common"]]}, "start": {choice: names[at["start"]]}}
	w.best = 3
	w.bestWay = "Three readings. The pair that reads highest is start and run in series: the third lead is " +
		"common. From it, the lower is run " +
		"and the higher start; the two add up to the highest."
}

// settling is a motor warming up whose end is to be told before it gets there.
func settling(w *world) {
	air, rise, time := w.between(9, 22), w.between(22, 52), w.between(18, 42)
	minutes := 0.0
	w.task = fmt.Sprintf("A motor at its work in a shed at %s. Read its case as you like, and say where it will "+
		"settle. Time is what it costs.",
		w.show(air+273.15, q.Temperature))
	w.acts = []Act{{ID: "wait", Name: "Wait five minutes, then read the case", Minutes: 5}, {ID: "read",
		Name: "Read it again at once", Minutes: 0.5}}
	w.do = func(act string, _ float64) Came {
		if act == "wait" {
			minutes += 5
		}
		v := air + rise*(1-math.Exp(-minutes/time)) + 0.4*w.NormFloat64()
		return Came{Shows: fmt.Sprintf("after %s min: %s", q.Figures(minutes, 3), w.show(math.Round(2*v)/2+273.15,
			q.Temperature))}
	}
	w.blanks = []Blank{figure("settles", "It settles at", "°C")}
	w.truth = map[string]truth{"settles": {figure: air + rise, within: 3.5, unit: "°C", scale: 1}}
	w.best = 45
	w.bestWay = "Equal steps of time: what it still has to go shrinks by the same share each step. From three " +
		"readings evenly apart, " +
		"θ = (θ1·θ3 − θ2²) / (θ1 + θ3 − 2·θ2). Forty minutes give it within a few degrees."
}
