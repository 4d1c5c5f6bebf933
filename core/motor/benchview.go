package motor

import (
	"fmt"

	q "jiriki/core/quantity"
)

// BenchView is what the bench readings come to together: each constant with its spread, and the
// reading to take next.
type BenchView struct {
	Constants []Constant `json:"constants" nullable:"false"`
	Readings  int        `json:"readings" doc:"How many things the readings say"`
	Next      string     `json:"next" doc:"The reading that would narrow it most, in words; empty when none would by much"`
	NextSort  string     `json:"nextSort" doc:"Its sort"`
}

// Constant is one constant as fitted. Share is one standard deviation over the value.
type Constant struct {
	Name   string  `json:"name"`
	Value  string  `json:"value" doc:"As shown; empty when the readings do not tell it"`
	Share  float64 `json:"share" doc:"How far off it may be, 0 to 1; 1 when not told"`
	Spread string  `json:"spread"`
}

// howTo says how a sort of reading is taken.
var howTo = map[string]string{
	"open": "Spin it at a known speed, by a drill or a lathe, and read the volts at its open leads.",
	"resistance": "Take the leads off and read the ohms at several places of the rotor, turned a little between " +
		"readings.",
	"free": "Run it with nothing on the shaft from a low, current-limited supply: volts, amps and speed together.",
	"loaded": "Load it with a brake band or a known torque: volts, amps, speed and torque together. Stand clear, " +
		"seconds at a time.",
	"spin-down": "Let it coast from a known speed, leads open, and time it down to half.",
}

// BenchView gathers the fit for showing.
func (m *Resolved) BenchView(sys q.System) BenchView {
	view := BenchView{Constants: []Constant{}, Readings: m.Fit.Readings}
	if m.Fit.Readings == 0 {
		if _, ok := fitLaws[m.Kind.Family()]; ok {
			view.Next, view.NextSort = howTo["resistance"], "resistance"
			if m.Kind.Family() == DCFamily {
				view.Next, view.NextSort = howTo["open"], "open"
			}
		}
		return view
	}
	add := func(name string, e Estimate, d q.Dimension) {
		c := Constant{Name: name, Share: 1, Spread: "not told by the readings"}
		if e.Found() {
			c.Value, c.Share, c.Spread = q.Show(e.Value, d, sys), e.Spread, "± "+q.Percent(e.Spread)
		}
		view.Constants = append(view.Constants, c)
	}
	if m.Kind.Family() == SeriesFamily {
		add("Torque for amps squared", m.Fit.Ke, q.Number)
	} else {
		add("Back-EMF constant", m.Fit.Ke, q.BackEMF)
	}
	add("Resistance", m.Fit.R, q.Resistance)
	add("Torque lost inside", m.Fit.Loss, q.Torque)
	add("Rotor's inertia", m.Fit.Inertia, q.Inertia)
	if s := m.Fit.Suggest(); s.Sort != "" {
		view.NextSort = s.Sort
		view.Next = fmt.Sprintf("%s It would bring the spread of the %s down to %s of what it is.", howTo[s.Sort], s.Of,
			q.Percent(s.Narrows))
	}
	return view
}
