package trial

import (
	"fmt"
	"math"

	f "jiriki/core/finding"

	"jiriki/core/motor"
	q "jiriki/core/quantity"
)

// contradicts says that what was read cannot be: it speaks against itself, or against what is possible. Then nothing is
// made of it, neither a figure nor an offer.
func (e *evaluator) contradicts(d Difference, title, detail string) {
	e.out.Contradicts = true
	e.say(d, f.Stop, title, detail)
}

// refuse takes back whatever was made of readings that cannot be.
func (e *evaluator) refuse() {
	var said []Said
	for _, one := range e.out.Said {
		if one.Level == f.Stop {
			said = append(said, one)
		}
	}
	e.out.Said, e.out.Figures, e.out.Curve.Fitted = said, []Figure{}, []Line{}
	e.out.Headline = said[0].Title + "."
	e.out.Correction, e.out.WhyNone = nil, "What cannot be is not taken in. Read it again."
	if e.out.Next.Text == "" {
		e.out.Next = Next{Text: "The same once more.", Why: "What was read cannot be."}
	}
}

// past is how many standard deviations two readings of one thing lie apart before they are not of one thing.
const past = 4.0

// differs reports whether readings of one thing, as logarithms, each out by so much (one standard deviation), lie
// further apart than they may, and the two that lie furthest.
func differs(logs []float64, off float64) (low, high int, apart bool) {
	for i := range logs {
		if logs[i] < logs[low] {
			low = i
		}
		if logs[i] > logs[high] {
			high = i
		}
	}
	return low, high, logs[high]-logs[low] > past*math.Sqrt2*off
}

// mostSlip is the most an induction motor may slip before it is no running motor that was read: fans on few volts slip
// far, all others break down before [common practice].
func mostSlip(k motor.Kind) float64 {
	switch k {
	case motor.ShadedPole, motor.PermanentSplit:
		return 0.6
	}
	return 0.2
}

// mostDrop is the share of its plate's volts a sound winding's ohms never take at plate amps: nothing would be left to
// turn it [common practice].
const mostDrop = 0.95

// tooManyOhms says where ohms, with the plate's amps through them, would take the plate's volts: no sound winding has
// them.
func (e *evaluator) tooManyOhms(ohms float64, name string) {
	mo := &e.stations.Motor
	if !mo.Volts.OK() || !mo.Amps.OK() || !(ohms*mo.Amps.Value > mostDrop*mo.Volts.Value) {
		return
	}
	e.contradicts(OpenCircuit, fmt.Sprintf("%s is no sound winding of this motor", e.show(ohms, q.Resistance)),
		fmt.Sprintf("%s: its plate's %s through them would take %s of its %s. A brush that does not "+
			"touch, an open bar, a dirty commutator or a lead that is not on the winding: find it and read again.",
			name, e.show(mo.Amps.Value, q.Current), e.show(ohms*mo.Amps.Value, q.Voltage),
			e.show(mo.Volts.Value, q.Voltage)))
}

// swapped says where a ratio fits the plan's only the other way up.
func (e *evaluator) swapped(ratio, expected float64) bool {
	near := func(a float64) bool { return math.Abs(math.Log(a/expected)) < swappedWithin }
	if !(expected > 0) || near(ratio) || !near(1/ratio) {
		return false
	}
	e.contradicts(Swapped, "Swapped?", fmt.Sprintf("%s was read, and the plan makes %s: just the other way up. The "+
		"motor "+
		"belongs in the first column, the spindle in the second.", q.Ratio(ratio), q.Ratio(expected)))
	return true
}

// swappedWithin is how near a ratio the other way up must come, as a logarithm.
const swappedWithin = 0.08

// rises says where speeds of a spin-down do not fall.
func (e *evaluator) rises(list []coast) bool {
	for _, c := range list {
		last := len(c.t) - 1
		for i := 1; i <= last; i++ {
			if c.omega[i]-c.omega[i-1] > past*math.Hypot(c.off[i], c.off[i-1]) {
				e.contradicts(Scattered, "It gains speed while it coasts", fmt.Sprintf("%s after %s, %s after %s. "+
					"Something drives it, or the readings stand in the wrong order.", e.show(c.omega[i-1], q.Speed),
					e.show(c.t[i-1], q.Duration), e.show(c.omega[i], q.Speed), e.show(c.t[i], q.Duration)))
				return true
			}
		}
		if last > 0 && c.omega[0]-c.omega[last] < past*math.Hypot(c.off[0], c.off[last]) {
			e.contradicts(Scattered, "It does not slow down", fmt.Sprintf("%s at first, %s after %s: no more than the "+
				"instrument tells. Let go, whatever turns slows; read on until it stands.",
				e.show(c.omega[0], q.Speed), e.show(c.omega[last], q.Speed), e.show(c.t[last]-c.t[0], q.Duration)))
			return true
		}
	}
	return false
}

// discTells reports whether the disc made the coast longer, as it must; it says so where it made it shorter.
func (e *evaluator) discTells(list []coast) bool {
	slows := func(disc bool) (slow, spread float64, ok bool) {
		var some []coast
		for _, c := range list {
			if c.disc == disc {
				some = append(some, c)
			}
		}
		fitted, ok := fitCoasts(some, 0)
		if !ok {
			return 0, 0, false
		}
		at := func(x []float64) float64 { d := fitted.drag(x); return d.at(e.middle(list)) }
		return at(fitted.fit.X), spreadIn(&fitted.fit, fitted.fit.SpreadOf(at)), true
	}
	without, off, ok := slows(false)
	with, offWith, okWith := slows(true)
	if !ok || !okWith {
		return false
	}
	if with-without > off+offWith {
		e.contradicts(Scattered, "The disc made it stop sooner", "What is heavier coasts longer on the same drag. "+
			"The two "+
			"spin-downs are swapped, or something rubbed the second time.")
	}
	return without-with > math.Hypot(off, offWith)
}

// middle is a speed all spin-downs went through, or near it, rad/s.
func (e *evaluator) middle(list []coast) float64 {
	low, high := 0.0, math.Inf(1)
	for _, c := range list {
		low, high = max(low, c.omega[len(c.omega)-1]), min(high, c.omega[0])
	}
	return (low + high) / 2
}

// keepsOverStarts says where a pull that keeps it going is larger than one that just starts it.
func (e *evaluator) keepsOverStarts(running, spread, resting float64) bool {
	if running == 0 || resting == 0 || running-spread <= resting {
		return false
	}
	e.contradicts(Scattered, "It takes more to keep it going than to start it", fmt.Sprintf("%s keeps it going, %s "+
		"starts it: that cannot be. The two are swapped, or something caught.", e.show(running, q.Torque),
		e.show(resting, q.Torque)))
	return true
}
