//go:build long

package fault

import (
	"math/rand/v2"
	"testing"

	"github.com/stretchr/testify/assert"

	"jiriki/core/dryrun"
	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
	q "jiriki/core/quantity"
	"jiriki/core/script"
)

// spoilt is a sound line and the same with one thing about it wrong in its figures. What it does, and how tests come
// out on it, follow from runs of both: nothing of it comes from the tables of causes and tests.
type spoilt struct {
	is       string
	sound    plan.Input
	bad      plan.Input
	symptom  string
	tripped  float64 // s after which it tripped; 0 for never
	friction float64 // how many times as hard it turns
}

// spoils are the things that are made wrong, each on the lines that have it.
var spoils = []struct {
	is    string
	has   func(v *view) bool
	spoil func(s *spoilt)
}{
	{"top-hertz", inverter, func(s *spoilt) { s.bad.Plan.Control.TopHertz = "25 Hz" }},
	{"max-trim", dcDrive, func(s *spoilt) { s.bad.Plan.Control.TopTrim = "45 %" }},
	{"limit-low", hasDrive, func(s *spoilt) {
		s.bad.Plan.Control.LimitAmps = times(viewOf(s.bad).Control.LimitAmps,
			0.3, "A")
	}},
	{"overloaded", always, func(s *spoilt) { s.bad.Machine.Jobs[0].Load.Torque = times(workOf(s.bad), 3.5, "N·m") }},
	{"spindle-dry", not(stepping), func(s *spoilt) {
		s.bad.Plan.Script.Friction, s.friction = times(workOf(s.bad), 0.9, "N·m"), 9
	}},
	{"low-volts", all(onMains, contactor), func(s *spoilt) {
		s.bad.Plan.Supply.Volts = times(viewOf(s.bad).Supply.Volts, 0.7, "V")
	}},
	{"flat-battery", all(onBattery, not(stepping)), func(s *spoilt) {
		s.bad.Plan.Supply.Volts = times(viewOf(s.bad).Supply.Volts, 0.75, "V")
	}},
	{"long-lead", all(onMains, contactor), func(s *spoilt) { s.bad.Plan.Supply.Inside = "4 Ω" }},
	{"magnets-weak", all(magnets, dcDrive), func(s *spoilt) {
		m := viewOf(s.bad).Motor
		s.bad.Plan.Motor.Readings = []motor.Reading{{Sort: "open", Speed: "1000 rpm",
			Volts: times(m.DC.Ke.Value*1000*q.RPM, 0.6, "V")}}
	}},
	{"weak-breaker", all(onMains, contactor), func(s *spoilt) {
		s.bad.Plan.Supply.Breaker = times(viewOf(s.bad).Motor.Amps.Value, 0.7, "A")
	}},
	{"heavy-start", all(onMains, contactor), func(s *spoilt) { s.bad.Plan.Script.Inertia = "6 kg·m²" }},
	{"decel-short", inverter, func(s *spoilt) {
		s.bad.Plan.Script.Inertia, s.bad.Plan.Control.Accel = "0.3 kg·m²",
			"0.1 s"
	}},
	{"no-release", released, func(s *spoilt) { s.bad.Plan.Control.NoVolt = false }},
	{"step-ramp", stepping, func(s *spoilt) { s.bad.Plan.Control.Accel = "0.005 s" }},
}

func times(si, k float64, unit string) q.Text { return q.WrittenTo(si*k, 4, unit) }

func viewOf(in plan.Input) *view {
	v, err := newView(in)
	if err != nil {
		panic(err)
	}
	return v
}

// workOf is the torque of a line's first job, N·m.
func workOf(in plan.Input) float64 { return viewOf(in).Machine.Jobs[0].Torque }

// day is what is done with each: on, its work, power that fails and comes back, its work again, and a stop.
func day(in plan.Input, torque float64) plan.Input {
	in = plantest.Copied(in)
	cut := script.Event{At: "30 s", Does: script.Cut, Job: in.Machine.Jobs[0].ID, Lasts: "15 s"}
	if torque > 0 {
		cut.Torque = times(torque, 1, "N·m")
	}
	in.Plan.Script.Events = []script.Event{{At: "0 s", Does: script.On}, cut,
		{At: "60 s", Does: script.Fails, Lasts: "20 s"}, {At: "90 s", Does: script.On}, {At: "120 s",
			Does: script.Ramp}}
	in.Plan.Script.Lasts = "150 s"
	return in
}

