package wiring

import (
	"slices"
	"sort"
	"strings"
	"sync"

	"gonum.org/v1/gonum/graph/simple"
	"gonum.org/v1/gonum/graph/topo"
)

// lookedAt keeps what was drawn up and looked over last, which is the same every time for a spec and takes
// a thousand times as long as looking it up. It is emptied when it is full.
var lookedAt = struct {
	sync.Mutex
	by map[Spec]looked
}{by: map[Spec]looked{}}

type looked struct {
	diagram Diagram
	checks  []Verdict
}

const mostLookedAt = 1000

// Looked is the diagram of a spec and what was looked at in it. Neither may be changed.
func Looked(s Spec) (Diagram, []Verdict) {
	lookedAt.Lock()
	known, ok := lookedAt.by[s]
	lookedAt.Unlock()
	if ok {
		return known.diagram, known.checks
	}
	d := Draw(s)
	known = looked{diagram: d, checks: d.Check()}
	lookedAt.Lock()
	defer lookedAt.Unlock()
	if len(lookedAt.by) >= mostLookedAt {
		clear(lookedAt.by)
	}
	lookedAt.by[s] = known
	return known.diagram, known.checks
}

// Verdict is one thing looked at in a diagram.
type Verdict struct {
	ID     string `json:"id"`
	Title  string `json:"title"`
	OK     bool   `json:"ok"`
	Detail string `json:"detail" doc:"What is wrong, or why it is well"`
}

// circuit is a diagram as a graph: terminals joined by wires and by closed contacts.
type circuit struct {
	*simple.UndirectedGraph
	ids map[string]int64
}

// closed joins everything that conducts while all contacts are closed, but for those of the devices
// named and the wires numbered ("#12").
func (d Diagram) closed(without ...string) circuit {
	c := circuit{simple.NewUndirectedGraph(), map[string]int64{}}
	for _, w := range d.Wires {
		if !slices.Contains(without, w.Break()) {
			c.join(w.From, w.To)
		}
	}
	for _, k := range d.contacts {
		open := false
		for _, device := range without {
			open = open || device == k.Device || device == k.Device+":"+k.From
		}
		if !open {
			c.join(k.Device+":"+k.From, k.Device+":"+k.To)
		}
	}
	return c
}

func (c circuit) node(name string) int64 {
	id, ok := c.ids[name]
	if !ok {
		id = int64(len(c.ids))
		c.ids[name] = id
		c.AddNode(simple.Node(id))
	}
	return id
}

func (c circuit) join(a, b string) {
	if from, to := c.node(a), c.node(b); from != to {
		c.SetEdge(simple.Edge{F: simple.Node(from), T: simple.Node(to)})
	}
}

// reaches reports whether current can pass between two terminals.
func (c circuit) reaches(a, b string) bool {
	return topo.PathExistsIn(c, simple.Node(c.node(a)), simple.Node(c.node(b)))
}

// Conducts reports whether current can pass between two terminals, each as device:terminal, while all contacts are
// closed but for some that are broken, as [Contact.Break] and [Wire.Break] name them.
func (d Diagram) Conducts(from, to string, broken ...string) bool {
	return d.closed(broken...).reaches(from, to)
}

// needs reports whether a path is there and is broken by opening a device's contacts, all of them or
// those from one terminal ("S4:7").
func (d Diagram) needs(from, to, device string) bool {
	return d.closed().reaches(from, to) && !d.closed(device).reaches(from, to)
}

func (d Diagram) has(id string) bool {
	for _, device := range d.Devices {
		if device.ID == id {
			return true
		}
	}
	return false
}

// Check looks a diagram over: nothing floating, earth and fuse in place, every contact that must stop
// it in the way of what it stops, the knob the right way about, and signals apart from power.
func (d Diagram) Check() []Verdict {
	out := []Verdict{d.fed(), d.earthed(), d.fused()}
	if d.spec.electronic() {
		out = append(out, d.enabled())
	}
	if d.spec.hasUnit() {
		out = append(out, d.lowered())
	}
	if d.has("K1") {
		out = append(out, d.released())
	}
	if d.spec.Thermal {
		out = append(out, d.thermal())
	}
	if d.spec.Overload {
		out = append(out, verdict("overload", "Overload relay in the release", d.coilNeeds("F3"),
			"Drawing more than its plate for long, the motor is let go.", "The relay trips and nothing stops."))
	}
	if d.spec.ReverseSwitch {
		out = append(out, d.interlocked())
	}
	if d.has("R1") {
		out = append(out, d.knob())
	}
	if d.signals() {
		out = append(out, d.apart())
	}
	return append(out, d.floating())
}

