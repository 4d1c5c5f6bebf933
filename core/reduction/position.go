package reduction

import (
	"fmt"
	"math"
	"strconv"
	"strings"
)

// Out stands for the step of a stage that is out of mesh: the shafts turn as one.
const Out = -1

// Position is one setting of every stage.
type Position struct {
	Label      string
	Steps      []int   // chosen step of each stage, or Out
	Ratio      float64 // motor speed over spindle speed
	Efficiency float64 // of all its stages together
	Reckoned   float64 // what its wheels make, where a measured ratio rules; else 0
	Unslipped  float64 // the ratio while nothing slips, as without a load
	Inertia    float64 // kg·m² of its own wheels, at the spindle

	links               []link
	least, leastBriefly float64 // N·m that all of them bear at any speed up to upTo, for ever and for some seconds
	upTo                float64 // rad/s
}

// link is what one stage or shaft of a position bears, carried to the spindle.
type link struct {
	radius float64 // m of the driven wheel, for a belt or chain
	speed  float64 // its speed over the spindle's
	gain   float64 // spindle torque for one N·m here
	pull   Pull
	level  float64 // N·m here whatever the speed, for a shaft, a key or a rating; 0 for a belt
	brief  float64 // the same once in a while, in a jam: short of what bends or shears it for good
	by     WeakLink
	jam    float64 // times its rating that it pulls or bears for some seconds
	slips  bool    // past what it bears it slips, and breaks nothing
}

// WeakLink names what a stage is held by, in the words shown.
type WeakLink string

// Carries returns the most torque (N·m) the position's belts, chains, shafts and keys pass to the
// spindle while it turns at omega (rad/s), and which of them holds it; +Inf and "" when nothing is
// rated. overload is how far past its rating a belt may pull for the time in question; for ever, 1, a shaft or
// key bears what does not tire it, and past that what does not bend or shear it.
func (p *Position) Carries(omega, overload float64) (float64, WeakLink) {
	most, by := math.Inf(1), WeakLink("")
	for i := range p.links {
		l := &p.links[i]
		here := l.level
		if overload > 1 {
			here = l.brief
		}
		if l.level == 0 {
			share := overload
			if overload == OverloadShare {
				share = l.jam
			}
			here = share * l.pull.Carries(omega*l.speed*l.radius) * l.radius
		}
		if here *= l.gain; here < most {
			most, by = here, l.by
		}
	}
	return most, by
}

// Slips is the torque (N·m at the spindle, turning at omega) past which one of the position's belts slips on its
// pulleys; +Inf where none does, or none is rated. Toothed belts, chains and gears do not slip: they jump or break.
func (p *Position) Slips(omega float64) float64 {
	most := math.Inf(1)
	for i := range p.links {
		if l := &p.links[i]; l.slips {
			most = min(most, OverloadShare*l.pull.Carries(omega*l.speed*l.radius)*l.radius*l.gain)
		}
	}
	return most
}

// LookTo works out once what the position bears at every speed up to omega (rad/s), for ever and for some seconds,
// so that [Position.Surely] can tell. What a belt, chain or tooth bears never grows with speed, so it is what is
// borne there.
func (p *Position) LookTo(omega float64) {
	p.upTo = omega
	p.least, p.leastBriefly = math.Inf(1), math.Inf(1)
	for i := range p.links {
		l := &p.links[i]
		forever, briefly := l.level, l.brief
		if l.level == 0 {
			forever = l.pull.Carries(omega*l.speed*l.radius) * l.radius
			briefly = l.jam * forever
		}
		p.least, p.leastBriefly = min(p.least, forever*l.gain), min(p.leastBriefly, briefly*l.gain)
	}
}

// Surely reports whether a torque (N·m) at a speed (rad/s) is known to be borne, for ever where overload is 1 and
// else for as long as [OverloadShare] is for, without looking closer.
func (p *Position) Surely(torque, omega, overload float64) bool {
	least := p.least
	if overload == OverloadShare {
		least = p.leastBriefly
	}
	return torque <= least && omega <= p.upTo
}

// Positions are all the combinations of the stages' steps, in the order the steps are given. Stages
// side by side that can be put out of mesh are in or out together.
func Positions(stages []Stage) []Position {
	all := [][]int{nil}
	for i := range stages {
		s := &stages[i]
		var next [][]int
		for _, chosen := range all {
			add := func(step int) {
				with := make([]int, i+1, len(stages))
				copy(with, chosen)
				with[i] = step
				next = append(next, with)
			}
			if s.Bypass && (i == 0 || !stages[i-1].Bypass || chosen[i-1] == Out) {
				add(Out)
				if i > 0 && stages[i-1].Bypass {
					continue
				}
			}
			for k := range s.Steps {
				add(k)
			}
		}
		all = next
	}
	out := make([]Position, len(all))
	for i, chosen := range all {
		out[i].Set(stages, chosen)
		out[i].Label = label(stages, &out[i])
	}
	return out
}

