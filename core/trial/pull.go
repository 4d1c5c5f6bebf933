package trial

import (
	"fmt"
	"math"

	"gonum.org/v1/gonum/stat"

	"jiriki/core/dryrun"
	f "jiriki/core/finding"
	m "jiriki/core/measured"
	q "jiriki/core/quantity"
	"jiriki/core/source"
)

// scaleOff is how far off a spring scale in the hand is, as a share [common practice]; one standard deviation.
const scaleOff = 0.02

// arm is the lever of the pull, m.
func (e *evaluator) arm() float64 { return e.Radius.SI * math.Sin(e.Angle.Or(math.Pi/2)) }

// torqueOf is the mean torque of pulls, N·m, and how far it may be out.
func (e *evaluator) torqueOf(rows []m.Taken) (torque, spread float64, pulls []float64) {
	for _, one := range rows {
		pulls = append(pulls, max(one.Force.SI-e.Own.Or(0), 0))
	}
	mean, spread, _ := meanOf(pulls, scaleOff, e.Steps.In(q.Force))
	return mean * e.arm(), spread * e.arm(), pulls
}

// hardest is the torque that keeps it going where it takes most: pulls that differ by more than a scale does are of
// places that differ, and are not averaged.
func (e *evaluator) hardest(rows []m.Taken) (torque, spread float64, pulls []float64) {
	torque, spread, pulls = e.torqueOf(rows)
	logs := make([]float64, 0, len(pulls))
	for _, pull := range pulls {
		logs = append(logs, math.Log(max(pull, 1e-9)))
	}
	low, high, apart := differs(logs, offBy(1, scaleOff, e.Steps.In(q.Force)/max(stat.Mean(pulls, nil), 1e-9)))
	if !apart {
		return torque, spread, pulls
	}
	e.say(Scattered, f.Caution, fmt.Sprintf("It takes from %s to %s", e.show(pulls[low]*e.arm(), q.Torque),
		e.show(pulls[high]*e.arm(), q.Torque)), "More than a scale is off by: one place of the turn, or of the "+
		"travel, "+
		"takes more than another. Where it takes most counts.")
	return e.torqueOf(rows[high : high+1])
}

func pullTrial(e *evaluator) {
	rows := e.With(func(t *m.Taken) q.Value { return t.Force })
	var starts, keeps []m.Taken
	for _, one := range rows {
		if one.State == m.JustStarts {
			starts = append(starts, one)
		} else {
			keeps = append(keeps, one)
		}
	}
	if !e.Radius.Known {
		e.wants("The radius of the pull is wanted.", "How far from the axis the scale pulls.",
			"A pull is no torque without it.")
		return
	}
	if len(rows) == 0 {
		e.wants("No pull is read yet.", "The pull that just starts it, three times.", "")
		return
	}
	e.out.Enough = true
	d := e.draw("pull", bare, "torque", e.scaleOf(q.Torque))
	for i, one := range rows {
		torque := max(one.Force.SI-e.Own.Or(0), 0) * e.arm()
		d.point(float64(i+1), torque, offBy(torque, scaleOff, e.Steps.In(q.Force)*e.arm()), string(one.State))
	}
	var own dryrun.Own
	if e.model != nil {
		own = dryrun.OwnOf(e.model, e.position.Label)
	}
	put := func(pulls []float64) string {
		return fmt.Sprintf("%s × %s", e.show(stat.Mean(pulls, nil), q.Force), e.show(e.arm(), q.Length))
	}
	running, resting, unsure := 0.0, 0.0, 0.0
	if len(keeps) > 0 {
		torque, spread, pulls := e.hardest(keeps)
		running, unsure = torque, spread
		e.found("Keeps it going", torque, spread, reckonedIf(e.model != nil, own.Running), q.Torque,
			"T = F · r · sin α",
			put(pulls), source.SpringScale)
		e.judgePull(torque, spread, own)
	}
	if len(starts) > 0 {
		_, spread, pulls := e.torqueOf(starts)
		most := 0.0
		for _, pull := range pulls {
			most = max(most, pull*e.arm())
		}
		resting = most
		e.found("Just starts it", most, spread, reckonedIf(e.model != nil, own.Resting), q.Torque,
			"T = F_most · r · sin α", put(pulls), source.SpringScale)
	}
	if e.keepsOverStarts(running, unsure, resting) {
		return
	}
	if off := math.Abs(e.Angle.Or(math.Pi/2) - math.Pi/2); off > 15*math.Pi/180 {
		e.say(NotSquare, f.Caution, "The pull was not square to the radius",
			"Past 15° from square a little error of the angle is a large one of the torque. Pull square.")
	}
	e.out.Headline = e.pullSays(running, resting)
	e.correctPull(running, resting)
	switch {
	case len(keeps) == 0:
		e.out.Next = Next{Text: "The pull that keeps it going, three times.", Why: "What starts it is not what " +
			"keeps it going."}
	case len(starts) == 0:
		e.out.Next = Next{Text: "The pull that just starts it, three times.", Why: "It must be passed each time " +
			"it starts."}
	case len(rows) < 6 && !e.said(Scattered):
		e.out.Next = Next{Text: "Each once more.", Why: "Three of each show how far they scatter."}
	}
}

// reckonedIf is a figure, where the plan makes one.
func reckonedIf(known bool, v float64) float64 {
	if !known || !(v > 0) {
		return none
	}
	return v
}

func (e *evaluator) judgePull(torque, spread float64, own dryrun.Own) {
	if e.model == nil || !(own.Running > 0) {
		return
	}
	guess := ""
	if own.Guessed {
		guess = " What is reckoned was guessed from the lightest job."
	}
	detail := fmt.Sprintf("%s measured, %s reckoned.%s", e.show(torque, q.Torque), e.show(own.Running, q.Torque), guess)
	switch {
	case agrees(torque, spread, own.Running, 0.15):
		e.say(AsReckoned, f.Good, "It turns as easily as reckoned", detail)
	case torque > own.Running:
		e.say(Stiffer, f.Caution, "It is stiffer than reckoned",
			detail+" Dry bearings, a dragging belt or a bent shaft do that. The motor has to carry it at every speed.")
	default:
		e.say(Easier, f.Good, "It turns easier than reckoned", detail)
	}
}

func (e *evaluator) pullSays(running, resting float64) string {
	switch {
	case running > 0 && resting > 0:
		return fmt.Sprintf("%s starts it, %s keeps it going.", e.show(resting, q.Torque), e.show(running, q.Torque))
	case resting > 0:
		return e.show(resting, q.Torque) + " starts it."
	}
	return e.show(running, q.Torque) + " keeps it going."
}

func (e *evaluator) correctPull(running, resting float64) {
	s := e.in.Plan.Script
	if running > 0 {
		s.Friction = q.WrittenTorque(running, e.sys)
	}
	if resting > 0 {
		s.Sticks = q.WrittenTorque(resting, e.sys)
	}
	e.out.Correction = &Correction{Label: "Let the dry run have it", Script: &s,
		Detail: "Its own friction as measured, in place of what was guessed."}
}
