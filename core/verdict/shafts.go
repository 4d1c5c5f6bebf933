package verdict

import (
	"fmt"
	"math"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/judge"
	"jiriki/core/line"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
)

// greaseLimit is the mean diameter times speed a bearing bears in grease, in the middle of 200 000
// to 300 000 mm·rpm [common practice].
const greaseLimit = 250e3

// shaftFindings look at what twists: shafts, keys, set screws and worms, and at the spindle's own
// bearings.
func (v *verdict) shaftFindings() {
	v.bearingFinding()
	v.frameFinding()
	if !v.Runs {
		return
	}
	for i, s := range v.Reduction.Stages {
		nth := v.OfStage(i)
		driving, driven := v.Twist(i)
		drivingLink, drivenLink := s.WeakLinks()
		v.fitFinding("driving", i, stageField(i, "onDriving"), "Driving shaft"+nth, s.OnDriving, driving,
			s.Aside(smallestWheel(s.Steps, false)), drivingLink)
		v.fitFinding("driven", i, stageField(i, "onDriven"), "Driven shaft"+nth, s.OnDriven, driven,
			s.Aside(smallestWheel(s.Steps, true)), drivenLink)
		if s.Kind == reduction.Direct {
			v.goesOn("driving", i, "Wheel on the motor's shaft", s.OnDriving)
			continue
		}
		v.goesOn("driving", i, "Driving wheel"+nth, s.OnDriving)
		v.goesOn("driven", i, "Driven wheel"+nth, s.OnDriven)
		if s.Rated > 0 && driven > s.Rated*1.001 {
			v.add(f.ReductionRated.At(i), f.Caution, stageField(i, "rated"), "A jam can pass what it is rated for"+nth,
				fmt.Sprintf("%s reaches it, %s is its maker's rating. Set the current limit lower.",
					v.show(driven, q.Torque), v.show(s.Rated, q.Torque)))
		}
		if s.HoldsItself() {
			v.add(f.ReductionWorm.At(i), f.Caution, stageField(i, "lead"), "The worm holds itself"+nth,
				"Its wheel cannot drive it back: the spindle does not coast or turn by hand, and a heavy wheel "+
					"stopped short loads the teeth. Ramp it down.")
		}
	}
}

// fitFinding weighs what reaches a wheel's shaft against the shaft, its key or its set screw.
func (v *verdict) fitFinding(end string, stage int, field, what string, fit reduction.Fit, torque, aside float64,
	link reduction.WeakLink,
) {
	if fit.Held == "screw" && torque > reduction.ScrewHolds {
		level := f.Caution
		if torque > judge.ScrewFlies() {
			level = f.Stop
		}
		v.add(f.ReductionScrew.Of(end).At(stage), level, field+".held", what+": a set screw alone will not hold",
			fmt.Sprintf("%s can reach it. Over about %s a set screw slips and chews the shaft: file a flat, or cut a "+
				"keyway.", v.show(torque, q.Torque), v.show(reduction.ScrewHolds, q.Torque)))
	}
	bears := fit.Bears(aside)
	if bears == 0 || torque <= bears {
		return
	}
	part := "the shaft"
	if fit.Out > 0 {
		part = "the shaft, bent by the pull as well,"
	}
	if fit.KeyBinds(aside) {
		part = "its key"
	}
	survives := fit.Survives(aside)
	level, title := f.Caution, what+" is the weak link in a jam"
	jam := fmt.Sprintf("In a jam %s can reach it; %s of %s bears %s for ever and %s once in a while. ",
		v.show(torque, q.Torque), part, v.show(fit.Shaft, q.Length), v.show(bears, q.Torque), v.show(survives,
			q.Torque))
	if works := v.worksPast(link); torque > survives || works {
		level, title = f.Stop, what+" is the weak link"
		if works {
			jam += "A job works it past what it bears for ever, and it tires and breaks. "
		}
	}
	v.add(f.ReductionTwist.Of(end).At(stage), level, field+".shaft", title,
		jam+"Set the current limit lower, or let the belt slip first.")
}

// worksPast reports whether a job falls short because a shaft would tire under it: it would still be tried.
func (v *verdict) worksPast(link reduction.WeakLink) bool {
	for i := range v.results {
		if r := &v.results[i]; r.Outcome == line.FallsShort && string(r.Available.By) == string(link) {
			return true
		}
	}
	return false
}

// smallestWheel is the smallest wheel of one end over all steps, which is pulled aside the most; m.
func smallestWheel(steps []reduction.Step, driven bool) float64 {
	smallest := math.Inf(1)
	for _, step := range steps {
		if driven {
			smallest = min(smallest, step.Driven)
		} else {
			smallest = min(smallest, step.Driver)
		}
	}
	return smallest
}