func verdict(id, title string, ok bool, well, ill string) Verdict {
	if ok {
		return Verdict{ID: id, Title: title, OK: true, Detail: well}
	}
	return Verdict{ID: id, Title: title, OK: false, Detail: ill}
}

func (d Diagram) floating() Verdict {
	touched := map[string]bool{}
	for _, w := range d.Wires {
		touched[w.From], touched[w.To] = true, true
	}
	var loose []string
	well := "Every terminal has its wire."
	said := !d.earthed().OK // of earth's own terminals
	if said {
		well = "Every terminal but those of earth has its wire."
	}
	for _, device := range d.Devices {
		for _, terminal := range device.Terminals {
			if said && terminal.Name == "PE" {
				continue
			}
			if name := device.ID + ":" + terminal.Name; !terminal.Spare && !touched[name] {
				loose = append(loose, name)
			}
		}
	}
	// And no wire to a terminal that is not there.
	for name := range touched {
		if !d.hasTerminal(name) {
			loose = append(loose, name)
		}
	}
	sort.Strings(loose)
	return verdict("floating", "Nothing left floating", len(loose) == 0, well,
		"Without a wire, or no such terminal: "+strings.Join(loose, ", ")+".")
}

// fed looks whether each of the motor's leads has its own end of the control or the line.
func (d Diagram) fed() Verdict {
	c, dead := d.closed(), []string{}
	for _, ends := range d.MotorEnds() {
		if !c.reaches(ends[0], ends[1]) {
			dead = append(dead, ends[1])
		}
	}
	second := map[Motor][][2]string{TwoWindings: {{"M1:U1", "M1:Z1"}, {"M1:Z2", "M1:U2"}}}[d.spec.Motor]
	if d.spec.Motor == Series && d.spec.ReverseSwitch {
		second = [][2]string{{"M1:3", "M1:4"}, {"M1:5", "M1:6"}}
	}
	for _, ends := range second {
		if !c.reaches(ends[0], ends[1]) {
			dead = append(dead, ends[1])
		}
	}
	return verdict("fed", "Every lead of the motor fed", len(dead) == 0, "Each from its own end.",
		"Not fed: "+strings.Join(dead, ", ")+".")
}

func (d Diagram) hasTerminal(name string) bool {
	for _, device := range d.Devices {
		for _, terminal := range device.Terminals {
			if device.ID+":"+terminal.Name == name {
				return true
			}
		}
	}
	return false
}

func (d Diagram) earthed() Verdict {
	if d.spec.Phases == Battery {
		return Verdict{ID: "earth", Title: "Earth", OK: true,
			Detail: "A battery of this voltage is not earthed; keep its negative off the frame or fuse it there."}
	}
	c, bare := d.closed(), []string{}
	for _, w := range []string{"M1:PE", "A1:PE", "U1:PE", "W0:PE"} {
		if strings.HasPrefix(w, "A1") && !d.spec.electronic() || strings.HasPrefix(w, "U1") && !d.spec.hasUnit() {
			continue
		}
		if !c.reaches("X0:PE", w) {
			bare = append(bare, w)
		}
	}
	return verdict("earth", "Frame, motor and box on earth", len(bare) == 0, "Each by a wire of its own to one bar.",
		"Not on earth: "+strings.Join(bare, ", ")+".")
}

// source are the supply's live terminals.
func (d Diagram) source() []string {
	switch d.spec.Phases {
	case ThreePhase:
		return []string{"X0:L1", "X0:L2", "X0:L3"}
	case TwoHots:
		return []string{"X0:L1", "X0:L2"}
	case Battery:
		return []string{"G1:+"}
	}
	return []string{"X0:L"}
}

// back is the supply's last line, which loops come back to.
func (d Diagram) back() string {
	switch d.spec.Phases {
	case ThreePhase:
		return "X0:L3"
	case TwoHots:
		return "X0:L2"
	case Battery:
		return "G1:−"
	}
	return "X0:N"
}

// beforeFuse is what may be met before the fuse, and the fuse itself.
var beforeFuse = []string{"X0", "G1", "Q1", "F1"}

