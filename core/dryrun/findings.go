package dryrun

import (
	"fmt"
	"math"
	"slices"
	"strings"

	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
	"jiriki/core/script"
	"jiriki/core/work"
)

// When a run has something to say [common practice].
const (
	startWindingMost = 3.0 // s a start winding or its switch stands
	atLimitMost      = 2.0 // s at a limit worth a word
	coastsLong       = 8.0 // s of turning on that a hand does not wait for
	magnetsMost      = 3.0 // × plate amps, to spare the magnets
	slipsMost        = 0.3 // s of slip worth a word
)

// teller says what a run came to.
type teller struct {
	*run
	res  *Results
	sys  q.System
	list []f.Finding
}

// findingsOf is everything there is to say of a run, most serious first.
func findingsOf(r *run, res *Results, sys q.System) []f.Finding {
	s := &teller{run: r, res: res, sys: sys, list: []f.Finding{}}
	s.starting()
	for i := range res.Cuts {
		s.cut(&res.Cuts[i])
	}
	s.tripping()
	s.heat()
	s.passing()
	s.stopping()
	s.asked()
	return inOrder(s.list)
}

// inOrder puts the most serious first, and of one level what was said first.
func inOrder(list []f.Finding) []f.Finding {
	out := make([]f.Finding, 0, len(list))
	for _, level := range []f.Level{f.Stop, f.Missing, f.Caution, f.Good} {
		for _, one := range list {
			if one.Level == level {
				out = append(out, one)
			}
		}
	}
	return out
}

func (s *teller) add(id f.ID, level f.Level, field, title, detail string) *f.Finding {
	s.list = append(s.list, f.Finding{ID: id, Level: level, Station: id.Station(), Field: field, Title: title,
		Detail: detail, Dry: true})
	return &s.list[len(s.list)-1]
}

func (s *teller) show(v float64, d q.Dimension) string { return q.Show(v, d, s.sys) }
func (s *teller) seconds(v float64) string             { return seconds(v, s.sys) }

// first is something as it happened the first time; false where it did not.
func (s *teller) first(what What) (happened, bool) {
	for _, e := range s.log.events {
		if e.what == what {
			return e, true
		}
	}
	return happened{}, false
}

func (s *teller) starting() {
	on, powered := s.first(Powered)
	leaves, turns := s.first(Leaves)
	field := s.jobStart()
	off, unpowered := s.first(Unpowered)
	switch {
	case !powered:
		s.add(f.DryNoStart, f.Caution, "script.events", "It was never switched on", "Nothing was run but time.")
	case !turns && unpowered && off.t-on.t < noTurning:
		s.add(f.DryNoStart, f.Caution, "script.events", "It was off again before it turned",
			"It had power for "+s.seconds(off.t-on.t)+".")
	case !turns:
		s.add(f.DryNoStart, f.Stop, field, "It does not start",
			fmt.Sprintf("%s at the spindle is what holds it, and %s is what reaches it from rest. Left on, it only "+
				"heats.",
				s.show(s.holds(on.t, s.y), q.Torque), s.show(s.reachesAtRest(), q.Torque)))
	case s.res.NotUp:
		_, _, by := s.firstStart()
		what := "it was put off"
		if by != nil {
			what = "“" + by.Says(&s.Machine) + "” came"
		}
		s.add(f.DryStarts, f.Caution, "script.events", "Not up to speed yet when "+what,
			"It was still gaining. Put that later to see how long it takes.")
	case s.res.ToSpeed > 0:
		detail := fmt.Sprintf("It draws %s at the most.", s.show(s.ampsUntil(on.t+s.res.ToSpeed), q.Current))
		if waits := leaves.t - on.t; waits > 0.1 {
			detail = fmt.Sprintf("It leaves rest after %s, and draws %s at the most.", s.seconds(waits),
				s.show(s.ampsUntil(on.t+s.res.ToSpeed), q.Current))
		}
		s.add(f.DryStarts, f.Good, "", "Starts in "+s.seconds(s.res.ToSpeed), detail)
	}
	if over := s.res.StartWinding; over > startWindingMost {
		s.add(f.DryStartWinding, f.Stop, "motor.kind", "Its start winding is in for "+s.seconds(over),
			"It and its capacitor stand about "+s.seconds(startWindingMost)+" at a time before they burn. A lighter "+
				"start, a belt let slack at first or a clutch saves them; so does a slower position.")
	}
}