// Set makes the position one setting of stages, a step of each or Out; it has no label.
func (p *Position) Set(stages []Stage, chosen []int) {
	p.Steps, p.Ratio, p.Efficiency, p.Unslipped = chosen, 1, 1, 1
	for i := range stages {
		if chosen[i] != Out {
			p.Ratio *= stages[i].Steps[chosen[i]].Ratio
			p.Efficiency *= stages[i].Efficiency
			p.Unslipped *= stages[i].Steps[chosen[i]].Ratio * (1 - stages[i].Slip)
		}
	}
	p.links, p.least, p.leastBriefly, p.upTo = p.links[:0], 0, 0, 0
	speed, gain := 1.0, 1.0
	p.Inertia = 0
	for i := len(stages) - 1; i >= 0; i-- {
		if chosen[i] == Out {
			continue
		}
		s := &stages[i]
		step := &s.Steps[chosen[i]]
		p.fit(s.OnDriven, s.Aside(step.Driven), gain, s.weak.driven)
		p.hold(link{level: s.Rated, brief: s.Rated, gain: gain, by: s.weak.rated})
		if step.Pull.Rated() {
			p.links = append(p.links, link{radius: step.Driven / 2, speed: speed, gain: gain, pull: step.Pull,
				by: s.weak.belt, slips: s.Slips(), jam: s.inAJam()})
		}
		face := s.face()
		p.Inertia += speed * speed * wheelInertia(step.Driven, face)
		speed *= step.Ratio
		p.Inertia += speed * speed * wheelInertia(step.Driver, face)
		gain *= step.Ratio * s.Efficiency
		p.fit(s.OnDriving, s.Aside(step.Driver), gain, s.weak.driving)
	}
}

// RatioAt returns the stage's ratio on one of its steps, 1 when it is Out.
func (s Stage) RatioAt(step int) float64 {
	if step == Out {
		return 1
	}
	return s.Steps[step].Ratio
}

// fit adds a shaft and what holds the wheel on it.
func (p *Position) fit(on Fit, aside, gain float64, by WeakLink) {
	p.hold(link{level: on.Bears(aside), brief: on.Survives(aside), gain: gain, by: by})
}

// hold adds a link that bears so much whatever the speed, where it is known.
func (p *Position) hold(l link) {
	if l.level > 0 {
		p.links = append(p.links, l)
	}
}

// weaknesses are what can hold a stage, in words.
type weaknesses struct{ driving, driven, rated, belt WeakLink }

// WeakLinks are what the stage's two shafts are called where they hold a position back.
func (s *Stage) WeakLinks() (driving, driven WeakLink) { return s.weak.driving, s.weak.driven }

// name puts in words what can hold the stage, which is the nth of several.
func (s *Stage) name(nth, of int) {
	where := ""
	if of > 1 {
		where = fmt.Sprintf(" of stage %d", nth)
	}
	carrier := "belt"
	if s.Kind == Chain {
		carrier = "chain"
	}
	s.weak = weaknesses{
		driving: WeakLink("the driving shaft" + where), driven: WeakLink("the driven shaft" + where),
		rated: WeakLink("the maker's rating" + where), belt: WeakLink("what the " + carrier + where + " carries"),
	}
	if s.Kind == Spur {
		s.weak.belt = WeakLink("what the gear teeth" + where + " carry")
		if s.Untold != "" {
			s.weak.belt += ", by a guess"
		}
	}
}

// label names a position by what can be moved: "step 2", "A2 B1" with two cones, "low" with the
// back gear in.
func label(stages []Stage, p *Position) string {
	var parts []string
	gear := ""
	for i := range stages {
		s := &stages[i]
		if s.Bypass {
			if gear = "low"; p.Steps[i] == Out {
				gear = "direct"
			}
		}
		if len(s.Steps) > 1 && p.Steps[i] != Out {
			parts = append(parts, string(rune('A'+i))+strconv.Itoa(p.Steps[i]+1))
		}
	}
	name := strings.Join(parts, " ")
	if len(parts) == 1 {
		name = "step " + name[1:]
	}
	switch {
	case name == "" && gear == "":
		return "the only position"
	case gear == "":
		return name
	case name == "":
		return gear
	}
	return name + ", " + gear
}
