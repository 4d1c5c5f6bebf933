package fault

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/plan"
	"jiriki/core/plan/plantest"
)

// told is a fault as a person would tell it and then find it: the line, what is said, what it is, and how tests come
// out that do not come out sound. It was written out by hand before the tables were made, and knows nothing of them.
type tale struct{ on, says, is, found string }

// cases are each a machine of its own.
var cases = []tale{
	{"the tests' own switch", "It just sits there growling until I knock it off", "start-cap",
		"start-cap=low spin-start=either bare=same"},
	{"drill on a cone", "Have to flick the chuck round by hand and then it goes", "start-switch-open",
		"start-switch=open listen=no-click spin-start=either bare=same"},
	{"power hacksaw", "Breaker goes bang the instant I switch it on", "start-cap-short",
		"start-cap=short when-trips=switched"},
	{"bandsaw with a protector reset by hand", "The saw cuts out after about ten minutes of ripping and I have to " +
		"press the red button", "overload-set", "overload=low warm-rest=cold-good swap-load=helps when-trips=warm"},
	{"lathe on three phases", "hums loudly and will not get going, used to start at once", "lost-phase",
		"fuses=line volts-in=phase amps=uneven bare=same overload=tripped"},
	{"potter's wheel, ½ hp at 180 V", "the wheel head races away as soon as I switch on, whatever the knob says",
		"knob-open", "knob-ohms=open volts-out=full"},
	{"lathe at 90 V on 120 V", "speed surges up and down by itself when it is lightly loaded", "ir-high",
		"trims=ir bare=same"},
	{"bench mill on a PWM drive", "there is blue fire round the commutator and it smells", "armature-bar",
		"brushes=one-bar winding-ohms=uneven bare=same"},
	{"cider mill", "drive throws OU when I stop it", "decel-short", "links=ramp lamps=volts"},
	{"lathe, 2.2 kW", "rev counter jumps all over the place as soon as the drive runs", "meter-noise",
		"drive-off=right"},
	{"wound field on a lathe", "the drive trips on overcurrent and the motor wants to run off", "field-open",
		"winding-ohms=field lamps=amps"},
	{"winch motor straight on 12 V", "nothing, not even a click", "battery-terminals",
		"battery=furred look=burnt volts-in=sag"},
	{"scooter motor on 24 V, a sander", "bogs down when I lean on it and the belt squeals", "belt-loose",
		"belt=slack swap-load=helps other-speed=load"},
	{"hub motor on 36 V, a mixer", "it twitches back and forth and will not turn", "bldc-sensors",
		"sensors=open bare=same"},
	{"stepper on an axis", "loses steps on fast moves", "step-ramp", "links=ramp loses=fast"},
	{"washing machine's motor on a conveyor", "runs only on the fast setting, slow does nothing", "speed-winding",
		"which-speed=one winding-ohms=open"},
	{"blower on its capacitors", "the middle speed has stopped working, the other two are fine", "cap-series",
		"which-speed=one run-cap=low"},
	{"garage door's motor on a drum", "takes ages to come up to speed", "run-cap",
		"run-cap=low amps=over bare=same spin-start=either"},
	{"little shaded-pole fan", "hums and is lazy, turns if I help it round", "bearing-motor",
		"by-hand=motor-rough spin-start=hums bare=same noise=motor"},
	{"hoist with a brake that holds", "the hoist started by itself when the power came back", "contact-welded",
		"contacts=welded power-back=starts"},
	{"lathe, 2.2 kW linked for 400 V on three phases", "turns backwards since I rewired it", "leads-crossed",
		"direction=wrong diagram=crossed"},
	{"shaper run both ways", "goes forward fine but nothing in reverse", "reverse-contact", "reverse-switch=open"},
	{"belt grinder of two poles to 60 Hz", "the belt keeps wandering off to one side", "tracking-off", "track=side"},
	{"½ hp drill on 115 V", "screams when it starts and there is black dust everywhere underneath", "misaligned",
		"belt=out look=dust"},
	{"split-phase motor on a disc sander", "starts sluggishly and stinks after half a minute", "start-switch-shut",
		"start-switch=shut listen=no-click amps=over bare=same"},
	{"split-phase motor on a wheel, marked and covered", "noise like gravel from the motor's bearings",
		"bearing-motor", "by-hand=motor-rough bare=same noise=motor"},
	{"worm-geared mixer", "horrible grinding, and the gearbox end gets hot", "gearbox-dry",
		"gear-oil=dry by-hand=motor-rough bare=same noise=motor"},
	{"crusher on 208 V, three phases", "breaker pops a couple of seconds after starting when the hopper is full",
		"heavy-start", "when-trips=seconds how-started=loaded swap-load=helps"},
	{"drill on its own two-step cone", "works fine from cold, but if I stop and start it again it trips", "cap-cold",
		"start-cap=warm warm-rest=cold-good when-trips=warm"},
	{"mill to 75 Hz by vector", "trips if I start it again right after stopping", "restart-turning",
		"restart=turning lamps=amps"},
	{"small mill, its spindle by a V belt", "full speed however low the dial is", "feedback-off",
		"sensors=open volts-out=full"},
	{"lathe with its chuck screwed on, one way only", "slows right down in a cut since I put this motor on",
		"sense-resistor", "sense=other swap-load=helps other-speed=load bare=sound"},
	{"shop fan on three phases", "frame gives me a tickle", "no-earth", "earth-ohms=open"},
	{"the same where it gets wet, closed and behind a residual-current device",
		"I get a shock off the wheel head since the flood", "water", "insulation=low look=wet"},
	{"conveyor at half speed", "only gets to about half the speed it did", "top-hertz", "links=top bare=same"},
	{"table saw's motor on a mixer, its run capacitor as it should be", "motor runs but the drum does not turn",
		"key-sheared", "wheels=loose by-hand=slips bare=sound"},
	{"power hacksaw", "motor turns, saw stands still", "belt-off", "by-hand=slips belt=off bare=sound"},
	{"mower's motor on a PWM drive", "just will not do anything", "battery-fuse",
		"battery=fuse fuses=line lamps=none volts-in=none"},
	{"bench drill, its run capacitor marked 400 V", "whines much louder than it did", "bearing-motor",
		"by-hand=motor-rough bare=same noise=motor"},
	{"coil winder on 24 V through a PWM drive", "dead unless I turn the dial right back first", "zero-start",
		"zero-back=runs lamps=enable"},
	{"lathe at 90 V on 120 V", "blows the line fuse every time I switch on", "armature-earth",
		"armature-frame=touches insulation=none fuses=line"},
	{"lathe, 1.5 kW, on an inverter", "a loud whine at every speed", "carrier-whine", "noise=drive bare=same"},
	{"½ hp drill on 115 V", "slow to start since I moved it to the far bench", "long-lead",
		"lead=long volts-in=sag socket=dims bare=sound"},
	{"treadmill motor on a wood lathe", "once it has stopped it won't start again until I leave it for a minute",
		"drive-waits", "wait=runs"},
}

