package assess

import (
	"jiriki/core/line"
	"jiriki/core/measured"
	"jiriki/core/motor"
)

// Measure is a trial that is worth making on a plan, and why.
type Measure struct {
	Kind measured.Kind `json:"kind" doc:"The kind of trial"`
	Why  string        `json:"why"`
}

// measures are the trials worth making, what tells most first [common practice]: what an answer hangs on, then what
// must be sound before power, then what is laid over the dry run and put on the sheets.
func measures(t *line.Model, a *Assessment) []Measure {
	out := []Measure{}
	for i := range a.Jobs {
		if job := &a.Jobs[i]; job.Outcome == line.CannotTell && job.Least < 1 {
			out = append(out, Measure{measured.Pull, job.Name + " goes by a usual load. Weigh what it takes, with a " +
				"scale at a known radius."})
			break
		}
	}
	if line.ShownSpread(t.Motor.Spread) > 0 {
		kind, why := measured.FreeRun, "The motor is partly guessed. Its amps and speed with nothing on the shaft "+
			"tell more."
		switch t.Motor.Kind.Family() {
		case motor.DCFamily:
			kind, why = measured.Open, "The motor is partly guessed. Spun by hand or drill, its open leads tell "+
				"its constant."
		case motor.InductionFamily:
			kind, why = measured.Slip, "The motor is partly guessed. Its speed under load tells its slip."
		}
		out = append(out, Measure{kind, why})
	}
	if !a.MayPower {
		return append(out, Measure{measured.Insulation, "Before its first power: an old winding may leak to the " +
			"frame."})
	}
	if t.HasKnob() && !t.Powered.FixedSpeed() {
		out = append(out, Measure{measured.Knob, "The speed plate wants what each mark of the knob turns at."})
	}
	return append(out, Measure{measured.RunUpDown, "How it runs up and coasts is laid over the dry run: its " +
		"inertia and " +
		"friction are guesses till then."})
}
