package verdict

import (
	"fmt"

	f "jiriki/core/finding"
	"jiriki/core/judge"
	q "jiriki/core/quantity"
	"jiriki/core/reduction"
	"jiriki/core/words"
	"jiriki/core/work"
	"jiriki/core/working"
)

func (v *verdict) workFindings() {
	for i, job := range v.Machine.Jobs {
		if job.Refused {
			continue // said of every entry that cannot be used
		}
		if job.Missing != "" {
			one := v.add(f.WorkJobMissing.Of(job.ID), f.Missing, jobField(i, job.Missing),
				job.Name+" is not filled in", missingHow(job.Missing))
			one.Job, one.Holds = job.ID, f.HoldsJobs
			continue
		}
		if job.Spread > 0.4 {
			v.add(f.WorkSpread.Of(job.ID), f.Caution, jobField(i, "load.scale.running[0]"),
				job.Name+": pulls vary by "+q.Percent(job.Spread),
				"Pull again, slowly and steadily; the mean is used.")
		}
		if !job.Tangent {
			v.add(f.WorkTangent.Of(job.ID), f.Caution, jobField(i, "load.scale.angle"),
				job.Name+": pull was not square", "Far from square to the radius a small error in angle is a large "+
					"one in torque. Pull at 90°.")
		}
		if job.Found == working.Measured && job.Breakaway > 0 && job.Breakaway < job.Torque {
			v.add(f.WorkBreakaway.Of(job.ID), f.Caution, jobField(i, "load.scale.breakaway[0]"),
				job.Name+": starts easier than it runs", "The breakaway pull is under the running pull. Were they "+
					"swapped?")
		}
	}
	for i := range v.Machine.Jobs {
		v.jobCautions(i, &v.Machine.Jobs[i])
	}
	v.markedFindings()
	v.rimFinding()
	v.runsFinding()
	v.coverFinding()
	v.hangingFinding()
	v.placeFindings()
	v.topSpeedFindings()
}

// jobCautions are what a job's own entries give away: units mixed up, a margin put in twice, a
// feed that can crash.
func (v *verdict) jobCautions(i int, job *work.Need) {
	for k, doubt := range job.Doubts {
		v.add(f.WorkDoubt.Of(job.ID).At(k), f.Caution, jobField(i, doubt.Field),
			job.Name+": "+words.LowerFirst(doubt.Title), doubt.Words)
	}
	if job.Stacked() {
		v.add(f.WorkStacked.Of(job.ID), f.Caution, jobField(i, "margin"), job.Name+": margin put in twice",
			"The figure is a like machine's or the old motor's, whose maker has put a margin in already. Take ×1 "+
				"unless you know the job is heavier than that machine's.")
	}
	if job.Method != work.ByScrew || !job.Feed.Beside {
		return
	}
	v.add(f.WorkFeed.Of(job.ID), f.Caution, jobField(i, "load.screw.feed"),
		job.Name+": the feed goes on when the spindle stops",
		"A motor of its own keeps pushing into a stopped tool. Feed it through a contact of the spindle's drive, and "+
			"show a lamp while it is on.")
	if job.Feed.Geared {
		v.add(f.WorkFeedGeared.Of(job.ID), f.Stop, jobField(i, "load.screw.geared"),
			job.Name+": take the gearbox out of mesh",
			"Driven backwards from the screw's end a geared box can break its teeth or throw its handles. Disengage "+
				"it before the feed motor ever turns, and then take this tick out.")
	}
}

// rimFinding weighs the largest that turns against what cast iron bears, where nothing is marked on it.
func (v *verdict) rimFinding() {
	m := v.Machine
	cast := m.Rim == "cast" || m.Rim == "" && work.FindKind(m.Kind).Cast
	if !v.Runs || m.Diameter == 0 || m.Marked > 0 || !cast {
		return
	}
	rim := reduction.BeltSpeed(m.Diameter, v.Fastest())
	if rim <= reduction.BurstingBelt {
		return
	}
	taken := ""
	if m.Rim == "" {
		taken = " It is taken as cast iron; say so if it is turned from solid."
	}
	v.add(f.WorkRim, f.Stop, "machine.limits.rim", "Rim faster than cast iron bears",
		fmt.Sprintf("%s at ⌀ %s with no load; cast iron can burst over %s.%s Gear it down, or put in the speed its "+
			"maker marked on it.", v.show(rim, q.SurfaceSpeed), v.show(m.Diameter, q.Length),
			v.show(reduction.BurstingBelt, q.SurfaceSpeed), taken)).Working = working.ReachSpeed
}