// ran is what a day comes to.
type ran struct {
	dryrun.Answer
	top float64 // spindle rpm before its work comes on
	sag float64
}

func runs(in plan.Input) (out ran, ok bool) {
	a, err := dryrun.Whole(in, func(float64) bool { return true })
	if err != nil || len(a.Results.Cuts) == 0 {
		return out, false
	}
	cut := a.Results.Cuts[0]
	out = ran{Answer: a, top: cut.Before, sag: cut.Sag}
	if cut.Stalls > 0 {
		out.sag = 1
	}
	return out, true
}

func (r *ran) happened(what dryrun.What) (at float64, yes bool) {
	for _, e := range r.Events {
		if e.What == what {
			return e.Seconds, true
		}
	}
	return 0, false
}

// tripped is what put it off first, in the dry run's words, and when it did after it was started.
func (r *ran) tripped() (what string, after float64) {
	started := 0.0
	for _, e := range r.Events {
		if e.What == dryrun.Powered {
			started = e.Seconds
		}
		if e.What == dryrun.Trips {
			return e.Words, e.Seconds - started
		}
	}
	return "", 0
}

// show runs both and says what the bad one shows; false where it shows nothing, or cannot be run.
func (s *spoilt) show() bool {
	good, ok := runs(day(s.sound, workOf(s.sound)))
	bad, okBad := runs(day(s.bad, workOf(s.bad)))
	if !ok || !okBad {
		return false
	}
	what, after := bad.tripped()
	if before, _ := good.tripped(); before != "" {
		return false
	}
	_, itself := bad.happened(dryrun.StartsItself)
	s.tripped = after
	switch {
	case itself:
		s.symptom = "starts-itself"
	case what == "drive trips, over-volts":
		s.symptom = "over-volts"
	case what == "drive trips, overload":
		s.symptom = "overload"
	case what == "loses step":
		s.symptom = "loses-steps"
	case what != "" && after < 5:
		s.symptom = "trips-now"
	case what != "":
		s.symptom = "trips-later"
	case !bad.Results.Started:
		s.symptom = "hums"
	case bad.top < 0.88*good.top:
		s.symptom = "top-low"
	case bad.sag > good.sag+0.1:
		s.symptom = "sags"
	case bad.Results.NotUp || bad.Results.ToSpeed > 1.8*good.Results.ToSpeed:
		s.symptom = "slow-start"
	default:
		return false
	}
	return true
}

