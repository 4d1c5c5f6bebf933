//go:build long

package fault

import (
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"jiriki/core/motor"
	"jiriki/core/plan"
	"jiriki/core/wiring"
)

// circuit is a line as it is wired, with one contact or wire of it broken, or one contact welded shut. What it does
// and what a meter reads on it follow from what still conducts: nothing of it comes from the tables of causes and
// tests.
type circuit struct {
	in     plan.Input
	spec   wiring.Spec
	wiring wiring.Diagram
	broken string
	welded bool   // it is not broken: it stays closed
	is     string // the cause, as who broke it calls it
}

// breaks are the circuits of a line, each broken in one place.
func breaks(t *testing.T, in plan.Input) (all []circuit) {
	t.Helper()
	spec, whole := must(t, in).Wiring()
	require.True(t, whole)
	d, _ := wiring.Looked(spec)
	for _, c := range d.Contacts() {
		if is := calledContact(in, spec, c); is != "" {
			all = append(all, circuit{in, spec, d, c.Break(), false, is})
		}
		if c.Device == "K1" && c.From == "1" {
			all = append(all, circuit{in, spec, d, c.Break(), true, "contact-welded"})
		}
	}
	wires := map[string]int{}
	for i := range d.Wires {
		// One loose lead of a line is much like another.
		if is := calledWire(spec, &d.Wires[i]); is != "" && wires[is] < 2 {
			wires[is]++
			all = append(all, circuit{in, spec, d, d.Wires[i].Break(), false, is})
		}
	}
	return all
}

// calledContact is what is wrong where a contact stays open; empty where that is no fault of its own.
func calledContact(in plan.Input, spec wiring.Spec, c wiring.Contact) string {
	at := c.Break()
	switch {
	case c.Device == "F1" && spec.Phases == wiring.Battery:
		return "battery-fuse"
	case c.Device == "F1" && spec.Phases == wiring.ThreePhase:
		return "lost-phase"
	case c.Device == "C1" && in.Plan.Motor.Kind == motor.CapacitorStart:
		return "start-cap"
	case c.Device == "C1":
		return "run-cap"
	case at == "K1:13":
		return "no-volt-open"
	case at == "M1:T1":
		return "thermal-open"
	case at == "F3:95":
		return "relay-tripped"
	case at == "S1:1" || at == "S1:13" || at == "S3:13":
		return "enable-open"
	}
	return map[string]string{"Q1": "isolator-open", "F1": "plug-fuse", "F2": "fuse-dc", "K1": "contacts-burnt",
		"S2": "estop-latched", "S5": "estop-latched", "S4": "reverse-contact", "S7": "speed-contact", "C2": "start-cap",
		"R2": "resistor-open", "T1": "variac-brush", "U1": "unit-dead"}[c.Device]
}

// calledWire is what is wrong where a wire is off.
func calledWire(spec wiring.Spec, w *wiring.Wire) string {
	switch {
	case w.Role == wiring.Earth && (strings.HasPrefix(w.To, "M1") || strings.HasPrefix(w.To, "W0")):
		return "no-earth"
	case w.Role == wiring.Signal && w.To == "R1:1":
		return "knob-open"
	case w.Role == wiring.Loop && strings.HasPrefix(w.From, "A1:COM"):
		return "enable-open"
	case w.Role == wiring.Output && strings.HasPrefix(w.From, "A1") && spec.Motor == wiring.HallMotor:
		return "bldc-phase"
	case w.Role == wiring.Power && !strings.HasPrefix(w.To, "Q1") && spec.Phases != wiring.ThreePhase:
		return "loose-terminal"
	}
	return ""
}

// joins reports whether two ends still conduct, as all is closed that should be.
func (c *circuit) joins(a, b string) bool {
	if c.welded {
		return c.wiring.Conducts(a, b)
	}
	return c.wiring.Conducts(a, b, c.broken)
}

// lost reports whether they did before anything broke, and no longer do.
func (c *circuit) lost(a, b string) bool { return c.wiring.Conducts(a, b) && !c.joins(a, b) }