// goesOn says whether a wheel goes on its shaft as it is, or what to machine; nothing where bore, shaft or how it is
// held is not known.
func (v *verdict) goesOn(end string, stage int, what string, fit reduction.Fit) {
	if fit.Shaft == 0 || fit.Bore == 0 || fit.Held == "" {
		return
	}
	field := stageField(stage, "onDriving")
	if end == "driven" {
		field = stageField(stage, "onDriven")
	}
	size := fit.Sits(v.sys)
	made := fit.ToMake(v.sys)
	if len(made) == 0 {
		v.add(f.ReductionFit.Of(end).At(stage), f.Good, field+".bore", what+" goes on as it is", size+".")
		return
	}
	steps := make([]string, len(made))
	for i, one := range made {
		steps[i] = words.LowerFirst(one.What)
		if one.Why != "" && i == 0 {
			steps[i] += " (" + one.Why + ")"
		}
	}
	v.add(f.ReductionFit.Of(end).At(stage), f.Caution, field+".bore", what+" does not go on as it is",
		size+": "+strings.Join(steps, "; then ")+".")
}

// bearingFinding weighs the spindle's bearings in grease against its top speed.
func (v *verdict) bearingFinding() {
	d := v.Machine.Bearing * 1000
	if d == 0 || !v.Runs || v.pastLimit() {
		return // past the machine's limit nothing milder is said of its speed
	}
	fastest := v.Fastest() / q.RPM
	if d*fastest > greaseLimit {
		v.add(f.WorkBearing, f.Caution, "machine.limits.bearing", "Spindle bearings fast for grease",
			fmt.Sprintf("%s mean diameter at %s is past 250 000 mm·rpm, to about %s. Overfilled they run hot sooner: "+
				"fill a third, and feel them after the first hour.",
				v.show(v.Machine.Bearing, q.Length), v.show(fastest*q.RPM, q.Speed), v.show(greaseLimit/d*q.RPM,
					q.Speed)))
	}
}

// frameFinding says what to make where the motor's frame is not the one the bracket was drilled for.
func (v *verdict) frameFinding() {
	hertz := v.Supply.Hertz
	have, knownMotor := motor.FindFrame(v.Motor.Frame, hertz)
	want, knownBracket := motor.FindFrame(v.Machine.Frame, hertz)
	if knownMotor && have.Threaded {
		v.add(f.MotorThreaded, f.Stop, "motor.plate.frame", "Its shaft is a thread",
			fmt.Sprintf("%s is a pump motor's frame: its shaft is threaded for the pump's wheel, and no pulley with a "+
				"key goes on. It wants another shaft, or another motor.", v.Motor.Frame)).Short = true
		return
	}
	if knownMotor && have.Faced {
		v.add(f.MotorFaced, f.Caution, "motor.plate.frame", "It may have no feet",
			fmt.Sprintf("%s is made to be bolted on by its face. Look under it. Without feet it wants a plate bored "+
				"for its face and stood on the bracket; if it has feet, write the frame as plain %s.",
				v.Motor.Frame, have.Name))
		return
	}
	if !knownMotor || !knownBracket {
		return
	}
	if have.Name == want.Name {
		v.add(f.MotorFrameGood, f.Good, "motor.plate.frame", "Bolts onto the old bracket",
			"Both are frame "+have.Name+".")
		return
	}
	both := have.Inch && want.Inch
	as := func(inch bool) func(float64) string {
		sys := q.Metric
		if inch {
			sys = q.Inch // as it was made
		}
		return func(v float64) string { return q.Show(v/1000, q.Length, sys) }
	}
	mine, bracket, between := as(have.Inch), as(want.Inch), as(both || v.sys == q.Inch)
	height := fmt.Sprintf("pack it up by %s", between(want.Height-have.Height))
	if have.Height > want.Height {
		height = fmt.Sprintf("its shaft stands %s higher: lower the bracket, or take it up at the belt",
			between(have.Height-want.Height))
	}
	v.add(f.MotorFrame, f.Caution, "motor.plate.frame", "Frame "+have.Name+" on a bracket for "+want.Name,
		fmt.Sprintf("Bolt holes %s by %s against %s by %s: slot them or make a plate. Shaft height %s against %s: %s.",
			mine(have.Across), mine(have.Along), bracket(want.Across), bracket(want.Along), mine(have.Height),
			bracket(want.Height), height))
}
