package line

import (
	"fmt"
	"math"
	"strings"

	"jiriki/core/air"
	"jiriki/core/control"
	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/work"
	"jiriki/core/working"
)

func (v *verdict) workFindings() {
	if len(v.Machine.Jobs) == 0 {
		v.add(f.Work, "jobs", f.Missing, "machine.jobs", "What must it do?", "Put in the first job: a speed, and the torque or power it takes.")
	}
	for i, job := range v.Machine.Jobs {
		field := func(part string) string { return fmt.Sprintf("machine.jobs[%d].%s", i, part) }
		if job.Refused {
			continue // said of every entry that cannot be used
		}
		if job.Missing != "" {
			v.add(f.Work, "job-missing."+job.ID, f.Missing, field(job.Missing), job.Name+" is not filled in", missingHow(job.Missing))
			continue
		}
		if job.Spread > 0.4 {
			v.add(f.Work, "spread."+job.ID, f.Caution, field("load.scale.running[0]"), job.Name+": pulls vary by "+q.Percent(job.Spread), "Pull again, slowly and steadily; the mean is used.")
		}
		if !job.Tangent {
			v.add(f.Work, "tangent."+job.ID, f.Caution, field("load.scale.angle"), job.Name+": pull was not square", "Far from square to the radius a small error in angle is a large one in torque. Pull at 90°.")
		}
		if job.Found == working.Measured && job.Breakaway > 0 && job.Breakaway < job.Torque {
			v.add(f.Work, "breakaway."+job.ID, f.Caution, field("load.scale.breakaway[0]"), job.Name+": starts easier than it runs", "The breakaway pull is under the running pull. Were they swapped?")
		}
	}
	for i := range v.Machine.Jobs {
		v.jobCautions(i, &v.Machine.Jobs[i])
	}
	v.markedFindings()
	v.placeFindings()
	v.topSpeedFindings()
}

// jobCautions are what a job's own entries give away: units mixed up, a margin put in twice, a
// feed that can crash.
func (v *verdict) jobCautions(i int, job *work.Need) {
	field := func(part string) string { return fmt.Sprintf("machine.jobs[%d].%s", i, part) }
	for k, doubt := range job.Doubts {
		v.add(f.Work, fmt.Sprintf("doubt.%s.%d", job.ID, k), f.Caution, field(doubt.Field), job.Name+": "+lowerFirst(doubt.Title), doubt.Words)
	}
	if job.Stacked() {
		v.add(f.Work, "stacked."+job.ID, f.Caution, field("margin"), job.Name+": margin put in twice",
			"The figure is a like machine's or the old motor's, whose maker has put a margin in already. Take ×1 unless you know the job is heavier than that machine's.")
	}
	if job.Method != work.ByScrew || !job.Feed.Beside {
		return
	}
	v.add(f.Work, "feed."+job.ID, f.Caution, field("load.screw.feed"), job.Name+": the feed goes on when the spindle stops",
		"A motor of its own keeps pushing into a stopped tool. Feed it through a contact of the spindle's drive, and show a lamp while it is on.")
	if job.Feed.Geared {
		v.add(f.Work, "feed-geared."+job.ID, f.Caution, field("load.screw.geared"), job.Name+": take the gearbox out of mesh",
			"Driven backwards from the screw's end a geared box can break its teeth or throw its handles. Disengage it before the feed motor ever turns.")
	}
}

// markedFindings ask for the speed marked on what can burst.
func (v *verdict) markedFindings() {
	if v.Machine.Marked > 0 || work.FindKind(v.Machine.Kind).Asks != "marked" {
		return
	}
	if v.Machine.Kind == "grinder" {
		v.add(f.Work, "no-marking", f.Stop, "machine.limits.marked", "No speed marked on the wheel",
			"A wheel without a readable marking does not go on: nobody can say at what speed it bursts. Read the marking, or fit a wheel that has one.")
		return
	}
	v.add(f.Work, "no-marking", f.Caution, "machine.limits.marked", "Marked speed not put in",
		"Read the fastest speed off the chuck, disc or fan; it caps the spindle whatever the motor can do.")
}

// placeFindings are what wet, dust and heat ask of motor and drive [common practice].
func (v *verdict) placeFindings() {
	place, open := v.Machine.Place, v.Motor.Cooling == "own-fan"
	if place.Wet == "yes" {
		v.add(f.Work, "wet", f.Caution, "machine.place.wet", "It gets wet here",
			"Motor, drive and switch need enclosures made for splashing, a residual-current device ahead of them, and cable entries from below. Local code and a licensed electrician decide.")
	}
	if place.Dust == "yes" && open {
		detail := "A fan-blown open motor fills with it and cooks. Use a closed motor, or blow it out often with the plug pulled."
		if v.Motor.Kind.Brushed() {
			detail = "Brushes spark, and fine dust burns. Use a closed motor, best one without brushes, and keep the dust swept up."
		}
		v.add(f.Work, "dust", f.Caution, "machine.place.dust", "Dust round the motor", detail)
	}
	v.airFinding()
}

