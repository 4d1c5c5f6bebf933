package practice

import (
	"fmt"
	"math"
	"strings"

	"jiriki/core/control"
	"jiriki/core/dryrun"
	"jiriki/core/fault"
	"jiriki/core/identify"
	"jiriki/core/line"
	"jiriki/core/motor"
	"jiriki/core/plan"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/supply"
	"jiriki/core/words"
	"jiriki/core/work"
)

// unknownMotor is a motor to be named by what can be seen of it.
func unknownMotor(w *world) {
	kinds := []motor.Kind{motor.PermanentMagnetDC, motor.Universal, motor.ThreePhase, motor.CapacitorStart,
		motor.ShadedPole, motor.Stepper,
		motor.PermanentSplit, motor.WoundDC}
	kind := kinds[w.IntN(len(kinds))]
	w.task = "A motor without a plate. Look at what can be seen and metered, unplugged, and name it."
	clues := identify.Clues()
	for _, c := range clues {
		w.acts = append(w.acts, Act{ID: c.ID, Name: c.Ask, Minutes: 2})
	}
	w.do = func(act string, _ float64) Came { return Came{Shows: identify.LooksLike(kind, act)} }
	blank := Blank{ID: "kind", Label: "It is"}
	for _, k := range kinds {
		blank.Choices = append(blank.Choices, Choice{string(k), k.Profile().Name})
	}
	w.blanks = []Blank{blank}
	w.truth = map[string]truth{"kind": {choice: string(kind)}}
	w.best = 8
	w.bestWay = "Brushes first: yes or no halves the field. Then what stands round the rotor, or the capacitor " +
		"and its switch. Three or four looks name " +
		"nearly any motor; “What is it?” always asks the most telling next."
}

// hiddenFault is a line with one thing wrong, to be found by tests.
func hiddenFault(w *world) {
	in := practicePlan(w, motor.CapacitorStart)
	symptom := "hums"
	suspects := fault.Suspects(in, symptom)
	cause := suspects[w.IntN(len(suspects))]
	w.task = "A saw on a capacitor-start motor hums and will not start. Switched off already. Find what it is, " +
		"the dead tests first."
	for _, t := range fault.TestsOf(in, symptom) {
		a := Act{ID: t.ID, Name: t.Name, Minutes: t.Minutes}
		if t.Danger == fault.Live {
			a.Danger = "live, with a meter"
		}
		w.acts = append(w.acts, a)
	}
	w.do = func(act string, _ float64) Came {
		words := fault.ComesOut(in, act, cause.ID)
		came := Came{Shows: words}
		for _, a := range w.acts {
			if a.ID == act && a.Danger != "" {
				came.Hurt = "a live test, where a dead one tells as much"
			}
		}
		return came
	}
	blank := Blank{ID: "cause", Label: "It is"}
	for _, c := range suspects {
		blank.Choices = append(blank.Choices, Choice{c.ID, c.Words})
	}
	w.blanks = []Blank{blank}
	w.truth = map[string]truth{"cause": {choice: cause.ID}}
	w.best = 14
	w.bestWay = "Turn it by hand, unplugged: that tells what is stuck. Then the capacitor, discharged; then the " +
		"start switch. “What is wrong?” orders the " +
		"tests for you by what they tell for their minutes and danger."
}