// lines are the supply's ends, the return last.
func (c *circuit) lines() []string {
	return map[wiring.Phases][]string{wiring.OnePhase: {"X0:L", "X0:N"}, wiring.TwoHots: {"X0:L1", "X0:L2"},
		wiring.ThreePhase: {"X0:L1", "X0:L2", "X0:L3"}, wiring.Battery: {"G1:+", "G1:−"}}[c.spec.Phases]
}

func (c *circuit) terminals() (all []string) {
	for _, d := range c.wiring.Devices {
		for _, t := range d.Terminals {
			all = append(all, d.ID+":"+t.Name)
		}
	}
	return all
}

// missing is how many of the supply's lines no longer reach a device, and how many should.
func (c *circuit) missing(device string) (missing, of int) {
	for _, line := range c.lines() {
		for _, end := range c.terminals() {
			if strings.HasPrefix(end, device+":") && c.wiring.Conducts(line, end) {
				of++
				if !c.joins(line, end) {
					missing++
				}
			}
		}
	}
	return missing, of
}

func (c *circuit) has(device string) bool {
	return slices.ContainsFunc(c.wiring.Devices, func(d wiring.Device) bool { return d.ID == device })
}

// does is the symptom of it: what is felt, or what still turns.
func (c *circuit) does() string {
	if c.welded {
		return "keeps-turning" // its stop opens the coil, and the pair passes power on
	}
	for _, frame := range []string{"M1:PE", "W0:PE"} {
		if c.lost("X0:PE", frame) {
			return "tingle"
		}
	}
	if c.lost("R1:1", "A1:0REF") {
		return "full-at-zero"
	}
	if strings.HasPrefix(c.broken, "S4") && c.broken != "S4:7" {
		return "one-way"
	}
	if strings.HasPrefix(c.broken, "S7") {
		return "one-speed"
	}
	fed, of := 0, 0
	for _, ends := range c.wiring.MotorEnds() {
		of++
		if c.joins(ends[0], ends[1]) {
			fed++
		}
	}
	into := "A1"
	if !c.has("A1") {
		into = "M1"
	}
	missing, lines := c.missing(into)
	if c.spec.Phases == wiring.ThreePhase && missing > 0 && missing < lines && into == "M1" {
		return "hums"
	}
	if some := missing > 0 && missing < lines; some && c.spec.Phases == wiring.ThreePhase {
		return "under-volts" // an inverter on two lines of three
	}
	switch {
	case strings.HasPrefix(c.broken, "C1:") && c.has("C2"):
		return "sags" // it starts on the other one
	case strings.HasPrefix(c.broken, "C2:"):
		return "hums"
	}
	if second := c.lost("M1:U1", "M1:Z1") || c.lost("M1:Z2", "M1:U2"); second && fed == of {
		return "hums"
	}
	if fed > 1 && fed < of {
		return "hums"
	}
	return "dead"
}