// reads is how a test comes out on the bad one, by what its figures are and what it then does.
func (s *spoilt) reads(test string) string {
	good, bad := viewOf(s.sound), viewOf(s.bad)
	when := func(is bool, outcome string) string {
		if is {
			return outcome
		}
		return sound
	}
	switch test {
	case "bare":
		alone := func(in plan.Input) (ran, bool) {
			in = day(in, 0.001)
			in.Plan.Script.Friction, in.Plan.Script.Inertia, in.Plan.Script.Sticks = "0.001 N·m", "0.0001 kg·m²",
				"0.002 N·m"
			return runs(in)
		}
		a, _ := alone(s.sound)
		b, _ := alone(s.bad)
		return when(b.top < 0.9*a.top || b.Results.ToSpeed > 2*a.Results.ToSpeed+0.3 || !b.Results.Started, "same")
	case "swap-load":
		a, _ := runs(day(s.sound, workOf(s.sound)))
		b, ok := runs(day(s.bad, workOf(s.bad)/2))
		whole, _ := runs(day(s.bad, workOf(s.bad)))
		return when(ok && whole.sag > a.sag+0.1 && b.sag < a.sag+0.06, "helps")
	case "amps":
		b, _ := runs(day(s.bad, workOf(s.bad)))
		return when(b.Results.Cuts[0].Amps > 1.1*good.Motor.Amps.Value, "over")
	case "volts-in":
		if bad.Supply.Volts < 0.92*good.Supply.Volts {
			return "low"
		}
		return when(bad.Supply.Loop*6*good.Motor.Amps.Value > 0.08*good.Supply.Volts, "sag")
	case "socket":
		return when(bad.Supply.Loop > good.Supply.Loop+1 || bad.Supply.Volts < 0.92*good.Supply.Volts, "dims")
	case "lead":
		return when(bad.Supply.Loop > good.Supply.Loop+1, "long")
	case "battery":
		return when(bad.Supply.Volts < 0.92*good.Supply.Volts, "flat")
	case "by-hand":
		return when(s.friction > 3, "spindle-rough")
	case "links":
		switch {
		case bad.Control.TopHertz < good.Control.TopHertz || good.Control.TopHertz == 0 && bad.Control.TopHertz > 0:
			return "top"
		case bad.Control.LimitAmps < good.Control.LimitAmps:
			return map[bool]string{true: "current", false: "limit"}[stepping(bad)]
		}
		return when(bad.Control.Accel != good.Control.Accel, "ramp")
	case "trims":
		if bad.Control.TopTrim < good.Control.TopTrim {
			return "top"
		}
		return when(bad.Control.LimitAmps < good.Control.LimitAmps, "limit")
	case "back-volts":
		return when(bad.Motor.DC.Ke.Value < 0.9*good.Motor.DC.Ke.Value, "low")
	case "breaker":
		return when(bad.Supply.Breaker < good.Supply.Breaker, "small")
	case "release":
		return when(!bad.Control.NoVolt, "none")
	case "how-started":
		return map[bool]string{true: "loaded", false: "empty"}[s.bad.Plan.Script.Inertia != s.sound.Plan.Script.Inertia]
	case "when-starts":
		return "power"
	case "which-trips":
		return "breaker"
	case "when-trips":
		switch {
		case s.tripped < 0.2:
			return "switched"
		case s.tripped < 25:
			return "seconds"
		}
		return "warm"
	case "lamps":
		return map[string]string{"over-volts": "volts", "overload": "load"}[s.symptom]
	case "loses":
		return when(s.is == "step-ramp", "fast")
	}
	return sound
}

// Whatever is made wrong in the figures of a line, and shows in its dry run, is found by tests that come out as the run
// has them, one answer in twelve wrong or none.
func TestWhatADryRunShowsIsFound(t *testing.T) {
	random := rand.New(rand.NewPCG(25, 2))
	var honest, mistaken score
	n, missed, by := 0, map[string]int{}, map[string]int{}
	for _, what := range []string{"potter's wheel, ½ hp at 180 V", "bench mill on a PWM drive",
		"scooter motor on 24 V, a drum",
		"cider mill", "conveyor at half speed", "lathe on three phases", "crusher on 208 V, three phases",
		"power hacksaw",
		"drill on a cone", "shaper run both ways", "stepper on an axis", "½ hp drill on 115 V",
		"mill to 75 Hz by vector"} {
		in := lineOf(t, what)
		for _, one := range spoils {
			if !one.has(must(t, in)) {
				continue
			}
			s := spoilt{is: one.is, sound: in, bad: plantest.Copied(in)}
			one.spoil(&s)
			if !s.show() {
				continue
			}
			n++
			by[one.is]++
			reads := func(test *Test) string { return s.reads(test.ID) }
			out, made := lookFor(t, s.bad, s.symptom, reads)
			if !honest.add(out, s.is, made) {
				missed[what+" "+s.symptom+": "+s.is+" as "+out.Suspects[0].ID]++
			}
			for range 4 {
				out, made = lookFor(t, s.bad, s.symptom, oneInTwelve(random, reads))
				mistaken.add(out, s.is, made)
			}
		}
	}
	t.Logf("of %d (%v): %+v; one answer in twelve wrong, four times each: %+v; not first: %v", n, by, honest,
		mistaken, missed)
	assert.Greater(t, n, 40)
	assert.GreaterOrEqual(t, len(by), 10)
	assert.GreaterOrEqual(t, honest.first, n*90/100)
	assert.Zero(t, honest.wrong)
	assert.LessOrEqual(t, mistaken.wrong, 4*n*3/100)
}