// jobStart is the field of what starts the first job, to weigh it again.
func (s *teller) jobStart() string {
	for _, e := range s.script.Events {
		if e.Job >= 0 {
			return fmt.Sprintf("machine.jobs[%d].start.torque", e.Job)
		}
	}
	return "script.friction"
}

// reachesAtRest is the most torque that reached the spindle while it stood, N·m.
func (s *teller) reachesAtRest() (most float64) {
	for i := range s.log.rows {
		if one := &s.log.rows[i]; one.stuck {
			most = max(most, math.Abs(one.torque)*s.turns*s.keeps)
		}
	}
	return most
}

func (s *teller) ampsUntil(t float64) (most float64) {
	for i := range s.log.rows {
		if one := &s.log.rows[i]; one.t <= t {
			most = max(most, math.Abs(one.amps))
		}
	}
	return most
}

// cutID is a finding as it is said of one load: by its job, or by the event that brings it.
func cutID(id f.ID, c *Cut) f.ID {
	if c.Job != "" {
		return id.Of(c.Job)
	}
	return id.Of(fmt.Sprint(c.Entry))
}

// cut says how one load came out: of a job a stall is short of what it was built for, of a jam what is to be expected
// and must be borne.
func (s *teller) cut(c *Cut) {
	isJob := c.Job != ""
	field := fmt.Sprintf("script.events[%d].torque", c.Entry)
	if isJob {
		field = fmt.Sprintf("machine.jobs[%d].load", c.job)
	}
	switch needs := s.show(c.Torque, q.Torque); {
	case c.Unknown:
		one := s.add(cutID(f.DryHolds, c), f.Missing, fmt.Sprintf("machine.jobs[%d].%s", c.job, s.job0(c).Missing),
			"What "+c.Name+" takes is not known", "Nothing came on in its place. Fill it in, and it is run too.")
		one.Job = c.Job
	case c.Stalls > 0 && c.Before > 0:
		level := f.Stop
		if !isJob {
			level = f.Caution
		}
		one := s.add(cutID(f.DryStalls, c), level, field, "Stalls under "+c.Name,
			fmt.Sprintf("%s against what reaches the spindle%s: it stands %s after it came on, and draws %s there.",
				needs, s.heldBy(c.by), s.seconds(c.Stalls-c.From), s.show(c.Amps, q.Current)))
		one.Short, one.Job = isJob, c.Job
	case c.Off || c.Before == 0 && c.Holds == 0:
	case c.Before == 0:
		s.add(cutID(f.DryHolds, c), f.Good, "", "Starts under "+c.Name, fmt.Sprintf("%s, and it comes to %s.%s", needs,
			s.rpm(c.Holds), s.overItsMinutes(c)))
	case c.AtLimit > atLimitMost && isJob && c.Sag > 0.2:
		one := s.add(cutID(f.DryStalls, c), f.Stop, field, c.Name+" pulls it down",
			fmt.Sprintf("From %s to %s, held by %s for "+
				"%s.", s.rpm(c.Before), s.rpm(c.Holds), c.by, s.seconds(c.AtLimit)))
		one.Short, one.Job = true, c.Job
	case isJob && s.job0(c).Fall > 0 && c.Sag > s.job0(c).Fall:
		one := s.add(cutID(f.DrySags, c), f.Caution, fmt.Sprintf("machine.jobs[%d].fall", c.job),
			c.Name+" takes more speed than it may", fmt.Sprintf("%s of it, where the job allows %s: %s is left of %s.",
				q.Percent(c.Sag), q.Percent(s.job0(c).Fall), s.rpm(c.Holds), s.rpm(c.Before)))
		one.Job = c.Job
	default:
		one := s.add(cutID(f.DryHolds, c), f.Good, "", "Holds "+c.Name+" for "+s.seconds(c.To-c.From),
			fmt.Sprintf("%s at %s, %s less than before it, and %s at the most.%s", needs, s.rpm(c.Holds),
				q.Percent(c.Sag), s.show(c.Amps, q.Current), s.overItsMinutes(c)))
		one.Job = c.Job
	}
}

// overItsMinutes says where the verdict does not call a job done that was held for some seconds: seconds prove nothing
// of hours.
func (s *teller) overItsMinutes(c *Cut) string {
	if c.job < 0 || s.Best(s.job0(c), s.Reduction.Positions).Outcome.Done() {
		return ""
	}
	return " For as long as the job lasts the verdict finds it short."
}