// reads is how a test comes out on it, by what a meter or an eye finds where it is put.
func (c *circuit) reads(test string) string {
	when := func(broken bool, outcome string) string {
		if broken {
			return outcome
		}
		return sound
	}
	at := func(of ...string) bool {
		return slices.ContainsFunc(of, func(one string) bool {
			return c.broken == one || strings.HasPrefix(c.broken,
				one+":")
		})
	}
	// Where the supply enters the control, and the control's own ends.
	into := "A1"
	if !c.has("A1") {
		into = "M1"
	}
	missing, lines := c.missing(into)
	wire := strings.HasPrefix(c.broken, "#")
	if c.welded {
		return map[string]string{"contacts": "welded", "coasts": "driven", "when-starts": "power"}[test]
	}
	switch test {
	case "isolator":
		return when(at("Q1"), "open")
	case "leads":
		return when(wire && c.is == "loose-terminal", "open")
	case "fuses":
		if at("F2") {
			return "armature"
		}
		return when(at("F1"), "line")
	case "battery":
		return when(at("F1"), "fuse")
	case "stop-button":
		if at("S2", "S5") {
			return "latched"
		}
		loop := c.lost("A1:COM", "A1:EN") || at("S1", "S3")
		return when(loop && !at("M1:T1", "S4:7"), "open")
	case "contacts":
		if at("K1:13") {
			return "coil"
		}
		return when(at("K1"), "burnt")
	case "thermal":
		return when(at("M1:T1"), "open")
	case "overload":
		return when(at("F3:95"), "tripped")
	case "reverse-switch":
		return when(at("S4"), "open")
	case "speed-switch":
		return when(at("S7"), "open")
	case "which-speed":
		return map[bool]string{true: "one", false: "all"}[at("S7")]
	case "start-cap":
		return when(at("C2") || at("C1") && c.in.Plan.Motor.Kind == motor.CapacitorStart, "low")
	case "run-cap":
		return when(at("C1") && c.in.Plan.Motor.Kind != motor.CapacitorStart, "low")
	case "spin-start":
		return when(at("C1", "C2"), "either")
	case "resistor":
		return when(at("R2"), "open")
	case "variac":
		return when(at("T1"), "worn")
	case "unit":
		return when(at("U1"), "none")
	case "earth-ohms":
		return when(c.does() == "tingle", "open")
	case "knob-ohms":
		return when(c.lost("R1:1", "A1:0REF"), "open")
	case "sensors":
		return when(c.is == "bldc-phase", "phase")
	case "diagram":
		return when(c.is == "bldc-phase", "off")
	case "terminals":
		return when(wire && c.is == "loose-terminal", "loose")
	case "volts-in":
		if missing > 0 && missing < lines && c.spec.Phases == wiring.ThreePhase {
			return "phase"
		}
		return when(missing > 0 || at("K1:13", "M1:T1", "F3:95", "S2") && !c.has("A1"), "none")
	case "volts-out":
		return map[bool]string{true: "full", false: "none"}[c.does() == "full-at-zero"]
	case "lamps":
		if missing > 0 {
			return "none"
		}
		return when(c.lost("A1:COM", "A1:EN"), "enable")
	case "bare":
		return "same"
	}
	return sound
}

// breakable are lines of every kind of control and supply.
var breakable = []string{"potter's wheel, ½ hp at 180 V", "lathe with its chuck screwed on, one way only",
	"wound field on a lathe", "½ hp on a series resistor", "½ hp on a variable transformer",
	"scooter motor on 24 V, a drum",
	"winch motor straight on 12 V", "cider mill", "lathe, 2.2 kW linked for 400 V on three phases",
	"lathe on three phases",
	"power hacksaw", "shaper run both ways", "table saw's motor on a mixer, its run capacitor as it should be",
	"washing machine's motor on a conveyor", "blower switched", "hub motor on 36 V, a mixer",
	"hub motor from the mains through a supply unit", "stepper on an axis", "series motor with a tachometer on a mixer"}

// Whatever breaks in the wiring is found by what then still conducts, one answer in twelve wrong or none.
func TestWhatBreaksInTheWiringIsFound(t *testing.T) {
	random := rand.New(rand.NewPCG(25, 2))
	var honest, mistaken score
	n, missed := 0, map[string]int{}
	for _, what := range breakable {
		for _, c := range breaks(t, lineOf(t, what)) {
			n++
			reads := func(test *Test) string { return c.reads(test.ID) }
			out, made := lookFor(t, c.in, c.does(), reads)
			if !honest.add(out, c.is, made) {
				missed[what+" "+c.broken+" "+c.does()+": "+c.is+" as "+out.Suspects[0].ID]++
			}
			out, made = lookFor(t, c.in, c.does(), oneInTwelve(random, reads))
			mistaken.add(out, c.is, made)
			if out.Settled && out.Suspects[0].ID != c.is {
				var tried []string
				for _, m := range out.Made {
					tried = append(tried, m.ID)
				}
				t.Logf("%s %s: %s settled as %s by %v", what, c.does(), c.is, out.Suspects[0].ID, tried)
			}
		}
	}
	t.Logf("of %d: %+v; one answer in twelve wrong: %+v; not first: %v", n, honest, mistaken, missed)
	assert.Greater(t, n, 150)
	assert.GreaterOrEqual(t, honest.first, n*95/100)
	assert.GreaterOrEqual(t, honest.right, n*85/100)
	assert.Zero(t, honest.wrong)
	assert.LessOrEqual(t, mistaken.wrong, n*3/100)
	assert.GreaterOrEqual(t, mistaken.first, n*85/100)
}
