package identify

import (
	"fmt"

	f "jiriki/core/finding"
	"jiriki/core/motor"
	q "jiriki/core/quantity"
)

// CapacitorCheck is a capacitor off a single-phase motor, as marked and as metered, and what its
// start switch did.
type CapacitorCheck struct {
	Use      string `json:"use" enum:"start,run," doc:"start: in for a second, through a switch; run: in all the time"`
	Marked   q.Text `json:"marked" unit:"µF" doc:"Microfarads marked on it"`
	Measured q.Text `json:"measured" unit:"µF" doc:"Microfarads as metered, discharged first"`
	Volts    q.Text `json:"volts" unit:"V" doc:"AC volts marked on it"`
	Line     q.Text `json:"line" unit:"V" doc:"Volts of the supply"`
	Made     string `json:"made" enum:"electrolytic,film," doc:"black round can, or silver and plastic"`
	Bulged   bool   `json:"bulged" doc:"Bulged, cracked or leaking"`
	AtRest   string `json:"atRest" enum:"closed,open," doc:"The start switch with the shaft still, by meter"`
	Clicks   string `json:"clicks" enum:"yes,no," doc:"Clicks as the shaft is spun down"`
}

// Capacitor judges a capacitor and its switch [common practice]: a start capacitor may read a
// fifth over its mark, a run capacitor a tenth either way; both are done when a tenth or more is
// gone. The error is quantity.FieldErrors when an entry cannot be used.
func Capacitor(c CapacitorCheck) ([]f.Finding, error) {
	r := q.NewReader("")
	size := q.Range{Min: 1e-8, Max: 0.01}
	marked, measured := r.Read("marked", c.Marked, q.Capacitance, size),
		r.Read("measured", c.Measured, q.Capacitance, q.Range{Min: 0,
			Max: size.Max})
	volts, line := r.Read("volts", c.Volts, q.Voltage, q.Range{Min: 10, Max: 2000}),
		r.Read("line", c.Line, q.Voltage, q.Range{Min: 50,
			Max: 690})
	use := r.Choice("use", c.Use, "", "start", "run")
	made := r.Choice("made", c.Made, "", "electrolytic", "film")
	rest, clicks := r.Choice("atRest", c.AtRest, "", "closed", "open"), r.Choice("clicks", c.Clicks, "", "yes", "no")
	if err := r.Err(); err != nil {
		return nil, err
	}
	out := []f.Finding{}
	say := func(id f.ID, level f.Level, title, detail string) {
		out = append(out, f.Finding{ID: id, Level: level, Station: f.Motor, Title: title, Detail: detail})
	}
	say(f.CapacitorDischarge, f.Caution, "Discharge it first",
		"Unplug, then a resistor of some kilohms across it for some seconds, insulated, before meter or finger. "+
			"Measure that it is gone.")
	if c.Bulged {
		say(f.CapacitorBulged, f.Stop, "Do not use it again",
			"Bulged, cracked or leaking it can burst. Replace it whatever it reads.")
	}
	if marked.Known && measured.Known {
		share := measured.SI / marked.SI
		least, most := 0.9, 1.2
		if use == "run" {
			least, most = 0.9, 1.1
		}
		switch {
		case share < least:
			say(f.CapacitorWeak, f.Caution, fmt.Sprintf("Weak: %s of its mark", q.Percent(share)),
				"The motor starts slowly or hums. Replace it with the same microfarads and at least the same volts.")
		case share > most:
			say(f.CapacitorOdd, f.Caution, fmt.Sprintf("Reads %s of its mark", q.Percent(share)),
				"Leaky, or not the capacitor marked. Replace it.")
		default:
			say(f.CapacitorSound, f.Good, "Holds what it is marked for",
				fmt.Sprintf("%s against %s marked.", q.Show(measured.SI, q.Capacitance, q.Metric),
					q.Show(marked.SI, q.Capacitance, q.Metric)))
		}
	}
	if use == "run" && made == "electrolytic" {
		say(f.CapacitorElectrolytic, f.Stop, "An electrolytic must not stay in circuit",
			"It boils and bursts within minutes. A run capacitor is a film or oil type.")
	}
	if use == "run" && volts.Known && line.Known && volts.SI < motor.LeastCapacitorVolts(line.SI) {
		say(f.CapacitorVolts, f.Stop, "Marked for too few volts",
			fmt.Sprintf("A run capacitor sees more than the line: %s AC or more on %s.",
				q.Show(motor.LeastCapacitorVolts(line.SI), q.Voltage, q.Metric), q.Show(line.SI, q.Voltage, q.Metric)))
	}
	switchFindings(rest, clicks, say)
	return out, nil
}

func switchFindings(rest, clicks string, say func(id f.ID, level f.Level, title, detail string)) {
	switch {
	case rest == "open":
		say(f.CapacitorSwitchOpen, f.Caution, "Start switch open at rest",
			"Then it hums and will not start. Clean its contacts, free its weights; blow out the dust.")
	case rest == "closed" && clicks == "no":
		say(f.CapacitorSwitchStuck, f.Stop, "Start switch may not open",
			"Closed at rest and no click: left in, the start winding burns and the capacitor bursts. Free the "+
				"weights and watch that it opens before it runs loaded.")
	case rest == "closed" && clicks == "yes":
		say(f.CapacitorSwitchSound, f.Good, "Start switch works", "Closed at rest and clicks as it slows.")
	}
}
