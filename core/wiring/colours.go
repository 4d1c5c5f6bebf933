package wiring

import (
	"slices"
	"strings"
)

// Colours is a family of rules for the colours of wires.
type Colours struct {
	poles   map[string]string // of the supply's lines, by what the supply calls them
	earth   string
	control string // of the loops at the supply's alternating volts
}

// The two families: IEC 60445 with IEC 60204-1 for control circuits, and NEC 200.6 and 250.119 with NFPA 79; black,
// red and blue for hot wires are common practice [all from memory].
var (
	EuropeanColours = Colours{
		poles: map[string]string{"L": "brown", "N": "light blue", "L1": "brown", "L2": "black", "L3": "grey",
			"+": "red", "−": "black"},
		earth: "green and yellow", control: "red"}
	AmericanColours = Colours{
		poles: map[string]string{"L": "black", "N": "white", "L1": "black", "L2": "red", "L3": "blue", "+": "red",
			"−": "black"},
		earth: "green or bare", control: "red"}
)

// directControl is the colour of control circuits of a few volts of direct current in either family.
const directControl = "dark blue"

// Colour gives each wire the colour of its family. A wire to the motor may have any but those of earth and neutral, and
// is told by its mark. What is drawn up is kept and shared: this diagram gets wires of its own.
func (d *Diagram) Colour(c Colours) {
	d.Wires = slices.Clone(d.Wires)
	poles := d.poleOf()
	for i := range d.Wires {
		w := &d.Wires[i]
		switch w.Role {
		case Earth:
			w.Colour = c.earth
		case Power:
			w.Colour = c.poles[poles[w.From]]
			if w.Colour == "" { // past a transformer it is neither line nor neutral any more
				w.Colour = "black, marked " + terminal(w.To)
			}
		case Output:
			w.Colour = "black, marked " + terminal(w.To)
		case Loop:
			w.Colour = directControl
			if w.Loop == Release && d.spec.Phases != Battery {
				w.Colour = c.control
			}
		case Signal:
			w.Colour = "in a screened cable"
		}
	}
}

func terminal(end string) string {
	_, name, _ := strings.Cut(end, ":")
	return name
}

// poleOf tells of each end on the supply's side which of its lines it is on: followed from the wall through the devices
// that only open and close them. What a supply unit puts out has its own + and −.
func (d *Diagram) poleOf() map[string]string {
	on := map[string]string{}
	for _, from := range []string{"X0:L", "X0:N", "X0:L1", "X0:L2", "X0:L3", "G1:+", "G1:−", "U1:+", "U1:−"} {
		on[from] = terminal(from)
	}
	pass := func(a, b string) bool {
		if on[a] != "" && on[b] == "" {
			on[b] = on[a]
			return true
		}
		return false
	}
	for found := true; found; {
		found = false
		for _, w := range d.Wires {
			if w.Role == Power {
				found = pass(w.From, w.To) || pass(w.To, w.From) || found
			}
		}
		for _, c := range d.contacts {
			if d.opensLines(c.Device) {
				a, b := c.Device+":"+c.From, c.Device+":"+c.To
				found = pass(a, b) || pass(b, a) || found
			}
		}
	}
	return on
}

// opensLines reports whether a device only opens and closes the lines it stands in.
func (d *Diagram) opensLines(id string) bool {
	for _, device := range d.Devices {
		if device.ID == id {
			switch device.Kind {
			case "isolator", "fuse", "contactor", "overload":
				return true
			case "switch":
				return device.Loop == MainLine
			}
		}
	}
	return false
}