// practicePlan is a made-up machine on a motor of a kind.
func practicePlan(w *world, kind motor.Kind) plan.Input {
	watts := math.Round(w.between(250, 700)/10) * 10
	in := plan.Input{Units: w.sys, Machine: work.Machine{Name: "Practice", Kind: "bandsaw",
		Limits: work.Limits{Spindle: "2400 rpm"},
		Jobs: []work.Job{{ID: "cut", Name: "A cut", Speed: work.SpeedBand{By: "rpm", From: "300", To: "500",
			Cover: "any"},
			Load: work.Load{By: "torque", Torque: "2 N·m", From: "measured"}}}}.Whole()}
	in.Plan = plan.Plan{
		Supply:  supply.Described{Volts: "230 V", Hertz: "50 Hz", Phases: "1", Breaker: "16 A", Earthed: true},
		Control: control.Described{Kind: control.Contactor, Fused: true, Enclosed: true, NoVolt: true},
		Motor: motor.Described{Kind: kind, Plate: motor.Plate{Power: q.WrittenTo(watts, 3, "W"), Speed: "1425 rpm",
			Volts: "230 V",
			Amps:  q.WrittenTo(watts/230/0.42, 2, "A"), Hertz: "50 Hz"}},
		Reduction: reduction.Described{Stages: []reduction.DescribedStage{{Kind: reduction.VBelt, Section: "A",
			Measured: "pitch",
			Steps:    []reduction.DescribedStep{{Driver: "75 mm", Driven: "250 mm"}}, Centre: "380 mm",
			Guarded: true}}},
	}.Whole()
	if kind == motor.PermanentMagnetDC {
		in.Plan.Control = control.Described{Kind: control.PhaseAngle, Volts: "180 V", Amps: "6 A", LimitAmps: "5 A",
			Choke: true, Fused: true,
			Enclosed: true, ZeroStart: true, NoVolt: true}.Whole()
		in.Plan.Motor.Plate = motor.Plate{Power: q.WrittenTo(watts, 3, "W"), Speed: q.WrittenTo(w.between(1600, 2900),
			3, "rpm"),
			Volts: "180 V", Amps: q.WrittenTo(watts/180/0.76, 2, "A")}
	}
	return in
}

// whichOfTwo is a job and two motors, of which one does it.
func whichOfTwo(w *world) {
	need := w.between(3, 9) // N·m at the spindle
	rpm := w.between(60, 160)
	ratio := w.between(7, 11)
	short, enough := need/ratio*w.between(0.55, 0.8), need/ratio*w.between(1.45, 1.9)
	fast, slow := w.between(3400, 4600), w.between(1500, 1900)
	aIsRight := w.IntN(2) == 0
	type two struct{ torque, speed float64 }
	a, b := two{enough, slow}, two{short, fast}
	if !aIsRight {
		a, b = b, a
	}
	// The weaker boasts the greater power: it turns faster.
	plateOf := func(m two) string {
		return fmt.Sprintf("%s at %s", w.show(m.torque*m.speed*q.RPM, q.Power), w.show(m.speed*q.RPM, q.Speed))
	}
	w.task = fmt.Sprintf("A wheel that must pull at %s, for hours, through %s. Two magnet motors lie there: A, "+
		"%s; B, %s. Which does it?",
		w.show(rpm*q.RPM, q.Speed), q.Ratio(ratio), plateOf(a), plateOf(b))
	w.acts = []Act{
		{ID: "weigh", Name: "Weigh the pull at the wheel's rim, 200 mm out", Minutes: 6},
		{ID: "brake-a", Name: "Brake A to its plate's amps", Minutes: 12, Danger: "a rope brake, seconds at a time"},
		{ID: "brake-b", Name: "Brake B to its plate's amps", Minutes: 12, Danger: "a rope brake, seconds at a time"},
	}
	w.do = func(act string, _ float64) Came {
		switch act {
		case "weigh":
			return Came{Shows: w.show(w.noisy(need/0.2, 0.03), q.Force)}
		case "brake-a":
			return Came{Shows: w.show(w.noisy(a.torque, 0.04), q.Torque)}
		}
		return Came{Shows: w.show(w.noisy(b.torque, 0.04), q.Torque)}
	}
	right := "a"
	if !aIsRight {
		right = "b"
	}
	w.blanks = []Blank{choose("which", "It is", "a", "motor A", "b", "motor B", "neither", "neither")}
	w.truth = map[string]truth{"which": {choice: right}}
	w.best = 6
	w.bestWay = "Torque, not power: pull times radius is what the wheel needs, divided by the ratio what the " +
		"motor must hold. The plate's power over its own " +
		"speed is what it holds. The one with more power turns faster and pulls less."
}

