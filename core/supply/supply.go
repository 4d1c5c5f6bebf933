// Package supply describes and resolves what comes out of the wall.
package supply

import q "jiriki/core/quantity"

// Described is a supply as a person entered it.
type Described struct {
	Name    string `json:"name" maxLength:"120"`
	Volts   q.Text `json:"volts" doc:"Volts at the socket; between lines for three-phase"`
	Hertz   q.Text `json:"hertz"`
	Phases  string `json:"phases" enum:"1,3,dc," doc:"1 or 3 phases, or dc for a battery"`
	Breaker q.Text `json:"breaker" doc:"Breaker or fuse of the circuit"`
	Earthed bool   `json:"earthed" doc:"The machine's frame is earthed"`
}

// Resolved is a supply in SI; Breaker 0 when not known.
type Resolved struct {
	Volts        float64
	Hertz        float64
	Three        bool
	Battery      bool // direct current; Hertz then means nothing
	Breaker      float64
	Earthed      bool
	AssumedHertz bool
}

// Resolve reads a described supply, refusing on r what cannot be used. Without hertz, 60 is
// assumed under 200 V single-phase and 50 otherwise.
func Resolve(d Described, r *q.Reader) Resolved {
	hertz := r.Read("hertz", d.Hertz, q.Frequency, q.Range{Min: 10, Max: 400})
	s := Resolved{
		Volts:   r.Read("volts", d.Volts, q.Voltage, q.Range{Min: 5, Max: 1000}).Or(0),
		Hertz:   hertz.SI,
		Breaker: r.Read("breaker", d.Breaker, q.Current, q.Range{Min: 0.5, Max: 400}).Or(0),
		Earthed: d.Earthed,
	}
	phases := r.Choice("phases", d.Phases, "1", "1", "3", "dc")
	s.Three, s.Battery = phases == "3", phases == "dc"
	if !hertz.Known && !s.Battery {
		s.AssumedHertz, s.Hertz = true, 50
		if s.Volts > 0 && s.Volts < 200 && !s.Three {
			s.Hertz = 60
		}
	}
	return s
}
