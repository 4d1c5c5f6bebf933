// Package supply describes and resolves what comes out of the wall.
package supply

import (
	"strings"

	q "jiriki/core/quantity"
)

// Described is a supply as a person entered it.
type Described struct {
	Name      string `json:"name" maxLength:"120"`
	Volts     q.Text `json:"volts" unit:"V" doc:"Volts at the socket; between lines for three-phase"`
	Hertz     q.Text `json:"hertz" unit:"Hz"`
	Phases    string `json:"phases" enum:"1,3,dc," doc:"1 or 3 phases, or dc for a battery"`
	Breaker   q.Text `json:"breaker" unit:"A" doc:"Breaker or fuse of the circuit"`
	Earthed   bool   `json:"earthed" doc:"The machine's frame is earthed"`
	Residual  string `json:"residual" enum:"none,ac,a,b,unknown," doc:"Residual-current device ahead of it: none, type AC, A or F, B, or one whose type nobody read"`
	Extension bool   `json:"extension" doc:"Fed through an extension lead"`
	Cable     q.Text `json:"cable" unit:"m|ft|mm" doc:"Length of cable from the board or battery to the machine, one way"`
	Wire      string `json:"wire" maxLength:"20" doc:"Conductor of that cable, such as 2.5 mm² or 14 AWG"`
	Offered   string `json:"offered" maxLength:"20" doc:"The conductor as it was offered for the breaker and taken; while it is the same nobody has read it off the cable"`
	Code      Code   `json:"code" enum:"iec,nec," doc:"Whose starting values for conductor and fuse are shown; by the hertz when empty"`
	Inside    q.Text `json:"inside" unit:"Ω" doc:"A battery's resistance inside, with leads, such as 40 mΩ; of mains, what volts fall by for each amp, as measured at the socket"`
	Holds     q.Text `json:"holds" unit:"Wh" doc:"Battery: energy when full, such as 400 Wh"`
	Cells     string `json:"cells" enum:"lead,lithium," doc:"Battery: what it is made of"`
}

// Resolved is a supply in SI; Breaker 0 when not known.
type Resolved struct {
	Volts        float64
	Hertz        float64
	Three        bool
	Battery      bool // direct current; Hertz then means nothing
	Breaker      float64
	Earthed      bool
	Residual     string // of the device ahead of it; "" where nobody looked
	Extension    bool
	Lithium      bool
	AssumedHertz bool
	Cable        float64 // m one way; 0 when not known
	Wire         Wire    // of zero area when not known
	PhasesTaken  bool    // nobody said how many
	Offered      bool    // the conductor was taken on offer, not read
	Code         Code
	Inside       float64 // Ω inside a battery and its leads; 0 when not known
	Loop         float64 // V the mains fall by for each amp, Ω, as measured; 0 when not
	Holds        float64 // J when full; 0 when not known
}

// Resolve reads a described supply, refusing on r what cannot be used. Without hertz, 60 is
// assumed under 200 V single-phase and 50 otherwise.
func Resolve(d Described, r *q.Reader) Resolved {
	s := Resolved{
		Volts:   r.Read("volts", d.Volts, q.Voltage, q.Range{Min: 5, Max: 1000}).Or(0),
		Breaker: r.Read("breaker", d.Breaker, q.Current, q.Range{Min: 0.5, Max: 400}).Or(0),
		Earthed: d.Earthed, Extension: d.Extension,
		Residual: r.Choice("residual", d.Residual, "", "none", "ac", "a", "b", "unknown"),
		Lithium:  r.Choice("cells", d.Cells, "", "lead", "lithium") == "lithium",
	}
	phases := r.Choice("phases", d.Phases, "1", "1", "3", "dc")
	s.PhasesTaken = d.Phases == ""
	s.Three, s.Battery = phases == "3", phases == "dc"
	s.Cable = r.Read("cable", d.Cable, q.Length, q.Range{Min: 0.1, Max: 500}).Or(0)
	if strings.TrimSpace(d.Wire) != "" {
		wire, err := ParseWire(d.Wire)
		if err != nil {
			r.Refuse("wire", d.Wire, err.Error())
		}
		s.Wire = wire
	}
	s.Offered = d.Wire != "" && d.Wire == d.Offered
	s.Code = Code(r.Choice("code", string(d.Code), string(IEC), string(IEC), string(NEC)))
	inside := r.Read("inside", d.Inside, q.Resistance, q.Range{Min: 0, Max: 10}).Or(0)
	if s.Battery {
		s.Inside = inside
		s.Holds = r.Read("holds", d.Holds, q.Energy, q.Range{Min: 100, Max: 1e9}).Or(0)
		return s
	}
	s.Loop = inside
	hertz := r.Read("hertz", d.Hertz, q.Frequency, q.Range{Min: 10, Max: 400})
	s.Hertz = hertz.SI
	if !hertz.Known {
		s.AssumedHertz, s.Hertz = true, 50
		if s.Volts > 0 && s.Volts < 200 && !s.Three {
			s.Hertz = 60
		}
	}
	if d.Code == "" && s.Hertz == 60 {
		s.Code = NEC
	}
	return s
}

// ExtraLowVolts is up to what volts a touch does not kill [common practice].
const ExtraLowVolts = 50

// Lethal reports whether a touch of it can kill.
func (s *Resolved) Lethal() bool { return s.Volts > ExtraLowVolts }

// twoHots is the volts of a single-phase circuit above which neither of its wires is a neutral where hertz are 60 and
// the NEC holds [common practice].
const twoHots = 150

// TwoHots reports whether both wires of a single-phase supply are live.
func (s *Resolved) TwoHots() bool {
	return !s.Battery && !s.Three && s.Code == NEC && s.Volts > twoHots
}

// Usable is how much of a battery is taken out before it is charged again [common practice].
const Usable = 0.8

// Sagged is what a battery holds at its terminals at a current, V: what it rests at less the drop
// inside. Mains and an unknown battery stay as they are.
func (s Resolved) Sagged(amps float64) float64 {
	if !s.Battery {
		return s.Volts
	}
	return s.Volts - amps*s.Inside
}

// Lasts is how many seconds a battery gives so many amps, taking four fifths of it; 0 when it is
// not known.
func (s Resolved) Lasts(amps float64) float64 {
	if !s.Battery || s.Holds == 0 || amps <= 0 {
		return 0
	}
	return Usable * s.Holds / (s.Volts * amps)
}