// risesBy is from how much faster than before a belt or blade runs is worth a caution [common practice].
const risesBy = 1.05

// runsFinding says how fast a machine's own belt or blade runs at the top, and against what its old motor ran it at.
func (v *verdict) runsFinding() {
	m, kind := v.Machine, work.FindKind(v.Machine.Kind)
	if !v.Runs || m.Diameter == 0 || kind.Asks != "diameter" || !kind.Cutter || len(v.Reduction.Positions) == 0 {
		return
	}
	top, what := reduction.BeltSpeed(m.Diameter, v.Fastest()), "Its belt"
	if m.Kind == "bandsaw" {
		what = "Its blade"
	}
	level := f.Good
	detail := fmt.Sprintf("With no load, over ⌀ %s.", v.show(m.Diameter, q.Length))
	if proven := m.Proven(); proven > 0 {
		was := reduction.BeltSpeed(m.Diameter, proven)
		detail += fmt.Sprintf(" Its old motor ran it at %s: %s × that.", v.show(was, q.SurfaceSpeed),
			q.Figures(top/was, 3))
		if top > was*risesBy {
			level = f.Caution
			detail += " Wheels, joint and tracking must bear it: ask for the speed they are made for."
		}
	}
	v.add(f.WorkRuns, level, "machine.limits.diameter", what+" runs "+v.show(top, q.SurfaceSpeed)+" at the top",
		detail).Working = working.ReachSpeed
}

// coverFinding asks for the guard of fan blades and grinding wheels.
func (v *verdict) coverFinding() {
	what := work.FindKind(v.Machine.Kind).Covers
	if what == "" || v.Machine.Covered {
		return
	}
	detail := "Close them in on both sides, so that no finger or sleeve gets through, before it turns."
	if what == "wheel" {
		detail = "A wheel that bursts is held by its guard alone. Close it over all but the working part, with the " +
			"rest set close."
	}
	v.add(f.WorkUncovered, f.Stop, "machine.limits.covered", "No guard noted on the "+what, detail)
}

// hangingFinding asks what holds a load that hangs when the motor lets go.
func (v *verdict) hangingFinding() {
	if !v.Machine.Hangs || v.Machine.Held {
		return
	}
	worm := v.Motor.Gear.HoldsItself()
	for _, s := range v.Reduction.Stages {
		worm = worm || s.HoldsItself()
	}
	title, worms := "Nothing holds the load when the motor lets go", ""
	if worm {
		title = "A worm alone is no brake"
		worms = " A worm that holds today creeps when it shakes, warms or wears in."
	}
	v.add(f.WorkHangs, f.Stop, "machine.limits.held", title, "Power off, a belt off or a drive tripped, and it comes "+
		"down."+worms+" Fit a brake that grips without power, and never stand under it.")
}

// markedFindings ask for the speed marked on what can burst.
func (v *verdict) markedFindings() {
	if v.Machine.Marked > 0 || work.FindKind(v.Machine.Kind).Asks != "marked" {
		return
	}
	if v.Machine.Kind == "grinder" {
		v.add(f.WorkNoMarking, f.Stop, "machine.limits.marked", "No speed marked on the wheel",
			"A wheel without a readable marking does not go on: nobody can say at what speed it bursts. Read the "+
				"marking, or fit a wheel that has one.")
		return
	}
	if !judge.Unlimited(v.Model) {
		v.add(f.WorkNoMarking, f.Caution, "machine.limits.marked", "Marked speed not put in",
			"Read the fastest speed off the chuck, disc or fan; it caps the spindle whatever the motor can do.")
	}
}