func (s *teller) job0(c *Cut) *work.Need { return &s.Machine.Jobs[c.job] }

func (s *teller) rpm(v float64) string { return s.show(v*q.RPM, q.Speed) }

func (s *teller) heldBy(by motor.Limit) string {
	if by == "" {
		return ""
	}
	return ", held by " + string(by)
}

// tripWords are what is said of what put it off.
var tripWords = map[Why]struct {
	id           f.ID
	field, title string
	detail       string
}{
	OverAmps: {f.DryTrips, "control.limitAmps", "The drive trips on overload",
		"Most let go after a minute at half as much again as they are rated for."},
	OverVolts: {f.DryOverVolts, "control.accel", "The drive trips on over-volts",
		"What turns gives its energy back faster than the drive can take it; then nothing brakes it, and it coasts."},
	BreakerTrip: {f.DryBreaker, "supply.breaker", "The breaker trips",
		"Find out why before a bigger one is thought of: the cable is sized for this one."},
	RelayTrip: {f.DryTrips, "control.kind", "The overload relay opens",
		"It does what it is there for. Wait until it is cool, and find out what held the motor."},
	LostStep: {f.DryLostStep, "motor.plate.holdingTorque", "It loses step",
		"A stepper that is asked for more than it pulls stands and buzzes, and where it is nobody knows any more."},
	BatteryEmpty: {f.DryBattery, "supply.holds", "The battery is down to what is left in it",
		"Four fifths of it is what it is asked for, so that it lasts."},
	WindingHot: {f.DryClass, "motor.plate.insulation", "The protector in the winding opens",
		"It has reached what its class allows."},
}

func (s *teller) tripping() {
	said := map[Why]bool{}
	for _, e := range s.log.events {
		if e.what != Trips || said[e.why] {
			continue
		}
		said[e.why] = true
		w := tripWords[e.why]
		if e.why == OverVolts && s.Control.BrakeOhms > 0 {
			w.title = "Its brake resistor is too small"
			w.field = "control.brakeOhms"
			w.detail = fmt.Sprintf("It burns %s at the most, and more than that comes back; then nothing brakes it.",
				s.show(s.brakeMost(), q.Power))
		}
		level := f.Caution
		if e.why == BreakerTrip || e.why == LostStep || e.why == WindingHot {
			level = f.Stop
		}
		s.add(w.id, level, w.field, w.title, fmt.Sprintf("At %s. %s", s.seconds(e.t), w.detail))
	}
	if e, ok := s.first(StartsItself); ok {
		s.startsItself(e, said[WindingHot])
	}
	if s.res.AtLimit > atLimitMost && !said[OverAmps] {
		s.add(f.DryAtLimit, f.Caution, "control.limitAmps", "It sits at its limit for "+s.seconds(s.res.AtLimit),
			fmt.Sprintf("Held by %s. Most drives let go after a minute at half as much again as they are rated for.",
				s.res.held))
	}
	if most := magnetsMost * s.Motor.Amps.Value; s.Motor.Kind.Magnets() && s.res.MostAmps > most*(1+1e-9) {
		s.add(f.DryMagnets, f.Stop, "control.limitAmps", "Too many amps for its magnets",
			fmt.Sprintf("%s at %s; past %s they weaken for good, and it then runs faster than its plate says.",
				s.show(s.res.MostAmps, q.Current), s.seconds(s.res.MostAmpsAt), s.show(most, q.Current)))
	}
}

// startsItself is a start that nobody asked for: power that came back, or a protector that closed again, which no
// release keeps off.
func (s *teller) startsItself(e happened, protector bool) {
	if protector {
		s.add(f.DryStartsItself, f.Stop, "motor.plate.protector", "It starts by itself",
			fmt.Sprintf("At %s its protector has cooled and closes, with nobody at the switch. A no-volt release does "+
				"not "+
				"see that: one reset by hand, or the protector wired into the release, keeps it off.", s.seconds(e.t)))
		return
	}
	level := f.Caution
	if work.FindKind(s.Machine.Kind).Cutter {
		level = f.Stop
	}
	s.add(f.DryStartsItself, level, "control.noVolt", "It starts by itself",
		fmt.Sprintf("At %s, with nobody at the switch. A no-volt release keeps it off until it is switched on again.",
			s.seconds(e.t)))
}