// fused looks whether every live line passes a fuse before anything else but the isolator, and the return none.
func (d Diagram) fused() Verdict {
	ok := d.has("F1")
	open := d.closed("F1")
	for _, live := range d.source() {
		for _, device := range d.Devices {
			if slices.Contains(beforeFuse, device.ID) {
				continue
			}
			for _, terminal := range device.Terminals {
				// Past the return side everything hangs together; the live side must not.
				ok = ok && !open.reaches(live, device.ID+":"+terminal.Name)
			}
		}
	}
	if ok && d.returnFused() {
		return verdict("fuse", "A fuse in every live line", false, "",
			"The return passes a fuse: blown there, it stops the machine and leaves it live. Fuse the live side alone.")
	}
	return verdict("fuse", "A fuse in every live line", ok, "Before anything else but the isolator.",
		"A live line reaches what it feeds without passing a fuse.")
}

// returnFused reports whether the neutral, or a battery's negative, reaches what it serves through the fuse only.
func (d Diagram) returnFused() bool {
	if d.spec.Phases == ThreePhase || d.spec.Phases == TwoHots {
		return false // every line is live
	}
	from, open := d.back(), d.closed("F1")
	for _, device := range d.Devices {
		if slices.Contains(beforeFuse, device.ID) {
			continue
		}
		for _, terminal := range device.Terminals {
			if open.reaches(from, device.ID+":"+terminal.Name) {
				return false
			}
		}
	}
	return true
}

func (d Diagram) enabled() Verdict {
	ok := d.needs("A1:COM", "A1:EN", "S5") && d.needs("A1:COM", "A1:EN", "S1")
	return verdict("enable", "Stop and start in the enable", ok,
		"Either one opens it, and the drive stops by its ramp.", "The enable closes without the stop or the start.")
}

// lowered looks whether a control for a few volts can be reached by the mains in any way but through its
// supply unit.
func (d Diagram) lowered() Verdict {
	ok := d.needs(d.source()[0], "A1:V+", "U1") && d.needs(d.back(), "A1:V−", "U1")
	return verdict("unit", "Mains kept off the low-volt drive", ok, "It is fed by an isolated supply unit only.",
		"Mains reaches a drive made for a few volts.")
}

func (d Diagram) released() Verdict {
	from := d.source()[0]
	ok := d.needs(from, "K1:A1", "S2")
	return verdict("release", "Stop lets the no-volt release go", ok, "And it stays off when power comes back.",
		"The contactor's coil is fed past the stop.")
}

func (d Diagram) thermal() Verdict {
	ok := d.spec.electronic() && d.needs("A1:COM", "A1:EN", "M1") || !d.spec.electronic() && d.has("K1") &&
		d.coilNeeds("M1")
	return verdict("thermal", "Thermal switch in circuit", ok, "Hot, it stops the motor.",
		"Nothing stops the motor when its thermal switch opens: put it in the enable, or in the coil of a no-volt "+
			"release.")
}

// coilNeeds reports whether the contactor's coil has its return only through a device.
func (d Diagram) coilNeeds(device string) bool {
	return d.needs("K1:A2", d.back(), device)
}

func (d Diagram) interlocked() Verdict {
	ok := d.spec.electronic() && d.needs("A1:COM", "A1:EN", "S4:7") || !d.spec.electronic() && d.has("K1") &&
		d.coilNeeds("S4:7")
	return verdict("reverse", "Reverse interlocked", ok,
		"In its middle place the switch stops the motor before the leads change over.",
		"The leads can change over while it is driven. Lead the switch's third pole through the enable of a drive or "+
			"the coil of a no-volt release, or take the reverse out.")
}

func (d Diagram) knob() Verdict {
	c := d.closed()
	ok := c.reaches("R1:1", "A1:0REF") && c.reaches("R1:2", "A1:IN") && c.reaches("R1:3", "A1:+REF") &&
		!c.reaches("R1:1", "R1:3")
	return verdict("knob", "Knob the right way about", ok,
		"Low end on common, wiper on the input: turned down is slow.",
		"With its ends swapped it runs full speed turned down.")
}

func (d Diagram) signals() bool {
	return slices.ContainsFunc(d.Wires, func(w Wire) bool { return w.Role == Signal })
}

func (d Diagram) apart() Verdict {
	var bare []string
	for _, w := range d.Wires {
		if w.Role == Signal && !w.Screened {
			bare = append(bare, w.From)
		}
	}
	return verdict("screens", "Signals screened and apart from power", len(bare) == 0,
		"Knob, sensors and tachometer in screened cable, its screen earthed at the drive only, crossing power at "+
			"right angles.", "Not screened: "+strings.Join(bare, ", ")+".")
}