// lineOf is a plan by what it is of.
func lineOf(t *testing.T, what string) plan.Input {
	t.Helper()
	for _, one := range plantest.Sounds() {
		if one.What == what {
			return one.Input
		}
	}
	require.Fail(t, "no such line", what)
	return plan.Input{}
}

// asFound is how a test comes out for who makes it: as it was written out, else sound.
func asFound(found, test string) string {
	for _, one := range strings.Fields(found) {
		if of, outcome, _ := strings.Cut(one, "="); of == test {
			return outcome
		}
	}
	return sound
}

// tellable is an outcome as the test has it; its first where that is not among them, and empty, for not to be told,
// where none of them is sound.
func tellable(test *Test, outcome string) string {
	if slices.ContainsFunc(test.Outcomes, func(o Outcome) bool { return o.ID == outcome }) {
		return outcome
	}
	if test.Outcomes[0].ID == sound || test.Danger == Question && len(test.Outcomes[0].strengths) == 0 {
		return test.Outcomes[0].ID
	}
	return ""
}

// score is how a list of faults came out.
type score struct {
	first, right, wrong int
	tests               int
}

// add counts one search, and says whether what it was came first.
func (s *score) add(out Opinion, is string, made int) bool {
	first := out.Suspects[0].ID == is
	switch {
	case first && out.Settled:
		s.right++
	case out.Settled:
		s.wrong++
	}
	if first {
		s.first++
	}
	s.tests += made
	return first
}

// most is how many tests a person makes.
const most = 6

// lookFor looks for a fault as it is asked to, by a symptom, for as many tests as a person makes.
func lookFor(t *testing.T, in plan.Input, symptom string, hears func(*Test) string) (out Opinion, made int) {
	t.Helper()
	asked := Asked{Symptom: symptom}
	for ; ; made++ {
		out, err := Judge(in, asked)
		require.NoError(t, err, symptom)
		if out.Settled || out.Next == nil || made == most {
			return out, made
		}
		asked.Done = append(asked.Done, Done{out.Next.ID, tellable(out.Next, hears(out.Next))})
	}
}

// follow looks for one fault by the first symptom its words are taken for.
func follow(t *testing.T, one *tale, in plan.Input, hears func(*Test) string) (out Opinion, made int) {
	t.Helper()
	out, err := Judge(in, Asked{Words: one.says})
	require.NoError(t, err)
	if len(out.Matched) == 0 {
		return out, 0
	}
	return lookFor(t, in, out.Matched[0].ID, hears)
}

func (one *tale) hears(test *Test) string { return asFound(one.found, test.ID) }

func TestFaultsToldByHandAreFound(t *testing.T) {
	var s score
	for i := range cases {
		one := &cases[i]
		out, made := follow(t, one, lineOf(t, one.on), one.hears)
		if out.Chosen == nil {
			t.Errorf("%q is not understood", one.says)
			continue
		}
		first := s.add(out, one.is, made)
		if !first || !out.Settled {
			var tried []string
			for _, m := range out.Made {
				tried = append(tried, m.ID)
			}
			t.Logf("%q (%s) as %s: %s at %v, settled %v, by %v; %d tests", one.says, one.is, out.Chosen.ID,
				out.Suspects[0].ID, out.Suspects[0].Share, out.Settled, tried, made)
		}
	}
	t.Logf("of %d: %d first, %d settled rightly, %d wrongly, %d tests", len(cases), s.first, s.right, s.wrong, s.tests)
	assert.GreaterOrEqual(t, s.first, 42)
	assert.GreaterOrEqual(t, s.right, 38)
	assert.LessOrEqual(t, s.wrong, 1)
}