func (s *teller) heat() {
	celsius := func(v float64) string { return s.show(v+zeroCelsius, q.Temperature) }
	most := s.res.MostWinding
	if most > s.limit && !s.protects {
		s.add(f.DryClass, f.Stop, "motor.plate.insulation", "Its winding passes its class",
			fmt.Sprintf("%s, where class %s allows %s. It ages in hours, and nothing in it opens.", celsius(most),
				s.Motor.Insulation, celsius(s.limit)))
	}
}

func (s *teller) passing() {
	if s.res.slipped > slipsMost {
		s.add(f.DrySlips, f.Caution, "reduction.stages[0].kind", "Belt or clutch slips for "+s.seconds(s.res.slipped),
			fmt.Sprintf("%s went into the reduction. A belt that slips glazes and smells.", q.Joules(s.y[passed])))
	}
	if s.res.Bears > 1+1e-6 {
		_, by := s.position.Carries(0, 1)
		s.add(f.DryBears, f.Stop, "reduction.stages[0].kind", "More than the reduction bears",
			fmt.Sprintf("%s of what %s for some seconds. Something that slips first, or a lower current limit, spares "+
				"it.", q.Percent(s.res.Bears), bearing(string(by))))
	}
}

// bearing says what a link bears, in the words it is named by: "the driven shaft bears", "the belt carries".
func bearing(by string) string {
	if what, carries := strings.CutPrefix(by, "what "); carries {
		return what
	}
	return by + " bears"
}

func (s *teller) stopping() {
	if s.Machine.ScrewedOn && s.res.braking > 0 {
		s.add(f.DryUnscrews, f.Stop, "machine.limits.screwedOn", "It can unscrew what is screwed on",
			fmt.Sprintf("The stop pulls back on the spindle with %s, the way its thread comes off. Let it coast, stop "+
				"it "+
				"slowly, or pin what is screwed on.", s.show(s.res.braking, q.Torque)))
	}
	took := s.res.Stop
	switch {
	case took > coastsLong || s.res.StillTurns && s.stopAsked():
		says := "Turns on for " + s.seconds(took)
		if took == 0 {
			says = "Still turns at the end"
		}
		s.add(f.DryCoasts, f.Caution, "control.brakeOhms", says,
			"Nobody near it until it stands, and nothing put in to slow it by hand."+s.guessed())
	case took > 0:
		s.add(f.DryCoasts, f.Good, "", "Stands "+s.seconds(took)+" after the stop", s.stopWords())
	}
}

// guessed says what of what turns and rubs is a guess.
func (s *teller) guessed() string {
	switch g := s.guess; {
	case g.inertia && g.friction:
		return " Its inertia and friction are guessed."
	case g.inertia:
		return " Its inertia is guessed."
	case g.friction:
		return " Its friction is guessed."
	}
	return ""
}

// stopAsked reports whether the script asks it to stop.
func (s *teller) stopAsked() bool {
	return slices.ContainsFunc(s.script.Events, func(e script.Timed) bool { return stops(e.Does) })
}

func (s *teller) stopWords() string {
	if joules := s.res.BrakeJoules; joules > 0 {
		return q.Joules(joules) + " into the brake resistor."
	}
	return "By its own friction and what the control takes."
}

// asked is what was asked of it that it does not do.
func (s *teller) asked() {
	for _, e := range s.log.events {
		switch e.what {
		case OutOfReach:
			s.add(f.DryReach.Of(fmt.Sprint(e.e.Entry)), f.Caution, fmt.Sprintf("script.events[%d].speed", e.e.Entry),
				"Asked for more speed than there is", "It turns as fast as it can in this position; a faster one is "+
					"another "+
					"position's.")
		case NoReverse:
			s.add(f.DryNoReverse, f.Caution, "control.reverse", "There is nothing to reverse it with",
				"It turns on as it was. A switch or a drive that reverses is put in with the control.")
		case KeepsTurning:
			s.add(f.DryNoReverse, f.Caution, "control.reverse", "It takes no notice of the reverse",
				"Its start winding is out while it turns, and that is what gives it its direction. Stop it first.")
		case Plugged:
			if s.spunAt(e.t) {
				s.add(f.DryPlugged, f.Stop, "control.reverse", "Reversed while it turns",
					"Current and torque are the most there can be, and what is screwed on comes off. Stop it first.")
			}
		}
	}
}

// spunAt reports whether the spindle turned at a time.
func (s *teller) spunAt(t float64) bool {
	for i := range s.log.rows {
		if one := &s.log.rows[i]; one.t >= t {
			return !one.stuck
		}
	}
	return false
}