// stalledStart is a machine that does not come to speed, and why.
func stalledStart(w *world) {
	kind := []string{"load", "volts", "ratio"}[w.IntN(3)]
	in := practicePlan(w, motor.CapacitorStart)
	torque, inertia := 1.2, 0.02
	switch kind {
	case "load":
		torque = w.between(26, 34)
	case "ratio":
		in.Plan.Reduction.Stages[0].Steps[0] = reduction.DescribedStep{Driver: "200 mm", Driven: "90 mm"}
		torque = w.between(6.3, 7.2)
	case "volts":
		in.Plan.Supply.Inside = q.WrittenTo(w.between(9.3, 9.9), 3, "Ω")
		torque = w.between(9, 11)
	}
	in.Plan.Script.Friction, in.Plan.Script.Inertia = q.WrittenTo(torque, 3, "N·m"), q.WrittenTo(inertia, 3, "kg·m²")
	s, err := plan.Resolve(in)
	own := dryrun.Own{}
	starts := ""
	if err == nil {
		if t := line.New(s); t.Runs {
			own = dryrun.OwnOf(t, "")
			starts = dryrun.Starting(in)
		}
	}
	ratio := 1.0
	if len(s.Reduction.Positions) > 0 {
		ratio = s.Reduction.Positions[0].Ratio
	}
	rated := s.Motor.Torque.Value
	w.task = fmt.Sprintf("A belted machine on %s motor, 230 V. Switched on, it %s. What keeps it from starting?",
		words.A(q.Show(s.Motor.Power.Value, q.Power, w.sys)),
		strings.TrimPrefix(orSaid(starts), "it "))
	w.acts = []Act{
		{ID: "scale", Name: "Spring scale at the spindle, unplugged: what just starts it", Minutes: 5},
		{ID: "socket", Name: "Volts at the socket as it tries, plug-in meter", Minutes: 2},
		{ID: "wheels", Name: "Measure both wheels, unplugged", Minutes: 3},
		{ID: "again", Name: "Try again and again", Minutes: 1, Danger: "it burns as it stands"},
		{ID: "plate", Name: "Read the motor's plate", Minutes: 1},
	}
	start := motor.StartAmps(&s.Motor)
	tries := 0
	w.do = func(act string, _ float64) Came {
		switch act {
		case "scale":
			return Came{Shows: w.show(w.noisy(own.Resting, 0.04), q.Torque)}
		case "socket":
			return Came{Shows: w.show(w.noisy(230-start*s.Supply.Loop, 0.01), q.Voltage)}
		case "wheels":
			step := in.Plan.Reduction.Stages[0].Steps[0]
			return Came{Shows: fmt.Sprintf("%s on the motor, %s on the spindle, so %s", step.Driver, step.Driven,
				q.Ratio(ratio))}
		case "plate":
			return Came{Shows: fmt.Sprintf("%s at %s: %s", q.Show(s.Motor.Power.Value, q.Power, w.sys),
				w.show(s.Motor.Speed.Value, q.Speed),
				w.show(rated, q.Torque))}
		}
		if tries++; tries > 2 {
			return Came{Shows: "smoke", Hurt: "a motor held standing burns its start winding in seconds"}
		}
		return Came{Shows: "it hums"}
	}
	w.blanks = []Blank{choose("why", "What keeps it", "load", "what it turns is too stiff", "volts",
		"it loses its volts on the way",
		"ratio", "it is geared too fast")}
	w.truth = map[string]truth{"why": {choice: kind}}
	w.best = 10
	w.bestWay = "The pull that starts it, over the ratio, against three times the plate's torque: that tells load " +
		"and gearing. Then the volts as it tries: a " +
		"fifth lost leaves two thirds of the torque."
}

func orSaid(text string) string {
	if text == "" {
		return "hums and stands"
	}
	return text
}

// exercises in the order they are offered.
func exercises() []exercise {
	return []exercise{
		{Named{"name-it", "Name the motor", "by what can be seen"}, unknownMotor},
		{Named{"constants", "Its constants", "in the fewest readings"}, constants},
		{Named{"strobe", "Resolve a strobe", "one true speed"}, strobeLight},
		{Named{"plate", "A plate that may lie", "which figure?"}, plateLies},
		{Named{"leads", "Sort three leads", "common, run, start"}, threeLeads},
		{Named{"knob", "A knob somebody else wired", "without a surprise"}, knobTurned},
		{Named{"order", "First power-up", "in an order that hurts nobody"}, order},
		{Named{"two", "Which of two", "for hours of pulling"}, whichOfTwo},
		{Named{"start", "It does not start", "load, volts or gearing"}, stalledStart},
		{Named{"fault", "It hums", "find it, dead tests first"}, hiddenFault},
		{Named{"capacitor", "Is it the capacitor?", "discharged first"}, capacitor},
		{Named{"fuse", "Choose the fuse", "by the plate"}, fuseChoice},
		{Named{"settle", "Where will it settle?", "before it gets there"}, settling},
	}
}