// airTakes reports whether the air there is hotter or thinner than plates mean.
func airTakes(m work.Resolved) bool { return m.Air > air.Rated || m.Altitude > air.RatedHeight }

// airFinding says what hot or thin air takes, which the reach has already given up.
func (v *verdict) airFinding() {
	m := v.Machine
	field, title := "machine.place.hot", "The air is hotter than motors are rated for"
	if m.Air <= air.Rated {
		field, title = "machine.place.altitude", "The air is thinner than motors are rated for"
	}
	if !airTakes(m) {
		return
	}
	drive := ""
	if v.Control.Limits() {
		drive = fmt.Sprintf(", and the drive gives %s of its amps", q.Percent(air.Drive(m.Air, m.Altitude)))
	}
	motorIs := fmt.Sprintf("the motor holds %s of its torque all day%s; the reach shows it", q.Percent(inAir(v.Stations)), drive)
	if v.feed.Way == motor.Pulses || v.feed.Way == motor.Capacitors {
		motorIs = "the winding sheds less heat, which the reach of this motor does not show: feel it after the first hour"
	}
	v.add(f.Work, "air", f.Caution, field, title, fmt.Sprintf("Plates mean air up to %s and 1000 m above the sea. Here %s.", v.show(air.Rated, q.Temperature), motorIs))
}

func lowerFirst(s string) string { return strings.ToLower(s[:1]) + s[1:] }

// missingWays says how to find what a job still lacks, by the start of the field's path.
var missingWays = []struct{ field, how string }{
	{"speed.surface", "Surface speed and the diameters worked give the spindle speed. Choose what is cut and the usual one is taken."},
	{"speed.diameter", "Surface speed and the diameters worked give the spindle speed."},
	{"speed.turns", "Turn it by hand as fast as suits the work and count turns against a clock."},
	{"speed.time", "How long did those turns take?"},
	{"speed.travel", "How fast must it travel, in mm a minute?"},
	{"speed.lead", "How far does it go in one turn?"},
	{"speed.", "How fast must the spindle turn? Count turns against a clock if you can do it by hand."},
	{"load.power", "What power does it take at the spindle?"},
	{"load.torque", "Weigh the pull with a spring scale at a known radius, or put in a figure you trust."},
	{"load.points", "Two speeds at least, with the torque at each."},
	{"load.scale", "Hook a spring scale on at a known radius and write down the pulls."},
	{"load.cutting.specific", "The table has no cutting force for this material: weigh the pull, or put in a figure of your own."},
	{"load.cutting", "The size of the cut gives its force."},
	{"load.comparable", "Choose a machine like it, or put in the motor it carries."},
	{"load.replaced", "Read the old motor's plate; a burnt one still has it."},
	{"load.inertia", "Diameter and weight of each part that turns, and the time it may take to reach speed."},
	{"load.pull", "Pull it with a spring scale in the line it moves, and measure the drum."},
	{"load.screw", "The push the screw must give, and how far it goes in one turn."},
	{"cut.material", "What is cut gives its cutting force."},
}

func missingHow(field string) string {
	for _, way := range missingWays {
		if strings.HasPrefix(field, way.field) {
			return way.how
		}
	}
	return "Fill this in."
}

func (v *verdict) topSpeedFindings() {
	limit, field := v.Machine.TopSpeed()
	if field == "" || !v.runs {
		return
	}
	fastest := 0.0
	for i := range v.Reduction.Positions {
		p := &v.Reduction.Positions[i]
		_, high := v.span(p)
		fastest = math.Max(fastest, high)
	}
	if fastest <= limit*(1+speedTolerance) {
		v.add(f.Work, "top-speed-good", f.Good, field, "Stays under the machine's limit", fmt.Sprintf("Tops out at %s, limit %s.", v.show(fastest, q.Speed), v.show(limit, q.Speed)))
		return
	}
	what := "the spindle's limit"
	if field == "machine.limits.marked" {
		what = "the speed marked on wheel, chuck or disc"
	}
	fix := "Gear it down, or keep the belt off that step."
	if len(v.Reduction.Positions) == 1 {
		fix = "Gear it down."
	}
	if v.Control.Kind == control.StepperDriver {
		fix = "Gear it down, or let its source send no more pulses than that."
	}
	where := "reduction.stages[0].steps[0].driven"
	if v.Control.DCDrive() || v.Control.SetsHertz() {
		_, high := v.model.RotorSpan()
		fix, where = "Gear it down or set the top-speed trim to "+q.Percent(math.Floor(100*high/v.Motor.Speed.Value*limit/fastest)/100)+".", "control.topTrim"
		if v.feed.Way == motor.VariableHertz {
			fix, where = "Gear it down or lower the top hertz to "+v.show(v.feed.TopHertz*limit/fastest, q.Frequency)+".", "control.topHertz"
		}
	}
	v.add(f.Work, "top-speed", f.Stop, where, "Can turn faster than "+what,
		fmt.Sprintf("%s against %s. Bursting stress goes with the square of speed. %s", v.show(fastest, q.Speed), v.show(limit, q.Speed), fix))
}
